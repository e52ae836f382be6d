import { describe, expect, it } from 'vitest'
import { contrast, leastApart, schemes } from '../color'
import { houseTheme } from '../layouts'
import { newChart, tonesOf, type ToneName } from './index'

const plain = newChart('t')
const marks: ToneName[] = ['plain', 'highlighted', 'second', 'loss', 'line']

describe('the colours of a chart', () => {
  it.each(schemes.map(({ name, palette }) => [name, palette] as const))(
    'stand out from the ground of %s, and can be read as words',
    (_, palette) => {
      const tones = tonesOf(plain, palette)
      for (const name of marks) expect(contrast(tones.of({ name }), palette.ground)).toBeGreaterThanOrEqual(2.99)
      for (const name of [...marks, 'ink', 'second-ink'] as const)
        expect(contrast(tones.words({ name }), palette.ground)).toBeGreaterThanOrEqual(4.49)
    },
  )

  it('leave what is not highlighted nearer to the ground than what is', () => {
    for (const palette of [houseTheme.palette, { ...houseTheme.palette, ground: houseTheme.palette.ink, ink: houseTheme.palette.ground }]) {
      const tones = tonesOf(plain, palette)
      const [lit, quiet, quieter] = (['highlighted', 'quiet', 'quieter'] as const).map(name => contrast(tones.of({ name }), palette.ground))
      expect(lit!).toBeGreaterThan(quiet! + 1)
      expect(quiet!).toBeGreaterThan(quieter!)
    }
  })

  it('tell series apart for every eye as long as the theme has colours to', () => {
    const tones = tonesOf(plain, houseTheme.palette)
    const voices = Array.from({ length: 5 }, (_, at) => tones.of({ name: 'voice', at }))
    voices.forEach((a, at) => voices.slice(at + 1).forEach(b => expect(leastApart(a, b)).toBeGreaterThanOrEqual(8)))
  })

  it('are those that somebody chose, highlighted or not', () => {
    const tones = tonesOf({ ...plain, color: { hex: '#336699' }, highlightColor: { role: 'accent2' } }, houseTheme.palette)
    expect([tones.of({ name: 'plain' }), tones.of({ name: 'quiet' }), tones.of({ name: 'highlighted' })]).toEqual([
      '#336699',
      '#336699',
      houseTheme.palette.accent2,
    ])
  })

  it('stand between two on the way from one to the other', () => {
    const tones = tonesOf(plain, houseTheme.palette)
    const at = (progress: number) => tones.of({ name: 'highlighted', from: { name: 'quiet' }, progress })
    expect([at(0), at(1)]).toEqual([tones.of({ name: 'quiet' }), tones.of({ name: 'highlighted' })])
    expect(contrast(at(0.5), houseTheme.palette.ground)).toBeGreaterThan(contrast(at(0), houseTheme.palette.ground))
  })
})
