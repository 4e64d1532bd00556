import { withRoof } from '../building'
import { mouthRules } from '../seat'
import { bearingOnPlates } from './begun'
import type { RoofKind } from './kind'

/**
 * Two slopes that don't meet, with an upright strip between: the strip is in the middle, and the upper
 * rafters reach over it as far as at the eaves, where nothing else is asked. The slopes are carried, and not
 * tied.
 */
export const raisedRidge: RoofKind = {
  has: () => ({
    falls: ['south', 'north'],
    house: null,
    peak: [],
    carriers: ['rafters'],
    parts: ['strip', 'ends', 'sloped-tails'],
    ties: [],
    seats: mouthRules,
    endWalls: { rake: false, step: false },
  }),
  workOut: (plain, { raised, overhang, northPitch }) =>
    withRoof(plain, {
      northPitch,
      raised: { ...raised, at: raised.at ?? plain.footprint.width / 2 },
      overhang: { ...plain.roof.overhang, high: overhang.high ?? overhang.eave },
    }),
  choices: [{ high: 'north' }, { high: 'south' }],
  begun(design) {
    const { walls, roof, units } = bearingOnPlates(design)
    const { sides } = walls
    return {
      ...design,
      walls: {
        ...walls,
        sides: {
          ...sides,
          [roof.high]: { ...sides[roof.high], height: walls.height + STRIP[units], step: null },
          east: { ...sides.east, step: null },
          west: { ...sides.west, step: null },
        },
        gables: walls.gables === 'raked' ? 'studs' : walls.gables,
      },
      roof: { ...roof, raised: { ...roof.raised, at: null, post: units === 'metric' ? '89x89' : '4x4' } },
    }
  },
}

/**
 * How much higher than the other a raised ridge's upper wall begins, mm: its header, and a strip of a foot or
 * so (common practice, no source).
 */
const STRIP = { imperial: 609.6, metric: 600 } as const
