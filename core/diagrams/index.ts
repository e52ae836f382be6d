/**
 * Diagrams: an outline drawn by a family.
 *
 * @example
 * import { diagramFamily, readItems } from 'core/diagrams'
 * import { textOf } from 'core/model'
 *
 * const items = readItems(textOf(['Arrive', 'Board', 'Sail']))
 * const drawing = diagramFamily('steps').draw(items, { width: 900, height: 300 }, {})
 * drawing.items.map(entry => entry.item.words) // → ['Arrive', 'Board', 'Sail']
 */
export { diagramParts, drawDiagram, textOfDiagram, type DrawnDiagram, type DrawnItem, type PaintedShape, type PlacedText } from './draw'
export type { DiagramDrawing, DiagramFamily, FamilyOption, ItemDrawing, Place } from './drawing'
export { diagramFamilies, diagramFamily } from './families'
export { flat, readItems, type DiagramItem } from './items'
export { diagramToText, textToDiagram } from './turn'
