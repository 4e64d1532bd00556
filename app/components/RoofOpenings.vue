<script setup lang="ts">
import { isOfRoofOpening } from '../../core/frame'
import { roofHas, roofOpeningKinds, type SideName } from '../../core/design'
import { roofOpeningWords } from '../../core/words'

/** Roof lights, flues and stairs of a roof: added here, and one at a time typed over. */
const bench = useBench()
const openings = useRoofOpenings()
const all = computed(() => bench.design?.roof.openings ?? [])
const chosen = ref(0)
const i = computed(() => Math.min(chosen.value, all.value.length - 1))
const opening = computed(() => all.value[i.value])
const has = computed(() => bench.design && roofHas(bench.design.roof))
const single = computed(() => has.value?.falls.length === 1)
/** Whether the roof has ceiling joists that a stair could open. */
const joisted = computed(() => !!has.value?.ties.includes('ceiling'))
const kinds = computed(() => roofOpeningKinds.filter(kind => kind !== 'stair' || joisted.value))
const slopes: { value: SideName; label: string }[] = [
  { value: 'south', label: 'South' },
  { value: 'north', label: 'North' },
]
const plies = [
  { value: 1, label: 'One board' },
  { value: 2, label: 'Two boards' },
]
const numbers = computed(() =>
  all.value.map(({ kind }, value) => ({ value, label: `${value + 1} ${roofOpeningWords[kind]}` })),
)
const framed = computed(() =>
  (bench.plan?.frame.members ?? []).some(({ where }) => isOfRoofOpening(where, i.value + 1)),
)
function add(kind: (typeof roofOpeningKinds)[number]): void {
  openings.add(kind)
  chosen.value = all.value.length - 1
}
</script>

<template>
  <div class="field-rows">
    <p class="add">
      <Button
        v-for="kind in kinds"
        :key="kind"
        :label="roofOpeningWords[kind]"
        icon="pi pi-plus"
        text
        severity="secondary"
        :aria-label="`Add a ${roofOpeningWords[kind].toLowerCase()}`"
        :disabled="!bench.plan?.roof || all.length > 9"
        @click="add(kind)"
      />
      <SelectButton
        v-if="all.length > 1"
        :model-value="i"
        :options="numbers"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Which opening"
        @update:model-value="chosen = $event"
      />
    </p>
    <section v-if="opening" class="field-row" :aria-label="`Opening ${i + 1}`">
      <b>{{ numbers[i]?.label }}</b>
      <ChoiceField
        v-if="opening.kind !== 'stair' && !single"
        :model-value="opening.slope"
        label="Slope"
        :options="slopes"
        @update:model-value="bench.setValue(`roof.openings.${i}.slope`, $event)"
      />
      <MeasureField :path="`roof.openings.${i}.at`" :value="opening.at" /><MeasureField
        :path="`roof.openings.${i}.up`"
        :value="opening.up"
      />
      <MeasureField :path="`roof.openings.${i}.width`" :value="opening.width" /><MeasureField
        :path="`roof.openings.${i}.length`"
        :value="opening.length"
      />
      <ChoiceField
        :model-value="opening.plies"
        label="Beside it"
        :options="plies"
        @update:model-value="bench.setValue(`roof.openings.${i}.plies`, $event)"
      />
      <span v-if="!framed" class="not">not framed</span>
      <Button
        icon="pi pi-times"
        text
        severity="secondary"
        :aria-label="`Take opening ${i + 1} away`"
        @click="openings.drop(i)"
      />
    </section>
  </div>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  padding: 0 8px;
}
@media (max-width: 720px) {
  .add {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  .add > * {
    flex: none;
  }
}
</style>
