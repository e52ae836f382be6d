import { describe, expect, it } from 'vitest'
import type { DataTable } from '../../core/data'
import type { Piece } from '../../core/edits'
import { freshDeck, seasons } from '../../core/testing'
import { database } from './connection'
import { keepFont, listFonts } from './fonts'
import { keepMedia } from './media'
import { dropMotion, keepMotion, listMotions, mostMotions } from './motions'
import { addPerson } from './people'
import { dropPiece, findPieces, keepPiece, piecesById } from './pieces'
import { keepTable, keepTableText, tableById, tableNamed, tablesById } from './tables'
import { keepTheme, listThemes, removeTheme, themeById } from './themes'

describe('pieces', () => {
  const content = { elements: [], beats: [], cues: [], states: [] } as unknown as Piece['content']
  const piece = (id: string, name: string, tags: string[] = []) => keepPiece({ id, name, tags, content }, null)

  it('get a new version each time they are kept, and are found by a word of name or tag', async () => {
    await piece('lighthouse', 'The lighthouse', ['night', 'Quill'])
    await piece('fare', 'Fare of the day')
    expect((await piece('lighthouse', 'The old lighthouse', ['night'])).version).toBe(2)
    const found = async (words: string, from = 0, count = 10) => (await findPieces(words, from, count)).map(({ id }) => id)
    expect(await found('')).toEqual(['lighthouse', 'fare'])
    expect([await found('LIGHT'), await found('nigh'), await found('quill'), await found('boat')]).toEqual([
      ['lighthouse'],
      ['lighthouse'],
      [],
      [],
    ])
    expect(await found('', 1, 1)).toEqual(['fare'])
    expect((await findPieces('', 0, 1))[0]!.total).toBe(2)
    expect((await piecesById(['fare', 'none'])).map(({ name }) => name)).toEqual(['Fare of the day'])
    await dropPiece('fare')
    expect(await piecesById(['fare'])).toEqual([])
  })
})

describe('tables', () => {
  const named = (id: string, name: string): DataTable => ({ ...seasons, id, name })
  it('never change, and are found by name whatever its case, the newest first', async () => {
    await keepTable(named('one', 'Crossings.csv'), null)
    await keepTable({ ...named('one', 'Crossings.csv'), columns: [] }, null)
    expect((await tableById('one'))!.columns).toEqual(seasons.columns)
    await database()`update data_tables set created_at = now() - interval '1 day' where id = 'one'`
    const two = named('two', 'crossings.CSV')
    await keepTableText({ id: two.id, name: two.name, text: JSON.stringify(two) }, null)
    expect((await tableNamed('CROSSINGS.csv'))!.id).toBe('two')
    expect((await tablesById(['one', 'two', 'none'])).map(({ id }) => id).sort()).toEqual(['one', 'two'])
    expect([await tablesById([]), await tableById('none'), await tableNamed('none')]).toEqual([[], undefined, undefined])
  })
})

describe('themes', () => {
  it('are listed by name, change under their id, and go', async () => {
    await keepTheme({ id: 'q', name: 'quayside', content: freshDeck(), person: null })
    await keepTheme({ id: 'n', name: 'Night boat', content: freshDeck(), person: null })
    expect((await listThemes()).map(({ name }) => name)).toEqual(['Night boat', 'quayside'])
    await keepTheme({ id: 'q', name: 'A quayside', content: freshDeck('loop'), person: null })
    expect((await listThemes()).map(({ name }) => name)).toEqual(['A quayside', 'Night boat'])
    expect((await themeById('q'))!.content.info.info!.purpose).toBe('loop')
    await removeTheme('q')
    expect(await themeById('q')).toBeUndefined()
  })
})

describe('fonts', () => {
  it('are listed by family, weight and slant, and learn which letters they have', async () => {
    const person = (await addPerson({ name: 'Mara', email: 'mara@velmoor.example', role: 'editor', passwordHash: null }))!.id
    const hash = (sign: string) => sign.repeat(64)
    for (const sign of ['a', 'b'])
      await keepMedia(
        { hash: hash(sign), name: 'font', type: 'font/woff2', extension: 'woff2', bytes: 1, width: null, height: null },
        Uint8Array.of(1),
        person,
      )
    await keepFont({ hash: hash('a'), family: 'Harbour Sans', weight: 700, italic: false, held: null }, person)
    await keepFont({ hash: hash('b'), family: 'Harbour Sans', weight: 400, italic: true, held: '20-7e' }, person)
    await keepFont({ hash: hash('a'), family: 'Harbour Sans', weight: 700, italic: false, held: '20-ff' }, person)
    expect((await listFonts()).map(({ weight, held }) => [weight, held])).toEqual([
      [400, '20-7e'],
      [700, '20-ff'],
    ])
  })
})

describe('motions of the team', () => {
  const motion = { cues: [] } as never
  it('are kept by name up to a bound, at which one can still be saved over', async () => {
    await database()`insert into motions (id, name, motion)
      select 'm' || n, 'Motion ' || n, '{}' from generate_series(1, ${mostMotions - 1}) n`
    await keepMotion({ id: 'last', name: 'The last', motion }, null)
    await expect(keepMotion({ id: 'more', name: 'One more', motion }, null)).rejects.toThrow('The team has saved 500 motions')
    expect((await keepMotion({ id: 'last', name: 'Another name', motion }, null)).name).toBe('Another name')
    await dropMotion('m1')
    await keepMotion({ id: 'more', name: 'One more', motion }, null)
    expect(await listMotions()).toHaveLength(mostMotions)
  })
})
