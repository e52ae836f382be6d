import { spawnSync } from 'node:child_process'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import type { Traced } from '../../core/drawing'
import { measurePath, stretchesOf } from '../../core/shapes'
import { outlinesOf, serverMeasurer } from './measurer'

const font = { family: 'Hanken Grotesk', weight: 600, italic: false }
const xs = (d: string) => stretchesOf(d).flatMap(one => [0, 0.25, 0.5, 0.75].map(share => measurePath(one).at(share).x))

describe('how a word is written', () => {
  it('is told glyph by glyph from left to right, as wide as it is measured, between its font’s ascent and descent', () => {
    const word = outlinesOf('Quay', font)
    expect(word.glyphs).toHaveLength(4)
    const starts = word.glyphs.map(glyph => Math.min(...xs(glyph)))
    expect([...starts].sort((a, b) => a - b)).toEqual(starts)
    const width = serverMeasurer().width('Quay', { ...font, size: 1000 })
    expect(Math.max(...word.glyphs.flatMap(xs))).toBeLessThanOrEqual(width * 1.02)
    expect(Math.max(...word.glyphs.flatMap(xs))).toBeGreaterThan(width * 0.85)
    const ys = word.glyphs.flatMap(glyph => stretchesOf(glyph).flatMap(one => [0, 0.5].map(share => measurePath(one).at(share).y)))
    expect(Math.min(...ys)).toBeGreaterThan(-word.ascent)
    expect(Math.max(...ys)).toBeLessThan(word.descent)
  })

  it('closes counters: the o is a ring of two lines', () => {
    expect(stretchesOf(outlinesOf('o', font).glyphs[0]!)).toHaveLength(2)
  })

  it('begins at the right where a script does, and draws nothing of a space or of what no font has', () => {
    const word = outlinesOf('ميناء', { family: 'Noto Sans Arabic', weight: 400, italic: false })
    expect(word.glyphs.length).toBeGreaterThan(2)
    expect(Math.max(...xs(word.glyphs[0]!))).toBeGreaterThan(Math.max(...xs(word.glyphs.at(-1)!)))
    expect(outlinesOf(' ', font).glyphs).toEqual([])
  })
})

describe('the process that finds lines', () => {
  const find = (input: Buffer) => spawnSync(process.execPath, ['--import', 'jiti/register', 'server/media/find-lines.ts'], { input })

  it('reads a picture of any kind and answers with its lines, small enough to be drawn', async () => {
    const svg = Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="1600" height="900"><rect width="1600" height="900" ' +
        'fill="#dfe8e6"/><circle cx="800" cy="450" r="300" fill="#12615c"/></svg>',
    )
    for (const bytes of [await sharp(svg).png().toBuffer(), await sharp(svg).webp().toBuffer()]) {
      const { status, stdout } = find(bytes)
      expect(status).toBe(0)
      const traced = JSON.parse(stdout.toString()) as Traced
      expect([traced.width, traced.height]).toEqual([480, 270])
      // A ring of radius 90 about the middle.
      const points = traced.paths.flatMap(path => [0, 0.3, 0.6, 0.9].map(share => measurePath(path).at(share)))
      expect(points.length).toBeGreaterThan(0)
      for (const { x, y } of points) expect(Math.hypot(x - 240, y - 135)).toBeGreaterThan(80)
      for (const { x, y } of points) expect(Math.hypot(x - 240, y - 135)).toBeLessThan(100)
    }
  })

  it('ends with an error where there is no picture, and says nothing else', () => {
    const { status, stdout } = find(Buffer.from('no picture'))
    expect(status).not.toBe(0)
    expect(stdout.length).toBe(0)
  })
})
