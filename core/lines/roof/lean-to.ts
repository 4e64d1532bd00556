import { type Building, ledgerRise, limits, lowSide } from '../../design'
import { scale } from '../../geometry'
import { HAIR, ONE_READING, pitchAngle, radians } from '../../measure'
import type { Problem } from '../problem'
import { layUnless, rakesOf, setbackOf, tightSpacing } from './common'
import type { Abutment, Eave, RoofLines, RoofLumber, RoofShape } from './form'
import { outOf, plumbPlaneAt } from './planes'
import { overEaveWalls } from './places'
import { levelTailProblems, seatProblems } from './seat'
import { alongGables, outsideOf, slopeToWall } from './slopes'

/**
 * One slope from a ledger on a house, in the stead of the wall on its high side, down to a low wall: rafters
 * cut plumb against the ledger's face, with a seat on the low wall. The ledger is of the ridge's section.
 */
export const leanTo: RoofShape = {
  lay(building, lumber) {
    const laid = layOf(building, lumber)
    return layUnless(stops, laid.lines, problemsOf(building, lumber, laid))
  },
  places: overEaveWalls,
}

/** What leaves nothing to frame. */
const stops: readonly Problem['code'][] = [
  'rafter-no-length',
  'ledger-out-of-reach',
  'spacing-too-tight',
  'seat-through-rafter',
]

interface Laid {
  readonly lines: RoofLines
  readonly low: Eave
  readonly ledger: Abutment
}

function layOf(building: Building, lumber: RoofLumber): Laid {
  const { footprint, heights, roof } = building
  const angle = pitchAngle(roof.pitch)
  const side = lowSide(roof)
  const run = footprint.width - lumber.ridge.thickness
  const low = slopeToWall(building, lumber, { side, name: 'slope', angle, run })
  const highest = heights[side] + low.heightAbovePlate + run * Math.tan(radians(angle))
  const ledger = ledgerAt(building, lumber, low, highest)
  return {
    low,
    ledger,
    lines: {
      faces: [low.face],
      edges: [low, ledger, ...rakesOf([low.face], roof.overhang)],
      coverSetback: setbackOf(building, lumber),
      highest,
    },
  }
}

/** The ledger on the house, its top `top` over the deck. */
function ledgerAt(building: Building, { ridge }: RoofLumber, { face, run }: Eave, top: number): Abutment {
  const side = lowSide(building.roof)
  const north = building.roof.high === 'north'
  return {
    kind: 'abutment',
    id: 'ledger',
    face,
    against: 'house',
    end: plumbPlaneAt(scale(outOf[side], -1), run - outsideOf(building, side)),
    box: {
      from: north ? run : 0,
      to: north ? building.footprint.width : ridge.thickness,
      bottom: top - ridge.depth,
      top,
    },
    along: alongGables(building),
  }
}

function problemsOf(
  building: Building,
  { rafter, ridge, plate }: RoofLumber,
  { low, ledger, lines }: Laid,
): Problem[] {
  const { roof, footprint, walls, heights } = building
  const problems: Problem[] = []
  const least = plate.depth + ridge.thickness + 10
  if (footprint.width < least - HAIR)
    problems.push({ code: 'rafter-no-length', path: 'footprint.width', least })
  // a ledger that is asked for where no pitch brings the rafters
  const asked = walls.sides[roof.high].height
  const rise = ledgerRise(building)
  if (asked !== null && rise && Math.abs(asked - lines.highest) > ONE_READING)
    problems.push({
      code: 'ledger-out-of-reach',
      path: `walls.sides.${roof.high}.height`,
      least: rise.top(limits.roofAngle.min),
      most: rise.top(limits.roofAngle.max),
    })
  problems.push(...tightSpacing(building, rafter))
  const { bottom } = ledger.box
  const into = Math.max(heights.east, heights.west) - bottom
  if (bottom < 0) problems.push({ code: 'ledger-below-deck', path: 'roof.ridge', by: -bottom })
  // its ends lie over the end walls' plates, or against them
  else if (into > HAIR) problems.push({ code: 'ridge-into-wall', path: 'roof.ridge', by: into })
  return [
    ...problems,
    ...seatProblems(building, low, ledger.end, rafter.depth),
    ...levelTailProblems(building, [low]),
  ]
}
