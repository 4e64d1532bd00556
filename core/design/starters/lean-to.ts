import { usualBase } from '../base'
import { leanTo as roof } from '../roofs/lean-to'
import { usualSheathing } from '../sheathing'
import { bare, each, opening, shallowSeat, spanning, type Starter, wood } from './starter'

const PITCH = { rise: 4, run: 12 }

/** Against a house on its north side, on a slab: a ledger there, a door in the end, a window to the south. */
export const leanTo: Starter = {
  name: 'lean-to',
  usual: {
    imperial: { length: 3657.6, width: 1828.8, height: 1981.2 },
    metric: { length: 3600, width: 1800, height: 2000 },
  },
  least: { length: 1500, width: 1400, height: 1850 },
  most: { length: 7300, width: 3300, height: 2600 },
  design(name, yard, size) {
    const { length, width, height } = size
    const plain = bare(name, yard, size)
    const begun = roof.begun(
      { ...plain, roof: { ...plain.roof, shape: 'lean-to', high: 'north' } },
      { shape: 'lean-to', high: 'north' },
      plain,
    )
    const rafter = spanning(yard, width)
    return {
      ...begun,
      base: usualBase('slab', yard),
      floor: null,
      walls: {
        ...begun.walls,
        height,
        sheathing: usualSheathing[yard],
        openings: [
          opening(yard, 'south', 'window', { long: length, share: 0.6, height }),
          opening(yard, 'east', 'door', { long: width, share: 0.5, height }),
        ],
      },
      roof: {
        ...begun.roof,
        pitch: PITCH,
        rafter,
        ridge: spanning(yard, width + 900),
        spacing: each(yard, 24, 600),
        seat: shallowSeat(yard, rafter, PITCH),
        overhang: { eave: each(yard, 10, 250), gable: each(yard, 4, 100) },
        fascia: { sub: null, face: wood(yard, '1x6', '22x150') },
      },
    }
  },
}
