import { diagramParts } from '../diagrams'
import { inlineText, paragraphTexts, viewsOf, type Cue, type Deck, type Info, type Parts, type Slide } from '../model'
import type { ShownElement } from '../resolved'
import { layoutOfTable } from '../tables'
import { addReading, countReading, nothingToRead, type Reading } from '../text'
import { partIndices } from './parts'
import type { TimingContext } from './context'

/** Of a chart with very many marks a viewer compares about as many as these. */
const marksCompared = 12

/** What there is to read of an element: of all of it, or of the parts that are `covered`, told apart `by`. */
export function readingOf(
  element: ShownElement,
  deck: Deck,
  context: TimingContext,
  info: Info,
  covered: ((part: number) => boolean) | null,
  by: Parts['by'] | null,
): Reading {
  if (element.kind === 'text') {
    const texts = paragraphTexts(element.text).filter(text => text.trim() !== '')
    if (!covered || by === 'paragraph') {
      return texts
        .filter((_, index) => !covered || covered(index))
        .reduce((sum, text) => addReading(sum, countReading(text, info.language)), nothingToRead)
    }
    const whole = texts.reduce((sum, text) => addReading(sum, countReading(text, info.language)), nothingToRead)
    const indices = partIndices(deck, element, by!, by!, context)
    const share = indices.length ? indices.filter(covered).length / indices.length : 0
    return { words: Math.round(whole.words * share), numbers: Math.round(whole.numbers * share), marks: 0 }
  }
  if (element.kind === 'table') {
    const cells = layoutOfTable(deck, element, context.table, context.measurer)?.cells ?? []
    return cells
      .filter((_, index) => !covered || covered(index))
      .reduce((sum, cell) => addReading(sum, countReading(cell.lines.join(' '), info.language)), nothingToRead)
  }
  if (element.kind === 'diagram') {
    const parts = diagramParts(element.text, element.family)
    // Words below a part are read with it.
    let at = -1
    return element.text.content.reduce((sum, paragraph) => {
      if (parts[at + 1] === paragraph) at++
      return covered && !covered(Math.max(0, at)) ? sum : addReading(sum, countReading(inlineText(paragraph.content), info.language))
    }, nothingToRead)
  }
  if (element.kind === 'chart') {
    const marks = partIndices(deck, element, 'mark', 'mark', context)
    const shown = by === 'series' ? marks : marks.filter(index => !covered || covered(index))
    return { words: 0, numbers: 0, marks: Math.min(marksCompared, shown.length) }
  }
  return nothingToRead
}

/**
 * The index of the beat in which something that just stands there is met: as the slide opens, or when the camera of a board
 * first comes to a view that holds its middle. `cues` by beat.
 */
export function metIn({ box }: ShownElement, slide: Slide | undefined, cues: readonly (readonly Cue[])[]): number {
  if (!slide?.board) return 0
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  const within = new Set(
    viewsOf(slide)
      .filter(view => x >= view.box.x && y >= view.box.y && x <= view.box.x + view.box.width && y <= view.box.y + view.box.height)
      .map(view => view.id),
  )
  if (slide.opens && within.has(slide.opens)) return 0
  return Math.max(
    0,
    cues.findIndex(list => list.some(cue => cue.what === 'camera' && within.has(cue.options.view as string))),
  )
}
