<script setup lang="ts">
import { shapeOf } from '../../logic/roof-shapes'

/** The roof's shape by its name, chosen among pictures of them all. */
const bench = useBench()
const shape = computed(() => (bench.design ? shapeOf(bench.design) : null))
const open = ref(false)
const asked = ref(false)
</script>

<template>
  <div>
    <Button
      :label="shape?.label"
      outlined
      severity="secondary"
      icon="pi pi-home"
      :aria-label="`Roof shape: ${shape?.label.toLowerCase()}`"
      @click="open = asked = true"
    />
    <LazyRoofShapes v-if="asked" v-model="open" />
  </div>
</template>
