/**
 * Files that are dropped on a place: whether some are held over it, and what its events do (`v-on="on"`). Where nothing may be brought,
 * what is dropped is not opened by the browser in the page's stead either.
 */
export function useFileDrop(take: (files: File[]) => void, allowed: () => boolean) {
  const over = ref(false)
  const on = {
    dragover(event: DragEvent) {
      event.preventDefault()
      over.value = allowed()
    },
    dragleave(event: DragEvent) {
      if (event.target === event.currentTarget) over.value = false
    },
    drop(event: DragEvent) {
      over.value = false
      const files = [...(event.dataTransfer?.files ?? [])]
      if (!files.length) return
      event.preventDefault()
      if (allowed()) take(files)
    },
  }
  return { over, on }
}
