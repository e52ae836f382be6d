import svgpath from 'svgpath'
import type { DrawnIcon } from '../model'

/** A shape of an SVG by its tag, with its attributes. */
export type SvgShape = readonly [tag: string, attributes: Readonly<Record<string, string>>]

const number = (value: string | undefined, otherwise = 0) =>
  Number.isFinite(Number.parseFloat(value ?? '')) ? Number.parseFloat(value!) : otherwise

/** The points of a polygon or polyline. */
function pointsOf(text: string | undefined): string {
  const values = (text ?? '').match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi)?.map(Number) ?? []
  const pairs = Array.from({ length: values.length >> 1 }, (_, index) => `${values[index * 2]} ${values[index * 2 + 1]}`)
  return pairs.length ? `M${pairs.join('L')}` : ''
}

/** A basic shape of SVG 2 (chapter 10) as path data; empty for what is none. */
export function pathOfShape([tag, a]: SvgShape): string {
  if (tag === 'path') return a.d ?? ''
  if (tag === 'line') return `M${number(a.x1)} ${number(a.y1)}L${number(a.x2)} ${number(a.y2)}`
  if (tag === 'polyline') return pointsOf(a.points)
  if (tag === 'polygon') return pointsOf(a.points) && `${pointsOf(a.points)}Z`
  if (tag === 'circle' || tag === 'ellipse') {
    const [cx, cy] = [number(a.cx), number(a.cy)]
    const [rx, ry] = tag === 'circle' ? [number(a.r), number(a.r)] : [number(a.rx), number(a.ry)]
    return rx > 0 && ry > 0 ? `M${cx - rx} ${cy}A${rx} ${ry} 0 1 1 ${cx + rx} ${cy}A${rx} ${ry} 0 1 1 ${cx - rx} ${cy}Z` : ''
  }
  if (tag === 'rect') {
    const [x, y, width, height] = [number(a.x), number(a.y), number(a.width), number(a.height)]
    if (width <= 0 || height <= 0) return ''
    const rx = Math.min(number(a.rx, number(a.ry)), width / 2)
    const ry = Math.min(number(a.ry, number(a.rx)), height / 2)
    if (!rx || !ry) return `M${x} ${y}H${x + width}V${y + height}H${x}Z`
    return (
      `M${x + rx} ${y}H${x + width - rx}A${rx} ${ry} 0 0 1 ${x + width} ${y + ry}V${y + height - ry}A${rx} ${ry} 0 0 1 ` +
      `${x + width - rx} ${y + height}H${x + rx}A${rx} ${ry} 0 0 1 ${x} ${y + height - ry}V${y + ry}A${rx} ${ry} 0 0 1 ${x + rx} ` +
      `${y}Z`
    )
  }
  return ''
}

/** What a shape is painted with, by its own attributes and those of what it stands in. */
export interface Painted {
  shape: SvgShape
  /** Its transforms, outermost first, joined. */
  transform?: string
  filled: boolean
  /** Width of its line in the units of the view; 0 for none. */
  line: number
}

/** A drawing in one colour from painted shapes; null where nothing is left to draw. Paths are rounded to a thousandth of a unit. */
export function drawnIconOf(
  name: string,
  view: readonly [x: number, y: number, width: number, height: number],
  shapes: readonly Painted[],
): DrawnIcon | null {
  const paths: DrawnIcon['paths'] = []
  for (const { shape, transform, filled, line } of shapes) {
    const data = pathOfShape(shape)
    if (!data || (!filled && !line)) continue
    const path = svgpath(transform ? svgpath(data).transform(transform).toString() : data)
      .translate(-view[0], -view[1])
      .round(3)
    const d = path.toString()
    if (d.length > 20_000 || !/^[MmLlHhVvCcSsQqTtAaZz0-9eE.,+\-\s]+$/.test(d)) continue
    if (filled) paths.push({ d })
    if (line) paths.push({ d, width: Math.round(line * 1000) / 1000 })
  }
  return paths.length ? { name: name.slice(0, 120), view: [view[2], view[3]], paths: paths.slice(0, 400) } : null
}
