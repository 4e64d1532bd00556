export { cardsPdf, type CardsAsk, type PrintCard, type PrintRow } from './cards'
export { type Label, labelPlaces, type LabelSheet, labelSheets, labelsPdf } from './labels'
export { type Paper, papers, plainText } from './paper'
