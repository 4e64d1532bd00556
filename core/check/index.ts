export type { Caution, CautionCode } from './caution'
export { cautionsOf } from './cautions'
export { customary } from './roof-cautions'
export { customaryBelow } from './ground'
