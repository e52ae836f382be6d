import { dropRecord, putRecord } from '../core/model'
import { expect, test, type Page } from '@playwright/test'
import postgres from 'postgres'
import sharp from 'sharp'
import { applyToDocument, liveTable } from '../core/live'
import { makePictures } from '../demo/pictures'
import { editDeck } from './support/live'
import { signedIn, enter, goPhase, newDeck } from './support/people'
import { databaseUrl } from './support/server'

const picture = (color: string) =>
  sharp({ create: { width: 420, height: 300, channels: 3, background: color } })
    .jpeg()
    .toBuffer()
const tile = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name.replace('.', '\\.')},`) })
const bring = async (page: Page, files: { name: string; mimeType: string; buffer: Buffer }[]) =>
  page.getByTestId('media-files').setInputFiles(files)

test('a file is brought into Media, described, found by word and colour, and replaced in the deck that shows it', async ({ page }) => {
  await enter(page)
  await page.getByRole('link', { name: 'Media' }).click()
  await expect(page.locator('[data-media]').first()).toBeVisible()
  await bring(page, [
    { name: 'buoy.jpg', mimeType: 'image/jpeg', buffer: await picture('#d01890') },
    { name: 'other buoy.jpg', mimeType: 'image/jpeg', buffer: await picture('#18d040') },
  ])
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
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^buoy\.jpg/ })
    .click()
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
  await expect(page.getByRole('button', { name: 'Remove from Media' })).toBeDisabled()
  await page.getByTestId('replace-media').click()
  await page.getByRole('dialog').getByLabel('Find in Media').fill('other buoy')
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^other buoy\.jpg/ })
    .click()
  await expect(page.getByRole('dialog')).toContainText('With a buoy')
  await page.getByTestId('replace-now').click()
  await expect(page.getByText('No deck shows it.')).toBeVisible()
  await page.goto(deck)
  await expect.poll(() => shown.getAttribute('src')).not.toBe(before)
})

test('films and sounds are kept with their lengths; what is none of them, or too much, gets one sentence', async ({ page, request }) => {
  await signedIn(page)
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
    [
      'broken.wav',
      Buffer.concat([Buffer.from('RIFF\x24\x00\x00\x00WAVEfmt '), Buffer.alloc(8)]),
      /“broken\.wav” (is damaged|holds nothing|is no film or sound)/,
    ],
    [
      'million.svg',
      Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg">${'<path d="M0 0"/>'.repeat(60_000)}</svg>`),
      /“million\.svg” has 60,001 elements/,
    ],
    ['many.gif', await gifOf(1200), /“many\.gif” has 1,200 frames/],
  ]
  for (const [name, buffer, words] of cases) {
    await bring(page, [{ name, mimeType: 'application/octet-stream', buffer }])
    await expect(page.getByText(words).first()).toBeVisible()
  }
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const small = await request.get(
    `/api/media/${(await (await request.get('/api/media?find=Morning+boat')).json()).items[0].hash}?width=320`,
  )
  expect(small.headers()['content-type']).toBe('image/webp')
  expect((await sharp(await small.body()).metadata()).width).toBe(320)
})

/** An animation of so many frames of one pixel each. */
async function gifOf(frames: number): Promise<Buffer> {
  const head = Buffer.from('47494638396101000100800000000000ffffff', 'hex')
  const frame = Buffer.from('21f90400010000002c00000000010001000002024401003b', 'hex').subarray(0, -1)
  return Buffer.concat([head, ...Array.from({ length: frames }, () => frame), Buffer.from([0x3b])])
}

