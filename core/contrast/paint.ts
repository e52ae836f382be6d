import { gradientLine, throughMatrix, type Raster } from '../color'
import { withinOf } from '../place'
import type { Filling, Layer, Rgba } from './beneath'

/** Pixels of a layer's picture at a moment; null where there are none to be had. */
export type PixelsAt = (media: string, film: boolean) => Raster | null

const clamp = (value: number) => Math.min(1, Math.max(0, value))

/** The colour of a gradient at a share of its way; colours are mixed with their transparency, as CSS Images 3 does. */
function between(stops: readonly { color: Rgba; at: number }[], share: number): Rgba {
  const first = stops[0]!
  if (share <= first.at) return first.color
  for (let index = 1; index < stops.length; index++) {
    const [from, to] = [stops[index - 1]!, stops[index]!]
    if (share > to.at) continue
    const t = to.at > from.at ? (share - from.at) / (to.at - from.at) : 1
    const a = from.color.a + (to.color.a - from.color.a) * t
    const mix = (of: 'r' | 'g' | 'b') => (a ? (from.color[of] * from.color.a * (1 - t) + to.color[of] * to.color.a * t) / a : 0)
    return { r: mix('r'), g: mix('g'), b: mix('b'), a }
  }
  return stops.at(-1)!.color
}

/** One colour over another that is whole, mixed in sRGB as browsers do. */
export const over = (top: Rgba, under: Rgba, opacity = 1): Rgba => {
  const a = top.a * opacity
  return { r: top.r * a + under.r * (1 - a), g: top.g * a + under.g * (1 - a), b: top.b * a + under.b * (1 - a), a: 1 }
}

/** The colour of a filling at a place of its box, px; null where it shows nothing. */
function colorAt(filling: Filling, size: { width: number; height: number }, x: number, y: number, raster: Raster | null): Rgba | null {
  if (filling.kind === 'plain') return filling.color
  if (filling.kind === 'linear') {
    const { x1, y1, x2, y2 } = gradientLine(filling.angle, size)
    const length = (x2 - x1) ** 2 + (y2 - y1) ** 2
    return between(filling.stops, length ? ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / length : 1)
  }
  if (filling.kind === 'radial') {
    const [cx, cy] = [filling.x * size.width, filling.y * size.height]
    const reach = Math.hypot(Math.max(cx, size.width - cx), Math.max(cy, size.height - cy))
    return between(filling.stops, reach ? Math.hypot(x - cx, y - cy) / reach : 1)
  }
  if (filling.kind === 'corners') {
    const [u, v] = [clamp(x / size.width), clamp(y / size.height)]
    const mix = (a: Rgba, b: Rgba, t: number): Rgba => ({
      r: a.r + (b.r - a.r) * t,
      g: a.g + (b.g - a.g) * t,
      b: a.b + (b.b - a.b) * t,
      a: a.a + (b.a - a.a) * t,
    })
    const [topLeft, topRight, bottomRight, bottomLeft] = filling.colors as [Rgba, Rgba, Rgba, Rgba]
    return mix(mix(topLeft, topRight, u), mix(bottomLeft, bottomRight, u), v)
  }
  if (!raster) return null
  const { crop } = filling
  const [px, py] = [Math.floor(((x - crop.x) / crop.width) * raster.width), Math.floor(((y - crop.y) / crop.height) * raster.height)]
  if (px < 0 || py < 0 || px >= raster.width || py >= raster.height) return null
  const at = (py * raster.width + px) * 4
  let [r, g, b] = [raster.data[at]!, raster.data[at + 1]!, raster.data[at + 2]!]
  if (filling.matrix) [r, g, b] = throughMatrix(filling.matrix, [r, g, b])
  let color: Rgba = { r: r / 255, g: g / 255, b: b / 255, a: raster.data[at + 3]! / 255 }
  for (const shade of filling.over) {
    const share = shade.share ?? 1
    const way =
      shade.from === 'left'
        ? x / size.width
        : shade.from === 'right'
          ? 1 - x / size.width
          : shade.from === 'top'
            ? y / size.height
            : 1 - y / size.height
    const strength = shade.from ? clamp(1 - way / share) : 1
    color = { ...over(shade.color, color, strength), a: color.a }
  }
  return color
}

/**
 * What is seen at places of the slide through some layers, back to front. `pixels` hands out pictures; one that has none shows what lies
 * beneath it.
 */
export function painter(layers: readonly Layer[], pixels: PixelsAt): (x: number, y: number, under?: Rgba) => Rgba {
  const prepared = layers.map(layer => {
    const angle = (-layer.box.angle * Math.PI) / 180
    return {
      ...layer,
      cos: Math.cos(angle),
      sin: Math.sin(angle),
      lies: layer.within ? withinOf(layer.within) : null,
      raster: layer.filling.kind === 'picture' ? pixels(layer.filling.media, layer.filling.film) : null,
    }
  })
  return (x, y, under = { r: 1, g: 1, b: 1, a: 1 }) => {
    let color = under
    for (const { box, filling, opacity, lies, cos, sin, raster } of prepared) {
      const [dx, dy] = [x - box.x - box.width / 2, y - box.y - box.height / 2]
      const [u, v] = [dx * cos - dy * sin + box.width / 2, dx * sin + dy * cos + box.height / 2]
      if (u < 0 || v < 0 || u > box.width || v > box.height || (lies && !lies(u, v))) continue
      const own = colorAt(filling, box, u, v, raster)
      if (own) color = over(own, color, opacity)
    }
    return color
  }
}
