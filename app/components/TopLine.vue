<script setup lang="ts">
import { FOOT } from '../../core/measure'
import { sayLongLength, sayWeight } from '../../core/words'
import { moment } from '../logic/moment'
import { cleanName } from '../stores/shelf'

const emit = defineEmits<{ keys: []; export: [] }>()
const bench = useBench()
const dusk = useDusk()
const units = computed(() => bench.design?.units ?? 'imperial')
const name = ref<string | null>(null)
const undoTitle = computed(() =>
  bench.madeAt !== null && bench.canUndo
    ? `Undo what was done ${moment.format(bench.madeAt)} (Ctrl+Z)`
    : 'Undo (Ctrl+Z)',
)
const wood = computed(() => {
  const totals = bench.plan?.totals
  if (!totals) return ''
  return units.value === 'imperial'
    ? `${totals.boardFeet.toFixed(0)} bd ft`
    : `${totals.volume.toFixed(2)} m³`
})

function rename(): void {
  const next = cleanName(name.value ?? '')
  name.value = null
  if (next) bench.edit(design => (design.name === next ? design : { ...design, name: next }))
}

useTypedField({
  name: () => 'Name of the design',
  dirty: () => name.value !== null && name.value !== bench.design?.name,
  enter: () => {
    rename()
    return ''
  },
})
/** The name as it was, and the field left. */
function keepName(event: KeyboardEvent): void {
  name.value = null
  ;(event.target as HTMLTextAreaElement).blur()
}
/** Of shingles. */
const bundles = computed(() => bench.plan?.loose.find(({ code }) => code === 'cover-bundles')?.amount ?? 0)
/** Of all boards; beside panels and bundles in whole feet or metres, so that all stands in one line. */
const long = computed(() => {
  const { length = 0, panels = 0 } = bench.plan?.totals ?? {}
  if (!panels && !bundles.value) return sayLongLength(length, units.value)
  return units.value === 'imperial' ? `${Math.round(length / FOOT)}'` : `${Math.round(length / 1000)} m`
})
</script>

<template>
  <header class="top">
    <h1 class="title">
      <textarea
        class="name"
        rows="1"
        :value="name ?? bench.design?.name"
        aria-label="Name of the design"
        maxlength="80"
        spellcheck="false"
        @input="name = ($event.target as HTMLTextAreaElement).value"
        @blur="rename"
        @keydown.enter.prevent="($event.target as HTMLTextAreaElement).blur()"
        @keydown.escape="keepName"
      />
    </h1>
    <SavingWords class="saving" />
    <div class="acts">
      <Button
        icon="pi pi-undo"
        text
        severity="secondary"
        aria-label="Undo"
        :title="undoTitle"
        :disabled="!bench.canUndo"
        @click="bench.undo()"
      />
      <Button
        icon="pi pi-undo"
        class="redo"
        text
        severity="secondary"
        aria-label="Redo"
        title="Redo (Ctrl+Shift+Z)"
        :disabled="!bench.canRedo"
        @click="bench.redo()"
      />
      <Button
        class="units"
        text
        severity="secondary"
        :label="units === 'imperial' ? 'ft · in' : 'mm'"
        :aria-label="`Units: ${units === 'imperial' ? 'feet and inches' : 'millimetres'}. Change`"
        title="Units (U)"
        @click="bench.toggleUnits()"
      />
      <Button
        icon="pi pi-download"
        text
        severity="secondary"
        aria-label="Save the design as a file"
        title="Save as a file"
        @click="emit('export')"
      />
      <Button
        :icon="dusk ? 'pi pi-sun' : 'pi pi-moon'"
        text
        severity="secondary"
        :aria-label="dusk ? 'Daylight' : 'Dusk'"
        :title="dusk ? 'Daylight' : 'Dusk'"
        @click="dusk = !dusk"
      />
      <Button
        class="keys"
        label="?"
        text
        severity="secondary"
        aria-label="Keys"
        title="Keys (?)"
        @click="emit('keys')"
      />
    </div>
    <p v-if="bench.plan" class="tally figures" aria-label="Tally" role="group" tabindex="0">
      <span
        ><b>{{ bench.plan.totals.pieces }}</b> {{ bench.plan.totals.pieces === 1 ? 'piece' : 'pieces' }}</span
      >
      <span
        ><b>{{ long }}</b></span
      >
      <span class="wood"
        ><b>{{ wood }}</b></span
      >
      <span v-if="bench.plan.totals.sheets"
        ><b>{{ bench.plan.totals.sheets }}</b> {{ bench.plan.totals.sheets === 1 ? 'sheet' : 'sheets' }}</span
      >
      <span v-if="bench.plan.totals.panels"
        ><b>{{ bench.plan.totals.panels }}</b> {{ bench.plan.totals.panels === 1 ? 'panel' : 'panels' }}</span
      >
      <span v-if="bundles"
        ><b>{{ bundles }}</b> {{ bundles === 1 ? 'bundle' : 'bundles' }}</span
      >
      <span
        ><b>{{ sayWeight(bench.plan.totals.weight, units) }}</b></span
      >
    </p>
    <CautionList />
    <PartSwitch />
  </header>
</template>

<style scoped>
.top {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 0 12px;
  padding: 2px 12px;
  min-height: 52px;
  border-bottom: 1px solid var(--line);
}
.title {
  flex: 1 1 150px;
  min-width: 150px;
}
.name {
  width: 100%;
  border: 0;
  border-bottom: 2px solid transparent;
  background: none;
  color: inherit;
  font: 600 1.3rem/1.05 var(--head);
  padding: 2px;
  resize: none;
  field-sizing: content;
  max-height: 3.9rem;
  overflow: hidden auto;
  display: block;
}
.name:hover {
  border-bottom-color: var(--line);
}
.acts {
  display: flex;
  align-items: center;
}
.acts :deep(.p-button) {
  min-width: var(--target);
}
.redo :deep(.pi) {
  transform: scaleX(-1);
}
.tally {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  font-size: 0.95rem;
  white-space: nowrap;
  color: var(--soft);
}
.tally b {
  color: var(--ink);
  font-weight: 400;
}
@media (max-width: 1500px) {
  .wood {
    display: none;
  }
}
@media (max-width: 900px) {
  .top {
    flex-wrap: wrap;
    padding: 0 8px 4px;
    gap: 0 8px;
  }
  .title {
    flex: 1 1 60%;
  }
  .top .saving {
    min-width: 0;
  }
  .tally {
    order: 4;
    gap: 12px;
    font-size: 0.85rem;
    flex: 1 1 100%;
  }
  .acts {
    flex: 1;
    margin-left: -8px;
  }
  .keys {
    display: none;
  }
}
</style>
