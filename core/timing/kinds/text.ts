import { infoOf, paragraphTexts } from '../../model'
import { addReading, countReading, layoutOfElement, lettersOf, nothingToRead, type Line, type Run } from '../../text'
import type { By, ShownKind, TimedKind } from './kind'

const fineness: readonly By[] = ['paragraph', 'line', 'word', 'letter']
const names: Readonly<Partial<Record<By, string>>> = { paragraph: 'line', line: 'row', word: 'word', letter: 'letter' }

/** Where a letter of a run stands among the parts of its text; −1 where it is in none. */
function indexOf(by: By, line: Line, run: Run, step: number): number {
  if (by === 'paragraph') return line.paragraph
  if (by === 'line') return line.index
  if (by === 'word') return run.word
  return by === 'letter' ? run.letter + step : 0
}

const writtenParagraphs = (element: ShownKind<'text'>) => paragraphTexts(element.text).filter(text => text.trim() !== '')

export const textKind: TimedKind<ShownKind<'text'>> = {
  ways: () => fineness,
  finest: ways => ways.reduce((best, way) => (fineness.indexOf(way) > fineness.indexOf(best) ? way : best)),
  indices(deck, element, by, fine, context) {
    const layout = layoutOfElement(deck, element, context.measurer)
    const made: number[] = []
    for (const line of layout.lines) {
      for (const run of line.runs) {
        const letters = fine === 'letter' || by === 'letter' ? lettersOf(run.text).length : 1
        for (let step = 0; step < letters; step++) {
          const at = indexOf(fine, line, run, step)
          if (at >= 0) made[at] ??= indexOf(by, line, run, step)
        }
      }
    }
    const count = layout.counts[fine as keyof typeof layout.counts] ?? 0
    return Array.from({ length: count }, (_, index) => made[index] ?? made[index - 1] ?? 0)
  },
  reading(deck, element, context, covered, by) {
    const { language } = infoOf(deck)
    const sum = (texts: readonly string[]) => texts.reduce((all, text) => addReading(all, countReading(text, language)), nothingToRead)
    const texts = writtenParagraphs(element)
    if (!covered || by === null) return sum(texts)
    if (by === 'paragraph') return sum(texts.filter((_, index) => covered(index)))
    const indices = textKind.indices(deck, element, by, by, context)
    const share = indices.length ? indices.filter(covered).length / indices.length : 0
    const whole = sum(texts)
    return { words: Math.round(whole.words * share), numbers: Math.round(whole.numbers * share), marks: 0 }
  },
  words(deck, element, fine, context) {
    if (fine === 'paragraph') return writtenParagraphs(element)
    const made: string[] = []
    const put = (index: number, words: string) => {
      if (index >= 0) made[index] = (made[index] ?? '') + words
    }
    for (const line of layoutOfElement(deck, element, context.measurer).lines) {
      for (const run of line.runs) {
        if (fine === 'line') put(line.index, run.text)
        else if (fine === 'word') put(run.word, run.text)
        else lettersOf(run.text).forEach((letter, step) => put(run.letter + step, letter))
      }
    }
    return Array.from(made, words => words ?? '')
  },
  partName: (_, by) => names[by] ?? 'part',
}
