import { onBeforeUnmount, ref, watch, type Ref } from 'vue'

/** A file that could not be had is asked for again after so long, ms: the server may have been away. */
const againAfter = 10_000

/**
 * Whether the file at an address could not be had; `lose` says so, and it is tried again after a while and whenever the address changes.
 */
export function useLost(source: () => string | undefined): { lost: Ref<boolean>; lose(): void } {
  const lost = ref(false)
  let timer: ReturnType<typeof setTimeout>
  watch(source, () => {
    lost.value = false
  })
  onBeforeUnmount(() => clearTimeout(timer))
  return {
    lost,
    lose() {
      lost.value = true
      clearTimeout(timer)
      timer = setTimeout(() => {
        lost.value = false
      }, againAfter)
    },
  }
}
