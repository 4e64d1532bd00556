import { withRoof } from '../building'
import { tieKinds } from '../roof'
import { mouthRules } from '../seat'
import { sideNames } from '../sides'
import { bearingOnPlates } from './begun'
import { evened, SAME } from './even'
import type { RoofKind } from './kind'

/**
 * Four slopes that meet along hips. They stand on four walls of one height; over a length that is the span to
 * a mark of the tape the hips meet at one point.
 */
export const hip: RoofKind = {
  has: () => ({
    falls: sideNames,
    house: null,
    peak: [],
    carriers: ['rafters'],
    parts: ['ridge', 'hips', 'sloped-tails'],
    ties: tieKinds,
    seats: mouthRules,
    endWalls: { rake: false, step: false },
  }),
  workOut(plain, { hip: asked, ends }) {
    const { length, width } = plain.footprint
    const square = length !== width && Math.abs(length - width) < SAME
    const building = square ? { ...plain, footprint: { ...plain.footprint, length: width } } : plain
    return withRoof(evened(building, sideNames), { hip: asked, ends: { ...ends, hold: 'none' } })
  },
  choices: [{}],
  begun(design) {
    const { walls, footprint, ...rest } = bearingOnPlates(design)
    const { sides } = walls
    const { length, width } = footprint
    const level = <T extends { readonly height: number | null }>(side: T) => ({
      ...side,
      height: null,
      step: null,
    })
    return {
      ...rest,
      footprint: length < width ? { ...footprint, length: width } : footprint,
      walls: { ...walls, sides: { ...sides, east: level(sides.east), west: level(sides.west) } },
    }
  },
}
