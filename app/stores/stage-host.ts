import type { Deck } from '#core/model'
import { houseTheme } from '#core/layouts'
import { withSyllables } from '#core/text'
import { fontNeeds } from '#core/themes'
import { browserMeasurer, declareFaces, declareFamilies, loadFonts, type StageHost } from '#stage'

/** What every stage in the application draws with: fonts measured once they are here, tables and media of this server. */
/** How long a page that opens waits for the fonts that most decks have, ms. */
const patience = 3000

export const useStageHost = defineStore('stage-host', () => {
  const tables = useTables()
  const clips = useClips()
  const ink = useInk()
  const words = useSyllables()
  const live = ref(false)
  const letters = shallowRef(browserMeasurer())
  const measurer = computed(() => withSyllables(letters.value, words.syllables))
  /** The least of the steps that the server makes which is wide enough for this screen; the file itself beyond. */
  const mediaUrl = (hash: string, width?: number) => {
    const wanted = width ? width * Math.min(2, globalThis.devicePixelRatio || 1) : 0
    const step = wanted ? [320, 640, 1280, 1920, 2560].find(candidate => candidate >= wanted) : undefined
    return step ? `/api/media/${hash}?width=${step}` : `/api/media/${hash}`
  }
  const asked = new Set<string>()

  /** Brings the fonts that a deck needs; everything is measured anew once some have come. */
  async function need(deck: Deck) {
    const { families, faces, letters } = fontNeeds(deck)
    const key = `${families.join()}|${faces.map(face => face.media).join()}|${[...letters]
      .filter(letter => letter > '\u024f')
      .sort()
      .join('')}`
    if (asked.has(key)) return
    asked.add(key)
    await bring(families, letters, () => declareFaces(faces, hash => mediaUrl(hash)))
  }
  async function bring(families: readonly string[], written = 'Aaß', more: () => void = () => {}) {
    declareFamilies(families)
    more()
    await loadFonts(families, written)
    letters.value = browserMeasurer()
  }
  // A page waits so long for fonts and no longer: one that does not come keeps nobody out, and what came later is measured anew.
  const ready = Promise.race([
    bring(Object.values(houseTheme.fonts)),
    new Promise<void>(resolve => {
      setTimeout(resolve, patience)
    }),
  ])
  const host = computed<StageHost>(() => ({
    measurer: measurer.value,
    table: id => tables.table(id),
    mediaLength: hash => clips.length(hash),
    mediaUrl,
    stillUrl: (hash, seconds, width) => `${mediaUrl(hash, Math.max(1, width))}&at=${Math.round(seconds * 1000) / 1000}`,
    ink: ink.ink,
    live: () => live.value,
  }))
  return { host, live, ready, need, bring }
})
