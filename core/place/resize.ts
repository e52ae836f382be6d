import type { Box } from '../deck'
import { centerOf, turn, type Point } from './bounds'

/** A handle of a box: −1, 0 or 1 across and down. */
export interface Handle {
  across: -1 | 0 | 1
  down: -1 | 0 | 1
}

export const handles: readonly Handle[] = ([-1, 0, 1] as const).flatMap(down => ([-1, 0, 1] as const).map(across => ({ across, down }))).filter(({ across, down }) => across || down)

/**
 * Resizes a (turned) box by dragging a handle by `by` px of deck space, keeping the opposite handle, or the centre with
 * `fromCenter`, in its place. Sizes stay at least `least`.
 */
export function resize(box: Box, handle: Handle, by: Point, options: { keepProportion?: boolean, fromCenter?: boolean, least?: number } = {}): Box {
  const least = options.least ?? 8
  const local = turn(by, { x: 0, y: 0 }, -box.angle)
  const reach = options.fromCenter ? 2 : 1
  let width = Math.max(least, box.width + handle.across * local.x * reach)
  let height = Math.max(least, box.height + handle.down * local.y * reach)
  if (options.keepProportion && box.width > 0 && box.height > 0) {
    const across = width / box.width
    const down = height / box.height
    const wanted = handle.across && handle.down ? Math.max(across, down) : handle.across ? across : down
    const factor = Math.max(wanted, least / Math.min(box.width, box.height))
    width = box.width * factor
    height = box.height * factor
  }
  const center = centerOf(box)
  if (options.fromCenter) return { ...box, x: center.x - width / 2, y: center.y - height / 2, width, height }
  const shift = turn({ x: (handle.across * (width - box.width)) / 2, y: (handle.down * (height - box.height)) / 2 }, { x: 0, y: 0 }, box.angle)
  return { ...box, x: center.x + shift.x - width / 2, y: center.y + shift.y - height / 2, width, height }
}
