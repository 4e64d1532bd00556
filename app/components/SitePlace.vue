<script setup lang="ts">
import { buriedKinds, type FindKind, findKinds } from '../../core/design'
import { clearances, findsOf } from '../../core/plan'
import { findWords, sayLength, sideWords } from '../../core/words'

const bench = useBench()
const below = useBelow()
const kind = useChoice<string>('site.reference.kind')
const faces = useChoice<string>('site.place.faces')
const design = computed(() => bench.design)
const site = computed(() => design.value?.site ?? null)
const units = computed(() => design.value?.units ?? 'imperial')
const { drawing } = useDrawings('ground', () => 'site')
const off = computed(
  () =>
    new Map(
      (bench.plan ? clearances(bench.plan.design, bench.plan.frame.outline) : []).map(each => [
        each.number,
        each.distance,
      ]),
    ),
)
const finds = computed(() => (design.value ? findsOf(design.value) : []))
const kinds = [
  { value: 'house', label: 'House wall' },
  { value: 'fence', label: 'Fence' },
  { value: 'line', label: 'Line' },
]
const sides = (['south', 'east', 'north', 'west'] as const).map(value => ({ value, label: sideWords[value] }))
const froms = [
  { value: 'line', label: 'A and B' },
  ...sides.map(each => ({ value: each.value, label: `${each.label} stakes` })),
]
const findChoices = findKinds.map(value => ({ value, label: findWords[value] }))
const route = useRoute()
</script>

<template>
  <Teleport defer to="#ground-strip">
    <ChoiceField v-model="kind" label="Measured off" :options="kinds" />
    <ChoiceField v-model="faces" label="Side that faces it" :options="sides" />
    <Button
      label="Plot line"
      icon="pi pi-plus"
      outlined
      severity="secondary"
      aria-label="Add a line of the plot"
      @click="below.addBoundary()"
    />
    <Button
      label="Find"
      icon="pi pi-plus"
      outlined
      severity="secondary"
      aria-label="Add a tree, rock or other find"
      @click="below.addFind(false)"
    />
    <Button
      label="Service"
      icon="pi pi-plus"
      outlined
      severity="secondary"
      aria-label="Add a buried service"
      @click="below.addFind(true)"
    />
    <NuxtLink class="to-sketch" :to="`/design/${route.params.id}/sketch`">Permit sketch</NuxtLink>
  </Teleport>
  <template v-if="site && drawing">
    <DrawingSheet
      class="sheet"
      :drawing="drawing"
      label="The site from above, the line that is measured off at the bottom"
    />
    <div v-if="site.boundaries.length || site.finds.length" class="lists">
      <section v-for="(each, i) in site.boundaries" :key="`b${i}`" class="row" :aria-label="each.name">
        <NameField
          class="name"
          :value="each.name"
          label="Name of the plot line"
          @set="below.nameBoundary(i, $event)"
        />
        <MeasureField :path="`site.boundaries.${i}.from.along`" :value="each.from.along" /><MeasureField
          :path="`site.boundaries.${i}.from.out`"
          :value="each.from.out"
        />
        <MeasureField :path="`site.boundaries.${i}.to.along`" :value="each.to.along" /><MeasureField
          :path="`site.boundaries.${i}.to.out`"
          :value="each.to.out"
        />
        <MeasureField :path="`site.boundaries.${i}.setback`" :value="each.setback" />
        <span v-if="off.has(i)" class="figures"
          >stands {{ sayLength(Math.max(0, off.get(i) ?? 0), units) }} off</span
        >
        <Button
          icon="pi pi-times"
          text
          severity="secondary"
          :aria-label="`Take ${each.name} away`"
          @click="below.drop('boundaries', i)"
        />
      </section>
      <section v-for="(each, i) in site.finds" :key="`f${i}`" class="row" :aria-label="each.name">
        <NameField
          class="name"
          :value="each.name"
          label="Name of the find"
          @set="below.changeFind(i, { name: $event })"
        />
        <ChoiceField
          :model-value="each.kind"
          label="Kind"
          :options="findChoices"
          @update:model-value="below.changeFind(i, { kind: $event as FindKind })"
        />
        <template v-for="(place, k) in each.places" :key="k">
          <ChoiceField
            :model-value="place.from"
            :label="each.places.length > 1 ? `End ${k + 1} from` : 'From'"
            :options="froms"
            @update:model-value="bench.setValue(`site.finds.${i}.places.${k}.from`, $event)"
          />
          <MeasureField :path="`site.finds.${i}.places.${k}.toLeft`" :value="place.toLeft" /><MeasureField
            :path="`site.finds.${i}.places.${k}.toRight`"
            :value="place.toRight"
          />
        </template>
        <MeasureField :path="`site.finds.${i}.clear`" :value="each.clear" />
        <span v-if="finds[i]?.faults.length" class="wrong">these tapes can't meet</span>
        <span v-else-if="buriedKinds.includes(each.kind)" class="quiet">buried</span>
        <Button
          icon="pi pi-times"
          text
          severity="secondary"
          :aria-label="`Take ${each.name} away`"
          @click="below.drop('finds', i)"
        />
      </section>
    </div>
    <p class="caption quiet">
      A and B are the ends of the line, left and right as you look toward the building. Places along the line
      and square out from it; finds by two tapes. Drag a red ring to move the building.
    </p>
  </template>
</template>

<style scoped>
.lists {
  max-height: 36%;
  overflow: auto;
  border-top: 1px solid var(--line);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
  padding: 4px 16px;
  border-bottom: 1px solid var(--line);
}
.name {
  width: 9.5rem;
  font-weight: 700;
}
.wrong {
  color: var(--crayon-words);
}
.to-sketch {
  min-height: var(--target);
  display: inline-flex;
  align-items: center;
  padding: 0 8px;
}
@media (max-width: 720px) {
  .row {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  .row > * {
    flex: none;
  }
}
</style>
