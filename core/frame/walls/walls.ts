import { type Design, wallFoot } from '../../design'
import { vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { INCH } from '../../measure'
import { squareBoard } from '../between'
import { onCentre, type Stretch, withLayout } from '../layout'
import type { Order } from '../member'
import type { Problem } from '../problem'
import { type Wall, wallLines } from './wall'

/** How far a corner's third stud shows beyond the butting wall, to nail to (common practice, no source). */
const NAILING = INCH

export interface WallFrame { readonly walls: readonly Wall[], readonly orders: readonly Order[], readonly problems: readonly Problem[] }

/** Frames the four walls: plates, studs on layout, corners that close. */
export function frameWalls(design: Design, stud: Section): WallFrame {
  const walls = wallLines(design, stud)
  const problems = wallProblems(design, stud)
  if (problems.length) return { walls, problems, orders: [] }
  return { walls, problems, orders: walls.flatMap(wall => [...plates(design, wall, stud), ...studs(design, wall, stud)]) }
}

/** Shortest stud a wall is framed with, mm. */
const LEAST_STUD = 100

function wallProblems(design: Design, stud: Section): Problem[] {
  const { footprint, walls } = design
  const problems: Problem[] = []
  const plateHeight = wallFoot(design.base) + (1 + walls.topPlates) * stud.thickness
  if (walls.height < plateHeight + LEAST_STUD) problems.push({ code: 'wall-too-low', path: 'walls.height', least: plateHeight + LEAST_STUD })
  if (walls.spacing < 2 * stud.thickness) problems.push({ code: 'spacing-too-tight', path: 'walls.spacing', least: 2 * stud.thickness })
  const least = 2 * (stud.depth + Math.max(stud.depth, NAILING) + 2 * stud.thickness)
  if (footprint.length < least) problems.push({ code: 'wall-too-short', path: 'footprint.length', least })
  if (footprint.width < least) problems.push({ code: 'wall-too-short', path: 'footprint.width', least })
  return problems
}

/** The lowest corner of a board of a wall: `s` along the wall, `across` from its low face, `z` up. */
function corner(wall: Wall, s: number, across: number, z: number): Vec3 {
  return wall.along === 'x' ? vec(s, wall.low + across, z) : vec(wall.low + across, s, z)
}

const acrossAxis = (wall: Wall): 'x' | 'y' => wall.along === 'x' ? 'y' : 'x'

function plates(design: Design, wall: Wall, stud: Section): Order[] {
  const { height, topPlates } = design.walls
  const t = stud.thickness
  const plate = (name: string, role: Order['role'], z: number, stretch: Stretch): Order => squareBoard({
    id: `walls/${wall.name}/plate/${name}`, role, section: stud, along: wall.along, depth: acrossAxis(wall), from: stretch.from, to: stretch.to, corner: corner(wall, 0, 0, z),
  })
  const single = [plate('bottom', 'bottom-plate', wallFoot(design.base), wall), plate('top', 'top-plate', height - topPlates * t, wall)]
  return topPlates === 1 ? single : [...single, plate('cap', 'top-plate', height - t, wall.cap)]
}

function studs(design: Design, wall: Wall, stud: Section): Order[] {
  const bottom = wallFoot(design.base) + stud.thickness
  const top = design.walls.height - design.walls.topPlates * stud.thickness
  const nailers = wall.through && design.walls.corner === 'nailer'
  const stand = (id: string, s: number): Order => squareBoard({
    id, role: 'stud', section: stud, along: 'z', depth: acrossAxis(wall), from: bottom, to: top, corner: corner(wall, s, 0, 0),
  })
  const upright = studPlaces(design, wall, stud).map((each, i) => stand(`walls/${wall.name}/stud/${i + 1}`, each.from))
  return nailers ? [...upright, ...nailerStuds(wall, stud, bottom, top)] : upright
}

/** Where the upright studs of a wall stand, from its layout end. */
function studPlaces(design: Design, wall: Wall, stud: Section): Stretch[] {
  const t = stud.thickness
  const end = (from: number): Stretch => ({ from, to: from + t })
  const corners = wall.through && design.walls.corner === 'three-stud'
    ? [end(thirdStud(stud)), end(wall.overall - thirdStud(stud) - t)]
    : []
  const nailers = wall.through && design.walls.corner === 'nailer'
    ? [{ from: t, to: t + stud.depth }, { from: wall.overall - t - stud.depth, to: wall.overall - t }]
    : []
  const fixed = [end(wall.from), end(wall.to - t), ...corners]
  const inside = onCentre(design.walls.spacing, wall.overall).filter(at => at > wall.from && at < wall.to)
  return withLayout([...fixed, ...nailers], inside, t).filter(each => !nailers.includes(each))
}

/** Near face of a corner's third stud: its far face shows past the butting wall, and it clears the end stud. */
function thirdStud(stud: Section): number {
  return Math.max(stud.thickness, stud.depth + NAILING - stud.thickness)
}

/** Studs laid flat against the inside of a through wall, beside its end studs. */
function nailerStuds(wall: Wall, stud: Section, bottom: number, top: number): Order[] {
  const inside = wall.name === 'south' || wall.name === 'west' ? stud.depth - stud.thickness : 0
  const lay = (id: string, s: number): Order => squareBoard({
    id, role: 'stud', section: stud, along: 'z', depth: wall.along, from: bottom, to: top, corner: corner(wall, s, inside, 0),
  })
  return [
    lay(`walls/${wall.name}/nailer/1`, stud.thickness),
    lay(`walls/${wall.name}/nailer/2`, wall.overall - stud.thickness - stud.depth),
  ]
}
