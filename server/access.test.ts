import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { createApp, eventHandler, toNodeListener } from 'h3'
import { afterAll, describe, expect, it } from 'vitest'
import { leftSignal } from './access'

/** Signals of the requests that came, in order, and what lets the server answer them. */
const came: { signal: AbortSignal; answer: () => void }[] = []
const app = createApp().use(
  eventHandler(async event => {
    const signal = leftSignal(event)
    await new Promise<void>(answer => came.push({ signal, answer }))
    return 'done'
  }),
)
const server = createServer(toNodeListener(app))
const address = new Promise<string>(resolve =>
  server.listen(0, '127.0.0.1', () => resolve(`http://127.0.0.1:${(server.address() as AddressInfo).port}`)),
)
afterAll(() => void server.close())
const next = async (count: number) => {
  await expect.poll(() => came.length).toBe(count)
  return came[count - 1]!
}

describe('whoever asked', () => {
  it('has left when the connection ends before the answer is there', async () => {
    const stop = new AbortController()
    const request = fetch(await address, { signal: stop.signal })
    const { signal, answer } = await next(1)
    expect(signal.aborted).toBe(false)
    stop.abort()
    await expect(request).rejects.toThrow()
    await expect.poll(() => signal.aborted).toBe(true)
    answer()
  })

  it('has not left when the answer came', async () => {
    const request = fetch(await address)
    const { signal, answer } = await next(2)
    answer()
    expect(await (await request).text()).toBe('done')
    await new Promise(resolve => setTimeout(resolve, 30))
    expect(signal.aborted).toBe(false)
  })
})
