import { drawTree } from './tree-drawing'
import { titleAndItems, type LayoutFamily } from './family'

/** Who belongs under whom, from the top down. */
export const treeDown: LayoutFamily = {
  name: 'tree-down',
  label: 'Tree, top down',
  senses: ['hierarchy'],
  finds: 'organisation chart reporting structure tree departments under hierarchy',
  content: 'tree',
  split: 'none',
  best: [1, 3],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => drawTree(items, area, room, true),
}
