import { usualBase } from '../base'
import { usualFloors } from '../floor'
import { flat } from '../roofs/flat'
import { usualSheathing } from '../sheathing'
import { bare, each, opening, spanning, type Starter, wood } from './starter'

/** A flat roof that falls to the back, a wide glazed opening to the front. */
export const gardenRoom: Starter = {
  name: 'garden-room',
  usual: {
    imperial: { length: 4267.2, width: 2743.2, height: 2362.2 },
    metric: { length: 4200, width: 2700, height: 2350 },
  },
  least: { length: 3000, width: 1800, height: 2000 },
  most: { length: 7300, width: 4000, height: 3000 },
  design(name, yard, size) {
    const { length, width, height } = size
    const plain = bare(name, yard, size)
    const begun = flat.begun(
      {
        ...plain,
        roof: {
          ...plain.roof,
          shape: 'flat',
          high: 'south',
          rafter: spanning(yard, width * 0.8),
          spacing: each(yard, 16, 400),
          overhang: { eave: each(yard, 8, 200), gable: 0, high: each(yard, 16, 400) },
        },
      },
      { shape: 'flat', high: 'south' },
      plain,
    )
    return {
      ...begun,
      base: usualBase('posts', yard),
      floor: { ...usualFloors[yard], joist: spanning(yard, width / 2 + 300) },
      walls: {
        ...begun.walls,
        height,
        sheathing: usualSheathing[yard],
        openings: [
          opening(
            yard,
            'south',
            'door',
            { long: length, share: 0.3, height },
            { width: Math.min(each(yard, 60, 1500), length * 0.34), height: each(yard, 78, 2000) },
          ),
          opening(
            yard,
            'south',
            'window',
            { long: length, share: 0.76, height },
            {
              width: Math.min(each(yard, 40, 1000), length * 0.28),
              height: each(yard, 36, 900),
              foot: each(yard, 36, 900),
            },
          ),
        ],
      },
      roof: {
        ...begun.roof,
        fascia: { sub: null, face: wood(yard, '1x8', '22x150') },
      },
    }
  },
}
