import type { Stretch } from '../trade'
import { type Design, limits, ownSections, settled, type SideName, sideNames, wallFoot } from '../design'
import { findSection, type Section } from '../lumber'
import { farRange, turnOf } from '../survey'
import { baseFoot, type BaseFrame, type BaseAsk, emptyBase, frameBase } from './base'
import { type FloorFrame, frameFloor } from './floor/floor'
import { type Ground, groundOf } from './ground'
import { cutOrders, type Member } from './member'
import { type Memory, newMemory } from './memory'
import { once } from './once'
import type { Problem } from './problem'
import type { Rect } from './rect'
import { refusedProblems } from './refused'
import {
  type BearingPartition,
  frameRoof,
  type RoofDatum,
  type RoofLumber,
  roofShapes,
  rowsAcross,
} from './roof'
import { finishWalls } from './walls/finish'
import { notchProblem } from './walls/gable-studs'
import { rafterLine, ridgeHangs, type RoofLine } from './walls/roof-line'
import type { StackLines } from './walls/places'
import { frameWalls, partitionProblems } from './walls/walls'
import type { RoughOpening } from './walls/openings'
import { partitionLines, type PerWall, type Wall } from './walls/wall'

/**
 * A design as placed, cut boards, and what they stand on; with what could not be framed, and the planes it
 * was framed by.
 */
export interface Frame {
  /** The design that was framed, with what follows from its fields worked out. */
  readonly design: Design
  readonly members: readonly Member[]
  readonly problems: readonly Problem[]
  readonly walls: readonly Wall[]
  /** Rough openings as framed, by their wall. */
  readonly openings: PerWall<readonly RoughOpening[]>
  /** Plumb joints of a wall's sheets that have no stud behind them, and a wall's diagonals. */
  readonly looseJoints: Readonly<Record<SideName, number>>
  readonly braces: Readonly<Record<SideName, number>>
  readonly roof: RoofDatum
  readonly lumber: RoofLumber
  readonly floor: FloorFrame | null
  readonly base: BaseFrame
  readonly ground: Ground
  /** Outline of all that stands on the base, mm. */
  readonly outline: Rect
}

/**
 * Frames a valid design; `memory` may know a frame before. Throws RangeError where a section's name is not
 * known: `readDesign` has refused that before.
 */
