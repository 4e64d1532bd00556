import {
  type CoverBase,
  type DeckSheets,
  isCovered,
  noCover,
  type RoofCover,
  type RoofTop,
  type Stagger,
  staggers,
  usualCover,
  wastes,
  withEdit,
} from '../../core/design'
import { sheetsBy, ventsOf } from '../../core/plan'
import { sayArea, sayLength, saySlope, saySmallArea } from '../../core/words'
import { looseRows } from '../logic/card-rows'
import type { Change } from '../storage/designs'
import { act, type At, board, choice, head, length, lengths, looseOf, onOff, type Row, say } from './row'

/** What covers the roof's faces: their deck, battens and roofing; and what is under the eaves. */
export function cover(at: At): Row[] {
  const { cover: asked } = at.design.roof
  return [
    ...layers({ at, path: 'roof.cover', asked }),
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
          ...byThemselves(at),
          act('Take the covering off', 'pi pi-times', design => withEdit(design, 'roof.cover', noCover)),
        ]
      : []),
  ]
}

/** Faces that are covered as all are, each to be covered by itself. */
function byThemselves({ design, plan }: At): Row[] {
  const { own } = design.roof.cover
  const alike = plan.frame.covered.filter(({ face }) => !own.some(each => each.face === face.id))
  if (alike.length < 2 || own.length >= MOST_OWN) return []
  return alike.map(({ face }) =>
    act(
      `Cover the ${saySlope(face.id)} slope by itself`,
      'pi pi-clone',
      changed => {
        const { deck, battens, underlay, top } = changed.roof.cover
        return withEdit(changed, 'roof.cover.own', [
          ...changed.roof.cover.own,
          { face: face.id, deck, battens, underlay, top },
        ])
      },
      { then: `roof.cover.own.${own.length}` },
    ),
  )
}

/** Faces with a covering of their own, at most. */
const MOST_OWN = 8

/** What covers one face by itself. */
export function faceCover(at: At): Row[] {
  const i = at.subject.index ?? 0
  const asked = at.design.roof.cover.own[i]
  if (!asked) return []
  return [
    ...layers({ at, path: `roof.cover.own.${i}`, asked }),
    ...looseOfFace(at, asked.face),
    act(
      'Cover it as the others',
      'pi pi-times',
      design =>
        withEdit(
          design,
          'roof.cover.own',
          design.roof.cover.own.filter((_, k) => k !== i),
        ),
      { then: 'roof.cover' },
    ),
  ]
}

/** What is bought for one face. */
function looseOfFace(at: At, face: string): Row[] {
  const items = at.plan.loose.filter(({ faces }) => faces?.includes(face))
  return items.length ? [{ kind: 'figures', rows: looseRows(items, at.units) }] : []
}

/** A covering that is typed at a place of the document. */
interface On {
  readonly at: At
  readonly path: CoverBase
  readonly asked: Pick<RoofCover, 'deck' | 'battens' | 'underlay' | 'top'>
}

const layers = (on: On): Row[] => [
  head('Deck'),
  ...deck(on),
  head('Battens'),
  ...battens(on),
  head('Underlay'),
  ...underlay(on),
  head('Roofing'),
  ...roofing(on),
]

const part =
  ({ path }: On, layer: 'deck' | 'battens' | 'underlay' | 'top', value: unknown): Change =>
  design =>
    withEdit(design, `${path}.${layer}`, value)

function deck(on: On): Row[] {
  const {
    at,
    path,
    asked: { deck: asked },
  } = on
  const usual = usualCover[at.design.lumber.yard]
  const kind = choice(
    at,
    `${path}.deck`,
    [
      { value: 'none', label: 'None' },
      { value: 'sheets', label: 'Sheets' },
      { value: 'boards', label: 'Boards' },
    ],
    {
      name: 'On the rafters',
      value: asked?.kind ?? 'none',
      change: to => part(on, 'deck', to === 'none' ? null : usual[to as 'sheets' | 'boards']),
    },
  )
  if (!asked) return [kind]
  const edge = choice(at, `${path}.deck.edge`, [
    { value: 'square', label: 'Square' },
    { value: 'tongue', label: 'Tongue and groove' },
  ])
  if (asked.kind === 'boards')
    return [kind, board(at, `${path}.deck.section`), edge, ...length(at, `${path}.deck.space`)]
  return [
    kind,
    ...lengths(at, `${path}.deck.thickness`, `${path}.deck.sheet.length`, `${path}.deck.sheet.width`),
    edge,
    ...length(at, `${path}.deck.gap`),
    ...starts(on, asked),
  ]
}

const staggerWords: Readonly<Record<Stagger, string>> = {
  half: 'Half a sheet',
  third: 'A third',
  bay: 'One bay',
}

/** How the rows begin, each way with the sheets that it takes. */
function starts({ at, path }: On, asked: DeckSheets): Row[] {
  const count = (change: Partial<DeckSheets>): string => {
    const found = sheetsBy(at.plan, { ...asked, ...change }, path)
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
      `${path}.deck.stagger`,
      staggers.map(value => ({ value, label: `${staggerWords[value]}${count({ stagger: value })}` })),
    ),
    choice(
      at,
      `${path}.deck.first`,
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
            : withEdit(design, `${path}.deck.first`, ways.find(({ value }) => value === to)?.first ?? null),
      },
    ),
    ...(asked.first === null ? [] : length(at, `${path}.deck.first`)),
  ]
}

