import { pitchAngle, radians } from '../../measure'
import { type Building, withHeight, withRoof } from '../building'
import { seatRules } from '../seat'
import { raked } from './begun'
import { lowSide } from './high'
import type { RoofKind } from './kind'
import { ledgerRise } from './peak'

/**
 * One slope from a ledger on a house to a low wall: the ledger's top from the pitch, or the pitch from it.
 */
export const leanTo: RoofKind = {
  has: ({ high }) => ({
    falls: [lowSide({ high })],
    peak: [],
    carriers: ['rafters'],
    house: high,
    parts: ['ledger', 'ends', 'sloped-tails'],
    ties: ['ceiling'],
    seats: seatRules,
    endWalls: { rake: true, step: true },
  }),
  workOut: ledgerWorkedOut,
  choices: [{ high: 'north' }, { high: 'south' }],
  begun: raked,
}

function ledgerWorkedOut(building: Building): Building {
  const { roof, walls } = building
  const rise = ledgerRise(building)
  if (!rise) return building
  const own = walls.sides[roof.high].height
  if (own === null) return withHeight(building, roof.high, rise.top(pitchAngle(roof.pitch)))
  const angle = rise.angle(own)
  return angle === null
    ? building
    : withRoof(building, { pitch: { rise: 12 * Math.tan(radians(angle)), run: 12 } })
}
