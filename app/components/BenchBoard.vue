<script setup lang="ts">
import { boardOnBench, fit as fitTo, pathOf, px, spread, zones } from '../../core/drawing'
import { formatLength } from '../../core/measure'
import type { Card } from '../../core/plan'

const props = defineProps<{ card: Card }>()
const bench = useBench()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const drawing = computed(() => boardOnBench(props.card))
/** What falls off, dashed under the wood; and nails, on it. */
const off = computed(() => drawing.value.lines.filter(({ ink }) => ink !== 'mark'))
const nails = computed(() => drawing.value.lines.filter(({ ink }) => ink === 'mark'))
const units = computed(() => bench.design?.units ?? 'imperial')
const wide = computed(() => Math.max(260, width.value))
const margins = { left: 14, right: 14, top: 10, bottom: 0 }
const fit = computed(() => fitTo(drawing.value, wide.value, null, margins))
const say = (mm: number): string => formatLength(mm, { units: units.value })

/** Words under the whole board, one for each distinct distance. */
const running = computed(() => {
  const values = [...new Map(drawing.value.running.map(mark => [say(mark.value), mark.value])).entries()]
  const at = values.map(([, value]) => fit.value.at({ x: value, y: 0 }).x)
  const words = spread(
    at.map(x => x - 8),
    16,
    wide.value - 16,
  ).map(x => x + 8)
  return values.map(([text], i) => ({ text, x: at[i] ?? 0, words: words[i] ?? 0 }))
})

const tall = computed(
  () => fit.value.bottom + 30 + 8 * Math.max(0, ...running.value.map(each => each.text.length)),
)
const ZONE = 150
const parts = computed(() =>
  zones(props.card).map(zone => {
    const { depth } = props.card.piece.section
    const scale = Math.min((wide.value - 40) / (zone.to - zone.from), (ZONE - 66) / depth)
    const left = (wide.value - (zone.to - zone.from) * scale) / 2
    const at = (p: { x: number; y: number }) => ({
      x: left + (p.x - zone.from) * scale,
      y: ZONE - 34 - p.y * scale,
    })
    const marks = props.card.marks.filter(mark => mark.at >= zone.from - 1 && mark.at <= zone.to + 1)
    const above = marks.filter(mark => mark.edge === 'top')
    const below = marks.filter(mark => mark.edge !== 'top')
    // a distance is written once, with a line to each corner that lies there
    const place = (list: typeof marks) => {
      const texts = [...new Set(list.map(mark => say(mark.at)))]
      const points = texts.map(text =>
        list.filter(mark => say(mark.at) === text).map(mark => at({ x: mark.at, y: mark.across })),
      )
      const room = 8 * Math.max(0, ...texts.map(text => text.length)) + 8
      const wanted = points.map(([first]) => first?.x ?? 0)
      const apart = spread(
        wanted.map(x => x - room / 2),
        room,
        wide.value - room,
      ).map(x => x + room / 2)
      // about the middle of what they are of, as far as the sheet lets them
      const mean = (list: readonly number[]): number =>
        list.reduce((sum, x) => sum + x, 0) / (list.length || 1)
      const by = Math.max(
        room / 2 - Math.min(...apart, Infinity),
        Math.min(wide.value - room / 2 - Math.max(...apart, -Infinity), mean(wanted) - mean(apart)),
      )
      const words = apart.map(x => x + (Number.isFinite(by) ? by : 0))
      return texts.map((text, i) => ({ text, points: points[i] ?? [], words: words[i] ?? 0 }))
    }
    return {
      zone,
      at,
      above: place(above),
      below: place(below),
      edges: [at({ x: zone.from, y: 0 }).x, at({ x: zone.to, y: 0 }).x] as const,
      broken: [zone.from > 1, zone.to < props.card.piece.length - 1] as const,
    }
  }),
)
/** Whether a cut has more words than fit a third of a page. */
const many = computed(() => parts.value.some(({ above, below }) => Math.max(above.length, below.length) > 3))
const name = useId()
</script>

