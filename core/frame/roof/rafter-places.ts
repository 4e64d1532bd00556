import { clearOfEnds, onCentre, type Stretch, withLayout } from '../../trade'
import type { Building } from '../../design'
import type { Section } from '../../lumber'
import { partingsIn, type Standing, standingIn } from './openings'
import type { RoofShape, SlopeDatum } from './shape'

/** Where the rafters of a roof with gables stand along it: at both ends, and on centre from the west. */
export function rafterPlaces({ footprint, roof }: Building, rafter: Section): Stretch[] {
  const t = rafter.thickness
  const ends = [
    { from: 0, to: t },
    { from: footprint.length - t, to: footprint.length },
  ]
  return withLayout(
    ends,
    clearOfEnds(onCentre(roof.spacing, footprint.length), { from: t / 2, to: footprint.length - t / 2 }, t),
    t,
  )
}

/** Where those of one slope stand, those beside and in its openings among them. */
export const standingOn = (building: Building, rafter: Section, side: SlopeDatum['side']): Standing[] =>
  standingIn(rafterPlaces(building, rafter), partingsIn(building, side, rafter), rafter)

/** Rafters over both eave walls. */
export const overEaveWalls: RoofShape['places'] = (building, rafter) => {
  const along = rafterPlaces(building, rafter)
  return { south: along, north: along }
}
