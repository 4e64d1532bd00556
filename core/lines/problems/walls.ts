import type { SideName, SidingPath } from '../../design'

/** Why walls, or something in them, cannot be framed as drawn; numbers in mm. */
export type WallProblem =
  | {
      readonly code: 'wall-too-low'
      readonly path: 'walls.height' | `walls.sides.${SideName}.height`
      readonly least: number
    }
  | {
      readonly code: 'wall-too-short'
      readonly path: 'footprint.length' | 'footprint.width'
      readonly least: number
    }
  | {
      readonly code: 'spacing-too-tight'
      readonly path: 'walls.spacing' | 'roof.spacing' | 'floor.spacing'
      readonly least: number
    }
  | {
      readonly code: 'gable-notch-thin'
      readonly path: 'walls.gables'
      readonly left: number
      readonly least: number
    }
  | {
      readonly code: 'door-no-room'
      readonly path: `walls.openings.${number}.unit.${'width' | 'height'}`
      readonly number: number
      readonly least: number
    }
  | {
      readonly code: 'door-panel-thick' | 'door-panel-deep'
      readonly path: `walls.openings.${number}.door.panel.${'thickness' | 'deep'}`
      readonly most: number
    }
  | { readonly code: 'siding-narrow'; readonly path: `${SidingPath}.section`; readonly least: number }
  | {
      readonly code: 'siding-shows'
      readonly path: `${SidingPath}.exposure`
      readonly least: number
      readonly most: number
    }
  | {
      readonly code: 'glazed-thick' | 'glazed-deep'
      readonly path: `${SidingPath}.${'thickness' | 'deep'}`
      readonly most: number
    }
  | {
      readonly code: 'glazed-wide' | 'glazed-tall'
      readonly path: `${SidingPath}.${'width' | 'longest'}`
      readonly least: number
    }
  | {
      readonly code: 'glazed-crossed'
      readonly path: SidingPath
      readonly side: SideName
      readonly bays: number
    }
  | {
      readonly code: 'brace-let-in'
      readonly path: 'walls.stud'
      readonly left: number
      readonly least: number
    }
  | { readonly code: 'glazed-braced'; readonly path: 'walls.bracing' }
  | { readonly code: 'glazed-raked' | 'glazed-truss'; readonly path: SidingPath; readonly side: SideName }
  | { readonly code: 'gable-notch-truss'; readonly path: 'walls.gables' }
  | { readonly code: 'gable-notch-blocked'; readonly path: 'walls.gables'; readonly side: SideName }
  | {
      readonly code: 'opening-in-house'
      readonly path: `walls.openings.${number}.wall`
      readonly number: number
    }
  | {
      readonly code: 'gable-over-eaves'
      readonly path: `walls.sides.${SideName}.height`
      readonly side: SideName
      readonly most: number
    }
  | {
      readonly code: 'opening-near-corner'
      readonly path: `walls.openings.${number}.at`
      readonly number: number
      readonly least: number
      readonly most: number
    }
  | {
      readonly code: 'opening-too-wide'
      readonly path: `walls.openings.${number}.unit.width`
      readonly number: number
      readonly most: number
    }
  | {
      readonly code: 'joined-heads'
      readonly path: `walls.openings.${number}.unit.height`
      readonly number: number
      readonly other: number
      /** The unit's height with which both heads are level. */
      readonly height: number
    }
  | {
      readonly code: 'joined-apart'
      readonly path: `walls.openings.${number}.at`
      readonly number: number
      readonly other: number
      readonly below: number | null
      readonly above: number | null
    }
  | {
      readonly code: 'openings-meet'
      readonly path: `walls.openings.${number}.at`
      readonly number: number
      readonly other: number
      readonly apart: number
    }
  | {
      readonly code: 'opening-over-wider'
      readonly path: `walls.openings.${number}.unit.width`
      readonly number: number
      readonly other: number
      /** The lower one's middle; null where theirs are one. */
      readonly middle: number | null
      /** Whether it is the one on top. */
      readonly above: boolean
      readonly by: number
    }
  | {
      readonly code: 'opening-at-partition'
      readonly path: `walls.openings.${number}.at`
      readonly number: number
      readonly below: number | null
      readonly above: number | null
    }
  | {
      readonly code: 'opening-at-step'
      readonly path: `walls.openings.${number}.at`
      readonly number: number
      readonly below: number | null
      readonly above: number | null
    }
  | {
      readonly code: 'step-under-rafters' | 'step-in-posts' | 'step-under-strip'
      readonly path: `walls.sides.${SideName}.step`
      readonly side: SideName
    }
  | {
      readonly code: 'step-no-room'
      readonly path: `walls.sides.${SideName}.step.at`
      readonly side: SideName
      /** Null where the wall is too short for a step. */
      readonly range: {
        readonly least: number
        readonly most: number
      } | null
    }
  | {
      readonly code: 'step-at-partition'
      readonly path: `walls.sides.${SideName}.step.at`
      readonly side: SideName
      readonly below: number | null
      readonly above: number | null
    }
  | {
      readonly code: 'step-too-low'
      readonly path: `walls.sides.${SideName}.step.height`
      readonly side: SideName
      readonly least: number
    }
  | {
      readonly code: 'step-into-roof'
      readonly path: `walls.sides.${SideName}.step.height`
      readonly side: SideName
      readonly most: number
    }
  | {
      readonly code: 'partition-no-room'
      readonly path: `walls.partitions.${number}.at`
      readonly number: number
      readonly least: number
      readonly most: number
    }
  | {
      readonly code: 'partitions-meet'
      readonly path: `walls.partitions.${number}.at`
      readonly number: number
      readonly other: number
    }
  | {
      readonly code: 'opening-in-posts'
      readonly path: `walls.openings.${number}.wall`
      readonly number: number
    }
  | {
      readonly code: 'open-under-eave'
      readonly path: `walls.sides.${SideName}.build`
      readonly side: SideName
    }
  | {
      readonly code: 'opening-in-open'
      readonly path: `walls.openings.${number}.wall`
      readonly number: number
    }
  | { readonly code: 'posts-too-far-in'; readonly path: 'walls.posts.inset'; readonly most: number }
  | { readonly code: 'bolted-on-log'; readonly path: 'walls.posts.set' }
  | { readonly code: 'balusters-too-deep'; readonly path: 'walls.railing.baluster'; readonly most: number }
  | { readonly code: 'rails-too-thick'; readonly path: 'walls.railing.rail'; readonly most: number }
  | { readonly code: 'girts-too-deep'; readonly path: 'walls.between.girt'; readonly most: number }
  | { readonly code: 'diagonals-too-thick'; readonly path: 'walls.between.diagonal'; readonly most: number }
  | { readonly code: 'railing-too-low'; readonly path: 'walls.railing.height'; readonly least: number }
  | { readonly code: 'railing-too-high'; readonly path: 'walls.railing.height'; readonly most: number }
  | {
      readonly code: 'rails-need-posts'
      readonly path: `walls.sides.${SideName}.cover`
      readonly side: SideName
    }
  | { readonly code: 'cover-on-bolted'; readonly path: 'walls.posts.set' }
  | { readonly code: 'beam-into-rafters'; readonly path: 'walls.posts.plates' }
  | { readonly code: 'beam-too-thick'; readonly path: 'walls.posts.beam'; readonly most: number }
  | {
      readonly code: 'opening-too-low'
      readonly path: `walls.openings.${number}.unit.height`
      readonly number: number
      readonly least: number
    }
  | {
      readonly code: 'header-no-room'
      readonly path: `walls.openings.${number}.unit.height`
      readonly number: number
      readonly by: number
      readonly under: 'plates' | 'rafters'
    }
  | {
      readonly code: 'header-too-thick'
      readonly path: `walls.openings.${number}.header`
      readonly number: number
      readonly by: number
    }
  | {
      readonly code: 'sill-too-low'
      readonly path: `walls.openings.${number}.foot`
      readonly number: number
      readonly least: number
      /** What it may stand on instead, without a sill; null where that is the deck alone. */
      readonly floor: number | null
    }
