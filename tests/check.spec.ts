import { dropRecord, putRecord, setRecord, applyChanges, slidesOf, textOf, type Change, type Element } from '../core/model'
import { expect, test } from '@playwright/test'
import { packDeck } from '../core/formats/deck-file'
import { newDeck } from '../core/layouts'
import { signedIn, saved } from './support/people'
import { hit, tab } from './support/stage'

/** A deck of one slide on a gradient, with what a careful colleague would speak of. */
function deckWithFindings() {
  let count = 0
  const deck = newDeck({ title: 'To be looked at', purpose: 'talk' }, { id: () => `c${count++}` })
  const slide = slidesOf(deck)[0]!.id
  const put = (record: object): Change => putRecord('elements', { owner: slide, order: 'a5', ...record } as Element)
  const words = (id: string, name: string, text: string, box: object, more: object = {}) =>
    put({ id, kind: 'text', name, text: textOf([text]), box: { width: 700, height: 90, angle: 0, ...box }, ...more })
  const dark = { hex: '#0e2a30' }
  return applyChanges(deck, [
    ...Object.values(deck.elements)
      .filter(element => element.owner === slide && element.placeholder !== 'title')
      .map((element): Change => dropRecord('elements', element.id)),
    words('boxes', 'Welcome', 'Welcome 渡し場', { x: 100, y: 600 }),
    words('hidden', 'Notice', 'Nobody sees this line', { x: 1100, y: 500 }),
    put({
      id: 'plate',
      kind: 'shape',
      shape: 'rectangle',
      name: 'Plate',
      order: 'a7',
      fill: { role: 'accent2' },
      box: { x: 1080, y: 480, width: 740, height: 140, angle: 0 },
    }),
    words(
      'gilded',
      'Gilded',
      'In two colours',
      { x: 1100, y: 800 },
      {
        paint: {
          kind: 'linear',
          angle: 0,
          stops: [
            { color: { hex: '#ffffff' }, at: 0 },
            { color: { hex: '#eeeeee' }, at: 1 },
          ],
        },
      },
    ),
    setRecord('slides', slide, {
      backdrop: {
        fill: {
          kind: 'linear',
          angle: 160,
          stops: [
            { color: dark, at: 0 },
            { color: { hex: '#12403c' }, at: 1 },
          ],
        },
      },
    }),
  ])
}

test('Check names boxes, hidden words and what it could not measure; a remedy is seen before it is taken; settings tell what is seen', async ({
  page,
  request,
}) => {
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const { id } = await (
    await request.post('/api/decks/file', {
      data: Buffer.from(packDeck({ deck: deckWithFindings(), tables: [], media: [] })),
      headers: { 'content-type': 'application/octet-stream' },
    })
  ).json()
  await signedIn(page)
  await page.goto(`/decks/${id}?phase=check`)
  await expect(page.locator('.finding', { hasText: 'No font here has 渡 し 場, as “Welcome” needs' })).toBeVisible()
  const covered = page.locator('.finding', { hasText: '“Plate” lies over “Nobody” in “Notice”' })
  await expect(covered).toBeVisible()
  await expect(page.getByTestId('unmeasured')).toContainText(
    'Look yourself whether “Gilded” can be read: its letters are filled with more than one colour.',
  )

  // Only what was looked at is said to be well.
  await expect(page.getByText('every text can be read')).toHaveCount(0)
  // Pointed at, the slide beside it shows the words in front of the plate; left, it is as it was.
  const order = () =>
    page.locator('.group [data-element]').evaluateAll(nodes => nodes.map(node => (node as HTMLElement).dataset.element).join())
  const before = await order()
  const remedy = covered.getByRole('button', { name: 'Bring the words to the front' })
  await remedy.hover()
  await expect.poll(order).not.toBe(before)
  await page.mouse.move(5, 400)
  await expect.poll(order).toBe(before)
  await remedy.focus()
  await expect.poll(order).not.toBe(before)
  await page.keyboard.press('Enter')
  await expect(covered).toHaveCount(0)
  await saved(page)

  // What covers the ground is told where its plain colour is chosen; ink is shown as it is seen there.
  await page.goto(`/decks/${id}?phase=compose`)
  await expect(page.getByTestId('ground-cover')).toContainText('A gradient')
  await hit(page, 'Notice').click()
  await tab(page, 'Words')
  await page.getByRole('button', { name: /^Colour of the text: / }).click()
  const ink = await page.getByRole('button', { name: 'ink', exact: true }).evaluate(node => getComputedStyle(node).backgroundColor)
  expect(
    ink
      .match(/\d+/g)!
      .slice(0, 3)
      .map(Number)
      .reduce((sum, channel) => sum + channel),
  ).toBeGreaterThan(600)
  // A slider tells what it stands at while it is dragged, and is one edit when it is let go; it goes by its steps by keys.
  await page.getByRole('button', { name: 'ink', exact: true }).click()
  await page.getByRole('button', { name: /^Colour of the text: / }).click()
  const slider = page.getByRole('slider', { name: 'How solid colour of the text is' })
  await slider.hover()
  const [thumb, track] = [(await slider.boundingBox())!, (await page.locator('.alpha .track').boundingBox())!]
  await page.mouse.move(thumb.x + thumb.width / 2, thumb.y + thumb.height / 2)
  await page.mouse.down()
  await page.mouse.move(track.x + track.width / 2, track.y + track.height / 2, { steps: 3 })
  await expect(page.locator('.alpha .amount')).toHaveText('50 %')
  await page.mouse.up()
  await slider.press('ArrowLeft')
  await expect(slider).toHaveAttribute('aria-valuetext', '45 %')
  await page.keyboard.press('Control+z')
  await expect(slider).toHaveAttribute('aria-valuetext', '50 %')
  await page.keyboard.press('Control+z')
  await expect(slider).toHaveAttribute('aria-valuetext', '100 %')
})
