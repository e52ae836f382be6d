import postgres from 'postgres'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { database, isPassing, transaction } from './connection'

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

describe('a transaction', () => {
  let cut: postgres.Sql
  const cutAll = () => cut`select pg_terminate_backend(pid) from pg_stat_activity
    where datname = current_database() and pid <> pg_backend_pid() and query ~ 'held|begin|rollback|commit|select 1'`
  const uncaught: unknown[] = []
  const note = (error: unknown) => void uncaught.push(error)
  beforeAll(async () => {
    cut = postgres(process.env.DATABASE_URL!, { max: 1, onnotice: () => {} })
    await database()`create table held (id int primary key)`
    process.on('uncaughtException', note)
  })
  afterAll(async () => {
    process.off('uncaughtException', note)
    await cut.end()
  })
  const held = async () => (await database()<{ id: number }[]>`select id from held order by id`).map(({ id }) => id)

  it('counts as a whole, or not at all where its work throws', async () => {
    expect(await transaction(async sql => (await sql`insert into held values (1), (2) returning id`).length)).toBe(2)
    const thrown = new Error('no more of it')
    await expect(
      transaction(async sql => {
        await sql`insert into held values (3)`
        throw thrown
      }),
    ).rejects.toBe(thrown)
    await expect(transaction(sql => sql`insert into held values (1)`)).rejects.toMatchObject({ code: '23505' })
    expect(await held()).toEqual([1, 2])
  })

  it('that is cut between two statements runs none after that, whoever has the connection by then', async () => {
    let later: unknown = null
    const broken = transaction(async sql => {
      await sql`delete from held`
      await cutAll()
      // Others come, and get a connection in place of the one that is gone.
      for (let tries = 0; tries < 20; tries++) await database()`select 1`.catch((error: unknown) => expect(isPassing(error)).toBe(true))
      try {
        await sql`insert into held values (9)`
      } catch (error) {
        later = error
        throw error
      }
    })
    await expect(broken).rejects.toSatisfy(isPassing)
    await expect.poll(() => isPassing(later) && later !== null).toBe(true)
    expect(await held()).toEqual([1, 2])
  })

  it('that is cut again and again leaves connections that answer', async () => {
    let over = false
    const [done, failed] = [[] as unknown[], [] as unknown[]]
    const on = async (work: () => Promise<unknown>) => {
      while (!over)
        await work().then(
          value => done.push(value),
          (error: unknown) => failed.push(error),
        )
    }
    const change = () =>
      transaction(async sql => {
        await sql`insert into held values (${Math.floor(Math.random() * 1e9)})`
        await new Promise(resolve => setTimeout(resolve, 5))
        return await sql`delete from held where id > 2`
      })
    const ask = () => database()`select count(*) from held`
    const works = [...Array.from({ length: 4 }, () => on(change)), ...Array.from({ length: 4 }, () => on(ask))]
    for (let round = 0; round < 12; round++) {
      await new Promise(resolve => setTimeout(resolve, 100))
      await cutAll()
    }
    over = true
    await Promise.all(works)
    expect(failed.filter(error => !isPassing(error))).toEqual([])
    expect(failed.filter(error => (error as { code?: string }).code === 'CONNECT_TIMEOUT')).toEqual([])
    expect(done.length).toBeGreaterThan(failed.length)
    // One that was cut last may be told of it only now.
    await expect.poll(() => held().catch((error: unknown) => (isPassing(error) ? null : Promise.reject(error)))).toEqual([1, 2])
    expect(uncaught).toEqual([])
  })
})
