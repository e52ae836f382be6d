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
  options: [{ kind: 'number', name: 'share', label: 'Until it fills', least: 10, most: 100, step: 5, unit: '%', initial: 70 }, staysOption],
  stays: options => optionOf<boolean>(zoomTo, options, 'stays'),
  apply: () => {},
  applyToCamera(camera, progress, options, { box, size }) {
    const stays = optionOf<boolean>(zoomTo, options, 'stays')
    const near = smooth(clamp(stays ? progress : Math.min(progress / 0.3, (1 - progress) / 0.3)))
    if (near === 0) return
    const fill = optionOf<number>(zoomTo, options, 'share') / 100
    const closest = Math.max(1, Math.min((size.width * fill) / Math.max(1, box.width), (size.height * fill) / Math.max(1, box.height), 12))
    // The scale goes in equal ratios; the middle goes with it so that the way is straight on the screen.
    const scale = closest ** near
    const way = closest > 1 ? (1 - 1 / scale) / (1 - 1 / closest) : 0
    camera.scale *= scale
    camera.x += (Math.min(Math.max(box.x + box.width / 2, size.width / 2 / closest), size.width - size.width / 2 / closest) - size.width / 2) * way
    camera.y += (Math.min(Math.max(box.y + box.height / 2, size.height / 2 / closest), size.height - size.height / 2 / closest) - size.height / 2) * way
  },
}
