import { dropRecord, putRecord, setRecord, textOf, type Change } from '../core/model'
import { expect, test, type Page } from '@playwright/test'
import postgres from 'postgres'
import * as Y from 'yjs'
import { applyToDocument, liveTable, readDocument } from '../core/live'
import { startServer } from '../scripts/serve.mjs'
import { freePort } from '../scripts/postgres.mjs'
import { cookieOf, editDeck } from './support/live'
import { signedIn, newDeck, saved } from './support/people'
import { addShape, blank } from './support/stage'
import { answers, databaseUrl, home, kill, port, restoreDatabase, startAgain } from './support/server'

// Whatever a test here breaks off in the midst of, the next one finds the database and the server up.
test.afterEach(async () => {
  if (await answers()) return
  await kill()
  await restoreDatabase()
  await startAgain()
})

const title = (page: Page, number: number) => page.getByLabel(`Slide ${number}`, { exact: true })
const idOf = (page: Page) => /decks\/([^?]+)/.exec(page.url())![1]!
const withSql = async <T>(work: (sql: postgres.Sql) => Promise<T>) => {
  const sql = postgres(databaseUrl(), { max: 1 })
  try {
    return await work(sql)
  } finally {
    await sql.end()
  }
}
/** Makes a deck past the interface and answers with its id. */
async function makeDeck(name: string): Promise<string> {
  const answer = await fetch(`http://127.0.0.1:${port}/api/decks`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie: await cookieOf() },
    body: JSON.stringify({ title: name, purpose: 'talk' }),
  })
  return ((await answer.json()) as { id: string }).id
}

test('what goes over a limit is put within it and said, and everything is still there after a reload', async ({ page }) => {
  await blank(page, 'Limits')
  await addShape(page, 'rectangle', { left: 150_000, top: 40 })
  await expect(page.getByText('Left can be 100000 at most').first()).toBeVisible()
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('saved')).toBeVisible()
  const deck = (await (await page.request.get(`/api/decks/${idOf(page)}`)).json()) as {
    elements: Record<string, { box?: { x: number } }>
    info: { info: { title: string } }
  }
  expect(Object.values(deck.elements).filter(element => element.box?.x === 100_000)).toHaveLength(1)
  // The name of the deck: the field takes what the schema takes, and control characters are no letters.
  await page.getByRole('button', { name: 'Limits' }).first().click()
  const name = page.getByLabel('Title of the deck')
  await expect(name).toHaveAttribute('maxlength', '300')
  await name.evaluate((field: HTMLInputElement) => {
    field.value = 'Nul\u0000 and bell\u0007'
    field.dispatchEvent(new Event('input', { bubbles: true }))
  })
  await name.press('Enter')
  await expect(page.getByRole('button', { name: 'Nul and bell' })).toBeVisible()
  await saved(page)
  expect((await page.request.post(`/api/decks/${idOf(page)}/publish`)).status()).toBe(200)
})

test('a form holds others to its places on the server too; who made it and admins change all of it', async ({ page }) => {
  const deck = await makeDeck('Notice to fill')
  const maker = await editDeck(deck)
  const read = readDocument(maker.document)
  const title = Object.values(read.elements).find(element => element.placeholder === 'title' && read.slides[element.owner])!
  expect(await maker.change(document => applyToDocument(document, [setRecord('info', 'info', { form: true })]))).toBe(true)
  const cookie = await cookieOf('tomas@velmoor.example')
  const change = async (...changes: Change[]) => {
    const other = await editDeck(deck, { cookie })
    expect(other.heard).toContainEqual({ kind: 'bounds', form: true })
    const came = await other.change(document => applyToDocument(document, changes))
    other.leave()
    return came
  }
  expect(await change(setRecord('elements', title.id, { text: textOf(['Boats at six']) }))).toBe(true)
  for (const wrong of [
    setRecord('elements', title.id, { color: { role: 'accent2' } }),
    setRecord('info', 'info', { form: undefined }),
    dropRecord('elements', title.id),
  ] as Change[])
    expect(await change(wrong)).toMatch(/^This deck is a form/)
  // Nor by another way in.
  const copied = await fetch(`http://127.0.0.1:${port}/api/decks/${deck}/slides`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie },
    body: JSON.stringify({
      from: 'demo-hall',
      slides: [
        Object.keys(
          (await (await page.request.get(`http://127.0.0.1:${port}/api/decks/demo-hall`, { headers: { cookie } })).json()).slides,
        )[0],
      ],
      look: 'ours',
    }),
  })
  expect([copied.status, ((await copied.json()) as { message: string }).message]).toEqual([
    403,
    expect.stringMatching(/^This deck is a form/),
  ])
  expect(await maker.change(document => applyToDocument(document, [setRecord('elements', title.id, { color: { role: 'accent2' } })]))).toBe(
    true,
  )
  maker.leave()

  // In the interface it is said before anything is sent.
  await signedIn(page, 'Tomas Marr')
  await page.goto(`/decks/${deck}?phase=compose&look=palette`)
  await page.getByRole('button', { name: 'Background', exact: true }).click()
  await page.getByRole('radio', { name: 'Gradient', exact: true }).click()
  await expect(page.getByText('This deck is a form: only what fills its places can be changed.').first()).toBeVisible()
  await saved(page)
})

