import type { Palette } from '../color'
import type { Frame, LayoutFamily, LayoutRoom, Place } from '../families'
import type { TextStyle, Theme, Transition } from '../model'

/** How a look has a family of layouts stand; what is absent is the family's own. */
export type Dress = Partial<
  Pick<LayoutFamily, 'label' | 'ground' | 'bare' | 'content' | 'split' | 'places' | 'arrange' | 'entrance' | 'best'>
>

/** Sizes are those of a slide whose shorter side is 1080 px; a look is put on a deck in the deck's own. */
export type LookStyle = Omit<TextStyle, 'color' | 'align' | 'bullet' | 'paragraphSpacing'> &
  Partial<Pick<TextStyle, 'color' | 'align' | 'bullet' | 'paragraphSpacing'>>

/** What speaks for a look where looks are proposed for a deck. */
export interface Suits {
  /** How it composes, so that those that are shown beside each other differ. */
  manner: 'drawn' | 'fields' | 'set' | 'pattern' | 'loud'
  /** 0 loud to 1 calm. */
  calm: number
  /** Words in a line, from and to, that it sets best. */
  line: readonly [number, number]
  /** The ground that it is drawn for; light where absent. */
  ground?: 'deep'
  purposes?: readonly ('talk' | 'film' | 'loop')[]
  /** A subject, and words of it in English, German, French and Spanish: small letters without marks, blanks between. */
  about: string
  words: string
}

/**
 * An art direction: colours, fonts and sizes of words, where titles and content stand, what stands on every slide, and how families of
 * layouts are composed. Ornaments follow from the seed that the theme wears it with.
 */
export interface Look {
  name: string
  label: string
  /** What it is like and whom it suits, a sentence. */
  explains: string
  suits: Suits
  /** How slides come within a chapter, and how the first of one does. */
  transitions: { within: Transition; chapter: Transition }
  fonts: Theme['fonts']
  light: Palette
  deep: Palette
  /** Clear space at the slide's edge, px of a slide whose shorter side is 1080. */
  margin: number
  styles: Readonly<Record<string, LookStyle>>
  /** Where a slide's title stands, and what it leaves to its content. */
  frames(room: Pick<LayoutRoom, 'theme' | 'size'>): { head: Frame; body: Frame }
  /** What stands on every slide. */
  master(room: LayoutRoom): Place[]
  /** By name of a family. */
  dresses: Readonly<Record<string, Dress>>
}
