import { lookoutsTaken } from './lookouts'
import { type Building, withRoof, withValue } from '../../design'
import {
  hipsOf,
  lowEaveOf,
  lowEaves,
  type Problem,
  ridgeOf,
  tailedEave,
  abutmentOf,
  gambrelTail,
  type RoofLines,
  type RoofLumber,
  type RoofShape,
} from '../../lines'
import { HAIR, radians } from '../../measure'
import { gaps, overlap, type Stretch } from '../../trade'
import { airProblems, blockingOrders } from './blocking'
import { ceilingOrders } from './ceiling'
import { endOrders, endProblems } from './ends'
import { falseTailOrders, falseTailsTaken, withFalseTails } from './false-tails'
import { fasciaOrders } from './fascia'
import { finishBoardOrders } from './finish-boards'
import { hipOrder } from './hips'
import { kneeProblems, kneesTaken } from './knee-support'
import { kneeWallOrders } from './knee-wall'
import { houseLedgers, stripOrders } from './ledger'
import { loftEnds } from './loft-ends'
import type { BearingPartition, Obstacle } from './obstacle'
import { roofOpeningProblems } from './opening-room'
import { openingsTaken, pairsOf } from './openings'
import { battenOrders } from './pergola'
import { purlinOrders } from './purlins'
import { faceOrders } from './rafters'
import { beamOrders, type Heads, ridgeOrders } from './ridge-beam'
import type { RoofFrame, Under } from './roof-frame'
import { soffitOrders } from './soffit'
import {
  endDrop,
  fitGussets,
  gussetsTaken,
  readTrusses,
  stairFrames,
  stairProblems,
  trussOrders,
  type Trusses,
} from '../truss'
import { tailShapeProblems } from './tails'
import { betweenEnds, type Pair, tieOrders, tiePlate } from './ties'
import { wedgeOrders } from './wedges'

/** A building, and the lumber of its roof, as far as it can be framed. */
interface Framable {
  readonly building: Building
  readonly lumber: RoofLumber
}

/**
 * Frames a building's roof by its faces and edges. Parts that can't be as asked are left out and said: the
 * roof is laid, what is refused is dropped, and it is laid again, once.
 */
export function frameRoof(
  shape: RoofShape,
  whole: Building,
  all: RoofLumber,
  bearers: readonly BearingPartition[],
  under: Under,
): RoofFrame {
  const asked = shape.lay(whole, all)
  const refusals = asked.framed ? refusalsOf(whole, all, asked.lines) : []
  const first = dropRefusedParts({ building: whole, lumber: all }, refusals)
  const { lumber } = first
  const laid = refusals.length ? shape.lay(first.building, lumber) : asked
  // without a stair that is refused a truss stands where an opening was free
  const cut =
    refusals.length && laid.framed && whole.roof.truss
      ? roofOpeningProblems(first.building, lumber, laid.lines)
      : []
  const kept = cut.length ? dropRefusedParts(first, cut) : first
  const fitted =
    kept.building.roof.truss && laid.framed
      ? fitGussets(kept.building, lumber, laid.lines, kept.building.roof.truss)
      : null
  const building = fitted ? withRoof(kept.building, { truss: fitted.truss }) : kept.building
  const trusses = laid.framed ? readTrusses(building, lumber, laid.lines) : null
  const carried = laid.framed ? carriedBy(building, lumber, laid.lines, bearers, trusses) : nothing
  const problems = [
    ...laid.problems,
    ...carried.problems,
    ...tailProblems(building, lumber, laid.lines, under),
    ...refusals,
    ...cut,
    ...(fitted?.problems ?? []),
  ]
  const drop = endDrop(building, lumber)
  const lines = withFalseTails(building, lumber, laid.lines, () => [
    ...carried.taken,
    ...(trusses ? gussetsTaken(trusses) : []),
    ...(laid.framed ? kneesTaken(building, lumber, laid.lines) : []),
  ])
  const { truss, openings, tail, ends } = building.roof
  const built = { truss, openings, tail, ends, drop }
  if (!laid.framed) return { lines, problems, orders: [], underLedger: Infinity, ...built }
  const more = finished({ building, lumber }, lines, carried, bearers, under, trusses)
  return {
    lines,
    orders: [...carried.orders, ...falseTailOrders(building, lumber, lines, drop), ...more.orders],
    problems: [...problems, ...more.problems],
    underLedger: carried.underLedger,
    ...built,
  }
}

