import { database } from './connection'

export interface Person {
  id: string
  name: string
  email: string
  role: 'editor' | 'viewer'
}

export async function personByEmail(email: string) {
  const [row] = await database()<(Person & { password_hash: string })[]>`
    select id, name, email, role, password_hash from people where email = ${email.trim().toLowerCase()}`
  return row
}

export async function personById(id: string) {
  const [row] = await database()<Person[]>`select id, name, email, role from people where id = ${id}`
  return row
}

export const listPeople = () => database()<Person[]>`select id, name, email, role from people order by name`

/** Undefined where the address is taken. */
export async function addPerson(person: Omit<Person, 'id'> & { passwordHash: string }) {
  const [row] = await database()<Person[]>`
    insert into people (name, email, role, password_hash)
    values (${person.name}, ${person.email.trim().toLowerCase()}, ${person.role}, ${person.passwordHash})
    on conflict (email) do nothing returning id, name, email, role`
  return row
}
