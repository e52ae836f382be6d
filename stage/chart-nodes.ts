import type { ChartDrawing, ChartLabel } from '#core/charts'
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

/**
 * Brings an SVG in step with a drawing: rules, then one group a mark (`data-part` its index) with its bar and labels, then
 * the labels that belong to none. Nodes are kept, so that it can be called for every frame of a data motion.
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
  const byMark = new Map<number | null, ChartLabel[]>()
  for (const label of drawing.labels) {
    const list = byMark.get(label.mark)
    if (list) list.push(label)
    else byMark.set(label.mark, [label])
  }
  const groups = nodes(svg, 'g', 'chart-mark', drawing.marks.length)
  drawing.marks.forEach((mark, index) => {
    const group = groups[index]!
    set(group, 'data-part', index)
    const [bar] = nodes(group, 'rect', 'chart-bar', 1)
    set(bar!, 'x', mark.x)
    set(bar!, 'y', mark.y)
    set(bar!, 'width', Math.max(0, mark.width))
    set(bar!, 'height', Math.max(0, mark.height))
    set(bar!, 'rx', Math.min(6, mark.width / 4))
    set(bar!, 'fill', cssColor(mark.lit ? spec.litColor : spec.color, theme.palette))
    bar!.style.transformOrigin = mark.negative ? '50% 0' : '50% 100%'
    const labels = byMark.get(index) ?? []
    const texts = nodes(group, 'text', 'chart-label', labels.length)
    labels.forEach((label, at) => {
      writeLabel(texts[at]!, label, theme)
      set(texts[at]!, 'data-kind', label.kind)
    })
  })
  const free = byMark.get(null) ?? []
  const texts = nodes(svg, 'text', 'chart-label', free.length)
  free.forEach((label, at) => writeLabel(texts[at]!, label, theme))
}
