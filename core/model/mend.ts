import { layoutsOf, mastersOf } from './groups'
import type { AnyRecord, Deck, RecordOf, TableName } from './records'
import type { Element } from './records/element'
import type { Beat, Cue } from './records/slide'

/** What was put right, in words for a person; `deck` is the very same object where nothing was. */
export interface Mended {
  deck: Deck
  notes: string[]
}

/** A deck while it is mended: its tables as far as they are right by now, and what was done. */
function mending(deck: Deck) {
  const notes = new Map<string, number>()
  const tables: Partial<Record<TableName, Record<string, AnyRecord>>> = {}
  const note = (words: string) => notes.set(words, (notes.get(words) ?? 0) + 1)
  const write = (table: TableName) => (tables[table] ??= { ...deck[table] })
  return {
    at: <T extends TableName>(table: T) => (tables[table] ?? deck[table]) as Deck[T],
    put<T extends TableName>(table: T, record: RecordOf<T>, words: string) {
      write(table)[record.id] = record
      note(words)
    },
    drop(table: TableName, id: string, words: string) {
      delete write(table)[id]
      note(words)
    },
    /** The very same deck where nothing was done. */
    done: (): Mended => ({
      deck: notes.size ? ({ ...deck, ...tables } as Deck) : deck,
      notes: [...notes].map(([words, count]) => `${count} × ${words}`),
    }),
  }
}
type Mending = ReturnType<typeof mending>

function mendLayouts(deck: Deck, { put, drop }: Mending) {
  const master = mastersOf(deck)[0]
  for (const layout of Object.values(deck.layouts)) {
    if (deck.masters[layout.master]) continue
    if (master) put('layouts', { ...layout, master: master.id }, 'layout given the first master, since its own is gone')
    else drop('layouts', layout.id, 'layout without any master left out')
  }
}

function mendSlides(deck: Deck, { at, put, drop }: Mending) {
  const first = layoutsOf(deck).find(layout => at('layouts')[layout.id])
  for (const slide of Object.values(deck.slides)) {
    if (at('layouts')[slide.layout]) continue
    if (first) put('slides', { ...slide, layout: first.id }, 'slide given the first layout, since its own is gone')
    else drop('slides', slide.id, 'slide without any layout left out')
  }
}

const withoutParent = ({ parent: _, ...rest }: Element) => rest as Element

function mendElements(deck: Deck, { at, put, drop }: Mending) {
  for (const element of Object.values(deck.elements)) {
    const { owner, parent } = element
    if (!at('slides')[owner] && !at('layouts')[owner] && !deck.masters[owner])
      drop('elements', element.id, 'element whose slide is gone left out')
    else if (parent && deck.elements[parent]?.kind !== 'group')
      put('elements', withoutParent(element), 'element taken out of a group that is gone')
  }
}

/** Whether a group stands, by however many others, in itself. */
function isInItself(elements: Deck['elements'], group: Element): boolean {
  const around = new Set([group.id])
  for (let up = group.parent; up; up = elements[up]?.parent) {
    if (around.has(up)) return true
    around.add(up)
  }
  return false
}

function mendGroups({ at, put }: Mending) {
  for (const { id } of Object.values(at('elements'))) {
    // As it is by now: another group of the same circle may have been taken out of it.
    const group = at('elements')[id]
    if (group?.kind === 'group' && isInItself(at('elements'), group)) put('elements', withoutParent(group), 'group taken out of itself')
  }
}

function mendBeats(deck: Deck, { at, put, drop }: Mending) {
  const withBeats = new Set<string>()
  for (const beat of Object.values(deck.beats)) {
    if (at('slides')[beat.slide]) withBeats.add(beat.slide)
    else drop('beats', beat.id, 'beat whose slide is gone left out')
  }
  for (const { id: slide } of Object.values(at('slides'))) {
    if (withBeats.has(slide)) continue
    const id = `${slide}-beat`.slice(-64)
    put('beats', { id, slide, order: 'a0', start: 'advance', hold: { kind: 'reading' } }, 'slide given the beat that it lacked')
  }
}

function mendCues(deck: Deck, { at, put, drop }: Mending) {
  /** Whether a cue's element is to be seen on its beat's slide. */
  const stands = (cue: Cue, beat: Beat) => {
    if (cue.element === null) return cue.what === 'camera'
    const owner = at('elements')[cue.element]?.owner
    const slide = at('slides')[beat.slide]
    return owner === slide?.id || owner === slide?.layout || owner === at('layouts')[slide?.layout ?? '']?.master
  }
  for (const cue of Object.values(deck.cues)) {
    const beat = at('beats')[cue.beat]
    if (!beat) drop('cues', cue.id, 'cue whose beat is gone left out')
    else if (!stands(cue, beat)) drop('cues', cue.id, 'cue whose element is gone left out')
  }
  for (const cue of Object.values(at('cues'))) {
    if (cue.anchor.to === 'beat' || at('cues')[cue.anchor.cue]?.beat === cue.beat) continue
    put('cues', { ...cue, anchor: { to: 'beat' } }, 'cue set to start with its beat, since what it followed is gone')
  }
}

function mendStatesAndSounds(deck: Deck, { at, drop }: Mending) {
  for (const state of Object.values(deck.states))
    if (!at('elements')[state.element]) drop('states', state.id, 'state whose chart is gone left out')
  for (const { id, fromSlide, untilSlide } of Object.values(deck.sounds))
    if (!at('slides')[fromSlide] || !at('slides')[untilSlide]) drop('sounds', id, 'sound whose slides are gone left out')
}

/**
 * Puts right everything in a deck that refers to what is gone: the one place where that happens, used on reading.
 * Slides without their layout go to the first one; beats, cues, elements and states without an owner are left out; a
 * cue whose anchor is gone starts with its beat; a slide without a beat gets one.
 */
export function mend(deck: Deck): Mended {
  const work = mending(deck)
  // What others refer to comes first.
  mendLayouts(deck, work)
  mendSlides(deck, work)
  mendElements(deck, work)
  mendGroups(work)
  mendBeats(deck, work)
  mendCues(deck, work)
  mendStatesAndSounds(deck, work)
  return work.done()
}
