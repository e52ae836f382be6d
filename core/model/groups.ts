import type { Deck } from './records'
import type { Id } from '../values'
import type { State } from './records/chart'
import type { Element } from './records/element'
import type { Beat, Cue, Slide, Sound, Variant } from './records/slide'
import type { Layout, Master } from './records/theme'

/** What can be grouped; the one record of a table that has no order is never asked for its place. */
type Row = { readonly id: string; readonly order?: string }
type Groups = ReadonlyMap<string, readonly Row[]>

const grouped = new WeakMap<object, Map<string, Groups>>()
const none: readonly never[] = []

/** Compares by fractional index, then by id, so that two clients always agree. */
export function byOrder(a: Row, b: Row) {
  const [first, second] = [a.order ?? '', b.order ?? '']
  return first < second ? -1 : first > second ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0
}

const keyed = (row: Row, key: string) => String((row as unknown as Record<string, unknown>)[key] ?? '')

function groupsOf(table: Readonly<Record<string, Row>>, key: string): Groups {
  let cached = grouped.get(table)
  if (!cached) grouped.set(table, (cached = new Map()))
  let groups = cached.get(key)
  if (!groups) {
    const made = new Map<string, Row[]>()
    for (const id in table) {
      const row = table[id]!
      const owner = keyed(row, key)
      const list = made.get(owner)
      if (list) list.push(row)
      else made.set(owner, [row])
    }
    for (const list of made.values()) list.sort(byOrder)
    cached.set(key, (groups = made))
  }
  return groups
}

/**
 * Hands the groups of one version of a table on to the next, regrouping only the owners of the changed records, so that
 * an edit to one slide of three hundred costs one slide.
 */
export function carryGroups(previous: Readonly<Record<string, Row>>, next: Readonly<Record<string, Row>>, changed: Iterable<string>) {
  const cached = grouped.get(previous)
  if (!cached) return
  const changedIds = new Set(changed)
  const ids = [...changedIds]
  const carried = new Map<string, Groups>()
  for (const [key, groups] of cached) {
    const added = new Map<string, Row[]>()
    const touch = (owner: string) => {
      let list = added.get(owner)
      if (!list) added.set(owner, (list = []))
      return list
    }
    for (const id of ids) {
      if (previous[id]) touch(keyed(previous[id], key))
      if (next[id]) touch(keyed(next[id], key)).push(next[id])
    }
    const made = new Map(groups)
    for (const [owner, rows] of added) {
      const kept = (groups.get(owner) ?? []).filter(row => !changedIds.has(row.id))
      made.set(owner, [...kept, ...rows].sort(byOrder))
    }
    carried.set(key, made)
  }
  grouped.set(next, carried)
}

const group = <R extends Row>(table: Readonly<Record<string, R>>, key: string, owner: string) =>
  (groupsOf(table, key).get(owner) ?? none) as readonly R[]

/** A deck's slides in order. */
export const slidesOf = (deck: Deck) => group<Slide>(deck.slides, '', '')
export const layoutsOf = (deck: Deck) => group<Layout>(deck.layouts, '', '')
export const mastersOf = (deck: Deck) => group<Master>(deck.masters, '', '')
/** The elements that a slide, layout or master itself owns, back to front. */
export const elementsOf = (deck: Deck, owner: Id) => group<Element>(deck.elements, 'owner', owner)
export const beatsOf = (deck: Deck, slide: Id) => group<Beat>(deck.beats, 'slide', slide)
export const cuesOf = (deck: Deck, beat: Id) => group<Cue>(deck.cues, 'beat', beat)
export const cuesOfElement = (deck: Deck, element: Id) => group<Cue>(deck.cues, 'element', element)
export const statesOf = (deck: Deck, element: Id) => group<State>(deck.states, 'element', element)
/** The deck's sounds that begin with a slide, or all of them. */
export const soundsFrom = (deck: Deck, slide: Id) => group<Sound>(deck.sounds, 'fromSlide', slide)
export const soundsOf = (deck: Deck) => group<Sound>(deck.sounds, '', '')
export const variantsOf = (deck: Deck) => group<Variant>(deck.variants, '', '')
