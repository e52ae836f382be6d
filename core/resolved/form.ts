import type { Change, AnyRecord, Deck, Element, ElementKind, TableName } from '../model'
import type { Id } from '../values'
import { shownElement } from './inherit'

/** The fields by which a place of each kind is filled. */
const filling: Partial<Record<ElementKind, readonly string[]>> = {
  text: ['text'],
  diagram: ['text'],
  picture: ['media', 'natural', 'view', 'focus', 'proposed'],
  film: ['media', 'natural', 'from', 'until', 'poster', 'captions'],
  sound: ['media', 'from', 'until', 'captions'],
  chart: ['chart', 'text'],
  table: ['table', 'cells', 'amounts', 'columns', 'looks'],
}

const refusal = 'This deck is a form: only what fills its places can be changed. Ask who made it, or an admin, for more.'

/** A box that grows with its words stands where it stood, as wide as it was. */
function hasOnlyGrown(deck: Deck, id: Id, box: Element['box']): boolean {
  const shown = shownElement(deck, id)
  if (!box || shown?.kind !== 'text' || shown.fit !== 'grow') return false
  return (['x', 'y', 'width', 'angle'] as const).every(side => Math.abs(box[side] - shown.box[side]) < 0.01)
}

const differing = (before: AnyRecord, after: AnyRecord): string[] => {
  const [a, b] = [before, after] as unknown as [Record<string, unknown>, Record<string, unknown>]
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].filter(field => JSON.stringify(a[field]) !== JSON.stringify(b[field]))
}

/**
 * Why somebody whom a form binds may not change a record, null where they may: they fill the places of its slides and write notes;
 * nothing comes, goes or looks otherwise. `fields` are those that change, null where all of it is put or goes; `after` is what it
 * becomes, null where it goes.
 */
export function faultOnForm(
  before: Deck,
  table: TableName,
  id: Id,
  fields: Iterable<string> | null,
  after: AnyRecord | null,
): string | null {
  const known = before[table][id]
  if (!known || !after) return refusal
  const changed = fields ? [...fields] : differing(known, after)
  if (table === 'slides') return changed.every(field => field === 'notes') ? null : refusal
  const element = table === 'elements' ? (known as Element) : null
  if (!element?.placeholder || !before.slides[element.owner]) return refusal
  const free = ['alt', ...(filling[element.kind] ?? [])]
  return changed.every(field => free.includes(field) || (field === 'box' && hasOnlyGrown(before, id, (after as Element).box)))
    ? null
    : refusal
}

/** The same of changes that are still to be made. */
export function changesOnForm(deck: Deck, changes: readonly Change[]): string | null {
  for (const change of changes) {
    const id = change.do === 'put' ? change.record.id : change.id
    const known = deck[change.table][id]
    const after = change.do === 'put' ? change.record : change.do === 'set' && known ? ({ ...known, ...change.fields } as AnyRecord) : null
    const fault = faultOnForm(deck, change.table, id, change.do === 'set' ? Object.keys(change.fields) : null, after)
    if (fault) return fault
  }
  return null
}
