import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import type { MediaItem } from '../database/media'
import { ownIcon } from '../icons/own'
import { checkPicture } from './check'
import { describePicture } from './describe'
import { openPicture } from './picture'
import { alikeMedia, findMedia, kindOfMedia } from './find'

const item = (fields: Partial<MediaItem>): MediaItem => ({
  hash: 'a'.repeat(64),
  name: 'boat.jpg',
  type: 'image/jpeg',
  extension: 'jpg',
  bytes: 10,
  width: 10,
  height: 10,
  folder: '',
  tags: [],
  rights: '',
  credit: '',
  colors: [],
  likeness: null,
  createdAt: '',
  usedAt: '',
  by: null,
  ...fields,
})
const plain = (color: string, width: number, height: number) => sharp({ create: { width, height, channels: 3, background: color } })

describe('finding media', () => {
  const items = [
    item({ hash: '1', name: 'First bôat.jpg', folder: 'Harbour/Boats', tags: ['ferry'], colors: [{ hex: '#12615c', share: 0.9 }] }),
    item({ hash: '2', name: 'Horn.wav', type: 'audio/wav', folder: 'Sounds' }),
    item({ hash: '3', name: 'Waves.mp4', type: 'video/mp4', credit: 'Ines' }),
  ]
  it('by word in name, tags, folder and credit, without regard to marks and case', () => {
    expect(findMedia(items, { find: 'BOAT ferry' }).map(one => one.hash)).toEqual(['1'])
    expect(findMedia(items, { find: 'ines' }).map(one => one.hash)).toEqual(['3'])
  })
  it('by kind, by a folder with those in it, by tag and by colour', () => {
    expect(items.map(kindOfMedia)).toEqual(['picture', 'sound', 'film'])
    expect(findMedia(items, { find: '', folder: 'Harbour' }).map(one => one.hash)).toEqual(['1'])
    expect(findMedia(items, { find: '', tag: 'ferry' })).toHaveLength(1)
    expect(findMedia(items, { find: '', color: '#12615c' }).map(one => one.hash)).toEqual(['1'])
    expect(findMedia(items, { find: '', color: '#e6a037' })).toEqual([])
  })
  it('that look alike, whatever their size and format', async () => {
    const scene = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="640" height="400"><rect width="640" height="400" fill="#8ab"/><circle ' +
        'cx="180" cy="140" r="90" fill="#fd8"/><rect y="260" width="640" height="140" fill="#135"/><path d="M300 260L420 90L560 ' +
        '260Z" fill="#432"/></svg>',
    )
    const [large, small] = [await sharp(scene).jpeg().toBuffer(), await sharp(scene).resize(200).webp().toBuffer()]
    const likeness = async (bytes: Buffer) => (await describePicture(bytes)).likeness
    const groups = alikeMedia([
      item({ hash: '1', likeness: await likeness(large) }),
      item({ hash: '2', likeness: await likeness(small) }),
      item({ hash: '3', likeness: '0f0f3c3c5a5aa5a5' }),
    ])
    expect(groups.map(group => group.map(one => one.hash))).toEqual([['1', '2']])
  })
})

describe('a picture that is brought', () => {
  it('tells its size as it is seen, turned by its EXIF, and its colours', async () => {
    const turned = await plain('#d01890', 300, 200).withMetadata({ orientation: 6 }).jpeg().toBuffer()
    const checked = await checkPicture(turned, 'turned.jpg')
    expect(checked.ok && [checked.value.row.width, checked.value.row.height]).toEqual([200, 300])
    expect(checked.ok && Buffer.compare(Buffer.from(checked.value.content), turned)).toBe(0)
    expect((await describePicture(turned)).colors[0]!.share).toBeGreaterThan(0.95)
  })
  it('named like one kind that is another is taken for what it is, or refused with what it holds', async () => {
    const png = await plain('#112233', 8, 8).png().toBuffer()
    const checked = await checkPicture(png, 'photo.jpg')
    expect(checked.ok && checked.value.row.type).toBe('image/png')
    const other = await checkPicture(Buffer.from('%PDF-1.7\n1 0 obj'), 'photo.jpg')
    expect(other).toMatchObject({ ok: false, message: expect.stringContaining('application/pdf') })
  })
})

