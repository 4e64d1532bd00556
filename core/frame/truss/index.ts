export { fitGussets } from './fit'
export { bottomOf, endDrop, gussetsTaken, readTrusses, trussOrders, type Trusses } from './trusses'
export { stairFrames, stairProblems } from './stair'
