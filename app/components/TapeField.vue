<script setup lang="ts">
import { limits } from '../../core/design'
import { formatLength, type Units } from '../../core/measure'
import { sayLength } from '../../core/words'
import { readTape } from '../logic/entry'

/**
 * What a tape reads, or nothing yet; what a perfect one would read stands faint in its place. Emptied, the
 * reading is taken back.
 */
const props = defineProps<{
  label: string
  value: number | null
  meant: number
  units: Units
  bare?: boolean
}>()
const emit = defineEmits<{ set: [value: number | null] }>()
const entry = ref<string | null>(null)
const message = ref('')
const id = useId()
const text = computed(
  () => entry.value ?? (props.value === null ? '' : formatLength(props.value, { units: props.units })),
)

function commit(): void {
  if (entry.value === null) return
  if (entry.value.trim() === '') {
    entry.value = null
    message.value = ''
    return emit('set', null)
  }
  if (props.value !== null && entry.value === formatLength(props.value, { units: props.units }))
    return revert()
  const read = readTape(entry.value, props.units, props.label, limits.tape)
  if (!read.ok) {
    message.value = read.message
    return
  }
  revert()
  emit('set', read.value)
}

useTypedField({
  name: () => props.label,
  dirty: () =>
    entry.value !== null &&
    entry.value !== (props.value === null ? '' : formatLength(props.value, { units: props.units })),
  enter: () => {
    commit()
    return message.value
  },
})

function revert(): void {
  entry.value = null
  message.value = ''
}
function typed(event: Event): void {
  entry.value = (event.target as HTMLInputElement).value
  message.value = ''
}
</script>

<template>
  <span class="tape" :class="{ wrong: message, off: value !== null && Math.abs(value - meant) > 3.2 }">
    <label :for="id" :class="{ 'visually-hidden': bare }">{{ label }}</label>
    <input
      :id="id"
      class="figures"
      type="text"
      autocomplete="off"
      spellcheck="false"
      :value="text"
      :placeholder="formatLength(meant, { units })"
      :size="Math.max(8, text.length)"
      :aria-invalid="message ? 'true' : undefined"
      :aria-describedby="message ? `${id}-m` : `${id}-t`"
      @input="typed"
      @focus="($event.target as HTMLInputElement).select()"
      @blur="commit"
      @keydown.enter.prevent="commit"
      @keydown.escape.stop.prevent="revert"
    />
    <span :id="`${id}-t`" class="visually-hidden">Should read {{ sayLength(meant, units) }}</span>
    <span v-if="message" :id="`${id}-m`" class="message" role="alert">{{ message }}</span>
  </span>
</template>

<style scoped>
.tape {
  position: relative;
  display: inline-flex;
  gap: 8px;
  align-items: center;
}
label {
  color: var(--soft);
  font-size: 0.9rem;
}
input {
  min-height: var(--target);
  width: 9rem;
  text-align: center;
  color: var(--chalk-words);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-bottom: 2px solid var(--chalk);
  border-radius: 2px;
}
input::placeholder {
  color: var(--soft);
  opacity: 1;
  font-style: italic;
}
.off input {
  color: var(--crayon-words);
  border-bottom-color: var(--crayon);
}
.wrong input {
  border-color: var(--crayon);
  background: var(--wash);
}
.message {
  position: absolute;
  z-index: 6;
  top: calc(100% + 6px);
  left: 0;
  width: max-content;
  max-width: 260px;
  padding: 8px 10px;
  background: var(--wash);
  border-left: 4px solid var(--crayon);
  font-size: 0.9rem;
}
</style>
