export { downFace } from './field'
export { type SetRow, setTrusses } from './set-trusses'
