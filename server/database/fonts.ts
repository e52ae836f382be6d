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

export async function keepFont(font: TeamFont, person: string) {
  await database()`insert into fonts (hash, family, weight, italic, held, created_by)
    values (${font.hash}, ${font.family}, ${font.weight}, ${font.italic}, ${font.held}, ${person}) on conflict (hash) do update
    set held = excluded.held`
}
