import { putRecord, applyChanges, slidesOf, type Deck } from '../core/model'
import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import { packDeck } from '../core/formats/deck-file'
import { insertOutline, newDeck as freshDeck } from '../core/layouts'
import { makeLogo } from '../demo/logo'
import { signedIn, goPhase, saved, look, newDeck, paste, rundown, slide, toast } from './support/people'
import { choose } from './support/choose'

const outline = `# Lantern night
## How the night grew
- 2019 forty lanterns
- 2023 the whole quay
- 2027 two harbours
- 2031 nine thousand guests
> Say who had the idea.
## Who carries it
- Tove Brandal, lantern carrier
- Jon Askelund, soup
- Maren Tolv, music
# Money
## Where it comes from
- 60 % the district
- 25 % guests
- 15 % the rowing club
## Nobody pays to watch.
## Next steps
- Put your name down
- Bring a friend`

const ways = (page: Page) => page.getByRole('region', { name: 'Ways to lay out' })
const way = (page: Page, name: string) => ways(page).getByRole('button', { name, exact: true })
const stage = (page: Page) => page.getByTestId('stage')

test.describe.serial('an outline in the house’s clothes', () => {
  let page: Page
  test.beforeAll(async ({ browser }) => {
    page = await browser.newPage()
    await signedIn(page)
    await newDeck(page, 'Lantern night', 'Talk')
  })
  test.afterAll(() => page.close())

  test('pasted Markdown becomes slides in the layouts that suit, with chapters and notes', async () => {
    await paste(page, 'textarea.title', outline)
    await expect(page.locator('.say textarea.title')).toHaveCount(5)
    await expect(page.getByLabel('Chapter that begins with slide 1')).toHaveValue('Lantern night')
    await expect(page.getByLabel('Notes of slide 1')).toHaveValue('Say who had the idea.')
    await expect(page.locator('.slide').nth(0).locator('.kind')).toHaveText('timeline across')
    await expect(page.locator('.slide').nth(1).locator('.kind')).toHaveText('people')
    await page.getByLabel('Slide 3', { exact: true }).click()
    await expect(ways(page).locator('.reason')).toContainText('add up to 100')
  })

  test('another layout is taken by what the slide is for, and keeps words and beats', async () => {
    await page.getByLabel('Slide 1', { exact: true }).click()
    await ways(page).getByRole('radio', { name: 'On advance' }).click()
    await expect(ways(page).getByRole('radio', { name: 'On advance' })).toHaveAttribute('aria-checked', 'true')
    await page.getByLabel('What the slide is for').fill('rising steps')
    await expect(way(page, 'Rising steps')).toContainText(/room for \d+/)
    await way(page, 'Rising steps').click()
    await expect(page.locator('.slide.here .kind')).toHaveText('rising steps')
    await expect(page.getByLabel('Slide 1, line 4')).toHaveValue('2031 nine thousand guests')
    await expect(ways(page).getByRole('radio', { name: 'On advance' })).toHaveAttribute('aria-checked', 'true')
    await page.getByLabel('What the slide is for').fill('')
  })

  test('a line more is an item more, and comes in by itself', async () => {
    await page.getByLabel('Slide 1, line 4').click()
    await page.keyboard.press('End')
    await page.keyboard.press('Enter')
    await page.keyboard.type('2035 a bridge of light')
    await expect(page.getByTestId('room')).toContainText('5 of room for')
  })

  test('more than fits says so while it is written, and is parted in two', async () => {
    await page.getByLabel('Slide 5, line 2').click()
    await page.keyboard.press('End')
    for (let index = 0; index < 16; index++) {
      await page.keyboard.press('Enter')
      await page.keyboard.insertText(`Ask neighbour number ${index} whether the boat in the shed still floats and can carry lanterns`)
    }
    await expect(page.getByTestId('room')).toContainText(/More items than|more than fits/i)
    await page.getByTestId('room').getByRole('button', { name: 'Make two slides' }).click()
    await expect(page.locator('.say textarea.title')).toHaveCount(6)
    await expect(page.getByTestId('room')).not.toContainText(/More items than/)
  })

  test('an agenda is made from the chapters and stays current', async () => {
    await page.getByLabel('Slide 1', { exact: true }).click()
    await page.keyboard.press('Control+Home')
    await page.getByLabel('What to do with slide 1').click()
    await page.getByRole('menuitem', { name: 'New slide after it' }).click()
    await expect(page.locator('.say textarea.title')).toHaveCount(7)
    await expect(page.getByLabel('Slide 2', { exact: true })).toBeFocused()
    await page.keyboard.insertText('Contents')
    await way(page, 'Agenda').click()
    await expect(page.getByLabel('Slide 2, line 2')).toHaveValue('Money')
    await page.getByLabel('Chapter that begins with slide 4').fill('Gold')
    await page.getByLabel('Slide 2', { exact: true }).click()
    await expect(page.getByLabel('Slide 2, line 2')).toHaveValue('Gold')
  })

  test('a theme is made from a logo, and the logo stands on every slide in the form for its ground', async () => {
    await look(page, 'Palette')
    const [light, dark] = [makeLogo('light'), makeLogo('dark')]
    await page
      .getByTestId('palette-picture')
      .setInputFiles({ name: 'mark.png', mimeType: 'image/png', buffer: await sharp(light.bytes).resize(600).png().toBuffer() })
    await page.getByRole('button', { name: 'On a light background' }).click()
    await page.getByRole('radio', { name: 'Accent 1' }).click()
    await expect(page.getByLabel('Accent 1 as hex')).toHaveValue(/^#(e[0-9a-f]a|1[0-9a-f]6)/)
    await look(page, 'Logo and footer')
    await page.getByRole('button', { name: 'Choose one' }).first().click()
    await page.getByTestId('logo-file').setInputFiles({ name: light.name, mimeType: 'image/svg+xml', buffer: light.bytes })
    await expect(page.locator('.shown.onLight img')).toBeVisible()
    await page.getByRole('button', { name: 'Choose one' }).click()
    await page.getByTestId('logo-file').setInputFiles({ name: dark.name, mimeType: 'image/svg+xml', buffer: dark.bytes })
    await expect(page.locator('.shown.onDark img')).toBeVisible()
    const [onLight, onDark] = await Promise.all(
      ['.shown.onLight img', '.shown.onDark img'].map(place => page.locator(place).getAttribute('src')),
    )
    const wall = page.getByRole('region', { name: 'All slides in this look' })
    await expect(wall.locator(`img[src^="${onLight}"]`)).toHaveCount(7)
    await look(page, 'Background')
    await choose(page.getByLabel('Background of'), 'Every slide')
    await page.getByRole('button', { name: /^Colour of the background/ }).click()
    await page.getByRole('button', { name: 'ink', exact: true }).click()
    await expect(wall.locator(`img[src^="${onDark}"]`)).toHaveCount(7)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(wall.locator(`img[src^="${onLight}"]`)).toHaveCount(7)
  })

  test('a title’s size is taken into its style, and every title follows', async () => {
    await page.getByRole('radio', { name: 'Slide', exact: true }).click()
    const size = () =>
      stage(page)
        .locator('.stage-element', { has: page.locator('.stage-run') })
        .first()
        .locator('.stage-run')
        .first()
        .evaluate(node => Number.parseFloat(getComputedStyle(node).fontSize))
    await slide(page, 1).click()
    await stage(page)
      .getByRole('button', { name: /^Title, text/ })
      .click()
    await page.getByLabel('Size', { exact: true }).fill('58')
    await page.keyboard.press('Enter')
    await expect(page.getByText('Differs from Heading in size.')).toBeVisible()
    await page.getByRole('button', { name: 'Take this into the style' }).click()
    await expect(page.getByText('Differs from Heading')).toBeHidden()
    await slide(page, 4).click()
    await expect.poll(size).toBe(58)
  })

  test('the look goes on the shelf, and another deck puts it on in one step', async () => {
    await look(page, 'Themes')
    await page.getByLabel('Name of the theme').fill('Lanterns')
    await page.getByRole('button', { name: 'Save to the library' }).click()
    await expect(page.getByRole('button', { name: 'Lanterns' })).toBeVisible()
    const accent = await page.evaluate(() => getComputedStyle(document.querySelector('.work')!).getPropertyValue('--role-accent1'))
    await page.goto('/decks/demo-review?phase=compose&look=shelf')
    await page.getByRole('button', { name: 'Lanterns' }).click()
    const wall = page.getByRole('region', { name: 'All slides in this look' })
    await expect(wall).toContainText('Before and after')
    await page.getByRole('button', { name: 'Use it in this deck' }).click()
    const now = () => page.evaluate(() => getComputedStyle(document.querySelector('.work')!).getPropertyValue('--role-accent1'))
    await expect.poll(now).toBe(accent)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect.poll(now).not.toBe(accent)
    await page.goBack()
  })

  test('is presented', async () => {
    await saved(page)
    await page.goto(page.url().replace('/decks/', '/present/').split('?')[0]!)
    await expect(page.locator('.player-view')).toBeVisible()
    const shown = page.locator('.stage-layer:not([aria-hidden])')
    await expect(shown).toContainText('How the night grew')
    await expect(shown.locator('.stage-moving', { hasText: 'nine thousand guests' })).toHaveCSS('visibility', 'hidden')
    for (let beat = 0; beat < 4; beat++) {
      await page.keyboard.press('ArrowRight')
      await page.waitForTimeout(800)
    }
    await expect(shown.locator('.stage-moving', { hasText: 'nine thousand guests' })).toBeVisible()
  })
})

/** A deck of so many slides, each with a shape of a colour that is no role. */
function paintedDeck(count: number): Deck {
  let id = 0
  const context = { id: () => `p-${++id}` }
  const base = freshDeck({ title: 'Painted', purpose: 'talk' }, context)
  const deck = applyChanges(
    base,
    insertOutline(
      base,
      {
        after: slidesOf(base)[0]!.id,
        slides: Array.from({ length: count - 1 }, (_, index) => ({ title: `Slide number ${index + 2}`, lines: [] })),
      },
      context,
    ),
  )
  return applyChanges(
    deck,
    slidesOf(deck).map(one =>
      putRecord('elements', {
        id: context.id(),
        owner: one.id,
        order: 'a9',
        kind: 'shape' as const,
        name: 'Patch',
        shape: 'rectangle' as const,
        fill: { hex: '#b5179e' },
        box: { x: 100, y: 700, width: 300, height: 200, angle: 0 },
      }),
    ),
  )
}

test('one colour is replaced in a deck of forty slides, with a count before and one undo after', async ({ page, request }) => {
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const { id } = await (
    await request.post('/api/decks/file', {
      data: Buffer.from(packDeck({ deck: paintedDeck(40), tables: [], media: [] })),
      headers: { 'content-type': 'application/octet-stream' },
    })
  ).json()
  await signedIn(page)
  await page.goto(`/decks/${id}?phase=compose&look=colors`)
  const use = page.locator('.use', { hasText: '#b5179e' })
  await expect(use).toContainText('40 places')
  await use.getByRole('button', { name: 'Replace' }).click()
  await expect(use.locator('li')).toHaveCount(40)
  await use.getByRole('button', { name: 'Replace in 40 places' }).click()
  await expect(use).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(use).toContainText('40 places')
  await page.getByRole('button', { name: 'Undo' }).isDisabled()
})

test('slides are gathered, moved and copied in the overview, and taken from another deck in either look', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Gathered', 'Talk')
  await paste(page, 'textarea.title', 'One thing\nAnother thing\nA third thing\nThe last thing')
  await page.getByRole('radio', { name: 'Overview' }).click()
  const card = (name: string) => page.getByRole('region', { name: 'Overview' }).getByRole('button', { name: new RegExp(name) })
  await card('Another thing').click()
  await card('A third thing').click({ modifiers: ['Shift'] })
  await page.getByRole('button', { name: 'Gather in a chapter' }).click()
  await expect(page.getByLabel('Chapter', { exact: true }).first()).toHaveValue('Another thing')
  await page.locator('.overview .hint').click()
  await page.keyboard.press('Alt+ArrowRight')
  await expect(slide(page, 2)).toHaveAttribute('aria-label', /The last thing/)
  await page.getByRole('button', { name: 'Duplicate' }).click()
  await expect(rundown(page).getByRole('button', { name: /^Slide \d+,/ })).toHaveCount(6)
  await page.getByRole('button', { name: 'Copy to another deck' }).click()
  await choose(page.getByLabel('Deck', { exact: true }), 'Hall loop')
  await page.getByRole('button', { name: 'Copy', exact: true }).click()
  await expect(toast(page, /stand at the end of “Hall loop”/)).toBeVisible()

  await page.getByRole('radio', { name: 'Text', exact: true }).click()
  await page.getByRole('button', { name: 'From another deck' }).click()
  await page.getByLabel('Find slides by their words').fill('nobody waits rain')
  const theirs = page.getByText('Spring timetable briefing', { exact: true })
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /One promise/ })
    .filter({ has: theirs })
    .click()
  await page.getByLabel('In their own').check()
  await page.getByRole('button', { name: 'Take the slide over' }).click()
  await expect(page.locator('.say')).toContainText('7')
  await expect(rundown(page).getByRole('button', { name: /One promise: nobody waits/ })).toBeVisible()
  await look(page, 'Masters, layouts')
  await expect(page.getByRole('button', { name: /^Master of Spring timetable briefing/ })).toBeVisible()
})

