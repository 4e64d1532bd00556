import { type CutBoard, cutLine, cutOfFace, notches } from '../board'
import { distanceTo, downOf, meets, planeAt, scale, toBuilding, type Vec3, vec } from '../geometry'
import type { Building } from '../design'
import type { Frame, Member, SlopeDatum } from '../frame'
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
  /** Level wood of the rafter that rests on the plate. */
  readonly bearing: number
  /** Plumb height of the rafter's face at its high end. */
  readonly plumbFace: number
  /** Top of the ridge board, or of the rafters at their high end, above the deck. */
  readonly highest: number
}

/** Reads a slope of the roof off its first rafter; null where it could not be framed. */
export function readRoof(frame: Frame, units: Units, side: 'south' | 'north' = 'south'): RoofReading | null {
  const { roof } = frame
  const single = roof.ridgeCentre === null
  const rafter = frame.members.find(
    member => member.id === (single ? 'roof/rafter/1' : `roof/${side}/rafter/1`),
  )
  if (!rafter) return null
  // a single slope is read from its low wall
  const slope = single ? (roof.meet > 0 ? roof.slopes.south : roof.slopes.north) : roof.slopes[side]
  const high = single ? (roof.meet > 0 ? roof.slopes.north : roof.slopes.south) : null
  const up = scale(downOf(slope.roofTop), -1)
  const heel = vec(0, slope.heel.normal.y * slope.heel.offset, slope.height)
  const lineLength =
    meets(
      high?.heel ??
        slope.over?.heel ??
        (frame.roof.strip ? slope.ridgeFace : null) ??
        (single ? slope.heel : planeAt(vec(0, roof.meet, 0), vec(0, 1, 0))),
      heel,
      up,
    ) ?? 0
  const toFace = slope.ridgeFace ? (meets(slope.ridgeFace, heel, up) ?? 0) : null
  const unitRun = units === 'imperial' ? FOOT : METRE
  const levelOf = (along: number): number => Math.abs(along * up.y)
  return {
    angle: slope.angle,
    lineLength,
    unitRun,
    run: levelOf(lineLength),
    rise: lineLength * up.z,
    unitLength: unitRun / Math.abs(up.y),
    ridgeDeduction:
      toFace === null || lineLength - toFace < HAIR
        ? null
        : { along: lineLength - toFace, level: levelOf(lineLength - toFace) },
    heightAbovePlate: overPlate(rafter, heel),
    birdsmouth: birdsmouth(frame, rafter, slope),
    bearing: bearing(frame, rafter, slope),
    plumbFace: cutLine(rafter.board, 0),
    highest: roof.highest,
  }
}

/** Plumb distance from a point to the plane of the rafter's top edge. */
function overPlate({ placement, section }: Member, point: Vec3): number {
  const top = planeAt(toBuilding(placement, vec(0, section.depth, 0)), placement.depth)
  return -distanceTo(top, point) / placement.depth.z
}

function birdsmouth(frame: Frame, rafter: Member, slope: SlopeDatum): RoofReading['birdsmouth'] {
  const [notch] = notches(rafter.board)
  const side = (name: string): number => notch?.sides.find(each => each.name === name)?.length ?? 0
  if (notch) return { seat: side('seat'), heel: side('heel'), notch: notch.depth }
  return { seat: bearing(frame, rafter, slope), heel: 0, notch: 0 }
}

/** How far the rafter's level face at a wall reaches over the plate's width. */
function bearing(frame: Frame, rafter: Member, { wallOutside, height }: SlopeDatum): number {
  const wedge = frame.members.find(member => member.role === 'wedge')
  if (wedge) return wedge.board.end - wedge.board.start
  // a level joist lies on the plate as it is
  if (Math.abs(rafter.placement.along.z) < NO_TURN) return frame.lumber.plate.depth
  const across = levelFace(rafter.board)
    .map(p => toBuilding(rafter.placement, p))
    .filter(p => Math.abs(p.z - height) < ONE_READING)
    .map(p => -distanceTo(wallOutside, p))
  if (across.length === 0) return 0
  return Math.max(
    0,
    Math.min(Math.max(...across), frame.lumber.plate.depth) - Math.max(Math.min(...across), 0),
  )
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
