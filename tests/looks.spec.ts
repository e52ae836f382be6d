import { expect, test } from '@playwright/test'
import { newDeck, saved, signedIn } from './support/people'
import { stage } from './support/stage'

test('a look is seen before and after on every slide, put on, taken back, and kept', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Spring on the water', 'Talk')
  await page.goto(`${page.url().split('?')[0]}?phase=compose&look=looks`)
  const looks = page.getByRole('complementary', { name: 'Settings of the look' })
  const wall = page.getByRole('region', { name: 'All slides in this look' })
  await expect(looks.getByRole('button', { name: 'Soundings' })).toBeVisible()
  // Each look shows this deck’s own first slide.
  await expect(looks.getByRole('button', { name: 'Signpost' })).toContainText('Spring on the water')

  await looks.getByRole('button', { name: 'Soundings' }).click()
  await expect(wall).toContainText('Nothing is changed until it is put on.')
  await expect(wall.getByRole('button', { name: 'Slide 1' }).locator('.frame')).toHaveCount(2)
  await looks.getByRole('button', { name: 'Put Soundings on' }).click()
  await expect(wall).not.toContainText('Nothing is changed')
  await expect(looks.getByRole('button', { name: 'Soundings' })).toContainText('now')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(looks.getByRole('button', { name: 'House plain' })).toContainText('now')
  await page.getByRole('button', { name: 'Redo' }).click()
  await expect(looks.getByRole('button', { name: 'Soundings' })).toContainText('now')
  await saved(page)

  // On the stage the layers of its title lie beneath the words, as parts of the layout.
  await page.goto(`${page.url().split('?')[0]}?phase=compose`)
  await expect(stage(page)).toContainText('Spring on the water')
  await expect(stage(page).locator('[data-element^="layout-title-part"]')).toHaveCount(13)
})

test('a viewer sees how a deck would look, and puts nothing on', async ({ page }) => {
  await signedIn(page, 'Vera Holm')
  await page.goto('/decks/demo-review?phase=compose&look=looks')
  await page.getByRole('button', { name: 'Scissors' }).click()
  await expect(page.getByText('Nothing is changed until it is put on.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Put Scissors on' })).toBeDisabled()
})
