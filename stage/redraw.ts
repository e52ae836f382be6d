import { inject, onBeforeUnmount, onMounted } from 'vue'
import { redrawKey, type Redraw } from './host'

/** Lets an element draw itself: its slide calls `redraw` for every frame, and once it stands. */
export function useRedraw(element: () => string, redraw: Redraw) {
  const signIn = inject(redrawKey, undefined)
  let as = ''
  onMounted(() => {
    as = element()
    signIn?.(as, redraw)
    redraw(null)
  })
  onBeforeUnmount(() => signIn?.(as, null))
}
