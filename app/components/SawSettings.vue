<script setup lang="ts">
import { formatAngle } from '../../core/measure'
import type { SawCut } from '../../core/plan'
import { cutNames } from '../../core/words'
import { isTilted, SKETCH, sawSketch } from '../logic/saw-sketch'

/**
 * How the saw stands for each cut whose blade is tilted: the line on the face up, and the blade seen from the
 * bottom edge.
 */
const props = defineProps<{ cuts: readonly SawCut[] }>()
const drawn = computed(() =>
  props.cuts.filter(isTilted).map(cut => ({
    cut,
    sketch: sawSketch(cut),
    say: `${cutNames[cut.name]}: line ${formatAngle(cut.miter)} from square, blade ${formatAngle(cut.bevel)} from upright, more left on the ${cut.long === 'under' ? 'side under' : 'face up'}`,
  })),
)
const points = (list: readonly { x: number; y: number }[]): string =>
  list.map(({ x, y }) => `${x},${y}`).join(' ')
const tall = SKETCH.face + 26 + SKETCH.edge
</script>

<template>
  <ul v-if="drawn.length" class="settings">
    <li v-for="({ cut, sketch, say }, i) in drawn" :key="i">
      <svg :width="SKETCH.wide + 12" :height="tall + 22" role="img" :aria-label="say">
        <g transform="translate(6 6)">
          <polygon class="wood" :points="points(sketch.face)" />
          <polyline class="cut" :points="points(sketch.line)" />
          <g :transform="`translate(0 ${SKETCH.face + 20})`">
            <polygon class="grain" :points="points(sketch.edge)" />
            <polyline class="cut" :points="points(sketch.blade)" />
          </g>
        </g>
        <text :x="SKETCH.wide / 2 + 6" :y="SKETCH.face + 20">{{ formatAngle(cut.miter) }}</text>
        <text :x="SKETCH.wide / 2 + 6" :y="tall + 18">{{ formatAngle(cut.bevel) }}</text>
      </svg>
      <span>{{ cutNames[cut.name] }}</span>
    </li>
  </ul>
  <p v-if="drawn.length" class="quiet">
    Above, the face that lies up, its bottom edge toward you; below, the blade seen from that edge.
  </p>
</template>

<style scoped>
.settings {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
li {
  display: grid;
  justify-items: center;
  font-size: 0.85rem;
}
.wood {
  fill: var(--pine);
  stroke: var(--ink);
}
.grain {
  fill: var(--grain);
  stroke: var(--ink);
}
.cut {
  fill: none;
  stroke: var(--crayon);
  stroke-width: 2.5;
}
text {
  font: 13px var(--figures);
  fill: var(--crayon-words);
  text-anchor: middle;
}
</style>
