import {
  type DeckSheets,
  isCovered,
  noCover,
  type RoofTop,
  type Stagger,
  staggers,
  usualCover,
  wastes,
  withEdit,
} from '../../core/design'
import { sheetsBy, ventsOf } from '../../core/plan'
import { sayArea, sayLength, saySmallArea } from '../../core/words'
import type { Change } from '../storage/designs'
import { act, type At, board, choice, head, length, lengths, looseOf, onOff, type Row, say } from './row'

/** What covers the roof: its deck, battens and roofing. */
export function cover(at: At): Row[] {
  const { cover: asked } = at.design.roof
  return [
    head('Deck'),
    ...deck(at),
    head('Battens'),
    ...battens(at),
    head('Underlay'),
    ...underlay(at),
    head('Roofing'),
    ...roofing(at),
    head('Soffit'),
    ...soffit(at),
    ...(isCovered(asked)
      ? [
          head('Edges'),
          ...lengths(at, 'roof.cover.past.eave', 'roof.cover.past.rake'),
          ...(at.plan.frame.covered.some(({ edges }) => edges.some(({ at: where }) => where === 'head'))
            ? length(at, 'roof.cover.slot')
            : []),
          ...looseOf(at, code => code.startsWith('cover-')),
          ...air(at),
          act('Take the covering off', 'pi pi-times', design => withEdit(design, 'roof.cover', noCover)),
        ]
      : []),
  ]
}

const part =
  (path: 'deck' | 'battens' | 'underlay' | 'top' | 'soffit', value: unknown): Change =>
  design =>
    withEdit(design, `roof.cover.${path}`, value)

function deck(at: At): Row[] {
  const { deck: asked } = at.design.roof.cover
  const usual = usualCover[at.design.lumber.yard]
  const kind = choice(
    at,
    'roof.cover.deck',
    [
      { value: 'none', label: 'None' },
      { value: 'sheets', label: 'Sheets' },
      { value: 'boards', label: 'Boards' },
    ],
    {
      name: 'On the rafters',
      value: asked?.kind ?? 'none',
      change: to => part('deck', to === 'none' ? null : usual[to as 'sheets' | 'boards']),
    },
  )
  if (!asked) return [kind]
  const edge = choice(at, 'roof.cover.deck.edge', [
    { value: 'square', label: 'Square' },
    { value: 'tongue', label: 'Tongue and groove' },
  ])
  if (asked.kind === 'boards')
    return [kind, board(at, 'roof.cover.deck.section'), edge, ...length(at, 'roof.cover.deck.space')]
  return [
    kind,
    ...lengths(
      at,
      'roof.cover.deck.thickness',
      'roof.cover.deck.sheet.length',
      'roof.cover.deck.sheet.width',
    ),
    edge,
    ...length(at, 'roof.cover.deck.gap'),
    ...starts(at, asked),
  ]
}

const staggerWords: Readonly<Record<Stagger, string>> = {
  half: 'Half a sheet',
  third: 'A third',
  bay: 'One bay',
}

/** How the rows begin, each way with the sheets that it takes. */
function starts(at: At, asked: DeckSheets): Row[] {
  const count = (change: Partial<DeckSheets>): string => {
    const found = sheetsBy(at.plan, { ...asked, ...change })
    return found === null ? '' : `: ${found} sheet${found === 1 ? '' : 's'}`
  }
  const wide = Math.min(asked.sheet.length, asked.sheet.width)
  const half = wide / 2
  const ways = [
    { value: 'found', first: null, label: 'As it works out' },
    { value: 'whole', first: wide, label: 'Whole' },
    { value: 'half', first: half, label: sayLength(half, at.units) },
  ]
  const own = asked.first !== null && !ways.some(({ first }) => first === asked.first)
  return [
    choice(
      at,
      'roof.cover.deck.stagger',
      staggers.map(value => ({ value, label: `${staggerWords[value]}${count({ stagger: value })}` })),
    ),
    choice(
      at,
      'roof.cover.deck.first',
      [
        ...ways.map(({ value, first, label }) => ({ value, label: `${label}${count({ first })}` })),
        ...(own ? [{ value: 'own', label: `${sayLength(asked.first ?? 0, at.units)}${count({})}` }] : []),
      ],
      {
        name: 'First row',
        value: own ? 'own' : (ways.find(({ first }) => first === asked.first)?.value ?? 'found'),
        change: to => design =>
          to === 'own'
            ? design
            : withEdit(
                design,
                'roof.cover.deck.first',
                ways.find(({ value }) => value === to)?.first ?? null,
              ),
      },
    ),
    ...(asked.first === null ? [] : length(at, 'roof.cover.deck.first')),
  ]
}

function battens(at: At): Row[] {
  const { battens: asked } = at.design.roof.cover
  return [
    choice(at, 'roof.cover.battens', onOff('None', 'Across the rafters'), {
      name: 'Across',
      value: asked ? 'yes' : 'no',
      change: to => part('battens', to === 'yes' ? usualCover[at.design.lumber.yard].battens : null),
    }),
    ...(asked ? [board(at, 'roof.cover.battens.section'), ...length(at, 'roof.cover.battens.apart')] : []),
  ]
}

/** Boards under the eaves. */
function soffit(at: At): Row[] {
  const { soffit: asked } = at.design.roof.cover
  return [
    choice(at, 'roof.cover.soffit', onOff('Bare', 'Boards'), {
      value: asked ? 'yes' : 'no',
      change: to => part('soffit', to === 'yes' ? usualCover[at.design.lumber.yard].soffit : null),
    }),
    ...(asked
      ? [
          board(at, 'roof.cover.soffit.section'),
          choice(at, 'roof.cover.soffit.edge', [
            { value: 'square', label: 'Square' },
            { value: 'tongue', label: 'Tongue and groove' },
          ]),
          ...lengths(at, 'roof.cover.soffit.space', 'roof.cover.soffit.vent'),
        ]
      : []),
  ]
}

