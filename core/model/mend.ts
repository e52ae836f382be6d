import { layoutsOf, mastersOf } from './groups'
import type { AnyRecord, Deck, TableName } from './records'
import type { Cue } from './records/slide'

/** What was put right, in words for a person; `deck` is the very same object where nothing was. */
export interface Mended {
  deck: Deck
  notes: string[]
}

/**
 * Puts right everything in a deck that refers to what is gone: the one place where that happens, used on reading.
 * Slides without their layout go to the first one; beats, cues, elements and states without an owner are left out; a
 * cue whose anchor is gone starts with its beat; a slide without a beat gets one.
 */
export function mend(deck: Deck): Mended {
  const notes = new Map<string, number>()
  const note = (words: string) => notes.set(words, (notes.get(words) ?? 0) + 1)
  const tables: Partial<Record<TableName, Record<string, AnyRecord>>> = {}
  const at = <T extends TableName>(table: T) => (tables[table] ?? deck[table]) as Deck[T]
  const write = (table: TableName) => (tables[table] ??= { ...deck[table] })
  const drop = (table: TableName, id: string, words: string) => {
    delete write(table)[id]
    note(words)
  }

  const firstMaster = mastersOf(deck)[0]
  for (const layout of Object.values(deck.layouts)) {
    if (deck.masters[layout.master]) continue
    if (firstMaster) {
      write('layouts')[layout.id] = { ...layout, master: firstMaster.id }
      note('layout given the first master, since its own is gone')
    } else drop('layouts', layout.id, 'layout without any master left out')
  }
  const firstLayout = layoutsOf(deck).find(layout => at('layouts')[layout.id])
  for (const slide of Object.values(deck.slides)) {
    if (at('layouts')[slide.layout]) continue
    if (firstLayout) {
      write('slides')[slide.id] = { ...slide, layout: firstLayout.id }
      note('slide given the first layout, since its own is gone')
    } else drop('slides', slide.id, 'slide without any layout left out')
  }
  for (const element of Object.values(deck.elements)) {
    if (!at('slides')[element.owner] && !at('layouts')[element.owner] && !deck.masters[element.owner]) {
      drop('elements', element.id, 'element whose slide is gone left out')
    } else if (element.parent && deck.elements[element.parent]?.kind !== 'group') {
      const { parent: _, ...rest } = element
      write('elements')[element.id] = rest
      note('element taken out of a group that is gone')
    }
  }
  for (const group of Object.values(at('elements'))) {
    if (group.kind !== 'group') continue
    const around = new Set([group.id])
    for (let up = group.parent; up; up = at('elements')[up]?.parent) {
      if (around.has(up)) {
        const { parent: _, ...rest } = at('elements')[group.id]!
        write('elements')[group.id] = rest
        note('group taken out of itself')
        break
      }
      around.add(up)
    }
  }
  const withBeats = new Set<string>()
  for (const beat of Object.values(deck.beats)) {
    if (at('slides')[beat.slide]) withBeats.add(beat.slide)
    else drop('beats', beat.id, 'beat whose slide is gone left out')
  }
  for (const slide of Object.values(at('slides'))) {
    if (withBeats.has(slide.id)) continue
    const id = `${slide.id}-beat`.slice(-64)
    write('beats')[id] = { id, slide: slide.id, order: 'a0', start: 'advance', hold: { kind: 'reading' } }
    note('slide given the beat that it lacked')
  }
  const elementStands = (cue: Cue) => {
    if (cue.element === null) return cue.what === 'camera'
    const owner = at('elements')[cue.element]?.owner
    const slide = at('slides')[at('beats')[cue.beat]!.slide]!
    return owner === slide.id || owner === slide.layout || owner === at('layouts')[slide.layout]?.master
  }
  for (const cue of Object.values(deck.cues)) {
    if (!at('beats')[cue.beat]) drop('cues', cue.id, 'cue whose beat is gone left out')
    else if (!elementStands(cue)) drop('cues', cue.id, 'cue whose element is gone left out')
  }
  for (const cue of Object.values(at('cues'))) {
    if (cue.anchor.to === 'beat') continue
    if (at('cues')[cue.anchor.cue]?.beat === cue.beat) continue
    write('cues')[cue.id] = { ...cue, anchor: { to: 'beat' } }
    note('cue set to start with its beat, since what it followed is gone')
  }
  for (const state of Object.values(deck.states)) {
    if (!at('elements')[state.element]) drop('states', state.id, 'state whose chart is gone left out')
  }
  for (const sound of Object.values(deck.sounds)) {
    if (!at('slides')[sound.fromSlide] || !at('slides')[sound.untilSlide]) drop('sounds', sound.id, 'sound whose slides are gone left out')
  }
  return {
    deck: notes.size ? ({ ...deck, ...tables } as Deck) : deck,
    notes: [...notes].map(([words, count]) => `${count} × ${words}`),
  }
}
