import { short, smoothClosed, type Shape } from '../shape'

const p = (x: number, y: number) => `${short(x)} ${short(y)}`

/** Brackets, bands and marks that stand around or under words. */
export const markShapes: readonly Shape[] = [
  {
    name: 'bracket',
    label: 'Bracket',
    keywords: 'square group left',
    group: 'marks',
    amounts: [{ name: 'thick', label: 'Thickness', initial: 0.2, min: 0.02, max: 0.9 }],
    path: ({ width: w, height: h }, { thick = 0.2 }) => {
      const t = thick * w
      const s = Math.min(t, h * 0.2)
      return `M${p(w, 0)}L0 0L0 ${short(h)}L${p(w, h)}L${p(w, h - s)}L${p(t, h - s)}L${p(t, s)}L${p(w, s)}Z`
    },
  },
  {
    name: 'brace',
    label: 'Brace',
    keywords: 'curly group sum',
    group: 'marks',
    amounts: [
      { name: 'at', label: 'Point', initial: 0.5, min: 0.15, max: 0.85, at: value => ({ x: 0, y: value }), read: spot => spot.y },
      { name: 'thick', label: 'Thickness', initial: 0.16, min: 0.04, max: 0.5 },
    ],
    path: ({ width: w, height: h }, { at = 0.5, thick = 0.16 }) => {
      const t = thick * w
      const m = at * h
      const c = Math.min(w * 0.6, m * 0.5, (h - m) * 0.5)
      const [l, r] = [w / 2 - t / 2, w / 2 + t / 2]
      return (
        `M${p(w, 0)}C${p(l, 0)} ${p(l, 0)} ${p(l, c)}L${p(l, m - c)}C${p(l, m)} ${p(0, m)} ${p(0, m)}C${p(l, m)} ${p(l, m)} ` +
        `${p(l, m + c)}L${p(l, h - c)}C${p(l, h)} ${p(l, h)} ${p(w, h)}L${p(w, h - t * 0.6)}C${p(r, h - t * 0.6)} ${p(r, h - t)} ` +
        `${p(r, h - c)}L${p(r, m + c)}C${p(r, m + t)} ${p(r, m)} ${p(t * 1.4, m)}C${p(r, m)} ${p(r, m - t)} ` +
        `${p(r, m - c)}L${p(r, c)}C${p(r, t)} ${p(r, t * 0.6)} ${p(w, t * 0.6)}Z`
      )
    },
  },
  {
    name: 'wave',
    label: 'Wave band',
    keywords: 'water sea underline',
    group: 'marks',
    amounts: [{ name: 'count', label: 'Waves', initial: 2, min: 1, max: 12, whole: true }],
    path: ({ width: w, height: h }, { count = 2 }) => {
      const n = Math.round(count) * 2
      const step = w / n
      const edge = (y: number, forwards: boolean) =>
        Array.from({ length: n }, (_, index) => {
          const [i, sign] = forwards ? [index, 1] : [n - 1 - index, -1]
          const from = forwards ? i * step : (i + 1) * step
          const up = (i % 2 ? 1 : -1) * h * 0.3
          return `C${p(from + sign * step * 0.36, y + up)} ${p(from + sign * step * 0.64, y + up)} ${p(from + sign * step, y)}`
        }).join('')
      return `M0 ${short(h * 0.3)}${edge(h * 0.3, true)}L${p(w, h * 0.7)}${edge(h * 0.7, false)}Z`
    },
  },
  {
    name: 'swash',
    label: 'Marker swash',
    keywords: 'highlight underline brush',
    group: 'marks',
    covers: true,
    path: ({ width: w, height: h }) =>
      smoothClosed([
        [0, h * 0.3],
        [w * 0.3, h * 0.1],
        [w * 0.7, h * 0.06],
        [w, h * 0.18],
        [w * 0.97, h * 0.6],
        [w, h * 0.86],
        [w * 0.6, h * 0.94],
        [w * 0.25, h * 0.98],
        [w * 0.02, h * 0.9],
        [w * 0.03, h * 0.6],
      ]),
  },
  {
    name: 'quote',
    label: 'Quotation mark',
    keywords: 'says speech citation',
    group: 'marks',
    path: ({ width: w, height: h }) =>
      [0, 0.54]
        .map(
          x =>
            `M${p(x * w, h * 0.62)}C${p(x * w, h * 0.3)} ${p((x + 0.14) * w, h * 0.06)} ` +
            `${p((x + 0.4) * w, 0)}L${p((x + 0.44) * w, h * 0.14)}C${p((x + 0.3) * w, h * 0.2)} ${p((x + 0.24) * w, h * 0.32)} ` +
            `${p((x + 0.24) * w, h * 0.46)}L${p((x + 0.44) * w, h * 0.46)}L${p((x + 0.44) * w, h)}L${p(x * w, h)}Z`,
        )
        .join(''),
  },
]
