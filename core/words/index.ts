export { explain } from './explanations'
export { sayCaution } from './cautions'
export { hangWords, partWords, sayNewPart } from './parts'
export { sayDesignFault } from './faults'
export { fieldName, fieldNameIn } from './field-names'
export { adviseOn, cutNames, saySection, speciesWords } from './fields'
export {
  explainCut,
  explainStepping,
  figureNames,
  sayFigure,
  saySteps,
  sayWeight,
  type StepRow,
} from './figures'
export {
  baseWords,
  findWords,
  openingWords,
  roofOpeningWords,
  sayArea,
  saySmallArea,
  standsOnWords,
} from './ground'
export { jigBlocks, jigChecks, jigRows, jigSteps, jigTables } from './jig'
export { looseNames, sayLoose, sayVolume } from './loose'
export { sayMark } from './marks'
export { counted } from './measures'
export { sayDetails, sayInPlace, sayTold } from './details'
export {
  lengthExample,
  markOf,
  pitchExample,
  sayLength,
  sayLongLength,
  sayMeasureFault,
  sayShort,
} from './measures'
export { sayCorner, sayMove, sayShapeFault, sayVerdict, sideWords, stakeWords, tapeWords } from './squaring'
export { type Called, letterWords, readAloud } from './read-aloud'
export { raisingNames, sayStep } from './raising'
export { saySetting, settingBoards, settingNames, settingPlaces } from './setting'
export { sayProblem } from './problems'
export { sayFramingMark, saySquare, sayTriangularMark, squareMarkNames } from './square'
export { capital, sayRoof, saySlope } from './roofs'
export { saySubject } from './subjects'
export { explainField } from './field-help'
export { starterWords } from './starters'
export { sayListFault } from './lists'
