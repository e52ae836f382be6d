import { expect, test, type Page } from '@playwright/test'
import { choose } from './support/choose'
import { greyFilm } from './support/clips'
import { signedIn, drop, goPhase, saved, newDeck } from './support/people'
import { motion, playheadAt, timed, timeStage } from './support/score'

const bar = (page: Page, name: RegExp) => page.getByRole('button', { name })
async function lay(page: Page, item: string) {
  await page.getByRole('button', { name: 'How the score is laid out' }).click()
  await page.getByRole('menuitemcheckbox', { name: item }).click()
  await page.keyboard.press('Escape')
}
const number = (page: Page, label: string) => page.getByLabel(label, { exact: true }).inputValue().then(Number)

test('a row opens into its parts, whose turns are dragged; what comes later moves along; beats are laid out evenly', async ({ page }) => {
  await timed(page, 'Turns', ['Four routes leave', '\tOne after the other'])
  await motion(page, 'Title', 'Entrance', 'Rise')
  await choose(page.getByLabel('Parts', { exact: true }), 'by word')
  await expect(page.getByText(/Entrance by “rise”, with the beat, word by word every 0.15 s/)).toBeVisible()
  await page.getByRole('button', { name: 'Parts of Title' }).click()
  const turns = page.getByRole('button', { name: /^Turn \d: / })
  await expect(turns).toHaveText(['Four', 'routes', 'leave'])
  const third = (await turns.nth(2).boundingBox())!
  await page.mouse.move(third.x + 4, third.y + 9)
  await page.mouse.down()
  await page.mouse.move(third.x + 64, third.y + 9, { steps: 4 })
  await page.mouse.up()
  await expect.poll(() => number(page, 'Stagger')).toBeGreaterThan(0.3)
  const dragged = await number(page, 'Stagger')
  await turns.nth(1).focus()
  await page.keyboard.press('ArrowRight')
  await expect.poll(() => number(page, 'Stagger')).toBeCloseTo(dragged + 0.05, 2)

  // A pulse later in the beat keeps its distance from a cue before it that grows longer.
  await motion(page, 'Title', 'Emphasis', 'Pulse')
  await page.getByLabel('Delay').fill('6')
  await page.getByLabel('Delay').press('Enter')
  await lay(page, 'What comes later in a beat moves along')
  const fade = (await bar(page, /^Rise, word by word of Title/).boundingBox())!
  await page.mouse.move(fade.x + fade.width - 1, fade.y + 10)
  await page.keyboard.down('Alt')
  await page.mouse.down()
  await page.mouse.move(fade.x + fade.width + 59, fade.y + 10, { steps: 4 })
  await page.mouse.up()
  await page.keyboard.up('Alt')
  await bar(page, /^Pulse of Title/).click()
  await expect.poll(() => number(page, 'Delay')).toBeGreaterThan(6.2)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(() => number(page, 'Delay')).toBe(6)
  await lay(page, 'What comes later in a beat moves along')

  // Inside a beat a new one begins at the playhead, with what comes from there on.
  await playheadAt(page, /^Pulse of Title/, -0.3)
  await page.getByRole('button', { name: 'New beat' }).click()
  await expect(bar(page, /^Pulse of Title, beat 2/)).toBeVisible()
  await lay(page, 'All beats equally wide')
  const widths = await page.locator('.columns .column').evaluateAll(columns => columns.map(column => column.getBoundingClientRect().width))
  expect(widths).toHaveLength(2)
  expect(widths[0]).toBeCloseTo(widths[1]!, 0)
  await lay(page, 'Beats as wide as they last')
})

test('what is under the hand is told at once, wherever it stands, and given up it is as before', async ({ page }) => {
  await timed(page, 'Told', ['Boats at six', '\tThey wait', 'And leave'], 'Film')
  await motion(page, 'Title', 'Entrance', 'Rise')
  const [runs, total] = [page.getByTestId('slide-runs'), page.getByTestId('total')]
  const seconds = async () => Number.parseFloat((await runs.textContent())!)
  const before = { runs: await seconds(), total: await total.textContent(), takes: await number(page, 'Duration') }

  // A cue's end: its length in the settings and the length of the beat change while it is dragged.
  const rise = (await bar(page, /^Rise of Title/).boundingBox())!
  await page.mouse.move(rise.x + rise.width - 1, rise.y + 10)
  await page.mouse.down()
  await page.keyboard.down('Alt')
  await page.mouse.move(rise.x + rise.width + 119, rise.y + 10, { steps: 3 })
  await expect.poll(() => number(page, 'Duration')).toBeGreaterThan(before.takes + 0.5)
  await expect.poll(seconds).toBeGreaterThan(before.runs + 0.5)
  await expect(total).not.toHaveText(before.total!)
  await page.keyboard.press('Escape')
  await page.keyboard.up('Alt')
  await page.mouse.up()
  await expect.poll(() => number(page, 'Duration')).toBe(before.takes)
  await expect.poll(seconds).toBe(before.runs)
  await expect(total).toHaveText(before.total!)

  // A beat's end: the slide and the deck are longer before it is let go, and as long after.
  const line = (await page.getByRole('separator', { name: 'End of beat 1' }).boundingBox())!
  await page.mouse.move(line.x + 5, line.y + 40)
  await page.mouse.down()
  await page.mouse.move(line.x + 105, line.y + 40, { steps: 3 })
  await expect.poll(seconds).toBeGreaterThan(before.runs + 0.5)
  const under = [await runs.textContent(), await total.textContent()]
  await page.mouse.up()
  await expect(runs).toHaveText(under[0]!)
  await expect(total).toHaveText(under[1]!)

  // The playhead and the moment that is told below it.
  const columns = (await page.locator('.columns').boundingBox())!
  const told = page.locator('.transport .at')
  await page.mouse.move(columns.x + 20, columns.y + 40)
  await page.mouse.down()
  const moments = new Set<string>()
  for (const px of [60, 100, 140]) {
    await page.mouse.move(columns.x + px, columns.y + 40)
    await expect
      .poll(async () =>
        Math.abs((await page.getByRole('region', { name: 'Score' }).locator('.playhead').boundingBox())!.x - columns.x - px),
      )
      .toBeLessThan(3)
    moments.add((await told.textContent())!)
  }
  await page.mouse.up()
  expect(moments.size).toBe(3)
})

