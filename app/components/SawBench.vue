<script setup lang="ts">
import { fileName, wholeFile, wholeListCsv } from '../../core/output'
import { cautionsOf } from '../../core/check'
import { saySection, sayCaution } from '../../core/words'
import { saveFile } from '../composables/useFiles'
import { looseRows } from '../logic/card-rows'
import { finds, listed, type SawOrder, type SawRow, sawRow } from '../logic/saw-rows'

/** `searches` counts how often the search was asked for by its key. */
const props = defineProps<{ narrow: boolean; searches: number }>()
const bench = useBench()
const find = defineModel<string>('find', { required: true })
const ALL = 'all'
/** All, in the order of the work. */
const WORK = 'work'
/** Pieces that the saw is set alike for, and those that are carried together. */
const SETTING = 'order: setting'
const KITS = 'order: kits'
const section = usePlace<string>('section', ALL)
watch(
  () => props.searches,
  count => {
    if (count) document.getElementById('find-piece')?.focus()
  },
  { immediate: true, flush: 'post' },
)
onMounted(() => {
  if (props.searches && find.value === '') document.getElementById('find-piece')?.focus()
})
const one = usePlace<boolean>('one-card', false)
/** The pieces, the boards that they come out of, what is bought, or what is printed. */
const of = usePlace<'pieces' | 'boards' | 'buy' | 'paper'>('saw-of', 'pieces')
const views = [
  { value: 'pieces', label: 'Cut list' },
  { value: 'boards', label: 'Boards' },
  { value: 'buy', label: 'Buy' },
  { value: 'paper', label: 'Paper' },
  { value: 'frame', label: '3D' },
] as const
const view = computed({
  get: () => of.value,
  set: (to: (typeof views)[number]['value']) => {
    if (to === 'frame') bench.view = 'frame'
    else of.value = to
  },
})
const route = useRoute()
const units = computed(() => bench.design?.units ?? 'imperial')
const orders: Record<string, SawOrder> = { [WORK]: 'work', [SETTING]: 'setting', [KITS]: 'kits' }
const order = computed<SawOrder>(() => orders[section.value] ?? 'section')
const pieces = computed(() => bench.plan?.pieces ?? [])
const sections = computed(() => [
  { value: ALL, label: 'All' },
  { value: WORK, label: 'As it goes up' },
  { value: SETTING, label: 'By the saw' },
  { value: KITS, label: 'Kits to carry' },
  ...[
    ...new Map(pieces.value.map(piece => [piece.section.name, saySection(piece.section, units.value)])),
  ].map(([value, label]) => ({ value, label })),
])
const shown = computed(() => {
  const { plan } = bench
  if (!plan) return []
  return listed(plan, order.value)
    .filter(
      ({ piece }) =>
        (section.value in orders || section.value === ALL || piece.section.name === section.value) &&
        finds(find.value, piece),
    )
    .map(({ piece, group, count }) =>
      sawRow(plan, piece, {
        units: units.value,
        step: group,
        ...(count !== undefined && { count }),
        state: bench.cutState(piece),
        hand: bench.piece?.mark === piece.mark,
      }),
    )
})
const done = computed(() =>
  pieces.value.filter(piece => bench.cutState(piece) === 'yes').reduce((sum, piece) => sum + piece.count, 0),
)
/** All that is sawn, what comes down again too. */
const sawn = computed(() => pieces.value.reduce((sum, piece) => sum + piece.count, 0))

const takeUp = (row: SawRow): void => bench.takeUp(row.piece)
/** Why the list is empty. */
const none = computed(() =>
  pieces.value.length
    ? `No piece fits “${find.value}”${section.value === ALL || section.value in orders ? '' : ` in ${section.value}`}. Clear the search to see all ${pieces.value.length}.`
    : 'Nothing can be cut yet. The cautions say what to change.',
)

function takeFirst(): void {
  const first = shown.value[0]
  if (first) takeUp(first)
}

function saveCsv(): void {
  if (bench.whole)
    saveFile(
      fileName(bench.whole.design.name, 'csv'),
      wholeListCsv(bench.whole, section.value === WORK ? 'work' : 'section'),
      'text/csv',
    )
}

function savePlan(): void {
  if (bench.whole)
    saveFile(
      fileName(`${bench.whole.design.name} plan`, 'json'),
      `${JSON.stringify(wholeFile(bench.whole), null, 2)}\n`,
      'application/json',
    )
}

