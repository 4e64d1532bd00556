<script setup lang="ts">
import { plateStrip, spread } from '../../core/drawing'
import type { WallName } from '../../core/frame'
import { formatLength } from '../../core/measure'

const props = defineProps<{ wall: WallName }>()
const bench = useBench()
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box)
const units = computed(() => bench.design?.units ?? 'imperial')
const strip = computed(() => bench.plan ? plateStrip(bench.plan, props.wall) : null)
const BOARD = 22
/** Along the plates to scale; across them wide enough to read. */
const view = computed(() => {
  if (!strip.value || !width.value) return null
  const { low, high, running } = strip.value
  const scale = (width.value - 96) / Math.max(1, high.x - low.x)
  const at = (x: number): number => 76 + (x - low.x) * scale
  const pair = running.filter(mark => mark.at.y === 0)
  const words = spread(pair.map(mark => at(mark.at.x)), 15, width.value - 8)
  const height = 2 * BOARD + 38 + 8 * Math.max(0, ...pair.map(mark => formatLength(mark.value, { units: units.value }).length))
  return { height, from: at(low.x), to: at(high.x), marks: pair.map((mark, i) => ({ mark, from: at(mark.at.x), to: at(mark.to?.x ?? mark.at.x), words: words[i] ?? 0 })) }
})
</script>

<template>
  <div ref="box" class="plates">
    <svg v-if="view" :width="width" :height="view.height" role="img" :aria-label="`Bottom and top plate side by side, marked as a pair: ${view.marks.map(each => formatLength(each.mark.value, { units })).join(', ')}`">
      <g v-for="(name, i) in ['Top', 'Bottom']" :key="name">
        <text class="name" x="70" :y="12 + i * (BOARD + 8) + 8">{{ name }}</text>
        <rect class="wood" :x="view.from" :y="4 + i * (BOARD + 8)" :width="view.to - view.from" :height="BOARD" />
        <g v-for="(each, k) in view.marks" :key="k">
          <path class="mark" :d="`M${each.from} ${4 + i * (BOARD + 8)}v${BOARD}`" />
          <text class="letter" :x="(each.from + each.to) / 2 + (each.mark.letter === 'X' ? 3 : 0)" :y="19 + i * (BOARD + 8)">{{ each.mark.letter }}</text>
        </g>
      </g>
      <g v-for="(each, k) in view.marks" :key="`w${k}`">
        <path class="mark" :d="`M${each.from} ${2 * BOARD + 12}v5L${each.words} ${2 * BOARD + 26}`" />
        <text class="running" :x="each.words" :y="2 * BOARD + 30" :transform="`rotate(-90 ${each.words} ${2 * BOARD + 30})`" dy="4">{{ formatLength(each.mark.value, { units }) }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.plates { min-height: 146px; overflow: hidden; }
svg { display: block; }
.wood { fill: var(--pine); stroke: var(--ink); }
.mark { stroke: var(--crayon); fill: none; stroke-width: 1.5; }
.name { font: 600 15px var(--head); fill: var(--ink); text-anchor: end; }
.letter { font: 700 12px var(--text); fill: var(--crayon-words); text-anchor: middle; }
.running { font: 13px var(--figures); fill: var(--crayon-words); text-anchor: end; }
</style>
