import dagre from '@dagrejs/dagre'
import { orderOfCore, roomOfCore } from './graph.mjs'

/** Rooms that stand beside the house: what tries, measures and starts it. */
const beside = new Set(['tests', 'bench', 'attack', 'scripts', 'database'])

/** The room of a file as the drawing names it: of core, each of its rooms. */
const nameOf = file => (file.startsWith('core/') ? roomOfCore(file) : file.split('/')[0])

/** Which room imports from which: pairs of names, without what follows from other pairs. */
export function arrowsOf(house) {
  const next = new Map()
  for (const [file, imports] of house) {
    const from = nameOf(file)
    if (from === null || beside.has(from)) continue
    if (!next.has(from)) next.set(from, new Set())
    for (const to of imports.map(nameOf)) if (to !== null && to !== from && !beside.has(to)) next.get(from).add(to)
  }
  const reaches = (from, to, but) =>
    [...(next.get(from) ?? [])].some(step => !(but && step === to) && (step === to || reaches(step, to, false)))
  return [...next]
    .flatMap(([from, all]) =>
      [...all]
        .filter(to => !reaches(from, to, true))
        .sort()
        .map(to => [from, to]),
    )
    .sort(([a, b], [c, d]) => (a + b < c + d ? -1 : 1))
}

const height = 34
const widthOf = name => 26 + name.length * 8.2

/** The graph of rooms as SVG: whoever imports stands above what it imports from. */
export function drawHouse(house) {
  const arrows = arrowsOf(house)
  const graph = new dagre.graphlib.Graph()
  graph.setGraph({ rankdir: 'TB', nodesep: 26, ranksep: 46, marginx: 20, marginy: 20 })
  graph.setDefaultEdgeLabel(() => ({}))
  for (const name of new Set(arrows.flat())) graph.setNode(name, { width: widthOf(name), height })
  for (const [from, to] of arrows) graph.setEdge(from, to)
  dagre.layout(graph)
  const round = value => Math.round(value * 10) / 10
  const { width, height: tall } = graph.graph()
  const lines = arrows.map(([from, to]) => {
    const [first, ...rest] = graph.edge(from, to).points
    return (
      `  <path d="M${round(first.x)} ${round(first.y)} ` +
      `${rest.map(({ x, y }) => `L${round(x)} ${round(y)}`).join(' ')}"><title>${from} imports from ${to}</title></path>`
    )
  })
  const boxes = graph.nodes().map(name => {
    const { x, y, width: wide } = graph.node(name)
    const kind = orderOfCore.includes(name) ? 'core' : 'outer'
    return (
      `  <g class="${kind}"><rect x="${round(x - wide / 2)}" y="${round(y - height / 2)}" width="${round(wide)}" ` +
      `height="${height}" rx="8"/><text x="${round(x)}" y="${round(y + 5)}">${name}</text></g>`
    )
  })
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${Math.ceil(width)} ${Math.ceil(tall)}" role="img" aria-label="The rooms of the house; whoever imports stands above what it imports from">
<style>
  rect { fill: #ffffff; stroke: #9fb3b3; stroke-width: 1.5 }
  .core rect { fill: #e6f1ef; stroke: #12615c }
  text { font: 14px 'Hanken Grotesk', sans-serif; fill: #16302e; text-anchor: middle }
  path { fill: none; stroke: #7d9695; stroke-width: 1.4; marker-end: url(#tip) }
</style>
<defs><marker id="tip" viewBox="0 0 8 8" refX="7" refY="4" markerWidth="7" markerHeight="7" orient="auto"><path d="M0 0 L8 4 L0 8 z" style="fill:#7d9695;stroke:none"/></marker></defs>
<rect x="0" y="0" width="100%" height="100%" style="fill:#f7faf9;stroke:none"/>
${lines.join('\n')}
${boxes.join('\n')}
</svg>
`
}
