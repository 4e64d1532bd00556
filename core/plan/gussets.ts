import type { Building } from '../design'
import { type Frame, trussOf } from '../frame'
import { countUp, FOOT } from '../measure'
import { count, type Loose } from './loose-item'

/** Ends of members that a gusset on a joint is nailed to: a chord that runs through it has two. */
const endsAt: Readonly<Record<string, number>> = {
  heel: 2,
  knee: 2,
  king: 3,
  queen: 3,
  'queen-head': 4,
  foot: 4,
  chord: 3,
  post: 3,
  'post-head': 4,
}
/** At a ridge two chords end, and what webs run up to them. */
const atRidge: Partial<Record<string, number>> = { 'king-post': 3, 'w-web': 4 }

/**
 * A tube of construction adhesive, 10 oz or 300 ml, lays a bead a quarter of an inch wide so long, mm: 30 ft
 * (common practice, no source).
 */
const TUBE = 30 * FOOT
/** Beads along each member's end (common practice, no source). */
const BEADS = 2

/** Nails and adhesive of a roof's gussets; nothing where it has none. */
export function gussetsOf({ roof: { truss } }: Building, { members }: Frame): Loose[] {
  if (!truss) return []
  const gussets = members.filter(({ role, where }) => role === 'gusset' && trussOf(where) !== null)
  const ends = gussets.reduce((sum, { where }) => {
    const joint = String(where.run[0])
    return sum + (joint === 'ridge' ? (atRidge[truss.kind] ?? 2) : (endsAt[joint] ?? 2))
  }, 0)
  const bead = ends * BEADS * truss.gusset.leg
  return [
    count('gusset-nails', ends * truss.gusset.nails, {
      gussets: gussets.length,
      ends,
      each: truss.gusset.nails,
    }),
    count('gusset-glue', countUp(bead / TUBE), { bead, beads: BEADS, leg: truss.gusset.leg, tube: TUBE }),
  ]
}
