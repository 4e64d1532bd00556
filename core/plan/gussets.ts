import type { Building } from '../design'
import { type Frame, trussOf } from '../frame'
import { countUp, FOOT } from '../measure'
import { count, type Loose } from './loose-item'
import { type Nailing, nailingOf } from './nailing'

/**
 * A tube of construction adhesive, 10 oz or 300 ml, lays a bead a quarter of an inch wide so long, mm: 30 ft
 * (common practice, no source).
 */
const TUBE = 30 * FOOT
/** Beads along each member's end (common practice, no source). */
const BEADS = 2

/** Nails and adhesive of a roof's gussets; nothing where it has none. */
export function gussetsOf(building: Building, frame: Frame): Loose[] {
  const { truss } = building.roof
  if (!truss) return []
  const gussets = frame.members.filter(({ role, where }) => role === 'gusset' && trussOf(where) !== null)
  // on the trusses between the end ones gussets of one joint are alike, and so on both faces
  const last = Math.max(...gussets.map(({ where }) => trussOf(where) ?? 0))
  const known = new Map<string, Nailing>()
  const nailings = gussets.map(gusset => {
    const number = trussOf(gusset.where)
    const key = `${gusset.where.run.slice(0, -1).join('/')} ${number === 1 || number === last}`
    const found = known.get(key) ?? nailingOf({ building, frame }, gusset)
    known.set(key, found)
    return found
  })
  const sum = (value: (each: Nailing) => number): number =>
    nailings.reduce((all, each) => all + value(each), 0)
  const ends = sum(each => each.ends)
  const bead = ends * BEADS * truss.gusset.leg
  return [
    count(
      'gusset-nails',
      sum(({ spots }) => spots.length),
      {
        gussets: gussets.length,
        ends,
        each: truss.gusset.nails,
      },
    ),
    count('gusset-glue', countUp(bead / TUBE), { bead, beads: BEADS, leg: truss.gusset.leg, tube: TUBE }),
  ]
}
