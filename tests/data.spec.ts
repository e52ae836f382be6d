import { readFileSync } from 'node:fs'
import { utils, write } from '@e965/xlsx'
import { expect, test, type Page } from '@playwright/test'
import { drop, enter, goPhase, newDeck, saved, signedIn, slide } from './support/people'
import { choose } from './support/choose'
import { stage } from './support/stage'

const messy = [
  'Boardings by stop;;;',
  'stop;first sailing;takings;boardings',
  'Quill Quay;03/04/2031;1.240,50 €;2 010',
  'Harrow Town;05/06/2031;(560,00 €);1 655',
  'Low Sands;11/04/2031;..;812',
  'Total;;680,50 €;4 477',
].join('\n')
const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
const entries = (page: Page) => page.getByRole('complementary', { name: 'Tables' })
const column = (page: Page, name: string) => page.getByRole('columnheader').filter({ hasText: name })
const cells = (page: Page, row: number) => page.locator(`tr[aria-rowindex="${row + 1}"] td`)
const bring = async (page: Page, name: string, text: string) => {
  await page.getByTestId('data-files').setInputFiles(file(name, text))
  await expect(page.getByRole('heading', { name: name.replace(/\.csv$/, ''), exact: true })).toBeVisible()
}

test('a messy table is read as it stands, and every guess is changed in one press', async ({ page }) => {
  await enter(page)
  await page.getByRole('navigation', { name: 'Rooms' }).getByRole('link', { name: 'Data' }).click()
  await expect(entries(page).getByRole('button', { name: /boardings-2031/ })).toContainText('a question')
  await bring(page, 'messy.csv', messy)
  const notes = page.getByRole('list', { name: 'What was done to the whole table' })
  await expect(notes).toContainText('“Total” in row 6 agrees with the sum and is never drawn.')
  await expect(notes).toContainText('One line above the header is a title.')
  await expect(cells(page, 1)).toHaveText(['Quill Quay', '03/04/2031', '1,240.50', '2,010'])
  await expect(cells(page, 2).nth(2)).toHaveText('−560.00')
  await expect(cells(page, 3).nth(2)).toHaveText('missing')
  await expect(page.locator('tfoot')).toContainText('680.50 agrees')

  // What was done to all of it, and back.
  await notes.getByRole('button', { name: 'It is zero' }).click()
  await expect(cells(page, 3).nth(2)).toHaveText('0.00')
  await page.getByRole('button', { name: 'Undo “It is zero”' }).click()
  await expect(cells(page, 3).nth(2)).toHaveText('missing')

  // A column, by its words and a figure.
  await page.getByRole('button', { name: /How takings is read: Money in euros/ }).click()
  await expect(page.getByRole('radio', { name: /Money, comma is the decimal/ })).toContainText('2 of 2')
  await page.getByRole('radio', { name: /Money, comma is the decimal/ }).press('3')
  await expect(column(page, 'takings')).toContainText('Text')
  await expect(cells(page, 1).nth(2)).toHaveText('1.240,50 €')
  await page.getByRole('button', { name: /How takings is read: Text/ }).click()
  await page.getByRole('button', { name: 'Back to the guess' }).click()
  await expect(cells(page, 1).nth(2)).toHaveText('1,240.50')
})

test('a question that is open is answered by one press; the next version is read so, and one that would break it is held', async ({
  page,
}) => {
  await signedIn(page)
  await page.goto('/data')
  await bring(page, 'sailings by day.csv', messy)
  const entry = entries(page).getByRole('button', { name: /sailings by day/ })
  await expect(entry).toContainText('a question')
  await page.keyboard.press('q')
  const answer = column(page, 'first sailing').getByRole('button', { name: '3 April' })
  await expect(answer).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(cells(page, 1).nth(1)).toHaveText('3 Apr 2031')
  await expect(entry).not.toContainText('a question')

  const versions = page.getByRole('region', { name: 'Versions' })
  await page.getByTestId('data-version').setInputFiles(file('next.csv', messy.replaceAll('03/04/2031', '07/08/2031')))
  await expect(versions).toContainText('2 is on air')
  await expect(cells(page, 1).nth(1)).toHaveText('7 Aug 2031')

  await page.getByTestId('data-version').setInputFiles(file('broken.csv', messy.replace('takings', 'income')))
  await expect(page.getByText('Version 3 is held: The column “takings” is gone. Version 2 stays on air.').first()).toBeVisible()
  await expect(versions).toContainText('2 is on air')
  await versions.getByRole('button', { name: /Version 3.*held/ }).click()
  await expect(column(page, 'income')).toBeVisible()
  await expect(versions).toContainText('3 rows as before')
  await versions.getByRole('button', { name: 'Put version 3 on air' }).click()
  await expect(versions).toContainText('3 is on air')
  await versions.getByRole('button', { name: /Version 1/ }).click()
  await expect(page).toHaveURL(/version=1/)
  await expect(column(page, 'takings')).toBeVisible()
})

