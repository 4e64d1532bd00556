export type { Problem } from './problem'
