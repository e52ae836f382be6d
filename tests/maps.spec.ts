import { expect, test, type Page } from '@playwright/test'
import { choose } from './support/choose'
import { enter, goPhase, signedIn } from './support/people'
import { stage } from './support/stage'

const square = (x: number, y: number) => [
  [x, y],
  [x + 1, y],
  [x + 1, y + 1],
  [x, y + 1],
  [x, y],
]
const parishes = ['Quillside', 'Fairholm', 'Bellwater', 'Saltmoor']
const map = JSON.stringify({
  type: 'FeatureCollection',
  // Wound as much that is older than the standard is.
  features: parishes.map((parish, at) => ({
    type: 'Feature',
    properties: { parish },
    geometry: { type: 'Polygon', coordinates: [at % 2 ? square(at, 44 + at).reverse() : square(at, 44 + at)] },
  })),
})
const cards = ['parish,cards', 'quillside,412', 'Fairholm,268', 'Bellwater,91', 'Saltmor,44'].join('\n')
const file = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
const tile = (page: Page, name: string) => page.locator('.tile').filter({ hasText: name })
const areas = (page: Page) => stage(page).locator('.chart-region')
const fills = (page: Page) => areas(page).evaluateAll(nodes => nodes.map(node => node.getAttribute('fill')))
/** How far from each other the left and the right end of an area are, px on the stage. */
const width = (page: Page, at: number) =>
  areas(page)
    .nth(at)
    .evaluate(node => (node as SVGGElement).getBoundingClientRect().width)

test('a map of one’s own lights up by value, says what is not on it, and the camera goes to one place', async ({ page }) => {
  await signedIn(page)
  await page.goto('/data')
  await page.getByTestId('data-files').setInputFiles(file('parishes of the bay.geojson', map))
  await expect(page.getByRole('columnheader').filter({ hasText: 'outline' })).toContainText('An outline on a map')
  await expect(page.locator('tr[aria-rowindex="2"] td').last()).toHaveText('area, 5 points')
  await page.getByTestId('data-files').setInputFiles(file('cards of the bay.csv', cards))
  await expect(page.getByRole('heading', { name: 'cards of the bay', exact: true })).toBeVisible()

  // Of all ways to draw it, those that show where.
  await page.keyboard.press('Alt+d')
  await page.getByRole('button', { name: 'place', exact: true }).click()
  await tile(page, 'Areas on a map').click()
  const panel = page.getByRole('complementary', { name: 'The drawing that is chosen' })
  await expect(panel).toContainText('3 of 4 places of “parishes of the bay”')
  await expect(panel).toContainText('“Saltmor” (is it Saltmoor?) is not on this map.')
  await page.getByRole('button', { name: 'Put it there' }).click()
  await page.waitForURL(/\/decks\//)
  await goPhase(page, 'Compose')

  // All land is one, and three parishes by what they have.
  await expect(areas(page)).toHaveCount(4)
  const colours = await fills(page)
  expect(new Set(colours).size).toBe(4)
  await page.locator('[data-hit][aria-label^="Chart"]').click()
  const settings = page.getByRole('complementary', { name: 'Settings' })
  await expect(settings).toContainText('“Saltmor” (is it Saltmoor?) is not on this map.')
  const before = await width(page, 1)
  await choose(settings.getByLabel('Camera on'), 'what is highlighted')
  await expect.poll(() => width(page, 1)).toBeGreaterThan(before * 1.5)
  await choose(settings.getByLabel('Camera on'), 'all of that')
  await choose(settings.getByLabel('Kind of chart'), 'Dots on a map')
  await expect(stage(page).locator('.chart-point')).toHaveCount(3)
})

test('countries are found in another language and drawn on the world', async ({ page }) => {
  await enter(page)
  await page.goto('/data')
  await page.getByTestId('data-files').setInputFiles(file('Ladung.csv', 'Land;Tonnen\nNorwegen;412\nSchweden;389\nIsland;61\n'))
  await expect(page.getByRole('heading', { name: 'Ladung', exact: true })).toBeVisible()
  await page.keyboard.press('Alt+d')
  await page.getByRole('button', { name: 'place', exact: true }).click()
  await expect(tile(page, 'Areas on a map')).toContainText('3 of 3 countries')
  await expect(tile(page, 'Areas on a map').locator('.chart-region')).toHaveCount(4)
})
