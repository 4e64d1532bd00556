export {
  type Base,
  type BaseKind,
  baseKinds,
  type Beams,
  type Gravel,
  type RockStop,
  usualBase,
  wallFoot,
} from './base'
export { acrossSkew, houseIn, houseAtEnd, isTapered, nearestHouse, squareOf } from './taper'
export { type Skirt, usualSkirt } from './skirt'
export {
  type DeckBoards,
  type DeckEdge,
  isCovered,
  type DeckSheets,
  noCover,
  panelProfiles,
  type RoofBattens,
  type RoofCover,
  type RoofDeck,
  type RoofMembrane,
  type RoofRoll,
  type RoofShingles,
  type RoofUnderlay,
  wastes,
  type RoofPanels,
  type RoofTop,
  type SoffitBoards,
  type CoverBase,
  type CoverGroup,
  coverOfFace,
  type FaceCover,
  type Stagger,
  staggers,
  usualCover,
} from './cover'
export {
  type BoardSiding,
  type Glazing,
  isUpright,
  type LappedSiding,
  type OwnSiding,
  type Paint,
  usualPaint,
  noTrim,
  type Siding,
  usualSiding,
  type WallPanels,
  type WallTrim,
} from './siding'
export type { CutMember } from './cut'
export { type DoorKind, doorKinds, type OwnDoor, usualDoor, usualDoorFrame } from './doors'
export { MAX_NAME, type Design, FORMAT, newDesign, type Part, VERSION } from './design'
export { type Hang, type HangWay, hangWays, MOST_PARTS } from './hang'
export {
  hungBy,
  isFollowed,
  lengthOfSide,
  partDesign,
  reachAlong,
  withNewPart,
  withoutPart,
  withPart,
} from './parts'
export {
  type FieldPath,
  type GambrelPath,
  type GroundPath,
  isPitchPath,
  isWeightPath,
  kindOfPath,
  pathInPart,
  type LengthPath,
  type PitchPath,
  type WeightPath,
  valueAt,
  withValue,
} from './fields'
export { findLimit, type Limit, limitFor } from './field-limits'
export {
  type Deck,
  type Floor,
  type FloorOpening,
  type FloorSide,
  type Porch,
  usualBoards,
  usualFloors,
  usualSheets,
} from './floor'
export type { Footprint } from './footprint'
export {
  type Carrier,
  type Gambrel,
  gambrelFeet,
  type GambrelAsk,
  type GambrelFoot,
  type GambrelLine,
  type GambrelWay,
  gambrelWays,
  type Gussets,
  type Truss,
  type TrussKind,
  hasBottomChord,
  isWebbed,
  trussKinds,
} from './gambrel'
export { limits } from './limits'
export { type Loft, LOFT_HEIGHT } from './loft'
export { type Lumber, type OwnSize, ownSections } from './lumber'
export {
  footOf,
  type Header,
  openingKinds,
  type OpeningKind,
  roughSize,
  standsOnDeck,
  usualClearance,
  jacksOf,
  jacksOver,
  ONE_JACK,
  usualOpening,
  type WallOpening,
} from './openings'
export {
  type DesignFault,
  type DesignRead,
  MAX_FILE,
  parseDesign,
  readDesign,
  mayBeLog,
  sectionsUsed,
} from './read'
export {
  type Fascia,
  type Hip,
  hipEdges,
  type Panel,
  type Peak,
  type Roof,
  type RoofShapeName,
  roofShapeNames,
  type TieKind,
  tieKinds,
  type Ties,
  usualTies,
} from './roof'
export {
  type GableHold,
  gableHolds,
  type PlateBlocks,
  plateBlocks,
  type Purlins,
  type Raised,
  type RidgeBeam,
  usualBeam,
  usualPurlins,
  type RoofBlocking,
  type RoofEnds,
  type Soffit,
  type TailEnd,
  tailEnds,
  type Tails,
} from './roof-parts'
export { type RoofOpening, type RoofOpeningKind, roofOpeningKinds, usualRoofOpening } from './roof-openings'
export { hasMouth, heightAbovePlate, type Seat } from './seat'
export {
  type BuildingSetting,
  defaultSetting,
  type FirstHold,
  firstHolds,
  type Setting,
  type SpacerKind,
  spacerKinds,
  STRAIGHT_BRACES,
  usualFlatPurlins,
} from './setting'
export {
  type Boundary,
  buriedKinds,
  type Find,
  type FindKind,
  findKinds,
  heightsOf,
  type LevelReading,
  type Levels,
  type Site,
  type SitePlace,
  type Squaring,
  type TwoTapes,
  usualSite,
} from './site'
export { type Sheathing, sheetTops, sheetWays, usualGrooves, usualSheathing } from './sheathing'
export {
  isSide,
  isWallId,
  MOST_PARTITIONS,
  type Partition,
  partitionIndex,
  type PartitionName,
  type WallId,
} from './partitions'
export {
  acrossFrom,
  builds,
  covers,
  type LayoutFrom,
  layouts,
  type Side,
  type SideName,
  sideNames,
  type Step,
  usualSides,
} from './sides'
export {
  beamJoints,
  type BeamSet,
  beamSets,
  postLayout,
  type PostLayout,
  type Posts,
  type Slats,
  usualPosts,
  usualSlats,
} from './posts'
export { type BetweenPosts, usualBetween } from './between-posts'
export { entries, type Entry, type Railing, usualRailing } from './railing'
export { type Pergola, tailShapes, type TailShape, usualBattens } from './pergola'
export type { UnitOnHand } from './units'
export {
  type Bracing,
  bracings,
  type CornerSchool,
  gableEnds,
  type GableEnds,
  hasSheets,
  isGlazed,
  isSided,
  sidingOn,
  type SidingPath,
  heightOf,
  type Stack,
  stacks,
  type ThroughWalls,
  usualLongest,
  type Walls,
} from './walls'
export { type Migration, migrations, toCurrent, type VersionFault } from './versions'
export {
  bearingOf,
  type Building,
  type BuildingRoof,
  type BuildingTruss,
  type HangBeside,
  had,
  isOpenEnd,
  kneePurlinOf,
  mayHaveLoft,
  type RoofHas,
  type RoofPart,
  withRoof,
} from './building'
export {
  chordEdges,
  foundAnotherWay,
  gableTrusses,
  type KickFault,
  kickFault,
  kickOf,
  monoTrusses,
  gambrelLine,
  hasRoof,
  ledgerRise,
  legMost,
  lowerReach,
  headroomWithin,
  usualHeadroom,
  lowSide,
  meeting,
  type Meeting,
  peakReach,
  type RoofChoice,
  roofChoices,
  roofHas,
  withEdit,
  withRoofOf,
  workedOut,
} from './roofs'
export {
  lineOf,
  type Subject,
  subjectAt,
  type SubjectBench,
  subjectBy,
  type SubjectKind,
  subjectKinds,
  subjectsOf,
  wallSubject,
} from './subjects'
export {
  type PartKind,
  partKinds,
  sidesFor,
  type Starter,
  type StarterSize,
  starters,
  withPartOf,
} from './starters'
export {
  type NamedRead,
  openShelf,
  type OpenShelf,
  type ShelfFile,
  SHELF_FORMAT,
  SHELF_VERSION,
} from './shelf'
export { type InnerBeam, type JoistBeam, usualInnerBeam } from './inner-beams'
