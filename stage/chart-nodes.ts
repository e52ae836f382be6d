import { group } from 'd3-array'
import {
  labelColor,
  patternOf,
  patterns,
  patternSide,
  shapeOf,
  swatchRoom,
  toneOf,
  tonesOf,
  type ChartDrawing,
  type ChartLabel,
  type ChartMark,
  type ChartRule,
  type MarkShapeName,
  type Tone,
  type Tones,
} from '#core/charts'
import type { ChartSpec, Theme } from '#core/model'
import { fontStack } from './measurer'

const space = 'http://www.w3.org/2000/svg'

const make = <K extends keyof SVGElementTagNameMap>(name: K, className: string) => {
  const node = document.createElementNS(space, name)
  node.setAttribute('class', className)
  return node
}

/** What was last written into a node: the page is asked for nothing, and told only what is another. */
const written = Symbol('written')
type Written = Record<string, string | number | null>
type OwnNode = Element & { [written]?: Written; [within]?: Map<string, SVGElement[]> }

function isSame(node: OwnNode, name: string, value: string | number | null): boolean {
  const own = (node[written] ??= {})
  if (own[name] === value) return true
  own[name] = value
  return false
}
/** Sets an attribute, numbers to a hundredth; null takes it away. */
function set(node: Element, name: string, value: string | number | null) {
  const short = typeof value === 'number' ? Math.round(value * 100) / 100 : value
  if (isSame(node, name, short)) return
  if (short === null) node.removeAttribute(name)
  else node.setAttribute(name, String(short))
}
function write(node: Element, words: string) {
  if (!isSame(node, ' words', words)) node.textContent = words
}

/** The nodes of each class in a parent. */
const within = Symbol('within')

/** The first nodes of a parent with a class, made or taken away until there are `count`. */
function nodes<K extends keyof SVGElementTagNameMap>(
  parent: SVGElement,
  name: K,
  className: string,
  count: number,
): SVGElementTagNameMap[K][] {
  const own = ((parent as OwnNode)[within] ??= new Map<string, SVGElement[]>())
  let found = own.get(className) as SVGElementTagNameMap[K][] | undefined
  if (!found) {
    if (!count) return []
    own.set(className, (found = []))
  }
  while (found.length > count) found.pop()!.remove()
  while (found.length < count) {
    const node = make(name, className)
    parent.append(node)
    found.push(node)
  }
  return found
}

/** What draws of a chart the colours of its marks: plain, or where it is told apart by patterns too, as one over each. */
interface Paints {
  tones: Tones
  fill(tone: Tone): string
  /** The dashes of a line of this tone; none where it is drawn through. */
  dash(tone: Tone): string | null
}

let patterned = 0
const patternNames = new WeakMap<SVGElement, string>()

/** The paints of a chart; the patterns that its marks take are defined in its SVG as they are first asked for. */
function paintsOf(svg: SVGElement, spec: ChartSpec, theme: Theme, tones: Tones): Paints {
  const [defs] = nodes(svg, 'defs', 'chart-patterns', spec.patterns ? 1 : 0)
  if (!defs) return { tones, fill: tones.of, dash: () => null }
  const name = patternNames.get(svg) ?? `chart-pattern-${++patterned}`
  patternNames.set(svg, name)
  const used = new Map<string, string>()
  const define = (color: string, number: number) => {
    const key = `${color} ${number}`
    if (used.has(key)) return used.get(key)!
    const id = `${name}-${used.size}`
    const node = nodes(defs, 'pattern', 'chart-pattern', used.size + 1)[used.size]!
    const { d, angle, width } = patterns[number]!
    set(node, 'id', id)
    set(node, 'patternUnits', 'userSpaceOnUse')
    set(node, 'width', patternSide)
    set(node, 'height', patternSide)
    set(node, 'patternTransform', `rotate(${angle})`)
    const [ground] = nodes(node, 'rect', 'chart-pattern-ground', 1)
    set(ground!, 'width', patternSide)
    set(ground!, 'height', patternSide)
    set(ground!, 'fill', color)
    const [lines] = nodes(node, 'path', 'chart-pattern-lines', 1)
    set(lines!, 'd', d)
    set(lines!, 'fill', 'none')
    set(lines!, 'stroke', theme.palette.ground)
    set(lines!, 'stroke-width', width)
    set(lines!, 'stroke-linecap', 'round')
    set(lines!, 'stroke-opacity', 0.8)
    used.set(key, `url(#${id})`)
    return used.get(key)!
  }
  return {
    tones,
    fill(tone) {
      const number = patternOf(tone)
      return number === null ? tones.of(tone) : define(tones.of(tone), number)
    },
    dash(tone) {
      const number = patternOf(tone)
      return number === null ? null : patterns[number]!.dash.join(' ')
    },
  }
}

