<script setup lang="ts">
import { openingKinds, type OpeningKind, roughSize, standsOnDeck, type WallOpening } from '../../core/design'
import type { WallName } from '../../core/frame'
import { openingWords, sayLength } from '../../core/words'

/** The openings of one wall, each with what can be typed over. */
const props = defineProps<{ wall: WallName }>()
const bench = useBench()
const openings = useOpenings()
const sections = useSectionChoices()
const units = computed(() => bench.design?.units ?? 'imperial')
const kinds = openingKinds.map(value => ({ value, label: openingWords[value] }))
const rows = computed(() =>
  (bench.design?.walls.openings ?? []).flatMap((opening, i) =>
    opening.wall === props.wall ? [{ opening, i, rough: roughSize(opening) }] : [],
  ),
)
const unitsOnHand = computed(() => bench.design?.walls.units ?? [])
/** Units on hand to give an opening; what it has now may be none of them. */
const onHand = computed(() =>
  unitsOnHand.value.length
    ? [
        { value: -1, label: 'As typed' },
        ...unitsOnHand.value.map((unit, value) => ({
          value,
          label: `${unit.name} (${sayLength(unit.width, units.value)} × ${sayLength(unit.height, units.value)})`,
        })),
      ]
    : [],
)
const unitOf = ({ unit }: WallOpening): number =>
  unitsOnHand.value.findIndex(
    each => Math.abs(each.width - unit.width) < 0.01 && Math.abs(each.height - unit.height) < 0.01,
  )
function takeUnit(i: number, k: number): void {
  const unit = unitsOnHand.value[k]
  if (unit) bench.setValue(`walls.openings.${i}.unit`, { width: unit.width, height: unit.height })
}
const plies = [1, 2, 3].map(value => ({ value, label: value === 1 ? '1 ply' : `${value} plies` }))
const framed = computed(
  () => new Set((bench.plan?.frame.openings[props.wall] ?? []).map(each => each.number)),
)
</script>

<template>
  <div v-if="rows.length" class="field-rows">
    <section
      v-for="{ opening, i, rough } in rows"
      :key="i"
      class="field-row"
      :aria-label="`Opening ${i + 1}`"
    >
      <b>{{ i + 1 }}</b>
      <ChoiceField
        :model-value="opening.kind"
        label="Kind"
        :options="kinds"
        @update:model-value="openings.setKind(i, $event as OpeningKind)"
      />
      <ChoiceField
        v-if="onHand.length && !standsOnDeck(opening.kind)"
        :model-value="unitOf(opening)"
        label="Unit"
        :options="onHand"
        @update:model-value="takeUnit(i, Number($event))"
      />
      <MeasureField :path="`walls.openings.${i}.at`" :value="opening.at" />
      <MeasureField
        v-if="!standsOnDeck(opening.kind)"
        :path="`walls.openings.${i}.foot`"
        :value="opening.foot"
      />
      <MeasureField :path="`walls.openings.${i}.unit.width`" :value="opening.unit.width" /><MeasureField
        :path="`walls.openings.${i}.unit.height`"
        :value="opening.unit.height"
      />
      <MeasureField
        :path="`walls.openings.${i}.clearance.width`"
        :value="opening.clearance.width"
      /><MeasureField :path="`walls.openings.${i}.clearance.height`" :value="opening.clearance.height" />
      <ChoiceField
        :model-value="opening.header.section"
        label="Header"
        :options="sections"
        @update:model-value="bench.setValue(`walls.openings.${i}.header.section`, $event)"
      />
      <ChoiceField
        :model-value="opening.header.plies"
        label="Built of"
        :options="plies"
        @update:model-value="bench.setValue(`walls.openings.${i}.header.plies`, $event)"
      />
      <span class="figures"
        >rough {{ sayLength(rough.width, units) }} × {{ sayLength(rough.height, units) }}</span
      >
      <span v-if="!framed.has(i)" class="not">not framed</span>
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
.field-rows {
  max-height: 5.7rem;
  overflow: auto;
}
</style>
