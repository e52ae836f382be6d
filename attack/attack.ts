import { cookieOf } from '../tests/support/live'
import { port } from '../tests/support/server'

/** Something that is done to a running server at its worst. */
export interface Attack {
  name: string
  about: string
  /** `times` scales a count, for a short run. */
  run(times: (count: number) => number): Promise<{ tried: number, failures: string[], figures?: string }>
}

export const address = (path: string) => `http://127.0.0.1:${port}${path}`

/** Makes a deck and answers with its id. */
export async function makeDeck(title: string): Promise<string> {
  const answer = await fetch(address('/api/decks'), { method: 'POST', headers: { 'content-type': 'application/json', 'cookie': await cookieOf() }, body: JSON.stringify({ title, purpose: 'talk' }) })
  if (!answer.ok) throw new Error(`making a deck answered ${answer.status}`)
  return ((await answer.json()) as { id: string }).id
}

/** A deck as the server tells it; the status where it does not. */
export async function deckOf(id: string): Promise<{ variants: Record<string, unknown>, info: { info: { title: string } } } | number> {
  const answer = await fetch(address(`/api/decks/${id}`), { headers: { cookie: await cookieOf() } })
  return answer.ok ? await answer.json() as never : answer.status
}

export const pause = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))

/** Asks the server for its health again and again while some work goes on; answers with the slowest and the usual time that somebody else waited, ms. */
export async function whileAsked(work: () => Promise<unknown>): Promise<{ slowest: number, median: number }> {
  let going = true
  const times: number[] = []
  const asking = (async () => {
    while (going) {
      const begun = performance.now()
      await fetch(address('/api/welcome')).catch(() => null)
      times.push(performance.now() - begun)
      await pause(15)
    }
  })()
  try {
    await work()
  } finally {
    going = false
    await asking
  }
  times.sort((a, b) => a - b)
  return { slowest: Math.round(times.at(-1) ?? 0), median: Math.round((times[times.length >> 1] ?? 0) * 10) / 10 }
}
