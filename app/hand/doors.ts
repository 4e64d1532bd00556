import { type OwnDoor, standsOnDeck, usualDoor, usualDoorFrame, withEdit } from '../../core/design'
import { openingOf } from '../../core/frame'
import { type At, board, boardOrNone, choice, lengths, looseOf, onOff, type Row } from './row'

const kinds = [
  { value: 'bought', label: 'Bought' },
  { value: 'ledged', label: 'Boards on ledges' },
  { value: 'braced', label: 'Ledges and braces' },
  { value: 'framed', label: 'Framed, with panels' },
]

/** How a door in hand is made: what of it is typed and chosen. */
export function door(at: At): Row[] {
  const i = at.subject.index ?? 0
  const of = at.design.walls.openings[i]
  if (!of || !standsOnDeck(of.kind)) return []
  const path = `walls.openings.${i}.door` as `walls.openings.${number}.door`
  const ends =
    of.wall === 'east' || of.wall === 'west' ? ['South end', 'North end'] : ['West end', 'East end']
  const made = at.plan.frame.covering.some(({ where }) => openingOf(where)?.number === i + 1)
  return [
    choice(at, path, kinds, {
      value: of.door?.kind ?? 'bought',
      change: to => design => withEdit(design, path, ofKind(design.lumber.yard, of.door, String(to))),
    }),
    ...(of.door ? fields(at, path, of.door, ends) : []),
    ...(made ? looseOf(at, code => code.startsWith('door-')) : []),
  ]
}

/** A door of another kind keeps what both have; stiles are thicker than ledges. */
function ofKind(yard: 'imperial' | 'metric', door: OwnDoor | null, kind: string): OwnDoor | null {
  if (kind === 'bought') return null
  const usual = usualDoor[yard]
  const now = door ?? usual
  const was = now.kind === 'framed'
  const frame =
    kind === 'framed' && !was ? usualDoorFrame[yard] : kind !== 'framed' && was ? usual.frame : now.frame
  return { ...now, kind: kind as OwnDoor['kind'], frame }
}

function fields(at: At, path: `walls.openings.${number}.door`, door: OwnDoor, ends: string[]): Row[] {
  const boarded = door.kind !== 'framed'
  return [
    choice(at, `${path}.leaves`, [
      { value: 1, label: 'One' },
      { value: 2, label: 'Two' },
    ]),
    ...(door.leaves === 1
      ? [
          choice(at, `${path}.hinge`, [
            { value: 'low', label: ends[0] ?? '' },
            { value: 'high', label: ends[1] ?? '' },
          ]),
        ]
      : []),
    boardOrNone(at, `${path}.lining`),
    ...lengths(at, `${path}.gap.side`, `${path}.gap.top`, `${path}.gap.foot`),
    ...(boarded
      ? [
          board(at, `${path}.boards`),
          choice(at, `${path}.edge`, [
            { value: 'square', label: 'Square' },
            { value: 'tongue', label: 'Tongue and groove' },
          ]),
          ...lengths(at, `${path}.space`),
          board(at, `${path}.frame`, door.kind === 'braced' ? 'Ledges, braces' : 'Ledges'),
        ]
      : [
          board(at, `${path}.frame`, 'Stiles and rails'),
          ...lengths(at, `${path}.panel.thickness`, `${path}.panel.deep`),
          choice(at, `${path}.panel.let`, onOff('A rebate', 'A groove'), {
            value: door.panel.let === 'groove' ? 'yes' : 'no',
            change: to => design => withEdit(design, `${path}.panel.let`, to === 'yes' ? 'groove' : 'rebate'),
          }),
        ]),
  ]
}
