import { describe, expect, it, vi } from 'vitest'
import { elementsOf, plainText, setRecord, type TextElement } from '#core/model'
import { told } from '../testing/nuxt'
import { inPage, openDeck, someDeck } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { useStageClipboard } from './clipboard'

const own = 'application/x-hailbank-clipping+json'

/** A clipboard event with content by type, on the page's body. */
function happens(type: 'copy' | 'cut' | 'paste', content: Record<string, string> = {}, files: File[] = []) {
  const data = new Map(Object.entries(content))
  const event = Object.assign(new Event(type, { bubbles: true, cancelable: true }), {
    clipboardData: {
      files,
      getData: (kind: string) => data.get(kind) ?? '',
      setData: (kind: string, value: string) => void data.set(kind, value),
    },
  })
  document.body.dispatchEvent(event)
  return { data, taken: event.defaultPrevented }
}

function pasting(role: 'editor' | 'viewer' = 'editor') {
  const opened = openDeck(someDeck(2), role)
  const taken: File[] = []
  const clipboard = inPage(() => useStageClipboard(files => taken.push(...files)))
  const last = () => elementsOf(opened.store.current, opened.where.stageId!).at(-1)!
  const count = () => elementsOf(opened.store.current, opened.where.stageId!).length
  return { ...opened, clipboard, taken, last, count }
}

describe('parts on the clipboard', () => {
  it('are copied with their words, and pasted beside themselves, each time further on', () => {
    const { selected, last, count } = pasting()
    selected.select('t0')
    const { data } = happens('copy')
    expect(data.get('text/plain')).toBe('Words 0')
    const before = count()
    happens('paste', Object.fromEntries(data))
    expect(last().box).toMatchObject({ x: 140, y: 140 })
    expect(selected.elements).toEqual([last().id])
    happens('paste', Object.fromEntries(data))
    expect(last().box).toMatchObject({ x: 180, y: 180 })
    expect(count()).toBe(before + 2)
  })

  it('are pasted where they were on another slide', () => {
    const { selected, where, last, ids } = pasting()
    selected.select('t0')
    const { data } = happens('copy')
    where.goToSlide(ids[1]!)
    happens('paste', Object.fromEntries(data))
    expect(last()).toMatchObject({ owner: ids[1], box: { x: 100, y: 100 } })
  })

  it('are taken away when they are cut, in one step', () => {
    const { selected, store } = pasting()
    selected.select('t0')
    const { data } = happens('cut')
    expect(store.current.elements.t0).toBeUndefined()
    happens('paste', Object.fromEntries(data))
    expect(store.undoLabel).toBe('paste t0')
  })

  it('are words where the clipping is not to be read', () => {
    const { last } = pasting()
    happens('paste', { [own]: '{"elements": 7}', 'text/plain': 'Only words' })
    expect(plainText((last() as TextElement).text)).toBe('Only words')
  })

  it('leave alone what is written in a field', () => {
    const { count } = pasting()
    const field = document.createElement('textarea')
    document.body.append(field)
    const before = count()
    const event = Object.assign(new Event('paste', { bubbles: true, cancelable: true }), {
      clipboardData: { files: [], getData: () => 'words' },
    })
    field.dispatchEvent(event)
    expect([event.defaultPrevented, count()]).toEqual([false, before])
    field.remove()
  })

  it('change nothing for a viewer, nor on a form, and say why', () => {
    const { count } = pasting('viewer')
    const before = count()
    happens('paste', { 'text/plain': 'words' })
    expect(told.at(-1)!.title).toContain('viewer')
    expect(count()).toBe(before)
  })

  it('are filled into places alone on a form', () => {
    const { store, count } = pasting()
    store.edit('hand out', [setRecord('info', 'info', { form: true })])
    const before = count()
    happens('paste', { 'text/plain': 'words' })
    expect(told.at(-1)!.title).toContain('form')
    expect(count()).toBe(before)
  })
})

