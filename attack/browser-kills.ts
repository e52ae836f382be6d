import { createRequire } from 'node:module'
import { kill, port, startAgain } from '../tests/support/server'
import type { Attack } from './attack'

// Required, not imported: the loader that reads TypeScript here does not link Playwright's modules.
const { chromium } = createRequire(import.meta.url)('@playwright/test') as typeof import('@playwright/test')

export const browserKills: Attack = {
  name: 'browser',
  about: 'the server is killed 30 times while somebody types, and the page is closed or reloaded before it is back',
  async run(times) {
    const failures: string[] = []
    const browser = await chromium.launch({
      executablePath: process.env.HAILBANK_CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--disable-background-networking'],
    })
    const context = await browser.newContext({ baseURL: `http://127.0.0.1:${port}`, locale: 'en-GB' })
    await context.request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
    const { id } = (await (await context.request.post('/api/decks', { data: { title: 'Typed', purpose: 'talk' } })).json()) as {
      id: string
    }
    let tried = 0
    for (let round = 0; round < times(30); round++) {
      const page = await context.newPage()
      await page.goto(`/decks/${id}?phase=outline`)
      const line = page.getByLabel('Slide 1', { exact: true })
      await line.waitFor()
      const words = `round ${round} of letters typed`
      await line.fill('')
      const typing = line.pressSequentially(words, { delay: 12 })
      await page.waitForTimeout(120 + Math.random() * 300)
      await kill('SIGKILL')
      await typing
      await page.waitForTimeout(150)
      await page.close()
      await startAgain()
      const next = await context.newPage()
      await next.goto(`/decks/${id}?phase=outline`)
      tried++
      const found = await next
        .waitForFunction(
          wanted => (document.querySelector('[aria-label="Slide 1"]') as HTMLTextAreaElement | null)?.value === wanted,
          words,
          { timeout: 15_000 },
        )
        .catch(() => null)
      if (!found) failures.push(`round ${round}: “${await next.getByLabel('Slide 1', { exact: true }).inputValue()}” stands there`)
      await next.close()
    }
    await browser.close()
    return { tried, failures }
  },
}
