import type { BoardFault } from '../board'

/** Why a building cannot be framed as drawn. `path` is the field to change; numbers in mm. What can be framed still is. */
export type Problem =
  | { readonly code: 'wall-too-low', readonly path: 'walls.height', readonly least: number }
  | { readonly code: 'wall-too-short', readonly path: 'footprint.length' | 'footprint.width', readonly least: number }
  | { readonly code: 'spacing-too-tight', readonly path: 'walls.spacing' | 'roof.spacing', readonly least: number }
  | { readonly code: 'rafter-no-length', readonly path: 'footprint.width', readonly least: number }
  | { readonly code: 'ridge-into-wall', readonly path: 'roof.ridge', readonly by: number }
  | { readonly code: 'rafter-off-plate', readonly path: 'roof.seat.height', readonly most: number }
  | { readonly code: 'seat-through-rafter', readonly path: 'roof.seat.height', readonly least: number }
  | { readonly code: 'tail-lost', readonly path: 'roof.overhang.eave', readonly most: number }
  | { readonly code: 'tail-below-deck', readonly path: 'roof.overhang.eave', readonly most: number }
  | { readonly code: 'not-cut', readonly path: '', readonly member: string, readonly fault: BoardFault }