export function frame(asked: Design, memory: Memory = newMemory()): Frame {
  memory.turn()
  const { walls: wanted, roof: wantedRoof } = asked
  const worked = memory.last('settled', [wanted, wantedRoof, asked.footprint, asked.lumber], () =>
    settled(asked),
  )
  const design: Design = { ...asked, footprint: worked.footprint, walls: worked.walls, roof: worked.roof }
  const own = ownSections(design.lumber)
  const section = (name: string): Section => {
    const found = findSection(name, own)
    if (!found) throw new RangeError(`no section ${name}`)
    return found
  }
  const plate = section(design.walls.stud)
  const { ties, fascia } = design.roof
  const some = (name: string | null | undefined): Section | null => (name ? section(name) : null)
  const ply = section(design.roof.ridge)
  const plies = design.roof.shape === 'raised-ridge' ? design.roof.raised.plies : (beamOf(design)?.plies ?? 1)
  const beamed = plies > 1 ? { ...ply, thickness: ply.thickness * plies } : ply
  const lumber: RoofLumber = {
    rafter: section(design.roof.rafter),
    ridge: beamed,
    ply: section(design.roof.ridge),
    post: section(
      design.roof.shape === 'raised-ridge'
        ? design.roof.raised.post
        : (design.roof.beam?.post ?? design.walls.posts.post),
    ),
    hip: section(design.roof.hip.section ?? design.roof.ridge),
    plate,
    ties: {
      rafter: some(ties.rafter?.section),
      collar: some(ties.collar?.section),
      ceiling: some(ties.ceiling?.section),
    },
    fascia: { sub: some(fascia.sub), face: some(fascia.face) },
    firring: section(design.roof.firring.section),
    purlin: some(design.roof.purlins?.section),
    strut: some(design.roof.purlins?.brace),
    slat: section(design.walls.slats.section),
    finish: some(design.roof.tails.finish),
    soffit: some(design.roof.soffit?.section),
    lookout: section(design.roof.ends.lookout),
    barge: some(design.roof.ends.barge),
  }
  const below = memory.last(
    'below',
    [design.base, design.floor, design.site, design.footprint, design.lumber],
    () => frameBelow(design, section),
  )
  const { walls: wallsAsked, footprint, base } = design
  const lines = memory.last(
    'lines',
    [below.floor, footprint, design.roof.spacing, design.roof.rafter, design.roof.shape, design.lumber],
    () => stackLines(design, below.floor, lumber.rafter),
  )
  const under = (side: SideName): number => underTails(below.floor, design, side)
  const bearers = design.roof.purlins || design.roof.shape === 'raised-ridge' ? bearersOf(design, plate) : []
  const roof = frameRoof(design, lumber, bearers, {
    south: under('south'),
    east: under('east'),
    north: under('north'),
    west: under('west'),
  })
  const line = rafterLine(roof.datum, lumber.ridge)
  // only walls that reach up to the roof are framed anew with it
  const toRoof =
    roof.orders.length > 0 &&
    design.roof.shape !== 'hip' &&
    design.roof.shape !== 'flat' &&
    (beamOf(design) !== null ||
      design.roof.shape === 'raised-ridge' ||
      wallsAsked.gables === 'raked' ||
      sideNames.some(side => wallsAsked.sides[side].step))
  const walls = memory.last(
    'walls',
    [
      wallsAsked,
      footprint,
      base,
      design.lumber,
      wallsAsked.stack === 'own' ? null : lines,
      design.roof.shape,
      toRoof && design.roof,
    ],
    () => frameWalls(design, plate, section, lines, toRoof ? line : null),
  )
  const finished = finishWalls(
    {
      design,
      stud: plate,
      line,
      brace: section(braceOf[design.lumber.yard]),
      slat: section(wallsAsked.slats.section),
      rafter: lumber.rafter,
      lines,
      memory,
      roof: roof.datum,
      rows: roof.orders.length ? rowsAcross(design, lumber, roof.datum) : [],
      framed: roof.orders.length > 0,
      drop: wall => dropOf(design, below.floor, wall),
    },
    walls.framed,
  )
  const { members, refused } = cutOrders(
    [...below.base.orders, ...(below.floor?.orders ?? []), ...finished.orders, ...roof.orders],
    memory,
  )
  const problems = once([
    ...below.problems,
    ...walls.problems,
    ...roof.problems,
    ...(roof.orders.length
      ? [...beamProblems(design, line, ply.depth), ...notchProblems(design, lumber, roof.datum)]
      : []),
    ...refusedProblems(refused),
  ])
  return {
    design,
    members,
    problems,
    walls: walls.walls,
    openings: walls.openings,
    looseJoints: finished.loose,
    braces: finished.braces,
    roof: roof.datum,
    lumber,
    floor: below.floor,
    base: below.base,
    ground: below.ground,
    outline: below.outline,
  }
}

/** Partitions along the building that stand, for braces to stand on. */
function bearersOf(design: Design, plate: Section): BearingPartition[] {
  const lost = partitionProblems(design, plate).map(problem => problem.number)
  return partitionLines(design, plate)
    .filter(({ along }, i) => along === 'x' && !lost.includes(i + 1))
    .map(({ low, height }) => ({ y: { from: low, to: low + plate.depth }, top: height }))
}

const beamOf = ({ roof }: Design): Design['roof']['beam'] => (roof.shape === 'gable' ? roof.beam : null)

/**
 * Why a ridge beam would not bear on the gable walls: they have no studs under it, or it ends above what they
 * reach to.
 */
function beamProblems(design: Design, line: RoofLine, depth: number): Problem[] {
  if (!beamOf(design)) return []
  const open = (['east', 'west'] as const).find(side => design.walls.sides[side].build === 'posts')
  if (open) return [{ code: 'beam-unborne', path: `walls.sides.${open}.build` }]
  if (design.walls.gables === 'open') return [{ code: 'beam-unborne', path: 'walls.gables' }]
  return ridgeHangs(line)
    ? []
    : [
        {
          code: 'beam-shallow',
          path: 'roof.ridge',
          least: depth + line.ridge.bottom - line.under(line.middle),
        },
      ]
}

/**
 * Why gable studs end under the rafters that are asked to be notched behind them; what holds for both ends is
 * said once.
 */
function notchProblems(design: Design, { plate, rafter }: RoofLumber, roof: RoofDatum): Problem[] {
  const [west, east] = [
    notchProblem(design, 'west', plate, rafter, roof),
    notchProblem(design, 'east', plate, rafter, roof),
  ]
  return [west, west?.code === 'gable-notch-thin' ? null : east].filter(each => each !== null)
}

/** What diagonals are sawn from (common practice, no source). */
const braceOf = { imperial: '1x4', metric: '22x100' } as const

