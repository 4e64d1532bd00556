import { type HangWay, hangWays, type SideName, withoutPart } from '../../core/design'
import { hangWords, sideWords } from '../../core/words'
import type { Change } from '../storage/designs'
import { act, type At, choice, length, type Row, say } from './row'

/** Where a part hangs on the main one; nothing of the main part itself. */
export function hung(at: At): Row[] {
  const { hang } = at.design
  if (!hang) return []
  if (hang.by === 'roof')
    return [
      say(
        'The main roof runs on over it: its slope, boards and overhangs are the same, and are changed for both.',
      ),
      side(at, ['east', 'west'], turned),
      takeAway('Take the porch away'),
    ]
  const ways = hangWays.filter(each => each !== 'roof')
  return [
    side(at, ['south', 'east', 'north', 'west']),
    choice(
      at,
      'hang.by',
      ways.map(value => ({ value, label: hangWords[value] })),
      { change: to => part => ({ ...part, hang: part.hang && { ...part.hang, by: to as HangWay } }) },
    ),
    ...length(at, 'hang.along'),
    ...length(at, 'hang.gap'),
    takeAway('Take the part away'),
  ]
}

const side = (at: At, sides: readonly SideName[], change?: (to: SideName) => Change): Row =>
  choice(
    at,
    'hang.side',
    sides.map(value => ({ value, label: sideWords[value] })),
    change ? { change: to => change(to as SideName) } : {},
  )

const takeAway = (name: string): Row =>
  act(name, 'pi pi-times', part => part, { whole: index => whole => withoutPart(whole, index) })

/** A porch on the other end has its open end turned round too. */
const turned =
  (to: SideName): Change =>
  part => {
    const { east, west } = part.walls.sides
    return part.hang && part.hang.side !== to
      ? {
          ...part,
          hang: { ...part.hang, side: to },
          walls: { ...part.walls, sides: { ...part.walls.sides, east: west, west: east } },
        }
      : part
  }
