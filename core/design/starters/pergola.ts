import { usualBase } from '../base'
import { pergola as roof } from '../roofs/pergola'
import type { Side } from '../sides'
import { bare, each, spanning, type Starter, wood } from './starter'

/** Level rafters notched over twin beams on posts in the ground, battens across them. */
export const pergola: Starter = {
  name: 'pergola',
  usual: {
    imperial: { length: 4114.8, width: 3352.8, height: 2286 },
    metric: { length: 4100, width: 3300, height: 2300 },
  },
  least: { length: 1500, width: 1200, height: 1800 },
  most: { length: 9000, width: 4800, height: 3000 },
  design(name, yard, size) {
    const plain = bare(name, yard, size)
    const begun = roof.begun(
      { ...plain, roof: { ...plain.roof, shape: 'pergola' } },
      { shape: 'pergola' },
      plain,
    )
    const side = (of: Side, build: Side['build']): Side => ({ ...of, build, cover: 'open' })
    const { south, east, north, west } = begun.walls.sides
    return {
      ...begun,
      floor: null,
      base: usualBase('poles', yard),
      walls: {
        ...begun.walls,
        height: size.height,
        sheathing: null,
        gables: 'open',
        sides: {
          south: side(south, 'posts'),
          east: side(east, 'open'),
          north: side(north, 'posts'),
          west: side(west, 'open'),
        },
        posts: {
          ...{ post: wood(yard, '6x6', '150x150'), beam: wood(yard, '2x8', '47x200'), plies: 2 },
          ...{
            set: 'bolted',
            plates: false,
            spacing: each(yard, 132, 3300),
            joint: 'butt',
            brace: each(yard, 20, 500),
            cap: false,
            gap: 0,
          },
          inset: Math.min(each(yard, 16, 400), size.length / 8),
        },
      },
      roof: {
        ...begun.roof,
        rafter: spanning(yard, size.width),
        spacing: each(yard, 20, 500),
        overhang: { eave: each(yard, 16, 400), gable: each(yard, 4, 100), high: null },
        pergola: {
          ...begun.roof.pergola,
          notch: each(yard, 1.5, 40),
          tail: { shape: 'cove', size: each(yard, 4, 100) },
        },
      },
    }
  },
}
