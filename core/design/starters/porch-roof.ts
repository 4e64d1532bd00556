import { leanTo } from '../roofs/lean-to'
import type { Side } from '../sides'
import { usualBase } from '../base'
import { bare, beamOnTop, each, ridgeFor, spanning, type Starter, wood } from './starter'

const PITCH = { rise: 3, run: 12 }
const open = (side: Side): Side => ({ ...side, build: 'open', cover: 'open' })

/** On a ledger on a house, a beam of two boards on posts in front, open at both ends, on a slab. */
export const porchRoof: Starter = {
  name: 'porch-roof',
  usual: {
    imperial: { length: 4876.8, width: 1828.8, height: 2286 },
    metric: { length: 5200, width: 2100, height: 2300 },
  },
  least: { length: 1500, width: 900, height: 1900 },
  most: { length: 9000, width: 3600, height: 2800 },
  design(name, yard, size) {
    const plain = bare(name, yard, size)
    const begun = leanTo.begun(
      { ...plain, roof: { ...plain.roof, shape: 'lean-to', high: 'north' } },
      { shape: 'lean-to', high: 'north' },
      plain,
    )
    const { south, east, west } = begun.walls.sides
    const rafter = spanning(yard, size.width)
    return {
      ...begun,
      floor: null,
      base: usualBase('slab', yard),
      walls: {
        ...begun.walls,
        height: size.height,
        sheathing: null,
        gables: 'open',
        sides: {
          ...begun.walls.sides,
          south: { ...south, build: 'posts', cover: 'open' },
          east: open(east),
          west: open(west),
        },
        posts: beamOnTop(yard, { brace: 0, inset: each(yard, 12, 300) }),
      },
      roof: {
        ...begun.roof,
        pitch: PITCH,
        rafter,
        ridge: ridgeFor(rafter),
        seat: { rule: 'full-bearing' },
        spacing: each(yard, 16, 400),
        overhang: { eave: each(yard, 12, 300), gable: 0 },
        blocking: { ...begun.roof.blocking, rows: 1 },
        fascia: { sub: null, face: wood(yard, '1x6', '22x150') },
      },
    }
  },
}
