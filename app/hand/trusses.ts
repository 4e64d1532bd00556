import {
  type Design,
  foundAnotherWay,
  gableTrusses,
  hasBottomChord,
  isWebbed,
  monoTrusses,
  type GambrelWay,
  limits,
  roofHas,
  type TrussKind,
  usualInnerBeam,
  withEdit,
} from '../../core/design'
import { looseRows } from '../logic/card-rows'
import { withKneeShare } from '../logic/changes/roof'
import {
  act,
  type At,
  board,
  boardOrNone,
  choice,
  head,
  length,
  lengths,
  numbers,
  type Row,
  say,
} from './row'

/** What carries the roof, where there is a choice. */
export function carrier(at: At): Row[] {
  const { carriers } = roofHas(at.design.roof)
  if (carriers.length < 2) return []
  const words = { trusses: 'Trusses', rafters: 'Rafters' } as const
  return [
    choice(
      at,
      'roof.carried',
      carriers.map(value => ({ value, label: words[value] })),
      { value: at.plan.building.roof.carried },
    ),
  ]
}

/** False tails at a usual pitch. */
export const kickOut = (design: Design): Design =>
  withEdit(design, 'roof.gambrel.foot.kick', { rise: 6, run: 12 })

/** False tails beside chords that are cut on the plate, or the offer of them. */
export function kick(at: At): Row[] {
  const path = 'roof.gambrel.foot.kick'
  return at.design.roof.gambrel.foot.kick
    ? [
        ...lengths(at, path, 'roof.overhang.eave'),
        act('Take the false tails away', 'pi pi-times', design => withEdit(design, path, null)),
      ]
    : [
        say('Chords that are cut on the plate have no tails of their own.'),
        act('Kick the eaves out on false tails', 'pi pi-angle-double-down', kickOut),
      ]
}

const shares = [
  { of: 1 / 8, label: 'An eighth of the span in' },
  { of: 1 / 6, label: 'A sixth' },
  { of: 1 / 5, label: 'A fifth' },
  { of: 1 / 4, label: 'A quarter' },
  { of: 1 / 3, label: 'A third' },
] as const

/** Where the knee is asked for by two pitches: at a height, or a part of the span in. */
function kneeShare(at: At): Row {
  const share = at.design.roof.gambrel.knee.share
  const known = shares.findIndex(each => share !== null && Math.abs(each.of - share) < 1e-9)
  return choice(
    at,
    'roof.gambrel.knee.share',
    [
      { value: 'up', label: 'At its height' },
      ...shares.map(({ label }, i) => ({ value: String(i), label })),
      ...(share !== null && known < 0
        ? [{ value: 'own', label: `${Math.round(share * 1000) / 10} % of the span in` }]
        : []),
    ],
    {
      name: 'The knee lies',
      value: share === null ? 'up' : known < 0 ? 'own' : String(known),
      change: to => design => withKneeShare(at.plan, design, shares[Number(to)]?.of ?? null),
    },
  )
}

/** A beam inside the building and its posts. */
export const innerBeam = (at: At, path: 'roof.joistBeam' | 'roof.gambrel.purlin'): Row[] => [
  board(at, `${path}.section`),
  choice(at, `${path}.plies`, numbers(1, 3)),
  board(at, `${path}.post`),
  ...length(at, `${path}.spacing`),
]

/** What a gambrel's rafters bear on at their knees. */
function underKnees(at: At): Row[] {
  const path = 'roof.gambrel.purlin'
  const { purlin } = at.design.roof.gambrel
  if (at.plan.building.roof.carried === 'trusses') return []
  return [
    choice(
      at,
      path,
      [
        { value: 'wall', label: 'A wall on the joists' },
        { value: 'purlin', label: 'A purlin on posts' },
      ],
      {
        value: purlin ? 'purlin' : 'wall',
        change: to => design =>
          withEdit(design, path, to === 'purlin' ? usualInnerBeam[design.lumber.yard] : null),
      },
    ),
    ...(purlin ? innerBeam(at, path) : []),
  ]
}

/** How a gambrel's line is found, and its numbers. */
export function knees(at: At): Row[] {
  const { gambrel } = at.design.roof
  const { by, foot } = gambrel
  return [
    choice(
      at,
      'roof.gambrel.by',
      [
        { value: 'half-octagon', label: 'Four equal chords' },
        { value: 'knee', label: 'The knee' },
        { value: 'pitches', label: 'Two pitches' },
        { value: 'headroom', label: 'Headroom' },
      ],
      { change: to => design => foundAnotherWay(design, at.plan.building, to as GambrelWay) },
    ),
    ...(by === 'half-octagon'
      ? [say('On a half circle: every joint is cut at 22.5°. The span and the overhang decide its size.')]
      : []),
    ...(by === 'knee'
      ? lengths(at, 'roof.gambrel.knee.in', 'roof.gambrel.knee.up', 'roof.pitch', 'roof.peak.height')
      : []),
    ...(by === 'pitches'
      ? [
          ...lengths(at, 'roof.gambrel.lower', 'roof.pitch'),
          kneeShare(at),
          ...(gambrel.knee.share === null ? length(at, 'roof.gambrel.knee.up') : []),
        ]
      : []),
    ...(by === 'headroom'
      ? [
          ...lengths(at, 'roof.gambrel.headroom.height', 'roof.gambrel.headroom.width', 'roof.pitch'),
          say('The upper pitch is the least that you take; the lower one follows.'),
        ]
      : []),
    choice(at, 'roof.gambrel.foot.rule', [
      { value: 'over-plate', label: 'Notched over the wall' },
      { value: 'on-plate', label: 'Cut level on the plate' },
    ]),
    ...(foot.rule === 'over-plate'
      ? [
          ...lengths(at, 'roof.overhang.eave', 'roof.gambrel.foot.drop'),
          ...(foot.drop === null
            ? []
            : [
                act('Let the drop follow', 'pi pi-undo', design =>
                  withEdit(design, 'roof.gambrel.foot.drop', null),
                ),
              ]),
        ]
      : kick(at)),
    ...underKnees(at),
  ]
}

