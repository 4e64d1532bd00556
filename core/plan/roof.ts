import {
  abutmentOf,
  type Eave,
  faceTo,
  headPlane,
  highEaveOf,
  kneeUnder,
  lowEaveOf,
  overHeel,
  ridgeOf,
  type RoofFace,
  type RoofLines,
} from '../lines'
import { type CutBoard, cutLine, cutOfFace, depthOf, firstNotch } from '../board'
import {
  add,
  distanceTo,
  downOf,
  meets,
  type Plane,
  planeAcross,
  planeAt,
  scale,
  toBuilding,
  type Vec3,
  vec,
} from '../geometry'
import type { Building } from '../design'
import { chordFace, type Frame, type Member, faceOf, trussOf } from '../frame'
import type { Stretch } from '../trade'
import { FOOT, HAIR, METRE, NO_TURN, ONE_READING, type Units } from '../measure'

/**
 * What a framer calls the roof's numbers, read off the planes and the first common rafter. mm and degrees.
 */
export interface RoofReading {
  readonly angle: number
  /** Level, from the outside of the slope's wall to the middle of the ridge, or from heel to heel. */
  readonly run: number
  readonly rise: number
  /** Along the slope, over the run. */
  readonly lineLength: number
  /** Run that `unitLength` is for: 12 in, or a metre. */
  readonly unitRun: number
  readonly unitLength: number
  /** Along the slope, and level: from the middle of the ridge to its side; null without a ridge. */
  readonly ridgeDeduction: { readonly along: number; readonly level: number } | null
  /** Plumb, over the outside of the wall, from the plate to the rafter's top edge. */
  readonly heightAbovePlate: number
  readonly birdsmouth: { readonly seat: number; readonly heel: number; readonly notch: number }
  /** Level wood of the rafter that rests on the plate, or the beam; and how far in that bears. */
  readonly bearing: number
  readonly plate: number
  /** Plumb height of the rafter's face at its high end. */
  readonly plumbFace: number
  /** Top of the ridge board, or of the rafters at their high end, above the deck. */
  readonly highest: number
}

/**
 * Reads the face of a roof that falls to a side, or its only one, off its first rafter; null where it could
 * not be framed.
 */
export function readRoof(frame: Frame, units: Units, side: 'south' | 'north' = 'south'): RoofReading | null {
  const { roof } = frame
  const face = roof.faces.length === 1 ? roof.faces[0] : faceTo(roof, side)
  return face ? readFace(frame, units, face) : null
}

/**
 * A face's first rafter, or its chord of the first truss that is not at an end: its lowest piece, and its
 * highest.
 */
function firstOn({ across: members }: Frame, face: RoofFace): readonly [Member, Member] | null {
  const rafter = members.find(
    ({ where }) => faceOf(where) === face.id && where.name === 'rafter' && where.run[0] === 1,
  )
  if (rafter) return [rafter, rafter]
  for (const number of [2, 1]) {
    const chords = members.filter(({ where }) => trussOf(where) === number && chordFace(where) === face.id)
    const [foot, head] = [chords[0], chords[chords.length - 1]]
    if (foot && head) return [foot, head]
  }
  return null
}

/**
 * Reads a face off its first rafter or chord, or off another where they are unlike; null where it could not
 * be framed.
 */
export function readFace(
  frame: Frame,
  units: Units,
  face: RoofFace,
  of: Member | null = null,
): RoofReading | null {
  const { roof } = frame
  const eave = lowEaveOf(roof, face)
  const found = of ? ([of, of] as const) : firstOn(frame, face)
  // level rafters have no slope to read
  if (!found || face.angle === 0) return null
  const [rafter, atHead] = found
  const up = scale(downOf(face.top), -1)
  const { skew } = abutmentOf(roof) ?? {}
  const foot = footOf(roof, face)
  const heel = skew ? { ...foot, x: middleAlong(rafter) } : foot
  const head = skew?.face ?? headPlane(roof, face)
  const lineLength = meets(endOfRun(frame, face), heel, up) ?? 0
  const toFace = head ? (meets(head, heel, up) ?? 0) : null
  const unitRun = units === 'imperial' ? FOOT : METRE
  const levelOf = (along: number): number => Math.abs(along * up.y)
  return {
    angle: face.angle,
    lineLength,
    unitRun,
    run: levelOf(lineLength),
    rise: lineLength * up.z,
    unitLength: unitRun / Math.abs(up.y),
    ridgeDeduction:
      toFace === null || lineLength - toFace < HAIR
        ? null
        : { along: lineLength - toFace, level: levelOf(lineLength - toFace) },
    heightAbovePlate: eave ? overPlate(rafter, atHeel(eave)) : 0,
    birdsmouth: eave ? birdsmouth(frame, rafter, eave) : { seat: 0, heel: 0, notch: 0 },
    bearing: eave ? bearing(frame, rafter, eave) : 0,
    plate: eave ? frame.building.bearings[eave.side] : 0,
    plumbFace: cutLine(atHead.board, 0),
    highest: roof.highest,
  }
}