/** What air gets in low and out at the ridge, and what is wanted of a roof over a ceiling. */
function air({ plan, units }: At): Row[] {
  const found = ventsOf(plan)
  const row = (key: string, name: string, m2: number, why: string) => ({
    key: `air-${key}`,
    name,
    value: saySmallArea(m2, units),
    why,
  })
  return [
    head('Air under it'),
    {
      kind: 'figures',
      rows: [
        row(
          '150',
          'Wanted, 1 to 150',
          found.area / 150,
          `Free area for ${sayArea(found.area, units)} under the roof (IRC R806.2, from memory); none where nothing closes the roof from below.`,
        ),
        row(
          '300',
          'Wanted, 1 to 300',
          found.area / 300,
          'Enough where 40 to 50 % of it is near the ridge and the rest low (IRC R806.2, from memory). Local code decides.',
        ),
        row(
          'low',
          'In at the eaves',
          found.low,
          'Holes in the blocks over the plates, and the gap over them; mesh takes a part of it.',
        ),
        row(
          'high',
          'Out at the ridge',
          found.high,
          'What is held back of the deck on either side, along the ridge; the cap may let less through.',
        ),
      ],
    },
  ]
}

/** What lies under the roofing, from a roll. */
function underlay(at: At): Row[] {
  const { underlay: asked } = at.design.roof.cover
  return [
    choice(at, 'roof.cover.underlay', onOff('None', 'From a roll'), {
      value: asked ? 'yes' : 'no',
      change: to => part('underlay', to === 'yes' ? usualCover[at.design.lumber.yard].underlay : null),
    }),
    ...(asked
      ? [
          ...lengths(
            at,
            'roof.cover.underlay.width',
            'roof.cover.underlay.length',
            'roof.cover.underlay.lap',
            'roof.cover.underlay.endLap',
          ),
          choice(at, 'roof.cover.underlay.ice', onOff('None', 'Along the eaves'), {
            value: asked.ice ? 'yes' : 'no',
            change: to => design => withEdit(design, 'roof.cover.underlay.ice', to === 'yes'),
          }),
        ]
      : []),
  ]
}

function roofing(at: At): Row[] {
  const { top } = at.design.roof.cover
  const usual = usualCover[at.design.lumber.yard]
  return [
    choice(
      at,
      'roof.cover.top',
      [
        { value: 'none', label: 'None' },
        { value: 'panels', label: 'Panels' },
        { value: 'shingles', label: 'Shingles' },
        { value: 'roll', label: 'Roll roofing' },
        { value: 'membrane', label: 'Membrane' },
      ],
      {
        value: top?.kind ?? 'none',
        change: to => part('top', to === 'none' ? null : usual[to as RoofTop['kind']]),
      },
    ),
    ...(top ? goods[top.kind](at) : []),
  ]
}

const waste = (at: At): Row =>
  choice(
    at,
    'roof.cover.top.waste',
    wastes.map(value => ({ value, label: `${value} %` })),
  )
const counts = (first: number, last: number) =>
  Array.from({ length: last - first + 1 }, (_, i) => ({ value: first + i, label: String(first + i) }))

/** What each kind of roofing has to be typed and chosen. */
const goods: Readonly<Record<RoofTop['kind'], (at: At) => Row[]>> = {
  panels,
  shingles: at => [
    ...lengths(at, 'roof.cover.top.exposure', 'roof.cover.top.strip'),
    choice(at, 'roof.cover.top.bundle', counts(5, 80)),
    choice(at, 'roof.cover.top.nails', counts(2, 10)),
    waste(at),
  ],
  roll: at => [
    ...lengths(
      at,
      'roof.cover.top.width',
      'roof.cover.top.length',
      'roof.cover.top.lap',
      'roof.cover.top.endLap',
    ),
    waste(at),
  ],
  membrane: at =>
    lengths(at, 'roof.cover.top.width', 'roof.cover.top.lap', 'roof.cover.top.over', 'roof.cover.top.up'),
}

function panels(at: At): Row[] {
  const { cover: asked, panel } = at.design.roof
  const clear = asked.top?.kind === 'panels' && asked.top.clear
  return [
    choice(at, 'roof.cover.top.profile', [
      { value: 'ribbed', label: 'Ribbed' },
      { value: 'corrugated', label: 'Corrugated' },
      { value: 'flat', label: 'Flat' },
    ]),
    choice(at, 'roof.cover.top.clear', onOff('Metal, opaque', 'Clear'), {
      name: 'Made of',
      value: clear ? 'yes' : 'no',
      change: to => design => withEdit(design, 'roof.cover.top.clear', to === 'yes'),
    }),
    ...length(at, panel ? 'roof.panel.cover' : 'roof.cover.top.cover'),
    ...(panel ? [say('The rafters follow these panels: what one covers is the same for both.')] : []),
    ...lengths(
      at,
      'roof.cover.top.lap',
      'roof.cover.top.longest',
      'roof.cover.top.endLap',
      'roof.cover.top.past',
      'roof.cover.top.height',
      'roof.cover.top.first',
    ),
    choice(at, 'roof.cover.top.screws.at', [
      { value: 'flats', label: 'In the flats' },
      { value: 'ribs', label: 'On the ribs' },
    ]),
    choice(at, 'roof.cover.top.screws.across', counts(1, 12)),
  ]
}
