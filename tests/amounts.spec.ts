import { expect, test, type Page } from '@playwright/test'
import { choose } from './support/choose'
import { goPhase, newDeck, saved, signedIn } from './support/people'
import { add, stage } from './support/stage'

const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
const routes = (quill: number) => `route,year,riders\nAstrel,2030,900\nAstrel,2031,1000\nQuill,2030,400\nQuill,2031,${quill}\n`

/** Uploads a table under Data, and opens a new deck in Compose. */
async function begin(page: Page, name: string, text: string) {
  await signedIn(page)
  await page.goto('/data')
  await page.getByTestId('data-files').setInputFiles(file(`${name}.csv`, text))
  await expect(page.getByRole('heading', { name, exact: true })).toBeVisible()
  await newDeck(page, `Told of ${name}`, 'Talk')
  await goPhase(page, 'Compose')
}
/** Writes into the title of the slide. */
async function write(page: Page, words: string) {
  await page.locator('[data-hit][aria-label^="Title"]').dblclick()
  await page.keyboard.press('ControlOrMeta+a')
  await page.keyboard.type(words)
}
const form = (page: Page) => page.locator('form.amount-form')

test('a number in a headline is the table’s, its sentence turns with it, and the next version is said at once', async ({ page }) => {
  await begin(page, 'Riders of two routes', routes(700))
  await write(page, 'Riders ')
  await page.getByRole('button', { name: 'Number of a table' }).click()
  await choose(form(page).getByLabel('Table', { exact: true }), 'Riders of two routes')
  await choose(form(page).getByLabel('What it says'), 'the change since the one before of')
  await choose(form(page).getByLabel('Written'), 'in words')
  await expect(form(page)).toContainText('Now: rose')
  await form(page).getByRole('button', { name: 'Put it in' }).click()
  await page.keyboard.type(' by ')
  await page.getByRole('button', { name: 'Number of a table' }).click()
  await choose(form(page).getByLabel('Table', { exact: true }), 'Riders of two routes')
  await choose(form(page).getByLabel('What it says'), 'the change since the one before, in %, of')
  await choose(form(page).getByLabel('Written'), 'without a sign')
  await form(page).getByRole('button', { name: 'Put it in' }).click()
  await page.keyboard.press('Escape')
  await expect(stage(page)).toContainText('Riders rose by 30.8 %')
  await saved(page)

  // The next version of the file: the same sentence, told anew.
  const url = page.url()
  await page.goto('/data')
  await page
    .getByRole('complementary', { name: 'Tables' })
    .getByRole('button', { name: /Riders of two routes/ })
    .click()
  await expect(page.getByRole('heading', { name: 'Riders of two routes', exact: true })).toBeVisible()
  await page.getByTestId('data-version').setInputFiles(file('next.csv', routes(170)))
  await expect(page.getByRole('region', { name: 'Versions' })).toContainText('2 is on air')
  await page.goto(url)
  await expect(stage(page)).toContainText('Riders fell by 10 %')
})

test('a number in a cell of a table is that of a table of data, goes with its cell, and is plain words when it is freed', async ({
  page,
}) => {
  await begin(page, 'Riders told in cells', routes(700))
  await page.keyboard.press('Escape')
  await add(page).getByRole('button', { name: 'Table', exact: true }).click()
  const editing = page.getByTestId('table-editing')
  await editing.getByLabel('Row 1, column 1').fill('Riders')
  await editing.getByLabel('Row 1, column 2').click()
  await editing.getByRole('button', { name: 'Number of a table' }).click()
  await choose(form(page).getByLabel('Table', { exact: true }), 'Riders told in cells')
  await choose(form(page).getByLabel('What it says'), 'the greatest of')
  await form(page).getByRole('button', { name: 'Put it in' }).click()
  await expect(editing.getByLabel('Row 1, column 2')).toHaveValue('1,000')
  // A row before it: the number goes down with its cell.
  await editing.getByLabel('Name of column 1').click()
  await editing.getByRole('button', { name: 'Row below' }).click()
  await expect(editing.getByLabel('Row 2, column 2')).toHaveValue('1,000')
  await editing.getByLabel('Row 2, column 2').click()
  await editing.getByRole('button', { name: 'Number of a table' }).click()
  await form(page).getByRole('button', { name: 'Keep as plain words' }).click()
  await editing.getByRole('button', { name: 'Number of a table' }).click()
  await expect(form(page).getByRole('button', { name: 'Put it in' })).toBeVisible()
  await page.keyboard.press('Escape')
  await saved(page)
})

test('a slide for each row: filled from it, ordered, played one after the other', async ({ page }) => {
  await begin(page, 'Quays by year', 'quay,opened,berths\nQuill,1998,6\nAstrel,2004,4\nHarrow,1987,9\n')
  await page.keyboard.press('Escape')
  const settings = page.getByRole('complementary', { name: 'Settings' })
  await choose(settings.getByLabel('For each row of'), 'Quays by year')
  await expect(settings).toContainText('3 slides when it plays: Quill, Astrel, Harrow.')
  await choose(settings.getByLabel('In the order of'), 'berths')
  await expect(settings).toContainText('3 slides when it plays: Harrow, Quill, Astrel.')
  // The length of the deck is that of all of them.
  await expect(page.getByRole('region', { name: 'Rundown' })).toContainText('3 slides')
  await write(page, 'Quay of ')
  await page.getByRole('button', { name: 'Number of a table' }).click()
  await expect(form(page).getByLabel('What it says')).toContainText('as its row has it:')
  await expect(form(page)).toContainText('Now: Harrow')
  await form(page).getByRole('button', { name: 'Put it in' }).click()
  await page.keyboard.press('Escape')
  await expect(stage(page)).toContainText('Quay of Harrow')
  await saved(page)

  const id = /decks\/([^/?]+)/.exec(page.url())![1]!
  await page.goto(`/present/${id}`)
  await expect(page.getByText('Quay of Harrow')).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText('Quay of Quill')).toBeVisible()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText('Quay of Astrel')).toBeVisible()

  // Each of them can be a file of its own.
  await page.goto(`/decks/${id}?phase=deliver`)
  const films = page.getByRole('region', { name: 'Film', exact: true })
  await choose(films.getByLabel('Format', { exact: true }), 'Still pictures by beat')
  await choose(films.getByLabel('Shorter side', { exact: true }), '360 px')
  await choose(films.getByLabel('Files', { exact: true }), 'one a row of slide 1')
  await films.getByRole('button', { name: 'Make 3 films' }).click()
  await expect(films.locator('[data-film]')).toHaveCount(3)
  for (const quay of ['Harrow', 'Quill', 'Astrel']) await expect(films.locator('[data-film]').filter({ hasText: quay })).toHaveCount(1)
  await expect(films.locator('[data-film=done]')).toHaveCount(3, { timeout: 120_000 })
})
