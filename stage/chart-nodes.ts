import { markShapes, shapeOf, type ChartDrawing, type ChartLabel, type ChartMark, type MarkShapeName } from '#core/charts'
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
  const lines = nodes(node, 'tspan', 'chart-line', label.lines.length)
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
  set(node, paint, cssColor(mark.color ?? (mark.lit ? spec.litColor : spec.color), theme.palette))
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

/** Draws the marks of one part into its group, one node a mark, each shape with those of its own. */
function writeMarks(group: SVGElement, marks: readonly ChartMark[], spec: ChartSpec, theme: Theme) {
  for (const name of Object.keys(markShapes) as MarkShapeName[]) {
    const own = marks.filter(mark => mark.shape === name)
    const tag = own[0] ? shapeOf(own[0]).node(own[0]).tag : 'path'
    const made = nodes(group, tag, `chart-${name}`, own.length)
    own.forEach((mark, index) => {
      const node = made[index]
      if (node) writeMark(node, mark, spec, theme)
    })
  }
}

function groupBy<T>(all: readonly T[], keyOf: (one: T) => number | null): Map<number | null, T[]> {
  const made = new Map<number | null, T[]>()
  for (const one of all) {
    const list = made.get(keyOf(one))
    if (list) list.push(one)
    else made.set(keyOf(one), [one])
  }
  return made
}

/**
 * Brings an SVG in step with a drawing: rules, then two layers (what lies beneath, such as lines, and all else) with one group a part
 * (`data-part`), which holds its marks and labels, then the labels that belong to none. Nodes are kept, so that it can be called for
 * every frame of a data motion.
 */
export function drawChartInto(svg: SVGSVGElement, drawing: ChartDrawing, spec: ChartSpec, theme: Theme) {
  const rules = nodes(svg, 'line', 'chart-rule', drawing.rules.length)
  drawing.rules.forEach((rule, index) => {
    const node = rules[index]!
    set(node, 'x1', rule.from)
    set(node, 'x2', rule.to)
    set(node, 'y1', rule.y)
    set(node, 'y2', rule.y)
    set(node, 'stroke', cssColor({ role: 'ink', alpha: rule.baseline ? 0.45 : 0.14 }, theme.palette))
    set(node, 'stroke-width', 2)
  })
  const beneath = groupBy(
    drawing.marks.filter(mark => shapeOf(mark).beneath),
    mark => mark.part,
  )
  const above = groupBy(
    drawing.marks.filter(mark => !shapeOf(mark).beneath),
    mark => mark.part,
  )
  const labels = groupBy(drawing.labels, label => label.part)
  for (const [layer, marks] of [
    ['chart-beneath', beneath],
    ['chart-above', above],
  ] as const) {
    const [holder] = nodes(svg, 'g', layer, 1)
    const groups = nodes(holder!, 'g', 'chart-mark', layer === 'chart-beneath' && !marks.size ? 0 : drawing.parts)
    groups.forEach((group, part) => {
      set(group, 'data-part', part)
      writeMarks(group, marks.get(part) ?? [], spec, theme)
      const own = layer === 'chart-above' ? (labels.get(part) ?? []) : []
      const texts = nodes(group, 'text', 'chart-label', own.length)
      own.forEach((label, at) => {
        writeLabel(texts[at]!, label, theme)
        set(texts[at]!, 'data-kind', label.kind)
      })
    })
  }
  const free = labels.get(null) ?? []
  const texts = nodes(svg, 'text', 'chart-label', free.length)
  free.forEach((label, at) => writeLabel(texts[at]!, label, theme))
}
