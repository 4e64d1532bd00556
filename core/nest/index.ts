export {
  type NestAim,
  nestAims,
  type NestAsk,
  type NestBoard,
  type NestCut,
  type NestPiece,
  type NestPlan,
  type NestStock,
  type Stretch,
  type Unplaced,
} from './ask'
export { amountOf, nest, type NestStage, type NestWatch } from './nest'
export { type ListColumn, type ListFault, type ListRead, readPieces, readStock } from './lists'
