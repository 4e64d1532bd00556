import { roofHas, type RoofPart, type SideName, usualBattens } from '../../core/design'
import type { Role } from '../../core/trade'
import { eavesOf } from '../../core/lines'
import { chordFace, faceOf } from '../../core/frame'
import { cardOf } from '../../core/plan'
import { figureRows } from '../logic/card-rows'
import {
  chosenSeat,
  chooseSeat,
  panelsLead,
  ridgeCarries,
  type SeatChoice,
  withPurlins,
} from '../logic/changes/roof'
import {
  type At,
  block,
  board,
  boardOrNone,
  choice,
  head,
  length,
  lengths,
  looseOf,
  numbers,
  type Row,
  say,
  sectionsOf,
  upTo,
} from './row'
import { carrier, kick, knees } from './trusses'

const hasPart = ({ design }: At, part: RoofPart): boolean => roofHas(design.roof).parts.includes(part)

const seatOptions: readonly { readonly value: SeatChoice; readonly label: string }[] = [
  { value: 'full-bearing', label: 'Full bearing' },
  { value: 'third', label: 'Third of the depth, square' },
  { value: 'third-plumb', label: 'Third of the depth, plumb' },
  { value: 'height-above-plate', label: 'Chosen height above plate' },
  { value: 'none', label: 'None: level cut' },
  { value: 'wedge', label: 'None: wedges' },
]

/** A rafter over two walls has a bird's mouth on both. */
function seat(at: At): Row[] {
  const { seats } = roofHas(at.design.roof)
  if (!seats.length) return []
  return [
    choice(
      at,
      'roof.seat.rule',
      seatOptions.filter(
        ({ value }) =>
          value === chosenSeat(at.design.roof.seat) ||
          seats.includes('none') ||
          (value !== 'none' && value !== 'wedge'),
      ),
      {
        value: chosenSeat(at.design.roof.seat),
        change: to => chooseSeat(at.plan, to as SeatChoice),
      },
    ),
    ...(at.design.roof.seat.rule === 'height-above-plate' ? length(at, 'roof.seat.height') : []),
  ]
}

/** What holds the roof down where it bears. */
const held = (at: At): Row[] => [
  choice(at, 'roof.held', [
    { value: 'nails', label: 'Nails alone' },
    { value: 'ties', label: 'Metal ties' },
    { value: 'screws', label: 'Structural screws' },
  ]),
  ...looseOf(at, code => code.startsWith('seat-')),
]

const spacingFrom = (at: At): Row =>
  choice(
    at,
    'roof.panel',
    [
      { value: 'rafters', label: 'As asked' },
      { value: 'panels', label: 'Roof panels' },
    ],
    {
      name: 'Spacing from',
      value: at.design.roof.panel ? 'panels' : 'rafters',
      change: to => panelsLead(to === 'panels'),
    },
  )

/** The whole roof: its shape, its slope, and what its rafters are. */
export function roof(at: At): Row[] {
  const { roof } = at.design
  const has = roofHas(roof)
  if (!has.falls.length)
    return [block('shape'), say('No roof is framed: a floor alone, or walls that stand without one.')]
  return [
    // a part hangs by its roof: another would hang by nothing
    ...(at.design.hang ? [] : [block('shape')]),
    ...carrier(at),
    ...(hasPart(at, 'knees') ? knees(at) : hasPart(at, 'battens') ? [] : lengths(at, 'roof.pitch')),
    ...(hasPart(at, 'knees') ? [] : has.peak).flatMap(part => length(at, `roof.peak.${part}`)),
    ...(hasPart(at, 'strip') ? lengths(at, 'roof.raised.at') : []),
    board(at, 'roof.rafter', hasPart(at, 'trusses') ? 'Chords' : undefined),
    ...(hasPart(at, 'battens') ? length(at, 'roof.pergola.notch') : [spacingFrom(at)]),
    ...length(at, 'roof.spacing'),
    ...(roof.panel && !hasPart(at, 'battens')
      ? [
          ...length(at, 'roof.panel.cover'),
          choice(at, 'roof.panel.per', numbers(1, 3)),
          say(
            'What one panel covers less its lap; its seams then fall on rafters. Square the first panel: all others follow it.',
          ),
        ]
      : []),
    ...seat(at),
    ...held(at),
    ...overhangs(at, hasPart(at, 'knees')),
  ]
}

/** How far the roof reaches; `atGables` over those alone, where the eaves are asked elsewhere. */
const overhangs = (at: At, atGables: boolean): Row[] => [
  ...(atGables ? [] : length(at, 'roof.overhang.eave')),
  ...(at.plan.building.roof.overhang.high === null ? [] : length(at, 'roof.overhang.high')),
  ...(hasPart(at, 'ends') ? length(at, 'roof.overhang.gable') : []),
]

