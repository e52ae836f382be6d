import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import postgres from 'postgres'
import { packDeck } from '../core/formats/deck-file'
import type { Deck } from '../core/model'
import { buildIfChanged } from '../scripts/build.mjs'
import { freePort, startPostgres } from '../scripts/postgres.mjs'
import { prepareDatabase, startServer } from '../scripts/serve.mjs'
import { deckOf } from './decks'
import { finish, frame, report } from './report'
import { scriptsOf } from './weight'

// Required, not imported: the loader that reads TypeScript here does not link Playwright's modules.
const { chromium } = createRequire(import.meta.url)('@playwright/test') as typeof import('@playwright/test')
const home = '.hailbank/bench'
await buildIfChanged(console.log)
const database = await startPostgres(home, {})
await prepareDatabase(database.url, () => {})
const { child, address } = await startServer({ home, url: database.url, port: await freePort(), quiet: true })
const browser = await chromium.launch({
  executablePath: process.env.HAILBANK_CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
})

try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: address })
  await page.request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const bring = async (deck: Deck) => {
    const answer = await page.request.post('/api/decks/file', {
      data: Buffer.from(packDeck({ deck, tables: [], media: [] })),
      headers: { 'content-type': 'application/octet-stream' },
    })
    return ((await answer.json()) as { id: string }).id
  }

  /** Script time of one shown frame, ms: what the page's scripts took over some seconds, by the browser's own account. */
  const scriptPerFrame = async (moving: number) => {
    const id = await bring(deckOf(1, moving, moving, 1, true))
    await page.goto(`/present/${id}`)
    await page.waitForSelector('.stage-slide')
    await page.keyboard.press('Space')
    // One begins after the other, 50 ms apart: all of them move when counting begins.
    await page.waitForTimeout(2500 + moving * 50)
    const client = await page.context().newCDPSession(page)
    await client.send('Performance.enable')
    const read = async () =>
      Object.fromEntries((await client.send('Performance.getMetrics')).metrics.map(({ name, value }) => [name, value]))
    const count = () =>
      page.evaluate(
        () =>
          new Promise<number>(resolve => {
            let frames = 0
            const start = performance.now()
            const tick = () => (performance.now() - start < 4000 ? (frames++, requestAnimationFrame(tick)) : resolve(frames))
            requestAnimationFrame(tick)
          }),
      )
    const before = await read()
    const frames = await count()
    const after = await read()
    return ((after.ScriptDuration! - before.ScriptDuration!) * 1000) / frames
  }
  const forty = await scriptPerFrame(40)
  report('applying a frame with 40 moving elements, script time', (100 * forty) / frame, 25, '% of a frame')
  const twoHundred = await scriptPerFrame(200)
  report('playing with 200 moving elements, script time', (100 * twoHundred) / frame, 60, '% of a frame')
  report('an element of 200 that move, against one of 40', twoHundred / 200 / (forty / 40), 1.3, 'times')

  /** Script time of one move of the pointer while one of so many parts on a slide is dragged, ms, by the browser's own account. */
  const scriptPerDrag = async (parts: number) => {
    await page.goto(`/decks/${await bring(deckOf(1, parts, 0, 0))}?phase=compose`)
    await page.waitForSelector('.hit')
    await page.getByRole('button', { name: /^Slide 2,/ }).click()
    await page.waitForFunction(count => document.querySelectorAll('.hit').length >= count, parts)
    await page.waitForTimeout(1500)
    const box = (await page.locator('.hit').nth(3).boundingBox())!
    const client = await page.context().newCDPSession(page)
    await client.send('Performance.enable')
    const read = async () => (await client.send('Performance.getMetrics')).metrics.find(({ name }) => name === 'ScriptDuration')!.value
    await page.mouse.move(box.x + 10, box.y + 10)
    await page.mouse.down()
    await page.mouse.move(box.x + 30, box.y + 30, { steps: 4 })
    const before = await read()
    const moves = 60
    for (let move = 0; move < moves; move++) {
      await page.mouse.move(box.x + 30 + move * 3, box.y + 30 + (move % 7) * 2)
      await page.evaluate(() => new Promise(requestAnimationFrame))
    }
    const after = await read()
    await page.mouse.up()
    return ((after - before) * 1000) / moves
  }
  report('dragging one of 300 elements of a slide, script time of a move', (100 * (await scriptPerDrag(300))) / frame, 25, '% of a frame')

  /** From the address to a deck whose parts can be pressed, ms: the median of five. */
  const opening = async (page: Page, id: string) => {
    const times: number[] = []
    for (let round = 0; round < 5; round++) {
      await page.goto('/screens')
      await page.waitForTimeout(300)
      const start = performance.now()
      await page.goto(`/decks/${id}?phase=compose`)
      await page.waitForSelector('.hit')
      times.push(performance.now() - start)
    }
    return times.sort((a, b) => a - b)[2]!
  }
  /**
   * From a press on a scheme to the last of so many thumbnails in its colours, ms a thumbnail: all of them in sight of a very tall window.
   */
  const recolouring = async (slides: number) => {
    const tall = await browser.newPage({
      viewport: { width: 1280, height: Math.ceil(slides / 3) * 180 + 600 },
      baseURL: address,
      storageState: await page.context().storageState(),
    })
    await tall.goto(`/decks/${await bring(deckOf(slides, 6, 0, 0))}?phase=compose&look=palette`)
    await tall.waitForFunction(count => document.querySelectorAll('.wall .stage-slide').length >= count, slides, { timeout: 120_000 })
    await tall.waitForTimeout(1500)
    const took = await tall.evaluate(
      () =>
        new Promise<number>(resolve => {
          const last = () => getComputedStyle([...document.querySelectorAll('.wall .stage-ground')].at(-1)!).backgroundColor
          const before = last()
          const start = performance.now()
          ;[...document.querySelectorAll<HTMLElement>('.scheme')].find(button => button.textContent?.includes('Blueprint'))!.click()
          const look = () =>
            last() === before ? requestAnimationFrame(look) : requestAnimationFrame(() => resolve(performance.now() - start))
          look()
        }),
    )
    await tall.close()
    return took / slides
  }
  report(
    'a scheme taken in a deck of 300 slides, to the last thumbnail, a thumbnail',
    (100 * (await recolouring(300))) / frame,
    150,
    '% of a frame',
  )

  const small = await opening(page, await bring(deckOf(3, 30, 4, 2)))
  const large = await opening(page, await bring(deckOf(300, 30, 4, 2)))
  report('opening 300 slides × 30 elements, against 3 slides', large / small, 3, 'times')

  const listing = async () => {
    const took: number[] = []
    for (let round = 0; round < 5; round++) {
      const start = performance.now()
      await page.goto('/')
      await page.waitForSelector('article .stage-slide')
      took.push(performance.now() - start)
    }
    return took.sort((a, b) => a - b)[2]!
  }
  const few = await listing()
  const sql = postgres(database.url, { onnotice: () => {} })
  await sql`insert into decks (id, title, purpose, snapshot, slides, cover, cover_tables, words)
    select 'many-' || n, 'Deck ' || n, purpose, snapshot, slides, cover, cover_tables, words
    from decks, generate_series(1, 1000) n where id = 'demo-briefing'`
  await sql.end()
  report('the list of 1,000 decks to its first cover, against a dozen', (await listing()) / few, 1.5, 'times')

  const cookies = await page.context().cookies()
  const screen = (await (await page.request.post('/api/screens', { data: { name: 'Weighed' } })).json()) as { id: string; token: string }
  const { id: loop } = (await (await page.request.post('/api/loops', { data: { name: 'Weighed' } })).json()) as { id: string }
  await page.request.put(`/api/loops/${loop}/items`, { data: { items: [{ deck: 'demo-hall' }] } })
  await page.request.put(`/api/screens/${screen.id}/loop`, { data: { loop } })
  report('scripts of the sign-in page', await scriptsOf(browser, `${address}/sign-in`, '.card'), 80, 'KB, compressed')
  report(
    'scripts of a deck’s page',
    await scriptsOf(browser, `${address}/decks/demo-briefing`, 'textarea.title', cookies),
    560,
    'KB, compressed',
  )
  report(
    'scripts of a screen’s page',
    await scriptsOf(browser, `${address}/show/${screen.id}#${screen.token}`, '.stage-slide'),
    300,
    'KB, compressed',
  )
} finally {
  await browser.close()
  child.kill('SIGTERM')
  await new Promise(resolve => setTimeout(resolve, 800))
  database.stop()
}
finish()
