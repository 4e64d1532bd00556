import { inBase, named } from '../place'
import { HAIR } from '../../measure'
import type { Base, Building } from '../../design'
import { vec } from '../../geometry'
import type { Part } from '../part'
import { grown, type Rect } from '../rect'
import type { BaseShape } from './base'
import { least } from '../../trade'

type Slab = Extract<Base, { kind: 'slab' }>

/**
 * A concrete slab on gravel, its top at the level everything is measured from; with a low wall round it that
 * the framed walls stand on, or without.
 */
export const slab: BaseShape<Slab> = {
  foot: ({ top }) => top,
  frame({ building, base, rect, top }) {
    const whole = againstMain(building, grown(rect, base.beyond), rect)
    const low = top - base.thickness
    const plate: Part = {
      ...named(inBase('slab')),
      kind: 'slab',
      round: false,
      low: vec(whole.x0, whole.y0, low),
      high: vec(whole.x1, whole.y1, top),
    }
    const most = (Math.min(rect.x1 - rect.x0, rect.y1 - rect.y0) - least.betweenLowWalls) / 2
    const thick = base.lowWall !== null && base.lowWall.thickness > most + HAIR
    const walls =
      base.lowWall && !thick ? lowWalls(rect, base.lowWall.thickness, top, top + base.lowWall.height) : []
    return {
      feet: {},
      orders: [],
      parts: [plate, ...walls],
      holes: [],
      bearings: [],
      problems: thick ? [{ code: 'low-wall-too-thick', path: 'base.lowWall.thickness', most }] : [],
      beds: [
        {
          ...named(inBase('gravel')),
          rect: againstMain(building, grown(whole, base.gravel.beyond), rect),
          low: low - base.gravel.depth,
          high: low,
        },
      ],
    }
  },
}

/** What is laid under a part ends at the slab of what it hangs on, or at its wall. */
function againstMain({ hung }: Building, laid: Rect, { x0, x1, y0, y1 }: Rect): Rect {
  if (!hung) return laid
  const { side, clear } = hung
  return {
    ...laid,
    ...{
      south: { y0: y0 + clear },
      north: { y1: y1 - clear },
      west: { x0: x0 + clear },
      east: { x1: x1 - clear },
    }[side],
  }
}

function lowWalls({ x0, x1, y0, y1 }: Rect, t: number, low: number, high: number): Part[] {
  const wall = (name: string, ax: number, ay: number, bx: number, by: number): Part => ({
    ...named(inBase('low-wall', name)),
    kind: 'low-wall',
    round: false,
    low: vec(ax, ay, low),
    high: vec(bx, by, high),
  })
  return [
    wall('south', x0, y0, x1, y0 + t),
    wall('north', x0, y1 - t, x1, y1),
    wall('west', x0, y0 + t, x0 + t, y1 - t),
    wall('east', x1 - t, y0 + t, x1, y1 - t),
  ]
}
