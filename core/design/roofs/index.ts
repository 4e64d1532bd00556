export { lowSide } from './high'
export type { RoofChoice } from './kind'
export { hasRoof, roofChoices, roofHas, withEdit, withRoofOf, workedOut } from './kinds'
export { ledgerRise, meeting, type Meeting, peakReach } from './peak'
