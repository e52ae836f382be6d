import { setRecord, tableNames } from '../core/model'
import * as Y from 'yjs'
import { applyToDocument, liveTable } from '../core/live'
import { editDeck } from '../tests/support/live'
import { deckOf, makeDeck, pause, type Attack } from './attack'

/** A generator of numbers that are the same each time: mulberry32. */
const seeded = (seed: number) => () => {
  seed = (seed + 0x6d2b79f5) | 0
  let t = Math.imul(seed ^ (seed >>> 15), 1 | seed)
  t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
  return ((t ^ (t >>> 14)) >>> 0) / 4294967296
}

export const hostileDocuments: Attack = {
  name: 'documents',
  about: 'live updates with bits turned over, values of any kind anywhere, and what builds on nothing',
  async run(times) {
    const failures: string[] = []
    const deck = await makeDeck('Hostile')
    const random = seeded(7)
    const pick = <T>(list: readonly T[]) => list[Math.floor(random() * list.length)]!
    const values: readonly (() => unknown)[] = [
      () => null,
      () => 7,
      () => 'x',
      () => [],
      () => ({}),
      () => ({ __proto__: { a: 1 } }),
      () => 1e308,
      () => 'x'.repeat(5000),
      () => new Y.Map(),
      () => new Y.Array(),
      () => new Y.Text('x'),
      () => new Y.XmlFragment(),
      () => new Uint8Array(9),
      () => true,
    ]
    let [tried, taken] = [0, 0]
    for (let round = 0; round < times(150); round++) {
      const attacker = await editDeck(deck, { email: 'tomas@velmoor.example' }).catch(() => null)
      if (!attacker) {
        failures.push(`round ${round}: the deck does not open any more`)
        break
      }
      const act = (document: Y.Doc) => {
        const table = liveTable(document, pick(tableNames))
        const id = pick([...table.keys(), '__proto__', 'constructor', 'new one', ''])
        const record = table.get(id)
        if (random() < 0.4 || !(record instanceof Y.Map)) (table as Y.Map<unknown>).set(id, pick(values)())
        else record.set(pick([...record.keys(), '__proto__', 'text', 'box']), pick(values)())
      }
      let update: Uint8Array | undefined
      attacker.document.once('update', (made: Uint8Array) => {
        update = made
      })
      attacker.document.transact(() => act(attacker.document))
      if (update && random() < 0.5) {
        update = update.slice()
        for (let flips = 0; flips < 4; flips++) update[Math.floor(random() * update.length)] = Math.floor(random() * 256)
      }
      tried++
      // Bytes that make a message which nobody answers are left behind.
      const came = await Promise.race([attacker.send(update ?? new Uint8Array([0])), pause(3000).then(() => 'no answer')])
      if (came === true) taken++
      attacker.leave()
      const stands = await deckOf(deck)
      if (typeof stands === 'number') failures.push(`round ${round}: the deck answers ${stands} after ${String(came)}`)
    }
    const editor = await editDeck(deck)
    if ((await editor.change(document => applyToDocument(document, [setRecord('info', 'info', { title: 'Still whole' })]))) !== true)
      failures.push('an honest edit is not taken any more')
    editor.leave()
    return { tried, failures, figures: `${taken} were harmless and taken` }
  },
}
