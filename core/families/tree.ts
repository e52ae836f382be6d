import type { Frame, Item } from './family'

/** A node of a tree with its place among the levels. */
export interface Node {
  path: string
  item: Item
  /** 0 for the topmost. */
  level: number
  /** Where it stands across its level's direction, in leaves. */
  at: number
  parent: Node | null
}

/** The nodes of a tree laid out so that each stands over the middle of what is under it; `leaves` is the breadth. */
export function treeNodes(items: readonly Item[]): { nodes: Node[]; leaves: number; depth: number } {
  const nodes: Node[] = []
  let leaves = 0
  let depth = 0
  const walk = (item: Item, path: string, level: number, parent: Node | null): Node => {
    depth = Math.max(depth, level + 1)
    const node: Node = { path, item, level, at: 0, parent }
    nodes.push(node)
    const under = item.under.map((child, index) => walk(child, `${path}-${index + 1}`, level + 1, node))
    node.at = under.length ? (under[0]!.at + under.at(-1)!.at) / 2 : leaves++
    return node
  }
  items.forEach((item, index) => walk(item, String(index + 1), 0, null))
  return { nodes, leaves: Math.max(1, leaves), depth: Math.max(1, depth) }
}

/** The frame of a node in a grid of leaves by levels; `down`: levels go down, leaves across. */
export function nodeFrame(
  node: Node,
  area: Frame,
  leaves: number,
  depth: number,
  down: boolean,
  gap: { leaf: number; level: number },
): Frame {
  const [long, high] = down ? [area.width, area.height] : [area.height, area.width]
  const leafGap = Math.min(gap.leaf, (long / leaves) * 0.2)
  const levelGap = Math.min(gap.level, (high / depth) * 0.35)
  const leaf = Math.min((long - leafGap * (leaves - 1)) / leaves, long * (down ? 0.36 : 0.3))
  const level = Math.min((high - levelGap * (depth - 1)) / depth, high * (down ? 0.26 : 0.36))
  const used = leaf * leaves + leafGap * (leaves - 1)
  const across = (long - used) / 2 + node.at * (leaf + leafGap)
  const step = depth > 1 ? (high - level) / (depth - 1) : 0
  const along = node.level * Math.min(step, level + levelGap * 1.6)
  return down
    ? { x: area.x + across, y: area.y + along, width: leaf, height: level }
    : { x: area.x + along, y: area.y + across, width: level, height: leaf }
}
