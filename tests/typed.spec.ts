import { expect, test } from '@playwright/test'
import { choose } from './support/choose'
import { goPhase, newDeck, saved, signedIn } from './support/people'
import { add, stage } from './support/stage'

test('a table is typed by keys, drawn, and changed where it stands: the chart has the new number', async ({ page }) => {
  await signedIn(page)
  await page.goto('/data')
  await page.getByRole('button', { name: 'Type a table' }).click()
  await page.getByLabel('Name of the table').fill('Riders by hand')
  await page.getByLabel('Name of the table').press('Enter')
  const grid = page.getByRole('grid', { name: /Cells of/ })
  await grid.focus()
  // One begins among the names of the columns.
  for (const line of [
    ['stop', 'riders'],
    ['Quill', '120'],
    ['Harrow', '70'],
  ]) {
    await page.keyboard.type(line[0]!)
    await page.keyboard.press('Tab')
    await page.keyboard.type(line[1]!)
    await page.keyboard.press('Enter')
    await page.keyboard.press('ArrowLeft')
  }
  await expect(page.getByRole('heading', { name: 'Riders by hand' })).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: 'Saved.' })).toBeVisible()
  await expect(page.getByRole('gridcell', { name: '120' })).toBeVisible()
  await expect(page.locator('thead')).toContainText('A number')

  await newDeck(page, 'Typed by hand', 'Talk')
  await goPhase(page, 'Compose')
  await add(page).getByRole('button', { name: 'Chart', exact: true }).click()
  const settings = page.getByRole('complementary', { name: 'Settings' })
  await choose(settings.getByLabel('Table', { exact: true }), 'Riders by hand')
  await choose(settings.getByLabel('Kind of chart'), 'Columns')
  await expect(stage(page).locator('.chart-label[data-kind=value]').filter({ hasText: '120' })).toBeVisible()
  await saved(page)
  const deck = page.url()

  await page.goto('/data')
  await page
    .getByRole('complementary', { name: 'Tables' })
    .getByRole('button', { name: /Riders by hand/ })
    .click()
  await page.getByRole('gridcell', { name: '120' }).dblclick()
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type('260')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('gridcell', { name: '260' })).toBeVisible()
  await page.keyboard.press('ControlOrMeta+z')
  await expect(page.getByRole('gridcell', { name: '120' })).toBeVisible()
  await page.keyboard.press('ControlOrMeta+y')
  await expect(page.getByRole('status').filter({ hasText: 'Saved.' })).toBeVisible()
  await page.goto(deck)
  await expect(stage(page).locator('.chart-label[data-kind=value]').filter({ hasText: '260' })).toBeVisible()
})
