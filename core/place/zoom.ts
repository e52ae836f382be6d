import type { Box, Size } from '../values'
import type { Point } from './bounds'

/** How a slide is looked at: `zoom` times what fits the area, its middle `pan` px of the screen off the area's. */
export interface Look {
  zoom: number
  pan: Point
}

/** The whole of a slide, in the middle. */
export const wholeLook: Look = { zoom: 1, pan: { x: 0, y: 0 } }

/** Room left about a slide that fits its area, px of the screen, both sides together. */
const room = 48
/** A quarter of what fits at least; eight px of the screen for one of the deck at most. */
const least = 0.25
const most = 8
const within = (zoom: number, fitting: number) => Math.min(most / fitting, Math.max(least, zoom))

/** px of the screen for a px of deck space where a slide fits its area; 0.02 at least. */
export const fittingScale = (area: Size, size: Size): number =>
  Math.max(0.02, Math.min((area.width - room) / size.width, (area.height - room) / size.height))

/**
 * Looked at `zoom` times as large as fits, within what can be; what lies under `about` (px of the screen from the slide's middle) stays
 * there. Without it the middle of the area stays where it is. Close to 1 is all of the slide.
 */
export function zoomedAbout(look: Look, zoom: number, fitting: number, about?: Point): Look {
  const next = within(zoom, fitting)
  if (Math.abs(next - 1) < 0.02) return wholeLook
  const grown = next / look.zoom
  const at = about ?? { x: -look.pan.x, y: -look.pan.y }
  return { zoom: next, pan: { x: look.pan.x - at.x * (grown - 1), y: look.pan.y - at.y * (grown - 1) } }
}

/** Looked at so that a box of a slide fills most of the area. */
export function lookAt(box: Box, area: Size, size: Size): Look {
  const fitting = fittingScale(area, size)
  const filling = Math.min(area.width / Math.max(40, box.width), area.height / Math.max(40, box.height)) * 0.8
  const zoom = within(filling / fitting, fitting)
  const scale = fitting * zoom
  return { zoom, pan: { x: (size.width / 2 - box.x - box.width / 2) * scale, y: (size.height / 2 - box.y - box.height / 2) * scale } }
}
