<script setup lang="ts">
import { tieKinds, type TieKind, usualTies } from '../../core/design'

/** Rafter ties and collar ties: whether there are any, of what, how high, and at which rafters. */
const open = defineModel<boolean>({ required: true })
const bench = useBench()
const sections = useSectionChoices()
const names: Record<TieKind, { title: string, why: string }> = {
  rafter: { title: 'Rafter ties', why: 'Low down, from plate to plate: they keep the rafters from pushing the walls apart.' },
  collar: { title: 'Collar ties', why: 'Up near the ridge: they keep the two slopes together in the wind. They don\'t hold the walls.' },
}
const every = [{ value: 1, label: 'Every rafter' }, { value: 2, label: 'Each second' }, { value: 3, label: 'Each third' }]
const kinds = computed(() => tieKinds.map(kind => ({ kind, ...names[kind], ties: bench.design?.roof.ties[kind] ?? null })))
const setTies = (kind: TieKind, on: string | number): void => bench.setValue(`roof.ties.${kind}`, on === 'yes' ? usualTies[bench.design?.units ?? 'imperial'][kind] : null)
</script>

<template>
  <Dialog v-model:visible="open" modal header="Ties" :style="{ width: '30rem' }" :breakpoints="{ '720px': '96vw' }">
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
      <p class="quiet">What ties must carry, and with which nails, local code and an engineer decide.</p>
    </div>
    <template #footer><Button label="Close" @click="open = false" /></template>
  </Dialog>
</template>
