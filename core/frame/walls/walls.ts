import { ofWall } from '../place'
import { type Memory, newMemory } from '../memory'
import { type Building, isOpenEnd, isSide, type SideName, sideNames, wallFoot, withValue } from '../../design'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import type { Stretch } from '../../trade'
import { breakOver, breaksOf, hangsDown, lowered, type Problem, type Profile, withinOf } from '../../lines'
import { uprightUnder } from '../roof'
import type { Braced } from './between-posts'
import type { WallBoard } from './board'
import { lineOver } from './end-line'
import { openingBoards } from './opening-boards'
import { liesInGable, openingsIn } from './openings'
import type { Clear, RoughOpening } from './rough-opening'
import { cornerPlaces, layoutOf, nailerPlaces, type StackLines, studPlaces } from './places'
import { platesOf } from './plates'
import { neighbour, coverOnBolted } from './post-places'
import { type PostLumber, postProblems } from './post-problems'
import { framePosts, type PostsBetween, type Underside } from './posts'
import { type RakePlate, rakePlates } from './rake-plates'
import { levelTop, type Rake, rakedTop, standing } from './top'
import { betweenPlates, heightAt, partitionLines, type PerWall, type Wall, wallLines } from './wall'
import { wallProblems, stepProblems, partitionProblems } from './wall-problems'

/** A wall as framed on its own face: its boards, and its openings as they could be framed. */
export interface FramedWall {
  readonly wall: Wall
  readonly boards: readonly WallBoard[]
  readonly rough: readonly RoughOpening[]
  /** What braces it between its posts. */
  readonly braced: readonly Braced[]
  /** The plates of a raked wall, and the lines it is framed to; null of one with level plates. */
  readonly raked: { readonly plates: readonly RakePlate[]; readonly rake: Rake } | null
}

/**
 * The roof over walls: the line of the end rafters, null where there are none, and the undersides of rafters
 * that run up over a side of posts.
 */
export interface RoofOver {
  readonly rafters: Profile | null
  readonly undersides: Readonly<Partial<Record<SideName, Underside>>>
  /** Of posts that stand in the ground the level of their feet, by what they are called; mm. */
  readonly feet: Readonly<Record<string, number>>
}

export interface WallFrame {
  readonly walls: readonly Wall[]
  /** Empty where the walls can't be framed at all. */
  readonly framed: readonly FramedWall[]
  readonly problems: readonly Problem[]
  /** Rough openings as framed, by their wall. */
  readonly openings: PerWall<readonly RoughOpening[]>
}

const noOpenings: WallFrame['openings'] = { south: [], east: [], north: [], west: [] }

/**
 * Frames the four walls and partitions: plates, studs on layout, corners that close, and openings with their
 * kings, jacks, headers, sills and cripples. What can't be built of an opening is left out and said.
 * `over` the roof over them, that raked walls run up to, and posts under rafters that fall inward end under.
 */
export function frameWalls(
  asked: Building,
  stud: Section,
  section: (name: string) => Section,
  lines: StackLines,
  over: RoofOver,
  memory: Memory = newMemory(),
): WallFrame {
  const { rafters } = over
  const steps = stepProblems(asked, wallLines(asked, stud, rafters !== null), stud, wall =>
    rafters ? lineOver(asked, rafters, wall) : null,
  )
  const building = withoutSteps(
    asked,
    steps.map(problem => problem.side),
  )
  const outside = wallLines(building, stud, rafters !== null)
  const problems = [
    ...wallProblems(building, stud, section(building.walls.posts.post)),
    ...(usesPosts(building) ? postProblems(building, postLumber(building, stud, section)) : []),
  ]
  if (problems.length)
    return { walls: outside, problems: [...problems, ...steps], framed: [], openings: noOpenings }
  const off = partitionProblems(building, stud, rafters !== null)
  const standing = new Set(
    building.walls.partitions.map((_, i) => i).filter(i => !off.some(problem => problem.number === i + 1)),
  )
  const tees = (wall: Wall): Wall => ({
    ...wall,
    tees: wall.tees.filter((_, k) => standing.has(teeNumbers(building, wall)[k] ?? -1)),
  })
  const walls = [
    ...outside.map(tees),
    ...partitionLines(building, stud, rafters !== null).filter((_, i) => standing.has(i)),
  ]
  const made = walls.map(wall =>
    memory.last(`wall/${wall.name}`, argumentsOf(building, wall, lines, over, memory), () =>
      frameWall(building, wall, stud, section, lines, over),
    ),
  )
  const openings: WallFrame['openings'] = {
    ...noOpenings,
    ...Object.fromEntries(made.map(({ wall, rough }) => [wall.name, rough])),
  }
  const inHouse = building.walls.openings.flatMap(({ wall }, i): Problem[] =>
    building.roof.has.house === wall
      ? [{ code: 'opening-in-house', path: `walls.openings.${i}.wall`, number: i + 1 }]
      : [],
  )
  const inOpen = building.walls.openings.flatMap(({ wall }, i): Problem[] =>
    isSide(wall) && isOpenEnd(building.walls.sides, building.roof.has, wall)
      ? [{ code: 'opening-in-open', path: `walls.openings.${i}.wall`, number: i + 1 }]
      : [],
  )
  return {
    walls,
    openings,
    framed: made,
    problems: [
      ...steps,
      ...openUnderEaves(building),
      ...inHouse,
      ...inOpen,
      ...off,
      ...made.flatMap(each => each.problems),
    ],
  }
}

