import { usualBase } from '../base'
import { usualBoards, usualFloors } from '../floor'
import { singleSlope } from '../roofs/single-slope'
import { bare, each, shallowSeat, spanning, type Starter, wood } from './starter'

const PITCH = { rise: 3, run: 12 }

/** Open to the south on posts, slats on the other three sides, a floor of boards with gaps. */
export const firewoodShelter: Starter = {
  name: 'firewood-shelter',
  usual: {
    imperial: { length: 2438.4, width: 1219.2, height: 1676.4 },
    metric: { length: 2400, width: 1200, height: 1700 },
  },
  least: { length: 1200, width: 700, height: 1200 },
  most: { length: 6000, width: 2400, height: 2400 },
  design(name, yard, size) {
    const { width, height } = size
    const plain = bare(name, yard, size)
    const begun = singleSlope.begun(
      { ...plain, roof: { ...plain.roof, shape: 'single-slope', high: 'south' } },
      { shape: 'single-slope', high: 'south' },
      plain,
    )
    const rafter = spanning(yard, width)
    const { south, east, north, west } = begun.walls.sides
    return {
      ...begun,
      base: { ...usualBase('blocks', yard) },
      floor: {
        ...usualFloors[yard],
        joist: wood(yard, '2x6', '47x150'),
        blocking: 0,
        deck: { ...usualBoards[yard], gap: each(yard, 0.5, 12) },
      },
      walls: {
        ...begun.walls,
        height,
        sheathing: null,
        sides: {
          south: { ...south, build: 'posts', cover: 'open' },
          east: { ...east, cover: 'slats' },
          north: { ...north, cover: 'slats' },
          west: { ...west, cover: 'slats' },
        },
        slats: { section: wood(yard, '1x4', '22x100'), gap: each(yard, 1.5, 40) },
      },
      roof: {
        ...begun.roof,
        pitch: PITCH,
        rafter,
        seat: shallowSeat(yard, rafter, PITCH),
        spacing: each(yard, 24, 600),
        overhang: { eave: each(yard, 8, 200), gable: each(yard, 6, 150), high: each(yard, 12, 300) },
        fascia: { sub: null, face: wood(yard, '1x6', '22x150') },
      },
    }
  },
}
