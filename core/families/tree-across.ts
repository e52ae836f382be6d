import { drawTree } from './tree-drawing'
import { titleAndItems, type LayoutFamily } from './family'

/** What branches from what, from left to right. */
export const treeAcross: LayoutFamily = {
  name: 'tree-across',
  label: 'Tree, left to right',
  senses: ['hierarchy'],
  finds: 'organisation structure tree branches breakdown mind map taxonomy',
  content: 'tree',
  split: 'none',
  best: [1, 4],
  entrance: { effect: 'wipe' },
  places: titleAndItems,
  arrange: (items, area, room) => drawTree(items, area, room, false),
}
