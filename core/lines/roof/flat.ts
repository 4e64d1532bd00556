import { type Building, had, lowSide } from '../../design'
import { planeAcross, planeAt, vec } from '../../geometry'
import { HAIR, pitchAngle, radians } from '../../measure'
import type { Problem } from '../problem'
import { layUnless, rakesOf, tightSpacing } from './common'
import type { Eave, RoofFace, RoofLines, RoofLumber, RoofShape } from './form'
import { noJacks, outOf, plumbPlaneAt } from './planes'
import { overEaveWalls, placesTo } from './places'
import { eaveOfOnly, type EaveSide, outsideOf } from './slopes'

/**
 * A nearly flat roof: level joists from tail to tail over two walls of one height, and on each a firring,
 * ripped to the fall, that the roof lies on.
 */
export const flat: RoofShape = {
  lay(building, lumber) {
    const lines = linesOf(building, lumber)
    return layUnless(stops, lines, problemsOf(building, lumber, lines))
  },
  places: overEaveWalls,
}

/** What leaves nothing to frame. */
const stops: readonly Problem['code'][] = [
  'flat-walls-uneven',
  'spacing-too-tight',
  'firring-shallow',
  'firring-thick',
]

function linesOf(building: Building, { rafter }: RoofLumber): RoofLines {
  const {
    footprint: { width, length },
    heights,
    roof,
  } = building
  const angle = pitchAngle(roof.pitch)
  const slope = radians(angle)
  const way = roof.high === 'north' ? 1 : -1
  const height = heights[lowSide(roof)]
  const over = roof.overhang.high ?? roof.overhang.eave
  const joistTop = height + rafter.depth
  const firring = had(roof.firring)
  const lowTail = way > 0 ? -roof.overhang.eave : width + roof.overhang.eave
  const levelAt = (y: number): number => joistTop + firring.least + Math.abs(y - lowTail) * Math.tan(slope)
  const face: RoofFace = {
    id: lowSide(roof),
    falls: lowSide(roof),
    name: 'slope',
    angle,
    top: planeAt(vec(0, lowTail, joistTop + firring.least), vec(0, -way * Math.sin(slope), Math.cos(slope))),
    carrier: { kind: 'joists', top: planeAcross('z', joistTop), underside: planeAcross('z', height) },
    places: placesTo(building, rafter, lowSide(roof)),
    whole: { from: 0, to: length },
    jacks: noJacks,
  }
  const eave = (side: EaveSide): Eave => {
    const outside = outsideOf(building, side)
    return eaveOfOnly(building, face, side, {
      height,
      heightAbovePlate: levelAt(outside) - height,
      heel: plumbPlaneAt(outOf[side], outside),
      run: width,
    })
  }
  return {
    faces: [face],
    edges: [eave('south'), eave('north'), ...rakesOf([face], roof.overhang)],
    coverSetback: 0,
    highest: levelAt(way > 0 ? width + over : -over),
  }
}

function problemsOf(building: Building, { rafter, firring }: RoofLumber, { highest }: RoofLines): Problem[] {
  const { roof, walls, heights } = building
  const low = lowSide(roof)
  const [height, other] = [heights[low], heights[roof.high]]
  const problems: Problem[] = []
  if (Math.abs(other - height) > HAIR) {
    const side = walls.sides[roof.high].height === null ? low : roof.high
    problems.push({
      code: 'flat-walls-uneven',
      path: `walls.sides.${side}.height`,
      side,
      height: side === low ? other : height,
    })
  }
  problems.push(...tightSpacing(building, rafter))
  const least = highest - (height + rafter.depth)
  if (least > firring.depth + HAIR)
    problems.push({ code: 'firring-shallow', path: 'roof.firring.section', least })
  if (firring.thickness > rafter.thickness + HAIR)
    problems.push({ code: 'firring-thick', path: 'roof.firring.section', most: rafter.thickness })
  return problems
}
