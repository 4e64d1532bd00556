import { type Building, had } from '../../design'
import { planeAcross } from '../../geometry'
import { HAIR } from '../../measure'
import { gaps, least, spreadRow, type Stretch } from '../../trade'
import type { Section } from '../../lumber'
import type { Problem } from '../problem'
import { layUnless, tightSpacing } from './common'
import type { Eave, RoofFace, RoofLines, RoofLumber, RoofShape } from './form'
import { noJacks, outOf, plumbPlaneAt } from './planes'
import { placesAbout } from './places'
import { eaveOfOnly, type EaveSide, outsideOf } from './slopes'

/** Level rafters over the beams of both sides, from tail to tail. */
export const pergola: RoofShape = {
  lay(building, lumber) {
    const lines = linesOf(building, lumber)
    return layUnless(stops, lines, problemsOf(building, lumber))
  },
  places(building, rafter) {
    const along = evenly(building, rafter)
    return { south: along, north: along }
  },
}

/** What leaves nothing to frame. */
const stops: readonly Problem['code'][] = ['flat-walls-uneven', 'spacing-too-tight', 'notch-too-deep']

/** Rafters at both ends, and between them as evenly as keeps them within the spacing: none is one short. */
function evenly({ footprint, roof }: Building, rafter: Section): Stretch[] {
  return spreadRow({ from: 0, to: footprint.length }, rafter.thickness, roof.spacing)
}

function linesOf(building: Building, { rafter }: RoofLumber): RoofLines {
  const { footprint, heights, roof } = building
  const height = heights.south
  const underside = height - had(roof.pergola).notch
  const top = underside + rafter.depth
  const face: RoofFace = {
    id: 'south',
    falls: 'south',
    name: 'slope',
    angle: 0,
    top: planeAcross('z', top),
    carrier: { kind: 'joists', top: planeAcross('z', top), underside: planeAcross('z', underside) },
    places: placesAbout(evenly(building, rafter), [], rafter),
    whole: { from: 0, to: footprint.length },
    jacks: noJacks,
  }
  const eave = (side: EaveSide): Eave =>
    eaveOfOnly(building, face, side, {
      height,
      heightAbovePlate: top - height,
      heel: plumbPlaneAt(outOf[side], outsideOf(building, side)),
      run: footprint.width,
    })
  return {
    faces: [face],
    edges: [eave('south'), eave('north')],
    coverSetback: 0,
    highest: top,
  }
}

function problemsOf(building: Building, { rafter, batten }: RoofLumber): Problem[] {
  const { roof, walls, heights } = building
  const { notch, tail, battens } = had(roof.pergola)
  const problems: Problem[] = []
  if (battens && batten && battens.apart < batten.depth + gaps.battens - HAIR)
    problems.push({
      code: 'battens-touch',
      path: 'roof.pergola.battens.apart',
      least: batten.depth + gaps.battens,
    })
  if (Math.abs(heights.north - heights.south) > HAIR) {
    const side = walls.sides.north.height === null ? 'south' : 'north'
    problems.push({
      code: 'flat-walls-uneven',
      path: `walls.sides.${side}.height`,
      side,
      height: side === 'south' ? heights.north : heights.south,
    })
  }
  problems.push(...tightSpacing(building, rafter))
  const deepest = rafter.depth / 2
  if (notch > deepest + HAIR)
    problems.push({ code: 'notch-too-deep', path: 'roof.pergola.notch', most: deepest })
  if (tail.shape === 'square') return problems
  const out = Math.min(roof.overhang.eave, roof.overhang.high ?? roof.overhang.eave)
  const most = Math.min(out, rafter.depth - least.piece / 2)
  if (tail.size > most + HAIR)
    problems.push({ code: 'tail-too-shaped', path: 'roof.pergola.tail.size', most })
  return problems
}
