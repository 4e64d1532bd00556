export type { Caution, CautionCode } from './caution'
export { cautionsOf, customary } from './cautions'
export { customaryBelow } from './ground'
