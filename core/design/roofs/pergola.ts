import { withRoof } from '../building'
import { usualBattens } from '../pergola'
import { evened } from './even'
import type { RoofKind } from './kind'

/**
 * Level rafters notched over the beams of two sides, and battens across them: no fall, and nothing that a
 * slope has.
 */
export const pergola: RoofKind = {
  has: () => ({
    falls: ['south'],
    house: null,
    peak: [],
    carriers: ['rafters'],
    parts: ['battens'],
    ties: [],
    seats: [],
    endWalls: { rake: false, step: false },
  }),
  workOut(plain, { pergola: asked, overhang, tails, ends, blocking }) {
    // nothing stands between an end's plates and level rafters
    const open = { ...plain, walls: { ...plain.walls, gables: 'open' as const } }
    const level = evened(open, ['south', 'north'])
    const end = (side: 'east' | 'west'): number =>
      plain.walls.sides[side].height ?? Math.min(level.heights.south, level.heights.north) - asked.notch
    const under = { ...level, heights: { ...level.heights, east: end('east'), west: end('west') } }
    return withRoof(under, {
      high: 'north',
      pergola: asked,
      pitch: { rise: 0, run: 12 },
      seat: { rule: 'none' },
      tail: 'plumb',
      tails: { ...tails, wild: 0, finish: null },
      soffit: null,
      fascia: { sub: null, face: null },
      ends: { ...ends, hold: 'none', barge: null },
      purlins: null,
      openings: [],
      overhang: {
        ...plain.roof.overhang,
        high: overhang.high ?? overhang.eave,
        ends: { west: 0, east: 0 },
      },
      blocking: { ...blocking, plate: 'none', rows: 0, air: 0 },
    })
  },
  choices: [{}],
  begun: design => ({
    ...design,
    roof: {
      ...design.roof,
      high: 'north',
      overhang: { ...design.roof.overhang, high: null },
      pergola: { ...design.roof.pergola, battens: usualBattens[design.lumber.yard] },
    },
  }),
}
