import { deflateSync } from 'node:zlib'
import { expect, test } from '@playwright/test'
import { strToU8, zipSync } from 'fflate'
import { makePictures } from '../demo/pictures'
import { signedIn, drop, enter, goPhase, newDeck } from './support/people'

/** A PNG whose head claims a size that nobody has the memory for. */
function hugePng(): Buffer {
  const crcTable = Array.from({ length: 256 }, (_, n) => {
    let c = n
    for (let k = 0; k < 8; k++) c = c & 1 ? 0xedb88320 ^ (c >>> 1) : c >>> 1
    return c >>> 0
  })
  const crc = (bytes: Buffer) => {
    let c = 0xffffffff
    for (const byte of bytes) c = crcTable[(c ^ byte) & 0xff]! ^ (c >>> 8)
    return (c ^ 0xffffffff) >>> 0
  }
  const chunk = (type: string, data: Buffer) => {
    const head = Buffer.alloc(4)
    head.writeUInt32BE(data.length)
    const body = Buffer.concat([Buffer.from(type), data])
    const tail = Buffer.alloc(4)
    tail.writeUInt32BE(crc(body))
    return Buffer.concat([head, body, tail])
  }
  const head = Buffer.alloc(13)
  head.writeUInt32BE(60_000, 0)
  head.writeUInt32BE(60_000, 4)
  head[8] = 8
  head[9] = 2
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', head),
    chunk('IDAT', deflateSync(Buffer.alloc(64))),
    chunk('IEND', Buffer.alloc(0)),
  ])
}

test('a file that is not what it is called, or broken, gets one sentence, and nothing changes', async ({ page }) => {
  await signedIn(page)
  await newDeck(page, 'Bad input', 'Talk')
  await goPhase(page, 'Compose')
  const [picture] = await makePictures(1)
  const cases: [string, Buffer, RegExp][] = [
    ['photo.jpg', Buffer.from('this is a letter'), /is no picture that can be read/],
    ['broken.jpg', picture!.bytes.subarray(0, 20_000), /is damaged and cannot be decoded/],
    ['huge.png', hugePng(), /150 megapixels/],
    ['empty.png', Buffer.alloc(0), /is empty/],
    ['page.png', Buffer.from('<html><script>alert(1)</script></html>'), /is no picture/],
    ['rows.csv', Buffer.from('a;b;c'), /holds no rows/],
    ['picture.csv', picture!.bytes, /is not text/],
  ]
  for (const [name, bytes, words] of cases) {
    await drop(page, '.area', { name, type: '', bytes })
    const sentence = page.getByText(words).first()
    await expect(sentence).toBeVisible()
    await expect(sentence).toContainText(name)
  }
  await expect(page.getByTestId('stage').locator('.stage-picture, .stage-chart')).toHaveCount(0)
})

test('an SVG with scripts and outside references comes in harmless, and is drawn', async ({ page, request }) => {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" viewBox="0 0 40 40" onload="alert(1)"><script>alert(2)</script><style>@import url(http://elsewhere.example/x.css)</style>
    <image href="http://elsewhere.example/x.png" width="10" height="10"/><use xlink:href="http://elsewhere.example/y.svg#z"/><a href="javascript:alert(3)"><rect width="40" height="40" fill="#12615c" style="background:url(http://elsewhere.example)"/></a><foreignObject><iframe src="http://elsewhere.example"/></foreignObject></svg>`
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const kept = await (
    await request.post('/api/media?name=mark.svg', { data: Buffer.from(svg), headers: { 'content-type': 'application/octet-stream' } })
  ).json()
  const answer = await request.get(`/api/media/${kept.hash}`)
  const text = await answer.text()
  expect(text).toContain('viewBox="0 0 40 40"')
  expect(text).toContain('#12615c')
  for (const harm of ['script', 'onload', 'elsewhere', 'javascript', 'foreignObject', 'style']) expect(text).not.toContain(harm)
  expect(answer.headers()['content-security-policy']).toContain("default-src 'none'")
  await enter(page)
  await page.setContent(`<img src="/api/media/${kept.hash}">`)
  await expect.poll(() => page.locator('img').evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(0)
})

test('media are answered in ranges', async ({ request }) => {
  await request.post('/api/session', { data: { demo: 'ines@velmoor.example' } })
  const [picture] = await makePictures(1)
  const { hash } = await (
    await request.post('/api/media?name=boat.jpg', { data: picture!.bytes, headers: { 'content-type': 'application/octet-stream' } })
  ).json()
  const part = (range: string) => request.get(`/api/media/${hash}`, { headers: { range } })
  const middle = await part('bytes=1000-1099')
  expect([middle.status(), middle.headers()['content-range']]).toEqual([206, `bytes 1000-1099/${picture!.bytes.length}`])
  expect(Buffer.compare(await middle.body(), picture!.bytes.subarray(1000, 1100))).toBe(0)
  expect(Buffer.compare(await (await part('bytes=-50')).body(), picture!.bytes.subarray(-50))).toBe(0)
  expect((await part('bytes=99999999-')).status()).toBe(416)
  expect(Buffer.compare(await (await request.get(`/api/media/${hash}`)).body(), picture!.bytes)).toBe(0)
})

test('a deck file that is damaged, newer, or a bomb gets a sentence, and no deck comes of it', async ({ page }) => {
  await enter(page)
  const decks = page.getByRole('link', { name: /^Open / })
  await expect(decks.first()).toBeVisible()
  const before = await decks.count()
  const cases: [Buffer, RegExp][] = [
    [Buffer.from('PK no zip'), /damaged: it cannot be unpacked/],
    [Buffer.from(zipSync({ 'deck.json': strToU8(JSON.stringify({ info: { info: { format: 99 } } })) })), /newer Hailbank/],
    [Buffer.from(zipSync({ 'deck.json': new Uint8Array(140 * 1024 * 1024) }, { level: 9 })), /unpack to more than/],
    [Buffer.from(zipSync({ 'notes.txt': strToU8('hello') })), /holds no deck\.json/],
  ]
  for (const [buffer, words] of cases) {
    await page.getByTestId('deck-file').setInputFiles({ name: 'deck.zip', mimeType: 'application/zip', buffer })
    await expect(page.getByText(words).first()).toBeVisible()
  }
  expect(await decks.count()).toBe(before)
})
