import { roofHas, type TieKind, usualInnerBeam, withEdit } from '../../core/design'
import { withTies } from '../logic/changes/roof'
import { act, type At, board, choice, head, length, onOff, type Option, type Row, say } from './row'
import { innerBeam } from './trusses'

const tieWords: Record<TieKind, { readonly title: string; readonly why: string }> = {
  rafter: {
    title: 'Rafter ties',
    why: 'Low down, from plate to plate: they keep the rafters from pushing the walls apart.',
  },
  collar: {
    title: 'Collar ties',
    why: "Up near the ridge: they keep the two slopes together in the wind. They don't hold the walls.",
  },
  ceiling: {
    title: 'Ceiling joists',
    why: "Beside every rafter, for a ceiling or a loft's floor; low down they hold the walls too.",
  },
}
export const tieTitle = (kind: TieKind): string => tieWords[kind].title
const hung = "Level from the low wall to a ledger on the high side, for a ceiling or a loft's floor."
const every: Option[] = [
  { value: 1, label: 'Every rafter' },
  { value: 2, label: 'Each second' },
  { value: 3, label: 'Each third' },
]

export function ties(at: At): Row[] {
  const kinds = roofHas(at.design.roof).ties
  return [
    ...kinds.flatMap((kind): Row[] => {
      const { title, why } = tieWords[kind]
      const path = `roof.ties.${kind}` as const
      const on = at.design.roof.ties[kind]
      return [
        head(title),
        say(at.plan.building.roof.has.falls.length > 1 ? why : hung),
        choice(at, path, onOff('None', 'Framed'), {
          name: title,
          value: on ? 'yes' : 'no',
          change: to => withTies(kind, to === 'yes'),
        }),
        ...(on
          ? [
              board(at, `${path}.section`, `${title}, of`),
              choice(at, `${path}.every`, every, { name: `${title}, at` }),
              ...length(at, `${path}.height`),
              ...(kind === 'ceiling' ? joistBeam(at) : []),
            ]
          : []),
      ]
    }),
    say('What ties must carry, and with which nails, local code and an engineer decide.'),
  ]
}

/** What ceiling joists lie on between the walls. */
function joistBeam(at: At): Row[] {
  const path = 'roof.joistBeam'
  const { joistBeam: on } = at.design.roof
  const { yard } = at.design.lumber
  return [
    choice(
      at,
      path,
      [
        { value: 'walls', label: 'The walls alone' },
        { value: 'beam', label: 'The walls and a beam' },
      ],
      {
        name: 'They lie on',
        value: on ? 'beam' : 'walls',
        change: to => design =>
          withEdit(design, path, to === 'beam' ? { ...usualInnerBeam[yard], at: null } : null),
      },
    ),
    ...(on
      ? [
          ...innerBeam(at, path),
          ...length(at, `${path}.at`),
          ...(on.at === null
            ? []
            : [
                act('Let the beam lie in the middle', 'pi pi-undo', design =>
                  withEdit(design, `${path}.at`, null),
                ),
              ]),
        ]
      : []),
  ]
}
