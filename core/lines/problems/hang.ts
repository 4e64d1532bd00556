import type { SideName } from '../../design'
import type { Role } from '../../trade'

/** What stands in a building and is not sawn. */
export type PartKind = 'block' | 'pier' | 'slab' | 'low-wall'

/** Why a part can't hang on the main one; numbers in mm, in the part's own axes. */
export type HangProblem =
  | {
      readonly code: 'hang-into-eave'
      readonly path: `walls.sides.${SideName}.height`
      readonly most: number
    }
  | {
      readonly code: 'hang-no-room'
      readonly path: 'walls.height' | `walls.sides.${SideName}.height`
      readonly most: number
    }
  | { readonly code: 'hang-no-eave' | 'hang-no-end'; readonly path: 'hang.by'; readonly side: SideName }
  | {
      readonly code: 'hang-end-built'
      readonly path: `walls.sides.${SideName}.build`
      readonly side: SideName
    }
  | { readonly code: 'hang-too-long'; readonly path: 'footprint.length'; readonly most: number }
  | {
      readonly code: 'hang-past-wall'
      readonly path: 'hang.along'
      readonly least: number
      readonly most: number
    }
  | { readonly code: 'hang-no-wall'; readonly path: 'hang.side'; readonly side: SideName }
  | {
      readonly code: 'ledger-over-opening'
      readonly path: `walls.sides.${SideName}.height`
      /** The opening's number in the main part. */
      readonly number: number
      /** Where the ledger's top would clear it; null where nothing does. */
      readonly below: number | null
      readonly above: number
    }
  | { readonly code: 'part-too-high'; readonly path: 'base.kind'; readonly comes: number }
  | { readonly code: 'hang-too-low'; readonly path: 'roof.pitch'; readonly comes: number }
  | {
      readonly code: 'part-porch-inside'
      readonly path: 'floor.porch.depth'
      readonly side: SideName
    }
  | { readonly code: 'part-on-nothing'; readonly path: 'base.kind'; readonly side: SideName }
  | {
      readonly code: 'part-past-porch'
      readonly path: 'footprint.length' | 'footprint.width'
      readonly most: number
    }
  | { readonly code: 'hang-on-porch'; readonly path: 'base.kind' | 'floor.joist'; readonly side: SideName }
  | {
      readonly code: 'part-meets-base'
      readonly path: 'base.lift' | 'hang.along'
      /** What of the part, and what of the main part or of another by its number, null of the main one. */
      readonly mine: Role | PartKind
      readonly theirs: Role | PartKind
      readonly other: number | null
      /** How high the part's base would have to be held; null where that does not help. */
      readonly least: number | null
    }
  | { readonly code: 'parts-meet'; readonly path: 'hang.along'; readonly other: number }
