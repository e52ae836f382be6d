import { readFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import path from 'node:path'
import { describe, expect, it } from 'vitest'
import { checkFont } from './check'

const file = (name: string) =>
  readFile(path.join(path.dirname(createRequire(import.meta.url).resolve('@fontsource/lora/package.json')), 'files', name))

describe('a font file', () => {
  it('tells its family, weight and slant', async () => {
    const bold = await checkFont(await file('lora-latin-700-italic.woff2'), 'bold.woff2')
    expect(bold.ok && bold.value.info).toMatchObject({ family: 'Lora', weight: 700, italic: true })
    expect(bold.ok && bold.value.row).toMatchObject({ type: 'font/woff2', extension: 'woff2' })
  })

  it.each([
    ['letter.ttf', Buffer.from('a letter'), /is no font file/],
    ['empty.otf', Buffer.alloc(0), /is empty/],
    ['picture.woff2', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 73, 72, 68, 82]), /is no font file/],
  ])('%s gets one sentence', async (name, bytes, words) => {
    const checked = await checkFont(bytes, name)
    expect(checked.ok === false && checked.message).toMatch(words)
  })

  it('that breaks off gets one sentence', async () => {
    const whole = await file('lora-latin-400-normal.woff2')
    for (const length of [60, 900, whole.length - 50]) {
      const checked = await checkFont(whole.subarray(0, length), 'half.woff2')
      expect(checked.ok === false && checked.message).toMatch(/“half\.woff2”/)
    }
  })
})
