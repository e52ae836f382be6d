import type { Pixels } from '../contrast'
import type { Change, Deck, EditContext, FontFaceFile } from '../model'
import type { Id } from '../values'
import type { RundownSlide, TimingContext } from '../timing'

/** Something that a careful colleague would say, and where. */
export interface Finding {
  rule: string
  slide: Id
  /** Index of a beat, where it is about one. */
  beat: number | null
  element: Id | null
  message: string
  remedy: Remedy | null
  /** What else would put it right. */
  others?: readonly Remedy[]
  /** Where it is told of beside Check: as a slide's timing is at work, or as its words are written and have no room. */
  about?: 'timing' | 'room'
  /** It names what could not be looked at, rather than what is wrong. */
  unmeasured?: true
  /** Findings of one rule with the same word here can be put right together. */
  together?: string
}

/** What puts a finding right. */
export interface Remedy {
  /** What it does, as the words on its button. */
  label: string
  changes(deck: Deck, context: EditContext): Change[]
  /** It is for whoever has looked, and not among those that are put right all at once. */
  byEye?: true
}

/**
 * What checks need to know beside the deck: what timing needs, and the pixels of pictures and films; without these, such are not looked at.
 */
export interface CheckContext extends TimingContext {
  pixels?: Pixels
  /** The fonts that the team has, for what those at hand lack. */
  faces?: readonly FontFaceFile[]
}

export interface CheckRoom {
  deck: Deck
  slide: RundownSlide
  context: CheckContext
}

/** What is to be said of one slide. It may depend on the slide, what it inherits, and its score. */
export type Rule = (room: CheckRoom) => Finding[]
