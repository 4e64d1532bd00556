import { gaps, overlap, type Stretch } from '../../trade'
import { type Building, hasBottomChord, nearestHouse, type RoofOpening } from '../../design'
import { HAIR, radians } from '../../measure'
import {
  headPlane,
  leavesOut,
  type Parting,
  type Problem,
  reachOf,
  type RoofFace,
  type RoofLines,
  type RoofLumber,
  seatLength,
  type Slope,
  slopesOf,
  trussesAbout,
} from '../../lines'
import { kneeEnd } from './knee-support'
import { betweenTrusses, edgesOf, partingsOn } from './openings'

/**
 * Why openings can't be in a slope: none there, no room for trimmers or headers, or one in another's way; and
 * stairs where no roof has ceiling joists.
 */
export function roofOpeningProblems(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
): RoofOpeningProblem[] {
  const found = slopesOf(lines).flatMap(slope =>
    partingsOn(building, lines, slope, lumber.rafter).map(parting => ({ parting, slope })),
  )
  const refused = new Set<number>()
  return building.roof.openings.flatMap((asked, i): RoofOpeningProblem[] => {
    // what was refused before is shut
    const problem = asked.width === 0 ? null : problemOf(asked, i)
    if (problem) refused.add(i + 1)
    return problem ? [problem] : []
  })

  function problemOf(asked: RoofOpening, i: number): RoofOpeningProblem | null {
    if (asked.kind === 'stair')
      return building.roof.has.ties.includes('ceiling') || leavesOut(building)
        ? null
        : { code: 'stair-no-joists', path: `roof.openings.${i}.kind`, number: i + 1 }
    const mine = found.find(each => each.parting.number === i + 1)
    if (!mine)
      return {
        code: 'roof-opening-no-slope',
        path: `roof.openings.${i}.slope`,
        number: i + 1,
        side: asked.slope,
      }
    const other = found.find(
      each =>
        each.parting.number < mine.parting.number &&
        !refused.has(each.parting.number) &&
        each.slope.face === mine.slope.face &&
        (building.roof.truss
          ? shareBay(building, lumber, mine.slope, each.parting, mine.parting)
          : overlap(each.parting.wide, mine.parting.wide)),
    )
    return (
      noRoomFor(building, lumber, lines, mine.slope, asked, i) ??
      (other
        ? {
            code: 'roof-openings-meet',
            path: `roof.openings.${i}.at`,
            number: i + 1,
            other: other.parting.number,
            trussed: building.roof.truss !== null,
          }
        : null)
    )
  }
}

/** Whether two openings' headers would meet, that run between the same two trusses. */
function shareBay(
  building: Building,
  { rafter }: RoofLumber,
  { face }: Slope,
  one: Parting,
  other: Parting,
): boolean {
  const [a, b] = [one, other].map(each => betweenTrusses(building, face, each))
  const cos = face.top.normal.z
  const up = ({ asked: { up: from, length, plies } }: Parting): Stretch => ({
    from: from - plies * rafter.thickness * cos,
    to: from + (length + plies * rafter.thickness) * cos,
  })
  return !!a && !!b && overlap(a, b) && overlap(up(one), up(other))
}

/** Why a slope has no room for an opening of its size, or none where it is. */
function noRoomFor(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  slope: Slope,
  asked: RoofOpening,
  i: number,
): RoofOpeningProblem | null {
  const { whole, carrier } = slope.face
  const cos = carrier.top.normal.z
  const clear = roomOn(building, lumber, lines, slope, asked.plies)
  const up = { ...clear, from: Math.max(clear.from, overStair(building, lumber, slope, asked)) }
  const bounds = { least: up.from, most: up.to - asked.length * cos }
  const sides = 2 * lumber.rafter.thickness * (1 + asked.plies)
  const room = whole.to - whole.from - sides
  const number = i + 1
  const tooBig = (way: 'width' | 'length', most: number): RoofOpeningProblem => ({
    code: 'roof-opening-too-big',
    path: `roof.openings.${i}.${way}`,
    number,
    most: Math.max(0, most),
  })
  if (asked.width > room + HAIR) return tooBig('width', room)
  if (bounds.most < bounds.least - HAIR) return tooBig('length', (up.to - up.from) / cos)
  const half = (sides + asked.width) / 2
  const inner = betweenLookouts(building, slope.face)
  const along = inner
    ? { least: inner.from + asked.width / 2, most: inner.to - asked.width / 2 }
    : { least: whole.from + half, most: whole.to - half }
  const bay = building.roof.truss && bayFor(slope.face, asked, inner)
  if (bay) return { ...bay, path: `roof.openings.${i}.${bay.field}`, number }
  if (asked.at < along.least - HAIR || asked.at > along.most + HAIR)
    return { code: 'roof-opening-no-room', path: `roof.openings.${i}.at`, number, ...along }
  return asked.up < bounds.least - HAIR || asked.up > bounds.most + HAIR
    ? { code: 'roof-opening-no-room', path: `roof.openings.${i}.up`, number, ...bounds }
    : null
}

/**
 * How far up a slope an opening's headers lie over the tail joists of a stair that a truss is left out for in
 * its bay, level in from the wall's outside; mm. No limit where there is no such stair.
 */
