import { momentAt, secondsAt } from '#core/timing'

/** Plays the open deck's planned time on the stage at work, from the playhead, once or round and round in one beat. */
export function usePlayback() {
  const store = useDeck()
  let request = 0
  let last = 0

  function tick(now: number) {
    if (!store.playing) return
    const passed = (now - last) / 1000
    last = now
    const plan = store.plan
    const at = plan && store.moment ? secondsAt(plan, store.moment) : null
    if (!plan || at === null) return store.stop()
    let next = at + passed
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
    request = requestAnimationFrame(tick)
  }

  function play() {
    const plan = store.plan
    if (!plan?.slides.length) return
    const shown = store.moment && plan.slides.some(slide => slide.slide === store.moment!.slide)
    const at = shown ? secondsAt(plan, store.moment!)! : null
    if (at === null || (plan.purpose !== 'loop' && at >= plan.length - 0.05 && !store.loopBeat)) store.goTo(momentAt(plan, 0)!)
    store.playing = true
    last = performance.now()
    request = requestAnimationFrame(tick)
  }
  const toggle = () => (store.playing ? store.stop() : play())
  /** Plays one beat of the current slide from its start. */
  function playBeat(beat: number) {
    if (!store.slideId) return
    store.goTo({ slide: store.slideId, beat, seconds: 0 })
    play()
  }
  onScopeDispose(() => cancelAnimationFrame(request))
  return { play, toggle, playBeat }
}