test('a text says something else from a moment on, and ghosts of ways can be taken hold of', async ({ page }) => {
  await timed(page, 'Said', ['Boats at six', '\tThey wait'])
  const stage = timeStage(page)
  await motion(page, 'Title', 'Motion', 'Say something else')
  await page.getByLabel('Then it says').fill('Boats at seven')
  await page.getByLabel('Then it says').blur()
  const seen = () =>
    stage
      .locator('.stage-layer:not([aria-hidden]) .stage-said')
      .evaluateAll(nodes => nodes.map(node => Number(getComputedStyle(node).opacity)).filter((_, index) => index < 2))
  await playheadAt(page, /^Say something else of Title/, 1.3)
  await expect.poll(seen).toEqual([0, 1])
  await expect(stage.getByText('Boats at seven').first()).toBeAttached()
  await motion(page, 'Title', 'Motion', 'Move along a line')
  await expect(page.getByRole('button', { name: 'Where it goes' })).toBeVisible()
  // Another cue is chosen: the way stays as a ghost, and a press on it chooses it again.
  await bar(page, /^Say something else of Title/).click()
  await expect(page.getByRole('button', { name: 'Where it goes' })).toHaveCount(0)
  await page.getByRole('button', { name: 'The way of Title' }).focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: 'Where it goes' })).toBeVisible()
})

test('a film moves only in an area that is drawn, goes round without a seam, and its sound is trimmed by its ends', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Stirring', 'Film')
  await goPhase(page, 'Compose')
  await drop(page, '.area', { name: 'Harbour.mp4', type: 'video/mp4', bytes: greyFilm(4, 'Harbour.mp4') })
  const film = page.locator('[data-test="stage"]').getByRole('button', { name: /^Harbour/ })
  await expect(film).toBeVisible({ timeout: 90_000 })
  await page.getByLabel('begins again until the slide ends').check()
  await page.getByLabel('Crossfade at its end').fill('1')
  await page.getByLabel('Crossfade at its end').press('Enter')
  await page.getByRole('button', { name: 'only in an area' }).click()
  const box = (await film.boundingBox())!
  const corners = [
    [0.2, 0.2],
    [0.8, 0.25],
    [0.7, 0.8],
    [0.25, 0.7],
    [0.2, 0.3],
  ] as const
  await page.mouse.move(box.x + box.width * corners[0][0], box.y + box.height * corners[0][1])
  await page.mouse.down()
  for (const [x, y] of corners.slice(1)) await page.mouse.move(box.x + box.width * x, box.y + box.height * y, { steps: 5 })
  await page.mouse.up()
  await expect(page.getByRole('button', { name: 'in another area' })).toBeVisible()
  await page.getByLabel('Its edge fades over').fill('40')
  await page.getByLabel('Its edge fades over').press('Enter')
  await saved(page)
  await page.goto(page.url().replace('/decks/', '/present/').replace(/\?.*/, ''))
  const videos = page.locator('.stage-film video')
  // The film in its area, its tail that goes over, and the still beneath.
  await expect(videos).toHaveCount(3)
  const masked = await videos.evaluateAll(nodes => nodes.map(node => getComputedStyle(node).maskImage !== 'none'))
  expect(masked.filter(Boolean)).toHaveLength(2)
})

