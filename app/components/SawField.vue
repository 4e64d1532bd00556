<script setup lang="ts">
import type { Limit } from '../../core/design'
import { readSawEntry, type SawEntryField, type SawEntryKind, showSawEntry } from '../logic/saw-entry'

/** Something typed at the saw; `hint` is what holds where nothing is; `bare` its name is only said. */
const props = defineProps<{
  kind: SawEntryKind
  name: string
  value: number | null
  limit: Limit
  hint?: string
  bare?: boolean
}>()
const emit = defineEmits<{ set: [value: number | null] }>()
const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const entry = ref<string | null>(null)
const message = ref('')
const id = useId()
const shown = computed(() => showSawEntry(props.kind, props.value, units.value))
const field = computed<SawEntryField>(() => ({
  kind: props.kind,
  name: props.name,
  limit: props.limit,
  empty: props.hint !== undefined,
}))
const dirty = (): boolean => entry.value !== null && entry.value !== shown.value

function revert(): void {
  entry.value = null
  message.value = ''
}
function commit(): void {
  if (entry.value === null) return
  if (!dirty()) return revert()
  const read = readSawEntry(field.value, entry.value, units.value)
  if (!read.ok) {
    message.value = read.message
    return
  }
  revert()
  emit('set', read.value)
}
function typed(event: Event): void {
  entry.value = (event.target as HTMLInputElement).value
  message.value = ''
}
function escape(event: KeyboardEvent): void {
  if (!dirty()) return revert()
  event.stopPropagation()
  event.preventDefault()
  revert()
}
useTypedField({
  name: () => props.name,
  dirty,
  enter: () => {
    commit()
    return message.value
  },
})
</script>

<template>
  <span class="saw-field" :class="{ wrong: message }">
    <label v-if="!bare" :for="id">{{ name }}</label>
    <input
      :id="id"
      class="figures"
      type="text"
      :inputmode="kind === 'count' ? 'numeric' : kind === 'price' ? 'decimal' : 'text'"
      autocomplete="off"
      spellcheck="false"
      :size="Math.max(4, Math.min(10, (entry ?? (shown || hint || '')).length))"
      :value="entry ?? shown"
      :placeholder="hint"
      :aria-label="bare ? name : undefined"
      :aria-invalid="message ? 'true' : undefined"
      :aria-describedby="message ? `${id}-m` : undefined"
      @focus="($event.target as HTMLInputElement).select()"
      @input="typed"
      @blur="commit"
      @keydown.enter.prevent="commit"
      @keydown.escape="escape"
    />
    <span v-if="message" :id="`${id}-m`" class="message" role="alert">{{ message }}</span>
  </span>
</template>

<style scoped>
.saw-field {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
}
label {
  font-size: 0.85rem;
  color: var(--soft);
  white-space: nowrap;
}
input {
  min-height: var(--target);
  padding: 1px 8px;
  border: 1px solid var(--line);
  border-bottom: 2px solid var(--chalk);
  border-radius: 2px;
  background: var(--sheet);
  color: var(--chalk-words);
  font-size: 1rem;
  text-align: right;
}
input::placeholder {
  color: var(--soft);
  opacity: 1;
}
input:focus {
  outline: 2px solid var(--chalk);
  outline-offset: 1px;
}
.wrong input {
  border-color: var(--crayon);
  color: var(--crayon-words);
  background: var(--wash);
}
.message {
  flex-basis: 100%;
  max-width: 280px;
  padding: 6px 10px;
  background: var(--wash);
  border-left: 4px solid var(--crayon);
  font-size: 0.9rem;
  text-align: left;
}
</style>
