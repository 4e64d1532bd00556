import { roofHas } from '../../core/design'
import { fieldNameIn } from '../../core/words'
import { useBench } from '../stores/bench'

/** What fields are called in the building on the bench. */
export function useFieldName(): (path: string) => string {
  const bench = useBench()
  const level = (): boolean => bench.design !== null && roofHas(bench.design.roof).parts.includes('battens')
  return path => fieldNameIn(path, level())
}