const loose = computed(() => looseRows(bench.plan?.loose ?? [], units.value))
const roofCautions = computed(() =>
  bench.plan && bench.piece
    ? cautionsOf(bench.plan).filter(caution => caution.members.some(id => bench.piece?.members.includes(id)))
    : [],
)
/** The search let go, and the field left. */
function leaveFind(event: KeyboardEvent): void {
  find.value = ''
  ;(event.target as HTMLElement).blur()
}
</script>

<template>
  <div class="workbench saw">
    <div class="strip">
      <SelectButton
        v-model="view"
        :options="[...views]"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="View"
      />
      <NuxtLink v-if="of === 'boards'" :to="`/design/${String(route.params.id)}/cut`" class="to-saw">
        <i class="pi pi-play" aria-hidden="true" />At the saw
      </NuxtLink>
      <label v-if="of === 'pieces'" class="find"
        ><span class="visually-hidden">Find a piece by mark</span
        ><InputText
          id="find-piece"
          v-model="find"
          placeholder="Find ( / )"
          autocomplete="off"
          @keydown.enter="takeFirst"
          @keydown.escape="leaveFind"
      /></label>
      <ChoiceField v-if="of === 'pieces'" v-model="section" label="Section" :options="sections" />
      <template v-if="of === 'pieces'">
        <Button
          label="CSV"
          aria-label="Save the cut list as CSV"
          icon="pi pi-download"
          outlined
          @click="saveCsv"
        />
        <Button
          label="JSON"
          aria-label="Save the plan as JSON"
          icon="pi pi-download"
          outlined
          @click="savePlan"
        />
      </template>
      <Button
        v-if="narrow && of === 'pieces'"
        :label="one ? 'List' : 'One card at a time'"
        @click="one = !one"
      />
      <span class="done figures">{{ done }} of {{ sawn }} cut</span>
    </div>
    <ProblemLine />
    <div v-if="narrow && one && of === 'pieces'" class="one">
      <CutCard />
      <div class="one-acts">
        <Button label="Previous" icon="pi pi-chevron-left" outlined @click="bench.nextPiece(-1)" />
        <Button label="Next" icon="pi pi-chevron-right" icon-pos="right" @click="bench.nextPiece(1)" />
      </div>
    </div>
    <div v-else class="list">
      <LazySawBoards v-if="of === 'boards'" />
      <LazySawBuy v-else-if="of === 'buy'" />
      <LazySawPaper v-else-if="of === 'paper'" />
      <SawTable
        v-else
        :rows="shown"
        :sections="section in orders"
        :none="none"
        @take="bench.takeUp($event.piece)"
        @tick="bench.tick($event.piece)"
      />
      <section v-if="loose.length && of === 'pieces'" class="loose" aria-label="Loose things">
        <h2>Loose</h2>
        <ExplainedList :rows="loose" :columns="narrow ? 1 : 2" />
      </section>
      <ul v-if="roofCautions.length" class="cautions">
        <li v-for="caution in roofCautions" :key="caution.code">{{ sayCaution(caution, units) }}</li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.saw {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.list {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: 0 16px 16px;
  container-type: inline-size;
}
.to-saw {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  min-height: var(--target);
  padding: 4px 14px;
  border-radius: 3px;
  background: var(--chalk-words);
  color: var(--sheet);
  font-weight: 700;
  text-decoration: none;
}
/* the list says by itself what it is of */
.strip :deep(.choice > label) {
  display: none;
}
.find :deep(.p-inputtext) {
  width: 8.6rem;
}
.done {
  margin-left: auto;
  color: var(--moss-words);
}
.loose {
  margin-top: 20px;
}
.loose h2 {
  font-size: 1.2rem;
  border-bottom: 2px solid var(--ink);
}
.cautions {
  list-style: none;
  padding: 0;
  margin: 16px 0 0;
  display: grid;
  gap: 8px;
}
.cautions li {
  border-left: 4px solid var(--sawdust);
  padding: 4px 12px;
}
.one {
  overflow: auto;
  flex: 1;
}
.one-acts {
  position: sticky;
  bottom: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  padding: 8px 16px;
  background: var(--paper);
}
.one-acts :deep(.p-button) {
  min-height: 56px;
}
@media (max-width: 900px) {
  .list {
    padding-inline: 8px;
  }
}
</style>
