<script setup lang="ts">
import {
  closeRows,
  type Drawing,
  fit as fitTo,
  type Handle,
  marginsOf,
  pathOf,
  placeDimension,
  px,
  spread,
} from '../../core/drawing'
import { formatLength, riseInTwelve } from '../../core/measure'
import { fieldName, sayLength } from '../../core/words'
import { showEntry } from '../logic/entry'

/** `still`: to be read and printed, not changed. */
const { drawing: whole, label, still } = defineProps<{ drawing: Drawing; label: string; still?: boolean }>()
const bench = useBench()
const box = useTemplateRef<HTMLElement>('box')
const { width, height } = useElementSize(box)
/** On a narrow sheet only what can be typed over has room. */
const drawing = computed<Drawing>(() =>
  width.value > 0 && width.value < 520
    ? { ...whole, dimensions: closeRows(whole.dimensions.filter(each => each.field)) }
    : whole,
)
const free = computed(() =>
  fitTo(drawing.value, Math.max(width.value, 320), Math.max(height.value, 240), marginsOf(drawing.value)),
)
const drag = useDragHandle(() => free.value)
const fit = computed(() => drag.heldFit.value ?? free.value)
const units = computed(() => bench.design?.units ?? 'imperial')
const placed = computed(() =>
  drawing.value.dimensions.map(dimension => ({
    dimension,
    at: placeDimension(dimension, fit.value, drawing.value),
  })),
)
const inHand = computed(() => new Set(bench.piece?.members ?? []))
/** A pitch stands off its slope, on the side to which that falls. */
const pitches = computed(() =>
  drawing.value.pitches.map(tag => {
    const at = fit.value.at(tag.at)
    return { tag, x: at.x + (tag.falls === 'left' ? -46 : 46), y: at.y - 34 }
  }),
)
const running = computed(() => {
  const at = drawing.value.running.map(mark => fit.value.at(mark.at).x)
  const words = spread(at, 15, Math.max(width.value, 320))
  return drawing.value.running.map((mark, i) => ({
    mark,
    x: at[i] ?? 0,
    words: words[i] ?? 0,
    to: mark.to ? fit.value.at(mark.to).x : null,
  }))
})
const handleSize = (handle: Handle): number => {
  const value = drag.valueOf(handle)
  return typeof value === 'number' ? value : riseInTwelve(value)
}
const sayHandle = (handle: Handle): string => showEntry(drag.valueOf(handle), units.value)
const sayLabel = ({ text, value }: Drawing['labels'][number]): string =>
  value === undefined ? text : `${text} ${formatLength(value, { units: units.value })}`.trim()
</script>

<template>
  <div ref="box" class="drawing">
    <svg v-if="width" :width="width" :height="height" role="img" :aria-label="label">
      <g>
        <path
          v-for="(patch, i) in drawing.patches"
          :key="i"
          :d="pathOf(patch.loops, fit.at)"
          fill-rule="evenodd"
          :class="[patch.ink, { hand: patch.member && inHand.has(patch.member) }]"
          :data-member="patch.member ?? undefined"
          @click="bench.pick(patch.member)"
        />
      </g>
      <path
        v-for="(line, i) in drawing.lines"
        :key="`l${i}`"
        :class="line.ink"
        :d="`M${px(fit.at(line.from).x)} ${px(fit.at(line.from).y)}L${px(fit.at(line.to).x)} ${px(fit.at(line.to).y)}`"
      />
      <g v-for="each in placed" :key="each.dimension.name" class="dimension">
        <path
          v-for="(way, i) in [each.at.line, ...each.at.ticks]"
          :key="i"
          :d="`M${px(way[0].x)} ${px(way[0].y)}L${px(way[1].x)} ${px(way[1].y)}`"
        />
        <path
          v-for="(way, i) in each.at.extensions"
          :key="`e${i}`"
          class="out"
          :d="`M${px(way[0].x)} ${px(way[0].y)}L${px(way[1].x)} ${px(way[1].y)}`"
        />
      </g>
      <g v-for="(each, i) in drawing.labels" :key="`t${i}`">
        <text class="label" :x="px(fit.at(each.at).x)" :y="px(fit.at(each.at).y - 11)">
          {{ sayLabel(each) }}
        </text>
      </g>
      <g v-for="(each, i) in running" :key="`r${i}`" class="running">
        <path :d="`M${px(each.x)} ${px(fit.bottom)}v8L${px(each.words)} ${px(fit.bottom + 16)}`" />
        <text
          :x="px(each.words)"
          :y="px(fit.bottom + 20)"
          :transform="`rotate(-90 ${px(each.words)} ${px(fit.bottom + 20)})`"
          dy="4"
        >
          {{ formatLength(each.mark.value, { units }) }}
        </text>
      </g>
    </svg>
    <template v-if="width">
      <span
        v-for="each in placed"
        :key="each.dimension.name"
        class="on"
        :style="{ left: `${px(each.at.words.x)}px`, top: `${px(each.at.words.y)}px` }"
      >
        <MeasureField
          v-if="each.dimension.field && !still"
          :path="each.dimension.field"
          :value="each.dimension.value"
          bare
        />
        <span v-else class="read figures">{{
          sayLength(each.dimension.value, units).replace(' mm', '')
        }}</span>
      </span>
      <span
        v-for="{ tag, x, y } in still ? [] : pitches"
        :key="tag.field"
        class="on pitch"
        :style="{ left: `${px(x)}px`, top: `${px(y)}px` }"
      >
        <MeasureField :path="tag.field" :value="tag.pitch" bare />
      </span>
      <button
        v-for="handle in still ? [] : drawing.handles"
        :key="handle.field"
        type="button"
        class="handle"
        role="slider"
        :aria-label="`${fieldName(handle.field)}, drag`"
        :aria-valuenow="handleSize(handle)"
        :aria-valuetext="sayHandle(handle)"
        :data-handle="handle.field"
        :class="[{ held: drag.held.value?.field === handle.field }, handle.along.x ? 'level' : 'plumb']"
        :style="{ left: `${px(fit.at(handle.at).x)}px`, top: `${px(fit.at(handle.at).y)}px` }"
        @pointerdown="drag.begin($event, handle)"
        @pointermove="drag.move"
        @pointerup="drag.end"
        @pointercancel="drag.cancel"
        @keydown.escape="drag.cancel"
        @keydown.up.prevent="drag.nudge(handle, 1)"
        @keydown.right.prevent="drag.nudge(handle, 1)"
        @keydown.down.prevent="drag.nudge(handle, -1)"
        @keydown.left.prevent="drag.nudge(handle, -1)"
      />
    </template>
  </div>
