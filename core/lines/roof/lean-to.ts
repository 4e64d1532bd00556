import { type Building, heightAbovePlate, ledgerRise, limits, lowSide } from '../../design'
import { scale } from '../../geometry'
import { HAIR, ONE_READING, pitchAngle, radians } from '../../measure'
import type { Problem } from '../problem'
import { layUnless, rakesOf, setbackOf, tightSpacing } from './common'
import type { Abutment, Eave, RoofLines, RoofLumber, RoofShape } from './form'
import { lowEave, outOf, plumbPlaneAt, slopedFace } from './planes'
import { overEaveWalls, placesTo } from './places'
import { levelTailProblems, seatProblems } from './seat'

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
  const { rafter, ridge, plate } = lumber
  const {
    footprint: { width, length },
    heights,
    roof,
  } = building
  const angle = pitchAngle(roof.pitch)
  const side = lowSide(roof)
  const above = heightAbovePlate(roof.seat, angle, rafter.depth, plate.depth)
  const outside = side === 'south' ? 0 : width
  const run = width - ridge.thickness
  const along = { from: -roof.overhang.gable, to: length + roof.overhang.gable }
  const face = slopedFace({
    falls: side,
    name: 'slope',
    angle,
    outside,
    level: heights[side] + above,
    depth: rafter.depth,
    places: placesTo(building, rafter, side),
    whole: { from: 0, to: length },
  })
  const low = lowEave({
    face,
    height: heights[side],
    heightAbovePlate: above,
    outside,
    reach: { value: roof.overhang.eave, field: 'roof.overhang.eave' },
    run,
    along,
  })
  const highest = heights[side] + above + run * Math.tan(radians(angle))
  const north = roof.high === 'north'
  const ledger: Abutment = {
    kind: 'abutment',
    id: 'ledger',
    face,
    against: 'house',
    end: plumbPlaneAt(scale(outOf[side], -1), run - outside),
    box: {
      from: north ? run : 0,
      to: north ? width : ridge.thickness,
      bottom: highest - ridge.depth,
      top: highest,
    },
    along,
  }
  return {
    low,
    ledger,
    lines: {
      faces: [face],
      edges: [low, ledger, ...rakesOf([face], roof.overhang.gable)],
      coverSetback: setbackOf(building, lumber),
      highest,
    },
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
