import { computed } from 'vue'
import { useBench } from '../stores/bench'
import { useSaw } from '../stores/saw'

/** How far what was done is stored: of the design, or where that is stored of what is at the saw. */
export const useSaving = () => {
  const bench = useBench()
  const saw = useSaw()
  return computed(() => (bench.storing === 'stored' ? saw.storing : bench.storing))
}
