import type { Palette } from '../color'
import type { Frame, LayoutFamily, LayoutRoom, Place } from '../layouts/catalogue'
import type { TextStyle, Theme } from '../model'

/** How a look has a family of layouts stand; what is absent is the family's own. */
export interface Dress extends Partial<Pick<LayoutFamily, 'ground' | 'content' | 'split' | 'places' | 'arrange' | 'entrance' | 'best'>> {
  /** What stands on every slide of the look (a running title, rules, an edge) does not stand on these. */
  bare?: boolean
}

/** Sizes are those of a slide whose shorter side is 1080 px; a look is put on a deck in the deck's own. */
export type LookStyle = Omit<TextStyle, 'color' | 'align' | 'bullet' | 'paragraphSpacing'> &
  Partial<Pick<TextStyle, 'color' | 'align' | 'bullet' | 'paragraphSpacing'>>

/**
 * An art direction: colours, fonts and sizes of words, where titles and content stand, what stands on every slide, and how families of
 * layouts are composed. Ornaments follow from the seed that the theme wears it with.
 */
export interface Look {
  name: string
  label: string
  /** What it is like and whom it suits, a sentence. */
  explains: string
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
