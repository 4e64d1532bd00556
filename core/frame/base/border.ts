import type { Base } from '../../design'
import { planeAt, vec, type Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { squareBoard } from '../between'
import type { BuildingCut, Order } from '../member'
import { grown, type Rect } from '../rect'
import { type BaseShape, type Bearing, emptyBase } from './base'

type Border = Extract<Base, { kind: 'border' }>

/** Timbers round the edge on a bed of gravel, half-lapped at the corners: half their height, and as long as the other is wide. Where two floor frames meet lies a timber of its own, butted between the others; seams across the building go before seams along it. */
export const border: BaseShape<Border> = {
  foot: ({ base, top, section }) => top - section(base.timber).depth,
  frame({ base, rect, top, section, seams }) {
    const timber = section(base.timber)
    const low = top - timber.depth
    const t = timber.thickness
    const least = 2 * t + 300
    if (rect.x1 - rect.x0 < least || rect.y1 - rect.y0 < least) {
      const path = rect.x1 - rect.x0 < least ? 'footprint.length' : 'footprint.width'
      return { ...emptyBase, problems: [{ code: 'base-too-small', path, least }] }
    }
    const cross = [
      ...seams.x.map((at, i) => ({ order: alongY(`base/border/seam/${i + 1}`, timber, rect.y0 + t, rect.y1 - t, at - t / 2, low, []), along: 'y' as const, rect: { x0: at - t / 2, x1: at + t / 2, y0: rect.y0 + t, y1: rect.y1 - t } })),
      ...(seams.x.length ? [] : seams.y).map((at, i) => ({ order: alongX(`base/border/seam/${i + 1}`, timber, rect.x0 + t, rect.x1 - t, at - t / 2, low, []), along: 'x' as const, rect: { y0: at - t / 2, y1: at + t / 2, x0: rect.x0 + t, x1: rect.x1 - t } })),
    ]
    const sides = lapped(timber, rect, low)
    const bearings: Bearing[] = [
      { rect: { ...rect, y1: rect.y0 + t }, along: 'x' }, { rect: { ...rect, y0: rect.y1 - t }, along: 'x' }, { rect: { ...rect, x1: rect.x0 + t }, along: 'y' }, { rect: { ...rect, x0: rect.x1 - t }, along: 'y' },
      ...cross.map(({ rect: at, along }): Bearing => ({ rect: at, along })),
    ]
    return {
      orders: [...sides, ...cross.map(each => each.order)], parts: [], holes: [], bearings, problems: [],
      beds: [{ id: 'base/gravel', rect: grown(rect, base.gravel.beyond), low: low - base.gravel.depth, high: low }],
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
    alongX('base/border/south', timber, x0, x1, y0, low, long), alongX('base/border/north', timber, x0, x1, y1 - t, low, long),
    alongY('base/border/west', timber, y0, y1, x0, low, short), alongY('base/border/east', timber, y0, y1, x1 - t, low, short),
  ]
}

/** Takes the upper or lower half of a timber's height away on one side of a level of its axis: below it for `way` 1, above it for -1. */
function lap(axis: 'x' | 'y', at: number, way: 1 | -1, half: number, takes: 'upper' | 'lower'): BuildingCut {
  const out: Vec3 = axis === 'x' ? vec(way, 0, 0) : vec(0, way, 0)
  const place: Vec3 = axis === 'x' ? vec(at, 0, 0) : vec(0, at, 0)
  return { kind: 'notch', name: 'lap', sides: [{ name: 'lap', plane: planeAt(place, out) }, { name: 'lap', plane: planeAt(vec(0, 0, half), vec(0, 0, takes === 'upper' ? -1 : 1)) }] }
}

function alongX(id: string, section: Section, from: number, to: number, y: number, low: number, laps: readonly BuildingCut[]): Order {
  const order = squareBoard({ id, role: 'border', section, along: 'x', depth: 'z', from, to, corner: vec(0, y, low) })
  return { ...order, cuts: [...order.cuts, ...laps] }
}

function alongY(id: string, section: Section, from: number, to: number, x: number, low: number, laps: readonly BuildingCut[]): Order {
  const order = squareBoard({ id, role: 'border', section, along: 'y', depth: 'z', from, to, corner: vec(x, 0, low) })
  return { ...order, cuts: [...order.cuts, ...laps] }
}