test('a chart draws a dropped table as Data has it, says what is open, and follows once it is answered', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Drawn of data', 'Talk')
  await goPhase(page, 'Compose')
  await page.getByRole('toolbar', { name: 'Add' }).getByRole('button', { name: 'Chart', exact: true }).click()
  const table = 'day,riders\n03/04/2031,12\n05/06/2031,9\n11/04/2031,7'
  await drop(page, '[data-hit][aria-label^="Chart"]', { name: 'by day.csv', type: 'text/csv', bytes: Buffer.from(table) })
  await expect(page.getByText('One column of it can be read in two ways.').first()).toBeVisible()
  await expect(stage(page)).toContainText('“day” can be read in two ways.')
  await saved(page)
  const deck = page.url()
  await page.getByRole('button', { name: 'Say which' }).first().click()
  await column(page, 'day').getByRole('button', { name: '4 March' }).click()
  await expect(cells(page, 1).nth(0)).toHaveText('4 Mar 2031')
  await page.goto(deck)
  await expect(stage(page).locator('.chart-bar')).toHaveCount(3)
  await expect(stage(page)).toContainText('Mar 4, 2031')
})

test('a file of thousands of rows is read, and its rows come as one scrolls to them', async ({ page }) => {
  await signedIn(page)
  await page.goto('/data')
  const rows = Array.from({ length: 20_000 }, (_, row) => `Stop ${row};${row},5`)
  await bring(page, 'many rows.csv', ['stop;riders', ...rows].join('\n'))
  await expect(cells(page, 1)).toHaveText(['Stop 0', '0.5'])
  await page.getByLabel('Rows of many rows').evaluate(place => place.scrollTo({ top: place.scrollHeight }))
  await expect(cells(page, 20_000)).toHaveText(['Stop 19999', '19,999.5'])
})

test('bad files get one sentence, and a viewer changes nothing', async ({ page, browser }) => {
  await signedIn(page)
  await page.goto('/data')
  for (const [name, text, words] of [
    ['empty.csv', '', /“empty\.csv” holds nothing/],
    ['header.csv', 'stop,riders\n', /“header\.csv” holds no rows under its header/],
    ['wide.csv', Array.from({ length: 3000 }, (_, index) => `c${index}`).join(','), /has 3000 columns; at most 500/],
    ['quote.csv', 'a,b\n"x,1\ny,2', /quotation mark that is never closed/],
  ] as const) {
    await page.getByTestId('data-files').setInputFiles(file(name, text))
    await expect(page.getByText(words).first()).toBeVisible()
  }
  const elsewhere = await browser.newContext()
  const viewer = await elsewhere.newPage()
  await signedIn(viewer, 'Vera Holm')
  await viewer.goto('/data?table=demo-boardings')
  await expect(column(viewer, 'takings')).toContainText('Money in euros')
  await expect(viewer.getByRole('button', { name: 'Upload a table' })).toHaveCount(0)
  await expect(viewer.getByRole('button', { name: /How takings is read/ })).toHaveCount(0)
  expect((await viewer.request.patch('/api/data/demo-boardings', { data: { name: 'Mine' } })).status()).toBe(403)
  expect((await viewer.request.delete('/api/data/demo-boardings')).status()).toBe(403)
  expect((await viewer.request.get('/api/data/none')).status()).toBe(404)
  await elsewhere.close()
})

