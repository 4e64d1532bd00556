import { type Subject, subjectAt, subjectBy, subjectsOf, wallSubject } from '../design'
import { chordFace, faceOf, type MemberPlace } from '../frame'
import { type Role, roles } from '../trade'
import type { Plan } from './plan'

/** Roles that are set elsewhere than where the field that their boards hang on is. */
const settled: Partial<Record<Role, string>> = {
  'fly-rafter': 'roof.ends',
  'false-tail': 'roof.tails',
  rung: 'roof.ends',
  'roof-block': 'roof.blocking',
  'knee-plate': 'roof.knees',
  'knee-stud': 'roof.knees',
  gusset: 'roof.truss',
  'upper-chord': 'roof.truss',
  'lower-chord': 'roof.truss',
  'bottom-chord': 'roof.truss',
  web: 'roof.truss',
  'upper-header': 'roof.ridge',
  slat: 'walls.sheathing',
  beam: 'base.rows',
  post: 'base.rows',
  skid: 'base.rows',
}

/** A thing that stands in a building: a board with its role, or a part without. */
interface Thing {
  readonly where: MemberPlace
  readonly role?: Role
}

/**
 * The subject that a thing belongs to, of those that there are of the plan's design: the opening it frames,
 * the slope or wall it is of, or where its role is set.
 */
export function subjectOf(plan: Plan, { where, role }: Thing, among = subjectsOf(plan.design)): Subject {
  const first = (...keys: (string | null | undefined)[]): Subject =>
    keys.map(key => subjectBy(among, key ?? null)).find(each => each !== null) ??
    subjectAt(among, role ? roles[role].field : where.in)
  const { of } = where
  if (of?.kind === 'opening') return first(`walls.openings.${of.number - 1}`)
  if (of?.kind === 'roof-opening') return first(`roof.openings.${of.number - 1}`)
  if (where.in === 'porch') return first('floor.porch')
  if (!role) return first(where.in === 'base' ? 'base.rows' : null)
  if (where.in === 'roof' && (role === 'deck-sheet' || role === 'deck-board')) return first('roof.loft')
  if (settled[role]) return first(settled[role])
  if (where.in === 'roof' && roles[role].field !== 'roof.spacing' && roles[role].field !== 'roof.rafter')
    return first()
  if (where.in === 'roof') return first(slopeOf(plan, where))
  if (
    (of?.kind === 'wall' || of?.kind === 'gable') &&
    (roles[role].field === 'walls.stud' || role === 'brace' || role === 'block')
  )
    return first(wallSubject(of.id))
  return first()
}

function slopeOf({ frame: { roof } }: Plan, where: MemberPlace): string | null {
  const id = faceOf(where) ?? chordFace(where)
  const face = roof.faces.find(each => each.id === id)
  return face ? `roof.slopes.${face.falls}` : null
}
