import {
  acrossSkew,
  type Building,
  houseIn,
  isTapered,
  ledgerRise,
  limits,
  lowSide,
  nearestHouse,
  sideNames,
} from '../../design'
import { type Plane, planeAt, scale, subtract, type Vec3, vec } from '../../geometry'
import { HAIR, ONE_READING, pitchAngle, radians } from '../../measure'
import type { Problem } from '../problem'
import { layUnless, rakesOf, setbackOf, tightSpacing } from './common'
import type { Abutment, Eave, RoofLines, RoofLumber, RoofShape, Skew } from './form'
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
  'taper-south',
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
  const run = footprint.width - lumber.ridge.thickness * acrossSkew(building)
  const low = slopeToWall(building, lumber, { side, name: 'slope', angle, run })
  const highest = heights[side] + low.heightAbovePlate + run * Math.tan(radians(angle))
  const ledger = ledgerAt(building, lumber, low, highest, Math.tan(radians(angle)))
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

/** The ledger on the house, `top` over the deck where it is highest, under a slope of `rise` in 1; mm. */
function ledgerAt(
  building: Building,
  { ridge }: RoofLumber,
  { face, run }: Eave,
  top: number,
  rise: number,
): Abutment {
  const side = lowSide(building.roof)
  const north = building.roof.high === 'north'
  const toHouse = scale(outOf[side], -1)
  const along = alongGables(building)
  const near = nearestHouse(building)
  // out of line it climbs as the roof does there, and is deeper plumb than square to its edges
  const across = acrossSkew(building)
  const climb = Math.hypot(across, rise * Math.sqrt(across ** 2 - 1)) / across
  const far = Math.min(houseIn(building, along.from), houseIn(building, along.to))
  const at = (inward: number): Plane => plumbPlaneAt(toHouse, run - inward - outsideOf(building, side))
  return {
    kind: 'abutment',
    id: 'ledger',
    face,
    against: 'house',
    end: at(near),
    box: {
      from: north ? run - near : near,
      to: north ? building.footprint.width - near : building.footprint.width - run + near,
      bottom: top - near * rise - ridge.depth * climb,
      top: top - near * rise,
    },
    along,
    skew: isTapered(building) ? skewOf(building, ridge.thickness, at(far)) : null,
  }
}

/** The planes of a ledger so thick on a house out of line. */
function skewOf(building: Building, thick: number, widest: Plane): Skew {
  const { length, width } = building.footprint
  const north = building.roof.high === 'north'
  const [west, east] = [0, length].map(x => {
    const inward = houseIn(building, x)
    return vec(x, north ? width - inward : inward, 0)
  }) as [Vec3, Vec3]
  const along = subtract(east, west)
  const house = planeAt(west, north ? vec(-along.y, along.x, 0) : vec(along.y, -along.x, 0))
  return { house, face: { ...house, offset: house.offset - thick }, widest }
}

function problemsOf(
  building: Building,
  { rafter, ridge, plate }: RoofLumber,
  { low, ledger, lines }: Laid,
): Problem[] {
  const { roof, footprint, walls, heights } = building
  const problems: Problem[] = []
  const least = plate.depth + ridge.thickness + 10 + Math.abs(roof.taper)
  if (footprint.width < least - HAIR)
    problems.push({ code: 'rafter-no-length', path: 'footprint.width', least })
  // ends and floor are laid out from the south
  const ends = sideNames.some(side => !roof.has.falls.includes(side) && building.depths[side] > 0)
  if (isTapered(building) && roof.has.house === 'south' && (ends || building.floor))
    problems.push({ code: 'taper-south', path: 'roof.taper' })
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
