export {
  boardFeet,
  findSection,
  ownSection,
  type Section,
  type SectionKind,
  sheetSection,
  standardSections,
} from './section'
export { density, type Species, speciesNames } from './species'
export { stockFor, stockLengths } from './stock'