</template>

<style scoped>
.drawing {
  position: relative;
  width: 100%;
  height: 100%;
  min-height: 220px;
  overflow: hidden;
}
svg {
  position: absolute;
  inset: 0;
  display: block;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1;
}
.wood {
  fill: var(--pine);
  cursor: pointer;
}
.end-grain {
  fill: var(--grain);
  cursor: pointer;
}
.sheet {
  fill: var(--dust);
  cursor: pointer;
}
.concrete {
  fill: var(--line);
}
.gravel {
  fill: var(--paper);
  stroke: var(--soft);
  stroke-dasharray: 2 5;
}
.behind {
  stroke: var(--soft);
  stroke-dasharray: 4 4;
}
.hand {
  stroke: var(--crayon);
  stroke-width: 2;
}
.boundary {
  stroke-width: 2;
  stroke-dasharray: 16 5 3 5;
}
.setback {
  stroke: var(--chalk);
  stroke-dasharray: 7 5;
}
.find {
  stroke: var(--moss-words);
  stroke-width: 1.5;
}
.buried {
  stroke: var(--crayon);
  stroke-width: 2;
  stroke-dasharray: 11 5;
}
.hole {
  stroke: var(--soft);
  stroke-dasharray: 3 3;
}
.label {
  font: 14px var(--text);
  fill: var(--ink);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 5px;
}
.ground {
  stroke-width: 2.5;
}
.datum {
  stroke: var(--chalk);
  stroke-dasharray: 9 4 2 4;
}
.mark {
  stroke: var(--crayon);
}
.dimension path {
  stroke: var(--chalk);
}
.dimension .out {
  opacity: 0.45;
}
.running path {
  stroke: var(--crayon);
}
.running text {
  font: 13px var(--figures);
  fill: var(--crayon-words);
  text-anchor: end;
}
.on {
  position: absolute;
  transform: translate(-50%, -50%);
  z-index: 1;
}
.on:focus-within,
.on:has([role='alert']) {
  z-index: 5;
}
.read {
  background: var(--sheet);
  padding: 2px 6px;
  color: var(--soft);
  font-size: 0.95rem;
  white-space: nowrap;
}
.handle {
  position: absolute;
  width: var(--target);
  height: var(--target);
  transform: translate(-50%, -50%);
  padding: 0;
  border: 0;
  background: none;
  touch-action: none;
  z-index: 2;
}
.handle::after {
  content: '';
  position: absolute;
  inset: calc(50% - 7px);
  border-radius: 50%;
  background: var(--sheet);
  border: 2.5px solid var(--crayon);
}
.handle:hover::after,
.handle.held::after {
  background: var(--crayon);
}
.handle.level {
  cursor: ew-resize;
}
.handle.plumb {
  cursor: ns-resize;
}
</style>
