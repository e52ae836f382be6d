import { cssColor, cssGradient, isPlain, type Palette } from '#core/color'
import type { Paint, Shadow } from '#core/values'
import { cropOf, viewOf } from '#core/place'
import type { StageHost } from './host'

interface Size {
  width: number
  height: number
}

/** A paint as the background of a box of a size, px. Nothing while its picture is not at hand. */
export function backgroundOf(paint: Paint, palette: Palette, size: Size, host: StageHost, scale: number): Record<string, string> {
  if (isPlain(paint)) return { background: cssColor(paint, palette) }
  if (paint.kind !== 'picture') return { backgroundImage: cssGradient(paint, palette)! }
  const source = host.mediaUrl(paint.media, size.width * scale)
  if (!source) return {}
  const crop = cropOf(paint.natural, size, viewOf(paint))
  return {
    backgroundImage: `url(${JSON.stringify(source)})`,
    backgroundSize: `${crop.width}px ${crop.height}px`,
    backgroundPosition: `${crop.x}px ${crop.y}px`,
    backgroundRepeat: 'no-repeat',
  }
}

/** A shadow that follows what is drawn, whatever it is. */
export const shadowOf = (shadow: Shadow | null | undefined, palette: Palette) =>
  shadow ? `drop-shadow(${shadow.x}px ${shadow.y}px ${shadow.blur / 2}px ${cssColor(shadow.color, palette)})` : undefined
