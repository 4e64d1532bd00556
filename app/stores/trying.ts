import { computed, type ComputedRef, type Ref, shallowRef } from 'vue'
import type { Design } from '../../core/design'

/** ms. While a value is dragged or typed, what is not the drawing itself follows no closer than this. */
const FOLLOWS = 100

export interface Trying<P> {
  /** What is tried, or the design as it is kept: it is drawn at once. */
  readonly drawn: ComputedRef<P | null>
  /** The same for all that stands beside the drawing: it follows when that is on the screen. */
  readonly plan: ComputedRef<P | null>
  /** Tries a design in place of the one that is kept. */
  readonly attempt: (design: Design) => void
  readonly drop: () => void
}

/** A design that is tried while it is dragged or typed, and not kept. */
export function trying<P>(
  kept: Readonly<Ref<Design | null>>,
  planOf: (design: Design) => P,
  now: () => number = () => performance.now(),
): Trying<P> {
  const tried = shallowRef<Design | null>(null)
  /** The plan beside the drawing while something is tried. */
  const beside = shallowRef<P | null>(null)
  const drawn = computed(() => {
    const design = tried.value ?? kept.value
    return design ? planOf(design) : null
  })
  const plan = computed(() => (tried.value && beside.value ? beside.value : drawn.value))
  let followed = -Infinity
  let waiting: ReturnType<typeof setTimeout> | undefined

  function attempt(next: Design): void {
    beside.value ??= drawn.value
    tried.value = next
    waiting ??= setTimeout(() => afterFrame(follow), Math.max(0, followed + FOLLOWS - now()))
  }

  function follow(): void {
    waiting = undefined
    followed = now()
    if (tried.value) beside.value = drawn.value
  }

  function drop(): void {
    clearTimeout(waiting)
    waiting = undefined
    tried.value = beside.value = null
  }

  return { drawn, plan, attempt, drop }
}

/** When the next frame is on the screen. */
function afterFrame(run: () => void): void {
  if (typeof requestAnimationFrame === 'undefined') run()
  else requestAnimationFrame(() => setTimeout(run))
}
