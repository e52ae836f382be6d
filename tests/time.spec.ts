import { expect, test } from '@playwright/test'
import { saved, slide } from './support/people'
import { applyToAll, motion, scrubTo, timed, timeStage as stage } from './support/score'
import { choose } from './support/choose'

test('a word is ringed on the stage, stays ringed when it is asked to, and the pace is drawn by hand', async ({ page }) => {
  await timed(page, 'Ringed', ['Night boat', '\tIt sails at ten'])
  await motion(page, 'Title', 'Emphasis', 'Ring round')
  await scrubTo(page, 120)
  const ring = stage(page).locator('.stage-strokes path')
  await expect(ring).toHaveCount(1)
  // Once round the words, which are far narrower than their box.
  const [drawn, box] = [(await ring.boundingBox())!, (await stage(page).boundingBox())!]
  expect(drawn.width).toBeLessThan(box.width * 0.6)
  await page.getByLabel('Duration').fill('0.5')
  await page.getByLabel('Duration').press('Enter')
  await scrubTo(page, 140)
  await expect(ring).toHaveCount(0)
  await page.getByLabel('Stays until the slide ends').check()
  await expect(ring).toHaveCount(1)

  await page.getByRole('button', { name: 'Curve', exact: true }).click()
  const handle = page.getByRole('slider', { name: 'How it starts' })
  await handle.scrollIntoViewIfNeeded()
  const at = (await handle.boundingBox())!
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2)
  await page.mouse.down()
  await page.mouse.move(at.x + at.width / 2 - 30, at.y - 20, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByLabel('Easing', { exact: true })).toHaveText('my own')
  await handle.focus()
  const before = await handle.getAttribute('aria-valuetext')
  await page.keyboard.press('ArrowUp')
  await expect(handle).not.toHaveAttribute('aria-valuetext', before!)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(handle).toHaveAttribute('aria-valuetext', before!)
})

test('a part goes along an arc that is bent on the stage, and along a way that is drawn there', async ({ page }) => {
  await timed(page, 'Bent', ['Ferry', '\tIt goes round the mole'])
  await motion(page, 'Title', 'Motion', 'Move along an arc')
  const pull = async (name: string, x: number, y: number) => {
    const grip = stage(page).getByRole('button', { name })
    const at = (await grip.boundingBox())!
    await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2)
    await page.mouse.down()
    await page.mouse.move(at.x + at.width / 2 + x, at.y + at.height / 2 + y, { steps: 5 })
    await page.mouse.up()
  }
  await pull('Where it goes', 40, 30)
  await expect.poll(() => page.getByLabel('Down', { exact: true }).inputValue().then(Number)).toBeGreaterThan(50)
  const bend = () => page.getByLabel('Bends by').inputValue().then(Number)
  const bent = await bend()
  await pull('How far it bends', 0, 60)
  await expect.poll(bend).toBeLessThan(bent - 20)
  await scrubTo(page, 200)
  const title = stage(page).locator('.stage-moving', { hasText: 'Ferry' })
  await expect(title).toHaveCSS('transform', /matrix/)

  await choose(page.getByLabel('Effect'), 'Move along a path')
  const path = page.getByLabel('Path', { exact: true })
  const first = await path.inputValue()
  await page.getByRole('button', { name: 'Draw the way' }).click()
  const box = (await stage(page).boundingBox())!
  await page.mouse.move(box.x + 60, box.y + 60)
  await page.mouse.down()
  for (let step = 1; step <= 12; step++) await page.mouse.move(box.x + 60 + step * 15, box.y + 60 + Math.sin(step) * 30)
  await page.mouse.up()
  await expect(path).not.toHaveValue(first)
  await expect(path).toHaveValue(/^M0 0C/)
})

