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

export const floods: Attack = {
  name: 'floods',
  about: '20,000 ghosts, hundreds of megabytes of updates, bodies of 450 MB, thousands of guesses; how long others wait meanwhile',
  async run(times) {
    const failures: string[] = []
    const figures: string[] = []
    let tried = 0

    const haunted = await makeDeck('Haunted')
    const [honest, ghost] = [await editDeck(haunted), await editDeck(haunted, { email: 'tomas@velmoor.example' })]
    const ghosts = await whileAsked(async () => {
      for (let count = 0; count < times(20_000); count += 20) {
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
    if (seen > 50) failures.push(`${seen} messages of ghosts reached others`)
    figures.push(`ghosts ${ghosts.slowest} ms`)
    for (const editor of [honest, ghost]) editor.leave()

    const flooded = await makeDeck('Flooded')
    const writer = await editDeck(flooded)
    const slide = [...liveTable(writer.document, 'slides').keys()][0]!
    const until = Date.now() + times(60) * 1000
    let sent = 0
    const updates = await whileAsked(async () => {
      for (let count = 0; Date.now() < until; count++) {
        tried++
        sent += 190_000
        const came = await Promise.race([
          writer.change(document => applyToDocument(document, [setRecord('slides', slide, { notes: String(count % 10).repeat(190_000) })])),
          pause(20_000).then(() => 'no answer'),
        ])
        if (came !== true) break
      }
    })
    const kept = await bytesOnDisk(flooded)
    figures.push(`${Math.round(sent / 1e6)} MB of updates ${updates.slowest} ms, ${Math.round(kept / 1e6)} MB on disk`)
    if (kept > 100e6) failures.push(`${Math.round(kept / 1e6)} MB stand on disk for a deck of one slide`)
    writer.leave()
    if (typeof (await deckOf(flooded)) === 'number') failures.push('the flooded deck does not open any more')

    const bodies = await whileAsked(async () => {
      await Promise.all(
        Array.from(
          { length: 10 },
          () =>
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
            }),
        ),
      )
      tried += 10
    })
    figures.push(`10 bodies of 450 MB ${bodies.slowest} ms`)

    const guesses = await whileAsked(async () => {
      await Promise.all(
        Array.from({ length: times(400) }, async (_, at) => {
          tried++
          const answer = await fetch(`http://127.0.0.1:${port}/api/session`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({ email: 'vera@velmoor.example', password: `guess ${at}` }),
          })
          if (answer.status === 200) failures.push('a guess was let in')
        }),
      )
    })
    figures.push(`guesses ${guesses.slowest} ms`)
    return { tried, failures, figures: `others waited at most: ${figures.join('; ')}` }
  },
}
