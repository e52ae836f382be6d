import { createApp } from 'vue'
import * as Y from 'yjs'
import { addElement, addSlide } from '#core/edits'
import { applyToDocument, fillDocument } from '#core/live'
import { applyChanges, slidesOf, type Change, type Deck } from '#core/model'
import { countingContext, freshDeck, textElement } from '#core/testing'
import { Line } from './line'
import { useState } from './nuxt'

/** Signs somebody in, as the session's plugin would have. */
export function signIn(role: 'admin' | 'editor' | 'viewer' = 'editor') {
  useState('user', () => null as unknown).value = { id: 'ines', name: 'Ines Rahm', email: 'ines@velmoor.example', role }
}

/** A deck of so many slides, with one text on each: `t0` on the first, and so on. */
export function someDeck(count = 3): Deck {
  const context = countingContext('slide')
  let deck: Deck = freshDeck()
  for (let index = 1; index < count; index++)
    deck = applyChanges(deck, addSlide(deck, { after: slidesOf(deck).at(-1)!.id, layout: slidesOf(deck)[0]!.layout }, context))
  for (const [index, slide] of slidesOf(deck).entries())
    deck = applyChanges(deck, addElement(deck, { element: textElement(`t${index}`, slide.id, [`Words ${index}`]) }))
  return deck
}

/** Opens a deck in the stores, by a line whose other end the test has. */
export function openDeck(deck: Deck = someDeck(), role: 'admin' | 'editor' | 'viewer' = 'editor') {
  signIn(role)
  const [store, where, selected] = [useDeck(), useWhere(), useSelected()]
  store.open('timetable')
  const there = deliver(deck)
  const line = Line.all.at(-1)!
  /** Somebody else changes something, knowing all that was written here. */
  const others = (changes: readonly Change[]) => {
    for (const { update } of line.updates()) Y.applyUpdate(there, update)
    there.once('update', (update: Uint8Array) => line.say({ kind: 'update', number: 0, update }))
    applyToDocument(there, changes, 'others')
  }
  return { store, where, selected, line, others, ids: slidesOf(deck).map(slide => slide.id) }
}

/** The server takes the last line and gives it a deck; its own document comes back. */
export function deliver(deck: Deck): Y.Doc {
  const there = new Y.Doc()
  fillDocument(there, deck)
  Line.all.at(-1)!.open()
  Line.all.at(-1)!.say({ kind: 'whole', update: Y.encodeStateAsUpdateV2(there) })
  return there
}

const pages: (() => void)[] = []

/** Runs a composable as a page would, with its life from being shown to being left. */
export function inPage<T>(setup: () => T): T & { leave: () => void } {
  let made!: T
  const page = createApp({
    setup() {
      made = setup()
      return () => null
    },
  })
  page.mount(document.createElement('div'))
  let left = false
  const leave = () => {
    if (!left) page.unmount()
    left = true
  }
  pages.push(leave)
  return Object.assign(Object.create(null) as object, made, { leave })
}

/** Leaves all pages, and closes what is open. */
export function leaveAll() {
  for (const leave of pages.splice(0)) leave()
  const store = useDeck()
  while (store.id) store.close()
}
