import {
  type Base,
  type BaseKind,
  baseKinds,
  buriedKinds,
  type Find,
  type FindKind,
  findKinds,
  type GroundPath,
  withValue,
} from '../../core/design'
import { CUBIC_METRES } from '../../core/measure'
import { clearances, findsOf } from '../../core/plan'
import { earthwork } from '../../core/survey'
import { baseWords, findWords, sayLength, sayLoose, sayVolume, sideWords } from '../../core/words'
import { baseLengths } from '../logic/base-fields'
import {
  addLevels,
  changeFind,
  chooseBase,
  dropLevel,
  dropOfSite,
  lowWall,
  nameBoundary,
  setRock,
  skirt,
} from '../logic/changes/below'
import {
  act,
  type At,
  block,
  board,
  choice,
  head,
  length,
  lengths,
  looseOf,
  numbers,
  onOff,
  type Row,
  say,
} from './row'

const sides = (['south', 'east', 'north', 'west'] as const).map(value => ({
  value,
  label: sideWords[value],
}))

/** What is known of the ground, before any of it is taken up. */
export const ground = (at: At): Row[] => [
  ...(at.design.site
    ? []
    : [
        say(
          'Nothing is known of the ground yet. Measure the building off a house, a fence or a line, then square its stakes and take levels.',
        ),
      ]),
  baseKind(at),
]

const baseKind = (at: At): Row =>
  choice(
    at,
    'base.kind',
    [
      { value: 'none', label: 'None' },
      ...baseKinds.map(value => ({ value: value as string, label: baseWords[value] })),
    ],
    {
      name: 'Base',
      value: at.design.base?.kind ?? 'none',
      change: to => chooseBase(to as BaseKind | 'none'),
    },
  )

/** Where the building stands, off the line that is measured from. */
export const site = (at: At): Row[] => [
  say('A and B are the ends of the line, left and right as you look toward the building.'),
  choice(
    at,
    'site.reference.kind',
    [
      { value: 'house', label: 'House wall' },
      { value: 'fence', label: 'Fence' },
      { value: 'line', label: 'Line' },
    ],
    { name: 'Measured off' },
  ),
  ...length(at, 'site.reference.length'),
  choice(at, 'site.place.faces', sides),
  ...lengths(at, 'site.place.along', 'site.place.near', 'site.place.far'),
]

export function boundary(at: At): Row[] {
  const i = at.subject.index ?? 0
  const of = at.design.site?.boundaries[i]
  if (!of) return []
  const path = `site.boundaries.${i}` as `site.boundaries.${number}`
  const off = clearances(at.plan.design, at.plan.frame).find(({ number }) => number === i)
  return [
    {
      kind: 'name',
      name: 'Name of the plot line',
      value: of.name,
      change: name => nameBoundary(i, name),
    },
    ...lengths(at, `${path}.from.along`, `${path}.from.out`, `${path}.to.along`, `${path}.to.out`),
    ...length(at, `${path}.setback`),
    ...(off
      ? [
          {
            kind: 'figures' as const,
            rows: [
              {
                key: 'stands-off',
                name: 'The building stands off',
                value: sayLength(Math.max(0, off.distance), at.units),
                why: 'Square to the line, from the nearest of the floor and the walls; eaves are not counted.',
              },
            ],
          },
        ]
      : []),
    act(`Take ${of.name} away`, 'pi pi-times', dropOfSite('boundaries', i), { then: 'site' }),
  ]
}

const froms = [
  { value: 'line', label: 'A and B' },
  ...sides.map(each => ({ value: each.value as string, label: `${each.label} stakes` })),
]

export function find(at: At): Row[] {
  const i = at.subject.index ?? 0
  const of = at.design.site?.finds[i]
  if (!of) return []
  return [
    {
      kind: 'name',
      name: 'Name of the find',
      value: of.name,
      change: name => changeFind(i, { name }),
    },
    choice(
      at,
      `site.finds.${i}.kind`,
      findKinds.map(value => ({ value, label: findWords[value] })),
      { name: 'Kind', change: to => changeFind(i, { kind: to as FindKind }) },
    ),
    ...of.places.flatMap((_, k) => place(at, of, i, k)),
    ...length(at, `site.finds.${i}.clear` as `site.finds.${number}.clear`),
    ...(findsOf(at.design)[i]?.faults.length ? [say("These tapes can't meet.", true)] : []),
    ...(buriedKinds.includes(of.kind) ? [say('Buried: have it marked before anyone digs.')] : []),
    act(`Take ${of.name} away`, 'pi pi-times', dropOfSite('finds', i), { then: 'site' }),
  ]
}

