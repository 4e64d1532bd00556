<script setup lang="ts">
import { fit as fitTo, pathOf, roofSection } from '../../core/drawing'
import { plan } from '../../core/plan'
import { database } from '../storage/database'
import { openDesign } from '../storage/designs'

const props = defineProps<{ id: string, revision: number }>()
const path = ref('')

/** The building's own section, small. */
watch(() => [props.id, props.revision], async () => {
  try {
    const { design } = await openDesign(database(), props.id)
    const drawing = roofSection(plan(design))
    const on = fitTo(drawing, 96, 64, { left: 4, right: 4, top: 4, bottom: 4 })
    path.value = drawing.patches.map(patch => pathOf(patch.loops, on.at)).join('')
  }
  catch { path.value = '' }
}, { immediate: true })
</script>

<template>
  <svg width="96" height="64" aria-hidden="true"><path :d="path" /></svg>
</template>

<style scoped>
svg { flex: none; }
path { fill: var(--pine); stroke: var(--ink); stroke-width: .7; }
</style>
