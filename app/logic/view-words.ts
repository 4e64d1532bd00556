import type { DrawingView } from '../../core/drawing'

/** What a drawing is called on its bench, where one is chosen of several. */
const viewWords: Readonly<Partial<Record<DrawingView, string>>> = {
  'base-plan': 'From above',
  'base-elevation': 'From the south',
  frame: 'Frame',
  deck: 'Deck',
  sheets: 'Sheets',
  siding: 'Siding',
  doors: 'Doors',
  section: 'Section',
  plan: 'Plan',
  east: 'East',
  west: 'West',
  cover: 'Cover',
  jig: 'Jig',
  setting: 'Setting',
}
/** Views in the order they are offered in: what is of one thing before what is of all. */
const order = Object.keys(viewWords)

/** A view as it is offered. */
export interface ViewChoice {
  readonly value: DrawingView
  readonly label: string
}

/** The views that can be chosen of those that a bench has; strips stand under their drawing by themselves. */
export const viewChoices = (views: readonly DrawingView[]): ViewChoice[] =>
  views
    .flatMap(value => {
      const label = viewWords[value]
      return label ? [{ value, label }] : []
    })
    .sort((a, b) => order.indexOf(a.value) - order.indexOf(b.value))
