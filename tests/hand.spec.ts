import { expect, test, type Page } from '@playwright/test'
import { choose } from './support/choose'
import { signedIn, enter, goPhase, newDeck, paste, saved, slide } from './support/people'
import { addShape, at, blank, hit } from './support/stage'

const written = (page: Page) => page.locator('.say textarea.title')
const left = (page: Page) => page.getByLabel('Left', { exact: true })
/** A deck of three slides, in Compose, with the title of the first selected and its place in sight. */
async function titleSelected(page: Page, name: string) {
  await signedIn(page)
  await newDeck(page, name, 'Talk')
  await paste(page, '.say textarea.title', 'One\nTwo\nThree')
  await expect(written(page)).toHaveCount(3)
  await slide(page, 1).click()
  await goPhase(page, 'Compose')
  await page.getByRole('button', { name: 'Title, text' }).first().click()
  await page.getByRole('tab', { name: 'Place' }).click()
}

test('what opens a field puts the cursor in it: a new deck, a name, notes, what is looked for', async ({ page }) => {
  await enter(page)
  await page.getByRole('button', { name: 'New deck' }).click()
  await expect(page.getByLabel('Title')).toBeFocused()
  await page.keyboard.type('By hand')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'What you will say' })).toBeVisible()
  await page.getByRole('button', { name: 'What to do with slide 1' }).click()
  await page.getByRole('menuitem', { name: 'Write notes' }).click()
  await expect(page.getByLabel('Notes of slide 1')).toBeFocused()
  await page.keyboard.type('Say good morning')
  await expect(page.getByLabel('Notes of slide 1')).toHaveValue('Say good morning')
  await expect(written(page)).toHaveCount(1)
  await goPhase(page, 'Compose')
  await page.getByRole('button', { name: 'What to do with Title' }).click()
  await page.getByRole('menuitem', { name: 'Rename' }).click()
  await expect(page.getByLabel('Name of Title')).toBeFocused()
  await page.keyboard.type('Headline')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /^Headline/ }).first()).toBeVisible()
  await page.keyboard.press('Escape')
  await page.keyboard.press('/')
  await expect(page.getByRole('combobox', { name: 'Find' })).toBeFocused()
})

test('a menu or a list that is open has the keys to itself, and gives them back', async ({ page }) => {
  await titleSelected(page, 'Open things')
  const before = await left(page).inputValue()
  await page.getByLabel('Lined up with').click()
  await expect(page.getByRole('option', { name: 'its margins' })).toBeVisible()
  for (const key of ['ArrowDown', 'ArrowUp', 'Delete', 'g']) await page.keyboard.press(key)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('option')).toHaveCount(0)
  await expect(left(page)).toHaveValue(before)
  await page.getByRole('button', { name: 'What to do with Title' }).click()
  for (const key of ['ArrowDown', 'ArrowRight', 'Delete', 'b']) await page.keyboard.press(key)
  await page.keyboard.press('Escape')
  await expect(page.getByRole('menu')).toHaveCount(0)
  await expect(left(page)).toHaveValue(before)
  await page.getByRole('button', { name: 'Title, text' }).first().click()
  await page.keyboard.press('ArrowRight')
  await expect(left(page)).toHaveValue(String(Number(before) + 8))
  await choose(page.getByLabel('Lined up with'), 'its margins')
  await expect(page.getByLabel('Lined up with')).toHaveText('its margins')
})

test('a number is a sum, stepped by arrows, kept within its range, and what is none is said', async ({ page }) => {
  await titleSelected(page, 'Numbers')
  await left(page).fill('100+50')
  await left(page).press('Enter')
  await expect(left(page)).toHaveValue('150')
  await left(page).press('ArrowUp')
  await left(page).press('Shift+ArrowDown')
  await expect(left(page)).toHaveValue('141')
  await left(page).fill('200')
  await left(page).press('ArrowUp')
  await expect(left(page)).toHaveValue('201')
  const opacity = page.getByLabel('Opacity', { exact: true })
  await opacity.fill('2*80')
  await opacity.press('Enter')
  await expect(opacity).toHaveValue('100')
  await expect(page.getByText('Opacity can be 100 at most, so it is that, not 160.').first()).toBeVisible()
  await opacity.fill('much')
  await opacity.press('Enter')
  await expect(page.getByText(/Opacity takes a number or a sum/).first()).toBeVisible()
  await expect(opacity).toHaveValue('100')
})

