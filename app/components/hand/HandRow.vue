<script setup lang="ts">
import type { Row } from '../../hand/row'
import { useFieldName } from '../../composables/useFieldName'

/** A row of the hand: typed, chosen, done or read; with what can't be as it is asked for. */
const props = defineProps<{ row: Row; faults: readonly string[] }>()
const bench = useBench()
const fieldName = useFieldName()
function choose(value: string | number): void {
  if (props.row.kind === 'choice' && value !== props.row.value) bench.edit(props.row.change(value))
}
function rename(name: string): void {
  if (props.row.kind === 'name') bench.edit(props.row.change(name))
}
function act(): void {
  if (props.row.kind !== 'act') return
  if (props.row.whole && bench.part !== null) {
    bench.editWhole(props.row.whole(bench.part))
    bench.goToPart(null)
  } else bench.edit(props.row.change)
  if (props.row.then) bench.hold(props.row.then)
}
</script>

<template>
  <h3 v-if="row.kind === 'head'" class="head">{{ row.text }}</h3>
  <p v-else-if="row.kind === 'say'" :class="row.wrong ? 'wrong' : 'quiet'">{{ row.text }}</p>
  <ExplainedList v-else-if="row.kind === 'figures'" :rows="row.rows" />
  <Button
    v-else-if="row.kind === 'act'"
    class="act"
    :label="row.name"
    :icon="row.icon"
    outlined
    severity="secondary"
    :disabled="!row.may"
    @click="act"
  />
  <HandBlock v-else-if="row.kind === 'block'" :block="row.block" />
  <div v-else class="field" :class="{ faulty: faults.length }">
    <MeasureField v-if="row.kind === 'length'" :path="row.path" :value="row.value" />
    <ChoiceField
      v-else-if="row.kind === 'choice'"
      :model-value="row.value"
      :label="row.name"
      :options="row.options"
      @update:model-value="choose"
    />
    <label v-else class="named"
      ><span>{{ row.name }}</span
      ><NameField :value="row.value" :label="row.name" @set="rename"
    /></label>
    <HandHelp
      v-if="row.kind !== 'name'"
      :path="row.path"
      :name="row.kind === 'choice' ? row.name : fieldName(row.path)"
    />
    <p v-for="fault in faults" :key="fault" class="wrong">{{ fault }}</p>
  </div>
</template>

<style scoped>
.field {
  display: grid;
  grid-template-columns: minmax(0, 1fr) var(--target);
  align-items: center;
}
.field:has(> :last-child:first-child) {
  grid-template-columns: minmax(0, 1fr);
}
.field :deep(:is(.choice, .measure)),
.named {
  display: grid;
  grid-template-columns: minmax(0, 8.6rem) minmax(0, 1fr);
  gap: 8px;
  align-items: center;
  min-width: 0;
}
.field :deep(:is(.choice > label, .measure > .name)) {
  white-space: normal;
  font-size: 0.95rem;
}
.field :deep(.p-select) {
  min-width: 0;
  width: 100%;
}
.field :deep(.p-select-label) {
  white-space: normal;
  line-height: 1.2;
}
.field :deep(.entry) {
  justify-self: start;
  font-size: 1.1rem;
}
.field :deep(.message) {
  position: static;
  transform: none;
  width: auto;
  max-width: none;
  grid-column: 1 / -1;
}
.named {
  color: var(--soft);
  font-size: 0.95rem;
}
.faulty {
  border-left: 4px solid var(--crayon);
  padding-left: 8px;
}
.wrong {
  grid-column: 1 / -1;
  color: var(--crayon-words);
  font-weight: 700;
  padding: 2px 0 4px;
}
.quiet {
  font-size: 0.95rem;
}
.head {
  margin-top: 8px;
  font-size: 1.1rem;
  border-bottom: 1px solid var(--line);
}
.act {
  justify-self: start;
}
@container (max-width: 335px) {
  .field :deep(:is(.choice, .measure)),
  .named {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px;
  }
}
</style>
