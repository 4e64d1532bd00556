import { computed } from 'vue'
import { ownSections } from '../../core/design'
import { standardSections } from '../../core/lumber'
import { formatLength } from '../../core/measure'
import { useBench } from '../stores/bench'

/**
 * The sections a board can be of: the user's own first, then those usual with the design's units, then the
 * others.
 */
export function useSectionChoices() {
  const bench = useBench()
  return computed(() => {
    const units = bench.design?.units ?? 'imperial'
    const own = bench.design ? ownSections(bench.design.lumber) : []
    const size = (mm: number): string => formatLength(mm, { units, style: 'inches' })
    const usual = (kind: string): number => ((kind === 'metric') === (units === 'metric') ? 0 : 1)
    const standard = [...standardSections].sort((a, b) => usual(a.kind) - usual(b.kind))
    return [...own, ...standard].map(section => ({
      value: section.name,
      label:
        section.kind === 'metric' && units === 'metric'
          ? section.name
          : `${section.name} (${size(section.thickness)} × ${size(section.depth)})`,
    }))
  })
}

/** A choice of the design, as a model for a field. */
export function useChoice<T extends string | number>(path: string) {
  const bench = useBench()
  return computed<T>({ get: () => bench.value(path) as T, set: value => bench.setValue(path, value) })
}