test('Tab leaves a line of the outline, and Alt with the arrows takes it in and out', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Lines', 'Talk')
  await paste(page, '.say textarea.title', 'One\n  first\n  second\nTwo')
  await expect(written(page)).toHaveCount(2)
  await page.getByLabel('Slide 2', { exact: true }).click()
  await page.keyboard.press('Tab')
  await expect(page.getByLabel('Slide 2', { exact: true })).not.toBeFocused()
  await expect(written(page)).toHaveCount(2)
  await page.getByLabel('Slide 1, line 2').click()
  await page.keyboard.press('Alt+ArrowLeft')
  await expect(written(page)).toHaveCount(3)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(written(page)).toHaveCount(2)
  await saved(page)
})

test('one palette finds commands, settings, slides and words; the arrows choose, Enter goes there', async ({ page }) => {
  await signedIn(page)
  await page.goto('/decks/demo-briefing?phase=time')
  await expect(page.getByRole('region', { name: 'Score' })).toBeVisible()
  await page.keyboard.press('/')
  const find = page.getByRole('combobox', { name: 'Find' })
  await expect(find).toBeFocused()
  await page.keyboard.type('line height')
  await expect(page.locator('#found-rows li')).toHaveText(['Text styles'])
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/look=styles/)
  await page.keyboard.press('/')
  await page.keyboard.type('check')
  await expect(page.locator('#found-rows li').first()).toContainText('Go to Check')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/phase=check/)
  await page.keyboard.press('/')
  await page.keyboard.type('morning boat')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('Enter')
  await expect(slide(page, 4)).toHaveAttribute('aria-pressed', 'true')
  await page.keyboard.press('/')
  await page.keyboard.type('zzz')
  await expect(page.getByText('Nothing here is called so or says so.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(find).toBeHidden()
})

test('the tour shows the five phases, one after the other, and can be left', async ({ page }) => {
  await signedIn(page)
  await page.goto('/decks/demo-briefing?tour')
  const tour = page.getByRole('region', { name: 'The tour' })
  await expect(tour).toBeFocused()
  for (const phase of ['Compose', 'Time', 'Check', 'Deliver']) {
    await tour.getByRole('button', { name: 'Next' }).click()
    await expect(page.getByRole('navigation', { name: 'Phases' }).getByRole('button', { name: phase })).toHaveAttribute(
      'aria-current',
      'step',
    )
  }
  await tour.getByRole('button', { name: 'Begin' }).click()
  await expect(tour).toBeHidden()
  await expect(page).not.toHaveURL(/tour/)
  await page.keyboard.press('/')
  await page.keyboard.type('tour')
  await page.keyboard.press('Enter')
  await expect(tour).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(tour).toBeHidden()
})

test('the right button on a slide of the rundown says what can be done with it', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Right button', 'Talk')
  await paste(page, 'textarea.title', 'One\nTwo\nThree')
  await expect(slide(page, 3)).toBeVisible()
  // What closes takes no key more, however fast the next ones come.
  await slide(page, 2).click({ button: 'right' })
  await page.keyboard.press('Escape')
  await page.keyboard.press('/')
  await page.keyboard.type('tour')
  await expect(page.getByRole('combobox', { name: 'Find' })).toHaveValue('tour')
  await page.keyboard.press('Escape')
  await expect(slide(page, 3)).toHaveAttribute('aria-label', /Three/)
  await slide(page, 2).click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Later' }).click()
  await expect(slide(page, 3)).toHaveAttribute('aria-label', /Two/)
  await slide(page, 3).click({ button: 'right' })
  await page.getByRole('menuitem', { name: 'Skip in play' }).click()
  await expect(slide(page, 3)).toHaveCount(0)
})

