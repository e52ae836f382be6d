import dagre from '@dagrejs/dagre'
import {
  around,
  arrowHead,
  at,
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
import { flat, type DiagramItem } from '../items'

/** A line that names another one to go on with: “→ Board”. */
const reference = /^\s*(?:→|->|=>)\s*(.+)$/
/** Under a question, the words before a colon say the answer: “Yes: board”. */
const answered = /^([^:：]{1,24})[:：]\s*(.+)$/
const isQuestion = (item: DiagramItem) => /[?？؟]\s*$/.test(item.words)

/** What leads from one step to another. `label` is the answer that leads there, `with` the line that says so. */
interface Edge {
  from: DiagramItem
  to: DiagramItem
  label: string
  with: DiagramItem
}

/** What an outline says: its steps, without the lines that only name another one, and what leads to what. */
function readFlow(items: readonly DiagramItem[]): { steps: Set<DiagramItem>; edges: Edge[] } {
  const all = flat(items)
  const named = (item: DiagramItem): DiagramItem | undefined => {
    const words = reference.exec(item.words)?.[1]?.trim()
    if (words === undefined) return undefined
    const isIt = (own: string) => own.trim() === words || answered.exec(own)?.[2]?.trim() === words
    return all.find(one => !reference.test(one.words) && isIt(one.words))
  }
  const edges: Edge[] = []
  const visit = (item: DiagramItem, parent: DiagramItem | null) => {
    const to = named(item)
    if (parent) {
      const label = isQuestion(parent) && !to ? (answered.exec(item.words)?.[1] ?? '') : ''
      edges.push({ from: parent, to: to ?? item, label, with: item })
    }
    for (const child of item.children) visit(child, to ?? item)
  }
  items.forEach((item, index) => {
    visit(item, null)
    // Top lines follow one another, unless the one before ends in answers of its own.
    const before = items[index - 1]
    if (before && !before.children.length) edges.push({ from: before, to: item, label: '', with: item })
  })
  return { steps: new Set(all.filter(item => !named(item))), edges }
}

/** A flow laid out, in px of the drawing; `scale` is what it was shrunk or grown by. */
interface LaidOut {
  scale: number
  places: Map<DiagramItem, Place>
  /** The bends of each edge, and the place of its label. */
  ways: { edge: Edge; points: Spot[]; label: Place | null }[]
}

const unit: Size = { width: 190, height: 84 }

/** Layers by dagre (Gansner and others, 1993), as large as the room allows. */
function layOut({ steps, edges }: ReturnType<typeof readFlow>, size: Size, across: boolean): LaidOut {
  const graph = new dagre.graphlib.Graph({ multigraph: true })
  graph.setGraph({ rankdir: across ? 'LR' : 'TB', nodesep: 36, ranksep: 54, edgesep: 18, marginx: 4, marginy: 4 })
  const ids = new Map([...steps].map((item, index) => [item, String(index)]))
  const idOf = (item: DiagramItem) => ids.get(item) ?? ''
  for (const item of steps) graph.setNode(idOf(item), isQuestion(item) ? { width: unit.width, height: unit.height * 1.35 } : { ...unit })
  const drawn = edges.filter(edge => steps.has(edge.from) && steps.has(edge.to))
  drawn.forEach((edge, index) => {
    const room = edge.label ? { width: edge.label.length * 9 + 12, height: 24 } : { width: 0, height: 0 }
    graph.setEdge(idOf(edge.from), idOf(edge.to), { ...room, labelpos: 'c' }, String(index))
  })
  dagre.layout(graph)
  const { width: wide = 1, height: high = 1 } = graph.graph() as Partial<Size>
  const scale = Math.min(size.width / wide, size.height / high)
  const [dx, dy] = [(size.width - wide * scale) / 2, (size.height - high * scale) / 2]
  const put = (spot: Spot): Spot => ({ x: spot.x * scale + dx, y: spot.y * scale + dy })
  const placeOf = (node: Spot & Size) => around(put(node), node.width * scale, node.height * scale)
  return {
    scale,
    places: new Map([...steps].map(item => [item, placeOf(graph.node(idOf(item)))])),
    ways: drawn.map((edge, index) => {
      const way = graph.edge(idOf(edge.from), idOf(edge.to), String(index)) as { points: Spot[] } & Size & Partial<Spot>
      const label = edge.label && way.x !== undefined && way.y !== undefined ? placeOf({ ...way, x: way.x, y: way.y }) : null
      return { edge, points: way.points.map(put), label }
    }),
  }
}

/** An arrow along its way, with the answer that leads there. */
function linkOf({ edge, points, label }: LaidOut['ways'][number], scale: number): ItemDrawing['links'][number] {
  const [last, tip] = points.slice(-2) as [Spot, Spot]
  return {
    d: `M${points.map(at).join('L')}`,
    head: arrowHead(tip, Math.atan2(tip.y - last.y, tip.x - last.x), 11 * scale),
    ...(label ? { label: { what: 'label', words: edge.label, place: label, align: 'center', vertical: 'middle', on: 'ground' } } : {}),
  }
}

/** A step: a question as a lozenge, all else as a box. */
function stepOf(item: DiagramItem, place: Place, links: ItemDrawing['links'], scale: number): ItemDrawing {
  const question = isQuestion(item)
  const { x, y, width, height } = place
  const d = question
    ? polygon([
        { x: x + width / 2, y },
        { x: x + width, y: y + height / 2 },
        { x: x + width / 2, y: y + height },
        { x, y: y + height / 2 },
      ])
    : rectangle(place, 10 * scale)
  const look = question ? 'solid' : 'soft'
  const own = stacked(
    { ...item, children: [] },
    question ? inset(place, width * 0.2, height * 0.24) : inset(place, width * 0.05, height * 0.08),
    look,
  )
  // The answer stands at the arrow already.
  const answer = links.some(link => link.label) ? answered.exec(item.words)?.[2] : undefined
  const texts = own.texts.map(text => (answer && text.what === 'head' ? { ...text, words: answer } : text))
  return { item, place, shapes: [{ d, look }], links, ...own, texts }
}

/** Steps with questions in between; answers lead on, and back where they name what was before. */
export const flow: DiagramFamily = {
  name: 'flow',
  label: 'Flow with decisions',
  description: 'What follows from which answer',
  keywords: 'flowchart decision process algorithm yes no',
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
    const read = readFlow(items)
    const { places, ways, scale } = layOut(read, size, options.way === 'across')
    const links = new Map<DiagramItem, ItemDrawing['links']>()
    for (const way of ways) {
      // An arrow belongs to the line that says it; a line that only names another one is none of its own.
      const owner = read.steps.has(way.edge.with) ? way.edge.with : way.edge.from
      links.set(owner, [...(links.get(owner) ?? []), linkOf(way, scale)])
    }
    return {
      back: [],
      items: all.map((item): ItemDrawing => {
        const place = places.get(item)
        return place
          ? stepOf(item, place, links.get(item) ?? [], scale)
          : { item, place: { x: 0, y: 0, width: 0, height: 0 }, shapes: [], texts: [], links: [] }
      }),
    }
  },
}
