<script setup lang="ts">
/** One of a few choices of the design, that is not a dimension. */
const props = defineProps<{
  label: string
  options: readonly { readonly value: string | number; readonly label: string }[]
}>()
const model = defineModel<string | number>({ required: true })
const id = useId()
/**
 * What is chosen, without what stands in brackets in the list: the list says the sizes, the strip has no room
 * for them.
 */
const chosen = computed(() =>
  (props.options.find(each => each.value === model.value)?.label ?? '').replace(/ \(.*\)$/, ''),
)
/** What is chosen takes the keys: the Select would ask, as it is drawn, for the layout of all of the page. */
const choose = (): void => document.getElementById(id)?.focus()
</script>

<template>
  <span class="choice">
    <label :for="id" @click="choose">{{ label }}</label>
    <Select
      v-model="model"
      :input-id="id"
      :options="[...options]"
      option-value="value"
      option-label="label"
      :aria-label="label"
      scroll-height="340px"
      ><template #value>{{ chosen }}</template></Select
    >
  </span>
</template>

<style scoped>
.choice {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
label {
  font-size: 0.85rem;
  color: var(--soft);
  white-space: nowrap;
}
:deep(.p-select-label) {
  padding-block: 5px;
}
</style>
