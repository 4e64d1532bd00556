import type { Jig } from '../plan'
import { formatLength, type Units } from '../measure'
import { sayWeight } from './figures'
import { sayLength } from './measures'

/** A point of a jig as it is called out. */
export interface JigRow {
  readonly number: number
  readonly along: string
  readonly across: string
  readonly marks: string
}

const short = (mm: number, units: Units): string => formatLength(mm, { units })

/** The points in the order the tape runs. */
export const jigRows = ({ points }: Jig, units: Units): JigRow[] =>
  points.map(({ number, x, y, marks }) => ({
    number,
    along: short(x, units),
    across: short(y, units),
    marks: marks.join(', '),
  }))

/** The lengths that prove it, each between two points. */
export const jigChecks = (
  { checks }: Jig,
  units: Units,
): { readonly between: string; readonly length: string }[] =>
  checks.map(({ from, to, length }) => ({ between: `${from} to ${to}`, length: short(length, units) }))

/** Where the blocks go, each by the middle of the edge that the member lies against. */
export const jigBlocks = (
  { blocks }: Jig,
  units: Units,
): { readonly mark: string; readonly along: string; readonly across: string }[] =>
  blocks.map(({ mark, x, y }) => ({ mark, along: short(x, units), across: short(y, units) }))

/** All that is measured of a jig, in tables as they stand beside its drawing. */
export const jigTables = (
  jig: Jig,
  units: Units,
): { readonly caption: string; readonly rows: readonly (readonly string[])[] }[] => [
  {
    caption: 'Points, from the corner',
    rows: [
      ['Point', 'Along', 'Across', 'Of'],
      ...jigRows(jig, units).map(({ number, along, across, marks }) => [`${number}`, along, across, marks]),
    ],
  },
  {
    caption: 'What proves it',
    rows: jigChecks(jig, units).map(({ between, length }) => [between, length]),
  },
  {
    caption: "Blocks, by their edge's middle",
    rows: [
      ['Against', 'Along', 'Across'],
      ...jigBlocks(jig, units).map(({ mark, along, across }) => [mark, along, across]),
    ],
  },
]

const places: Record<Jig['fits'], string> = {
  along: "It fits on the building's own deck, the truss lying along it.",
  across: "It fits on the building's own deck, the truss lying across it.",
  no: 'The deck is too small for it: take another flat place.',
}

/** What a jig wants, and the work in its order. */
export function jigSteps(jig: Jig, units: Units): string[] {
  const { wide, tall, fits, count, templates, weight, people } = jig
  return [
    `A flat place ${sayLength(wide, units)} by ${sayLength(tall, units)}. ${places[fits]}`,
    'Snap two lines square to each other from one corner; measure each point along the first and across from it.',
    'Join the points, and screw the blocks down against the lines, clear of the gussets.',
    `Cut ${templates.join(', ')} once, write “template” on them, and lay them in: chords first, then webs, tight at every joint.`,
    'Prove it by the dashed lengths before anything is nailed; those of a pair are alike.',
    'Glue and nail the gussets on the upper face, lift it out, turn it over, and do the other face. End trusses that are sheathed have them inside alone.',
    `${count} trusses come out of it, each about ${sayWeight(weight, units)}: ${people} people carry one, upright, so that it does not bend.`,
  ]
}
