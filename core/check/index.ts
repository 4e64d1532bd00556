export { type Caution, type CautionCode, cautionsOf, customary } from './cautions'
export { customaryBelow } from './ground'
