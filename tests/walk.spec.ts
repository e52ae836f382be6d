import { copyFile, readFile } from 'node:fs/promises'
import { expect, test, type Page } from '@playwright/test'
import { unpackDeck } from '../core/formats/deck-file'
import { makePictures } from '../demo/pictures'
import { signedIn, enter, goPhase, saved, paste, rundown, slide, drop } from './support/people'
import { choose } from './support/choose'
import { outlined } from './support/score'

const outline = `Quay works in summer
Why we build
\tThe second berth is forty years old
\tFerries grew longer
What happens when
\tJune closes berth 2
\tAugust opens it again
Passengers until now
Who to ask
\tThe quay desk, every day
Thank you`

// A byte-order mark, semicolons, decimal commas and a line break inside quotation marks.
const csv =
  '\ufeffmonth;passengers;note\r\nJan;"12.340,5";calm\r\nFeb;9.120,25;"storm,\r\nsecond week"\r\nMar;15.000,00;\r\nApr;18.250,75;calm\r\n'

const hit = (page: Page, name: string) => page.getByTestId('stage').getByRole('button', { name: new RegExp(`^${name},`) })
const total = async (page: Page) => {
  const [minutes, seconds] = (await page.getByTestId('total').innerText()).split(':').map(Number)
  return minutes! * 60 + seconds!
}
const slideLengths = (page: Page) =>
  rundown(page)
    .getByRole('button', { name: /^Slide \d+,/ })
    .evaluateAll(nodes => nodes.map(node => Number(/([\d.]+) s$/.exec(node.getAttribute('aria-label')!)![1])))

