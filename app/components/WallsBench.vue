<script setup lang="ts">
import type { WallLayer } from '../../core/drawing'
import { isOfWall, type WallName } from '../../core/frame'
import { isSide, type OpeningKind, openingKinds, partitionIndex, roofHas } from '../../core/design'
import { platePair } from '../../core/plan'
import { openingWords } from '../../core/words'
import { viewChoices } from '../logic/view-words'

const bench = useBench()
const wall = usePlace<WallName>('wall', 'south')
const partitions = usePartitions()
const names = computed(() => [
  ...[
    { value: 'south', label: 'South' },
    { value: 'east', label: 'East' },
    { value: 'north', label: 'North' },
    { value: 'west', label: 'West' },
  ].filter(each => !bench.design || roofHas(bench.design.roof).house !== each.value),
  ...(bench.plan?.frame.walls ?? [])
    .filter(each => !isSide(each.name))
    .map(each => ({ value: each.name, label: `P${isSide(each.name) ? '' : partitionIndex(each.name) + 1}` })),
])
/** Another wall than one that was taken away. */
watch(
  () => names.value.some(each => each.value === wall.value),
  stands => {
    if (!stands) wall.value = names.value[0]?.value as WallName
  },
  { immediate: true },
)
const layer = usePlace<WallLayer | 'plan'>('walls', 'frame')
const { walls, layout, build } = useWalls(wall)
const line = computed(() => bench.plan?.frame.walls.find(each => each.name === wall.value))
const { drawing, views } = useDrawings('walls', () => layer.value, { of: () => wall.value })
onMounted(() => {
  bench.hand ??=
    bench.plan?.frame.members.find(({ where, role }) => isOfWall(where, wall.value) && role === 'stud')?.id ??
    null
})
const openings = useOpenings()
const kinds = openingKinds.map(value => ({ value, label: openingWords[value] }))
const adding = ref<OpeningKind | null>(null)
const dialog = ref(false)
const asked = ref(false)
const units = ref(false)
const unitsAsked = ref(false)
function add(kind: OpeningKind): void {
  openings.add(wall.value, kind)
  void nextTick(() => {
    adding.value = null
  })
}
const pair = computed(() => (bench.plan && line.value ? platePair(bench.plan.frame, wall.value) : null))
const ends = computed(() => (line.value?.along === 'y' ? ['South', 'North'] : ['West', 'East']))
const layoutChoices = computed(() => [
  { value: 'low', label: `${ends.value[0]} end` },
  { value: 'high', label: `${ends.value[1]} end` },
  { value: 'centred', label: 'The middle' },
])
const label = computed(() =>
  layer.value === 'plan'
    ? 'The walls from above, south at the bottom'
    : `${isSide(wall.value) ? `The ${wall.value} wall` : `Partition ${partitionIndex(wall.value) + 1}`}, seen from ${line.value?.seenFrom ?? 'outside'}`,
)
</script>

<template>
  <div v-if="bench.plan && drawing && line && walls && pair" class="workbench">
    <div class="strip">
      <ViewSwitch drawing="Drawing" />
      <SelectButton
        v-model="wall"
        :options="names"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Wall"
      />
      <SelectButton
        v-model="layer"
        :options="viewChoices(views)"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Frame, sheets or plan"
      />
      <template v-if="layer !== 'sheets'">
        <Select
          v-if="build === 'studs'"
          class="adding"
          v-model="adding"
          :options="kinds"
          option-value="value"
          option-label="label"
          placeholder="Opening"
          aria-label="Add an opening"
          @update:model-value="add"
        />
        <Button
          v-if="layer === 'plan'"
          label="Partition"
          icon="pi pi-plus"
          outlined
          severity="secondary"
          aria-label="Add a partition"
          :disabled="walls.partitions.length >= partitions.most"
          @click="partitions.add()"
        />
        <ChoiceField
          v-if="isSide(wall) && build === 'studs'"
          v-model="layout"
          label="Layout from"
          :options="layoutChoices"
        />
        <Button
          label="Walls"
          text
          severity="secondary"
          icon="pi pi-sliders-h"
          @click="dialog = asked = true"
        />
        <Button
          v-if="isSide(wall)"
          label="On hand"
          text
          severity="secondary"
          icon="pi pi-th-large"
          title="Units on hand, and a wall sized from them"
          @click="units = unitsAsked = true"
        />
        <LazyUnitsDialog v-if="unitsAsked && isSide(wall)" v-model="units" :wall="wall" />
        <LazyWallsDialog v-if="asked" v-model="dialog" :wall="wall" />
      </template>
      <WallSheets v-else :wall="wall" part="choices" />
    </div>
    <ProblemLine />
    <WallPartitions v-if="layer === 'plan'" />
    <WallOpenings v-if="layer === 'frame'" :wall="wall" />
    <DrawingSheet class="sheet" :drawing="drawing" :label="label" />
    <WallSheets v-if="layer === 'sheets'" :wall="wall" part="cuts" />
    <WallMarks v-else-if="layer === 'frame'" :wall="line" :pair="pair" />
    <p v-else class="caption quiet">
      Bottom plates and what stands on them. Drag an opening along its wall; the two diagonals are alike when
      the building is square.
    </p>
  </div>
</template>

<style scoped>
.adding {
  width: 7rem;
}
.adding :deep(.p-select-label) {
  padding: 5px 0 5px 10px;
}
.adding :deep(.p-select-dropdown) {
  width: 1.8rem;
}
.workbench > .sheet {
  min-height: 230px;
}
</style>
