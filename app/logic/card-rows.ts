import { formatAngle, formatLength, type Units } from '../../core/measure'
import type { Card } from '../../core/plan'
import { cutNames, explain, explainCut, explainStepping, figureNames, sayFigure, saySteps, sayLength, type StepRow } from '../../core/words'

/** A row that shows a value, and when pressed says in one sentence how it comes about. */
export interface ExplainedRow { readonly key: string, readonly name: string, readonly value: string, readonly why: string }

/** The saw's settings, in the order they come along the board. */
export function sawRows(card: Card, units: Units): ExplainedRow[] {
  return card.cuts.map((cut, i) => ({
    key: `cut-${i}`, name: cutNames[cut.name], why: explainCut(cut),
    value: `${formatAngle(cut.miter)}${cut.bevel ? `, bevel ${formatAngle(cut.bevel)}` : ''} · at ${formatLength(cut.at, { units })}`,
  }))
}

/** How the board is laid out with a square; none for a board that is cut square. */
export function steppingRows(card: Card, units: Units): ExplainedRow[] {
  const { stepping } = card
  if (!stepping) return []
  const { rise, run } = stepping.square
  const row = (key: StepRow, name: string, value: string): ExplainedRow => ({ key: `step-${key}`, name, value, why: explainStepping(key, stepping, units) })
  const tail = stepping.tail.full || stepping.tail.oddRun > 0.1 ? [row('tail', 'Tail', saySteps(stepping.tail, units))] : []
  return [
    row('plumb', 'Plumb cuts', `${sayLength(rise, units)} and ${sayLength(run, units)}, mark the rise`),
    row('level', 'Level cuts', `${sayLength(run, units)} and ${sayLength(rise, units)}, mark the run`),
    row('step', 'One step', sayLength(stepping.stepLength, units)),
    row('body', 'To the ridge', saySteps(stepping.body, units)),
    ...tail,
  ]
}

/** The card's other numbers. */
export const figureRows = (card: Card, units: Units): ExplainedRow[] =>
  card.figures.map(figure => ({ key: figure.name, name: figureNames[figure.name], value: sayFigure(figure, units), why: explain(figure, units) }))
