<script setup lang="ts">
import type { Limit } from '../../core/design'
import { formatLength, type Units } from '../../core/measure'
import { readTape } from '../logic/entry'

/** A length of a building that is about to be begun; it changes as it is typed. */
const props = defineProps<{ label: string; what: string; value: number; units: Units; limit: Limit }>()
const emit = defineEmits<{ set: [value: number] }>()
const entry = ref<string | null>(null)
const message = ref('')
const id = useId()
const text = computed(() => entry.value ?? formatLength(props.value, { units: props.units }))

function read(): void {
  if (entry.value === null) return
  const found = readTape(entry.value, props.units, props.label, props.limit)
  message.value = found.ok ? '' : found.message
  if (found.ok) emit('set', found.value)
}
function typed(event: Event): void {
  entry.value = (event.target as HTMLInputElement).value
  read()
}
/** What is read is shown as a tape says it; what is not stays as typed, with why. */
function leave(): void {
  read()
  if (!message.value) entry.value = null
}
function revert(): void {
  entry.value = null
  message.value = ''
}
watch(() => [props.units, props.limit.min], revert)

const box = useTemplateRef<HTMLInputElement>('box')
/** Whether what is typed can be taken as it is; else the field is shown. */
function settle(): boolean {
  leave()
  if (message.value) box.value?.focus()
  return !message.value
}
defineExpose({ settle })
</script>

<template>
  <div class="size" :class="{ wrong: message }">
    <label :for="id">{{ label }}</label>
    <input
      :id="id"
      ref="box"
      class="figures"
      type="text"
      autocomplete="off"
      spellcheck="false"
      :value="text"
      :aria-invalid="message ? 'true' : undefined"
      :aria-describedby="`${id}-w`"
      @input="typed"
      @focus="($event.target as HTMLInputElement).select()"
      @blur="leave"
      @keydown.enter.prevent="leave"
      @keydown.escape.stop.prevent="revert"
    />
    <p :id="`${id}-w`" :role="message ? 'alert' : undefined" :class="message ? 'fault' : 'quiet'">
      {{ message || what }}
    </p>
  </div>
</template>

<style scoped>
.size {
  display: grid;
  gap: 2px;
}
label {
  font: 600 1.2rem var(--head);
}
input {
  min-height: 44px;
  width: 100%;
  padding: 2px 10px;
  font-size: 1.25rem;
  color: var(--chalk-words);
  background: var(--sheet);
  border: 1px solid var(--line);
  border-bottom: 2px solid var(--chalk);
  border-radius: 2px;
}
.wrong input {
  border-color: var(--crayon);
  background: var(--wash);
}
p {
  font-size: 0.9rem;
}
.fault {
  color: var(--crayon-words);
  font-weight: 700;
}
</style>
