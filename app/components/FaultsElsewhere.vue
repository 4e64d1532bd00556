<script setup lang="ts">
/** Numbers at fault that a drawing does not show, written at its corner, where they can be typed over. */
import { type FieldPath, findLimit, isPitchPath, subjectAt } from '../../core/design'
import type { Size } from '../../core/drawing'
import type { Pitch } from '../../core/measure'
import { useFieldName } from '../composables/useFieldName'

/** `faults`: fields at fault; `shown`: those that the drawing shows. */
const { faults, shown } = defineProps<{ faults: readonly string[]; shown: readonly string[] }>()
/** px; none while it is empty */
const size = defineModel<Size>('size', { required: true })
const bench = useBench()
const fieldName = useFieldName()
const elsewhere = computed(() => {
  const paths = [...new Set(faults)].filter(
    path => !shown.some(field => field === path || field.startsWith(`${path}.`)),
  )
  return paths.map(path => {
    const value = bench.value(path)
    const typed = (findLimit(path) || isPitchPath(path)) && value !== null && value !== undefined
    return { path, field: typed ? (path as FieldPath) : null, value: value as number | Pitch }
  })
})
const list = useTemplateRef<HTMLElement>('list')
const { width, height } = useElementSize(list, undefined, { box: 'border-box' })
watch([width, height], ([wide, tall]) => (size.value = { wide, tall }))
const holdAt = (path: string): void => bench.touch({ subject: subjectAt(bench.subjects, path).key })
</script>

<template>
  <ul v-if="elsewhere.length" ref="list" class="elsewhere">
    <li v-for="each in elsewhere" :key="each.path">
      <b aria-hidden="true">!</b>
      <button type="button" class="plain-button" @click="holdAt(each.path)">
        {{ fieldName(each.path) }}
      </button>
      <MeasureField v-if="each.field" :path="each.field" :value="each.value" bare />
    </li>
  </ul>
</template>

<style scoped>
.elsewhere {
  position: absolute;
  left: 12px;
  top: 8px;
  z-index: 4;
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
}
.elsewhere li {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 2px 8px;
  background: var(--sheet);
  outline: 2.5px solid var(--crayon);
  border-radius: 3px;
}
.elsewhere b {
  font-size: 1.1rem;
  color: var(--crayon-words);
}
.elsewhere .plain-button {
  min-height: var(--target);
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
