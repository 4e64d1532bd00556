<script setup lang="ts">
import { everyBoard, type Member, type Part } from '../../core/frame'
import type { Role } from '../../core/trade'
import { modelOfWhole } from '../../core/drawing'
import { fileName } from '../../core/output'
import { raising } from '../../core/plan'
import { saySubject, sayStep } from '../../core/words'
import { saveFile } from '../composables/useFiles'
import { useViewer } from '../composables/useViewer'

defineProps<{ drawing: string }>()
const bench = useBench()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const all = [
  { value: 'roof', label: 'Roof' },
  { value: 'roof-deck', label: 'Roof deck' },
  { value: 'roofing', label: 'Roofing' },
  { value: 'walls', label: 'Walls' },
  { value: 'skin', label: 'Sheets' },
  { value: 'siding', label: 'Siding, doors' },
  { value: 'deck', label: 'Deck' },
  { value: 'floor', label: 'Floor' },
  { value: 'base', label: 'Base' },
  { value: 'others', label: 'Other parts' },
]
const things = computed(() =>
  bench.plan ? [...everyBoard(bench.plan.frame), ...bench.plan.frame.base.parts] : [],
)
const skins: Partial<Record<Role, string>> = {
  'roof-sheet': 'roof-deck',
  'roof-board': 'roof-deck',
  'roof-batten': 'roof-deck',
  'roof-panel': 'roofing',
  'wall-sheet': 'skin',
  slat: 'skin',
  siding: 'siding',
  'siding-batten': 'siding',
  starter: 'siding',
  'corner-board': 'siding',
  'wall-panel': 'siding',
  'soffit-board': 'siding',
  'door-lining': 'siding',
  'door-board': 'siding',
  ledge: 'siding',
  'door-brace': 'siding',
  stile: 'siding',
  'door-rail': 'siding',
  'door-panel': 'siding',
  pane: 'siding',
  'pane-stop': 'siding',
  frieze: 'siding',
  'skirt-board': 'siding',
  casing: 'siding',
  'deck-sheet': 'deck',
  'deck-board': 'deck',
}
function partOf(thing: Member | Part): string {
  const skin = 'role' in thing ? skins[thing.role] : undefined
  return skin ?? (thing.where.in === 'porch' ? 'floor' : thing.where.in)
}
const model = computed(() => (bench.whole ? modelOfWhole(bench.whole, bench.part) : null))
/** The boards of the parts that are not on the bench. */
const others = computed(() => (model.value?.members ?? []).filter(({ other }) => other))
const parts = computed(() =>
  all.filter(part =>
    part.value === 'others'
      ? others.value.length > 0
      : things.value.some(thing => partOf(thing) === part.value),
  ),
)
const solid = ref(all.map(part => part.value))
const apart = ref(0)
const steps = computed(() => (bench.plan ? raising(bench.plan) : []))
const upTo = computed(() => Math.min(bench.raised ?? steps.value.length, steps.value.length))
const stepName = computed(() =>
  bench.raised === null || upTo.value === steps.value.length
    ? 'All standing'
    : upTo.value === 0
      ? 'Nothing yet'
      : `${upTo.value} of ${steps.value.length}: ${sayStep(steps.value[upTo.value - 1] ?? { name: 'ridge', number: null })}`,
)
const showing = computed(() => ({
  hand: bench.lit,
  faded: new Set([
    ...things.value.filter(thing => !solid.value.includes(partOf(thing))).map(thing => thing.id),
    ...(solid.value.includes('others') ? [] : others.value.map(({ id }) => id)),
  ]),
  hidden: new Set([
    ...steps.value.slice(upTo.value).flatMap(each => each.members),
    ...steps.value.slice(0, upTo.value).flatMap(each => each.down),
  ]),
  apart: apart.value,
}))
const inHand = computed(() =>
  bench.subject && bench.design ? saySubject(bench.design, bench.subject) : (bench.piece?.mark ?? 'nothing'),
)
const { failed, viewer } = useViewer(canvas, model, showing)
let down: { x: number; y: number } | null = null

