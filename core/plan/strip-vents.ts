import { type Building } from '../design'
import { boxOf, coverHigh, type Frame, sectionsOf } from '../frame'
import { abutmentOf, stripOf } from '../lines'
import { radians } from '../measure'
import type { Stretch } from '../trade'

/**
 * A vent between two posts of a raised ridge's strip: clear between them, and from the roof to the header;
 * mm.
 */
export interface StripVent {
  readonly along: Stretch
  readonly wide: number
  readonly tall: number
}

/**
 * The vents in a raised ridge's strip, spread over the bays between its posts as evenly as those let them.
 */
export function stripVents(
  building: Building,
  { members, roof }: Pick<Frame, 'members' | 'roof'>,
): StripVent[] {
  const count = building.roof.raised?.vents ?? 0
  const [strip, ledger] = [stripOf(roof), abutmentOf(roof)]
  if (!count || !strip?.upper.header || !ledger) return []
  const { footprint, depths, cover } = building
  const posts = members
    .filter(({ role }) => role === 'ridge-post')
    .map(post => boxOf(post).x)
    .sort((a, b) => a.from - b.from)
  const edges = [depths.west, ...posts.flatMap(({ from, to }) => [from, to]), footprint.length - depths.east]
  const bays = Array.from({ length: edges.length / 2 }, (_, i): Stretch => ({
    from: edges[2 * i] ?? 0,
    to: edges[2 * i + 1] ?? 0,
  })).filter(({ from, to }) => to > from)
  // what covers the lower slope stands in the strip's foot
  const high = coverHigh(cover, sectionsOf(building)) / Math.cos(radians(ledger.face.angle))
  const tall = strip.upper.header.bottom - ledger.box.top - high
  const taken = Math.min(count, bays.length)
  return Array.from({ length: taken }, (_, i) => bays[Math.floor(((i + 0.5) * bays.length) / taken)])
    .filter(bay => bay !== undefined)
    .map(along => ({ along, wide: along.to - along.from, tall }))
    .filter(each => each.tall > 0)
}