test('bars and ends of beats are moved by keys, and read out; a bar is trimmed at its start, and goes into another beat', async ({
  page,
}) => {
  await timed(page, 'By keys', ['Tides turn twice', '\tOnce at noon'])
  await motion(page, 'Title', 'Entrance', 'Rise')
  const said = page.locator('.score').getByRole('status')
  await bar(page, /^Rise of Title/).focus()
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(said).toHaveText(/^Title starts at 0\.2 s/)
  const whole = await number(page, 'Duration')
  await page.keyboard.press('Alt+ArrowRight')
  await expect.poll(() => number(page, 'Duration')).toBeCloseTo(whole + 0.1, 2)
  // Its start comes later, its end stays.
  await page.keyboard.press('Control+ArrowRight')
  await expect.poll(() => number(page, 'Duration')).toBeCloseTo(whole, 2)
  await expect.poll(() => number(page, 'Delay')).toBeCloseTo(0.3, 2)
  const left = (await bar(page, /^Rise of Title/).boundingBox())!
  await page.mouse.move(left.x + 1, left.y + 10)
  await page.keyboard.down('Alt')
  await page.mouse.down()
  await page.mouse.move(left.x + 15, left.y + 10, { steps: 4 })
  await page.mouse.up()
  await page.keyboard.up('Alt')
  await expect.poll(() => number(page, 'Delay')).toBeGreaterThan(0.35)
  expect((await number(page, 'Delay')) + (await number(page, 'Duration'))).toBeCloseTo(whole + 0.3, 1)

  const end = page.getByRole('separator', { name: 'End of beat 1' })
  const before = Number(await end.getAttribute('aria-valuenow'))
  await end.focus()
  await page.keyboard.press('Shift+ArrowRight')
  await expect(said).toHaveText(/^Beat 1 holds/)
  await expect.poll(async () => Number(await end.getAttribute('aria-valuenow'))).toBeCloseTo(before + 1, 1)

  await page.keyboard.press('.')
  await page.getByRole('button', { name: 'New beat' }).click()
  await expect(page.locator('.columns .column')).toHaveCount(2)
  const moved = (await bar(page, /^Rise of Title, beat 1/).boundingBox())!
  const second = (await page.locator('.columns .column').nth(1).boundingBox())!
  await page.mouse.move(moved.x + moved.width / 2, moved.y + 10)
  await page.mouse.down()
  await page.mouse.move(second.x + 30 + moved.width / 2, moved.y + 10, { steps: 6 })
  await page.mouse.up()
  await expect(bar(page, /^Rise of Title, beat 2/)).toBeVisible()
})

test('a slide that holds for reading runs as long as it is told to; a beat holds the seconds that are written', async ({ page }) => {
  await timed(page, 'Ten seconds', ['Tides turn twice', '\tOnce at noon, and once when the last boat is in'])
  await page.getByLabel('Let it run').fill('10')
  await page.getByLabel('Let it run').press('Enter')
  await expect(page.getByTestId('slide-runs')).toHaveText('10.0 s')
  await page.getByLabel('Let it run').fill('1.5')
  await page.getByLabel('Let it run').press('Enter')
  await expect(page.getByTestId('slide-runs')).toHaveText('1.5 s')
  await choose(page.getByLabel('What is squeezed or stretched'), 'beat 1')
  await page.getByLabel('Hold of the beat').fill('2+1')
  await page.getByLabel('Hold of the beat').press('Enter')
  await expect(page.getByRole('separator', { name: 'End of beat 1' })).toHaveAttribute('aria-valuetext', 'holds 3.0 s')
})

test('all of a slide’s beats are in sight; one looks nearer and back, and rows stand as they are wanted', async ({ page }) => {
  await timed(page, 'Ten beats', ['Ten things', '\tOne after the other'])
  const columns = page.locator('.columns .column')
  for (let count = 1; count < 10; count++) {
    await page.keyboard.press('b')
    await expect(columns).toHaveCount(count + 1)
  }
  const shares = () =>
    page.locator('.score').evaluate(score => ({
      sight: score.clientWidth,
      all: score.scrollWidth,
    }))
  expect((await shares()).all).toBeLessThanOrEqual((await shares()).sight)
  await page.keyboard.press('+')
  await expect.poll(async () => (await shares()).all).toBeGreaterThan((await shares()).sight * 1.2)
  await page.keyboard.press('f')
  await expect.poll(async () => (await shares()).all).toBeLessThanOrEqual((await shares()).sight)
  await expect(columns.first()).toBeInViewport()
  const rows = page.locator('.score .part .choose > :first-child')
  const stacking = await rows.allTextContents()
  await motion(page, 'Title', 'Entrance', 'Rise')
  await lay(page, 'Rows in the order in which things happen')
  await expect(rows.first()).toHaveText('Title')
  await lay(page, 'Only rows of what moves')
  expect(await rows.count()).toBeLessThanOrEqual(stacking.length)
  await lay(page, 'Rows in the order in which things happen')
  await lay(page, 'Only rows of what moves')
  const divider = page.getByRole('separator', { name: 'Height of the score' })
  const height = async () => (await page.locator('.score').boundingBox())!.height
  const first = await height()
  await divider.focus()
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('ArrowUp')
  await expect.poll(height).toBeGreaterThan(first + 20)
})
