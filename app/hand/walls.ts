import { eaveOver } from '../../core/lines'
import {
  hasSheets,
  isOpenEnd,
  isSided,
  jacksOf,
  openingKinds,
  type OpeningKind,
  roofHas,
  roughSize,
  sideNames,
  standsOnDeck,
  usualGrooves,
  type WallOpening,
  withValue,
} from '../../core/design'
import type { WallName } from '../../core/frame'
import type { Change } from '../storage/designs'
import { openingWords, sayLength } from '../../core/words'
import {
  dropOpening,
  dropPartition,
  joinOpening,
  ownHeight,
  setOpeningKind,
  sheathe,
  turnPartition,
  wallStep,
} from '../logic/changes/walls'
import { door } from './doors'
import { betweenOf, entry } from './posts'
import { ownSiding, paint, siding } from './siding'
import {
  act,
  type At,
  block,
  board,
  choice,
  head,
  length,
  lengths,
  numbers,
  onOff,
  type Row,
  say,
} from './row'

/** How all walls are built. */
export function walls(at: At): Row[] {
  const uneven =
    new Set(
      at.plan.frame.walls.map(wall =>
        wall.raked ? 'raked' : wall.step ? 'steps' : Math.round(wall.height * 1000),
      ),
    ).size > 1
  return [
    ...length(at, 'walls.height'),
    board(at, 'walls.stud', 'Studs'),
    ...length(at, 'walls.spacing'),
    choice(at, 'walls.topPlates', [
      { value: 1, label: 'One' },
      { value: 2, label: 'Two' },
    ]),
    ...length(at, 'walls.longest'),
    choice(
      at,
      'walls.through',
      [
        { value: 'eaves', label: 'Eaves' },
        { value: 'gables', label: 'Gables' },
      ],
      { name: 'Run through' },
    ),
    ...(uneven ? [say('Walls of unlike heights, or raked: the eave walls run through.')] : []),
    choice(at, 'walls.corner', [
      { value: 'three-stud', label: 'Third stud' },
      { value: 'nailer', label: 'Nailer laid flat' },
    ]),
    choice(
      at,
      'walls.stack',
      [
        { value: 'own', label: 'On their own layout' },
        { value: 'joists', label: 'Over the joists' },
        { value: 'rafters', label: 'Under the rafters' },
      ],
      { name: 'Studs stand' },
    ),
    choice(
      at,
      'walls.bracing',
      [
        { value: 'none', label: 'None' },
        { value: 'temporary', label: 'For a while, inside' },
        { value: 'let-in', label: 'Let in, outside' },
      ],
      { name: 'Diagonals' },
    ),
    choice(at, 'walls.gables', [
      { value: 'studs', label: 'Studs' },
      { value: 'notched', label: 'Notched studs' },
      { value: 'raked', label: 'Raked walls' },
      { value: 'open', label: 'Open' },
    ]),
  ]
}

/** What a wall that is a side of the building has of its own. */
export function wall(at: At): Row[] {
  const { side } = at.subject
  const own = side && at.design.walls.sides[side]
  if (!side || !own) return []
  const path = `walls.sides.${side}` as const
  const gable = side === 'east' || side === 'west'
  const ends = gable ? ['South', 'North'] : ['West', 'East']
  return [
    choice(
      at,
      `${path}.build`,
      [
        { value: 'studs', label: 'Studs' },
        { value: 'posts', label: 'Posts, beam' },
        ...(roofHas(at.design.roof).falls.length === 0 ||
        (gable && !roofHas(at.design.roof).falls.includes(side))
          ? [{ value: 'open', label: 'Nothing: open' }]
          : []),
      ],
      { name: 'Built of' },
    ),
    choice(at, `${path}.height`, onOff('As all', 'Its own'), {
      name: 'Height',
      value: own.height === null ? 'no' : 'yes',
      change: to => ownHeight(at.plan, side, to === 'yes'),
    }),
    ...(own.height === null ? [] : length(at, `${path}.height`)),
    ...(gable && own.build === 'studs'
      ? [
          choice(at, `${path}.step`, onOff('Runs level', 'Steps'), {
            name: 'Its top',
            value: own.step ? 'yes' : 'no',
            change: to => wallStep(at.plan, side, to === 'yes'),
          }),
          ...(own.step ? lengths(at, `${path}.step.at`, `${path}.step.height`) : []),
        ]
      : []),
    ...(own.build === 'studs'
      ? [
          choice(
            at,
            `${path}.layout`,
            [
              { value: 'low', label: `${ends[0] ?? ''} end` },
              { value: 'high', label: `${ends[1] ?? ''} end` },
              { value: 'centred', label: 'The middle' },
            ],
            { name: 'Layout from' },
          ),
        ]
      : []),
    cover(at),
    ...entry(at, side),
    ...betweenOf(at, side),
    ...(own.cover === 'sheets' ? ownSiding(at, side) : []),
    block('raise'),
  ]
}

