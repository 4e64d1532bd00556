<script setup lang="ts">
import type { Drawing } from '../../core/drawing'
import { settingOf } from '../../core/plan'
import { saySetting, settingBoards, settingNames, settingPlaces } from '../../core/words'

/** How the row of trusses is set: the drawing, and beside it each step with its boards and where they go. */
defineProps<{ drawing: Drawing; label: string }>()
const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const steps = computed(() => {
  const { plan } = bench
  return plan
    ? settingOf(plan).map(step => ({
        ...step,
        title: settingNames[step.name],
        says: saySetting(plan, step, units.value),
        rows: settingBoards(step, units.value),
        marks: settingPlaces(step, units.value),
      }))
    : []
})
const print = (): void => window.print()

/** Shows the building in 3D as far as a step. */
function show(raised: number): void {
  bench.raised = raised
  bench.view = 'frame'
}

function hold(mark: string): void {
  const piece = bench.plan?.pieces.find(each => each.mark === mark)
  bench.touch({ member: piece?.members[0] ?? null })
}
</script>

<template>
  <div class="setting on-paper">
    <h1 class="only-print">{{ bench.design?.name }}: setting the trusses</h1>
    <DrawingSheet class="drawing" :drawing="drawing" :label="label" still />
    <ol class="steps" aria-label="Setting, step by step">
      <li v-for="step in steps" :key="step.name">
        <div class="head">
          <h2>{{ step.title }}</h2>
          <Button
            class="no-print"
            label="In 3D"
            :aria-label="`${step.title}, in 3D`"
            icon="pi pi-box"
            text
            severity="secondary"
            @click="show(step.raised)"
          />
        </div>
        <p v-for="text in step.says" :key="text">{{ text }}</p>
        <table v-if="step.rows.length" class="figures">
          <tbody>
            <tr v-for="row in step.rows" :key="row.mark">
              <th scope="row">
                <button type="button" class="mark" @click="hold(row.mark)">{{ row.mark }}</button>
              </th>
              <td class="what">{{ row.what }}</td>
              <td>{{ row.length }}</td>
              <td>{{ row.stays }}</td>
            </tr>
          </tbody>
        </table>
        <p v-for="text in step.marks" :key="text" class="figures">{{ text }}</p>
      </li>
    </ol>
    <div class="foot no-print">
      <Button label="Print" icon="pi pi-print" severity="secondary" outlined @click="print" />
    </div>
  </div>
</template>

<style scoped>
.setting {
  display: grid;
  grid-template: minmax(380px, 1fr) auto auto / minmax(0, 1fr);
  min-height: 0;
  height: 100%;
  overflow-y: auto;
}
.drawing {
  min-height: 380px;
  background: var(--sheet);
}
.steps {
  margin: 0;
  padding: 12px 16px 12px 2.6rem;
  display: grid;
  gap: 14px;
  background: var(--sheet);
  border-top: 1px solid var(--line);
}
.steps > li {
  display: list-item;
  max-width: 46rem;
}
.steps > li::marker {
  font: 600 1.15rem var(--head);
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
}
h2 {
  font-size: 1.15rem;
}
p {
  margin: 2px 0;
}
table {
  border-collapse: collapse;
  margin: 4px 0;
}
th,
td {
  text-align: right;
  padding: 3px 12px 3px 0;
  border-bottom: 1px solid var(--line);
}
th,
.what {
  text-align: left;
}
.mark {
  min-width: var(--target);
  min-height: var(--target);
  padding: 0 6px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: transparent;
  color: inherit;
  font: inherit;
  cursor: pointer;
}
.foot {
  padding: 0 16px 12px;
  background: var(--sheet);
}
@media (max-width: 400px) {
  .steps {
    padding: 12px 8px 12px 1.9rem;
  }
  th,
  td {
    padding-right: 6px;
  }
}
@media print {
  .setting {
    display: block;
    height: auto;
    overflow: visible;
  }
  .drawing {
    height: 90mm;
  }
}
</style>
