import { accentAt, faint, filled } from './colors'
import { shapePlace, slot, textPlace, type Frame, type Item, type LayoutRoom, type Place } from './family'
import { inset } from './geometry'
import { nodeFrame, treeNodes } from './tree'

/** A line of upright and level pieces from a node to the one above it. */
function ties(path: string, from: Frame, to: Frame, down: boolean): Place[] {
  const width = 4
  const piece = (name: string, frame: Frame) => shapePlace(slot(path, name), `Tie ${path}`, 'rectangle', frame, { fill: faint })
  if (down) {
    const [x1, y1, x2, y2] = [from.x + from.width / 2, from.y + from.height, to.x + to.width / 2, to.y]
    const middle = (y1 + y2) / 2
    return [
      piece('tie-up', { x: x1 - width / 2, y: y1, width, height: middle - y1 }),
      piece('tie-over', { x: Math.min(x1, x2) - width / 2, y: middle - width / 2, width: Math.abs(x2 - x1) + width, height: width }),
      piece('tie-to', { x: x2 - width / 2, y: middle, width, height: y2 - middle }),
    ]
  }
  const [x1, y1, x2, y2] = [from.x + from.width, from.y + from.height / 2, to.x, to.y + to.height / 2]
  const middle = (x1 + x2) / 2
  return [
    piece('tie-up', { x: x1, y: y1 - width / 2, width: middle - x1, height: width }),
    piece('tie-over', { x: middle - width / 2, y: Math.min(y1, y2) - width / 2, width, height: Math.abs(y2 - y1) + width }),
    piece('tie-to', { x: middle, y: y2 - width / 2, width: x2 - middle, height: width }),
  ]
}

/** A tree of boxes with their ties. */
export function drawTree(items: readonly Item[], area: Frame, room: LayoutRoom, down: boolean): Place[] {
  const { nodes, leaves, depth } = treeNodes(items)
  const frames = new Map(nodes.map(node => [node, nodeFrame(node, area, leaves, depth, down, { leaf: 28, level: 72 })]))
  return nodes.flatMap(node => {
    const frame = frames.get(node)!
    const top = node.level === 0
    return [
      ...(node.parent ? ties(node.path, frames.get(node.parent)!, frame, down) : []),
      shapePlace(slot(node.path, 'box'), `Box ${node.path}`, 'rounded', frame, {
        fill: top ? filled(room, 'accent3') : { role: 'ground' },
        ...(top ? {} : { stroke: { color: filled(room, accentAt(node.level === 1 ? 0 : 3)), width: 4 } }),
        radius: 16,
      }),
      textPlace(slot(node.path, 'lead'), `Name ${node.path}`, 'lead', inset(frame, 16, 10), {
        vertical: 'middle',
        align: 'center',
        match: `level-${Math.min(node.level, 2)}`,
        size: node.level ? 36 : 44,
        ...(top ? { color: { role: 'ground' } } : {}),
      }),
    ]
  })
}
