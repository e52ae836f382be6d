import { clamp, optionOf, staysOption, type Effect } from './effect'

const smooth = (share: number) => share * share * (3 - 2 * share)

/** The picture goes closer to it, and back unless it stays. */
export const zoomTo: Effect = {
  name: 'zoom-to',
  label: 'Go closer',
  whats: ['emphasis'],
  whole: true,
  duration: 3,
  pace: 'linear',
  options: [{ kind: 'number', name: 'share', label: 'Until it fills', min: 10, max: 100, step: 5, unit: '%', initial: 70 }, staysOption],
  stays: options => optionOf<boolean>(zoomTo, options, 'stays'),
  apply: () => {},
  applyToCamera(camera, progress, options, { box, size, extent = size }) {
    const stays = optionOf<boolean>(zoomTo, options, 'stays')
    const near = smooth(clamp(stays ? progress : Math.min(progress / 0.3, (1 - progress) / 0.3)))
    if (near === 0) return
    const fill = optionOf<number>(zoomTo, options, 'share') / 100
    const { x, y, scale: base } = camera
    const closest = Math.max(
      base,
      Math.min((size.width * fill) / Math.max(1, box.width), (size.height * fill) / Math.max(1, box.height), 12 * base),
    )
    // The scale goes in equal ratios; the middle goes with it so that the way is straight on the screen.
    const scale = base * (closest / base) ** near
    const way = closest > base ? (1 - base / scale) / (1 - base / closest) : 0
    /** The middle of the picture, held so that it does not look past the edge. */
    const held = (middle: number, whole: number, picture: number) =>
      Math.min(Math.max(middle, picture / 2 / closest), Math.max(picture / 2 / closest, whole - picture / 2 / closest))
    camera.scale = scale
    camera.x += (held(box.x + box.width / 2, extent.width, size.width) - x) * way
    camera.y += (held(box.y + box.height / 2, extent.height, size.height) - y) * way
  },
}
