<script setup lang="ts">
import { isShape, type ShapeChoice, shapeChoices, withShape } from '../logic/roof-shapes'
import { roofSketch } from '../logic/section-sketch'

/** Every roof that can be had, as it would stand on this building. */
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const [WIDE, TALL] = [180, 92]
const choices = computed(() => {
  const { design } = bench
  return design && open.value
    ? shapeChoices.map(choice => ({
        choice,
        here: isShape(design, choice),
        paths: roofSketch(isShape(design, choice) ? design : withShape(design, choice), WIDE, TALL),
      }))
    : []
})
function take(choice: ShapeChoice): void {
  bench.edit(design => (isShape(design, choice) ? design : withShape(design, choice)))
  open.value = false
}
</script>

<template>
  <Dialog
    v-model:visible="open"
    modal
    header="Roof shape"
    :style="{ width: '57rem' }"
    :breakpoints="{ '760px': '96vw' }"
  >
    <div class="shapes">
      <button
        v-for="{ choice, here, paths } in choices"
        :key="choice.label"
        type="button"
        class="shape"
        :class="{ here }"
        :aria-pressed="here"
        @click="take(choice)"
      >
        <svg :width="WIDE" :height="TALL" aria-hidden="true">
          <path v-for="(path, i) in paths" :key="i" :d="path" />
        </svg>
        <span>{{ choice.label }}</span>
      </button>
    </div>
    <p class="quiet">
      Your own building with each roof on it, seen from over its south-east corner. Walls with their own
      heights begin again as high as all; undo puts them back.
    </p>
    <template #footer><Button label="Close" @click="open = false" /></template>
  </Dialog>
</template>

<style scoped>
.shapes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(12.5rem, 1fr));
  gap: 10px;
}
.shape {
  display: grid;
  gap: 4px;
  justify-items: center;
  padding: 8px;
  min-height: var(--target);
  background: var(--sheet);
  border: 1px solid var(--line);
  color: var(--ink);
  font: 600 1rem var(--text);
  cursor: pointer;
}
.shape.here {
  border: 2px solid var(--crayon);
  padding: 7px;
}
.shape:focus-visible {
  outline: 3px solid var(--chalk);
  outline-offset: 2px;
}
path {
  fill: var(--pine);
  stroke: var(--ink);
  stroke-width: 0.5;
}
.quiet {
  margin-top: 12px;
}
</style>
