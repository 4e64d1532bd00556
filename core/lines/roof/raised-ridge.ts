import { type Building, had, hasMouth, lowSide } from '../../design'
import { meets, planeAcross, scale, vec } from '../../geometry'
import { HAIR, pitchAngle, radians } from '../../measure'
import { least, type Stretch } from '../../trade'
import type { Problem } from '../problem'
import { layUnless, rakesOf, setbackOf, tightSpacing } from './common'
import type { Abutment, Box, Eave, RoofFace, RoofLines, RoofLumber, RoofShape } from './form'
import { outOf, plumbPlaneAt } from './planes'
import { overEaveWalls } from './places'
import { seatProblems } from './seat'
import { alongGables, type EaveSide, outsideOf, slopeToWall } from './slopes'

/**
 * Two slopes that don't meet: the lower one's rafters end at a ledger on the faces of a row of posts, the
 * upper one's run up over a header on those posts, a bird's mouth on it as on a high wall, and the strip
 * between ledger and header stays open for light and air.
 */
export const raisedRidge: RoofShape = {
  lay(building, lumber) {
    const laid = layOf(building, lumber)
    return layUnless(stops, laid.lines, problemsOf(building, lumber, laid))
  },
  places: overEaveWalls,
}

/** What leaves nothing to frame. */
const stops: readonly Problem['code'][] = [
  'strip-off-span',
  'strip-too-low',
  'spacing-too-tight',
  'seat-through-rafter',
  'seat-wants-mouth',
  'ridge-into-wall',
]

interface Laid {
  readonly lines: RoofLines
  readonly eaves: Readonly<Record<EaveSide, Eave>>
  readonly ledger: Abutment
  readonly header: Box
}

function layOf(building: Building, lumber: RoofLumber): Laid {
  const { ridge, ply } = lumber
  const { heights, roof } = building
  const [lower, upper] = [lowSide(roof), roof.high]
  const { at } = had(roof.raised)
  const angles = { south: pitchAngle(roof.pitch), north: pitchAngle(roof.northPitch ?? roof.pitch) }
  const eave = (side: EaveSide): Eave =>
    slopeToWall(building, lumber, {
      side,
      name: side,
      angle: angles[side],
      run: Math.abs(at - outsideOf(building, side)) - (side === lower ? ply : ridge).thickness,
    })
  const eaves = { south: eave('south'), north: eave('north') }
  const rise = ({ run }: Eave, side: EaveSide): number => run * Math.tan(radians(angles[side]))
  const ledger = ledgerAt(
    building,
    lumber,
    eaves[lower].face,
    heights[lower] + eaves[lower].heightAbovePlate + rise(eaves[lower], lower),
  )
  const seat = heights[upper] + rise(eaves[upper], upper)
  const header = { ...besideStrip(building, 0, ridge.thickness), bottom: seat - ridge.depth, top: seat }
  const strip = stripAt(building, eaves[upper], header)
  const faces = [eaves.south.face, eaves.north.face]
  const over = vec(0, at - wayOf(building) * strip.reach.value, 0)
  return {
    eaves,
    ledger,
    header,
    lines: {
      faces,
      edges: [eaves.south, eaves.north, strip, ledger, ...rakesOf(faces, roof.overhang)],
      coverSetback: setbackOf(building, lumber),
      highest: meets(eaves[upper].face.top, over, vec(0, 0, 1)) ?? seat,
    },
  }
}

/** The way across the building out of the upper slope. */
const wayOf = ({ roof }: Building): 1 | -1 => (roof.high === 'north' ? 1 : -1)

/** A stretch across the building from the strip's face, `near` mm toward the upper slope's wall. */
function besideStrip(building: Building, near: number, thick: number): Stretch {
  const { at } = had(building.roof.raised)
  return wayOf(building) > 0
    ? { from: at + near, to: at + near + thick }
    : { from: at - near - thick, to: at - near }
}

/** The ledger on the posts' faces that the lower slope ends at, its top `top` over the deck. */
function ledgerAt(building: Building, { ridge, ply }: RoofLumber, face: RoofFace, top: number): Abutment {
  const { at } = had(building.roof.raised)
  const lower = lowSide(building.roof)
  return {
    kind: 'abutment',
    id: 'ledger',
    skew: null,
    face,
    against: 'posts',
    end: plumbPlaneAt(scale(outOf[lower], -1), wayOf(building) * at - ply.thickness),
    box: { ...besideStrip(building, -ply.thickness, ply.thickness), bottom: top - ridge.depth, top },
    along: alongGables(building),
  }
}

/** The upper slope's edge over the header, past which its rafters run up. */
function stripAt(building: Building, upper: Eave, header: Box): Eave {
  const { high, overhang, raised } = building.roof
  const { at } = had(raised)
  const way = wayOf(building)
  const out = outOf[high]
  const seat = header.top
  const over = overhang.high ?? overhang.eave
  const face = plumbPlaneAt(scale(out, -1), -way * at)
  return {
    ...upper,
    id: 'strip',
    points: 'up',
    header,
    height: seat,
    seat: planeAcross('z', seat),
    heightAbovePlate: (meets(upper.face.top, scale(face.normal, face.offset), vec(0, 0, 1)) ?? 0) - seat,
    outside: face,
    heel: plumbPlaneAt(out, way * at + header.to - header.from),
    tail: plumbPlaneAt(scale(out, -1), over - way * at),
    reach: { value: over, field: 'roof.overhang.high' },
  }
}

function problemsOf(
  building: Building,
  { rafter, ridge, ply, plate, post }: RoofLumber,
  { eaves, ledger, header }: Laid,
): Problem[] {
  const {
    roof,
    footprint: { width },
    walls,
    heights,
  } = building
  const { at } = had(roof.raised)
  const problems: Problem[] = []
  const side = plate.depth + 10
  const wide = side + Math.max(post.depth, ridge.thickness)
  const [near, far] = roof.high === 'north' ? [side + ply.thickness, wide] : [wide, side + ply.thickness]
  const posts = roof.high === 'north' ? { from: at, to: at + post.depth } : { from: at - post.depth, to: at }
  const clear = header.bottom - ledger.box.top
  if (Math.min(posts.from, ledger.box.from) < side || Math.max(posts.to, ledger.box.to) > width - side)
    problems.push({ code: 'strip-off-span', path: 'roof.raised.at', least: near, most: width - far })
  else if (clear < least.strip)
    problems.push({
      code: 'strip-too-low',
      path: `walls.sides.${roof.high}.height`,
      side: roof.high,
      clear,
      least: heights[roof.high] + least.strip - clear,
    })
  problems.push(...tightSpacing(building, rafter))
  if (!hasMouth(roof.seat)) return [...problems, { code: 'seat-wants-mouth', path: 'roof.seat.rule' }]
  const into = Math.max(walls.height, heights.east, heights.west) - ledger.box.bottom
  if (into > HAIR) problems.push({ code: 'ridge-into-wall', path: 'roof.ridge', by: into })
  const heads = { [lowSide(roof)]: ledger.end, [roof.high]: null } as Record<
    EaveSide,
    typeof ledger.end | null
  >
  return [
    ...problems,
    ...seatProblems(building, eaves.south, heads.south, rafter.depth),
    ...seatProblems(building, eaves.north, heads.north, rafter.depth),
  ]
}
