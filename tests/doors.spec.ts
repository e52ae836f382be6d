import { readdirSync } from 'node:fs'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import { WebSocket } from 'ws'
import { port } from './support/server'

/** Every route there is, from the files themselves, so that a new one cannot be forgotten. */
function routes(folder = 'server/api'): { method: string, url: string }[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap(entry => {
    const place = path.join(folder, entry.name)
    if (entry.isDirectory()) return routes(place)
    const [, name, method] = /^(.+)\.(get|post|put|patch|delete)\.ts$/.exec(entry.name)!
    const url = path.join(folder.replace('server', ''), name === 'index' ? '' : name!).replaceAll('\\', '/').replace(/\/$/, '').replace(/\[(\w+)\]/g, 'demo-hall')
    return [{ method: method!.toUpperCase(), url }]
  })
}
/** These ask nobody, each for the reason its file gives. */
const open = ['GET /api/welcome', 'POST /api/session', 'DELETE /api/session', 'GET /api/health']
/** These ask with a body and change nothing: viewers may. */
const asking = ['POST /api/fonts/outlines']
const all = routes().map(route => ({ ...route, name: `${route.method} ${route.url}` }))

test('every route refuses who is not signed in', async ({ request }) => {
  expect(all.length).toBeGreaterThan(20)
  for (const { method, url, name } of all.filter(route => !open.includes(route.name))) {
    const answer = await request.fetch(url, { method, data: method === 'GET' ? undefined : '{}', headers: { 'content-type': 'application/json' } })
    expect(`${name} ${answer.status()}`).toBe(`${name} 401`)
  }
})

test('every route that changes something refuses a viewer', async ({ request }) => {
  expect((await request.post('/api/session', { data: { email: 'vera@velmoor.example', password: 'harbour-demo' } })).ok()).toBe(true)
  const changing = all.filter(route => route.method !== 'GET' && ![...open, ...asking].includes(route.name) && !route.url.startsWith('/api/screen/'))
  expect(changing.length).toBeGreaterThan(8)
  for (const { method, url, name } of changing) {
    const answer = await request.fetch(url, { method, data: '{}', headers: { 'content-type': 'application/json' } })
    expect(`${name} ${answer.status()}`).toBe(`${name} 403`)
  }
})

test('a screen’s token opens its own loop and nothing else', async ({ request, playwright }) => {
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const { screens } = await (await request.get('/api/screens')).json()
  const token = screens.find((screen: { id: string }) => screen.id === 'screen-cafe').token
  const screen = await playwright.request.newContext({ baseURL: `http://127.0.0.1:${port}`, extraHTTPHeaders: { authorization: `Bearer ${token}` } })
  expect((await screen.get('/api/screen')).status()).toBe(200)
  expect((await screen.get('/api/screen/version?deck=demo-seasons&number=1')).status()).toBe(200)
  expect((await screen.get('/api/screen/version?deck=demo-briefing&number=1')).status()).toBe(404)
  for (const url of ['/api/decks', '/api/screens', '/api/decks/demo-hall/file', '/api/people']) expect((await screen.get(url)).status()).toBe(401)
  await screen.dispose()
})

test('the socket refuses strangers, other origins and decks that are not there', async ({ request }) => {
  const knock = (deck: string, headers: Record<string, string> = {}) => new Promise<number>(resolve => {
    const socket = new WebSocket(`ws://127.0.0.1:${port}/live/${deck}`, { headers })
    socket.on('unexpected-response', (_, answer) => resolve(answer.statusCode ?? 0))
    socket.on('open', () => { socket.close(); resolve(101) })
    socket.on('error', () => resolve(0))
  })
  expect(await knock('demo-hall')).toBe(401)
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const cookie = (await request.storageState()).cookies.map(({ name, value }) => `${name}=${value}`).join('; ')
  expect(await knock('demo-hall', { cookie })).toBe(101)
  expect(await knock('no-such-deck', { cookie })).toBe(404)
  expect(await knock('demo-hall', { cookie, origin: 'http://elsewhere.example' })).toBe(403)
})

test('a wrong password is refused, and guessing is slowed down', async ({ request }) => {
  const attempt = () => request.post('/api/session', { data: { email: 'nobody@velmoor.example', password: 'guess' } })
  const first = await attempt()
  expect(first.status()).toBe(401)
  expect((await first.json()).data.message).toContain('do not go together')
  for (let count = 0; count < 10; count++) await attempt()
  expect((await attempt()).status()).toBe(429)
})
