import postgres from 'postgres'
import { describe, expect, it } from 'vitest'
import { database, isPassing } from './connection'

/** What the database says to a statement. */
const faultOf = (statement: string) =>
  database()
    .unsafe(statement)
    .then(
      () => null,
      (error: unknown) => error,
    )

describe('an error of the database', () => {
  it('passes where the statement would go through later, and does not where it would fail again', async () => {
    await database()`create table once (id int primary key, size int check (size > 0))`
    await database()`insert into once values (1, 1)`
    for (const [statement, code] of [
      ['insert into once values (1, 1)', '23505'],
      ['insert into once values (2, 0)', '23514'],
      ["insert into once values ('a', 1)", '22P02'],
      ['select * from nowhere', '42P01'],
    ]) {
      const fault = await faultOf(statement!)
      expect((fault as { code: string }).code).toBe(code)
      expect(isPassing(fault), statement).toBe(false)
    }
    const late = await faultOf('set statement_timeout = 20; select pg_sleep(2)')
    expect((late as { code: string }).code).toBe('57014')
    expect(isPassing(late)).toBe(true)
    expect(isPassing(Object.assign(new Error('could not extend file: No space left on device'), { code: '53100' }))).toBe(true)
  })

  it('passes where nobody is let in: the address may be another database’s for a moment, or its password be changed meanwhile', async () => {
    const right = new URL(process.env.DATABASE_URL!)
    for (const wrong of [
      Object.assign(new URL(right), { password: 'another' }),
      Object.assign(new URL(right), { pathname: '/nowhere' }),
      Object.assign(new URL(right), { port: '1' }),
    ]) {
      const sql = postgres(wrong.href, { max: 1, connect_timeout: 5 })
      const fault = await sql`select 1`.then(
        () => null,
        (error: unknown) => error,
      )
      await sql.end({ timeout: 0 })
      expect(fault, wrong.href).not.toBeNull()
      expect(isPassing(fault), wrong.href).toBe(true)
    }
  })
})
