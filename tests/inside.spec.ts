import { expect, test, type Page } from '@playwright/test'
import { choose } from './support/choose'
import { goPhase, newDeck, saved, signedIn } from './support/people'
import { add, stage } from './support/stage'

const settings = (page: Page) => page.getByRole('complementary', { name: 'Settings' })
const chart = (page: Page) => page.locator('[data-hit][aria-label^="Chart"]')
const inside = (page: Page) => page.getByTestId('charting')
const amounts = (page: Page) => stage(page).locator('.chart-label[data-kind=value]')
const middle = async (of: ReturnType<Page['locator']>) => {
  const { x, y, width, height } = (await of.boundingBox())!
  return { x: x + width / 2, y: y + height / 2 }
}
async function drag(page: Page, of: ReturnType<Page['locator']>, by: { x: number; y: number }) {
  const from = await middle(of)
  await page.mouse.move(from.x, from.y)
  await page.mouse.down()
  await page.mouse.move(from.x + by.x / 2, from.y + by.y / 2)
  await page.mouse.move(from.x + by.x, from.y + by.y)
  await page.mouse.up()
}
/** A table that is typed here, as the team has it. */
const typed = (page: Page, name: string, rows: string[][]) =>
  page.request.post('/api/data/typed', { data: { name, grid: { header: ['stop', 'riders'], rows } } })
/** A slide with columns of a table. */
async function columnsOf(page: Page, table: string) {
  await newDeck(page, `Of ${table}`, 'Talk')
  await goPhase(page, 'Compose')
  await add(page).getByRole('button', { name: 'Chart', exact: true }).click()
  await choose(settings(page).getByLabel('Table', { exact: true }), table)
  await choose(settings(page).getByLabel('Kind of chart'), 'Columns')
  await expect(amounts(page).first()).toBeVisible()
}

test('inside a chart an amount is pulled and written, a name is written, a word is moved, and what is pressed is highlighted', async ({
  page,
}) => {
  await signedIn(page)
  await typed(page, 'Stops to pull', [
    ['Quill', '120'],
    ['Harrow', '70'],
    ['Low Sands', '40'],
  ])
  await columnsOf(page, 'Stops to pull')
  await chart(page).dblclick()
  await expect(inside(page)).toBeFocused()

  // Pulled up, it is more; what was there comes back by one press.
  await drag(page, inside(page).getByRole('slider', { name: 'Harrow' }), { x: 0, y: -40 })
  await expect(page.getByText(/^Harrow: 70 is \d+ now\.$/)).toBeVisible()
  await expect(amounts(page).filter({ hasText: /^70$/ })).toHaveCount(0)
  await page.getByRole('button', { name: 'Take it back' }).first().click()
  await expect(amounts(page).filter({ hasText: /^70$/ })).toBeVisible()

  // Written, with what stands behind it: the number is the table’s, the words are the chart’s.
  await inside(page).locator('[data-words="value Low Sands"]').dblclick()
  const field = page.getByRole('textbox', { name: 'Amount of Low Sands' })
  await expect(field).toBeFocused()
  await field.fill('55 a day')
  await field.press('Enter')
  await expect(amounts(page).filter({ hasText: /^55 a day$/ })).toBeVisible()
  await expect(amounts(page).filter({ hasText: /^120 a day$/ })).toBeVisible()

  await inside(page).locator('[data-words="name Quill"]').focus()
  await page.keyboard.press('Enter')
  await page.getByRole('textbox', { name: 'Name of Quill' }).fill('Quill Pier')
  await page.keyboard.press('Enter')
  await expect(stage(page).locator('.chart-label').filter({ hasText: 'Quill Pier' })).toBeVisible()

  // A word that is moved stands there, with a line to its column; Delete puts it back.
  const word = inside(page).locator('[data-words="value Harrow"]')
  const before = await middle(word)
  await drag(page, word, { x: 60, y: -50 })
  await expect(stage(page).locator('.chart-leader')).toHaveCount(1)
  expect((await middle(word)).x - before.x).toBeGreaterThan(50)
  await expect(settings(page)).toContainText('One label was moved by hand.')
  await word.focus()
  await page.keyboard.press('Delete')
  await expect(stage(page).locator('.chart-leader')).toHaveCount(0)
  expect(Math.abs((await middle(word)).x - before.x)).toBeLessThan(2)

  // A press on a column highlights it; the keys of the slide are not heard in here.
  const place = (await inside(page).boundingBox())!
  await page.mouse.click(place.x + place.width / 2, place.y + place.height * 0.8)
  await expect(settings(page)).toContainText('Highlighted beside: 1')
  await page.keyboard.press('Backspace')
  await expect(chart(page)).toHaveCount(1)
  await page.keyboard.press('Escape')
  await expect(inside(page)).toHaveCount(0)
  await saved(page)
})

test('rows are typed in beside the chart that draws them; parts come by what they amount to', async ({ page }) => {
  await signedIn(page)
  await typed(page, 'Stops beside', [
    ['Quill', '120'],
    ['Harrow', '70'],
  ])
  await columnsOf(page, 'Stops beside')
  await page.getByTestId('type-rows').click()
  const cell = page.getByRole('gridcell', { name: '70' })
  await cell.dblclick()
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('95')
  await page.keyboard.press('Enter')
  await expect(amounts(page).filter({ hasText: /^95$/ })).toBeVisible()
  await page.keyboard.press('Escape')

  await goPhase(page, 'Time')
  await page.getByRole('region', { name: 'Score' }).getByRole('button', { name: 'Motion for Chart' }).click()
  await page.getByRole('menuitem', { name: 'Entrance', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Grow', exact: true }).click()
  await choose(page.getByLabel('Parts', { exact: true }), 'column by column')
  await choose(page.getByLabel('Order of its parts'), 'the least first')
  await expect(page.getByText(/column by column every .*, the least first/)).toBeVisible()
})

test('a table follows the address of a service, and a deck stays at one of its versions', async ({ page }) => {
  await signedIn(page)
  await page.goto('/data')
  await page.getByTestId('follow-address').click()
  const address = page.getByRole('textbox', { name: 'Address' })
  await expect(address).toBeFocused()
  const stands = await address.inputValue()
  await address.fill('http://127.0.0.1:9/secrets.csv')
  await page.getByRole('button', { name: 'Follow it' }).click()
  await expect(page.getByRole('alert')).toContainText('Only addresses that begin with')
  await address.fill(`${stands}riders-today.csv`)
  await page.getByRole('button', { name: 'Follow it' }).click()
  await expect(page.getByRole('heading', { name: 'riders-today' })).toBeVisible()
  await expect(page.getByText('follows its address')).toBeVisible()
  // The stand-in counts anew every twenty seconds.
  await expect(page.getByRole('button', { name: /^Version 2,/ })).toBeVisible({ timeout: 80_000 })

  const of = new URL(page.url())
  await columnsOf(page, 'riders-today')
  const onAir = await amounts(page).allTextContents()
  await settings(page).getByLabel('Version of the table').click()
  await page.getByRole('option', { name: /^stays at 1,/ }).click()
  await expect(settings(page).getByLabel('Version of the table')).toContainText('stays at 1')
  await expect.poll(() => amounts(page).allTextContents()).not.toEqual(onAir)
  await saved(page)
  of.searchParams.set('view', 'used')
  // What was saved is put on disk a moment after.
  await expect(async () => {
    await page.goto(of.href)
    await expect(page.getByText('stays at version 1')).toBeVisible({ timeout: 2000 })
  }).toPass({ timeout: 30_000 })
})
