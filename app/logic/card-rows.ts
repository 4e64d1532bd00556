import { formatAngle, formatLength, type Units } from '../../core/measure'
import { type Card, inPlaceOf, type Loose, type Piece } from '../../core/plan'
import { tell } from '../../core/board'
import {
  cutNames,
  explain,
  explainCut,
  explainStepping,
  figureNames,
  sayFigure,
  sayInPlace,
  sayLoose,
  sayMark,
  sayShort,
  saySteps,
  sayTold,
  type StepRow,
} from '../../core/words'

/** A row that shows a value, and when pressed says in one sentence how it comes about. */
export interface ExplainedRow {
  readonly key: string
  readonly name: string
  readonly value: string
  readonly why: string
}

/** The saw's settings, in the order they come along the board. */
export function sawRows(card: Card, units: Units): ExplainedRow[] {
  return card.cuts.map((cut, i) => ({
    key: `cut-${i}`,
    name: cutNames[cut.name],
    why: explainCut(cut),
    value:
      cut.name === 'rip'
        ? `along, ${sayShort(card.piece.width, units)} wide${cut.bevel ? `, bevel ${formatAngle(cut.bevel)}` : ''}`
        : cut.name === 'backing'
          ? `along the edge, bevel ${formatAngle(cut.bevel)}`
          : `${formatAngle(cut.miter)}${cut.bevel ? `, bevel ${formatAngle(cut.bevel)}` : ''} · at ${formatLength(cut.at, { units })}`,
  }))
}

/** A text whose lengths stay on one line: `7' 2 1/4"`. */
export const unbroken = (text: string): string => text.replace(/(\d['"]?) (?=\d)/g, '$1\u00a0')

/** Rips, cuts and notches, each by its corners: all that the board is made by. */
export function toldRows(piece: Piece, units: Units): string[] {
  const { cuts, notches } = sayTold(piece, tell(piece.board), units)
  return [...cuts, ...notches, ...sayInPlace(piece, { inPlace: inPlaceOf(piece) }, units)].map(unbroken)
}

/** How the board is laid out with a square; none for a board that is cut square. */
export function steppingRows(card: Card, units: Units): ExplainedRow[] {
  const { stepping } = card
  if (!stepping) return []
  const { rise, run } = stepping.square
  const row = (key: StepRow, name: string, value: string): ExplainedRow => ({
    key: `step-${key}`,
    name,
    value,
    why: explainStepping(key, stepping, units),
  })
  const tail =
    stepping.tail.full || stepping.tail.oddRun > 0.1
      ? [row('tail', 'Tail', saySteps(stepping.tail, units))]
      : []
  return [
    row('plumb', 'Plumb cuts', `${sayShort(rise, units)} and ${sayShort(run, units)}, mark the rise`),
    row('level', 'Level cuts', `${sayShort(run, units)} and ${sayShort(rise, units)}, mark the run`),
    row('step', 'One step', sayShort(stepping.stepLength, units)),
    row('body', 'To the ridge', saySteps(stepping.body, units)),
    ...tail,
  ]
}

/** The card's other numbers. */
export const figureRows = (card: Card, units: Units): ExplainedRow[] =>
  card.figures.map(figure => ({
    key: figure.name,
    name: figureNames[figure.name],
    value: sayFigure(figure, units),
    why: explain(figure, units),
  }))

/** The marks in running order; a square cut is marked once for both edges. */
export function markRows(card: Card, units: Units): { readonly at: string; readonly what: string }[] {
  const { length } = card.piece
  const square = (i: number): boolean => card.marks[i]?.cuts.every(cut => cut === 'square') ?? false
  return card.marks.flatMap((mark, i) => {
    const twin = card.marks[i - 1]
    if (twin && square(i) && square(i - 1) && Math.abs(twin.at - mark.at) < 0.01) return []
    const what = square(i) ? 'square cut, across the board' : sayMark(mark, { length })
    return [
      {
        at: formatLength(mark.at, { units }),
        what: mark.edge === 'face' ? `${what}, ${sayShort(mark.across, units)} from the bottom edge` : what,
      },
    ]
  })
}

/** Loose quantities, each with its rule. */
export function looseRows(items: readonly Loose[], units: Units): ExplainedRow[] {
  return items.map(item => {
    const { name, value, why } = sayLoose(item, units)
    return { key: ['loose', item.code, ...(item.faces ?? [])].join('-'), name, value, why }
  })
}
