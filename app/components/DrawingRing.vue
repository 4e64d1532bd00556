<script setup lang="ts">
/** A ring of a drawing: dragged, or moved by the arrow keys. */
import { type Handle, type Point, px } from '../../core/drawing'
import { riseInTwelve, type Units } from '../../core/measure'
import { showEntry } from '../logic/entry'
import type { useDragHandle } from '../composables/useDragHandle'
import { useFieldName } from '../composables/useFieldName'

/** `at`: its middle, px. */
const { handle, at, drag, units, atFault } = defineProps<{
  handle: Handle
  at: Point
  drag: ReturnType<typeof useDragHandle>
  units: Units
  atFault: boolean
}>()
const fieldName = useFieldName()
const size = computed(() => {
  const value = drag.valueOf(handle)
  return typeof value === 'number' ? value : riseInTwelve(value)
})
const said = computed(() => showEntry(drag.valueOf(handle), units))
const nudge = (way: 1 | -1): void => drag.nudge(handle, way)
</script>

<template>
  <button
    type="button"
    class="handle"
    role="slider"
    :aria-label="`${fieldName(handle.field)}, drag`"
    :aria-valuenow="size"
    :aria-valuetext="said"
    :data-handle="handle.field"
    :class="[
      { held: drag.held.value?.field === handle.field, fault: atFault },
      handle.along.x ? 'level' : 'plumb',
    ]"
    :style="{
      left: `clamp(var(--target) / 2, ${px(at.x)}px, 100% - var(--target) / 2)`,
      top: `${px(at.y)}px`,
    }"
    @pointerdown="drag.begin($event, handle)"
    @pointermove="drag.move"
    @pointerup="drag.end"
    @pointercancel="drag.cancel"
    @keydown.escape="drag.cancel"
    @keydown.up.prevent="nudge(1)"
    @keydown.right.prevent="nudge(1)"
    @keydown.down.prevent="nudge(-1)"
    @keydown.left.prevent="nudge(-1)"
  />
</template>

<style scoped>
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
.handle.fault::after {
  border-width: 4px;
  background: var(--crayon);
}
.handle.level {
  cursor: ew-resize;
}
.handle.plumb {
  cursor: ns-resize;
}
</style>
