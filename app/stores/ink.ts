import { inkKey, inkOf, type InkBook, type Traced, type WordOutlines } from '#core/drawing'

type Input = { font: { family: string; weight: number; italic: boolean }; text: string }

/** How words are written and what lines pictures have, fetched when something first asks for them. Neither ever changes. */
export const useInk = defineStore('ink', () => {
  const book = shallowRef<InkBook>({ words: {}, traced: {} })
  const asked = new Set<string>()
  const waiting: Input[] = []

  /** Asks for what was missed meanwhile, all at once. */
  async function ask() {
    const words = waiting.splice(0, 2000)
    if (waiting.length) setTimeout(ask)
    const forget = () => words.forEach(({ font, text }) => asked.delete(`${inkKey(font)}|${text}`))
    const found = await $fetch<Record<string, Record<string, WordOutlines>>>('/api/fonts/outlines', {
      method: 'POST',
      body: { words },
    }).catch(askAgain(forget))
    if (!found) return
    const known = { ...book.value.words }
    for (const [font, more] of Object.entries(found)) known[font] = { ...known[font], ...more }
    book.value = { ...book.value, words: known }
  }
  function missWord(text: string, font: Input['font']) {
    const key = `${inkKey(font)}|${text}`
    if (asked.has(key) || text.length > 200) return
    asked.add(key)
    if (!waiting.length) setTimeout(ask, 30)
    waiting.push({ font: { family: font.family, weight: font.weight, italic: font.italic }, text })
  }
  function missPicture(hash: string) {
    if (asked.has(hash)) return
    asked.add(hash)
    void $fetch<Traced>(`/api/media/${hash}/lines`)
      .then(traced => {
        book.value = { ...book.value, traced: { ...book.value.traced, [hash]: traced } }
      })
      .catch(askAgain(() => asked.delete(hash), 30_000))
  }

  /** A new one whenever more has come, so that what was drawn with less is drawn anew. */
  const ink = computed(() => {
    const known = inkOf(book.value)
    return {
      word(text: string, font: Input['font']) {
        const found = known.word(text, font)
        if (!found) missWord(text, font)
        return found
      },
      traced(hash: string) {
        const found = known.traced(hash)
        if (!found) missPicture(hash)
        return found
      },
    }
  })
  return { book, ink }
})
