import { type Building, footOf, isSide, jacksOf, ONE_JACK, roughSize, type WallOpening } from '../../design'
import { type Section, sheetSection } from '../../lumber'
import { clearPlaces, gaps, hasRoom, least, MARK, middleOf, type Stretch } from '../../trade'
import { HAIR, TYPED } from '../../measure'
import type { Problem } from '../../lines'
import { asksJoin, joinedTo, joinProblem, matesOf } from './joined'
import type { Wall } from './wall'
import {
  type Clear,
  type RoughOpening,
  apartOf,
  clearOver,
  headerOver,
  headOf,
  highest,
  isOnDeck,
  liesUnder,
  meets,
  near,
  overNearer,
  settled,
  sideOf,
  standsOn,
} from './rough-opening'

/**
 * How far a partition's two studs show beyond its faces, mm: enough to nail to, and as far as two stand clear
 * of each other.
 */
export const showing = ({ thickness, depth }: Section): number =>
  Math.max(gaps.nailing, thickness - depth / 2)

/** Whether an opening lies in the gable over a wall, that studs fill from its level plates to the roof. */
export const liesInGable = ({ roof, walls }: Building, wall: Wall, opening: WallOpening): boolean =>
  isSide(wall.name) &&
  wall.along === 'y' &&
  roof.firring === null &&
  !roof.has.falls.includes(wall.name) &&
  (walls.gables === 'studs' || walls.gables === 'notched') &&
  !wall.step &&
  footOf(opening) > wall.height - TYPED

/**
 * A wall's openings that can be framed, in their order along it, and why others can't. `taken` is where the
 * wall's corners stand; `mine` which openings are meant.
 */
export function openingsIn(
  building: Building,
  wall: Wall,
  stud: Section,
  clear: Clear,
  taken: readonly Stretch[],
  section: (name: string) => Section,
  mine: (opening: WallOpening) => boolean,
): { readonly rough: readonly RoughOpening[]; readonly problems: readonly Problem[] } {
  const t = stud.thickness
  const problems: Problem[] = []
  let rough: readonly RoughOpening[] = []
  building.walls.openings.forEach((opening, number) => {
    if (opening.wall !== wall.name || !mine(opening)) return
    const standing = (at: number): Standing =>
      standingAt({ ...opening, at }, number, section(opening.header.section), rough, clear, t)
    const { alone, each, met, under, beside, mates, joined } = standing(opening.at)
    // those that it would carry stand on its header
    const carried = met
      .filter(other => liesUnder(each, other) && !overNearer(other, rough, each))
      .map(other => over(settled(other, headOf(each), []), each))
    const close = mates.length ? rough.filter(other => !mates.includes(other) && meets(each, other, t)) : met
    const others = close.map(other => carried.find(known => known.number === other.number) ?? other)
    const problem =
      nearCorner(each, at => atEnds(standing(at).each, building, wall, t, taken)) ??
      first(beside.map(other => joinProblem(alone, other, t, wall.overall))) ??
      first(others.map(other => apartOf(each, other, t))) ??
      levels(each, t, clearOver(clear, under)) ??
      first(joined.map(one => besideTeeOrStep(one, building, wall, stud, taken))) ??
      thickness(each, stud) ??
      tooLow(each, clear)
    if (problem) {
      problems.push(problem)
      return
    }
    // one that it leaves no sill is left out in its turn
    const lost = carried.flatMap(other => levels(other, t, clearOver(clear, each)) ?? [])
    problems.push(...lost)
    rough = [
      ...rough
        .map(other => [...carried, ...joined].find(known => known.number === other.number) ?? other)
        .filter(other => !lost.some(({ path }) => path.startsWith(`walls.openings.${other.number}.`))),
      under ? over(each, under) : each,
    ]
  })
  return { rough: [...rough].sort((a, b) => a.s.from - b.s.from), problems }
}

/**
 * An opening where it is asked for, among those framed before it: what it meets, what of that it stands on,
 * stands beside and shares a header with; and what it is by itself, and with those that it joins.
 */
interface Standing {
  readonly alone: RoughOpening
  readonly each: RoughOpening
  readonly met: readonly RoughOpening[]
  readonly under: RoughOpening | undefined
  readonly beside: readonly RoughOpening[]
  readonly mates: readonly RoughOpening[]
  readonly joined: readonly RoughOpening[]
}

