import { findSection, standardSections } from '../../lumber'
import { ONE_READING } from '../../measure'
import { withRoof } from '../building'
import type { Design } from '../design'
import { ownSections } from '../lumber'
import { evened } from './even'
import { lowSide } from './high'
import type { RoofKind } from './kind'

/**
 * Level joists from wall to wall, with a firring on each that gives the fall. They end plumb: what leans with
 * a slope, or is cut into it, it has not.
 */
export const flat: RoofKind = {
  has: ({ high }) => ({
    falls: [lowSide({ high })],
    house: null,
    peak: [],
    carriers: ['rafters'],
    parts: ['firrings'],
    ties: [],
    seats: [],
    endWalls: { rake: false, step: true },
  }),
  workOut(plain, { firring, overhang, tails, ends, blocking }) {
    return withRoof(evened(plain, ['south', 'north']), {
      firring,
      tail: 'plumb',
      tails: { ...tails, wild: 0, finish: null },
      soffit: null,
      // rungs between level joists: nothing is let into those
      ends: { ...ends, hold: ends.hold === 'none' || overhang.gable === 0 ? 'none' : 'ladder' },
      purlins: null,
      overhang: { ...plain.roof.overhang, high: overhang.high ?? overhang.eave },
      blocking: { ...blocking, plate: blocking.plate === 'none' ? 'none' : 'plumb' },
    })
  },
  choices: [{ high: 'north' }, { high: 'south' }],
  begun: design => ({
    ...design,
    roof: { ...design.roof, pitch: FALL, firring: { ...design.roof.firring, section: firringFor(design) } },
  }),
  left: design => ({ ...design, roof: { ...design.roof, pitch: { rise: 6, run: 12 } } }),
}

/**
 * What a flat roof falls to begin with: a quarter of an inch in a foot, 1 in 48 (common practice, no source).
 */
const FALL = { rise: 0.25, run: 12 } as const

/**
 * The shallowest board as thick as the joists that firrings of that fall come out of; what the design has,
 * where there is none.
 */
function firringFor({ roof, footprint, lumber }: Design): string {
  const joist = findSection(roof.rafter, ownSections(lumber))
  const deep =
    roof.firring.least +
    ((footprint.width + roof.overhang.eave + (roof.overhang.high ?? roof.overhang.eave)) * FALL.rise) /
      FALL.run
  const fits = standardSections
    .filter(each => joist && Math.abs(each.thickness - joist.thickness) < ONE_READING && each.depth >= deep)
    .sort((a, b) => a.depth - b.depth)
  return fits[0]?.name ?? roof.firring.section
}
