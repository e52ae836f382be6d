/** An upright rectangle, px. */
export interface Rectangle {
  x: number
  y: number
  width: number
  height: number
}

/** A label and the places that it may take, best first; higher priority is placed earlier. */
export interface Candidate<T> {
  label: T
  priority: number
  places: readonly Rectangle[]
}

/** A label with the place that it got. */
export interface Placed<T> {
  label: T
  place: Rectangle
}

export const touch = (a: Rectangle, b: Rectangle) =>
  a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height

const cell = 64

/**
 * Gives each label the first of its places that lies within `room` and touches neither an obstacle nor a label placed
 * before it; a label without such a place is left out. Greedy by priority; near linear in the number of labels, since
 * rectangles are kept by cells of 64 px.
 */
export function placeLabels<T>(
  candidates: readonly Candidate<T>[],
  room: Rectangle,
  obstacles: readonly Rectangle[] = [],
): { placed: Placed<T>[]; leftOut: T[] } {
  const cells = new Map<string, Rectangle[]>()
  const each = (rectangle: Rectangle, visit: (key: string) => boolean) => {
    for (let x = Math.floor(rectangle.x / cell); x <= Math.floor((rectangle.x + rectangle.width) / cell); x++) {
      for (let y = Math.floor(rectangle.y / cell); y <= Math.floor((rectangle.y + rectangle.height) / cell); y++)
        if (visit(`${x},${y}`)) return true
    }
    return false
  }
  const keep = (rectangle: Rectangle) =>
    each(rectangle, key => {
      const list = cells.get(key)
      if (list) list.push(rectangle)
      else cells.set(key, [rectangle])
      return false
    })
  const taken = (rectangle: Rectangle) => each(rectangle, key => cells.get(key)?.some(other => touch(other, rectangle)) ?? false)
  const within = (r: Rectangle) =>
    r.x >= room.x - 0.01 &&
    r.y >= room.y - 0.01 &&
    r.x + r.width <= room.x + room.width + 0.01 &&
    r.y + r.height <= room.y + room.height + 0.01

  obstacles.forEach(keep)
  const placed: { label: T; place: Rectangle }[] = []
  const leftOut: T[] = []
  for (const candidate of [...candidates].sort((a, b) => b.priority - a.priority)) {
    const place = candidate.places.find(option => within(option) && !taken(option))
    if (place) {
      keep(place)
      placed.push({ label: candidate.label, place })
    } else leftOut.push(candidate.label)
  }
  return { placed, leftOut }
}
