import { chartKindNamed, drawingOfElement } from '../charts'
import { diagramParts } from '../diagrams'
import { inlineText, paragraphTexts, type Deck, type Element, type Parts } from '../model'
import { layoutOfTable } from '../tables'
import { layoutOfElement, lettersOf } from '../text'
import type { PartSpan, Track } from './score'
import type { TimingContext } from './context'

/** What each of the finest parts says that the cues of a track tell apart. */
function finestWords(deck: Deck, { element, partsBy }: Track, context: TimingContext): readonly string[] {
  if (element.kind === 'chart') return drawingOfElement(deck, element, null, context.table, context.measurer)?.names ?? []
  if (element.kind === 'table')
    return layoutOfTable(deck, element, context.table, context.measurer)?.cells.map(cell => cell.lines.join(' ')) ?? []
  if (element.kind === 'diagram') return diagramParts(element.text, element.family).map(paragraph => inlineText(paragraph.content))
  if (element.kind !== 'text') return []
  if (partsBy === 'paragraph') return paragraphTexts(element.text).filter(text => text.trim() !== '')
  const runs = layoutOfElement(deck, element, context.measurer).lines.flatMap(line => line.runs.map(run => ({ run, line: line.index })))
  const made: string[] = []
  const put = (index: number, words: string) => {
    if (index >= 0) made[index] = (made[index] ?? '') + words
  }
  for (const { run, line } of runs) {
    if (partsBy === 'line') put(line, run.text)
    else if (partsBy === 'word') put(run.word, run.text)
    else lettersOf(run.text).forEach((letter, step) => put(run.letter + step, letter))
  }
  return Array.from(made, words => words ?? '')
}

const partNames: Readonly<Record<Parts['by'], string>> = {
  paragraph: 'line',
  line: 'row',
  word: 'word',
  letter: 'letter',
  mark: 'part',
  series: 'series',
  item: 'item',
}
const partsOfTables: Readonly<Partial<Record<Parts['by'], string>>> = { line: 'row', series: 'column', mark: 'cell' }

/** What one of the parts of an element is called that are told apart in a way, as in “bar by bar”. */
export function partName(element: Element | undefined, by: Parts['by']): string {
  if (element?.kind === 'table') return partsOfTables[by] ?? partNames[by]
  if (element?.kind === 'chart' && by === 'mark') return chartKindNamed(element.chart?.kind ?? '').part
  return partNames[by]
}

/** What each part says that a cue moves on its own, in the order in which they take their turns. */
export function partWords(deck: Deck, track: Track, span: PartSpan, context: TimingContext): string[] {
  const finest = finestWords(deck, track, context)
  const joint = track.partsBy === 'letter' ? '' : ' '
  const made = Array.from({ length: span.count }, (): string[] => [])
  span.place.forEach((place, part) => made[place]?.push(finest[part] ?? ''))
  return made.map(words => words.join(joint).replace(/\s+/g, ' ').trim())
}
