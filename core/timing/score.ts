import type { Beat, Cue, Parts, TextElement } from '../model'
import type { ShownElement } from '../resolved'
import type { Id } from '../values'
import type { HandDrawing } from '../drawing'
import type { Camera, CameraWay } from './camera'
import type { ClipSpan } from './clips'
import type { EasingFunction } from './easing'
import type { Effect, Place } from './effects'

/** How the finest parts of an element belong to the parts that one cue moves. */
export interface PartSpan {
  /** For each finest part: the place in the cue's own order (0 first), or −1 where the cue does not touch it. */
  place: readonly number[]
  /** For each finest part: its rank within its place, and how many share that place. */
  rank: readonly number[]
  sizes: readonly number[]
  /** How many places there are. */
  count: number
  stagger: number
}

export interface ScoreCue {
  cue: Cue
  effect: Effect
  ease: EasingFunction
  /** Index of its beat. */
  beat: number
  /** Seconds that one part takes, once: as written, or longer where it would flash more than three times a second. */
  round: number
  /** Seconds into its beat. */
  start: number
  /** Seconds into its beat; of a cue without end, the end of its first round. */
  end: number
  /** Null where the element moves as a whole. */
  span: PartSpan | null
}

export interface ScoreBeat {
  beat: Beat
  index: number
  start: 'open' | 'advance' | 'self'
  cues: readonly ScoreCue[]
  /** Seconds from its start to the end of its last finite cue. */
  moves: number
  /** Seconds that it stands still after that where no speaker decides. */
  hold: number
  length: number
  /** Planned seconds from the slide's opening. */
  at: number
  /** What comes into sight in it, and the seconds that reading it takes. */
  reading: { words: number; numbers: number; marks: number; seconds: number }
}

/** All cues of one element, in the order in which they begin. */
export interface Track {
  element: ShownElement
  /** Where what it shows lies within its box. */
  lines: readonly Place[]
  /** What of its box is seen: where its words stand, if nothing else of it shows; px of deck space from the box's corner. */
  seen: Place
  cues: readonly ScoreCue[]
  /** Those that make it come or go. */
  presence: readonly ScoreCue[]
  /** The finest parts that a cue tells apart, and how many there are. */
  partsBy: Parts['by'] | null
  partCount: number
  /** Of a film or sound whose length is known: the stretch that plays, and whether it begins again at its end. */
  clip: ClipSpan | null
  looping: boolean
  /** What else a text says by its cues, in their order; each with the words that its box then holds. */
  said: readonly (TextElement & ShownElement)[]
  /** What a hand draws of it, where a cue has it drawn. */
  drawing: HandDrawing | null
  /** Of a figure: where it would hold something up, px of the slide. */
  hands: { x: number; y: number } | null
  /** Whether the element is unseen until its first presence cue begins. */
  hiddenBefore: boolean
  /** The moment at which its first cue begins. */
  begins: { beat: number; seconds: number }
  /** The moment from which it stands as composed until the slide ends; null where it never does for good. */
  rests: { beat: number; seconds: number } | null
}

/** One move of a board's camera. */
export interface CameraLeg {
  cue: ScoreCue
  way: CameraWay
}

/** How the camera of a board moves through its beats. */
export interface CameraPlan {
  /** What is seen as the slide opens. */
  opens: Camera
  /** In the order in which they begin. */
  legs: readonly CameraLeg[]
}

/** A clip or a voice on a slide, and how its end lies to the slide's. */
export interface ClipFit {
  /** The element, or the sound of a narration. */
  element: Id | null
  sound: Id | null
  name: string
  /** The beat in which it begins. */
  beat: number
  /** Planned seconds from the slide's opening. */
  start: number
  /** Seconds that it plays, once. */
  seconds: number
  /** Seconds by which it is longer than what is left of its slide; below 0 shorter. */
  beyond: number
}

/** Something in a slide's timing that cannot be as it is written, in words for a person. */
export interface TimingProblem {
  cue: Id
  message: string
}

/** A slide's timing, computed. */
export interface Score {
  slide: Id
  size: { width: number; height: number }
  beats: readonly ScoreBeat[]
  tracks: ReadonlyMap<Id, Track>
  elements: readonly ShownElement[]
  /** Whose cues do something to others, or to what is seen of the slide. */
  beyond: readonly Id[]
  /** Planned seconds of all beats, without the transition. */
  length: number
  problems: readonly TimingProblem[]
  /** Of a board: how far it reaches, px of deck space, and how its camera moves. */
  board: { extent: { width: number; height: number }; camera: CameraPlan } | null
  /** Clips that are played once, and voices, with how they fit. */
  clips: readonly ClipFit[]
}
