import type { Box, Size } from '../values'
import { boundsOf, movedBy, type Bounds, type Point } from './bounds'

export type Edge = 'left' | 'center' | 'right' | 'top' | 'middle' | 'bottom'
export type Axis = 'across' | 'down'

/** A box that belongs to an id, or several that stay together (a group): what is aligned as one. */
export interface Placed {
  id: string
  boxes: Readonly<Record<string, Box>>
}

const boundsOfPlaced = (placed: Placed) => boundsOf(...Object.values(placed.boxes))
const moved = (placed: Placed, by: Point): Placed => ({
  id: placed.id,
  boxes: Object.fromEntries(Object.entries(placed.boxes).map(([id, box]) => [id, movedBy(box, by)])),
})
const near = (bounds: Bounds, axis: Axis) => (axis === 'across' ? bounds.left : bounds.top)
const far = (bounds: Bounds, axis: Axis) => (axis === 'across' ? bounds.right : bounds.bottom)
const extent = (bounds: Bounds, axis: Axis) => far(bounds, axis) - near(bounds, axis)
const along = (axis: Axis, by: number): Point => (axis === 'across' ? { x: by, y: 0 } : { x: 0, y: by })

/** Moves each so that an edge or its middle falls on that of `frame`: the rectangle around all, the slide, or its margins. */
export function align(parts: readonly Placed[], edge: Edge, frame: Bounds): Placed[] {
  const axis: Axis = edge === 'left' || edge === 'center' || edge === 'right' ? 'across' : 'down'
  const share = edge === 'left' || edge === 'top' ? 0 : edge === 'right' || edge === 'bottom' ? 1 : 0.5
  const at = near(frame, axis) + extent(frame, axis) * share
  return parts.map(part => {
    const bounds = boundsOfPlaced(part)
    return moved(part, along(axis, at - near(bounds, axis) - extent(bounds, axis) * share))
  })
}

/** In the order in which they stand along an axis. */
const inOrder = (parts: readonly Placed[], axis: Axis) =>
  parts
    .map(part => ({ part, bounds: boundsOfPlaced(part) }))
    .sort((a, b) => near(a.bounds, axis) + far(a.bounds, axis) - near(b.bounds, axis) - far(b.bounds, axis))

/**
 * Puts the same gap between neighbours along an axis. Without `gap` (px), the first and the last stay and the others share the
 * room between them; with it, the first stays. Overlapping parts get a gap below nought where there is no room for more.
 */
export function distribute(parts: readonly Placed[], axis: Axis, gap?: number): Placed[] {
  if (parts.length < 2) return [...parts]
  const ordered = inOrder(parts, axis)
  const start = Math.min(...ordered.map(({ bounds }) => near(bounds, axis)))
  const end = Math.max(...ordered.map(({ bounds }) => far(bounds, axis)))
  const taken = ordered.reduce((sum, { bounds }) => sum + extent(bounds, axis), 0)
  const space = gap ?? (end - start - taken) / (parts.length - 1)
  let at = start
  const made = new Map<string, Placed>()
  for (const { part, bounds } of ordered) {
    made.set(part.id, moved(part, along(axis, at - near(bounds, axis))))
    at += extent(bounds, axis) + space
  }
  return parts.map(part => made.get(part.id)!)
}

/** Gives boxes the width, height or both of the first of them, each about its own centre. */
export function sameSize(boxes: readonly Box[], which: 'width' | 'height' | 'both'): Box[] {
  const model = boxes[0]
  if (!model) return []
  return boxes.map(box => {
    const width = which === 'height' ? box.width : model.width
    const height = which === 'width' ? box.height : model.height
    return { ...box, x: box.x + (box.width - width) / 2, y: box.y + (box.height - height) / 2, width, height }
  })
}

/** Parts told into rows by where they stand: whoever's middle lies within a row's height belongs to it. Top to bottom, left to right. */
function rowsOf(parts: readonly Placed[]) {
  const rows: { top: number; bottom: number; parts: { part: Placed; bounds: Bounds }[] }[] = []
  for (const entry of inOrder(parts, 'down')) {
    const middle = (entry.bounds.top + entry.bounds.bottom) / 2
    const row = rows.find(candidate => middle >= candidate.top && middle <= candidate.bottom)
    if (row) row.parts.push(entry)
    else rows.push({ top: entry.bounds.top, bottom: entry.bounds.bottom, parts: [entry] })
  }
  for (const row of rows) row.parts.sort((a, b) => a.bounds.left - b.bounds.left)
  return rows
}

/** The middle one of gaps that are there, so that tidying keeps the spacing that was meant. */
function usualGap(gaps: readonly number[]): number {
  const real = gaps.filter(gap => gap > 0).sort((a, b) => a - b)
  return real[Math.floor((real.length - 1) / 2)] ?? 24
}

/**
 * Sets parts in the rows that they roughly stand in: each row's parts on one middle line with one gap, all rows from one
 * left edge and with one gap between them. `gap` in px; without it the usual one that is there.
 */
