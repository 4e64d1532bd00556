export { type Caution, type CautionCode, cautionsOf, customary } from './cautions'
