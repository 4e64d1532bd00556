export { least } from './least'
