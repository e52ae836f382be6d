import type { Cue, Deck } from '../model'
import { effectNamed } from './effects'
import { partName } from './part-words'
import type { ScoreCue } from './score'

const whats: Readonly<Record<Cue['what'], string>> = {
  enter: 'Entrance',
  exit: 'Exit',
  emphasis: 'Emphasis',
  move: 'Moves',
  data: 'Goes',
  media: 'Plays',
  pose: 'Acts',
  camera: 'The picture goes',
}
const seconds = (value: number) => `${Number(value.toFixed(2))} s`
const small = (words: string) => words.charAt(0).toLowerCase() + words.slice(1)

/** What a cue goes by, as a few words. */
function way({ effect, what, options }: Cue, viewName: string): string {
  const { told, label } = effectNamed(effect, what)
  return told ? told(options, viewName) : ` by “${small(label)}”`
}

/**
 * A cue in a sentence: what it does, how it starts, how long it takes, as “Entrance by “rise”, with the beat, after 0.4 s, for
 * 0.6 s.” `nameOf` tells what another cue is called that it follows; `viewName` of a camera cue what it leads to.
 */
export function cueSentence(deck: Deck, { cue, round, span }: ScoreCue, nameOf: (other: Cue) => string, viewName = 'a view'): string {
  const other = cue.anchor.to === 'beat' ? undefined : deck.cues[cue.anchor.cue]
  const start =
    cue.anchor.to === 'beat' || !other
      ? 'with the beat'
      : cue.anchor.to === 'start'
        ? `as ${nameOf(other)}`
        : `once ${nameOf(other)} is over`
  const wait = cue.delay > 0 ? `, after ${seconds(cue.delay)}` : ''
  const name = partName(deck.elements[cue.element ?? ''], cue.parts?.by ?? 'mark')
  const { order, backwards } = cue.parts ?? {}
  const from = order ? `, the ${(order === 'falling') === !backwards ? 'greatest' : 'least'} first` : ''
  const told = cue.parts && span && span.count > 1 ? `, ${name} by ${name} every ${seconds(cue.parts.stagger)}${from}` : ''
  const takes = cue.what === 'media' ? '' : round === 0 ? ', at once' : `, for ${seconds(round)}`
  const times =
    cue.what === 'media' || cue.repeat === 1
      ? ''
      : cue.repeat === 'forever'
        ? `, until the slide ends${cue.back ? ', there and back' : ''}`
        : `, ${cue.repeat} times${cue.back ? ', there and back' : ''}`
  return `${whats[cue.what]}${way(cue, viewName)}, ${start}${wait}${told}${takes}${times}.`
}
