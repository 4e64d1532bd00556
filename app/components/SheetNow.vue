<script setup lang="ts">
import { isCut, marksOf, type RunSheet, stepsOf } from '../../core/nest'
import { sayLength, saySection } from '../../core/words'
import { outlinePath } from '../logic/sheet-paths'

/** One sheet at the saw: what comes out of it, and the cut that is up. */
const props = defineProps<{
  sheet: RunSheet
  /** Which sheet it is of how many of its section. */
  place: string
  working: boolean
}>()
const emit = defineEmits<{ tick: []; step: [by: number] }>()
const bench = useBench()
const units = computed(() => bench.saved?.units ?? 'imperial')
const length = (mm: number): string => sayLength(mm, units.value)
const stroke = computed(() => props.sheet.strokes[props.sheet.done] ?? null)
/** A cut's room reaches past the sheet by what the saw takes. */
const strokeTo = computed(() => {
  const { way = 'along', to = 0 } = stroke.value ?? {}
  return Math.min(to, way === 'across' ? props.sheet.wide : props.sheet.long)
})
const steps = computed(() => stepsOf(props.sheet))
const done = computed(() => isCut(props.sheet))
/** A cut as a line on the sheet, y down. */
const lines = computed(() =>
  props.sheet.strokes.map(({ way, at, from, to }) =>
    way === 'across'
      ? { x1: at, x2: at, y1: props.sheet.wide - from, y2: props.sheet.wide - to }
      : { x1: from, x2: to, y1: props.sheet.wide - at, y2: props.sheet.wide - at },
  ),
)
const toneOf = (i: number): string => {
  if (i < props.sheet.done) return 'done'
  return i === props.sheet.done ? 'now' : ''
}
const marks = computed(() => [...new Set(props.sheet.places.flatMap(({ mark }) => marksOf(mark)))])
const label = computed(() => {
  const piece = bench.pieceOf(marks.value[0] ?? '')?.piece
  return piece ? saySection(piece.section, units.value) : props.sheet.section
})
/** Marks of what is not yet a piece once its rectangle is cut. */
const shaped = computed(() => [
  ...new Set(
    props.sheet.places
      .filter(({ mark }) => mark in props.sheet.outlines)
      .flatMap(({ mark }) => marksOf(mark)),
  ),
])
</script>

<template>
  <TurnCard
    class="sheet-now"
    :label="sheet.strokes.length ? `Cut ${sheet.done} of ${steps}` : 'Marked'"
    :done="done"
    :says="`Tick the sheet: ${sheet.done} of ${steps} cut`"
    :working="working"
    @tick="emit('tick')"
    @step="emit('step', $event)"
  >
    <p class="sheet">
      <b>{{ label }}</b>
      <span class="figures">{{ length(sheet.long) }} by {{ length(sheet.wide) }}</span>
      <span class="quiet">{{ place }}</span>
    </p>
    <svg
      class="picture"
      role="img"
      :aria-label="`${marks.join(', ')} on one sheet`"
      :viewBox="`0 0 ${sheet.long} ${sheet.wide}`"
    >
      <rect class="whole" x="0" y="0" :width="sheet.long" :height="sheet.wide" />
      <template v-for="(each, i) in sheet.places" :key="i">
        <rect
          class="place"
          :x="each.along"
          :y="sheet.wide - each.across - each.wide"
          :width="each.long"
          :height="each.wide"
        />
        <path
          v-for="(outline, k) in sheet.outlines[each.mark] ?? []"
          :key="k"
          class="outline"
          :d="outlinePath(outline, each.wide)"
          :transform="`translate(${each.along} ${sheet.wide - each.across - each.wide})`"
        />
        <text
          :x="each.along + each.long / 2"
          :y="sheet.wide - each.across - each.wide / 2"
          :font-size="Math.min(sheet.wide / 9, (1.5 * each.long) / each.mark.length, each.wide * 0.8)"
        >
          {{ each.mark }}
        </text>
      </template>
      <line v-for="(line, i) in lines" :key="i" v-bind="line" :class="toneOf(i)" />
    </svg>
    <template v-if="stroke">
      <p class="length figures" :aria-label="`Cut at ${length(stroke.at)}`">{{ length(stroke.at) }}</p>
      <p class="what">
        <b v-if="stroke.way === 'across'">across the grain, from the whole sheet’s left end</b>
        <b v-else>along the grain, from the whole sheet’s lower edge</b>
      </p>
      <p class="quiet figures">
        cut {{ sheet.done + 1 }} of {{ steps }}, from {{ length(stroke.from) }} to {{ length(strokeTo) }}
      </p>
    </template>
    <p v-else-if="!done" class="what">
      <b>No cut: the whole sheet is {{ marks.join(', ') }}.</b>
    </p>
    <p v-else class="what">
      <b>Cut: {{ marks.join(', ') }}.</b>
    </p>
    <p v-if="shaped.length" class="quiet">Then along the outlines of {{ shaped.join(', ') }}.</p>
  </TurnCard>
</template>

<style scoped>
.sheet {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 14px;
  font-size: 1.35rem;
}
.what {
  font-size: 1.35rem;
}
.picture {
  width: 100%;
  max-height: 38vh;
  overflow: visible;
}
.whole {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.place {
  fill: var(--pine);
}
.outline {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 6 4;
  vector-effect: non-scaling-stroke;
}
text {
  text-anchor: middle;
  dominant-baseline: central;
  font-family: var(--head);
  font-weight: 700;
  fill: var(--ink);
}
line {
  stroke: var(--ink);
  stroke-width: 1.5px;
  vector-effect: non-scaling-stroke;
}
line.done {
  stroke: var(--moss);
}
line.now {
  stroke: var(--crayon);
  stroke-width: 6px;
}
</style>