/** Sides asked to be open that the roof bears on: they are framed of studs. */
const openUnderEaves = ({ walls, roof }: Building): Problem[] =>
  sideNames
    .filter(
      side =>
        walls.sides[side].build === 'open' &&
        side !== roof.has.house &&
        !isOpenEnd(walls.sides, roof.has, side),
    )
    .map(side => ({ code: 'open-under-eave', path: `walls.sides.${side}.build`, side }))

/** All that a wall is framed by: what is the same as the last time is the same object. */
function argumentsOf(
  { walls, base, lumber, roof }: Building,
  wall: Wall,
  lines: StackLines,
  { rafters, undersides, feet }: RoofOver,
  memory: Memory,
): readonly unknown[] {
  const { name } = wall
  const mine = walls.openings
    .map((opening, i) => [i, opening] as const)
    .filter(([, each]) => each.wall === name)
  const { stud, spacing, topPlates, corner, stack, longest, posts, gables } = walls
  return [
    memory.shared(`line/${name}`, wall),
    memory.shared(`openings/${name}`, mine),
    isSide(name) ? walls.sides[name] : null,
    ...[stud, spacing, topPlates, corner, stack, longest, posts, gables, lumber],
    isSide(name) && walls.sides[name].cover === 'rails' ? walls.railing : null,
    isSide(name) && (walls.sides[name].girts || walls.sides[name].diagonals) ? walls.between : null,
    ...[wallFoot(base), roof.beam, roof.has, roof.firring],
    stack === 'own' ? null : lines,
    wall.along === 'y' ? rafters : null,
    isSide(name) ? (undersides[name] ?? null) : null,
    isSide(name) && walls.sides[name].build === 'posts' ? memory.shared(`feet/${name}`, feet) : null,
    isSide(name) && walls.sides[name].build === 'posts' ? base : null,
  ]
}

function frameWall(
  building: Building,
  wall: Wall,
  stud: Section,
  section: (name: string) => Section,
  lines: StackLines,
  over: RoofOver,
): FramedWall & { readonly problems: readonly Problem[] } {
  const { undersides, feet } = over
  const rafters = over.rafters && lineOver(building, over.rafters, wall)
  if (isSide(wall.name) && building.walls.sides[wall.name].build === 'posts')
    return framePostSide(building, wall, stud, section, { underside: undersides[wall.name] ?? null, feet })
  const plates = building.walls.topPlates * stud.thickness
  const rake = wall.raked && rafters ? rakeOf(rafters, plates, stud) : null
  const clear: Clear = {
    bottom: wallFoot(building.base) + stud.thickness,
    floor: null,
    under: 'plates',
    top: rake ? rakedTop(rake) : levelTop(s => heightAt(wall, s) - plates),
  }
  const { rough, problems } = openingsIn(
    building,
    wall,
    stud,
    clear,
    cornerPlaces(building, wall, stud),
    section,
    opening => !liesInGable(building, wall, opening),
  )
  const posts = underRidge(building, wall, stud, rafters)
  const middle = posts.length
    ? posts.map(({ from, to }) => (from + to) / 2)
    : rake
      ? breaksOf(rake.studs).filter(at => at > wall.from && at < wall.to - stud.thickness)
      : []
  const studs = studPlaces(building, wall, stud, rough, lines, middle).map((each, i) =>
    standing(stud, 'stud', ofWall(wall.name, 'stud', i + 1), each, clear.bottom, clear.top),
  )
  // under the ridge's end before the layout's own
  const layout = [...middle, ...layoutOf(building, wall, lines)]
  const upright = [
    ...studs,
    ...nailers(building, wall, stud, clear),
    ...rough.flatMap(each => openingBoards(wall, stud, clear, each, rough, layout)),
  ]
  const breaks = upright
    .filter(({ role }) => role === 'stud' || role === 'king')
    .map(({ s }) => (s.from + s.to) / 2)
  return {
    wall,
    rough,
    problems,
    braced: [],
    boards: [...platesOf(building, wall, stud, upright), ...upright],
    raked: rake && { rake, plates: rakePlates(building.walls, wall, stud, rake, breaks, clear.bottom) },
  }
}

