import { computed, type ComputedRef } from 'vue'
import { type Drawing, type DrawingBench, type DrawingView, listDrawings } from '../../core/drawing'
import { useBench } from '../stores/bench'

/**
 * The drawings of a bench, from the one list that there is of a plan: what can be looked at of a thing, and
 * the drawing of it; null where there is none. `at` is where a section is cut, undefined near the middle.
 */
export function useDrawings<V extends DrawingView>(
  where: DrawingBench,
  view: () => V,
  { of = () => null, at = () => undefined }: { of?: () => string | null; at?: () => number | undefined } = {},
): { readonly drawing: ComputedRef<Drawing | null>; readonly views: ComputedRef<DrawingView[]> } {
  const bench = useBench()
  const listed = computed(() =>
    bench.plan
      ? listDrawings(bench.plan).filter(
          each => each.bench === where && (each.of === null || each.of === of()),
        )
      : [],
  )
  return {
    views: computed(() => [...new Set(listed.value.map(each => each.view))]),
    drawing: computed(() => listed.value.find(each => each.view === view())?.draw(at()) ?? null),
  }
}
