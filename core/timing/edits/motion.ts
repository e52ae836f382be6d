import { group } from 'd3-array'
import { z } from 'zod'
import { cueSchema, cuesOfElement, elementKinds, type Cue, type Deck, type Element } from '../../model'
import { shownElement, shownElements } from '../../resolved'
import { idSchema, type Id } from '../../values'
import { startsOf } from '../starts'
import type { CueClipping } from './paste-cues'

/** Motion that is kept apart from the element it was made for: cues of one element, under the beats they were in. */
export const cueClippingSchema = z.object({
  kind: z.enum(elementKinds),
  cues: z.array(cueSchema).min(1).max(200),
  beats: z.record(idSchema, z.int().min(-10_000).max(10_000)),
})

/** Motion of the team under a name. */
export interface NamedMotion {
  id: Id
  name: string
  motion: CueClipping
}

/** Whom motion goes to: those of the same kind, texts of the same style alone, or of whichever kind. */
export type AlikeBy = 'style' | 'kind' | 'any'

/** Titles are alike, whatever their layouts set them in; other texts are where they are set in the same style. */
function isAlike(one: Element, like: Element, by: AlikeBy): boolean {
  if (by === 'any' || one.kind !== like.kind) return by === 'any'
  if (by === 'kind' || one.kind !== 'text' || like.kind !== 'text') return true
  const titles = [one, like].filter(text => text.placeholder === 'title').length
  return titles === 2 || (titles === 0 && (one.style ?? 'body') === (like.style ?? 'body'))
}

/** The elements on some slides that are like one, without it: a title moves as titles do, a list as lists, where `by` is `style`. */
export const alikeOn = (deck: Deck, input: { like: Id; slides: readonly Id[]; by: AlikeBy }): Id[] => {
  // As they are shown: what fills a place of the layout has its style from there.
  const like = shownElement(deck, input.like)
  if (!like) return []
  return input.slides
    .flatMap(slide => shownElements(deck, slide))
    .filter(one => !one.pinned && one.id !== like.id && one.kind !== 'group' && isAlike(one, like, input.by))
    .map(one => one.id)
}

/** Of some elements, those that have motion which would give way to other motion of the same uses. */
export const movingAlready = (deck: Deck, elements: readonly Id[], motion: CueClipping): Id[] => {
  const uses = new Set(motion.cues.map(cue => cue.what))
  return elements.filter(id => cuesOfElement(deck, id).some(cue => uses.has(cue.what)))
}

const seconds = (value: number) => Math.max(0, Math.round(value * 100) / 100)
/** Seconds that a cue takes by itself: its rounds, without what its parts add. */
const lengthOf = (cue: Cue) => cue.duration * (cue.repeat === 'forever' ? 1 : cue.repeat)
const turned: Partial<Record<Cue['what'], Cue['what']>> = { enter: 'exit', exit: 'enter' }

/**
 * Motion the other way round: what comes in goes out by the same effect and the other way about, what began last begins first within its
 * beat, parts take their turns from the other end, and beats are counted from the slide's end (−1 is the last). Twice is the motion as it
 * was, but for anchors, which become starts within the beat.
 */
export function reverseMotion(motion: CueClipping): CueClipping {
  const cues = [...group(motion.cues, cue => cue.beat).values()].flatMap(inBeat => {
    const { times } = startsOf(inBeat, lengthOf)
    const end = Math.max(...inBeat.map(cue => times.get(cue.id)!.end))
    return inBeat.map((cue): Cue => ({
      ...cue,
      what: turned[cue.what] ?? cue.what,
      anchor: { to: 'beat' },
      delay: seconds(end - times.get(cue.id)!.end),
      ...(cue.parts ? { parts: { ...cue.parts, backwards: cue.parts.backwards ? undefined : true } } : {}),
    }))
  })
  return { ...motion, cues, beats: Object.fromEntries(Object.entries(motion.beats).map(([beat, index]) => [beat, -1 - index])) }
}
