export {
  type NestAim,
  nestAims,
  type NestAsk,
  type NestBoard,
  type NestCut,
  type NestPiece,
  type NestPlan,
  type NestStock,
  stockOf,
  type Stretch,
  type Unplaced,
} from './ask'
export { placed } from './held'
export type { Lying, Slopes } from './slopes'
export { amountOf, nest, type NestStage, type NestWatch } from './nest'
export { type ListColumn, type ListFault, type ListRead, readPieces, readStock } from './lists'
export {
  askOf,
  type AskOfBook,
  bookLimits,
  entryOf,
  isOfYard,
  kerfOf,
  newBook,
  offered,
  readBook,
  type StockBook,
  usualKerf,
  withEntry,
} from './book'
export { type Buying, buyingOf, type BuyRow, type BuySection, sayMoney } from './buy'
export {
  beginRun,
  cardsOf,
  type Mishap,
  readRun,
  replanned,
  restAsk,
  restFrom,
  type RunBoard,
  type RunCard,
  sawn,
  sawnOf,
  type SawRun,
  staleIn,
  stroked,
  undone,
  withRest,
  withSheets,
} from './run'
export { isCut, marksOf, restOfSheets, type RunSheet, staleSheets, stepsOf } from './sheet-run'
export {
  nestSheets,
  type SheetAsk,
  type SheetItem,
  type SheetPlan,
  type SheetsPlan,
  type SheetStroke,
} from './sheets'
