import type { Pose } from '../../figures'
import type { Cue, ElementKind, Parts } from '../../model'
import {
  colorSchema,
  parseJson,
  roleNames,
  type Box,
  type Color,
  type Id,
  optionOf,
  type OptionField,
  type Options,
  type Role,
} from '../../values'
import type { EasingName } from '../easing'
import type { HandDrawing } from '../../drawing'
import type { Camera } from '../camera'
import type { PartFrame } from '../part-frame'

/** What an effect may know of what it moves. */
export interface EffectRoom {
  /** The box of what is moved, px of deck space: of plain words where they stand, of all else the element's. */
  box: Box
  /** Deck space, px. */
  size: { width: number; height: number }
  /** How far the slide reaches, px: of a board further than the picture. */
  extent?: { width: number; height: number }
  /** Where what it shows lies within its box: its lines of words, or all of it; px of deck space from the box's corner. */
  lines: readonly Place[]
  /** What a hand draws of it, where the effect asks for that and it is at hand. */
  drawing?: HandDrawing | null
}

/** An upright rectangle, px of deck space. */
export interface Place {
  x: number
  y: number
  width: number
  height: number
}

/**
 * A way of coming, going, drawing the eye or moving. `apply` writes into a part's frame:
 * - enter and exit: `progress` 0 is gone, 1 is there (an exit runs from 1 to 0);
 * - emphasis: 0 is rest, and so is 1 unless it `stays`;
 * - move: 0 is where the part was, 1 is where it ends and stays.
 * Progress may run past its ends where the easing overshoots.
 */
export interface Effect {
  name: string
  label: string
  whats: readonly Cue['what'][]
  /** Kinds of elements that it suits; absent for all. */
  kinds?: readonly ElementKind[]
  /** Seconds that one part takes unless chosen otherwise. */
  duration: number
  /** Its pace unless chosen otherwise; absent: ease out for what comes, ease both ways for all else. */
  pace?: EasingName
  options: readonly OptionField[]
  apply(part: PartFrame, progress: number, options: Options, room: EffectRoom): void
  /** What it does to all other elements of the slide. */
  applyToOthers?(part: PartFrame, progress: number, options: Options): void
  /** What it does to what is seen of the slide. */
  applyToCamera?(camera: Camera, progress: number, options: Options, room: EffectRoom): void
  /** Of an emphasis: whether it is still to be seen once it is over, until the slide ends. */
  stays?(options: Options): boolean
  /** Whether it is about an element as a whole, and never about its parts one by one. */
  whole?: true
  /**
   * The shortest length of one part at which what it does can be seen, seconds, and what it is needed for; absent: to be seen as motion.
   */
  least?: { seconds: number; why: string }
  /** Whether it needs to know how a hand draws the element. */
  byHand?: true
  /**
   * Seconds that one part takes, where they follow from what it does; null as chosen. `passage`: the seconds of the way that a chart goes
   * by it, null where it goes none.
   */
  lasts?(options: Options, drawing: HandDrawing | null, passage?: number | null): number | null
  /** Whether its length follows from what it does, and not from what is chosen. */
  follows?(options: Options): boolean
  /** Its options where its length is chosen after all, and where it takes `factor` times as long as it does. */
  fixed?(options: Options): Options
  slower?(options: Options, factor: number): Options
  /** How often the light of a part goes up and down in one round; absent for once. */
  flashes?(options: Options): number
  /** The finest parts that it tells apart by itself, where none are chosen. */
  fine?: Parts['by']
  /** Whether words are read as they come by it: it is then never faster than they are read. */
  readAsItComes?: true
  /** Whether it needs to know the numbers among the words. */
  countsNumbers?: true
  /** Whether all parts of an item come by it, words and what is drawn beneath them alike; absent, only the words do. */
  forAllParts?: true
  /** Of a move that takes a text other words: which, and from where they come (1 from below, −1 from above, 0 in place). */
  says?: { words(options: Options): string; from(options: Options): 1 | 0 | -1 }
  /** Of a media cue: what the clip does from it on. */
  clip?: 'play' | 'pause' | 'resume'
  /** How a figure acts. */
  figure?: FigureAct
  /** Of a figure that walks: the side that it comes from, or leaves to. */
  walks?(options: Options): 'left' | 'right'
  /** Of a camera cue: whether it goes straight, and its speed as a share of what is easy; null for a length that is chosen. */
  camera?: { straight(options: Options): boolean; speed(options: Options): number | null }
  /** Of a move along a way: SVG path data, px of deck space from rest, and how the way is shaped by hand. */
  path?: { of(options: Options): string; shape: 'line' | 'arc' | 'drawn' }
  /** What it is called where its options say more than its label; `view` is what a camera goes to. */
  called?(options: Options, view: string): string
  /** What it does, as words that follow what its cue does (“Acts”, “Moves”); absent is by “its label”. */
  told?(options: Options, view: string): string
}

/** What a cue makes of a figure's pose. */
export interface FigureAct {
  /** Whether the pose is kept from then on; one that is not is made within its cue, over whatever was kept. */
  keeps: boolean
  /** The pose at `progress` 0 to 1, and how high the figure is off the ground, as a share of its height. */
  at(pose: Pose, progress: number, options: Options): { pose: Pose; lift: number }
  /** The element that it holds up; null for none. */
  holds?(options: Options): Id | null
}

export { optionOf } from '../../values'
export type { OptionField } from '../../values'

export const clamp = (value: number) => Math.min(1, Math.max(0, value))

const isRole = (name: string): name is Role => (roleNames as readonly string[]).includes(name)

/** The colour of an option; what is neither a role nor a value is the first accent. */
export function colorOption(effect: Pick<Effect, 'options'>, options: Options, name: string): Color {
  const value = optionOf<string>(effect, options, name)
  if (isRole(value)) return { role: value }
  return colorSchema.safeParse(/^#/.test(value) ? { hex: value } : parseJson(value)).data ?? { role: 'accent1' }
}

/** A colour as the value of an option: in one word where it has neither tint nor transparency. */
export const colorValue = (color: Color): string =>
  Object.keys(color).length > 1 ? JSON.stringify(color) : 'role' in color ? color.role : color.hex

export const sides = [
  { value: 'left', label: 'the left' },
  { value: 'right', label: 'the right' },
  { value: 'top', label: 'the top' },
  { value: 'bottom', label: 'the bottom' },
] as const

export const fromSideOption = (initial: string): OptionField => ({ kind: 'choice', name: 'from', label: 'From', values: sides, initial })
export const colorOptionOf = (initial: string): OptionField => ({ kind: 'color', name: 'color', label: 'Colour', initial })
export const staysOption: OptionField = { kind: 'boolean', name: 'stays', label: 'Stays until the slide ends', initial: false }

/** Comes, stands and goes within 0 to 1: 1 between `rise` and 1 − `fall`. */
export const envelope = (progress: number, rise: number, fall: number) => clamp(Math.min(progress / rise, (1 - progress) / fall))
/** Comes and stays. */
export const ramp = (progress: number, rise: number) => clamp(progress / rise)
