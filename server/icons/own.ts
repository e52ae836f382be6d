import { JSDOM } from 'jsdom'
import type { DrawnIcon } from '../../core/model'
import { failed, type Outcome } from '../../core/values'
import { drawnIconOf, type Painted } from '../../core/icons'
import { harmlessSvg } from '../media/svg'

const shapes = new Set(['path', 'line', 'polyline', 'polygon', 'circle', 'ellipse', 'rect'])
/** Attributes that what stands in a group takes from it. */
const inherited = ['fill', 'stroke', 'stroke-width', 'display', 'visibility'] as const
const mostShapes = 400

/** An SVG of a person's own as an icon: its shapes in one colour. A sentence where it holds none, or is no icon. */
export function ownIcon(text: string, name: string): Outcome<DrawnIcon> {
  const called = `“${name.slice(0, 120)}”`
  const clean = harmlessSvg(text)
  if (!clean) return failed(`${called} holds no drawing. Save it as plain SVG.`)
  const svg = new JSDOM(clean).window.document.querySelector('svg')
  if (!svg) return failed(`${called} holds no drawing. Save it as plain SVG.`)
  const all = svg.querySelectorAll([...shapes].join(','))
  if (all.length > mostShapes)
    return failed(`${called} has ${all.length.toLocaleString('en')} shapes; an icon may have ${mostShapes}. Add it as a picture.`)
  const box = (svg.getAttribute('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const view =
    box.length === 4 && box.every(Number.isFinite) && box[2]! > 0 && box[3]! > 0
      ? (box as [number, number, number, number])
      : ([
          0,
          0,
          Number.parseFloat(svg.getAttribute('width') ?? '') || 24,
          Number.parseFloat(svg.getAttribute('height') ?? '') || 24,
        ] as const)
  const painted: Painted[] = []
  for (const node of all) {
    if (node.closest('defs, clipPath, mask, symbol, pattern')) continue
    const found: Partial<Record<(typeof inherited)[number], string>> = {}
    const transforms: string[] = []
    for (let at: Element | null = node; at; at = at === svg ? null : at.parentElement) {
      for (const attribute of inherited) found[attribute] ??= at.getAttribute(attribute) ?? undefined
      const transform = at.getAttribute('transform')
      if (transform && at !== svg) transforms.unshift(transform)
    }
    if (found.display === 'none' || found.visibility === 'hidden') continue
    const attributes = Object.fromEntries(Array.from(node.attributes, ({ name: key, value }) => [key, value]))
    painted.push({
      shape: [node.tagName.toLowerCase(), attributes],
      transform: transforms.join(' ') || undefined,
      filled: found.fill !== 'none',
      line: found.stroke && found.stroke !== 'none' ? Number.parseFloat(found['stroke-width'] ?? '1') || 1 : 0,
    })
  }
  const icon = drawnIconOf(name.replace(/\.svg$/i, ''), view, painted)
  return icon ? { ok: true, value: icon } : failed(`${called} has no shape that can be drawn in one colour. Add it as a picture.`)
}
