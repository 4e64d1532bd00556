export { bottomOf, trussOrders } from './trusses'
export { gussetReach } from './joints'