function press(event: PointerEvent): void {
  down = { x: event.clientX, y: event.clientY }
}

/** A press that did not move is a pick; one that moved has turned the view. */
function release(event: PointerEvent): void {
  if (!down || Math.hypot(event.clientX - down.x, event.clientY - down.y) > 5) return
  const box = canvas.value?.getBoundingClientRect()
  const member = box ? viewer.value?.pick(event.clientX - box.left, event.clientY - box.top) : null
  const other = others.value.find(({ id }) => id === member)?.other
  if (other) bench.goToPart(other.part)
  bench.touch({ member: other?.member ?? member ?? null })
}

const turns: Record<string, () => void> = {
  ArrowLeft: () => viewer.value?.turn(-10, 0),
  ArrowRight: () => viewer.value?.turn(10, 0),
  ArrowUp: () => viewer.value?.turn(0, 8),
  ArrowDown: () => viewer.value?.turn(0, -8),
  '+': () => viewer.value?.zoom(0.85),
  '=': () => viewer.value?.zoom(0.85),
  '-': () => viewer.value?.zoom(1 / 0.85),
  '0': () => viewer.value?.fit(),
  '[': () => goTo(-1),
  ']': () => goTo(1),
}

function key(event: KeyboardEvent): void {
  const turn = event.ctrlKey || event.metaKey || event.altKey ? undefined : turns[event.key]
  if (!turn) return
  event.preventDefault()
  turn()
}

function goTo(by: 1 | -1): void {
  bench.raised = Math.min(steps.value.length, Math.max(0, upTo.value + by))
}

async function savePicture(): Promise<void> {
  const blob = await viewer.value?.picture()
  if (blob && bench.saved) saveFile(fileName(bench.saved.name, 'png'), blob, 'image/png')
}
</script>

<template>
  <div class="workbench">
    <div class="strip">
      <ViewSwitch :drawing="drawing" />
      <span class="steps" role="group" aria-label="Order of raising">
        <Button
          icon="pi pi-chevron-left"
          text
          severity="secondary"
          aria-label="One step back"
          :disabled="upTo === 0"
          @click="goTo(-1)"
        />
        <span class="step" role="status">{{ stepName }}</span>
        <Button
          icon="pi pi-chevron-right"
          text
          severity="secondary"
          aria-label="One step on"
          :disabled="upTo === steps.length"
          @click="goTo(1)"
        />
      </span>
      <Button label="Fit" text title="Fit (0)" severity="secondary" @click="viewer?.fit()" />
      <Button
        icon="pi pi-image"
        text
        severity="secondary"
        aria-label="Save the picture as PNG"
        @click="savePicture"
      />
    </div>
    <ProblemLine />
    <p v-if="failed" class="failed" role="alert">
      This browser can't draw in 3D. The drawings and cards show every board all the same.
    </p>
    <canvas
      v-else
      ref="canvas"
      class="sheet"
      tabindex="0"
      role="img"
      :aria-label="`The frame in 3D, ${bench.plan?.totals.pieces ?? 0} boards; ${inHand} in hand. Arrows turn it, plus and minus zoom.`"
      @pointerdown="press"
      @pointerup="release"
      @keydown="key"
    />
    <div class="strip under">
      <SelectButton
        v-model="solid"
        :options="parts"
        option-value="value"
        option-label="label"
        multiple
        aria-label="Parts shown solid"
      />
      <label class="slide"
        >Pull apart<input v-model.number="apart" type="range" min="0" max="1" step="0.05"
      /></label>
    </div>
  </div>
</template>

<style scoped>
.sheet {
  width: 100%;
  height: 0;
  display: block;
  touch-action: none;
}
.slide {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  color: var(--soft);
  font-size: 0.85rem;
}
.slide input {
  width: 100px;
  min-height: var(--target);
  accent-color: var(--chalk);
}
.steps {
  display: inline-flex;
  align-items: center;
}
.step {
  min-width: 11.5rem;
  text-align: center;
}
.failed {
  margin: 24px;
  padding: 12px 16px;
  background: var(--wash);
  border-left: 4px solid var(--crayon);
}
</style>
