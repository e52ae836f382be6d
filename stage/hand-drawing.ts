import { cssColor } from '#core/color'
import type { Theme } from '#core/model'
import { nibNamed, type HandDrawing } from '#core/drawing'
import type { Drawn } from '#core/timing'

const space = 'http://www.w3.org/2000/svg'
/** How far what is held leans from the paper's level, degrees anticlockwise: as a right hand holds it. */
const lean = -52
/** The sleeve of a hand comes from the lower right. */
const handLean = 14

/** What stands in an element for its drawing, kept while it is drawn. */
interface Layer {
  svg: SVGSVGElement
  drawing: HandDrawing
  paths: SVGPathElement[]
  nib: SVGGElement
  nibName: string
  /** Strokes before this one are written as wholly drawn, all from the next on as not yet. */
  at: number
  look: string
}

const layers = new WeakMap<HTMLElement, Layer>()
let made = 0

function layerFor(moving: HTMLElement, { drawing }: Drawn): Layer {
  const known = layers.get(moving)
  if (known?.drawing === drawing) return known
  known?.svg.remove()
  const svg = document.createElementNS(space, 'svg')
  svg.setAttribute('class', 'stage-drawing')
  svg.setAttribute('aria-hidden', 'true')
  const lines = document.createElementNS(space, 'g')
  lines.setAttribute('class', 'stage-drawing-lines')
  if (drawing.within) {
    const clip = document.createElementNS(space, 'clipPath')
    clip.id = `stage-drawing-${made++}`
    const shape = document.createElementNS(space, 'path')
    shape.setAttribute('d', drawing.within)
    clip.append(shape)
    svg.append(clip)
    lines.setAttribute('clip-path', `url(#${clip.id})`)
  }
  const paths = drawing.strokes.map(stroke => {
    const path = document.createElementNS(space, 'path')
    path.setAttribute('d', stroke.d)
    path.setAttribute('pathLength', '1')
    path.style.visibility = 'hidden'
    return path
  })
  lines.append(...paths)
  const nib = document.createElementNS(space, 'g')
  nib.setAttribute('class', 'stage-nib')
  svg.append(lines, nib)
  moving.append(svg)
  const layer = { svg, drawing, paths, nib, nibName: '', at: -1, look: '' }
  layers.set(moving, layer)
  return layer
}

/** Colours and widths of all lines; they stay the same while a thing is drawn. */
function dress(layer: Layer, { thick, color }: Drawn, palette: Theme['palette']) {
  const one = color && cssColor(color, palette)
  const look = `${thick} ${one}`
  if (layer.look === look) return
  layer.look = look
  layer.drawing.strokes.forEach((stroke, index) => {
    const { style } = layer.paths[index]!
    style.stroke = one ?? stroke.color
    style.strokeWidth = String(stroke.width * thick)
  })
}

function drawTo(layer: Layer, come: number) {
  const { begins, ends, strokes } = layer.drawing
  // Where the hand is, by halving.
  let [low, high] = [0, strokes.length - 1]
  while (low < high) {
    const middle = (low + high) >> 1
    if (ends[middle]! < come) low = middle + 1
    else high = middle
  }
  const from = Math.max(0, Math.min(layer.at < 0 ? 0 : layer.at, low))
  const until = layer.at < 0 ? strokes.length - 1 : Math.max(layer.at, low)
  for (let index = from; index <= until; index++) {
    const share = Math.min(1, Math.max(0, (come - begins[index]!) / (ends[index]! - begins[index]! || 1)))
    const { style } = layer.paths[index]!
    style.visibility = share > 0 ? '' : 'hidden'
    // A gap longer than the stroke, so that its round end does not show before it begins.
    style.strokeDasharray = share < 1 ? `${Math.round(share * 10_000) / 10_000} 2` : ''
    const covers = share === 1 ? strokes[index]!.covers : undefined
    style.fill = covers ?? ''
  }
  layer.at = low
}

function hold(layer: Layer, nib: Drawn['nib']) {
  layer.nib.style.visibility = nib ? '' : 'hidden'
  if (!nib) return
  if (layer.nibName !== nib.name) {
    layer.nibName = nib.name
    const { parts } = nibNamed(nib.name)
    const outline = (d: string, look: Record<string, string>) => {
      const path = document.createElementNS(space, 'path')
      for (const [name, value] of Object.entries({ d, ...look })) path.setAttribute(name, value)
      return path
    }
    layer.nib.replaceChildren(
      // A light edge, by which dark pens are seen on deep grounds.
      outline(parts.map(part => part.d).join(''), { fill: 'none', stroke: '#fff', 'stroke-opacity': '0.55', 'stroke-width': '4' }),
      ...parts.map(part => outline(part.d, { fill: part.fill })),
    )
  }
  layer.nib.setAttribute(
    'transform',
    `translate(${Math.round(nib.x * 10) / 10} ${Math.round(nib.y * 10) / 10}) rotate(${nib.name === 'hand' ? handLean : lean})`,
  )
}

/** How what an element shows itself is seen: through its opacity, or swept over from the left; as composed at 1. */
function fill(moving: HTMLElement, filled: number, sweeps: boolean) {
  for (const child of moving.children) {
    if (child.classList.contains('stage-drawing') || !('style' in child)) continue
    const { style } = child as HTMLElement
    style.opacity = filled === 1 || (sweeps && filled > 0) ? '' : String(Math.round(filled * 1000) / 1000)
    // The edge leans, as the strokes of a hand do.
    const edge = Math.round(filled * 1300) / 10
    style.clipPath = filled < 1 && sweeps && filled > 0 ? `polygon(-5% -5%,${edge}% -5%,${edge - 25}% 105%,-5% 105%)` : ''
  }
}

/** Brings an element to where a hand has come that draws it; null is wholly there, with nothing left of the drawing. */
export function applyDrawn(moving: HTMLElement, drawn: Drawn | null, palette: Theme['palette']) {
  if (!drawn) {
    layers.get(moving)?.svg.remove()
    layers.delete(moving)
    fill(moving, 1, false)
    return
  }
  const layer = layerFor(moving, drawn)
  dress(layer, drawn, palette)
  layer.svg.style.opacity = drawn.lines === 1 ? '' : String(Math.round(drawn.lines * 1000) / 1000)
  drawTo(layer, drawn.come)
  hold(layer, drawn.nib)
  fill(moving, drawn.filled, drawn.sweeps)
}
