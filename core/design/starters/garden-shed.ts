import { usualBase } from '../base'
import { usualFloors } from '../floor'
import { usualTies } from '../roof'
import { usualSheathing } from '../sheathing'
import { bare, each, opening, ridgeFor, shallowSeat, spanning, type Starter, wood } from './starter'

const PITCH = { rise: 7, run: 12 }

/** A gable shed on skids: a door in the end, a window to the south. */
export const gardenShed: Starter = {
  name: 'garden-shed',
  usual: {
    imperial: { length: 3657.6, width: 3048, height: 2209.8 },
    metric: { length: 3600, width: 3000, height: 2200 },
  },
  least: { length: 1800, width: 1500, height: 1800 },
  most: { length: 7300, width: 4900, height: 3000 },
  design(name, yard, size) {
    const { length, width, height } = size
    const plain = bare(name, yard, size)
    const rafter = spanning(yard, width / 2)
    return {
      ...plain,
      base: { ...usualBase('skids', yard), ...(width > 2600 ? { count: 3 } : {}) },
      floor: { ...usualFloors[yard], joist: spanning(yard, width / (width > 2600 ? 2 : 1)) },
      walls: {
        ...plain.walls,
        bracing: 'none',
        sheathing: { ...usualSheathing[yard], drop: each(yard, 5, 125) },
        openings: [
          opening(yard, 'east', 'door', { long: width, share: 0.5, height }),
          opening(yard, 'south', 'window', { long: length, share: 0.5, height }),
        ],
      },
      roof: {
        ...plain.roof,
        pitch: PITCH,
        rafter,
        ridge: ridgeFor(rafter),
        seat: shallowSeat(yard, rafter, PITCH),
        ends: {
          ...plain.roof.ends,
          hold: 'ladder',
          lookout: wood(yard, '2x4', '47x100'),
          barge: wood(yard, '1x6', '22x150'),
        },
        overhang: { eave: each(yard, 12, 300), gable: each(yard, 10, 250) },
        ties: { ...plain.roof.ties, rafter: { ...usualTies[yard].rafter, every: 2 } },
        fascia: { sub: null, face: wood(yard, '1x8', '22x150') },
      },
    }
  },
}
