import { itemPlace } from './arrangement'
import type { AnyRecord, Deck, Element, ElementKind, Id, TableName } from './records'
import type { Change } from './changes'

/** The fields by which a place of each kind is filled. */
const filling: Partial<Record<ElementKind, readonly string[]>> = {
  text: ['text'],
  diagram: ['text'],
  picture: ['media', 'natural', 'view', 'focus'],
  film: ['media', 'natural', 'from', 'until', 'poster', 'captions'],
  sound: ['media', 'from', 'until', 'captions'],
  chart: ['chart'],
  table: ['table', 'cells', 'columns', 'looks'],
}

const refusal = 'This deck is a form: only what fills its places can be changed. Ask who made it, or an admin, for more.'

const isItem = (deck: Deck, element: Pick<Element, 'owner' | 'placeholder'> | undefined) => !!element && !!deck.slides[element.owner] && itemPlace(element.placeholder) !== null

/** A box that grows with its words stands where it stood, as wide as it was. */
function hasOnlyGrown(before: Element, after: Element): boolean {
  if (before.kind !== 'text' || before.fit !== 'grow' || !after.box) return false
  const { box = after.box } = before
  return box.x === after.box.x && box.width === after.box.width && box.angle === after.box.angle
}

/**
 * Why somebody whom a form binds may not change a record, null where they may: on slides they fill places, put and take items of a
 * layout, and write notes. `fields` are those that change, null where all of it comes or goes; `after` is what it becomes, null where it goes.
 */
export function faultOnForm(before: Deck, table: TableName, id: Id, fields: ReadonlySet<string> | null, after: AnyRecord | null): string | null {
  if (table === 'slides') return fields && [...fields].every(field => field === 'notes') ? null : refusal
  // What moves with an item goes with it.
  if (table === 'cues' && !after) return isItem(before, before.elements[before.cues[id]?.element ?? '']) ? null : refusal
  if (table !== 'elements') return refusal
  const known = before.elements[id]
  if (!fields || !known) return isItem(before, known) || (!known && isItem(before, after as Element | null ?? undefined)) ? null : refusal
  if (!known.placeholder || !before.slides[known.owner]) return refusal
  const free = [...(filling[known.kind] ?? []), 'alt']
  return [...fields].every(field => free.includes(field) || (field === 'box' && after !== null && hasOnlyGrown(known, after as Element))) ? null : refusal
}

/** The same of changes that are still to be made. */
export function changesOnForm(deck: Deck, changes: readonly Change[]): string | null {
  for (const change of changes) {
    const id = change.do === 'put' ? change.record.id : change.id
    const known = deck[change.table][id]
    const fault = change.do === 'set'
      ? faultOnForm(deck, change.table, id, new Set(Object.keys(change.fields)), known ? ({ ...known, ...change.fields } as AnyRecord) : null)
      : faultOnForm(deck, change.table, id, null, change.do === 'put' ? change.record : null)
    if (fault) return fault
  }
  return null
}
