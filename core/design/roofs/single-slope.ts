import { pitchAngle, radians } from '../../measure'
import { findSection } from '../../lumber'
import { type Building, onChords, withHeight, withRoof } from '../building'
import { ownSections } from '../lumber'
import type { TrussKind } from '../gambrel'
import type { Roof } from '../roof'
import { mouthRules } from '../seat'
import { evened } from './even'
import { heelSeat, trussWorkedOut } from './trusses'
import { lowSide } from './high'
import type { RoofKind } from './kind'
import { bearingOnPlates, raked } from './begun'

/**
 * One slope from a high eave wall to a low one: the high wall's height from the pitch, or, where that has its
 * own height, the pitch from the two; and how far the rafters reach over that wall, where it isn't asked.
 * Trusses stand on two walls of one height, and have the pitch.
 */
export const singleSlope: RoofKind = {
  has: ({ high, carried }) => ({
    falls: [lowSide({ high })],
    peak: [],
    carriers: ['rafters', 'trusses'],
    house: null,
    ...(carried === 'trusses'
      ? {
          parts: ['trusses', 'ends', 'sloped-tails'],
          ties: [],
          seats: [],
          // bottom chords lie on the end walls' plates
          endWalls: { rake: false, step: false },
        }
      : {
          parts: ['ends', 'sloped-tails'],
          ties: ['ceiling'],
          seats: mouthRules,
          endWalls: { rake: true, step: true },
        }),
  }),
  workOut: (plain, asked) => {
    const { overhang, high } = plain.roof
    const reaching = withRoof(plain, {
      overhang: { ...overhang, high: asked.overhang.high ?? overhang.eave },
    })
    return asked.carried === 'trusses' ? ofTrusses(reaching, asked, lowSide({ high })) : sloped(reaching)
  },
  choices: [{ high: 'north' }, { high: 'south' }],
  begun: design => raked(bearingOnPlates(design)),
}

/**
 * Level between the two heels of a rafter over a low and a high wall, mm: from the low wall's outside to the
 * high wall's inside, where their bird's mouths are cut plumb; null where the studs' section is not known.
 */
function heelRun({ footprint, walls, lumber, bearings, heels, roof }: Building): number | null {
  const stud = findSection(walls.stud, ownSections(lumber))
  return stud ? footprint.width - bearings[roof.high] - heels[lowSide(roof)] : null
}

/** The trusses of one slope, the usual first. */
export const monoTrusses: readonly TrussKind[] = ['mono', 'bottom-chord', 'bought']

/** One slope of trusses over two walls of one height: of the roof's pitch, and high on their end posts. */
function ofTrusses(plain: Building, { truss }: Roof, low: 'south' | 'north'): Building {
  const { high } = plain.roof
  const even = withRoof(onChords(evened(plain, [low, high])), {
    carried: 'trusses',
    purlins: null,
    seat: heelSeat(truss),
  })
  return trussWorkedOut(even, truss, monoTrusses)
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
