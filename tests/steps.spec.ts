import { expect, test, type Page } from '@playwright/test'
import { choose } from './support/choose'
import { signedIn } from './support/people'

const bring = async (page: Page, name: string, text: string) => {
  await page.getByTestId('data-files').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await expect(page.getByRole('heading', { name: name.replace(/\.csv$/, ''), exact: true })).toBeVisible({ timeout: 120_000 })
}
const add = async (page: Page, words: string) => {
  await page.getByRole('button', { name: /^(Add a step|Begin a list of steps)$/ }).click()
  await page.getByLabel('Say which step').fill(words)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog', { name: 'Add a step' })).toBeHidden()
}
const step = (page: Page, number: number) => page.getByRole('group', { name: new RegExp(`^Step ${number}:`) })
const look = (page: Page) => page.getByRole('region', { name: 'Rows at the step that is chosen' })
const tables = (page: Page) => page.getByRole('complementary', { name: 'Tables' })

test('steps are said, changed in their sentences and mended; the table that they make follows its own, and is drawn', async ({ page }) => {
  await signedIn(page)
  await page.goto('/data')
  await bring(page, 'quays.csv', 'stop;month;riders\nQuill;2031-03;120\nQuill;2031-04;140\nMarsh;2031-03;40\nMarsh;2031-04;60')
  await page.keyboard.press('Alt+s')
  await expect(page.getByText('they make a table of their own', { exact: false })).toBeHidden()
  await add(page, 'sum of riders by stop')
  await expect(page.getByRole('heading', { name: 'quays, in steps' })).toBeVisible()
  await expect(step(page, 1)).toHaveAccessibleName('Step 1: Group by stop to the sum of riders')

  // A field of its sentence, then a formula with a slip of the pen.
  await step(page, 1).click({ position: { x: 4, y: 4 } })
  await choose(step(page, 1).getByLabel('Measure'), 'mean')
  await expect(look(page).getByRole('columnheader', { name: 'riders, mean' })).toBeVisible()
  await expect(look(page).getByRole('row', { name: 'Quill 130' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo “step 1”' }).click()
  await expect(look(page).getByRole('row', { name: 'Quill 260' })).toBeVisible()
  await add(page, 'formula')
  await page.getByLabel('Name of the new column').fill('part')
  await page.getByLabel('Name of the new column').press('Enter')
  await expect(step(page, 2)).toHaveAccessibleName(/^Step 2: Add part/)
  await page.getByLabel('Formula').fill('riders / totl(riders)')
  await page.getByLabel('Formula').press('Enter')
  await expect(step(page, 2).getByRole('alert')).toContainText('“totl” is not a function.')
  await expect(look(page).getByRole('heading')).toHaveText('Before step 2')
  await step(page, 2).getByRole('button', { name: 'Use total' }).click()
  await choose(step(page, 2).getByLabel('Shown as'), 'a percentage')
  await expect(look(page).getByRole('row', { name: 'Quill 260 72.22' })).toBeVisible()
  await expect(look(page)).toContainText('riders: 360, the same before and after')

  // By keys: the step is passed over, goes up, and is taken away.
  await look(page).click()
  await page.keyboard.press('x')
  await expect(step(page, 2)).toContainText('Passed over')
  await page.keyboard.press('x')
  await expect(step(page, 2)).not.toContainText('Passed over')
  await add(page, 'order by part')
  await expect(step(page, 3)).toBeVisible()
  await page.keyboard.press('Delete')
  await expect(step(page, 3)).toBeHidden()

  // What it is made of gets another version: it is made anew.
  await page.getByRole('button', { name: 'Go to it' }).click()
  await expect(page.getByRole('heading', { name: 'quays', exact: true })).toBeVisible()
  await page.keyboard.press('Alt+r')
  await page.getByTestId('data-version').setInputFiles({
    name: 'quays-may.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('stop;month;riders\nQuill;2031-03;120\nMarsh;2031-03;240'),
  })
  await expect(page.getByText('Version 2 is on air.').first()).toBeVisible()
  await tables(page)
    .getByRole('button', { name: /^quays, in steps/ })
    .click()
  await expect(page.getByRole('row', { name: '2 Marsh 240 66.67' })).toBeVisible()
  await page.keyboard.press('Alt+d')
  await expect(page.locator('.tile').first()).toBeVisible()
})

test('a step is pulled by its number to another place; rows are looked at in the order of a column, whose width is pulled', async ({
  page,
}) => {
  await signedIn(page)
  await page.goto('/data')
  await bring(page, 'piers.csv', 'pier;boats\nQuill;3\nAstrel;12\nMarsh;7')
  const rows = page.getByRole('group', { name: 'Rows of piers' })
  await rows.getByRole('columnheader').filter({ hasText: 'boats' }).hover()
  await rows.getByRole('button', { name: 'Order rows by boats' }).click()
  await page.getByRole('menuitem', { name: 'Greatest first' }).click()
  await expect(rows.locator('tbody tr')).toHaveText([/^2\s*Astrel\s*12$/, /^3\s*Marsh\s*7$/, /^1\s*Quill\s*3$/])
  const head = rows.getByRole('columnheader').filter({ hasText: 'boats' })
  await expect(head).toHaveAttribute('aria-sort', 'descending')
  const before = (await head.boundingBox())!.width
  const edge = rows.getByRole('separator', { name: 'Width of boats' })
  await edge.focus()
  for (let press = 0; press < 6; press++) await page.keyboard.press('ArrowRight')
  await expect.poll(async () => (await head.boundingBox())!.width).toBeGreaterThanOrEqual(before + 90)
  const wider = (await head.boundingBox())!.width
  await page.reload()
  await expect.poll(async () => (await head.boundingBox())!.width).toBeGreaterThanOrEqual(wider - 1)
  await expect(rows.locator('tbody tr').first()).toHaveText(/^1\s*Quill\s*3$/)

  await page.keyboard.press('Alt+s')
  await add(page, 'order by boats')
  await expect(step(page, 1)).toHaveAccessibleName(/^Step 1: Order rows by boats/)
  await add(page, 'top 2 by boats')
  await expect(step(page, 2)).toBeVisible()
  const name = (await step(page, 2).getAttribute('aria-label'))!.replace('Step 2: ', '')
  const numbers = page.locator('li .number')
  const [from, to] = [(await numbers.nth(1).boundingBox())!, (await numbers.nth(0).boundingBox())!]
  await page.mouse.move(from.x + 5, from.y + 5)
  await page.mouse.down()
  await page.mouse.move(to.x + 5, to.y + 5, { steps: 4 })
  await page.mouse.up()
  await expect(step(page, 1)).toHaveAccessibleName(`Step 1: ${name}`)
  await expect(page.getByRole('button', { name: 'Undo “move a step”' })).toBeVisible()
})

test('a table of a million rows is summed up by a step, and looked through', async ({ page }) => {
  test.setTimeout(300_000)
  const lines = Array.from({ length: 1_000_000 }, (_, row) => `stop ${row % 40};${2020 + (row % 12)};${row % 97}`)
  await signedIn(page)
  await page.goto('/data')
  await bring(page, 'million.csv', `stop;year;riders\n${lines.join('\n')}`)
  await page.keyboard.press('Alt+s')
  await expect(page.getByText('1,000,000').first()).toBeVisible({ timeout: 60_000 })
  await add(page, 'sum of riders by year')
  await expect(page.getByRole('heading', { name: 'million, in steps' })).toBeVisible({ timeout: 60_000 })
  await step(page, 1).click({ position: { x: 4, y: 4 } })
  await expect(look(page)).toContainText('1,000,000 → 12', { timeout: 60_000 })
  const total = lines.reduce((sum, line) => sum + Number(line.split(';')[2]), 0)
  await expect(look(page)).toContainText(`riders: ${total.toLocaleString('en')}, the same before and after`)
})

test('a viewer sees steps and changes none', async ({ page }) => {
  await signedIn(page, 'Vera Holm')
  await page.goto('/data')
  await tables(page)
    .getByRole('button', { name: /^Boardings by shore/ })
    .click()
  await page.keyboard.press('Alt+s')
  await expect(step(page, 1)).toHaveAccessibleName(/^Step 1: Keep rows where day/)
  await expect(step(page, 1).getByLabel('Test')).toBeDisabled()
  await expect(page.getByRole('button', { name: 'Add a step' })).toBeHidden()
})

test('a table tells where it is used, and a slide that draws it is a press away', async ({ page }) => {
  await signedIn(page)
  await page.goto('/data?table=demo-routes-by-season')
  await expect(page.getByRole('heading', { name: 'routes-by-season' })).toBeVisible()
  await page.keyboard.press('Alt+u')
  const slides = page.getByRole('region', { name: 'Slides that draw it' })
  await expect(slides.getByRole('link', { name: 'The race of the routes' })).toBeVisible()
  await slides.getByRole('link', { name: '2 Quill overtakes them all' }).click()
  await expect(page.getByTestId('stage')).toContainText('Quill overtakes them all')
})

test('a table of a page that is pasted is read as a file would be; words are told to be none', async ({ page }) => {
  await signedIn(page)
  await page.goto('/data')
  const paste = (type: string, words: string) =>
    page.evaluate(
      ([of, given]) => {
        const clipboardData = new DataTransfer()
        clipboardData.setData(of!, given!)
        document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true }))
      },
      [type, words],
    )
  await expect(tables(page).getByRole('button', { name: /^tides/ })).toBeVisible()
  await paste('text/plain', 'Only a sentence.')
  await expect(page.getByText('What was pasted is no table').first()).toBeVisible()
  const spanning = '<tr><th rowspan="2">item</th><th colspan="2">2031</th></tr><tr><th>planned</th><th>spent</th></tr>'
  const rows = '<tr><td>Crew</td><td>4,120</td><td>1,398</td></tr><tr><td>Piers</td><td>1,980</td><td>612</td></tr>'
  await paste('text/html', `<table><caption>Budget pasted</caption>${spanning}${rows}</table>`)
  await expect(page.getByRole('heading', { name: 'Budget pasted' })).toBeVisible()
  await expect(page.getByRole('columnheader').filter({ hasText: '2031 spent' })).toBeVisible()
  await expect(page.getByRole('row', { name: '2 Piers 1,980 612' })).toBeVisible()
})
