import { watchDebounced } from '@vueuse/core'
import type { CheckContext, Finding } from '#core/checks'
import type { FontFaceFile } from '#core/model'

/** When the rules could not be fetched, they are asked for again after so long, ms. */
const askAgainAfter = 5000

/** What Check found in the deck that is open. It looks again whenever the deck, or what it is made from, has changed. */
export const useCheck = defineStore('check', () => {
  const store = useDeck()
  const stage = useStageHost()
  const tables = useTables()
  const pixels = usePixels()

  const findings = shallowRef<readonly Finding[]>([])
  /** What checks could not look at: said, and not counted. */
  const unmeasured = shallowRef<readonly Finding[]>([])
  /** Whether checks are not through yet: nothing is said to be well before they are. */
  const looking = ref(true)

  /** The fonts that the team has: asked for once something here has letters that no font has. */
  const faces = shallowRef<readonly FontFaceFile[]>([])
  let isAsked = false
  async function askForFonts() {
    if (isAsked) return
    isAsked = true
    const found = await askingBeside(() => $fetch<TeamFont[]>('/api/fonts'))
    isAsked = found !== undefined
    if (found?.length) faces.value = found.map(faceOfTeam)
  }

  /** What checks look with; another one whenever pixels have come, so that they look again. */
  const context = computed<CheckContext>(() => {
    void pixels.version
    return { ...stage.host, pixels: (media, film) => pixels.pixels(media, film), faces: faces.value }
  })

  /** Checks slide by slide, giving way to the person after each few; an edit meanwhile begins anew, with what is known kept. */
  async function look() {
    const [checked, planned] = [store.deck, store.keptPlan]
    if (!checked || !planned) return
    looking.value = true
    const rules = await fetched(() => import('#core/checks'))
    // Nothing was looked at: it goes on being said so, and is tried again.
    if (!rules) return void setTimeout(() => void look(), askAgainAfter)
    if (store.deck !== checked) return
    const { checkConsistency, checkSlide, inOrder } = rules
    const made: Finding[] = []
    for (const [index, slide] of planned.slides.entries()) {
      if (index % 8 === 7) await new Promise(resolve => setTimeout(resolve))
      if (store.deck !== checked) return
      made.push(...checkSlide(checked, slide, context.value))
    }
    // The check itself may have been the first to ask for a table or a picture; it begins anew once that is here.
    looking.value = tables.coming + pixels.coming > 0
    if (looking.value) return
    const all = inOrder(checked, [...made, ...checkConsistency(checked)])
    findings.value = all.filter(finding => !finding.unmeasured)
    if (all.some(({ rule }) => rule === 'glyphs')) void askForFonts()
    unmeasured.value = all.filter(finding => finding.unmeasured)
  }
  watchDebounced([() => store.deck, context, () => tables.coming, () => pixels.coming], look, { debounce: 350, immediate: true })
  watch(
    () => store.deck === null,
    () => {
      findings.value = unmeasured.value = []
      looking.value = true
    },
    { flush: 'sync' },
  )

  return { findings, unmeasured, looking }
})
