import { describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { plainText, setRecord, textOf, type Paragraph, type TextElement } from '#core/model'
import { inPage, openDeck } from '../testing/open-deck'
import { useTextEditor } from './text-editor'

/** The first text of a deck while it is written in, the cursor at its beginning. */
function written(lines: string[] = ['Boats'], more: { lists?: boolean; role?: 'editor' | 'viewer' } = {}) {
  const opened = openDeck(undefined, more.role)
  opened.others([setRecord('elements', 't0', { text: textOf(lines) })])
  const node = document.body.appendChild(document.createElement('div'))
  const place = ref<HTMLElement | undefined>(node)
  const onDone = vi.fn()
  const page = inPage(() => ({
    editor: useTextEditor({ element: () => 't0', place, label: () => 'Fares', onDone, ...(more.lists ? { lists: true } : {}) }),
  }))
  const field = node.querySelector<HTMLElement>('[contenteditable]')!
  const text = () => (opened.store.current.elements.t0 as TextElement).text
  const press = (key: string, more: KeyboardEventInit = {}) =>
    field.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }))
  const levels = () => text().content.map((paragraph: Paragraph) => paragraph.attrs?.level ?? 0)
  return { ...opened, ...page, field, text, press, levels, onDone }
}

describe('words that are written on the stage', () => {
  it('are in the deck with each letter, and what others write is among them', () => {
    const { editor, text, field, others } = written()
    editor.insert('Two ')
    expect(plainText(text())).toBe('Two Boats')
    others([setRecord('elements', 't0', { text: textOf(['Two Boats', 'at six']) })])
    expect([...field.querySelectorAll('p')].map(line => line.textContent)).toEqual(['Two Boats', 'at six'])
    editor.insert('or three ')
    expect(plainText(text())).toBe('Two or three Boats\nat six')
  })

  it('are said to be a field of their own, in the language of the deck', () => {
    const { field } = written()
    expect([field.getAttribute('role'), field.getAttribute('aria-label'), field.lang]).toEqual(['textbox', 'Fares', 'en'])
  })

  it('are marked as the next letters come, and tell what the cursor stands in', () => {
    const { editor, text } = written()
    editor.toggle('bold')
    expect(editor.state.value.marks).toEqual({ bold: true })
    editor.insert('Night ')
    expect(text().content[0]!.content).toEqual([
      { type: 'text', text: 'Night ', marks: [{ type: 'bold', attrs: {} }] },
      { type: 'text', text: 'Boats' },
    ])
    editor.toggle('bold')
    editor.scale(1.5)
    editor.scale(1.5)
    expect(editor.state.value.marks).toEqual({ size: { factor: 2.25 } })
    editor.scale(1 / 2.25)
    expect(editor.state.value.marks.size).toBeUndefined()
  })

  it('become a list and its levels by keys, and leave it by Enter on an empty line', () => {
    const { editor, press, levels } = written(['One', 'Two'])
    editor.toggleList()
    expect([levels(), editor.state.value.paragraph.level]).toEqual([[1, 0], 1])
    press('Tab')
    press('Tab')
    press('Tab', { shiftKey: true })
    expect(levels()).toEqual([2, 0])
    press('Enter')
    expect(levels()).toEqual([2, 2, 0])
    press('Backspace')
    expect(levels()).toEqual([2, 1, 0])
    for (let count = 0; count < 20; count++) editor.step(1)
    expect(levels()).toEqual([2, 9, 0])
  })

  it('stay at a level of their own in an outline, however often it is stepped out', () => {
    const { editor, press, levels } = written(['One'], { lists: true })
    editor.setParagraph({ level: 1 })
    press('Tab', { shiftKey: true })
    press('Backspace')
    editor.step(-3)
    expect(levels()).toEqual([1])
  })

  it('keep what was one line’s own with that line', () => {
    const { editor, press, text } = written(['One'])
    editor.setParagraph({ level: 1, highlighted: true, start: 4 })
    editor.insert('Line ')
    press('Enter')
    expect(text().content.map(paragraph => paragraph.attrs)).toEqual([{ level: 1, highlighted: true, start: 4 }, { level: 1 }])
    editor.setBullet({ symbol: '→' })
    expect(text().content[1]!.attrs).toEqual({ level: 1, bullet: { symbol: '→' } })
    editor.setBullet(undefined)
    expect(text().content[1]!.attrs).toEqual({ level: 1 })
  })

  it('are taken back and done again by the deck’s own undo, and left by Escape', () => {
    const { editor, press, text, onDone } = written()
    editor.insert('Two ')
    press('z', { ctrlKey: true })
    expect(plainText(text())).toBe('Boats')
    press('y', { ctrlKey: true })
    expect(plainText(text())).toBe('Two Boats')
    press('Escape')
    expect(onDone).toHaveBeenCalledOnce()
  })

  it('cannot be written by whoever may only look', () => {
    expect(written(['Boats'], { role: 'viewer' }).field.getAttribute('contenteditable')).toBe('false')
  })

  it('are no field where the text is gone', () => {
    const onDone = vi.fn()
    openDeck()
    const place = ref<HTMLElement | undefined>(document.createElement('div'))
    inPage(() => ({ editor: useTextEditor({ element: () => 'gone', place, label: () => 'Gone', onDone }) }))
    expect(onDone).toHaveBeenCalledOnce()
  })
})
