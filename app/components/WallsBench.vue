<script setup lang="ts">
import { wallElevation } from '../../core/drawing'
import type { WallName } from '../../core/frame'
import { openingKinds, type OpeningKind } from '../../core/design'
import { LIFT, liftingOf, platePair } from '../../core/plan'
import { openingWords, sayWeight } from '../../core/words'

const bench = useBench()
const sections = useSectionChoices()
const wall = ref<WallName>('south')
const names = [{ value: 'south', label: 'South' }, { value: 'east', label: 'East' }, { value: 'north', label: 'North' }, { value: 'west', label: 'West' }]
const stud = useChoice<string>('walls.stud')
const plates = useChoice<number>('walls.topPlates')
const through = useChoice<string>('walls.through')
const corner = useChoice<string>('walls.corner')
const drawing = computed(() => bench.plan ? wallElevation(bench.plan, wall.value) : null)
onMounted(() => { bench.hand ??= `walls/${wall.value}/stud/1` })
const openings = useOpenings()
const kinds = openingKinds.map(value => ({ value, label: openingWords[value] }))
const adding = ref<OpeningKind | null>(null)
function add(kind: OpeningKind): void {
  openings.add(wall.value, kind)
  void nextTick(() => { adding.value = null })
}
const lifting = computed(() => bench.plan ? liftingOf(bench.plan, wall.value) : null)
const units = computed(() => bench.design?.units ?? 'imperial')
const pair = computed(() => bench.plan ? platePair(bench.plan.frame, wall.value) : { length: 0, marks: [] })
const line = computed(() => bench.plan?.frame.walls.find(each => each.name === wall.value))
</script>

<template>
  <div v-if="bench.plan && drawing && line" class="workbench">
    <div class="strip">
      <ViewSwitch drawing="Elevation" />
      <SelectButton v-model="wall" :options="names" option-value="value" option-label="label" :allow-empty="false" aria-label="Wall" />
      <ChoiceField v-model="stud" label="Studs" :options="sections" />
      <Select class="adding" v-model="adding" :options="kinds" option-value="value" option-label="label" placeholder="Opening" aria-label="Add an opening" @update:model-value="add" />
      <ChoiceField v-model="plates" label="Top plates" :options="[{ value: 1, label: 'One' }, { value: 2, label: 'Two' }]" />
      <ChoiceField v-model="through" label="Run through" :options="[{ value: 'eaves', label: 'Eaves' }, { value: 'gables', label: 'Gables' }]" />
      <ChoiceField v-model="corner" label="Corners" :options="[{ value: 'three-stud', label: 'Third stud' }, { value: 'nailer', label: 'Nailer laid flat' }]" />
    </div>
    <ProblemLine />
    <WallOpenings :wall="wall" />
    <DrawingSheet class="sheet" :drawing="drawing" :label="`The ${wall} wall, seen from ${line.seenFrom}`" />
    <PairStrip :pair="pair" :names="['Top', 'Bottom']" what="Bottom and top plate" />
    <p class="caption quiet">{{ line.through ? 'Runs through' : 'Butts between the others' }}; from {{ line.seenFrom }}. Marks from the {{ line.along === 'x' ? 'west' : 'south' }} end: near sides, X ahead; K king, J jack, C cripple. <template v-if="lifting">As raised {{ sayWeight(lifting.weight, units) }}: its top edge takes half, {{ lifting.people }} people at {{ sayWeight(LIFT, units) }} each.</template></p>
  </div>
</template>

<style scoped>
.adding { width: 7rem; }
.adding :deep(.p-select-label) { padding: 5px 0 5px 10px; }
.adding :deep(.p-select-dropdown) { width: 1.8rem; }
.workbench > .sheet { min-height: 230px; }
</style>