/** What can't be as it was asked for in a roof that can be framed. */
const refusalsOf = (building: Building, lumber: RoofLumber, lines: RoofLines): Problem[] => [
  ...tailShapeProblems(building, lines, lumber),
  ...endProblems(building, lumber, lines),
  ...roofOpeningProblems(building, lumber, lines),
  ...airProblems(building, lumber, lines),
  ...stairProblems(building, lumber, lines),
  ...kneeProblems(building, lumber, lines),
]

/** The boards that carry a roof, and what others must keep clear of. */
interface Carried extends Heads {
  readonly taken: readonly Obstacle[]
  /** Stretches along the building of headers between ties. */
  readonly across: readonly Stretch[]
  readonly underLedger: number
}

const nothing: Carried = { orders: [], problems: [], taken: [], across: [], underLedger: Infinity }

/** Rafters from eave to head, what they head on, and the ties between them. */
function carriedBy(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  bearers: readonly BearingPartition[],
  all: Trusses | null,
): Carried {
  const { ties, hung } = tiesOf(building, lumber, lines, all)
  const heads = headsOf(building, lumber, lines, ties, bearers)
  const trusses = all && trussOrders(building, lumber, all)
  const stairs = all ? stairFrames(building, lumber, all) : { orders: [], taken: [] }
  const bearing = trusses ?? lines.faces.flatMap(face => faceOrders(building, lumber, lines, face))
  const ends = loftEnds(building, lumber, lines, [...ties.orders, ...bearing])
  return {
    taken: [...ties.taken, ...ends.taken, ...stairs.taken],
    across: ties.crossing.map(each => each.x),
    underLedger: hung,
    problems: [...ties.problems, ...heads.problems],
    orders: [
      ...heads.orders,
      ...hipsOf(lines).map(hip => hipOrder(building, lumber, hip)),
      ...bearing,
      ...kneeWallOrders(building, lumber, lines),
      ...ties.orders,
      ...ends.orders,
      ...stairs.orders,
    ],
  }
}

type TieFrame = ReturnType<typeof tieOrders>

/** Ties between two faces, or a ceiling hung under one; none where the roof has none. */
function tiesOf(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  trusses: Trusses | null,
): { readonly ties: TieFrame; readonly hung: number } {
  const { has } = building.roof
  if (!has.ties.length) return { ties: { orders: [], problems: [], taken: [], crossing: [] }, hung: Infinity }
  if (lines.faces.length === 1) {
    const ceiling = ceilingOrders(building, lumber, lines)
    return { ties: ceiling, hung: ceiling.low }
  }
  const met = lines.faces.filter(
    face => lowEaveOf(lines, face) && (face.falls === 'south' || face.falls === 'north'),
  )
  const pairs = besideGussets(building, lumber, lines, trusses)
  const standing = [...met.flatMap(face => face.places), ...pairs].map(each => each.at)
  const inside = (hipsOf(lines).length ? met[0]?.whole : null) ?? betweenEnds(building)
  return {
    ties: tieOrders(building, lumber, lines, pairs, standing, inside),
    hung: Infinity,
  }
}

/**
 * Where ties stand beside pairs of rafters, or of trusses: clear of gussets on a truss's faces that reach
 * down to them.
 */
function besideGussets(
  { roof: { ties } }: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  trusses: Trusses | null,
): Pair[] {
  const pairs = pairsOf(lines, lumber.rafter)
  if (!trusses || !ties.ceiling) return pairs
  const low = tiePlate(lines) + ties.ceiling.height
  const z = { from: low, to: low + (lumber.ties.ceiling?.depth ?? 0) }
  if (!gussetsTaken(trusses).some(each => overlap(each.z, z))) return pairs
  const { thickness } = trusses.truss.gusset
  return pairs.map(pair => ({ ...pair, at: { from: pair.at.from - thickness, to: pair.at.to + thickness } }))
}

/** What the rafters head on: a ridge board or beam, a ledger on a house, or a row of posts. */
function headsOf(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  ties: TieFrame,
  bearers: readonly BearingPartition[],
): Heads {
  const { beam, raised } = building.roof
  const [ridge, ledger] = [ridgeOf(lines), abutmentOf(lines)]
  if (raised) return stripOrders(building, lumber, lines, raised, bearers)
  if (ledger) return { orders: houseLedgers(building, lumber, ledger), problems: [] }
  if (!ridge?.board) return { orders: [], problems: [] }
  if (!beam) return { orders: ridgeOrders(building, lumber, ridge), problems: [] }
  const { from, to } = ridge.board
  const half = lumber.post.depth / 2 - (to - from) / 2 + gaps.besidePost
  const crossing = ties.crossing
    .filter(({ y }) => y.from < to + half && y.to > from - half)
    .map(each => each.x)
  return beamOrders(building, lumber, lines, ridge, beam, [...ties.taken.map(each => each.s), ...crossing])
}

