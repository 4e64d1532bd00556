<script setup lang="ts">
import { type Drawing, faceOfSoffit, layerOf, layersOf, sectionPlaces, withLast } from '../../core/drawing'
import { coverOfFace } from '../../core/design'
import { faceOf } from '../../core/frame'
import { capital, saySlope } from '../../core/words'

const bench = useBench()
type View = 'section' | 'plan' | 'east' | 'west' | 'cover' | 'jig' | 'setting'
const view = usePlace<View>('roof', 'section')
/** The rafter the section is cut at; null near the middle. */
const cutAt = ref<number | null>(null)
const places = computed(() => (bench.drawn ? sectionPlaces(bench.drawn).length : 0))
const here = computed(() =>
  Math.min(cutAt.value ?? Math.max(0, Math.ceil(places.value / 2) - 1), Math.max(0, places.value - 1)),
)
/** The faces that are covered, which of them is looked at, and which layer; the uppermost where null. */
const face = usePlace<string>('face', '')
const faces = computed(() =>
  (bench.drawn?.frame.covered ?? []).map(each => ({
    value: each.face.id,
    label: each.face.name === 'slope' ? 'Slope' : capital(saySlope(each.face.id)),
  })),
)
const faceSeen = computed(
  () => faces.value.find(({ value }) => value === face.value)?.value ?? faces.value[0]?.value ?? null,
)
const layer = ref<number | null>(null)
const layers = computed(() => (bench.drawn ? layersOf(bench.drawn) : []))
const layerSeen = computed(() => Math.min(layer.value ?? Infinity, Math.max(0, layers.value.length - 1)))
const { drawing: fresh, choices } = useDrawings('roof', () => view.value, {
  of: () => faceSeen.value,
  at: () => (view.value === 'cover' ? layerSeen.value : cutAt.value === null ? undefined : here.value),
})
/** What the section is cut at. */
const carrier = computed(() => (bench.drawn?.building.roof.truss ? 'Truss' : 'Rafter'))
/** The last drawing of each view with a roof on it: dashed behind one whose roof can't be framed. */
const good = new Map<View, Drawing>()
const drawing = computed(() => {
  if (!fresh.value || !bench.drawn) return null
  if (bench.drawn.roof) good.set(view.value, fresh.value)
  const last = bench.drawn.roof ? undefined : good.get(view.value)
  return last ? withLast(fresh.value, last) : fresh.value
})
watch(
  () => bench.row?.id,
  () => good.clear(),
)
const labels: Record<View, string> = {
  section: 'Section across the building at a rafter, seen from the east',
  plan: "The roof's frame from above, south at the bottom",
  east: 'The east end from outside',
  west: 'The west end from outside',
  cover: 'A face of the roof square on from outside, its eave below',
  jig: 'One truss laid flat in its jig, from one corner of a flat place',
  setting: 'The row of trusses from above with what it is set with, south at the bottom',
}
function step(by: 1 | -1): void {
  cutAt.value = Math.min(places.value - 1, Math.max(0, here.value + by))
}
/** A roof that is carried otherwise has no jig, and nothing to set. */
watch(choices, now => {
  if (!now.some(({ value }) => value === view.value)) view.value = 'section'
})
/** An opening is seen from above, the covering on its face. */
watch(
  () => bench.subject?.kind,
  kind => {
    if (kind === 'roof-opening') view.value = 'plan'
    if (kind === 'cover' || kind === 'face-cover') view.value = 'cover'
  },
  { immediate: true },
)
/** A piece of the covering in hand is seen on its face, in its layer. */
watch(
  () => bench.member,
  member => {
    if (!member || !bench.drawn || layerOf(member.role) === undefined) return
    view.value = 'cover'
    face.value = faceOf(member.where) ?? faceOfSoffit(bench.drawn, member.where) ?? face.value
    const at = layers.value.findIndex(each => each === layerOf(member.role))
    if (at >= 0) layer.value = at
  },
  { immediate: true },
)
const layerWords = { soffit: 'Soffit', deck: 'Deck', battens: 'Battens', top: 'Roofing' } as const
const layerChoices = computed(() => layers.value.map((each, value) => ({ value, label: layerWords[each] })))
/** What is typed of what covers a face. */
const coverOf = (id: string | null): string =>
  bench.drawn && id !== null ? coverOfFace(bench.drawn.building.cover, id).path : 'roof.cover'
function turnTo(to: string): void {
  face.value = to
  bench.hold(coverOf(to))
}
/** A face that is covered by itself is seen where that is in hand. */
watch(
  () => (bench.subject?.kind === 'face-cover' ? bench.subject.index : null),
  at => {
    const own = bench.drawn?.building.cover.own[at ?? -1]
    if (own) face.value = own.face
  },
  { immediate: true },
)
function look(to: View): void {
  view.value = to
  if (to === 'cover') bench.hold(coverOf(faceSeen.value))
  else if (bench.subject?.kind === 'cover' || bench.subject?.kind === 'face-cover') bench.hold('roof')
}
</script>

<template>
  <div v-if="drawing" class="workbench">
    <div class="strip">
      <ViewSwitch drawing="Drawing" />
      <SelectButton
        :model-value="view"
        :options="choices"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Section, plan, end or covering"
        @update:model-value="look"
      />
      <SelectButton
        v-if="view === 'cover' && faces.length > 1"
        :model-value="faceSeen"
        :options="faces"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Face"
        @update:model-value="turnTo"
      />
      <SelectButton
        v-if="view === 'cover' && layerChoices.length > 1"
        :model-value="layerSeen"
        :options="layerChoices"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Layer"
        @update:model-value="layer = $event"
      />
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
          :aria-label="`${carrier} before`"
          :disabled="here === 0"
          @click="step(-1)"
        />
        <span class="figures" aria-live="polite">{{ carrier }} {{ here + 1 }} of {{ places }}</span>
        <Button
          icon="pi pi-chevron-right"
          text
          severity="secondary"
          :aria-label="`${carrier} after`"
          :disabled="here === places - 1"
          @click="step(1)"
        />
      </span>
    </div>
    <ProblemLine />
    <JigSheet v-if="view === 'jig'" :drawing="drawing" :label="labels.jig" />
    <SettingSheet v-else-if="view === 'setting'" :drawing="drawing" :label="labels.setting" />
    <DrawingSheet v-else class="sheet" :drawing="drawing" :label="labels[view]" />
  </div>
</template>

<style scoped>
.at {
  display: inline-flex;
  align-items: center;
  white-space: nowrap;
}
.at :deep(.p-button) {
  min-width: var(--target);
}
</style>
