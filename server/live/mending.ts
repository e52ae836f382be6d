import * as Y from 'yjs'
import { isSound, tableNames, type AnyRecord, type Deck } from '../../core/model'
import { newDeck } from '../../core/layouts'
import { applyToDocument, faultOfRecord, liveTable, mendedWords, mendingOf } from '../../core/live'
import { keepAside, snapshotOf } from '../database/decks'
import { log } from '../log'
import { newId } from '../new-id'
import { inSteps } from './in-steps'

/** A document with all tables of a deck in it. */
export function emptyDocument(): Y.Doc {
  const document = new Y.Doc()
  for (const table of tableNames) liveTable(document, table)
  return document
}

/** Puts a document right before anyone sees it; answers with the sentence on what was mended, null where nothing was. */
export async function mendDocument(id: string, document: Y.Doc, put: (update: Uint8Array) => Promise<void>): Promise<string | null> {
  const lacking = (['info', 'theme'] as const).filter(table => faultOfRecord(document, table, table))
  const fallback = lacking.length ? await standIn(id) : undefined
  const steps = mendingOf(document, (table, record) => (fallback?.[table] as Readonly<Record<string, AnyRecord>> | undefined)?.[record])
  const mending = await inSteps(steps)
  if (!mending.changes.length) return null
  if (mending.aside.length) await keepAside(id, mending.aside)
  const trial = emptyDocument()
  Y.applyUpdate(trial, Y.encodeStateAsUpdate(document))
  let content: Uint8Array | undefined
  trial.once('update', (update: Uint8Array) => {
    content = update
  })
  applyToDocument(trial, mending.changes, 'server')
  trial.destroy()
  if (content) {
    await put(content)
    Y.applyUpdate(document, content, 'disk')
  }
  const words = mendedWords(mending)
  log.warn({ deck: id, records: mending.changes.length, aside: mending.aside.length }, words ?? '')
  return words
}

/** What a deck cannot be without, from its last snapshot where that still has it. */
async function standIn(id: string): Promise<Deck> {
  const [before, fresh] = [await snapshotOf(id), newDeck({ title: 'Untitled deck', purpose: 'talk' }, { id: newId })]
  return {
    ...fresh,
    ...(isSound('info', before?.info?.info) ? { info: before!.info } : {}),
    ...(isSound('theme', before?.theme?.theme) ? { theme: before!.theme } : {}),
  }
}
