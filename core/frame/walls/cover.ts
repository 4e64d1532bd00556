import {
  coverOfPosts,
  type Eave,
  levelOver,
  levelUnder,
  peakOf,
  type Profile,
  reachAt,
  tailedEave,
  withinOf,
} from '../../lines'
import type { Building, Sheathing } from '../../design'
import { HAIR, radians } from '../../measure'
import type { Section } from '../../lumber'
import { least, type Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import type { Memory } from '../memory'
import type { Rect } from '../rect'
import type { WallBoard } from './board'
import { lowestOf, type Wall } from './wall'
import type { FramedWall } from './walls'

/**
 * Sheets of one wall, the blocks behind their level joints, and how many plumb joints have no wood behind
 * them.
 */
export interface Covered {
  readonly sheets: readonly Order[]
  readonly blocks: readonly WallBoard[]
  readonly loose: number
}

/** What the sheets of a wall meet: its own boards and openings, the gable's studs over it, and the roof. */
export interface CoverAsk {
  readonly building: Building
  readonly memory: Memory
  readonly sheathing: Sheathing
  readonly framed: FramedWall
  readonly stud: Section
  /** The tails over it; null without. */
  readonly eave: Eave | null
  /** What of trusses stands or lies over it; none where its plate is what the roof stands on. */
  readonly posts: readonly WallBoard[]
  /** Lowest the sheets may begin below the deck, mm. */
  readonly drop: number
  readonly gable: {
    readonly studs: readonly WallBoard[]
    readonly line: Profile
    /** The gable's own openings. */
    readonly rough: FramedWall['rough']
  } | null
}

/** How far a row reaches along a wall of level plates: above the lower of two, over the higher part alone. */
export function levelReach({ step, height, overall }: Wall, z: number): Stretch {
  if (!step || z < Math.min(height, step.height) - HAIR) return { from: 0, to: overall }
  return height > step.height ? { from: 0, to: step.at } : { from: step.at, to: overall }
}

/** What is over the lower part of a wall that steps, where nothing stands on it. */
export function overStep({ framed: { wall }, gable }: CoverAsk): Rect[] {
  if (!wall.step || gable) return []
  const { at, height } = wall.step
  const [x0, x1] = height > wall.height ? [-1, at] : [at, wall.overall + 1]
  return [{ x0, x1, y0: lowestOf(wall), y1: Math.max(height, wall.height) + 1 }]
}

export const nothing: Covered = { sheets: [], blocks: [], loose: 0 }

/**
 * The level that a slope's rafters reach down to at the sheets' outer face, mm; null where no tail passes
 * outside the wall.
 */
function tailLevel({
  building: {
    roof: { seat, pergola },
  },
  sheathing,
  eave,
}: CoverAsk): number | null {
  if (!eave || eave.onPosts || (seat.rule === 'none' && !eave.kick && !pergola)) return null
  const { face, outside, tail } = tailedEave(eave)
  const reach = tail.offset - outside.offset
  if (reach < HAIR) return null
  const at = (out: number): number =>
    levelOver(face.carrier.underside, { ...outside, offset: outside.offset + out })
  return Math.min(at(0), at(Math.min(sheathing.thickness, reach)))
}

/**
 * From where to where trusses' end posts over a high wall are covered: from the middle of its upper plate up;
 * null without.
 */
export const postsReach = ({ framed: { wall }, stud, eave }: CoverAsk): Stretch | null =>
  eave?.onPosts ? { from: wall.height - stud.thickness / 2, to: coverOfPosts(eave) } : null

/** The level that hips reach down to over a wall's ends, outside it, mm; null without. */
function hipLevel({ sheathing, eave }: CoverAsk): number | null {
  if (!eave?.hip) return null
  const { level: at, angle, half } = eave.hip
  return at - (Math.SQRT2 * sheathing.thickness + half) * Math.tan(radians(angle))
}

/** From where to where a wall is covered below its gable. */
export function wallReach(ask: CoverAsk): Stretch {
  const {
    sheathing,
    framed: { wall, boards },
  } = ask
  const foot = Math.min(...boards.map(board => board.z.from))
  const tail = tailLevel(ask)
  const posts = postsReach(ask)
  if (posts) return { from: foot > 0 ? foot : 0 - ask.drop, to: posts.from }
  const top =
    tail !== null && sheathing.top === 'under-tails'
      ? Math.min(wall.height, tail, hipLevel(ask) ?? Infinity)
      : Math.max(wall.height, wall.step?.height ?? 0)
  return { from: foot > 0 ? foot : 0 - ask.drop, to: top }
}

export function rowsOf({ from, to }: Stretch, { sheet, way }: Sheathing, lowest: number): Stretch[] {
  const tall = way === 'upright' ? Math.max(sheet.length, sheet.width) : Math.min(sheet.length, sheet.width)
  const count = Math.max(0, Math.ceil((to - from - least.piece) / tall))
  const rest = to - from - (count - 1) * tall
  // a strip too low to nail takes some of the row under it
  const short = count > 1 && rest < lowest ? lowest - rest : 0
  // what is hardly more than whole sheets is left bare at the top
  const level = (i: number): number =>
    i >= count ? Math.min(to, from + count * tall) : from + i * tall - (i === count - 1 && i > 0 ? short : 0)
  return Array.from({ length: count }, (_, i) => ({ from: level(i), to: level(i + 1) }))
}

export const openingHoles = ({ rough }: Pick<FramedWall, 'rough'>): Rect[] =>
  rough.map(({ s, z }) => ({ x0: s.from, x1: s.to, y0: z.from, y1: z.to }))

/** What the tails take out of sheets that reach to the plate's top. */
export function tailHoles(ask: CoverAsk): Rect[] {
  const at = tailLevel(ask)
  if (at === null || ask.sheathing.top === 'under-tails' || !ask.eave) return []
  const { height, overall } = ask.framed.wall
  const holes = (stretches: readonly Stretch[], y0: number): Rect[] =>
    y0 >= height ? [] : stretches.map(({ from, to }) => ({ x0: from, x1: to, y0, y1: height + 1 }))
  const hip = ask.eave.hip
  const wide = Math.SQRT2 * (hip?.half ?? 0)
  return [
    ...holes(tailedEave(ask.eave).rafters, at),
    ...(hip
      ? holes(
          [
            { from: -1, to: wide },
            { from: overall - wide, to: overall + 1 },
          ],
          hipLevel(ask) ?? height,
        )
      : []),
  ]
}

/** How far the roof runs on outside over a gable, mm. */
function reachOver({ building, framed }: CoverAsk): number {
  const { overhang } = building.roof
  const { name } = framed.wall
  return name === 'west' || name === 'east' ? overhang.ends[name] : overhang.gable
}

/** What the ridge takes out of a gable's cover where it runs on outside. */
export const ridgeHole = (ask: CoverAsk, line: Profile): Rect[] =>
  line.hanging && reachOver(ask) > HAIR
    ? [{ x0: line.hanging.from, x1: line.hanging.to, y0: line.hanging.bottom, y1: peakOf(line) + 1 }]
    : []

/** What a strip's ledger takes out of it there. */
export const ledgerHole = (ask: CoverAsk, line: Profile): Rect[] =>
  line.apart && reachOver(ask) > HAIR
    ? [{ x0: line.apart.from, x1: line.apart.to, y0: line.apart.bottom, y1: peakOf(line) + 1 }]
    : []

/** What a gable's cover ends at. */
export const roofCuts = ({ runs }: Profile): BuildingCut[] =>
  runs.map(({ top }): BuildingCut => ({ kind: 'end', name: 'slope', plane: top }))

/** What of a line boards between studs may take: beside a strip, up to the ledger on its face. */
export function clearOfLedger(line: Profile): Stretch {
  const { apart } = line
  const within = withinOf(line)
  if (!apart || apart.from > within.to - HAIR || apart.to < within.from + HAIR) return within
  return apart.from - within.from > within.to - apart.to
    ? { from: within.from, to: apart.from }
    : { from: apart.to, to: within.to }
}

/** How far the roof's planes let a gable's row reach at its lower edge. */
export function gableReach(up: Profile, wall: Wall, z: number): Stretch {
  const { from, to } = withinOf(up)
  return reachAt(up, 'top', { from: Math.max(0, from), to: Math.min(wall.overall, to) }, z)
}

/** In a gable a joint runs up a stud to the rafter, or to the ridge's end. */
export const lineAt =
  (up: Profile) =>
  (s: number): number =>
    up.hanging && s > up.hanging.from && s < up.hanging.to
      ? Math.min(levelUnder(up, s), up.hanging.bottom)
      : levelUnder(up, s)
