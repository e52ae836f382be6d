import { readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, test, type Page } from '@playwright/test'
import sharp from 'sharp'
import { unzipSync } from 'fflate'
import { choose } from './support/choose'
import { click, counted, frameOf, greyFilm, onsetOf, place } from './support/clips'
import { signedIn, goPhase, saved, newDeck, paste } from './support/people'
import { inStores } from './support/stores'
import { killWorker, startWorkerAgain } from './support/server'

/** How far two pictures are apart, 0 to 255 a px on average. */
async function apart(a: Buffer, b: Buffer): Promise<number> {
  const raw = (picture: Buffer) => sharp(picture).resize(320, 180, { fit: 'fill' }).removeAlpha().raw().toBuffer()
  const [first, second] = await Promise.all([raw(a), raw(b)])
  return first.reduce((sum, value, index) => sum + Math.abs(value - second[index]!), 0) / first.length
}
const films = (page: Page) => page.getByRole('region', { name: 'Film', exact: true })
const input = (page: Page, label: string, words: string) => choose(films(page).getByLabel(label, { exact: true }), words)
async function take(page: Page): Promise<string> {
  const download = page.waitForEvent('download')
  await films(page).getByRole('link', { name: 'Download' }).first().click()
  const file = path.join(place(), (await download).suggestedFilename())
  await (await download).saveAs(file)
  return file
}

test('a film is exact in its frames, its sound and its pictures; stills come by beat, other shapes are fitted anew', async ({ page }) => {
  // A stage that is larger than the film, so that its pixels are finer than those it is compared with.
  await page.setViewportSize({ width: 1600, height: 1200 })
  await signedIn(page)
  await newDeck(page, 'Exact film', 'Film')
  await paste(page, 'textarea.title', 'Ferry to the island\n\tIt leaves at ten\nThe way back\n\tIt leaves at noon')
  await saved(page)
  await goPhase(page, 'Time')
  await page.getByRole('region', { name: 'Score' }).getByRole('button', { name: 'Motion for Title' }).click()
  await page.getByRole('menuitem', { name: 'Entrance', exact: true }).click()
  await page.getByRole('menuitem', { name: 'Rise', exact: true }).click()
  await page.getByLabel('Duration').fill('1.6')
  await page.getByLabel('Duration').press('Enter')
  await page.getByLabel('Delay').fill('0.4')
  await page.getByLabel('Delay').press('Enter')
  // A click a second into its file, put at the slide’s opening.
  await inStores(page, ({ deck, where }) => where.goTo({ slide: deck.plan.slides[0]!.slide, beat: 0, seconds: 0 }))
  await page.getByRole('button', { name: 'Add sound' }).click()
  await page.getByRole('menuitem', { name: 'One sound at the playhead' }).click()
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'A file of your own' }).click()
  await (await chooser).setFiles({ name: 'click.wav', mimeType: 'audio/wav', buffer: click(1, 2) })
  await expect(page.locator('.piece.effect')).toHaveCount(1)
  // The middle of the cue: 0.4 s and half of 1.6 s.
  await inStores(page, ({ deck, where }) => where.goTo({ slide: deck.plan.slides[0]!.slide, beat: 0, seconds: 1.2 }))
  await page.waitForTimeout(300)
  const staged = await page.getByTestId('time-stage').screenshot()
  const length = await inStores(page, ({ deck }) => deck.plan.length)
  await saved(page)

  await goPhase(page, 'Deliver')
  await input(page, 'Shorter side', '360 px')
  await films(page).getByRole('button', { name: 'Make the film' }).click()
  await expect(films(page).locator('[data-film=done]')).toHaveCount(1, { timeout: 200_000 })
  const film = await take(page)
  const { streams, format } = counted(film)
  const picture = streams.find(stream => stream.codec_type === 'video')!
  expect([picture.codec_name, picture.width, picture.height, Number(picture.nb_read_frames)]).toEqual([
    'h264',
    640,
    360,
    Math.round(length * 30),
  ])
  expect(streams.find(stream => stream.codec_type === 'audio')!.codec_name).toBe('aac')
  expect(Math.abs(Number(format.duration) - length)).toBeLessThan(0.05)
  expect(Math.abs(onsetOf(film) - 1)).toBeLessThan(0.04)
  expect(await apart(frameOf(film, 36), staged)).toBeLessThan(4)
  // Another moment is another picture.
  expect(await apart(frameOf(film, 8), staged)).toBeGreaterThan(1)

  await input(page, 'Format', 'Still pictures by beat')
  await input(page, 'Shape', 'tall, 9 : 16')
  await films(page).getByRole('button', { name: 'Make the film' }).click()
  await expect(films(page).locator('[data-film=done]')).toHaveCount(2, { timeout: 200_000 })
  const stills = await take(page)
  const pictures = unzipSync(new Uint8Array(readFileSync(stills)))
  expect(Object.keys(pictures)).toEqual(['slide-001-beat-01.png', 'slide-002-beat-01.png'])
  expect(await sharp(Buffer.from(pictures['slide-001-beat-01.png']!)).metadata()).toMatchObject({ width: 360, height: 640 })
})

