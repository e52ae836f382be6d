import type { Deck } from '#core/model'

/** A deck as its card in the list shows it. */
export interface DeckEntry {
  id: string
  title: string
  purpose: 'talk' | 'film' | 'loop'
  folder: string
  owner: { id: string; name: string } | null
  changed_at: string
  /** Who changed it last, by name. */
  changer: string | null
  removed_at: string | null
  version: number | null
  slides: number
  /** Seconds that each slide lasts, as the server last reckoned; null where it did not yet. */
  seconds: number[] | null
  cover: Deck
}
interface Answer {
  total: number
  items: DeckEntry[]
  counts: {
    all: number
    folders: { name: string; count: number }[]
    purposes: Record<DeckEntry['purpose'], number>
    removed: number
    trashDays: number
  }
}

/** How long a deck lasts in all, by what its slides do, seconds. */
export const lengthOf = (seconds: readonly number[]) => seconds.reduce((sum, part) => sum + part, 0)

export const purposeWords = { talk: 'Talk', film: 'Film', loop: 'Loop' } as const

/** The team's decks as they are asked for: by words, folder, purpose and whose they are, or those in the trash. */
export function useDeckShelf() {
  const filter = reactive({
    find: '',
    folder: '',
    purpose: '' as '' | DeckEntry['purpose'],
    mine: false,
    removed: false,
    by: 'changed' as 'changed' | 'title' | 'slides' | 'length',
  })
  const list = useListed<DeckEntry, Answer>(filter, from =>
    $fetch<Answer>('/api/decks', {
      query: {
        find: filter.find.trim(),
        from,
        by: filter.by,
        mine: filter.mine,
        removed: filter.removed,
        ...(filter.folder ? { folder: filter.folder } : {}),
        ...(filter.purpose ? { purpose: filter.purpose } : {}),
      },
    }),
  )
  return { ...list, filter, counts: computed(() => list.answer.value?.counts ?? null) }
}

/** What is done with decks of the list; each says what it did, and `done` fetches the list anew. */
export function useDeckDeeds(done: () => Promise<unknown>) {
  const at = (deck: { id: string }, rest = '') => `/api/decks/${deck.id}${rest}`
  async function act(request: () => Promise<unknown>, said?: string) {
    if ((await asking(request)) === undefined) return false
    await done()
    if (said) notify(said)
    return true
  }
  const restore = (deck: DeckEntry) => act(() => $fetch(at(deck, '/restore'), { method: 'POST' }), `“${deck.title}” is back`)
  async function remove(deck: DeckEntry) {
    if (!(await act(() => $fetch(at(deck), { method: 'DELETE' })))) return
    useToast().add({
      title: `“${deck.title}” is in the trash`,
      duration: 12_000,
      actions: [{ label: 'Restore', onClick: () => void restore(deck) }],
    })
  }
  return {
    restore,
    remove,
    rename: (deck: DeckEntry, title: string) => act(() => $fetch(at(deck), { method: 'PATCH', body: { title } })),
    move: (deck: DeckEntry, folder: string) =>
      act(
        () => $fetch(at(deck), { method: 'PATCH', body: { folder } }),
        folder ? `“${deck.title}” is in ${folder}` : `“${deck.title}” is in no folder`,
      ),
    duplicate: (deck: DeckEntry) => act(() => $fetch(at(deck, '/copy'), { method: 'POST' }), `“${deck.title}, copy” is here`),
    deleteForGood: (deck: DeckEntry) => act(() => $fetch(at(deck, '/removed'), { method: 'DELETE' }), `“${deck.title}” is gone for good`),
  }
}
