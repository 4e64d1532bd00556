import type { BoardSiding, LappedSiding, Siding, SidingPath } from '../../design'
import { cross, place, planeAt, scale, add, vec, type Vec3 } from '../../geometry'
import type { Problem } from '../../lines'
import type { Section } from '../../lumber'
import { countUp, HAIR } from '../../measure'
import { boardsAcross, fewestBoards, gaps, least, type Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import { cutOut, piecesAbout } from '../pieces-about'
import type { SectionOf } from '../sections'
import { SPARE } from '../square-board'
import type { Rect } from '../rect'
import { covering } from '../tongue'
import { faceBoard, wallPoint } from './board'
import { coverRow, type Skin } from './skin'
import { wallPanels } from './wall-panels'

/** How far lapped boards lean in, so that each clears the one below that shows least; radians. */
const leanOf = ({ thickness }: Section, exposure: number): number =>
  Math.asin(Math.min(0.9, thickness / exposure))

/** How far siding stands out over what it is nailed to, mm. */
export function sidingDepth(siding: Siding, section: SectionOf): number {
  if (siding.kind === 'panels') return siding.height
  if (siding.kind === 'glazed') return 0
  const board = section(siding.section)
  if (siding.kind === 'boards')
    return (
      board.thickness + (siding.way === 'upright' && siding.batten ? section(siding.batten).thickness : 0)
    )
  const lean = leanOf(board, exposed(siding, board) * SHARE)
  return board.depth * Math.sin(lean) + board.thickness * Math.cos(lean)
}

/** The most that shows of a board: as asked, within what it takes. */
const exposed = ({ exposure }: LappedSiding, board: Section): number => {
  const { from, to } = mayShow(board)
  return Math.max(from, Math.min(exposure, to))
}

/** From the least that may show of a lapped board, or it would lean too far, to what its lap leaves. */
const mayShow = ({ depth, thickness }: Section): Stretch => ({ from: 2 * thickness, to: depth - gaps.lap })

/** Why boards can't be lapped as asked: too narrow for their thickness, or too much or too little shows. */
export function lapProblem({ exposure }: LappedSiding, board: Section, path: SidingPath): Problem | null {
  const { from, to } = mayShow(board)
  if (!mayLap(board)) return { code: 'siding-narrow', path: `${path}.section`, least: from + gaps.lap }
  return exposure < from - HAIR || exposure > to + HAIR
    ? { code: 'siding-shows', path: `${path}.exposure`, least: from, most: to }
    : null
}

/** Whether boards are wide enough for their thickness to be lapped. */
const mayLap = (board: Section): boolean => mayShow(board).to > mayShow(board).from - HAIR

/** What lies on a part of a wall; nothing of boards that can't be lapped. */
export function sidingOrders(skin: Skin, siding: Siding, section: SectionOf, longest: number): Order[] {
  switch (siding.kind) {
    case 'lapped':
      return mayLap(section(siding.section))
        ? lappedOrders(skin, siding, section(siding.section), longest)
        : []
    case 'boards':
      return boardOrders(
        skin,
        siding,
        section(siding.section),
        siding.batten ? section(siding.batten) : null,
        longest,
      )
    case 'panels':
      return wallPanels(skin, siding)
    // panes lie in the wall, not on it
    case 'glazed':
      return []
  }
}

/** How much less than asked may show of a course, so that courses come out even, as a share. */
const SHARE = 2 / 3

/**
 * Where courses begin up a wall: from its foot to its top, evened out so that one begins at each sill and
 * head where those leave courses of a usual height; mm.
 */
export function coursesOf(foot: number, top: number, edges: readonly number[], most: number): number[] {
  const stops = [foot]
  // a course over or under an edge shows no less than two thirds of what it may
  const even = (long: number): boolean => long / Math.max(1, countUp(long / most)) > SHARE * most - HAIR
  for (const edge of [...new Set(edges)].sort((a, b) => a - b))
    if (even(edge - (stops.at(-1) ?? foot)) && even(top - edge)) stops.push(edge)
  stops.push(top)
  return stops.slice(1).flatMap((to, i) => {
    const from = stops[i] ?? foot
    const count = Math.max(1, countUp((to - from) / most))
    return Array.from({ length: count }, (_, k) => from + ((to - from) * k) / count)
  })
}

/** Lapped boards over a wall and its gable, and the starter strip under the first. */
function lappedOrders(skin: Skin, siding: LappedSiding, board: Section, longest: number): Order[] {
  const { zone, holes } = skin
  const most = exposed(siding, board)
  const edges = holes.flatMap(({ y0, y1 }) => [y0, y1])
  const starts = coursesOf(zone.from, zone.to, edges, most)
  const shows = starts.map((z, i) => (starts[i + 1] ?? zone.to) - z)
  const thinnest = Math.min(...shows.filter(each => each > HAIR), most)
  const lean = leanOf(board, thinnest)
  // to the outer arris of its upper edge
  const high = board.depth * Math.cos(lean) + board.thickness * Math.sin(lean)
  // no higher than where the first board, that leans in over it, has come as near as it is thick
  const clear = (board.depth * Math.sin(lean) - board.thickness) / Math.tan(lean)
  const strip = Math.min(gaps.starter, clear, Math.max(gaps.lap / 2, 0.9 * (board.depth - most)))
  const foot = { from: zone.from, to: Math.min(zone.to, zone.from + strip) }
  const starter = (foot.to - foot.from < least.piece ? [] : coverRow(skin, foot, longest, 0)).flatMap(
    ({ s, cuts }, i) =>
      piecesAbout({ x0: s.from, x1: s.to, y0: foot.from, y1: foot.to }, holes).map(({ rect, notches }, k) =>
        faceBoard(skin, {
          where: skin.place('starter', i + 1, ...(k ? [k + 1] : [])),
          role: 'starter',
          section: board,
          way: 'level',
          ...{ rect, notches, cuts },
        }),
      ),
  )
  const courses = starts.flatMap((z, r) => {
    const to = Math.min(zone.to, z + high)
    if (to - z < least.piece) return []
    return coverRow(skin, { from: z, to }, longest, r).flatMap(({ s, cuts, part }, i) =>
      piecesAbout({ x0: s.from, x1: s.to, y0: z, y1: to }, holes).map(({ rect, notches }, k) => {
        const where = skin.place('siding', r + 1, ...part, i + 1, ...(k ? [k + 1] : []))
        // cut off over an opening its foot is where it would be
        return leaningBoard(
          skin,
          where,
          board,
          lean,
          rect,
          z,
          notches.map(hole => cutOut(hole, skin.along, vec(0, 0, 1))).concat(cuts),
        )
      }),
    )
  })
  return [...starter, ...courses]
}

/** A board that leans in at its top, its inner lower arris at a level; of what a rectangle leaves of it. */
function leaningBoard(
  { wall, deep, over, out }: Skin,
  where: Order['where'],
  section: Section,
  lean: number,
  { x0, x1, y0, y1 }: Rect,
  foot: number,
  more: readonly BuildingCut[],
): Order {
  const [sin, cos] = [Math.sin(lean), Math.cos(lean)]
  const up = add(vec(0, 0, cos), scale(out, -sin))
  const face = add(scale(out, cos), vec(0, 0, sin))
  const along = cross(up, face)
  const axis = wall.along === 'x' ? along.x : along.y
  const start = axis > 0 ? x0 : x1
  const across = (off: number): number => (wall.outside === 'low' ? -off : deep + off)
  const corner = wallPoint(wall, start, across(over + section.depth * sin), foot)
  const end = (way: Vec3, by: number): BuildingCut => ({
    kind: 'end',
    name: 'square',
    plane: planeAt(add(corner, scale(way, by)), way),
  })
  const top = (y1 - foot - section.thickness * sin) / cos
  const low = (y0 - foot) / cos
  return {
    where,
    role: 'siding',
    section,
    placement: place(add(corner, scale(along, -SPARE)), along, up),
    blankLength: x1 - x0 + 2 * SPARE,
    cuts: [
      end(scale(along, -1), 0),
      end(along, x1 - x0),
      ...(low > HAIR ? [{ ...end(scale(up, -1), -low), name: 'rip' as const }] : []),
      ...(top < section.depth - HAIR ? [{ ...end(up, top), name: 'rip' as const }] : []),
      ...more,
    ],
  }
}

/** Places a batten is wide apart at least: two that are nearer share one in their middle. */
function apart(joints: readonly number[], wide: number): number[] {
  const out: number[] = []
  for (const at of joints) {
    const last = out.at(-1)
    if (last !== undefined && at - last < wide - HAIR) out[out.length - 1] = (last + at) / 2
    else out.push(at)
  }
  return out
}

/** Boards flat on the sheets, level or upright, and the battens on the joints of upright ones. */
function boardOrders(
  skin: Skin,
  siding: BoardSiding,
  sold: Section,
  batten: Section | null,
  longest: number,
): Order[] {
  const section = covering(sold, siding.edge)
  const { zone, holes } = skin
  const laid = (
    what: {
      readonly role: Order['role']
      readonly name: string
      readonly board: Section
      readonly off: number
    },
    way: 'upright' | 'level',
    rects: readonly {
      readonly rect: Rect
      readonly cuts: readonly BuildingCut[]
      readonly run: readonly (number | string)[]
    }[],
  ): Order[] =>
    rects.flatMap(({ rect, cuts, run }) =>
      piecesAbout(rect, holes).map((piece, k) =>
        faceBoard(
          { ...skin, over: skin.over + what.off },
          {
            where: skin.place(what.name, ...run, ...(k ? [k + 1] : [])),
            role: what.role,
            section: what.board,
            way,
            cuts,
            ...piece,
          },
        ),
      ),
    )
  const boards = { role: 'siding', name: 'siding', board: section, off: 0 } as const
  if (siding.way === 'level') {
    const rows = boardsAcross(zone, section.depth, siding.space)
    return laid(
      boards,
      'level',
      rows.flatMap((z, r) =>
        coverRow(skin, z, longest, r).map(({ s, cuts, part }, i) => ({
          rect: { x0: s.from, x1: s.to, y0: z.from, y1: z.to },
          cuts,
          run: [r + 1, ...part, i + 1],
        })),
      ),
    )
  }
  const columns = boardsAcross(skin.reach, section.depth, siding.space)
  const upright = (s: Stretch) =>
    skin.column(s).flatMap(({ s: own, z, cuts }) =>
      fewestBoards(z, { breaks: skin.levels, longest, shortest: least.stud }).map(each => ({
        s: own,
        z: each,
        cuts,
      })),
    )
  const of = (all: readonly Stretch[]) =>
    all.flatMap((s, r) =>
      upright(s).map(({ s: own, z, cuts }, i) => ({
        rect: { x0: own.from, x1: own.to, y0: z.from, y1: z.to },
        cuts,
        run: [r + 1, i + 1],
      })),
    )
  const joints = columns.slice(1).map(({ from }, i) => ((columns[i]?.to ?? from) + from) / 2)
  const battens = batten
    ? laid(
        { role: 'siding-batten', name: 'batten', board: batten, off: section.thickness },
        'upright',
        of(
          apart(joints, batten.depth).map(at => ({ from: at - batten.depth / 2, to: at + batten.depth / 2 })),
        ),
      )
    : []
  return [...laid(boards, 'upright', of(columns)), ...battens]
}
