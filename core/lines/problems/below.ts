import type { SideName } from '../../design'

/** Why what lies below the walls cannot be: the floor, the base, the place on the site; numbers in mm. */
export type BelowProblem =
  | {
      readonly code: 'floor-too-small'
      readonly path: 'footprint.length' | 'footprint.width'
      readonly least: number
    }
  | {
      readonly code: 'joint-off-floor'
      readonly path: 'floor.joint'
      /** Null where no joint leaves room on both sides. */
      readonly range: {
        readonly least: number
        readonly most: number
      } | null
    }
  | { readonly code: 'porch-in-house'; readonly path: 'floor.porch.side'; readonly side: SideName }
  | {
      readonly code: 'skirt-too-deep'
      readonly path: 'base.lift'
      readonly most: number
      readonly deep: number
    }
  | { readonly code: 'porch-too-small'; readonly path: 'floor.porch.depth'; readonly least: number }
  | {
      readonly code: 'opening-off-floor'
      readonly path: `floor.openings.${number}.x`
      readonly number: number
      readonly clear: number
      readonly clash: boolean
    }
  | {
      readonly code: 'poles-need-posts'
      readonly path: `walls.sides.${SideName}.build`
      readonly side: SideName
    }
  | { readonly code: 'holes-meet'; readonly path: 'base.hole'; readonly most: number }
  | { readonly code: 'base-without-floor' | 'poles-under-floor'; readonly path: 'base.kind' }
  | { readonly code: 'slab-under-floor'; readonly path: 'base.kind' }
  | {
      readonly code: 'base-too-small'
      readonly path: 'footprint.length' | 'footprint.width'
      readonly least: number
    }
  | { readonly code: 'supports-touch'; readonly path: 'base.beams.rows' | 'base.count'; readonly by: number }
  | { readonly code: 'low-wall-too-thick'; readonly path: 'base.lowWall.thickness'; readonly most: number }
  | { readonly code: 'post-no-length'; readonly path: 'base.lift'; readonly least: number }
  | {
      readonly code: 'not-placed'
      readonly path: 'site.place.far'
      readonly least: number
      readonly most: number
    }
