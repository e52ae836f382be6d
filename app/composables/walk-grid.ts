/**
 * The one of several things in rows that an arrow leads to from one of them; null where there is none that way. Left and right go along
 * the rows and on into the next, up and down to what stands nearest in the next row; Home and End to the first and last.
 */
export function stepInGrid(boxes: readonly { left: number; top: number; width: number }[], from: number, key: string): number | null {
  const at = boxes[from]
  if (!at) return null
  const last = boxes.length - 1
  if (key === 'Home') return from > 0 ? 0 : null
  if (key === 'End') return from < last ? last : null
  if (key === 'ArrowLeft') return from > 0 ? from - 1 : null
  if (key === 'ArrowRight') return from < last ? from + 1 : null
  if (key !== 'ArrowUp' && key !== 'ArrowDown') return null
  const way = key === 'ArrowDown' ? 1 : -1
  const further = boxes.map((box, index) => ({ box, index })).filter(({ box }) => (box.top - at.top) * way > 1)
  if (!further.length) return null
  const row = Math.min(...further.map(({ box }) => (box.top - at.top) * way))
  const middle = (box: { left: number; width: number }) => box.left + box.width / 2
  return further
    .filter(({ box }) => Math.abs((box.top - at.top) * way - row) <= 1)
    .reduce((best, next) => (Math.abs(middle(next.box) - middle(at)) < Math.abs(middle(best.box) - middle(at)) ? next : best)).index
}

/** Lets the arrows walk what is found by `selector` within the element that has the key; what has its own use for arrows keeps them. */
export function walkGrid(event: KeyboardEvent, selector: string) {
  if (event.ctrlKey || event.metaKey || event.altKey || event.shiftKey || isTyping(event.target)) return
  const all = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>(selector)]
  const next = stepInGrid(
    all.map(node => node.getBoundingClientRect()),
    all.indexOf(event.target as HTMLElement),
    event.key,
  )
  if (next === null) return
  event.preventDefault()
  all[next]!.focus()
}
