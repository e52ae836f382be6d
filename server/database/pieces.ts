import type { Piece } from '../../core/edits'
import { database, jsonOf } from './connection'

/** The pieces on the team's shelf by a word of their name or tags, those changed last first. */
export const findPieces = (find: string, from: number, count: number) => database()<(Piece & { total: number })[]>`
  select id, name, tags, content, version, count(*) over ()::int as total from pieces
  where ${find.trim()} = '' or name ilike ${`%${find.trim()}%`} or exists (select 1 from unnest(tags) tag
    where tag ilike ${`%${find.trim()}%`})
  order by changed_at desc, id offset ${from} limit ${count}`

export const piecesById = (ids: readonly string[]) =>
  database()<Piece[]>`select id, name, tags, content, version from pieces where id = any(${[...ids]})`

export async function keepPiece(piece: Omit<Piece, 'version'>, person: string | null): Promise<Piece> {
  const sql = database()
  const [row] = await sql<Piece[]>`
    insert into pieces (id, name, tags, content, created_by)
      values (${piece.id}, ${piece.name}, ${piece.tags}, ${jsonOf(piece.content)}, ${person})
    on conflict (id) do update
      set name = excluded.name, tags = excluded.tags, content = excluded.content, version = pieces.version + 1, changed_at = now()
    returning id, name, tags, content, version`
  return row!
}

export const dropPiece = (id: string) => database()`delete from pieces where id = ${id}`
