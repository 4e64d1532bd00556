import { computed } from 'vue'
import { rectangle, tapesOf } from '../../core/survey'
import { movesTo, squarenessOf, verdictOn } from '../../core/survey/squareness'
import { shapeFrom } from '../../core/survey/squaring'
import { sayArea, sayLength, sayShort } from '../../core/words'
import { useBench } from '../stores/bench'

/** The stakes as the tapes fix them: their shape, how square it is, and what to move. */
export function useSquaring() {
  const bench = useBench()
  const units = computed(() => bench.design?.units ?? 'imperial')
  const size = computed(() => ({
    length: bench.design?.footprint.length ?? 1,
    width: bench.design?.footprint.width ?? 1,
  }))
  const squaring = computed(() => bench.design?.site?.squaring)
  const meant = computed(() => tapesOf(rectangle(size.value.length, size.value.width)))
  const result = computed(() =>
    squaring.value ? shapeFrom(squaring.value, size.value.length, size.value.width) : null,
  )
  const shape = computed(() => (result.value?.ok ? result.value.shape : null))
  const any = computed(
    () =>
      !!squaring.value && (Object.keys(squaring.value.tapes).length > 0 || squaring.value.triangle !== null),
  )
  const verdict = computed(() =>
    shape.value && squaring.value
      ? verdictOn(shape.value.stakes, size.value.length, size.value.width, squaring.value.tolerance)
      : null,
  )
  const squareness = computed(() => (shape.value ? squarenessOf(shape.value.stakes) : null))
  const moves = computed(() =>
    shape.value && squaring.value
      ? movesTo(shape.value.stakes, size.value.length, size.value.width, squaring.value.held)
      : null,
  )
  const remark = computed(() => {
    if (!shape.value || !squareness.value) return ''
    const area = sayArea(squareness.value.area * 1e-6, units.value)
    const spare = shape.value.spare
      ? `The readings agree within ${sayShort(shape.value.misfit, units.value)}.`
      : 'Nothing is spare: one more tape would check the others.'
    return `Diagonals differ by ${sayShort(Math.abs(squareness.value.diagonals), units.value)}; each should read ${sayLength(meant.value.swNe, units.value)}. The stakes enclose ${area}. ${spare}`
  })
  return { units, size, squaring, meant, result, shape, any, verdict, squareness, moves, remark }
}
