import { hierarchy, tree as treeLayout } from 'd3-hierarchy'
import { around, at, gapOf, inset, rectangle, stacked, type DiagramFamily, type ItemDrawing, type Spot } from '../drawing'
import { flat, rooted, type DiagramItem } from '../items'

interface Node {
  item: DiagramItem | null
  children: Node[]
}
const nodeOf = (item: DiagramItem): Node => ({ item, children: item.children.map(nodeOf) })

/** A forest laid out by the tidy tree of d3-hierarchy (Reingold and Tilford, in Buchheim's form): x 0 to 1 across, depth down. */
function tidy(items: readonly DiagramItem[]): {
  places: Map<DiagramItem, { x: number; depth: number; parent: DiagramItem | null }>
  levels: number
  breadth: number
} {
  const top = hierarchy<Node>({ item: null, children: items.map(nodeOf) }, node => node.children)
  treeLayout<Node>()
    .nodeSize([1, 1])
    .separation((a, b) => (a.parent === b.parent ? 1 : 1.15))(top)
  const nodes = top.descendants().filter(node => node.data.item)
  const [least, most] = [Math.min(...nodes.map(node => node.x!)), Math.max(...nodes.map(node => node.x!))]
  const breadth = most - least + 1
  return {
    places: new Map(
      nodes.map(node => [
        node.data.item!,
        { x: (node.x! - least + 0.5) / breadth, depth: node.depth - 1, parent: node.parent?.data.item ?? null },
      ]),
    ),
    levels: Math.max(...nodes.map(node => node.depth)),
    breadth,
  }
}

/** Who belongs under whom, from the top down or from the left. */
export const tree: DiagramFamily = {
  name: 'tree',
  label: 'Tree',
  description: 'Who or what belongs under which',
  keywords: 'hierarchy organisation chart reports structure',
  depth: Infinity,
  options: [
    {
      name: 'way',
      label: 'Grows',
      values: [
        { value: 'down', label: 'downwards' },
        { value: 'across', label: 'to the right' },
      ],
    },
  ],
  draw(items, size, options) {
    if (!items.length) return { back: [], items: [] }
    const across = options.way === 'across'
    const { places, levels, breadth } = tidy(items)
    const [along, deep] = across ? [size.height, size.width] : [size.width, size.height]
    const step = deep / levels
    const node = across
      ? { width: Math.max(4, step * 0.72), height: Math.max(4, Math.min((along / breadth) * 0.8, step * 0.5)) }
      : { width: Math.max(4, (along / breadth) * 0.88), height: Math.max(4, Math.min(step * 0.62, (along / breadth) * 0.75)) }
    const spare = levels > 1 ? (deep - (across ? node.width : node.height)) / (levels - 1) : 0
    const center = (item: DiagramItem): Spot => {
      const { x, depth } = places.get(item)!
      const far = levels > 1 ? depth * spare + (across ? node.width : node.height) / 2 : deep / 2
      return across ? { x: far, y: x * along } : { x: x * along, y: far }
    }
    return {
      back: [],
      items: flat(items).map((item): ItemDrawing => {
        const { parent, depth } = places.get(item)!
        const spot = center(item)
        const place = around(spot, node.width, node.height)
        const links: ItemDrawing['links'] = []
        if (parent) {
          const above = center(parent)
          if (across) {
            const bend = (above.x + node.width / 2 + place.x) / 2
            links.push({ d: `M${at({ x: above.x + node.width / 2, y: above.y })}H${bend}V${spot.y}H${place.x}` })
          } else {
            const bend = (above.y + node.height / 2 + place.y) / 2
            links.push({ d: `M${at({ x: above.x, y: above.y + node.height / 2 })}V${bend}H${spot.x}V${place.y}` })
          }
        }
        return {
          item,
          place,
          shapes: [{ d: rectangle(place, 8), look: depth === 0 ? 'solid' : 'soft' }],
          links,
          ...stacked({ ...item, children: [] }, inset(place, node.width * 0.05, node.height * 0.07), depth === 0 ? 'solid' : 'soft'),
        }
      }),
    }
  },
}

/** Thoughts that spread from one in the middle to both sides. */
export const branches: DiagramFamily = {
  name: 'branches',
  label: 'Branches',
  description: 'What one thought leads to',
  keywords: 'mind map ideas topics spread brainstorm',
  depth: Infinity,
  root: true,
  draw(items, size) {
    const root = rooted(items)
    if (!root) return { back: [], items: [] }
    const half = Math.ceil(root.children.length / 2)
    const sides = [root.children.slice(0, half), root.children.slice(half)]
    const center = { x: size.width / 2, y: size.height / 2 }
    const own = { width: size.width * (root.children.length ? 0.2 : 0.6), height: Math.min(size.height * 0.3, size.width * 0.14) }
    const core: ItemDrawing = {
      item: root,
      place: around(center, own.width, own.height),
      shapes: [{ d: rectangle(around(center, own.width, own.height), own.height / 2), look: 'solid' }],
      links: [],
      ...stacked({ ...root, children: [] }, inset(around(center, own.width, own.height), own.height * 0.3, own.height * 0.1), 'solid'),
    }
    const made = new Map<DiagramItem, ItemDrawing>()
    sides.forEach((list, side) => {
      if (!list.length) return
      const { places, levels, breadth } = tidy(list)
      const gap = gapOf(size)
      const room = (size.width - own.width) / 2 - gap
      const step = room / levels
      const node = { width: Math.max(4, step * 0.78), height: Math.max(4, Math.min((size.height / breadth) * 0.8, size.height * 0.2)) }
      const spotOf = (item: DiagramItem) => {
        const { x, depth } = places.get(item)!
        const out = own.width / 2 + gap + step * depth + step - node.width / 2
        return { x: center.x + (side ? -out : out), y: x * size.height }
      }
      for (const item of flat(list)) {
        const { parent } = places.get(item)!
        const spot = spotOf(item)
        const place = around(spot, node.width, node.height)
        const from = parent
          ? { x: spotOf(parent).x + (side ? -node.width : node.width) / 2, y: spotOf(parent).y }
          : { x: center.x + (side ? -own.width : own.width) / 2, y: center.y }
        const to = { x: side ? place.x + node.width : place.x, y: spot.y }
        const bend = (from.x + to.x) / 2
        made.set(item, {
          item,
          place,
          shapes: [{ d: rectangle(place, node.height / 3), look: 'soft' }],
          links: [{ d: `M${at(from)}C${at({ x: bend, y: from.y })} ${at({ x: bend, y: to.y })} ${at(to)}` }],
          ...stacked({ ...item, children: [] }, inset(place, node.width * 0.06, node.height * 0.08), 'soft'),
        })
      }
    })
    return { back: [], items: [core, ...flat(root.children).map(item => made.get(item)!)] }
  },
}
