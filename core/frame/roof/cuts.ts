import type { Plane } from '../../geometry'
import type { BuildingCut } from '../member'

/** A cut by a plumb plane. */
export const plumbCut = (plane: Plane): BuildingCut => ({ kind: 'end', name: 'plumb', plane })

/** A bird's mouth: what lies behind its plumb side and under the plate. */
export const birdsmouth = (heel: Plane, seat: Plane): BuildingCut => ({
  kind: 'notch',
  name: 'birdsmouth',
  sides: [
    { name: 'heel', plane: heel },
    { name: 'seat', plane: seat },
  ],
})

/** A mitre at a corner. */
export const mitre = (plane: Plane): BuildingCut => ({ kind: 'end', name: 'mitre', plane })
