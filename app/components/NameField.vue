<script setup lang="ts">
import { cleanName } from '../stores/shelf'

/** A name that is typed over; emptied, it stays what it was. */
const props = withDefaults(defineProps<{ value: string; label: string; most?: number }>(), { most: 40 })
const emit = defineEmits<{ set: [name: string] }>()
const entry = ref<string | null>(null)

function commit(): void {
  const name = cleanName(entry.value ?? '').slice(0, props.most)
  entry.value = null
  if (name && name !== props.value) emit('set', name)
}

useTypedField({
  name: () => props.label,
  dirty: () => entry.value !== null && entry.value !== props.value,
  enter: () => {
    commit()
    return ''
  },
})
</script>

<template>
  <InputText
    :model-value="entry ?? value"
    :maxlength="most"
    :aria-label="label"
    @update:model-value="entry = $event ?? ''"
    @blur="commit"
    @keydown.enter.prevent="commit"
    @keydown.escape="entry = null"
  />
</template>
