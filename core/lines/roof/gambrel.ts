import { type Building, had, kickFault, kickOf } from '../../design'
import { flip, type Plane, planeAcross, vec } from '../../geometry'
import { radians } from '../../measure'
import type { Problem } from '../problem'
import { layUnless, rakesOf, setbackOf, tightSpacing } from './common'
import type { Eave, Kick, Knee, Ridge, RoofFace, RoofLines, RoofLumber, RoofShape } from './form'
import { gambrelProblems } from './gambrel-problems'
import { lowEave, outOf, plumbPlaneAt, slopedFace } from './planes'
import { overEaveWalls, placesTo } from './places'
import { trussStops, unevenWalls, unlikeChords } from './truss-problems'
import { alongGables, type EaveSide, outsideOf } from './slopes'

/**
 * Two faces on either side that meet at a knee, the lower ones over the eave walls and the upper ones at the
 * ridge. At each joint boards are cut on half the turn; upper chords meet plumb, upper rafters at a ridge
 * board.
 */
export const gambrel: RoofShape = {
  lay(building, lumber) {
    const lines = linesOf(building, lumber)
    return layUnless(stops, lines, problemsOf(building, lumber))
  },
  places: overEaveWalls,
}

/** What leaves nothing to frame. */
const stops: readonly Problem['code'][] = [
  'knee-off-span',
  'knee-steep',
  'knee-flat',
  'ridge-under-knee',
  'foot-off-plate',
  'foot-through-chord',
  'foot-over-seat',
  'chord-short',
  'spacing-too-tight',
  ...trussStops,
]

/** Half the turn between two slopes over a place in from a wall's outside: looking up the slopes. */
function halfTurn(
  building: Building,
  side: EaveSide,
  angles: readonly [number, number],
  place: { readonly in: number; readonly level: number },
): Plane {
  const out = outOf[side]
  const half = radians((angles[0] + angles[1]) / 2)
  const up = vec(-out.x * Math.cos(half), -out.y * Math.cos(half), Math.sin(half))
  const reach = outsideOf(building, side) - place.in
  return { normal: up, offset: up.x * out.x * reach + up.y * out.y * reach + up.z * place.level }
}

/** The eave of false tails beside lower chords that are cut on the plate; null without. */
function kickAt(building: Building, lumber: RoofLumber, low: RoofFace, side: EaveSide): Kick | null {
  const { heights, roof } = building
  const kick = kickOf(had(roof.gambrel))
  if (!kick) return null
  const height = heights[side]
  const outside = outsideOf(building, side)
  const face = slopedFace({
    falls: side,
    id: `${side}-kick`,
    name: `${side}-kick`,
    angle: kick.angle,
    outside,
    level: height + kick.above,
    depth: lumber.rafter.depth,
    // where they have room beside the chords is seen once those are laid
    places: [],
    whole: low.whole,
  })
  return {
    middle: halfTurn(building, side, [kick.angle, low.angle], { in: kick.in, level: height + kick.up }),
    eave: lowEave({
      face,
      height,
      heightAbovePlate: kick.above,
      outside,
      heel: building.heels[side],
      reach: { value: roof.overhang.eave, field: 'roof.overhang.eave' },
      run: kick.in,
      along: alongGables(building),
    }),
  }
}

/** A side's two faces, its eave and its knee. */
interface Flank {
  readonly eave: Eave
  readonly upper: RoofFace
  readonly knee: Knee
}

function flankOf(building: Building, lumber: RoofLumber, side: EaveSide): Flank {
  const { footprint, heights, roof } = building
  const line = had(roof.gambrel)
  const outside = outsideOf(building, side)
  const height = heights[side]
  const common = {
    falls: side,
    depth: lumber.rafter.depth,
    whole: { from: 0, to: footprint.length },
  }
  const low = slopedFace({
    ...common,
    places: placesTo(building, lumber.rafter, side, { from: -Infinity, to: line.knee.in }),
    id: `${side}-low`,
    name: `${side}-low`,
    angle: line.lower,
    outside,
    level: height + line.heightAbovePlate,
  })
  const upper = slopedFace({
    ...common,
    places: placesTo(building, lumber.rafter, side, { from: line.knee.in, to: Infinity }),
    id: `${side}-high`,
    name: `${side}-high`,
    angle: line.upper,
    outside: outside - line.knee.in,
    level: height + line.knee.up,
  })
  const middle = halfTurn(building, side, [line.lower, line.upper], {
    in: line.knee.in,
    level: height + line.knee.up,
  })
  return {
    upper,
    eave: {
      ...lowEave({
        face: low,
        height,
        heightAbovePlate: line.heightAbovePlate,
        outside,
        heel: building.heels[side],
        reach: { value: line.foot.out, field: 'roof.overhang.eave' },
        run: line.knee.in,
        along: alongGables(building),
      }),
      kick: kickAt(building, lumber, low, side),
    },
    knee: {
      kind: 'knee',
      id: `${side}-knee`,
      side,
      sides: [
        { face: low, end: middle },
        { face: upper, end: flip(middle) },
      ],
      middle,
      in: line.knee.in,
      level: height + line.knee.up,
    },
  }
}

function linesOf(building: Building, lumber: RoofLumber): RoofLines {
  const { roof } = building
  const [south, north] = [flankOf(building, lumber, 'south'), flankOf(building, lumber, 'north')]
  const faces = [south.eave.face, south.upper, north.eave.face, north.upper]
  const ridge = ridgeOver(building, lumber, south.upper, north.upper)
  return {
    faces,
    edges: [south.eave, north.eave, south.knee, north.knee, ridge.edge, ...rakesOf(faces, roof.overhang)],
    coverSetback: setbackOf(building, lumber),
    highest: ridge.top,
  }
}

/** The ridge over the middle: where chords meet, or a board between the upper rafters. */
function ridgeOver(
  building: Building,
  { ridge }: RoofLumber,
  south: RoofFace,
  north: RoofFace,
): { readonly edge: Ridge; readonly top: number } {
  const { footprint, heights, roof } = building
  const line = had(roof.gambrel)
  const at = footprint.width / 2
  const thick = roof.carried === 'rafters' ? ridge.thickness : 0
  const top = heights.south + line.peak - (thick / 2) * Math.tan(radians(line.upper))
  return {
    top,
    edge: {
      kind: 'ridge',
      id: 'ridge',
      sides: [
        { face: south, end: plumbPlaneAt(outOf.north, at - thick / 2) },
        { face: north, end: plumbPlaneAt(outOf.south, -at - thick / 2) },
      ],
      middle: planeAcross('y', at),
      at,
      board: thick ? { from: at - thick / 2, to: at + thick / 2, bottom: top - ridge.depth, top } : null,
      along: alongGables(building),
    },
  }
}

const problemsOf = (building: Building, lumber: RoofLumber): Problem[] => [
  ...gambrelProblems(building, lumber),
  ...[kickFault(had(building.roof.gambrel))].filter(fault => fault !== null),
  ...unlikeChords(building, lumber),
  ...unevenWalls(building),
  ...tightSpacing(building, lumber.rafter),
]
