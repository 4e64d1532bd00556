export { hasRoom, least, MARK, type Range } from './least'
