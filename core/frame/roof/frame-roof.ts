import type { BearingPartition } from './obstacle'
import { type Building, withValue } from '../../design'
import { HAIR, radians } from '../../measure'
import type { Problem } from '../../lines'
import { airProblems, blockingOrders } from './blocking'
import { endOrders, endProblems, lookoutsTaken } from './ends'
import { fasciaOrders } from './fascia'
import { finishBoardOrders } from './finish-boards'
import { openingsTaken, roofOpeningProblems } from './openings'
import { postsIn, purlinOrders } from './purlins'
import { soffitOrders } from './soffit'
import { tailShapeProblems } from './tails'
import { wedgeOrders } from './wedges'
import type { RoofDatum, RoofFrame, RoofLumber, RoofShape, Under } from './shape'

/**
 * Frames a design's roof: its shape's own boards, and what every shape has along its eaves and over its
 * gables. Parts that can't be as asked are left out and said.
 */
export function frameRoof(
  shape: RoofShape,
  whole: Building,
  all: RoofLumber,
  bearers: readonly BearingPartition[],
  under: Under,
): RoofFrame {
  const asked = shape.frame(whole, all, bearers)
  const cant = asked.orders.length
    ? [
        ...tailShapeProblems(whole, asked.datum, all),
        ...endProblems(whole, all),
        ...roofOpeningProblems(whole, all, asked.datum),
        ...airProblems(whole, all, asked.datum),
      ]
    : []
  const { building, lumber } = without(whole, all, cant)
  const made = cant.length ? shape.frame(building, lumber, bearers) : asked
  const problems = [...made.problems, ...tailProblems(building, lumber, made, under), ...cant]
  if (!made.orders.length) return { ...made, problems }
  const { datum, taken = [], across = [] } = made
  const purlins = purlinOrders(building, lumber, datum, bearers, {
    taken,
    across: [...across, ...postsIn(made.orders)],
  })
  const [fascia, soffit] = [
    fasciaOrders(building, lumber, datum, under),
    soffitOrders(building, lumber, datum),
  ]
  const orders = [
    ...made.orders,
    ...wedgeOrders(building, lumber, datum),
    ...purlins.orders,
    ...fascia.orders,
    ...finishBoardOrders(building, lumber, datum),
    ...soffit.orders,
    ...endOrders(building, lumber, datum, taken),
    ...blockingOrders(
      building,
      lumber,
      datum,
      [...taken, ...lookoutsTaken(building, lumber, datum)],
      openingsTaken(building, lumber, datum),
    ),
  ]
  return {
    datum,
    orders,
    problems: [...problems, ...purlins.problems, ...fascia.problems, ...soffit.problems],
  }
}

/** The building and its lumber without the parts that can't be. */
function without(
  building: Building,
  lumber: RoofLumber,
  cant: readonly Problem[],
): { readonly building: Building; readonly lumber: RoofLumber } {
  const is = (code: Problem['code']): boolean => cant.some(problem => problem.code === code)
  // an opening of no width is not framed, and keeps the numbers of those after it
  const shut = cant
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

/** How far out a slope's tails reach, mm, and the field that says so. */
const reachOf = ({
  eaves,
}: RoofDatum): {
  readonly out: number
  readonly slope: RoofDatum['slopes']['south']
  readonly high: boolean
}[] =>
  eaves.map(({ slope }) => ({
    slope,
    out: slope.tail.offset - slope.wallOutside.offset,
    high: slope.overhang === 'high',
  }))

/** Tails that would reach below the deck, or into a porch; said once for all eaves that share an overhang. */
function tailProblems(
  { roof }: Building,
  { rafter }: RoofLumber,
  { datum }: RoofFrame,
  under: Under,
): Problem[] {
  if (roof.seat.rule === 'none') return []
  const mosts = reachOf(datum)
    .filter(each => !each.high && each.slope.angle > 0)
    .map(({ slope }) => {
      const angle = radians(slope.angle)
      const hangs = {
        plumb: rafter.depth / Math.cos(angle),
        square: rafter.depth * Math.cos(angle),
        level: Math.min(roof.tails.face, rafter.depth / Math.cos(angle)),
      }[roof.tail]
      return (slope.height - under[slope.side] + slope.lift - hangs) / Math.tan(angle)
    })
  const most = Math.min(Infinity, ...mosts)
  if (roof.overhang.eave <= most + HAIR) return []
  return most < 0
    ? [{ code: 'tail-below-deck', path: 'roof.rafter', most: null }]
    : [{ code: 'tail-below-deck', path: 'roof.overhang.eave', most }]
}