test('a table that a line names is drawn at once, by the column that it names', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Named', 'Talk')
  await paste(page, 'textarea.title', 'Crossings\nAugust carries the year\n\tcrossings.csv by month')
  await expect(page.locator('.slide').nth(1).locator('.kind')).toHaveText('chart with a caption')
  await goPhase(page, 'Compose')
  await slide(page, 2).click()
  await expect(stage(page).locator('.chart-bar')).toHaveCount(12)
})

test('a starter is filled with one’s own outline and keeps its beats', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Own words', 'Talk')
  await paste(
    page,
    'textarea.title',
    'Winter on the quay\n\tFor the night crew\nWhat changes\n\tRamps: salted at five\n\tBoats: one an hour less\n\tLights: on ' +
      'all night\nWhy now\n\t3 weeks of frost\n\t2 falls last year',
  )
  await page.getByRole('button', { name: 'Starters' }).click()
  await expect(page.getByRole('option')).toHaveCount(10)
  await page.getByRole('option', { name: /^Plan with milestones/ }).click()
  await page.getByRole('option', { name: /^Briefing/ }).click()
  await page.getByRole('button', { name: 'Fill it with my outline' }).click()
  await expect(page.locator('.say textarea.title').first()).toHaveValue('Winter on the quay')
  await expect(rundown(page).getByRole('button', { name: /What changes, \d+ beats|^Slide \d+,.*What changes/ })).toBeVisible()
  await saved(page)
})

