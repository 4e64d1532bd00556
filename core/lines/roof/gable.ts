import { type Building, type Meeting, meeting, peakReach } from '../../design'
import { type Plane, planeAcross } from '../../geometry'
import { HAIR, ONE_READING, pitchAngle, radians } from '../../measure'
import type { Section } from '../../lumber'
import type { Problem } from '../problem'
import { layUnless, rakesOf, setbackOf, tightSpacing } from './common'
import type { Eave, Ridge, RoofLay, RoofLumber, RoofShape } from './form'
import { outOf, plumbPlaneAt } from './planes'
import { overEaveWalls } from './places'
import { levelTailProblems, seatProblems } from './seat'
import { trussProblems, trussStops } from './truss-problems'
import { aboveAt, alongGables, type EaveSide, outsideOf, slopeToWall } from './slopes'

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
  ...trussStops,
]

interface Laid {
  readonly lines: RoofLay['lines']
  readonly met: Meeting
  readonly eaves: Readonly<Record<EaveSide, Eave>>
  readonly ends: Readonly<Record<EaveSide, Plane>>
}

function layOf(building: Building, lumber: RoofLumber): Laid {
  const { footprint, heights, roof } = building
  // top chords of trusses meet each other
  const ridge = roof.truss ? { ...lumber.ridge, thickness: 0 } : lumber.ridge
  const angles = { south: pitchAngle(roof.pitch), north: pitchAngle(roof.northPitch ?? roof.pitch) }
  const line = (side: EaveSide): { readonly height: number; readonly angle: number } => ({
    height: heights[side] + aboveAt(building, lumber, angles[side], side),
    angle: angles[side],
  })
  const met = meeting(line('south'), line('north'), footprint.width, ridge.thickness)
  const eave = (side: EaveSide): Eave =>
    slopeToWall(building, lumber, {
      side,
      name: side,
      angle: angles[side],
      run: Math.abs(met.at - outsideOf(building, side)),
    })
  const eaves = { south: eave('south'), north: eave('north') }
  const ends = {
    south: plumbPlaneAt(outOf.north, met.centre - ridge.thickness / 2),
    north: plumbPlaneAt(outOf.south, -met.centre - ridge.thickness / 2),
  }
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
        ridgeAt(building, ridge, { met, eaves, ends }),
        ...rakesOf(faces, roof.overhang),
      ],
      coverSetback: setbackOf(building, lumber),
      highest: met.top,
    },
  }
}

/** The ridge and its board, between the ends of both faces' boards. */
const ridgeAt = (
  building: Building,
  ridge: Section,
  { met, eaves, ends }: Pick<Laid, 'met' | 'eaves' | 'ends'>,
): Ridge => ({
  kind: 'ridge',
  id: 'ridge',
  sides: [
    { face: eaves.south.face, end: ends.south },
    { face: eaves.north.face, end: ends.north },
  ],
  middle: planeAcross('y', met.centre),
  at: met.at,
  board: building.roof.truss
    ? null
    : {
        from: met.centre - ridge.thickness / 2,
        to: met.centre + ridge.thickness / 2,
        bottom: met.top - ridge.depth,
        top: met.top,
      },
  along: alongGables(building),
})

function problemsOf(building: Building, lumber: RoofLumber, { met, eaves, ends }: Laid): Problem[] {
  const { rafter, ridge, plate } = lumber
  const { footprint } = building
  const { south, north } = eaves
  if (building.roof.truss) return [...peakProblems(building, met), ...trussProblems(building, lumber)]
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