/** One place of a find, by its two tapes. */
function place(at: At, { places }: Find, i: number, k: number): Row[] {
  const path = `site.finds.${i}.places.${k}` as `site.finds.${number}.places.${number}`
  const several = places.length > 1
  return [
    ...(several ? [head(`End ${k + 1}`)] : []),
    choice(at, `${path}.from`, froms, { name: several ? `End ${k + 1} from` : 'From' }),
    ...lengths(at, `${path}.toLeft`, `${path}.toRight`),
    choice(
      at,
      `${path}.lies`,
      [
        { value: 'ahead', label: 'Ahead of them' },
        { value: 'behind', label: 'Behind them' },
      ],
      { name: several ? `End ${k + 1} lies` : 'Lies' },
    ),
  ]
}

export const stakes = (at: At): Row[] => [
  choice(at, 'site.squaring.held', sides, { name: 'String held' }),
  ...lengths(at, 'site.squaring.tolerance.good', 'site.squaring.tolerance.fair'),
  block('stakes'),
]

export function levels(at: At): Row[] {
  const { ground, outline } = at.plan.frame
  const points = at.design.site?.levels.points ?? []
  const say0 = (mm: number): string => sayLength(mm, at.units)
  const where = (of: { readonly x: number; readonly y: number }): string =>
    `${say0(Math.max(0, of.x))} from the west, ${say0(Math.max(0, of.y))} from the south`
  const area = (outline.x1 - outline.x0) * (outline.y1 - outline.y0)
  const down = earthwork(ground.at, outline, ground.highest.height).filled / area
  const even = earthwork(ground.at, outline, ground.highest.height - down).dug * CUBIC_METRES
  const spoil = at.plan.loose.find(item => item.code === 'spoil')
  return [
    choice(
      at,
      'site.levels.method',
      [
        { value: 'rod', label: 'Rod, down from a level line' },
        { value: 'height', label: 'Heights, up' },
      ],
      { name: 'Readings are' },
    ),
    act('Add a reading at each corner', 'pi pi-plus', addLevels(true)),
    act('Add a reading', 'pi pi-plus', addLevels(false)),
    ...(points.length
      ? [
          say(
            `The ground falls ${say0(ground.highest.height - ground.lowest.height)} from ${where(ground.highest)}, to ${where(ground.lowest)}.`,
          ),
          ...(down > 1
            ? [
                say(
                  `Levelled to ${say0(down)} below the highest, as much is dug as filled: ${sayVolume(even, at.units)}, as it lies.`,
                ),
              ]
            : []),
        ]
      : [
          say(
            'Take a reading at each corner of the building and wherever the ground humps or dips, all from one set-up of the instrument.',
          ),
        ]),
    ...points.flatMap((_, i): Row[] => {
      const path = `site.levels.points.${i}` as `site.levels.points.${number}`
      return [
        head(`Reading ${i + 1}`),
        ...lengths(at, `${path}.x`, `${path}.y`, `${path}.reading`),
        act(`Take reading ${i + 1} away`, 'pi pi-times', dropLevel(i)),
      ]
    }),
    block('supports'),
    ...(spoil ? [say(`${sayLoose(spoil, at.units).name}: ${sayLoose(spoil, at.units).value}.`)] : []),
  ]
}

/** What the building stands on, but for its rows and its gravel. */
export function base(at: At): Row[] {
  const { base } = at.design
  if (!base)
    return [
      baseKind(at),
      say(
        "No base is part of the work. Choose what the building stands on; all but a slab, and posts of the sides' own, bring a floor frame with them.",
      ),
    ]
  const apart = /^base\.(gravel|skirt|spacing|frost|hole|diameter|block|pad|long)\b/
  return [
    baseKind(at),
    ...lengths(at, ...baseLengths(base).filter(path => !apart.test(path) || path === 'base.frost')),
    ...(base.kind === 'border' ? [board(at, 'base.timber')] : []),
    ...(base.kind === 'slab'
      ? [
          choice(at, 'base.lowWall', onOff('None', 'Round the slab'), {
            value: base.lowWall ? 'yes' : 'no',
            change: to => lowWall(to === 'yes'),
          }),
        ]
      : []),
    ...looseOf(at, code => ofBase.includes(code)),
  ]
}