describe('what comes from outside', () => {
  it('is one text of as many lines', () => {
    const { last } = pasting()
    happens('paste', { 'text/plain': 'First boat\nLast boat' })
    expect(last()).toMatchObject({ kind: 'text', style: 'body' })
    expect(plainText((last() as TextElement).text)).toBe('First boat\nLast boat')
  })

  it('is asked about where it is a list: words, or a diagram with a level a line', () => {
    const { clipboard, last, count } = pasting()
    const before = count()
    happens('paste', { 'text/plain': '- Astrel\n  - at seven\n- Quill' })
    expect(count()).toBe(before)
    const { words, answers: choices } = clipboard.question.value!
    expect([words, choices.map(({ label }) => label)]).toEqual(['What was pasted is a list of 3 lines.', ['A list', 'A diagram']])
    void choices[1]!.take()
    expect(last()).toMatchObject({ kind: 'diagram', family: 'steps' })
  })

  it('is asked about where it is a range: a table, or a chart of its numbers', async () => {
    const { clipboard, last } = pasting()
    answers.set('/api/data', () => ({ id: 'kept' }))
    happens('paste', { 'text/plain': 'quay\tboats\nAstrel\t12\nQuill\t7' })
    const choices = clipboard.question.value!.answers
    await choices[0]!.take()
    expect(last()).toMatchObject({
      kind: 'table',
      cells: [
        ['quay', 'boats'],
        ['Astrel', '12'],
        ['Quill', '7'],
      ],
    })
    await choices[1]!.take()
    expect(last()).toMatchObject({ kind: 'chart', chart: { table: 'kept' } })
  })

  it('is no chart where there are no numbers in it', () => {
    const { clipboard } = pasting()
    happens('paste', { 'text/plain': 'quay\tcolour\nAstrel\tred' })
    expect(clipboard.question.value!.answers.map(({ label }) => label)).toEqual(['A table'])
  })

  it('is a drawing where it is the source of one, and files where there are files', () => {
    const { taken } = pasting()
    happens('paste', { 'text/plain': '<svg xmlns="http://www.w3.org/2000/svg"/>' })
    happens('paste', {}, [new File(['x'], 'boat.png', { type: 'image/png' })])
    expect(taken.map(({ name, type }) => [name, type])).toEqual([
      ['drawing.svg', 'image/svg+xml'],
      ['boat.png', 'image/png'],
    ])
  })

  it('keeps the marks that a page gave its words, and runs and fetches nothing of it', () => {
    const { last } = pasting()
    const fetched = vi.fn()
    vi.stubGlobal('fetch', fetched)
    happens('paste', {
      'text/html': '<p>The <b>late</b> boat</p><img src="https://example.org/x.png" onerror="fetch(1)"><script>fetch(2)</script>',
      'text/plain': '',
    })
    const runs = (last() as TextElement).text.content[0]!.content!
    expect(runs.map(run => ['text' in run ? run.text : '', (run.marks ?? []).map(({ type }) => type)])).toEqual([
      ['The ', []],
      ['late', ['bold']],
      [' boat', []],
    ])
    expect(fetched).not.toHaveBeenCalled()
  })

  it('is a range where a page had a table', () => {
    const { clipboard } = pasting()
    happens('paste', { 'text/html': '<table><tr><th>quay<th>boats<tr><td>Astrel<td> 12 </table>' })
    expect(clipboard.question.value!.words).toContain('2 rows of 2')
  })

  it('says so where there are more lines than one text takes, and cuts nothing off', () => {
    const { count } = pasting()
    const before = count()
    happens('paste', { 'text/plain': 'words\n'.repeat(2001) })
    expect(told.at(-1)!.title).toContain('2,001 lines')
    expect(count()).toBe(before)
  })

  it('is not heard once the page is left', () => {
    const { clipboard, count } = pasting()
    clipboard.leave()
    const before = count()
    expect(happens('paste', { 'text/plain': 'words' }).taken).toBe(false)
    expect(count()).toBe(before)
  })
})
