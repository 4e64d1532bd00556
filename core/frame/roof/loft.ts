import { inRoof } from '../place'
import type { Building } from '../../design'
import { stockLengths } from '../../lumber'
import type { Problem, RoofLines, RoofLumber } from '../../lines'
import { HAIR } from '../../measure'
import { isCeilingJoist, overlap, type Role, type Stretch } from '../../trade'
import { layDeck } from '../floor/deck'
import { boxOf, type Member, type Order } from '../member'
import type { Rect } from '../rect'
import { sliceOf } from '../strike'
import { stairsOf } from './stairs'
import { betweenEnds } from './ties'

/** A loft's deck: its outline, its surface over the building's deck, mm, and its openings. */
export interface Loft {
  readonly rect: Rect
  readonly surface: number
  readonly openings: readonly Rect[]
}

/** What is laid in a roof to walk on. */
export interface LoftFrame {
  readonly loft: Loft | null
  readonly orders: readonly Order[]
  readonly problems: readonly Problem[]
}

/** What a loft's deck lies on. */
const bears = (role: Role): boolean => isCeilingJoist(role) || role === 'bottom-chord'

/** What bounds a loft on its sides, or leaves no room for one; what else stands in it, it is cut about. */
const sides: readonly Role[] = [
  'rafter',
  'upper-chord',
  'lower-chord',
  'web',
  'knee-stud',
  'knee-plate',
  'rafter-tie',
  'collar-tie',
]

/** What a deck keeps off the posts that it is cut about, and the least of it across the building, mm. */
const OFF = 6
const LEAST = 900

/** From the joists' upper edges up, less than what is taken for touching. */
const SKIN = 0.1

/** Nothing to walk on. */
export const noLoft: LoftFrame = { loft: null, orders: [], problems: [] }

/**
 * A deck on the ceiling joists or the bottom chords that stand: between the gable walls, and as far to either
 * side as rafters, webs or knee walls let it; about posts, gussets and stairs.
 */
export function loftFrame(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  members: readonly Member[],
): LoftFrame {
  const asked = building.roof.loft
  if (!asked || !lines.faces.length) return noLoft
  const joists = members.filter(({ role }) => bears(role))
  const [first] = joists
  if (!first) return { ...noLoft, problems: [{ code: 'loft-no-joists', path: 'roof.loft' }] }
  const x = betweenEnds(building)
  const top = Math.max(...joists.map(each => boxOf(each).z.to))
  const thick = asked.deck.kind === 'sheets' ? asked.deck.thickness : (lumber.loft?.thickness ?? 0)
  const slab = { from: top + SKIN, to: top + thick }
  const inWay = members
    .filter(({ role, where }) => !bears(role) && (where.in === 'roof' || where.in === 'walls'))
    .flatMap(member => {
      const rect = sliceOf(member, slab)
      return rect && overlap({ from: rect.x0, to: rect.x1 }, x) ? [{ role: member.role, rect }] : []
    })
  const y = across(building, inWay)
  if (!y || y.to - y.from < LEAST || x.to - x.from < LEAST)
    return { ...noLoft, problems: [{ code: 'loft-no-room', path: 'roof.loft' }] }
  const rect: Rect = { x0: x.from, x1: x.to, y0: y.from, y1: y.to }
  const stairs = stairsOf(members)
  const holes = inWay
    .filter(({ role }) => !sides.includes(role))
    .map(each => each.rect)
    .map(({ x0, x1, y0, y1 }) => ({ x0: x0 - OFF, x1: x1 + OFF, y0: y0 - OFF, y1: y1 + OFF }))
  const at = joists.map(each => boxOf(each).x)
  const deck = layDeck(
    asked.deck,
    lumber.loft,
    { rect, joists: 'y', place: (name, ...run) => inRoof(`loft/${name}`, ...run) },
    at,
    [...stairs, ...holes],
    top + thick,
    stockLengths[building.lumber.yard].at(-1) ?? 0,
  )
  return {
    loft: { rect, surface: top + thick, openings: stairs },
    orders: deck,
    problems: [],
  }
}

/** What is free across the building about its middle; null where something stands there. */
function across(
  { footprint: { width } }: Building,
  inWay: readonly { readonly role: Role; readonly rect: Rect }[],
): Stretch | null {
  const bounds = inWay.filter(({ role }) => sides.includes(role)).map(each => each.rect)
  const middle = width / 2
  if (bounds.some(({ y0, y1 }) => y0 < middle + HAIR && y1 > middle - HAIR)) return null
  const south = bounds.filter(({ y1 }) => y1 < middle).map(({ y1 }) => y1)
  const north = bounds.filter(({ y0 }) => y0 > middle).map(({ y0 }) => y0)
  return { from: Math.max(0, ...south), to: Math.min(width, ...north) }
}
