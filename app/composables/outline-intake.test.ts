import { describe, expect, it, vi } from 'vitest'
import { addBeat } from '#core/edits'
import { outlineOf, setOutlineSlide } from '#core/layouts'
import { told } from '../testing/nuxt'
import { inPage, openDeck, someDeck } from '../testing/open-deck'
import { useBegun } from './begun'
import { useOutlineIntake } from './outline-intake'

function opened(count = 2) {
  const made = openDeck(someDeck(count))
  const titles = () => made.store.slides.map(slide => outlineOf(made.store.current, slide).title)
  return { ...made, titles, intake: inPage(() => useOutlineIntake()) }
}

describe('words that become slides', () => {
  it('stand after the slide that they were pasted at, one step of undo, and the first of them is in hand', async () => {
    const { intake, titles, store, where, ids } = opened()
    const before = titles()
    await intake.take('Tides\n  Low water at noon\nThe ramp', ids[0])
    expect(titles()).toEqual([before[0], 'Tides', 'The ramp', before[1]])
    expect([where.slideId, outlineOf(store.current, store.slides[1]!).lines.map(({ text }) => text)]).toEqual([
      store.slides[1]!.id,
      ['Low water at noon'],
    ])
    store.undo()
    expect(titles()).toEqual(before)
  })

  it('stand at the end where no slide is named, as the lines of a file do', async () => {
    const { intake, titles } = opened()
    await intake.takeFile(new File(['Ferries\nFares'], 'plan.txt'))
    expect(titles().slice(-2)).toEqual(['Ferries', 'Fares'])
    await intake.take('Last', undefined)
    expect(titles().at(-1)).toBe('Last')
  })

  it('take the place of a slide of which nothing was made', async () => {
    const { intake, titles, store, where } = opened(1)
    store.edit('clear', [{ do: 'drop', table: 'elements', id: 't0' }])
    const [only] = store.slides
    await intake.take('Tides\nThe ramp', only!.id)
    expect([titles(), where.slideId]).toEqual([['Tides', 'The ramp'], store.slides[0]!.id])
  })

  it('take the place of no slide that has got a beat more while they were read', async () => {
    const { intake, titles, store } = opened(1)
    store.edit('clear', [{ do: 'drop', table: 'elements', id: 't0' }])
    const { id } = store.slides[0]!
    const taken = intake.take('Tides\nThe ramp', id)
    store.edit('new beat', addBeat(store.current, { slide: id, after: null, start: 'self' }, store.context))
    await taken
    expect([store.slides[0]!.id, titles().slice(1)]).toEqual([id, ['Tides', 'The ramp']])
  })

  it('become lines after one, beside what is written while they are read', async () => {
    const { intake, store, ids } = opened()
    const lines = (slide: string) => outlineOf(store.current, store.current.slides[slide]!).lines.map(({ text }) => text)
    const write = (...texts: string[]) => {
      const outline = outlineOf(store.current, store.current.slides[ids[0]!]!)
      const changed = { ...outline, lines: texts.map(text => ({ text, level: 1 })) }
      store.edit('write', setOutlineSlide(store.current, { slide: ids[0]!, outline: changed }, store.context))
    }
    write('First', 'Second')
    const taken = intake.takeLines('Low water\n  at noon', ids[0]!, 0)
    write('First', 'Second', 'Third')
    await taken
    expect(lines(ids[0]!)).toEqual(['First', 'Low water', 'at noon', 'Second', 'Third'])
    write('First', '')
    await intake.takeLines('Fares\nFerries', ids[0]!, 1)
    expect(lines(ids[0]!)).toEqual(['First', 'Fares', 'Ferries'])
  })

  it('come nowhere where their deck was left while they were read', async () => {
    const { intake, store, ids } = opened()
    const taken = Promise.all([intake.take('Tides\nThe ramp', ids[0]), intake.takeLines('Fares\nFerries', ids[0]!, 0)])
    store.close()
    await expect(taken).resolves.toBeDefined()
    expect(store.deck).toBeNull()
  })

  it('that a deck was begun with are taken once', async () => {
    openDeck(someDeck(1))
    const begun = useBegun()
    begun.value = { deck: 'timetable', words: 'Tides\nThe ramp' }
    const store = useDeck()
    inPage(() => useOutlineIntake())
    expect(begun.value).toBeNull()
    await vi.waitFor(() => expect(store.slides.length).toBeGreaterThan(1))
  })

  it('change nothing where they cannot be read, which is said', async () => {
    const { intake, store } = opened()
    const before = store.current
    await intake.take('<opml><head>', undefined, 'plan.opml')
    await intake.takeFile({ size: 6_000_000, name: 'huge.txt' } as File)
    expect([store.current === before, told.length]).toEqual([true, 2])
    expect(told[1]!.title).toContain('“huge.txt” has more than 5 MB')
  })
})
