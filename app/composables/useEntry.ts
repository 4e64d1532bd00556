import { computed, ref } from 'vue'
import type { FieldPath } from '../../core/design'
import type { Pitch } from '../../core/measure'
import { nudged, readEntry, showEntry } from '../logic/entry'
import { fieldName } from '../../core/words'
import { useBench } from '../stores/bench'
import { useTypedField } from './useTypedField'

/**
 * A value of the design being typed over. What can't be read stays as typed, with why; nothing of the design
 * changes until it can.
 */
export function useEntry(path: () => FieldPath, value: () => number | Pitch) {
  const bench = useBench()
  const entry = ref<string | null>(null)
  const message = ref('')
  const units = computed(() => bench.design?.units ?? 'imperial')
  const text = computed(() => entry.value ?? showEntry(value(), units.value))
  const focused = computed(() => entry.value !== null)

  function begin(event: Event): void {
    entry.value ??= showEntry(value(), units.value)
    ;(event.target as HTMLInputElement).select()
  }

  function typed(event: Event): void {
    entry.value = (event.target as HTMLInputElement).value
    message.value = ''
  }

  function commit(): void {
    if (entry.value === null) return
    if (entry.value === showEntry(value(), units.value)) return revert()
    const read = readEntry(path(), entry.value, units.value)
    if (!read.ok) {
      message.value = read.message
      return
    }
    revert()
    bench.setValue(path(), read.value)
  }

  function revert(): void {
    entry.value = null
    message.value = ''
  }

  function nudge(way: 1 | -1): void {
    if (!bench.design) return
    const read = entry.value === null ? null : readEntry(path(), entry.value, units.value)
    const from =
      entry.value === null || entry.value === showEntry(value(), units.value) || !read?.ok
        ? value()
        : read.value
    const next = nudged(bench.design, path(), from, way)
    bench.setValue(path(), next)
    entry.value = showEntry(next, units.value)
    message.value = ''
  }

  useTypedField({
    name: () => fieldName(path()),
    dirty: () => entry.value !== null && entry.value !== showEntry(value(), units.value),
    enter: () => {
      commit()
      return message.value
    },
  })

  return { text, message, focused, begin, typed, commit, revert, nudge }
}
