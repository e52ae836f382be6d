import { mkdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { expect, test, type Locator, type Page } from '@playwright/test'
import { choose } from './support/choose'
import { drop, goPhase, newDeck, saved, signedIn } from './support/people'
import { home } from './support/server'
import { add, stage } from './support/stage'

const years = Array.from({ length: 10 }, (_, at) => 2022 + at)
/** Quill passes Astrel in 2028; the night boat begins in 2025. */
const race = [
  'season,route,passengers',
  ...years.flatMap((year, at) => [
    `${year},Astrel,${34_000 + Math.min(at, 3) * 11_000}`,
    `${year},Quill,${24_000 + at * 8_200}`,
    ...(year < 2025 ? [] : [`${year},Night boat,${10_000 + (at - 3) * 6_000}`]),
  ]),
].join('\n')

const names = (page: Page) => stage(page).locator('.chart-label[data-kind=category]')
const moment = (page: Page) => stage(page).locator('.chart-label[data-kind=total]')
const state = (page: Page, number: number) => page.getByRole('button', { name: new RegExp(`^State ${number},`) })

async function chartOf(page: Page, title: string, table: string) {
  await signedIn(page)
  await newDeck(page, title, 'Talk')
  await goPhase(page, 'Compose')
  await add(page).getByRole('button', { name: 'Chart', exact: true }).click()
  await drop(page, '[data-hit][aria-label^="Chart"]', { name: 'routes.csv', type: 'text/csv', bytes: Buffer.from(table) })
}

/** Any year between the first and the last: a single one may pass between two looks. */
const underWay = /^20(2[3-9]|30)$/

test('a race through ten years: kept as two states, run on stage with ranks that pass, told in beats', async ({ page }) => {
  await chartOf(page, 'A race of routes', race)
  await choose(page.getByLabel('Kind of chart'), 'Bars')
  await choose(page.getByLabel('For each'), 'none')
  await choose(page.getByLabel('Across'), 'route')
  await choose(page.getByLabel('Runs through'), 'season')
  await choose(page.getByLabel('Order'), 'falling')
  await choose(page.getByLabel('Highlighted by itself'), 'what rose most')
  await expect(moment(page)).toHaveText('2031')
  await choose(page.getByLabel('The moment that it shows'), 'the first, 2022')
  await expect(moment(page)).toHaveText('2022')
  await expect(names(page)).toHaveText(['Astrel', 'Quill'])

  await page.getByTestId('tell-in-states').click()
  await page.getByTestId('keep-state').click()
  await expect(state(page, 2)).toHaveAttribute('aria-pressed', 'true')
  await choose(page.getByLabel('The moment that it shows'), 'the last, 2031')
  await expect(names(page)).toHaveText(['Quill', 'Astrel', 'Night boat'])
  await expect(page.locator('.states')).toContainText('runs')
  await expect(page.getByRole('complementary', { name: 'Settings' })).toContainText('2022 to 2031, 9 steps')

  // The first is as it was; by keys one goes on, and plays the way.
  await state(page, 2).click()
  await page.keyboard.press('[')
  await expect(names(page)).toHaveText(['Astrel', 'Quill'])
  await page.keyboard.press(']')
  await page.getByTestId('play-states').click()
  await expect(moment(page)).toHaveText(underWay)
  await page.getByTestId('play-states').click()
  await expect(moment(page)).toHaveText('2031')
  await saved(page)

  // On stage it stands in 2022, and one press lets it run.
  await page.keyboard.press('[')
  await page.reload()
  await page
    .getByRole('button', { name: /^Slide 1,/ })
    .first()
    .click()
  await page.keyboard.press('Home')
  const deck = page.url().match(/decks\/([^?]+)/)![1]!
  await page.goto(`/present/${deck}`)
  const shown = page.locator('.chart-label[data-kind=total]').first()
  await expect(shown).toHaveText('2022')
  await page.keyboard.press('ArrowRight')
  await expect(shown).toHaveText(underWay)
  await expect(shown).toHaveText('2031', { timeout: 15_000 })
  await expect(page.locator('.chart-label[data-kind=category]').first()).toHaveText('Quill')
  // So it is told to those who do not see it.
  await expect(page.locator('.stage-chart svg').first()).toHaveAttribute('aria-label', /^2031: Bar chart of passengers by route, 3 bars/)
})

test('columns become a ring with its total and shares, and new rows tell the same story', async ({ page }) => {
  const journeys = (work: number) => ['why,journeys', `Work,${work}`, 'School,60500', 'Visits,54100', 'Leisure,44600'].join('\n')
  await chartOf(page, 'Why people cross', journeys(130_500))
  await choose(page.getByLabel('Kind of chart'), 'Columns')
  await choose(page.getByLabel('Highlighted by itself'), 'the greatest')
  await page.getByTestId('tell-in-states').click()
  await page.getByTestId('keep-state').click()
  await choose(page.getByLabel('Kind of chart'), 'Ring')
  await expect(stage(page).locator('.chart-label[data-kind=total]')).toHaveText('290k')
  await expect(stage(page).locator('.chart-label', { hasText: 'Work' })).toHaveText('45 %  Work')
  await expect(page.locator('.states')).toContainText('turns')

  // In the next month school is the greatest: both states find it by themselves.
  await drop(page, '[data-hit][aria-label^="Chart"]', { name: 'next.csv', type: 'text/csv', bytes: Buffer.from(journeys(20_000)) })
  await expect(stage(page).locator('.chart-label', { hasText: 'School' })).toHaveText('34 %  School')
  await state(page, 1).click()
  await expect(stage(page).locator('.chart-label', { hasText: 'School' })).toHaveAttribute('font-weight', '700')
  await page.getByRole('button', { name: 'What is done with state 2' }).click()
  await page.getByRole('menuitem', { name: 'Remove it' }).click()
  await expect(state(page, 2)).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(state(page, 2)).toHaveCount(1)
  await saved(page)
})

test('a monthly file saved anew in the watched folder moves the chart on the stage and on a screen', async ({ page, browser }) => {
  const folder = path.join(home, 'tables')
  mkdirSync(folder, { recursive: true })
  const save = (june: number, head = 'month') =>
    writeFileSync(path.join(folder, 'Riders by month.csv'), [`${head},riders`, 'April,120', 'May,180', `June,${june}`].join('\n'))
  save(150)
  await signedIn(page)
  await page.goto('/data')
  await page.getByRole('button', { name: /^Riders by month/ }).click()
  const table = page.getByRole('region', { name: 'Riders by month' })
  await expect(table).toContainText('follows its file')
  await table.getByRole('radio', { name: 'Draw it' }).click()
  await page.locator('.tile', { has: page.getByText('Columns', { exact: true }) }).click()
  await page.getByRole('complementary', { name: 'The drawing that is chosen' }).getByRole('button', { name: 'Put it there' }).click()
  const amounts = (of: Page | Locator) => of.locator('.chart-label[data-kind=value]')
  await expect(amounts(stage(page))).toHaveText(['120', '180', '150'])
  await saved(page)

  await goPhase(page, 'Deliver')
  await choose(page.getByLabel('Loop'), 'Sea and slow loop')
  await page.getByRole('button', { name: 'Publish to this loop' }).click()
  await expect(page.getByText('plays in “Sea and slow loop”').first()).toBeVisible()
  const deck = page.url().match(/decks\/([^?]+)/)![1]!
  expect((await page.request.put('/api/loops/loop-quiet/items', { data: { items: [{ deck }] } })).ok()).toBe(true)
  await goPhase(page, 'Compose')
  const list = await page.context().newPage()
  await list.goto('/screens')
  const address = (await list.locator('[data-screen=screen-cafe] a').getAttribute('href'))!
  const wall = await browser.newPage()
  await wall.goto(address)
  await expect(amounts(wall).filter({ hasText: /^150$/ }).first()).toBeAttached({ timeout: 60_000 })

  save(300)
  await expect(amounts(stage(page))).toHaveText(['120', '180', '300'])
  await expect(amounts(wall).filter({ hasText: /^300$/ }).first()).toBeAttached({ timeout: 60_000 })

  // A file that breaks the chart leaves it as it is; Data says what is held, and why.
  save(900, 'when')
  await list.goto('/data')
  await expect(list.getByRole('button', { name: /^Riders by month/ })).toContainText('1 held')
  await expect(amounts(stage(page))).toHaveText(['120', '180', '300'])
  await wall.close()
})

test('a table drops into an outline: slides, states and headlines of its own rows, in a deck', async ({ page }) => {
  await signedIn(page)
  await page.goto('/data')
  await page.getByTestId('data-files').setInputFiles({ name: 'Routes told.csv', mimeType: 'text/csv', buffer: Buffer.from(race) })
  const table = page.getByRole('region', { name: 'Routes told' })
  await table.getByRole('radio', { name: 'Tell it' }).click()
  const tiles = page.locator('.tile')
  await expect(tiles.first()).toContainText('A race through time')
  const panel = page.getByRole('complementary', { name: 'The story that is chosen' })
  await expect(panel).toContainText('Quill passed Astrel in 2028')
  await expect(panel).toContainText('runs, 9.9 s')
  await expect(page.locator('.lacking')).toContainText('A year in months: needs a column of months or quarters.')
  await tiles.filter({ hasText: 'From the whole to one part' }).click()
  await expect(panel).toContainText('turns')
  await tiles.first().click()
  await panel.getByRole('button', { name: 'Put it there' }).click()

  await expect(stage(page)).toContainText('Quill passed Astrel in 2028')
  await page.locator('[data-hit][aria-label^="Chart"]').first().click()
  await expect(page.getByRole('button', { name: /^State \d+,/ })).toHaveCount(4)
  await expect(page.getByRole('region', { name: 'Rundown' }).getByRole('button', { name: /What the figures say/ })).toHaveCount(1)
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('region', { name: 'Rundown' }).getByRole('button', { name: /^Slide \d+,/ })).toHaveCount(1)
})
