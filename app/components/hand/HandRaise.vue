<script setup lang="ts">
import { diagonalsOf, LIFT, liftingOf, STACKED, stackingOf } from '../../../core/plan'
import { sayLength, sayWeight } from '../../../core/words'
import { wallOf } from '../../hand/walls'

/** What to know of a wall when it is marked, squared and raised. */
const bench = useBench()
const route = useRoute()
const units = computed(() => bench.design?.units ?? 'imperial')
const name = computed(() =>
  bench.design && bench.subject ? wallOf({ design: bench.design, subject: bench.subject }) : null,
)
const wall = computed(() => bench.plan?.frame.walls.find(each => each.name === name.value) ?? null)
const lifting = computed(() => (bench.plan && wall.value ? liftingOf(bench.plan, wall.value.name) : null))
/** One diagonal where the two are alike, as on any wall with level shoulders. */
const square = computed(() => {
  if (!wall.value) return ''
  const [up, down] = bench.plan ? diagonalsOf(bench.plan, wall.value.name) : [0, 0]
  const [low, high] = wall.value.along === 'x' ? ['west', 'east'] : ['south', 'north']
  return Math.abs(up - down) < 0.5
    ? `Square when both diagonals are ${sayLength(up, units.value)}.`
    : `Square when the diagonal from the ${low} foot is ${sayLength(up, units.value)} and the one from the ${high} foot ${sayLength(down, units.value)}.`
})
const turns = ['', 'first', 'second', 'third', 'fourth']
/** Joists and rafters that stand off the studs, where there are any to stack. */
const stacking = computed(() => {
  if (!bench.plan || !wall.value) return ''
  const { joists, rafters } = stackingOf(bench.plan, wall.value)
  const say = (list: readonly { off: number }[], what: string): string[] =>
    list.length
      ? [`${list.filter(each => each.off > STACKED).length || 'none'} of ${list.length} ${what}`]
      : []
  const parts = [
    ...say(rafters, bench.plan.building.roof.truss ? 'trusses' : 'rafters'),
    ...say(joists, 'joists'),
  ]
  return parts.length ? `Off the studs, in red: ${parts.join(', ')}.` : ''
})
</script>

<template>
  <div v-if="wall" class="raise">
    <p>
      {{ wall.through ? 'Runs through' : 'Butts between the others' }} at the corners; drawn from
      {{ wall.seenFrom }}. {{ stacking }}
    </p>
    <template v-if="lifting">
      <h3>Raised {{ turns[lifting.turn] }}</h3>
      <p>
        {{ sayWeight(lifting.weight, units) }}, half of it at the top edge, {{ lifting.people }} people at
        {{ sayWeight(LIFT, units) }} each. {{ square }}
      </p>
    </template>
    <p>
      <NuxtLink :to="`/design/${String(route.params.id)}/marks`"
        ><i class="pi pi-print" aria-hidden="true" /> Plate marks on paper</NuxtLink
      >
    </p>
  </div>
</template>

<style scoped>
.raise {
  display: grid;
  gap: 6px;
}
h3 {
  font-size: 1.1rem;
}
a {
  min-height: var(--target);
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
</style>
