import { idsOf } from './ids-of'
import { toBuilding, vec } from '../geometry'
import { type Member, isOfRoofOpening, isOfWall } from '../frame'
import { HAIR } from '../measure'
import { northSlope, type Plan, standsOn, stretchOf } from '../plan'
import type { Caution, CautionCode } from './caution'
import { coverCautions } from './cover'
import { groundCautions } from './ground'
import { railingCautions, wallCautions } from './walls'
import { innerBeamCautions, kneeCautions, trussCautions } from './trusses'
import {
  customary,
  hipCautions,
  roofCautions,
  lookoutCautions,
  flatCautions,
  purlinCautions,
} from './roof-cautions'

/** All cautions of a plan, the roof's first. */
export function cautionsOf(plan: Plan): Caution[] {
  const rafters = idsOf(plan.frame, 'rafter', 'lower-chord')
  // slopes of unlike pitch are each held to the limits; what both pass is said once
  // what trusses without a knee bear on is their bottom chords
  const onChords = plan.building.roof.truss !== null && !plan.building.roof.gambrel
  const readings = plan.roof && !onChords ? [plan.roof, northSlope(plan)].filter(each => each !== null) : []
  const all = readings.flatMap(roof => roofCautions(plan, roof, rafters))
  const roof = all.filter(
    (caution, i) =>
      all.findIndex(
        other =>
          other.code === caution.code &&
          other.names?.kind === caution.names?.kind &&
          other.names?.wall === caution.names?.wall,
      ) === i,
  )
  return [
    ...roof,
    ...hipCautions(plan),
    ...trussCautions(plan),
    ...kneeCautions(plan),
    ...innerBeamCautions(plan),
    ...lookoutCautions(plan),
    ...flatCautions(plan),
    ...purlinCautions(plan),
    ...coverCautions(plan),
    ...openingCautions(plan),
    ...offStud(plan),
    ...railingCautions(plan),
    ...wallCautions(plan),
    ...groundCautions(plan),
    ...tooLong(plan),
  ]
}

/** Middle of a member's thickness along the ridge, mm. */
const middle = ({ placement, section }: Member): number =>
  toBuilding(placement, vec(0, 0, section.thickness / 2)).x

/** Under a single top plate each rafter should stand over a stud. */
export function offStud(plan: Plan): Caution[] {
  const { building } = plan
  if (building.walls.topPlates !== 1) return []
  const off = (['south', 'north'] as const)
    .filter(side => building.walls.sides[side].build === 'studs')
    .flatMap(side => offStudOn(plan, side))
  return off.length
    ? [
        {
          code: 'rafter-off-stud',
          members: off.map(each => each.id),
          numbers: { limit: customary.offStud, count: off.length },
        },
      ]
    : []
}

function offStudOn({ building, frame }: Plan, side: 'south' | 'north'): Member[] {
  const studs = frame.members
    .filter(
      member => isOfWall(member.where, side) && ['stud', 'king', 'jack', 'cripple'].includes(member.role),
    )
    .map(stud => stud.placement.origin.x + (stud.placement.thickness.x * stud.section.thickness) / 2)
  return frame.members
    .filter(member => standsOn({ building, frame }, member, side))
    .filter(rafter => !studs.some(at => Math.abs(at - middle(rafter)) <= customary.offStud + HAIR))
}

/** What headers beside openings customarily ask, and a flue above all. */
function openingCautions({ building, frame }: Plan): Caution[] {
  return building.roof.openings.flatMap(({ kind, plies }, i): Caution[] => {
    const members = frame.members.filter(({ where }) => isOfRoofOpening(where, i + 1)).map(each => each.id)
    const header = frame.members.find(
      ({ role, where }) =>
        (role === 'roof-header' || role === 'stair-header') && isOfRoofOpening(where, i + 1),
    )
    if (!header) return []
    const { from, to } = stretchOf(header, Math.abs(header.placement.along.x) > 0.5 ? 'x' : 'y')
    const width = to - from
    const passed = (code: CautionCode, limit: number): Caution[] =>
      width > limit + HAIR ? [{ code, members, numbers: { number: i + 1, width, limit } }] : []
    return [
      ...(plies === 1 ? passed('opening-single', customary.singleHeader) : []),
      ...passed('opening-hangers', customary.hungHeader),
      ...(kind === 'flue' ? [{ code: 'flue-clear', members, numbers: { number: i + 1 } } as const] : []),
    ]
  })
}

function tooLong({ pieces }: Plan): Caution[] {
  return pieces
    .filter(piece => piece.stock === null)
    .map(piece => ({ code: 'longer-than-stock', members: piece.members, numbers: { length: piece.length } }))
}
