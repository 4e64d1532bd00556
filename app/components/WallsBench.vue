<script setup lang="ts">
import type { WallLayer } from '../../core/drawing'
import { wallOf as wallOfBoard, type WallName } from '../../core/frame'
import { isSide, isSided, partitionIndex, sideNames, wallSubject } from '../../core/design'
import { platePair } from '../../core/plan'
import { isOfDoor, isWallSkin } from '../../core/trade'
import { capital } from '../../core/words'
import { wallOf } from '../hand/walls'

const bench = useBench()
const wall = usePlace<WallName>('wall', 'south')
const names = computed(() => [
  ...[
    { value: 'south', label: 'South' },
    { value: 'east', label: 'East' },
    { value: 'north', label: 'North' },
    { value: 'west', label: 'West' },
  ].filter(each => !bench.plan || bench.plan.frame.walls.some(({ name }) => name === each.value)),
  ...(bench.plan?.frame.walls ?? [])
    .filter(each => !isSide(each.name))
    .map(each => ({ value: each.name, label: `P${isSide(each.name) ? '' : partitionIndex(each.name) + 1}` })),
])
/** Siding that was taken off is not looked at. */
watch(
  () => {
    const walls = bench.drawn?.building.walls
    return walls !== undefined && isSide(wall.value) && isSided(walls, wall.value)
  },
  sided => {
    if (!sided && layer.value === 'siding') layer.value = 'sheets'
  },
)
/** Another wall than one that was taken away. */
watch(
  () => names.value.some(each => each.value === wall.value),
  stands => {
    const [first] = names.value
    if (!stands && first) wall.value = first.value as WallName
  },
  { immediate: true },
)
type Look = WallLayer | 'plan' | 'doors'
const layer = usePlace<Look>('walls', 'frame')
const line = computed(() => bench.plan?.frame.walls.find(each => each.name === wall.value))
const { drawing, choices } = useDrawings('walls', () => layer.value, { of: () => wall.value })
/** Doors that are bought have no view of their own. */
watch(
  () => choices.value.some(each => each.value === layer.value),
  there => {
    if (!there && layer.value === 'doors') layer.value = 'frame'
  },
)

/**
 * The wall that what is in hand belongs to is shown, but for a board that is seen where one is, as the corner
 * post of a side beside; the sheets where they are in hand.
 */
watch(
  () => [bench.subject, bench.subject ? null : bench.hand] as const,
  ([subject]) => {
    const { design, member } = bench
    const seen = !subject && drawing.value?.patches.some(patch => patch.member === member?.id)
    if (seen) return
    const to = subject && design ? wallOf({ design, subject }) : member ? wallOfBoard(member.where) : null
    if (to !== null && names.value.some(({ value }) => value === to)) wall.value = to
    if (subject?.kind === 'sheets' && layer.value !== 'siding') layer.value = 'sheets'
    if (!subject && member && isWallSkin(member.role)) layer.value = 'siding'
    if (!subject && member && isOfDoor(member.role)) layer.value = 'doors'
  },
  { immediate: true },
)
const show = (to: WallName): void => {
  wall.value = to
  bench.hold(wallSubject(to))
}
function look(to: Look): void {
  layer.value = to
  if (to === 'sheets' || to === 'siding') bench.hold('walls.sheathing')
  else if (bench.subject?.kind === 'sheets') bench.hold(wallSubject(wall.value))
}
const pair = computed(() => (bench.plan && line.value ? platePair(bench.plan.frame, wall.value) : null))
const label = computed(() =>
  layer.value === 'plan'
    ? 'The walls from above, south at the bottom'
    : layer.value === 'doors'
      ? 'The doors of this wall from inside, true size'
      : `${isSide(wall.value) ? `The ${wall.value} wall` : `Partition ${partitionIndex(wall.value) + 1}`}, seen from ${line.value?.seenFrom ?? 'outside'}`,
)
</script>

<template>
  <div v-if="bench.plan && drawing && line && pair" class="workbench">
    <div class="strip">
      <ViewSwitch drawing="Elevation" />
      <SelectButton
        :model-value="wall"
        :options="names"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Wall"
        @update:model-value="show"
      />
      <SelectButton
        :model-value="layer"
        :options="choices"
        option-value="value"
        option-label="label"
        :allow-empty="false"
        aria-label="Frame, sheets or plan"
        @update:model-value="look"
      />
    </div>
    <ProblemLine />
    <DrawingSheet class="sheet" :drawing="drawing" :label="label" />
    <WallMarks v-if="layer === 'frame'" :wall="line" :pair="pair" />
  </div>
  <div v-else-if="bench.plan && !names.length" class="workbench">
    <div class="bare">
      <p>No wall stands. Take a side in hand to build it.</p>
      <Button
        v-for="side in sideNames"
        :key="side"
        :label="`${capital(side)} side`"
        outlined
        severity="secondary"
        @click="bench.hold(wallSubject(side))"
      />
    </div>
  </div>
</template>

<style scoped>
.bare {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  padding: 24px;
}
.bare p {
  flex-basis: 100%;
  margin: 0;
}
</style>
