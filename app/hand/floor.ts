import { stretchOf } from '../../core/plan'
import { sayLength } from '../../core/words'
import {
  chooseDeck,
  choosePorch,
  dropFloorOpening,
  splitFloor,
  takeFloor,
  toggleDouble,
} from '../logic/changes/below'
import { act, type At, block, board, choice, length, lengths, onOff, type Row, say, upTo } from './row'

const sides = [
  { value: 'none', label: 'None' },
  { value: 'south', label: 'South' },
  { value: 'east', label: 'East' },
  { value: 'north', label: 'North' },
  { value: 'west', label: 'West' },
]

/** The whole floor: how it is built; or that there is none. */
export function floor(at: At): Row[] {
  const { floor } = at.design
  if (!floor)
    return [say('No floor is framed: the walls stand on a slab, on a border of timbers or on an old floor.')]
  return [
    ...lengths(at, 'footprint.length', 'footprint.width'),
    choice(at, 'floor.joint', onOff('One frame', 'Two frames'), {
      name: 'Floor built as',
      value: floor.joint === null ? 'no' : 'yes',
      change: to => splitFloor(to === 'yes'),
    }),
    ...(floor.joint === null ? [] : length(at, 'floor.joint')),
    porchSide(at),
    ...bayFigures(at),
    act('Take the floor away', 'pi pi-times', takeFloor, { then: 'floor' }),
  ]
}

const porchSide = (at: At): Row =>
  choice(at, 'floor.porch', sides, {
    name: 'Porch',
    value: at.design.floor?.porch?.side ?? 'none',
    change: to => choosePorch(to as Parameters<typeof choosePorch>[0]),
  })

/** The diagonal of each frame, by which it is made square. */
function bayFigures(at: At): Row[] {
  const bays = at.plan.frame.floor?.bays ?? []
  const named = { floor: 'Floor', west: 'West frame', east: 'East frame', porch: 'Porch' }
  return [
    {
      kind: 'figures',
      rows: bays.map(({ id, frame, in: within, rect: { x0, x1, y0, y1 } }) => ({
        key: `diagonal-${id}`,
        name: `Diagonal: ${named[frame ?? within].toLowerCase()}`,
        value: sayLength(Math.hypot(x1 - x0, y1 - y0), at.units),
        why: 'From corner to corner of the rims: both alike, and opposite sides alike, and it is square.',
      })),
    },
  ]
}

export function joists(at: At): Row[] {
  return [
    board(at, 'floor.joist'),
    ...length(at, 'floor.spacing'),
    choice(at, 'floor.runs', [
      { value: 'width', label: 'Across' },
      { value: 'length', label: 'Along' },
    ]),
    choice(at, 'floor.ends', [
      { value: 1, label: 'Single' },
      { value: 2, label: 'Doubled' },
    ]),
    choice(
      at,
      'floor.blocking',
      upTo(3).map(({ value }) => ({
        value,
        label: ['None', 'One row', 'Two rows', 'Three rows'][Number(value)] ?? '',
      })),
    ),
    choice(at, 'floor.hold', [
      { value: 'nails', label: 'Nailed' },
      { value: 'hangers', label: 'Hangers' },
    ]),
    ...doubled(at),
  ]
}

/** Joists doubled where they stand, each to be made single; a joist's own card doubles it. */
function doubled(at: At): Row[] {
  const list = at.design.floor?.doubled ?? []
  return [
    say(
      list.length
        ? `Doubled at ${list.map(each => sayLength(each, at.units)).join(', ')}.`
        : 'Tap a joist to double it.',
    ),
    ...list.map(each =>
      act(`Single again at ${sayLength(each, at.units)}`, 'pi pi-times', toggleDouble(each)),
    ),
  ]
}

/** Where the floor's joist of an id stands along the rims; null for what is none. */
export function joistAt({ plan, design }: Pick<At, 'plan' | 'design'>, id: string | null): number | null {
  const member = plan.frame.members.find(each => each.id === id)
  if (member?.role !== 'joist' || member.where.in !== 'floor' || !design.floor) return null
  const { from, to } = stretchOf(member, design.floor.runs === 'width' ? 'x' : 'y')
  return (from + to) / 2
}

export function deck(at: At): Row[] {
  const deck = at.design.floor?.deck
  if (!deck) return []
  return [
    choice(
      at,
      'floor.deck.kind',
      [
        { value: 'sheets', label: 'Sheets' },
        { value: 'boards', label: 'Boards' },
      ],
      { name: 'Deck', change: to => chooseDeck(to === 'sheets' ? 'sheets' : 'boards') },
    ),
    ...(deck.kind === 'sheets'
      ? lengths(at, 'floor.deck.thickness', 'floor.deck.sheet.length', 'floor.deck.sheet.width')
      : [board(at, 'floor.deck.section', 'Boards'), ...length(at, 'floor.deck.gap')]),
    block('deck-cuts'),
  ]
}

export const porch = (at: At): Row[] => [
  porchSide(at),
  ...length(at, 'floor.porch.depth'),
  board(at, 'floor.porch.board'),
  ...length(at, 'floor.porch.gap'),
  act('Take the porch away', 'pi pi-times', choosePorch('none'), { then: 'floor' }),
]

export function floorOpening(at: At): Row[] {
  const i = at.subject.index ?? 0
  const path = `floor.openings.${i}` as `floor.openings.${number}`
  return [
    ...lengths(at, `${path}.x`, `${path}.y`, `${path}.length`, `${path}.width`),
    act('Take the opening away', 'pi pi-times', dropFloorOpening(i), { then: 'floor' }),
  ]
}
