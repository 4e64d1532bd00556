<script setup lang="ts">
import { stakeNames, type TapeName, tapeNames } from '../../core/survey'
import { tapeWords } from '../../core/words'
import { setTape } from '../logic/changes/below'
import { stakePicture } from '../logic/stakes'

/** The stakes from above, each tape's reading typed where the tape lies. */
const bench = useBench()
const { units, size, squaring, meant, shape } = useSquaring()
const box = useTemplateRef<HTMLElement>('box')
const { width, height } = useElementSize(box)
const picture = computed(() =>
  stakePicture(
    size.value.length,
    size.value.width,
    shape.value?.stakes ?? null,
    width.value,
    height.value,
    width.value < 520 ? 70 : 84,
  ),
)
const outline = (points: readonly { x: number; y: number }[]): string =>
  `M${points.map(p => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}Z`

/** Where each tape's field stands: over the middle of its side, or a third along its diagonal. */
const places = computed(() => {
  const [sw, se, ne, nw] = picture.value.meant
  if (!sw || !se || !ne || !nw) return null
  const at = (a: { x: number; y: number }, b: { x: number; y: number }, t: number, dx = 0, dy = 0) => ({
    left: `${a.x + (b.x - a.x) * t + dx}px`,
    top: `${a.y + (b.y - a.y) * t + dy}px`,
  })
  const narrow = width.value < 520
  return {
    south: at(sw, se, 0.5, 0, 38),
    north: at(nw, ne, 0.5, 0, -38),
    west: at(sw, nw, 0.5, narrow ? 0 : -20),
    east: at(se, ne, 0.5, narrow ? 0 : 20),
    swNe: at(sw, ne, 0.24, narrow ? 6 : 40),
    seNw: at(se, nw, 0.76, narrow ? 6 : 40),
  } satisfies Record<TapeName, object>
})
const tapes = computed(() => squaring.value?.tapes ?? {})
</script>

<template>
  <div v-if="squaring" ref="box" class="sheet ground">
    <svg
      v-if="width"
      :width="width"
      :height="height"
      role="img"
      :aria-label="`The stakes: the rectangle that is meant${shape ? `, and the true shape, its errors ${picture.times} times as large` : ''}`"
      @click="bench.touch({ subject: 'site.squaring' })"
    >
      <path class="meant" :d="outline(picture.meant)" />
      <template v-if="picture.real">
        <path class="real" :d="outline(picture.real)" />
        <path
          v-for="(to, i) in picture.meant"
          :key="i"
          class="move"
          :d="`M${picture.real[i]?.x ?? 0} ${picture.real[i]?.y ?? 0}L${to.x} ${to.y}`"
        />
      </template>
      <g v-for="(p, i) in picture.meant" :key="`s${i}`">
        <circle class="stake" :cx="p.x" :cy="p.y" r="4" />
        <text
          class="name"
          :x="p.x + (i === 0 || i === 3 ? -12 : 12)"
          :y="p.y + (i < 2 ? 18 : -10)"
          :text-anchor="i === 0 || i === 3 ? 'end' : 'start'"
        >
          {{ stakeNames[i]?.toUpperCase() }}
        </text>
      </g>
    </svg>
    <template v-if="width && places">
      <span v-for="name in tapeNames" :key="name" class="at" :style="places[name]">
        <TapeField
          bare
          :label="tapeWords[name]"
          :value="tapes[name] ?? null"
          :meant="meant[name]"
          :units="units"
          @set="bench.edit(setTape(name, $event))"
        />
      </span>
    </template>
    <p v-if="picture.times > 1" class="times quiet">Errors drawn {{ picture.times }} times as far out.</p>
  </div>
</template>

<style scoped>
.ground {
  position: relative;
  overflow: hidden;
}
svg {
  display: block;
  position: absolute;
  inset: 0;
}
path {
  fill: none;
}
.meant {
  stroke: var(--chalk);
  stroke-dasharray: 8 5;
  fill: var(--pine);
  fill-opacity: 0.35;
}
.real {
  stroke: var(--crayon);
  stroke-width: 2;
}
.move {
  stroke: var(--crayon);
  stroke-width: 1.5;
  stroke-dasharray: 2 3;
}
.stake {
  fill: var(--ink);
}
.name {
  font: 600 16px var(--head);
  fill: var(--ink);
}
.at {
  position: absolute;
  transform: translate(-50%, -50%);
}
.at :deep(input) {
  width: 7.4rem;
}
.at:focus-within,
.at:has([role='alert']) {
  z-index: 5;
}
.times {
  position: absolute;
  left: 16px;
  bottom: 6px;
  font-size: 0.9rem;
}
@media (max-width: 720px) {
  .at :deep(input) {
    width: 6.6rem;
    font-size: 0.9rem;
  }
}
</style>
