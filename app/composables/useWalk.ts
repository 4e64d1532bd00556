import { computed, type Ref, ref } from 'vue'
import type { Drawing, Point } from '../../core/drawing'
import { type Place, type Way, ways, walk } from '../logic/walk'
import { useBench } from '../stores/bench'

/** By arrows from board to board of a drawing; `at` says where a place of it is on the sheet, px. */
export function useWalk(drawing: Readonly<Ref<Drawing>>, at: (place: Point) => Point) {
  const bench = useBench()
  /** The middle of each board as it is drawn, px. */
  const boards = computed<Place[]>(() => {
    const boxes = new Map<string, { x0: number; x1: number; y0: number; y1: number }>()
    for (const { member, loops } of drawing.value.patches) {
      if (!member) continue
      for (const { x, y } of loops.flat()) {
        const box = boxes.get(member)
        if (!box) boxes.set(member, { x0: x, x1: x, y0: y, y1: y })
        else
          boxes.set(member, {
            x0: Math.min(box.x0, x),
            x1: Math.max(box.x1, x),
            y0: Math.min(box.y0, y),
            y1: Math.max(box.y1, y),
          })
      }
    }
    return [...boxes].map(([id, { x0, x1, y0, y1 }]) => ({
      id,
      ...at({ x: (x0 + x1) / 2, y: (y0 + y1) / 2 }),
    }))
  })
  /** A pier or a footing that arrows came to: no board is in hand then, but what it is part of. */
  const walked = ref<{ id: string; key: string } | null>(null)
  const here = computed(() =>
    !bench.subject ? bench.hand : walked.value?.key === bench.subject.key ? walked.value.id : null,
  )

  function key(event: KeyboardEvent): void {
    if (!(event.key in ways) || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    const next = walk(boards.value, here.value, event.key as Way)
    if (!next) return
    bench.pick(next)
    walked.value = bench.subject ? { id: next, key: bench.subject.key } : null
  }

  return { here, key }
}