test.describe.serial('from a pasted outline to a screen on the wall', () => {
  let page: Page
  let deckUrl = ''
  test.beforeAll(async ({ browser }) => {
    page = await browser.newPage()
  })
  test.afterAll(() => page.close())

  test('signs in by one press and sees the decks with thumbnails that the stage drew', async () => {
    await page.goto('/sign-in')
    await page.getByRole('button', { name: 'Enter as Ines Rahm' }).click()
    await expect(page.getByRole('heading', { name: 'Decks' })).toBeVisible()
    await page.getByLabel('Find a deck, or words on any slide').fill('Spring timetable briefing')
    await expect(page.getByRole('link', { name: 'Open Spring timetable briefing', exact: true })).toBeVisible()
    await page.getByLabel('Find a deck, or words on any slide').fill('Hall loop')
    await expect(page.getByRole('article')).toHaveCount(1)
    await expect(
      page.getByRole('img', { name: 'First slide of Hall loop' }).locator('.stage-run', { hasText: 'Velmoor' }).first(),
    ).toBeAttached()
  })

  test('pastes eleven lines, and six slides stand there', async () => {
    await page.getByLabel('Find a deck, or words on any slide').fill('')
    await page.getByRole('button', { name: 'New deck' }).click()
    await page.getByRole('dialog', { name: 'New deck' }).getByLabel('Title').fill('Quay works in summer')
    await page.getByRole('radio', { name: /Talk/ }).check()
    await page.getByRole('button', { name: 'Make the deck' }).click()
    await expect(page.getByRole('heading', { name: 'What you will say' })).toBeVisible()
    deckUrl = page.url().split('?')[0]!
    await paste(page, 'textarea.title', outline)
    await expect(page.locator('.say textarea.title')).toHaveCount(6)
    await expect(rundown(page).getByRole('button', { name: /^Slide \d+,/ })).toHaveCount(6)
    await expect(page.getByLabel('Slide 2, line 2')).toHaveValue('Ferries grew longer')
    await page.getByLabel('Slide 2', { exact: true }).click()
    await page.getByRole('button', { name: 'List', exact: true }).click()
    await page.getByLabel('Slide 3', { exact: true }).click()
    await page.getByRole('button', { name: 'List', exact: true }).click()
    await page.getByLabel('Slide 4', { exact: true }).click()
    await page.getByRole('button', { name: /Chart with a caption/ }).click()
    await expect(page.locator('.slide.here .kind')).toHaveText('chart with a caption')
    await saved(page)
  })

  test('edits the slide through the outline and the outline through the slide', async () => {
    await page.getByLabel('Slide 2, line 1').fill('The second berth is forty-one years old')
    await goPhase(page, 'Compose')
    await slide(page, 2).click()
    await expect(page.getByTestId('stage')).toContainText('forty-one')
    await hit(page, 'Title').dblclick()
    await page.getByRole('textbox', { name: 'Title' }).fill('Why we must build')
    await page.getByRole('button', { name: 'Done' }).click()
    await goPhase(page, 'Outline')
    await expect(page.getByLabel('Slide 2', { exact: true })).toHaveValue('Why we must build')
  })

  test('drops a CSV on the chart slide and gets bars with formatted numbers that do not collide', async () => {
    await goPhase(page, 'Compose')
    await slide(page, 4).click()
    const place = `[data-hit="${await hit(page, 'Chart').getAttribute('data-hit')}"]`
    await drop(page, place, { name: 'quay.csv', type: 'text/csv', bytes: Buffer.from(csv) })
    await expect(page.getByTestId('stage').locator('.chart-bar')).toHaveCount(4)
    await expect(page.getByTestId('stage').locator('.chart-label[data-kind=value]').first()).toHaveText('12.3k')
    const boxes = await page
      .getByTestId('stage')
      .locator('.chart-label')
      .evaluateAll(nodes => nodes.map(node => node.getBoundingClientRect().toJSON()))
    for (const [index, a] of boxes.entries()) {
      for (const b of boxes.slice(index + 1))
        expect(a.left < b.right - 1 && b.left < a.right - 1 && a.top < b.bottom - 1 && b.top < a.bottom - 1).toBe(false)
    }
  })

  test('makes the bars a line and the line smooth, and undoes it', async () => {
    const chart = page.getByTestId('stage')
    await hit(page, 'Chart').click()
    await choose(page.getByLabel('Kind of chart'), 'Lines')
    await expect(chart.locator('.chart-point')).toHaveCount(4)
    await expect(chart.locator('path.chart-line')).toHaveCount(3)
    await expect(chart.locator('.chart-bar')).toHaveCount(0)
    const straight = await chart.locator('path.chart-line').first().getAttribute('d')
    await page.getByRole('checkbox', { name: 'Smooth' }).check()
    await expect(chart.locator('path.chart-line').first()).not.toHaveAttribute('d', straight!)
    await page.getByRole('button', { name: 'Undo' }).click()
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(chart.locator('.chart-bar')).toHaveCount(4)
  })

  test('drops a photograph, adds text with bold, colour and a list', async () => {
    const [picture] = await makePictures(1)
    await slide(page, 5).click()
    await drop(page, '.area', { name: 'boat.jpg', type: 'image/jpeg', bytes: picture!.bytes })
    await expect(page.getByTestId('stage').locator('.stage-picture img')).toBeVisible()
    await page.getByRole('toolbar', { name: 'Add' }).getByRole('button', { name: 'Text' }).click()
    const words = page.getByRole('textbox', { name: 'Text' })
    await words.fill('Call us any time')
    await page.keyboard.press('Control+a')
    await page.getByRole('button', { name: 'Bold' }).click()
    await page.getByRole('button', { name: 'Colour', exact: true }).click()
    await page.getByRole('button', { name: 'accent 3', exact: true }).click()
    await page.getByRole('button', { name: 'List', exact: true }).click()
    await page.getByRole('button', { name: 'Done' }).click()
    const run = page.getByTestId('stage').locator('.stage-run', { hasText: 'Call' }).first()
    await expect(run).toHaveCSS('font-weight', '700')
    await expect(run).toHaveCSS('color', 'rgb(18, 97, 92)')
    await expect(page.getByTestId('stage').locator('.stage-bullet').last()).toHaveText('•')
  })

  test('moves with snapping to the centre, resizes, undoes and redoes', async () => {
    const text = hit(page, 'Text')
    await page.getByRole('tab', { name: 'Place' }).click()
    const stage = (await page.getByTestId('stage').boundingBox())!
    const left = page.getByLabel('Left', { exact: true })
    const box = (await text.boundingBox())!
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + box.width / 2 - 130, box.y + 90, { steps: 6 })
    await page.mouse.up()
    const moved = Number(await left.inputValue())
    expect(moved).toBeLessThan(400)
    const from = (await text.boundingBox())!
    await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2)
    await page.mouse.down()
    // Four px beside the middle of the slide: near enough to be drawn to it.
    await page.mouse.move(stage.x + stage.width / 2 + 4, from.y + from.height / 2 + 40, { steps: 8 })
    await expect(page.locator('.guide').first()).toBeVisible()
    await page.mouse.up()
    expect(Number(await left.inputValue()) + Number(await page.getByLabel('Width', { exact: true }).inputValue()) / 2).toBeCloseTo(960, 0)
    const wide = Number(await page.getByLabel('Width', { exact: true }).inputValue())
    const corner = (await page.locator('[data-handle="1,1"]').boundingBox())!
    await page.mouse.move(corner.x + 5, corner.y + 5)
    await page.mouse.down()
    await page.mouse.move(corner.x + 75, corner.y + 45, { steps: 4 })
    await page.mouse.up()
    const wider = Number(await page.getByLabel('Width', { exact: true }).inputValue())
    expect(wider).toBeGreaterThan(wide + 50)
    await page.getByRole('button', { name: 'Undo' }).click()
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue(String(wide))
    await page.getByRole('button', { name: 'Redo' }).click()
    await expect(page.getByLabel('Width', { exact: true })).toHaveValue(String(wider))
    await saved(page)
  })

  const motion = async (name: string, ...items: string[]) => {
    await page
      .getByRole('region', { name: 'Score' })
      .getByRole('button', { name: `Motion for ${name}` })
      .click()
    for (const item of items) await page.getByRole('menuitem', { name: item, exact: true }).click()
  }

  test('times it: title in, list line by line, bars one after the other, photograph out', async () => {
    await goPhase(page, 'Time')
    await slide(page, 2).click()
    await motion('Title', 'Entrance', 'Rise')
    await expect(page.getByRole('button', { name: /^Rise of Title, beat 1/ })).toBeVisible()
    await motion('List', 'Line by line, on advance')
    await expect(page.getByRole('button', { name: /line 2 of List, beat 3/ })).toBeVisible()
    await slide(page, 4).click()
    await motion('Chart', 'Columns one after the other')
    await expect(page.getByRole('button', { name: /^Grow, column by column of Chart/ })).toBeVisible()
    await slide(page, 5).click()
    await page.getByRole('button', { name: 'New beat' }).click()
    await motion('boat', 'Exit', 'Fade')
    await expect(page.getByRole('button', { name: /^Fade of boat, beat 2/ })).toBeVisible()
  })

  test('drags a cue’s edge and a beat’s line, sets a transition, and the rundown is right', async () => {
    await slide(page, 2).click()
    const bar = page.getByRole('button', { name: /^Rise of Title/ })
    await bar.click()
    const before = Number(await page.getByLabel('Duration').inputValue())
    const edge = (await bar.locator('.edge').last().boundingBox())!
    await page.mouse.move(edge.x + 5, edge.y + 12)
    await page.mouse.down()
    await page.mouse.move(edge.x + 45, edge.y + 12, { steps: 4 })
    await page.mouse.up()
    await expect.poll(async () => Number(await page.getByLabel('Duration').inputValue())).toBeGreaterThan(before + 0.2)
    const runs = () =>
      page
        .getByTestId('slide-runs')
        .innerText()
        .then(text => Number.parseFloat(text))
    const ran = await runs()
    const line = (await page.getByRole('separator', { name: 'End of beat 1' }).boundingBox())!
    await page.mouse.move(line.x + 5, line.y + 20)
    await page.mouse.down()
    await page.mouse.move(line.x + 105, line.y + 20, { steps: 4 })
    await page.mouse.up()
    await expect.poll(runs).toBeGreaterThan(ran + 0.5)
    await slide(page, 3).click()
    await choose(page.getByLabel('Transition'), 'Push')
    await expect(page.getByLabel('Length of the transition')).toHaveValue('0.7')
    const lengths = await slideLengths(page)
    expect(lengths).toHaveLength(6)
    expect(await total(page)).toBeCloseTo(
      lengths.reduce((sum, length) => sum + length, 0),
      0,
    )
  })

  test('plays from here, scrubs, and loops one beat', async () => {
    await slide(page, 4).click()
    const flag = page.locator('.playhead .flag')
    const at = () => flag.innerText().then(text => Number(text.split(':')[0]) * 60 + Number(text.split(':')[1]))
    await page.getByRole('button', { name: 'Play beat 1' }).click()
    const start = await at()
    await expect.poll(at).toBeGreaterThan(start + 0.3)
    await page.getByRole('button', { name: 'Stop' }).click()
    const ruler = (await page.locator('.ruler').boundingBox())!
    await page.mouse.click(ruler.x + 30, ruler.y + 8)
    await expect.poll(at).toBeLessThan(start)
    await slide(page, 1).click()
    await page.getByRole('button', { name: /^Loop beat/ }).click()
    await page.getByRole('button', { name: 'Play beat 1' }).click()
    await page.waitForTimeout(2500)
    await expect(slide(page, 1)).toHaveAttribute('aria-pressed', 'true')
    await page.getByRole('button', { name: 'Stop' }).click()
    await page.getByRole('button', { name: /^Loop beat/ }).click()
  })

  test('is told that a beat holds for less than its words need, goes there, and one press sets the hold', async () => {
    await slide(page, 3).click()
    await page.getByRole('button', { name: 'Motion for List' }).click()
    await page.getByRole('menuitem', { name: /^Line by line, on advance/ }).click()
    for (const beat of [2, 3]) {
      await page.getByRole('button', { name: `Beat ${beat}`, exact: true }).click()
      await page.getByRole('menuitem', { name: 'Start by itself' }).click()
    }
    // The line that ends beat 2, all the way to the left: it holds no longer than it moves.
    const line = (await page.getByRole('separator', { name: 'End of beat 2' }).boundingBox())!
    await page.mouse.move(line.x + 5, line.y + 20)
    await page.mouse.down()
    await page.mouse.move(line.x - 400, line.y + 20, { steps: 6 })
    await page.mouse.up()
    await goPhase(page, 'Check')
    const finding = page.locator('.finding', { hasText: /^Beat 2 holds for 0\.0 s/ })
    await expect(finding).toBeVisible()
    await finding.getByRole('button', { name: 'Go there' }).click()
    await expect(slide(page, 3)).toHaveAttribute('aria-pressed', 'true')
    await expect(page.locator('.transport')).toContainText('beat 2')
    await goPhase(page, 'Check')
    await page
      .locator('.finding', { hasText: /^Beat 2 holds/ })
      .getByRole('button', { name: /^Hold .* longer/ })
      .click()
    await expect(page.locator('.finding', { hasText: /^Beat 2 holds/ })).toHaveCount(0)
    await saved(page)
  })

  test('presents with keys and mouse, and leaves', async () => {
    await goPhase(page, 'Deliver')
    await page.getByRole('button', { name: 'Present from the start' }).click()
    const beat = page.getByTestId('beat')
    await expect(beat).toHaveText(/:0$/)
    const first = await beat.innerText()
    await page.keyboard.press('Space')
    await expect.poll(() => beat.innerText()).not.toBe(first)
    const second = await beat.innerText()
    await page.keyboard.press('ArrowRight')
    await expect.poll(() => beat.innerText()).toBe(second.replace(/:0$/, ':1'))
    await expect(page.locator('.stage-layer:not([aria-hidden]) .stage-line', { hasText: 'forty-one' })).toBeVisible()
    await expect(page.locator('.stage-layer:not([aria-hidden]) .stage-line', { hasText: 'Ferries grew' })).toBeHidden()
    await page.mouse.click(640, 300)
    await expect.poll(() => beat.innerText()).toBe(second.replace(/:0$/, ':2'))
    await page.keyboard.press('ArrowLeft')
    await expect.poll(() => beat.innerText()).toBe(second.replace(/:0$/, ':1'))
    await page.keyboard.press('Escape')
    await expect(page.getByRole('heading', { name: 'Deliver' })).toBeVisible()
  })

  test('takes the deck away as a file and brings it in again, identical', async () => {
    await goPhase(page, 'Deliver')
    const take = async () => {
      const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Export as a file' }).click()])
      return { path: await download.path(), bytes: await readFile(await download.path()) }
    }
    const first = await take()
    await page.goto('/')
    await page.getByTestId('deck-file').setInputFiles({ name: 'quay.zip', mimeType: 'application/zip', buffer: first.bytes })
    await expect(page.getByRole('link', { name: 'Open Quay works in summer' })).toHaveCount(2)
    await page.getByRole('link', { name: 'Open Quay works in summer' }).first().click()
    await expect(page.getByRole('heading', { name: 'What you will say' })).toBeVisible()
    expect(page.url()).not.toContain(deckUrl)
    await goPhase(page, 'Deliver')
    const second = await take()
    const [a, b] = [first, second].map(file => unpackDeck(new Uint8Array(file.bytes)))
    expect(a!.ok && b!.ok).toBe(true)
    if (a!.ok && b!.ok) {
      expect(b!.value.deck).toEqual(a!.value.deck)
      expect(b!.value.tables).toEqual(a!.value.tables)
      expect(b!.value.media).toEqual(a!.value.media)
    }
    expect(Buffer.compare(first.bytes, second.bytes)).toBe(0)
  })

  test('puts it on the loop of a screen, whose two windows are in step', async ({ browser }) => {
    await page.goto(`${deckUrl}?phase=deliver`)
    await choose(page.getByLabel('Loop'), 'Hall loop')
    await page.getByRole('button', { name: 'Publish to this loop' }).click()
    await expect(page.getByText('plays in “Hall loop”').first()).toBeVisible()
    await page.goto('/screens')
    const address = (await page.locator('[data-screen=screen-hall] a').getAttribute('href'))!
    const windows = await Promise.all([browser.newPage(), browser.newPage()])
    for (const window of windows) await window.goto(address)
    const showing = (window: Page) =>
      window.evaluate(() => document.querySelector('.stage-layer:not([aria-hidden])')?.getAttribute('data-slide'))
    for (const window of windows) await expect(window.locator('.stage-layer:not([aria-hidden]) .stage-slide').first()).toBeVisible()
    for (let look = 0; look < 8; look++) {
      const both = await Promise.all(windows.map(showing))
      // A change of slide may fall between the two looks: then the next look agrees.
      if (both[0] !== both[1]) expect(await showing(windows[0]!)).toBe(await showing(windows[1]!))
      await page.waitForTimeout(700)
    }
    await expect(page.locator('[data-screen=screen-hall]')).toContainText('heard just now')
    for (const window of windows) await window.close()
  })
})

