import { JSDOM } from 'jsdom'
import type { DrawnIcon } from '../../core/model'
import { failed, type Outcome, numberWords } from '../../core/values'
import { drawnIconOf, type Painted } from '../../core/icons'
import { harmlessSvg } from '../media/svg'

const shapes = new Set(['path', 'line', 'polyline', 'polygon', 'circle', 'ellipse', 'rect'])
/** Attributes that what stands in a group takes from it. */
const inherited = ['fill', 'stroke', 'stroke-width', 'display', 'visibility'] as const
const mostShapes = 400

/** What an SVG shows of its plane: its view box, else its size, else a square of 24. */
function viewOf(svg: Element): readonly [number, number, number, number] {
  const box = (svg.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const [x, y, width, height] = box
  if (box.length === 4 && box.every(Number.isFinite) && width! > 0 && height! > 0) return [x!, y!, width!, height!]
  const length = (name: string) => Number.parseFloat(svg.getAttribute(name) ?? '') || 24
  return [0, 0, length('width'), length('height')]
}

/** A shape as it is painted, with what it takes from the groups that it stands in; null where it is not seen by itself. */
function paintedOf(node: Element, svg: Element): Painted | null {
  if (node.closest('defs, clipPath, mask, symbol, pattern')) return null
  const found: Partial<Record<(typeof inherited)[number], string>> = {}
  const transforms: string[] = []
  for (let at: Element | null = node; at; at = at === svg ? null : at.parentElement) {
    for (const attribute of inherited) found[attribute] ??= at.getAttribute(attribute) ?? undefined
    const transform = at.getAttribute('transform')
    if (transform && at !== svg) transforms.unshift(transform)
  }
  if (found.display === 'none' || found.visibility === 'hidden') return null
  const attributes = Object.fromEntries(Array.from(node.attributes, ({ name: key, value }) => [key, value]))
  return {
    shape: [node.tagName.toLowerCase(), attributes],
    transform: transforms.join(' ') || undefined,
    filled: found.fill !== 'none',
    line: found.stroke && found.stroke !== 'none' ? Number.parseFloat(found['stroke-width'] ?? '1') || 1 : 0,
  }
}

/** An SVG of a person's own as an icon: its shapes in one colour. A sentence where it holds none, or is no icon. */
export function ownIcon(text: string, name: string): Outcome<DrawnIcon> {
  const called = `“${name.slice(0, 120)}”`
  const clean = harmlessSvg(text)
  if (!clean) return failed(`${called} holds no drawing. Save it as plain SVG.`)
  const svg = new JSDOM(clean).window.document.querySelector('svg')
  if (!svg) return failed(`${called} holds no drawing. Save it as plain SVG.`)
  const all = svg.querySelectorAll([...shapes].join(','))
  if (all.length > mostShapes)
    return failed(`${called} has ${numberWords(all.length)} shapes; an icon may have ${mostShapes}. Add it as a picture.`)
  const painted = Array.from(all).flatMap(node => paintedOf(node, svg) ?? [])
  const icon = drawnIconOf(name.replace(/\.svg$/i, ''), viewOf(svg), painted)
  return icon ? { ok: true, value: icon } : failed(`${called} has no shape that can be drawn in one colour. Add it as a picture.`)
}
