import { withRoof } from '../building'
import { sideNames } from '../sides'
import type { RoofKind } from './kind'

/** No roof: a floor on its base alone, or walls that stand without one. Any of its sides may be open. */
export const none: RoofKind = {
  has: () => ({
    falls: [],
    house: null,
    peak: [],
    carriers: ['rafters'],
    parts: [],
    ties: [],
    seats: [],
    endWalls: { rake: false, step: false },
  }),
  workOut: plain =>
    withRoof(
      { ...plain, walls: { ...plain.walls, gables: 'open' } },
      {
        pitch: { rise: 0, run: 12 },
        seat: { rule: 'none' },
        tail: 'plumb',
        tails: { ...plain.roof.tails, wild: 0, finish: null },
        soffit: null,
        fascia: { sub: null, face: null },
        ends: { ...plain.roof.ends, hold: 'none', barge: null },
        purlins: null,
        openings: [],
        loft: null,
        overhang: { eave: 0, gable: 0, high: null, ends: { west: 0, east: 0 } },
        blocking: { ...plain.roof.blocking, plate: 'none', rows: 0, air: 0 },
      },
    ),
  choices: [{}],
  // a floor alone: what stood on it is left out, and one by one built again
  begun: design => ({
    ...design,
    walls: {
      ...design.walls,
      openings: [],
      partitions: [],
      sides: Object.fromEntries(
        sideNames.map(side => [side, { ...design.walls.sides[side], build: 'open', step: null }]),
      ) as typeof design.walls.sides,
    },
  }),
  left: design => ({
    ...design,
    walls: {
      ...design.walls,
      sides: Object.fromEntries(
        sideNames.map(side => [
          side,
          design.walls.sides[side].build === 'open'
            ? { ...design.walls.sides[side], build: 'studs' }
            : design.walls.sides[side],
        ]),
      ) as typeof design.walls.sides,
    },
  }),
}