/** What is bought by volume or count for the base. */
const ofBase: readonly string[] = ['gravel', 'hole-gravel', 'concrete', 'blocks', 'low-wall', 'spoil']

/** What holes are filled with, and where rock stopped one. */
const inHoles = (at: At, base: Extract<Base, { readonly rock: unknown }>): Row[] => [
  choice(at, 'base.fill', [
    { value: 'gravel', label: 'Tamped gravel' },
    { value: 'concrete', label: 'Concrete' },
  ]),
  ...base.rock.flatMap(({ post }, i): Row[] => [
    head(`Rock at post ${post.replace('/', '-')}`),
    ...length(at, `base.rock.${i}.reached` as GroundPath),
    act('No rock after all', 'pi pi-times', setRock(post, false)),
  ]),
  say('Rock stopped a hole? Tap its post.'),
]

/** The rows of timbers or supports under the floor. */
export function rows(at: At): Row[] {
  const { base } = at.design
  if (base?.kind === 'skids')
    return [
      board(at, 'base.timber'),
      choice(at, 'base.count', numbers(2, 8)),
      choice(
        at,
        'base.runs',
        [
          { value: 'length', label: 'Along' },
          { value: 'width', label: 'Across' },
        ],
        { name: 'Run' },
      ),
      choice(
        at,
        'base.ends',
        [
          { value: 'square', label: 'Square' },
          { value: 'sloped', label: 'Sloped' },
        ],
        { name: 'Ends' },
      ),
    ]
  if (base?.kind === 'poles')
    return [
      say('Each post of the sides in a hole of its own, all cut to one level where they stand.'),
      ...lengths(at, 'base.frost', 'base.hole', 'base.pad', 'base.long'),
      ...inHoles(at, base),
      block('supports'),
    ]
  if (!base || !('beams' in base)) return []
  return [
    board(at, 'base.beams.section'),
    choice(at, 'base.beams.plies', numbers(1, 3), { name: 'Plies' }),
    choice(at, 'base.beams.rows', numbers(2, 8), { name: 'Rows' }),
    say('A row lies under every seam of the floor, beyond those asked for.'),
    ...lengths(at, ...baseLengths(base).filter(path => /^base\.(spacing|hole|diameter|block)\b/.test(path))),
    ...(base.kind === 'posts' ? [board(at, 'base.post', 'Posts'), ...inHoles(at, base)] : []),
    block('supports'),
  ]
}

/** Boards that hold the gravel between posts. */
const skirtRows = (at: At, base: Extract<Base, { readonly kind: 'poles' }>): Row[] => [
  choice(at, 'base.skirt', onOff('None', 'Round the posts'), {
    value: base.skirt ? 'yes' : 'no',
    change: to => skirt(to === 'yes'),
  }),
  ...(base.skirt
    ? [
        board(at, 'base.skirt.board'),
        board(at, 'base.skirt.stake'),
        ...lengths(at, 'base.skirt.spacing', 'base.skirt.into'),
      ]
    : []),
]

export function gravel(at: At): Row[] {
  const { base } = at.design
  if (!base || !('gravel' in base)) return []
  const metric = at.units === 'metric'
  const loads = [
    ...new Set([...(metric ? [500, 1000, 2000, 9000] : [450, 900, 1800, 9000]), base.gravel.load]),
  ]
  return [
    ...lengths(
      at,
      'base.gravel.depth',
      // within skirt boards it ends at them
      ...(base.kind === 'poles' && base.skirt ? [] : (['base.gravel.beyond'] as const)),
    ),
    ...(base.kind === 'poles' ? skirtRows(at, base) : []),
    choice(
      at,
      'base.gravel.compaction',
      [...new Set([0, 10, 15, 20, 25, 30, 40, base.gravel.compaction])]
        .sort((a, b) => a - b)
        .map(value => ({ value, label: `${value} %` })),
    ),
    choice(
      at,
      'base.gravel.load',
      loads
        .sort((a, b) => a - b)
        .map(value => ({
          value,
          label: metric ? `${value} kg` : `${Math.round(value / 0.45359237 / 10) * 10} lb`,
        })),
      { change: to => design => withValue(design, 'base.gravel.load', to) },
    ),
    ...looseOf(at, code => code.startsWith('gravel')),
  ]
}
