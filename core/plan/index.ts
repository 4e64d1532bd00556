export { battensUp, screwLines, spanOf } from './cover'
export { sheetsBy } from './cover-sheets'
export { type Vents, ventsOf } from './vents'
export { backingOf, commonDifference, readHip, readJack, type SkewReading } from './hips'
export { type Card, cardOf, type SawCut } from './card'
export { type Figure, type FigureName } from './figures'
export { detailsOf, inPlaceOf, type PieceDetails } from './details'
export { type Piece, piecesOf } from './piece'
export { isCutAs, shapeText } from './shape'
export { type Firewood, firewoodIn } from './firewood'
export { plan, type Plan, type Totals } from './plan'
export {
  atPart,
  type Memories,
  newMemories,
  plansOf,
  type PartPlan,
  standingIn,
  type Whole,
  whole,
  wholeMembers,
  wholeTotals,
} from './whole'
export { diagonalsOf, type Lifting, liftingOf, tiltingOf, wallOrder } from './lifting'
export { bags, BARROW, BUCKET, type Loose, type LooseCode, looseOf } from './loose'
export {
  type MarkedPair,
  type PairMark,
  platePair,
  type RakeStrip,
  rakeStrips,
  rimPair,
  stretchOf,
} from './marked-pair'
export { loftOf, type LoftReading } from './loft'
export {
  isSet,
  type SettingBoards,
  settingOf,
  type SettingPlaces,
  type SettingStep,
  type SettingStepName,
} from './setting'
export { inOrderOfWork, raising, type RaisingStep, standTogether } from './raising'
export { JIG_EDGE, type Jig, jigOf, type JigPoint, type Spot } from './jig'
export { northSlope, readFace, readFaces, readRoof, type RoofReading } from './roof'
export { type SheetCut, type SheetPiece, sheetsFor, sheetsIn, sheetsOf } from './sheets'
export {
  type Clearance,
  clearances,
  type CloseSide,
  closeSides,
  findsOf,
  type Nearness,
  nearnesses,
  type SiteFind,
} from './site'
export { squareLayout, type SquareLayout, type SquareMark, type SquareMarkName } from './square'
export { bladeOf, type SquareSetting, stepping, type Stepping, type Steps } from './stepping'
export { valueOf } from './value'
export { LIFT, densityOf, SHEET_DENSITY, weightOf } from './weight'
export { bearingStrip, STACKED, type Stacked, stackingOf, standsOn } from './stacking'
export { type SupportHeight, supportHeights } from './supports'
export { subjectOf } from './subject-of'
export { cutPieces, slopesOf, yardLengths } from './cut-plan'
export { type Kit, kitsOf } from './kits'
export { type Outlines, sheetSections, type SheetSection } from './sheet-cuts'
