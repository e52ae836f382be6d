import { advance, goBack } from '#core/timing'

/** The keys of a deck's page, whatever its phase. */
export function useDeckKeys(does: { go(phase: string): void; find(): void; tellKeys(): void }) {
  const store = useDeck()
  const where = useWhere()
  const { toggle } = usePlayback()

  /** What is changed in a pop-over is undone while it is open. */
  onKeys(
    event => {
      const key = event.key.toLowerCase()
      if (!(event.ctrlKey || event.metaKey) || (key !== 'z' && key !== 'y') || isTyping(event.target)) return
      event.preventDefault()
      if (key === 'y' || event.shiftKey) store.redo()
      else store.undo()
    },
    { everywhere: true },
  )

  /** One frame on or back; with Shift one beat. */
  function step(forwards: boolean, byBeat: boolean) {
    if (!store.plan || !where.moment) return
    const next = byBeat
      ? (forwards ? advance : goBack)(store.plan, where.moment)
      : { ...where.moment, seconds: Math.max(0, where.moment.seconds + (forwards ? 1 : -1) / 30) }
    if (next) where.goTo(next)
  }

  const plain: Readonly<Record<string, (event: KeyboardEvent) => void>> = {
    ' ': toggle,
    '/': does.find,
    '?': does.tellKeys,
    ...Object.fromEntries([...',.<>;:'].map(key => [key, (event: KeyboardEvent) => step(event.code === 'Period', event.shiftKey)])),
  }

  onKeys(event => {
    const phase = event.altKey ? /^Digit([1-5])$/.exec(event.code) : null
    if (phase) {
      event.preventDefault()
      does.go(phases[Number(phase[1]) - 1]!.name)
      return
    }
    if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
    // On a button, Space presses it.
    if (event.key === ' ' && event.target instanceof HTMLButtonElement) return
    const act = plain[event.key]
    if (!act) return
    event.preventDefault()
    act(event)
  })
}
