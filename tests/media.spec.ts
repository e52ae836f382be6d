import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import { enter, goPhase, newDeck } from './support/people'

const picture = (color: string) => sharp({ create: { width: 420, height: 300, channels: 3, background: color } }).jpeg().toBuffer()
const tile = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name.replace('.', '\\.')},`) })
const bring = async (page: Page, files: { name: string, mimeType: string, buffer: Buffer }[]) => page.getByTestId('media-files').setInputFiles(files)

test('a file is brought into Media, described, found by word and colour, and replaced in the deck that shows it', async ({ page }) => {
  await enter(page)
  await page.getByRole('link', { name: 'Media' }).click()
  await expect(tile(page, 'First boat out.jpg')).toBeVisible()
  await bring(page, [{ name: 'buoy.jpg', mimeType: 'image/jpeg', buffer: await picture('#d01890') }, { name: 'other buoy.jpg', mimeType: 'image/jpeg', buffer: await picture('#18d040') }])
  await tile(page, 'buoy.jpg').click()
  await page.getByLabel('Folder', { exact: true }).fill('Sea marks')
  await page.getByLabel('Folder', { exact: true }).press('Enter')
  await page.getByLabel('Credit line').fill('Photograph: Ines Rahm')
  await page.getByLabel('Credit line').press('Enter')
  await page.getByLabel('Another tag').fill('buoy')
  await page.getByLabel('Another tag').press('Enter')
  await expect(page.getByRole('button', { name: 'Without buoy' })).toBeVisible()
  await expect(page.getByText('No deck shows it.')).toBeVisible()
  await page.getByLabel('Colour by its value').fill('#d01890')
  await page.getByLabel('Colour by its value').press('Enter')
  await expect(page.locator('[data-media]').first()).toContainText('buoy.jpg')
  await expect(tile(page, 'other buoy.jpg')).toHaveCount(0)
  await page.getByRole('button', { name: 'Show all' }).click()
  await page.getByLabel('Find in Media').fill('sea marks')
  await expect(page.locator('[data-media]')).toHaveCount(1)

  await page.goto('/')
  await newDeck(page, 'With a buoy', 'Talk')
  await goPhase(page, 'Compose')
  await page.getByRole('toolbar', { name: 'Add' }).getByRole('button', { name: 'Picture', exact: true }).click()
  await page.getByLabel('Find in Media').fill('sea marks')
  await page.getByRole('dialog').getByRole('button', { name: /^buoy\.jpg/ }).click()
  const shown = page.getByTestId('stage').locator('.stage-picture img')
  const before = (await shown.getAttribute('src'))!
  await expect(page.getByTestId('saved')).toHaveText(/^Saved/)
  await page.getByTestId('stage').click({ position: { x: 5, y: 5 } })
  await page.getByRole('button', { name: 'Put the credit lines here' }).click()
  await expect(page.getByTestId('stage')).toContainText('Photograph: Ines Rahm')
  const deck = page.url()

  await page.goto('/media')
  // What was put on a slide stands first among those used last.
  await expect(page.locator('[data-media]').first()).toContainText('buoy.jpg')
  await page.getByLabel('Find in Media').fill('buoy')
  await tile(page, 'buoy.jpg').click()
  await expect(page.getByRole('link', { name: 'With a buoy' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Take it out' })).toBeDisabled()
  await page.getByTestId('replace-media').click()
  await page.getByRole('dialog').getByLabel('Find in Media').fill('other buoy')
  await page.getByRole('dialog').getByRole('button', { name: /^other buoy\.jpg/ }).click()
  await expect(page.getByRole('dialog')).toContainText('With a buoy')
  await page.getByTestId('replace-now').click()
  await expect(page.getByText('No deck shows it.')).toBeVisible()
  await page.goto(deck)
  await expect.poll(() => shown.getAttribute('src')).not.toBe(before)
})

test('films and sounds are kept with their lengths; what is none of them, or too much, gets one sentence', async ({ page, request }) => {
  await enter(page)
  await page.goto('/media')
  await page.getByRole('radio', { name: 'Films' }).click()
  await expect(page.locator('[data-media]', { hasText: 'Waves rolling in' })).toHaveCount(1)
  await expect(page.locator('[data-media]', { hasText: 'Harbour bell' })).toHaveCount(0)
  await page.getByRole('radio', { name: 'Sounds' }).click()
  await expect(page.locator('[data-media]', { hasText: 'Harbour bell' })).toHaveCount(1)
  await expect(page.locator('[data-media]', { hasText: 'Waves rolling in' })).toHaveCount(0)
  await expect(page.locator('[data-media]').first()).toContainText(/0:0\d/)
  await page.getByRole('button', { name: 'Show all' }).click()
  const cases: [string, Buffer, RegExp][] = [
    ['letter.mp4', Buffer.from('this is a letter'), /“letter\.mp4” is no film or sound that can be read/],
    ['broken.wav', Buffer.concat([Buffer.from('RIFF\x24\x00\x00\x00WAVEfmt '), Buffer.alloc(8)]), /“broken\.wav” (is damaged|holds nothing|is no film or sound)/],
    ['million.svg', Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg">${'<path d="M0 0"/>'.repeat(60_000)}</svg>`), /“million\.svg” has 60,001 elements/],
    ['many.gif', await gifOf(1200), /“many\.gif” has 1,200 frames/],
  ]
  for (const [name, buffer, words] of cases) {
    await bring(page, [{ name, mimeType: 'application/octet-stream', buffer }])
    await expect(page.getByText(words).first()).toBeVisible()
  }
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const small = await request.get(`/api/media/${(await (await request.get('/api/media?find=Morning+boat')).json()).items[0].hash}?width=320`)
  expect(small.headers()['content-type']).toBe('image/webp')
  expect((await sharp(await small.body()).metadata()).width).toBe(320)
})

/** An animation of so many frames of one pixel each. */
async function gifOf(frames: number): Promise<Buffer> {
  const head = Buffer.from('47494638396101000100800000000000ffffff', 'hex')
  const frame = Buffer.from('21f90400010000002c00000000010001000002024401003b', 'hex').subarray(0, -1)
  return Buffer.concat([head, ...Array.from({ length: frames }, () => frame), Buffer.from([0x3b])])
}
