import { isSide, isSided } from '../design'
import type { WallName } from '../frame'
import { bearingStrip, cardOf, isSet, type Plan, platePair, rakeStrips, rimPair } from '../plan'
import { baseElevation, basePlan } from './base-views'
import { boardOnBench } from './bench'
import { coverFace } from './cover-view'
import { doorsInside, hasDoors } from './door-view'
import type { Drawing } from './drawing'
import { floorPlan } from './floor-plan'
import { jigDrawing } from './jig'
import { levelsPlan } from './levels-plan'
import { pairStrip } from './pair-strip'
import { roofEnd, roofPlan } from './roof-views'
import { roofSection } from './roof-section'
import { settingPlan } from './setting'
import { sitePlan } from './site-plan'
import { wallElevation } from './wall-elevation'
import { wallsPlan } from './walls-plan'

/** The benches that drawings are shown on. */
export type DrawingBench = 'ground' | 'floor' | 'walls' | 'roof' | 'saw'

/** What of a bench's things a drawing shows. */
export type DrawingView =
  | 'site'
  | 'sketch'
  | 'levels'
  | 'base-plan'
  | 'base-elevation'
  | 'frame'
  | 'deck'
  | 'sheets'
  | 'siding'
  | 'doors'
  | 'plates'
  | 'rims'
  | 'section'
  | 'plan'
  | 'east'
  | 'west'
  | 'jig'
  | 'setting'
  | 'cover'
  | 'board'

/** A drawing that there is of a plan: the bench it is shown on, what it shows there, and of which thing. */
export interface ListedDrawing {
  /** The name of its file. */
  readonly file: string
  readonly bench: DrawingBench
  readonly view: DrawingView
  /** The wall, frame of a floor, or piece that it is of; null where it is of all. */
  readonly of: string | null
  /** How wide it is written, px. */
  readonly wide: number
  /** Draws it; a section at a place, the number of a rafter from 0, or near the middle without. */
  readonly draw: (at?: number) => Drawing
}

/** A drawing with the name of its file, and how wide it is written, px. */
export interface NamedDrawing {
  readonly file: string
  readonly drawing: Drawing
  readonly wide: number
}

/** The drawings of each bench, in the order of the work. */
const benches: Readonly<Record<DrawingBench, (plan: Plan) => ListedDrawing[]>> = {
  ground: plan => [
    ...(plan.building.site ? siteDrawings(plan) : []),
    ...(plan.building.base ? baseDrawings(plan) : []),
  ],
  floor: plan => floorDrawings(plan),
  walls: plan => [
    { ...listed('walls', 'plan', 'walls-plan'), draw: () => wallsPlan(plan) },
    ...plan.frame.walls.flatMap(({ name }) => wallDrawings(plan, name)),
  ],
  roof: plan => roofDrawings(plan),
  saw: plan => boardDrawings(plan),
}

/** Every drawing there is of a plan, or those of a bench, in the order of the work, none drawn yet. */
export const listDrawings = (plan: Plan, bench?: DrawingBench): ListedDrawing[] =>
  (bench ? [benches[bench]] : Object.values(benches)).flatMap(listOf => listOf(plan))

/** Every drawing there is of a plan, drawn. */
export const drawingsOf = (plan: Plan): NamedDrawing[] =>
  listDrawings(plan).map(({ file, wide, draw }) => ({ file, wide, drawing: draw() }))

const listed = (
  bench: DrawingBench,
  view: DrawingView,
  file: string,
  of: string | null = null,
  wide = 1000,
): Omit<ListedDrawing, 'draw'> => ({ file, bench, view, of, wide })

const siteDrawings = (plan: Plan): ListedDrawing[] => [
  { ...listed('ground', 'site', 'site-plan'), draw: () => sitePlan(plan) },
  { ...listed('ground', 'sketch', 'site-sketch'), draw: () => sitePlan(plan, true) },
  { ...listed('ground', 'levels', 'levels'), draw: () => levelsPlan(plan) },
]