function overStair(building: Building, lumber: RoofLumber, slope: Slope, asked: RoofOpening): number {
  const { truss } = building.roof
  if (!truss || !hasBottomChord(truss.kind)) return -Infinity
  const { left } = trussesAbout(building, lumber.rafter)
  if (!left.some(({ gap }) => gap.from < asked.at && gap.to > asked.at)) return -Infinity
  const { low, down, up } = edgesOf(slope, { asked })
  const foot = low.z + asked.plies * lumber.rafter.thickness * down.z - lumber.rafter.depth * up.z
  const over = slope.eave.height + lumber.bottom.depth + gaps.besideHeader - foot
  return asked.up + (over * up.z) / Math.hypot(up.x, up.y)
}

/** Between trusses, where lookouts do not cross: from the second truss to the last but one; null else. */
function betweenLookouts({ roof }: Building, { places }: RoofFace): Stretch | null {
  const [second, before] = [places[1], places[places.length - 2]]
  return roof.truss && roof.ends.hold === 'lookouts' && second && before
    ? { from: second.at.to, to: before.at.from }
    : null
}

/**
 * Why an opening would cut a truss, or lookouts in the bays at the ends: wider than any bay, or not within
 * one; the nearest place where it is not.
 */
function bayFor(
  { places }: RoofFace,
  { at, width }: RoofOpening,
  inner: Stretch | null,
): {
  readonly code: 'roof-opening-cuts-truss'
  readonly field: 'width' | 'at'
  readonly least: number | null
  readonly most: number | null
} | null {
  const bays = places
    .slice(1)
    .map((next, i) => ({ from: places[i]?.at.to ?? 0, to: next.at.from }))
    .filter(each => !inner || (each.from > inner.from - HAIR && each.to < inner.to + HAIR))
  const widest = Math.max(0, ...bays.map(each => each.to - each.from))
  const code = 'roof-opening-cuts-truss'
  if (!bays.length) return { code, field: 'at', least: null, most: null }
  if (width > widest + HAIR) return { code, field: 'width', least: null, most: widest }
  const rooms = bays
    .map(each => ({ least: each.from + width / 2, most: each.to - width / 2 }))
    .filter(each => each.least < each.most + HAIR)
  if (rooms.some(each => at > each.least - HAIR && at < each.most + HAIR)) return null
  const [nearest] = [...rooms].sort(
    (a, b) => Math.abs((a.least + a.most) / 2 - at) - Math.abs((b.least + b.most) / 2 - at),
  )
  return { code, field: 'at', least: nearest?.least ?? null, most: nearest?.most ?? null }
}

export type RoofOpeningProblem = Extract<
  Problem,
  { readonly code: `roof-opening${string}` | 'stair-no-joists' | 'stair-few-trusses' }
>

/**
 * The level stretch up a slope from its wall's outside that openings with headers of so many plies can take:
 * clear of the plate, with blocks on it, of a seat longer than that, and of the ridge or the high wall; mm.
 */
export function roomOn(
  building: Building,
  lumber: RoofLumber,
  lines: RoofLines,
  { face, eave: { run, side, heightAbovePlate } }: Slope,
  plies: number,
): Stretch {
  const { footprint, roof } = building
  const { rafter, plate, ridge, post } = lumber
  const slope = face.carrier.kind === 'rafters' ? radians(face.angle) : 0
  const [sin, cos] = [Math.sin(slope), Math.cos(slope)]
  const headers = plies * rafter.thickness * cos
  const { from: foot, to: head } = reachOf(lines, face)
  // square to its slope half the turn of a knee takes more of a board below than above
  const { truss } = roof
  const leg = truss ? (truss.gusset.leg + rafter.depth) * cos : 0
  const turn = rafter.depth * sin + rafter.thickness * cos + leg
  if (Number.isFinite(foot) || Number.isFinite(head)) {
    const over = Math.max(ridge.thickness, roof.beam ? post.depth : 0) / 2
    const seated = Math.max(plate.depth, seatLength(heightAbovePlate, face.angle, rafter.depth))
    // headers, square to their slope, clear of what carries the rafters under the knee
    const end = kneeEnd(building, lumber, lines, face)
    const beside = headers + gaps.besideHeader
    const [low, high] =
      end === null
        ? [-Infinity, Infinity]
        : [end + beside - rafter.depth * sin, end - beside - rafter.depth * sin]
    return {
      from: Math.max(
        (Number.isFinite(foot) ? foot : seated) + turn + beside,
        Number.isFinite(foot) ? low : -Infinity,
      ),
      to: Math.min(
        (Number.isFinite(head) ? head : footprint.width / 2 - over) - turn - beside,
        Number.isFinite(head) ? high : Infinity,
      ),
    }
  }
  const span = side === 'east' || side === 'west' ? footprint.length : footprint.width
  const top =
    lines.faces.length > 1
      ? run - Math.max(ridge.thickness, roof.beam ? post.depth : 0) / 2
      : headPlane(lines, face)
        ? run - nearestHouse(building)
        : span - plate.depth - rafter.depth * sin - rafter.thickness
  const seat =
    face.carrier.kind === 'rafters'
      ? Math.max(plate.depth, seatLength(heightAbovePlate, face.angle, rafter.depth))
      : plate.depth
  return {
    from: seat + rafter.depth * sin + rafter.thickness + headers + gaps.besideHeader,
    to: top - headers - rafter.depth * sin - gaps.besideHeader,
  }
}