test(
  'a file that anything needs stays in Media; a screen whose picture is gone all the same plays on, with a calm plate in its ' + 'place',
  async ({ page, request, browser }) => {
    await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
    const sql = postgres(databaseUrl(), { max: 1 })
    const [picture] = await makePictures(1)
    const bring = async (name: string, extra: number) =>
      (
        (await (
          await request.post(`/api/media?name=${name}.jpg`, {
            data: await sharp(picture!.bytes)
              .resize(300 + extra)
              .jpeg()
              .toBuffer(),
            headers: { 'content-type': 'application/octet-stream' },
          })
        ).json()) as { hash: string }
      ).hash
    const deckWith = async (title: string, hash: string) => {
      const { id } = (await (await request.post('/api/decks', { data: { title, purpose: 'loop' } })).json()) as { id: string }
      const editor = await editDeck(id)
      const slide = [...liveTable(editor.document, 'slides').keys()][0]!
      expect(
        await editor.change(document =>
          applyToDocument(document, [
            putRecord('elements', {
              id: 'shown',
              owner: slide,
              kind: 'picture',
              name: 'Shown',
              order: 'a5',
              media: hash,
              box: { x: 100, y: 100, width: 600, height: 400, angle: 0 },
            }),
          ]),
        ),
      ).toBe(true)
      editor.leave()
      return id
    }
    const refusedFor = async (hash: string) => {
      const answer = await request.delete(`/api/media/${hash}`)
      return [answer.status(), answer.status() === 200 ? '' : (await answer.json()).data.message]
    }
    const [removed, published, free] = [await bring('removed', 1), await bring('published', 2), await bring('free', 3)]
    const gone = await deckWith('Taken off the shelf', removed)
    await request.delete(`/api/decks/${gone}`)
    expect(await refusedFor(removed)).toEqual([
      409,
      expect.stringContaining('in “Taken off the shelf”, which was removed and can be restored'),
    ])
    const loop = await deckWith('On the wall', published)
    expect((await request.post(`/api/decks/${loop}/publish`)).status()).toBe(200)
    // Not in the deck any more, but on the wall.
    const editor = await editDeck(loop)
    await editor.change(document => applyToDocument(document, [dropRecord('elements', 'shown')]))
    editor.leave()
    expect(await refusedFor(published)).toEqual([409, expect.stringContaining('in the published version 1 of “On the wall”')])
    const themed = await bring('themed', 4)
    await sql`insert into themes (id, name, content) values ('theme-of-a-test', 'Only here', ${sql.json({ logo: { media: themed } })})`
    expect(await refusedFor(themed)).toEqual([409, expect.stringContaining('in the theme “Only here”')])
    await sql`delete from themes where id = 'theme-of-a-test'`
    expect(await refusedFor(themed)).toEqual([200, ''])
    expect(await refusedFor(free)).toEqual([200, ''])

    // Gone all the same, as by somebody at the database.
    await sql`delete from media where hash = ${published}`
    const made = (await (await request.post('/api/screens', { data: { name: 'With a hole' } })).json()) as { id: string; token: string }
    const { id: list } = (await (await request.post('/api/loops', { data: { name: 'With a hole' } })).json()) as { id: string }
    await request.put(`/api/loops/${list}/items`, { data: { items: [{ deck: loop }, { deck: 'demo-hall' }] } })
    await request.put(`/api/screens/${made.id}/loop`, { data: { loop: list } })
    const screen = await browser.newPage()
    await screen.goto(`/show/${made.id}#${made.token}`)
    await expect(screen.locator('.stage-slide').first()).toBeVisible()
    await expect(screen.locator('.words')).toHaveCount(0)
    await expect(screen.locator('.screen')).toHaveAttribute('data-reachable', 'true')
    await expect(screen.locator('.stage-lost').first()).toBeAttached({ timeout: 60_000 })

    // What it says it played is believed only where it can have been.
    const report = async (deck: string, version: number, startedAt: Date, seconds: number) =>
      (
        await (
          await request.post('/api/screen/report', {
            headers: { authorization: `Bearer ${made.token}` },
            data: { playing: null, plays: [{ deck, version, startedAt, seconds }] },
          })
        ).json()
      ).refused
    const now = Date.now()
    expect(await report('demo-hall', 1, new Date(now - 5000), 4)).toBe(0)
    expect(await report('demo-briefing', 1, new Date(now - 5000), 4)).toBe(1)
    expect(await report('demo-hall', 9, new Date(now - 5000), 4)).toBe(1)
    expect(await report('demo-hall', 1, new Date(now - 86_400_000), 4)).toBe(1)
    expect(await report('demo-hall', 1, new Date(now + 600_000), 4)).toBe(1)
    expect(await report('demo-hall', 1, new Date(now - 5000), 80_000)).toBe(1)
    await screen.close()
    await request.delete(`/api/screens/${made.id}`)
    await sql.end()
    await page.close()
  },
)
