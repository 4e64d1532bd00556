import { usualTies } from '../roof'
import { bare, ridgeFor, shallowSeat, spanning, type Starter } from './starter'

const PITCH = { rise: 6, run: 12 }

/** Four walls and a gable, with nothing in them and nothing under them. */
export const emptyFrame: Starter = {
  name: 'empty-frame',
  usual: {
    imperial: { length: 3657.6, width: 2438.4, height: 2108.2 },
    metric: { length: 3600, width: 2400, height: 2100 },
  },
  least: { length: 1000, width: 1000, height: 900 },
  most: { length: 12000, width: 7300, height: 3600 },
  design(name, yard, size) {
    const plain = bare(name, yard, size)
    const rafter = spanning(yard, size.width / 2)
    return {
      ...plain,
      roof: {
        ...plain.roof,
        pitch: PITCH,
        rafter,
        ridge: ridgeFor(rafter),
        seat: shallowSeat(yard, rafter, PITCH),
        ties: { ...plain.roof.ties, rafter: usualTies[yard].rafter },
      },
    }
  },
}
