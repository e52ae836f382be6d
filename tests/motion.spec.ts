import { expect, test } from '@playwright/test'
import { choose } from './support/choose'
import { goPhase, paste, slide } from './support/people'
import { motion, timed } from './support/score'
import { addShape, at, blank, hit } from './support/stage'

test('motion goes to others after one is asked: seen before it is taken, kept for the team under a name, and the other way round', async ({
  page,
}) => {
  await timed(page, 'Motion at work', ['First', '\tOne line', 'Second', '\tAnother line', 'Third', '\tA last line'])
  await motion(page, 'Title', 'Entrance', 'Rise')
  await motion(page, 'Title', 'Apply motion…')
  const asked = page.getByRole('group', { name: 'Apply motion' })
  await expect(asked.getByRole('status')).toHaveText('There is no other element of its kind.')
  await expect(asked.getByRole('button', { name: 'Apply', exact: true })).toBeDisabled()
  await choose(asked.getByLabel('Onto', { exact: true }), 'others in the deck')
  await expect(asked.getByRole('status')).toHaveText('2 elements move so on 2 slides.')
  await asked.getByLabel('Name for the team').fill('Titles rise')
  await asked.getByRole('button', { name: 'Save motion' }).click()
  await expect(page.getByText('“Titles rise” is saved for the team.').first()).toBeVisible()
  await asked.getByRole('button', { name: 'Apply', exact: true }).click()
  await expect(asked).toHaveCount(0)
  await slide(page, 3).click()
  await expect(page.getByRole('button', { name: /^Rise of Title/ })).toBeVisible()

  // What has no motion of its own takes the team's; what is given up leaves nothing.
  const [list] = await page.getByRole('button', { name: /^Motion for (?!Title)/ }).all()
  await list!.click()
  await page.getByRole('menuitem', { name: 'Apply motion…' }).click()
  await expect(asked.getByLabel('Motion', { exact: true })).toHaveText('Titles rise')
  await choose(asked.getByLabel('Onto', { exact: true }), 'this element')
  await expect(page.getByRole('button', { name: /^Rise of/ })).toHaveCount(2)
  await page.keyboard.press('Escape')
  await expect(asked).toHaveCount(0)
  await expect(page.getByRole('button', { name: /^Rise of/ })).toHaveCount(1)

  await motion(page, 'Title', 'Apply motion…')
  await asked.getByLabel('reversed: goes as it came, last first').check()
  await choose(asked.getByLabel('Onto', { exact: true }), 'this element')
  await asked.getByRole('button', { name: 'Apply', exact: true }).click()
  await expect(page.getByRole('button', { name: /^Rise of Title/ })).toHaveCount(2)
  await motion(page, 'Title', 'Apply motion…')
  await choose(asked.getByLabel('Motion', { exact: true }), 'Titles rise')
  await asked.getByRole('button', { name: 'Remove this motion of the team' }).click()
  await expect(asked.getByLabel('Motion', { exact: true })).toHaveText('its own, 2 cues')
})

test('a shape holds words: two presses, and one writes in it; tabs and dashes that are pasted become levels there', async ({ page }) => {
  await blank(page, 'Words in shapes')
  await addShape(page, 'ellipse', { left: 300, top: 200, width: 600, height: 360 })
  await page.mouse.dblclick(...(await at(page, 600, 380)))
  await expect(page.locator('.editing [contenteditable=true]')).toBeFocused()
  await page.keyboard.type('Mind the')
  // A few words that are pasted go in as they are, with the blank before them.
  await paste(page, '.editing [contenteditable=true]', ' gap')
  await page.keyboard.press('Escape')
  const words = page.getByTestId('stage').locator('.stage-text')
  await expect(words).toContainText('Mind the gap')
  await expect(words.locator('svg.stage-shape path').first()).toBeVisible()
  // The words stand within the shape, in its middle.
  const [shape, line] = await Promise.all([hit(page, 'Ellipse').boundingBox(), words.locator('.stage-line').first().boundingBox()])
  expect(Math.abs(line!.y + line!.height / 2 - (shape!.y + shape!.height / 2))).toBeLessThan(4)
  expect(line!.x).toBeGreaterThan(shape!.x + shape!.width * 0.05)

  await page.mouse.dblclick(...(await at(page, 600, 380)))
  await page.keyboard.press('Control+a')
  await paste(page, '.editing [contenteditable=true]', 'Routes\n\tAstrel\n\t\tevery hour\n- Quill\n- Rake')
  await page.keyboard.press('Escape')
  await expect(words.locator('.stage-line')).toHaveCount(5)
  await expect(words.locator('.stage-bullet')).toHaveCount(4)
  await expect(words).not.toContainText('- Quill')
})

test('the levels of a page are those of the outline it is pasted into', async ({ page }) => {
  await timed(page, 'From a page', ['First', 'Last'])
  await goPhase(page, 'Outline')
  await page.locator('textarea.title').first().focus()
  await page.evaluate(() => {
    const data = new DataTransfer()
    data.setData('text/html', '<h2>Ferries</h2><ul><li>Astrel<ul><li>every hour</li></ul></li></ul><h2>Fares</h2>')
    data.setData('text/plain', 'Ferries\nAstrel\nevery hour\nFares')
    document.activeElement!.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
  })
  await expect(slide(page, 3)).toHaveAttribute('aria-label', /Fares/)
  await expect(page.getByLabel('Slide 2, line 1')).toHaveValue('Astrel')
  await expect(page.getByLabel('Slide 2, line 2')).toHaveValue('every hour')
})

test('a beat is named where its name stands, and several go round by its menu', async ({ page }) => {
  await timed(page, 'Named beats', ['First', '\tOne line'])
  await page.getByRole('button', { name: 'New beat' }).click()
  await page.getByRole('button', { name: 'Beat 1', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Name it' }).click()
  await expect(page.getByLabel('Name of beat 1')).toBeFocused()
  await page.keyboard.type('Fares')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Beat 1, Fares', exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Beat 1, Fares', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Loop beats 1 to 2' }).click()
  await expect(page.getByRole('button', { name: 'Loop beats 1 to 2' })).toHaveAttribute('aria-pressed', 'true')
})
