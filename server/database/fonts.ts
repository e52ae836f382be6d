import { database } from './connection'

export interface TeamFont {
  hash: string
  family: string
  weight: number
  italic: boolean
}

export const listFonts = () => database()<TeamFont[]>`select hash, family, weight, italic from fonts order by family, weight, italic`

export async function keepFont(font: TeamFont, person: string) {
  await database()`insert into fonts (hash, family, weight, italic, created_by) values (${font.hash}, ${font.family}, ${font.weight}, ${font.italic}, ${person}) on conflict (hash) do nothing`
}
