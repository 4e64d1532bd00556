<script setup lang="ts">
import { fileName } from '../../core/output'
import { kitsOf, plansOf } from '../../core/plan'
import { labelSheets, type Paper, papers } from '../../core/print'
import { raisingNames } from '../../core/words'
import { saveFile } from '../composables/useFiles'
import type { PrintAnswer, PrintQuestion } from '../logic/print-work'

/** Labels for pieces and bundles, and cards and lists, as documents for a printer. */
const bench = useBench()
const route = useRoute()
const ALL = 'all'
const kit = ref(ALL)
const kits = computed(() => {
  const names = bench.whole ? plansOf(bench.whole).flatMap(plan => kitsOf(plan).map(({ name }) => name)) : []
  return [
    { value: ALL, label: 'All of it' },
    ...[...new Set(names)].map(value => ({ value, label: raisingNames[value] })),
  ]
})
watch(kits, list => {
  if (!list.some(({ value }) => value === kit.value)) kit.value = ALL
})
const metric = computed(() => bench.saved?.lumber.yard === 'metric')
const sheet = ref<number | null>(null)
const chosen = computed({
  get: () => sheet.value ?? (metric.value ? 0 : 3),
  set: to => {
    sheet.value = to
    first.value = 1
  },
})
const onSheet = computed(() => {
  const of = labelSheets[chosen.value]
  return of ? of.across * of.down : 1
})
const first = ref(1)
const each = ref<'piece' | 'bundle'>('piece')
const paper = ref<Paper | null>(null)
const onPaper = computed({
  get: (): Paper => paper.value ?? (metric.value ? 'a4' : 'letter'),
  set: to => {
    paper.value = to
  },
})

const busy = ref<'' | 'labels' | 'cards'>('')
const failed = ref(false)
let worker: Worker | null = null
function stop(): void {
  worker?.terminate()
  worker = null
  busy.value = ''
}
onBeforeUnmount(stop)
function print(question: PrintQuestion): void {
  stop()
  busy.value = question.what
  failed.value = false
  const mine = new Worker(new URL('../workers/print.ts', import.meta.url), { type: 'module' })
  worker = mine
  const done = (pdf: ArrayBuffer | null): void => {
    if (mine !== worker) return
    stop()
    failed.value = pdf === null
    if (pdf)
      saveFile(
        fileName(`${question.design.name} ${question.what}`, 'pdf'),
        new Blob([pdf]),
        'application/pdf',
      )
  }
  mine.onmessage = ({ data }: MessageEvent<PrintAnswer>) => done(data.pdf)
  mine.onerror = () => done(null)
  mine.postMessage(question)
}
const kitAsked = computed(() => (kit.value === ALL ? null : (kit.value as keyof typeof raisingNames)))
/** What is sent to a worker is a plain copy. */
const design = () => (bench.saved ? toRaw(bench.saved) : null)
function labels(): void {
  const of = design()
  if (of)
    print({
      ...{ what: 'labels', design: of, kit: kitAsked.value, each: each.value },
      ...{ sheet: chosen.value, first: Math.min(first.value, onSheet.value) },
      link: `${location.origin}/design/${String(route.params.id)}/saw`,
    })
}
function cards(): void {
  const of = design()
  if (of) print({ what: 'cards', design: of, kit: kitAsked.value, paper: onPaper.value })
}
</script>

<template>
  <div class="paper">
    <div class="field-row">
      <ChoiceField v-model="kit" label="Of" :options="kits" />
    </div>
    <p v-if="failed" class="said-wrong" role="alert">
      The document could not be made on this machine. Try a smaller part.
    </p>
    <section aria-label="Cards and list">
      <h2>Cards and list</h2>
      <p>Four cards to a page, then the list, black on white.</p>
      <div class="field-row">
        <ChoiceField
          v-model="onPaper"
          label="Paper"
          :options="Object.entries(papers).map(([value, { name }]) => ({ value, label: name }))"
        />
        <Button label="Cards as PDF" icon="pi pi-download" :disabled="busy !== ''" @click="cards" />
        <template v-if="busy === 'cards'"
          ><span role="status">Making them …</span><Button label="Stop" outlined @click="stop"
        /></template>
      </div>
    </section>
    <section aria-label="Labels">
      <h2>Labels</h2>
      <p>Mark, size and place, and a code that opens the card on a device that holds this design.</p>
      <div class="field-row">
        <ChoiceField
          v-model="chosen"
          label="Sheet"
          :options="labelSheets.map(({ name }, value) => ({ value, label: name }))"
        />
        <ChoiceField
          v-model="each"
          label="One for each"
          :options="[
            { value: 'piece', label: 'Piece' },
            { value: 'bundle', label: 'Bundle' },
          ]"
        />
        <SawField
          kind="count"
          name="First label"
          :value="first"
          :limit="{ min: 1, max: onSheet }"
          @set="first = $event ?? 1"
        />
        <Button label="Labels as PDF" icon="pi pi-download" :disabled="busy !== ''" @click="labels" />
        <template v-if="busy === 'labels'"
          ><span role="status">Making them …</span><Button label="Stop" outlined @click="stop"
        /></template>
      </div>
    </section>
  </div>
</template>

<style scoped>
h2 {
  font-size: 1.2rem;
  margin: 16px 0 4px;
  border-bottom: 2px solid var(--ink);
}
</style>
