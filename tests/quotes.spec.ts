import { expect, test } from '@playwright/test'
import { enter, goPhase, newDeck, saved } from './support/people'
import { hit, stage } from './support/stage'

test('quotation marks that are typed become the language’s, in the outline and on the stage', async ({ page }) => {
  await enter(page)
  await newDeck(page, 'Marks', 'Talk')
  const title = page.locator('[data-at]').first()
  await title.fill('')
  await title.pressSequentially('The pilot says "not yet" and isn\'t sure of 27"')
  await expect(title).toHaveValue('The pilot says “not yet” and isn’t sure of 27"')

  await goPhase(page, 'Compose')
  await hit(page, 'Title').dblclick()
  const field = stage(page).getByRole('textbox')
  await field.press('ControlOrMeta+End')
  await field.pressSequentially(' or "now"')
  await expect(field).toHaveText('The pilot says “not yet” and isn’t sure of 27" or “now”')
  await page.keyboard.press('Escape')
  await saved(page)
})