test('what opens while a menu closes keeps the cursor, and every letter that follows', async ({ page }) => {
  await signedIn(page)
  await page.goto('/decks/demo-briefing?phase=time')
  await slide(page, 2).click()
  await expect(slide(page, 2)).toBeFocused()
  await slide(page, 2).click({ button: 'right' })
  await expect(page.getByRole('menuitem', { name: 'Skip in play' })).toBeVisible()
  // All within one task: the menu gives the focus back a task after it closed, when letters have been written already.
  await page.evaluate(async () => {
    const press = (key: string) =>
      (document.activeElement ?? document.body).dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
    const until = async (holds: () => boolean) => {
      for (let turn = 0; turn < 1000 && !holds(); turn++) await Promise.resolve()
    }
    press('Escape')
    await until(() => !document.querySelector('[role=menu]'))
    press('/')
    await until(() => !!document.querySelector('input[aria-label=Find]'))
    document.execCommand('insertText', false, 't')
  })
  await page.keyboard.type('our')
  await expect(page.getByRole('combobox', { name: 'Find' })).toHaveValue('tour')
})

test('two presses put the cursor where they were; Enter selects all; what is put twice stands beside itself', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Cursor', 'Talk')
  await goPhase(page, 'Compose')
  const add = page.getByRole('toolbar', { name: 'Add' })
  await add.getByRole('button', { name: 'Text', exact: true }).click()
  await page.keyboard.type('Low water at noon')
  await page.keyboard.press('Escape')
  const words = page.getByTestId('stage').locator('.stage-line', { hasText: 'Low water' }).first()
  const box = (await words.boundingBox())!
  await page.mouse.dblclick(box.x + 2, box.y + box.height / 2)
  await page.keyboard.type('Very ')
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('stage')).toContainText('Very Low water at noon')
  await page.keyboard.press('Enter')
  await page.keyboard.type('Tide')
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('stage')).not.toContainText('Low water')

  for (let count = 0; count < 2; count++) await add.getByRole('button', { name: 'Chart', exact: true }).click()
  const places = await page
    .locator('[data-hit]')
    .evaluateAll(hits => hits.filter(hit => hit.getAttribute('aria-label')!.includes('chart')).map(hit => hit.getBoundingClientRect().x))
  expect(places).toHaveLength(2)
  expect(Math.abs(places[0]! - places[1]!)).toBeGreaterThan(8)
})

test('a width that is written takes the height along where the proportions are kept; play leaves to where one was', async ({ page }) => {
  await signedIn(page)
  await page.goto('/decks/demo-seasons?phase=compose')
  await slide(page, 5).click()
  await page.locator('.hit[aria-label^="Picture"]').first().click()
  await page.getByRole('tab', { name: 'Place' }).click()
  const value = (label: string) => page.getByLabel(label, { exact: true }).inputValue().then(Number)
  const [width, height] = [await value('Width'), await value('Height')]
  await page.getByLabel('Width', { exact: true }).fill(String(width / 2))
  await page.keyboard.press('Enter')
  await expect.poll(() => value('Height')).toBe(Math.round(height / 2))
  await page.getByRole('button', { name: 'Width and height in proportion' }).click()
  await page.getByLabel('Width', { exact: true }).fill(String(width))
  await page.keyboard.press('Enter')
  await expect.poll(() => value('Width')).toBe(width)
  expect(await value('Height')).toBe(Math.round(height / 2))
  await page
    .getByTestId('saved')
    .getByText(/^Saved/)
    .waitFor()
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await page.getByRole('button', { name: 'Play from here' }).click()
  await expect(page.getByTestId('beat')).toHaveText(/:0$/)
  await page.keyboard.press('Escape')
  await expect(page).toHaveURL(/phase=compose/)
  await expect(slide(page, 5)).toHaveAttribute('aria-pressed', 'true')
})

test('forms say beside the field what is wrong with it, and put the cursor there', async ({ page }) => {
  await page.goto('/sign-in')
  await page.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(page.getByText('Write the e-mail address that you have here.')).toBeVisible()
  await expect(page.getByText('Write your password.')).toBeVisible()
  await expect(page.locator('#email')).toBeFocused()
  await page.keyboard.type('nobody at all')
  await page.keyboard.press('Enter')
  await expect(page.getByText('This is no e-mail address.')).toBeVisible()
  await signedIn(page)
  await page.goto('/screens')
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByText('A name is missing')).toBeVisible()
  await page.getByRole('button', { name: 'Add a screen' }).click()
  await page.getByRole('button', { name: 'Add it' }).click()
  await expect(page.getByRole('dialog').getByText('A name is missing')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.goto('/people')
  await page.getByLabel('E-mail').fill('no address')
  await page.getByRole('button', { name: 'Add to the team' }).click()
  await expect(page.getByText('That is no e-mail address')).toBeVisible()
})

