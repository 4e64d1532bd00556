export { fitGussets } from './fit'
export { bottomOf, endDrop, gussetsTaken, trussOrders } from './trusses'
export { stairFrames, stairProblems } from './stair'
