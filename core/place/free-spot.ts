import type { Box, Size } from '../values'

/** How near, px of deck space, the corner of another must be for a new thing to hide it or be hidden by it. */
const near = 12

/**
 * Where a new box goes so that it does not lie exactly on another: `step` px down and to the right of those that begin where it would, as
 * often as needed; past the edge of the slide it begins again at the top, further right. A box that lies on none stays where it is.
 */
export function freeSpot(box: Box, others: readonly Box[], size: Size, step = 40): Box {
  const taken = (x: number, y: number) => others.some(other => Math.abs(other.x - x) < near && Math.abs(other.y - y) < near)
  let { x, y } = box
  let turns = 0
  while (taken(x, y) && turns < 10_000) {
    turns++
    x += step
    y += step
    if (y + Math.min(box.height, step) > size.height) y = Math.max(0, box.y - Math.floor(box.y / step) * step)
    if (x + Math.min(box.width, step) > size.width) x = Math.max(0, box.x - Math.floor(box.x / step) * step) + (turns % 7)
  }
  return { ...box, x, y }
}
