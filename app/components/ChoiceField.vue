<script setup lang="ts">
/** One of a few choices of the design, that is not a dimension. */
defineProps<{ label: string, options: readonly { readonly value: string | number, readonly label: string }[] }>()
const model = defineModel<string | number>({ required: true })
const id = useId()
</script>

<template>
  <span class="choice">
    <label :for="id">{{ label }}</label>
    <Select v-model="model" :input-id="id" :label-id="id" :options="[...options]" option-value="value" option-label="label" :aria-label="label" scroll-height="340px" />
  </span>
</template>

<style scoped>
.choice { display: inline-flex; align-items: center; gap: 8px; }
label { font-size: .85rem; color: var(--soft); white-space: nowrap; }
:deep(.p-select-label) { padding-block: 5px; }
</style>
