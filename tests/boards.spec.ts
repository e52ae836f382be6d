import { expect, test, type Page } from '@playwright/test'
import { goPhase, saved, slide } from './support/people'
import { applyToAll, motion, outlined as talk, playheadAt, scrubTo, timed, timeStage } from './support/score'
import { choose } from './support/choose'

const titles = ['Astrel at dawn', 'Quill by noon', 'Low Sands at dusk', 'Port Harrow by night']

/** How the camera looks at the slide that is shown: its scale and where its top left corner is. */
const camera = (page: Page) =>
  timeStage(page)
    .locator('.stage-layer:not([aria-hidden]) .stage-within')
    .evaluate(node => {
      const { a, b, e, f } = new DOMMatrix(getComputedStyle(node).transform)
      return { scale: Math.hypot(a, b), x: e, y: f }
    })
test('four slides become a board, its camera tours them, and its views become slides again', async ({ page }) => {
  await talk(page, 'Toured', titles)
  await page.getByRole('radio', { name: 'Overview' }).click()
  const card = (name: string) => page.getByRole('region', { name: 'Overview' }).getByRole('button', { name: new RegExp(name) })
  await card(titles[0]!).click()
  await card(titles[3]!).click({ modifiers: ['Shift'] })
  await page.getByRole('button', { name: 'Make a board of them' }).click()
  await expect(card(titles[0]!)).toBeVisible()
  await expect(card(titles[1]!)).toHaveCount(0)

  await goPhase(page, 'Time')
  const bar = (name: RegExp) => page.getByRole('button', { name })
  await expect(bar(/^To Quill by noon of the camera/)).toBeVisible()
  // It opens on the first view, as large as it was a slide.
  await slide(page, 1).click()
  await scrubTo(page, 2)
  await expect.poll(async () => (await camera(page)).scale).toBeCloseTo(1, 2)
  const start = await camera(page)

  // Under way from one view to the next it looks from farther off; it ends on the next, and stays.
  await bar(/^To Quill by noon of the camera/).click()
  await expect(page.getByRole('heading', { name: 'The camera goes to a view' })).toBeVisible()
  await expect(page.getByRole('meter', { name: 'How fast the picture goes' })).toHaveAttribute('aria-valuetext', /calm|brisk/)
  await playheadAt(page, /^To Quill by noon of the camera/, 0.5)
  await expect.poll(async () => (await camera(page)).scale).toBeLessThan(0.98)
  await playheadAt(page, /^To Quill by noon of the camera/, 1, 12)
  await expect.poll(async () => (await camera(page)).scale).toBeCloseTo(1, 2)
  expect((await camera(page)).x).toBeLessThan(start.x - 1000)

  // Asked for, it ends with all of the board; one press gives the whole tour.
  await page.getByRole('button', { name: 'and back to all' }).click()
  await expect(bar(/^To all of the board of the camera, beat 5/)).toBeVisible()
  // Too short a length is not believed: the picture must not rush.
  await bar(/^To all of the board of the camera/).click()
  await page.getByLabel('Duration').fill('0.1')
  await page.getByLabel('Duration').press('Enter')
  await expect(page.getByText('so that the picture does not rush by')).toBeVisible()

  // Compose shows the whole of it, with its views.
  await goPhase(page, 'Compose')
  const view = page.getByRole('button', { name: 'View 2, Quill by noon' })
  await expect(view).toBeVisible()
  await view.focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
  await page.getByLabel('Name of view 2').fill('Quill at midday')
  await page.getByLabel('Name of view 2').press('Enter')
  await expect(page.getByRole('button', { name: 'View 2, Quill at midday' })).toBeVisible()
  await page.getByRole('button', { name: 'Views into slides' }).click()
  for (const number of [1, 2, 3, 4]) await expect(slide(page, number)).toBeVisible()
  await saved(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(slide(page, 2)).toHaveCount(0)
})

test('a slide becomes a board by itself, with views around what is chosen', async ({ page }) => {
  await talk(page, 'Framed', ['Harbour'])
  await goPhase(page, 'Compose')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Make it a board' }).click()
  await expect(page.getByRole('button', { name: 'View 1, Start' })).toBeVisible()
  await page.getByRole('button', { name: 'Frame what is in sight' }).click()
  await expect(page.getByRole('button', { name: 'View 2, View 2' })).toBeVisible()
  await choose(page.getByLabel('Opens with'), '2 View 2')
  await page.getByRole('button', { name: 'Remove the view View 2' }).click()
  await expect(page.getByLabel('Opens with')).toHaveText('all of the board')
  await page.getByRole('button', { name: 'No board any more' }).click()
  await expect(page.getByRole('button', { name: 'Make it a board' })).toBeVisible()
})

test('words are written by a hand that follows their letters, for as long as they are', async ({ page }) => {
  await timed(page, 'Written', ['Boats'])
  await motion(page, 'Title', 'Entrance', 'Drawn by hand')
  const stage = timeStage(page)
  const seconds = () => page.getByLabel('Duration').inputValue().then(Number)
  // The outlines of five letters, the counters of o and a with them.
  await expect
    .poll(async () => {
      await scrubTo(page, 60)
      return await stage.locator('.stage-drawing-lines path').count()
    })
    .toBeGreaterThanOrEqual(5)
  await expect(page.getByText(/As long as its lines/)).toBeVisible()
  const taken = await seconds()
  await expect(stage.locator('.stage-nib path').first()).toBeAttached()
  const [nib, title] = [(await stage.locator('.stage-nib').boundingBox())!, (await stage.boundingBox())!]
  expect(nib.x).toBeGreaterThan(title.x)
  await page.getByLabel('In a second').fill('800')
  await page.getByLabel('In a second').press('Enter')
  await expect.poll(seconds).toBeGreaterThan(taken * 1.5)
  // Fixed to some seconds it stays that long; at its end only the words are left.
  await page.getByLabel('Duration').fill('2')
  await page.getByLabel('Duration').press('Enter')
  await expect(page.getByLabel('Timing', { exact: true })).toHaveText('the seconds below')
  await playheadAt(page, /^Drawn by hand of Title/, 1, 8)
  await expect(stage.locator('.stage-drawing')).toHaveCount(0)

  // The room’s window, opened by its address, knows how the words are written as well.
  await page.getByLabel('Duration').fill('30')
  await page.getByLabel('Duration').press('Enter')
  await saved(page)
  await page.goto(page.url().replace('/decks/', '/present/').replace(/\?.*/, ''))
  await expect.poll(() => page.locator('.stage-drawing-lines path').count()).toBeGreaterThanOrEqual(5)
})

test('a figure walks in and waves, and stands again as before', async ({ page }) => {
  await talk(page, 'Acting', ['Welcome'])
  await goPhase(page, 'Compose')
  await page
    .getByRole('toolbar', { name: 'Add' })
    .getByRole('button', { name: /Figure/ })
    .click()
  await page.locator('[data-pose="stand"]').click()
  await saved(page)
  await goPhase(page, 'Time')
  const name = (
    await page.getByRole('region', { name: 'Score' }).locator('.part .name', { hasText: 'figure' }).locator('span').first().innerText()
  ).trim()
  await motion(page, name, 'Acts', 'Waves')
  const arm = () => timeStage(page).locator('.stage-layer:not([aria-hidden]) .stage-figure path').last().getAttribute('d')
  await playheadAt(page, /^Waves of /, 1, 10)
  await page.waitForTimeout(300)
  const still = await arm()
  await playheadAt(page, /^Waves of /, 0.5)
  await expect.poll(arm).not.toBe(still)
  await playheadAt(page, /^Waves of /, 1, 10)
  await expect.poll(arm).toBe(still)
})

test('one effect is put on forty slides at once, and each of them has it', async ({ page }) => {
  await timed(
    page,
    'Forty',
    Array.from({ length: 40 }, (_, index) => `Sailing ${index + 1}`),
  )
  await slide(page, 1).click()
  await motion(page, 'Title', 'Entrance', 'Unfold')
  await applyToAll(page, 'Title')
  for (const number of [2, 21, 40]) {
    await slide(page, number).scrollIntoViewIfNeeded()
    await slide(page, number).click()
    await expect(page.getByRole('button', { name: /^Unfold of / }).first()).toBeVisible()
  }
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('button', { name: /^Unfold of / })).toHaveCount(0)
})
