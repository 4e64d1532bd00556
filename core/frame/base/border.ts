import { inBase, named, nth } from '../place'
import type { Stretch } from '../../trade'
import type { Base, SideName } from '../../design'
import type { Section } from '../../lumber'
import type { Units } from '../../measure'
import type { BuildingCut, Order } from '../member'
import { grown, type Rect, rectAlong } from '../rect'
import { type BaseShape, type Bearing, emptyBase } from './base'
import { halfLap, lappedRow, type TimberRow } from './lapped-row'

type Border = Extract<Base, { kind: 'border' }>

/** How far under the timbers' tops gravel lies between them where no floor is framed on them, mm. */
const UNDER_TOP = 25

/**
 * Timbers round the edge on a bed of gravel, half-lapped at the corners: half their height, and as long as
 * the other is wide; longer ones than are sold half-lapped in their length too. Where two floor frames meet
 * lies a timber of its own, butted between the others. Without a framed floor the walls stand on them, and
 * gravel lies between.
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
    const { yard } = building.lumber
    const cross = seamTimbers(timber, yard, rect, low, seams)
    const sides = lapped(timber, yard, rect, low)
    const bearings: Bearing[] = [
      { rect: { ...rect, y1: rect.y0 + t }, along: 'x' },
      { rect: { ...rect, y0: rect.y1 - t }, along: 'x' },
      { rect: { ...rect, x1: rect.x0 + t }, along: 'y' },
      { rect: { ...rect, x0: rect.x1 - t }, along: 'y' },
      ...cross.map(({ rect: at, along }): Bearing => ({ rect: at, along })),
    ]
    return {
      feet: {},
      orders: [...sides, ...cross.flatMap(each => each.orders)],
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

function lapped(timber: Section, yard: Units, { x0, x1, y0, y1 }: Rect, low: number): Order[] {
  const t = timber.thickness
  const half = low + timber.depth / 2
  const upper = (at: number, way: 1 | -1): BuildingCut => halfLap('x', at, way, half, 'upper')
  const lower = (at: number, way: 1 | -1): BuildingCut => halfLap('y', at, way, half, 'lower')
  const row = (side: SideName, along: 'x' | 'y', across: number, back: boolean): Order[] => {
    const run = along === 'x' ? { from: x0, to: x1 } : { from: y0, to: y1 }
    const corner = along === 'x' ? upper : lower
    return lappedRow(
      {
        where: (i, of) => inBase('border', side, ...nth(i, of)),
        role: 'border',
        section: timber,
        along,
        run,
        across,
        low,
        back,
      },
      yard,
      { from: [corner(run.from + t, 1)], to: [corner(run.to - t, -1)] },
    )
  }
  return [
    ...row('south', 'x', y0, false),
    ...row('north', 'x', y1 - t, true),
    ...row('west', 'y', x0, false),
    ...row('east', 'y', x1 - t, true),
  ]
}

/**
 * Timbers under the seams: those across the building run from side to side, those along it are butted between
 * them.
 */
function seamTimbers(
  timber: Section,
  yard: Units,
  { x0, x1, y0, y1 }: Rect,
  low: number,
  seams: Readonly<Record<'x' | 'y', readonly number[]>>,
): (Bearing & { readonly orders: readonly Order[] })[] {
  const t = timber.thickness
  const band = (at: number): Stretch => ({ from: at - t / 2, to: at + t / 2 })
  const lay = (where: TimberRow['where'], along: 'x' | 'y', run: Stretch, across: Stretch) => ({
    along,
    rect: rectAlong(along, run, across),
    orders: lappedRow(
      { where, role: 'border', section: timber, along, run, across: across.from, low, back: false },
      yard,
      { from: [], to: [] },
    ),
  })
  const edges = [x0 + t, ...seams.x.flatMap(at => [at - t / 2, at + t / 2]), x1 - t]
  const spaces = Array.from({ length: edges.length / 2 }, (_, i): Stretch => ({
    from: edges[2 * i] ?? 0,
    to: edges[2 * i + 1] ?? 0,
  })).filter(space => space.to - space.from > t)
  return [
    ...seams.x.map((at, k) =>
      lay(
        (i, of) => inBase('border/seam', k + 1, ...nth(i, of)),
        'y',
        { from: y0 + t, to: y1 - t },
        band(at),
      ),
    ),
    ...seams.y.flatMap((at, k) =>
      spaces.map((space, m) =>
        lay((i, of) => inBase('border/seam-along', k + 1, m + 1, ...nth(i, of)), 'x', space, band(at)),
      ),
    ),
  ]
}
