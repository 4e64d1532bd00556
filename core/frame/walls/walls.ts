import { type Design, wallFoot } from '../../design'
import { vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { INCH } from '../../measure'
import { level, squareBoard } from '../between'
import { onCentre, type Stretch, withLayout } from '../layout'
import type { Order } from '../member'
import type { Problem } from '../problem'
import { type Clear, isOnDeck, LEAST_CRIPPLE, openingsIn, packingOf, type RoughOpening, SIDE_STUDS } from './openings'
import { type Wall, wallLines, type WallName } from './wall'

/** How far a corner's third stud shows beyond the butting wall, to nail to (common practice, no source). */
const NAILING = INCH

export interface WallFrame { readonly walls: readonly Wall[], readonly orders: readonly Order[], readonly problems: readonly Problem[], /** Rough openings as framed, by their wall. */ readonly openings: Readonly<Record<WallName, readonly RoughOpening[]>> }

const noOpenings: WallFrame['openings'] = { south: [], east: [], north: [], west: [] }

/** Frames the four walls: plates, studs on layout, corners that close, and openings with their kings, jacks, headers, sills and cripples. What can't be built of an opening is left out and said. */
export function frameWalls(design: Design, stud: Section, section: (name: string) => Section): WallFrame {
  const walls = wallLines(design, stud)
  const problems = wallProblems(design, stud)
  if (problems.length) return { walls, problems, orders: [], openings: noOpenings }
  const clear: Clear = { bottom: wallFoot(design.base) + stud.thickness, top: design.walls.height - design.walls.topPlates * stud.thickness }
  const framed = walls.map((wall) => {
    const { rough, problems: bad } = openingsIn(design, wall, stud, clear, cornerPlaces(design, wall, stud), section)
    return { wall, rough, bad, orders: [...plates(design, wall, stud), ...studs(design, wall, stud, clear, rough), ...rough.flatMap(each => openingBoards(design, wall, stud, clear, each))] }
  })
  const openings = Object.fromEntries(framed.map(({ wall, rough }) => [wall.name, rough])) as unknown as WallFrame['openings']
  return { walls, openings, problems: framed.flatMap(each => each.bad), orders: framed.flatMap(each => each.orders) }
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

/** A board of a wall that stands on end, the wall's width deep. */
const upright = (wall: Wall, stud: Section, role: Order['role'], id: string, s: number, z: Stretch): Order => squareBoard({
  id, role, section: stud, along: 'z', depth: acrossAxis(wall), from: z.from, to: z.to, corner: corner(wall, s, 0, 0),
})

function studs(design: Design, wall: Wall, stud: Section, { bottom, top }: Clear, rough: readonly RoughOpening[]): Order[] {
  const nailers = wall.through && design.walls.corner === 'nailer'
  const whole = { from: bottom, to: top }
  const standing = studPlaces(design, wall, stud, rough).map((each, i) => upright(wall, stud, 'stud', `walls/${wall.name}/stud/${i + 1}`, each.from, whole))
  return nailers ? [...standing, ...nailerStuds(wall, stud, bottom, top)] : standing
}

/** Places that a wall's ends and corners take. */
function cornerPlaces(design: Design, wall: Wall, stud: Section): Stretch[] {
  const t = stud.thickness
  const end = (from: number): Stretch => ({ from, to: from + t })
  const thirds = wall.through && design.walls.corner === 'three-stud' ? [end(thirdStud(stud)), end(wall.overall - thirdStud(stud) - t)] : []
  return [end(wall.from), end(wall.to - t), ...thirds, ...nailerPlaces(design, wall, stud)]
}

function nailerPlaces(design: Design, wall: Wall, stud: Section): Stretch[] {
  const t = stud.thickness
  return wall.through && design.walls.corner === 'nailer' ? [{ from: t, to: t + stud.depth }, { from: wall.overall - t - stud.depth, to: wall.overall - t }] : []
}

/** What an opening takes of the wall's length, with its jacks and kings. */
const takenBy = ({ s }: RoughOpening, t: number): Stretch => ({ from: s.from - SIDE_STUDS * t, to: s.to + SIDE_STUDS * t })

const layoutOf = (design: Design, wall: Wall): number[] => onCentre(design.walls.spacing, wall.overall).filter(at => at > wall.from && at < wall.to)

/** Where the studs that run from plate to plate stand, from the wall's layout end; none in an opening or where its jacks and kings are. */
function studPlaces(design: Design, wall: Wall, stud: Section, rough: readonly RoughOpening[]): Stretch[] {
  const t = stud.thickness
  const nailers = nailerPlaces(design, wall, stud)
  const openings = rough.map(each => takenBy(each, t))
  const fixed = [...cornerPlaces(design, wall, stud), ...openings]
  const left = [...nailers, ...openings]
  return withLayout(fixed, layoutOf(design, wall), t).filter(each => !left.some(other => other.from === each.from && other.to === each.to))
}

/** Kings, jacks, header plies and packing, sill and cripples of one rough opening. */
function openingBoards(design: Design, wall: Wall, stud: Section, { bottom, top }: Clear, rough: RoughOpening): Order[] {
  const t = stud.thickness
  const { s, z, header, opening, number } = rough
  const id = (part: string): string => `walls/${wall.name}/opening/${number + 1}/${part}`
  const king = (side: 1 | 2, at: number): Order => upright(wall, stud, 'king', id(`king/${side}`), at, { from: bottom, to: top })
  const jack = (side: 1 | 2, at: number): Order => upright(wall, stud, 'jack', id(`jack/${side}`), at, { from: bottom, to: z.to })
  const laid = (part: string, role: Order['role'], section: Section, across: number, from: number, to: number, low: number): Order =>
    squareBoard({ id: id(part), role, section, along: wall.along, depth: 'z', from, to, corner: corner(wall, 0, across, low) })
  const { plies } = opening.header
  const packing = packingOf(rough, stud)
  const span = { from: s.from - t, to: s.to + t }
  // the first ply lies at the wall's low face, the others at its other face, packing between
  const across = (ply: number): number => ply === 0 ? 0 : stud.depth - (plies - ply) * header.thickness
  const plyOrders = Array.from({ length: plies }, (_, ply) => laid(`header/${ply + 1}`, 'header', header, across(ply), span.from, span.to, z.to))
  const packed = packing ? [packingOrder(wall, id('packing'), packing, header.thickness, span, z.to, header.depth)] : []
  const onLayout = withLayout([], layoutOf(design, wall).filter(at => at > s.from && at < s.to), t).filter(each => each.from >= s.from - 1e-6 && each.to <= s.to + 1e-6)
  const over: Stretch = { from: z.to + header.depth, to: top }
  const above = over.to - over.from < LEAST_CRIPPLE ? [] : cripplePlaces(onLayout, span, t).map((each, i) => upright(wall, stud, 'cripple', id(`over/${i + 1}`), each.from, over))
  const sill = isOnDeck(z) ? [] : [
    squareBoard({ id: id('sill'), role: 'sill', section: stud, along: wall.along, depth: acrossAxis(wall), from: s.from, to: s.to, corner: corner(wall, 0, 0, z.from - t) }),
    ...cripplePlaces(onLayout, s, t).map((each, i) => upright(wall, stud, 'cripple', id(`under/${i + 1}`), each.from, { from: bottom, to: z.from - t })),
  ]
  return [king(1, s.from - 2 * t), king(2, s.to + t), jack(1, s.from - t), jack(2, s.to), ...plyOrders, ...packed, ...above, ...sill]
}

/** Cripples keep the wall's layout, with one at each end of what they carry or stand on. */
function cripplePlaces(onLayout: readonly Stretch[], span: Stretch, t: number): Stretch[] {
  const ends = span.to - span.from < 2 * t ? [{ from: span.from, to: span.from + t }] : [{ from: span.from, to: span.from + t }, { from: span.to - t, to: span.to }]
  return [...ends, ...onLayout.filter(each => !ends.some(end => end.from < each.to - 1e-6 && each.from < end.to - 1e-6))].sort((a, b) => a.from - b.from)
}

/** Packing is a strip of sheet as long and as tall as the header, ripped off the sheet's width. */
function packingOrder(wall: Wall, id: string, section: Section, across: number, span: Stretch, low: number, depth: number): Order {
  const order = squareBoard({ id, role: 'packing', section, along: wall.along, depth: 'z', from: span.from, to: span.to, corner: corner(wall, 0, across, low) })
  return { ...order, cuts: [...order.cuts, { kind: 'end', name: 'rip', plane: level('z', low + depth) }] }
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