/** Where studs of an end wall stand under a ridge beam. */
const underRidge = ({ roof }: Building, wall: Wall, stud: Section, rafters: Profile | null): Stretch[] =>
  rafters && roof.beam && wall.along === 'y' && isSide(wall.name)
    ? rafters.hanging
      ? uprightUnder(rafters.hanging, stud.thickness)
      : []
    : []

/**
 * What a raked wall is framed to: its plates leave the ridge's end free where that comes down between them,
 * as wide as a stud under it at least.
 */
function rakeOf(rafters: Profile, plates: number, stud: Section): Rake {
  const half = stud.thickness / 2
  const { hanging } = rafters
  const { from, to } = withinOf(rafters)
  const ends = [from, to].filter(s => hanging && s >= hanging.from && s <= hanging.to)
  const middle = breakOver([...breaksOf(rafters), ...ends], hanging)
  return {
    rafters,
    studs: lowered(rafters, plates),
    gap:
      hanging && hangsDown(rafters)
        ? { from: Math.min(middle - half, hanging.from), to: Math.max(middle + half, hanging.to) }
        : null,
  }
}

/**
 * A side of posts has its top plates like any wall, and no bottom plate; openings asked for in it are said.
 */
function framePostSide(
  building: Building,
  wall: Wall,
  stud: Section,
  section: (name: string) => Section,
  between: PostsBetween,
): FramedWall & { readonly problems: readonly Problem[] } {
  const {
    boards,
    braces,
    problems: met,
  } = framePosts(building, wall, postLumber(building, stud, section), between)
  const problems = building.walls.openings.flatMap((opening, i): Problem[] =>
    opening.wall === wall.name && !liesInGable(building, wall, opening)
      ? [{ code: 'opening-in-posts', path: `walls.openings.${i}.wall`, number: i + 1 }]
      : [],
  )
  const slatted = isSide(wall.name) && building.walls.sides[wall.name].cover === 'slats'
  const bolted: Problem[] =
    coverOnBolted(building, wall) && !slatted ? [{ code: 'cover-on-bolted', path: 'walls.posts.set' }] : []
  const plates = building.walls.posts.plates
    ? platesOf(building, { ...wall, ...closing(building, wall, stud) }, stud, boards).filter(
        ({ role }) => role !== 'bottom-plate',
      )
    : []
  return {
    wall,
    rough: [],
    problems: [...met, ...bolted, ...problems],
    braced: braces,
    boards: [...plates, ...boards],
    raked: null,
  }
}

const postLumber = (
  { walls: { posts, railing, between } }: Building,
  stud: Section,
  section: (name: string) => Section,
): PostLumber => ({
  stud,
  post: section(posts.post),
  beam: section(posts.beam),
  rail: section(railing.rail),
  baluster: section(railing.baluster),
  girt: section(between.girt),
  diagonal: section(between.diagonal),
})

/** As far as a side's plates run: to those of walls as high that it meets, that are no deeper than plates. */
function closing(building: Building, wall: Wall, stud: Section): Stretch {
  if (wall.through) return wall
  const { from, to } = betweenPlates(building, wall.along, stud.depth)
  const level = (side: SideName): boolean => Math.abs(building.heights[side] - wall.height) < HAIR
  return {
    from: level(neighbour(wall, 'low')) ? from : wall.from,
    to: level(neighbour(wall, 'high')) ? to : wall.to,
  }
}

const usesPosts = ({ walls }: Building): boolean =>
  sideNames.some(side => walls.sides[side].build === 'posts')

/** Studs laid flat against the inside of a through wall, beside its end studs. */
function nailers(building: Building, wall: Wall, stud: Section, { bottom, top }: Clear): WallBoard[] {
  const across = wall.outside === 'low' ? stud.depth - stud.thickness : 0
  return nailerPlaces(building, wall, stud).map((s, i) => ({
    where: ofWall(wall.name, 'nailer', i + 1),
    role: 'stud',
    section: stud,
    runs: 'up',
    wide: 'along',
    s,
    z: { from: bottom, to: top.reach(s).shorter },
    across,
  }))
}

/** The building with some walls level that can't step as asked. */
const withoutSteps = (building: Building, sides: readonly SideName[]): Building =>
  sides.reduce((each, side) => withValue(each, `walls.sides.${side}.step`, null), building)

/** Which partitions a wall's tees are of, by their places in the document. */
const teeNumbers = ({ walls }: Building, { along }: Wall): number[] =>
  walls.partitions.flatMap(({ runs }, i) => ((runs === 'length' ? 'x' : 'y') === along ? [] : [i]))
