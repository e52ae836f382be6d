import type { Box } from '../values'
import { boundsOf, type Bounds, type Point } from './bounds'
import { resize, type Handle, type ResizeOptions } from './resize'

/** A line that something snapped to: where it stands, and from where to where it is worth showing. */
export interface Guide {
  axis: 'x' | 'y'
  at: number
  from: number
  to: number
}

/** A distance worth showing: along `axis`, at `at` on the other one, from `from` to `to`, px of deck space. */
export interface Measure {
  axis: 'x' | 'y'
  at: number
  from: number
  to: number
  /** Several that are equal: a gap repeated, or a size that another one has. */
  equal: boolean
}

export interface Snapped {
  guides: Guide[]
  measures: Measure[]
}

export interface SnapRoom {
  others: readonly Bounds[]
  size: { width: number; height: number }
  margin: number
  /** How far something may be drawn, px of deck space. */
  reach: number
  /** Guides of the slide's own and of its layout and master: x of upright ones, y of level ones. */
  guides?: { x: readonly number[]; y: readonly number[] }
}

type AxisName = 'x' | 'y'

/** A rectangle as it lies along one axis and across it. */
interface Span {
  near: number
  far: number
  sideNear: number
  sideFar: number
}

const spanOf = (bounds: Bounds, axis: AxisName): Span =>
  axis === 'x'
    ? { near: bounds.left, far: bounds.right, sideNear: bounds.top, sideFar: bounds.bottom }
    : { near: bounds.top, far: bounds.bottom, sideNear: bounds.left, sideFar: bounds.right }
const sideBySide = (a: Span, b: Span) => a.sideNear < b.sideFar && b.sideNear < a.sideFar

interface Target {
  at: number
  from: number
  to: number
}

/** The lines that other things and the slide offer along one axis: both edges and the centre of each, the margins, the guides. */
function targets(axis: AxisName, room: SnapRoom): Target[] {
  const [extent, depth] = axis === 'x' ? [room.size.width, room.size.height] : [room.size.height, room.size.width]
  const slide = [0, room.margin, extent / 2, extent - room.margin, extent, ...(room.guides?.[axis] ?? [])].map(at => ({
    at,
    from: 0,
    to: depth,
  }))
  const around = room.others.flatMap(other => {
    const { near, far, sideNear, sideFar } = spanOf(other, axis)
    return [near, (near + far) / 2, far].map(at => ({ at, from: sideNear, to: sideFar }))
  })
  return [...slide, ...around]
}

interface Pull {
  shift: number
  target: Target | null
  measures: Measure[]
}

function nearest(edges: readonly number[], among: readonly Target[], reach: number): Pull | null {
  let best: Pull | null = null
  for (const target of among) {
    for (const edge of edges) {
      const shift = target.at - edge
      if (Math.abs(shift) <= reach && (!best || Math.abs(shift) < Math.abs(best.shift))) best = { shift, target, measures: [] }
    }
  }
  return best
}

const measureOf = (axis: AxisName, from: number, to: number, a: Span, b: Span, equal = true): Measure => {
  const [near, far] = [Math.max(a.sideNear, b.sideNear), Math.min(a.sideFar, b.sideFar)]
  return { axis, from, to, at: (near + far) / 2, equal }
}

/**
 * The shift that makes gaps equal along an axis: in the middle between its two neighbours, or as far from its neighbour as
 * that one is from the next. Only what lies side by side counts.
 */
function equalGaps(axis: AxisName, moving: Span, others: readonly Span[], reach: number): Pull | null {
  const beside = others.filter(other => sideBySide(other, moving))
  const before = beside.filter(other => other.far <= moving.near + reach).sort((a, b) => b.far - a.far)
  const after = beside.filter(other => other.near >= moving.far - reach).sort((a, b) => a.near - b.near)
  const size = moving.far - moving.near
  const pulls: Pull[] = []
  const put = (near: number, measures: Measure[]) => {
    const shift = near - moving.near
    if (Math.abs(shift) <= reach && measures.every(measure => measure.to > measure.from)) pulls.push({ shift, target: null, measures })
  }
  const [left, right] = [before[0], after[0]]
  if (left && right) {
    const near = (left.far + right.near - size) / 2
    put(near, [measureOf(axis, left.far, near, left, moving), measureOf(axis, near + size, right.near, right, moving)])
  }
  const chain = (first: Span | undefined, list: readonly Span[], forwards: boolean) => {
    if (!first) return
    const next = list.slice(1).find(other => sideBySide(other, first) && (forwards ? other.near >= first.far : other.far <= first.near))
    if (!next) return
    const gap = forwards ? next.near - first.far : first.near - next.far
    const near = forwards ? first.near - gap - size : first.far + gap
    put(
      near,
      forwards
        ? [measureOf(axis, near + size, first.near, first, moving), measureOf(axis, first.far, next.near, first, next)]
        : [measureOf(axis, first.far, near, first, moving), measureOf(axis, next.far, first.near, first, next)],
    )
  }
  chain(left, before, false)
  chain(right, after, true)
  return pulls.reduce<Pull | null>((best, pull) => (!best || Math.abs(pull.shift) < Math.abs(best.shift) ? pull : best), null)
}

const guideOf = (axis: AxisName, target: Target, bounds: Bounds): Guide => {
  const { sideNear, sideFar } = spanOf(bounds, axis)
  return { axis, at: target.at, from: Math.min(target.from, sideNear), to: Math.max(target.to, sideFar) }
}

