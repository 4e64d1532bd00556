<script setup lang="ts">
import { spread } from '../../core/drawing'
import { formatLength } from '../../core/measure'
import type { MarkedPair, PairMark } from '../../core/plan'
import type { StripLine } from '../logic/strip-pages'

/** Two boards laid side by side and marked as a pair, or one alone; `names` from the upper to the lower. */
const props = defineProps<{ pair: MarkedPair; names: readonly string[]; what: string }>()
const bench = useBench()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const units = computed(() => bench.design?.units ?? 'imperial')
const BOARD = 16
/** px that a letter needs along a board. */
const LETTER = 10
/** px between running marks, and what the boards leave free at their ends. */
const APART = 15
const SIDES = 78
/** The stretches that are drawn under one another: as few as leave room for their marks. */
const lines = computed((): readonly StripLine[] => {
  const { length, marks } = props.pair
  if (!width.value || !length) return []
  const most = Math.max(1, Math.floor((width.value - SIDES) / APART))
  const cut = (count: number): StripLine[] =>
    Array.from({ length: count }, (_, i) => ({ from: (i * length) / count, to: ((i + 1) * length) / count }))
  const fits = (line: StripLine): boolean => marks.filter(mark => isOn(mark, line)).length <= most
  // marks that are bunched don't come apart by cutting: no more lines than marks ask for twice over
  const enough = 2 * Math.ceil(marks.length / most)
  for (let count = 1; count < enough; count++) if (cut(count).every(fits)) return cut(count)
  return cut(Math.max(1, enough))
})
const isOn = ({ from }: { readonly from: number }, line: StripLine): boolean =>
  (from >= line.from || line.from <= 0) && (from < line.to || line.to >= props.pair.length)
const aheadBy: Partial<Record<PairMark['letter'], number>> = { X: 3, R: 8, TR: 12 }
/** Each along the boards to scale; across them wide enough to read. */
const views = computed(() =>
  lines.value.map(line => {
    const { boards, end, step, cutOuts, joints } = props.pair
    const marks = props.pair.marks.filter(mark => isOn(mark, line))
    const scale = (width.value - SIDES) / (line.to - line.from)
    const far = end === 'high'
    // a tape hooked on the far end runs from right to left
    const at = (x: number): number =>
      far ? width.value - 20 - (x - line.from) * scale : 58 + (x - line.from) * scale
    const order = far ? [...marks].reverse() : marks
    const spreadOut = spread(
      order.map(mark => at(mark.from)),
      APART,
      width.value - 8,
    )
    const words = far ? [...spreadOut].reverse() : spreadOut
    const foot = boards * (BOARD + 4)
    const height =
      foot +
      22 +
      8 * Math.max(0, ...marks.map(mark => formatLength(mark.from, { units: units.value }).length))
    const stretch = (a: number, b: number) => {
      const [x, to] = [at(Math.max(a, line.from)), at(Math.min(b, line.to))].sort((m, n) => m - n)
      return { x: x ?? 0, wide: (to ?? 0) - (x ?? 0) }
    }
    const whole = stretch(line.from, line.to)
    // letters stand in their board, ahead of their lines, and apart from one another
    const middles = order.map(
      ({ from, to, letter }) => (at(from) + at(to)) / 2 + (aheadBy[letter] ?? 0) * (far ? -1 : 1),
    )
    const left = whole.x + LETTER / 2
    const apart = spread(
      middles.map(x => x - left),
      LETTER,
      whole.wide - LETTER,
    ).map(x => x + left)
    const letters = far ? [...apart].reverse() : apart
    return {
      height,
      foot,
      far,
      step: step !== null && isOn({ from: step }, line) ? at(step) : null,
      whole,
      cutOuts: cutOuts
        .filter(({ from, to }) => from < line.to && to > line.from)
        .map(each => stretch(each.from, each.to)),
      joints: joints.filter(from => isOn({ from }, line)).map(at),
      marks: marks.map((mark, i) => ({
        mark,
        from: at(mark.from),
        to: at(mark.to),
        words: words[i] ?? 0,
        letter: letters[i] ?? 0,
      })),
    }
  }),
)
</script>

<template>
  <div ref="box" class="pair">
    <svg
      v-for="(view, line) in views"
      :key="line"
      :width="width"
      :height="view.height"
      role="img"
      :aria-label="`${what}, ${pair.boards === 2 ? 'side by side, marked as a pair' : 'marked'}: ${view.marks.map(each => formatLength(each.mark.from, { units })).join(', ')}`"
    >
      <g v-for="(name, i) in names" :key="name">
        <text class="name" x="52" :y="9 + i * (BOARD + 4) + 8">{{ name }}</text>
        <rect
          class="wood"
          :x="view.whole.x"
          :y="4 + i * (BOARD + 4)"
          :width="view.whole.wide"
          :height="BOARD"
        />
        <rect
          v-for="(out, k) in i === 1 ? view.cutOuts : []"
          :key="`c${k}`"
          class="out"
          :x="out.x"
          :y="4 + i * (BOARD + 4)"
          :width="out.wide"
          :height="BOARD"
        >
          <title>Cut out once the wall stands</title>
        </rect>
        <path v-if="i === 0 && view.step !== null" class="joint" :d="`M${view.step} 0v${BOARD + 4}`">
          <title>The wall steps</title>
        </path>
        <path
          v-for="(joint, k) in view.joints"
          :key="`j${k}`"
          class="joint"
          :d="`M${joint} ${2 + i * (BOARD + 4)}v${BOARD + 4}`"
        />
        <g v-for="(each, k) in view.marks" :key="k">
          <path class="mark" :d="`M${each.from} ${4 + i * (BOARD + 4)}v${BOARD}`" />
          <text class="letter" :x="each.letter" :y="16.5 + i * (BOARD + 4)">
            {{ each.mark.letter }}
          </text>
        </g>
      </g>
      <g v-for="(each, k) in view.marks" :key="`w${k}`">
        <path class="mark" :d="`M${each.from} ${view.foot - 4}v5L${each.words} ${view.foot + 10}`" />
        <text
          class="running"
          :x="each.words"
          :y="view.foot + 14"
          :transform="`rotate(-90 ${each.words} ${view.foot + 14})`"
          dy="4"
        >
          {{ formatLength(each.mark.from, { units }) }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.pair {
  flex: none;
  min-height: 90px;
  overflow: hidden;
}
svg {
  display: block;
}
.wood {
  fill: var(--pine);
  stroke: var(--ink);
}
.out {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-dasharray: 4 3;
}
.joint {
  stroke: var(--ink);
  stroke-width: 3;
}
.mark {
  stroke: var(--crayon);
  fill: none;
  stroke-width: 1.5;
}
.name {
  font: 600 15px var(--head);
  fill: var(--ink);
  text-anchor: end;
}
.letter {
  font: 700 12px var(--text);
  fill: var(--crayon-words);
  text-anchor: middle;
}
.running {
  font: 13px var(--figures);
  fill: var(--crayon-words);
  text-anchor: end;
}
</style>
