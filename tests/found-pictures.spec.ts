import { expect, test, type Page } from '@playwright/test'
import { inStores } from './support/stores'
import { goPhase, newDeck, paste, saved, signedIn, toast } from './support/people'

const lines = `The night ferry begins
  Port Harrow keeps its lights on
Who is there on the day
  Ines Rahm, harbour office
  Tomas Brandt, second ramp
  Mara Ole, night boat`

const pictures = (page: Page) =>
  inStores(page, ({ deck, where }) =>
    Object.values(deck.current.elements).flatMap(element =>
      element.kind === 'picture' && element.owner === where.slideId ? [{ media: element.media ?? null, proposed: !!element.proposed }] : [],
    ),
  )

test('pictures of the team come to the words beside their places, and are kept, changed or cleared in a press', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Night ferry', 'Talk')
  await paste(page, '[data-at]', lines)
  await expect(page.getByLabel('Slide 2, line 3')).toHaveValue('Mara Ole, night boat')
  await goPhase(page, 'Compose')
  await page.getByText('Who is there on the day').first().click()
  // Of those who are named two have portraits; the third shows her initials.
  const bars = page.getByRole('group', { name: /^Proposed picture/ })
  await expect(bars).toHaveCount(2)
  await expect(page.getByTestId('stage').getByText('MO', { exact: true })).toBeVisible()
  await bars.first().getByRole('button', { name: 'Keep this picture' }).click()
  await expect(bars).toHaveCount(1)
  await bars.first().getByRole('button', { name: 'Clear this picture' }).click()
  await expect(bars).toHaveCount(0)
  await expect(page.getByTestId('stage').getByText('TB', { exact: true })).toBeVisible()
  expect((await pictures(page)).map(({ media, proposed }) => [media !== null, proposed])).toEqual([
    [true, false],
    [false, false],
    [false, false],
  ])

  // A layout with a picture proposes one as it is chosen; another one comes by a press, and one step takes each back.
  await goPhase(page, 'Outline')
  await page.getByLabel('Slide 1', { exact: true }).click()
  await page.getByLabel('What the slide is for').fill('picture whole')
  await page.getByText('Title on a picture').first().click()
  await goPhase(page, 'Compose')
  await expect(bars).toHaveCount(1)
  const [first] = await pictures(page)
  await bars.getByRole('button', { name: 'Propose another picture' }).click()
  await expect.poll(async () => (await pictures(page))[0]?.media).not.toBe(first!.media)
  await page.keyboard.press('ControlOrMeta+z')
  await expect.poll(async () => (await pictures(page))[0]?.media).toBe(first!.media)
  // One that is cleared leaves no hole: its place closes up, and comes back with it.
  await bars.getByRole('button', { name: 'Clear this picture' }).click()
  await expect(toast(page, /Its place is closed up with it/)).toBeVisible()
  expect(await pictures(page)).toEqual([])
  await page.keyboard.press('ControlOrMeta+z')
  await expect(bars).toHaveCount(1)

  // Check names what nobody has kept; there too it is kept.
  await goPhase(page, 'Check')
  const told = page.getByText('shows a picture that was proposed for its words')
  await expect(told).toHaveCount(1)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(told).toHaveCount(0)
  await saved(page)
  await page.reload()
  await goPhase(page, 'Compose')
  await expect(page.getByTestId('stage').locator('img')).toHaveCount(1)
  await expect(bars).toHaveCount(0)
})
