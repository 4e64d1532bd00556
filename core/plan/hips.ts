import { type Eave, lowEaves, peakAcross, type RoofLines } from '../lines'
import { cutOfFace, depthOf, firstNotch } from '../board'
import { type Frame, type Member, faceOf, wallOf } from '../frame'
import { meets, planeAt, toBuilding, type Vec3, vec } from '../geometry'
import { degrees, HAIR, ONE_READING } from '../measure'

/** What a framer calls a hip's or a jack's numbers, read off its own board and the planes. mm and degrees. */
export interface SkewReading {
  readonly angle: number
  /**
   * Level, along the rafter in plan: from the wall's outside or the corner to where its middle meets the
   * hips' middle, or they all meet.
   */
  readonly run: number
  readonly rise: number
  readonly lineLength: number
  /** From there to the cheeks' own middle or point: along the slope, and level. */
  readonly deduction: { readonly along: number; readonly level: number }
  readonly birdsmouth: { readonly seat: number; readonly heel: number; readonly notch: number }
}

const levelOf = ({ placement: { along } }: Member): number => Math.hypot(along.x, along.y)

/** Of a rafter that runs level so far to the middle of what it meets, and to its own cheeks. */
function reading(member: Member, toMiddle: number, toCheek: number): SkewReading {
  const level = levelOf(member)
  const { z } = member.placement.along
  const notch = firstNotch(member.board)
  const side = (name: string): number => notch?.sides.find(each => each.name === name)?.length ?? 0
  return {
    angle: degrees(Math.atan2(-z, level)),
    run: toMiddle,
    rise: (toMiddle * -z) / level,
    lineLength: toMiddle / level,
    deduction: { level: toMiddle - toCheek, along: (toMiddle - toCheek) / level },
    birdsmouth: { seat: side('seat'), heel: side('heel'), notch: notch ? depthOf(notch) : 0 },
  }
}

/** The way up a rafter in plan, and the line of its middle there. */
function middleOf({ placement, section }: Member): { readonly up: Vec3; readonly on: Vec3 } {
  const { along } = placement
  const level = Math.hypot(along.x, along.y)
  const on = toBuilding(placement, vec(0, 0, section.thickness / 2))
  return { up: vec(-along.x / level, -along.y / level, 0), on: vec(on.x, on.y, 0) }
}

/** The eaves on both sides of the corner that a hip comes down to. */
function eavesUnder(lines: RoofLines, hip: Member): Eave[] {
  const { up } = middleOf(hip)
  return lowEaves(lines).filter(({ outside: { normal } }) => normal.x * up.x + normal.y * up.y < -0.5)
}

/** Reads a hip; null where the member is none. */
export function readHip({ roof }: Frame, hip: Member): SkewReading | null {
  if (hip.role !== 'hip') return null
  const { up, on } = middleOf(hip)
  const ways = eavesUnder(roof, hip).map(({ outside, run }) => ({
    outside: meets(outside, on, up) ?? 0,
    level: run / Math.abs(outside.normal.x * up.x + outside.normal.y * up.y),
  }))
  const foot = Math.max(...ways.map(way => way.outside))
  const point = hip.board.faces
    .filter(face => cutOfFace(face)?.name === 'cheek')
    .flatMap(face => face.loops.flat())
    .map(p => toBuilding(hip.placement, p))
    .map(p => (p.x - on.x) * up.x + (p.y - on.y) * up.y)
  return reading(hip, ways[0]?.level ?? 0, Math.max(...point) - foot)
}

