import { usualBase } from '../base'
import { usualFloors } from '../floor'
import { usualTies } from '../roof'
import { usualSheathing } from '../sheathing'
import { bare, each, opening, ridgeFor, shallowSeat, spanning, type Starter, wood } from './starter'

const PITCH = { rise: 6, run: 12 }

/** A hip roof on posts, long low windows on three sides, a door at the back. */
export const hide: Starter = {
  name: 'hide',
  usual: {
    imperial: { length: 3657.6, width: 2438.4, height: 2057.4 },
    metric: { length: 3600, width: 2400, height: 2050 },
  },
  least: { length: 2400, width: 1700, height: 1850 },
  most: { length: 6100, width: 4200, height: 2700 },
  design(name, yard, size) {
    const { length, width, height } = size
    const plain = bare(name, yard, size)
    const rafter = spanning(yard, Math.min(length, width) / 2)
    const slot = (wall: 'south' | 'east' | 'west', long: number) =>
      opening(
        yard,
        wall,
        'window',
        { long, share: 0.5, height },
        {
          width: Math.min(each(yard, 48, 1200), long * 0.45),
          height: each(yard, 12, 300),
          foot: each(yard, 44, 1100),
        },
      )
    return {
      ...plain,
      base: usualBase('posts', yard),
      floor: { ...usualFloors[yard], joist: spanning(yard, width / 2 + 300) },
      walls: {
        ...plain.walls,
        sheathing: { ...usualSheathing[yard], drop: each(yard, 5, 125) },
        openings: [
          slot('south', length),
          slot('east', width),
          slot('west', width),
          opening(yard, 'north', 'door', { long: length, share: 0.3, height }),
        ],
      },
      roof: {
        ...plain.roof,
        shape: 'hip',
        pitch: PITCH,
        rafter,
        ridge: ridgeFor(rafter),
        seat: shallowSeat(yard, rafter, PITCH),
        spacing: each(yard, 16, 400),
        overhang: { eave: each(yard, 12, 300), gable: each(yard, 12, 300) },
        ties: { ...plain.roof.ties, rafter: { ...usualTies[yard].rafter, every: 2 } },
        fascia: { sub: null, face: wood(yard, '1x6', '22x150') },
      },
    }
  },
}