/** The level that tails on a side may not reach below, mm. */
const underTails = (floor: FloorFrame | null, design: Design, side: SideName): number =>
  design.floor?.porch?.side === side ? Math.max(0, floor?.porchTop ?? 0) : 0

/**
 * How far a wall's sheets reach below the deck, mm: as asked, no farther than the floor frame; where a porch
 * lies against the wall they end at the deck, or above its boards, where those are higher.
 */
function dropOf(
  { walls: { sheathing }, base, floor: asked }: Design,
  floor: FloorFrame | null,
  wall: SideName,
): number {
  if (!floor || wallFoot(base) > 0) return 0
  if (asked?.porch?.side === wall && floor.porchTop !== null) return Math.min(0, -floor.porchTop)
  return Math.min(sheathing?.drop ?? 0, -floor.bottom)
}

/** Middles of joists and rafters, for walls that are asked to stand over or under them. */
function stackLines(design: Design, floor: FloorFrame | null, rafter: Section): StackLines {
  const middleOf = ({ from, to }: Stretch): number => (from + to) / 2
  const joists = (axis: 'x' | 'y'): number[] =>
    (floor?.joists ?? []).filter(each => each.axis === axis).map(each => middleOf(each.at))
  const tight = design.roof.spacing < 2 * rafter.thickness
  const { south = [], west = [] } = tight ? {} : roofShapes[design.roof.shape].places(design, rafter)
  return {
    joists: { x: joists('x'), y: joists('y') },
    rafters: { x: south.map(middleOf), y: west.map(middleOf) },
  }
}

interface Below {
  readonly floor: FloorFrame | null
  readonly base: BaseFrame
  readonly ground: Ground
  readonly outline: Rect
  readonly problems: readonly Problem[]
}

/** Floor, base and ground, from the deck down. */
function frameBelow(design: Design, section: (name: string) => Section): Below {
  const { base, footprint } = design
  const floor = base?.kind === 'slab' ? null : frameFloorOf(design, section)
  const outline: Rect = floor?.rect ?? { x0: 0, x1: footprint.length, y0: 0, y1: footprint.width }
  const top = floor?.bottom ?? 0
  const problems: Problem[] = [...(floor?.problems ?? []), ...placeProblems(design)]
  if (!base) return { floor, base: emptyBase, ground: groundOf(design, outline, top), outline, problems }
  const ask: BaseAsk = {
    design,
    base,
    rect: outline,
    top,
    joists: design.floor?.runs === 'length' ? 'x' : 'y',
    seams: seamsOf(floor, outline),
    section,
  }
  const ground = groundOf(design, outline, baseFoot(ask) - base.lift)
  if (base.kind !== 'slab' && !floor)
    return {
      floor,
      base: emptyBase,
      ground,
      outline,
      problems: [...problems, { code: 'base-without-floor', path: 'base.kind' }],
    }
  if (base.kind === 'slab' && design.floor) problems.push({ code: 'slab-under-floor', path: 'base.kind' })
  const framed = frameBase(ask, ground)
  return { floor, base: framed, ground, outline, problems: [...problems, ...framed.problems] }
}

/** Where two frames of a floor meet, or its porch's and its own. */
function seamsOf(floor: FloorFrame | null, outline: Rect): BaseAsk['seams'] {
  const rects = (floor?.bays ?? []).map(bay => bay.rect)
  const inside = (levels: readonly number[], from: number, to: number): number[] =>
    [...new Set(levels)].filter(at => at > from + 1 && at < to - 1).sort((a, b) => a - b)
  return {
    x: inside(
      rects.flatMap(rect => [rect.x0, rect.x1]),
      outline.x0,
      outline.x1,
    ),
    y: inside(
      rects.flatMap(rect => [rect.y0, rect.y1]),
      outline.y0,
      outline.y1,
    ),
  }
}

function frameFloorOf(design: Design, section: (name: string) => Section): FloorFrame | null {
  const { floor } = design
  if (!floor) return null
  return frameFloor(design, floor, {
    joist: section(floor.joist),
    deck: floor.deck.kind === 'boards' ? section(floor.deck.section) : null,
    porch: floor.porch ? section(floor.porch.board) : null,
  })
}

function placeProblems({ site, footprint }: Design): Problem[] {
  if (!site || turnOf(site.place, footprint.length, footprint.width)) return []
  const { least, most } = farRange(site.place, footprint.length, footprint.width)
  return [
    {
      code: 'not-placed',
      path: 'site.place.far',
      least: Math.max(least, limits.onSite.min),
      most: Math.min(most, limits.onSite.max),
    },
  ]
}
