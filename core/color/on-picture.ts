/** Pixels as a canvas hands them out: red, green, blue, alpha, 0 to 255, row by row. */
export interface Raster {
  width: number
  height: number
  data: Uint8ClampedArray | Uint8Array
}

/** An upright rectangle of a raster, in its pixels. */
export interface RasterPlace {
  x: number
  y: number
  width: number
  height: number
}

const channel = new Float64Array(256).map((_, value) => {
  const share = value / 255
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
})
/** Relative luminance of an sRGB pixel by WCAG 2.2, 0 to 1. */
const luminance = (r: number, g: number, b: number) => 0.2126 * channel[r]! + 0.7152 * channel[g]! + 0.0722 * channel[b]!
const ratio = (a: number, b: number) => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)
const hexValues = (hex: string) => [1, 3, 5].map(at => Number.parseInt(hex.slice(at, at + 2), 16)) as [number, number, number]
const luminanceOf = (hex: string) => luminance(...hexValues(hex))

/** Sums of luminance and its square over all pixels left of and above each, so that any rectangle's mean and spread take four look-ups. */
function sumsOf(raster: Raster): { sum: Float64Array; squares: Float64Array } {
  const stride = raster.width + 1
  const [sum, squares] = [new Float64Array(stride * (raster.height + 1)), new Float64Array(stride * (raster.height + 1))]
  for (let y = 0; y < raster.height; y++) {
    let [row, rowSquares] = [0, 0]
    for (let x = 0; x < raster.width; x++) {
      const at = (y * raster.width + x) * 4
      const value = luminance(raster.data[at]!, raster.data[at + 1]!, raster.data[at + 2]!)
      row += value
      rowSquares += value * value
      const to = (y + 1) * stride + x + 1
      sum[to] = sum[to - stride]! + row
      squares[to] = squares[to - stride]! + rowSquares
    }
  }
  return { sum, squares }
}

/**
 * The place within a room of the raster where words of a colour and of a size (its pixels) stand out most, and what lies
 * beneath is calmest; `taken` are places they may not stand on. Among places as good, the one nearest to where they are.
 */
export function calmestPlace(
  raster: Raster,
  words: RasterPlace,
  color: string,
  room: RasterPlace,
  taken: readonly RasterPlace[] = [],
): RasterPlace | null {
  const { sum, squares } = sumsOf(raster)
  const stride = raster.width + 1
  const own = luminanceOf(color)
  const [width, height] = [Math.max(1, Math.round(words.width)), Math.max(1, Math.round(words.height))]
  const area = width * height
  const step = Math.max(1, Math.round(Math.min(room.width, room.height) / 60))
  let best: { place: RasterPlace; score: number } | null = null
  const over = (x: number, y: number) =>
    taken.some(other => x < other.x + other.width && other.x < x + width && y < other.y + other.height && other.y < y + height)
  for (let y = Math.ceil(Math.max(0, room.y)); y + height <= Math.min(raster.height, room.y + room.height); y += step) {
    for (let x = Math.ceil(Math.max(0, room.x)); x + width <= Math.min(raster.width, room.x + room.width); x += step) {
      if (over(x, y)) continue
      const total = (table: Float64Array) =>
        table[(y + height) * stride + x + width]! -
        table[y * stride + x + width]! -
        table[(y + height) * stride + x]! +
        table[y * stride + x]!
      const mean = total(sum) / area
      const spread = Math.sqrt(Math.max(0, total(squares) / area - mean * mean))
      // What most of the pixels reach: the mean, moved by twice the spread towards the words' own luminance.
      const worst = own > mean ? Math.min(own, mean + 2 * spread) : Math.max(own, mean - 2 * spread)
      const away = Math.hypot(x - words.x, y - words.y) / Math.hypot(raster.width, raster.height)
      const score = Math.min(9, ratio(own, worst)) - spread * 2 - away * 0.8
      if (!best || score > best.score) best = { place: { x, y, width, height }, score }
    }
  }
  return best?.place ?? null
}

/**
 * The side of a frame that words stand nearest to, and how far a shade from there has to reach to lie beneath them all, as a share of the
 * frame.
 */
export function shadeFor(words: RasterPlace, frame: RasterPlace): { side: 'left' | 'right' | 'top' | 'bottom'; share: number } {
  const reach = {
    left: (words.x + words.width - frame.x) / frame.width,
    right: (frame.x + frame.width - words.x) / frame.width,
    top: (words.y + words.height - frame.y) / frame.height,
    bottom: (frame.y + frame.height - words.y) / frame.height,
  }
  const [side, least] = (Object.entries(reach) as ['left', number][]).reduce((best, entry) => (entry[1] < best[1] ? entry : best))
  return { side, share: Math.min(1, Math.max(0.2, Math.round((least + 0.25) * 100) / 100)) }
}
