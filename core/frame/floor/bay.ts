import { type FloorFrameName, type MemberPlace } from '../place'
import type { Role, Stretch } from '../../trade'
import type { Floor } from '../../design'
import type { Section } from '../../lumber'
import { lyingBoard } from '../square-board'
import type { Order } from '../member'
import { type Rect, rectAlong, stretchesOf } from '../rect'

/**
 * A floor frame of its own: two rims and the joists between. A floor has one, or two that meet, and its porch
 * another.
 */
export interface Bay {
  readonly id: string
  readonly in: 'floor' | 'porch'
  readonly frame: FloorFrameName | null
  readonly rect: Rect
  /** Which way its joists run. */
  readonly joists: 'x' | 'y'
}

/** A bay seen along its own axes: `u` along the rims, `v` along the joists. */
export interface BayAxes {
  readonly u: Stretch
  readonly v: Stretch
  /** A board of the frame on edge: `low` is its lower level; it takes `across` on the other axis. */
  readonly board: (
    where: MemberPlace,
    role: Role,
    section: Section,
    along: 'u' | 'v',
    stretch: Stretch,
    across: number,
    low: number,
  ) => Order
  /** A rectangle of the bay's axes in the building, and back. */
  readonly rect: (u: Stretch, v: Stretch) => Rect
}

export function axesOf({ rect, joists }: Pick<Bay, 'rect' | 'joists'>): BayAxes {
  const turned = joists === 'x'
  const { run, across: other } = stretchesOf(rect, joists)
  return {
    u: other,
    v: run,
    board: (where, role, section, along, stretch, across, low) =>
      lyingBoard({
        where,
        role,
        section,
        along: (along === 'u') === turned ? 'y' : 'x',
        from: stretch.from,
        to: stretch.to,
        across,
        low,
      }),
    rect: (u, v) => rectAlong(joists, v, u),
  }
}

/** Names of a bay's two rims, the lower on its axis first. */
export const rimNames = (bay: Bay): readonly [string, string] =>
  bay.joists === 'y' ? ['south', 'north'] : ['west', 'east']

/** An opening of the floor as it lies in the building. */
export const openingRect = ({ x, y, length, width }: Floor['openings'][number]): Rect => ({
  x0: x,
  x1: x + length,
  y0: y,
  y1: y + width,
})