test('Check says nothing of charts before their tables are here', async ({ page }) => {
  await enter(page)
  await page.route('**/api/tables/**', async route => {
    await new Promise(resolve => setTimeout(resolve, 1500))
    await route.continue()
  })
  await page.goto('/decks/demo-briefing?phase=check')
  await expect(page.getByRole('heading', { name: 'No findings' })).toBeVisible()
  const said: string[] = []
  for (let look = 0; look < 12; look++) {
    said.push(...(await page.locator('.finding').allInnerTexts()))
    await page.waitForTimeout(250)
  }
  expect(said).toEqual([])
})

test('the same deck is longer for children than for colleagues, and becomes a loop at a choice', async ({ page }) => {
  await outlined(page, 'For whom', ['Whoever reads', '\tEvery reader takes a time of his own to read a line like this one'], 'Film')
  await page.getByRole('button', { name: 'Film', exact: true }).click()
  await choose(page.getByLabel('Who reads'), 'Children')
  const long = await total(page)
  await choose(page.getByLabel('Who reads'), 'Colleagues, at a table')
  await expect.poll(() => total(page)).toBeLessThan(long - 1)
  await choose(page.getByLabel('Purpose'), 'Loop, repeats on screens')
  await expect(page.getByRole('button', { name: 'Loop', exact: true })).toBeVisible()
})

