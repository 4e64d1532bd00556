export { bottomOf, endDrop, gussetsTaken, trussOrders } from './trusses'
export { gussetReach } from './joints'
