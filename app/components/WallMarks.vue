<script setup lang="ts">
import { isSide } from '../../core/design'
import type { Wall } from '../../core/frame'
import {
  diagonalsOf,
  LIFT,
  liftingOf,
  type MarkedPair,
  rakeStrips,
  STACKED,
  stackingOf,
} from '../../core/plan'
import { sayLength, sayWeight } from '../../core/words'

/** A wall's plates marked as a pair, and what to know when it is raised. */
const props = defineProps<{ wall: Wall; pair: MarkedPair }>()
const bench = useBench()
const route = useRoute()
const units = computed(() => bench.design?.units ?? 'imperial')
const lifting = computed(() => (bench.plan ? liftingOf(bench.plan, props.wall.name) : null))
/** One diagonal where the two are alike, as on any wall with level shoulders. */
const square = computed(() => {
  const [up, down] = bench.plan ? diagonalsOf(bench.plan, props.wall.name) : [0, 0]
  const [low, high] = props.wall.along === 'x' ? ['west', 'east'] : ['south', 'north']
  return Math.abs(up - down) < 0.5
    ? `Square when both diagonals are ${sayLength(up, units.value)}.`
    : `Square when the diagonal from the ${low} foot is ${sayLength(up, units.value)} and the one from the ${high} foot ${sayLength(down, units.value)}.`
})
const rakes = computed(() => (bench.plan ? rakeStrips(bench.plan.frame, props.wall.name) : []))
const plate = ref<'bottom' | 'south' | 'north'>('bottom')
const plates = computed(() => [
  { value: 'bottom', label: 'Bottom plate' },
  ...rakes.value.map(({ side }) => ({
    value: side,
    label: rakes.value.length > 1 ? `${side === 'south' ? 'South' : 'North'} slope` : 'Along the slope',
  })),
])
watch(
  () => props.wall.name,
  () => {
    plate.value = 'bottom'
  },
)
const rake = computed(() => rakes.value.find(each => each.side === plate.value))
const strip = computed(() => rake.value ?? props.pair)
const names = computed(() =>
  rake.value ? ['Slope'] : props.pair.boards === 1 ? ['Bottom'] : ['Top', posts.value ? 'Deck' : 'Bottom'],
)
const what = computed(() =>
  rake.value
    ? `Top plate along the ${rake.value.side} slope`
    : props.pair.boards === 1
      ? 'Bottom plate'
      : posts.value
        ? 'Top plate and deck'
        : 'Bottom and top plate',
)
const hook = computed(() => (rake.value ? 'eave' : end.value))
const end = computed(
  () =>
    ({ x: { low: 'west', high: 'east' }, y: { low: 'south', high: 'north' } })[props.wall.along][
      props.pair.end
    ],
)
const posts = computed(
  () => isSide(props.wall.name) && bench.design?.walls.sides[props.wall.name].build === 'posts',
)
const turns = ['', 'first', 'second', 'third', 'fourth']
/** Joists and rafters that stand off the studs, where there are any to stack. */
const stacking = computed(() => {
  if (!bench.plan) return ''
  const { joists, rafters } = stackingOf(bench.plan, props.wall)
  const say = (list: readonly { off: number }[], what: string): string[] =>
    list.length
      ? [`${list.filter(each => each.off > STACKED).length || 'none'} of ${list.length} ${what}`]
      : []
  const parts = [...say(rafters, 'rafters'), ...say(joists, 'joists')]
  return parts.length ? `Off the studs, in red: ${parts.join(', ')}.` : ''
})
</script>

<template>
  <div class="marks">
    <SelectButton
      v-if="rakes.length"
      v-model="plate"
      class="plates"
      :options="plates"
      option-value="value"
      option-label="label"
      :allow-empty="false"
      aria-label="Plate"
    />
    <PairStrip :pair="strip" :names="names" :what="what" />
    <p class="caption quiet">
      {{ wall.through ? 'Runs through' : 'Butts between the others' }}; from {{ wall.seenFrom }}. Marks from
      the {{ hook }} end{{ rake ? ', along its lower face' : '' }}: near sides, X ahead. {{ stacking }}
      <template v-if="lifting"
        >Raised {{ turns[lifting.turn] }}: {{ sayWeight(lifting.weight, units) }}, half of it at the top edge,
        {{ lifting.people }} people at {{ sayWeight(LIFT, units) }} each. {{ square }}</template
      >
      <NuxtLink class="print" :to="`/design/${String(route.params.id)}/marks`"
        ><i class="pi pi-print" aria-hidden="true" /> Plate marks on paper</NuxtLink
      >
    </p>
  </div>
</template>

<style scoped>
.plates {
  margin: 4px 16px 0;
}
.caption {
  padding: 6px 16px 10px;
  font-size: 0.9rem;
}
.print {
  margin-left: 8px;
  white-space: nowrap;
}
@media (max-width: 720px) {
  .caption {
    padding: 4px 8px;
  }
}
</style>
