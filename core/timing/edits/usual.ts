import { setRecord, slidesOf, type Change, type Cue, type Deck, type ElementKind, type Transition } from '../../model'
import type { Id } from '../../values'
import { cut, transitionNamed } from '../transitions'

/** A use of cues that a deck has a usual way for. */
type Use = 'enter' | 'exit'

const atOnce: Transition = { effect: cut.name, duration: 0, easing: { kind: 'linear' } }
const motionOf = ({ effect, options, duration, easing }: Pick<Cue, 'effect' | 'options' | 'duration' | 'easing'>): Transition => ({
  effect,
  duration,
  easing,
  options,
})
/** Options in one order, absent ones as empty, so that two ways that are alike read alike. */
const words = ({ effect, duration, easing, options = {} }: Transition) =>
  JSON.stringify([effect, duration, easing, Object.entries(options).sort(([a], [b]) => (a < b ? -1 : 1))])
const alike = (a: Transition, b: Transition) => words(a) === words(b)

/** How a slide comes; every cut is the same one. */
const comes = (deck: Deck, slide: Id): Transition => {
  const { transition } = deck.slides[slide] ?? {}
  return transition && !transitionNamed(transition.effect).atOnce ? transition : atOnce
}

/** How elements of a kind usually come or go in a deck; null where it has no such way. */
export const usualMotion = (deck: Deck, what: Use, kind: ElementKind): Transition | null => deck.info.info?.usual?.[what]?.[kind] ?? null
/** How slides usually come in a deck; null where it has no such way. */
export const usualTransition = (deck: Deck): Transition | null => deck.info.info?.usual?.transition ?? null

const isOf = (deck: Deck, cue: Cue, what: Use, kind: ElementKind) => {
  const element = cue.element === null ? undefined : deck.elements[cue.element]
  return cue.what === what && element?.kind === kind && deck.slides[element.owner] !== undefined
}

/** The cues that let elements of a kind come or go in another way than the usual one; none where there is no usual one. */
export function cuesApart(deck: Deck, what: Use, kind: ElementKind): Cue[] {
  const usual = usualMotion(deck, what, kind)
  return usual ? Object.values(deck.cues).filter(cue => isOf(deck, cue, what, kind) && !alike(motionOf(cue), usual)) : []
}
/** The slides, but the first, that come in another way than the usual one. */
export function slidesApart(deck: Deck): Id[] {
  const usual = usualTransition(deck)
  return usual
    ? slidesOf(deck)
        .slice(1)
        .filter(slide => !alike(comes(deck, slide.id), usual))
        .map(slide => slide.id)
    : []
}

const setInfo = (deck: Deck, usual: NonNullable<NonNullable<Deck['info']['info']>['usual']>): Change[] => [
  setRecord('info', 'info', { usual: { ...deck.info.info?.usual, ...usual } }),
]

/** Makes the way of one cue the usual one for its use and its element's kind; nothing else changes yet. */
export function setUsual(deck: Deck, input: { like: Id }): Change[] {
  const cue = deck.cues[input.like]
  const kind = cue?.element ? deck.elements[cue.element]?.kind : undefined
  if (!cue || !kind || (cue.what !== 'enter' && cue.what !== 'exit')) return []
  return setInfo(deck, { [cue.what]: { ...deck.info.info?.usual?.[cue.what], [kind]: motionOf(cue) } })
}
/** Lets cues that differ from the usual way follow it: those named, or all. They keep when they come and their parts. */
export function followUsual(deck: Deck, input: { what: Use; kind: ElementKind; cues?: readonly Id[] }): Change[] {
  const usual = usualMotion(deck, input.what, input.kind)
  if (!usual) return []
  return cuesApart(deck, input.what, input.kind)
    .filter(cue => !input.cues || input.cues.includes(cue.id))
    .map(cue =>
      setRecord('cues', cue.id, { effect: usual.effect, options: usual.options ?? {}, duration: usual.duration, easing: usual.easing }),
    )
}

/** Makes the way one slide comes the usual one. */
export const setUsualTransition = (deck: Deck, input: { like: Id }): Change[] => setInfo(deck, { transition: comes(deck, input.like) })
/** Lets slides that come otherwise come in the usual way: those named, or all. */
export function followUsualTransition(deck: Deck, input: { slides?: readonly Id[] } = {}): Change[] {
  const usual = usualTransition(deck)
  if (!usual) return []
  return slidesApart(deck)
    .filter(id => !input.slides || input.slides.includes(id))
    .map(id => setRecord('slides', id, { transition: transitionNamed(usual.effect).atOnce ? undefined : usual }))
}