describe('a picture that is damaged', () => {
  const busy = Buffer.from(Array.from({ length: 600 * 400 * 3 }, (_, at) => (at * 7 + (at >> 9) * 13) & 255))
  const jpeg = () =>
    sharp(busy, { raw: { width: 600, height: 400, channels: 3 } })
      .jpeg({ quality: 90 })
      .toBuffer()
  const refused = { ok: false, message: '“quay.jpg” is damaged and cannot be decoded. Open it where it comes from and save it anew.' }
  /** Where the tables of a JPEG begin: what follows a marker and the length of its part. */
  const tablesOf = (bytes: Buffer, marker: number) => {
    for (let at = 2; bytes[at] === 0xff && bytes[at + 1] !== 0xda; at += 2 + bytes.readUInt16BE(at + 2))
      if (bytes[at + 1] === marker) return at + 4
    throw new Error('no such part')
  }

  it('in its tables, in its midst or by its end missing is refused at entry, not found by who shows it', async () => {
    const whole = await jpeg()
    expect((await checkPicture(whole, 'quay.jpg')).ok).toBe(true)
    for (const marker of [0xc0, 0xc4]) {
      const broken = Buffer.from(whole)
      for (let at = 0; at < 8; at++) broken[tablesOf(whole, marker) + 3 + at]! ^= 0x5b
      expect(await checkPicture(broken, 'quay.jpg')).toEqual(refused)
    }
    for (const share of [0.3, 0.6, 0.9]) {
      const garbled = Buffer.from(whole)
      for (let at = 0; at < 300; at++) garbled[Math.floor(whole.length * share) + at] = (at * 37) & 255
      expect(await checkPicture(garbled, 'quay.jpg')).toEqual(refused)
      expect(await checkPicture(whole.subarray(0, Math.floor(whole.length * share)), 'quay.jpg')).toEqual(refused)
    }
  })

  it('only in how its file is written, with every pixel there, is let in', async () => {
    const whole = await jpeg()
    // Bytes between two parts, as some cameras leave them: a decoder warns of them and goes on.
    const at = tablesOf(whole, 0xc4) - 4
    expect(
      (await checkPicture(Buffer.concat([whole.subarray(0, at), Buffer.from([0x41, 0x42, 0x43]), whole.subarray(at)]), 'quay.jpg')).ok,
    ).toBe(true)
  })

  it('is shown as far as it goes where it came in before that was looked at', async () => {
    const garbled = await jpeg()
    for (let at = 0; at < 300; at++) garbled[Math.floor(garbled.length / 2) + at] = (at * 37) & 255
    expect((await openPicture(garbled).resize({ width: 320 }).webp().toBuffer()).length).toBeGreaterThan(500)
    expect((await describePicture(garbled)).colors.length).toBeGreaterThan(0)
  })
})

describe('an icon of one’s own', () => {
  const svg = (inner: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32">${inner}</svg>`
  it('is read with what its groups say, and without what could do harm', () => {
    const made = ownIcon(
      svg(
        '<g fill="none" stroke="#123" stroke-width="3" transform="translate(2 2)"><circle cx="14" cy="14" ' +
          'r="10"/></g><script>alert(1)</script><defs><path d="M0 0h9v9z"/></defs>',
      ),
      'buoy.svg',
    )
    expect(made.ok && made.value).toMatchObject({ name: 'buoy', view: [32, 32], paths: [{ width: 3 }] })
  })
  it('without shapes, or with far too many, gets one sentence', () => {
    expect(ownIcon('<p>no</p>', 'no.svg')).toMatchObject({ ok: false })
    expect(ownIcon(svg('<rect width="1" height="1"/>'.repeat(500)), 'many.svg')).toMatchObject({
      ok: false,
      message: expect.stringContaining('500 shapes'),
    })
    expect(ownIcon(svg('<text>A</text>'), 'words.svg')).toMatchObject({ ok: false })
  })
})
