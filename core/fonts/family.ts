/** A family of fonts that ships with the application. */
export interface FontFamily {
  family: string
  /** Where its package keeps it. */
  folder: string
  kind: 'sans' | 'serif' | 'slab' | 'mono' | 'display' | 'hand'
  weights: readonly number[]
  italic: boolean
  /** Parts that its files come in, each a script or part of one. */
  subsets: readonly string[]
}

export const fontKinds: Readonly<Record<FontFamily['kind'], string>> = {
  sans: 'Without serifs',
  serif: 'With serifs',
  slab: 'Slab serifs',
  mono: 'Fixed width',
  display: 'For titles',
  hand: 'By hand',
}
