import { inBase, type MemberPlace, named } from '../place'
import type { Stretch } from '../../trade'
import type { Base } from '../../design'
import { planeAt, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { type Lying, lyingBoard } from '../square-board'
import type { BuildingCut, Order } from '../member'
import { grown, type Rect, rectAlong } from '../rect'
import { type BaseShape, type Bearing, emptyBase } from './base'

type Border = Extract<Base, { kind: 'border' }>

/** How far under the timbers' tops gravel lies between them where no floor is framed on them, mm. */
const UNDER_TOP = 25

/**
 * Timbers round the edge on a bed of gravel, half-lapped at the corners: half their height, and as long as
 * the other is wide. Where two floor frames meet lies a timber of its own, butted between the others. Without
 * a framed floor the walls stand on them, and gravel lies between.
 */
export const border: BaseShape<Border> = {
  foot: ({ base, top, section }) => top - section(base.timber).depth,
  frame({ building, base, rect, top, section, seams }) {
    const timber = section(base.timber)
    const low = top - timber.depth
    const t = timber.thickness
    const least = 2 * t + 300
    if (rect.x1 - rect.x0 < least || rect.y1 - rect.y0 < least) {
      const path = rect.x1 - rect.x0 < least ? 'footprint.length' : 'footprint.width'
      return { ...emptyBase, problems: [{ code: 'base-too-small', path, least }] }
    }
    const cross = seamTimbers(timber, rect, low, seams)
    const sides = lapped(timber, rect, low)
    const bearings: Bearing[] = [
      { rect: { ...rect, y1: rect.y0 + t }, along: 'x' },
      { rect: { ...rect, y0: rect.y1 - t }, along: 'x' },
      { rect: { ...rect, x1: rect.x0 + t }, along: 'y' },
      { rect: { ...rect, x0: rect.x1 - t }, along: 'y' },
      ...cross.map(({ rect: at, along }): Bearing => ({ rect: at, along })),
    ]
    return {
      feet: {},
      orders: [...sides, ...cross.map(each => each.order)],
      parts: [],
      holes: [],
      bearings,
      problems: [],
      beds: [
        {
          ...named(inBase('gravel')),
          rect: grown(rect, base.gravel.beyond),
          low: low - base.gravel.depth,
          high: low,
        },
        ...(building.floor || timber.depth <= UNDER_TOP
          ? []
          : [
              {
                ...named(inBase('gravel/floor')),
                rect: grown(rect, -t),
                low,
                high: top - UNDER_TOP,
                over: true as const,
              },
            ]),
      ],
    }
  },
}

function lapped(timber: Section, { x0, x1, y0, y1 }: Rect, low: number): Order[] {
  const t = timber.thickness
  const half = low + timber.depth / 2
  const upper = (at: number, way: 1 | -1): BuildingCut => lap('x', at, way, half, 'upper')
  const lower = (at: number, way: 1 | -1): BuildingCut => lap('y', at, way, half, 'lower')
  const long = [upper(x0 + t, 1), upper(x1 - t, -1)]
  const short = [lower(y0 + t, 1), lower(y1 - t, -1)]
  return [
    alongX(inBase('border', 'south'), timber, x0, x1, y0, low, long),
    alongX(inBase('border', 'north'), timber, x0, x1, y1 - t, low, long),
    alongY(inBase('border', 'west'), timber, y0, y1, x0, low, short),
    alongY(inBase('border', 'east'), timber, y0, y1, x1 - t, low, short),
  ]
}

/**
 * Takes the upper or lower half of a timber's height away on one side of a level of its axis: below it for
 * `way` 1, above it for -1.
 */
function lap(axis: 'x' | 'y', at: number, way: 1 | -1, half: number, takes: 'upper' | 'lower'): BuildingCut {
  const out: Vec3 = axis === 'x' ? vec(way, 0, 0) : vec(0, way, 0)
  const place: Vec3 = axis === 'x' ? vec(at, 0, 0) : vec(0, at, 0)
  return {
    kind: 'notch',
    name: 'lap',
    sides: [
      { name: 'lap', plane: planeAt(place, out) },
      { name: 'lap', plane: planeAt(vec(0, 0, half), vec(0, 0, takes === 'upper' ? -1 : 1)) },
    ],
  }
}

const alongX = (
  where: MemberPlace,
  section: Section,
  from: number,
  to: number,
  across: number,
  low: number,
  laps: readonly BuildingCut[],
): Order => timberOf({ where, section, along: 'x', from, to, across, low }, laps)
const alongY = (
  where: MemberPlace,
  section: Section,
  from: number,
  to: number,
  across: number,
  low: number,
  laps: readonly BuildingCut[],
): Order => timberOf({ where, section, along: 'y', from, to, across, low }, laps)

function timberOf(board: Omit<Lying, 'role'>, laps: readonly BuildingCut[]): Order {
  const order = lyingBoard({ ...board, role: 'border' })
  return { ...order, cuts: [...order.cuts, ...laps] }
}

/**
 * Timbers under the seams: those across the building run from side to side, those along it are butted between
 * them.
 */
function seamTimbers(
  timber: Section,
  { x0, x1, y0, y1 }: Rect,
  low: number,
  seams: Readonly<Record<'x' | 'y', readonly number[]>>,
): (Bearing & { readonly order: Order })[] {
  const t = timber.thickness
  const band = (at: number): Stretch => ({ from: at - t / 2, to: at + t / 2 })
  const lay = (where: MemberPlace, along: 'x' | 'y', run: Stretch, across: Stretch) => ({
    along,
    rect: rectAlong(along, run, across),
    order: timberOf(
      { where, section: timber, along, from: run.from, to: run.to, across: across.from, low },
      [],
    ),
  })
  const edges = [x0 + t, ...seams.x.flatMap(at => [at - t / 2, at + t / 2]), x1 - t]
  const spaces = Array.from({ length: edges.length / 2 }, (_, i): Stretch => ({
    from: edges[2 * i] ?? 0,
    to: edges[2 * i + 1] ?? 0,
  })).filter(space => space.to - space.from > t)
  return [
    ...seams.x.map((at, i) => lay(inBase('border/seam', i + 1), 'y', { from: y0 + t, to: y1 - t }, band(at))),
    ...seams.y.flatMap((at, k) =>
      spaces.map((space, i) => lay(inBase('border/seam-along', k + 1, i + 1), 'x', space, band(at))),
    ),
  ]
}
