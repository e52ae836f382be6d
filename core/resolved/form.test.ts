import {
  dropRecord,
  putRecord,
  setRecord,
  applyChanges,
  elementsOf,
  slidesOf,
  tableNames,
  textOf,
  type Change,
  type Deck,
  type Element,
} from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyDeck, freshDeck, textElement } from '../testing'
import { addSlide, setFields } from '../edits'
import { clearPicture, keepPicture, proposePicture } from '../layouts'
import { changesOnForm } from './form'

const base = freshDeck()
const [slide] = slidesOf(base)
const title = elementsOf(base, slide!.id).find(element => element.placeholder === 'title')!
const put = (record: object): Change => putRecord('elements', record as Element)
const own = { ...textElement('own', slide!.id, ['Free']), order: 'a5' }
const place = { ...textElement('item', slide!.id, ['Item']), order: 'a6', placeholder: 'item1-lead', box: undefined }
const grows = {
  ...textElement('grows', slide!.id, ['Words']),
  order: 'a7',
  placeholder: 'body',
  fit: 'grow',
  box: { x: 10, y: 10, width: 400, height: 80, angle: 0 },
}
const deck = applyChanges(base, [put(own), put(place), put(grows), setRecord('info', 'info', { form: true })])
const allowed = (...changes: Change[]) => changesOnForm(deck, changes) === null
const set = (id: string, fields: object): Change => setRecord('elements', id, fields as never)

describe('a deck that is handed out as a form', () => {
  it('takes proposed pictures too: they are kept, changed, cleared, and give way to one that is put there', () => {
    const portrait = { id: 'face', owner: slide!.id, kind: 'picture', name: 'Face', order: 'a8', placeholder: 'item1-picture' }
    const pictured = applyChanges(deck, [put(portrait)])
    const found = { hash: 'a'.repeat(64), width: 800, height: 600 }
    const byHand = set('face', { media: 'b'.repeat(64), natural: { width: 10, height: 10 }, focus: undefined, proposed: undefined })
    for (const change of [proposePicture('face', found), keepPicture('face'), clearPicture('face'), byHand])
      expect(changesOnForm(pictured, [change])).toBeNull()
    expect(changesOnForm(pictured, [set('face', { opacity: 0.5 })])).not.toBeNull()
  })
  it('takes the lines that a chart in one of its places draws', () => {
    const chart = {
      id: 'lines',
      owner: slide!.id,
      kind: 'chart',
      name: 'Chart',
      order: 'a8',
      placeholder: 'body',
      text: textOf(['2031 4 %']),
    }
    const charted = applyChanges(deck, [put(chart)])
    expect(changesOnForm(charted, [set('lines', { text: textOf(['2031 5 %']) })])).toBeNull()
    expect(changesOnForm(charted, [set('lines', { box: { x: 0, y: 0, width: 10, height: 10, angle: 0 } })])).not.toBeNull()
  })
  it('takes words and pictures in its places, notes, and boxes that grow with their words', () => {
    expect(allowed(set(title.id, { text: textOf(['Spring']) }))).toBe(true)
    expect(allowed(set(title.id, { alt: 'A title' }))).toBe(true)
    expect(allowed(set('item', { text: textOf(['Quay']) }))).toBe(true)
    expect(allowed(setRecord('slides', slide!.id, { notes: 'Slowly' }))).toBe(true)
    expect(allowed(set('grows', { text: textOf(['More', 'words']), box: { ...grows.box, height: 160 } }))).toBe(true)
    // The same record put anew counts by what differs.
    expect(allowed(put({ ...deck.elements.item!, text: textOf(['Quay']) }))).toBe(true)
  })

  it('takes nothing else, whatever is changed: no other part, place, look, slide, time or setting', () => {
    expect(changesOnForm(deck, [set(title.id, { color: { role: 'accent1' } })])).toBe(
      'This deck is a form: only what fills its places can be changed. Ask who made it, or an admin, for more.',
    )
    for (const change of [
      set(title.id, { box: { x: 0, y: 0, width: 10, height: 10, angle: 0 } }),
      set('item', { box: { x: 0, y: 0, width: 10, height: 10, angle: 0 } }),
      set('grows', { box: { ...grows.box, x: 11 } }),
      set('grows', { box: { ...grows.box, y: 11 } }),
      set(title.id, { placeholder: undefined }),
      set('own', { text: textOf(['Mine']) }),
      set('nowhere', { text: textOf(['Mine']) }),
      put({ ...own, id: 'new' }),
      put({ ...place, id: 'more', placeholder: 'item2-lead' }),
      put({ ...place, owner: slide!.layout, id: 'on-layout' }),
      // Another thing in the place of what stands there.
      put({ ...deck.elements.item!, color: { role: 'accent2' } }),
      put({ ...deck.elements.item!, owner: slide!.layout }),
      dropRecord('elements', title.id) as Change,
      dropRecord('elements', 'item') as Change,
      dropRecord('slides', slide!.id) as Change,
      ...setFields(deck, { table: 'info', id: 'info', fields: { form: undefined } }),
      ...setFields(deck, { table: 'theme', id: 'theme', fields: { margin: 5 } }),
      ...addSlide(deck, { after: slide!.id, layout: slide!.layout }, { id: () => 'x' }),
    ])
      expect([change, allowed(change)]).toEqual([change, false])
  })

  it('loses nothing and gains nothing to those it binds, whatever the deck', () => {
    fc.assert(
      fc.property(anyDeck, fc.constantFrom(...tableNames), (any: Deck, table) => {
        for (const record of Object.values(any[table])) {
          expect(changesOnForm(any, [dropRecord(table, record.id) as Change])).not.toBeNull()
          expect(changesOnForm(any, [putRecord(table, { ...record, id: 'other' }) as Change])).not.toBeNull()
        }
      }),
      { numRuns: 30 },
    )
  })
})
