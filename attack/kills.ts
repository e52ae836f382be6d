import { dropRecord, putRecord } from '../core/model'
import { applyToDocument } from '../core/live'
import { editDeck } from '../tests/support/live'
import { cutDatabase, kill, restoreDatabase, startAgain } from '../tests/support/server'
import { deckOf, makeDeck, pause, type Attack } from './attack'

/** Writes records by protocol until the line breaks; answers with those that were acknowledged. */
async function writeUntilCut(deck: string, prefix: string): Promise<string[]> {
  // Cut while it was still opening: nothing was acknowledged.
  const editor = await editDeck(deck).catch((_error: unknown) => null)
  if (!editor) return []
  const acknowledged = new Set<string>()
  let broken = false
  void editor.closed.then(() => {
    broken = true
  })
  for (let count = 0; !broken; count++) {
    const [id, gone] = [`${prefix}x${count}`, count > 3 ? `${prefix}x${count - 3}` : null]
    // From here on it may be gone: what is sent may be on disk without having been acknowledged.
    if (gone) acknowledged.delete(gone)
    const came = await editor.change(document =>
      applyToDocument(document, [putRecord('variants', { id, order: 'a0', name: id }), ...(gone ? [dropRecord('variants', gone)] : [])]),
    )
    if (came === true) acknowledged.add(id)
  }
  editor.leave()
  return [...acknowledged]
}

async function killing(rounds: number, cut: () => Promise<void>, back: () => Promise<void>) {
  const deck = await makeDeck('Killed')
  const failures: string[] = []
  let tried = 0
  for (let round = 0; round < rounds; round++) {
    const writers = [0, 1, 2].map(index => writeUntilCut(deck, `r${round}w${index}`))
    await pause(150 + Math.random() * 700)
    await cut()
    const acknowledged = (await Promise.all(writers)).flat()
    await back()
    tried += acknowledged.length
    const stands = await deckOf(deck)
    if (typeof stands === 'number') failures.push(`round ${round}: the deck answers ${stands}`)
    else for (const id of acknowledged) if (!stands.variants[id]) failures.push(`round ${round}: ${id} was acknowledged and is gone`)
    // The next round begins with few records, as the deck takes so many at most.
    const cleaner = await editDeck(deck)
    await cleaner.change(document =>
      applyToDocument(
        document,
        Object.keys(typeof stands === 'number' ? {} : stands.variants).map(id => dropRecord('variants', id)),
      ),
    )
    cleaner.leave()
  }
  return { tried, failures }
}

export const kills: Attack = {
  name: 'kills',
  about: 'the server is killed 100 times while three editors write by protocol',
  run: times => killing(times(100), () => kill('SIGKILL'), startAgain),
}

export const databaseKills: Attack = {
  name: 'database',
  about: 'the database is taken away 8 times, and the server killed meanwhile',
  run: times =>
    killing(
      times(8),
      async () => {
        cutDatabase()
        await pause(1500)
        await kill('SIGKILL')
      },
      async () => {
        await restoreDatabase()
        await startAgain()
      },
    ),
}