/** One slope: its pitch, its reach and the figures of its rafters. */
export function slope(at: At): Row[] {
  const side: SideName = at.subject.side ?? 'south'
  const { roof } = at.plan.frame
  const has = roofHas(at.design.roof)
  const own = has.peak.includes('at') && side === 'north' ? 'roof.northPitch' : 'roof.pitch'
  const faces = roof.faces.filter(({ falls }) => falls === side)
  const eave = eavesOf(roof).find(each => each.side === side)
  const { members } = at.plan.frame
  const pieces = faces.flatMap(({ id: face }) =>
    at.plan.pieces
      .filter(
        ({ role, members: ids }) =>
          ['rafter', 'roof-joist', 'level-rafter', 'jack-rafter', 'lower-chord', 'upper-chord'].includes(
            role,
          ) &&
          members.some(
            ({ id, where }) => id === ids[0] && (faceOf(where) === face || chordFace(where) === face),
          ),
      )
      .slice(0, 1),
  )
  const line = at.plan.building.roof.gambrel
  return [
    ...(line
      ? line.by === 'half-octagon'
        ? []
        : lengths(at, ...(line.by === 'pitches' ? (['roof.gambrel.lower'] as const) : []), 'roof.pitch')
      : length(at, own)),
    ...(eave ? length(at, eave.reach.field) : []),
    board(at, 'roof.rafter'),
    ...length(at, 'roof.spacing'),
    ...seat(at),
    ...pieces.flatMap((piece): Row[] => [
      head(`Figures of ${piece.mark}`),
      { kind: 'figures', rows: figureRows(cardOf(at.plan, piece), at.units) },
    ]),
  ]
}

/** What carries the rafters' upper ends. */
export function ridge(at: At): Row[] {
  const plies = numbers(1, 3)
  if (hasPart(at, 'ledger'))
    return [
      board(at, 'roof.ridge', 'Ledger'),
      ...(at.design.hang ? [] : length(at, 'roof.taper')),
      ...looseOf(at, code => code.startsWith('ledger-')),
    ]
  if (hasPart(at, 'strip'))
    return [
      ...length(at, 'roof.raised.at'),
      board(at, 'roof.ridge', 'Ledger and header'),
      choice(at, 'roof.raised.plies', plies, { name: 'Header, plies' }),
      board(at, 'roof.raised.post'),
      ...length(at, 'roof.raised.spacing'),
      choice(
        at,
        'roof.raised.vents',
        upTo(at.plan.frame.members.filter(({ role }) => role === 'ridge-post').length + 1),
        { name: 'Vents in the strip', value: at.design.roof.raised.vents ?? 0 },
      ),
      say("Posts stand on a partition whose face is the strip's, or on the deck."),
    ]
  if (hasPart(at, 'hips'))
    return [
      board(at, 'roof.ridge'),
      boardOrNone(at, 'roof.hip.section', { none: 'As the ridge' }),
      choice(at, 'roof.hip.edge', [
        { value: 'dropped', label: 'Dropped' },
        { value: 'backed', label: 'Backed' },
      ]),
    ]
  return [board(at, 'roof.ridge'), ...(hasPart(at, 'beam') ? beam(at) : [])]
}

/** Whether the ridge carries, and what it stands on. */
function beam(at: At): Row[] {
  const { roof } = at.design
  const plies = numbers(1, 3)
  return [
    choice(
      at,
      'roof.beam',
      [
        { value: 'board', label: 'A board' },
        { value: 'beam', label: 'A beam on posts' },
      ],
      {
        name: 'The ridge is',
        value: roof.beam ? 'beam' : 'board',
        change: to => ridgeCarries(to === 'beam'),
      },
    ),
    ...(roof.beam
      ? [
          choice(at, 'roof.beam.plies', plies),
          board(at, 'roof.beam.post'),
          ...length(at, 'roof.beam.spacing'),
        ]
      : []),
  ]
}

export const firrings = (at: At): Row[] => [
  say('On each level joist, ripped to the fall.'),
  board(at, 'roof.firring.section'),
  ...length(at, 'roof.firring.least'),
]

/** Across a pergola's rafters, and how far past the end ones they reach. */
export function battens(at: At): Row[] {
  const { battens: laid } = at.design.roof.pergola
  return [
    say('Flat across the rafters, the outer ones at the ends of the tails.'),
    boardOrNone(at, 'roof.pergola.battens', {
      name: 'Battens',
      value: laid?.section ?? '',
      wrap: section => ({ ...(laid ?? usualBattens[at.design.lumber.yard]), section }),
    }),
    ...(laid
      ? [
          ...length(at, 'roof.pergola.battens.apart'),
          ...length(at, 'roof.overhang.gable'),
          say(battensSaid(at)),
        ]
      : []),
  ]
}