test('a film whose maker is killed in the midst is made all the same; one that is cancelled stops, and begins again when asked', async ({
  page,
}) => {
  await signedIn(page)
  await page.goto('/decks/demo-seasons?phase=deliver')
  await input(page, 'Format', 'WebM film')
  await input(page, 'Shorter side', '360 px')
  await films(page).getByRole('button', { name: 'Make the film' }).click()
  const bar = films(page).getByRole('progressbar').first()
  await expect.poll(async () => Number(await bar.getAttribute('aria-valuenow')), { timeout: 60_000 }).toBeGreaterThan(30)
  killWorker()
  startWorkerAgain()
  await films(page).getByRole('button', { name: 'Make the film' }).click()
  await films(page).getByRole('button', { name: 'Cancel' }).first().click()
  await expect(films(page).locator('[data-film=cancelled]')).toHaveCount(1)
  await expect(films(page).locator('[data-film=done]')).toHaveCount(1, { timeout: 200_000 })
  await films(page).getByRole('button', { name: 'Try again' }).click()
  await expect(films(page).locator('[data-film=cancelled]')).toHaveCount(0)
  await films(page).getByRole('button', { name: 'Cancel' }).click()
  await expect(films(page).locator('[data-film=cancelled]')).toHaveCount(1)
  const file = await take(page)
  const length = await inStores(page, ({ deck }) => deck.plan.length)
  expect(Number(counted(file).streams.find(stream => stream.codec_type === 'video')!.nb_read_frames)).toBe(Math.round(length * 30))
})

test('a clip in a film stands at its very moment in each frame, and an animation of pictures is as long', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Clip within', 'Film')
  await saved(page)
  await goPhase(page, 'Compose')
  await page.getByTestId('clip-file').setInputFiles({ name: 'grey.mp4', mimeType: 'video/mp4', buffer: greyFilm(4, 'grey.mp4') })
  await expect(page.locator('.stage-film')).toBeVisible()
  await saved(page)
  await goPhase(page, 'Deliver')
  await input(page, 'Shorter side', '360 px')
  await input(page, 'Frames a second', '25')
  await films(page).getByRole('button', { name: 'Make the film' }).click()
  await expect(films(page).locator('[data-film=done]')).toHaveCount(1, { timeout: 200_000 })
  const film = await take(page)
  const length = await inStores(page, ({ deck }) => deck.plan.length)
  expect(Number(counted(film).streams[0]!.nb_read_frames)).toBe(Math.round(length * 25))
  // The film grows lighter by 2 of 255 a frame; what a picture says of its moment is right to a frame or two.
  const greyAt = async (frame: number) => {
    const { data, info } = await sharp(frameOf(film, frame)).greyscale().raw().toBuffer({ resolveWithObject: true })
    return data[Math.floor(info.height / 2) * info.width * info.channels + Math.floor(info.width / 2) * info.channels]!
  }
  const greys = await Promise.all([4, 9, 14, 19].map(greyAt))
  greys.slice(1).forEach((grey, index) => expect(Math.abs(grey - greys[index]! - 10)).toBeLessThan(4))

  await input(page, 'Format', 'GIF animation')
  await films(page).getByRole('button', { name: 'Make the film' }).click()
  await expect(films(page).locator('[data-film=done]')).toHaveCount(2, { timeout: 200_000 })
  const { format } = counted(await take(page))
  expect(Math.abs(Number(format.duration) - length)).toBeLessThan(0.1)
})
