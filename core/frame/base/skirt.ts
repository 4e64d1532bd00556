import { type Building, type SideName, sideNames, type Skirt } from '../../design'
import { countUp, FOOT, HAIR, ONE_READING } from '../../measure'
import type { Problem } from '../../lines'
import { vec } from '../../geometry'
import type { Section } from '../../lumber'
import { fewestBoards, gaps, least, middleOf, overlap, type Stretch, without } from '../../trade'
import { apart, type Spot } from '../../survey'
import type { Ground } from '../ground'
import type { Order } from '../member'
import type { Hole, Part } from '../part'
import { inBase } from '../place'
import { type Rect, rectAlong, stretchesOf } from '../rect'
import { lyingBoard, squareBoard } from '../square-board'
import { stands } from '../walls/wall'

/** What a skirt is set round: posts, the ground they stand in, their holes, and other parts' outlines. */
export interface SkirtRoom {
  readonly building: Building
  readonly skirt: Skirt
  readonly posts: readonly Rect[]
  readonly holes: readonly Hole[]
  readonly ground: Ground
  readonly taken: readonly Rect[]
  /** Footings under the posts. */
  readonly pads: readonly Part[]
  /** The level over the highest ground, mm. */
  readonly lift: number
  readonly section: (name: string) => Section
}

/** A side of a skirt: the axis it runs along, its boards' outer face there, and how far it runs; mm. */
interface SkirtSide {
  readonly side: SideName
  readonly along: 'x' | 'y'
  /** 1 where its outside looks along its other axis, -1 where it looks against it. */
  readonly out: 1 | -1
  /** The posts' outer faces. */
  readonly face: number
  readonly run: Stretch
}

/** Places along a side at which its ground is read. */
const READINGS = 48

/** mm. What retains more than 4 ft needs a design, IBC 105.2 (from memory). */
const HIGHEST = 4 * FOOT

/** Whether boards of a skirt stand on a side: not where a house stands, or another part's roof goes on. */
const isSkirted = (building: Building, side: SideName): boolean =>
  building.roof.has.house !== side && !building.roof.joined.includes(side)

/**
 * What the boards of a skirt stand about: round the posts' outer faces, and as far as the building reaches on
 * sides without boards; mm.
 */
export function skirtRect({ building, posts }: Pick<SkirtRoom, 'building' | 'posts'>): Rect {
  const { length, width } = building.footprint
  // a house out of line is met where it stands nearest
  const less = Math.abs(building.roof.taper)
  const at = (side: SideName, posted: number, whole: number): number =>
    isSkirted(building, side) || stands(building, side) ? posted : whole
  return {
    x0: at('west', Math.min(...posts.map(each => each.x0)), 0),
    x1: at('east', Math.max(...posts.map(each => each.x1)), length),
    y0: at('south', Math.min(...posts.map(each => each.y0)), less),
    y1: at('north', Math.max(...posts.map(each => each.y1)), width - less),
  }
}

/** The boards and stakes of a skirt; none where boards can't hold what would lie behind them. */
export function skirtFrame(room: SkirtRoom): {
  readonly orders: readonly Order[]
  readonly problems: Problem[]
} {
  const { building, skirt, section } = room
  const board = section(skirt.board)
  const rect = skirtRect(room)
  const sides = sideNames
    .filter(side => isSkirted(building, side))
    .flatMap(side => {
      const line = lineOf(building, rect, side, board.thickness)
      return clearStretches(room, line, board).map((run, i) => ({
        i,
        at: setOut(room, { ...line, run }, board),
      }))
    })
  const deep = Math.max(0, ...sides.map(({ at }) => deepest(at)))
  return deep > HIGHEST + gaps.skirtFoot + HAIR
    ? {
        orders: [],
        problems: [
          {
            code: 'skirt-too-deep',
            path: 'base.lift',
            deep,
            most: room.lift - (deep - HIGHEST - gaps.skirtFoot),
          },
        ],
      }
    : { orders: sides.flatMap(({ at, i }) => skirtSide(room, at, board, i)), problems: [] }
}

/** The line of a side: boards along the building run past those across it, at corners where both are. */
function lineOf(building: Building, rect: Rect, side: SideName, thick: number): SkirtSide {
  const along = side === 'south' || side === 'north' ? 'x' : 'y'
  const out = side === 'north' || side === 'east' ? 1 : -1
  const { run, across } = stretchesOf(rect, along)
  const past = (end: SideName): number => (along === 'x' && isSkirted(building, end) ? thick : 0)
  return {
    ...{ side, along, out },
    face: out > 0 ? across.to : across.from,
    run: { from: run.from - past('west'), to: run.to + past('east') },
  }
}

/** What of a side other parts leave free. */
function clearStretches({ taken, skirt, section }: SkirtRoom, line: SkirtSide, board: Section): Stretch[] {
  const strip = outward(line.out, line.face, board.thickness + section(skirt.stake).thickness)
  const across = taken.map(each => stretchesOf(each, line.along)).filter(each => overlap(each.across, strip))
  return without(
    line.run,
    across.map(({ run }) => run),
    least.piece,
  )
}

/** A side as it is set out: what the boards are nailed to, and how the ground lies along them. */
interface SetOut extends SkirtSide {
  readonly stakes: readonly number[]
  /** Middles of posts and stakes, rising. */
  readonly breaks: readonly number[]
  readonly read: readonly { readonly u: number; readonly level: number }[]
}

const spotOn = ({ along }: SkirtSide, u: number, off: number): Spot =>
  along === 'x' ? { x: u, y: off } : { x: off, y: u }

