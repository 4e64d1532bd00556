import { findSection } from '../../lumber'
import { type Pitch, pitchAngle, radians } from '../../measure'
import type { Building } from '../building'
import { withRoof } from '../building'
import type { Truss, TrussKind } from '../gambrel'
import { ownSections } from '../lumber'
import type { Roof } from '../roof'
import { settingWorkedOut } from '../setting'
import { evened } from './even'
import { peakWorkedOut } from './peak'
import { BRACES, trussSections, USUAL_LEG } from './truss-sections'

/** The trusses of a gable's roof line, the usual first. */
export const gableTrusses: readonly TrussKind[] = [
  'w-web',
  'king-post',
  'queen-post',
  'attic',
  'scissors',
  'bottom-chord',
  'bought',
]

const halfOf = ({ rise, run }: Pitch): Pitch => ({ rise: rise / 2, run })

/**
 * A gable of trusses: two slopes of one pitch over two walls of one height, that meet without a ridge board;
 * where no heel is asked for the top chords' lower edges pass the plates' outer edges.
 */
export function gableOfTrusses(plain: Building, asked: Roof): Building {
  const { truss } = asked
  const even = withRoof(evened(plain, ['south', 'north']), {
    carried: 'trusses',
    peak: { at: null, height: asked.peak.height },
    purlins: null,
    seat: truss.heel === null ? { rule: 'wedge' } : { rule: 'height-above-plate', height: truss.heel },
  })
  return trussWorkedOut(peakWorkedOut(even), truss, gableTrusses)
}

/**
 * A building's trusses, of one of the kinds that its roof can have, the first of them where none of those is
 * asked for; its slopes known.
 */
export function trussWorkedOut(building: Building, truss: Truss, kinds: readonly TrussKind[]): Building {
  const own = ownSections(building.lumber)
  const [chord, stud] = [building.roof.rafter, building.walls.stud].map(name => findSection(name, own))
  if (!chord || !stud) return building
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
      apart: stud.depth + BRACES + truss.gusset.thickness,
      setting: settingWorkedOut(truss.setting, building.footprint.width, building.lumber.yard),
    },
  })
}
