<script setup lang="ts">
import { sectionSketch } from '../logic/section-sketch'
import { database } from '../storage/database'
import { openDesign } from '../storage/designs'

const props = defineProps<{ id: string; revision: number }>()
const path = ref('')

/** The building's own section, small. */
watch(
  () => [props.id, props.revision],
  async () => {
    try {
      path.value = sectionSketch((await openDesign(database(), props.id)).design, 96, 64)
    } catch {
      path.value = ''
    }
  },
  { immediate: true },
)
</script>

<template>
  <svg width="96" height="64" aria-hidden="true"><path :d="path" /></svg>
</template>

<style scoped>
svg {
  flex: none;
}
path {
  fill: var(--pine);
  stroke: var(--ink);
  stroke-width: 0.7;
}
</style>
