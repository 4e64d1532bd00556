<script setup lang="ts">
/** Parts of the building that can be touched on a drawing where no board stands for them. */
export interface TouchArea {
  readonly subject: string
  readonly name: string
  /** An SVG path, px. */
  readonly d: string
}
defineProps<{
  areas: readonly TouchArea[]
  label: string
  /** px */
  width: number
  height: number
}>()
const bench = useBench()
const take = (subject: string): void => bench.touch({ subject })
</script>

<template>
  <svg :width="width" :height="height" role="group" :aria-label="label">
    <path
      v-for="area in areas"
      :key="`${area.subject} ${area.d}`"
      class="area"
      :class="{ held: bench.subject?.key === area.subject }"
      :d="area.d"
      :data-subject="area.subject"
      role="button"
      tabindex="0"
      :aria-label="area.name"
      @click="take(area.subject)"
      @keydown.enter.prevent="take(area.subject)"
      @keydown.space.prevent="take(area.subject)"
    />
  </svg>
</template>

<style scoped>
svg {
  position: absolute;
  inset: 0;
  display: block;
  pointer-events: none;
}
.area {
  fill: transparent;
  stroke: none;
  pointer-events: all;
  cursor: pointer;
}
.area:hover {
  fill: var(--chalk);
  fill-opacity: 0.08;
}
.area.held {
  fill: var(--crayon);
  fill-opacity: 0.07;
  stroke: var(--crayon);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
.area:focus-visible {
  outline: none;
  stroke: var(--chalk);
  stroke-width: 3;
}
</style>
