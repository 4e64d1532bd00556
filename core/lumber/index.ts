export {
  boardFeet,
  findSection,
  logSection,
  ownSection,
  type Section,
  sectionArea,
  type SectionKind,
  sheetSection,
  paneSection,
  panelSection,
  isLumber,
  standardSections,
} from './section'
export { density, type Species, speciesNames } from './species'
export { longestSold, stockFor, stockLengths } from './stock'
