import { type Building, had, hasMouth, heightAbovePlate, lowSide } from '../../design'
import { meets, planeAcross, scale, vec } from '../../geometry'
import { HAIR, pitchAngle, radians } from '../../measure'
import { least, type Stretch } from '../../trade'
import type { Problem } from '../problem'
import { layUnless, rakesOf, setbackOf, tightSpacing } from './common'
import type { Abutment, Box, Eave, RoofLines, RoofLumber, RoofShape } from './form'
import { lowEave, outOf, plumbPlaneAt, slopedFace } from './planes'
import { overEaveWalls, placesTo } from './places'
import { seatProblems } from './seat'

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

type Side = 'south' | 'north'

interface Laid {
  readonly lines: RoofLines
  readonly eaves: Readonly<Record<Side, Eave>>
  readonly ledger: Abutment
  readonly header: Box
}

function layOf(building: Building, lumber: RoofLumber): Laid {
  const { rafter, ridge, ply, plate } = lumber
  const {
    footprint: { width, length },
    heights,
    roof,
  } = building
  const [lower, upper] = [lowSide(roof), roof.high]
  const angles = { south: pitchAngle(roof.pitch), north: pitchAngle(roof.northPitch ?? roof.pitch) }
  const above = (side: Side): number => heightAbovePlate(roof.seat, angles[side], rafter.depth, plate.depth)
  const { at } = had(roof.raised)
  // level along the way out of the upper slope
  const way = upper === 'north' ? 1 : -1
  const from = (near: number, thick: number): Stretch =>
    way > 0 ? { from: at + near, to: at + near + thick } : { from: at - near - thick, to: at - near }
  const outside = (side: Side): number => (side === 'south' ? 0 : width)
  const runs = {
    [lower]: Math.abs(at - outside(lower)) - ply.thickness,
    [upper]: Math.abs(outside(upper) - at) - ridge.thickness,
  } as Record<Side, number>
  const rise = (side: Side): number => runs[side] * Math.tan(radians(angles[side]))
  const top = heights[lower] + above(lower) + rise(lower)
  const seat = heights[upper] + rise(upper)
  const over = roof.overhang.high ?? roof.overhang.eave
  const along = { from: -roof.overhang.gable, to: length + roof.overhang.gable }
  const eave = (side: Side): Eave =>
    lowEave({
      face: slopedFace({
        falls: side,
        name: side,
        angle: angles[side],
        outside: outside(side),
        level: heights[side] + above(side),
        depth: rafter.depth,
        places: placesTo(building, rafter, side),
        whole: { from: 0, to: length },
      }),
      height: heights[side],
      heightAbovePlate: above(side),
      outside: outside(side),
      reach: { value: roof.overhang.eave, field: 'roof.overhang.eave' },
      run: runs[side],
      along,
    })
  const eaves = { south: eave('south'), north: eave('north') }
  const ledger: Abutment = {
    kind: 'abutment',
    id: 'ledger',
    face: eaves[lower].face,
    against: 'posts',
    end: plumbPlaneAt(scale(outOf[lower], -1), way * at - ply.thickness),
    box: { ...from(-ply.thickness, ply.thickness), bottom: top - ridge.depth, top },
    along,
  }
  const header = { ...from(0, ridge.thickness), bottom: seat - ridge.depth, top: seat }
  const upperEave = eaves[upper]
  const out = outOf[upper]
  const face = plumbPlaneAt(scale(out, -1), -way * at)
  const strip: Eave = {
    ...upperEave,
    id: 'strip',
    points: 'up',
    header,
    height: seat,
    seat: planeAcross('z', seat),
    heightAbovePlate: (meets(upperEave.face.top, scale(face.normal, face.offset), vec(0, 0, 1)) ?? 0) - seat,
    outside: face,
    heel: plumbPlaneAt(out, way * at + ridge.thickness),
    tail: plumbPlaneAt(scale(out, -1), over - way * at),
    reach: { value: over, field: 'roof.overhang.high' },
  }
  const faces = [eaves.south.face, eaves.north.face]
  return {
    eaves,
    ledger,
    header,
    lines: {
      faces,
      edges: [eaves.south, eaves.north, strip, ledger, ...rakesOf(faces, roof.overhang.gable)],
      coverSetback: setbackOf(building, lumber),
      highest: meets(upperEave.face.top, vec(0, at - way * over, 0), vec(0, 0, 1)) ?? seat,
    },
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
  const heads = { [lowSide(roof)]: ledger.end, [roof.high]: null } as Record<Side, typeof ledger.end | null>
  return [
    ...problems,
    ...seatProblems(building, eaves.south, heads.south, rafter.depth),
    ...seatProblems(building, eaves.north, heads.north, rafter.depth),
  ]
}
