import { chromium, expect, test, type Page } from '@playwright/test'
import { greyFilm, voiceFile } from './support/clips'
import { drop, goPhase, saved, toast } from './support/people'
import { inStores } from './support/stores'
import { timed } from './support/score'

const script = 'Good morning to you all. Two more boats run on Saturdays. And dogs travel free.'
/** The length of the slide at work as Time tells it, seconds. */
const runs = async (page: Page) => Number.parseFloat(await page.getByTestId('slide-runs').innerText())

/** A browser whose microphone and camera are small stand-ins. */
async function withMicrophone(allowed: boolean, work: (page: Page) => Promise<void>) {
  const { launchOptions, baseURL } = test.info().project.use
  const browser = await chromium.launch({
    ...launchOptions,
    args: [
      ...(launchOptions?.args ?? []),
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${voiceFile(script)}%noloop`,
      '--autoplay-policy=no-user-gesture-required',
      ...(allowed ? ['--use-fake-ui-for-media-stream'] : []),
    ],
  })
  const context = await browser.newContext({
    baseURL,
    viewport: { width: 1280, height: 800 },
    permissions: allowed ? ['microphone', 'camera'] : [],
  })
  const page = await context.newPage()
  page.setDefaultTimeout(30_000)
  try {
    await work(page)
  } finally {
    await browser.close()
  }
}
test('a slide is narrated in place, its beats are tapped to the voice, then taken from its pauses, with captions', async () => {
  await withMicrophone(true, async page => {
    await timed(page, 'Narrated', ['Saturdays', '\tTwo more boats', '\tDogs travel free'], 'Film')
    await inStores(
      page,
      ({ deck, where }, notes) => deck.edit('write notes', [{ do: 'set', table: 'slides', id: where.slideId, fields: { notes } }]),
      script,
    )
    await page.getByRole('button', { name: 'Add sound' }).click()
    await page.getByRole('menuitem', { name: 'Record the slide’s voice' }).click()
    await expect(page.getByText(script)).toBeVisible()
    await page.getByRole('button', { name: 'Record', exact: true }).click()
    await expect.poll(async () => Number(await page.getByRole('meter').getAttribute('aria-valuenow'))).toBeGreaterThan(5)
    await page.waitForTimeout(6500)
    await page.getByRole('button', { name: 'Stop', exact: true }).click()
    await page.getByRole('button', { name: 'Keep it' }).click()
    const settings = page.getByRole('complementary', { name: 'Settings of the sound' })
    await expect(settings.getByRole('heading', { name: 'Voice' })).toBeVisible()
    await expect(page.locator('.piece.narration .wave')).toHaveCount(1)

    await page.getByRole('button', { name: 'Tap the beats' }).click()
    // By the clock of what is heard, which a machine under load may start late.
    const heard = async () => Number.parseFloat(/([\d.]+) s/.exec((await page.locator('.transport .at').textContent())!)![1]!)
    await expect.poll(heard, { intervals: [50] }).toBeGreaterThan(1.4)
    await page.keyboard.press('Space')
    await expect.poll(heard, { intervals: [50] }).toBeLessThan(0.6)
    await expect.poll(heard, { intervals: [50] }).toBeGreaterThan(0.8)
    await page.keyboard.press('Space')
    const told = toast(page, /The slide’s beats begin at [\d.]+ and [\d.]+ s/)
    await expect(told).toBeVisible()
    const [first, second] = Array.from((await told.innerText()).matchAll(/\d+\.\d+/g), ([number]) => Number(number)) as [number, number]
    expect(first).toBeGreaterThanOrEqual(1.3)
    expect(second - first).toBeGreaterThanOrEqual(0.6)
    await expect(page.getByRole('button', { name: 'Beat 3', exact: true })).toBeVisible()
    // The slide now lasts as long as its voice.
    const voice = Number(/of its ([\d.]+)/.exec(await settings.innerText())![1])
    expect(Math.abs((await runs(page)) - voice)).toBeLessThan(0.3)

    await settings.getByRole('button', { name: 'Beats from the voice' }).click()
    await expect(page.getByText(/2 beats would begin at/)).toBeVisible()
    await expect(page.locator('.proposed')).toHaveCount(2)
    await page.getByRole('button', { name: 'Start them there' }).click()
    await expect(page.locator('.proposed')).toHaveCount(0)
    await settings.getByRole('button', { name: 'From the notes' }).click()
    await expect(settings.getByLabel('Caption 2', { exact: true })).toHaveValue('Two more boats run on Saturdays.')
    await settings.getByLabel('Caption 2', { exact: true }).fill('Two boats more, on Saturdays.')
    await settings.getByLabel('Caption 2', { exact: true }).blur()
    await saved(page)
    // Read along where the film is played.
    await page.goto(page.url().replace('/decks/', '/present/').replace(/\?.*/, '?as=film'))
    await page.getByRole('button', { name: 'Captions' }).click()
    // Back to its beginning, which has gone by meanwhile.
    await page.keyboard.press('ArrowLeft')
    await expect(page.locator('.caption-line')).toContainText('Good morning to you all.')
    await expect(page.locator('.caption-line')).toContainText('Two boats more, on Saturdays.')
  })
})

test('a microphone that is refused is said so in one sentence, and nothing is lost', async () => {
  await withMicrophone(false, async page => {
    await timed(page, 'Refused', ['Silence'], 'Film')
    await page.getByRole('button', { name: 'Add sound' }).click()
    await page.getByRole('menuitem', { name: 'Record the slide’s voice' }).click()
    await page.getByRole('button', { name: 'Record', exact: true }).click()
    await expect(page.getByRole('alert')).toHaveText(/may not use the microphone\. Allow it beside the address/)
    await expect(page.getByRole('button', { name: 'Record', exact: true })).toBeVisible()
  })
})

test('a film longer than its slide asks what is meant, and the slide holds for it; music lies under the deck', async ({ page }) => {
  await timed(page, 'With a film', ['The light', 'The quay', 'The end'], 'Film')
  await goPhase(page, 'Compose')
  await drop(page, '.stage-slide', { name: 'waves.mp4', type: 'video/mp4', bytes: greyFilm(9, 'waves.mp4') })
  await expect(page.locator('.stage-film').first()).toBeVisible()
  await goPhase(page, 'Time')
  const answers = page.getByTestId('clip-answers')
  await expect(answers).toContainText(/“waves” plays 9\.0 s, [\d.]+ s longer/)
  await expect(answers.getByRole('button')).toHaveText([
    /Hold the slide for it.*the slide runs 9\.0 s/,
    /Trim it/,
    /Let it run on over the next/,
    /Let it begin again/,
  ])
  await answers.getByRole('button', { name: /Hold the slide/ }).click()
  await expect(answers).toHaveCount(0)
  expect(await runs(page)).toBe(9)
  // The stage at work shows the film where it is at that moment.
  await inStores(page, ({ where }) => where.goTo({ slide: where.slideId, beat: 0, seconds: 4 }))
  await expect
    .poll(() =>
      page
        .getByTestId('time-stage')
        .locator('video')
        .evaluate((video: HTMLVideoElement) => Math.round(video.currentTime * 10) / 10),
    )
    .toBe(4)

  await page.getByRole('button', { name: 'Add sound' }).click()
  await page.getByRole('menuitem', { name: 'Music under slides' }).click()
  await page
    .getByRole('button', { name: /Quiet bed/ })
    .first()
    .click()
  await expect(page.locator('.piece.bed').first()).toBeVisible()
  await expect(page.getByLabel('Until slide')).toHaveText(/\S/)
  const ducked = page.getByRole('slider', { name: 'Under a voice' })
  await ducked.press('Home')
  await expect(ducked).toHaveAttribute('aria-valuetext', '0 %')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(ducked).toHaveAttribute('aria-valuetext', '30 %')
})

test('films of all kinds are made playable, and what is none gets one sentence', async ({ page }) => {
  await timed(page, 'All kinds', ['Here'], 'Film')
  await goPhase(page, 'Compose')
  await page
    .getByTestId('clip-file')
    .setInputFiles({ name: 'old.avi', mimeType: 'video/x-msvideo', buffer: greyFilm(3, 'old.avi', '-s', '322x182', '-c:v', 'mpeg4') })
  await expect(page.locator('.stage-film')).toBeVisible({ timeout: 90_000 })
  await page.getByTestId('clip-file').setInputFiles({ name: 'fake.mp4', mimeType: 'video/mp4', buffer: Buffer.from('this is no film') })
  await expect(toast(page, /“fake\.mp4” is no film or sound that can be read, or it is damaged/)).toBeVisible()
  await page
    .getByTestId('clip-file')
    .setInputFiles({ name: 'half.mp4', mimeType: 'video/mp4', buffer: greyFilm(3, 'half.mp4').subarray(0, 2000) })
  await expect(toast(page, /“half\.mp4” is no film or sound/)).toBeVisible()
  await expect(page.locator('.stage-film')).toHaveCount(1)
})
