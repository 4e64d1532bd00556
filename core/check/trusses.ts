import { isSide, partitionIndex } from '../design'
import { FOOT, HAIR, INCH } from '../measure'
import { isEndPost, isOfRoofOpening } from '../frame'
import { trussesAbout, wallEaves } from '../lines'
import type { Plan } from '../plan'
import { type Role, roles } from '../trade'
import { type Caution, cautionIf } from './caution'
import { idsOf } from './ids-of'

/** How far apart trusses of chords so deep customarily stand at most, mm: trade book, section 9. */
const spacings = [
  { depth: 3.5 * INCH, apart: 16 * INCH },
  { depth: 5.5 * INCH, apart: 2 * FOOT },
] as const

/** What carries a gambrel's rafters at their knees. */
export function kneeCautions({ building: { roof }, frame }: Plan): Caution[] {
  const rafters = idsOf(frame, 'rafter')
  if (!roof.gambrel || roof.truss || !rafters.length) return []
  if (frame.innerBeams.some(({ role }) => role === 'knee-purlin')) return []
  const studs = idsOf(frame, 'knee-stud')
  return studs.length
    ? [{ code: 'knees-unchecked', members: studs, numbers: {} }]
    : [{ code: 'knees-unborne', members: rafters, numbers: {} }]
}

const beamNames = { 'joist-beam': 'beam under the joists', 'knee-purlin': 'purlin under a knee' } as const

/** What nobody has reckoned of beams inside, and their ends that no post stands under. */
export const innerBeamCautions = ({ frame }: Plan): Caution[] =>
  (['joist-beam', 'knee-purlin'] as const).flatMap((role): Caution[] => {
    const beams = frame.innerBeams.filter(each => each.role === role)
    if (!beams.length) return []
    const members = idsOf(frame, role)
    const joined = beams.flatMap(each => each.joined)
    const hung = [...new Set(beams.flatMap(each => each.hung))]
    return [
      {
        code: role === 'joist-beam' ? 'joist-beam-unchecked' : 'knee-purlins-unchecked',
        members,
        numbers: { clear: Math.max(...beams.map(({ clear }) => clear)) },
      },
      ...cautionIf(joined.length > 0, 'joists-joined', joined),
      ...hung.map((wall): Caution => ({
        code: 'inner-beam-hung',
        members,
        numbers: {},
        names: {
          beam: beamNames[role],
          at: isSide(wall) ? `the ${wall} wall` : `partition ${partitionIndex(wall) + 1}`,
          wall,
        },
      })),
    ]
  })

/** What is customary of trusses built by hand, and what nobody has reckoned. */
export function trussCautions({ building, frame }: Plan): Caution[] {
  const { truss, spacing } = building.roof
  const members = idsOf(frame, 'upper-chord', 'lower-chord', 'bottom-chord')
  if (!truss || !members.length) return []
  const { depth } = frame.lumber.rafter
  const limit =
    [...spacings].reverse().find(each => depth > each.depth - INCH / 4)?.apart ?? spacings[0].apart
  const bought = truss.kind === 'bought'
  return [
    bought
      ? { code: 'trusses-bought', members, numbers: {} }
      : { code: 'truss-unchecked', members, numbers: { span: building.footprint.width } },
    ...cautionIf(!bought && spacing > limit + HAIR, 'trusses-far', members, { apart: spacing, depth, limit }),
    ...leftOutCautions(building, frame),
    ...postCautions(building, frame),
    ...settingCautions(frame, truss.setting !== null, members),
  ]
}

/** End posts over a high wall that no sheets hold upright along it. */
function postCautions({ walls }: Plan['building'], frame: Plan['frame']): Caution[] {
  const high = wallEaves(frame.roof).find(({ onPosts }) => onPosts)?.side
  if (!high) return []
  if (walls.sheathing && walls.sides[high].cover === 'sheets') return []
  const members = frame.members.filter(({ where }) => isEndPost(where)).map(({ id }) => id)
  return members.length ? [{ code: 'posts-unbraced', members, numbers: {}, names: { wall: high } }] : []
}

/** What kills when trusses are set, and what of their bracing found no room. */
function settingCautions(frame: Plan['frame'], planned: boolean, members: readonly string[]): Caution[] {
  if (!planned) return [{ code: 'setting-unplanned', members, numbers: {} }]
  const left = Object.entries(frame.unset) as [Role, number][]
  return [
    { code: 'setting-danger', members, numbers: {} },
    ...left.map(([role, count]): Caution => ({
      code: 'setting-left-out',
      members,
      numbers: { count },
      names: { what: count === 1 ? roles[role].one : roles[role].many },
    })),
  ]
}

/** Trusses that carry a share of one that is left out beside them. */
function leftOutCautions(building: Plan['building'], frame: Plan['frame']): Caution[] {
  return trussesAbout(building, frame.lumber.rafter)
    .left.filter(({ number }) => frame.members.some(({ where }) => isOfRoofOpening(where, number)))
    .map(({ number, gap }) => ({
      code: 'truss-left-out',
      members: frame.members.filter(({ where }) => isOfRoofOpening(where, number)).map(({ id }) => id),
      numbers: { number, clear: gap.to - gap.from },
    }))
}
