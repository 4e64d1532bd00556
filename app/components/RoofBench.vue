<script setup lang="ts">
import { roofHas, type Seat } from '../../core/design'
import { type Drawing, sectionPlaces, withLast } from '../../core/drawing'
import { shapeOf } from '../logic/roof-shapes'
import { viewChoices } from '../logic/view-words'

const bench = useBench()
const sections = useSectionChoices()
const design = computed(() => bench.design)
const rafter = useChoice<string>('roof.rafter')
const has = computed(() => design.value && roofHas(design.value.roof))
const shape = computed(() => (design.value ? shapeOf(design.value) : null))
type View = 'section' | 'plan' | 'east' | 'west'
const view = usePlace<View>('roof', 'section')
/** The rafter the section is cut at; null near the middle. */
const cutAt = ref<number | null>(null)
const places = computed(() => (bench.plan ? sectionPlaces(bench.plan).length : 0))
const here = computed(() =>
  Math.min(cutAt.value ?? Math.max(0, Math.ceil(places.value / 2) - 1), Math.max(0, places.value - 1)),
)
const { drawing: fresh, views } = useDrawings('roof', () => view.value, {
  at: () => (cutAt.value === null ? undefined : here.value),
})
/** The last drawing of each view with a roof on it: dashed behind one whose roof can't be framed. */
const good = new Map<View, Drawing>()
const drawing = computed(() => {
  if (!fresh.value || !bench.plan) return null
  if (bench.plan.roof) good.set(view.value, fresh.value)
  const last = bench.plan.roof ? undefined : good.get(view.value)
  return last ? withLast(fresh.value, last) : fresh.value
})
watch(
  () => bench.row?.id,
  () => good.clear(),
)
const captions: Record<View, [string, string]> = {
  section: [
    'Section across the building at a rafter, seen from the east',
    'Section at a rafter, south at the left. Type over a dimension or drag a red ring.',
  ],
  plan: [
    "The roof's frame from above, south at the bottom",
    'The frame from above, south at the bottom; rafters run from the west end. Tap a board for its card.',
  ],
  east: [
    'The east end from outside',
    'The east end from outside, south at the left. Tap a board for its card.',
  ],
  west: [
    'The west end from outside',
    'The west end from outside, south at the right. Tap a board for its card.',
  ],
}
function step(by: 1 | -1): void {
  cutAt.value = Math.min(places.value - 1, Math.max(0, here.value + by))
}
const shapes = ref(false)
const shapesAsked = ref(false)
const parts = ref(false)
const partsAsked = ref(false)
const lumber = ref(false)
const asked = ref(false)
const seats = [
  { value: 'full-bearing', label: 'Full bearing' },
  { value: 'third', label: 'Third of the depth, square' },
  { value: 'third-plumb', label: 'Third of the depth, plumb' },
  { value: 'height-above-plate', label: 'Chosen height above plate' },
]
/** A rafter over two walls has a bird's mouth on both. */
const seatChoices = computed(() =>
  has.value?.seats.includes('none')
    ? [...seats, { value: 'none', label: 'None: level cut' }, { value: 'wedge', label: 'None: wedges' }]
    : seats,
)
const seat = computed({
  get: () => {
    const at = design.value?.roof.seat
    return at?.rule === 'third' && at.measured === 'plumb' ? 'third-plumb' : (at?.rule ?? 'third')
  },
  set: (choice: string) => bench.setValue('roof.seat', seatFor(choice)),
})

/** A height above plate starts from the one the roof has, so that choosing the school moves nothing. */
function seatFor(choice: string): Seat {
  if (choice === 'third-plumb') return { rule: 'third', measured: 'plumb' }
  if (choice === 'third') return { rule: 'third', measured: 'square' }
  if (choice === 'height-above-plate')
    return { rule: 'height-above-plate', height: bench.plan?.roof?.heightAbovePlate ?? 100 }
  return { rule: choice === 'none' || choice === 'wedge' ? choice : 'full-bearing' }
}
</script>

<template>
  <div v-if="design && drawing" class="workbench">
    <div class="strip">
      <ViewSwitch drawing="Drawing" />
      <SelectButton
        v-model="view"
        :options="viewChoices(views)"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Section, plan or end"
      />
      <Button
        :label="shape?.short"
        outlined
        severity="secondary"
        icon="pi pi-home"
        :aria-label="`Roof shape: ${shape?.label.toLowerCase()}`"
        @click="shapes = shapesAsked = true"
      />
      <LazyRoofShapes v-if="shapesAsked" v-model="shapes" />
      <ChoiceField v-model="rafter" label="Rafters" :options="sections" />
      <MeasureField path="roof.spacing" :value="bench.plan?.building.roof.spacing ?? design.roof.spacing" />
      <ChoiceField v-if="has?.seats.length" v-model="seat" label="Seat" :options="seatChoices" />
      <Button
        label="Parts"
        text
        severity="secondary"
        icon="pi pi-list"
        title="Ridge, tails, ties, fascia and the ends"
        @click="parts = partsAsked = true"
      />
      <LazyRoofPartsDialog v-if="partsAsked" v-model="parts" />
      <Button
        label="Lumber"
        text
        severity="secondary"
        icon="pi pi-sliders-h"
        @click="lumber = asked = true"
      />
      <LazyLumberDialog v-if="asked" v-model="lumber" />
    </div>
    <RoofOpenings v-if="view === 'plan'" />
    <ProblemLine />
    <DrawingSheet class="sheet" :drawing="drawing" :label="captions[view][0]" />
    <div class="foot">
      <p class="caption quiet">{{ captions[view][1] }}</p>
      <span
        v-if="view === 'section' && places > 1"
        class="at"
        role="group"
        aria-label="Where the section is cut"
      >
        <Button
          icon="pi pi-chevron-left"
          text
          severity="secondary"
          aria-label="Rafter before"
          :disabled="here === 0"
          @click="step(-1)"
        />
        <span class="figures" aria-live="polite">Rafter {{ here + 1 }} of {{ places }}</span>
        <Button
          icon="pi pi-chevron-right"
          text
          severity="secondary"
          aria-label="Rafter after"
          :disabled="here === places - 1"
          @click="step(1)"
        />
      </span>
    </div>
  </div>
</template>

<style scoped>
.foot {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  padding: 0 16px;
}
.foot .caption {
  flex: 1;
  min-width: 0;
  padding: 6px 0 10px;
  font-size: 0.9rem;
}
@media (max-width: 720px) {
  .foot {
    padding: 0 8px;
  }
  .foot .caption {
    display: none;
  }
}
.at {
  display: inline-flex;
  padding-right: 12px;
  align-items: center;
  white-space: nowrap;
}
.at :deep(.p-button) {
  min-width: var(--target);
}
</style>
