import { expect, test, type Page } from '@playwright/test'
import postgres from 'postgres'
import { signedIn, enter, goPhase, saved, newDeck, signIn } from './support/people'
import { answers, cutDatabase, databaseUrl, kill, restoreDatabase, startAgain } from './support/server'

// Whatever a test here breaks off in the midst of, the next one finds the database and the server up.
test.afterEach(async () => {
  if (await answers()) return
  await kill()
  await restoreDatabase()
  await startAgain()
})

const title = (page: Page, number: number) => page.getByLabel(`Slide ${number}`, { exact: true })

test('two people in two browsers edit the same deck, and each sees the other within a second', async ({ browser }) => {
  const [mine, theirs] = await Promise.all([browser.newContext(), browser.newContext()])
  const [ines, tomas] = await Promise.all([mine.newPage(), theirs.newPage()])
  await enter(ines)
  await newDeck(ines, 'Written by two', 'Talk')
  await signedIn(tomas, 'Tomas Marr')
  await tomas.goto(ines.url())
  await expect(title(tomas, 1)).toHaveValue('Written by two')
  await expect(ines.getByTitle('Tomas Marr is here too')).toBeVisible()
  await title(ines, 1).fill('Written by Ines')
  await expect(title(tomas, 1)).toHaveValue('Written by Ines', { timeout: 1000 })
  await title(tomas, 1).focus()
  await tomas.keyboard.press('End')
  await tomas.keyboard.type(' and Tomas')
  await expect(title(ines, 1)).toHaveValue('Written by Ines and Tomas', { timeout: 1000 })
  // Both write at once, in different places of the same line.
  await title(ines, 1).evaluate((node: HTMLTextAreaElement) => node.setSelectionRange(0, 0))
  await Promise.all([title(ines, 1).pressSequentially('Well, '), title(tomas, 1).pressSequentially('!')])
  await expect.poll(async () => (await title(ines, 1).inputValue()) === (await title(tomas, 1).inputValue())).toBe(true)
  // One’s undo takes back one’s own, not the other’s.
  await ines.getByRole('button', { name: 'Undo' }).click()
  await expect(title(tomas, 1)).toHaveValue(/Tomas!/)
  await mine.close()
  await theirs.close()
})

test('killing the server in the midst of typing loses no acknowledged letter, and the browser catches up by itself', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Power cut', 'Talk')
  await page.getByLabel('Slide 1', { exact: true }).fill('before')
  await saved(page)
  const typing = title(page, 1).pressSequentially(' and while it was going down and after', { delay: 25 })
  await page.waitForTimeout(300)
  await kill('SIGKILL')
  await typing
  await expect(page.getByTestId('saved')).toHaveText(/Offline/)
  await startAgain()
  await saved(page)
  const other = await page.context().newPage()
  await other.goto(page.url())
  await expect(title(other, 1)).toHaveValue('before and while it was going down and after')
})

test('cutting the database for ten seconds loses nothing, and nothing is said to be kept meanwhile', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Database away', 'Talk')
  await saved(page)
  cutDatabase()
  const away = Date.now()
  await title(page, 1).fill('written while the database was away')
  await page.waitForTimeout(1500)
  await expect(page.getByTestId('saved')).not.toHaveText(/^Saved/)
  await page.waitForTimeout(10_000 - (Date.now() - away))
  await expect(page.getByTestId('saved')).not.toHaveText(/^Saved/)
  await restoreDatabase()
  await saved(page)
  const other = await page.context().newPage()
  await other.goto(page.url())
  await expect(title(other, 1)).toHaveValue('written while the database was away')
})

