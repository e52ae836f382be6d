import { describe, expect, it } from 'vitest'
import { freshDeck, textElement } from '../testing'
import { addSlide, applyChanges, changesOnForm, elementsOf, setFields, slidesOf, textOf, type Change, type Element } from './index'

const base = freshDeck()
const [slide] = slidesOf(base)
const title = elementsOf(base, slide!.id).find(element => element.placeholder === 'title')!
const put = (record: object): Change => ({ do: 'put', table: 'elements', record: record as Element })
const own = { ...textElement('own', slide!.id, ['Free']), order: 'a5' }
const place = { ...textElement('item', slide!.id, ['Item']), order: 'a6', placeholder: 'item1-lead' }
const grows = { ...textElement('grows', slide!.id, ['Words']), order: 'a7', placeholder: 'body', fit: 'grow', box: { x: 10, y: 10, width: 400, height: 80, angle: 0 } }
const deck = applyChanges(base, [put(own), put(place), put(grows), { do: 'set', table: 'info', id: 'info', fields: { form: true } }])
const allowed = (...changes: Change[]) => changesOnForm(deck, changes) === null
const set = (id: string, fields: object): Change => ({ do: 'set', table: 'elements', id, fields: fields as never })

describe('a deck that is handed out as a form', () => {
  it('takes words and pictures in its places, items of its layouts, and notes', () => {
    expect(allowed(set(title.id, { text: textOf(['Spring']) }))).toBe(true)
    expect(allowed(set(title.id, { alt: 'A title' }))).toBe(true)
    expect(allowed(put({ ...place, id: 'more', placeholder: 'item2-lead' }))).toBe(true)
    expect(allowed({ do: 'drop', table: 'elements', id: 'item' })).toBe(true)
    expect(allowed({ do: 'set', table: 'slides', id: slide!.id, fields: { notes: 'Slowly' } })).toBe(true)
    expect(allowed(set('grows', { text: textOf(['More', 'words']), box: { ...grows.box, height: 160 } }))).toBe(true)
  })

  it('takes nothing else, whatever is changed: no other part, place, look, slide, time or setting', () => {
    expect(changesOnForm(deck, [set(title.id, { color: { role: 'accent1' } })])).toBe('This deck is a form: only what fills its places can be changed. Ask who made it, or an admin, for more.')
    for (const change of [
      set(title.id, { box: { x: 0, y: 0, width: 10, height: 10, angle: 0 } }), set('grows', { box: { ...grows.box, x: 11 } }), set(title.id, { placeholder: undefined }), set('own', { text: textOf(['Mine']) }),
      put({ ...own, id: 'new' }), put({ ...place, owner: slide!.layout, id: 'on-layout' }), { do: 'drop', table: 'elements', id: title.id } as Change, { do: 'drop', table: 'slides', id: slide!.id } as Change,
      ...setFields(deck, { table: 'info', id: 'info', fields: { form: undefined } }), ...setFields(deck, { table: 'theme', id: 'theme', fields: { margin: 5 } }),
      ...addSlide(deck, { after: slide!.id, layout: slide!.layout }, { id: () => 'x' }),
    ]) expect([change, allowed(change)]).toEqual([change, false])
  })
})
