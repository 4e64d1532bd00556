import { usualBase } from '../base'
import { usualTies } from '../roof'
import type { WallOpening } from '../openings'
import { bare, each, opening, ridgeFor, shallowSeat, spanning, type Starter, wood } from './starter'

const PITCH = { rise: 8, run: 12 }

/** A small gable on a slab, fixed panes between the studs of its long walls, a door and a vent. */
export const greenhouse: Starter = {
  name: 'greenhouse',
  usual: {
    imperial: { length: 3048, width: 2438.4, height: 2133.6 },
    metric: { length: 3000, width: 2400, height: 2100 },
  },
  least: { length: 1800, width: 1600, height: 1900 },
  most: { length: 7300, width: 3700, height: 3000 },
  design(name, yard, size) {
    const { length, width, height } = size
    const plain = bare(name, yard, size)
    const rafter = spanning(yard, width / 2)
    return {
      ...plain,
      base: usualBase('slab', yard),
      floor: null,
      walls: {
        ...plain.walls,
        bracing: 'none',
        openings: [
          ...panes(yard, 'south', length, height),
          ...panes(yard, 'north', length, height),
          opening(yard, 'east', 'door', { long: width, share: 0.5, height }),
          opening(
            yard,
            'west',
            'vent',
            { long: width, share: 0.5, height },
            { foot: height - each(yard, 27, 690) },
          ),
        ],
      },
      roof: {
        ...plain.roof,
        pitch: PITCH,
        rafter,
        ridge: ridgeFor(rafter),
        seat: shallowSeat(yard, rafter, PITCH),
        spacing: each(yard, 24, 600),
        overhang: { eave: each(yard, 6, 150), gable: 0 },
        ties: {
          ...plain.roof.ties,
          rafter: { ...usualTies[yard].rafter, section: wood(yard, '2x4', '47x100'), every: 2 },
        },
      },
    }
  },
}

/** As many panes as a wall has room for, evenly along it. */
function panes(
  yard: Parameters<typeof opening>[0],
  wall: 'south' | 'north',
  long: number,
  height: number,
): WallOpening[] {
  const wide = each(yard, 22, 560)
  const bay = wide + each(yard, 10, 250)
  const count = Math.max(1, Math.min(6, Math.floor((long - each(yard, 16, 400)) / bay)))
  return Array.from({ length: count }, (_, i) =>
    opening(
      yard,
      wall,
      'panel',
      { long, share: (i + 0.5 + (count - 1) * 0) / count, height },
      { width: wide, height: each(yard, 42, 1050), foot: each(yard, 24, 600) },
    ),
  ).map((pane, i) => ({ ...pane, at: long / 2 + (i - (count - 1) / 2) * bay }))
}
