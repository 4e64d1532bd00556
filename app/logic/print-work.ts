import type { Design } from '../../core/design'
import { isLumber } from '../../core/lumber'
import { cardOf, type Kit, kitsOf, type Piece, type Plan, plansOf, type Whole } from '../../core/plan'
import type { CardsAsk, Label, Paper } from '../../core/print'
import { type RaisingName, roles } from '../../core/trade'
import { tell } from '../../core/board'
import { raisingNames, sayLength, saySection, sayTold } from '../../core/words'
import { markRows, sawRows } from './card-rows'
import { sayEnds } from './saw-rows'

/** What is asked of a worker that prints: of which pieces, all or those of one kit. */
export type PrintQuestion =
  | {
      readonly what: 'labels'
      readonly design: Design
      readonly kit: RaisingName | null
      /** A label for each piece, or one for each bundle of a mark in a kit. */
      readonly each: 'piece' | 'bundle'
      readonly sheet: number
      readonly first: number
      /** The address of the design's Saw bench. */
      readonly link: string
    }
  | {
      readonly what: 'cards'
      readonly design: Design
      readonly kit: RaisingName | null
      readonly paper: Paper
    }

/** The document; null where it could not be made. */
export interface PrintAnswer {
  readonly pdf: ArrayBuffer | null
}

/** Every part's kits, with the part they are of. */
const kitsIn = (all: Whole, kit: RaisingName | null): (Kit & { readonly plan: Plan })[] =>
  plansOf(all).flatMap(plan =>
    kitsOf(plan)
      .filter(({ name }) => kit === null || name === kit)
      .map(each => ({ ...each, plan })),
  )

/** How long a piece is, and how wide where it is of a sheet. */
const sizeOf = ({ design: { units } }: Plan, piece: Piece): string =>
  isLumber(piece.section)
    ? sayLength(piece.length, units)
    : `${sayLength(piece.length, units)} × ${sayLength(piece.width, units)}`

/** Labels in the order of the work: what each piece is, where it goes, and a code that opens its card. */
export function labelsOf(
  whole: Whole,
  {
    kit,
    each,
    link,
  }: { readonly kit: RaisingName | null; readonly each: 'piece' | 'bundle'; readonly link: string },
): Label[] {
  const of = whole.main.design.name
  const numbers = new Map<string, number>()
  return kitsIn(whole, kit).flatMap(({ name, items, plan }) =>
    items.flatMap(({ piece, count }) =>
      Array.from({ length: each === 'piece' ? count : 1 }, (): Label => {
        const number = (numbers.get(piece.mark) ?? 0) + 1
        numbers.set(piece.mark, number)
        const place = raisingNames[name]
        return {
          mark: each === 'piece' ? piece.mark : `${piece.mark} × ${count}`,
          size: `${saySection(piece.section, plan.design.units)} · ${sizeOf(plan, piece)}`,
          place: each === 'piece' && piece.count > 1 ? `${place}, ${number} of ${piece.count}` : place,
          of,
          link: `${link}?card=${encodeURIComponent(piece.mark)}`,
        }
      }),
    ),
  )
}

/** Cards of pieces in the order of the work, each once, and the list of them. */
export function cardsAsk(whole: Whole, kit: RaisingName | null): CardsAsk {
  const seen = new Set<string>()
  const once = kitsIn(whole, kit).flatMap(({ items, plan }) =>
    items.flatMap(({ piece, count }) => {
      if (seen.has(piece.mark)) return []
      seen.add(piece.mark)
      return [{ piece, plan, count: kit === null ? piece.count : count }]
    }),
  )
  const name = ({ role }: Piece, count: number): string => roles[role][count === 1 ? 'one' : 'many']
  return {
    title:
      kit === null ? whole.main.design.name : `${whole.main.design.name}: ${raisingNames[kit].toLowerCase()}`,
    note: 'Check the first of each cut on the building before you saw the rest. Lengths run from long point to long point.',
    cards: once.map(({ piece, plan, count }) => {
      const { units } = plan.design
      const card = cardOf(plan, piece)
      return {
        ...{ mark: piece.mark, count: String(count), name: name(piece, count) },
        section: saySection(piece.section, units),
        length: sizeOf(plan, piece),
        outline: card.outline,
        long: piece.length,
        deep: piece.board.blank.depth,
        saw: [
          ...sawRows(card, units).map(row => `${row.name} ${row.value}`),
          // their corners stand among the marks
          ...sayTold(piece, tell(piece.board), units).notches.map(each => each.split('; corners')[0] ?? each),
        ],
        marks: markRows(card, units).map(({ at, what }) => `${at}  ${what}`),
      }
    }),
    rows: once.map(({ piece, plan, count }) => ({
      ...{ mark: piece.mark, count: String(count), name: name(piece, count) },
      section: saySection(piece.section, plan.design.units),
      length: sizeOf(plan, piece),
      cuts: sayEnds(piece),
    })),
  }
}
