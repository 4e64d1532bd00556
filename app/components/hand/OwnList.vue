<script setup lang="ts" generic="K extends string">
/** A short list of what one has, each taken away by a button, and a row in which another is typed. */
defineProps<{
  items: readonly {
    readonly name: string
    readonly count?: number
    readonly size: string
    readonly inUse?: boolean
  }[]
  /** `wide` in rem. */
  fields: readonly {
    readonly key: K
    readonly label: string
    readonly wide: number
    readonly placeholder?: string
    readonly numeric?: boolean
    readonly most?: number
  }[]
  fault: { readonly field: string; readonly message: string } | null
  /** What is said of an empty list. */
  none?: string
}>()
const entry = defineModel<Record<K, string>>({ required: true })
const emit = defineEmits<{ add: []; remove: [index: number] }>()
function typed(key: K, text: string | undefined): void {
  entry.value = { ...entry.value, [key]: text ?? '' }
}
</script>

<template>
  <ul>
    <li v-for="(each, i) in items" :key="i">
      <span
        ><b v-if="each.count" class="figures">{{ each.count }} ×</b> {{ each.name }}
        <span class="figures quiet">{{ each.size }}</span></span
      >
      <Button
        :aria-label="`Take away ${each.name}`"
        icon="pi pi-times"
        text
        severity="secondary"
        :disabled="each.inUse"
        :title="each.inUse ? 'In use' : 'Take away'"
        @click="emit('remove', i)"
      />
    </li>
    <li v-if="!items.length && none" class="quiet">{{ none }}</li>
  </ul>
  <form @submit.prevent="emit('add')">
    <label v-for="each in fields" :key="each.key"
      ><span>{{ each.label }}</span
      ><InputText
        :model-value="entry[each.key]"
        :style="{ width: `${each.wide}rem` }"
        :maxlength="each.most"
        :inputmode="each.numeric ? 'numeric' : undefined"
        :invalid="fault?.field === each.key"
        :placeholder="each.placeholder"
        @update:model-value="typed(each.key, $event)"
    /></label>
    <Button type="submit" label="Add" outlined />
  </form>
  <p v-if="fault" role="alert" class="fault">{{ fault.message }}</p>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: 1px solid var(--line);
  min-height: var(--target);
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
label {
  display: grid;
  gap: 4px;
  font-size: 0.9rem;
  color: var(--soft);
}
.fault {
  padding: 8px 10px;
  background: var(--wash);
  border-left: 4px solid var(--crayon);
}
</style>
