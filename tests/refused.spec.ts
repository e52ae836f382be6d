import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import sharp from 'sharp'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { signedIn, look, newDeck, rundown, toast } from './support/people'

test('outlines that are too long, in other scripts or damaged: all there, or one sentence', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Much', 'Talk')
  const file = page.getByTestId('outline-file')
  await file.setInputFiles({ name: 'broken.opml', mimeType: 'text/xml', buffer: Buffer.from('<opml><body><outline text="a"></body>') })
  await expect(toast(page, /This OPML file is damaged/)).toBeVisible()
  await file.setInputFiles({
    name: 'scripts.md',
    mimeType: 'text/markdown',
    buffer: Buffer.from('# مرحبا بكم في الميناء 🚢\n- القارب الأول\n- القارب الثاني\n# Long\n- ' + 'x'.repeat(12_000)),
  })
  await expect(page.locator('.say textarea.title')).toHaveCount(2)
  await expect(page.getByLabel('Slide 1, line 2')).toHaveValue('القارب الثاني')
  await expect(toast(page, /cut at 10,000 letters/)).toBeVisible()
  await file.setInputFiles({
    name: 'many.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from(Array.from({ length: 5200 }, (_, index) => `${index % 20 ? '\t' : ''}Line ${index}`).join('\n')),
  })
  await expect(toast(page, /first 5,000 lines were taken; 200 more/)).toBeVisible({ timeout: 60_000 })
  await expect(rundown(page)).toContainText('252 slides', { timeout: 60_000 })
  await page.getByLabel('Slide 3', { exact: true }).click()
  await expect(page.getByLabel('Slide 3', { exact: true })).toBeFocused()
  await page.keyboard.press('End')
  await page.keyboard.type(' still fluent')
  await expect(page.getByLabel('Slide 3', { exact: true })).toHaveValue(/still fluent$/)
})

test('fonts, logos and themes that are not: one sentence, nothing lost', async ({ page, request }) => {
  await signedIn(page)
  await newDeck(page, 'Brought', 'Talk')
  await look(page, 'Fonts')
  await page.getByTestId('font-file').setInputFiles({ name: 'letter.woff2', mimeType: 'font/woff2', buffer: Buffer.from('no font at all') })
  await expect(toast(page, /“letter\.woff2” is no font file that can be read/)).toBeVisible()
  const folder = path.dirname(createRequire(import.meta.url).resolve('@fontsource/caveat/package.json'))
  const whole = await readFile(path.join(folder, 'files/caveat-latin-400-normal.woff2'))
  await page.getByTestId('font-file').setInputFiles({ name: 'half.woff2', mimeType: 'font/woff2', buffer: whole.subarray(0, 4000) })
  await expect(toast(page, /“half\.woff2” is damaged/)).toBeVisible()
  await page.getByTestId('font-file').setInputFiles({ name: 'caveat.woff2', mimeType: 'font/woff2', buffer: whole })
  await expect(toast(page, /Caveat, weight 400, is here for the whole team/)).toBeVisible()

  await look(page, 'Logo and footer')
  const dot = await sharp({ create: { width: 1, height: 1, channels: 4, background: '#123456' } })
    .png()
    .toBuffer()
  await page.getByTestId('logo-file').setInputFiles({ name: 'dot.png', mimeType: 'image/png', buffer: dot })
  await expect(toast(page, /1 × 1 px, too few for a logo/)).toBeVisible()
  const vast = await sharp({ create: { width: 8000, height: 5000, channels: 3, background: '#12615c' } })
    .png()
    .toBuffer()
  await page.getByTestId('logo-file').setInputFiles({ name: 'vast.png', mimeType: 'image/png', buffer: vast })
  await expect(page.locator('.shown.onLight img')).toBeVisible({ timeout: 30_000 })

  await page.request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const file = unzipSync(new Uint8Array(await (await page.request.get('/api/themes/theme-harbour/file')).body()))
  const deck = JSON.parse(strFromU8(file['deck.json']!))
  expect(Object.keys(deck.slides)).toEqual([])
  deck.info.info.format = 99
  const newer = zipSync({ ...file, 'deck.json': strToU8(JSON.stringify(deck)) })
  const refused = await page.request.post('/api/themes/file', {
    data: Buffer.from(newer),
    headers: { 'content-type': 'application/octet-stream' },
  })
  expect(refused.status()).toBe(422)
  expect((await refused.json()).message).toMatch(/newer Hailbank/)
  const again = await page.request.post('/api/themes/file', {
    data: await (await page.request.get('/api/themes/theme-harbour/file')).body(),
    headers: { 'content-type': 'application/octet-stream' },
  })
  expect(again.ok()).toBe(true)
  expect((await request.post('/api/fonts?name=x', { data: whole, headers: { 'content-type': 'application/octet-stream' } })).status()).toBe(
    401,
  )
})
