import type { Building, Find } from '../design'
import { cornersOf, type Meeting, rectangle, type Spot, turnOf, twoTapes } from '../survey'

/**
 * A find with its places in site axes, mm; a place whose two tapes can't meet is null there, with why in
 * `faults`.
 */
export interface SiteFind {
  readonly find: Find
  readonly places: readonly Spot[]
  readonly faults: readonly (Meeting & { readonly ok: false })[]
}

/** What says where a building stands on its site: a design, or a building. */
export type OnSite = Pick<Building, 'site' | 'footprint'>

/**
 * Where the finds are on the site. One that was measured off the building's stakes moves with them only on
 * paper: it is shown from where they are drawn, and not at all while the building has no place.
 */
export function findsOf({ site, footprint }: OnSite): SiteFind[] {
  if (!site) return []
  const turn = turnOf(site.place, footprint.length, footprint.width)
  const stakes = rectangle(footprint.length, footprint.width)
  return site.finds.map(find => {
    const placed = find.places.filter(place => place.from === 'line' || turn)
    const met = placed.map(place => {
      const [left, right] =
        place.from === 'line' || !turn
          ? [
              { x: 0, y: 0 },
              { x: site.reference.length, y: 0 },
            ]
          : cornersOf[place.from].map(name => turn.toSite(stakes[name]))
      return twoTapes(
        left ?? { x: 0, y: 0 },
        right ?? { x: 0, y: 0 },
        place.toLeft,
        place.toRight,
        place.lies === 'ahead' ? 'left' : 'right',
      )
    })
    return {
      find,
      places: met.flatMap(each => (each.ok ? [each.at] : [])),
      faults: met.flatMap(each => (each.ok ? [] : [each])),
    }
  })
}
