import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import net from 'node:net'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import postgres from 'postgres'
import sharp from 'sharp'
import { WebSocket } from 'ws'
import { enter } from './support/people'
import { routes } from './support/routes'
import { databaseUrl, home, kill, port, startAgain } from './support/server'
import { openView } from './support/views'

/** These ask nobody, each for the reason its file gives. */
const open = ['GET /api/welcome', 'POST /api/session', 'DELETE /api/session', 'GET /api/health', 'POST /api/password-link']
/** These change nothing, or what is the viewer's own. */
const asking = [
  'POST /api/fonts/outlines',
  'POST /api/words/syllables',
  'POST /api/account/password',
  'DELETE /api/account/sessions/demo-hall',
  'PUT /api/decks/demo-hall/place',
]
const all = routes().map(({ method, url }) => {
  const named = url.replace(/\[(\w+)\]/g, 'demo-hall')
  return { method, url: named, name: `${method} ${named}` }
})

test('every route refuses who is not signed in', async ({ request }) => {
  expect(all.length).toBeGreaterThan(20)
  for (const { method, url, name } of all.filter(route => !open.includes(route.name))) {
    const answer = await request.fetch(url, {
      method,
      data: method === 'GET' ? undefined : '{}',
      headers: { 'content-type': 'application/json' },
    })
    expect(`${name} ${answer.status()}`).toBe(`${name} 401`)
  }
})

test('every route that changes something refuses a viewer', async ({ request }) => {
  expect((await request.post('/api/session', { data: { email: 'vera@velmoor.example', password: 'harbour-demo' } })).ok()).toBe(true)
  const changing = all.filter(
    route => route.method !== 'GET' && ![...open, ...asking].includes(route.name) && !route.url.startsWith('/api/screen/'),
  )
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
  const screen = await playwright.request.newContext({
    baseURL: `http://127.0.0.1:${port}`,
    extraHTTPHeaders: { authorization: `Bearer ${token}` },
  })
  expect((await screen.get('/api/screen')).status()).toBe(200)
  expect((await screen.get('/api/screen/version?deck=demo-seasons&number=1')).status()).toBe(200)
  expect((await screen.get('/api/screen/version?deck=demo-briefing&number=1')).status()).toBe(404)
  for (const url of ['/api/decks', '/api/screens', '/api/decks/demo-hall/file', '/api/people'])
    expect((await screen.get(url)).status()).toBe(401)
  await screen.dispose()
})

test('the socket refuses strangers, other origins and decks that are not there', async ({ request }) => {
  const knock = (deck: string, headers: Record<string, string> = {}) =>
    new Promise<number>(resolve => {
      const socket = new WebSocket(`ws://127.0.0.1:${port}/live/${deck}`, { headers })
      socket.on('unexpected-response', (_, answer) => resolve(answer.statusCode ?? 0))
      socket.on('open', () => {
        socket.close()
        resolve(101)
      })
      socket.on('error', () => resolve(0))
    })
  expect(await knock('demo-hall')).toBe(401)
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const cookie = (await request.storageState()).cookies.map(({ name, value }) => `${name}=${value}`).join('; ')
  expect(await knock('demo-hall', { cookie })).toBe(101)
  expect(await knock('no-such-deck', { cookie })).toBe(404)
  expect(await knock('demo-hall', { cookie, origin: 'http://elsewhere.example' })).toBe(403)
})

test('a wrong password is refused; guessing is slowed down for good, over restarts too, and locks nobody out', async ({ request }) => {
  const attempt = async (password: string) => {
    const begun = performance.now()
    const answer = await request.post('/api/session', { data: { email: ' Vera@Velmoor.example', password } })
    return { status: answer.status(), words: (await answer.json()).data?.message as string | undefined, took: performance.now() - begun }
  }
  const first = await attempt('guess')
  expect(first).toMatchObject({ status: 401, words: expect.stringContaining('do not go together') })
  for (let count = 0; count < 7; count++) await attempt('guess')
  const sql = postgres(databaseUrl(), { max: 1 })
  expect((await sql`select points from attempts where key = 'account:vera@velmoor.example'`)[0]).toMatchObject({ points: 8 })
  await kill('SIGTERM')
  await startAgain()
  const slowed = await attempt('guess')
  expect(slowed.status).toBe(401)
  // The rightful one waits too, and is let in.
  const right = await attempt('harbour-demo')
  expect(right.status).toBe(200)
  expect(Math.min(slowed.took, right.took)).toBeGreaterThan(1900)
  expect(await sql`select 1 from attempts where key = 'account:vera@velmoor.example'`).toHaveLength(0)
  await sql`delete from attempts`
  await sql.end()
})

