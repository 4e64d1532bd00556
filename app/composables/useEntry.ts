import { computed, onScopeDispose, ref } from 'vue'
import type { FieldPath } from '../../core/design'
import type { Pitch } from '../../core/measure'
import { nudged, readEntry, showEntry } from '../logic/entry'
import { useBench } from '../stores/bench'
import { useTyping } from '../stores/typing'
import { useFieldName } from './useFieldName'
import { useTypedField } from './useTypedField'

/**
 * A value of the design being typed over: what can be read is shown at once, and kept when it is entered.
 * What can't be read stays as typed, with why, and nothing of the design changes until it can; it outlives
 * the field, by `place`.
 */
export function useEntry(path: () => FieldPath, value: () => number | Pitch, place: () => string) {
  const bench = useBench()
  const typing = useTyping()
  const fieldName = useFieldName()
  const entry = ref<string | null>(null)
  /** The value as it was shown when typing began. */
  const before = ref('')
  const message = ref('')
  const units = computed(() => bench.design?.units ?? 'imperial')
  const text = computed(() => entry.value ?? showEntry(value(), units.value, path()))
  const focused = computed(() => entry.value !== null)
  const dirty = (): boolean => entry.value !== null && entry.value !== before.value

  const left = typing.takeUp(place())
  if (left) {
    before.value = showEntry(value(), units.value, path())
    entry.value = left.text
    message.value = left.why
  }
  onScopeDispose(() => {
    if (!dirty()) return
    if (message.value)
      typing.leave(place(), { name: fieldName(path()), text: entry.value ?? '', why: message.value })
    else bench.dropPreview()
  })

  /** What is shown is typed over; a field that was entered and kept the focus begins anew. */
  function takeUp(): void {
    if (entry.value !== null) return
    before.value = showEntry(value(), units.value, path())
    entry.value = before.value
  }

  function begin(event: Event): void {
    takeUp()
    ;(event.target as HTMLInputElement).select()
  }

  function typed(event: Event): void {
    takeUp()
    entry.value = (event.target as HTMLInputElement).value
    message.value = ''
    const read = readEntry(path(), entry.value, units.value, fieldName(path()))
    if (read.ok && dirty()) bench.tryValue(path(), read.value)
    else bench.dropPreview()
  }

  function commit(): void {
    if (entry.value === null) return
    if (!dirty()) return revert()
    const read = readEntry(path(), entry.value, units.value, fieldName(path()))
    bench.dropPreview()
    if (!read.ok) {
      message.value = read.message
      return
    }
    revert()
    bench.setValue(path(), read.value)
  }

  function revert(): void {
    if (dirty()) bench.dropPreview()
    entry.value = null
    message.value = ''
  }

  function nudge(way: 1 | -1): void {
    if (!bench.design) return
    const read = dirty() ? readEntry(path(), entry.value ?? '', units.value) : null
    bench.dropPreview()
    const next = nudged(bench.design, path(), read?.ok ? read.value : value(), way)
    bench.setValue(path(), next)
    entry.value = before.value = showEntry(next, units.value, path())
    message.value = ''
  }

  useTypedField({
    name: () => fieldName(path()),
    dirty,
    enter: () => {
      commit()
      return message.value
    },
  })

  return { text, message, focused, dirty, begin, typed, commit, revert, nudge }
}
