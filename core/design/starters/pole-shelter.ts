import { type Base, usualBase } from '../base'
import { usualTies } from '../roof'
import type { Side } from '../sides'
import { usualSkirt } from '../skirt'
import { bare, beamOnTop, each, ridgeFor, spanning, type Starter, wood } from './starter'

const LOG = 'round log'
const PITCH = { rise: 4, run: 12 }
const open = (side: Side): Side => ({ ...side, build: 'posts', cover: 'open' })

/**
 * Round logs in the ground on all sides, a beam of two boards on top of them, a gable over gravel that boards
 * between stakes hold.
 */
export const poleShelter: Starter = {
  name: 'pole-shelter',
  usual: {
    imperial: { length: 4876.8, width: 3657.6, height: 2286 },
    metric: { length: 5100, width: 3900, height: 2300 },
  },
  least: { length: 1800, width: 1500, height: 1800 },
  most: { length: 9000, width: 4800, height: 3000 },
  design(name, yard, size) {
    const plain = bare(name, yard, size)
    const { south, east, north, west } = plain.walls.sides
    const rafter = spanning(yard, size.width / 2)
    const log = each(yard, 6, 150)
    return {
      ...plain,
      floor: null,
      base: { ...usualBase('poles', yard), skirt: usualSkirt[yard] } as Base,
      lumber: {
        ...plain.lumber,
        sections: [{ name: LOG, thickness: log, depth: log, round: true }],
      },
      walls: {
        ...plain.walls,
        height: size.height,
        sheathing: null,
        gables: 'open',
        sides: { south: open(south), east: open(east), north: open(north), west: open(west) },
        posts: { ...beamOnTop(yard, { brace: each(yard, 24, 600), inset: 0 }), post: LOG },
      },
      roof: {
        ...plain.roof,
        pitch: PITCH,
        rafter,
        ridge: ridgeFor(rafter),
        seat: { rule: 'full-bearing' },
        spacing: each(yard, 24, 600),
        overhang: { eave: each(yard, 12, 300), gable: each(yard, 6, 150) },
        ties: { rafter: { ...usualTies[yard].rafter, every: 2 }, collar: null, ceiling: null },
        fascia: { sub: null, face: wood(yard, '1x6', '22x150') },
      },
    }
  },
}