/** What is on a wall of the building's. */
function cover(at: At): Row {
  const side = at.subject.side ?? 'south'
  const { build, cover } = at.design.walls.sides[side]
  // over a side of posts what carries trusses there may have sheets
  const over = eaveOver(at.plan.frame.roof, side)?.onPosts === true
  return choice(
    at,
    `walls.sides.${side}.cover`,
    [
      ...(build === 'studs' || at.design.walls.sides[side].girts
        ? [{ value: 'sheets', label: at.design.walls.sheathing ? 'Sheets' : 'As all' }]
        : over
          ? [{ value: 'sheets', label: 'Sheets on the end posts' }]
          : []),
      { value: 'slats', label: 'Slats' },
      ...(build === 'posts' || cover === 'rails' ? [{ value: 'rails', label: 'A railing' }] : []),
      { value: 'open', label: 'Open' },
    ],
    {
      name: 'On it',
      value:
        build === 'posts' &&
        cover === 'sheets' &&
        !over &&
        !hasSheets(at.design.walls, side) &&
        !isSided(at.design.walls, side)
          ? 'open'
          : cover,
    },
  )
}

export function partition(at: At): Row[] {
  const i = at.subject.index ?? 0
  const of = at.design.walls.partitions[i]
  if (!of) return []
  return [
    choice(
      at,
      `walls.partitions.${i}.runs`,
      [
        { value: 'width', label: 'Across' },
        { value: 'length', label: 'Along' },
      ],
      {
        name: 'Runs',
        change: to => turnPartition(i, to === 'length' ? 'length' : 'width'),
      },
    ),
    ...length(at, `walls.partitions.${i}.at`),
    block('raise'),
    act('Take the partition away', 'pi pi-times', dropPartition(i), { then: 'walls' }),
  ]
}

/** Which of the units on hand an opening has; -1 for none of them. */
const unitOf = (at: At, { unit }: WallOpening): number =>
  at.design.walls.units.findIndex(
    each => Math.abs(each.width - unit.width) < 0.01 && Math.abs(each.height - unit.height) < 0.01,
  )

export function opening(at: At): Row[] {
  const i = at.subject.index ?? 0
  const of = at.design.walls.openings[i]
  if (!of) return []
  const path = `walls.openings.${i}` as `walls.openings.${number}`
  const stands = standsOnDeck(of.kind)
  const { units } = at.design.walls
  const say2 = (size: { readonly width: number; readonly height: number }): string =>
    `${sayLength(size.width, at.units)} × ${sayLength(size.height, at.units)}`
  const framed = (at.plan.frame.openings[of.wall] ?? []).some(({ number }) => number === i)
  return [
    choice(
      at,
      `${path}.kind`,
      openingKinds.map(value => ({ value, label: openingWords[value] })),
      { name: 'Kind', change: to => setOpeningKind(i, to as OpeningKind) },
    ),
    ...(units.length && !stands
      ? [
          choice(
            at,
            `${path}.unit`,
            [
              { value: -1, label: 'As typed' },
              ...units.map((unit, value) => ({ value, label: `${unit.name} (${say2(unit)})` })),
            ],
            {
              name: 'Unit',
              value: unitOf(at, of),
              change: to => design => {
                const unit = design.walls.units[Number(to)]
                return unit
                  ? withValue(design, `${path}.unit`, { width: unit.width, height: unit.height })
                  : design
              },
            },
          ),
        ]
      : []),
    ...length(at, `${path}.at`),
    ...(stands ? [] : length(at, `${path}.foot`)),
    ...lengths(at, `${path}.unit.width`, `${path}.unit.height`),
    ...lengths(at, `${path}.clearance.width`, `${path}.clearance.height`),
    board(at, `${path}.header.section`, 'Header'),
    choice(
      at,
      `${path}.header.plies`,
      numbers(1, 3).map(each => ({ ...each, label: each.value === 1 ? '1 ply' : `${each.value} plies` })),
      { name: 'Header of' },
    ),
    choice(
      at,
      `${path}.header.jacks`,
      [
        { value: 'width', label: `By width: ${jacksOf({ ...of, header: { ...of.header, jacks: null } })}` },
        ...numbers(1, 3),
      ],
      {
        name: 'Jacks each side',
        value: of.header.jacks ?? 'width',
        change: to => design => withValue(design, `${path}.header.jacks`, typeof to === 'number' ? to : null),
      },
    ),
    {
      kind: 'figures',
      rows: [
        {
          key: 'rough',
          name: 'Rough opening',
          value: say2(roughSize(of)),
          why: 'What is framed: the unit, and on top what it is wider and taller by.',
        },
      ],
    },
    choice(at, `${path}.join`, onOff('Of its own', 'With the one beside it'), {
      name: 'The header is',
      value: of.join ? 'yes' : 'no',
      change: to => (to === 'yes' ? withJoin(at, i) : joinOpening(i, null, 0)),
    }),
    ...(framed ? [] : [say('not framed', true)]),
    ...oneHeader(at, i),
    ...door(at),
    act(`Take the ${openingWords[of.kind].toLowerCase()} away`, 'pi pi-times', dropOpening(i), {
      then: at.subject.within,
    }),
  ]
}