/** What finishes a roof along its eaves and over its gables, and what is put between its rafters. */
function finished(
  { building, lumber }: Framable,
  lines: RoofLines,
  { taken, across, orders }: Carried,
  bearers: readonly BearingPartition[],
  under: Under,
  trusses: Trusses | null,
): Heads {
  const purlins = purlinOrders(building, lumber, lines, bearers, {
    taken,
    across,
    posts: orders.filter(({ role }) => role === 'ridge-post'),
  })
  const [fascia, soffit] = [
    fasciaOrders(building, lumber, lines, under),
    soffitOrders(building, lumber, lines),
  ]
  const kept = [
    ...taken,
    ...lookoutsTaken(building, lumber, lines),
    ...(trusses ? gussetsTaken(trusses) : []),
    ...kneesTaken(building, lumber, lines),
    ...falseTailsTaken(lines),
  ]
  return {
    orders: [
      ...battenOrders(building, lumber, lines),
      ...wedgeOrders(building, lumber, lines),
      ...purlins.orders,
      ...fascia.orders,
      ...finishBoardOrders(building, lumber, lines),
      ...soffit.orders,
      ...endOrders(building, lumber, lines, [...taken, ...(trusses ? gussetsTaken(trusses, true) : [])]),
      ...blockingOrders(building, lumber, lines, kept, openingsTaken(building, lumber, lines)),
    ],
    problems: [...purlins.problems, ...fascia.problems, ...soffit.problems],
  }
}

/** The building and its lumber without the parts that can't be. */
function dropRefusedParts({ building, lumber }: Framable, refusals: readonly Problem[]): Framable {
  const is = (code: Problem['code']): boolean => refusals.some(problem => problem.code === code)
  // an opening of no width is not framed, and keeps the numbers of those after it
  const shut = refusals
    .filter(problem => problem.path.startsWith('roof.openings.'))
    .reduce(
      (each, { path }) => withValue(each, `${path.split('.').slice(0, 3).join('.')}.width`, 0),
      building,
    )
  const tail = is('tail-over-seat') ? withValue(shut, 'roof.tail', 'plumb') : shut
  const open = is('air-too-much') ? withValue(tail, 'roof.blocking.air', 0) : tail
  return {
    building:
      is('ends-no-room') || is('lookout-too-thick') ? withValue(open, 'roof.ends.hold', 'none') : open,
    lumber: is('finish-too-thick') ? { ...lumber, finish: null } : lumber,
  }
}

/** Tails that would reach below the deck, or into a porch; said once for all eaves that share an overhang. */
function tailProblems(building: Building, lumber: RoofLumber, lines: RoofLines, under: Under): Problem[] {
  const { roof } = building
  const { depth } = lumber.rafter
  // how far a tail reaches under the roof line, plumb
  const hangs = (angle: number): number => {
    const turn = Math.cos(radians(angle))
    return { plumb: depth / turn, square: depth * turn, level: Math.min(roof.tails.face, depth / turn) }[
      roof.tail
    ]
  }
  const tailed = lowEaves(lines)
    .filter(eave => roof.seat.rule !== 'none' || eave.kick)
    .map(tailedEave)
    .filter(({ face }) => face.angle > 0)
  if (roof.gambrel?.foot.rule === 'over-plate') {
    const room = Math.min(Infinity, ...tailed.map(({ height, side }) => height - under[side]))
    const past = tailed.length ? gambrelTail(building, lumber, hangs, room) : null
    return past ? [belowDeck(past.path, past.most)] : []
  }
  const most = Math.min(
    Infinity,
    ...tailed.map(
      ({ face, height, heightAbovePlate, side }) =>
        (height - under[side] + heightAbovePlate - hangs(face.angle)) / Math.tan(radians(face.angle)),
    ),
  )
  return roof.overhang.eave <= most + HAIR ? [] : [belowDeck('roof.overhang.eave', most < 0 ? null : most)]
}

const belowDeck = (path: 'roof.overhang.eave' | 'roof.gambrel.foot.drop', most: number | null): Problem => ({
  code: 'tail-below-deck',
  path: most === null ? 'roof.rafter' : path,
  most,
})
