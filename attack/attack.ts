import { once } from 'node:events'
import { Worker } from 'node:worker_threads'
import { cookieOf } from '../tests/support/live'
import { port } from '../tests/support/server'

/** Something that is done to a running server at its worst. */
export interface Attack {
  name: string
  about: string
  /** `times` scales a count, for a short run. */
  run(times: (count: number) => number): Promise<{ tried: number; failures: string[]; figures?: string }>
}

export const address = (path: string) => `http://127.0.0.1:${port}${path}`

/** Makes a deck and answers with its id. */
export async function makeDeck(title: string): Promise<string> {
  const answer = await fetch(address('/api/decks'), {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie: await cookieOf() },
    body: JSON.stringify({ title, purpose: 'talk' }),
  })
  if (!answer.ok) throw new Error(`making a deck answered ${answer.status}`)
  return ((await answer.json()) as { id: string }).id
}

/** A deck as the server tells it; the status where it does not. */
export async function deckOf(id: string): Promise<{ variants: Record<string, unknown>; info: { info: { title: string } } } | number> {
  const answer = await fetch(address(`/api/decks/${id}`), { headers: { cookie: await cookieOf() } })
  return answer.ok ? ((await answer.json()) as never) : answer.status
}

export const pause = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))

/**
 * Asks again and again until it is told to stop; tells how long each answer took, ms. In a thread of its own, so that the attacker's own
 * work is not measured.
 */
const asker = `
const { parentPort, workerData } = require('node:worker_threads')
const times = []
let going = true
parentPort.on('message', () => { going = false })
;(async () => {
  while (going) {
    const begun = performance.now()
    try { await (await fetch(workerData)).text() } catch (error) { if (error.name !== 'TypeError') throw error }
    times.push(performance.now() - begun)
    await new Promise(resolve => setTimeout(resolve, 15))
  }
  parentPort.postMessage(times)
})()`

/**
 * Asks the server for its welcome page again and again while some work goes on; answers with the slowest and the usual time that somebody
 * else waited, ms.
 */
export async function whileAsked(work: () => Promise<unknown>): Promise<{ slowest: number; median: number }> {
  const thread = new Worker(asker, { eval: true, workerData: address('/api/welcome') })
  await once(thread, 'online')
  await pause(300)
  await work()
  thread.postMessage('stop')
  const [times] = (await once(thread, 'message')) as [number[]]
  await thread.terminate()
  // The first is on a line that is still being made.
  times.shift()
  times.sort((a, b) => a - b)
  return { slowest: Math.round(times.at(-1) ?? 0), median: Math.round((times[times.length >> 1] ?? 0) * 10) / 10 }
}
