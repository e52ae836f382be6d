import { drawnStroke } from './drawn-stroke'

const n = (value: number) => Math.round(value * 10) / 10

/** A line drawn along the foot, with the slight bow of a hand. */
export const underline = drawnStroke('underline', 'Underline', {
  color: 'accent1',
  width: 8,
  path({ x, y, width, height }, thick) {
    const foot = y + height - Math.min(height * 0.06, thick)
    return (
      `M${n(x)} ${n(foot + thick * 0.6)} C${n(x + width * 0.3)} ${n(foot)} ${n(x + width * 0.65)} ${n(foot + thick * 1.1)} ` +
      `${n(x + width)} ${n(foot + thick * 0.3)}`
    )
  },
})

/** A ring drawn once round and a little past its beginning. */
export const ring = drawnStroke('ring', 'Ring round', {
  color: 'accent2',
  width: 8,
  around: true,
  path({ x, y, width, height }, thick) {
    const [rx, ry] = [width * 0.55 + thick * 2.5, height * 0.6 + thick * 2.5]
    const [cx, cy] = [x + width / 2, y + height / 2]
    const turns = 1.08
    const steps = 40
    return Array.from({ length: steps + 1 }, (_, index) => {
      const angle = -2.1 + (index / steps) * turns * 2 * Math.PI
      // Wound a little outwards, so that the end clears the beginning.
      const out = 1 + (index / steps) * 0.05
      return `${index ? 'L' : 'M'}${n(cx + Math.cos(angle) * rx * out)} ${n(cy + Math.sin(angle) * ry * out)}`
    }).join('')
  },
})

/** A broad stroke of a marker beneath the words. */
export const marker = drawnStroke('marker', 'Marker stroke', {
  color: 'accent3',
  width: 48,
  beneath: true,
  alpha: 0.55,
  path: ({ x, y, width, height }, thick) =>
    `M${n(x - thick * 0.1)} ${n(y + height * 0.56)} C${n(x + width * 0.35)} ${n(y + height * 0.5)} ${n(x + width * 0.7)} ` +
    `${n(y + height * 0.6)} ${n(x + width + thick * 0.1)} ${n(y + height * 0.53)}`,
})

/** Struck through. */
export const strikeOut = drawnStroke('strike-out', 'Strike out', {
  color: 'accent2',
  width: 10,
  path: ({ x, y, width, height }, thick) =>
    `M${n(x - thick)} ${n(y + height * 0.62)} C${n(x + width * 0.4)} ${n(y + height * 0.48)} ${n(x + width * 0.6)} ` +
    `${n(y + height * 0.58)} ${n(x + width + thick)} ${n(y + height * 0.44)}`,
})

/** A bracket drawn at its left, from the top to the foot. */
export const bracket = drawnStroke('bracket', 'Bracket', {
  color: 'accent1',
  width: 8,
  around: true,
  path({ x, y, height }, thick) {
    const out = x - thick * 3.5
    return (
      `M${n(out + thick * 1.5)} ${n(y)} Q${n(out)} ${n(y)} ${n(out)} ${n(y + thick * 2)} L${n(out)} ${n(y + height - thick * 2)} ` +
      `Q${n(out)} ${n(y + height)} ${n(out + thick * 1.5)} ${n(y + height)}`
    )
  },
})
