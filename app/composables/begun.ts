/** Words that a deck was begun with, until its outline has taken them. */
export const useBegun = () => useState<{ deck: string; words: string } | null>('begun', () => null)

/** Makes a deck, in the language of who makes it; undefined where that failed, which is told. */
export async function makeDeck(asked: { title: string; purpose: DeckEntry['purpose']; starter?: string }): Promise<string | undefined> {
  const body = { ...asked, title: asked.title.trim() || 'Untitled deck', language: navigator.language || 'en' }
  return (await asking(() => $fetch('/api/decks', { method: 'POST', body })))?.id
}