const betterOf = (line: Pull | null, gap: Pull | null) =>
  line && gap ? (Math.abs(gap.shift) < Math.abs(line.shift) - 0.01 ? gap : line) : (line ?? gap)

/** Gaps that are the same once something stands where it will. */
const gapsNow = (axis: AxisName, moved: Bounds, room: SnapRoom) =>
  equalGaps(
    axis,
    spanOf(moved, axis),
    room.others.map(other => spanOf(other, axis)),
    0.01,
  )?.measures ?? []

/**
 * How far boxes that move together are to be shifted so that an edge or the centre of them all falls on a line nearby, or
 * so that gaps become equal; with the lines and distances to show.
 */
export function snapMove(boxes: readonly Box[], room: SnapRoom): Snapped & { shift: Point } {
  const bounds = boundsOf(...boxes)
  const pull = (axis: AxisName) => {
    const span = spanOf(bounds, axis)
    return betterOf(
      nearest([span.near, (span.near + span.far) / 2, span.far], targets(axis, room), room.reach),
      equalGaps(
        axis,
        span,
        room.others.map(other => spanOf(other, axis)),
        room.reach,
      ),
    )
  }
  const across = pull('x')
  const down = pull('y')
  const shift = { x: across?.shift ?? 0, y: down?.shift ?? 0 }
  const moved = { left: bounds.left + shift.x, right: bounds.right + shift.x, top: bounds.top + shift.y, bottom: bounds.bottom + shift.y }
  return {
    shift,
    guides: [across?.target && guideOf('x', across.target, moved), down?.target && guideOf('y', down.target, moved)].filter(
      guide => !!guide,
    ),
    measures: [...(across ? gapsNow('x', moved, room) : []), ...(down ? gapsNow('y', moved, room) : [])],
  }
}

/** How much a dragged edge is to move so that the size becomes that of another. */
function sameExtent(axis: AxisName, bounds: Bounds, others: readonly Bounds[], reach: number, sign: number): Pull | null {
  const own = spanOf(bounds, axis)
  const size = own.far - own.near
  let best: Pull | null = null
  for (const other of others) {
    const span = spanOf(other, axis)
    const shift = span.far - span.near - size
    if (Math.abs(shift) > reach || (best && Math.abs(shift) >= Math.abs(best.shift))) continue
    best = {
      shift: shift * sign,
      target: null,
      measures: [{ axis, from: span.near, to: span.far, at: (span.sideNear + span.sideFar) / 2, equal: true }],
    }
  }
  return best
}

/** By how much a corner is dragged where the box keeps its proportion, px: as far as the resized box has gone. */
function proportionalWay(box: Box, free: Box, handle: Handle, fromCenter: boolean): Point {
  const share = fromCenter ? 2 : 1
  return { x: (handle.across * (free.width - box.width)) / share, y: (handle.down * (free.height - box.height)) / share }
}

/** What a pull of one side adds to both, where the box keeps its proportion. */
function proportionalPull(box: Box, handle: Handle, across: Pull | null, down: Pull | null): Point {
  const ratio = box.height / box.width
  const turn = handle.across * handle.down
  if (across) return { x: across.shift, y: down ? down.shift : across.shift * ratio * turn }
  return { x: down ? (down.shift / ratio) * turn : 0, y: down?.shift ?? 0 }
}

/** A size that has become that of another, as it is to be shown at the box itself. */
function measuresHere(pull: Pull, bounds: Bounds) {
  return pull.measures.slice(0, 1).map(({ axis }) => {
    const span = spanOf(bounds, axis)
    return { axis, from: span.near, to: span.far, at: (span.sideNear + span.sideFar) / 2, equal: true }
  })
}

/** Resizes a box by a handle, drawing the dragged edges of an upright box to lines nearby and to the sizes of others. */
export function snapResize(box: Box, handle: Handle, by: Point, room: SnapRoom, options: ResizeOptions = {}): Snapped & { box: Box } {
  const free = resize(box, handle, by, options)
  if (box.angle % 360 !== 0) return { box: free, guides: [], measures: [] }
  const bounds = boundsOf(free)
  const pull = (axis: AxisName, side: -1 | 0 | 1): Pull | null => {
    if (!side) return null
    const span = spanOf(bounds, axis)
    return betterOf(
      nearest([side < 0 ? span.near : span.far], targets(axis, room), room.reach),
      sameExtent(axis, bounds, room.others, room.reach, options.fromCenter ? side / 2 : side),
    )
  }
  let across = pull('x', handle.across)
  let down = pull('y', handle.down)
  // In proportion both sides follow one: the nearer pull decides.
  if (options.keepProportion && across && down) {
    if (Math.abs(across.shift) <= Math.abs(down.shift)) down = null
    else across = null
  }
  const isProportional = options.keepProportion && handle.across && handle.down
  const base = isProportional ? proportionalWay(box, free, handle, options.fromCenter === true) : by
  const extra = isProportional ? proportionalPull(box, handle, across, down) : { x: across?.shift ?? 0, y: down?.shift ?? 0 }
  const snapped = resize(box, handle, { x: base.x + extra.x, y: base.y + extra.y }, options)
  const after = boundsOf(snapped)
  const pulls = [across, down].filter(one => one !== null)
  const guides = [across?.target && guideOf('x', across.target, after), down?.target && guideOf('y', down.target, after)]
  return {
    box: snapped,
    guides: guides.filter(guide => !!guide),
    measures: [...pulls.flatMap(one => one.measures), ...pulls.flatMap(one => measuresHere(one, after))],
  }
}
