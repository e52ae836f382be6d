import { database } from './connection'

export interface TeamFont {
  hash: string
  family: string
  weight: number
  italic: boolean
  /** The code points that it has glyphs for, as `packSpans` writes them; null where it came before they were kept. */
  held: string | null
}

export const listFonts = () => database()<TeamFont[]>`select hash, family, weight, italic, held from fonts order by family, weight, italic`

/** Whether a font file is the team's already. */
export async function isKeptFont(hash: string): Promise<boolean> {
  const [row] = await database()`select 1 from fonts where hash = ${hash}`
  return row !== undefined
}

/** Keeps a font file of the team, whose bytes are media; `person` is null where it came by the folder of fonts. */
export async function keepFont(font: TeamFont, person: string | null) {
  await database()`insert into fonts (hash, family, weight, italic, held, created_by)
    values (${font.hash}, ${font.family}, ${font.weight}, ${font.italic}, ${font.held}, ${person}) on conflict (hash) do update
    set held = excluded.held`
}
