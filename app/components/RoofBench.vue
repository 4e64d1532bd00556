<script setup lang="ts">
import type { Seat } from '../../core/design'
import { roofSection } from '../../core/drawing'

const bench = useBench()
const sections = useSectionChoices()
const rafter = useChoice<string>('roof.rafter')
const ridge = useChoice<string>('roof.ridge')
const drawing = computed(() => bench.plan ? roofSection(bench.plan) : null)
const design = computed(() => bench.design)
const shapes = ref(false)
const shapesAsked = ref(false)
const parts = ref(false)
const partsAsked = ref(false)
const lumber = ref(false)
const asked = ref(false)
const seats = [
  { value: 'full-bearing', label: 'Full bearing' }, { value: 'third', label: 'Third of the depth, square' }, { value: 'third-plumb', label: 'Third of the depth, plumb' },
  { value: 'height-above-plate', label: 'Chosen height above plate' },
]
/** A rafter over two walls has a bird's mouth on both. */
const seatChoices = computed(() => design.value?.roof.shape === 'gable' ? [...seats, { value: 'none', label: 'None: level cut' }] : seats)
const seat = computed({
  get: () => {
    const at = design.value?.roof.seat
    return at?.rule === 'third' && at.measured === 'plumb' ? 'third-plumb' : at?.rule ?? 'third'
  },
  set: (choice: string) => bench.setValue('roof.seat', seatFor(choice)),
})

/** A height above plate starts from the one the roof has, so that choosing the school moves nothing. */
function seatFor(choice: string): Seat {
  if (choice === 'third-plumb') return { rule: 'third', measured: 'plumb' }
  if (choice === 'third') return { rule: 'third', measured: 'square' }
  if (choice === 'height-above-plate') return { rule: 'height-above-plate', height: bench.plan?.roof?.heightAbovePlate ?? 100 }
  return { rule: choice === 'none' ? 'none' : 'full-bearing' }
}
</script>

<template>
  <div v-if="design && drawing" class="workbench">
    <div class="strip">
      <ViewSwitch drawing="Section" />
      <Button :label="design.roof.shape === 'gable' ? 'Gable' : 'Single slope'" outlined severity="secondary" icon="pi pi-home" :aria-label="`Roof shape: ${design.roof.shape === 'gable' ? 'gable' : 'single slope'}`" @click="shapes = shapesAsked = true" />
      <LazyRoofShapes v-if="shapesAsked" v-model="shapes" />
      <ChoiceField v-model="rafter" label="Rafters" :options="sections" />
      <MeasureField path="roof.spacing" :value="design.roof.spacing" />
      <ChoiceField v-if="design.roof.shape === 'gable'" v-model="ridge" label="Ridge" :options="sections" />
      <ChoiceField v-model="seat" label="Seat" :options="seatChoices" />
      <MeasureField v-if="design.roof.shape === 'gable'" path="roof.overhang.gable" :value="design.roof.overhang.gable" />
      <Button :label="design.roof.shape === 'gable' ? 'Ties, fascia' : 'Fascia'" text severity="secondary" icon="pi pi-minus" @click="parts = partsAsked = true" />
      <LazyRoofPartsDialog v-if="partsAsked" v-model="parts" />
      <Button label="Lumber" text severity="secondary" icon="pi pi-sliders-h" @click="lumber = asked = true" />
      <LazyLumberDialog v-if="asked" v-model="lumber" />
    </div>
    <ProblemLine />
    <DrawingSheet class="sheet" :drawing="drawing" label="Section across the building at a rafter, seen from the east" />
    <p class="caption quiet">Section at a rafter, south at the left. Type over a dimension or drag a red ring.</p>
  </div>
</template>