test('a screen goes on playing while the server is down, and reports again when it is back', async ({ page, browser }) => {
  await signedIn(page)
  await page.goto('/screens')
  const address = (await page.locator('[data-screen=screen-ticket] a').getAttribute('href'))!
  const screen = await browser.newPage()
  await screen.goto(address)
  await expect(screen.locator('.stage-layer:not([aria-hidden]) .stage-slide').first()).toBeVisible()
  await expect(screen.locator('.screen')).toHaveAttribute('data-reachable', 'true')
  await kill('SIGKILL')
  await expect(screen.locator('.screen')).toHaveAttribute('data-reachable', 'false')
  const showing = () => screen.evaluate(() => document.querySelector('.stage-layer:not([aria-hidden])')?.getAttribute('data-slide'))
  const before = await showing()
  await expect.poll(showing, { timeout: 25_000 }).not.toBe(before)
  await startAgain()
  await expect(screen.locator('.screen')).toHaveAttribute('data-reachable', 'true')
  await expect(page.locator('[data-screen=screen-ticket]')).toContainText('heard just now')
  const sql = postgres(databaseUrl(), { max: 1 })
  const plays = async () =>
    ((await sql`select count(*)::int as count from plays where screen = 'screen-ticket'`)[0] as { count: number }).count
  await expect.poll(plays, { timeout: 60_000 }).toBeGreaterThan(0)
  await sql.end()
  await screen.close()
})

test('a viewer can look and present, but change nothing', async ({ page }) => {
  await signIn(page, 'vera@velmoor.example')
  await expect(page.getByRole('heading', { name: 'Decks' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'New deck' })).toHaveCount(0)
  await page.goto('/decks/demo-briefing')
  await expect(title(page, 1)).toHaveAttribute('readonly', '')
  await goPhase(page, 'Compose')
  await expect(page.getByText('your role is viewer')).toBeVisible()
  // Past the interface, straight through the socket: refused as well.
  const answer = await page.evaluate(async () => {
    const socket = new WebSocket(`ws://${location.host}/live/demo-briefing`)
    socket.binaryType = 'arraybuffer'
    await new Promise(resolve => {
      socket.onopen = resolve
    })
    const told = new Promise<number>(resolve => {
      socket.onmessage = event => {
        const kind = new Uint8Array(event.data as ArrayBuffer)[0]!
        if (kind === 4 || kind === 2) resolve(kind)
      }
    })
    socket.send(new Uint8Array([1, 1, 2, 0, 0]))
    return await told
  })
  expect(answer).toBe(4)
})

test('a phase that cannot be fetched is said so, and comes when it is asked for again; one that is here opens without the server', async ({
  page,
}) => {
  let away = true
  // The file of Time, by words that stand in no other.
  await page.route(/\/_nuxt\/.*\.js$/, async route => {
    const response = await route.fetch({ maxRetries: 3 })
    if (away && (await response.text()).includes('Tap the beats')) await route.abort()
    else await route.fulfill({ response })
  })
  await signedIn(page)
  await newDeck(page, 'Half there', 'Talk')
  await page.getByRole('navigation', { name: 'Phases' }).getByRole('button', { name: 'Time' }).click()
  await expect(page.getByRole('alert')).toHaveText(/Time could not be fetched from the server/)
  await goPhase(page, 'Compose')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('alert')).toBeVisible()
  away = false
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('button', { name: 'Tap the beats' })).toBeVisible()
  // All are here by now.
  await page.route(/\/_nuxt\//, route => route.abort())
  for (const name of ['Outline', 'Check', 'Deliver', 'Time']) await goPhase(page, name)
})

test('what opens within a phase and cannot be fetched is said so, comes with the next press, and once all is here opens without the server', async ({
  page,
}) => {
  let away = true
  // The file of the starters, by words that stand in no other.
  await page.route(/\/_nuxt\/.*\.js$/, async route => {
    const response = await route.fetch({ maxRetries: 3 })
    if (away && (await response.text()).includes('Whole decks for what an office needs')) await route.abort()
    else await route.fulfill({ response })
  })
  await signedIn(page)
  await newDeck(page, 'Opened late', 'Talk')
  const starters = page.getByRole('button', { name: 'Starters' })
  await starters.click()
  await expect(page.getByText('This could not be fetched from the server.').first()).toBeVisible()
  away = false
  await starters.click()
  await expect(page.getByRole('dialog', { name: 'Starters' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.waitForLoadState('networkidle')
  await page.route(/\/_nuxt\//, route => route.abort())
  await page.getByRole('radio', { name: 'Overview' }).click()
  await expect(page.getByRole('region', { name: 'Overview' })).toBeVisible()
  await page.getByRole('button', { name: 'Talk', exact: true }).click()
  await expect(page.getByText('Who reads')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('?')
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible()
})
