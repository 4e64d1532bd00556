<script setup lang="ts">
import { modelOfWhole } from '../../core/drawing'
import { type Whole, wholeTotals } from '../../core/plan'
import { useViewer } from '../composables/useViewer'

/** A building that is about to be begun, in 3D; it turns by dragging and by arrows. */
const props = defineProps<{ whole: Whole; name: string }>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const model = computed(() => modelOfWhole(props.whole, null))
const none: ReadonlySet<string> = new Set()
const showing = computed(() => ({ hand: none, faded: none, hidden: none, apart: 0 }))
const { failed, viewer } = useViewer(canvas, model, showing)
const turns: Record<string, () => void> = {
  ArrowLeft: () => viewer.value?.turn(-10, 0),
  ArrowRight: () => viewer.value?.turn(10, 0),
  ArrowUp: () => viewer.value?.turn(0, 8),
  ArrowDown: () => viewer.value?.turn(0, -8),
}
function key(event: KeyboardEvent): void {
  const turn = turns[event.key]
  if (!turn) return
  event.preventDefault()
  turn()
}
/** Another building is looked at whole. */
watch(
  () => props.name,
  () => void nextTick(() => viewer.value?.fit()),
)
</script>

<template>
  <p v-if="failed" class="quiet" role="alert">
    This browser can't draw in 3D. The drawings show every board all the same.
  </p>
  <canvas
    v-else
    ref="canvas"
    class="model"
    tabindex="0"
    role="img"
    :aria-label="`${name} in 3D, ${wholeTotals(whole).pieces} boards. Arrows turn it.`"
    @keydown="key"
  />
</template>

<style scoped>
.model {
  display: block;
  width: 100%;
  height: 100%;
  min-height: 0;
  touch-action: none;
}
</style>
