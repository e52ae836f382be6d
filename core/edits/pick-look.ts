import { setRecord, type Change, type Deck, type Element } from '../model'
import type { Id } from '../values'

/** How an element looks, whatever it holds: what can be put on others. */
export interface PickedLook {
  kind: Element['kind']
  fields: Readonly<Record<string, unknown>>
}

/** The fields of each kind that say how it looks. All kinds share the first. */
const general = ['opacity', 'shadow'] as const
const looks: Partial<Record<Element['kind'], readonly string[]>> = {
  text: [
    'style',
    'align',
    'vertical',
    'color',
    'size',
    'weight',
    'family',
    'lineHeight',
    'letterSpacing',
    'case',
    'panel',
    'outline',
    'paint',
    'columns',
    'bullets',
  ],
  picture: ['frame', 'treatment', 'border'],
  shape: ['fill', 'stroke', 'ends', 'radius'],
  icon: ['color', 'weight'],
  diagram: ['options'],
  table: ['banding', 'rules', 'color', 'size', 'head'],
  figure: ['look', 'speaker'],
}

const value = (element: Element, field: string) => (element as unknown as Record<string, unknown>)[field]

/** The look of an element. */
export const lookOf = (element: Element): PickedLook => ({
  kind: element.kind,
  fields: Object.fromEntries([...general, ...(looks[element.kind] ?? [])].map(field => [field, value(element, field)])),
})

/** The plain colour that an element has, whatever kind it is. */
function mainColor({ kind, fields }: PickedLook): unknown {
  const found = kind === 'shape' ? (fields.fill ?? (fields.stroke as { color?: unknown } | undefined)?.color) : fields.color
  return found && typeof found === 'object' && !('kind' in found) ? found : undefined
}

/** Puts a look on elements: all of it on those of its kind, on others what they share with it, and its colour. */
export function putLook(deck: Deck, input: { look: PickedLook; elements: readonly Id[] }): Change[] {
  return input.elements.flatMap((id): Change[] => {
    const element = deck.elements[id]
    if (!element) return []
    const same = element.kind === input.look.kind
    const fields: Record<string, unknown> = same
      ? { ...input.look.fields }
      : Object.fromEntries(general.map(field => [field, input.look.fields[field]]))
    const color = mainColor(input.look)
    if (!same && color) {
      if (element.kind === 'shape')
        Object.assign(fields, element.shape === 'line' ? { stroke: { ...(element.stroke ?? { width: 6 }), color } } : { fill: color })
      else if (element.kind === 'text' || element.kind === 'icon') fields.color = color
    }
    return [setRecord('elements', id, fields)]
  })
}
