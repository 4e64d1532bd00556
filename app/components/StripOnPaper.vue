<script setup lang="ts">
import { spread } from '../../core/drawing'
import { formatLength, HAIR, type Units } from '../../core/measure'
import type { MarkedPair } from '../../core/plan'
import type { StripLine } from '../logic/strip-pages'

/**
 * One line of a strip of plates, in millimetres of paper: `scale` paper to plate. It runs from the end the
 * tape is hooked on, left to right.
 */
const props = defineProps<{ pair: MarkedPair; line: StripLine; scale: number; units: Units }>()
const say = (mm: number): string => formatLength(mm, { units: props.units })
const at = (mm: number): number => (mm - props.line.from) * props.scale
const BOARD = 7
const inLine = (mm: number): boolean => mm >= props.line.from - HAIR && mm < props.line.to - HAIR
const marks = computed(() => props.pair.marks.filter(mark => inLine(mark.from)))
const width = computed(() => (props.line.to - props.line.from) * props.scale)
const words = computed(() =>
  spread(
    marks.value.map(mark => at(mark.from)),
    4.2,
    Math.max(width.value, 10),
  ),
)
/** mm of paper that letters are high at most, and how wide one is to its height. */
const LETTER = { most: 3.6, least: 1.8, wide: 0.78 }
/** Letters stand in their board ahead of their lines, and apart from one another. */
const letters = computed(() => {
  const sizes = marks.value.map(({ from, to }) =>
    Math.min(LETTER.most, Math.max(LETTER.least, (to - from) * props.scale * 1.15)),
  )
  const longest = Math.max(1, ...marks.value.map(({ letter }) => letter.length))
  const apart = LETTER.wide * longest * Math.max(LETTER.least, ...sizes) + 0.3
  const places = spread(
    marks.value.map(mark => at(mark.from) + 0.5),
    apart,
    Math.max(width.value - apart, 0),
  )
  return places.map((x, i) => ({ x, size: sizes[i] ?? LETTER.least }))
})
const holes = computed(() =>
  props.pair.cutOuts
    .map(({ from, to }) => ({ from: Math.max(from, props.line.from), to: Math.min(to, props.line.to) }))
    .filter(hole => hole.to > hole.from),
)
const foot = computed(() => props.pair.boards * (BOARD + 1) - 1)
const tall = computed(
  () => foot.value + 11 + 2.2 * Math.max(0, ...marks.value.map(mark => say(mark.from).length)),
)
</script>

<template>
  <svg
    class="line"
    :width="`${width + 4}mm`"
    :height="`${tall}mm`"
    :viewBox="`-2 0 ${width + 4} ${tall}`"
    role="img"
    :aria-label="`${pair.boards === 2 ? 'Both plates' : 'The plate'} from ${say(line.from)} to ${say(line.to)}`"
  >
    <rect
      v-for="k in pair.boards"
      :key="k"
      class="wood"
      x="0"
      :y="1 + (k - 1) * (BOARD + 1)"
      :width="width"
      :height="BOARD"
    />
    <rect
      v-for="(hole, i) in holes"
      :key="`h${i}`"
      class="out"
      :x="at(hole.from)"
      :y="1 + foot - BOARD"
      :width="(hole.to - hole.from) * scale"
      :height="BOARD"
    />
    <path
      v-for="(joint, i) in pair.joints.filter(inLine)"
      :key="`j${i}`"
      class="joint"
      :d="`M${at(joint)} 1v${foot}`"
    />
    <path
      v-if="pair.step !== null && inLine(pair.step)"
      class="joint"
      :d="`M${at(pair.step)} 0v${BOARD + 1.5}`"
    />
    <g v-for="(mark, i) in marks" :key="i">
      <path
        class="mark"
        :d="`M${at(mark.from)} 1v${BOARD}${pair.boards === 2 ? `m0 1v${BOARD}` : ''}v1.5L${words[i]} ${foot + 5}`"
      />
      <text
        v-for="k in pair.boards"
        :key="k"
        class="letter"
        :style="{ fontSize: `${letters[i]?.size}px` }"
        :x="letters[i]?.x"
        :y="(k - 1) * (BOARD + 1) + 1 + BOARD - 1.8"
      >
        {{ mark.letter }}
      </text>
      <text class="running" :transform="`translate(${words[i]} ${foot + 6}) rotate(-90)`" dy="1.2">
        {{ say(mark.from) }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.line {
  display: block;
  max-width: none;
  break-inside: avoid;
  margin-block: 1mm;
}
.wood {
  fill: var(--pine);
  stroke: var(--ink);
  stroke-width: 0.25;
}
.out {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 0.25;
  stroke-dasharray: 1.5 1;
}
.joint {
  stroke: var(--ink);
  stroke-width: 0.7;
}
.mark {
  stroke: var(--crayon);
  stroke-width: 0.3;
  fill: none;
}
.letter {
  font: 700 3.6px var(--text);
  fill: var(--crayon-words);
}
.running {
  font: 3.6px var(--figures);
  fill: var(--crayon-words);
  text-anchor: end;
}
@media print {
  .wood {
    fill: #fff;
  }
  .letter,
  .running {
    fill: #000;
  }
  .mark {
    stroke: #000;
  }
}
</style>
