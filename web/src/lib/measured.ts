import { useResizeObserver } from '@vueuse/core'
import { type Ref, ref } from 'vue'

/**
 * How large a part is drawn, px; 0 until the browser has laid the page out. It is told then, and never asked: a question
 * would make it lay everything out at once, twice while a page opens.
 */
export function useMeasured(root: Ref<HTMLElement | null>) {
  const width = ref(0)
  const height = ref(0)
  useResizeObserver(root, ([entry]) => {
    width.value = entry?.contentRect.width ?? 0
    height.value = entry?.contentRect.height ?? 0
  })
  return { width, height }
}
