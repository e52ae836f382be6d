import { group } from 'd3-array'
import { shapeOf, type ChartDrawing, type ChartLabel, type ChartMark, type ChartRule, type MarkShapeName } from '#core/charts'
import { cssColor } from '#core/color'
import type { ChartSpec, Theme } from '#core/model'
import { fontStack } from './measurer'

const space = 'http://www.w3.org/2000/svg'

const make = <K extends keyof SVGElementTagNameMap>(name: K, className: string) => {
  const node = document.createElementNS(space, name)
  node.setAttribute('class', className)
  return node
}

const set = (node: Element, name: string, value: string | number) => {
  const text = typeof value === 'number' ? String(Math.round(value * 100) / 100) : value
  if (node.getAttribute(name) !== text) node.setAttribute(name, text)
}

/** The first nodes of a parent with a class, made or taken away until there are `count`. */
function nodes<K extends keyof SVGElementTagNameMap>(
  parent: SVGElement,
  name: K,
  className: string,
  count: number,
): SVGElementTagNameMap[K][] {
  const found = Array.from(parent.children).filter(child => child.getAttribute('class') === className) as SVGElementTagNameMap[K][]
  while (found.length > count) found.pop()!.remove()
  while (found.length < count) {
    const node = make(name, className)
    parent.append(node)
    found.push(node)
  }
  return found
}

function writeLabel(node: SVGTextElement, label: ChartLabel, theme: Theme) {
  set(node, 'font-size', label.size)
  set(node, 'font-weight', label.weight)
  set(node, 'font-family', fontStack(theme.fonts.body))
  set(node, 'text-anchor', 'middle')
  set(node, 'fill', cssColor({ role: 'ink', alpha: label.kind === 'axis' ? 0.7 : 1 }, theme.palette))
  set(node, 'transform', label.angle ? `rotate(${label.angle} ${label.x} ${label.y})` : '')
  const lines = nodes(node, 'tspan', 'chart-words', label.lines.length)
  label.lines.forEach((words, index) => {
    const line = lines[index]!
    set(line, 'x', label.x)
    set(line, 'y', label.y + (index - (label.lines.length - 1) / 2) * label.size * 1.25 + label.size * 0.35)
    if (line.textContent !== words) line.textContent = words
  })
}

/** Draws a mark into its node; where it grows from, and what rides on its end, is noted there for the frames. */
function writeMark(node: SVGElement, mark: ChartMark, spec: ChartSpec, theme: Theme) {
  const shape = shapeOf(mark)
  const { attributes, paint, opacity, text } = shape.node(mark)
  for (const [name, value] of Object.entries(attributes)) set(node, name, value)
  set(node, paint, cssColor(mark.color ?? (mark.highlighted ? spec.highlightColor : spec.color), theme.palette))
  if (opacity !== undefined) set(node, `${paint}-opacity`, opacity)
  if (text !== undefined) {
    set(node, 'font-family', fontStack(theme.fonts.body))
    if (node.textContent !== text) node.textContent = text
  }
  const { box, at } = shape.origin(mark)
  node.style.transformBox = box
  node.style.transformOrigin = at
  const reach = shape.reach(mark)
  node.dataset.reachX = String(reach.x)
  node.dataset.reachY = String(reach.y)
}

/** The shapes that a chart was last drawn of: nodes of one that it has no more are taken away. */
const drawnShapes = new WeakMap<SVGElement, ReadonlySet<MarkShapeName>>()

/** Draws the marks of one part into its group, one node a mark, each shape with those of its own. */
function writeMarks(holder: SVGElement, marks: readonly ChartMark[], shapes: ReadonlySet<MarkShapeName>, spec: ChartSpec, theme: Theme) {
  for (const name of shapes) {
    const own = marks.filter(mark => mark.shape === name)
    const tag = own[0] ? shapeOf(own[0]).node(own[0]).tag : 'path'
    const made = nodes(holder, tag, `chart-${name}`, own.length)
    own.forEach((mark, index) => {
      const node = made[index]
      if (node) writeMark(node, mark, spec, theme)
    })
  }
}

function drawRules(layer: SVGElement, rules: readonly ChartRule[], theme: Theme) {
  const made = nodes(layer, 'line', 'chart-rule', rules.length)
  rules.forEach((rule, index) => {
    const node = made[index]!
    set(node, 'x1', rule.from)
    set(node, 'x2', rule.to)
    set(node, 'y1', rule.y)
    set(node, 'y2', rule.y)
    set(node, 'stroke', cssColor({ role: 'ink', alpha: rule.baseline ? 0.45 : 0.14 }, theme.palette))
    set(node, 'stroke-width', 2)
  })
}

function drawLabels(holder: SVGElement, labels: readonly ChartLabel[], theme: Theme) {
  const texts = nodes(holder, 'text', 'chart-label', labels.length)
  labels.forEach((label, at) => {
    writeLabel(texts[at]!, label, theme)
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
  const shapes = new Set(drawing.marks.map(mark => mark.shape))
  // Shapes that it has no more are asked for once, so that their nodes go.
  const toWrite = new Set([...shapes, ...(drawnShapes.get(svg) ?? [])])
  drawnShapes.set(svg, shapes)
  const isBeneath = (mark: ChartMark) => shapeOf(mark).beneath === true
  const marks = group(drawing.marks, isBeneath, mark => mark.part)
  const labels = group(drawing.labels, label => label.part)

  drawRules(rules!, drawing.rules, theme)
  for (const [layer, own] of [
    [beneath!, marks.get(true)],
    [above!, marks.get(false)],
  ] as const) {
    const parts = nodes(layer, 'g', 'chart-mark', layer === beneath && !own ? 0 : drawing.parts)
    parts.forEach((holder, part) => {
      set(holder, 'data-part', part)
      writeMarks(holder, own?.get(part) ?? [], toWrite, spec, theme)
      if (layer === above) drawLabels(holder, labels.get(part) ?? [], theme)
    })
  }
  drawLabels(free!, labels.get(null) ?? [], theme)
}
