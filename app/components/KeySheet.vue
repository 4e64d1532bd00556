<script setup lang="ts">
import type { Command } from '../logic/commands'

defineProps<{ commands: readonly Command[] }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ notes: [] }>()
/** The notes of a first visit come back, all of them. */
function again(): void {
  open.value = false
  emit('notes')
}
</script>

<template>
  <Dialog v-model:visible="open" modal header="Keys" :style="{ width: 'min(48rem, 94vw)' }" dismissable-mask>
    <dl class="keys">
      <template v-for="command in commands" :key="command.id">
        <dt>
          <kbd>{{ command.keys }}</kbd>
        </dt>
        <dd>{{ command.label }}</dd>
      </template>
      <dt><kbd>Enter</kbd></dt>
      <dd>Take what is typed into a dimension</dd>
      <dt><kbd>Esc</kbd></dt>
      <dd>Leave a dimension as it was; let go of a drag</dd>
      <dt><kbd>↑ ↓</kbd></dt>
      <dd>Move a dimension or a handle by a step</dd>
    </dl>
    <template #footer
      ><Button label="Show the notes of the first visit" outlined severity="secondary" @click="again"
    /></template>
  </Dialog>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: max-content 1fr max-content 1fr;
  gap: 8px 16px;
  margin: 0;
}
@media (max-width: 620px) {
  .keys {
    grid-template-columns: max-content 1fr;
  }
}
dd {
  margin: 0;
}
kbd {
  font-family: var(--figures);
  border: 1px solid var(--line);
  padding: 1px 8px;
  background: var(--paper);
}
</style>