function standingAt(
  opening: WallOpening,
  number: number,
  header: Section,
  rough: readonly RoughOpening[],
  clear: Clear,
  t: number,
): Standing {
  const size = roughSize(opening)
  const foot = footOf(opening)
  const s = { from: opening.at - size.width / 2, to: opening.at + size.width / 2 }
  const asked: RoughOpening = {
    number,
    opening,
    header,
    s,
    group: number,
    whole: s,
    z: { from: foot, to: foot + size.height },
    over: null,
    jacks: jacksOf(opening),
  }
  const all = rough.filter(other => meets(asked, other, t))
  const beside = all.filter(other => asksJoin(asked, other) && isBeside(asked, other))
  const mates = rough.filter(each => beside.some(other => matesOf(other, rough).includes(each)))
  const met = all.filter(other => !mates.includes(other))
  const under = highest(met.filter(other => headOf(other) < asked.z.from + TYPED))
  const alone = settled(asked, clearOver(clear, under).floor, met)
  const joined = mates.length ? joinedTo(alone, mates) : [alone]
  return { alone, each: joined.at(-1) ?? alone, met, under, beside, mates, joined }
}

/**
 * Why an opening has no room beside a corner: told with the places where it has, as it then stands; at one of
 * those it may come under another's header, on more jacks.
 */
function nearCorner(each: RoughOpening, at: (middle: number) => Problem | null): Problem | null {
  const found = at(middleOf(each.s))
  if (found?.code !== 'opening-near-corner') return found
  const [low, high] = [at(found.least), at(found.most)]
  const told = {
    least: low?.code === 'opening-near-corner' ? low.least : found.least,
    most: high?.code === 'opening-near-corner' ? high.most : found.most,
  }
  return hasRoom(told) ? { ...found, ...told } : found
}

/**
 * An opening as it stands on another's header: over one as wide it has as many jacks, inside of the same
 * kings.
 */
const over = (settled: RoughOpening, under: RoughOpening): RoughOpening => ({
  ...settled,
  over: under.number,
  jacks: near(settled.s, under.s, HAIR) ? under.jacks : settled.jacks,
})

/** Whether two openings stand beside each other, neither over the other. */
const isBeside = (a: RoughOpening, b: RoughOpening): boolean =>
  (a.s.to < b.s.from + TYPED || b.s.to < a.s.from + TYPED) && a.z.from < b.z.to && b.z.from < a.z.to

const first = (problems: readonly (Problem | null)[]): Problem | null =>
  problems.find(each => each !== null) ?? null

/**
 * Between what stands at a wall's ends as far as an opening's studs may reach: a door through a low wall is
 * clear of the next one, which is thicker than what stands on it.
 */
function endsFor(
  { z, jacks }: Pick<RoughOpening, 'z' | 'jacks'>,
  { base }: Building,
  wall: Wall,
  t: number,
  taken: readonly Stretch[],
): Stretch {
  const own = endsOf(wall, taken)
  const thick = isOnDeck(z) && base?.kind === 'slab' ? (base.lowWall?.thickness ?? 0) : 0
  const side = sideOf({ jacks }, t)
  return {
    from: Math.max(own.from, thick - side),
    to: Math.min(own.to, wall.overall - thick + side),
  }
}

/** An opening that leaves no room for its studs beside a corner, or none at all. */
function atEnds(
  { number, opening, s, whole, z, jacks }: RoughOpening,
  building: Building,
  wall: Wall,
  t: number,
  taken: readonly Stretch[],
): Problem | null {
  const side = sideOf({ jacks }, t)
  const path = `walls.openings.${number}` as const
  const half = (s.to - s.from) / 2 + side
  const ends = endsFor({ z, jacks }, building, wall, t, taken)
  if (whole.from - side > ends.from - HAIR && whole.to + side < ends.to + HAIR) return null
  const [lowest, most] = [ends.from + half, ends.to - half]
  return !hasRoom({ least: lowest, most })
    ? {
        code: 'opening-too-wide',
        path: `${path}.unit.width`,
        number: number + 1,
        most: Math.max(0, widest(opening, ends.to - ends.from, t) - opening.clearance.width - MARK),
      }
    : { code: 'opening-near-corner', path: `${path}.at`, number: number + 1, least: lowest, most }
}

/** The widest rough opening that leaves room in so much of a wall for its studs: fewer where it is narrow. */
function widest({ header }: WallOpening, room: number, t: number): number {
  if (header.jacks) return room - 2 * sideOf({ jacks: header.jacks }, t)
  const two = room - 2 * sideOf({ jacks: 2 }, t)
  return two > ONE_JACK + TYPED ? two : Math.min(ONE_JACK, room - 2 * sideOf({ jacks: 1 }, t))
}

