import { usualBase } from '../base'
import { usualFloors } from '../floor'
import { usualSheathing } from '../sheathing'
import { withPartOf } from './new-part'
import { bare, each, opening, type Starter, wood } from './starter'

const PITCH = { rise: 8, run: 12 }

/** A small gable of trusses on skids, its roof run on over a porch before the door. */
export const playhouse: Starter = {
  name: 'playhouse',
  usual: {
    imperial: { length: 2438.4, width: 1828.8, height: 1524 },
    metric: { length: 2400, width: 1800, height: 1500 },
  },
  least: { length: 1500, width: 1500, height: 1300 },
  most: { length: 4800, width: 3000, height: 2300 },
  design(name, yard, size) {
    const { length, width, height } = size
    const plain = bare(name, yard, size)
    const house = {
      ...plain,
      base: usualBase('skids', yard),
      floor: { ...usualFloors[yard], joist: wood(yard, '2x6', '47x150') },
      walls: {
        ...plain.walls,
        height,
        sheathing: usualSheathing[yard],
        openings: [
          opening(yard, 'east', 'door', { long: width, share: 0.5, height }, { width: 600, height: 1200 }),
          opening(
            yard,
            'south',
            'window',
            { long: length, share: 0.5, height },
            { width: 500, height: 450, foot: 500 },
          ),
        ],
      },
      roof: {
        ...plain.roof,
        pitch: PITCH,
        carried: 'trusses' as const,
        truss: { ...plain.roof.truss, kind: 'king-post' as const },
        rafter: wood(yard, '2x4', '38x89'),
        spacing: each(yard, 16, 400),
        overhang: { eave: each(yard, 8, 200), gable: each(yard, 6, 150) },
        ends: { ...plain.roof.ends, hold: 'none' as const },
      },
    }
    return withPartOf(house, 'porch', 'east', 'Porch')
  },
}
