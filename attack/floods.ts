import { setRecord } from '../core/model'
import net from 'node:net'
import { Awareness, encodeAwarenessUpdate } from 'y-protocols/awareness'
import * as Y from 'yjs'
import postgres from 'postgres'
import { applyToDocument, encodeMessage, liveTable } from '../core/live'
import { editDeck } from '../tests/support/live'
import { databaseUrl, port } from '../tests/support/server'
import { deckOf, makeDeck, pause, whileAsked, type Attack } from './attack'

const bytesOnDisk = async (deck: string) => {
  const sql = postgres(databaseUrl(), { max: 1 })
  const [row] = await sql<
    { bytes: number }[]
  >`select coalesce(sum(length(content)), 0)::int as bytes from deck_updates where deck = ${deck}`
  await sql.end()
  return row!.bytes
}

/** What a flood came to: how much was tried, what went wrong, and a figure in words. */
interface Came {
  tried: number
  failures: string[]
  figure: string
}

/** A browser speaks for thousands that are not there. */
async function ghosts(times: number): Promise<Came> {
  const haunted = await makeDeck('Haunted')
  const [honest, ghost] = [await editDeck(haunted), await editDeck(haunted, { email: 'tomas@velmoor.example' })]
  let tried = 0
  const { slowest } = await whileAsked(async () => {
    for (let count = 0; count < times; count += 20) {
      const document = new Y.Doc()
      const awareness = new Awareness(document)
      const clients = Array.from({ length: 20 }, (_, at) => count + at + 1)
      for (const client of clients) {
        awareness.states.set(client, { name: 'Ghost', color: '#112233', slide: null, selection: [] })
        awareness.meta.set(client, { clock: 1, lastUpdated: Date.now() })
      }
      ghost.raw(encodeMessage({ kind: 'awareness', update: encodeAwarenessUpdate(awareness, clients) }))
      awareness.destroy()
      tried++
      await pause(1)
    }
    await pause(1500)
  })
  const seen = honest.heard.filter(message => message.kind === 'awareness').length
  for (const editor of [honest, ghost]) editor.leave()
  return { tried, failures: seen > 50 ? [`${seen} messages of ghosts reached others`] : [], figure: `ghosts ${slowest} ms` }
}

/** Notes of a slide are written anew as fast as the server takes them, for so many seconds. */
async function updates(seconds: number): Promise<Came> {
  const flooded = await makeDeck('Flooded')
  const writer = await editDeck(flooded)
  const slide = [...liveTable(writer.document, 'slides').keys()][0]!
  const until = Date.now() + seconds * 1000
  let tried = 0
  const { slowest } = await whileAsked(async () => {
    for (; Date.now() < until; tried++) {
      const notes = String(tried % 10).repeat(190_000)
      const came = await Promise.race([
        writer.change(document => applyToDocument(document, [setRecord('slides', slide, { notes })])),
        pause(20_000).then(() => 'no answer'),
      ])
      if (came !== true) break
    }
  })
  const kept = Math.round((await bytesOnDisk(flooded)) / 1e6)
  writer.leave()
  const opens = typeof (await deckOf(flooded)) !== 'number'
  return {
    tried,
    failures: [
      ...(kept > 100 ? [`${kept} MB stand on disk for a deck of one slide`] : []),
      ...(opens ? [] : ['the flooded deck does not open any more']),
    ],
    figure: `${Math.round(tried * 0.19)} MB of updates ${slowest} ms, ${kept} MB on disk`,
  }
}

/** A body that never ends, from somebody who is not signed in. */
const endlessBody = () =>
  new Promise<void>(resolve => {
    const line = net.connect(port, '127.0.0.1', () => {
      line.write(
        `POST /api/session HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nContent-Type: application/json\r\nContent-Length: ` +
          `${450 * 1024 * 1024}\r\n\r\n`,
      )
      const part = Buffer.alloc(1024 * 1024, 'x')
      const push = () => {
        while (!line.destroyed && line.write(part));
        line.once('drain', push)
      }
      push()
    })
    line.on('close', () => resolve())
    line.on('error', () => resolve())
    setTimeout(() => line.destroy(), 8000)
  })

async function bodies(): Promise<Came> {
  const { slowest } = await whileAsked(() => Promise.all(Array.from({ length: 10 }, endlessBody)))
  return { tried: 10, failures: [], figure: `10 bodies of 450 MB ${slowest} ms` }
}

async function guesses(count: number): Promise<Came> {
  let entered = 0
  const guess = async (at: number) => {
    const answer = await fetch(`http://127.0.0.1:${port}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ email: 'vera@velmoor.example', password: `guess ${at}` }),
    })
    if (answer.status === 200) entered++
  }
  const { slowest } = await whileAsked(() => Promise.all(Array.from({ length: count }, (_, at) => guess(at))))
  return { tried: count, failures: entered ? [`${entered} guesses were let in`] : [], figure: `guesses ${slowest} ms` }
}

export const floods: Attack = {
  name: 'floods',
  about: '20,000 ghosts, hundreds of megabytes of updates, bodies of 450 MB, thousands of guesses; how long others wait meanwhile',
  async run(times) {
    const came = [await ghosts(times(20_000)), await updates(times(60)), await bodies(), await guesses(times(400))]
    return {
      tried: came.reduce((sum, one) => sum + one.tried, 0),
      failures: came.flatMap(one => one.failures),
      figures: `others waited at most: ${came.map(one => one.figure).join('; ')}`,
    }
  },
}
