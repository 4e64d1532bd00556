import { usualBoards, usualSheets, withEdit } from '../../core/design'
import { loftOf } from '../../core/plan'
import { sayArea, sayLength } from '../../core/words'
import { act, type At, board, choice, length, lengths, type Row, say } from './row'

/** A loft's deck, and how much of it one can stand in. */
export function loft(at: At): Row[] {
  const asked = at.design.roof.loft
  if (!asked) return []
  const { yard } = at.design.lumber
  const reading = loftOf(at.plan)
  return [
    choice(
      at,
      'roof.loft.deck.kind',
      [
        { value: 'sheets', label: 'Sheets' },
        { value: 'boards', label: 'Boards' },
      ],
      {
        change: to => design =>
          withEdit(design, 'roof.loft.deck', to === 'sheets' ? usualSheets[yard] : usualBoards[yard]),
      },
    ),
    ...(asked.deck.kind === 'sheets'
      ? lengths(at, 'roof.loft.deck.thickness', 'roof.loft.deck.sheet.length', 'roof.loft.deck.sheet.width')
      : [board(at, 'roof.loft.deck.section'), ...length(at, 'roof.loft.deck.gap')]),
    ...length(at, 'roof.loft.height'),
    ...(reading
      ? [
          {
            kind: 'figures' as const,
            rows: [
              {
                key: 'loft-area',
                name: 'Deck',
                value: sayArea(reading.area, at.units),
                why: 'Between the gable walls, as far as chords, webs or knee walls let it, stairs left out.',
              },
              {
                key: 'loft-high',
                name: 'Clear in the middle',
                value: sayLength(reading.highest, at.units),
                why: 'From the deck to the lower edges of the chords or rafters, or of a collar under them.',
              },
              {
                key: 'loft-wide',
                name: `Wide at ${sayLength(reading.from, at.units)}`,
                value: sayLength(reading.wide, at.units),
                why: 'Across the loft between the chords or rafters, at the clear height it is counted from.',
              },
              {
                key: 'loft-counted',
                name: 'As high or higher',
                value: sayArea(reading.counted, at.units),
                why: "That width times the loft's length, stairs left out.",
              },
            ],
          },
        ]
      : []),
    say('What the joists under it carry is not reckoned here: a table or the building department decides.'),
    act('Take the loft away', 'pi pi-times', design => withEdit(design, 'roof.loft', null)),
  ]
}