function writeLabel(node: SVGTextElement, label: ChartLabel, theme: Theme, paints: Paints) {
  const { tones } = paints
  set(node, 'font-size', label.size)
  set(node, 'font-weight', label.weight)
  set(node, 'font-family', fontStack(label.display ? theme.fonts.display : theme.fonts.body))
  set(node, 'text-anchor', 'middle')
  set(node, 'fill', labelColor(label, tones))
  // Words on a pattern stand clear of its lines.
  const on = label.tone && 'on' in label.tone ? label.tone.on : null
  const clear = on && paints.fill(on) !== tones.of(on) ? tones.of(on) : 'none'
  set(node, 'stroke', clear)
  set(node, 'stroke-width', clear === 'none' ? 0 : label.size * 0.4)
  set(node, 'stroke-linejoin', 'round')
  set(node, 'paint-order', 'stroke')
  set(node, 'opacity', label.opacity ?? 1)
  set(node, 'transform', label.angle ? `rotate(${label.angle} ${label.x} ${label.y})` : '')
  const lines = nodes(node, 'tspan', 'chart-words', label.lines.length)
  label.lines.forEach((words, index) => {
    const line = lines[index]!
    set(line, 'x', label.x + (label.swatch ? (label.size * swatchRoom) / 2 : 0))
    set(line, 'y', label.y + (index - (label.lines.length - 1) / 2) * label.size * 1.25 + label.size * 0.35)
    write(line, words)
  })
}

/** Draws a mark into its node; where it grows from, and what rides on its end, is noted there for the frames. */
function writeMark(node: SVGElement, mark: ChartMark, theme: Theme, paints: Paints) {
  const shape = shapeOf(mark)
  const { attributes, paint, text, display, clip, within } = shape.node(mark)
  for (const [name, value] of Object.entries(attributes)) set(node, name, value)
  if (within) {
    const [inner] = nodes(node, within.tag, 'chart-inner', 1)
    for (const [name, value] of Object.entries(within.attributes)) set(inner!, name, value)
  }
  const tone = toneOf(mark)
  set(node, paint, paint === 'fill' ? paints.fill(tone) : paints.tones.of(tone))
  const dash = mark.shape === 'line' && !mark.dash ? paints.dash(tone) : undefined
  if (dash !== undefined) set(node, 'stroke-dasharray', dash)
  set(node, `${paint}-opacity`, mark.opacity ?? 1)
  if (paint === 'fill') {
    set(node, 'stroke', mark.edge ? theme.palette.ground : 'none')
    set(node, 'stroke-width', mark.edge ?? 0)
  }
  if (!isSame(node, ' clip', clip ?? '')) node.style.clipPath = clip ?? ''
  if (text !== undefined) {
    set(node, 'font-family', fontStack(display ? theme.fonts.display : theme.fonts.body))
    write(node, text)
  }
  const { box, at } = shape.origin(mark)
  const grows = shape.grows?.(mark)
  set(node, 'data-grows', grows ?? null)
  if (!isSame(node, ' box', box)) node.style.transformBox = box
  if (!isSame(node, ' origin', at)) node.style.transformOrigin = at
  const reach = shape.reach(mark)
  set(node, 'data-reach-x', reach.x)
  set(node, 'data-reach-y', reach.y)
}

/** The shapes that a chart was last drawn of: nodes of one that it has no more are taken away. */
const drawnShapes = new WeakMap<SVGElement, ReadonlySet<MarkShapeName>>()

/** Draws the marks of one part into its group, one node a mark, each shape with those of its own. */
function writeMarks(holder: SVGElement, marks: readonly ChartMark[], shapes: ReadonlySet<MarkShapeName>, theme: Theme, paints: Paints) {
  for (const name of shapes) {
    const own = marks.filter(mark => mark.shape === name)
    const tag = own[0] ? shapeOf(own[0]).node(own[0]).tag : 'path'
    const made = nodes(holder, tag, `chart-${name}`, own.length)
    own.forEach((mark, index) => {
      const node = made[index]
      if (node) writeMark(node, mark, theme, paints)
    })
  }
}

/** Colour and width of the lines that are no marks, px. */
const ruleLooks = {
  grid: { color: { name: 'track' }, width: 2 },
  base: { color: { name: 'line' }, width: 2 },
  divider: { color: { name: 'track' }, width: 2 },
  reference: { color: { name: 'second' }, width: 3 },
} as const

