<script setup lang="ts">
import { marksOf } from '../../core/nest'
import { sayLength } from '../../core/words'
import type { SheetsMade } from '../logic/nest-work'
import { outlinePath } from '../logic/sheet-paths'

/** Sheets of one kind, each to scale with what comes out of it; `hand` is the mark in hand. */
const props = defineProps<{ made: SheetsMade; label: string; hand: string }>()
const emit = defineEmits<{ take: [mark: string] }>()
const bench = useBench()
const units = computed(() => bench.design?.units ?? 'imperial')
const length = (mm: number): string => sayLength(mm, units.value)
/** Sheets that are cut alike are drawn once. */
const drawn = computed(() => {
  const alike = new Map<string, { sheet: SheetsMade['sheets'][number]; count: number }>()
  for (const sheet of props.made.sheets) {
    const key = JSON.stringify(sheet)
    const known = alike.get(key)
    if (known) known.count++
    else alike.set(key, { sheet, count: 1 })
  }
  return [...alike.values()]
})
/** What of a place is no rectangle, as paths in its own box, mm. */
const pathsOf = (mark: string, wide: number): string[] =>
  (props.made.outlines?.get(mark) ?? []).map(outline => outlinePath(outline, wide))
const share = (mm: number, of: number): string => `${((100 * mm) / of).toFixed(3)}%`
</script>

<template>
  <section :aria-label="label">
    <h2>
      {{ label }}
      <span class="figures"
        >{{ made.sheets.length }} × {{ length(made.wide) }} by {{ length(made.long)
        }}{{ made.proved ? ', as few as can be' : `, ${made.bound} at least` }}</span
      >
    </h2>
    <p v-if="made.unplaced.length" class="said-wrong">
      No sheet is large enough for {{ made.unplaced.map(({ mark }) => mark).join(', ') }}.
    </p>
    <ul>
      <li v-for="({ sheet, count }, i) in drawn" :key="i">
        <div class="sheet" :style="{ aspectRatio: `${made.long} / ${made.wide}` }">
          <button
            v-for="(place, k) in sheet.places"
            :key="k"
            type="button"
            class="place figures"
            :class="{ hand: marksOf(place.mark).includes(hand), shaped: made.outlines?.has(place.mark) }"
            :style="{
              left: share(place.along, made.long),
              bottom: share(place.across, made.wide),
              width: share(place.long, made.long),
              height: share(place.wide, made.wide),
            }"
            :aria-label="`${place.mark}, ${length(place.long)} by ${length(place.wide)}`"
            :title="`${place.mark}, ${length(place.long)} by ${length(place.wide)}`"
            @click="emit('take', marksOf(place.mark)[0] ?? '')"
          >
            <svg
              v-if="made.outlines?.has(place.mark)"
              aria-hidden="true"
              :viewBox="`0 0 ${place.long} ${place.wide}`"
            >
              <path v-for="(d, j) in pathsOf(place.mark, place.wide)" :key="j" :d="d" />
            </svg>
            <b aria-hidden="true">{{ place.mark }}</b>
          </button>
        </div>
        <p class="cuts figures">
          <b v-if="count > 1">{{ count }} alike</b>
          <span v-for="(stroke, k) in sheet.strokes" :key="k"
            >{{ k + 1 }}. {{ stroke.way }} at {{ length(stroke.at) }}</span
          >
          <span v-if="sheet.rest" class="rest"
            >{{ length(sheet.rest.wide) }} by {{ length(sheet.rest.long) }} left</span
          >
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.2rem;
  margin: 16px 0 4px;
  border-bottom: 2px solid var(--ink);
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  align-items: baseline;
}
h2 .figures {
  font-size: 1rem;
  font-weight: normal;
}
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 300px), 1fr));
  gap: 12px 16px;
}
.sheet {
  position: relative;
  border: 1px solid var(--ink);
  background: repeating-linear-gradient(-45deg, var(--sheet) 0 5px, var(--line) 5px 6px);
}
.place {
  position: absolute;
  padding: 0;
  border: 1px solid var(--ink);
  background: var(--pine);
  color: var(--ink);
  overflow: hidden;
  cursor: pointer;
  font-size: 0.9rem;
}
.place b {
  position: relative;
}
.shaped {
  background: none;
  border: 1px dashed var(--soft);
}
.place svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.place path {
  fill: var(--pine);
  stroke: var(--ink);
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
}
.place.hand path {
  fill: var(--wash);
  stroke: var(--crayon);
}
.place.hand {
  border: 2px solid var(--crayon);
  background: var(--wash);
}
.cuts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  font-size: 0.85rem;
  color: var(--soft);
  margin-top: 2px;
}
</style>
