<script setup lang="ts">
import type { FieldPath } from '../../core/design'
import type { Pitch } from '../../core/measure'
import { useEntry } from '../composables/useEntry'
import { useFieldName } from '../composables/useFieldName'

/** `bare` on a drawing, without its name; in the hand its name and what is said of it stand in a row. */
const props = defineProps<{ path: FieldPath; value: number | Pitch; bare?: boolean }>()
const fieldName = useFieldName()
const { text, message, focused, dirty, begin, typed, commit, revert, nudge } = useEntry(
  () => props.path,
  () => props.value,
  () => `${props.bare ? 'drawing' : 'hand'} ${props.path}`,
)
/** What is typed is let go; with nothing typed the key goes on, out of what is in hand. */
function escape(event: KeyboardEvent): void {
  if (dirty()) {
    event.stopPropagation()
    event.preventDefault()
  }
  revert()
}
const id = useId()
</script>

<template>
  <span class="measure" :class="{ wrong: message, bare, focused }">
    <label v-if="!bare" :for="id" class="name">{{ fieldName(path) }}</label>
    <input
      :id="id"
      class="entry figures"
      type="text"
      inputmode="text"
      autocomplete="off"
      spellcheck="false"
      :value="text"
      :size="Math.max(5, text.length)"
      :aria-label="bare ? fieldName(path) : undefined"
      :aria-invalid="message ? 'true' : undefined"
      :aria-describedby="message ? `${id}-m` : undefined"
      :data-field="path"
      @focus="begin($event)"
      @input="typed($event)"
      @blur="commit"
      @keydown.enter.prevent="commit"
      @keydown.escape="escape"
      @keydown.up.prevent="nudge(1)"
      @keydown.down.prevent="nudge(-1)"
    />
    <span v-if="message" :id="`${id}-m`" class="message" role="alert">{{ message }}</span>
  </span>
</template>

<style scoped>
.measure {
  position: relative;
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.name {
  font-size: 0.85rem;
  color: var(--soft);
  white-space: nowrap;
}
.entry {
  min-height: 28px;
  padding: 1px 6px;
  border: 1px solid transparent;
  border-bottom: 2px solid var(--chalk);
  border-radius: 2px;
  background: var(--sheet);
  color: var(--chalk-words);
  font-size: 0.95rem;
  text-align: center;
  field-sizing: content;
  min-width: 5ch;
  max-width: 18ch;
}
.measure:not(.bare) .entry {
  min-height: var(--target);
}
.entry:hover {
  border-color: var(--chalk);
}
.entry:focus {
  outline: 2px solid var(--chalk);
  outline-offset: 1px;
  color: var(--ink);
}
.wrong .entry {
  border-color: var(--crayon);
  color: var(--crayon-words);
  background: var(--wash);
}
.message {
  position: absolute;
  z-index: 6;
  top: calc(100% + 6px);
  left: 50%;
  transform: translateX(-50%);
  width: max-content;
  max-width: 260px;
  padding: 8px 10px;
  background: var(--wash);
  color: var(--ink);
  border-left: 4px solid var(--crayon);
  font-family: var(--text);
  font-size: 0.9rem;
  text-align: left;
}
@media (pointer: coarse), (max-width: 900px) {
  .entry {
    min-height: 44px;
    min-width: 60px;
  }
}
</style>
