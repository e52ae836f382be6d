import type { FontFaceFile } from '#core/model'

/** A font file that the team has. */
export interface TeamFont {
  hash: string
  family: string
  weight: number
  italic: boolean
  /** The code points that it has glyphs for, packed; null where that is not known. */
  held: string | null
}

/** A font of the team as a theme carries it. */
export const faceOfTeam = (font: TeamFont): FontFaceFile => ({
  family: font.family,
  media: font.hash,
  weight: font.weight,
  ...(font.italic ? { italic: true } : {}),
  ...(font.held ? { held: font.held } : {}),
})
