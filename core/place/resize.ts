import type { Box } from '../values'
import { boxOf, boundsOf, centerOf, centeredAt, turn, type Point } from './bounds'

/** A handle of a box: −1, 0 or 1 across and down. */
export interface Handle {
  across: -1 | 0 | 1
  down: -1 | 0 | 1
}

export const handles: readonly Handle[] = ([-1, 0, 1] as const)
  .flatMap(down => ([-1, 0, 1] as const).map(across => ({ across, down })))
  .filter(({ across, down }) => across || down)

export interface ResizeOptions {
  keepProportion?: boolean
  fromCenter?: boolean
  /** The least width and height, px of deck space. */
  least?: number
}

/**
 * Resizes a (turned) box by dragging a handle by `by` px of deck space, keeping the opposite handle, or the centre with
 * `fromCenter`, in its place. Sizes stay at least `least`.
 */
export function resize(box: Box, handle: Handle, by: Point, options: ResizeOptions = {}): Box {
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
  return resized(box, handle, { width, height }, options.fromCenter)
}

/** Gives a box another size, keeping the point opposite a handle, or its centre, where it is. */
function resized(box: Box, handle: Handle, size: { width: number; height: number }, fromCenter = false): Box {
  const center = centerOf(box)
  if (fromCenter) return centeredAt({ ...box, ...size }, center)
  const shift = turn(
    { x: (handle.across * (size.width - box.width)) / 2, y: (handle.down * (size.height - box.height)) / 2 },
    { x: 0, y: 0 },
    box.angle,
  )
  return centeredAt({ ...box, ...size }, { x: center.x + shift.x, y: center.y + shift.y })
}

/**
 * Resizes boxes together, as parts of the upright rectangle around them, from one rectangle to another. A turned box
 * keeps its angle; its sides grow by as much as their own directions do.
 */
export function resizeTogether(boxes: readonly Box[], from: Box, to: Box): Box[] {
  const across = from.width > 0 ? to.width / from.width : 1
  const down = from.height > 0 ? to.height / from.height : 1
  return boxes.map(box => {
    const center = centerOf(box)
    const radians = (box.angle * Math.PI) / 180
    const [cos, sin] = [Math.cos(radians), Math.sin(radians)]
    const size = {
      width: Math.max(1, box.width * Math.hypot(across * cos, down * sin)),
      height: Math.max(1, box.height * Math.hypot(across * sin, down * cos)),
    }
    return centeredAt({ ...box, ...size }, { x: to.x + (center.x - from.x) * across, y: to.y + (center.y - from.y) * down })
  })
}

/** What is mirrored: the picture of an element itself. */
export interface Flip {
  across: boolean
  down: boolean
}

/**
 * Mirrors boxes together about the middle of the rectangle around them; each turns the other way. `flips` says what of each is mirrored by
 * then.
 */
export function flipTogether(parts: readonly { box: Box; flip?: Flip }[], axis: 'across' | 'down'): { box: Box; flip: Flip }[] {
  const center = centerOf(boxOf(boundsOf(...parts.map(part => part.box))))
  return parts.map(({ box, flip = { across: false, down: false } }) => {
    const own = centerOf(box)
    const mirrored = axis === 'across' ? { x: 2 * center.x - own.x, y: own.y } : { x: own.x, y: 2 * center.y - own.y }
    return { box: { ...centeredAt(box, mirrored), angle: (360 - box.angle) % 360 }, flip: { ...flip, [axis]: !flip[axis] } }
  })
}