test('words written while the server is away are still there when the page was closed meanwhile, and are sent by themselves', async ({
  page,
}) => {
  await signedIn(page)
  await newDeck(page, 'Unsent', 'Talk')
  await saved(page)
  const address = page.url()
  await kill('SIGKILL')
  await title(page, 1).fill('written into the void')
  await expect(page.getByTestId('saved')).toHaveText('Offline: saved in this browser')
  const context = page.context()
  await page.close()
  await startAgain()
  // Any page of the application sends it; the deck itself need not be opened.
  const next = await context.newPage()
  await next.goto('/media')
  await expect(next.getByText('What you wrote in “Unsent” while the server was away is saved.').first()).toBeVisible()
  const other = await context.newPage()
  await other.goto(address)
  await expect(title(other, 1)).toHaveValue('written into the void')
})

test('a network that has gone silent is noticed within ten seconds, told apart, and caught up with', async ({ page }) => {
  // The line stays up, but from a moment on nothing comes through it.
  await page.addInitScript(() => {
    const Real = window.WebSocket
    const lines: { silent: boolean }[] = []
    Object.assign(window, {
      goSilent: (silent: boolean) => {
        for (const line of lines) line.silent = silent
        ;(window as unknown as { muted: boolean }).muted = silent
      },
    })
    window.WebSocket = class extends Real {
      constructor(address: string | URL) {
        super((window as unknown as { muted?: boolean }).muted ? 'ws://127.0.0.1:1/' : address)
        const state = { silent: false }
        lines.push(state)
        this.addEventListener('message', event => {
          if (state.silent) event.stopImmediatePropagation()
        })
        const send = this.send.bind(this)
        this.send = data => {
          if (!state.silent) send(data)
        }
      }
    } as typeof WebSocket
  })
  await signedIn(page)
  await newDeck(page, 'Silence', 'Talk')
  await saved(page)
  await page.evaluate(() => (window as unknown as { goSilent(silent: boolean): void }).goSilent(true))
  await title(page, 1).fill('said into silence')
  await expect(page.getByTestId('saved')).toHaveText('The server does not answer: saved in this browser', { timeout: 10_000 })
  await page.evaluate(() => (window as unknown as { goSilent(silent: boolean): void }).goSilent(false))
  await saved(page)
  const deck = await (await page.request.get(`/api/decks/${idOf(page)}`)).json()
  expect(JSON.stringify(deck)).toContain('said into silence')
})

test('a change that cannot be taken is refused to its sender alone; the deck stays whole for all others', async () => {
  const deck = await makeDeck('Attacked')
  const [good, bad] = [await editDeck(deck), await editDeck(deck, { email: 'tomas@velmoor.example' })]
  for (const act of [
    (document: Y.Doc) => void document.getMap('slides').set('broken', 7),
    (document: Y.Doc) => liveTable(document, 'info').get('info')!.set('title', 'x'.repeat(301)),
    (document: Y.Doc) => void document.getMap('slides').set('__proto__', new Y.Map()),
    (document: Y.Doc) => liveTable(document, 'theme').delete('theme'),
  ]) {
    const attacker = await editDeck(deck, { email: 'tomas@velmoor.example' })
    expect(await attacker.change(act)).toMatch(/not kept|cannot be/)
    // What builds on it is not taken either, whatever it is.
    attacker.raw(new Uint8Array([1, 2, 2, 0, 0]))
    attacker.leave()
    expect(await good.change(document => applyToDocument(document, [setRecord('info', 'info', { title: 'Still whole' })]))).toBe(true)
  }
  expect(await bad.send(new Uint8Array([255, 255, 1, 2, 3]))).toContain('could not be read')
  const answer = await fetch(`http://127.0.0.1:${port}/api/decks/${deck}`, { headers: { cookie: await cookieOf() } })
  expect(answer.status).toBe(200)
  expect(((await answer.json()) as { info: { info: { title: string } } }).info.info.title).toBe('Still whole')
  good.leave()
  bad.leave()
})

test('an edit of somebody whose account is gone is refused to them, and all others go on saving', async () => {
  const deck = await makeDeck('Removed person')
  await withSql(
    sql =>
      sql`insert into people (name, email, role, password_hash)
        select 'Gone Soon', 'gone@velmoor.example', 'editor', password_hash from people limit 1 on conflict (email) do nothing`,
  )
  const [gone, stays] = [await editDeck(deck, { email: 'gone@velmoor.example' }), await editDeck(deck)]
  expect(await gone.change(document => applyToDocument(document, [setRecord('info', 'info', { title: 'From one who goes' })]))).toBe(true)
  await withSql(sql => sql`delete from people where email = 'gone@velmoor.example'`)
  const came = await gone.change(document => applyToDocument(document, [setRecord('info', 'info', { title: 'From one who is gone' })]))
  expect(came).not.toBe(true)
  expect(await stays.change(document => applyToDocument(document, [setRecord('info', 'info', { title: 'From one who stays' })]))).toBe(true)
  expect((await gone.closed).code).toBe(4401)
  stays.leave()
})