<template>
  <div ref="box" class="board" :class="{ many }">
    <svg
      v-if="width"
      :width="wide"
      :height="tall"
      :viewBox="`0 0 ${wide} ${tall}`"
      role="img"
      :aria-label="`The board as it lies on the bench, marks from its long point: ${running.map(each => each.text).join(', ')}`"
    >
      <path
        v-for="(line, i) in off"
        :key="i"
        class="off"
        :d="`M${px(fit.at(line.from).x)} ${px(fit.at(line.from).y)}L${px(fit.at(line.to).x)} ${px(fit.at(line.to).y)}`"
      />
      <path
        v-for="(patch, i) in drawing.patches"
        :key="`p${i}`"
        class="wood"
        fill-rule="evenodd"
        :d="pathOf(patch.loops, fit.at)"
      />
      <path
        v-for="(line, i) in nails"
        :key="`n${i}`"
        class="tick"
        :d="`M${px(fit.at(line.from).x)} ${px(fit.at(line.from).y)}L${px(fit.at(line.to).x)} ${px(fit.at(line.to).y)}`"
      />
      <g v-for="each in running" :key="each.text">
        <path
          class="tick"
          :d="`M${px(each.x)} ${px(fit.bottom)}v6L${px(each.words)} ${px(fit.bottom + 14)}`"
        />
        <text
          class="upright"
          :x="px(each.words)"
          :y="px(fit.bottom + 18)"
          :transform="`rotate(-90 ${px(each.words)} ${px(fit.bottom + 18)})`"
          dy="4"
        >
          {{ each.text }}
        </text>
      </g>
    </svg>
    <svg
      v-for="(part, k) in parts"
      v-show="width"
      :key="k"
      :width="wide"
      :height="ZONE"
      :viewBox="`0 0 ${wide} ${ZONE}`"
      preserveAspectRatio="xMidYMid slice"
      role="img"
      :aria-label="`The cuts between ${say(part.zone.from)} and ${say(part.zone.to)}, larger`"
    >
      <clipPath :id="`${name}-${k}`">
        <rect :x="part.edges[0]" y="0" :width="part.edges[1] - part.edges[0]" :height="ZONE" />
      </clipPath>
      <g :clip-path="`url(#${name}-${k})`">
        <path
          v-for="(line, i) in off"
          :key="i"
          class="off"
          :d="`M${px(part.at(line.from).x)} ${px(part.at(line.from).y)}L${px(part.at(line.to).x)} ${px(part.at(line.to).y)}`"
        />
        <path
          v-for="(patch, i) in drawing.patches"
          :key="`p${i}`"
          class="wood"
          fill-rule="evenodd"
          :d="pathOf(patch.loops, part.at)"
        />
      </g>
      <template v-for="(broken, i) in part.broken" :key="`b${i}`">
        <path v-if="broken" class="broken" :d="`M${part.edges[i]} 26l-5 18l10 14l-10 16l10 14l-5 22`" />
      </template>
      <g v-for="each in part.above" :key="`a${each.text}`">
        <path
          v-for="(point, i) in each.points"
          :key="i"
          class="tick"
          :d="`M${px(each.words)} 19L${px(point.x)} ${px(point.y)}`"
        />
        <text :x="px(each.words)" y="14">{{ each.text }}</text>
      </g>
      <g v-for="each in part.below" :key="`u${each.text}`">
        <path
          v-for="(point, i) in each.points"
          :key="i"
          class="tick"
          :d="`M${px(each.words)} ${ZONE - 18}L${px(point.x)} ${px(point.y)}`"
        />
        <text :x="px(each.words)" :y="ZONE - 5">{{ each.text }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.board {
  display: grid;
  gap: 2px;
  min-width: 0;
}
svg {
  display: block;
  max-width: 100%;
}
path {
  fill: none;
  stroke: var(--ink);
}
.wood {
  fill: var(--pine);
  stroke-width: 1.5;
}
.off {
  stroke: var(--soft);
  stroke-dasharray: 4 4;
}
.tick {
  stroke: var(--crayon);
}
.broken {
  stroke: var(--soft);
}
text {
  font: 13px var(--figures);
  fill: var(--crayon-words);
  text-anchor: middle;
}
.upright {
  text-anchor: end;
}
@media print {
  .board {
    grid-template-columns: repeat(auto-fit, minmax(56mm, 1fr));
  }
  .board.many {
    grid-template-columns: repeat(auto-fit, minmax(84mm, 1fr));
  }
  /* the middle of each, where its cuts are */
  svg {
    width: 100%;
    height: 34mm;
  }
  svg:first-child {
    grid-column: 1 / -1;
    height: auto;
    max-height: 62mm;
  }
}
</style>
