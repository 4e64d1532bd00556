import type { RoofShapeName } from '../../core/design'
import { fieldNameIn } from '../../core/words'
import { useBench } from '../stores/bench'

/** What fields are called in the building on the bench. */
export function useFieldName(): (path: string) => string {
  const bench = useBench()
  const shape = (): RoofShapeName | null => bench.design?.roof.shape ?? null
  return path => fieldNameIn(path, shape())
}
