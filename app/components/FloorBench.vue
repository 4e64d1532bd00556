<script setup lang="ts">
import type { Bay } from '../../core/frame'
import type { FloorLayer } from '../../core/drawing'
import { rimPair } from '../../core/plan'
import { frameFloor } from '../logic/changes/below'

const bench = useBench()
const layer = usePlace<FloorLayer>('floor', 'frame')
const design = computed(() => bench.design)
const { drawing, choices } = useDrawings('floor', () => layer.value)
const bays = computed(() => bench.plan?.frame.floor?.bays ?? [])
const bayNames = { floor: 'Floor', west: 'West frame', east: 'East frame', porch: 'Porch' } as const
const nameOf = ({ in: within, frame }: Bay): string => bayNames[frame ?? within]
const chosen = ref('')
const bay = computed(() => bays.value.find(each => each.id === chosen.value) ?? bays.value[0] ?? null)
const pair = computed(() => (bench.plan && bay.value ? rimPair(bench.plan.frame, bay.value) : null))
const rims = computed<readonly [string, string]>(() =>
  bay.value?.joists === 'x' ? ['East', 'West'] : ['North', 'South'],
)
/** What is in hand is shown: its frame, or the deck. */
watch(
  () => bench.subject?.kind,
  kind => {
    if (kind === 'deck') layer.value = 'deck'
    if (kind === 'joists' || kind === 'floor-opening') layer.value = 'frame'
    if (kind === 'porch') chosen.value = bays.value.find(each => each.in === 'porch')?.id ?? ''
  },
  { immediate: true },
)
function look(to: FloorLayer): void {
  layer.value = to
  bench.hold(to === 'deck' ? 'floor.deck' : 'floor.joists')
}
function frame(): void {
  bench.edit(frameFloor)
  bench.hold('floor.joists')
}
</script>

<template>
  <div v-if="design" class="workbench">
    <div class="strip">
      <ViewSwitch drawing="Plan" />
      <SelectButton
        v-if="design.floor"
        :model-value="layer"
        :options="choices"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Frame or deck"
        @update:model-value="look"
      />
      <SelectButton
        v-if="layer === 'frame' && bays.length > 1"
        :model-value="bay?.id"
        :options="bays.map(each => ({ value: each.id, label: nameOf(each) }))"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Which frame's rims"
        @update:model-value="chosen = $event"
      />
    </div>
    <ProblemLine />
    <template v-if="design.floor">
      <DrawingSheet
        v-if="drawing"
        class="sheet"
        :drawing="drawing"
        :label="`The floor ${layer === 'frame' ? 'frame' : 'deck'} from above, south at the bottom`"
      />
      <template v-if="layer === 'frame' && pair">
        <p class="caption low quiet">
          Mark both rims from the {{ bay?.joists === 'x' ? 'south' : 'west' }} end: X ahead, T a joist cut
          short.
        </p>
        <PairStrip :pair="pair" :names="rims" :what="`${rims[0]} and ${rims[1].toLowerCase()} rim`" />
      </template>
    </template>
    <div v-else class="none">
      <h2>Floor</h2>
      <p>
        Rims, joists and a deck under the walls, with the marks for both rims. Without one the walls stand on
        a slab or an old floor.
      </p>
      <Button
        :label="`Frame a floor of ${design.lumber.yard === 'metric' ? '47x150' : '2x6'}`"
        @click="frame"
      />
    </div>
  </div>
</template>
