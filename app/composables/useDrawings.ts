import { computed, type ComputedRef } from 'vue'
import { type Drawing, type DrawingBench, type DrawingView, listDrawings } from '../../core/drawing'
import { type ViewChoice, viewChoices } from '../logic/view-words'
import { useBench } from '../stores/bench'

/**
 * The drawings of a bench, from the one list that there is of a plan: what can be looked at of a thing, and
 * the drawing of it; null where there is none. `at` is where a section is cut, undefined near the middle.
 */
export function useDrawings<V extends DrawingView>(
  where: DrawingBench,
  view: () => V,
  { of = () => null, at = () => undefined }: { of?: () => string | null; at?: () => number | undefined } = {},
): { readonly drawing: ComputedRef<Drawing | null>; readonly choices: ComputedRef<ViewChoice[]> } {
  const bench = useBench()
  const listed = computed(() =>
    bench.drawn ? listDrawings(bench.drawn, where).filter(each => each.of === null || each.of === of()) : [],
  )
  return {
    // the same list while the same can be chosen: what shows it is not made anew while something is dragged
    choices: computed<ViewChoice[]>(before => {
      const now = viewChoices([...new Set(listed.value.map(each => each.view))])
      return before?.length === now.length && now.every(({ value }, i) => before[i]?.value === value)
        ? before
        : now
    }),
    drawing: computed(() => listed.value.find(each => each.view === view())?.draw(at()) ?? null),
  }
}
