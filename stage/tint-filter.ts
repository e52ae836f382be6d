const svgSpace = 'http://www.w3.org/2000/svg'

interface Tint {
  flood: SVGFEFloodElement
  css: string
}
const known = new WeakMap<Element, Tint>()
let count = 0

/** The CSS filter that lays a colour by an amount, 0 to 1, over what is seen of a node; the filter is the node’s own and kept with it. */
export function tintFilter(node: HTMLElement | SVGElement, color: string, amount: number): string {
  let tint = known.get(node)
  if (!tint?.flood.isConnected) {
    const id = `stage-tint-${++count}`
    const drawing = document.createElementNS(svgSpace, 'svg')
    drawing.setAttribute('class', 'stage-definitions')
    drawing.setAttribute('aria-hidden', 'true')
    const put = <Name extends keyof SVGElementTagNameMap>(parent: Element, name: Name, attributes: Readonly<Record<string, string>>) => {
      const made = document.createElementNS(svgSpace, name)
      for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value)
      parent.append(made)
      return made
    }
    const filter = put(drawing, 'filter', {
      id: id,
      x: '-20%',
      y: '-20%',
      width: '140%',
      height: '140%',
      'color-interpolation-filters': 'sRGB',
    })
    const flood = put(filter, 'feFlood', { result: 'color' })
    put(filter, 'feComposite', { in: 'color', in2: 'SourceAlpha', operator: 'in', result: 'laid' })
    const merge = put(filter, 'feMerge', {})
    put(merge, 'feMergeNode', { in: 'SourceGraphic' })
    put(merge, 'feMergeNode', { in: 'laid' })
    const holder = node.closest('.stage-slide') ?? document.body
    holder.append(drawing)
    tint = { flood, css: `url(#${id})` }
    known.set(node, tint)
  }
  tint.flood.setAttribute('flood-color', color)
  tint.flood.setAttribute('flood-opacity', String(Math.round(amount * 1000) / 1000))
  return tint.css
}
