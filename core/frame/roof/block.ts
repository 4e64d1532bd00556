import { type MemberPlace } from '../place'
import type { Obstacle } from './obstacle'
import { least, type Stretch } from '../../trade'
import type { Building } from '../../design'
import type { Plane, Vec3 } from '../../geometry'
import type { Section } from '../../lumber'
import { HAIR } from '../../measure'
import type { BuildingCut, Order } from '../member'
import type { Eave } from '../../lines'
import { leaningBoard } from './leaning-board'

export const axisOf = ({ outside: { normal } }: Eave): 'x' | 'y' => (Math.abs(normal.y) > 0.5 ? 'x' : 'y')

/**
 * The plane that blocks end under, looking up: that of the rafters' upper edges, or as much lower as air is
 * to pass over them.
 */
export function topOfBlocks({ roof: { blocking } }: Building, { face: { carrier } }: Eave): Plane {
  return { ...carrier.top, offset: carrier.top.offset - blocking.air }
}

export const overBlocks = (building: Building, eave: Eave): BuildingCut[] =>
  building.roof.blocking.air > 0 ? [{ kind: 'end', name: 'rip', plane: topOfBlocks(building, eave) }] : []

/**
 * The spaces between members along a wall that take a block, without what is in the way at the block's
 * height.
 */
export function bays(
  rafters: readonly Stretch[],
  along: 'x' | 'y',
  z: Stretch,
  taken: readonly Obstacle[],
): Stretch[] {
  const inWay = taken
    .filter(each => each.along === along && each.z.from < z.to - HAIR && each.z.to > z.from + HAIR)
    .map(each => each.s)
  return rafters
    .slice(1)
    .flatMap((next, i) => {
      const from = rafters[i]?.to ?? next.from
      return inWay
        .filter(s => s.from < next.from && s.to > from)
        .reduce<Stretch[]>(
          (left, s) =>
            left.flatMap(each =>
              [
                { from: each.from, to: Math.min(each.to, s.from) },
                { from: Math.max(each.from, s.to), to: each.to },
              ].filter(part => part.to > part.from),
            ),
          [{ from, to: next.from }],
        )
    })
    .filter(({ from, to }) => to - from >= least.roofBlock)
}

export const block = (
  where: MemberPlace,
  section: Section,
  along: 'x' | 'y',
  s: Stretch,
  foot: Vec3,
  up: Vec3,
  out: Vec3,
  cuts: readonly BuildingCut[],
): Order => leaningBoard({ where, role: 'roof-block', section, along, s, foot, up, out, cuts })
