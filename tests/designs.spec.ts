import { expect, test } from '@playwright/test'
import { inStores } from './support/stores'
import { newDeck, paste, saved, signedIn, slide, toast } from './support/people'

const lines = `Spring timetable
Three things change on 2 April
  Astrel sails every hour
  Quill gains a late boat
  Low Sands waits for the bus
The year in figures
  318 k riders
  96.4 % of boats on time
  4 routes
Four years on the quay
  2024 second berth opens
  2027 night boat begins
  2029 shore power
Ask at the quay desk
  ferries@velmoor.example`

test('lines are pasted, three whole decks are designed, one is taken with a slide of another, and presented', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Spring timetable', 'Talk')
  await paste(page, '[data-at]', lines)
  await page.getByRole('button', { name: 'Design the whole deck' }).click()
  const decks = page.getByRole('region', { name: 'Whole decks' })
  await expect(decks.getByRole('heading', { name: 'Three decks from your 15 lines' })).toBeVisible()
  // The subject of the words is said, and the deck that suits it best comes first.
  await expect(decks.getByRole('heading').nth(2)).toHaveText('Soundings')
  await expect(decks.getByText('are about water')).toBeVisible()
  const cells = (row: number) => decks.locator(`[data-row="${row}"]`).locator('[aria-pressed]')
  for (const row of [0, 1, 2, 3, 4]) await expect(cells(row)).toHaveCount(3)
  await expect(decks.getByRole('status')).toContainText('to take it')
  for (const row of [0, 1, 2, 3, 4]) await expect(cells(row).first()).toHaveAttribute('aria-pressed', 'true')

  // The rundown shows the deck as it would be, and nothing of it is kept yet.
  await expect
    .poll(() => inStores(page, ({ deck }) => [deck.shown.theme.theme?.look?.name ?? null, deck.current.theme.theme?.look?.name ?? null]))
    .toEqual(['soundings', null])

  // Arrows walk, a number takes, Space shows the row large without taking anything.
  await cells(0).first().focus()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowRight')
  await expect(cells(1).nth(1)).toBeFocused()
  await page.keyboard.press(' ')
  await expect(page.getByRole('dialog', { name: 'Three things change on 2 April' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(cells(1).first()).toHaveAttribute('aria-pressed', 'true')
  await cells(3).nth(2).focus()
  await page.keyboard.press('2')
  await expect(cells(3).nth(1)).toHaveAttribute('aria-pressed', 'true')
  await expect(decks.getByRole('status')).toContainText('Colours, fonts and footer of Soundings')

  await decks.getByRole('button', { name: 'Take these 5' }).click()
  await expect(toast(page, /The deck stands in Soundings\./)).toBeVisible()
  const looks = () =>
    inStores(page, ({ deck }) => ({
      theme: deck.current.theme.theme?.look?.name,
      layouts: deck.slides.map(slide => deck.current.layouts[slide.layout]?.look ?? null),
    }))
  const before = await looks()
  expect(before.theme).toBe('soundings')
  expect(before.layouts.map(look => look !== null)).toEqual([false, false, false, true, false])
  await saved(page)

  // One step takes all of it back, and one step brings it again.
  await page.getByRole('button', { name: 'Undo' }).click()
  expect((await looks()).theme).toBeUndefined()
  await page.getByRole('button', { name: 'Redo' }).click()
  expect(await looks()).toEqual(before)

  await page.getByRole('button', { name: 'Play from here' }).click()
  await expect(page.locator('.stage-layer:not([aria-hidden]) .stage-slide').first()).toContainText('Spring timetable')
})

test('a layout that was chosen by hand stays in all three decks, until it may be proposed again', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'By hand', 'Talk')
  await paste(page, '[data-at]', lines)
  await slide(page, 2).click()
  await page.getByRole('region', { name: 'Ways to lay out' }).getByRole('button', { name: 'Rising steps' }).click()
  await page.getByRole('radio', { name: 'Whole decks' }).click()
  const row = page.getByRole('region', { name: 'Whole decks' }).locator('[data-row="1"]')
  await expect(row).toContainText('You chose this layout. It stays.')
  await expect(row.getByRole('button', { name: /^Rising steps, / })).toHaveCount(3)
  await row.getByRole('button', { name: 'Propose again' }).click()
  await expect(row).not.toContainText('You chose')
  await expect(row.getByRole('button', { name: /^Rising steps, / })).toHaveCount(0)
  await saved(page)
})

test('a viewer looks at whole decks and takes none', async ({ page }) => {
  await signedIn(page, 'Vera Holm')
  await page.goto('/decks/demo-briefing?view=designs')
  const decks = page.getByRole('region', { name: 'Whole decks' })
  await expect(decks.getByRole('button', { name: /^Take these/ })).toBeDisabled()
  await expect(decks.locator('[data-row="0"] [aria-pressed]').first()).toBeDisabled()
})

test('a picture that a new layout has no place for waits at the margin of the list, and is put on the slide by a press', async ({
  page,
}) => {
  await signedIn(page)
  const copy = await page.request.post('/api/decks/demo-briefing/copy')
  expect(copy.ok()).toBe(true)
  await page.goto(`/decks/${((await copy.json()) as { id: string }).id}`)
  await slide(page, 4).click()
  await page.getByRole('region', { name: 'Ways to lay out' }).getByRole('button', { name: 'List', exact: true }).click()
  const waits = page.getByRole('button', { name: /waits for a layout with a place for it/ })
  await expect(waits).toBeVisible()
  const shown = () =>
    inStores(
      page,
      ({ deck, where }) =>
        Object.values(deck.current.elements).filter(part => part.owner === where.slideId && part.kind === 'picture' && !part.hidden).length,
    )
  expect(await shown()).toBe(0)
  await waits.click()
  await expect(waits).toHaveCount(0)
  expect(await shown()).toBe(1)
})
