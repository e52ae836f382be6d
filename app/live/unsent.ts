import { createStore, delMany, entries, set, type UseStore } from 'idb-keyval'

/** What was written in a deck and is not known to be on disk at the server, as it is kept in this browser. */
export interface Unsent {
  /** Keeps one update; false where this browser keeps nothing. */
  put(number: number, update: Uint8Array): Promise<boolean>
  /** All that is kept of this deck, from whatever page of this browser; from then on it counts as this page's. */
  all(): Promise<Uint8Array[]>
  /** Forgets this page's updates up to a number, and what it took over from others. */
  drop(upTo: number): Promise<void>
  /** Names the deck for whoever finds this later. */
  name(title: string): void
}

interface Kept {
  update: Uint8Array
  /** When, ms since 1970. */
  at: number
  title: string
}
type Key = [person: string, deck: string, page: string, number: number]

/** Only what has not been sent is kept: a whole deck, as large as it may be, is never left behind in a browser that others use too. */
let opened: UseStore | undefined
const store = () => (opened ??= createStore('hailbank-unsent', 'updates'))
let broken = false

/** Runs a request to the browser's database; one that it refuses (a private window, a full disk) is told by `false` from then on. */
async function asked<T>(request: () => Promise<T>): Promise<T | undefined> {
  try {
    return await request()
  } catch (error) {
    if (!(error instanceof Error)) throw error
    broken = true
    console.warn(`Hailbank cannot keep unsent changes in this browser: ${error.message}`)
    return undefined
  }
}

const everything = async () => (await asked(() => entries<Key, Kept>(store()))) ?? []

export function unsentOf(person: string, deck: string): Unsent {
  const page = freshId()
  /** What this page has put there, and what it has taken over. */
  let mine: Key[] = []
  let taken: Key[] = []
  let title = ''
  return {
    async put(number, update) {
      const key: Key = [person, deck, page, number]
      mine.push(key)
      await asked(() => set(key, { update, at: Date.now(), title } satisfies Kept, store()))
      return !broken
    },
    async all() {
      const found = (await everything()).filter(([key]) => key[0] === person && key[1] === deck)
      taken = found.map(([key]) => key)
      return found.sort(([a], [b]) => a[3] - b[3]).map(([, kept]) => kept.update)
    },
    async drop(upTo) {
      const gone = [...mine.filter(key => key[3] <= upTo), ...taken]
      mine = mine.filter(key => key[3] > upTo)
      taken = []
      if (gone.length) await asked(() => delMany(gone, store()))
    },
    name(next) {
      title = next
    },
  }
}

/** The decks in which a person has written what is not sent yet, with when the first of it was written. */
export async function unsentDecks(person: string): Promise<{ deck: string; title: string; since: Date }[]> {
  const found = new Map<string, { deck: string; title: string; since: Date }>()
  for (const [[whose, deck], { at, title }] of await everything()) {
    if (whose !== person) continue
    const known = found.get(deck)
    found.set(deck, { deck, title: title || known?.title || 'a deck', since: new Date(Math.min(at, known?.since.getTime() ?? Infinity)) })
  }
  return [...found.values()]
}
