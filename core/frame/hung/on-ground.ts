import { type Design, type Find, heightsOf, type Levels, type Site, usualSite } from '../../design'
import { type Placement, toBoard, toBuilding, vec } from '../../geometry'
import { SAME_POINT } from '../../measure'
import { apart, cornersOf, rectangle, type SiteTurn, spot, type Spot, turnOf } from '../../survey'
import { findsOf } from '../site-finds'
import type { HungDesign } from './pose'

/** The part with the building's ground, read in its own axes: its levels, and what was found in it. */
export function onGround(whole: Design, part: HungDesign, pose: Placement): HungDesign {
  const { site } = whole
  if (!site) return part
  const points = heightsOf(site.levels).map(({ x, y, height }) => {
    const at = toBoard(pose, vec(x, y, 0))
    return { x: at.x, y: at.y, reading: height }
  })
  const levels: Levels = { method: 'height', points }
  const placed = placeOf(whole, part, pose)
  if (!points.length && !(placed && site.finds.length)) return part
  return {
    ...part,
    site: {
      ...usualSite(part.footprint.length, part.units),
      ...(placed ? { reference: site.reference, place: placed, finds: foundFromLine(whole) } : {}),
      levels,
    },
  }
}

/** Where a part stands on the building's site; null while that has no place there. */
function placeOf({ site, footprint }: Design, part: HungDesign, pose: Placement): Site['place'] | null {
  const turn = site ? turnOf(site.place, footprint.length, footprint.width) : null
  if (!turn) return null
  const { length, width } = part.footprint
  const stakes = rectangle(length, width)
  const onSite = (p: Spot): Spot => {
    const { x, y } = toBuilding(pose, vec(p.x, p.y, 0))
    return turn.toSite(spot(x, y))
  }
  const faces = ['south', 'east', 'north', 'west'] as const
  const places = faces.map((each): Site['place'] => {
    const [left, right] = cornersOf[each].map(name => onSite(stakes[name])) as [Spot, Spot]
    return { faces: each, along: left.x, near: left.y, far: right.y }
  })
  // of its sides the one that looks at the line
  const fits = (own: SiteTurn | null): boolean =>
    own !== null && Object.values(stakes).every(stake => apart(own.toSite(stake), onSite(stake)) < SAME_POINT)
  return places.find(each => fits(turnOf(each, length, width))) ?? null
}

/** What was found in the ground, each place by two tapes from the line's ends, where they met. */
const foundFromLine = (whole: Design): Find[] =>
  findsOf(whole).map(({ find, places }) => ({
    ...find,
    places: places.map(at => ({
      from: 'line' as const,
      toLeft: apart(at, spot(0, 0)),
      toRight: apart(at, spot(whole.site?.reference.length ?? 0, 0)),
      lies: at.y < 0 ? ('behind' as const) : ('ahead' as const),
    })),
  }))
