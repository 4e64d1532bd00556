<script setup lang="ts">
import type { Drawing } from '../../core/drawing'
import { jigOf } from '../../core/plan'
import { jigBlocks, jigChecks, jigRows, jigSteps } from '../../core/words'

/** A truss's jig: the drawing, and beside it all that is measured, in the hand and on one page. */
defineProps<{ drawing: Drawing; label: string }>()
const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const jig = computed(() => (bench.plan ? jigOf(bench.plan) : null))
const print = (): void => window.print()
</script>

<template>
  <div class="jig on-paper">
    <h1 class="only-print">{{ bench.design?.name }}: one truss in its jig</h1>
    <DrawingSheet class="drawing" :drawing="drawing" :label="label" still />
    <section v-if="jig" class="list" aria-label="Jig">
      <div class="tables">
        <table class="figures">
          <caption>
            Points, from the corner
          </caption>
          <thead>
            <tr>
              <th scope="col">Point</th>
              <th scope="col">Along</th>
              <th scope="col">Across</th>
              <th scope="col">Of</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in jigRows(jig, units)" :key="row.number">
              <th scope="row">{{ row.number }}</th>
              <td>{{ row.along }}</td>
              <td>{{ row.across }}</td>
              <td>{{ row.marks }}</td>
            </tr>
          </tbody>
        </table>
        <table class="figures">
          <caption>
            What proves it
          </caption>
          <tbody>
            <tr v-for="row in jigChecks(jig, units)" :key="row.between">
              <th scope="row">{{ row.between }}</th>
              <td>{{ row.length }}</td>
            </tr>
          </tbody>
        </table>
        <table class="figures">
          <caption>
            Blocks, by their edge's middle
          </caption>
          <thead>
            <tr>
              <th scope="col">Against</th>
              <th scope="col">Along</th>
              <th scope="col">Across</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, i) in jigBlocks(jig, units)" :key="i">
              <th scope="row">{{ row.mark }}</th>
              <td>{{ row.along }}</td>
              <td>{{ row.across }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <ol class="steps">
        <li v-for="step in jigSteps(jig, units)" :key="step">{{ step }}</li>
      </ol>
      <Button
        class="no-print"
        label="Print"
        icon="pi pi-print"
        severity="secondary"
        outlined
        @click="print"
      />
    </section>
  </div>
</template>

<style scoped>
.jig {
  display: grid;
  grid-template: minmax(380px, 1fr) auto / minmax(0, 1fr);
  min-height: 0;
  height: 100%;
  overflow-y: auto;
}
.drawing {
  min-height: 380px;
  background: var(--sheet);
}
.list {
  display: grid;
  gap: 12px;
  padding: 12px 16px;
  background: var(--sheet);
  border-top: 1px solid var(--line);
}
.tables {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 28px;
  align-items: flex-start;
}
table {
  border-collapse: collapse;
}
caption {
  text-align: left;
  font: 600 1.15rem var(--head);
  padding-bottom: 4px;
}
th,
td {
  text-align: right;
  padding: 3px 10px 3px 0;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
}
thead th {
  font: 400 0.9rem var(--text);
}
.steps {
  margin: 0;
  padding-left: 1.4em;
  display: grid;
  gap: 4px;
  max-width: 46rem;
}
@media (max-width: 400px) {
  .list {
    padding: 12px 8px;
  }
  table {
    font-size: 0.9rem;
  }
  th,
  td {
    padding-right: 5px;
  }
  td:last-child {
    white-space: normal;
  }
}
@media print {
  .jig {
    display: block;
    height: auto;
    overflow: visible;
  }
  .drawing {
    height: 90mm;
  }
}
</style>
