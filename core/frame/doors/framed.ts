import type { OwnDoor } from '../../design'
import { flip, type Plane, planeAcross, planeAt, scale } from '../../geometry'
import type { Problem } from '../../lines'
import { type Section, sheetSection } from '../../lumber'
import { FOOT, HAIR } from '../../measure'
import { gaps, least, type Stretch } from '../../trade'
import type { BuildingCut, Order } from '../member'
import { faceBoard, wallPoint } from '../walls/board'
import { acrossOf } from '../walls/slanted-board'
import type { DoorPlace, InWall, Leaf } from './leaf'

/** What a framed leaf takes at least: its stiles and rails, and something between them; mm. */
export const leastFramed = (
  door: OwnDoor,
  { depth }: Section,
  high: number,
): { readonly wide: number; readonly high: number } => ({
  wide: 2 * depth + least.doorPanel,
  high: railCount(high) * depth + (railCount(high) - 1) * least.doorPanel,
})

/** Why a panel can't be let in as asked. */
export function panelProblem(
  { panel }: OwnDoor,
  { thickness, depth }: Section,
  number: number,
): Problem | null {
  const most = thickness - (panel.let === 'groove' ? 2 : 1) * least.besideGroove
  if (panel.thickness > most + HAIR)
    return { code: 'door-panel-thick', path: `walls.openings.${number}.door.panel.thickness`, most }
  return panel.deep > depth / 3 + HAIR
    ? { code: 'door-panel-deep', path: `walls.openings.${number}.door.panel.deep`, most: depth / 3 }
    : null
}

const railCount = (high: number): number => (high > gaps.thirdLedge ? 3 : 2)

/** A leaf of two stiles with rails between them, flush with the wall's sheets, and panels let into both. */
export function framedLeaf(
  on: InWall,
  door: OwnDoor,
  section: Section,
  leaf: Leaf,
  place: DoorPlace,
): Order[] {
  const { s, z } = leaf
  const { panel } = door
  const front = { ...on, over: on.over - section.thickness }
  const inner = { from: s.from + section.depth, to: s.to - section.depth }
  const count = railCount(z.to - z.from)
  const rails = Array.from({ length: count }, (_, i): Stretch => {
    const from = z.from + ((z.to - z.from - section.depth) * i) / (count - 1)
    return { from, to: from + section.depth }
  })
  const seat = panelSeat(on, panel, section)
  const along = on.wall.along
  const board = (
    name: string,
    role: 'stile' | 'door-rail',
    way: 'upright' | 'level',
    at: readonly [Stretch, Stretch],
    cuts: readonly BuildingCut[],
    ...run: number[]
  ): Order =>
    faceBoard(front, {
      where: place(name, ...run),
      ...{ role, section, way, cuts },
      notches: [],
      rect: { x0: at[0].from, x1: at[0].to, y0: at[1].from, y1: at[1].to },
    })
  return [
    board(
      'stile',
      'stile',
      'upright',
      [{ from: s.from, to: inner.from }, z],
      [seat.cut(flip(planeAcross(along, inner.from - panel.deep)))],
      1,
    ),
    board(
      'stile',
      'stile',
      'upright',
      [{ from: inner.to, to: s.to }, z],
      [seat.cut(planeAcross(along, inner.to + panel.deep))],
      2,
    ),
    ...rails.map((at, i) =>
      board(
        'rail',
        'door-rail',
        'level',
        [inner, at],
        [
          ...(i > 0 ? [seat.cut(planeAcross('z', at.from + panel.deep))] : []),
          ...(i < count - 1 ? [seat.cut(flip(planeAcross('z', at.to - panel.deep)))] : []),
        ],
        i + 1,
      ),
    ),
    ...rails.slice(1).map((upper, i) => {
      const play = Math.min(gaps.panelPlay, panel.deep / 2)
      const let_ = panel.deep - play
      return faceBoard(
        { ...on, over: seat.over },
        {
          where: place('panel', i + 1),
          role: 'door-panel',
          section: sheetSection(panel.thickness, 4 * FOOT, 8 * FOOT),
          way: 'upright',
          notches: [],
          cuts: [],
          rect: {
            x0: inner.from - let_,
            x1: inner.to + let_,
            y0: (rails[i]?.to ?? upper.from) - let_,
            y1: upper.from + let_,
          },
        },
      )
    }),
  ]
}

/**
 * Where a panel lies in its frame's thickness: how far out over the wall's frame, and the cut that lets it in
 * past a plane: a groove in the middle, or a rebate from inside.
 */
function panelSeat(
  { wall, deep, over }: InWall,
  panel: OwnDoor['panel'],
  { thickness }: Section,
): { readonly over: number; readonly cut: (floor: Plane) => BuildingCut } {
  const inside = over - thickness
  const at = panel.let === 'groove' ? inside + (thickness - panel.thickness) / 2 : inside
  const out = scale(acrossOf(wall), wall.outside === 'low' ? -1 : 1)
  const level = (off: number) => wallPoint(wall, 0, wall.outside === 'low' ? -off : deep + off, 0)
  const face = (off: number, way: 1 | -1): Plane => planeAt(level(off), scale(out, way))
  const sides = [face(at + panel.thickness, 1), ...(panel.let === 'groove' ? [face(at, -1)] : [])]
  return {
    over: at,
    cut: floor => ({
      kind: 'notch',
      name: 'housing',
      sides: [floor, ...sides].map(plane => ({ name: 'housing' as const, plane })),
    }),
  }
}
