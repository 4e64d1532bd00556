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
      <ChoiceField v-model="stud" label="Studs and plates" :options="sections" />
      <ChoiceField v-model="plates" label="Top plates" :options="[{ value: 1, label: 'One' }, { value: 2, label: 'Two, lapped' }]" />
      <ChoiceField v-model="through" label="Run through" :options="[{ value: 'eaves', label: 'Eave walls' }, { value: 'gables', label: 'Gable walls' }]" />
      <ChoiceField v-model="corner" label="Corners" :options="[{ value: 'three-stud', label: 'Third stud' }, { value: 'nailer', label: 'Nailer laid flat' }]" />
      <Select v-model="adding" :options="kinds" option-value="value" option-label="label" placeholder="Add an opening" aria-label="Add an opening" @update:model-value="add" />
    </div>
    <ProblemLine />
    <WallOpenings :wall="wall" />
    <DrawingSheet class="sheet" :drawing="drawing" :label="`The ${wall} wall, seen from ${line.seenFrom}`" />
    <PairStrip :pair="pair" :names="['Top', 'Bottom']" what="Bottom and top plate" />
    <p class="caption quiet">{{ line.through ? 'Runs through at the corners' : 'Butts between the through walls' }}; seen from {{ line.seenFrom }}. Marks run from the {{ line.along === 'x' ? 'west' : 'south' }} end of the plates: the near side of each stud, X ahead; K king, J jack, C cripple. <template v-if="lifting">As raised {{ sayWeight(lifting.weight, units) }}: lifting the top edge takes half, {{ lifting.people }} people at {{ sayWeight(LIFT, units) }} each.</template></p>
  </div>
</template>

<style scoped>
.workbench > .sheet { min-height: 230px; }
</style>
