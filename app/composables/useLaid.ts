import { type MaybeRefOrGetter, toValue } from 'vue'
import { type Drawing, type Laid, layOut, NARROW, type Size, type Spot } from '../../core/drawing'
import { useBench } from '../stores/bench'
import { useDragHandle } from './useDragHandle'

/** What a drawing is laid out for, px. */
interface LaidFor {
  readonly drawing: Drawing
  /** To be read and printed, not changed. */
  readonly still: boolean
  readonly width: number
  readonly height: number
  /** What is kept free at the upper left. */
  readonly corner: Size
}

/**
 * On a narrow sheet only what can be typed over has room; and rings as large as a thumb would cover an
 * opening, so it has its own once it is in hand.
 */
function narrowed(drawing: Drawing, inHand: string | undefined): Drawing {
  return {
    ...drawing,
    dimensions: drawing.dimensions.filter(each => each.field),
    handles: drawing.handles.filter(({ field }) => {
      const [opening] = /^(walls|roof|floor)\.openings\.\d+/.exec(field) ?? []
      return !opening || opening === inHand
    }),
  }
}

/**
 * A drawing as it lies on its sheet here, what drags its rings, and the px of height that its words need.
 * While a ring is held words stay where they are if they can.
 */
export function useLaid(of: MaybeRefOrGetter<LaidFor>) {
  const bench = useBench()
  const drawing = computed(() => {
    const { drawing: whole, width } = toValue(of)
    return width > 0 && width < NARROW ? narrowed(whole, bench.subject?.key) : whole
  })
  const units = computed(() => bench.design?.units ?? 'imperial')
  const faults = computed(() =>
    toValue(of).still ? [] : (bench.plan?.frame.problems ?? []).map(problem => problem.path),
  )
  /** As the style sheet has it for fields and rings. */
  const thumbs = useMediaQuery('(pointer: coarse), (max-width: 900px)')
  const drag: ReturnType<typeof useDragHandle> = useDragHandle(() => laid.value)
  /** Where words stand in the step of a drag before. */
  let spots: ReadonlyMap<string, Spot> | null = null
  const laid = computed((): Laid => {
    const { still, width, height, corner } = toValue(of)
    const held = drag.heldAs.value
    const next = layOut(drawing.value, {
      width: Math.max(width, 240),
      height,
      units: units.value,
      setting: thumbs.value ? 'thumb' : 'screen',
      still,
      faults: faults.value,
      corner,
      ...(held && { held: { sheet: held.sheet, spots: spots ?? held.spots } }),
    })
    spots = held ? next.spots : null
    return next
  })

  /**
   * The page scrolls where the words of a drawing need more height than there is; what a drawing once had at
   * a width it keeps, else it would be laid out by turns with more room and with less.
   */
  const kept = shallowRef({ drawing: toValue(of).drawing, width: 0, tall: 0 })
  watch(
    laid,
    ({ sheet }) => {
      const { drawing: whole } = toValue(of)
      const { drawing: before, width, tall } = kept.value
      const had = before === whole && width === sheet.width ? tall : 0
      kept.value = { drawing: whole, width: sheet.width, tall: Math.max(had, Math.ceil(sheet.least)) }
    },
    { immediate: true },
  )
  const least = computed(() => kept.value.tall)

  return { drawing, units, faults, drag, laid, least }
}