function battensSaid({ plan }: At): string {
  const count = (role: Role): number => plan.frame.members.filter(each => each.role === role).length
  return `${count('level-rafter')} rafters and ${count('batten')} battens, counted with both outer ones.`
}

/** How a pergola's tails end. */
const shapedTails = (at: At): Row[] => [
  ...length(at, 'roof.overhang.eave'),
  choice(at, 'roof.pergola.tail.shape', [
    { value: 'square', label: 'Plumb' },
    { value: 'angled', label: 'Corner sawn off' },
    { value: 'cove', label: 'Cove' },
  ]),
  ...(at.design.roof.pergola.tail.shape === 'square' ? [] : length(at, 'roof.pergola.tail.size')),
]

/** The rafters' lower ends, and the boards on them. */
export function tails(at: At): Row[] {
  if (hasPart(at, 'battens')) return shapedTails(at)
  const { roof } = at.design
  const sloped = hasPart(at, 'sloped-tails')
  const { gambrel } = at.plan.building.roof
  const onPlate = gambrel?.foot.rule === 'on-plate'
  if (onPlate && !roof.gambrel.foot.kick) return kick(at)
  return [
    ...(onPlate ? kick(at) : length(at, 'roof.overhang.eave')),
    ...(sloped
      ? [
          choice(
            at,
            'roof.tail',
            [
              { value: 'plumb', label: 'Plumb' },
              { value: 'square', label: 'Square' },
              { value: 'level', label: 'Plumb and level' },
            ],
            { name: 'Tails end' },
          ),
          ...(roof.tail === 'level' ? length(at, 'roof.tails.face') : []),
          ...(onPlate ? [] : length(at, 'roof.tails.wild')),
        ]
      : [say('Level tails: soffit boards nail straight to them.')]),
    boardOrNone(at, 'roof.fascia.sub'),
    boardOrNone(at, 'roof.fascia.face'),
    ...(sloped
      ? [
          boardOrNone(at, 'roof.soffit', {
            name: 'Boxed soffit, of',
            value: roof.soffit?.section ?? '',
            wrap: section => ({ section }),
          }),
          ...(onPlate ? [] : [boardOrNone(at, 'roof.tails.finish', { name: 'Boards let into the tails' })]),
        ]
      : []),
  ]
}

export const ends = (at: At): Row[] => [
  ...length(at, 'roof.overhang.gable'),
  choice(
    at,
    'roof.ends.hold',
    [
      { value: 'none', label: 'Nothing' },
      { value: 'ladder', label: 'A ladder' },
      { value: 'lookouts', label: 'Lookouts' },
    ],
    { name: 'Carried by' },
  ),
  ...(at.design.roof.ends.hold === 'none' ? [] : length(at, 'roof.ends.spacing')),
  ...(at.design.roof.ends.hold === 'lookouts' ? [board(at, 'roof.ends.lookout')] : []),
  boardOrNone(at, 'roof.ends.barge'),
]

export const purlins = (at: At): Row[] => [
  say(
    `Under the ${hasPart(at, 'hips') ? 'common rafters' : 'rafters'} halfway up, on braces down to a partition along the building.`,
  ),
  choice(at, 'roof.purlins.section', sectionsOf(at.design, 'None'), {
    value: at.design.roof.purlins?.section ?? '',
    change: to => withPurlins(to === '' ? null : String(to)),
  }),
  ...(at.design.roof.purlins
    ? [board(at, 'roof.purlins.brace', 'Braces'), ...length(at, 'roof.purlins.spacing')]
    : []),
]
export function blocks(at: At): Row[] {
  const { blocking } = at.design.roof
  const { falls } = roofHas(at.design.roof)
  return [
    choice(
      at,
      'roof.blocking.plate',
      [
        { value: 'none', label: 'None' },
        { value: 'plumb', label: 'Plumb' },
        ...(hasPart(at, 'sloped-tails') ? [{ value: 'square', label: 'Square to the slope' }] : []),
      ],
      { name: 'Over the plates' },
    ),
    ...(blocking.plate === 'none'
      ? []
      : [
          choice(at, 'roof.blocking.vents', upTo(3), { name: 'Holes for air in each' }),
          ...(blocking.vents > 0 ? length(at, 'roof.blocking.hole') : []),
        ]),
    choice(at, 'roof.blocking.rows', upTo(2), {
      name: falls.length === 1 ? 'Rows between the walls' : 'Rows between plate and ridge',
    }),
    ...(blocking.plate === 'none' && !blocking.rows
      ? []
      : [
          ...length(at, 'roof.blocking.air'),
          say("Shallower blocks let air pass between them and the roof's deck."),
        ]),
  ]
}