test('plays a film to its end without a touch', async ({ page }) => {
  await signedIn(page)
  await page.goto('/present/demo-seasons?as=film')
  const beat = page.getByTestId('beat')
  await expect(beat).not.toBeEmpty()
  const first = await beat.innerText()
  await expect.poll(() => beat.innerText(), { timeout: 20_000 }).not.toBe(first)
  await expect(page.locator('.player-view[data-over]')).toBeAttached({ timeout: 75_000 })
})

test('takes the deck away as one page that plays by itself, without a server', async ({ page, browser }) => {
  await signedIn(page)
  await page.goto('/decks/demo-briefing?phase=deliver')
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Export as a page' }).click()])
  const context = await browser.newContext({ offline: true })
  const alone = await context.newPage()
  const asked: string[] = []
  alone.on('request', request => !/^(file|data|blob):/.test(request.url()) && asked.push(request.url()))
  const place = `${await download.path()}.html`
  await copyFile(await download.path(), place)
  await alone.goto(`file://${place}`)
  await expect(alone.locator('.stage-layer:not([aria-hidden])')).toContainText('Spring timetable briefing')
  for (let press = 0; press < 2; press++) await alone.keyboard.press('Space')
  await expect(alone.locator('.stage-layer:not([aria-hidden]) .stage-line', { hasText: 'Astrel sails' })).toBeVisible()
  await expect(alone.locator('.stage-layer:not([aria-hidden]) .stage-line', { hasText: 'Quill gains' })).toBeHidden()
  expect(await alone.evaluate(() => document.fonts.check('700 40px "Bricolage Grotesque"'))).toBe(true)
  expect(asked).toEqual([])
  await context.close()
})
