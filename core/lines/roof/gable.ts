import { type Building, heightAbovePlate, type Meeting, meeting, peakReach } from '../../design'
import { planeAcross } from '../../geometry'
import { HAIR, ONE_READING, pitchAngle, radians } from '../../measure'
import type { Problem } from '../problem'
import { layUnless, rakesOf, setbackOf, tightSpacing } from './common'
import type { Eave, RoofLay, RoofLumber, RoofShape } from './form'
import { lowEave, outOf, plumbPlaneAt, slopedFace } from './planes'
import { overEaveWalls, placesTo } from './places'
import { levelTailProblems, seatProblems } from './seat'

/**
 * Two slopes that meet at a ridge over the length, each over its own eave wall; of one pitch or two, and over
 * walls of one height or two, so that the ridge lies where the planes meet.
 */
export const gable: RoofShape = {
  lay(building, lumber) {
    const laid = layOf(building, lumber)
    return layUnless(stops, laid.lines, problemsOf(building, lumber, laid))
  },
  places: overEaveWalls,
}

/** What leaves nothing to frame. */
const stops: readonly Problem['code'][] = [
  'rafter-no-length',
  'ridge-off-span',
  'pitches-apart',
  'spacing-too-tight',
  'seat-through-rafter',
  'peak-out-of-reach',
]

interface Laid {
  readonly lines: RoofLay['lines']
  readonly met: Meeting
  readonly eaves: { readonly south: Eave; readonly north: Eave }
  readonly ends: {
    readonly south: ReturnType<typeof plumbPlaneAt>
    readonly north: ReturnType<typeof plumbPlaneAt>
  }
}

type Side = 'south' | 'north'

function layOf(building: Building, lumber: RoofLumber): Laid {
  const { rafter, ridge, plate } = lumber
  const {
    footprint: { width, length },
    heights,
    roof,
  } = building
  const angles = { south: pitchAngle(roof.pitch), north: pitchAngle(roof.northPitch ?? roof.pitch) }
  const above = (side: Side): number => heightAbovePlate(roof.seat, angles[side], rafter.depth, plate.depth)
  const line = (side: Side): { readonly height: number; readonly angle: number } => ({
    height: heights[side] + above(side),
    angle: angles[side],
  })
  const met = meeting(line('south'), line('north'), width, ridge.thickness)
  const along = { from: -roof.overhang.gable, to: length + roof.overhang.gable }
  const eave = (side: Side, outside: number): Eave =>
    lowEave({
      face: slopedFace({
        falls: side,
        name: side,
        angle: angles[side],
        outside,
        level: heights[side] + above(side),
        depth: rafter.depth,
        places: placesTo(building, rafter, side),
        whole: { from: 0, to: length },
      }),
      height: heights[side],
      heightAbovePlate: above(side),
      outside,
      reach: { value: roof.overhang.eave, field: 'roof.overhang.eave' },
      run: Math.abs(met.at - Math.abs(outside)),
      along,
    })
  const eaves = { south: eave('south', 0), north: eave('north', width) }
  const ends = {
    south: plumbPlaneAt(outOf.north, met.centre - ridge.thickness / 2),
    north: plumbPlaneAt(outOf.south, -met.centre - ridge.thickness / 2),
  }
  const half = ridge.thickness / 2
  const faces = [eaves.south.face, eaves.north.face]
  return {
    met,
    eaves,
    ends,
    lines: {
      faces,
      edges: [
        eaves.south,
        eaves.north,
        {
          kind: 'ridge',
          id: 'ridge',
          sides: [
            { face: eaves.south.face, end: ends.south },
            { face: eaves.north.face, end: ends.north },
          ],
          middle: planeAcross('y', met.centre),
          at: met.at,
          board: {
            from: met.centre - half,
            to: met.centre + half,
            bottom: met.top - ridge.depth,
            top: met.top,
          },
          along,
        },
        ...rakesOf(faces, roof.overhang.gable),
      ],
      coverSetback: setbackOf(building, lumber),
      highest: met.top,
    },
  }
}

function problemsOf(
  building: Building,
  { rafter, ridge, plate }: RoofLumber,
  { met, eaves, ends }: Laid,
): Problem[] {
  const { footprint } = building
  const { south, north } = eaves
  const problems: Problem[] = []
  const leastRun = plate.depth + ridge.thickness / 2 + 10
  const peak = peakProblems(building, met)
  if (footprint.width < 2 * leastRun - HAIR)
    problems.push({ code: 'rafter-no-length', path: 'footprint.width', least: 2 * leastRun })
  else if (peak.length) problems.push(...peak)
  else if (met.at < leastRun || met.at > footprint.width - leastRun)
    problems.push(offSpan(building, eaves, met.at < leastRun ? north : south, footprint.width - 2 * leastRun))
  problems.push(...tightSpacing(building, rafter))
  const into = Math.max(south.height, north.height) - (met.top - ridge.depth)
  if (into > HAIR) problems.push({ code: 'ridge-into-wall', path: 'roof.ridge', by: into })
  problems.push(
    ...seatProblems(building, south, ends.south, rafter.depth),
    ...seatProblems(building, north, ends.north, rafter.depth),
  )
  return [...problems, ...levelTailProblems(building, [south, north])]
}

/**
 * The ridge leaves the span: by walls of unlike heights, or by pitches that differ too much. The lower wall
 * lets the other stand as much higher as the slope that reaches all the way rises over a `run`, mm.
 */
function offSpan({ roof }: Building, { south, north }: Laid['eaves'], steep: Eave, run: number): Problem {
  if (roof.northPitch) return { code: 'pitches-apart', path: 'roof.northPitch' }
  return {
    code: 'ridge-off-span',
    path: `walls.sides.${south.height > north.height ? 'south' : 'north'}.height`,
    most: Math.min(south.height, north.height) + run * Math.tan(radians(steep.face.angle)),
  }
}

/** What is asked of the peak, and no pitches within the limits give. */
function peakProblems(building: Building, { at, top }: Meeting): Problem[] {
  const { peak } = building.roof
  const found = { at, height: top }
  return (['height', 'at'] as const)
    .flatMap((part): Problem[] => {
      const asked = peak[part]
      if (asked === null || Math.abs(found[part] - asked) < ONE_READING) return []
      const reach = peakReach(building, part)
      return reach
        ? [{ code: 'peak-out-of-reach', path: `roof.peak.${part}`, least: reach.least, most: reach.most }]
        : []
    })
    .slice(0, 1)
}
