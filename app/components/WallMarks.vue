<script setup lang="ts">
import { isSide } from '../../core/design'
import type { Wall } from '../../core/frame'
import { diagonalOf, LIFT, liftingOf, type MarkedPair, STACKED, stackingOf } from '../../core/plan'
import { sayLength, sayWeight } from '../../core/words'

/** A wall's plates marked as a pair, and what to know when it is raised. */
const props = defineProps<{ wall: Wall, pair: MarkedPair }>()
const bench = useBench()
const route = useRoute()
const units = computed(() => bench.design?.units ?? 'imperial')
const lifting = computed(() => bench.plan ? liftingOf(bench.plan, props.wall.name) : null)
const diagonal = computed(() => bench.plan ? diagonalOf(bench.plan, props.wall.name) : 0)
const end = computed(() => ({ x: { low: 'west', high: 'east' }, y: { low: 'south', high: 'north' } })[props.wall.along][props.pair.end])
const posts = computed(() => isSide(props.wall.name) && bench.design?.walls.sides[props.wall.name].build === 'posts')
const turns = ['', 'first', 'second', 'third', 'fourth']
/** Joists and rafters that stand off the studs, where there are any to stack. */
const stacking = computed(() => {
  if (!bench.plan) return ''
  const { joists, rafters } = stackingOf(bench.plan, props.wall)
  const say = (list: readonly { off: number }[], what: string): string[] => list.length ? [`${list.filter(each => each.off > STACKED).length || 'none'} of ${list.length} ${what}`] : []
  const parts = [...say(rafters, 'rafters'), ...say(joists, 'joists')]
  return parts.length ? `Off the studs, in red: ${parts.join(', ')}.` : ''
})
</script>

<template>
  <div class="marks">
    <PairStrip :pair="pair" :names="['Top', posts ? 'Deck' : 'Bottom']" :what="posts ? 'Top plate and deck' : 'Bottom and top plate'" />
    <p class="caption quiet">
      {{ wall.through ? 'Runs through' : 'Butts between the others' }}; from {{ wall.seenFrom }}. Marks from the {{ end }} end: near sides, X ahead. {{ stacking }}
      <template v-if="lifting">Raised {{ turns[lifting.turn] }}: {{ sayWeight(lifting.weight, units) }}, half of it at the top edge, {{ lifting.people }} people at {{ sayWeight(LIFT, units) }} each. Square when both diagonals are {{ sayLength(diagonal, units) }}.</template>
      <NuxtLink class="print" :to="`/design/${String(route.params.id)}/marks`"><i class="pi pi-print" aria-hidden="true" /> Plate marks on paper</NuxtLink>
    </p>
  </div>
</template>

<style scoped>
.caption { padding: 6px 16px 10px; font-size: .9rem; }
.print { margin-left: 8px; white-space: nowrap; }
@media (max-width: 720px) { .caption { padding: 4px 8px; } }
</style>
