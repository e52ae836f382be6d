import { describe, expect, it } from 'vitest'
import { database } from './connection'
import {
  addPerson,
  listPeople,
  mayEdit,
  normalEmail,
  passwordHashOf,
  personByEmail,
  removePerson,
  setPassword,
  setRole,
  type PersonRole,
} from './people'
import {
  bearerOf,
  beginSession,
  endSession,
  endSessionByToken,
  makePasswordLink,
  personOfLink,
  sessionsOf,
  standingSessions,
} from './sessions'

const here = { agent: 'A browser', address: '127.0.0.1' }
let count = 0
const somebody = async (role: PersonRole = 'editor') =>
  (await addPerson({ name: `Person ${++count}`, email: `person${count}@velmoor.example`, role, passwordHash: 'hash' }))!
const nobody = '00000000-0000-0000-0000-000000000000'

describe('people', () => {
  it('are found by their address however it is written, and have it alone', async () => {
    const person = await somebody()
    expect(normalEmail('  Ｐerson@Velmoor.Example ')).toBe('person@velmoor.example')
    expect((await personByEmail(`  ${person.email.toUpperCase()} `))?.id).toBe(person.id)
    expect(await addPerson({ name: 'Another', email: person.email.toUpperCase(), role: 'viewer', passwordHash: null })).toBeUndefined()
    expect(await personByEmail('nobody@velmoor.example')).toBeUndefined()
  })

  it('may change decks unless they only view', () => {
    expect((['admin', 'editor', 'viewer'] as const).map(mayEdit)).toEqual([true, true, false])
  })

  it('are never left without an admin, even by two who step down at once', async () => {
    const admins = await Promise.all([somebody('admin'), somebody('admin')])
    expect(await Promise.all(admins.map(({ id }) => setRole(id, 'editor')))).toEqual(expect.arrayContaining(['done', 'last admin']))
    const [last] = (await listPeople()).filter(({ role }) => role === 'admin')
    expect(await removePerson(last!.id)).toBe('last admin')
    expect(await setRole(last!.id, 'admin')).toBe('done')
    expect(await setRole(nobody, 'viewer')).toBe('gone')
    expect(await removePerson((await somebody()).id)).toBe('done')
  })

  it('are signed out elsewhere and lose their links when their password changes', async () => {
    const person = await somebody()
    const [kept, gone] = [await beginSession(person.id, here), await beginSession(person.id, here)]
    const link = await makePasswordLink(person.id, person.id)
    await setPassword(person.id, 'another', (await bearerOf(kept))!.session)
    expect(await passwordHashOf(person.id)).toBe('another')
    expect((await bearerOf(kept))?.id).toBe(person.id)
    expect(await bearerOf(gone)).toBeUndefined()
    expect(await personOfLink(link)).toBeUndefined()
  })
})

describe('sessions', () => {
  it('are known by their token alone, of which only a digest is kept', async () => {
    const person = await somebody()
    const token = await beginSession(person.id, here)
    expect(await bearerOf(token)).toMatchObject({ id: person.id, role: 'editor' })
    expect(await bearerOf(`${token}x`)).toBeUndefined()
    const rows = await database()`select * from sessions where person = ${person.id}`
    expect(JSON.stringify(rows)).not.toContain(token)
  })

  it('end after two weeks without use, and go on while they are used', async () => {
    const person = await somebody()
    const token = await beginSession(person.id, here)
    const age = (days: number) => database()`update sessions set seen_at = now() - ${`${days} days`}::interval where person = ${person.id}`
    await age(13)
    expect(await bearerOf(token)).toBeDefined()
    expect((await sessionsOf(person.id))[0]!.seen_at.getTime()).toBeGreaterThan(Date.now() - 60_000)
    await age(15)
    expect(await bearerOf(token)).toBeUndefined()
    expect(await sessionsOf(person.id)).toEqual([])
    await beginSession(person.id, here)
    expect(await database()`select 1 from sessions where person = ${person.id}`).toHaveLength(1)
  })

  it('are ended by whoever has them, and by nobody else', async () => {
    const [one, other] = [await somebody(), await somebody()]
    const token = await beginSession(one.id, here)
    const [session] = await sessionsOf(one.id)
    expect(await endSession(other.id, session!.id)).toBe(false)
    expect(await standingSessions([session!.id, nobody])).toEqual(new Set([session!.id]))
    expect(await endSession(one.id, session!.id)).toBe(true)
    expect(await bearerOf(token)).toBeUndefined()
    const again = await beginSession(one.id, here)
    await endSessionByToken(again)
    expect(await bearerOf(again)).toBeUndefined()
  })

  it('keep no more of a browser’s name than can be shown', async () => {
    const person = await somebody()
    await beginSession(person.id, { agent: 'x'.repeat(5000), address: 'y'.repeat(500) })
    const [session] = await sessionsOf(person.id)
    expect([session!.agent.length, session!.address.length]).toEqual([300, 60])
  })
})

describe('a link to set a password', () => {
  it('is for one person, and ends with the next one or after its hours', async () => {
    const person = await somebody()
    const first = await makePasswordLink(person.id, person.id)
    expect((await personOfLink(first))?.id).toBe(person.id)
    const second = await makePasswordLink(person.id, person.id)
    expect(await personOfLink(first)).toBeUndefined()
    expect((await personOfLink(second))?.id).toBe(person.id)
    await database()`update password_links set expires_at = now() - interval '1 second' where person = ${person.id}`
    expect(await personOfLink(second)).toBeUndefined()
  })
})
