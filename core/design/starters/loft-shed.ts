import { usualBase } from '../base'
import { usualFloors } from '../floor'
import { usualTies } from '../roof'
import { withRoofOf } from '../roofs'
import { usualSheathing } from '../sheathing'
import { bare, each, opening, spanning, type Starter, wood } from './starter'

/**
 * A gambrel of trusses, four equal chords notched over the walls, with joists for a loft and a door in the
 * end.
 */
export const loftShed: Starter = {
  name: 'loft-shed',
  usual: {
    imperial: { length: 4876.8, width: 3657.6, height: 2209.8 },
    metric: { length: 4800, width: 3600, height: 2200 },
  },
  least: { length: 2400, width: 2700, height: 1900 },
  most: { length: 7300, width: 4600, height: 2700 },
  design(name, yard, size) {
    const { width, height } = size
    const plain = withRoofOf(bare(name, yard, size), { shape: 'gambrel' })
    const joist = spanning(yard, width)
    return {
      ...plain,
      base: { ...usualBase('skids', yard), count: 3 },
      floor: { ...usualFloors[yard], joist: spanning(yard, width / 2) },
      walls: {
        ...plain.walls,
        bracing: 'none',
        gables: 'raked',
        sheathing: { ...usualSheathing[yard], drop: each(yard, 5, 125) },
        openings: [opening(yard, 'east', 'door', { long: width, share: 0.5, height })],
      },
      roof: {
        ...plain.roof,
        rafter: wood(yard, '2x6', '47x150'),
        spacing: each(yard, 24, 600),
        overhang: { eave: each(yard, 8, 200), gable: each(yard, 8, 200) },
        ends: {
          ...plain.roof.ends,
          hold: 'ladder',
          lookout: wood(yard, '2x4', '47x100'),
          barge: wood(yard, '1x6', '22x150'),
        },
        ties: { ...plain.roof.ties, ceiling: { ...usualTies[yard].ceiling, section: joist } },
      },
    }
  },
}
