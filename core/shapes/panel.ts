import type { ShapeElement, TextElement } from '../model'
import { isWithin } from '../place'
import { memoByRecords } from '../values'
import { outlineOf } from './outline'
import { pointsAlong, type Size } from './shape'

type Panel = NonNullable<TextElement['panel']>

/** The shape that a text's panel has, as an element that fills the text's box; null where it is a plain rectangle. */
export function panelShape(element: TextElement): ShapeElement | null {
  const { panel, id, owner, order, name, box } = element
  if (!panel?.shape) return null
  const { shape, amounts, rough, radius, fill, border } = panel
  return {
    id,
    owner,
    order,
    name,
    ...(box ? { box } : {}),
    kind: 'shape',
    shape,
    ...(amounts ? { amounts } : {}),
    ...(rough ? { rough } : {}),
    radius,
    fill,
    stroke: border ?? null,
  }
}

const steps = 24
/** The largest share of a box's shorter side that words stand in from its edge. */
const most = 0.3

/**
 * How far words stand in from the edge of a box, px on all sides, so that the corners of their room lie within a shape that fills it. Of a
 * shape that no such room lies in (a ring, a cross that is thin) as far as words reasonably may.
 */
export const roomInset = memoByRecords(
  (panel: Panel, width: number, height: number) => [panel, width, height],
  (panel, width, height): number => {
    const outline = pointsAlong(outlineOf({ shape: panel.shape!, amounts: panel.amounts, radius: panel.radius }, { width, height }))
    const inset = (step: number) => (most * Math.min(width, height) * step) / steps
    const fits = (by: number) => [by, width / 2, width - by].every(x => [by, height / 2, height - by].every(y => isWithin(outline, x, y)))
    for (let step = 0; step <= steps; step++) if (fits(inset(step) + 0.01)) return inset(step)
    return inset(steps)
  },
)

/** The outline of a panel that has a shape, px from the box's corner; null of a plain one. */
export const panelOutline = (panel: Panel, size: Size): string | null =>
  panel.shape ? outlineOf({ shape: panel.shape, amounts: panel.amounts, radius: panel.radius }, size) : null
