import {
  isUpright,
  type OwnSiding,
  panelProfiles,
  type Siding,
  type SideName,
  type SidingPath,
  usualPaint,
  usualSiding,
  valueAt,
  withEdit,
} from '../../core/design'
import { withSiding } from '../logic/changes/walls'
import {
  type At,
  board,
  boardOrNone,
  choice,
  length,
  lengths,
  looseOf,
  numbers,
  onOff,
  type Option,
  type Row,
} from './row'

const kinds = [
  { value: 'lapped', label: 'Lapped boards' },
  { value: 'level', label: 'Level boards' },
  { value: 'upright', label: 'Upright boards' },
  { value: 'battened', label: 'Boards and battens' },
  { value: 'panels', label: 'Panels' },
  { value: 'glazed', label: 'Panes between studs' },
] as const
type Kind = (typeof kinds)[number]['value']
const none = { value: 'none', label: 'None' }

/** Which of what can be chosen siding is. */
const kindOf = (siding: Siding): Kind =>
  siding.kind !== 'boards'
    ? siding.kind
    : siding.way === 'level'
      ? 'level'
      : siding.batten
        ? 'battened'
        : 'upright'

/** Siding of all walls, and the trim that ends it. */
export function siding(at: At): Row[] {
  const { siding: asked, sides } = at.design.walls
  const own = Object.values(sides).some(({ siding: a, gable: b }) =>
    [a, b].some(each => each && each.kind !== 'none'),
  )
  return [
    choice(at, 'walls.siding', [none, ...kinds], {
      value: asked ? kindOf(asked) : 'none',
      change: to => withSiding(to === 'none' ? null : (to as Kind)),
    }),
    ...(asked ? fields(at, 'walls.siding', asked) : []),
    ...(asked || own
      ? [
          boardOrNone(at, 'walls.trim.corner'),
          boardOrNone(at, 'walls.trim.casing'),
          boardOrNone(at, 'walls.trim.frieze'),
          boardOrNone(at, 'walls.trim.skirt'),
          ...length(at, 'walls.trim.below'),
        ]
      : []),
  ]
}

/** Paint or stain, and how much of it is bought. */
export function paint(at: At): Row[] {
  const { paint: asked } = at.design.walls
  return [
    choice(
      at,
      'walls.paint',
      [
        { value: 'none', label: 'None' },
        { value: 'paint', label: 'Paint' },
        { value: 'stain', label: 'Stain' },
      ],
      {
        value: asked?.kind ?? 'none',
        change: to => design =>
          withEdit(
            design,
            'walls.paint',
            to === 'none' ? null : { ...(design.walls.paint ?? usualPaint), kind: to },
          ),
      },
    ),
    ...(asked
      ? [
          choice(at, 'walls.paint.coats', numbers(1, 3)),
          choice(at, 'walls.paint.surface', [
            { value: 'smooth', label: 'Smooth' },
            { value: 'rough', label: 'Rough' },
          ]),
        ]
      : []),
    ...looseOf(at, code => code.startsWith('wall-') || code === 'vent-mesh' || code === 'paint'),
  ]
}

/** What a wall and its gable have of their own. */
export const ownSiding = (at: At, side: SideName): Row[] => [
  ...own(at, `walls.sides.${side}.siding`, 'As all walls'),
  ...(side === 'east' || side === 'west' || at.design.walls.sides[side].gable
    ? own(at, `walls.sides.${side}.gable`, 'As the wall')
    : []),
]

function own(at: At, path: Exclude<SidingPath, 'walls.siding'>, same: string): Row[] {
  const asked = valueAt(at.design, path) as OwnSiding | null
  const usual = usualSiding[at.design.lumber.yard]
  const options: Option[] = [{ value: 'same', label: same }, none, ...kinds]
  return [
    choice(at, path, options, {
      value: !asked ? 'same' : asked.kind === 'none' ? 'none' : kindOf(asked),
      change: to => design =>
        withEdit(design, path, to === 'same' ? null : to === 'none' ? { kind: 'none' } : usual[to as Kind]),
    }),
    ...(asked && asked.kind !== 'none' ? fields(at, path, asked) : []),
  ]
}

/** What siding of each kind has to be typed and chosen. */
function fields(at: At, path: SidingPath, asked: Siding): Row[] {
  if (asked.kind === 'panels')
    return [
      choice(
        at,
        `${path}.profile`,
        panelProfiles.map(value => ({ value, label: `${value.charAt(0).toUpperCase()}${value.slice(1)}` })),
      ),
      choice(at, `${path}.clear`, onOff('Metal, opaque', 'Clear'), {
        value: asked.clear ? 'yes' : 'no',
        change: to => design => withEdit(design, `${path}.clear`, to === 'yes'),
      }),
      ...lengths(at, `${path}.cover`, `${path}.lap`, `${path}.longest`, `${path}.endLap`, `${path}.height`),
      choice(at, `${path}.across`, numbers(1, 12)),
    ]
  if (asked.kind === 'glazed')
    return [
      choice(at, `${path}.made`, [
        { value: 'twin-wall', label: 'Twin-walled sheet' },
        { value: 'plastic', label: 'Solid plastic' },
        { value: 'glass', label: 'Glass' },
      ]),
      ...lengths(at, `${path}.thickness`, `${path}.width`, `${path}.longest`),
      choice(at, `${path}.held`, [
        { value: 'stops', label: 'Stops' },
        { value: 'grooves', label: 'Grooves' },
      ]),
      ...(asked.held === 'grooves' ? length(at, `${path}.deep`) : []),
      board(at, `${path}.stop`, 'Stops'),
    ]
  return [
    board(at, `${path}.section`, 'Siding boards'),
    ...(asked.kind === 'lapped'
      ? length(at, `${path}.exposure`)
      : [
          choice(at, `${path}.edge`, [
            { value: 'square', label: 'Square' },
            { value: 'tongue', label: 'Tongue and groove' },
          ]),
          ...length(at, `${path}.space`),
          ...(isUpright(asked) ? [boardOrNone(at, `${path}.batten`)] : []),
        ]),
  ]
}
