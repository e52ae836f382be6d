import { slidesOf, type Deck } from '#core/model'
import { compileSlide, lastMoment, type Moment } from '#core/timing'

/** Where one is in the deck that is open: the slide or look that is worked on, the moment that is shown, and whether it plays. */
export const useWhere = defineStore('where', () => {
  const store = useDeck()
  const stage = useStageHost()

  const slideId = ref<string | null>(null)
  /** The layout or master that is edited on the stage in place of the slide. */
  const lookOwner = ref<string | null>(null)
  const moment = shallowRef<Moment | null>(null)
  const playing = ref(false)
  /** The beats of the slide that are played round and round, by index; null where it is played on. */
  const loop = ref<{ from: number; to: number } | null>(null)
  /** How many slides stand before the slide, so that one that goes leaves its neighbour in hand. */
  let before = 0

  /** What the stage at work shows. */
  const stageId = computed(() => lookOwner.value ?? slideId.value)
  /** Handed out as a form: on slides only what fills places is changed. */
  const isForm = computed(() => !!store.deck?.info.info?.form && !lookOwner.value)
  const scoreOf = (of: Deck | null) => (of && slideId.value ? compileSlide(of, slideId.value, stage.host) : null)
  /** As the deck is, whatever is tried out. */
  const keptScore = computed(() => scoreOf(store.deck))
  const score = computed(() => (store.shown === store.deck ? keptScore.value : scoreOf(store.shown)))

  const indexIn = (deck: Deck) =>
    Math.max(
      0,
      slidesOf(deck).findIndex(slide => slide.id === slideId.value),
    )

  /** Goes to a slide: to a moment of it, or to its last, where all of it has come. */
  function goToSlide(slide: string | null, at?: Moment) {
    slideId.value = slide
    if (store.deck) before = indexIn(store.deck)
    if (at) moment.value = at
    else if (slide && store.deck) moment.value = { slide, ...lastMoment(compileSlide(store.deck, slide, stage.host)) }
  }
  function goTo(next: Moment) {
    if (next.slide !== slideId.value) goToSlide(next.slide, next)
    else moment.value = next
  }
  function stop() {
    playing.value = false
  }

  /** What is gone from the deck is not where one is. */
  function settle(deck: Deck) {
    const slides = slidesOf(deck)
    if (!slideId.value || !deck.slides[slideId.value]) {
      const gone = slideId.value ? before : 0
      goToSlide(slides[Math.min(gone, slides.length - 1)]?.id ?? null)
    }
    before = indexIn(deck)
    if (lookOwner.value && !deck.layouts[lookOwner.value] && !deck.masters[lookOwner.value]) lookOwner.value = null
  }
  watch(
    () => store.deck,
    deck => {
      if (deck) return settle(deck)
      // A deck that is opened anew is entered where it was left.
      stop()
      moment.value = null
    },
    { immediate: true, flush: 'sync' },
  )
  watch(
    () => store.id,
    () => {
      slideId.value = null
    },
    { flush: 'sync' },
  )
  watch(
    slideId,
    slide => {
      loop.value = null
      store.share({ slide })
    },
    { immediate: true, flush: 'sync' },
  )

  return { slideId, lookOwner, stageId, isForm, moment, playing, loop, score, keptScore, goToSlide, goTo, stop }
})