test('what changes something is refused to pages of other addresses, and to such as have none', async ({ request }) => {
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  for (const origin of ['http://elsewhere.example', 'null', `http://127.0.0.1:${port}.elsewhere.example`, 'nonsense']) {
    const answer = await request.post('/api/loops', { data: { name: 'Theirs' }, headers: { origin } })
    expect([origin, answer.status()]).toEqual([origin, 403])
  }
  expect((await request.post('/api/loops', { data: { name: 'Ours' }, headers: { origin: `http://127.0.0.1:${port}` } })).status()).toBe(200)
  const socket = (origin: string, cookie: string) =>
    new Promise<number>(resolve => {
      const line = new WebSocket(`ws://127.0.0.1:${port}/live/demo-hall`, { headers: { origin, cookie } })
      line.on('unexpected-response', (_, answer) => resolve(answer.statusCode ?? 0))
      line.on('open', () => {
        line.close()
        resolve(101)
      })
      line.on('error', () => resolve(0))
    })
  const cookie = (await request.storageState()).cookies.map(({ name, value }) => `${name}=${value}`).join('; ')
  expect(await socket('null', cookie)).toBe(403)
  expect(await socket(`http://127.0.0.1:${port}`, cookie)).toBe(101)
})

test(
  'every answer says what its page may do; no script in a page’s own text but ours, no cookie for strangers, no name of the ' + 'program',
  async ({ page, request, playwright }) => {
    const stranger = await playwright.request.newContext({ baseURL: `http://127.0.0.1:${port}` })
    const script = /src="(\/_nuxt\/[^"]+\.js)"/.exec(await (await stranger.get('/sign-in')).text())![1]!
    for (const url of ['/sign-in', '/mark.svg', script, '/api/welcome', '/api/health', '/api/decks', '/api/no-such-call']) {
      const headers = (await stranger.get(url)).headers()
      expect([url, headers['x-content-type-options'], headers['x-frame-options'], headers['referrer-policy']]).toEqual([
        url,
        'nosniff',
        'DENY',
        'no-referrer',
      ])
      expect([url, headers['set-cookie'], headers['x-powered-by']]).toEqual([url, undefined, undefined])
      expect(headers['content-security-policy']).toContain("frame-ancestors 'none'")
      expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe/)
      expect(headers['permissions-policy']).toContain('geolocation=()')
    }
    expect((await stranger.get('/api/no-such-call')).status()).toBe(404)
    expect((await stranger.post('/api/no-such-call')).status()).toBe(404)
    await stranger.dispose()
    await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
    // What stands in a page of ours against its policy would be said in the console.
    const broken: string[] = []
    page.on('console', message => {
      if (/Content Security Policy|violates/i.test(message.text())) broken.push(message.text())
    })
    await page.goto('/sign-in')
    await page.evaluate(() => {
      const script = document.createElement('script')
      script.textContent = 'window.ran = true'
      document.body.append(script)
    })
    expect(await page.evaluate(() => (window as unknown as { ran?: boolean }).ran)).toBeUndefined()
    expect(broken.splice(0)).toHaveLength(1)
    await enter(page)
    for (const view of [
      '/',
      '/decks/demo-seasons?phase=compose',
      '/decks/demo-seasons?phase=time',
      '/decks/demo-seasons?phase=check',
      '/decks/demo-routes?phase=deliver',
      '/media',
      '/screens',
      '/present/demo-hall',
    ]) {
      await openView(page, view)
    }
    expect(broken).toEqual([])
  },
)

test('a request is bounded before it is read', async () => {
  const send = (headers: string) =>
    new Promise<string>(resolve => {
      let heard = ''
      const line = net.connect(port, '127.0.0.1', () =>
        line.write(`POST /api/session HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nContent-Type: application/json\r\n${headers}\r\n\r\n`),
      )
      line.on('data', part => {
        heard += part.toString()
        if (heard.includes('\r\n\r\n')) line.destroy()
      })
      line.on('close', () => resolve(heard.split('\r\n')[0]!))
      line.on('error', () => resolve('cut'))
    })
  expect(await send(`Content-Length: ${450 * 1024 * 1024}`)).toContain('413')
  expect(await send('Transfer-Encoding: chunked')).toContain('411')
})

