import { createHash, randomBytes } from 'node:crypto'
import { database, transaction } from './connection'
import type { Person } from './people'

/** A session ends when it was not used for so many days. */
export const sessionDays = 14
/** A link to set a password holds so many hours. */
export const linkHours = 72

const hashed = (token: string) => createHash('sha256').update(token).digest()
const newToken = () => randomBytes(32).toString('base64url')

export interface SessionRow {
  id: string
  created_at: Date
  seen_at: Date
  agent: string
  address: string
}

/** Begins a session; answers with the token for the browser's cookie, which is kept nowhere else. */
export async function beginSession(person: string, from: { agent: string; address: string }): Promise<string> {
  const token = newToken()
  const sql = database()
  await sql`delete from sessions where seen_at < now() - ${`${sessionDays} days`}::interval`
  await sql`insert into sessions (token_hash, person, agent, address)
    values (${hashed(token)}, ${person}, ${from.agent.slice(0, 300)}, ${from.address.slice(0, 60)})`
  return token
}

/** Who bears a token, with the id of the session; undefined where it has ended. */
export async function bearerOf(token: string): Promise<(Person & { session: string }) | undefined> {
  const [row] = await database()<(Person & { session: string; stale: boolean })[]>`
    select people.id, name, email, role, sessions.id as session, seen_at < now() - interval '5 minutes' as stale
    from sessions join people on people.id = person
    where token_hash = ${hashed(token)} and seen_at > now() - ${`${sessionDays} days`}::interval`
  if (!row) return undefined
  if (row.stale) await database()`update sessions set seen_at = now() where id = ${row.session}`
  const { stale: _, ...bearer } = row
  return bearer
}

export const sessionsOf = (person: string) =>
  database()<SessionRow[]>`select id, created_at, seen_at, agent, address from sessions where person = ${person}
    and seen_at > now() - ${`${sessionDays} days`}::interval order by seen_at desc`

/** Ends a session of somebody; false where it is none of theirs. */
export async function endSession(person: string, id: string) {
  return (await database()`delete from sessions where id = ${id} and person = ${person} returning id`).length > 0
}
export async function endSessionByToken(token: string) {
  await database()`delete from sessions where token_hash = ${hashed(token)}`
}
/** Which of some sessions still stand. */
export async function standingSessions(ids: readonly string[]): Promise<Set<string>> {
  return new Set((await database()<{ id: string }[]>`select id from sessions where id = any(${[...ids]})`).map(row => row.id))
}

/** Makes a link by which somebody sets a password; answers with its token. One that was made before ends. */
export async function makePasswordLink(person: string, by: string): Promise<string> {
  const token = newToken()
  await transaction(async sql => {
    await sql`delete from password_links where person = ${person} or expires_at < now()`
    await sql`insert into password_links (token_hash, person, made_by, expires_at)
      values (${hashed(token)}, ${person}, ${by}, now() + ${`${linkHours} hours`}::interval)`
  })
  return token
}

/** Whom a link is for; undefined where it was used, or has ended. */
export async function personOfLink(token: string): Promise<Person | undefined> {
  const [row] = await database()<Person[]>`select people.id, name, email, role from password_links join people on people.id = person
    where token_hash = ${hashed(token)} and expires_at > now()`
  return row
}