/** An opening whose header has no room under what it ends under, or that leaves none for a sill. */
function levels(rough: RoughOpening, t: number, clear: Clear): Problem | null {
  const { number, z, header } = rough
  const path = `walls.openings.${number}` as const
  const over = z.to + header.depth - clear.top.free(headerOver(rough, t))
  if (over > HAIR)
    return {
      code: 'header-no-room',
      path: `${path}.unit.height`,
      number: number + 1,
      by: over,
      under: clear.under,
    }
  const { floor } = clear
  const lowest = floor ?? clear.bottom
  return !standsOn(z, floor) && z.from - t < lowest + least.cripple - HAIR
    ? {
        code: 'sill-too-low',
        path: `${path}.foot`,
        number: number + 1,
        least: lowest + least.cripple + t,
        floor,
      }
    : null
}

/** A door so low that its jacks would have no length over the bottom plate. */
function tooLow({ number, opening, z }: RoughOpening, clear: Clear): Problem | null {
  const lowest = clear.bottom + least.cripple - z.from
  return isOnDeck(z) && z.to - z.from < lowest - HAIR
    ? {
        code: 'opening-too-low',
        path: `walls.openings.${number}.unit.height`,
        number: number + 1,
        least: lowest - opening.clearance.height,
      }
    : null
}

/** Between a wall's corners, what an opening may take with its jacks and kings. */
const endsOf = (wall: Wall, taken: readonly Stretch[]): Stretch => ({
  from: Math.max(wall.from, ...taken.filter(each => each.from < wall.overall / 2).map(each => each.to)),
  to: Math.min(wall.to, ...taken.filter(each => each.from >= wall.overall / 2).map(each => each.from)),
})

/**
 * Where an opening's middle may not be for its wall's partitions and step, each with a number of studs beside
 * it.
 */
const inWay = (
  { tees, step }: Wall,
  half: number,
  stud: Section,
): { readonly tees: readonly Stretch[]; readonly step: readonly Stretch[] } => ({
  tees: tees.map(({ from, to }) => ({ from: from - showing(stud) - half, to: to + showing(stud) + half })),
  step: step ? [{ from: step.at - half - stud.thickness, to: step.at + half + stud.thickness }] : [],
})

/**
 * Where a partition meets the wall stand its own two studs; where it steps a stud under the lower plates and
 * one beside it under the higher. An opening there is told the nearest places beside.
 */
function besideTeeOrStep(
  { number, opening, s, z, jacks }: RoughOpening,
  building: Building,
  wall: Wall,
  stud: Section,
  taken: readonly Stretch[],
): Problem | null {
  const half = (s.to - s.from) / 2 + sideOf({ jacks }, stud.thickness)
  const { tees, step } = inWay(wall, half, stud)
  const meets = (places: readonly Stretch[]): boolean =>
    places.some(({ from, to }) => opening.at > from + HAIR && opening.at < to - HAIR)
  const code = meets(tees) ? 'opening-at-partition' : meets(step) ? 'opening-at-step' : null
  const ends = endsFor({ z, jacks }, building, wall, stud.thickness, taken)
  return (
    code && {
      code,
      path: `walls.openings.${number}.at`,
      number: number + 1,
      ...clearPlaces(opening.at, [...tees, ...step], { from: ends.from + half, to: ends.to - half }),
    }
  )
}

function thickness({ number, opening, header }: RoughOpening, stud: Section): Problem | null {
  const over = opening.header.plies * header.thickness - stud.depth
  return over > HAIR
    ? { code: 'header-too-thick', path: `walls.openings.${number}.header`, number: number + 1, by: over }
    : null
}

/**
 * What packs a header's plies out to the wall's thickness, from the outside in: boards of its own section as
 * long as more is missing than a strip of sheet makes up, then strips of sheet, two of one thickness where
 * one would be too thick. Nothing where the plies fill the wall.
 */
export function packingOf({ opening, header }: RoughOpening, stud: Section): Section[] {
  const gap = stud.depth - opening.header.plies * header.thickness
  const boards = gap > least.packing.most ? Math.floor((gap + HAIR) / header.thickness) : 0
  const rest = gap - boards * header.thickness
  if (rest < least.packing.least) return Array.from({ length: boards }, () => header)
  const strips = rest > least.packing.most ? 2 : 1
  return [
    ...Array.from({ length: boards }, () => header),
    ...Array.from({ length: strips }, () => sheetSection(rest / strips, 1219.2, 2438.4)),
  ]
}
