import { HAIR } from '../../measure'
import { type Building, isSide, sideNames, wallFoot } from '../../design'
import type { Section } from '../../lumber'
import { clearPlaces, gaps, hasRoom, least } from '../../trade'
import { levelUnder, type Problem, type Profile, runAt } from '../../lines'
import { showing } from './openings'
import { cornerPlaces } from './places'
import { between, partitionLines, type Wall, wallLines } from './wall'

export function wallProblems(building: Building, stud: Section, post: Section): Problem[] {
  const { footprint, walls, heights } = building
  const problems: Problem[] = []
  // level rafters reach down past what they are notched over: the ends are as much lower
  const notch = building.roof.pergola?.notch ?? 0
  const lowest = wallFoot(building.base) + (1 + walls.topPlates) * stud.thickness + least.stud
  if (
    sideNames.some(side => walls.sides[side].height === null && heights[side] < lowest - HAIR) &&
    walls.height < lowest + notch - HAIR
  )
    problems.push({ code: 'wall-too-low', path: 'walls.height', least: lowest + notch })
  const eaves = Math.min(heights.south, heights.north) - notch
  for (const side of sideNames) {
    const own = walls.sides[side].height
    if (own !== null && own < lowest - HAIR)
      problems.push({ code: 'wall-too-low', path: `walls.sides.${side}.height`, least: lowest })
    else if (
      own !== null &&
      (side === 'east' || side === 'west') &&
      !building.roof.has.falls.includes(side) &&
      own > eaves + HAIR
    )
      problems.push({ code: 'gable-over-eaves', path: `walls.sides.${side}.height`, side, most: eaves })
  }
  for (const side of sideNames)
    if (
      walls.sides[side].cover === 'rails' &&
      walls.sides[side].build === 'studs' &&
      building.roof.has.house !== side
    )
      problems.push({ code: 'rails-need-posts', path: `walls.sides.${side}.cover`, side })
  if (walls.spacing < 2 * stud.thickness - HAIR)
    problems.push({ code: 'spacing-too-tight', path: 'walls.spacing', least: 2 * stud.thickness })
  const short = { length: shortest(building, 'x', stud, post), width: shortest(building, 'y', stud, post) }
  if (footprint.length < short.length - HAIR)
    problems.push({ code: 'wall-too-short', path: 'footprint.length', least: short.length })
  if (footprint.width < short.width - HAIR)
    problems.push({ code: 'wall-too-short', path: 'footprint.width', least: short.width })
  return problems
}

/**
 * How long the walls along an axis are at least: between those they meet, both corners of studs, or two posts
 * with a bay between them; mm.
 */
function shortest(building: Building, along: 'x' | 'y', stud: Section, post: Section): number {
  const { walls, depths, footprint } = building
  const inside = between(building, along)
  const deep = (along === 'x' ? footprint.length : footprint.width) - (inside.to - inside.from)
  const names = along === 'x' ? (['south', 'north'] as const) : (['west', 'east'] as const)
  const inner = names
    .filter(side => depths[side] > 0)
    .map(side =>
      walls.sides[side].build === 'posts'
        ? 2 * post.thickness + least.post
        : 2 * (Math.max(stud.depth, gaps.nailing) + 2 * stud.thickness),
    )
  return deep + Math.max(0, ...inner)
}

/**
 * Why walls can't step as asked: eave walls carry rafters at one level; a step keeps off the corners, and
 * under the end rafters.
 */