test('a table is drawn in every kind that suits it, a fact becomes a headline, and what is chosen goes onto a slide', async ({ page }) => {
  await signedIn(page)
  await page.goto('/data')
  const years = [2028, 2029, 2030, 2031].flatMap((year, at) => [`${year};Quill;${60 + at * 12}`, `${year};Astrel;${70 - at * 2}`])
  await bring(page, 'crossings drawn.csv', ['season;route;passengers', ...years].join('\n'))
  await page.getByRole('radio', { name: 'Draw it' }).click()
  const tiles = page.locator('.tile')
  const tile = (name: string) => tiles.filter({ has: page.getByText(name, { exact: true }) })
  await expect(tiles.first()).toContainText('Lines')
  await expect(tiles.first().locator('.chart-line')).toHaveCount(2)

  // Another question orders them anew; a column that is taken out leaves one line.
  await page.getByRole('group', { name: 'To show' }).getByRole('button', { name: 'share' }).click()
  await expect(tiles.first()).toContainText(/Stacked columns|Areas/)
  await page.getByRole('group', { name: 'To show' }).getByRole('button', { name: 'share' }).click()
  await choose(page.getByLabel('For each'), 'none')
  await expect(tile('Lines').locator('.chart-point')).toHaveCount(4)
  await page.getByRole('button', { name: 'route', exact: true }).click()
  await expect(tiles.first().locator('.chart-line')).toHaveCount(2)

  const panel = page.getByRole('complementary', { name: 'The drawing that is chosen' })
  await panel.getByRole('button', { name: 'Take: Quill passed Astrel in 2029.' }).click()
  await expect(panel).toContainText('Its headline: “Quill passed Astrel in 2029”')
  await tiles.first().press('ArrowRight')
  await expect(tiles.nth(1)).toBeFocused()
  await tile('First against last').click()
  await panel.getByRole('button', { name: 'Put it there' }).click()
  await expect(stage(page)).toContainText('Quill passed Astrel in 2029')
  await expect(stage(page).locator('.chart-line')).toHaveCount(2)
  await saved(page)
  // A new deck opens with its title; the chart is on the slide after it.
  await page.reload()
  await slide(page, 2).click()
  await expect(stage(page).locator('.chart-line')).toHaveCount(2)
})

test('a chart of several series is changed in Compose: kind, columns and what is highlighted', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Several lines', 'Talk')
  await goPhase(page, 'Compose')
  await page.getByRole('toolbar', { name: 'Add' }).getByRole('button', { name: 'Chart', exact: true }).click()
  const rows = [2030, 2031].flatMap((year, at) => [
    `${year},Quill,${10 + at * 9}`,
    `${year},Astrel,${14 + at}`,
    `${year},Low Sands,${5 - at}`,
  ])
  const table = ['season,route,boats', ...rows].join('\n')
  await drop(page, '[data-hit][aria-label^="Chart"]', { name: 'boats.csv', type: 'text/csv', bytes: Buffer.from(table) })
  await choose(page.getByLabel('Kind of chart'), 'Stacked columns')
  await expect(stage(page).locator('.chart-bar')).toHaveCount(6)
  await choose(page.getByLabel('Kind of chart'), 'First against last')
  await expect(stage(page).locator('.chart-line')).toHaveCount(3)
  await choose(page.getByLabel('Highlighted by itself'), 'what fell most')
  await expect(stage(page).locator('.chart-label', { hasText: /^Low Sands\s+5$/ })).toHaveAttribute('font-weight', '700')
  await choose(page.getByLabel('For each'), 'none')
  await choose(page.getByLabel('Kind of chart'), 'Ring')
  await expect(stage(page).locator('.chart-arc')).toHaveCount(2)
  await expect(stage(page).locator('.chart-label[data-kind=total]')).toHaveText('67')
})

test('a workbook is read by its sheets, and a table leaves as CSV and as a workbook', async ({ page }) => {
  await signedIn(page)
  await page.goto('/data')
  const book = utils.book_new()
  for (const [name, boats] of [
    ['2031', 12],
    ['2030', 9],
  ] as const)
    utils.book_append_sheet(
      book,
      utils.aoa_to_sheet([
        ['stop', 'boats'],
        ['Quill', boats],
        ['Astrel', 7],
      ]),
      name,
    )
  const buffer = Buffer.from(write(book, { type: 'array', bookType: 'xlsx' }) as ArrayBuffer)
  await page.getByTestId('data-files').setInputFiles({ name: 'boats by quay.xlsx', mimeType: 'application/octet-stream', buffer })
  await expect(cells(page, 1)).toHaveText(['Quill', '12'])
  await page.getByRole('list', { name: 'What was done to the whole table' }).getByRole('button', { name: 'Read “2030”' }).click()
  await expect(cells(page, 1)).toHaveText(['Quill', '9'])
  const saved = async (item: string) => {
    await page.getByRole('button', { name: 'More for boats by quay' }).click()
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('menuitem', { name: item }).click()])
    return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) }
  }
  const csv = await saved('Save as CSV')
  expect([csv.name, csv.bytes.toString('utf8')]).toEqual(['boats by quay.csv', '\ufeffstop,boats\r\nQuill,9\r\nAstrel,7'])
  const again = await saved('Save as a workbook')
  await page.getByTestId('data-files').setInputFiles({ name: 'again.xlsx', mimeType: 'application/octet-stream', buffer: again.bytes })
  await expect(page.getByRole('heading', { name: 'again', exact: true })).toBeVisible()
  await expect(cells(page, 1)).toHaveText(['Quill', '9'])
})
