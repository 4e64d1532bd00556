import { type Design, heightOf, isSide, sideNames, wallFoot } from '../../design'
import type { Section } from '../../lumber'
import type { Order } from '../member'
import type { Problem } from '../problem'
import { upright, type WallBoard } from './board'
import { openingBoards } from './opening-boards'
import { type Clear, NAILING, openingsIn, type RoughOpening } from './openings'
import { cornerPlaces, layoutOf, nailerPlaces, type StackLines, studPlaces } from './places'
import { platesOf } from './plates'
import { framePosts, postProblems } from './posts'
import { partitionLines, type PerWall, type Wall, wallLines } from './wall'

/** A wall as framed on its own face: its boards, and its openings as they could be framed. */
export interface FramedWall { readonly wall: Wall, readonly boards: readonly WallBoard[], readonly rough: readonly RoughOpening[], /** Boards that stand aslant on it. */ readonly slanted: readonly Order[] }

export interface WallFrame {
  readonly walls: readonly Wall[]
  /** Empty where the walls can't be framed at all. */
  readonly framed: readonly FramedWall[]
  readonly problems: readonly Problem[]
  /** Rough openings as framed, by their wall. */
  readonly openings: PerWall<readonly RoughOpening[]>
}

const noOpenings: WallFrame['openings'] = { south: [], east: [], north: [], west: [] }

/** Frames the four walls: plates, studs on layout, corners that close, and openings with their kings, jacks, headers, sills and cripples. What can't be built of an opening is left out and said. */
export function frameWalls(design: Design, stud: Section, section: (name: string) => Section, lines: StackLines): WallFrame {
  const problems = [...wallProblems(design, stud), ...(usesPosts(design) ? postProblems(design, stud, section(design.walls.posts.post), section(design.walls.posts.beam)) : [])]
  if (problems.length) return { walls: wallLines(design, stud), problems, framed: [], openings: noOpenings }
  const off = partitionProblems(design, stud)
  const standing = new Set(design.walls.partitions.map((_, i) => i).filter(i => !off.some(problem => problem.number === i + 1)))
  const tees = (wall: Wall): Wall => ({ ...wall, tees: wall.tees.filter((_, k) => standing.has(teeNumbers(design, wall)[k] ?? -1)) })
  const walls = [...wallLines(design, stud).map(tees), ...partitionLines(design, stud).filter((_, i) => standing.has(i))]
  const made = walls.map(wall => frameWall(design, wall, stud, section, lines))
  const openings = Object.fromEntries(made.map(({ wall, rough }) => [wall.name, rough])) as unknown as WallFrame['openings']
  return { walls, openings, framed: made, problems: [...off, ...made.flatMap(each => each.problems)] }
}

function frameWall(design: Design, wall: Wall, stud: Section, section: (name: string) => Section, lines: StackLines): FramedWall & { readonly problems: readonly Problem[] } {
  if (isSide(wall.name) && design.walls.sides[wall.name].build === 'posts') return framePostSide(design, wall, stud, section)
  const clear: Clear = { bottom: wallFoot(design.base) + stud.thickness, top: wall.height - design.walls.topPlates * stud.thickness }
  const { rough, problems } = openingsIn(design, wall, stud, clear, cornerPlaces(design, wall, stud), section)
  const whole = { from: clear.bottom, to: clear.top }
  const studs = studPlaces(design, wall, stud, rough, lines).map((each, i) => upright(stud, 'stud', `walls/${wall.name}/stud/${i + 1}`, each.from, whole))
  const layout = layoutOf(design, wall, lines)
  const standing = [...studs, ...nailers(design, wall, stud, clear), ...rough.flatMap(each => openingBoards(wall, stud, clear, each, layout))]
  return { wall, rough, problems, slanted: [], boards: [...platesOf(design, wall, stud, standing), ...standing] }
}

/** A side of posts has its top plates like any wall, and no bottom plate; openings asked for in it are said. */
function framePostSide(design: Design, wall: Wall, stud: Section, section: (name: string) => Section): FramedWall & { readonly problems: readonly Problem[] } {
  const { boards, braces } = framePosts(design, wall, stud, section(design.walls.posts.post), section(design.walls.posts.beam))
  const problems = design.walls.openings.flatMap((opening, i): Problem[] => opening.wall === wall.name ? [{ code: 'opening-in-posts', path: `walls.openings.${i}.wall`, number: i + 1 }] : [])
  const plates = platesOf(design, wall, stud, boards).filter(board => board.role !== 'bottom-plate')
  return { wall, rough: [], problems, slanted: braces, boards: [...plates, ...boards] }
}