function drawRules(layer: SVGElement, rules: readonly ChartRule[], tones: Tones) {
  const made = nodes(layer, 'line', 'chart-rule', rules.length)
  rules.forEach((rule, index) => {
    const node = made[index]!
    set(node, 'x1', rule.from.x)
    set(node, 'x2', rule.to.x)
    set(node, 'y1', rule.from.y)
    set(node, 'y2', rule.to.y)
    const { color, width } = ruleLooks[rule.kind]
    set(node, 'stroke', tones.of(color))
    set(node, 'stroke-width', width)
    set(node, 'opacity', rule.opacity ?? 1)
  })
}

function drawLabels(holder: SVGElement, labels: readonly ChartLabel[], theme: Theme, paints: Paints) {
  const { tones } = paints
  const led = labels.filter(label => label.leader)
  const leaders = nodes(holder, 'polyline', 'chart-leader', led.length)
  led.forEach((label, at) => {
    const node = leaders[at]!
    set(node, 'points', label.leader!.map(({ x, y }) => `${Math.round(x * 100) / 100},${Math.round(y * 100) / 100}`).join(' '))
    set(node, 'fill', 'none')
    set(node, 'stroke', tones.of({ name: 'line' }))
    set(node, 'stroke-width', 2)
    set(node, 'opacity', label.opacity ?? 1)
  })
  const swatched = labels.filter(label => label.swatch)
  const swatches = nodes(holder, 'rect', 'chart-swatch', swatched.length)
  swatched.forEach((label, at) => {
    const node = swatches[at]!
    const side = label.size * 0.8
    set(node, 'x', label.x - label.width / 2)
    set(node, 'y', label.y - side / 2)
    set(node, 'width', side)
    set(node, 'height', side)
    set(node, 'rx', side * 0.2)
    set(node, 'fill', paints.fill(label.swatch!))
  })
  const texts = nodes(holder, 'text', 'chart-label', labels.length)
  labels.forEach((label, at) => {
    writeLabel(texts[at]!, label, theme, paints)
    set(texts[at]!, 'data-kind', label.kind)
  })
}

/**
 * Brings an SVG in step with a drawing, in layers from the ground up: rules; the marks that lie beneath, such as lines; all other marks
 * with
 * their labels; the labels that belong to no part. Both layers of marks have one group a part (`data-part`). Nodes are kept, so that it can
 * be called for every frame of a data motion.
 */
export function drawChartInto(svg: SVGSVGElement, drawing: ChartDrawing, spec: ChartSpec, theme: Theme) {
  const [rules, beneath, above, free] = ['rules', 'beneath', 'above', 'free'].map(name => nodes(svg, 'g', `chart-${name}`, 1)[0]!)
  const tones = tonesOf(spec, theme.palette)
  const paints = paintsOf(svg, spec, theme, tones)
  const shapes = new Set(drawing.marks.map(mark => mark.shape))
  // Shapes that it has no more are asked for once, so that their nodes go.
  const toWrite = new Set([...shapes, ...(drawnShapes.get(svg) ?? [])])
  drawnShapes.set(svg, shapes)
  const isBeneath = (mark: ChartMark) => shapeOf(mark).beneath === true
  const marks = group(drawing.marks, isBeneath, mark => mark.part)
  const labels = group(drawing.labels, label => label.part)

  // What is on a map goes on beyond it.
  for (const layer of [beneath!, above!]) layer.style.clipPath = drawing.camera ? 'inset(0) view-box' : ''
  // Levels that amounts are compared with lie over the marks.
  const isLevel = ({ kind }: ChartRule) => kind === 'reference'
  drawRules(
    rules!,
    drawing.rules.filter(rule => !isLevel(rule)),
    tones,
  )
  for (const [layer, own] of [
    [beneath!, marks.get(true)],
    [above!, marks.get(false)],
  ] as const) {
    const parts = nodes(layer, 'g', 'chart-mark', layer === beneath && !own ? 0 : drawing.parts)
    parts.forEach((holder, part) => {
      set(holder, 'data-part', part)
      writeMarks(holder, own?.get(part) ?? [], toWrite, theme, paints)
      if (layer === above) drawLabels(holder, labels.get(part) ?? [], theme, paints)
    })
  }
  drawRules(free!, drawing.rules.filter(isLevel), tones)
  drawLabels(free!, labels.get(null) ?? [], theme, paints)
}
