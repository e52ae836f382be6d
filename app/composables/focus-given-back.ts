/**
 * Boxes and menus give the focus back to what had it before as their last sight goes. Who has gone on meanwhile, as by a press elsewhere
 * while a box still fades, keeps the focus there. Answers with what ends that.
 */
export function keepFocusGoneOn(page: Document): () => void {
  const told = 'focusScope.autoFocusOnUnmount'
  const stay = (event: Event) => {
    const at = page.activeElement
    const box = event.target
    if (at && at !== page.body && box instanceof Node && !box.contains(at)) event.preventDefault()
  }
  // It does not bubble, but is seen on its way down.
  page.addEventListener(told, stay, true)
  return () => page.removeEventListener(told, stay, true)
}
