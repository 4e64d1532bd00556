import { findSection } from '../../lumber'
import { type Pitch, pitchAngle, radians } from '../../measure'
import type { Building } from '../building'
import { withRoof } from '../building'
import type { Truss, TrussKind } from '../gambrel'
import { ownSections } from '../lumber'
import type { Seat } from '../seat'
import { settingWorkedOut } from '../setting'
import { BRACES, trussSections, USUAL_LEG } from './truss-sections'

const halfOf = ({ rise, run }: Pitch): Pitch => ({ rise: rise / 2, run })

/** How top chords pass the wall's outside: at the heel, or uncut where none is asked for. */
export const heelSeat = ({ heel }: Pick<Truss, 'heel'>): Seat =>
  heel === null ? { rule: 'wedge' } : { rule: 'height-above-plate', height: heel }

/**
 * A building's trusses, of one of the kinds that its roof can have, the first of them where none of those is
 * asked for; its slopes known.
 */
export function trussWorkedOut(building: Building, truss: Truss, kinds: readonly TrussKind[]): Building {
  const own = ownSections(building.lumber)
  const chord = findSection(building.roof.rafter, own)
  if (!chord) return building
  const angle = pitchAngle(building.roof.pitch)
  const plumb = chord.depth / Math.cos(radians(angle))
  const kind = kinds.find(each => each === truss.kind) ?? kinds[0] ?? 'bottom-chord'
  const heel = truss.heel ?? plumb
  // how far gussets reach without meeting each other is seen once the truss is laid
  const leg = kind === 'bought' ? 0 : (truss.gusset.leg ?? USUAL_LEG)
  return withRoof(building, {
    seat: { rule: 'height-above-plate', height: heel },
    truss: {
      ...truss,
      ...trussSections(building, truss),
      kind,
      heel,
      ceiling: kind === 'scissors' ? (truss.ceiling ?? halfOf(building.roof.pitch)) : null,
      gusset: {
        ...truss.gusset,
        leg,
        asked: truss.gusset.leg,
        most: leg,
      },
      apart: Math.max(building.depths.west, building.depths.east) + BRACES + truss.gusset.thickness,
      setting: settingWorkedOut(truss.setting, building.footprint.width, building.lumber.yard),
    },
  })
}
