import { HAIR } from '../measure'
import type { Find, Site } from '../design'
import { apart, leftOf, type SiteTurn, type Spot, toStretch, turnOf } from '../survey'
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
