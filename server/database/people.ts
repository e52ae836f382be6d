import { database, transaction } from './connection'

export const roles = ['admin', 'editor', 'viewer'] as const
export type PersonRole = (typeof roles)[number]

export interface Person {
  id: string
  name: string
  email: string
  role: PersonRole
}

/** Whether somebody of a role may change decks and all that belongs to them. */
export const mayEdit = (role: PersonRole) => role === 'admin' || role === 'editor'

/** Addresses are compared as people write them: without regard to case, spaces around and ways to write a letter. */
export const normalEmail = (email: string) => email.normalize('NFKC').trim().toLowerCase()

export async function personByEmail(email: string) {
  const [row] = await database()<(Person & { password_hash: string | null })[]>`
    select id, name, email, role, password_hash from people where email = ${normalEmail(email)}`
  return row
}

export async function personById(id: string) {
  const [row] = await database()<Person[]>`select id, name, email, role from people where id = ${id}`
  return row
}

export const listPeople = () => database()<(Person & { signs_in: boolean; seen_at: Date | null })[]>`
  select id, name, email, role, password_hash is not null as signs_in, (select max(seen_at) from sessions
    where person = people.id) as seen_at from people order by name`

/** Undefined where the address is taken. */
export async function addPerson(person: Omit<Person, 'id'> & { passwordHash: string | null }) {
  const [row] = await database()<Person[]>`
    insert into people (name, email, role, password_hash)
    values (${person.name}, ${normalEmail(person.email)}, ${person.role}, ${person.passwordHash})
    on conflict (email) do nothing returning id, name, email, role`
  return row
}

export async function passwordHashOf(id: string) {
  const [row] = await database()<{ password_hash: string | null }[]>`select password_hash from people where id = ${id}`
  return row?.password_hash ?? null
}

/** Gives somebody another password and ends their sessions, but for one. */
export async function setPassword(id: string, hash: string, exceptSession: string | null) {
  await transaction(async sql => {
    await sql`update people set password_hash = ${hash} where id = ${id}`
    await sql`delete from sessions where person = ${id} and id is distinct from ${exceptSession}`
    await sql`delete from password_links where person = ${id}`
  })
}

/**
 * Runs a change of somebody's role or presence, unless it would leave the team without an admin; false where it would, or where there is
 * nobody such.
 */
async function keepingAnAdmin(id: string, change: 'remove' | PersonRole): Promise<'done' | 'last admin' | 'gone'> {
  return await transaction(async sql => {
    // Two such changes at once would each count the other's admin.
    const admins = await sql<{ id: string }[]>`select id from people where role = 'admin' order by id for update`
    if (change !== 'admin' && admins.length === 1 && admins[0]!.id === id) return 'last admin'
    const rows =
      change === 'remove'
        ? await sql`delete from people where id = ${id} returning id`
        : await sql`update people set role = ${change} where id = ${id} returning id`
    return rows.length ? 'done' : 'gone'
  })
}
export const setRole = (id: string, role: PersonRole) => keepingAnAdmin(id, role)
export const removePerson = (id: string) => keepingAnAdmin(id, 'remove')
