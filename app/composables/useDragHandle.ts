import { ref, shallowRef } from 'vue'
import type { Handle, Laid } from '../../core/drawing'
import type { Pitch } from '../../core/measure'
import { movedValue, nudged } from '../logic/entry'
import { useBench } from '../stores/bench'

/**
 * Drags a drawing's handles: the value follows the pointer, and is kept when it is let go. The sheet is held
 * still meanwhile, as it was `laid` when the drag began.
 */
export function useDragHandle(laid: () => Laid) {
  const bench = useBench()
  const held = ref<Handle | null>(null)
  const heldAs = shallowRef<Laid | null>(null)
  let from: { x: number; y: number; value: number | Pitch; scale: number } | null = null

  const valueOf = (handle: Handle): number | Pitch => bench.value(handle.field) as number | Pitch

  function begin(event: PointerEvent, handle: Handle): void {
    if (event.button !== 0) return
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    held.value = handle
    heldAs.value = laid()
    from = { x: event.clientX, y: event.clientY, value: valueOf(handle), scale: heldAs.value.sheet.on.scale }
  }

  /** Where the pointer is, not shown yet: moves between two frames are shown once. */
  let latest: PointerEvent | null = null
  let frame = 0

  function move(event: PointerEvent): void {
    if (!held.value) return
    latest = event
    frame ||= requestAnimationFrame(follow)
  }

  function follow(): void {
    frame = 0
    const handle = held.value
    const event = latest
    latest = null
    if (!handle || !event || !from || !bench.design) return
    const along =
      ((event.clientX - from.x) * handle.along.x - (event.clientY - from.y) * handle.along.y) / from.scale
    bench.tryValue(handle.field, movedValue(bench.design, handle.field, from.value, along * handle.gain))
  }

  function end(): void {
    follow()
    const handle = held.value
    if (handle && from) {
      const value = valueOf(handle)
      bench.dropPreview()
      if (value !== from.value) bench.setValue(handle.field, value)
    }
    release()
  }

  function cancel(): void {
    bench.dropPreview()
    release()
  }

  function release(): void {
    held.value = heldAs.value = from = latest = null
    cancelAnimationFrame(frame)
    frame = 0
  }

  function nudge(handle: Handle, way: 1 | -1): void {
    if (bench.design) bench.setValue(handle.field, nudged(bench.design, handle.field, valueOf(handle), way))
  }

  return { held, heldAs, begin, move, end, cancel, nudge, valueOf }
}