test('every control says what it does when it is pointed at, with its keys; each desk has help, which the palette finds too', async ({
  page,
}) => {
  await signedIn(page)
  await page.goto('/decks/demo-seasons?phase=time')
  const time = page.getByRole('navigation', { name: 'Phases' }).getByRole('button', { name: 'Time' })
  await time.hover()
  const tip = page.locator('[data-slot=content]', { has: page.locator('[role=tooltip]') })
  await expect(tip).toContainText('When it happens')
  await expect(tip.locator('kbd').first()).toHaveText('Alt')
  await page.keyboard.press('Escape')
  await expect(tip).toHaveCount(0)
  await page.getByRole('button', { name: 'Help: Time' }).click()
  await expect(page.getByRole('dialog', { name: 'Time' })).toContainText('A slide happens in beats')
  await page.keyboard.press('Escape')
  await page.keyboard.press('/')
  await page.keyboard.type('clear space logo')
  await page.getByRole('option', { name: /Help: Logo and footer/ }).click()
  await expect(page.getByRole('dialog', { name: 'Logo and footer' })).toBeVisible()
  await page.keyboard.press('Escape')
  await page.goto('/media')
  await page.getByRole('button', { name: 'Help: Media' }).click()
  await expect(page.getByRole('dialog', { name: 'Media' })).toBeVisible()
})

test('the right button opens the menu of an element on the stage, and leaves fields to the browser', async ({ page }) => {
  await blank(page, 'Right on the stage')
  await addShape(page, 'rectangle', { left: 300, top: 200, width: 400, height: 300 })
  await addShape(page, 'ellipse', { left: 900, top: 200, width: 400, height: 300 })
  await page.mouse.click(...(await at(page, 500, 350)), { button: 'right' })
  await expect(page.getByRole('menuitem', { name: 'Write in it' })).toBeVisible()
  await page.getByRole('menuitem', { name: /^Duplicate/ }).click()
  await expect(hit(page, 'Rectangle')).toHaveCount(2)
  await page.mouse.click(...(await at(page, 1100, 350)), { button: 'right' })
  await page.getByRole('menuitem', { name: 'Write in it' }).click()
  await expect(page.locator('.editing [contenteditable=true]')).toBeFocused()
  await page.keyboard.type('Here')
  await page.mouse.click(...(await at(page, 1100, 350)), { button: 'right' })
  await expect(page.getByRole('menu')).toHaveCount(0)
  await page.keyboard.press('Escape')
  // Where there is nothing, no menu opens.
  await page.mouse.click(...(await at(page, 1700, 1000)), { button: 'right' })
  await expect(page.getByRole('menu')).toHaveCount(0)
})

test('arrows walk what stands in rows: decks, files, layouts, slides of the overview', async ({ page }) => {
  await titleSelected(page, 'Rows to walk')
  const { pathname } = new URL(page.url())
  const rows = {
    '/': 'a.open',
    '/media': '.tiles .tile',
    [`${pathname}?phase=outline`]: '.ways .way',
    [`${pathname}?phase=outline&view=overview`]: '.overview .card',
  }
  for (const [view, selector] of Object.entries(rows)) {
    await page.goto(view)
    const row = page.locator(selector)
    await expect(row.nth(2)).toBeVisible()
    await row.first().focus()
    for (const [key, to] of [
      ['ArrowRight', row.nth(1)],
      ['ArrowLeft', row.first()],
      ['End', row.last()],
      ['Home', row.first()],
    ] as const) {
      await page.keyboard.press(key)
      await expect(to, `${key} in ${view}`).toBeFocused()
    }
  }
  // A slide of the overview is chosen by Space, which plays elsewhere.
  await page.keyboard.press('Space')
  await expect(page.locator('.overview .card').first()).toHaveAttribute('aria-pressed', 'true')
})
