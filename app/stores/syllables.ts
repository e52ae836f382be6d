/** So many words are asked for at once, and of so many letters at most. */
const [atOnce, mostLetters] = [500, 80]

/** Where words may be parted that are too wide for their places: asked for when a text first has one, and kept by language. */
export const useSyllables = defineStore('syllables', () => {
  const language = ref('')
  const known = shallowRef<Readonly<Record<string, readonly string[]>>>({})
  const asked = new Set<string>()
  let waiting: string[] = []

  async function ask() {
    const [words, tongue] = [waiting.splice(0, atOnce), language.value]
    if (waiting.length) setTimeout(ask)
    const found = await $fetch<Record<string, string[]>>('/api/words/syllables', {
      method: 'POST',
      body: { language: tongue, words },
    }).catch(askAgain(() => words.forEach(word => asked.delete(word))))
    // Nothing new changes nothing that was drawn.
    if (found && tongue === language.value && Object.keys(found).length) known.value = { ...known.value, ...found }
  }
  function miss(word: string) {
    if (asked.has(word) || word.length > mostLetters || !language.value) return
    asked.add(word)
    if (!waiting.length) setTimeout(ask, 30)
    waiting.push(word)
  }
  /** From here on words are those of another language. */
  function speak(next: string) {
    if (next === language.value) return
    language.value = next
    asked.clear()
    waiting = []
    known.value = {}
  }
  /** A new one whenever more is known, so that what was set with less is set anew. */
  const syllables = computed(() => {
    const now = known.value
    return (word: string) => {
      const found = Object.hasOwn(now, word) ? now[word] : undefined
      if (!found) miss(word)
      return found
    }
  })
  return { known, syllables, speak }
})
