import { putRecord, beatsOf, cuesOf, cuesOfElement, type Change, type EditContext, type Beat, type Cue, type Deck } from '../model'
import { orderLast, ordersAt, type Id } from '../values'
import { dropCues } from './remove-cues'

type Input = {
  element: Id
  after: Id
  count: number
  by: 'paragraph' | 'line' | 'word' | 'mark' | 'item'
  cue: Pick<Cue, 'effect' | 'options' | 'duration' | 'easing'>
  start: Beat['start']
}

/**
 * Lets the parts of an element come in one by one, each in a beat of its own, the first in the beat that follows `after`.
 * Beats that stand there already are used before new ones are made. Entrances that the element had are replaced. The
 * last cue takes all parts that follow, so that lines added later come in with it.
 */
export function buildOnAdvance(deck: Deck, input: Input, context: EditContext): Change[] {
  const after = deck.beats[input.after]
  if (!after || input.count < 1) return []
  const entrances = cuesOfElement(deck, input.element)
    .filter(cue => cue.what === 'enter')
    .map(cue => cue.id)
  const beats = beatsOf(deck, after.slide)
  const from = beats.indexOf(after) + 1
  const ready = beats.slice(from, from + input.count)
  const missing = input.count - ready.length
  const orders = ordersAt(beats, from + ready.length, missing)
  const fresh: Beat[] = orders.map(order => ({
    id: context.id(),
    slide: after.slide,
    order,
    start: input.start,
    hold: { kind: 'reading' },
  }))
  const cues = [...ready, ...fresh].map((beat, index): Cue => ({
    ...input.cue,
    id: context.id(),
    beat: beat.id,
    element: input.element,
    order: orderLast(cuesOf(deck, beat.id)),
    what: 'enter',
    anchor: { to: 'beat' },
    delay: 0,
    repeat: 1,
    parts: { by: input.by, stagger: 0.2, range: { from: index, to: index === input.count - 1 ? null : index } },
  }))
  return [
    ...dropCues(deck, entrances),
    ...fresh.map((record): Change => putRecord('beats', record)),
    ...cues.map((record): Change => putRecord('cues', record)),
  ]
}
