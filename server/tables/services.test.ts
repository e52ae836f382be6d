import { createServer, type RequestListener } from 'node:http'
import { afterAll, afterEach, describe, expect, it } from 'vitest'
import { pinnedId } from '../../core/data'
import { endThreads } from '../apart'
import { addPerson } from '../database/people'
import { dropVersions, versionsOf } from '../database/sources'
import { tableById } from '../database/tables'
import { endStandIn, startStandIn } from '../stand-in/service'
import { askServices, makeFollowing } from './services'
import { sourceAsked } from './sources'

const ends: (() => Promise<void>)[] = []
afterEach(async () => {
  for (const end of ends.splice(0)) await end()
  delete process.env.HAILBANK_SERVICES
})
afterAll(endThreads)

let person: string | undefined
async function someone() {
  person ??= (await addPerson({ name: 'Asker', email: 'asker@velmoor.example', role: 'editor', passwordHash: null }))!.id
  return person
}
/** A service on loopback; what it answers can change. */
async function service(answers: RequestListener) {
  const server = createServer(answers)
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
  ends.push(() => new Promise(resolve => server.close(() => resolve())))
  const own = server.address()
  return `http://127.0.0.1:${typeof own === 'object' && own ? own.port : 0}`
}
const refusal = (request: Promise<unknown>) =>
  request.then(
    () => 'nothing was refused',
    (error: { data?: { message?: string }; message: string }) => error.data?.message ?? error.message,
  )
const csv = (riders: number) => `route,riders\r\nQuill,${riders}\r\nAstrel,7`

describe('a table that follows a service', () => {
  it('has another version once that answers with other rows, and none where it does not', async () => {
    let riders = 12
    const asked: (string | undefined)[] = []
    const at = await service((request, response) => {
      asked.push(request.headers['if-none-match'])
      response.writeHead(200, { 'content-type': 'text/csv', etag: `"${riders}"` }).end(csv(riders))
    })
    process.env.HAILBANK_SERVICES = at
    const { id } = await makeFollowing(`${at}/counts`, await someone())
    expect((await tableById(id))!.columns[1]!.values).toEqual([12, 7])
    await askServices()
    expect(await versionsOf(id)).toHaveLength(1)
    riders = 15
    await askServices()
    expect(await versionsOf(id)).toHaveLength(2)
    expect((await tableById(id))!.columns[1]!.values).toEqual([15, 7])
    expect(asked).toEqual([undefined, '"12"', '"12"'])
  })

  it('stays as it is, and says why, where the service is away, says no, or answers with something else', async () => {
    let answer: RequestListener = (_, response) => response.end(csv(3))
    const at = await service((request, response) => answer(request, response))
    process.env.HAILBANK_SERVICES = at
    const { id } = await makeFollowing(`${at}/riders.csv`, await someone())
    const faultAfter = async (next: RequestListener) => {
      answer = next
      await askServices()
      return (await sourceAsked(id)).fileFault
    }
    expect(await faultAfter((_, response) => response.writeHead(503).end())).toMatch(/answers with 503\.$/)
    expect(await faultAfter((_, response) => response.writeHead(302, { location: 'http://127.0.0.1:9/' }).end())).toMatch(
      /does not answer as it should/,
    )
    expect(await faultAfter(request => request.destroy())).toMatch(/does not answer as it should/)
    expect(await faultAfter((_, response) => response.end(''))).toMatch(/\.$/)
    // The same again is not read again, and is no better for it.
    const known: (string | undefined)[] = []
    const broken: RequestListener = (request, response) => {
      known.push(request.headers['if-none-match'])
      if (request.headers['if-none-match']) response.writeHead(304).end()
      else response.writeHead(200, { etag: '"broken"' }).end('')
    }
    const why = await faultAfter(broken)
    expect(await faultAfter(broken)).toBe(why)
    expect(known).toEqual([undefined, '"broken"'])
    expect((await tableById(id))!.columns[1]!.values).toEqual([3, 7])
    expect(await faultAfter((_, response) => response.end(csv(4)))).toBeNull()
    expect((await tableById(id))!.columns[1]!.values).toEqual([4, 7])
  })

  it('holds as many versions as it needs: the newest hundred, the one on air, and what a deck stays at', async () => {
    let riders = 1
    const at = await service((_, response) => response.end(csv(riders)))
    process.env.HAILBANK_SERVICES = at
    const { id } = await makeFollowing(`${at}/riders.csv`, await someone())
    for (riders = 2; riders < 8; riders++) await askServices()
    await dropVersions(id, { keep: 3, stays: [2] })
    expect((await versionsOf(id)).map(({ number }) => number)).toEqual([2, 5, 6, 7])
    expect((await tableById(pinnedId({ source: id, number: 2 })))!.columns[1]!.values).toEqual([2, 7])
    await dropVersions(id, { keep: 0, stays: [] })
    expect((await versionsOf(id)).map(({ number }) => number)).toEqual([7])
  })

  it('is made only where whoever runs the server has named the service', async () => {
    const at = await service((_, response) => response.end(csv(3)))
    expect(await refusal(makeFollowing(`${at}/riders.csv`, await someone()))).toMatch(/^This server may ask no services/)
    process.env.HAILBANK_SERVICES = `${at}/open`
    for (const address of [
      `${at}/riders.csv`,
      `${at}/openly/riders.csv`,
      `${at}/open/../riders.csv`,
      `http://127.0.0.1:9/open/r.csv`,
      'file:///etc/passwd',
      `http://me:it@${at.slice(7)}/open/r.csv`,
    ])
      expect(await refusal(makeFollowing(address, await someone()))).toBe(
        `Only addresses that begin with ${at}/open may be asked from here.`,
      )
    expect(await refusal(makeFollowing(`${at}/open/riders.csv`, await someone()))).toBe('nothing was refused')
  })

  it('can follow the stand-in that ships with it, whose counts change every twenty seconds', async () => {
    let now = Date.UTC(2031, 3, 12, 9)
    const at = await startStandIn(0, () => now)
    ends.push(endStandIn)
    const { id } = await makeFollowing(`${at}/harbour/riders-today.csv`, await someone())
    const sum = async () => ((await tableById(id))!.columns[1]!.values as number[]).reduce((all, value) => all + value, 0)
    const before = await sum()
    now += 10_000
    await askServices()
    expect(await versionsOf(id)).toHaveLength(1)
    now += 3_600_000
    await askServices()
    expect(await sum()).toBeGreaterThan(before)
    expect(await refusal(makeFollowing(`${at}/harbour/nothing`, await someone()))).toMatch(/answers with 404/)
  })
})
