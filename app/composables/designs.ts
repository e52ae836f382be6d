import { refDebounced } from '@vueuse/core'
import {
  designing,
  mainLook,
  takeDesigns,
  themeWith,
  threeLooks,
  wishFor,
  type Design,
  type FoundPicture,
  type LookChoice,
} from '#core/layouts'
import type { Id } from '#core/values'
import { applyChanges, deckTheme, putRecord, type Deck } from '#core/model'

/** How long work goes on before the page has its turn, ms. */
const slice = 14
/** How often what there is by then is shown, ms: all rows are drawn anew for it. */
const glance = 400
/** Others’ edits come one after the other: designs follow when they rest. */
const rests = { wait: 350, maxWait: 2000 }
const freshSeed = 4711

/** Whole decks that are proposed for the words of the deck in hand, made slide by slide beside the page’s work. */
export function useDesigns() {
  const store = useDeck()
  const stage = useStageHost()
  const { ofSlides } = useFoundPictures()
  const round = ref(0)
  const choices = shallowRef<readonly LookChoice[]>([])
  /** By the name of a look; as far as they have come. */
  const designs = shallowRef<ReadonlyMap<string, Design>>(new Map())
  /** The deck that they are made for. */
  const base = shallowRef<Deck | null>(null)
  const isWorking = ref(false)
  /** The look that each slide was taken in; those that nobody has moved are taken in the first. */
  const moved = ref(new Map<string, string>())
  let run = 0

  const slides = computed(() => store.slides.filter(({ id }) => base.value?.slides[id]))
  const made = computed(() => choices.value.map(({ look }) => designs.value.get(look.name)?.slides.length ?? 0))
  const taken = computed(() => {
    const shown = new Set(choices.value.map(({ look }) => look.name))
    const first = choices.value[0]?.look.name
    return new Map(
      slides.value.flatMap(({ id }) => {
        const look = moved.value.get(id)
        return first === undefined ? [] : [[id, look !== undefined && shown.has(look) ? look : first] as const]
      }),
    )
  })

  async function makeOne(deck: Deck, { look }: LookChoice, pictures: ReadonlyMap<Id, readonly FoundPicture[]>, own: number) {
    const wish = { ...wishFor(deck, look.name, deckTheme(deck).look?.seed ?? freshSeed), look: look.name }
    await stage.need(applyChanges(deck, [putRecord('theme', themeWith(deck, wish))]))
    const work = designing(deck, wish, store.context, stage.host.measurer, pictures)
    let since = performance.now()
    let shown = since
    for (;;) {
      if (own !== run) return
      const step = work.next()
      const now = performance.now()
      if (step.done || now - shown > glance) {
        designs.value = new Map(designs.value).set(look.name, step.value)
        shown = now
      }
      if (step.done) return
      if (now - since > slice) {
        await new Promise(resolve => setTimeout(resolve))
        since = performance.now()
      }
    }
  }
  /** Makes all three anew, from the deck as it is. */
  async function make() {
    const own = ++run
    const deck = store.deck
    if (!deck || !store.slides.length) return
    base.value = deck
    choices.value = threeLooks(deck, round.value)
    const names = new Set(choices.value.map(({ look }) => look.name))
    designs.value = new Map([...designs.value].filter(([name]) => names.has(name)))
    isWorking.value = true
    const pictures = await ofSlides(deck)
    for (const choice of choices.value) await makeOne(deck, choice, pictures, own)
    if (own === run) isWorking.value = false
  }
  /** Whether the designs are those of the deck as it is now, so that they can be taken. */
  const isCurrent = computed(() => base.value === store.deck)
  const settled = refDebounced(
    computed(() => store.deck),
    rests.wait,
    rests,
  )
  watch(settled, deck => {
    if (deck && deck !== base.value) void make()
  })
  onMounted(make)
  onBeforeUnmount(() => run++)

  function stop() {
    run++
    isWorking.value = false
  }
  function others() {
    round.value++
    moved.value = new Map()
    void make()
  }
  const move = (slide: string, look: string) => (moved.value = new Map(moved.value).set(slide, look))
  const moveAll = (look: string) => (moved.value = new Map(slides.value.map(({ id }) => [id, look])))
  /** The changes that make the deck what was taken; none while it has changed and the designs follow. */
  const take = () =>
    store.deck && isCurrent.value
      ? takeDesigns(store.deck, { designs: [...designs.value.values()], taken: taken.value }, store.context)
      : []
  const main = computed(() => store.deck && mainLook(store.deck, taken.value))

  // The rundown shows the deck as it would be taken, once all of it is there.
  watch([designs, taken, isWorking, isCurrent], () => {
    const isMade = !isWorking.value && made.value.every(count => count === slides.value.length)
    store.tried = isMade ? take() : null
  })
  onBeforeUnmount(() => {
    store.tried = null
  })
  return { choices, designs, slides, made, taken, main, isWorking, isCurrent, base, stop, others, move, moveAll, take }
}
