import { heardAt, momentAt, secondsAt } from '#core/timing'
import { openClock, openSound, type SoundEngine } from '#player'

/** Plays the open deck's planned time on the stage at work, with its sound, from the playhead, once or round and round in one beat. */
export function usePlayback() {
  const store = useDeck()
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
    () => store.playing,
    playing => {
      stage.live = playing && speed.value === 1
      if (!playing) engine?.silence()
    },
  )

  function tick() {
    if (!store.playing) return
    const plan = store.plan
    const at = plan && store.moment ? secondsAt(plan, store.moment) : null
    if (!plan || at === null) return store.stop()
    let next = at + passed() * speed.value
    if (store.loopBeat) {
      const slide = plan.slides.find(candidate => candidate.slide === store.moment!.slide)
      const beat = slide?.beats[store.moment!.beat]
      if (beat && beat.length > 0 && next >= beat.start + beat.length) next = beat.start + ((next - beat.start) % beat.length)
    } else if (plan.purpose !== 'loop' && next >= plan.length) {
      store.goTo(momentAt(plan, plan.length)!)
      return store.stop()
    }
    const moment = momentAt(plan, next)
    if (moment) store.goTo(moment)
    hear(next)
    request = requestAnimationFrame(tick)
  }

  function play() {
    const plan = store.plan
    if (!plan?.slides.length) return
    const shown = store.moment && plan.slides.some(slide => slide.slide === store.moment!.slide)
    const at = shown ? secondsAt(plan, store.moment!)! : null
    if (at === null || (plan.purpose !== 'loop' && at >= plan.length - 0.05 && !store.loopBeat)) store.goTo(momentAt(plan, 0)!)
    store.playing = true
    passed()
    request = requestAnimationFrame(tick)
  }
  const toggle = () => (store.playing ? store.stop() : play())
  /** Plays one beat of the current slide from its start. */
  function playBeat(beat: number) {
    if (!store.slideId) return
    store.goTo({ slide: store.slideId, beat, seconds: 0 })
    play()
  }
  /** Goes on or back by one frame of thirty a second. */
  function step(frames: number) {
    const plan = store.plan
    const at = plan && store.moment ? secondsAt(plan, store.moment) : null
    store.stop()
    const moment = plan && at !== null ? momentAt(plan, Math.max(0, Math.round(at * 30 + frames) / 30)) : null
    if (moment) store.goTo(moment)
  }
  onScopeDispose(() => {
    cancelAnimationFrame(request)
    engine?.close()
    stage.live = false
  })
  return { play, toggle, playBeat, step, speed }
}
