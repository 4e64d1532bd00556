import { usualBase } from '../base'
import { usualFloors } from '../floor'
import { usualSheathing } from '../sheathing'
import { singleSlope } from '../roofs/single-slope'
import { bare, each, opening, shallowSeat, spanning, type Starter, wood } from './starter'

/** One slope that falls to the back, wide doors under its high side. */
export const bikeStore: Starter = {
  name: 'bike-store',
  usual: {
    imperial: { length: 2438.4, width: 1219.2, height: 1524 },
    metric: { length: 2400, width: 1200, height: 1500 },
  },
  least: { length: 1800, width: 800, height: 1250 },
  most: { length: 4900, width: 2400, height: 2400 },
  design(name, yard, size) {
    const { length, width, height } = size
    const plain = bare(name, yard, size)
    const rise = { rise: 3, run: 12 }
    // the doors' wall is as much higher as the slope makes it
    const high = height + ((width - each(yard, 3.5, 89)) * rise.rise) / rise.run - each(yard, 1, 25)
    const begun = singleSlope.begun(
      { ...plain, roof: { ...plain.roof, shape: 'single-slope', high: 'south' } },
      { shape: 'single-slope', high: 'south' },
      plain,
    )
    const rafter = spanning(yard, width)
    return {
      ...begun,
      base: usualBase('skids', yard),
      floor: { ...usualFloors[yard], joist: wood(yard, '2x4', '47x100') },
      walls: {
        ...begun.walls,
        height,
        sheathing: { ...usualSheathing[yard], drop: each(yard, 3, 75) },
        openings: [
          opening(
            yard,
            'south',
            'garage-door',
            { long: length, share: 0.5, height: high },
            {
              width: Math.min(each(yard, 60, 1500), length - each(yard, 26, 650)),
              height: each(yard, 60, 1500),
            },
          ),
        ],
      },
      roof: {
        ...begun.roof,
        pitch: rise,
        seat: shallowSeat(yard, rafter, rise),
        rafter,
        spacing: each(yard, 24, 600),
        overhang: { eave: each(yard, 6, 150), gable: each(yard, 6, 150), high: each(yard, 8, 200) },
        fascia: { sub: null, face: wood(yard, '1x6', '22x150') },
      },
    }
  },
}
