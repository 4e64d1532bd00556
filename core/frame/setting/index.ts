export { downFace } from '../roof/field'
export { type SetRow, setTrusses } from './set-trusses'
