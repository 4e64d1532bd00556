export {
  type DrawingBench,
  drawingsOf,
  type DrawingView,
  type ListedDrawing,
  listDrawings,
  type NamedDrawing,
} from './all'
export { baseElevation, basePlan } from './base-views'
export { boardOnBench, type Zone, zones } from './bench'
export type {
  Area,
  Dimension,
  DimensionName,
  Drawing,
  Handle,
  Ink,
  Label,
  Line,
  Patch,
  PitchTag,
  Point,
  RunningMark,
} from './drawing'
export { type FloorLayer, floorPlan } from './floor-plan'
export { levelsPlan } from './levels-plan'
export { type Model, type ModelMember, modelOf, modelOfWhole } from './model'
export { pairStrip } from './pair-strip'
export { coverFace, type CoverLayer, layerOf, layersOf } from './cover-view'
export { faceOfSoffit } from './soffit-view'
export { buildingSketch } from './building-sketch'
export { frameSketch } from './frame-sketch'
export { withLast } from './ghost'
export { jigDrawing } from './jig'
export { roofSection } from './roof-section'
export { sectionPlaces } from './section-members'
export { type SquareTool, squareTools, type SquareView, squareView } from './square-views'
export { roofEnd, roofPlan } from './roof-views'
export { closeRows, fit, type Fit, type Margins, pathOf, px, type Sheet } from './sheet'
export { sitePlan } from './site-plan'
export { layOut, NARROW } from './lay-out'
export { spread } from './spread'
export { wallElevation, type WallLayer } from './wall-elevation'
export { wallsPlan } from './walls-plan'
export {
  type Laid,
  type LaidArea,
  type LaidAsk,
  type LaidPath,
  type LaidRing,
  type LaidText,
  type Spot,
} from './laid'
export { type Box, FIELD, figureSize, LETTERS, meet, READ, type Setting, type Size } from './text-size'
