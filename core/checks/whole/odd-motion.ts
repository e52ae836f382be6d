import {
  cuesApart,
  cut,
  effectNamed,
  followUsual,
  followUsualTransition,
  slidesApart,
  transitionNamed,
  usualMotion,
  usualTransition,
} from '../../timing'
import type { ElementKind } from '../../model'
import type { Finding } from '../finding'
import type { WholeRule } from './rule'

const words = {
  enter: ['enters by', 'usually enters by', 'Let it enter as usual'],
  exit: ['exits by', 'usually exits by', 'Let it exit as usual'],
} as const

/** What comes, goes or follows in another way than the deck usually has it. */
export const oddMotion: WholeRule = deck => {
  const { usual } = deck.info.info ?? {}
  const cues = (['enter', 'exit'] as const).flatMap(what =>
    (Object.keys(usual?.[what] ?? {}) as ElementKind[]).flatMap(kind =>
      cuesApart(deck, what, kind).map((cue): Finding => {
        const element = deck.elements[cue.element!]!
        const [does, usually, label] = words[what]
        const name = (effect: string) => effectNamed(effect, what).label.toLowerCase()
        const other = usualMotion(deck, what, element.kind)!
        const how = cue.effect === other.effect ? 'the same effect, set in another way' : name(cue.effect)
        return {
          rule: 'odd-motion',
          slide: element.owner,
          beat: null,
          element: element.id,
          together: `${what} ${kind}`,
          message: `“${element.name}” ${does} ${how}. A ${kind} of this deck ${usually} ${name(other.effect)}.`,
          remedy: { label, changes: now => followUsual(now, { what, kind: element.kind, cues: [cue.id] }) },
        }
      }),
    ),
  )
  const transitions = slidesApart(deck).map((slide): Finding => ({
    rule: 'odd-motion',
    slide,
    beat: null,
    element: null,
    together: 'transition',
    message:
      `The slide comes by ${transitionNamed(deck.slides[slide]!.transition?.effect ?? cut.name).label.toLowerCase()}, set ` +
      'otherwise than usual. Slides of this deck usually come by ' +
      `${transitionNamed(usualTransition(deck)!.effect).label.toLowerCase()}.`,
    remedy: { label: 'Let it come as usual', changes: now => followUsualTransition(now, { slides: [slide] }) },
  }))
  return [...cues, ...transitions]
}
