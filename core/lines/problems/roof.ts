import type { CoverBase, GambrelPath, KickFault, SideName, TieKind } from '../../design'

/** Why a roof, or some of it, cannot be framed as drawn; numbers in mm. */
export type RoofProblem =
  | { readonly code: 'taper-south'; readonly path: 'roof.taper' }
  | { readonly code: 'rafter-no-length'; readonly path: 'footprint.width'; readonly least: number }
  | {
      readonly code: 'ridge-off-span'
      readonly path: `walls.sides.${SideName}.height`
      readonly most: number
    }
  | {
      readonly code: 'peak-out-of-reach'
      readonly path: `roof.peak.${'at' | 'height'}`
      readonly least: number
      readonly most: number
    }
  | {
      readonly code: 'roof-sheet-short'
      readonly path: `${CoverBase}.deck.sheet.length`
      readonly least: number
    }
  | {
      readonly code: 'lap-too-wide'
      readonly path: `${CoverBase}.${'top' | 'underlay'}.lap`
      readonly most: number
    }
  | {
      readonly code: 'first-row-wide' | 'first-panel-wide'
      readonly path: `${CoverBase}.${'deck' | 'top'}.first`
      readonly most: number
    }
  | {
      readonly code: 'cover-on-purlins'
      readonly path: `${CoverBase}.${'deck' | 'battens'}`
    }
  | { readonly code: 'pitches-apart'; readonly path: 'roof.northPitch' }
  | {
      readonly code:
        | 'knee-off-span'
        | 'knee-steep'
        | 'knee-flat'
        | 'ridge-under-knee'
        | 'foot-off-plate'
        | 'foot-through-chord'
        | 'foot-over-seat'
        | 'chord-short'
        | 'headroom-out-of-reach'
        | 'gusset-too-long'
      readonly path: GambrelPath
      /** From where to where it does, nearest to what is asked; null where none does, or none that way. */
      readonly least: number | null
      readonly most: number | null
      /** Degrees of the lower slopes, and a chord's depth there, plumb, mm. */
      readonly angle: number
      readonly plumb: number
    }
  | {
      readonly code: 'truss-walls-uneven'
      readonly path: `walls.sides.${SideName}.height`
      readonly side: SideName
      readonly height: number
    }
  | {
      readonly code: 'chords-unlike'
      readonly path: 'roof.truss.bottom' | 'roof.truss.web'
      readonly thickness: number
    }
  | { readonly code: 'truss-too-small'; readonly path: 'roof.truss.kind' }
  | {
      readonly code: 'truss-span-unlike'
      readonly path: 'roof.truss.bought.span'
      readonly span: number
      readonly width: number
    }
  | KickFault
  | {
      readonly code: 'ceiling-too-steep'
      readonly path: 'roof.truss.ceiling'
      /** Degrees; null where no ceiling is flat enough. */
      readonly angle: number | null
    }
  | {
      readonly code: 'splice-near-joint'
      readonly path: `roof.truss.splice.${'bottom' | 'top'}`
      readonly below: number | null
      readonly above: number | null
    }
  | {
      readonly code: 'heel-out-of-reach'
      readonly path: 'roof.truss.heel'
      readonly least: number | null
      readonly most: number | null
    }
  | {
      readonly code: 'room-out-of-reach'
      readonly path: `roof.truss.room.${'width' | 'height'}`
      readonly most: number
    }
  | { readonly code: 'hip-too-short'; readonly path: 'footprint.length'; readonly least: number }
  | {
      readonly code: 'hip-nearly-square'
      readonly path: 'footprint.length'
      readonly square: number
      readonly least: number
    }
  | {
      readonly code: 'hip-walls-uneven'
      readonly path: `walls.sides.${SideName}.height`
      readonly side: SideName
      readonly height: number
    }
  | { readonly code: 'hip-off-plate'; readonly path: 'roof.hip.section'; readonly by: number }
  | { readonly code: 'ridge-post-blocked'; readonly path: 'roof.beam.spacing' | 'roof.raised.spacing' }
  | {
      readonly code: 'strip-off-span'
      readonly path: 'roof.raised.at'
      readonly least: number
      readonly most: number
    }
  | {
      readonly code: 'strip-too-low'
      readonly path: `walls.sides.${SideName}.height`
      readonly side: SideName
      readonly clear: number
      readonly least: number
    }
  | { readonly code: 'beam-shallow'; readonly path: 'roof.ridge'; readonly least: number }
  | { readonly code: 'beam-unborne'; readonly path: 'walls.gables' | `walls.sides.${SideName}.build` }
  | { readonly code: 'tail-over-seat'; readonly path: 'roof.tails.face'; readonly least: number }
  | { readonly code: 'finish-too-thick'; readonly path: 'roof.tails.finish'; readonly most: number }
  | {
      readonly code: 'soffit-no-room'
      readonly path: 'roof.overhang.eave'
      readonly side: SideName
      readonly least: number
    }
  | {
      readonly code: 'soffit-too-high'
      readonly path: 'roof.overhang.eave'
      readonly side: SideName
      readonly by: number
    }
  | { readonly code: 'ends-no-room'; readonly path: 'roof.overhang.gable'; readonly least: number }
  | { readonly code: 'lookout-too-thick'; readonly path: 'roof.ends.lookout'; readonly most: number }
  | {
      readonly code: 'roof-opening-no-slope'
      readonly path: `roof.openings.${number}.slope`
      readonly number: number
      readonly side: SideName
    }
  | {
      readonly code: 'roof-opening-too-big'
      readonly path: `roof.openings.${number}.${'width' | 'length'}`
      readonly number: number
      readonly most: number
    }
  | {
      readonly code: 'stair-too-big'
      readonly path: `roof.openings.${number}.${'width' | 'length'}`
      readonly number: number
      readonly most: number
    }
  | {
      readonly code: 'roof-opening-no-room'
      readonly path: `roof.openings.${number}.${'at' | 'up'}`
      readonly number: number
      readonly least: number
      readonly most: number
    }
  | {
      readonly code: 'stair-no-room'
      readonly path: `roof.openings.${number}.${'at' | 'up'}`
      readonly number: number
      readonly least: number
      readonly most: number
    }
  | {
      readonly code: 'roof-opening-cuts-truss'
      readonly path: `roof.openings.${number}.${'width' | 'at'}`
      readonly number: number
      readonly least: number | null
      readonly most: number | null
    }
  | {
      readonly code: 'roof-openings-meet'
      readonly path: `roof.openings.${number}.at`
      readonly number: number
      readonly other: number
      /** Whether both lie between the same two trusses. */
      readonly trussed: boolean
    }
  | { readonly code: 'loft-no-joists' | 'loft-no-room'; readonly path: 'roof.loft' }
  | {
      readonly code: 'stair-no-joists' | 'stair-few-trusses'
      readonly path: `roof.openings.${number}.kind`
      readonly number: number
    }
  | {
      readonly code: 'stair-meets-stair' | 'stair-meets-tie' | 'stair-not-doubled'
      readonly path: `roof.openings.${number}.at`
      readonly number: number
    }
  | {
      readonly code: 'ledger-out-of-reach'
      readonly path: `walls.sides.${SideName}.height`
      readonly least: number
      readonly most: number
    }
  | { readonly code: 'ledger-below-deck'; readonly path: 'roof.ridge'; readonly by: number }
  | {
      readonly code: 'flat-walls-uneven'
      readonly path: `walls.sides.${SideName}.height`
      readonly side: SideName
      readonly height: number
    }
  | { readonly code: 'notch-too-deep'; readonly path: 'roof.pergola.notch'; readonly most: number }
  | { readonly code: 'tail-too-shaped'; readonly path: 'roof.pergola.tail.size'; readonly most: number }
  | {
      readonly code: 'battens-touch'
      readonly path: 'roof.pergola.battens.apart'
      readonly least: number
    }
  | { readonly code: 'firring-shallow'; readonly path: 'roof.firring.section'; readonly least: number }
  | { readonly code: 'firring-thick'; readonly path: 'roof.firring.section'; readonly most: number }
  | { readonly code: 'air-too-much'; readonly path: 'roof.blocking.air'; readonly most: number }
  | {
      readonly code: 'knee-purlin-low'
      readonly path: 'roof.gambrel.purlin.section'
      /** Deepest that finds room; mm. */
      readonly most: number
    }
  | {
      readonly code: 'knee-mouth-deep'
      readonly path: 'roof.rafter'
      readonly least: number
      /** What the mouths are cut over. */
      readonly kind: 'wall' | 'purlin'
    }
  | { readonly code: 'knee-post-blocked'; readonly path: 'roof.gambrel.purlin.spacing' }
  | { readonly code: 'joist-post-blocked'; readonly path: 'roof.joistBeam.spacing' }
  | {
      readonly code: 'joist-beam-low'
      readonly path: 'roof.joistBeam.section'
      readonly most: number
    }
  | {
      readonly code: 'joist-beam-no-room'
      readonly path: 'roof.joistBeam.at'
      /** The nearest places of its middle that are clear; null where none is that way. */
      readonly below: number | null
      readonly above: number | null
    }
  | { readonly code: 'purlin-unborne'; readonly path: 'roof.purlins' }
  | {
      readonly code: 'purlin-too-low'
      readonly path: 'roof.purlins'
      readonly side: SideName
      readonly by: number
    }
  | { readonly code: 'purlin-brace-blocked'; readonly path: 'roof.purlins'; readonly side: SideName }
  | { readonly code: 'purlin-no-reach'; readonly path: 'roof.purlins' }
  | {
      readonly code: 'purlin-meets-opening'
      readonly path: 'roof.purlins'
      readonly side: SideName
      readonly number: number
    }
  | { readonly code: 'purlin-meets-tie'; readonly path: 'roof.purlins'; readonly side: SideName }
  | { readonly code: 'purlin-meets-post'; readonly path: 'roof.purlins'; readonly side: SideName }
  | { readonly code: 'purlin-braces-no-room'; readonly path: 'roof.purlins.spacing'; readonly side: SideName }
  | {
      readonly code: 'purlin-brace-flat'
      readonly path: 'roof.purlins'
      readonly side: SideName
      readonly angle: number
      readonly least: number
      readonly most: number
    }
  | {
      readonly code: 'slope-falls'
      readonly path: `walls.sides.${SideName}.height`
      readonly side: SideName
      readonly least: number
    }
  | {
      readonly code: 'slope-steep'
      readonly path: `walls.sides.${SideName}.height`
      readonly side: SideName
      readonly most: number
    }
  | { readonly code: 'seat-wants-mouth'; readonly path: 'roof.seat.rule' }
  | { readonly code: 'ridge-into-wall'; readonly path: 'roof.ridge'; readonly by: number }
  | {
      readonly code: 'fascia-no-room'
      readonly path: `roof.overhang.${'eave' | 'high'}`
      readonly side: SideName
      readonly least: number
    }
  | {
      readonly code: 'fascia-below-deck'
      readonly path: `roof.fascia.${'sub' | 'face'}`
      readonly side: SideName
      readonly by: number
    }
  | {
      readonly code: 'ceiling-meets-rafters'
      readonly path: 'roof.ties.ceiling.height'
      readonly most: number
    }
  | {
      readonly code: 'ceiling-meets-opening'
      readonly path: 'roof.ties.ceiling.height'
      readonly number: number
      readonly side: SideName
      readonly over: number | null
      readonly under: number | null
    }
  | {
      readonly code: 'ceiling-unborne'
      readonly path: `walls.sides.${SideName}.build`
      readonly side: SideName
    }
  | {
      readonly code: 'tie-meets-ridge'
      readonly path: `roof.ties.${TieKind}.height`
      readonly kind: TieKind
      readonly most: number
    }
  | { readonly code: 'rafter-off-plate'; readonly path: 'roof.seat.height'; readonly most: number }
  | {
      readonly code: 'seat-through-rafter' | 'seat-through-hip'
      readonly path: 'roof.seat.height' | 'roof.seat.rule'
      readonly least: number
    }
  | { readonly code: 'strip-vents-many'; readonly path: 'roof.raised.vents'; readonly bays: number }
  | { readonly code: 'tail-lost'; readonly path: 'roof.overhang.eave'; readonly most: number }
  | {
      readonly code: 'tail-below-deck'
      readonly path: 'roof.overhang.eave' | 'roof.gambrel.foot.drop' | 'roof.rafter'
      /** Null where no overhang, and no foot, is short enough. */
      readonly most: number | null
    }
