/**
 * Follows a pressed pointer until it is let go. `end` is told whether the drag counts: Escape, or a pointer that the
 * system takes away, gives up.
 */
export function followPointer(event: PointerEvent, move: (event: PointerEvent) => void, end: (given: boolean) => void = () => {}) {
  const stop = (given: boolean) => {
    removeEventListener('pointermove', move)
    removeEventListener('pointerup', done)
    removeEventListener('pointercancel', away)
    removeEventListener('keydown', escape, true)
    end(given)
  }
  const done = () => stop(true)
  const away = () => stop(false)
  const escape = (key: KeyboardEvent) => {
    if (key.key !== 'Escape') return
    key.stopPropagation()
    stop(false)
  }
  addEventListener('pointermove', move)
  addEventListener('pointerup', done)
  addEventListener('pointercancel', away)
  addEventListener('keydown', escape, true)
}
