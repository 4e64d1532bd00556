import { withRoof } from '../building'
import { tieKinds } from '../roof'
import { seatRules } from '../seat'
import type { RoofKind } from './kind'
import { peakWorkedOut } from './peak'

/** Two slopes that meet at a ridge over the length: of one pitch or two, or by where they meet. */
export const gable: RoofKind = {
  has: () => ({
    falls: ['south', 'north'],
    peak: ['at', 'height'],
    carriers: ['rafters'],
    house: null,
    parts: ['ridge', 'beam', 'ends', 'sloped-tails'],
    ties: tieKinds,
    seats: seatRules,
    endWalls: { rake: true, step: true },
  }),
  workOut: (plain, { beam, northPitch, peak }) => peakWorkedOut(withRoof(plain, { beam, northPitch, peak })),
  choices: [{ unequal: false }, { unequal: true }],
  begun: (design, { unequal = false }, { roof: { peak, pitch } }) => ({
    ...design,
    roof: {
      ...design.roof,
      // slopes that may differ begin with the steeper one on the north
      northPitch: unequal ? { rise: pitch.rise * 1.5, run: pitch.run } : null,
      peak: { at: null, height: unequal ? null : peak.height },
    },
  }),
}