/**
 * Where a face's run begins: over its wall's outside at the plate, on the roof line below a knee, or at one.
 */
function footOf(lines: RoofLines, face: RoofFace): Vec3 {
  const knee = kneeUnder(lines, face)
  const eave = lowEaveOf(lines, face)
  if (knee) {
    const { face: low } = knee.sides[0]
    const y = lowEaveOf(lines, low)?.outside
    return vec(0, y ? y.normal.y * (y.offset - knee.in) : 0, knee.level)
  }
  if (!eave) return vec(0, 0, 0)
  const heel = atHeel(eave)
  const leans = (headPlane(lines, face)?.normal.z ?? 0) !== 0
  return leans ? add(heel, vec(0, 0, overHeel(eave))) : heel
}

const atHeel = ({ heel: { normal, offset }, height }: Eave): Vec3 => vec(0, normal.y * offset, height)

/** The faces that are read one by one: those of unlike slopes, the first of those alike. */
export const readFaces = ({
  frame,
  building,
}: {
  readonly frame: Frame
  readonly building: Building
}): readonly { readonly face: RoofFace; readonly reading: RoofReading }[] =>
  frame.roof.faces
    .filter((face, i) => frame.roof.faces.findIndex(other => other.angle === face.angle) === i)
    .flatMap(face => {
      const reading = readFace(frame, building.units, face)
      return reading ? [{ face, reading }] : []
    })

/**
 * What a face's run ends at: the heel over a high wall or header, a ledger's face, the middle of the ridge.
 */
function endOfRun({ roof }: Frame, face: RoofFace): Plane {
  const head = headPlane(roof, face)
  if (head && head.normal.z !== 0) return head
  const ledger = abutmentOf(roof)
  return (
    highEaveOf(roof, face)?.heel ??
    ledger?.skew?.face ??
    ledger?.end ??
    planeAcross('y', ridgeOf(roof)?.at ?? 0)
  )
}

/** How far along the building the middle of a rafter stands, mm. */
const middleAlong = ({ placement, section }: Member): number =>
  toBuilding(placement, vec(0, 0, section.thickness / 2)).x

/** Plumb distance from a point to the plane of the rafter's top edge. */
function overPlate({ placement, section }: Member, point: Vec3): number {
  const top = planeAt(toBuilding(placement, vec(0, section.depth, 0)), placement.depth)
  return -distanceTo(top, point) / placement.depth.z
}

function birdsmouth(frame: Frame, rafter: Member, eave: Eave): RoofReading['birdsmouth'] {
  const notch = firstNotch(rafter.board)
  const side = (name: string): number => notch?.sides.find(each => each.name === name)?.length ?? 0
  if (notch) return { seat: side('seat'), heel: side('heel'), notch: depthOf(notch) }
  return { seat: bearing(frame, rafter, eave), heel: 0, notch: 0 }
}

/** How far the rafter's level face at a wall reaches over the plate's width. */
function bearing(frame: Frame, rafter: Member, { outside, height, side }: Eave): number {
  const wedge = frame.across.find(member => member.role === 'wedge')
  if (wedge) return wedge.board.end - wedge.board.start
  // a level joist lies on the plate as it is
  const on = frame.building.bearers[side]
  const wood = (seat: Stretch): number =>
    on.reduce((sum, { from, to }) => sum + Math.max(0, Math.min(seat.to, to) - Math.max(seat.from, from)), 0)
  if (Math.abs(rafter.placement.along.z) < NO_TURN) return wood({ from: 0, to: Infinity })
  const across = levelFace(rafter.board)
    .map(p => toBuilding(rafter.placement, p))
    .filter(p => Math.abs(p.z - height) < ONE_READING)
    .map(p => -distanceTo(outside, p))
  return across.length ? wood({ from: Math.min(...across), to: Math.max(...across) }) : 0
}

function levelFace(board: CutBoard): Vec3[] {
  return board.faces
    .filter(face => ['seat', 'level'].includes(cutOfFace(face)?.name ?? ''))
    .flatMap(face => face.loops.flat())
}

/** The north slope of a gable, where it is not as the south one; null where both are one. */
export const northSlope = ({
  frame,
  building,
}: {
  readonly frame: Frame
  readonly building: Building
}): RoofReading | null =>
  building.roof.northPitch || building.roof.raised ? readRoof(frame, building.units, 'north') : null
