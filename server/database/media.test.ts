import { createHash } from 'node:crypto'
import { mkdtempSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { database } from './connection'
import {
  allMedia,
  changeMedia,
  chunkSize,
  decksWithMedia,
  describeMedia,
  dropMedia,
  keepMedia,
  keepMediaFile,
  keepMediaStep,
  keepPeaks,
  keepTraced,
  mediaBytes,
  mediaByHash,
  mediaIfThere,
  mediaItem,
  mediaLengths,
  mediaStep,
  soundOf,
  tracedOf,
} from './media'
import { addPerson } from './people'

const hashOf = (content: Uint8Array) => createHash('sha256').update(content).digest('hex')
const content = (length: number, from = 0) => Uint8Array.from({ length }, (_, index) => (index * 13 + from) % 251)
const rowOf = (bytes: Uint8Array, name = 'boat.png') => ({
  hash: hashOf(bytes),
  name,
  type: 'image/png',
  extension: 'png',
  bytes: bytes.length,
  width: 40,
  height: 30,
})
async function kept(bytes: Uint8Array, person: string | null = null, name?: string) {
  const row = rowOf(bytes, name)
  await keepMedia(row, bytes, person)
  return row.hash
}
const partsOf = async (hash: string, from: number, to: number) => {
  const parts: Uint8Array[] = []
  for await (const part of mediaBytes(hash, from, to)) parts.push(part)
  return Buffer.concat(parts)
}
let people = 0
const somebody = async () =>
  (await addPerson({ name: `Person ${++people}`, email: `p${people}@velmoor.example`, role: 'editor', passwordHash: null }))!.id

describe('a file in the database', () => {
  it('comes back as it went in, whole and in any part, across its chunks', async () => {
    const bytes = content(2 * chunkSize + 700)
    const hash = await kept(bytes)
    expect(Buffer.compare((await mediaIfThere(hash))!, bytes)).toBe(0)
    for (const [from, to] of [
      [0, 0],
      [chunkSize - 1, chunkSize],
      [10, 2 * chunkSize + 5],
      [2 * chunkSize, bytes.length - 1],
    ] as const)
      expect(Buffer.compare(await partsOf(hash, from, to), bytes.slice(from, to + 1))).toBe(0)
    expect(await mediaIfThere('0'.repeat(64))).toBeNull()
  })

  it('is the same whether it came in memory or lay on the machine', async () => {
    const bytes = content(chunkSize + 3, 5)
    const file = path.join(mkdtempSync(path.join(os.tmpdir(), 'hailbank-media-')), 'file')
    writeFileSync(file, bytes)
    await keepMediaFile(rowOf(bytes), file, null, false)
    expect(Buffer.compare((await mediaIfThere(hashOf(bytes)))!, bytes)).toBe(0)
  })

  it('is kept once, by whoever brought it first, and is of Media once somebody brings it', async () => {
    const [first, second] = [await somebody(), await somebody()]
    const bytes = content(90, 7)
    const hash = await kept(bytes, first, 'first.png')
    await database()`update media set made = true where hash = ${hash}`
    expect((await allMedia()).some(item => item.hash === hash)).toBe(false)
    await kept(bytes, second, 'second.png')
    expect((await allMedia()).find(item => item.hash === hash)).toMatchObject({
      name: 'first.png',
      by: expect.stringContaining('Person') as string,
    })
    expect(await database()`select 1 from media_chunks where hash = ${hash}`).toHaveLength(1)
  })

  it('is not taken where somebody has no more room, and nothing of it stays', async () => {
    const person = await somebody()
    process.env.HAILBANK_PERSON_GB = '1'
    const large = await kept(content(10, 11), person)
    await database()`update media set bytes = ${1.5 * 1024 ** 3} where hash = ${large}`
    const bytes = content(20, 12)
    await expect(kept(bytes, person)).rejects.toThrow('more than the 1 GB')
    expect(await mediaByHash(hashOf(bytes))).toBeUndefined()
    expect(await database()`select 1 from media_chunks where hash = ${hashOf(bytes)}`).toHaveLength(0)
    delete process.env.HAILBANK_PERSON_GB
    await kept(bytes, await somebody())
  })

  it('is found by what is said of it', async () => {
    const hash = await kept(content(50, 20))
    await changeMedia(hash, { name: 'Quay at dusk', folder: 'Harbour', tags: ['quay'], rights: 'ours', credit: 'Ines Rahm' })
    await changeMedia(hash, {})
    await describeMedia(hash, { colors: [], likeness: '0f0f' })
    expect(await mediaItem(hash)).toMatchObject({
      name: 'Quay at dusk',
      folder: 'Harbour',
      tags: ['quay'],
      rights: 'ours',
      credit: 'Ines Rahm',
      likeness: '0f0f',
      by: null,
    })
  })

  it('is known by how long and loud it is, and by the lines in it', async () => {
    const [sound, picture] = [await kept(content(60, 30)), await kept(content(60, 31))]
    await database()`update media set seconds = 12.5 where hash = ${sound}`
    await keepPeaks(sound, Uint8Array.of(1, 2, 3))
    expect(await mediaLengths([sound, picture, '0'.repeat(64)])).toEqual({ [sound]: 12.5 })
    expect(await mediaLengths([])).toEqual({})
    expect([...(await soundOf(sound))!.peaks!]).toEqual([1, 2, 3])
    expect(await soundOf('0'.repeat(64))).toBeNull()
    expect([await tracedOf(picture), await tracedOf('0'.repeat(64))]).toEqual([null, undefined])
    const traced = { width: 1, height: 1, lines: [] } as unknown as Parameters<typeof keepTraced>[1]
    await keepTraced(picture, traced)
    expect(await tracedOf(picture)).toEqual(traced)
  })

  it('has smaller copies, each made once', async () => {
    const hash = await kept(content(70, 40))
    expect(await mediaStep(hash, 320, 0)).toBeUndefined()
    await keepMediaStep(hash, 320, 0, 'image/webp', Buffer.of(1))
    await keepMediaStep(hash, 320, 0, 'image/webp', Buffer.of(2))
    expect([...(await mediaStep(hash, 320, 0))!.content]).toEqual([1])
    await dropMedia(hash)
    expect(await mediaStep(hash, 320, 0)).toBeUndefined()
  })

  it('is named by the decks that show it, unless they were removed', async () => {
    const hash = await kept(content(80, 50))
    await database()`insert into decks (id, title, purpose, snapshot) values
      ('shows-it', 'Shows it', 'talk', ${JSON.stringify({ media: hash })}::text::jsonb), ('does-not', 'Does not', 'talk', '{}')`
    expect((await decksWithMedia(hash)).map(({ id }) => id)).toEqual(['shows-it'])
    await database()`update decks set removed_at = now() where id = 'shows-it'`
    expect(await decksWithMedia(hash)).toEqual([])
  })
})
