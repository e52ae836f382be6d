import { useLocalStorage } from '@vueuse/core'
import { setFields } from '#core/edits'
import { holdFor, laterWaits, moveToBeat, nearestMoment, setLength, type ScoreCue } from '#core/timing'
import type { ScoreColumn } from './score-columns'

/**
 * Bars and lines of the score under the hand: they snap to what else happens, and are kept as an edit when it lets go. `speech`: when
 * something is spoken, seconds into the slide’s voice.
 */
export function useScoreDrag(columns: () => readonly ScoreColumn[], speech: () => readonly { from: number; until: number }[]) {
  const store = useDeck()
  const where = useWhere()
  const selected = useSelected()
  const many = useScore()
  const sounds = useSounds()
  /** As it is, whatever is tried out of it. */
  const score = computed(() => where.keptScore!)
  /** Whether what comes later in a beat keeps its distance. */
  const ripples = useLocalStorage('score-ripples', false)

  const tenth = (value: number) => Math.max(0, Math.round(value * 20) / 20)

  /** Where the slide’s voice begins and ends to speak, seconds into a beat. */
  function marksInSound(beat: number): number[] {
    const voice = sounds.plan?.soundings.find(one => one.id === sounds.voice?.id)
    const slide = store.keptPlan?.slides.find(one => one.slide === where.slideId)
    const start = slide?.beats[beat]?.start
    if (!voice || start === undefined) return []
    return speech()
      .flatMap(({ from, until }) => [from, until])
      .map(second => voice.start + (second - voice.span.from) / voice.span.speed - start)
  }

  /** The moments of a beat that a bar snaps to, seconds into it: edges of other cues, of the beat, of what is spoken, and the playhead. */
  function momentsOf(beat: number, without: ReadonlySet<string>): number[] {
    const entry = score.value.beats[beat]!
    const at = where.moment?.slide === where.slideId && where.moment.beat === beat ? [where.moment.seconds] : []
    return [
      0,
      entry.length,
      ...at,
      ...marksInSound(beat),
      ...entry.cues.filter(item => !without.has(item.cue.id)).flatMap(item => [item.start, item.end]),
    ]
  }
  const reach = 6
  function snapped(event: PointerEvent, moments: readonly number[], edges: readonly number[], by: number, unit: number): number {
    if (event.altKey) return by
    for (const edge of edges) {
      const near = nearestMoment(edge + by, moments, reach / unit)
      if (near !== null) return near - edge
    }
    return by
  }
  const hundredth = (value: number) => Math.max(0, Math.round(value * 100) / 100)

  const rounds = ({ cue }: ScoreCue) => (cue.repeat === 'forever' ? 1 : Math.max(1, cue.repeat))
  /** Ends a cue later by some seconds, or earlier; what comes after keeps its distance where it is asked to. */
  function endLater(item: ScoreCue, by: number) {
    const duration = Math.max(0.05, hundredth(item.round + by / rounds(item)))
    if (duration === item.round) return null
    const later = ripples.value
      ? laterWaits(score.value.beats[item.beat]!, new Set([item.cue.id]), item.end, (duration - item.round) * rounds(item))
      : new Map<string, number>()
    return [...setLength(store.current, item.cue.id, duration), ...many.waiting(later)]
  }
  /** Starts a cue later by some seconds, or earlier; its end stays where it is. */
  function startLater(item: ScoreCue, wanted: number) {
    const by = Math.max(-item.cue.delay, Math.min(wanted, item.round * rounds(item) - 0.05))
    const duration = hundredth(item.round - by / rounds(item))
    if (duration === item.round) return null
    return [...setLength(store.current, item.cue.id, duration), ...many.waiting(new Map([[item.cue.id, hundredth(item.cue.delay + by)]]))]
  }
  /**
   * The beat in whose column a bar would begin, and when in it; null while that is its own. `laid`: the columns as they were when it was
   * pressed, since a beat grows with what is dragged in it.
   */
  function otherBeat(laid: readonly ScoreColumn[], item: ScoreCue, by: number) {
    const here = laid[item.beat]!
    const x = here.x + item.start * here.unit + by
    const there = laid.findLast(column => column.x <= x)
    return there && there.index !== item.beat ? { beat: there.beat.id, at: (x - there.x) / there.unit } : null
  }

  function pressCue(event: PointerEvent, item: ScoreCue, part: 'start' | 'body' | 'edge') {
    if (event.button !== 0) return
    const { cue } = item
    const more = event.shiftKey || event.ctrlKey || event.metaKey
    many.choose(cue.id, more)
    if (cue.element && !more) selected.select(cue.element)
    if (!store.canEdit || more) return
    const moving = part === 'body' && many.chosen.includes(cue.id) ? many.chosen.map(id => store.current.cues[id]!) : [cue]
    const ids = new Set(moving.map(one => one.id))
    // What follows another of them comes along with it.
    const leading = moving.filter(one => one.anchor.to === 'beat' || !ids.has(one.anchor.cue))
    let far = false
    const laid = columns()
    const { unit } = laid[item.beat]!
    const entry = score.value.beats[item.beat]!
    const moments = momentsOf(item.beat, ids)
    const name = store.current.elements[cue.element ?? '']?.name ?? 'the camera'
    tryWhileDragged(
      event,
      () => (part !== 'body' ? `retime ${name}` : moving.length > 1 ? `retime ${moving.length} cues` : 'retime a cue'),
      next => {
        far ||= Math.abs(next.clientX - event.clientX) > 3
        if (!far) return null
        const free = (next.clientX - event.clientX) / unit
        if (part === 'edge') return endLater(item, snapped(next, moments, [item.end], free, unit))
        if (part === 'start') return startLater(item, snapped(next, moments, [item.start], free, unit))
        const other = otherBeat(laid, item, next.clientX - event.clientX)
        if (other) {
          const starts = new Map(moving.map(one => [one.id, other.at + startOf(item.beat, one.id) - item.start] as const))
          return moveToBeat(store.current, score.value, { beat: other.beat, starts })
        }
        const by = Math.max(snapped(next, moments, [item.start, item.end], free, unit), -Math.min(...leading.map(one => one.delay)))
        const later = ripples.value
          ? laterWaits(entry, ids, Math.min(item.start, ...leading.map(one => startOf(item.beat, one.id))), by)
          : []
        return many.waiting(new Map([...later, ...leading.map(one => [one.id, hundredth(one.delay + by)] as const)]))
      },
      (made, given) => {
        // A plain press on one of several chosen ones means that one.
        if (given && !far) many.only(cue.id)
      },
    )
  }

  const startOf = (beat: number, cue: string) => score.value.beats[beat]!.cues.find(one => one.cue.id === cue)?.start ?? 0

  /** The line at a beat's end: dragging it changes how long the beat holds. */
  function pressLine(event: PointerEvent, column: ScoreColumn) {
    if (event.button !== 0 || !store.canEdit) return
    const { unit, hold } = column
    tryWhileDragged(event, `hold beat ${column.index + 1}`, next =>
      setFields(store.current, {
        table: 'beats',
        id: column.beat.id,
        fields: { hold: holdFor(column, tenth(hold + (next.clientX - event.clientX) / unit)) },
      }),
    )
  }
  /** Seconds that one press of an arrow means. */
  const stepOf = (event: KeyboardEvent) =>
    (event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0) * (event.shiftKey ? 1 : 0.1)
  /** What was changed by keys, to be read out. */
  const said = ref('')

  /** Arrows move a bar; with Alt its end, with Ctrl its start; by a tenth of a second, with Shift by a whole one. */
  function keyCue(event: KeyboardEvent, item: ScoreCue) {
    const by = stepOf(event)
    if (!by || !store.canEdit) return
    event.preventDefault()
    if (item.cue.what === 'media' && (event.altKey || event.ctrlKey || event.metaKey)) return
    const changes = event.altKey
      ? endLater(item, by)
      : event.ctrlKey || event.metaKey
        ? startLater(item, by)
        : many.waiting(new Map([[item.cue.id, hundredth(item.cue.delay + by)]]))
    const name = store.current.elements[item.cue.element ?? '']?.name ?? 'The camera'
    if (!changes?.length) {
      said.value = `${name} stays as it is: it cannot go further`
      return
    }
    store.edit(`retime ${name}`, changes)
    const now = score.value.beats.flatMap(beat => beat.cues).find(one => one.cue.id === item.cue.id)
    if (now) said.value = `${name} starts at ${secondsWords(now.start)} and takes ${secondsWords(now.end - now.start)}`
  }
  function keyLine(event: KeyboardEvent, column: ScoreColumn) {
    const by = stepOf(event)
    if (!by || !store.canEdit) return
    event.preventDefault()
    const seconds = hundredth(column.hold + by)
    store.edit(
      `hold beat ${column.index + 1}`,
      setFields(store.current, { table: 'beats', id: column.beat.id, fields: { hold: holdFor(column, seconds) } }),
    )
    said.value = `Beat ${column.index + 1} holds ${secondsWords(seconds)}`
  }
  return { ripples, said, pressCue, pressLine, keyCue, keyLine }
}