test('an address with characters that cannot be read is refused in a sentence, on every route', async ({ request }) => {
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  for (const { method, url } of routes().filter(route => route.url.includes('['))) {
    const answer = await request.fetch(url.replace(/\[\w+\]/g, 'a%00b'), { method })
    expect([url, answer.status()]).toEqual([url, 400])
  }
  expect((await request.get('/api/tables?name=a%00b')).status()).toBe(400)
})

test('an error that is nobody’s fault is logged once, with the id that the person sees; measurements and health tell of the server', async ({
  request,
  playwright,
}) => {
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const sql = postgres(databaseUrl(), { max: 1 })
  await sql`alter table loops rename to loops_away`
  const answer = await request.get('/api/loops')
  await sql`alter table loops_away rename to loops`
  await sql.end()
  expect(answer.status()).toBe(500)
  const { data } = await answer.json()
  expect(data.message).toContain(data.id)
  expect(data.message).not.toContain('relation')
  const written = readFileSync(path.join(home, 'server.log'), 'utf8')
    .split('\n')
    .filter(line => line.includes(data.id))
  expect(written).toHaveLength(1)
  expect(JSON.parse(written[0]!)).toMatchObject({ id: data.id, level: 50, err: { message: expect.stringContaining('loops') } })
  const health = await (await request.get('/api/health')).json()
  expect(health).toMatchObject({ ok: true, database: true, workers: 1, loopDelay: { mean: expect.any(Number), max: expect.any(Number) } })
  expect(await (await request.get('/metrics')).text()).toMatch(/hailbank_request_seconds_count\{[^}]*status="500"/)
  const proxied = await playwright.request.newContext({
    baseURL: `http://127.0.0.1:${port}`,
    extraHTTPHeaders: { 'x-forwarded-for': '203.0.113.5' },
  })
  expect((await proxied.get('/metrics')).status()).toBe(401)
  await proxied.dispose()
})

test('what one person keeps is bounded: files by their bytes, decks by their number, and what is too much leaves nothing behind', async ({
  request,
}) => {
  const sql = postgres(databaseUrl(), { max: 1 })
  await request.post('/api/session', { data: { demo: 'tomas@velmoor.example' } })
  const png = await sharp({ create: { width: 31, height: 17, channels: 3, background: '#345678' } })
    .png()
    .toBuffer()
  const bring = () =>
    request.post('/api/media', { params: { name: 'small.png' }, data: png, headers: { 'content-type': 'application/octet-stream' } })
  const hash = createHash('sha256').update(png).digest('hex')
  try {
    await sql`insert into media (hash, name, type, extension, bytes, created_by)
      select ${'f'.repeat(64)}, 'heavy.mp4', 'video/mp4', 'mp4', ${25 * 1024 ** 3}, id from people
      where email = 'tomas@velmoor.example'`
    const refused = await bring()
    expect([refused.status(), (await refused.json()).message]).toEqual([
      413,
      expect.stringContaining('more than the 20 GB that one person may keep here'),
    ])
    expect(await sql`select 1 from media where hash = ${hash}`).toHaveLength(0)
    await sql`delete from media where hash = ${'f'.repeat(64)}`
    expect((await bring()).status()).toBe(200)

    await sql`insert into decks (id, title, purpose, created_by, snapshot, slides, cover, cover_tables)
      select 'many-' || n, 'Many', 'talk', people.id, decks.snapshot, 1, decks.cover, '{}'
      from generate_series(1, 2000) n, people, decks where people.email = 'tomas@velmoor.example' and decks.id = 'demo-hall'`
    const deck = await request.post('/api/decks', { data: { title: 'One more', purpose: 'talk' } })
    expect([deck.status(), (await deck.json()).message]).toEqual([429, expect.stringContaining('2,000 decks')])
  } finally {
    await sql`delete from decks where id like 'many-%'`
    await sql`delete from media where hash in (${'f'.repeat(64)}, ${hash})`
    await sql.end()
  }
})
