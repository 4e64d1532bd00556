<script setup lang="ts">
import { tieKinds, type TieKind, usualTies } from '../../core/design'

/** Rafter ties and collar ties: whether there are any, of what, how high, and at which rafters; and the boards along the tails. */
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const sections = useSectionChoices()
const names: Record<TieKind, { title: string, why: string }> = {
  rafter: { title: 'Rafter ties', why: 'Low down, from plate to plate: they keep the rafters from pushing the walls apart.' },
  collar: { title: 'Collar ties', why: 'Up near the ridge: they keep the two slopes together in the wind. They don\'t hold the walls.' },
}
const every = [{ value: 1, label: 'Every rafter' }, { value: 2, label: 'Each second' }, { value: 3, label: 'Each third' }]
const gable = computed(() => bench.design?.roof.shape === 'gable')
const boards = computed(() => [{ value: '', label: 'None' }, ...sections.value])
const fascia = (part: 'sub' | 'face') => computed<string>({ get: () => bench.design?.roof.fascia[part] ?? '', set: value => bench.setValue(`roof.fascia.${part}`, value || null) })
const [sub, face] = [fascia('sub'), fascia('face')]
const kinds = computed(() => (gable.value ? tieKinds : []).map(kind => ({ kind, ...names[kind], ties: bench.design?.roof.ties[kind] ?? null })))
const setTies = (kind: TieKind, on: string | number): void => bench.setValue(`roof.ties.${kind}`, on === 'yes' ? usualTies[bench.design?.units ?? 'imperial'][kind] : null)
</script>

<template>
  <Dialog v-model:visible="open" modal :header="gable ? 'Ties and fascia' : 'Fascia'" :style="{ width: '30rem' }" :breakpoints="{ '720px': '96vw' }">
    <div class="dialog-rows">
      <template v-for="{ kind, title, why, ties } in kinds" :key="kind">
        <h3>{{ title }}</h3>
        <p class="quiet">{{ why }}</p>
        <ChoiceField :model-value="ties ? 'yes' : 'no'" :label="title" :options="[{ value: 'no', label: 'None' }, { value: 'yes', label: 'Framed' }]" @update:model-value="setTies(kind, $event)" />
        <template v-if="ties">
          <ChoiceField :model-value="ties.section" :label="`${title}, of`" :options="sections" @update:model-value="bench.setValue(`roof.ties.${kind}.section`, $event)" />
          <ChoiceField :model-value="ties.every" :label="`${title}, at`" :options="every" @update:model-value="bench.setValue(`roof.ties.${kind}.every`, $event)" />
          <MeasureField :path="`roof.ties.${kind}.height`" :value="ties.height" />
        </template>
      </template>
      <h3>Fascia</h3>
      <p class="quiet">Along the tails, its upper edge ripped to the slope.</p>
      <ChoiceField v-model="sub" label="Sub-fascia" :options="boards" />
      <ChoiceField v-model="face" label="Fascia" :options="boards" />
      <p v-if="gable" class="quiet">What ties must carry, and with which nails, local code and an engineer decide.</p>
    </div>
    <template #footer><Button label="Close" @click="open = false" /></template>
  </Dialog>
</template>
