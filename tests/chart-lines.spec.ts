import { expect, test } from '@playwright/test'
import { enter, goPhase, newDeck, paste, saved } from './support/people'
import { hit, stage } from './support/stage'

test('lines with amounts become a chart that is linked with them both ways', async ({ page }) => {
  await enter(page)
  await newDeck(page, 'Lines drawn', 'Talk')
  await page.locator('[data-at]').first().click()
  await paste(page, '[data-at]', 'More people take the boat\n- 2029 52 %\n- 2030 61 %\n- 2031 64 %')
  await page.getByRole('button', { name: /^Chart of these lines/ }).click()
  await goPhase(page, 'Compose')

  // An amount that is pulled in the chart stands in its line.
  const chart = stage(page).locator('.stage-chart svg')
  await expect(chart).toHaveAttribute('aria-label', /64 %/)
  await hit(page, 'Chart').click()
  await page.getByTestId('in-chart').click()
  await page.getByRole('slider', { name: '2031' }).press('ArrowUp')
  const lines = page.getByLabel('The lines that it draws')
  await expect(lines).toHaveValue('2029 52 %\n2030 61 %\n2031 64.2 %')

  // A line that is written beside it is drawn; one without an amount is left out, and that is said.
  await lines.fill('2029 52 %\n2030 61 %\n2031 65 %\n2032 70 %\n2033 not known yet')
  await page.getByRole('heading', { name: 'Chart' }).click()
  await expect(chart).toHaveAttribute('aria-label', /70 %/)
  await expect(page.getByText('Left out: “2033 not known yet”: it says no amount')).toBeVisible()

  // The outline has it all, and what is typed there is drawn.
  await goPhase(page, 'Outline')
  const line = page.locator('[data-at$=":2"]').first()
  await expect(line).toHaveValue('2031 65 %')
  await line.fill('2031 90 %')
  await goPhase(page, 'Compose')
  await expect(chart).toHaveAttribute('aria-label', /90 %/)
  await saved(page)
})
