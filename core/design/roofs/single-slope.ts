import { pitchAngle, radians } from '../../measure'
import { findSection } from '../../lumber'
import { type Building, withHeight, withRoof } from '../building'
import { ownSections } from '../lumber'
import { mouthRules } from '../seat'
import { lowSide } from './high'
import type { RoofKind } from './kind'
import { bearingOnPlates, raked } from './begun'

/**
 * One slope from a high eave wall to a low one: the high wall's height from the pitch, or, where that has its
 * own height, the pitch from the two; and how far the rafters reach over that wall, where it isn't asked.
 */
export const singleSlope: RoofKind = {
  has: ({ high }) => ({
    falls: [lowSide({ high })],
    peak: [],
    carriers: ['rafters'],
    house: null,
    parts: ['ends', 'sloped-tails'],
    ties: ['ceiling'],
    seats: mouthRules,
    endWalls: { rake: true, step: true },
  }),
  workOut: (plain, { overhang }) =>
    sloped(withRoof(plain, { overhang: { ...plain.roof.overhang, high: overhang.high ?? overhang.eave } })),
  choices: [{ high: 'north' }, { high: 'south' }],
  begun: design => raked(bearingOnPlates(design)),
}

/**
 * Level between the two heels of a rafter over a low and a high wall, mm: from the low wall's outside to the
 * high wall's inside, where their bird's mouths are cut plumb; null where the studs' section is not known.
 */
function heelRun({ footprint, walls, lumber }: Building): number | null {
  const stud = findSection(walls.stud, ownSections(lumber))
  return stud ? footprint.width - stud.depth : null
}

function sloped(building: Building): Building {
  const run = heelRun(building)
  if (run === null || run <= 0) return building
  const { roof, walls, heights } = building
  const low = heights[lowSide(roof)]
  const own = walls.sides[roof.high].height
  if (own === null)
    return withHeight(building, roof.high, low + run * Math.tan(radians(pitchAngle(roof.pitch))))
  return own > low ? withRoof(building, { pitch: { rise: own - low, run } }) : building
}