test('a role that changes holds for sockets that are open', async () => {
  const deck = await makeDeck('Roles')
  await withSql(
    sql =>
      sql`insert into people (name, email, role, password_hash)
        select 'Role Play', 'role@velmoor.example', 'editor', password_hash from people limit 1 on conflict (email) do nothing`,
  )
  const editor = await editDeck(deck, { email: 'role@velmoor.example' })
  const write = () => editor.change(document => applyToDocument(document, [setRecord('info', 'info', { title: 'x' })]))
  expect(await write()).toBe(true)
  await withSql(sql => sql`update people set role = 'viewer' where email = 'role@velmoor.example'`)
  await expect.poll(write, { timeout: 5000 }).toMatch(/Your role is viewer/)
  editor.leave()
  await withSql(sql => sql`delete from people where email = 'role@velmoor.example'`)
})

test('a deck that an older program left with broken records is mended on opening, said, and what could not be is kept aside', async ({
  page,
}) => {
  const deck = await makeDeck('From before')
  await withSql(async sql => {
    const document = new Y.Doc()
    for (const row of await sql<{ content: Buffer }[]>`select content from deck_updates where deck = ${deck} order by id`)
      Y.applyUpdate(document, row.content)
    const before = Y.encodeStateVector(document)
    liveTable(document, 'info').get('info')!.set('title', 'long '.repeat(80))
    document.getMap('slides').set('broken', 7)
    await sql`insert into deck_updates (deck, content) values (${deck}, ${Buffer.from(Y.encodeStateAsUpdate(document, before))})`
  })
  // The room may be open from making it; it hears of the rows as from another node, and mends when it is next opened.
  await kill('SIGTERM')
  await startAgain()
  await signedIn(page)
  await page.goto(`/decks/${deck}`)
  await expect(page.getByText(/went beyond its limits and was put within them.*kept aside on the server/).first()).toBeVisible()
  await expect(page.getByRole('button', { name: /^long long/ })).toBeVisible()
  expect(await withSql(async sql => await sql`select in_table, record, content from set_aside where deck = ${deck}`)).toMatchObject([
    { in_table: 'slides', record: 'broken', content: '7' },
  ])
})

test('three servers on one database lose nothing of what any of them was sent, while their connections are cut', async () => {
  test.setTimeout(300_000)
  const deck = await makeDeck('Three nodes')
  const url = databaseUrl()
  const ports = [port, await freePort(4800), await freePort(4820)]
  const nodes = []
  for (const at of ports.slice(1)) nodes.push(await startServer({ home, url, port: at, quiet: true }))
  try {
    // Signed in before anything is cut: a sign-in that meets a cut connection is told to try again.
    const cookie = await cookieOf()
    const editors = await Promise.all(ports.flatMap(at => [0, 1].map(() => editDeck(deck, { at }))))
    const rounds = 60
    let cutting = true
    const cut = (async () => {
      const sql = postgres(url, { max: 1, onnotice: () => {} })
      while (cutting) {
        await new Promise(resolve => setTimeout(resolve, 400))
        await sql`select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid()
          and backend_type = 'client backend' and random() < 0.4`
      }
      await sql.end()
    })()
    const acknowledged: string[] = []
    await Promise.all(
      editors.map(async (editor, index) => {
        for (let round = 0; round < rounds; round++) {
          const id = `n${index}r${round}`
          if ((await editor.change(document => applyToDocument(document, [putRecord('variants', { id, order: 'a0', name: id })]))) === true)
            acknowledged.push(id)
        }
      }),
    )
    cutting = false
    await cut
    expect(acknowledged).toHaveLength(editors.length * rounds)
    // Every node has every row within the time of one look, and so does everybody who is there.
    for (const editor of editors)
      await expect.poll(() => acknowledged.filter(id => !liveTable(editor.document, 'variants').has(id)), { timeout: 15_000 }).toEqual([])
    for (const at of ports) {
      // The first request after the cuts may still meet a connection that is gone, and is told so.
      await expect
        .poll(
          async () => {
            const answer = await fetch(`http://127.0.0.1:${at}/api/decks/${deck}`, { headers: { cookie } })
            return answer.ok ? Object.keys(((await answer.json()) as ReturnType<typeof readDocument>).variants).sort() : answer.status
          },
          { timeout: 15_000 },
        )
        .toEqual([...acknowledged].sort())
    }
    for (const editor of editors) editor.leave()
  } finally {
    for (const { child } of nodes) child.kill('SIGTERM')
  }
})
