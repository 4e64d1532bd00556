<script setup lang="ts">
import { roles } from '../../core/trade'
import { cutListCsv, fileName, planFile } from '../../core/output'
import { inOrderOfWork, type Piece } from '../../core/plan'
import { formatAngle } from '../../core/measure'
import { cautionsOf } from '../../core/check'
import { raisingNames, sayDetails, saySection, sayCaution, sayLength } from '../../core/words'
import { saveFile } from '../composables/useFiles'
import { looseRows } from '../logic/card-rows'

/** `searches` counts how often the search was asked for by its key. */
const props = defineProps<{ narrow: boolean; searches: number }>()
const bench = useBench()
const find = defineModel<string>('find', { required: true })
const ALL = 'all'
const LONGER = 'longer than stock'
/** All, in the order of the work. */
const WORK = 'work'
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
const units = computed(() => bench.design?.units ?? 'imperial')
/** Pieces in the order of the work, and the step each goes up in. */
const work = computed(() => (bench.plan && section.value === WORK ? inOrderOfWork(bench.plan) : []))
const stepOf = computed(() => new Map(work.value.map(({ piece, step }) => [piece.mark, raisingNames[step]])))
const pieces = computed(() =>
  section.value === WORK ? work.value.map(each => each.piece) : (bench.plan?.pieces ?? []),
)
const sections = computed(() => [
  { value: ALL, label: 'All' },
  { value: WORK, label: 'As it goes up' },
  ...[
    ...new Map(pieces.value.map(piece => [piece.section.name, saySection(piece.section, units.value)])),
  ].map(([value, label]) => ({ value, label })),
])
const shown = computed(() =>
  pieces.value
    .filter(
      piece =>
        (section.value === ALL || section.value === WORK || piece.section.name === section.value) &&
        matches(piece),
    )
    .map(rowOf),
)
const done = computed(() =>
  pieces.value.filter(piece => bench.cutState(piece) === 'yes').reduce((sum, piece) => sum + piece.count, 0),
)

const matches = (piece: Piece): boolean => {
  const wanted = find.value.trim().toLowerCase()
  return !wanted || piece.mark.toLowerCase().startsWith(wanted) || roles[piece.role].one.includes(wanted)
}

/** Both ends' cuts; told once where they are alike. */
function cuts({ ends }: Piece): string {
  const [first, last] = ends.map(end =>
    end.miter || end.bevel
      ? `${end.kind} ${formatAngle(end.miter)}${end.bevel ? ` / ${formatAngle(end.bevel)}` : ''}`
      : 'square',
  )
  return first === last ? (first === 'square' ? 'square' : `both ${first}`) : `${first} · ${last}`
}

/** Further cuts, notches and making numbers, in one line. */
function moreOf(piece: Piece): string {
  if (!bench.plan) return ''
  const said = sayDetails(bench.plan, piece)
  return [...said.cuts, ...said.notches, ...said.figures].join('; ')
}

function rowOf(piece: Piece) {
  return {
    mark: piece.mark,
    piece,
    section: saySection(piece.section, units.value),
    group: stepOf.value.get(piece.mark) ?? saySection(piece.section, units.value),
    name: roles[piece.role][piece.count === 1 ? 'one' : 'many'],
    count: piece.count,
    length:
      piece.section.kind === 'sheet' || piece.width < piece.section.depth - 0.05
        ? `${sayLength(piece.length, units.value).replace(' mm', '')} × ${sayLength(piece.width, units.value)}`
        : sayLength(piece.length, units.value),
    cuts: cuts(piece),
    more: moreOf(piece),
    stock: piece.stock === null ? LONGER : sayLength(piece.stock, units.value),
    state: bench.cutState(piece),
    hand: bench.piece?.mark === piece.mark,
  }
}

type Row = ReturnType<typeof rowOf>
const rowClass = (row: Row): string => (row.hand ? 'in-hand' : '')
const takeUp = (row: Row): void => bench.takeUp(row.piece)

