<script setup lang="ts">
import { sayStoring } from '../logic/storage-words'

/** Asked before a bench is left with something that is not entered or not stored. */
const props = defineProps<{ refused: readonly string[] }>()
const emit = defineEmits<{ reply: [leave: boolean]; export: [] }>()
const bench = useBench()
const title = computed(() =>
  props.refused.length
    ? 'Not entered'
    : bench.storing === 'storing' || bench.storing === 'silent'
      ? 'Saving …'
      : 'Not saved',
)
/** The title says already that it is not saved. */
const why = computed(() => sayStoring(bench.storing).replace(/^Not saved( yet)?\. /, ''))
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
      <p v-else-if="bench.storing === 'storing'" role="status">The last changes are being saved.</p>
      <p v-else role="alert">{{ why }}</p>
    </div>
    <template #footer>
      <Button label="Leave without it" text severity="secondary" @click="emit('reply', true)" />
      <Button
        v-if="!refused.length"
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
