import { putRecord, setRecord, applyChanges, slidesOf, textOf, type Deck, type TextElement } from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import * as Y from 'yjs'
import { addSlide, moveSlide, removeSlides } from '../edits'
import { countingContext, freshDeck, textElement } from '../testing'
import { applyToDocument, decodeMessage, encodeMessage, fillDocument, liveTable, mirrorOf, readDocument } from './index'

const documentOf = (deck: Deck) => {
  const document = new Y.Doc()
  fillDocument(document, deck)
  return document
}
const copyOf = (document: Y.Doc) => {
  const copy = new Y.Doc()
  Y.applyUpdate(copy, Y.encodeStateAsUpdate(document))
  return copy
}
const exchange = (a: Y.Doc, b: Y.Doc) => {
  Y.applyUpdate(a, Y.encodeStateAsUpdate(b, Y.encodeStateVector(a)))
  Y.applyUpdate(b, Y.encodeStateAsUpdate(a, Y.encodeStateVector(b)))
}
const withText = () => {
  const deck = freshDeck()
  return applyChanges(deck, [putRecord('elements', textElement('words', slidesOf(deck)[0]!.id, ['The boat leaves']))])
}
const words = (document: Y.Doc) => (readDocument(document).elements.words as TextElement).text

describe('the live document', () => {
  it('holds a deck and gives it back the same', () => {
    const deck = withText()
    expect(readDocument(documentOf(deck))).toEqual(deck)
  })

  it('applies changes to the same effect as the plain deck does', () => {
    const deck = withText()
    const changes = addSlide(deck, { after: null, layout: 'layout-chart' }, countingContext('x'))
    const document = documentOf(deck)
    applyToDocument(document, changes)
    expect(readDocument(document)).toEqual(applyChanges(deck, changes))
  })

  it('two people who write in the same text at once both keep every letter', () => {
    const mine = documentOf(withText())
    const theirs = copyOf(mine)
    applyToDocument(mine, [setRecord('elements', 'words', { text: textOf(['The early boat leaves']) })])
    applyToDocument(theirs, [setRecord('elements', 'words', { text: textOf(['The boat leaves at six']) })])
    exchange(mine, theirs)
    expect(words(mine)).toEqual(words(theirs))
    expect(words(mine)).toEqual(textOf(['The early boat leaves at six']))
  })

  it('whatever two people do apart, they see the same when they meet, and nothing in it refers to what is gone', () => {
    const act = fc.array(fc.record({ what: fc.constantFrom('add', 'remove', 'move', 'name'), at: fc.nat(6) }), { maxLength: 8 })
    fc.assert(
      fc.property(act, act, (first, second) => {
        const mine = documentOf(withText())
        const theirs = copyOf(mine)
        for (const [document, acts, prefix] of [
          [mine, first, 'm'],
          [theirs, second, 't'],
        ] as const) {
          const context = countingContext(prefix)
          const mirror = mirrorOf(document)
          for (const { what, at } of acts) {
            const deck = mirror.deck()
            const slide = slidesOf(deck)[at % slidesOf(deck).length]
            if (!slide) continue
            if (what === 'add') applyToDocument(document, addSlide(deck, { after: slide.id, layout: 'layout-list' }, context))
            else if (what === 'remove' && slidesOf(deck).length > 1) applyToDocument(document, removeSlides(deck, { slides: [slide.id] }))
            else if (what === 'move') applyToDocument(document, moveSlide(deck, { slide: slide.id, index: 0 }))
            else applyToDocument(document, [setRecord('slides', slide.id, { notes: `${prefix}${at}` })])
          }
          mirror.stop()
        }
        exchange(mine, theirs)
        const [a, b] = [mirrorOf(mine).deck(), mirrorOf(theirs).deck()]
        expect(a).toEqual(b)
        for (const beat of Object.values(a.beats)) expect(a.slides[beat.slide]).toBeDefined()
      }),
      { numRuns: 40 },
    )
  })

  it('the mirror gives unchanged records, and the arrays of unchanged slides, the same identity', () => {
    const deck = withText()
    const document = documentOf(applyChanges(deck, addSlide(deck, { after: null, layout: 'layout-list' }, countingContext('x'))))
    const mirror = mirrorOf(document)
    const before = mirror.deck()
    applyToDocument(document, [setRecord('elements', 'words', { name: 'Renamed' })])
    const after = mirror.deck()
    expect(after.elements.words).not.toBe(before.elements.words)
    expect(after.elements['x-3']).toBe(before.elements['x-3'])
    expect(after.slides).toBe(before.slides)
  })

  it('keeps out a record that cannot be read, and brings it back once it can', () => {
    const document = documentOf(withText())
    const mirror = mirrorOf(document)
    document.transact(() => liveTable(document, 'elements').get('words')!.set('opacity', 7))
    expect(mirror.deck().elements.words).toBeUndefined()
    document.transact(() => liveTable(document, 'elements').get('words')!.set('opacity', 0.7))
    expect(mirror.deck().elements.words).toBeDefined()
  })

  it('one typed letter costs under a kilobyte, in a deck of any size', () => {
    const deck = withText()
    const context = countingContext('x')
    let large = deck
    for (let index = 0; index < 60; index++) large = applyChanges(large, addSlide(large, { after: null, layout: 'layout-list' }, context))
    const document = documentOf(large)
    let bytes = 0
    document.on('update', update => (bytes = update.length))
    applyToDocument(document, [setRecord('elements', 'words', { text: textOf(['The boat leavess']) })])
    expect(bytes).toBeGreaterThan(0)
    expect(bytes).toBeLessThan(200)
  })
})

describe('the protocol', () => {
  it.each([
    { kind: 'state', vector: new Uint8Array([1, 2]) },
    { kind: 'update', number: 7, update: new Uint8Array([3]) },
    { kind: 'kept', number: 300 },
    { kind: 'awareness', update: new Uint8Array([9]) },
    { kind: 'whole', update: new Uint8Array([5]) },
    { kind: 'refused', number: 2, message: 'Nein – no' },
  ] as const)('reads back $kind', message => expect(decodeMessage(encodeMessage(message))).toEqual(message))

  it('takes any bytes without harm', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 40 }), bytes => {
        const message = decodeMessage(bytes)
        expect(message === null || typeof message.kind === 'string').toBe(true)
      }),
    )
  })
})
