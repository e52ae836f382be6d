import { useLocalStorage } from '@vueuse/core'
import { setFields } from '#core/deck'
import { laterWaits, nearestMoment, setLength, type ScoreCue } from '#core/timing'
import type { ScoreColumn } from './score-columns'

/** A drag under way: the waits of the cues that move, or one cue’s length, or one beat’s hold, seconds. */
export interface ScoreDrag { delays?: ReadonlyMap<string, number>, cue?: string, duration?: number, beat?: string, hold?: number }

/** Bars and lines of the score under the hand: they snap to what else happens, and are kept as an edit when it lets go. `speech`: when something is spoken, seconds into the slide’s voice. */
export function useScoreDrag(columns: () => readonly ScoreColumn[], dragged: Ref<ScoreDrag | null>, speech: () => readonly { from: number, until: number }[]) {
  const store = useDeck()
  const many = useScore()
  const sounds = useSounds()
  const score = computed(() => store.score!)
  /** Whether what comes later in a beat keeps its distance. */
  const ripples = useLocalStorage('score-ripples', false)

  const tenth = (value: number) => Math.max(0, Math.round(value * 20) / 20)

  /** Where the slide’s voice begins and ends to speak, seconds into a beat. */
  function marksInSound(beat: number): number[] {
    const voice = sounds.plan?.soundings.find(one => one.id === sounds.voice?.id)
    const slide = store.plan?.slides.find(one => one.slide === store.slideId)
    const start = slide?.beats[beat]?.start
    if (!voice || start === undefined) return []
    return speech().flatMap(({ from, until }) => [from, until]).map(second => voice.start + (second - voice.span.from) / voice.span.speed - start)
  }

  /** The moments of a beat that a bar snaps to, seconds into it: edges of other cues, of the beat, of what is spoken, and the playhead. */
  function momentsOf(beat: number, without: ReadonlySet<string>): number[] {
    const entry = score.value.beats[beat]!
    const at = store.moment?.slide === store.slideId && store.moment.beat === beat ? [store.moment.seconds] : []
    return [0, entry.length, ...at, ...marksInSound(beat), ...entry.cues.filter(item => !without.has(item.cue.id)).flatMap(item => [item.start, item.end])]
  }
  const reach = 6
  function snapped(event: PointerEvent, beat: number, edges: readonly number[], by: number, without: ReadonlySet<string>): number {
    if (event.altKey) return by
    const moments = momentsOf(beat, without)
    for (const edge of edges) {
      const near = nearestMoment(edge + by, moments, reach / columns()[beat]!.unit)
      if (near !== null) return near - edge
    }
    return by
  }
  const hundredth = (value: number) => Math.max(0, Math.round(value * 100) / 100)

  function pressCue(event: PointerEvent, item: ScoreCue, part: 'body' | 'edge') {
    if (event.button !== 0) return
    const { cue } = item
    const more = event.shiftKey || event.ctrlKey || event.metaKey
    many.choose(cue.id, more)
    if (cue.element && !more) store.select(cue.element)
    if (!store.canEdit || more) return
    const moving = part === 'body' && many.chosen.includes(cue.id) ? many.chosen.map(id => store.deck!.cues[id]!) : [cue]
    const ids = new Set(moving.map(one => one.id))
    // What follows another of them comes along with it.
    const leading = moving.filter(one => one.anchor.to === 'beat' || !ids.has(one.anchor.cue))
    let far = false
    const free = (next: PointerEvent) => (next.clientX - event.clientX) / columns()[item.beat]!.unit
    followPointer(event, next => {
      far ||= Math.abs(next.clientX - event.clientX) > 3
      if (!far) return
      if (part === 'edge') {
        const by = snapped(next, item.beat, [item.end], free(next), ids)
        const duration = Math.max(0.05, hundredth(item.round + by / Math.max(1, cue.repeat === 'forever' ? 1 : cue.repeat)))
        const grown = (duration - item.round) * (cue.repeat === 'forever' ? 1 : cue.repeat)
        dragged.value = { cue: cue.id, duration, ...(ripples.value ? { delays: laterWaits(score.value.beats[item.beat]!, ids, item.end, grown) } : {}) }
        return
      }
      const by = Math.max(snapped(next, item.beat, [item.start, item.end], free(next), ids), -Math.min(...leading.map(one => one.delay)))
      const later = ripples.value ? laterWaits(score.value.beats[item.beat]!, ids, Math.min(item.start, ...leading.map(one => startOf(item.beat, one.id))), by) : []
      dragged.value = { delays: new Map([...later, ...leading.map(one => [one.id, hundredth(one.delay + by)] as const)]) }
    }, given => {
      const made = (given && dragged.value) || {}
      dragged.value = null
      if (made.duration !== undefined && made.duration !== item.round) store.edit(`retime ${store.deck!.elements[cue.element ?? '']?.name ?? 'the camera'}`, [...setLength(store.deck!, cue.id, made.duration), ...many.waiting(made.delays ?? new Map())])
      else if (made.delays && made.duration === undefined) many.shift(made.delays)
      // A plain press on one of several chosen ones means that one.
      else if (given && !far) many.only(cue.id)
    })
  }

  const startOf = (beat: number, cue: string) => score.value.beats[beat]!.cues.find(one => one.cue.id === cue)?.start ?? 0

  /** The line at a beat's end: dragging it changes how long the beat holds. */
  function pressLine(event: PointerEvent, column: ScoreColumn) {
    if (event.button !== 0 || !store.canEdit) return
    followPointer(event, next => {
      dragged.value = { beat: column.beat.id, hold: tenth(column.hold + (next.clientX - event.clientX) / column.unit) }
    }, given => {
      const hold = dragged.value?.hold
      dragged.value = null
      if (given && hold !== undefined) store.edit(`hold beat ${column.index + 1}`, setFields(store.deck!, { table: 'beats', id: column.beat.id, fields: { hold: { kind: 'seconds', seconds: hold } } }))
    })
  }
  return { ripples, pressCue, pressLine }
}
