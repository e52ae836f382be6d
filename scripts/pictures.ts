/**
 * Takes the pictures of the main views anew, from the demo data, for docs/screenshots: `npm run pictures`, or of some of them:
 * `npm run pictures -- time look`.
 * It starts the application with a database of its own and needs Chromium.
 */
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'
import { buildIfChanged } from './build.mjs'
import { freePort, startPostgres } from './postgres.mjs'
import { prepareDatabase, startServer, startWorker } from './serve.mjs'

// Required, not imported: the loader that reads TypeScript here does not link Playwright's modules.
const { chromium } = createRequire(import.meta.url)('@playwright/test') as typeof import('@playwright/test')

/** What a page goes through before its picture is taken, by the picture's name. */
const views: Readonly<Record<string, { url: string; before?: (page: Page) => Promise<void> }>> = {
  decks: {
    url: '/',
    async before(page) {
      // How long they last is reckoned by the worker, soon after they are there.
      while ((await page.locator('article .strip').count()) < 5) {
        await page.waitForTimeout(1500)
        await page.reload()
        await page.locator('article').first().waitFor()
      }
    },
  },
  outline: { url: '/decks/demo-briefing' },
  designs: {
    url: '/decks/demo-race?view=designs',
    async before(page) {
      await page.getByRole('status').filter({ hasText: 'to take it' }).waitFor()
      await page.locator('[data-row="2"] [data-column="1"] [aria-pressed]').click()
    },
  },
  compose: { url: '/decks/demo-review?phase=compose', before: page => pick(page, 3, 'Chart') },
  states: {
    url: '/decks/demo-race?phase=compose',
    async before(page) {
      await pick(page, 2, 'Chart')
      await page.getByRole('button', { name: /^State 2,/ }).click()
    },
  },
  map: {
    url: '/decks/demo-race?phase=compose',
    async before(page) {
      await pick(page, 4, 'Chart')
      await page.getByRole('button', { name: /^State 2,/ }).click()
    },
  },
  diagram: {
    url: '/decks/demo-hall?phase=compose',
    async before(page) {
      await slide(page, 4)
      await page.keyboard.press('Control+a')
      await page.keyboard.press('Delete')
      await page.getByRole('toolbar', { name: 'Add' }).getByRole('button', { name: 'Diagram', exact: true }).click()
      await page.locator('[data-family="ring"]').click()
      await page.getByRole('textbox', { name: /^Outline of/ }).click()
      await page.keyboard.press('Control+a')
      for (const [index, item] of ['Arrive', 'Moor', 'Unload', 'Refuel', 'Load', 'Cast off', 'Cross'].entries()) {
        if (index) await page.keyboard.press('Enter')
        await page.keyboard.type(item)
      }
    },
  },
  look: { url: '/decks/demo-review?phase=compose&look=looks', before: page => page.getByRole('button', { name: 'Soundings' }).click() },
  layouts: {
    url: '/decks/demo-briefing?phase=compose&look=layouts',
    async before(page) {
      await page.getByRole('button', { name: 'Edit layout Picture beside a list' }).click()
    },
  },
  time: { url: '/decks/demo-briefing?phase=time', before: page => slide(page, 2) },
  board: { url: '/decks/demo-routes?phase=time' },
  check: { url: '/decks/demo-seasons?phase=check' },
  deliver: { url: '/decks/demo-briefing?phase=deliver' },
  media: {
    url: '/media',
    async before(page) {
      await page.locator('.tiles button').first().click()
    },
  },
  data: {
    url: '/data?table=demo-boardings',
    async before(page) {
      await page.getByRole('button', { name: /How takings is read/ }).click()
      await page.getByRole('radiogroup', { name: 'Read takings as' }).waitFor()
    },
  },
  draw: {
    url: '/data?table=demo-by-year&view=draw',
    async before(page) {
      await page.locator('.tile').first().waitFor()
      await page
        .getByRole('button', { name: /^Take: / })
        .first()
        .click()
    },
  },
  screens: {
    url: '/screens',
    async before(page) {
      type Screens = { screens: { id: string; token: string | null; loop: string | null }[] }
      const { screens } = (await (await page.request.get('/api/screens')).json()) as Screens
      for (const { id, token } of screens.filter(one => one.loop && one.token).slice(0, 4)) {
        const wall = await page.context().newPage()
        await wall.goto(`/show/${id}#${token}`)
        await wall.waitForTimeout(1500)
      }
      // They are heard of with what they show.
      await page.waitForTimeout(6000)
      await page.reload()
      await page.waitForTimeout(2000)
    },
  },
  present: {
    url: '/present/demo-briefing',
    async before(page) {
      for (let press = 0; press < 6; press++) {
        await page.keyboard.press('Space')
        await page.waitForTimeout(900)
      }
      await page.waitForTimeout(2500)
    },
  },
}

async function slide(page: Page, number: number) {
  await page
    .getByRole('region', { name: 'Rundown' })
    .getByRole('button', { name: new RegExp(`^Slide ${number},`) })
    .click()
  await page.waitForTimeout(500)
}
async function pick(page: Page, number: number, name: string) {
  await slide(page, number)
  await page.locator(`.hit[aria-label^="${name}"]`).first().click()
}

const asked = process.argv.slice(2)
const unknown = asked.filter(name => !views[name])
if (unknown.length) {
  console.error(`There is no picture called ${unknown.join(', ')}. There are: ${Object.keys(views).join(', ')}.`)
  process.exit(2)
}
const home = '.hailbank/pictures'
await buildIfChanged(console.log)
const database = await startPostgres(home, { fresh: true })
await prepareDatabase(database.url, () => {})
const { child, address } = await startServer({ home, url: database.url, port: await freePort(), quiet: true })
const worker = startWorker({ home, url: database.url, quiet: true })
const browser = await chromium.launch({
  executablePath: process.env.HAILBANK_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--force-color-profile=srgb'],
})
try {
  for (const [name, view] of Object.entries(views)) {
    if (asked.length && !asked.includes(name)) continue
    const context = await browser.newContext({
      baseURL: address,
      viewport: { width: 1280, height: 800 },
      locale: 'en-GB',
      colorScheme: 'light',
    })
    const page = await context.newPage()
    await page.request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
    await page.goto(view.url)
    await page.waitForLoadState('networkidle')
    await page.waitForTimeout(1500)
    await view.before?.(page)
    await page.waitForTimeout(900)
    await page.screenshot({ path: `docs/screenshots/${name}.png` })
    console.log(`  ${name}`)
    await context.close()
  }
} finally {
  await browser.close()
  worker.child.kill('SIGTERM')
  child.kill('SIGTERM')
  await new Promise(resolve => setTimeout(resolve, 800))
  database.stop()
}
