import type { Plane } from '../../geometry'
import type { BuildingCut } from '../member'

/** A cut by a plumb plane. */
export const plumbCut = (plane: Plane): BuildingCut => ({ kind: 'end', name: 'plumb', plane })

/** A mitre at a corner. */
export const mitre = (plane: Plane): BuildingCut => ({ kind: 'end', name: 'mitre', plane })
