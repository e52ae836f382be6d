import { chapterAround } from '#core/edits'
import { cueClippingSchema, alikeOn, clipCues, movingAlready, pasteCues, reverseMotion, type AlikeBy, type NamedMotion } from '#core/timing'
import { cuesOfElement } from '#core/model'
import type { Id } from '#core/values'

/** Onto what motion is put: the element it is asked of, those selected, or those like it on the slide, in its chapter, in the deck. */
export type MotionOnto = 'it' | 'selected' | 'slide' | 'chapter' | 'deck'

/** Motion that is about to be put on elements: its own or the team's, shown as it would be before it is taken. */
export const useMotions = defineStore('motions', () => {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const named = shallowRef<readonly NamedMotion[]>([])
  /** The element that was asked about; null while nothing is asked. */
  const asked = ref<Id | null>(null)
  /** A motion of the team; null is the element's own. */
  const chosen = ref<Id | null>(null)
  const onto = ref<MotionOnto>('slide')
  const by = ref<AlikeBy>('style')
  const replaces = ref(true)
  const isReversed = ref(false)

  const element = computed(() => (asked.value ? store.deck?.elements[asked.value] : undefined))
  const own = computed(() =>
    element.value
      ? clipCues(
          store.current,
          cuesOfElement(store.current, element.value.id).map(cue => cue.id),
        )
      : null,
  )
  const source = computed(() => (chosen.value ? (named.value.find(one => one.id === chosen.value)?.motion ?? null) : own.value))
  const motion = computed(() => source.value && (isReversed.value ? reverseMotion(source.value) : source.value))
  const chapter = computed(() => (where.slideId && store.deck ? chapterAround(store.deck, where.slideId) : []))
  /** What there is to put it on. */
  const places = computed((): MotionOnto[] => [
    ...(chosen.value || isReversed.value ? (['it'] as const) : []),
    ...(selected.elements.length > 1 ? (['selected'] as const) : []),
    'slide',
    ...(chapter.value.length > 1 && chapter.value.length < store.slides.length ? (['chapter'] as const) : []),
    'deck',
  ])
  watch(places, list => {
    if (!list.includes(onto.value)) onto.value = list[0]!
  })
  const elements = computed((): Id[] => {
    if (!element.value) return []
    if (onto.value === 'it') return [element.value.id]
    if (onto.value === 'selected') return selected.elements.filter(id => chosen.value || isReversed.value || id !== element.value!.id)
    const slides = { slide: [where.slideId!], chapter: chapter.value, deck: store.slides.map(slide => slide.id) }[onto.value]
    const like = alikeOn(store.current, { like: element.value.id, slides, by: by.value })
    // The team's motion goes to the one that was asked about as well.
    return chosen.value ? [element.value.id, ...like] : like
  })
  const losing = computed(() => (motion.value && replaces.value ? movingAlready(store.current, elements.value, motion.value).length : 0))
  const onSlides = computed(() => new Set(elements.value.map(id => store.current.elements[id]?.owner)).size)
  const changes = computed(() =>
    motion.value && elements.value.length
      ? pasteCues(
          store.current,
          { clipping: motion.value, elements: elements.value, how: replaces.value ? 'replace' : 'add' },
          store.context,
        )
      : [],
  )
  /** What would be is what is seen. */
  watch(changes, made => {
    if (asked.value) store.tried = made
  })
  watch(
    () => where.slideId,
    () => stop(),
  )

  async function load() {
    const found = await asking(() => $fetch<NamedMotion[]>('/api/motions'))
    // What another version kept and cannot be read is left out, and said.
    const read = (found ?? []).map(one => ({ ...one, read: cueClippingSchema.safeParse(one.motion) }))
    named.value = read.flatMap(({ id, name, read }) => (read.success ? [{ id, name, motion: read.data }] : []))
    const lost = read.filter(one => !one.read.success)
    if (lost.length) notifyProblem(`${listWords(lost.map(one => `“${one.name}”`))} cannot be read by this version and is not offered.`)
  }
  /** Asks what the motion of an element, or of the team, should be put on. */
  function ask(id: Id) {
    asked.value = id
    isReversed.value = false
    replaces.value = true
    chosen.value = null
    by.value = 'style'
    onto.value = selected.elements.length > 1 ? 'selected' : 'slide'
    void load().then(() => {
      if (asked.value === id && !own.value) chosen.value = named.value[0]?.id ?? null
    })
  }
  function stop() {
    if (asked.value) store.tried = null
    asked.value = null
  }
  function apply() {
    const [made, count] = [changes.value, elements.value.length]
    stop()
    if (!made.length) return
    store.edit(count > 1 ? `put motion on ${count} elements` : 'put motion on an element', made)
    notify(count > 1 ? `${count} elements move so.` : 'One element moves so.')
  }
  /** Keeps the element's own motion under a name, for the team. */
  async function keep(name: string) {
    if (!own.value) return
    const kept = await asking(() => $fetch<NamedMotion>('/api/motions', { method: 'POST', body: { name, motion: own.value } }))
    if (!kept) return
    await load()
    notify(`“${kept.name}” is saved for the team.`)
  }
  async function drop(id: Id) {
    const gone = named.value.find(one => one.id === id)
    if (!gone || !(await asking(() => $fetch(`/api/motions/${id}`, { method: 'DELETE' })))) return
    if (chosen.value === id) chosen.value = null
    await load()
    const restore = async () => {
      if (await asking(() => $fetch('/api/motions', { method: 'POST', body: { name: gone.name, motion: gone.motion } }))) await load()
    }
    useToast().add({
      title: `“${gone.name}” is removed from the team’s motion.`,
      actions: [{ label: 'Restore it', onClick: () => void restore() }],
    })
  }
  return {
    named,
    asked,
    element,
    own,
    chosen,
    onto,
    by,
    replaces,
    isReversed,
    places,
    elements,
    losing,
    onSlides,
    changes,
    ask,
    stop,
    apply,
    keep,
    drop,
  }
})
