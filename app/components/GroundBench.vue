<script setup lang="ts">
import type { BaseKind } from '../../core/design'
import type { DrawingView } from '../../core/drawing'
import { standsOnWords } from '../../core/words'
import { chooseBase, setOutSite } from '../logic/changes/below'
import { usualBaseFor } from '../logic/usual-base'

const bench = useBench()
const route = useRoute()
const parts = computed(() => [
  // what hangs on the main part is set out and levelled with it
  ...(bench.design?.hang
    ? []
    : [
        { value: 'place', label: 'Place' },
        { value: 'square', label: 'Square' },
        { value: 'levels', label: 'Levels' },
      ]),
  { value: 'base', label: 'Base' },
])
const chosen = useSessionStorage('early-wren-ground', 'place')
const part = computed({
  get: () => (bench.design?.hang ? 'base' : chosen.value),
  set: to => {
    chosen.value = to
  },
})
const from = usePlace<'base-plan' | 'base-elevation'>('base-view', 'base-plan')
const known = computed(() => (part.value === 'base' ? bench.design?.base : bench.design?.site) !== null)
const view = computed<DrawingView>(() =>
  part.value === 'base' ? from.value : part.value === 'levels' ? 'levels' : 'site',
)
const { drawing, choices } = useDrawings('ground', () => view.value)
const subjects: Record<string, string> = {
  place: 'site',
  square: 'site.squaring',
  levels: 'site.levels',
  base: 'base',
}
/** The step that what is in hand belongs to is shown. */
const steps: Partial<Record<string, string>> = {
  site: 'place',
  boundary: 'place',
  find: 'place',
  stakes: 'square',
  levels: 'levels',
  base: 'base',
  rows: 'base',
  gravel: 'base',
}
watch(
  () => [bench.subject?.kind, bench.subject ? null : bench.member] as const,
  ([kind, member]) => {
    const to = kind ? steps[kind] : member?.where.in === 'base' ? 'base' : undefined
    if (to) part.value = to
  },
  { immediate: true },
)
/** Coming onto the bench, the step that is shown is in hand where there is something of it. */
onMounted(() => {
  if (bench.subject?.kind === 'ground' && known.value) bench.hold(subjects[part.value] ?? 'ground')
})
function turn(to: string): void {
  part.value = to
  bench.hold(subjects[to] ?? 'ground')
}
function setOut(): void {
  bench.edit(setOutSite)
  bench.hold(subjects[part.value] ?? 'site')
}
const usual = computed<BaseKind>(() => (bench.design ? usualBaseFor(bench.design) : 'skids'))
function stand(kind: BaseKind): void {
  bench.edit(chooseBase(kind))
  bench.hold('base')
}
const labels: Partial<Record<DrawingView, string>> = {
  site: 'The site from above, the line that is measured off at the bottom',
  levels: 'The ground from above: each reading, and its height over the highest ground',
  'base-plan': 'The base from above, south at the bottom',
  'base-elevation': 'The base and floor from the south, with the ground',
}
</script>

<template>
  <div v-if="bench.design" class="workbench">
    <div class="strip">
      <ViewSwitch drawing="Plan" />
      <SelectButton
        :model-value="part"
        :options="parts"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Step on the ground"
        @update:model-value="turn"
      />
      <SelectButton
        v-if="part === 'base' && bench.design.base"
        v-model="from"
        :options="choices"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Seen from"
      />
      <NuxtLink
        v-if="part === 'place' && bench.design.site"
        class="to-sketch"
        :to="`/design/${route.params.id}/sketch`"
        >Permit sketch</NuxtLink
      >
    </div>
    <ProblemLine />
    <div v-if="!known && part === 'base'" class="none">
      <h2>Base</h2>
      <p>What the building stands on, with every timber, hole and barrow of gravel in it.</p>
      <Button :label="`Stand it on ${standsOnWords[usual]}`" @click="stand(usual)" />
      <p class="quiet">Another kind is chosen at the right.</p>
    </div>
    <div v-else-if="!known" class="none">
      <h2>Site</h2>
      <p>
        Where the building stands, how square its stakes are and how the ground falls: measured off a house, a
        fence or a line.
      </p>
      <Button label="Set out the site" @click="setOut" />
    </div>
    <LazySquareStakes v-else-if="part === 'square'" class="sheet" />
    <DrawingSheet v-else-if="drawing" class="sheet" :drawing="drawing" :label="labels[view] ?? ''" />
  </div>
</template>

<style scoped>
.to-sketch {
  min-height: var(--target);
  display: inline-flex;
  align-items: center;
  padding: 0 8px;
}
</style>
