<script setup lang="ts">
import { lowEaves } from '../../core/lines'
import type { Frame } from '../../core/frame'
import { figureSize } from '../../core/drawing'
import { formatLength } from '../../core/measure'
import { benchKeys } from '../logic/benches'
import { deckName, plateName, storyPole } from '../logic/pole'

/** px, as its style has it. */
const WIDE = 132
const props = defineProps<{ id: string; bench: string }>()
const store = useBench()
const box = useTemplateRef<HTMLElement>('box')
const { height } = useElementSize(box)
const units = computed(() => store.design?.units ?? 'imperial')
/** The highest plate; under a single slope the low wall's, that the roof rises from. */
const plateOf = ({ roof, walls }: Frame): number =>
  roof.faces.length === 1 ? (lowEaves(roof)[0]?.height ?? 0) : Math.max(0, ...walls.map(wall => wall.height))
const heights = computed(() => {
  const frame = store.plan?.frame
  return {
    ground: frame?.ground.highest.height ?? 0,
    base: frame?.floor?.bottom ?? 0,
    plate: frame ? plateOf(frame) : 2400,
    ridge: frame?.roof.highest ?? 3200,
    deck: deckName(store.plan),
    bearing: plateName(store.plan),
    top: (frame?.roof.faces.length ?? 2) < 2 ? ('Top' as const) : ('Ridge' as const),
  }
})
const top = computed(() => Math.min(...pole.value.ticks.map(tick => tick.y)))
const pole = computed(() =>
  storyPole(heights.value, Math.max(360, height.value), units.value === 'imperial' ? 304.8 : 250),
)
const to = (bench: string): string => `/design/${props.id}/${bench}`
</script>

<template>
  <nav ref="box" class="pole" aria-label="Benches">
    <NuxtLink class="shelf" to="/"><i class="pi pi-arrow-left" aria-hidden="true" /> Shelf</NuxtLink>
    <svg v-if="height > 200" class="stick" :width="WIDE" :height="height" aria-hidden="true">
      <rect x="16" :y="top" width="16" :height="height - top - 20" class="pine" />
      <path v-for="y in pole.small" :key="y" class="small" :d="`M16 ${y}h7`" />
      <path class="earth" :d="`M0 ${pole.ground}H${WIDE}`" />
      <g v-for="tick in pole.ticks" :key="tick.name">
        <path class="tick" :d="`M12 ${tick.y}H36`" />
        <text x="40" :y="tick.y - 4" class="name">{{ tick.name }}</text>
        <text
          x="40"
          :y="tick.y + 12"
          class="height"
          :font-size="figureSize(formatLength(tick.height, { units }), WIDE - 40 - 4, 13)"
        >
          {{ formatLength(tick.height, { units }) }}
        </text>
      </g>
    </svg>
    <NuxtLink
      v-for="each in pole.benches"
      :key="each.bench"
      class="bench"
      :class="{ here: each.bench === bench }"
      :to="to(each.bench)"
      :style="{ '--y': `${each.y}px` }"
      :aria-current="each.bench === bench ? 'page' : undefined"
    >
      {{ each.label }}<kbd aria-hidden="true">{{ benchKeys[each.bench] }}</kbd>
    </NuxtLink>
  </nav>
</template>

<style scoped>
.pole {
  position: relative;
  width: 132px;
  height: 100%;
}
.stick {
  position: absolute;
  inset: 0;
}
.pine {
  fill: var(--pine);
  stroke: var(--ink);
}
.small {
  stroke: var(--soft);
}
.tick {
  stroke: var(--crayon);
  stroke-width: 2;
}
.earth {
  stroke: var(--ink);
  stroke-width: 1.5;
  stroke-dasharray: 2 5;
}
.name {
  font: 600 15px var(--head);
  fill: var(--ink);
}
.height {
  font-family: var(--figures);
  fill: var(--chalk-words);
}
.shelf {
  position: absolute;
  left: 8px;
  top: 12px;
  z-index: 1;
  color: var(--ink);
  text-decoration: none;
  min-height: var(--target);
  display: inline-flex;
  gap: 8px;
  align-items: center;
  padding: 0 8px;
}
.bench {
  position: absolute;
  left: 40px;
  top: var(--y);
  transform: translateY(-50%);
  min-height: var(--target);
  width: 86px;
  padding: 0 10px;
  display: flex;
  align-items: center;
  justify-content: space-between;
  font: 600 1.25rem var(--head);
  color: var(--ink);
  text-decoration: none;
  background: var(--sheet);
  border: 1px solid var(--line);
}
.bench::before {
  content: '';
  position: absolute;
  right: 100%;
  top: 50%;
  width: 10px;
  border-top: 2px solid var(--ink);
}
.bench:hover {
  border-color: var(--ink);
}
.here {
  border-color: var(--crayon);
  box-shadow: inset 0 -3px 0 var(--crayon);
}
kbd {
  font: 12px var(--figures);
  color: var(--soft);
}
@media (max-width: 900px) {
  .pole {
    width: 100%;
    height: 60px;
    display: flex;
    align-items: center;
    justify-content: space-around;
    background: var(--pine);
    border-top: 1px solid var(--ink);
    flex-direction: row-reverse;
  }
  .stick,
  kbd {
    display: none;
  }
  .shelf {
    position: static;
    padding: 0 2px;
    gap: 4px;
  }
  .bench {
    position: static;
    transform: none;
    width: auto;
    min-width: 44px;
    padding: 0 4px;
    justify-content: center;
  }
  .bench::before {
    display: none;
  }
}
@media (max-width: 380px) {
  .shelf i {
    display: none;
  }
  .bench {
    font-size: 1.1rem;
  }
}
</style>
