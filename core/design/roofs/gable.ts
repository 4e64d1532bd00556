import { withRoof } from '../building'
import { tieKinds } from '../roof'
import { seatRules } from '../seat'
import { gableOfTrusses } from './gable-truss'
import type { RoofKind } from './kind'
import { peakWorkedOut } from './peak'

/** Two slopes that meet at a ridge over the length: of one pitch or two, or by where they meet. */
export const gable: RoofKind = {
  has: ({ carried, truss }) => ({
    falls: ['south', 'north'],
    house: null,
    carriers: ['rafters', 'trusses'],
    ...(carried === 'trusses'
      ? {
          peak: ['height'],
          parts: [
            'trusses',
            ...(truss.kind === 'scissors' ? (['vault'] as const) : []),
            'ends',
            'sloped-tails',
          ],
          ties: [],
          seats: [],
          // bottom chords lie on the end walls' plates
          endWalls: { rake: false, step: false },
        }
      : {
          peak: ['at', 'height'],
          parts: ['ridge', 'beam', 'ends', 'sloped-tails'],
          ties: tieKinds,
          seats: seatRules,
          endWalls: { rake: true, step: true },
        }),
  }),
  workOut: (plain, asked) => {
    if (asked.carried === 'trusses') return gableOfTrusses(plain, asked)
    const { beam, northPitch, peak } = asked
    return peakWorkedOut(withRoof(plain, { beam, northPitch, peak }))
  },
  choices: [{ unequal: false }, { unequal: true }],
  begun: (design, { unequal = false }, { roof: { peak, pitch } }) => ({
    ...design,
    roof: {
      ...design.roof,
      carried: unequal ? 'rafters' : design.roof.carried,
      // slopes that may differ begin with the steeper one on the north
      northPitch: unequal ? { rise: pitch.rise * 1.5, run: pitch.run } : null,
      peak: { at: null, height: unequal ? null : peak.height },
    },
  }),
}
