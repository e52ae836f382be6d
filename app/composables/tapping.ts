import { heardAt, setBeatTimes } from '#core/timing'
import { openClock, openSound, type SoundEngine } from '#player'

/** Plays a slide, with its voice where it has one, while beats are tapped along; then lets them begin at the taps. */
export function useTapping() {
  const store = useDeck()
  const where = useWhere()
  const sounds = useSounds()
  const stage = useStageHost()
  const on = ref(false)
  const seconds = ref(0)
  const taps = ref<number[]>([])
  let engine: SoundEngine | null = null
  let request = 0
  let ends = Infinity

  function begin() {
    const plan = store.plan
    const slide = plan?.slides.find(one => one.slide === where.slideId)
    if (!plan || !slide) return
    const voice = sounds.plan?.soundings.find(one => one.id === sounds.voice?.id)
    const opening = slide.start + slide.transition
    where.stop()
    taps.value = []
    seconds.value = 0
    on.value = true
    ends = voice ? voice.start - opening + voice.span.seconds : Infinity
    engine ??= openSound(hash => stage.host.mediaUrl(hash))
    const passed = openClock(() => engine)
    passed()
    const tick = () => {
      if (!on.value) return
      seconds.value += passed()
      // The voice is heard to its end, however long the slide is planned as yet.
      if (sounds.plan && voice)
        engine?.hear(
          heardAt({ ...sounds.plan, soundings: [{ ...voice, end: voice.start + voice.span.seconds }] }, opening + seconds.value),
          true,
        )
      // Each tap is seen as what it will be: the next beat.
      where.goTo({
        slide: slide.slide,
        beat: Math.min(taps.value.length, slide.beats.length - 1),
        seconds: seconds.value - (taps.value.at(-1) ?? 0),
      })
      if (seconds.value >= ends) return finish()
      request = requestAnimationFrame(tick)
    }
    request = requestAnimationFrame(tick)
  }
  const tap = () => {
    if (on.value) taps.value = [...taps.value, Math.round(seconds.value * 100) / 100]
  }
  function stop() {
    on.value = false
    cancelAnimationFrame(request)
    engine?.silence()
  }
  function finish() {
    const until = Number.isFinite(ends) ? ends : seconds.value
    stop()
    apply(taps.value, until)
  }
  /** Lets the beats of the slide at work begin at moments after its opening, seconds. */
  function apply(times: readonly number[], until?: number) {
    if (!where.score || !times.length) return notifyProblem('No beat was tapped, so nothing has changed.')
    const changes = setBeatTimes(
      store.current,
      where.score,
      {
        slide: where.slideId!,
        times,
        ...(until !== undefined ? { until } : {}),
        ...(sounds.voice ? { voice: sounds.voice } : {}),
      },
      { id: freshId },
    )
    if (!changes.length) return notifyProblem('No beat was tapped, so nothing has changed.')
    store.edit('set beats by hand', changes)
    notify(`The slide’s beats begin at ${listWords(times.map(time => numberWords(time, 1)))} s.`)
  }
  onScopeDispose(() => {
    stop()
    engine?.close()
  })
  return { on, seconds, taps, begin, tap, finish, stop, apply }
}
