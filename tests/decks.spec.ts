import { expect, test, type Page } from '@playwright/test'
import { enter, goPhase, saved, signIn, slide, toast } from './support/people'

const card = (page: Page, title: string) => page.getByRole('article', { name: title, exact: true })
const places = (page: Page) => page.getByRole('navigation', { name: 'Where decks lie' })
async function choose(page: Page, title: string, ...items: string[]) {
  await page.getByRole('button', { name: `What to do with ${title}`, exact: true }).click()
  for (const item of items) await page.getByRole('menuitem', { name: item }).click()
}

test.describe.serial('the room of decks', () => {
  let page: Page
  test.beforeAll(async ({ browser }) => {
    page = await browser.newPage()
    await enter(page)
  })
  test.afterAll(() => page.close())

  test('words that are pasted become a deck with a slide a line', async () => {
    await page
      .getByLabel('Paste your words, a line a slide')
      .fill('# Tides this week\n## Low water at noon\n## Walk to the sands\n## Back by four')
    await page.getByRole('button', { name: 'Make slides of it' }).click()
    await expect(page.locator('.say textarea.title')).toHaveCount(4)
    await expect(page.getByLabel('Slide 4', { exact: true })).toHaveValue('Back by four')
    await saved(page)
  })

  test('one goes on where one was', async () => {
    await goPhase(page, 'Time')
    await slide(page, 2).click()
    const kept = page.waitForResponse(
      answer => answer.url().endsWith('/place') && answer.request().postData()!.includes('"time"') && answer.ok(),
    )
    await kept
    await page.goto('/')
    const last = page.getByRole('region', { name: 'You were at' })
    await expect(last).toContainText('Tides this week')
    await expect(last).toContainText('Slide 2 of 4, in Time')
    await last.getByRole('link', { name: 'Continue' }).click()
    await expect(slide(page, 2)).toHaveAttribute('aria-pressed', 'true')
    await expect(page.getByRole('navigation', { name: 'Phases' }).getByRole('button', { name: 'Time' })).toHaveAttribute(
      'aria-current',
      'step',
    )
  })

  test('a deck is renamed on its card by keys, and duplicated', async () => {
    await page.goto('/')
    await page.getByRole('link', { name: 'Open Tides this week', exact: true }).focus()
    await page.keyboard.press('F2')
    await page.keyboard.type('Tides of June')
    await page.keyboard.press('Enter')
    await expect(card(page, 'Tides of June')).toBeVisible()
    await page.getByRole('link', { name: 'Open Tides of June', exact: true }).focus()
    await page.keyboard.press('Control+d')
    await expect(card(page, 'Tides of June, copy')).toContainText('4 slides')
  })

  test('the list says how long a deck is, as its own page does, and who changed it', async () => {
    await page.getByRole('link', { name: 'Open Tides of June', exact: true }).click()
    await expect(page.getByTestId('total')).not.toHaveText('0:00.0')
    const said = await page.getByTestId('total').innerText()
    const [minutes, seconds] = said.split(':').map(Number) as [number, number]
    const clock = (whole: number) => `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
    const words = clock(Math.round(minutes * 60 + seconds))
    await expect
      .poll(
        async () => {
          await page.goto('/')
          return await card(page, 'Tides of June').innerText()
        },
        { intervals: [1500] },
      )
      .toContain(`Talk ${words}`)
    await expect(card(page, 'Tides of June')).toContainText('Ines Rahm')
    await expect(card(page, 'Tides of June').getByRole('img', { name: `Talk of ${words}` })).toBeVisible()
  })

  test('it lies in a folder, which is counted and shows it alone', async () => {
    await choose(page, 'Tides of June', 'Move to folder', 'New folder')
    await page.getByLabel('Name of the folder').fill('Sands')
    await page.keyboard.press('Enter')
    await places(page).getByRole('button', { name: 'Sands' }).click()
    await expect(places(page).getByRole('button', { name: 'Sands' })).toContainText('1')
    await expect(page.getByRole('article')).toHaveCount(1)
    await card(page, 'Tides of June').click({ button: 'right' })
    await expect(page.getByRole('menuitem', { name: 'Duplicate' })).toBeVisible()
    await page.keyboard.press('Escape')
    await places(page).getByRole('button', { name: 'All decks' }).click()
  })

  test('it is found by words on its slides; what nobody says is said', async () => {
    await page.keyboard.press('/')
    await page.keyboard.type('walk noon')
    await expect(page.getByRole('article')).toHaveCount(2)
    await page.getByLabel('Find a deck, or words on any slide').fill('submarine')
    await expect(page.getByText('No deck says “submarine” here.')).toBeVisible()
    await page.getByLabel('Find a deck, or words on any slide').fill('')
  })

  test('in the trash it is kept until it is restored, or deleted for good', async () => {
    await choose(page, 'Tides of June, copy', 'Move to trash')
    await expect(toast(page, /is in the trash/)).toBeVisible()
    await expect(card(page, 'Tides of June, copy')).toHaveCount(0)
    await places(page).getByRole('button', { name: 'Trash' }).click()
    await choose(page, 'Tides of June, copy', 'Restore')
    await expect(page.getByText('The trash is empty.')).toBeVisible()
    // A new deck begins from wherever one looks.
    await page.keyboard.press('n')
    await expect(page.getByRole('dialog', { name: 'New deck' }).getByLabel('Title')).toBeFocused()
    await page.keyboard.press('Escape')
    await places(page).getByRole('button', { name: 'All decks' }).click()
    await page.getByRole('link', { name: 'Open Tides of June, copy', exact: true }).focus()
    await page.keyboard.press('Delete')
    await places(page).getByRole('button', { name: 'Trash' }).click()
    await choose(page, 'Tides of June, copy', 'Delete for good')
    await page.getByRole('button', { name: 'Delete it for good' }).click()
    await expect(page.getByText('The trash is empty.')).toBeVisible()
    await places(page).getByRole('button', { name: 'All decks' }).click()
    await expect(card(page, 'Tides of June')).toBeVisible()
    await expect(card(page, 'Tides of June, copy')).toHaveCount(0)
  })
})

test('a viewer looks and takes files, and changes no deck of the list', async ({ page }) => {
  await signIn(page, 'vera@velmoor.example')
  await expect(page.getByRole('heading', { name: 'Decks' })).toBeVisible()
  // However many came before it, it is found.
  await page.getByLabel('Find a deck, or words on any slide').fill('Season review 2031')
  await page.getByRole('button', { name: 'What to do with Season review 2031' }).click()
  await expect(page.getByRole('menuitem')).toHaveText(['Open', 'Export as a file'])
  for (const [method, url] of [
    ['patch', '/api/decks/demo-review'],
    ['delete', '/api/decks/demo-review'],
    ['delete', '/api/decks/demo-review/removed'],
    ['post', '/api/decks/demo-review/copy'],
  ] as const)
    expect((await page.request[method](url, { data: { folder: 'Mine' }, headers: { origin: new URL(page.url()).origin } })).status()).toBe(
      403,
    )
})