/** Reads a jack rafter; null where the member is none. */
export function readJack(frame: Frame, jack: Member): SkewReading | null {
  const side = faceOf(jack.where)
  const eave = lowEaves(frame.roof).find(each => each.side === side)
  const cheek = jack.board.cuts.findIndex(cut => cut.kind === 'end' && cut.name === 'cheek')
  const cut = jack.board.cuts[cheek]
  if (jack.role !== 'jack-rafter' || !eave || cut?.kind !== 'end') return null
  const { up, on } = middleOf(jack)
  const foot = meets(eave.outside, on, up) ?? 0
  // the cheek's plane stands half a hip off that hip's middle
  const face = jack.board.faces.find(each => cutOfFace(each)?.cut === cheek)
  const at = face?.loops[0]?.[0]
  if (!face || !at) return null
  const n = face.plane.normal
  const { along, depth, thickness } = jack.placement
  const normal = vec(
    n.x * along.x + n.y * depth.x + n.z * thickness.x,
    n.x * along.y + n.y * depth.y + n.z * thickness.y,
    0,
  )
  const plane = planeAt(toBuilding(jack.placement, at), normal)
  const toCheek = (meets(plane, on, up) ?? 0) - foot
  const toMiddle =
    (meets({ ...plane, offset: plane.offset + frame.lumber.hip.thickness / 2 }, on, up) ?? 0) - foot
  return reading(jack, toMiddle, toCheek)
}

const longOf = ({ board }: Member): number => board.end - board.start

/**
 * How much longer or shorter the member a spacing along is than one, among its own kind; null where none
 * stands there or both are as long.
 */
function differenceTo(
  members: readonly Member[],
  one: Member,
  spacing: number,
  axis: 'x' | 'y',
): number | null {
  const at = (member: Member): number =>
    toBuilding(member.placement, vec(0, 0, member.section.thickness / 2))[axis]
  const next = members.find(
    other =>
      Math.abs(Math.abs(at(other) - at(one)) - spacing) < ONE_READING &&
      Math.abs(longOf(other) - longOf(one)) > HAIR,
  )
  return next ? Math.abs(longOf(next) - longOf(one)) : null
}

/**
 * The common difference of the jacks beside one: how much longer the next one of its slope is, mm; null where
 * there is none a spacing away.
 */
export function commonDifference({ members }: Frame, jack: Member, spacing: number): number | null {
  return differenceTo(
    members.filter(other => other.role === 'jack-rafter' && faceOf(other.where) === faceOf(jack.where)),
    jack,
    spacing,
    Math.abs(jack.placement.along.x) > 0.5 ? 'y' : 'x',
  )
}

/**
 * The common difference of studs that end at the roof's slope, under the same slope of the same wall; mm,
 * null where there is none.
 */
export function studDifference(
  { members, walls, roof }: Frame,
  stud: Member,
  spacing: number,
): number | null {
  const wall = wallOf(stud.where)
  const slanted =
    stud.role === 'gable-stud' ||
    (stud.role === 'stud' && walls.some(each => each.name === wall && each.raked))
  const side = (member: Member): boolean =>
    toBuilding(member.placement, vec(0, 0, member.section.thickness / 2)).y < peakAcross(roof)
  return slanted
    ? differenceTo(
        members.filter(
          other => other.role === stud.role && wallOf(other.where) === wall && side(other) === side(stud),
        ),
        stud,
        spacing,
        'y',
      )
    : null
}

/**
 * The bevel of a backed hip's upper edge, degrees from square, read off the board; null of one that is not
 * backed.
 */
export function backingOf(hip: Member): number | null {
  const face = hip.board.faces.find(each => cutOfFace(each)?.name === 'backing')
  return face ? degrees(Math.atan2(Math.abs(face.plane.normal.z), face.plane.normal.y)) : null
}

/**
 * How far a hip's upper edge lies under the line where its slopes meet, plumb, mm: read off its placement and
 * the roof's planes. 0 of a backed one.
 */
export function hipDrop({ roof }: Frame, hip: Member): number {
  const { on } = middleOf(hip)
  const over = Math.min(
    ...eavesUnder(roof, hip).map(({ face }) => meets(face.top, on, vec(0, 0, 1)) ?? Infinity),
  )
  const edge = planeAt(toBuilding(hip.placement, vec(0, hip.section.depth, 0)), hip.placement.depth)
  return over - (meets(edge, on, vec(0, 0, 1)) ?? NaN)
}
