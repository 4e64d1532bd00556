import { HAIR } from '../measure'
import { type Find, type SideName, sideNames, type Site } from '../design'
import { apart, cornersOf, leftOf, type SiteTurn, type Spot, spot, toStretch, turnOf } from '../survey'
import { cornersOfRect, findsOf, type Frame, idOf, type OnSite } from '../frame'

export { findsOf, type SiteFind } from '../frame'

/**
 * How near something of the base comes to a find: the least distance between their edges, mm, and the ids of
 * all that come nearer than it should be kept clear by.
 */
export interface Nearness {
  readonly find: Find
  readonly ids: readonly string[]
  readonly least: number
}

/** A round or square place that is dug or stood on, with half its width. */
interface Dig {
  readonly id: string
  readonly at: Spot
  readonly half: number
}

function digsOf({ base }: Frame): Dig[] {
  const holes = base.holes.map((hole): Dig => ({
    id: idOf({ ...hole.where, name: hole.fill === 'pier' ? 'pier' : 'post' }),
    at: { x: hole.x, y: hole.y },
    half: hole.diameter / 2,
  }))
  const blocks = base.parts
    .filter(part => part.kind === 'block')
    .map((part): Dig => ({
      id: part.id,
      at: { x: (part.low.x + part.high.x) / 2, y: (part.low.y + part.high.y) / 2 },
      half: Math.hypot(part.high.x - part.low.x, part.high.y - part.low.y) / 2,
    }))
  return [...holes, ...blocks]
}

/** Which posts, holes, piers and blocks come nearer to a find than they should. */
export function nearnesses(building: OnSite, frame: Frame): Nearness[] {
  const { site, footprint } = building
  const turn = site ? turnOf(site.place, footprint.length, footprint.width) : null
  if (!turn) return []
  const digs = digsOf(frame).map(dig => ({ ...dig, at: turn.toSite(dig.at) }))
  return findsOf(building).flatMap(({ find, places: [first, second] }) => {
    if (!first) return []
    const far = digs.map(dig => ({
      id: dig.id,
      by: Math.max(0, (second ? toStretch(dig.at, first, second) : apart(dig.at, first)) - dig.half),
    }))
    const near = far.filter(each => each.by < find.clear - HAIR)
    return near.length
      ? [{ find, ids: near.map(each => each.id), least: Math.min(...near.map(each => each.by)) }]
      : []
  })
}

/**
 * How far the building stands off a line of the plot, mm, square to it, from its nearest corner; and what is
 * asked. Negative where the line runs through it.
 */
export interface Clearance {
  /** Place of the line in the document. */
  readonly number: number
  readonly name: string
  readonly distance: number
  readonly setback: number
}

/** Of a building with all that hangs on it: the nearest of them counts. */
export function clearances(
  { site, footprint }: OnSite,
  { outline, hung }: Pick<Frame, 'outline' | 'hung'>,
): Clearance[] {
  const turn = site ? turnOf(site.place, footprint.length, footprint.width) : null
  if (!site || !turn) return []
  return site.boundaries.flatMap((boundary, number) => {
    const off = [outline, ...hung].map(each => offLine(boundary, turn, each, outline))
    const known = off.filter(each => each !== null)
    return known.length === off.length
      ? [{ number, name: boundary.name, distance: Math.min(...known), setback: boundary.setback }]
      : []
  })
}

/** A side of a building with something standing close before it, by its name; mm between them. */
export interface CloseSide {
  readonly side: SideName
  readonly to: string
  readonly distance: number
}

/** The sides that stand closer to a house, a fence, a wall or a line of the plot than one can work in. */
export function closeSides({ site, footprint }: OnSite, reach: number): CloseSide[] {
  const turn = site ? turnOf(site.place, footprint.length, footprint.width) : null
  if (!site || !turn) return []
  const { length, width } = footprint
  const corner = { sw: spot(0, 0), se: spot(length, 0), ne: spot(length, width), nw: spot(0, width) }
  const before = standing(site, { footprint, site })
  return sideNames.flatMap(side => {
    const [left, right] = cornersOf[side]
    const ends = [turn.toSite(corner[left]), turn.toSite(corner[right])] as const
    const middle = spot((ends[0].x + ends[1].x) / 2, (ends[0].y + ends[1].y) / 2)
    const near = before
      // what lies before a side is on its outer hand, as far as its own length reaches
      .filter(({ a, b }) => [a, b, nearest(middle, a, b)].some(p => outside(p, ends)))
      .map(({ name, a, b }) => ({ side, to: name, distance: between(ends, [a, b]) }))
      .filter(({ distance }) => distance > HAIR && distance < reach - HAIR)
      .sort((a, b) => a.distance - b.distance)
    return near.slice(0, 1)
  })
}

/** What stands on a site or bounds it, as stretches in site axes. */
function standing(site: Site, on: OnSite): { name: string; a: Spot; b: Spot }[] {
  const { reference } = site
  return [
    ...(reference.kind === 'line'
      ? []
      : [{ name: reference.kind, a: spot(0, 0), b: spot(reference.length, 0) }]),
    ...site.boundaries.map(({ name, from, to }) => ({
      name,
      a: spot(from.along, from.out),
      b: spot(to.along, to.out),
    })),
    ...findsOf(on).flatMap(({ find, places: [a, b] }) =>
      find.kind === 'wall' && a ? [{ name: find.name, a, b: b ?? a }] : [],
    ),
  ]
}

type Ends = readonly [Spot, Spot]

/** Whether a place lies outside a side, its corners as seen from outside, left and right. */
const outside = (p: Spot, [left, right]: Ends): boolean => (leftOf(p, left, right) ?? 0) < -HAIR

/** The place of a stretch nearest to another. */
function nearest(p: Spot, a: Spot, b: Spot): Spot {
  const long = apart(a, b) ** 2
  const t = long
    ? Math.min(1, Math.max(0, ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / long))
    : 0
  return spot(a.x + t * (b.x - a.x), a.y + t * (b.y - a.y))
}

/** The least distance of two stretches that don't cross. */
const between = (one: Ends, other: Ends): number =>
  Math.min(...one.map(p => toStretch(p, ...other)), ...other.map(p => toStretch(p, ...one)))

function offLine(
  { from, to }: Site['boundaries'][number],
  turn: SiteTurn,
  rect: Frame['outline'],
  main: Frame['outline'],
): number | null {
  const [a, b] = [
    { x: from.along, y: from.out },
    { x: to.along, y: to.out },
  ]
  const offs = (each: Frame['outline']) => cornersOfRect(each).map(p => leftOf(turn.toSite(p), a, b))
  const [of, about] = [offs(rect), offs(main)]
  if ([...of, ...about].some(each => each === null)) return null
  const known = of as number[]
  // the side of the line that the main part's middle is on
  const middle = (about as number[]).reduce((sum, each) => sum + each, 0)
  return middle >= 0 ? Math.min(...known) : -Math.max(...known)
}
