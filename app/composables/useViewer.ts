import { useElementSize } from '@vueuse/core'
import { onBeforeUnmount, onMounted, type Ref, ref, shallowRef, watch } from 'vue'
import type { Model } from '../../core/drawing'
import { createViewer, type Paints, type Showing, type Viewer } from '../viewer/scene'
import { useDusk } from './useDusk'

/** The colours of the page, for what CSS can't reach. */
function pagePaints(): Paints {
  const style = getComputedStyle(document.documentElement)
  const colour = (name: string): string => style.getPropertyValue(name).trim()
  return {
    ground: colour('--sheet'),
    wood: colour('--pine'),
    sheet: colour('--dust'),
    metal: colour('--panel'),
    ink: colour('--ink'),
    hand: colour('--crayon'),
  }
}

/** Keeps a viewer on a canvas: made when the canvas is there, told of each change, thrown away with it. */
export function useViewer(
  canvas: Readonly<Ref<HTMLCanvasElement | null>>,
  model: Readonly<Ref<Model | null>>,
  showing: Readonly<Ref<Showing>>,
) {
  const viewer = shallowRef<Viewer | null>(null)
  const failed = ref(false)
  const { width, height } = useElementSize(canvas)
  const dusk = useDusk()

  onMounted(() => {
    try {
      viewer.value = canvas.value ? createViewer(canvas.value) : null
    } catch {
      failed.value = true
    }
    viewer.value?.paint(pagePaints())
  })
  let fitted = false
  watch(
    [viewer, width, height],
    () => {
      if (!viewer.value || width.value < 2 || height.value < 2) return
      viewer.value.resize(width.value, height.value)
      if (!fitted) viewer.value.fit()
      fitted = true
    },
    { flush: 'post' },
  )
  watch(
    [viewer, model],
    () => {
      if (!viewer.value || !model.value) return
      viewer.value.setModel(model.value, !fitted)
      viewer.value.show(showing.value)
    },
    { immediate: true },
  )
  watch(showing, value => viewer.value?.show(value))
  watch(dusk, () => viewer.value?.paint(pagePaints()), { flush: 'post' })
  onBeforeUnmount(() => viewer.value?.dispose())
  return { viewer, failed }
}