const usesPosts = ({ walls }: Design): boolean => sideNames.some(side => walls.sides[side].build === 'posts')

/** Studs laid flat against the inside of a through wall, beside its end studs. */
function nailers(design: Design, wall: Wall, stud: Section, { bottom, top }: Clear): WallBoard[] {
  const across = wall.outside === 'low' ? stud.depth - stud.thickness : 0
  return nailerPlaces(design, wall, stud).map((s, i) => ({ id: `walls/${wall.name}/nailer/${i + 1}`, role: 'stud', section: stud, runs: 'up', wide: 'along', s, z: { from: bottom, to: top }, across }))
}

/** Shortest stud a wall is framed with, mm. */
const LEAST_STUD = 100

function wallProblems(design: Design, stud: Section): Problem[] {
  const { footprint, walls } = design
  const problems: Problem[] = []
  const least = wallFoot(design.base) + (1 + walls.topPlates) * stud.thickness + LEAST_STUD
  if (sideNames.some(side => walls.sides[side].height === null && heightOf(walls, side) < least) && walls.height < least) problems.push({ code: 'wall-too-low', path: 'walls.height', least })
  const eaves = Math.min(heightOf(walls, 'south'), heightOf(walls, 'north'))
  for (const side of sideNames) {
    const own = walls.sides[side].height
    if (own !== null && own < least) problems.push({ code: 'wall-too-low', path: `walls.sides.${side}.height`, least })
    else if (own !== null && (side === 'east' || side === 'west') && own > eaves + 1e-6) problems.push({ code: 'gable-over-eaves', path: `walls.sides.${side}.height`, side, most: eaves })
  }
  if (walls.spacing < 2 * stud.thickness) problems.push({ code: 'spacing-too-tight', path: 'walls.spacing', least: 2 * stud.thickness })
  const short = 2 * (stud.depth + Math.max(stud.depth, NAILING) + 2 * stud.thickness)
  if (footprint.length < short) problems.push({ code: 'wall-too-short', path: 'footprint.length', least: short })
  if (footprint.width < short) problems.push({ code: 'wall-too-short', path: 'footprint.width', least: short })
  return problems
}

/** Which partitions a wall's tees are of, by their places in the document. */
const teeNumbers = ({ walls }: Design, { along }: Wall): number[] => walls.partitions.flatMap(({ runs }, i) => (runs === 'length' ? 'x' : 'y') === along ? [] : [i])

type PartitionProblem = Extract<Problem, { readonly code: 'partition-no-room' | 'partitions-meet' }>

/** Why partitions can't stand: too near an outside wall for their two studs in the walls they meet, or into one that stands already. */
function partitionProblems(design: Design, stud: Section): PartitionProblem[] {
  const lines = partitionLines(design, stud)
  const sides = wallLines(design, stud)
  const out: PartitionProblem[] = []
  lines.forEach(({ along, low }, i) => {
    const path = `walls.partitions.${i}.at` as const
    const across = sides.filter(wall => wall.along !== along)
    const taken = across.flatMap(wall => cornerPlaces(design, wall, stud).map(each => ({ ...each, overall: wall.overall })))
    const least = Math.max(stud.depth, ...taken.filter(each => each.from < each.overall / 2).map(each => each.to)) + NAILING
    const most = Math.min(...taken.map(each => each.from >= each.overall / 2 ? each.from : Infinity)) - NAILING - stud.depth
    if (low < least - 1e-6 || low > most + 1e-6) return out.push({ code: 'partition-no-room', path, number: i + 1, least, most })
    const other = lines.findIndex((each, k) => k < i && !out.some(problem => problem.number === k + 1) && (each.along !== along || Math.abs(each.low - low) < stud.depth + 2 * NAILING))
    if (other >= 0) out.push({ code: 'partitions-meet', path, number: i + 1, other: other + 1 })
    return undefined
  })
  return out
}
