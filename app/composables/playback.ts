import { heardAt, momentAt, secondsAt } from '#core/timing'
import { openClock, openSound, type SoundEngine } from '#player'

/** Plays the open deck's planned time on the stage at work, with its sound, from the playhead, once or round and round in some beats. */
export function usePlayback() {
  const store = useDeck()
  const where = useWhere()
  const sounds = useSounds()
  const stage = useStageHost()
  let request = 0
  let engine: SoundEngine | null = null
  const passed = openClock(() => engine)
  /** How fast time runs, 1 as it is. */
  const speed = ref(1)

  function hear(seconds: number) {
    const heard = sounds.plan ? heardAt(sounds.plan, seconds).filter(({ sounding }) => sounding.kind !== 'film') : []
    if (!engine && heard.length) engine = openSound(hash => stage.host.mediaUrl(hash))
    // Slowed down, sound would be out of tune and out of step.
    if (speed.value === 1) engine?.hear(heard, true)
    else engine?.silence()
  }
  watch(
    () => where.playing,
    playing => {
      stage.live = playing && speed.value === 1
      if (!playing) engine?.silence()
    },
  )

  /** The stretch of the plan that is played round and round, seconds; null where it is played on, or the stretch lasts no time. */
  function looped() {
    const beats = where.loop && store.plan?.slides.find(slide => slide.slide === where.slideId)?.beats
    const [first, last] = beats ? [beats[where.loop!.from], beats[Math.min(where.loop!.to, beats.length - 1)]] : []
    return first && last && last.start + last.length > first.start ? { start: first.start, end: last.start + last.length } : null
  }

  function tick() {
    if (!where.playing) return
    const plan = store.plan
    const at = plan && where.moment ? secondsAt(plan, where.moment) : null
    if (!plan || at === null) return where.stop()
    let next = at + passed() * speed.value
    const loop = looped()
    if (loop) {
      // From outside it goes to its beginning; at its end it begins again, with what has passed beyond.
      if (at < loop.start || at >= loop.end) next = loop.start
      else if (next >= loop.end) next = loop.start + ((next - loop.start) % (loop.end - loop.start))
    } else if (plan.purpose !== 'loop' && next >= plan.length) {
      where.goTo(momentAt(plan, plan.length)!)
      return where.stop()
    }
    const moment = momentAt(plan, next)
    if (moment) where.goTo(moment)
    hear(next)
    request = requestAnimationFrame(tick)
  }

  function play() {
    const plan = store.plan
    if (!plan?.slides.length) return
    const shown = where.moment && plan.slides.some(slide => slide.slide === where.moment!.slide)
    const at = shown ? secondsAt(plan, where.moment!)! : null
    if (at === null || (plan.purpose !== 'loop' && at >= plan.length - 0.05 && !where.loop)) where.goTo(momentAt(plan, 0)!)
    where.playing = true
    passed()
    request = requestAnimationFrame(tick)
  }
  const toggle = () => (where.playing ? where.stop() : play())
  /** Plays one beat of the current slide from its start. */
  function playBeat(beat: number) {
    if (!where.slideId) return
    where.goTo({ slide: where.slideId, beat, seconds: 0 })
    play()
  }
  /** Goes on or back by one frame of thirty a second. */
  function step(frames: number) {
    const plan = store.plan
    const at = plan && where.moment ? secondsAt(plan, where.moment) : null
    where.stop()
    const moment = plan && at !== null ? momentAt(plan, Math.max(0, Math.round(at * 30 + frames) / 30)) : null
    if (moment) where.goTo(moment)
  }
  onScopeDispose(() => {
    cancelAnimationFrame(request)
    engine?.close()
    stage.live = false
  })
  return { play, toggle, playBeat, step, speed }
}
