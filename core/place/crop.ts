import type { Point } from './bounds'

interface Size {
  width: number
  height: number
}

/** Where a picture is drawn behind its frame, px from the frame's top left. */
export interface Crop {
  x: number
  y: number
  width: number
  height: number
}

/**
 * Where a picture of a natural size stands behind a frame: enlarged to fill it, times `zoom`, with the point `x`, `y`
 * (fractions of the picture) in the frame's middle as far as the frame stays covered.
 */
export function cropOf(natural: Size, frame: Size, view: { x: number; y: number; zoom: number }): Crop {
  const scale = Math.max(frame.width / natural.width, frame.height / natural.height) * view.zoom
  const [width, height] = [natural.width * scale, natural.height * scale]
  const held = (at: number, size: number, room: number) => Math.min(0, Math.max(room - size, room / 2 - at * size)) + 0
  return { x: held(view.x, width, frame.width), y: held(view.y, height, frame.height), width, height }
}

/** The view of a picture: its own, else one about its focal point, else about its middle. */
export const viewOf = (picture: { view?: { x: number; y: number; zoom: number }; focus?: Point }) =>
  picture.view ?? { x: picture.focus?.x ?? 0.5, y: picture.focus?.y ?? 0.5, zoom: 1 }

/** The view after the picture was dragged behind its frame by `by` px; it stays covered. */
export function draggedView(natural: Size, frame: Size, view: { x: number; y: number; zoom: number }, by: Point) {
  const crop = cropOf(natural, frame, view)
  const middle = (at: number, size: number, room: number, shift: number) => {
    const held = Math.min(0, Math.max(room - size, at + shift))
    return Math.min(1, Math.max(0, (room / 2 - held) / size))
  }
  return { ...view, x: middle(crop.x, crop.width, frame.width, by.x), y: middle(crop.y, crop.height, frame.height, by.y) }
}

/**
 * The view after zooming by a factor about a point of the frame (px), which keeps its place as far as the frame stays covered. Zoom is 1 to
 * 20.
 */
export function zoomedView(natural: Size, frame: Size, view: { x: number; y: number; zoom: number }, factor: number, about: Point) {
  const zoom = Math.min(20, Math.max(1, view.zoom * factor))
  const crop = cropOf(natural, frame, view)
  const grown = zoom / view.zoom
  const middle = (at: number, size: number, room: number, point: number) => {
    const next = point - (point - at) * grown
    const held = Math.min(0, Math.max(room - size * grown, next))
    return Math.min(1, Math.max(0, (room / 2 - held) / (size * grown)))
  }
  return { zoom, x: middle(crop.x, crop.width, frame.width, about.x), y: middle(crop.y, crop.height, frame.height, about.y) }
}
