import { type Building, footOf, roughSize, wallFoot, type WallOpening } from '../../design'
import { type Section, sheetSection } from '../../lumber'
import { clearPlaces, gaps, hasRoom, least, MARK, type Stretch } from '../../trade'
import { HAIR } from '../../measure'
import type { Problem } from '../../lines'
import type { WallTop } from './top'
import type { Wall } from './wall'

/**
 * A rough opening as it is framed in a wall; `number` its place in the document. Distances along the wall and
 * levels over the deck, mm.
 */
export interface RoughOpening {
  readonly number: number
  readonly opening: WallOpening
  readonly s: Stretch
  readonly z: Stretch
  readonly header: Section
}

/** Between a wall's plates: the level of its bottom plate's top, mm, and what stands in it ends at. */
export interface Clear {
  readonly bottom: number
  readonly top: WallTop
}

/**
 * How far a partition's two studs show beyond its faces, mm: enough to nail to, and as far as two stand clear
 * of each other.
 */
export const showing = ({ thickness, depth }: Section): number =>
  Math.max(gaps.nailing, thickness - depth / 2)

/** Studs on each side of an opening: a jack that carries the header, and a king. */
export const SIDE_STUDS = 2
/**
 * A wall's openings that can be framed, in their order along it, and why others can't. `taken` is where the
 * wall's corners stand.
 */
export function openingsIn(
  building: Building,
  wall: Wall,
  stud: Section,
  clear: Clear,
  taken: readonly Stretch[],
  section: (name: string) => Section,
): { readonly rough: readonly RoughOpening[]; readonly problems: readonly Problem[] } {
  const t = stud.thickness
  const problems: Problem[] = []
  const rough: RoughOpening[] = []
  building.walls.openings.forEach((opening, number) => {
    if (opening.wall !== wall.name) return
    const size = roughSize(opening)
    const foot = footOf(opening)
    const each: RoughOpening = {
      number,
      opening,
      header: section(opening.header.section),
      s: { from: opening.at - size.width / 2, to: opening.at + size.width / 2 },
      z: { from: foot, to: foot + size.height },
    }
    const problem =
      problemOf(each, wall, t, clear, taken, rough) ??
      besideTeeOrStep(each, wall, stud, taken) ??
      thickness(each, stud) ??
      lowWall(each, building) ??
      tooLow(each, clear)
    if (problem) problems.push(problem)
    else rough.push(each)
  })
  return { rough: [...rough].sort((a, b) => a.s.from - b.s.from), problems }
}

function problemOf(
  { number, opening, s, z, header }: RoughOpening,
  wall: Wall,
  t: number,
  clear: Clear,
  taken: readonly Stretch[],
  others: readonly RoughOpening[],
): Problem | null {
  const side = SIDE_STUDS * t
  const path = `walls.openings.${number}` as const
  const half = (s.to - s.from) / 2 + side
  const ends = endsOf(wall, taken)
  if (s.from - side < ends.from - HAIR || s.to + side > ends.to + HAIR) {
    const [lowest, most] = [ends.from + half, ends.to - half]
    return !hasRoom({ least: lowest, most })
      ? {
          code: 'opening-too-wide',
          path: `${path}.unit.width`,
          number: number + 1,
          most: Math.max(0, ends.to - ends.from - 2 * side - opening.clearance.width - MARK),
        }
      : { code: 'opening-near-corner', path: `${path}.at`, number: number + 1, least: lowest, most }
  }
  const other = others.find(
    each => s.from - side < each.s.to + side - HAIR && each.s.from - side < s.to + side - HAIR,
  )
  if (other)
    return {
      code: 'openings-meet',
      path: `${path}.at`,
      number: number + 1,
      other: other.number + 1,
      apart: 2 * side,
    }
  const over = z.to + header.depth - clear.top.reach({ from: s.from - t, to: s.to + t }).shorter
  if (over > HAIR)
    return { code: 'header-no-room', path: `${path}.unit.height`, number: number + 1, by: over }
  if (!isOnDeck(z) && z.from - t < clear.bottom + least.cripple - HAIR)
    return {
      code: 'sill-too-low',
      path: `${path}.foot`,
      number: number + 1,
      least: clear.bottom + least.cripple + t,
    }
  return null
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
  { number, opening, s }: RoughOpening,
  wall: Wall,
  stud: Section,
  taken: readonly Stretch[],
): Problem | null {
  const half = (s.to - s.from) / 2 + SIDE_STUDS * stud.thickness
  const { tees, step } = inWay(wall, half, stud)
  const meets = (places: readonly Stretch[]): boolean =>
    places.some(({ from, to }) => opening.at > from + HAIR && opening.at < to - HAIR)
  const code = meets(tees) ? 'opening-at-partition' : meets(step) ? 'opening-at-step' : null
  const ends = endsOf(wall, taken)
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

/** A door can't stand on the deck where a low wall is. */
function lowWall({ number, z }: RoughOpening, building: Building): Problem | null {
  const foot = wallFoot(building.base)
  return foot > 0 && isOnDeck(z)
    ? { code: 'door-in-low-wall', path: `walls.openings.${number}.kind`, number: number + 1, foot }
    : null
}

export const isOnDeck = (z: Stretch): boolean => z.from < HAIR

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