test('what two slides share is carried from the one to the other, and a transition goes to all slides in one step', async ({ page }) => {
  await timed(page, 'Carried', ['Astrel', '\tEvery hour', 'Astrel', '\tEvery two hours', 'Quill', '\tQuiet'])
  await slide(page, 3).click()
  await choose(page.getByLabel('Transition', { exact: true }), 'Carry')
  await page.getByLabel('Length of the transition').fill('4')
  await page.getByLabel('Length of the transition').press('Enter')
  await page.getByRole('button', { name: 'all slides' }).click()
  await expect(page.getByText(/slides? comes? as this one does/).first()).toBeVisible()
  await slide(page, 2).click()
  await expect(page.getByLabel('Transition', { exact: true })).toHaveText('Carry')
  await expect(page.getByLabel('Length of the transition')).toHaveValue('4.0')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Transition', { exact: true })).toHaveText('Cut')
  await page.getByRole('button', { name: 'Redo' }).click()
  await saved(page)
  const id = /decks\/([^?]+)/.exec(page.url())![1]
  await page.goto(`/present/${id}`)
  await page.waitForSelector('.stage-slide')
  for (let press = 0; press < 2; press++) await page.keyboard.press('Space')
  // In the middle of the carry both slides are seen, and the shared title is drawn once.
  await expect
    .poll(() =>
      page.locator('.stage-layer').evaluateAll(layers => layers.filter(layer => getComputedStyle(layer).visibility === 'visible').length),
    )
    .toBe(2)
})

test('several cues are moved, carried to another slide and squeezed; a beat is parted and joined', async ({ page }) => {
  await timed(page, 'Score at work', ['First', '\tOne line', 'Second', '\tAnother line'])
  await motion(page, 'Title', 'Entrance', 'Fade')
  await motion(page, 'Title', 'Emphasis', 'Pulse')
  const bar = (name: RegExp) => page.getByRole('button', { name })
  const [fade, pulse] = [bar(/^Fade of Title/), bar(/^Pulse of Title/)]
  await fade.click()
  await pulse.click({ modifiers: ['Shift'] })
  await expect(page.getByText('2 cues are chosen.')).toBeVisible()
  const at = (await pulse.boundingBox())!
  await page.keyboard.down('Alt')
  await page.mouse.move(at.x + 12, at.y + 10)
  await page.mouse.down()
  await page.mouse.move(at.x + 102, at.y + 10, { steps: 5 })
  await page.mouse.up()
  await page.keyboard.up('Alt')
  const delay = () => page.getByLabel('Delay').inputValue().then(Number)
  await expect.poll(delay).toBeGreaterThan(0.5)
  const moved = await delay()
  await fade.click()
  await expect.poll(delay).toBeCloseTo(moved, 1)

  // The whole slide in half the time, then as long as is asked for.
  const runs = () =>
    page
      .getByTestId('slide-runs')
      .innerText()
      .then(text => Number.parseFloat(text))
  await page.getByRole('button', { name: '½ times as long' }).click()
  await expect.poll(delay).toBeCloseTo(moved / 2, 1)
  const wanted = (await runs()) + 3
  await page.getByLabel('Let it run').fill(String(wanted))
  await page.getByLabel('Let it run').press('Enter')
  await expect.poll(runs).toBeCloseTo(wanted, 0)

  // Parted between the two cues, the beat is two; joined again, one.
  const columns = (await page.locator('.columns').boundingBox())!
  await page.mouse.click(columns.x + 60, columns.y + 40)
  await page.getByRole('button', { name: 'Beat 1', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Split it at the playhead' }).click()
  await expect(page.getByRole('button', { name: 'Beat 2', exact: true })).toBeVisible()
  await expect(bar(/^Fade of Title, beat 2/)).toBeVisible()
  await page.getByRole('button', { name: 'Beat 1', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Join it with the next' }).click()
  await expect(page.getByRole('button', { name: 'Beat 2', exact: true })).toHaveCount(0)

  await applyToAll(page, 'Title')
  await slide(page, 2).click()
  await expect(bar(/^Fade of Title/)).toBeVisible()
  await expect(bar(/^Pulse of Title/)).toBeVisible()

  // What is usual is said once, and what differs is counted and follows.
  await bar(/^Fade of Title/).click()
  await page.getByRole('button', { name: 'Make this usual' }).click()
  await expect(page.getByText('Texts of this deck usually enter by fade.')).toBeVisible()
  await choose(page.getByLabel('Effect'), 'Wipe')
  await expect(page.getByText('here it is otherwise')).toBeVisible()
  await slide(page, 1).click()
  await bar(/^Fade of Title/).click()
  await page.getByRole('button', { name: 'Let the other one follow' }).click()
  await slide(page, 2).click()
  await expect(bar(/^Fade of Title/)).toBeVisible()
  await bar(/^Pulse of Title/).click()
  await page.keyboard.press('Delete')
  await expect(bar(/^Pulse of Title/)).toHaveCount(0)
  await saved(page)
})