function setOut(room: SkirtRoom, line: SkirtSide, board: Section): SetOut {
  const { ground, posts, skirt, section, holes } = room
  const { along, out, face, run } = line
  const stake = section(skirt.stake)
  // posts that the boards lie on
  const carried = posts
    .map(each => stretchesOf(each, along))
    .filter(
      ({ across, run: over }) =>
        Math.abs((out > 0 ? across.to : across.from) - face) < HAIR && overlap(over, run),
    )
    .map(({ run: over }) => over)
    .sort((a, b) => a.from - b.from)
  const outer = face + out * board.thickness
  const stakes = stakePlaces(run, carried, skirt.spacing, stake.depth).filter(u =>
    holes.every(hole => apart(hole, spotOn(line, u, outer)) > hole.diameter / 2 + stake.depth),
  )
  const breaks = [...carried.map(middleOf), ...stakes].sort((a, b) => a - b)
  const evenly = Array.from(
    { length: READINGS + 1 },
    (_, i) => run.from + ((run.to - run.from) * i) / READINGS,
  )
  const read = [...breaks, ...evenly].map(u => ({ u, level: ground.at(spotOn(line, u, face)) }))
  return { ...line, stakes, breaks, read }
}

/** How far under the skirt's top the ground lies along a side where it is lowest, mm. */
const deepest = ({ read }: SetOut): number => -Math.min(...read.map(({ level }) => level))

/** Rows of boards from the level down to the lowest ground, and stakes between the posts. */
function skirtSide(room: SkirtRoom, at: SetOut, board: Section, part: number): Order[] {
  const own = part ? [part + 1] : []
  return [...boardsOn(room, at, board, own), ...stakesOn(room, at, board, own)]
}

function boardsOn(
  { building, pads }: SkirtRoom,
  at: SetOut,
  board: Section,
  own: readonly number[],
): Order[] {
  const { side, along, out, face, run, breaks, read } = at
  const rows = Math.max(1, countUp((deepest(at) - gaps.skirtFoot) / board.depth))
  const { from: near, to: far } = outward(out, face, board.thickness)
  // every second row breaks where the first does not
  const joints: number[] = []
  return Array.from({ length: rows }, (_, r) => r).flatMap(r => {
    const top = -r * board.depth
    const low = top - board.depth
    const bare = read.filter(({ level }) => level < top - gaps.skirtFoot).map(({ u }) => u)
    const whole =
      r === 0
        ? run
        : { from: past(breaks, run, Math.min(...bare), -1), to: past(breaks, run, Math.max(...bare), 1) }
    const footings = pads
      .filter(pad => pad.low.z < top - HAIR && pad.high.z > low + HAIR)
      .map(({ low: { x: x0, y: y0 }, high: { x: x1, y: y1 } }) => stretchesOf({ x0, x1, y0, y1 }, along))
      .filter(({ across }) => overlap(across, { from: near, to: far }))
    const pieces = without(
      whole,
      footings.map(each => each.run),
      least.piece,
    ).flatMap(stretch =>
      fewestBoards(stretch, {
        breaks: r % 2 ? breaks.filter(each => !joints.includes(each)) : breaks,
        longest: building.walls.longest,
        shortest: least.skirt,
      }),
    )
    if (r === 0) joints.push(...pieces.slice(0, -1).map(({ to }) => to))
    return pieces.map((piece, i) =>
      lyingBoard({
        ...{ where: inBase('skirt', side, ...own, r + 1, i + 1), role: 'skirt', section: board, along },
        ...{ from: piece.from, to: piece.to, across: near, low },
      }),
    )
  })
}

function stakesOn(
  { skirt, section, ground }: SkirtRoom,
  at: SetOut,
  board: Section,
  own: readonly number[],
): Order[] {
  const { side, along, out, face, stakes } = at
  const stake = section(skirt.stake)
  const outer = face + out * board.thickness
  return stakes.map((u, i) => {
    const { x0, y0 } = rectAlong(
      along,
      { from: u - stake.depth / 2, to: u + stake.depth / 2 },
      outward(out, outer, stake.thickness),
    )
    return squareBoard({
      ...{ where: inBase('stake', side, ...own, i + 1), role: 'stake', section: stake },
      ...{ along: 'z', depth: along, to: -gaps.underSkirt },
      from: ground.at(spotOn(at, u, outer)) - skirt.into,
      corner: vec(x0, y0, 0),
    })
  })
}

/** From where to where something so thick lies that is nailed on a face from outside, mm. */
const outward = (out: 1 | -1, face: number, thick: number): Stretch =>
  out > 0 ? { from: face, to: face + thick } : { from: face - thick, to: face }

/** The next break past a place, or the end. */
function past(breaks: readonly number[], { from, to }: Stretch, at: number, way: 1 | -1): number {
  return way > 0
    ? (breaks.find(each => each > at + ONE_READING) ?? to)
    : (breaks.findLast(each => each < at - ONE_READING) ?? from)
}

/** Where stakes stand: evenly between posts, or a post and an end, no farther apart than asked; mm. */
function stakePlaces(run: Stretch, posts: readonly Stretch[], spacing: number, wide: number): number[] {
  const edges = [run.from, ...posts.flatMap(({ from, to }) => [from, to]), run.to]
  return Array.from(
    { length: edges.length / 2 },
    (_, i) => [edges[2 * i] ?? 0, edges[2 * i + 1] ?? 0] as const,
  )
    .filter(([from, to]) => to - from > 3 * wide)
    .flatMap(([from, to]) => {
      const bays = countUp((to - from) / spacing)
      return Array.from({ length: bays - 1 }, (_, i) => from + ((to - from) * (i + 1)) / bays)
    })
}
