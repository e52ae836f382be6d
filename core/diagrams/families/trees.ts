import dagre from '@dagrejs/dagre'
import { hierarchy, tree as treeLayout } from 'd3-hierarchy'
import {
  around,
  arrowHead,
  at,
  gapOf,
  inset,
  polygon,
  rectangle,
  stacked,
  type DiagramFamily,
  type ItemDrawing,
  type Place,
  type Size,
  type Spot,
} from '../drawing'
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
  says: 'Who or what belongs under which',
  words: 'hierarchy organisation chart reports structure',
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
  says: 'What one thought leads to',
  words: 'mind map ideas topics spread brainstorm',
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

/** A line that names another one to go on with: “→ Board”. */
const reference = /^\s*(?:→|->|=>)\s*(.+)$/
/** Under a question, the words before a colon say the answer: “Yes: board”. */
const answered = /^([^:：]{1,24})[:：]\s*(.+)$/

/** Steps with questions in between; answers lead on, and back where they name what was before. */
export const flow: DiagramFamily = {
  name: 'flow',
  label: 'Flow with decisions',
  says: 'What follows from which answer',
  words: 'flowchart decision process algorithm yes no',
  depth: Infinity,
  options: [
    {
      name: 'way',
      label: 'Runs',
      values: [
        { value: 'down', label: 'downwards' },
        { value: 'across', label: 'to the right' },
      ],
    },
  ],
  draw(items, size, options) {
    const all = flat(items)
    if (!all.length) return { back: [], items: [] }
    const isQuestion = (item: DiagramItem) => /[?？؟]\s*$/.test(item.words)
    const graph = new dagre.graphlib.Graph({ multigraph: true })
    const across = options.way === 'across'
    const unit: Size = { width: 190, height: 84 }
    graph.setGraph({ rankdir: across ? 'LR' : 'TB', nodesep: 36, ranksep: 54, edgesep: 18, marginx: 4, marginy: 4 })
    const idOf = new Map(all.map((item, index) => [item, String(index)]))
    const target = (words: string) =>
      all.find(
        item =>
          !reference.test(item.words) && (item.words.trim() === words.trim() || answered.exec(item.words)?.[2]?.trim() === words.trim()),
      )
    const nodes = all.filter(item => !(reference.exec(item.words) && target(reference.exec(item.words)![1]!)))
    for (const item of nodes)
      graph.setNode(idOf.get(item)!, isQuestion(item) ? { width: unit.width, height: unit.height * 1.35 } : { ...unit })
    interface Edge {
      from: DiagramItem
      to: DiagramItem
      label: string
      with: DiagramItem
    }
    const edges: Edge[] = []
    const visit = (item: DiagramItem, parent: DiagramItem | null) => {
      const named = reference.exec(item.words)
      const to = named ? target(named[1]!) : undefined
      if (parent)
        edges.push({
          from: parent,
          to: to ?? item,
          label: isQuestion(parent) && !to ? (answered.exec(item.words)?.[1] ?? '') : '',
          with: item,
        })
      for (const child of item.children) visit(child, to ?? item)
    }
    items.forEach((item, index) => {
      visit(item, null)
      // Top lines follow one another, unless the one before ends in answers of its own.
      const before = items[index - 1]
      if (before && !before.children.length) edges.push({ from: before, to: item, label: '', with: item })
    })
    edges.forEach((edge, index) =>
      graph.setEdge(
        idOf.get(edge.from)!,
        idOf.get(edge.to)!,
        { width: edge.label ? edge.label.length * 9 + 12 : 0, height: edge.label ? 24 : 0, labelpos: 'c' },
        String(index),
      ),
    )
    dagre.layout(graph)
    const { width: wide = 1, height: high = 1 } = graph.graph() as { width?: number; height?: number }
    const scale = Math.min(size.width / wide, size.height / high)
    const [dx, dy] = [(size.width - wide * scale) / 2, (size.height - high * scale) / 2]
    const put = (spot: Spot): Spot => ({ x: spot.x * scale + dx, y: spot.y * scale + dy })
    const links = new Map<DiagramItem, ItemDrawing['links']>()
    edges.forEach((edge, index) => {
      const found = graph.edge(idOf.get(edge.from)!, idOf.get(edge.to)!, String(index)) as
        { points: Spot[]; x?: number; y?: number; width: number; height: number } | undefined
      if (!found) return
      const points = found.points.map(put)
      const [last, tip] = [points.at(-2)!, points.at(-1)!]
      const label =
        edge.label && found.x !== undefined
          ? {
              what: 'label' as const,
              words: edge.label,
              place: around(put({ x: found.x, y: found.y! }), found.width * scale, found.height * scale),
              align: 'center' as const,
              vertical: 'middle' as const,
              on: 'ground' as const,
            }
          : undefined
      const d = `M${points.map(at).join('L')}`
      const owner = nodes.includes(edge.with) ? edge.with : edge.from
      links.set(owner, [
        ...(links.get(owner) ?? []),
        { d, head: arrowHead(tip, Math.atan2(tip.y - last.y, tip.x - last.x), 11 * scale), ...(label ? { label } : {}) },
      ])
    })
    return {
      back: [],
      items: all.map((item): ItemDrawing => {
        const found = nodes.includes(item) ? (graph.node(idOf.get(item)!) as { x: number; y: number; width: number; height: number }) : null
        if (!found) return { item, place: { x: 0, y: 0, width: 0, height: 0 }, shapes: [], texts: [], links: [] }
        const spot = put(found)
        const place: Place = around(spot, found.width * scale, found.height * scale)
        const question = isQuestion(item)
        const d = question
          ? polygon([
              { x: spot.x, y: place.y },
              { x: place.x + place.width, y: spot.y },
              { x: spot.x, y: place.y + place.height },
              { x: place.x, y: spot.y },
            ])
          : rectangle(place, 10 * scale)
        const look = question ? ('solid' as const) : ('soft' as const)
        const own = stacked(
          { ...item, children: [] },
          question ? inset(place, place.width * 0.2, place.height * 0.24) : inset(place, place.width * 0.05, place.height * 0.08),
          look,
        )
        const label = links.get(item)?.find(link => link.label)?.label
        const answer = label ? answered.exec(item.words)?.[2] : undefined
        return {
          item,
          place,
          shapes: [{ d, look }],
          links: links.get(item) ?? [],
          ...own,
          texts: own.texts.map(text => (answer && text.what === 'head' ? { ...text, words: answer } : text)),
        }
      }),
    }
  },
}
