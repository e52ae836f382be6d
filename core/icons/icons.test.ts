import { describe, expect, it } from 'vitest'
import { drawnIconSchema } from '../model'
import { findSigns, symbols } from '../signs'
import { chooseIcons, drawnIconOf, findIcons, iconIndex, pathOfShape } from './index'

describe('icons', () => {
  const entries = [
    { name: 'ship', words: ['boat', 'sea', 'ferry'] },
    { name: 'ship-off', words: ['boat', 'no'] },
    { name: 'anchor', words: ['harbour', 'boat'] },
    { name: 'friendship', words: ['people'] },
  ]
  it('are found by name before meaning, whole words before parts, in the plural too', () => {
    expect(findIcons(entries, 'ship').map(entry => entry.name)).toEqual(['ship', 'ship-off', 'friendship'])
    expect(findIcons(entries, 'boats').map(entry => entry.name)).toContain('anchor')
    expect(findIcons(entries, 'boat no').map(entry => entry.name)).toEqual(['ship-off'])
    expect(findIcons(entries, '')).toHaveLength(4)
    expect(findIcons(entries, 'zzz')).toEqual([])
  })
  it('are read from every basic shape of SVG, with their transforms, in a view that begins at nought', () => {
    const icon = drawnIconOf(
      'own',
      [10, 10, 20, 20],
      [
        { shape: ['circle', { cx: '20', cy: '20', r: '5' }], filled: true, line: 0 },
        { shape: ['rect', { x: '0', y: '0', width: '10', height: '4', rx: '1' }], transform: 'translate(10 10)', filled: false, line: 2 },
        { shape: ['line', { x1: '10', y1: '10', x2: '30', y2: '30' }], filled: false, line: 1 },
        { shape: ['text', {}], filled: true, line: 0 },
      ],
    )!
    expect(drawnIconSchema.parse(icon)).toEqual(icon)
    expect(icon.view).toEqual([20, 20])
    expect(icon.paths).toHaveLength(3)
    expect(icon.paths[1]).toMatchObject({ width: 2 })
    expect(icon.paths[1]!.d).toMatch(/^M1 0/)
    expect(pathOfShape(['polygon', { points: '0,0 4 0 4,4' }])).toBe('M0 0L4 0L4 4Z')
    expect(
      JSON.stringify(drawnIconOf('broken', [0, 0, 24, 24], [{ shape: ['path', { d: 'M0 0L4 4"><script>' }], filled: true, line: 0 }])),
    ).not.toContain('script')
    expect(drawnIconOf('empty', [0, 0, 24, 24], [{ shape: ['path', {}], filled: true, line: 0 }])).toBeNull()
  })
})

describe('symbols', () => {
  it('are found by the words that they are called, and by themselves', () => {
    expect(findSigns(symbols, 'arrow right')[0]!.sign).toBe('→')
    expect(findSigns(symbols, '★').map(sign => sign.sign)).toContain('★')
    expect(findSigns(symbols, 'star').map(sign => sign.sign)).toContain('★')
    expect(findSigns(symbols, 'qqq')).toEqual([])
    expect(symbols.every(sign => sign.sign && sign.label)).toBe(true)
  })
})

describe('icons that are chosen by what texts say', () => {
  const entries = [
    { name: 'ship', words: ['boat', 'sea', 'ferry'] },
    { name: 'ship-off', words: ['boat', 'no'] },
    { name: 'umbrella', words: ['rain', 'weather'] },
    { name: 'clock', words: ['time', 'watch'] },
    { name: 'coffee', words: ['drink', 'cup'] },
    { name: 'number-3', words: ['three', 'count'] },
  ]
  const index = iconIndex(entries)
  const names = (texts: string[], english?: (word: string) => readonly string[]) =>
    chooseIcons(index, texts, english).map(found => found?.name ?? null)

  it('go by a name before a meaning, and by the plural too', () => {
    expect(names(['Umbrellas against the rain', 'The clock at the quay', 'Good coffee'])).toEqual(['umbrella', 'clock', 'coffee'])
    expect(names(['Ferries leave every hour'])).toEqual(['ship'])
  })
  it('come once on a slide: the next best is taken, or none', () => {
    expect(names(['A boat', 'Another boat', 'A third boat'])).toEqual(['ship', 'ship-off', null])
  })
  it('are none for words that say nothing that could be drawn', () => {
    expect(names(['Three of them', 'All that is new', '', '12 500'])).toEqual([null, null, null, null])
  })
  it('are found by words of other languages through what these mean in English', () => {
    const english = (word: string) => (word === 'kaffee' ? ['beverage', 'coffee'] : word === 'regenschirm' ? ['umbrella'] : [])
    expect(names(['Guter Kaffee', 'Ein Regenschirm', 'Nichts'], english)).toEqual(['coffee', 'umbrella', null])
  })
})
