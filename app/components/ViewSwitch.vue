<script setup lang="ts">
/** The bench's own drawing, or the frame in 3D. */
const props = defineProps<{ drawing: string }>()
const bench = useBench()
const options = computed(() => [
  { value: 'drawing', label: props.drawing },
  { value: 'frame', label: '3D' },
])
</script>

<template>
  <SelectButton
    v-model="bench.view"
    :options="options"
    option-value="value"
    option-label="label"
    :allow-empty="false"
    aria-label="View"
  />
</template>
