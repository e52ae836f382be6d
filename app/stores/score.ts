import { removeCues, setFields } from '#core/edits'
import type { Id } from '#core/values'
import {
  clipCues,
  holdFor,
  lastFor,
  pasteCues,
  startBeats,
  stretch,
  type CueClipping,
  type ScoreBeat,
  type StretchInput,
} from '#core/timing'

/** What a change of tempo is about. */
export type Reach = 'cues' | 'beat' | 'slide' | 'deck'

/** The cues that are chosen in the score, those that were copied, and what is done to several at once. */
export const useScore = defineStore('score', () => {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const also = ref<Id[]>([])
  const clipping = shallowRef<CueClipping | null>(null)
  const context = { id: freshId }

  /** All that are chosen, the one whose settings are shown first. */
  const chosen = computed(() =>
    selected.cueId ? [selected.cueId, ...also.value.filter(id => id !== selected.cueId && store.deck?.cues[id])] : [],
  )
  watch(
    () => where.slideId,
    () => {
      also.value = []
    },
  )

  /** Chooses one cue, or one more; one that was chosen already is let go. */
  function choose(cue: Id, more: boolean) {
    if (!more) {
      also.value = chosen.value.includes(cue) ? chosen.value : []
      selected.cueId = cue
    } else if (chosen.value.includes(cue)) {
      const left = chosen.value.filter(id => id !== cue)
      selected.cueId = left[0] ?? null
      also.value = left.slice(1)
    } else {
      also.value = chosen.value
      selected.cueId = cue
    }
  }

  function only(cue: Id) {
    also.value = []
    selected.cueId = cue
  }

  function remove() {
    const gone = chosen.value
    if (!gone.length) return
    store.edit(gone.length > 1 ? `remove ${gone.length} cues` : 'remove a cue', removeCues(store.current, { cues: gone }))
    also.value = []
  }

  function copy(cues: readonly Id[] = chosen.value) {
    const made = clipCues(store.current, cues)
    if (!made) return
    clipping.value = made
    notify(
      made.cues.length > 1
        ? `${made.cues.length} cues are ready to be put on other elements.`
        : 'The cue is ready to be put on other elements.',
    )
  }
  function paste(elements: readonly Id[], how: 'add' | 'replace') {
    const from = clipping.value
    if (!from || !elements.length) return
    store.edit(
      elements.length > 1 ? `put motion on ${elements.length} elements` : 'put motion on an element',
      pasteCues(store.current, { clipping: from, elements, how }, context),
    )
  }

  const beatAt = computed(() => where.score?.beats[Math.min(where.moment?.beat ?? 0, where.score.beats.length - 1)])
  const inputOf = (reach: Reach): StretchInput =>
    reach === 'cues'
      ? { cues: chosen.value }
      : reach === 'beat'
        ? { beats: beatAt.value ? [beatAt.value.beat.id] : [] }
        : { slides: reach === 'slide' ? [where.slideId!] : store.slides.map(slide => slide.id) }
  const words: Readonly<Record<Reach, string>> = { cues: 'the chosen cues', beat: 'the beat', slide: 'the slide', deck: 'the deck' }

  function setTempo(reach: Reach, factor: number) {
    const changes = stretch(store.current, inputOf(reach), factor)
    if (changes.length) store.edit(`${factor < 1 ? 'squeeze' : 'stretch'} ${words[reach]}`, changes)
    else notifyProblem('Nothing here has a length of its own: what holds for reading or for a clip is as long as it has to be.')
  }
  /** Lets what is meant last some seconds; says where it cannot. */
  function setLasting(reach: Exclude<Reach, 'cues'>, span: { beats: readonly ScoreBeat[]; length: number; wanted: number }) {
    const changes = lastFor(store.current, inputOf(reach), span)
    if (changes) store.edit(`let ${words[reach]} run ${secondsWords(span.wanted)}`, changes)
    else notifyProblem('It cannot run so short: its clips and voices are as long as they are. Trim them, or let the beat hold for seconds.')
  }
  /** Lets the beat at the playhead hold for some seconds. */
  function setHold(seconds: number) {
    const at = beatAt.value
    if (!at) return
    const fields = { hold: holdFor(at, seconds) }
    store.edit(`hold beat ${at.index + 1}`, setFields(store.current, { table: 'beats', id: at.beat.id, fields }))
  }
  function setStarts(reach: 'slide' | 'deck', start: 'advance' | 'self') {
    const changes = startBeats(store.current, { slides: reach === 'slide' ? [where.slideId!] : store.slides.map(slide => slide.id), start })
    if (changes.length) store.edit(start === 'self' ? 'let beats go on by themselves' : 'let beats wait for the speaker', changes)
    if (changes.length) notify(changes.length === 1 ? 'One beat changed.' : `${changes.length} beats changed.`)
    else notifyProblem('All beats do so already.')
  }
  const waiting = (waits: ReadonlyMap<Id, number>) =>
    [...waits].flatMap(([id, delay]) =>
      store.current.cues[id]?.delay === delay ? [] : setFields(store.current, { table: 'cues', id, fields: { delay } }),
    )
  return { chosen, clipping, beatAt, choose, only, remove, copy, paste, setTempo, setLasting, setHold, setStarts, waiting }
})
