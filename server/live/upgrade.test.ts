import * as Y from 'yjs'
import { describe, expect, it } from 'vitest'
import { newChart } from '../../core/charts'
import { fillDocument, liveTable, readDocument, upgradingOf } from '../../core/live'
import { applyChanges, formatVersion, isSound, putRecord, readDeck, type Deck, type TextDoc, type TextElement } from '../../core/model'
import { freshDeck, textElement } from '../../core/testing'
import { exchanged } from '../../core/values'
import { database, jsonOf } from '../database/connection'
import { insertDeck, snapshotOf, updatesOf } from '../database/decks'
import { keepPiece, piecesById } from '../database/pieces'
import { publish, versionOf } from '../database/screens'
import { keepTheme, themeById } from '../database/themes'
import { emptyDocument } from './mending'
import { upgradeDecks } from './upgrade'

/** A deck with a chart of which a bar is set apart, and a text with a line that is. */
function present(): Deck {
  const deck = freshDeck()
  const slide = Object.values(deck.slides)[0]!
  const colors = { color: { role: 'accent1' as const }, highlightColor: { role: 'accent2' as const } }
  const chart = { ...newChart('sailings'), ...colors, highlighted: ['Aug'], labels: 'highlighted' as const }
  const line = { type: 'paragraph' as const, attrs: { highlighted: true }, content: [{ type: 'text' as const, text: 'Quay' }] }
  const text: TextDoc = { type: 'doc', content: [line] }
  return applyChanges(deck, [
    putRecord('elements', { id: 'bars', owner: slide.id, order: 'a1', name: 'Bars', kind: 'chart', chart }),
    putRecord('elements', { ...textElement('words', slide.id, ['']), text } as TextElement),
  ])
}
/** The same as version 2 wrote it. */
const old = (deck: Deck): Deck => {
  const renamed = exchanged(deck, value => {
    if (!('highlighted' in value)) return undefined
    const { highlighted, highlightColor, labels, ...rest } = value
    const chart = highlightColor !== undefined ? { litColor: highlightColor, labels: labels === 'highlighted' ? 'lit' : labels } : {}
    return { ...rest, lit: highlighted, ...chart }
  }) as Deck
  return { ...renamed, info: { info: { ...renamed.info.info!, format: 2 } } }
}
/** A document as the program of that time filled it: its texts knew other attributes than those of today. */
function documentOf(deck: Deck) {
  const document = emptyDocument()
  fillDocument(document, deck)
  const paragraph = (liveTable(document, 'elements').get('words')!.get('text') as Y.XmlFragment).get(0) as Y.XmlElement<{ lit: boolean }>
  if (deck.info.info!.format === 2) paragraph.setAttribute('lit', true)
  return document
}
async function kept(id: string, deck: Deck) {
  const document = documentOf(deck)
  const update = Y.encodeStateAsUpdate(document)
  const snapshot = JSON.stringify(deck)
  await insertDeck({ id, title: id, purpose: 'talk', person: null, update, snapshot, cover: snapshot, slides: 2, tables: [] })
}
async function opened(id: string) {
  const document = emptyDocument()
  for (const { content } of await updatesOf(id)) Y.applyUpdate(document, content!)
  return document
}

describe('a deck of format 2', () => {
  it('is read as one of the present, with what was set apart set apart', () => {
    const deck = present()
    expect(JSON.stringify(old(deck))).toContain('"lit"')
    const read = readDeck(JSON.parse(JSON.stringify(old(deck))))
    expect(read.ok && read.value.deck).toEqual(JSON.parse(JSON.stringify(deck)))
  })

  it('has its live document brought along by no more than what differs', () => {
    const changes = upgradingOf(documentOf(old(present())))
    expect(changes.map(change => [change.do, change.table, 'id' in change && change.id])).toEqual([
      ['set', 'info', 'info'],
      ['set', 'elements', 'bars'],
      ['set', 'elements', 'words'],
    ])
  })
})

describe('what is kept of decks', () => {
  it('is brought to the format of this program once: documents, snapshots, what screens play, themes, saved blocks', async () => {
    const deck = present()
    const json = JSON.parse(JSON.stringify(deck)) as Deck
    await kept('older', old(deck))
    await kept('today', deck)
    await publish({ deck: 'older', snapshot: old(deck), tables: [], seconds: 9, person: null })
    await keepTheme({ id: 'house', name: 'House', content: old(deck), person: null })
    const content = { elements: [old(deck).elements.bars], beats: [], cues: [], states: [] } as never
    await keepPiece({ id: 'rush', name: 'Rush', tags: [], content }, null)
    await database()`update decks set changed_at = '2026-01-01' where id = 'older'`

    await upgradeDecks()
    const document = await opened('older')
    expect(readDocument(document)).toEqual(json)
    for (const element of Object.values(readDocument(document).elements)) expect(isSound('elements', element)).toBe(true)
    expect(await snapshotOf('older')).toEqual(json)
    expect((await versionOf('older', 1))!.snapshot).toEqual(json)
    expect((await themeById('house'))!.content).toEqual(json)
    expect((await piecesById(['rush']))[0]!.content.elements).toEqual([json.elements.bars])
    const [row] = await database()<{ changed_at: Date }[]>`select changed_at from decks where id = 'older'`
    expect(row!.changed_at.toISOString().slice(0, 10)).toMatch(/^(2025-12-31|2026-01-01)$/)

    expect([(await updatesOf('older')).length, (await updatesOf('today')).length]).toEqual([2, 1])
    await upgradeDecks()
    expect((await updatesOf('older')).length).toBe(2)
    expect(upgradingOf(await opened('older'))).toEqual([])
  })

  it('is brought along though one deck cannot be read, which stays as it is until it can', async () => {
    await database()`delete from migrations where name like 'decks in format %'`
    const deck = present()
    await kept('damaged', old(deck))
    await kept('sound', old(deck))
    const [update] = await database()<{ id: string; content: Buffer }[]>`select id, content from deck_updates where deck = 'damaged'`
    await database()`update deck_updates set content = ${Buffer.from([9, 9, 9])} where deck = 'damaged'`
    await upgradeDecks()
    const formatOf = async (id: string) => (await snapshotOf(id))!.info.info!.format
    expect([await formatOf('damaged'), await formatOf('sound')]).toEqual([2, formatVersion])
    await database()`update deck_updates set content = ${update!.content} where id = ${update!.id}`
    await upgradeDecks()
    expect(await formatOf('damaged')).toBe(formatVersion)
    expect(upgradingOf(await opened('damaged'))).toEqual([])
  })

  it('is left alone where it is of a newer program', async () => {
    const deck = present()
    await database()`delete from migrations where name like 'decks in format %'`
    const newer: Deck = { ...deck, info: { info: { ...deck.info.info!, format: formatVersion + 1 } } }
    await kept('newer', newer)
    await database()`update decks set snapshot = ${jsonOf(newer)} where id = 'newer'`
    await upgradeDecks()
    expect((await updatesOf('newer')).length).toBe(1)
  })
})
