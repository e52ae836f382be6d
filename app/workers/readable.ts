import { calmestPlace, readabilityOn, strengthNeeded, throughMatrix, type RasterPlace } from '../../core/color'

/** What lies beneath words, back to front, in px of the raster. */
export type Layer =
  | { kind: 'fill', color: string, box: RasterPlace & { angle: number } }
  | { kind: 'picture', bitmap: ImageBitmap, crop: RasterPlace, box: RasterPlace & { angle: number }, matrix: number[] | null, over: { color: string, alpha: number, from?: 'left' | 'right' | 'top' | 'bottom', share?: number }[] }

export interface ReadableWish {
  id: number
  width: number
  height: number
  layers: Layer[]
  lines: RasterPlace[]
  words: RasterPlace
  color: string
  needed: number
  /** Colours that could be laid beneath the words. */
  over: string[]
  room: RasterPlace
  taken: RasterPlace[]
}

function paint(context: OffscreenCanvasRenderingContext2D, layer: Layer) {
  const { box } = layer
  context.save()
  context.translate(box.x + box.width / 2, box.y + box.height / 2)
  context.rotate((box.angle * Math.PI) / 180)
  context.translate(-box.width / 2, -box.height / 2)
  if (layer.kind === 'fill') {
    context.fillStyle = layer.color
    context.fillRect(0, 0, box.width, box.height)
  } else {
    const own = new OffscreenCanvas(Math.max(1, Math.round(box.width)), Math.max(1, Math.round(box.height)))
    const inner = own.getContext('2d', { willReadFrequently: true })!
    inner.drawImage(layer.bitmap, layer.crop.x, layer.crop.y, layer.crop.width, layer.crop.height)
    if (layer.matrix) {
      const pixels = inner.getImageData(0, 0, own.width, own.height)
      for (let at = 0; at < pixels.data.length; at += 4) {
        const [r, g, b] = throughMatrix(layer.matrix, [pixels.data[at]!, pixels.data[at + 1]!, pixels.data[at + 2]!])
        pixels.data[at] = r
        pixels.data[at + 1] = g
        pixels.data[at + 2] = b
      }
      inner.putImageData(pixels, 0, 0)
    }
    for (const over of layer.over) {
      inner.globalAlpha = over.from ? 1 : over.alpha
      if (over.from) {
        const [x1, y1, x2, y2] = { left: [0, 0, own.width, 0], right: [own.width, 0, 0, 0], top: [0, 0, 0, own.height], bottom: [0, own.height, 0, 0] }[over.from] as [number, number, number, number]
        const gradient = inner.createLinearGradient(x1, y1, x2, y2)
        const alpha = Math.round(over.alpha * 255).toString(16).padStart(2, '0')
        gradient.addColorStop(0, `${over.color}${alpha}`)
        gradient.addColorStop(Math.min(1, over.share ?? 1), `${over.color}00`)
        inner.fillStyle = gradient
      } else inner.fillStyle = over.color
      inner.fillRect(0, 0, own.width, own.height)
    }
    context.drawImage(own, 0, 0, box.width, box.height)
  }
  context.restore()
}

onmessage = ({ data: wish }: MessageEvent<ReadableWish>) => {
  const canvas = new OffscreenCanvas(wish.width, wish.height)
  const context = canvas.getContext('2d', { willReadFrequently: true })!
  for (const layer of wish.layers) paint(context, layer)
  const raster = context.getImageData(0, 0, wish.width, wish.height)
  postMessage({
    id: wish.id,
    found: readabilityOn(raster, wish.lines, wish.color, wish.needed),
    strengths: wish.over.map(over => strengthNeeded(raster, wish.lines, over, wish.color, wish.needed)),
    calmest: calmestPlace(raster, wish.words, wish.color, wish.room, wish.taken),
  })
}
