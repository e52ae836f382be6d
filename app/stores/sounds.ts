import { dropRecord, soundsOf, type Sound } from '#core/model'
import { setFields } from '#core/edits'
import type { Id } from '#core/values'
import { putNarration, putSound, slidesUnder, soundPlan, type SoundPlan } from '#core/timing'

/** The deck's sounds along its time, the one that is chosen, and what is done to them. */
export const useSounds = defineStore('sounds', () => {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const stage = useStageHost()
  const chosenId = ref<Id | null>(null)
  const context = { id: freshId }

  // As shown: with what is under the hand.
  const chosen = computed(() => (chosenId.value ? store.shown?.sounds[chosenId.value] : undefined))
  const plan = computed<SoundPlan | null>(() => (store.shown && store.plan ? soundPlan(store.shown, store.plan, stage.host) : null))
  /** Those that lie over the slide at work: voices first, then what else begins with it, beds last. */
  const here = computed(() => {
    const at = store.slides.findIndex(slide => slide.id === where.slideId)
    const rank = { narration: 0, effect: 1, bed: 2 }
    return soundsOf(store.shown!)
      .filter(sound => {
        const { first, last } = slidesUnder(store.shown!, sound)
        return first <= at && at <= last
      })
      .sort((a, b) => rank[a.use] - rank[b.use])
  })
  const voice = computed(() => here.value.find(sound => sound.use === 'narration' && sound.fromSlide === where.slideId))
  watch(
    () => where.slideId,
    () => {
      chosenId.value = null
    },
  )
  watch(
    () => selected.cueId,
    cue => {
      if (cue) chosenId.value = null
    },
  )

  function choose(id: Id | null) {
    chosenId.value = id
    if (id) selected.cueId = null
  }
  function set(fields: Partial<Sound>, label = 'change a sound') {
    if (chosen.value) store.edit(label, setFields(store.current, { table: 'sounds', id: chosen.value.id, fields }))
  }
  function remove() {
    if (chosen.value) store.edit('remove a sound', [dropRecord('sounds', chosen.value.id)])
    chosenId.value = null
  }
  /** Lays music under the deck from here to its end, or a sound at the playhead. */
  function add(use: 'bed' | 'effect', entry: { hash: string; name: string }) {
    const slide = where.slideId!
    const opening = store.plan?.slides.find(one => one.slide === slide)
    const at =
      where.moment?.slide === slide && use === 'effect' && opening
        ? Math.max(
            0,
            (opening.beats[where.moment.beat]?.start ?? opening.start) -
              opening.start -
              opening.transition +
              Math.max(0, where.moment.seconds),
          )
        : 0
    const id = freshId()
    let first = true
    store.edit(
      use === 'bed' ? 'lay music under slides' : 'add a sound',
      putSound(
        store.current,
        {
          use,
          media: entry.hash,
          name: entry.name.replace(/\.\w+$/, ''),
          fromSlide: slide,
          untilSlide: use === 'bed' ? store.slides.at(-1)!.id : slide,
          delay: Math.round(at * 100) / 100,
        },
        { id: () => (first ? ((first = false), id) : freshId()) },
      ),
    )
    choose(id)
  }
  function narrate(media: string) {
    store.edit('give the slide a voice', putNarration(store.current, { slide: where.slideId!, media, name: 'Voice' }, context))
    choose(voice.value?.id ?? null)
  }
  return { chosenId, chosen, plan, here, voice, choose, set, remove, add, narrate }
})
