export {
  nest,
  type NestAim,
  nestAims,
  type NestAsk,
  type NestBoard,
  type NestCut,
  type NestPiece,
  type NestPlan,
  type NestStock,
  type NestWatch,
  type Unplaced,
} from './nest'
export { type ListColumn, type ListFault, type ListRead, readPieces, readStock } from './lists'
