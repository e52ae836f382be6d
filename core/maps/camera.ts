import type { Bounds } from './positions'

/** What a camera shows: a place of the plane is drawn at `x + scale · it`, px. */
export interface Camera {
  scale: number
  x: number
  y: number
}

/** A camera on what lies within bounds of a plane, as large as it can be and in the middle of a room, with `margin` px around. */
export function cameraOn(
  { left, top, right, bottom }: Bounds,
  room: { x: number; y: number; width: number; height: number },
  margin = 0,
): Camera {
  const [width, height] = [Math.max(1, room.width - 2 * margin), Math.max(1, room.height - 2 * margin)]
  // A single point has no size: it is looked at from a little above.
  const scale = Math.min(width / Math.max(right - left, 1), height / Math.max(bottom - top, 1))
  return {
    scale,
    x: room.x + room.width / 2 - (scale * (left + right)) / 2,
    y: room.y + room.height / 2 - (scale * (top + bottom)) / 2,
  }
}

export const seenBy = ({ scale, x, y }: Camera, at: { x: number; y: number }) => ({ x: x + scale * at.x, y: y + scale * at.y })