function takeFirst(): void {
  const first = shown.value[0]
  if (first) takeUp(first)
}

function saveCsv(): void {
  if (bench.plan)
    saveFile(
      fileName(bench.plan.design.name, 'csv'),
      cutListCsv(bench.plan, section.value === WORK ? 'work' : 'section'),
      'text/csv',
    )
}

function savePlan(): void {
  if (bench.plan)
    saveFile(
      fileName(`${bench.plan.design.name} plan`, 'json'),
      `${JSON.stringify(planFile(bench.plan), null, 2)}\n`,
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
      <ViewSwitch drawing="List" />
      <label class="find"
        ><span class="visually-hidden">Find a piece by mark</span
        ><InputText
          id="find-piece"
          v-model="find"
          placeholder="Find ( / )"
          autocomplete="off"
          @keydown.enter="takeFirst"
          @keydown.escape="leaveFind"
      /></label>
      <ChoiceField v-model="section" label="Section" :options="sections" />
      <Button
        label="CSV"
        aria-label="Save the cut list as CSV"
        icon="pi pi-download"
        outlined
        @click="saveCsv"
      />
      <Button
        label="Plan"
        aria-label="Save the plan as JSON"
        icon="pi pi-download"
        outlined
        @click="savePlan"
      />
      <Button v-if="narrow" :label="one ? 'List' : 'One card at a time'" @click="one = !one" />
      <span class="done figures">{{ done }} of {{ bench.plan?.totals.pieces ?? 0 }} cut</span>
    </div>
    <ProblemLine />
    <div v-if="narrow && one" class="one">
      <CutCard />
      <div class="one-acts">
        <Button label="Previous" icon="pi pi-chevron-left" outlined @click="bench.nextPiece(-1)" />
        <Button label="Next" icon="pi pi-chevron-right" icon-pos="right" @click="bench.nextPiece(1)" />
      </div>
    </div>
    <div v-else class="list">
      <DataTable
        :value="shown"
        data-key="mark"
        row-group-mode="subheader"
        group-rows-by="group"
        :row-class="rowClass"
        scrollable
        scroll-height="flex"
        size="small"
        @row-click="takeUp($event.data)"
      >
        <template #groupheader="{ data }"
          ><span class="group">{{ data.group }}</span></template
        >
        <Column header="Mark" class="c-mark">
          <template #body="{ data }"
            ><button
              type="button"
              class="plain-button mark"
              :aria-pressed="data.hand"
              @click.stop="takeUp(data)"
            >
              {{ data.mark }}
            </button></template
          >
        </Column>
        <Column
          field="count"
          header="Count"
          class="c-count"
          body-class="figures right"
          header-class="right"
        />
        <Column header="Piece" class="c-piece">
          <template #body="{ data }"
            >{{ data.name }}<span v-if="section === WORK" class="more">{{ data.section }}</span></template
          >
        </Column>
        <Column header="Length" class="c-length" body-class="figures right" header-class="right">
          <template #body="{ data }"
            >{{ data.length
            }}<span class="more from">{{
              data.stock === LONGER ? LONGER : `from ${data.stock}`
            }}</span></template
          >
        </Column>
        <Column header="Cuts" body-class="figures" class="c-cuts">
          <template #body="{ data }"
            >{{ data.cuts }}<span v-if="data.more" class="more">{{ data.more }}</span></template
          >
        </Column>
        <Column header="Cut" class="c-box">
          <template #body="{ data }">
            <button
              type="button"
              class="box"
              role="checkbox"
              :aria-checked="data.state === 'yes' ? 'true' : data.state === 'changed' ? 'mixed' : 'false'"
              :aria-label="`${data.mark} is cut`"
              :class="data.state"
              :title="data.state === 'changed' ? 'Changed since it was cut' : ''"
              @click.stop="bench.tick(data.piece)"
            >
              <i
                v-if="data.state !== 'no'"
                :class="data.state === 'yes' ? 'pi pi-check' : 'pi pi-exclamation-triangle'"
                aria-hidden="true"
              />
            </button>
          </template>
        </Column>
        <template #empty>
          <p v-if="pieces.length" class="none">
            No piece fits “{{ find }}”{{ section === ALL || section === WORK ? '' : ` in ${section}` }}. Clear
            the search to see all {{ pieces.length }}.
          </p>
          <p v-else class="none">Nothing can be cut yet. The cautions say what to change.</p>
        </template>
      </DataTable>
      <section v-if="loose.length" class="loose" aria-label="Loose things">
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
.find :deep(.p-inputtext) {
  width: 8.6rem;
}
.done {
  margin-left: auto;
  color: var(--moss-words);
}
.more {
  display: block;
  color: var(--soft);
  font-size: 0.85rem;
  line-height: 1.25;
}
.group {
  font: 600 1.2rem var(--head);
}
.mark {
  font: 600 1.25rem var(--head);
  color: var(--crayon-words);
  min-height: var(--target);
  min-width: var(--target);
}
.list :deep(.right) {
  text-align: right;
}
.list :deep(.right .p-datatable-column-header-content) {
  justify-content: flex-end;
}
.list :deep(tr) {
  cursor: pointer;
}
.list :deep(tr.in-hand > td) {
  background: var(--wash);
  box-shadow: inset 0 -2px 0 var(--crayon);
}
.list :deep(table) {
  table-layout: fixed;
  width: 100%;
  min-width: 0;
}
.list :deep(td),
.list :deep(th) {
  padding: 3px 6px;
  overflow-wrap: anywhere;
}
.list :deep(.c-mark) {
  width: 4rem;
}
.list :deep(.c-piece) {
  width: 8.6rem;
}
.list :deep(.c-count) {
  width: 3.9rem;
}
.list :deep(.c-length) {
  width: 9.4rem;
}
.list :deep(.c-box) {
  width: calc(var(--target) + 20px);
}
/* the group's cell spans one column too few */
.list :deep(.p-datatable-row-group-header td) {
  border-bottom: 0;
  padding-top: 12px;
}
.box {
  width: var(--target);
  height: var(--target);
  border: 2px solid var(--soft);
  background: var(--sheet);
  color: inherit;
  cursor: pointer;
  border-radius: 3px;
}
.box.yes {
  background: var(--moss);
  border-color: var(--moss);
  color: var(--sheet);
}
.box.changed {
  background: var(--dust);
  border-color: var(--sawdust);
}
.none {
  padding: 20px 4px;
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
@container (max-width: 600px) {
  .list :deep(thead) {
    display: none;
  }
  .list :deep(tbody tr:not(.p-datatable-row-group-header)) {
    display: grid;
    grid-template:
      'mark count piece box' auto 'mark length cuts box' auto / 3.4rem minmax(2rem, 7.4rem)
      minmax(0, 1fr) calc(var(--target) + 8px);
    border-bottom: 1px solid var(--line);
  }
  .list :deep(tbody tr:not(.p-datatable-row-group-header) td) {
    display: block;
    width: auto;
    border: 0;
    text-align: left;
    padding: 2px 4px;
  }
  .list :deep(.p-datatable-row-group-header) {
    display: block;
  }
  .list :deep(.p-datatable-row-group-header td) {
    display: block;
  }
  .list :deep(.c-mark) {
    grid-area: mark;
  }
  .list :deep(.c-count) {
    grid-area: count;
  }
  .list :deep(.c-piece) {
    grid-area: piece;
  }
  .list :deep(.c-length) {
    grid-area: length;
  }
  .list :deep(.c-cuts) {
    grid-area: cuts;
    font-size: 0.9rem;
  }
  .list :deep(.c-box) {
    grid-area: box;
    align-self: center;
  }
}
@media (max-width: 900px) {
  .list {
    padding-inline: 8px;
  }
}
</style>