export function tidyRows(parts: readonly Placed[], gap?: number): Placed[] {
  if (parts.length < 2) return [...parts]
  const rows = rowsOf(parts)
  const between =
    gap ?? usualGap(rows.flatMap(row => row.parts.slice(1).map((entry, index) => entry.bounds.left - row.parts[index]!.bounds.right)))
  const below =
    gap ??
    (rows.length > 1
      ? usualGap(
          rows
            .slice(1)
            .map(
              (row, index) =>
                Math.min(...row.parts.map(entry => entry.bounds.top)) - Math.max(...rows[index]!.parts.map(entry => entry.bounds.bottom)),
            ),
        )
      : between)
  const left = Math.min(...rows.flatMap(row => row.parts.map(entry => entry.bounds.left)))
  let top = Math.min(...rows.flatMap(row => row.parts.map(entry => entry.bounds.top)))
  const made = new Map<string, Placed>()
  for (const row of rows) {
    const height = Math.max(...row.parts.map(entry => extent(entry.bounds, 'down')))
    let x = left
    for (const { part, bounds } of row.parts) {
      made.set(part.id, moved(part, { x: x - bounds.left, y: top + (height - extent(bounds, 'down')) / 2 - bounds.top }))
      x += extent(bounds, 'across') + between
    }
    top += height + below
  }
  return parts.map(part => made.get(part.id)!)
}

/** How many columns suit so many parts: as many as the widest row they stand in has, or about as many as rows. */
function columnsFor(parts: readonly Placed[]): number {
  const widest = Math.max(...rowsOf(parts).map(row => row.parts.length))
  return widest > 1 && widest < parts.length ? widest : Math.ceil(Math.sqrt(parts.length))
}

/** Columns and gap of a grid of `count` cells that stays within a frame: near to those wanted, tighter where it must be. */
function gridWithin(count: number, cell: Size, wanted: { columns: number; gap: number }, frame: Bounds) {
  const extentOf = (columns: number, gap: number) => ({
    width: columns * (cell.width + gap) - gap,
    height: Math.ceil(count / columns) * (cell.height + gap) - gap,
  })
  const room = { width: extent(frame, 'across'), height: extent(frame, 'down') }
  const all = Array.from({ length: count }, (_, index) => index + 1)
  const ways = all
    .toSorted((a, b) => Math.abs(a - wanted.columns) - Math.abs(b - wanted.columns))
    .flatMap(columns => [wanted.gap, wanted.gap / 2, 0].map(gap => ({ columns, gap })))
  const fits = ways.find(({ columns, gap }) => {
    const size = extentOf(columns, gap)
    return size.width <= room.width && size.height <= room.height
  })
  if (fits) return { columns: fits.columns, across: fits.gap, down: fits.gap }
  // There is no room for all beside each other: they lie on each other as little as can be.
  const over = (columns: number) => {
    const size = extentOf(columns, 0)
    return Math.max(size.width / room.width, size.height / room.height)
  }
  const columns = all.reduce((best, one) => (over(one) < over(best) ? one : best), 1)
  const squeezed = (cells: number, side: number, space: number) =>
    cells < 2 ? 0 : Math.min(wanted.gap, (space - side * cells) / (cells - 1))
  return {
    columns,
    across: squeezed(columns, cell.width, room.width),
    down: squeezed(Math.ceil(count / columns), cell.height, room.height),
  }
}

/**
 * Sets parts in a grid of equal cells, in reading order, each in the middle of its cell. Cells are as large as the largest
 * part, `gap` px apart. With `within` the grid stays in that frame, as far as its parts do.
 */
export function tidyGrid(parts: readonly Placed[], options: { columns?: number; gap?: number; within?: Bounds } = {}): Placed[] {
  if (parts.length < 2) return [...parts]
  const ordered = rowsOf(parts).flatMap(row => row.parts)
  const cell = {
    width: Math.max(...ordered.map(({ bounds }) => extent(bounds, 'across'))),
    height: Math.max(...ordered.map(({ bounds }) => extent(bounds, 'down'))),
  }
  const wanted = { columns: Math.max(1, options.columns ?? columnsFor(parts)), gap: options.gap ?? 24 }
  const { within } = options
  const { columns, across, down } = within
    ? gridWithin(ordered.length, cell, wanted, within)
    : { columns: wanted.columns, across: wanted.gap, down: wanted.gap }
  const begin = (axis: Axis, cells: number, side: number, gap: number) => {
    const at = Math.min(...ordered.map(({ bounds }) => near(bounds, axis)))
    return within ? Math.max(near(within, axis), Math.min(at, far(within, axis) - cells * (side + gap) + gap)) : at
  }
  const left = begin('across', columns, cell.width, across)
  const top = begin('down', Math.ceil(ordered.length / columns), cell.height, down)
  const made = new Map<string, Placed>()
  ordered.forEach(({ part, bounds }, index) => {
    const x = left + (index % columns) * (cell.width + across) + (cell.width - extent(bounds, 'across')) / 2
    const y = top + Math.floor(index / columns) * (cell.height + down) + (cell.height - extent(bounds, 'down')) / 2
    made.set(part.id, moved(part, { x: x - bounds.left, y: y - bounds.top }))
  })
  return parts.map(part => made.get(part.id)!)
}

/** The gaps, px, between neighbours along an axis, in order; what an exact spacing field shows. */
export function gapsOf(parts: readonly Placed[], axis: Axis): number[] {
  const ordered = inOrder(parts, axis)
  return ordered.slice(1).map(({ bounds }, index) => near(bounds, axis) - far(ordered[index]!.bounds, axis))
}
