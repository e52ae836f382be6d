/** So many words are asked for at once, and of so many letters at most. */
const [atOnce, mostLetters] = [500, 80]

/** How words of a language may be parted, by word. */
type Known = Readonly<Record<string, readonly string[]>>

/** Where words may be parted that are too wide for their places, by language: asked for when a text first has one. */
export const useSyllables = defineStore('syllables', () => {
  const known = shallowRef<Readonly<Record<string, Known>>>({})
  const asked = new Set<string>()
  /** Words that wait to be asked for, by language. */
  const waiting = new Map<string, string[]>()

  async function ask(language: string) {
    const list = waiting.get(language) ?? []
    const words = list.splice(0, atOnce)
    if (list.length) setTimeout(() => void ask(language))
    const found = await $fetch<Known>('/api/words/syllables', { method: 'POST', body: { language, words } }).catch(
      askAgain(() => words.forEach(word => asked.delete(`${language} ${word}`))),
    )
    // Nothing new changes nothing that was drawn.
    if (found && Object.keys(found).length) known.value = { ...known.value, [language]: { ...known.value[language], ...found } }
  }
  function miss(word: string, language: string) {
    const key = `${language} ${word}`
    if (asked.has(key) || word.length > mostLetters || !language) return
    asked.add(key)
    const list = waiting.get(language) ?? []
    waiting.set(language, list)
    if (!list.length) setTimeout(() => void ask(language), 30)
    list.push(word)
  }
  /** A new one whenever more is known, so that what was set with less is set anew. */
  const syllables = computed(() => {
    const now = known.value
    return (word: string, language: string) => {
      const own = Object.hasOwn(now, language) ? now[language]! : {}
      if (Object.hasOwn(own, word)) return own[word]
      miss(word, language)
      return undefined
    }
  })
  return { known, syllables }
})
