<script setup lang="ts">
import type { Figure } from '../../core/plan'
import { explain, figureNames, sayFigure } from '../../core/words'

const props = defineProps<{ figures: readonly Figure[] }>()
const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const open = ref<string | null>(null)
const shown = computed(() => props.figures.find(figure => figure.name === open.value) ?? null)
</script>

<template>
  <div class="figures-list">
    <button
      v-for="figure in figures" :key="figure.name" type="button" class="figure" :class="{ open: open === figure.name }" :aria-expanded="open === figure.name" :data-figure="figure.name"
      @click="open = open === figure.name ? null : figure.name"
    >
      <span class="what">{{ figureNames[figure.name] }}</span>
      <span class="value figures">{{ sayFigure(figure, units) }}</span>
      <span v-if="shown && open === figure.name" class="why">{{ explain(shown, units) }}</span>
    </button>
  </div>
</template>

<style scoped>
.figures-list { display: grid; grid-template-columns: 1fr 1fr; gap: 0 16px; }
.figure { background: none; border: 0; border-bottom: 1px solid var(--line); padding: 5px 2px; min-height: var(--target); color: inherit; cursor: pointer; display: grid; grid-template-columns: 1fr auto; gap: 2px 8px; text-align: left; align-items: center; }
.figure:hover { background: var(--paper); }
.figure.open { grid-column: 1 / -1; background: var(--paper); border-bottom-color: var(--chalk); }
.what { color: var(--soft); font-size: .9rem; text-decoration: underline dotted; text-underline-offset: 3px; }
.value { color: var(--ink); }
.why { grid-column: 1 / -1; font-size: .95rem; padding-bottom: 4px; }
</style>
