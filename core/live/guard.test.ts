import { infoOf, dropRecord, putRecord, setRecord, applyChanges, mend, slidesOf, tableNames, textOf, type Deck } from '../model'
import { describe, expect, it } from 'vitest'
import * as Y from 'yjs'
import { freshDeck, textElement } from '../testing'
import {
  applyToDocument,
  faultOfUpdate,
  fillDocument,
  liveLimits,
  liveTable,
  mendedWords,
  mendingOf,
  mirrorOf,
  readDocument,
  tryUpdate,
} from './index'

const start = freshDeck()
const slide = slidesOf(start)[0]!.id
const deck = applyChanges(start, [putRecord('elements', textElement('words', slide, ['Quay']))])
const documentOf = (content: Deck = deck) => {
  const document = new Y.Doc()
  for (const table of tableNames) liveTable(document, table)
  fillDocument(document, content)
  return document
}
/** What a browser would send that does something to the document. */
function updateBy(document: Y.Doc, act: (copy: Y.Doc) => void): Uint8Array {
  const copy = new Y.Doc()
  Y.applyUpdate(copy, Y.encodeStateAsUpdate(document))
  const before = Y.encodeStateVector(copy)
  copy.transact(() => act(copy))
  return Y.encodeStateAsUpdate(copy, before)
}
const judged = (act: (copy: Y.Doc) => void) => {
  const document = documentOf()
  const update = updateBy(document, act)
  return faultOfUpdate(update) ?? tryUpdate(document, update, 'peer')?.message ?? null
}
const nest = (text: Y.XmlFragment, depth: number) => {
  for (let level = 0, at = text; level < depth; level++) {
    const inner = new Y.XmlElement('paragraph')
    at.insert(0, [inner])
    at = inner
  }
}
const deepArray = (depth: number): unknown => JSON.parse(`${'['.repeat(depth)}${']'.repeat(depth)}`)

describe('an update from a browser', () => {
  it('is let in when every record that it touches is sound', () => {
    expect(
      judged(copy => applyToDocument(copy, [setRecord('info', 'info', { title: 'Spring' }), dropRecord('elements', 'words')])),
    ).toBeNull()
    expect(judged(copy => applyToDocument(copy, [setRecord('elements', 'words', { text: textOf(['Quay and', 'boats']) })]))).toBeNull()
  })

  it.each<[string, (copy: Y.Doc) => void]>([
    ['a number as a slide', copy => void copy.getMap('slides').set(slide, 7)],
    ['a list as a slide', copy => void copy.getMap('slides').set(slide, new Y.Array())],
    [
      'a record under another id',
      copy => liveTable(copy, 'variants').set('a', new Y.Map(Object.entries({ id: 'b', order: 'a0', name: 'x' }))),
    ],
    ['a title of 301 letters', copy => liveTable(copy, 'info').get('info')!.set('title', 'x'.repeat(301))],
    [
      'an element far off',
      copy => liveTable(copy, 'elements').get('words')!.set('box', { x: 150_000, y: 0, width: 1, height: 1, angle: 0 }),
    ],
    ['a shared list in a field', copy => void liveTable(copy, 'elements').get('words')!.set('name', new Y.Array())],
    ['text nested 10,000 deep', copy => nest(liveTable(copy, 'elements').get('words')!.get('text') as Y.XmlFragment, 10_000)],
    ['a value nested 2,000 deep', copy => void liveTable(copy, 'elements').get('words')!.set('options', deepArray(2000))],
    [
      'a value nested 200 deep in a field that no schema looks into',
      copy => void liveTable(copy, 'elements').get('words')!.set('more', deepArray(200)),
    ],
    ['a record called __proto__', copy => void copy.getMap('slides').set('__proto__', new Y.Map())],
    ['a field called __proto__', copy => void liveTable(copy, 'elements').get('words')!.set('__proto__', { polluted: true })],
    ['a table that no deck has', copy => void copy.getMap('extras').set('a', 1)],
    ['a second title record', copy => liveTable(copy, 'info').set('other', new Y.Map(Object.entries({ ...infoOf(deck), id: 'other' })))],
    ['the title record dropped', copy => liveTable(copy, 'info').delete('info')],
    ['a document in a document', copy => void liveTable(copy, 'elements').get('words')!.set('sub', new Y.Doc())],
  ])('is refused in a sentence: %s', (_, act) => {
    expect(judged(act)).toMatch(/not kept|cannot be|was not|at most/)
  })

  it('is refused when it is no update at all, or too large', () => {
    expect(faultOfUpdate(new Uint8Array([9, 9, 9, 255, 255, 255]))).toContain('could not be read')
    expect(faultOfUpdate(new Uint8Array(liveLimits.update + 1))).toContain('8 MB at most')
  })

  it('is told apart when only what it builds on is missing', () => {
    const [document, other] = [documentOf(), documentOf()]
    const update = updateBy(other, copy => applyToDocument(copy, [setRecord('elements', 'words', { text: textOf(['Quays']) })]))
    expect(tryUpdate(document, update, 'peer')).toMatchObject({ lacking: true })
  })
})

describe('a document that holds broken records', () => {
  const mendingFor = (act: (document: Y.Doc) => void) => {
    const document = documentOf()
    document.transact(() => act(document))
    const steps = mendingOf(document, (table, id) => (start[table] as Record<string, never>)[id])
    let step = steps.next()
    while (!step.done) step = steps.next()
    applyToDocument(document, step.value.changes, 'server')
    return { mending: step.value, after: readDocument(document), document }
  }

  it('is left alone where nothing is wrong', () => {
    const { mending } = mendingFor(() => {})
    expect(mending).toEqual({ changes: [], aside: [], notes: [] })
    expect(mendedWords(mending)).toBeNull()
  })

  it('gets what is over a limit put within it, and the record is back', () => {
    const { mending, after } = mendingFor(document => {
      liveTable(document, 'info').get('info')!.set('title', 'x'.repeat(301))
      liveTable(document, 'elements').get('words')!.set('box', { x: 150_000, y: 0, width: 1, height: 1, angle: 0 })
    })
    expect(infoOf(after).title).toHaveLength(300)
    expect(after.elements.words!.box!.x).toBe(100_000)
    expect(mending.aside).toEqual([])
    expect(mendedWords(mending)).toContain('2 records of this deck went beyond their limits')
  })

  it('hands over what cannot be read, with its content, and stands in for what a deck cannot be without', () => {
    const { mending, after, document } = mendingFor(live => {
      live.getMap('slides').set('broken', 7)
      liveTable(live, 'elements').get('words')!.set('opacity', 'half')
      liveTable(live, 'info').delete('info')
    })
    expect(mending.aside.map(record => [record.table, record.id])).toEqual([
      ['slides', 'broken'],
      ['elements', 'words'],
    ])
    expect(mending.aside[1]!.content).toContain('Quay')
    expect(infoOf(after).title).toBe('Spring timetable')
    expect(mendedWords(mending)).toContain('kept aside')
    // What is left is a deck like any other.
    expect(mirrorOf(document).deck()).toEqual(mend(after).deck)
  })
})