test('a layout is edited on the stage, and its slides follow; a deck handed out as a form takes only what fills places', async ({
  page,
}) => {
  await signedIn(page)
  await newDeck(page, 'Formed', 'Talk')
  await paste(page, 'textarea.title', 'First\nA statement that stands alone.\nAnother one that stands alone.')
  await look(page, 'Masters, layouts')
  await page.getByRole('button', { name: 'Edit layout One statement' }).click()
  await stage(page)
    .getByRole('button', { name: /^Statement, text/ })
    .click()
  await page.getByRole('tab', { name: 'Place' }).click()
  await page.getByLabel('Left', { exact: true }).fill('400')
  await page.keyboard.press('Enter')
  await page.getByRole('tab', { name: 'Words' }).click()
  await page.getByLabel('What it asks for while it is empty').fill('Say it plainly')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Picture', exact: true }).first().click()
  await page.getByRole('radio', { name: 'Slide', exact: true }).click()
  await slide(page, 2).click()
  await stage(page)
    .getByRole('button', { name: /^Statement, text/ })
    .click()
  await page.getByRole('tab', { name: 'Place' }).click()
  await expect(page.getByLabel('Left', { exact: true })).toHaveValue('400')
  await look(page, 'Logo and footer')
  await page.getByLabel('Only what fills places').check()
  await expect(page.getByText(/Form, \d+ places? empty|Form, all places filled/)).toBeVisible()
  await page.getByRole('radio', { name: 'Slide', exact: true }).click()
  await expect(page.getByRole('toolbar', { name: 'Add' })).toContainText('this deck is a form')
  await expect(page.locator('[data-handle]')).toHaveCount(0)
  await stage(page)
    .getByRole('button', { name: /^Statement, text/ })
    .dblclick()
  await page.getByRole('textbox', { name: 'Statement' }).fill('Filled in')
  await page.getByRole('button', { name: 'Done' }).click()
  await expect(stage(page)).toContainText('Filled in')
  await look(page, 'Masters, layouts')
  await page.getByLabel('What to do with layout One statement').click()
  await page.getByRole('menuitem', { name: 'Remove' }).click()
  await expect(page.getByText('Slides 2 and 3 use it.')).toBeVisible()
  await choose(page.getByRole('dialog').getByLabel('They go to'), 'List')
  await page.getByRole('button', { name: 'Remove it' }).click()
  await expect(page.getByRole('button', { name: 'Edit layout One statement' })).toHaveCount(0)
  await expect(rundown(page).getByRole('button', { name: /^Slide 2,.*Filled in/ })).toBeVisible()
})
