import type { Deck } from '../../core/model'
import { database, jsonOf, type Sql } from './connection'

export const listThemes = () =>
  database()<
    { id: string; name: string; content: Deck; changed_at: Date }[]
  >`select id, name, content, changed_at from themes order by lower(name), id`

export async function themeById(id: string) {
  const [row] = await database()<{ id: string; name: string; content: Deck }[]>`select id, name, content from themes where id = ${id}`
  return row
}

export async function keepTheme(theme: { id: string; name: string; content: Deck; person: string | null }, sql: Sql = database()) {
  await sql`insert into themes (id, name, content, created_by)
    values (${theme.id}, ${theme.name}, ${jsonOf(theme.content)}, ${theme.person})
    on conflict (id) do update set name = excluded.name, content = excluded.content, changed_at = now()`
}

export async function removeTheme(id: string) {
  await database()`delete from themes where id = ${id}`
}
