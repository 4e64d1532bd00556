<script setup lang="ts">
import { sayStorage, sayStoring } from '../logic/storage-words'

/** Asked before a bench is left with something that is not entered or not stored. */
const props = defineProps<{ refused: readonly string[] }>()
const emit = defineEmits<{ reply: [leave: boolean]; export: [] }>()
const bench = useBench()
const saw = useSaw()
const state = useSaving()
const title = computed(() =>
  props.refused.length
    ? 'Not entered'
    : state.value === 'storing' || state.value === 'silent'
      ? 'Saving …'
      : 'Not saved',
)
/** The title says already that it is not saved. */
const why = computed(() => {
  if (bench.storing !== 'stored') return sayStoring(bench.storing).replace(/^Not saved( yet)?\. /, '')
  const { storing } = saw
  return storing === 'stored' || storing === 'storing'
    ? ''
    : `What is at the saw waits. ${sayStorage(storing)}`
})
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="title"
    :style="{ width: 'min(32rem, 94vw)' }"
    @update:visible="emit('reply', false)"
  >
    <div class="asked">
      <ul v-if="refused.length">
        <li v-for="each in refused" :key="each">{{ each }}</li>
      </ul>
      <p v-else-if="state === 'storing'" role="status">The last changes are being saved.</p>
      <p v-else role="alert">{{ why }}</p>
    </div>
    <template #footer>
      <Button label="Leave without it" text severity="secondary" @click="emit('reply', true)" />
      <Button
        v-if="!refused.length && bench.storing !== 'stored'"
        label="Save as a file"
        icon="pi pi-download"
        outlined
        @click="emit('export')"
      />
      <Button label="Stay" autofocus @click="emit('reply', false)" />
    </template>
  </Dialog>
</template>

<style scoped>
.asked ul {
  margin: 0;
  padding-left: 20px;
  display: grid;
  gap: 6px;
}
</style>
