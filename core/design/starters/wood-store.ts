import { usualBase } from '../base'
import { usualBoards, usualFloors } from '../floor'
import { singleSlope } from '../roofs/single-slope'
import type { Side } from '../sides'
import { bare, each, type Starter, wood } from './starter'

const PITCH = { rise: 2, run: 12 }

/**
 * A long store on skids, its floor in two frames: posts on all sides, beams half-lapped in their shoulders,
 * slats with air between them on three, of timber as the mill saws it.
 */
export const woodStore: Starter = {
  name: 'wood-store',
  usual: {
    imperial: { length: 6705.6, width: 3352.8, height: 2133.6 },
    metric: { length: 6600, width: 3300, height: 2100 },
  },
  least: { length: 3000, width: 1500, height: 1700 },
  most: { length: 9000, width: 3600, height: 2700 },
  design(name, yard, size) {
    const { length, height } = size
    const plain = bare(name, yard, size)
    const begun = singleSlope.begun(
      { ...plain, roof: { ...plain.roof, shape: 'single-slope', high: 'south' } },
      { shape: 'single-slope', high: 'south' },
      plain,
    )
    const posts = (side: Side, cover: Side['cover']): Side => ({ ...side, build: 'posts', cover })
    const { south, east, north, west } = begun.walls.sides
    return {
      ...begun,
      // no timber is sold as long as the store: the skids lie across it, one under the joint
      base: { ...usualBase('skids', yard), ...{ runs: 'width' as const, count: 5 } },
      floor: {
        ...usualFloors[yard],
        joist: wood(yard, '2x6', '47x150'),
        runs: 'length',
        joint: length / 2,
        deck: { ...usualBoards[yard], gap: each(yard, 0.5, 12) },
      },
      lumber: {
        ...begun.lumber,
        sections: [
          { name: 'rough post', thickness: each(yard, 4, 100), depth: each(yard, 4, 100) },
          { name: 'rough beam', thickness: each(yard, 2, 50), depth: each(yard, 6, 150) },
          { name: 'rough rafter', thickness: each(yard, 2, 50), depth: each(yard, 8, 200) },
        ],
      },
      walls: {
        ...begun.walls,
        height,
        sheathing: null,
        gables: 'open',
        sides: {
          south: posts(south, 'open'),
          east: posts(east, 'slats'),
          north: posts(north, 'slats'),
          west: posts(west, 'slats'),
        },
        slats: { section: wood(yard, '1x4', '22x100'), gap: each(yard, 1, 25) },
        posts: {
          ...begun.walls.posts,
          ...{ post: 'rough post', beam: 'rough beam', plies: 1, set: 'shoulder', joint: 'half-lap' },
          ...{ plates: true, spacing: each(yard, 88, 2200), brace: each(yard, 20, 500) },
        },
      },
      roof: {
        ...begun.roof,
        pitch: PITCH,
        rafter: 'rough rafter',
        spacing: each(yard, 24, 600),
        overhang: { eave: each(yard, 8, 200), gable: each(yard, 6, 150), high: each(yard, 12, 300) },
        fascia: { sub: null, face: null },
      },
    }
  },
}