export function stepProblems(
  { walls, base, roof, heights }: Building,
  outside: readonly Wall[],
  stud: Section,
  lineOf: (wall: Wall) => Profile | null,
): StepProblem[] {
  const t = stud.thickness
  return outside.flatMap((wall): StepProblem[] => {
    if (!isSide(wall.name)) return []
    const side = wall.name
    const { step: asked, build } = walls.sides[side]
    const path = `walls.sides.${side}.step` as const
    if (!asked) return []
    if (wall.along === 'x' || roof.has.falls.includes(side))
      return [{ code: 'step-under-rafters', path, side }]
    if (!roof.has.endWalls.step) return [{ code: 'step-under-strip', path, side }]
    if (build === 'posts') return [{ code: 'step-in-posts', path, side }]
    const range = { least: wall.from + 2 * t, most: wall.to - 2 * t }
    if (asked.at < range.least - HAIR || asked.at > range.most + HAIR)
      return [{ code: 'step-no-room', path: `${path}.at`, side, range: hasRoom(range) ? range : null }]
    const tees = wall.tees.map(({ from, to }) => ({
      from: from - showing(stud) - t,
      to: to + showing(stud) + t,
    }))
    if (tees.some(({ from, to }) => asked.at > from + HAIR && asked.at < to - HAIR))
      return [
        {
          code: 'step-at-partition',
          path: `${path}.at`,
          side,
          ...clearPlaces(asked.at, tees, { from: range.least, to: range.most }),
        },
      ]
    const low = wallFoot(base) + (1 + walls.topPlates) * t + least.stud
    if (asked.height < low - HAIR) return [{ code: 'step-too-low', path: `${path}.height`, side, least: low }]
    // a rafter's lower edge is level with its plate where its seat is cut
    const edge = (s: number, line: Profile): number =>
      Math.max(levelUnder(line, s), heights[runAt(line, s)?.face.falls ?? 'south'])
    const rafters = lineOf(wall)
    const under = rafters
      ? Math.min(edge(asked.at, rafters), edge(wall.to, rafters), ridgeOver(asked.at, wall.to, rafters))
      : Infinity
    return asked.height > under + HAIR
      ? [{ code: 'step-into-roof', path: `${path}.height`, side, most: under }]
      : []
  })
}

type StepProblem = Extract<Problem, { readonly code: `step-${string}` }>

/** The ridge board's lower edge, where it ends over a stretch of the wall. */
const ridgeOver = (from: number, to: number, { hanging }: Profile): number =>
  hanging && hanging.to > from && hanging.from < to ? hanging.bottom : Infinity

type PartitionProblem = Extract<Problem, { readonly code: 'partition-no-room' | 'partitions-meet' }>

/**
 * Why partitions can't stand: too near an outside wall for their two studs in the walls they meet, or into
 * one that stands already. `raked` as of the walls' lines.
 */
export function partitionProblems(building: Building, stud: Section, raked = true): PartitionProblem[] {
  const lines = partitionLines(building, stud, raked)
  const sides = wallLines(building, stud, raked)
  const out: PartitionProblem[] = []
  lines.forEach(({ along, low, from, to }, i) => {
    const path = `walls.partitions.${i}.at` as const
    // two studs at least stand in it; nowhere is it longer
    if (to - from < 2 * stud.thickness - HAIR)
      return out.push({ code: 'partition-no-room', path, number: i + 1, least: 0, most: -1 })
    const across = sides.filter(wall => wall.along !== along)
    const taken = across.flatMap(wall =>
      cornerPlaces(building, wall, stud).map(each => ({ ...each, overall: wall.overall })),
    )
    const inside = between(building, along === 'x' ? 'y' : 'x')
    const least =
      Math.max(inside.from, ...taken.filter(each => each.from < each.overall / 2).map(each => each.to)) +
      showing(stud)
    const most =
      Math.min(inside.to, ...taken.map(each => (each.from >= each.overall / 2 ? each.from : Infinity))) -
      showing(stud) -
      stud.depth
    if (low < least - HAIR || low > most + HAIR)
      return out.push({ code: 'partition-no-room', path, number: i + 1, least, most })
    const other = lines.findIndex(
      (each, k) =>
        k < i &&
        !out.some(problem => problem.number === k + 1) &&
        (each.along !== along || Math.abs(each.low - low) < stud.depth + 2 * showing(stud)),
    )
    if (other >= 0) out.push({ code: 'partitions-meet', path, number: i + 1, other: other + 1 })
    return undefined
  })
  return out
}
