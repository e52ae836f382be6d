import * as Y from 'yjs'
import { carryGroups, isSound, mend, tableNames, type AnyRecord, type Deck } from '../model'
import type { Id } from '../values'
import { liveTable, readRecord } from './document'
import { touchedBy, type Touched } from './touched'

/** A plain deck that follows a live document. */
export interface Mirror {
  deck(): Deck
  /** Calls back after every change; returns how to stop. */
  watch(changed: (deck: Deck) => void): () => void
  stop(): void
}

/**
 * Follows a document. A record that another version of the program, or a clash, left unreadable is kept out rather than shown wrong
 * (the server mends it when it opens the document). Only changed records are read again; all others keep their identity, so that what was
 * computed
 * from them stays. Whenever a record comes or goes, what refers to nothing is mended. `first` is the document as `readInSteps` has read it.
 */
export function mirrorOf(document: Y.Doc, first: Deck = whole(readInSteps(document))): Mirror {
  let raw = first
  let mended = raw.info.info && raw.theme.theme ? mend(raw).deck : raw
  const watchers = new Set<(deck: Deck) => void>()

  const afterTransaction = (transaction: Y.Transaction) => {
    const { touched } = touchedBy(document, transaction)
    let structural = false
    const next: Record<string, unknown> = { ...raw }
    let any = false
    for (const [table, ids] of touched) {
      if (!ids.size) continue
      const before = raw[table] as Record<Id, AnyRecord>
      const records = { ...before }
      for (const id of ids.keys()) {
        const live = liveTable(document, table).get(id)
        const record = live && readRecord(table, live)
        if (record && isSound(table, record)) records[id] = record
        else delete records[id]
        structural ||= !records[id] || !before[id] || mayDangle(before[id], records[id])
      }
      carryGroups(before, records, ids.keys())
      next[table] = records
      any = true
    }
    if (!any) return
    raw = next as unknown as Deck
    mended = structural && raw.info.info && raw.theme.theme ? mend(raw).deck : structural ? raw : carry(raw, mended, touched)
    for (const watcher of watchers) watcher(mended)
  }
  document.on('afterTransaction', afterTransaction)
  return {
    deck: () => mended,
    watch(changed) {
      watchers.add(changed)
      return () => watchers.delete(changed)
    },
    stop() {
      document.off('afterTransaction', afterTransaction)
      watchers.clear()
    },
  }
}

/** Fields through which one record refers to another. */
const references = ['owner', 'slide', 'beat', 'element', 'layout', 'master', 'parent', 'anchor', 'fromSlide', 'untilSlide']
const mayDangle = (before: AnyRecord, after: AnyRecord) =>
  references.some(
    field => JSON.stringify((before as Record<string, unknown>)[field]) !== JSON.stringify((after as Record<string, unknown>)[field]),
  )

/** The mended deck with only the touched tables replaced; tables that mending had changed are mended again. */
function carry(raw: Deck, mended: Deck, touched: Touched): Deck {
  const next: Record<string, unknown> = { ...mended }
  for (const table of tableNames) {
    const ids = touched.get(table)
    if (!ids?.size) continue
    const before = mended[table] as Record<Id, AnyRecord>
    const records = { ...before }
    for (const id of ids.keys()) {
      const record = (raw[table] as Record<Id, AnyRecord>)[id]
      if (record && before[id]) records[id] = record
    }
    carryGroups(before, records, ids.keys())
    next[table] = records
  }
  return next as unknown as Deck
}

/** Records that are read between two moments at which whoever reads may let others go first. */
const atOnce = 200

/** Reads the sound records of a document, a few at a time. */
export function* readInSteps(document: Y.Doc): Generator<void, Deck> {
  const deck: Record<string, Record<Id, AnyRecord>> = {}
  let count = 0
  for (const table of tableNames) {
    const records: Record<Id, AnyRecord> = {}
    deck[table] = records
    for (const [id, live] of liveTable(document, table) as Iterable<[Id, unknown]>) {
      // What stands there may be anything: another program wrote it.
      const record = live instanceof Y.Map && id !== '__proto__' ? readRecord(table, live) : null
      if (record && isSound(table, record)) records[id] = record
      if (++count % atOnce === 0) yield
    }
  }
  return deck as unknown as Deck
}

function whole<T>(steps: Generator<void, T>): T {
  let step = steps.next()
  while (!step.done) step = steps.next()
  return step.value
}