const trussWords: Record<TrussKind, string> = {
  open: 'Open: four chords',
  'bottom-chord': 'With a bottom chord',
  'king-post': 'King post',
  'queen-post': 'Queen posts',
  'w-web': 'W webs',
  attic: 'Attic: a room inside',
  scissors: 'Scissors: a ceiling that rises',
  mono: 'Mono: webs to an end post',
  bought: 'Bought: by their sheet',
}

/** Where a splice begins that is asked for, as a share of the span: at a panel point where there is one. */
const panelShare = (kind: TrussKind, chord: 'bottom' | 'top'): number => {
  if (kind === 'mono') return chord === 'top' ? 1 / 2 : 2 / 3
  if (chord === 'top') return kind === 'queen-post' ? 1 / 3 : 1 / 4
  return kind === 'w-web' || kind === 'queen-post' ? 1 / 3 : 1 / 2
}

/** Where chords are joined of two boards, where that is asked for. */
function splices(at: At, kind: TrussKind): Row[] {
  const { width } = at.plan.building.footprint
  return [
    head('Splices'),
    say('Chords longer than what is sold are joined at a panel point, under plates.'),
    ...(['bottom', 'top'] as const)
      .filter(chord => chord === 'top' || hasBottomChord(kind))
      .flatMap((chord): Row[] => {
        const path = `roof.truss.splice.${chord}` as const
        return at.design.roof.truss.splice[chord] === null
          ? [
              act(`Splice the ${chord} chords`, 'pi pi-arrows-h', design =>
                withEdit(design, path, width * panelShare(kind, chord)),
              ),
            ]
          : [
              ...length(at, path),
              act(`Let the ${chord} chords’ splice follow`, 'pi pi-undo', design =>
                withEdit(design, path, null),
              ),
            ]
      }),
  ]
}

/** Of trusses built by hand: their splices and gussets. */
function handBuilt(at: At): Row[] {
  const kind = at.plan.building.roof.truss?.kind ?? 'open'
  return [
    ...splices(at, kind),
    head('Gussets'),
    ...lengths(at, 'roof.truss.gusset.thickness', 'roof.truss.gusset.leg'),
    choice(at, 'roof.truss.gusset.nails', numbers(limits.gussetNails.min, limits.gussetNails.max)),
    say('Glued and nailed on both faces; inside alone on end trusses that are sheathed.'),
    {
      kind: 'figures',
      rows: looseRows(
        at.plan.loose.filter(({ code }) => code === 'gusset-nails' || code === 'gusset-glue'),
        at.units,
      ),
    },
  ]
}

/** Of bought trusses: what their maker's sheet says, and what is ordered. */
const boughtRows = (at: At): Row[] => [
  ...lengths(at, 'roof.pitch', 'roof.overhang.eave', 'roof.truss.bought.span', 'roof.truss.bought.weight'),
  {
    kind: 'figures',
    rows: looseRows(
      at.plan.loose.filter(({ code }) => code === 'bought-trusses'),
      at.units,
    ),
  },
]

/** The trusses: what they are of, and their gussets. */
export function trusses(at: At): Row[] {
  const { truss, gambrel } = at.plan.building.roof
  if (!truss) return []
  const { falls } = at.plan.building.roof.has
  const kinds = gambrel
    ? (['open', 'bottom-chord'] as const)
    : falls.length === 1
      ? monoTrusses
      : gableTrusses
  const webbed = isWebbed(truss.kind) || falls.length === 1
  const bought = truss.kind === 'bought'
  return [
    choice(
      at,
      'roof.truss.kind',
      kinds.map(value => ({ value, label: trussWords[value] })),
      { value: truss.kind },
    ),
    board(at, 'roof.rafter', 'Chords'),
    ...(truss.kind === 'open' ? [] : [boardOrNone(at, 'roof.truss.bottom', { none: 'As the chords' })]),
    ...(webbed ? [boardOrNone(at, 'roof.truss.web', { none: `As usual: ${truss.web}` })] : []),
    ...(gambrel ? [] : length(at, 'roof.truss.heel')),
    ...(truss.kind === 'scissors' ? length(at, 'roof.truss.ceiling') : []),
    ...(truss.kind === 'attic' ? lengths(at, 'roof.truss.room.width', 'roof.truss.room.height') : []),
    ...length(at, 'roof.spacing'),
    ...(bought ? boughtRows(at) : handBuilt(at)),
    say('What trusses carry is not reckoned here: a table, an engineer or the building department decides.'),
  ]
}