function battens(on: On): Row[] {
  const {
    at,
    path,
    asked: { battens: asked },
  } = on
  return [
    choice(at, `${path}.battens`, onOff('None', 'Across the rafters'), {
      name: 'Across',
      value: asked ? 'yes' : 'no',
      change: to => part(on, 'battens', to === 'yes' ? usualCover[at.design.lumber.yard].battens : null),
    }),
    ...(asked ? [board(at, `${path}.battens.section`), ...length(at, `${path}.battens.apart`)] : []),
  ]
}

/** Boards under the eaves. */
function soffit(at: At): Row[] {
  const { soffit: asked } = at.design.roof.cover
  return [
    choice(at, 'roof.cover.soffit', onOff('Bare', 'Boards'), {
      value: asked ? 'yes' : 'no',
      change: to => design =>
        withEdit(design, 'roof.cover.soffit', to === 'yes' ? usualCover[design.lumber.yard].soffit : null),
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
function underlay(on: On): Row[] {
  const {
    at,
    path,
    asked: { underlay: asked },
  } = on
  return [
    choice(at, `${path}.underlay`, onOff('None', 'From a roll'), {
      value: asked ? 'yes' : 'no',
      change: to => part(on, 'underlay', to === 'yes' ? usualCover[at.design.lumber.yard].underlay : null),
    }),
    ...(asked
      ? [
          ...lengths(
            at,
            `${path}.underlay.width`,
            `${path}.underlay.length`,
            `${path}.underlay.lap`,
            `${path}.underlay.endLap`,
          ),
          choice(at, `${path}.underlay.ice`, onOff('None', 'Along the eaves'), {
            value: asked.ice ? 'yes' : 'no',
            change: to => design => withEdit(design, `${path}.underlay.ice`, to === 'yes'),
          }),
        ]
      : []),
  ]
}

function roofing(on: On): Row[] {
  const {
    at,
    path,
    asked: { top },
  } = on
  const usual = usualCover[at.design.lumber.yard]
  return [
    choice(
      at,
      `${path}.top`,
      [
        { value: 'none', label: 'None' },
        { value: 'panels', label: 'Panels' },
        { value: 'shingles', label: 'Shingles' },
        { value: 'roll', label: 'Roll roofing' },
        { value: 'membrane', label: 'Membrane' },
      ],
      {
        value: top?.kind ?? 'none',
        change: to => part(on, 'top', to === 'none' ? null : usual[to as RoofTop['kind']]),
      },
    ),
    ...(top ? goods[top.kind](on) : []),
  ]
}

const waste = ({ at, path }: On): Row =>
  choice(
    at,
    `${path}.top.waste`,
    wastes.map(value => ({ value, label: `${value} %` })),
  )
const counts = (first: number, last: number) =>
  Array.from({ length: last - first + 1 }, (_, i) => ({ value: first + i, label: String(first + i) }))

/** What each kind of roofing has to be typed and chosen. */
const goods: Readonly<Record<RoofTop['kind'], (on: On) => Row[]>> = {
  panels,
  shingles: on => [
    ...lengths(on.at, `${on.path}.top.exposure`, `${on.path}.top.strip`),
    choice(on.at, `${on.path}.top.bundle`, counts(5, 80)),
    choice(on.at, `${on.path}.top.nails`, counts(2, 10)),
    waste(on),
  ],
  roll: on => [
    ...lengths(
      on.at,
      `${on.path}.top.width`,
      `${on.path}.top.length`,
      `${on.path}.top.lap`,
      `${on.path}.top.endLap`,
    ),
    waste(on),
  ],
  membrane: on =>
    lengths(on.at, `${on.path}.top.width`, `${on.path}.top.lap`, `${on.path}.top.over`, `${on.path}.top.up`),
}

function panels({ at, path, asked }: On): Row[] {
  const { panel } = at.design.roof
  const clear = asked.top?.kind === 'panels' && asked.top.clear
  return [
    choice(at, `${path}.top.profile`, [
      { value: 'ribbed', label: 'Ribbed' },
      { value: 'corrugated', label: 'Corrugated' },
      { value: 'flat', label: 'Flat' },
    ]),
    choice(at, `${path}.top.clear`, onOff('Metal, opaque', 'Clear'), {
      name: 'Made of',
      value: clear ? 'yes' : 'no',
      change: to => design => withEdit(design, `${path}.top.clear`, to === 'yes'),
    }),
    ...length(at, panel ? 'roof.panel.cover' : `${path}.top.cover`),
    ...(panel ? [say('The rafters follow these panels: what one covers is the same for both.')] : []),
    ...lengths(
      at,
      `${path}.top.lap`,
      `${path}.top.longest`,
      `${path}.top.endLap`,
      `${path}.top.past`,
      `${path}.top.height`,
      `${path}.top.first`,
    ),
    choice(at, `${path}.top.screws.at`, [
      { value: 'flats', label: 'In the flats' },
      { value: 'ribs', label: 'On the ribs' },
    ]),
    choice(at, `${path}.top.screws.across`, counts(1, 12)),
  ]
}
