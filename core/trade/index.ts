export { gaps, hasRoom, least, MARK, type Range } from './least'
export { liesIn, middleOf, overlap, type Stretch } from './stretch'
