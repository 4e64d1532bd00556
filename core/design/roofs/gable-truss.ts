import type { Building } from '../building'
import { onChords, withRoof } from '../building'
import type { TrussKind } from '../gambrel'
import type { Roof } from '../roof'
import { evened } from './even'
import { peakWorkedOut } from './peak'
import { heelSeat, trussWorkedOut } from './trusses'

/** The trusses of a gable's roof line, the usual first. */
export const gableTrusses: readonly TrussKind[] = [
  'w-web',
  'king-post',
  'queen-post',
  'attic',
  'scissors',
  'bottom-chord',
  'bought',
]

/**
 * A gable of trusses: two slopes of one pitch over two walls of one height, that meet without a ridge board;
 * where no heel is asked for the top chords' lower edges pass the plates' outer edges.
 */
export function gableOfTrusses(plain: Building, asked: Roof): Building {
  const { truss } = asked
  const even = withRoof(onChords(evened(plain, ['south', 'north'])), {
    carried: 'trusses',
    peak: { at: null, height: asked.peak.height },
    purlins: null,
    seat: heelSeat(truss),
  })
  return trussWorkedOut(peakWorkedOut(even), truss, gableTrusses)
}
