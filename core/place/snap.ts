import type { Box } from '../deck'
import { boundsOf, type Bounds, type Point } from './bounds'
import { resize, type Handle } from './resize'

/** A line that something snapped to: where it stands, and from where to where it is worth showing. */
export interface Guide {
  axis: 'x' | 'y'
  at: number
  from: number
  to: number
}

interface Target {
  at: number
  from: number
  to: number
}

/** The lines that other things and the slide offer along one axis: both edges and the centre of each, and the margins. */
function targets(axis: 'x' | 'y', others: readonly Bounds[], size: { width: number, height: number }, margin: number): Target[] {
  const extent = axis === 'x' ? size.width : size.height
  const depth = axis === 'x' ? size.height : size.width
  const slide = [0, margin, extent / 2, extent - margin, extent].map(at => ({ at, from: 0, to: depth }))
  const around = others.flatMap(other => {
    const [near, far] = axis === 'x' ? [other.left, other.right] : [other.top, other.bottom]
    const [from, to] = axis === 'x' ? [other.top, other.bottom] : [other.left, other.right]
    return [near, (near + far) / 2, far].map(at => ({ at, from, to }))
  })
  return [...slide, ...around]
}

function nearest(edges: readonly number[], among: readonly Target[], reach: number): { shift: number, target: Target } | null {
  let best: { shift: number, target: Target } | null = null
  for (const target of among) {
    for (const edge of edges) {
      const shift = target.at - edge
      if (Math.abs(shift) <= reach && (!best || Math.abs(shift) < Math.abs(best.shift))) best = { shift, target }
    }
  }
  return best
}

const guideOf = (axis: 'x' | 'y', target: Target, bounds: Bounds): Guide => ({
  axis,
  at: target.at,
  from: Math.min(target.from, axis === 'x' ? bounds.top : bounds.left),
  to: Math.max(target.to, axis === 'x' ? bounds.bottom : bounds.right),
})

export interface SnapRoom {
  others: readonly Bounds[]
  size: { width: number, height: number }
  margin: number
  /** How far something may be drawn, px of deck space. */
  reach: number
}

/** How far boxes that move together are to be shifted so that an edge or the centre of them all falls on a line nearby. */
export function snapMove(boxes: readonly Box[], room: SnapRoom): { shift: Point, guides: Guide[] } {
  const bounds = boundsOf(...boxes)
  const across = nearest([bounds.left, (bounds.left + bounds.right) / 2, bounds.right], targets('x', room.others, room.size, room.margin), room.reach)
  const down = nearest([bounds.top, (bounds.top + bounds.bottom) / 2, bounds.bottom], targets('y', room.others, room.size, room.margin), room.reach)
  const shift = { x: across?.shift ?? 0, y: down?.shift ?? 0 }
  const moved = { left: bounds.left + shift.x, right: bounds.right + shift.x, top: bounds.top + shift.y, bottom: bounds.bottom + shift.y }
  return { shift, guides: [across && guideOf('x', across.target, moved), down && guideOf('y', down.target, moved)].filter(guide => guide !== null) }
}

/** Resizes a box by a handle, drawing the dragged edges of an upright box to lines nearby. */
export function snapResize(box: Box, handle: Handle, by: Point, room: SnapRoom, options: { keepProportion?: boolean, fromCenter?: boolean } = {}): { box: Box, guides: Guide[] } {
  const free = resize(box, handle, by, options)
  if (box.angle % 360 !== 0 || options.keepProportion) return { box: free, guides: [] }
  const bounds = boundsOf(free)
  const across = handle.across ? nearest([handle.across < 0 ? bounds.left : bounds.right], targets('x', room.others, room.size, room.margin), room.reach) : null
  const down = handle.down ? nearest([handle.down < 0 ? bounds.top : bounds.bottom], targets('y', room.others, room.size, room.margin), room.reach) : null
  const snapped = resize(box, handle, { x: by.x + (across?.shift ?? 0), y: by.y + (down?.shift ?? 0) }, options)
  const after = boundsOf(snapped)
  return { box: snapped, guides: [across && guideOf('x', across.target, after), down && guideOf('y', down.target, after)].filter(guide => guide !== null) }
}