const baseDrawings = (plan: Plan): ListedDrawing[] => [
  { ...listed('ground', 'base-plan', 'base-plan'), draw: () => basePlan(plan) },
  { ...listed('ground', 'base-elevation', 'base-elevation'), draw: () => baseElevation(plan) },
]

function floorDrawings(plan: Plan): ListedDrawing[] {
  const { frame } = plan
  if (!frame.floor) return []
  return [
    { ...listed('floor', 'frame', 'floor-frame'), draw: () => floorPlan(plan, 'frame') },
    { ...listed('floor', 'deck', 'floor-deck'), draw: () => floorPlan(plan, 'deck') },
    ...frame.floor.bays.map(bay => ({
      ...listed('floor', 'rims', `rims-${bay.in}${bay.frame ? `-${bay.frame}` : ''}`, bay.id, 2000),
      draw: () => pairStrip(`rims-${bay.id}`, rimPair(frame, bay), 60),
    })),
  ]
}

function wallDrawings(plan: Plan, wall: WallName): ListedDrawing[] {
  const { frame } = plan
  const { depth } = frame.lumber.plate
  const plates = `plates-${wall}`
  const bearing = bearingStrip(plan, wall)
  return [
    { ...listed('walls', 'frame', `wall-${wall}`, wall), draw: () => wallElevation(plan, wall) },
    { ...listed('walls', 'sheets', `sheets-${wall}`, wall), draw: () => wallElevation(plan, wall, 'sheets') },
    ...(isSide(wall) && isSided(plan.building.walls, wall)
      ? [
          {
            ...listed('walls', 'siding', `siding-${wall}`, wall),
            draw: () => wallElevation(plan, wall, 'siding'),
          },
        ]
      : []),
    ...(hasDoors(plan, wall)
      ? [{ ...listed('walls', 'doors', `doors-${wall}`, wall), draw: () => doorsInside(plan, wall) }]
      : []),
    {
      ...listed('walls', 'plates', plates, wall, 2000),
      draw: () => pairStrip(plates, platePair(frame, wall), depth),
    },
    ...rakeStrips(frame, wall).map(strip => ({
      ...listed('walls', 'plates', `${plates}-${strip.slope}-slope`, wall, 2000),
      draw: () => pairStrip(`${plates}-${strip.slope}-slope`, strip, depth),
    })),
    ...(bearing
      ? [
          {
            ...listed('walls', 'plates', `${plates}-roof`, wall, 2000),
            draw: () => pairStrip(`${plates}-roof`, bearing, depth),
          },
        ]
      : []),
  ]
}

const roofDrawings = (plan: Plan): ListedDrawing[] => [
  { ...listed('roof', 'section', 'roof-section'), draw: at => roofSection(plan, at) },
  { ...listed('roof', 'plan', 'roof-plan'), draw: () => roofPlan(plan) },
  { ...listed('roof', 'east', 'roof-east'), draw: () => roofEnd(plan, 'east') },
  { ...listed('roof', 'west', 'roof-west'), draw: () => roofEnd(plan, 'west') },
  ...(plan.building.roof.truss && plan.building.roof.truss.kind !== 'bought'
    ? [{ ...listed('roof', 'jig', 'truss-jig'), draw: () => jigDrawing(plan) }]
    : []),
  ...plan.frame.covered.map(({ face }) => ({
    ...listed('roof', 'cover', `cover-${face.id}`, face.id),
    draw: (at?: number) => coverFace(plan, face.id, at),
  })),
  ...(isSet(plan) ? [{ ...listed('roof', 'setting', 'truss-setting'), draw: () => settingPlan(plan) }] : []),
]

const boardDrawings = (plan: Plan): ListedDrawing[] =>
  plan.pieces.map(piece => ({
    ...listed('saw', 'board', `board-${piece.mark}`, piece.mark, 1600),
    draw: () => boardOnBench(cardOf(plan, piece)),
  }))
