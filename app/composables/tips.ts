import { useEventListener } from '@vueuse/core'

/** What is said of a control while it is pointed at or reached by the keyboard. */
export interface Tip {
  words: string
  /** The keys that do the same, each as it is written on the keyboard. */
  keys: string[]
  of: HTMLElement
}

/** How long the pointer rests on a control before it is told of, ms; from one to the next it is told at once for as long. */
const rests = 450

/**
 * The tip of the control that is in hand: its `title`, which the browser would show in its own way, and the keys of `data-keys`. The
 * title is with the control again when the tip is gone; until then it is told as its description.
 */
export function useTips() {
  const tip = shallowRef<Tip | null>(null)
  let waiting = 0
  let lately = Number.NEGATIVE_INFINITY
  /** What a control had before its title was taken. */
  let put: (() => void) | null = null

  function close() {
    clearTimeout(waiting)
    put?.()
    put = null
    if (tip.value) lately = performance.now()
    tip.value = null
  }
  function show(of: HTMLElement) {
    const words = of.title
    const described = of.getAttribute('aria-description')
    of.removeAttribute('title')
    if (words && words !== of.getAttribute('aria-label')) of.setAttribute('aria-description', words)
    put = () => {
      // Told anew meanwhile, it has a title of its own.
      if (!of.title && words) of.title = words
      if (described === null) of.removeAttribute('aria-description')
      else of.setAttribute('aria-description', described)
    }
    tip.value = { words, keys: of.dataset.keys?.split(' ') ?? [], of }
  }
  const controlOf = (event: Event) => (event.target instanceof Element ? event.target.closest<HTMLElement>('[title]') : null)
  function point(event: Event, wait: number) {
    const of = controlOf(event)
    if (of === tip.value?.of) return
    close()
    if (!of?.title) return
    if (performance.now() - lately < rests) return show(of)
    waiting = window.setTimeout(() => of.isConnected && show(of), wait)
  }
  useEventListener(document, 'pointerover', event => {
    if (event.pointerType !== 'touch') point(event, rests)
  })
  useEventListener(document, 'focusin', event => {
    if ((event.target as Element).matches?.(':focus-visible')) point(event, 0)
  })
  for (const name of ['pointerdown', 'keydown', 'wheel', 'focusout'] as const)
    useEventListener(document, name, close, { capture: true, passive: true })
  useEventListener(window, 'blur', close)
  onScopeDispose(close)
  return { tip, close }
}
