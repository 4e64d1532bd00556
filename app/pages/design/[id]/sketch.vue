<script setup lang="ts">
import { fileName } from '../../../../core/output'
import { drawingSvg } from '../../../../core/output/svg'
import { clearances, findsOf } from '../../../../core/plan'
import { baseWords, findWords, sayArea, sayLength } from '../../../../core/words'
import { saveFile } from '../../../composables/useFiles'

const route = useRoute()
const bench = useBench()
const id = computed(() => String(route.params.id))
onMounted(() => void bench.open(id.value))
onBeforeUnmount(() => bench.close())
useHead({ title: () => (bench.design ? `Sketch · ${bench.design.name}` : 'Early Wren') })

const plan = computed(() => bench.plan)
const units = computed(() => bench.design?.units ?? 'imperial')
const say = (mm: number): string => sayLength(mm, units.value)
const { drawing } = useDrawings('ground', () => 'sketch')
const off = computed(() => (plan.value ? clearances(plan.value.design, plan.value.frame) : []))
const finds = computed(() => (bench.design ? findsOf(bench.design) : []))
const facts = computed(() => {
  if (!plan.value) return []
  const { design, frame } = plan.value
  const { length, width } = design.footprint
  const rows: [string, string][] = [
    ['Outside of the framing', `${say(length)} by ${say(width)}`],
    ['Floor area', sayArea(length * width * 1e-6, units.value)],
    [
      frame.roof.faces.length > 1 ? 'Ridge over the highest ground' : 'Roof over the highest ground',
      say(frame.roof.highest - frame.ground.highest.height),
    ],
    ['Wall height', say(design.walls.height)],
    ...(design.site
      ? [
          [
            'Measured off',
            { house: 'a house wall, A to B', fence: 'a fence, A to B', line: 'a line, A to B' }[
              design.site.reference.kind
            ],
          ] as [string, string],
        ]
      : []),
    ['Base', design.base ? baseWords[design.base.kind] : 'not part of this work'],
  ]
  return rows
})
function saveSvg(): void {
  if (drawing.value && bench.design)
    saveFile(
      fileName(`${bench.design.name} site`, 'svg'),
      drawingSvg(drawing.value, units.value),
      'image/svg+xml',
    )
}
const print = (): void => window.print()
</script>

<template>
  <main v-if="plan" class="page">
    <nav class="acts no-print">
      <NuxtLink :to="`/design/${id}/ground`"
        ><i class="pi pi-arrow-left" aria-hidden="true" /> Ground</NuxtLink
      >
      <Button label="Print" icon="pi pi-print" @click="print" />
      <Button
        label="SVG"
        icon="pi pi-download"
        outlined
        aria-label="Save the drawing as SVG"
        :disabled="!drawing"
        @click="saveSvg"
      />
    </nav>
    <h1>{{ plan.design.name }}</h1>
    <p class="quiet">Site sketch for a permit office; measurements by the builder.</p>
    <DrawingSheet
      v-if="drawing"
      still
      class="drawing"
      :drawing="drawing"
      label="The site from above with its dimensions"
    />
    <p v-else>No site is set out yet. Do so on the Ground bench.</p>
    <div class="facts">
      <dl>
        <template v-for="[name, value] in facts" :key="name"
          ><dt>{{ name }}</dt>
          <dd class="figures">{{ value }}</dd></template
        >
      </dl>
      <table v-if="off.length">
        <thead>
          <tr>
            <th scope="col">Plot line</th>
            <th scope="col">Building stands off</th>
            <th scope="col">Setback</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="each in off" :key="each.number" :class="{ over: each.distance < each.setback }">
            <td>{{ each.name }}</td>
            <td class="figures">{{ each.distance < 0 ? 'crosses it' : say(each.distance) }}</td>
            <td class="figures">{{ say(each.setback) }}</td>
          </tr>
        </tbody>
      </table>
      <table v-if="finds.length">
        <thead>
          <tr>
            <th scope="col">Found</th>
            <th scope="col">Kind</th>
            <th scope="col">Tapes, left and right</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(each, k) in finds" :key="k">
            <td>{{ each.find.name }}</td>
            <td>{{ findWords[each.find.kind] }}</td>
            <td class="figures">
              <span v-for="(place, i) in each.find.places" :key="i" class="tapes"
                >{{ say(place.toLeft) }}, {{ say(place.toRight) }}</span
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="quiet">
      Not a survey. The permit office and a licensed surveyor decide where the plot's lines are.
    </p>
  </main>
  <BenchWait v-else />
</template>

<style scoped>
.page {
  max-width: 60rem;
  margin: 0 auto;
  padding: 16px;
  display: grid;
  gap: 10px;
}
.acts {
  display: flex;
  gap: 12px;
  align-items: center;
}
.acts a {
  min-height: var(--target);
  display: inline-flex;
  gap: 8px;
  align-items: center;
  margin-right: auto;
}
.drawing {
  height: 520px;
  border: 1px solid var(--line);
  background: var(--sheet);
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 16px 40px;
  align-items: start;
}
dl {
  display: grid;
  grid-template-columns: auto auto;
  gap: 2px 16px;
  margin: 0;
}
dd {
  margin: 0;
}
table {
  border-collapse: collapse;
}
th {
  text-align: left;
}
td,
th {
  padding: 2px 16px 2px 0;
  border-bottom: 1px solid var(--line);
}
.over td {
  color: var(--crayon-words);
}
.tapes + .tapes::before {
  content: '; ';
}
@media print {
  .drawing {
    height: 15cm;
  }
  .page {
    padding: 0;
    max-width: none;
  }
}
</style>