/** The opening that one runs into; null where none does. */
function runsInto(at: At, i: number): number | null {
  const problem = at.plan.frame.problems.find(each => each.code === 'openings-meet' && each.number === i + 1)
  return problem?.code === 'openings-meet' ? problem.other - 1 : null
}

/** Under one header with the opening that it runs into, put there; or with one that may come beside it. */
function withJoin(at: At, i: number): Change {
  const other = runsInto(at, i)
  return other === null
    ? design => withValue(design, `walls.openings.${i}.join`, true)
    : joinOpening(i, other, at.plan.frame.lumber.plate.thickness)
}

/** What an opening that runs into another can be put under. */
function oneHeader(at: At, i: number): Row[] {
  const other = runsInto(at, i)
  return other === null || at.design.walls.openings[i]?.join
    ? []
    : [act(`Put under one header with opening ${other + 1}`, 'pi pi-link', withJoin(at, i))]
}

/** Sheets, siding and slats of all walls. */
export function sheets(at: At): Row[] {
  const { walls } = at.design
  const slatted = sideNames.some(side => walls.sides[side].cover === 'slats')
  return [
    choice(at, 'walls.sheathing', onOff('Bare', 'Sheets'), {
      name: 'Walls',
      value: walls.sheathing ? 'yes' : 'no',
      change: to => sheathe(to === 'yes'),
    }),
    ...(walls.sheathing
      ? [
          ...lengths(
            at,
            'walls.sheathing.thickness',
            'walls.sheathing.sheet.length',
            'walls.sheathing.sheet.width',
          ),
          choice(at, 'walls.sheathing.way', [
            { value: 'upright', label: 'Upright' },
            { value: 'level', label: 'Level' },
          ]),
          choice(
            at,
            'walls.sheathing.top',
            [
              { value: 'under-tails', label: 'Under the tails' },
              { value: 'round-tails', label: 'Round the tails' },
            ],
            { name: 'End' },
          ),
          ...length(at, 'walls.sheathing.drop'),
          choice(at, 'walls.sheathing.grooves', onOff('Plain', 'Grooved, as siding'), {
            name: 'Face',
            value: walls.sheathing.grooves === null ? 'no' : 'yes',
            change: to => design =>
              withValue(
                design,
                'walls.sheathing.grooves',
                to === 'yes' ? usualGrooves[design.lumber.yard] : null,
              ),
          }),
          ...length(at, 'walls.sheathing.grooves'),
        ]
      : []),
    head('Siding'),
    ...siding(at),
    head('Paint'),
    ...paint(at),
    ...(slatted
      ? [
          head('Slats'),
          board(at, 'walls.slats.section', 'Slats'),
          ...length(at, 'walls.slats.gap'),
          say('Slats are laid from the deck up, each end on a stud or post.'),
        ]
      : []),
    ...(walls.sheathing ? [block('wall-cuts')] : []),
  ]
}

/** The wall that a subject is, or is in; null of others. */
export function wallOf(at: Pick<At, 'design' | 'subject'>): WallName | null {
  const { kind, side, index } = at.subject
  if (kind === 'wall') return side
  if (kind === 'partition') return `partition-${(index ?? 0) + 1}`
  return kind === 'opening' ? (at.design.walls.openings[index ?? 0]?.wall ?? null) : null
}

/** The walls that stand: sides but for a house's, and partitions. */
export const standing = ({ design }: Pick<At, 'design'>): WallName[] => [
  ...sideNames.filter(
    side => side !== roofHas(design.roof).house && !isOpenEnd(design.walls.sides, roofHas(design.roof), side),
  ),
  ...design.walls.partitions.map((_, i): WallName => `partition-${i + 1}`),
]
