<script setup lang="ts">
import { isSide } from '../../core/design'
import type { Wall } from '../../core/frame'
import { bearingStrip, type MarkedPair, rakeStrips } from '../../core/plan'
import { capital, saySlope } from '../../core/words'

/** A wall's plates marked as a pair, or one along the slope. */
const props = defineProps<{ wall: Wall; pair: MarkedPair }>()
const bench = useBench()
const rakes = computed(() => (bench.plan ? rakeStrips(bench.plan.frame, props.wall.name) : []))
const bearing = computed(() => (bench.plan ? bearingStrip(bench.plan, props.wall.name) : null))
const onIt = computed(() => (bench.plan?.building.roof.truss ? 'Trusses' : 'Rafters'))
const plate = ref('bottom')
const plates = computed(() => [
  { value: 'bottom', label: props.pair.boards === 1 ? 'Bottom plate' : 'Plates' },
  ...rakes.value.map(({ slope }) => ({
    value: slope,
    label: rakes.value.length > 1 ? capital(`${saySlope(slope)} slope`) : 'Along the slope',
  })),
  ...(bearing.value ? [{ value: 'roof', label: onIt.value }] : []),
])
watch(
  () => props.wall.name,
  () => {
    plate.value = 'bottom'
  },
)
const rake = computed(() => rakes.value.find(each => each.slope === plate.value))
/** What stands on the top plate, where that is looked at. */
const over = computed(() => (plate.value === 'roof' ? bearing.value : null))
const strip = computed(() => over.value ?? rake.value ?? props.pair)
const posts = computed(
  () => isSide(props.wall.name) && bench.design?.walls.sides[props.wall.name].build === 'posts',
)
const names = computed(() =>
  over.value
    ? ['Top']
    : rake.value
      ? ['Slope']
      : props.pair.boards === 1
        ? ['Bottom']
        : ['Top', posts.value ? 'Deck' : 'Bottom'],
)
const what = computed(() =>
  over.value
    ? `${onIt.value} on the top plate`
    : rake.value
      ? `Top plate along the ${saySlope(rake.value.slope)} slope`
      : props.pair.boards === 1
        ? 'Bottom plate'
        : posts.value
          ? 'Top plate and deck'
          : 'Bottom and top plate',
)
const end = computed(
  () =>
    ({ x: { low: 'west', high: 'east' }, y: { low: 'south', high: 'north' } })[props.wall.along][
      strip.value.end
    ],
)
</script>

<template>
  <div class="marks">
    <div class="foot">
      <p class="caption quiet">
        Mark from the {{ over ? `building's ${end}` : rake ? 'low' : end }} end{{
          rake ? ', along the lower face' : ''
        }}: near sides, {{ over ? strip.marks[0]?.letter : 'X' }} ahead.
      </p>
      <Select
        v-if="plates.length > 1"
        v-model="plate"
        :options="plates"
        option-value="value"
        option-label="label"
        aria-label="Plate"
      />
    </div>
    <PairStrip :pair="strip" :names="names" :what="what" />
  </div>
</template>

<style scoped>
.marks {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
}
.foot {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding: 0 16px;
}
.caption {
  font-size: 0.9rem;
}
/* where the drawing needs the height, beside the boards */
@media (min-width: 1200px) {
  .marks {
    grid-template-columns: 9rem minmax(0, 1fr);
  }
  .foot {
    display: grid;
    align-content: start;
    gap: 6px;
    padding: 6px 0 6px 12px;
  }
}
</style>
