import { setFields } from '../edits'
import { addChartSlide, insertOutline } from '../layouts'
import { applyChanges, elementsOf, type Change, type Deck, type EditContext } from '../model'
import { addState } from '../timing'
import type { Id } from '../values'
import type { StorySlide } from './story'

/** The slides that changes put, in their order. */
const putSlides = (changes: readonly Change[]) =>
  changes.flatMap(change => (change.do === 'put' && change.table === 'slides' ? [change.record.id] : []))

/** What is put, and after which slide; null is before all. */
interface StoryInput {
  after: Id | null
  slides: readonly StorySlide[]
}

/** Puts the slides of a story after another one, or first: their charts with their states, each in a beat of its own. */
export function insertStory(deck: Deck, input: StoryInput, context: EditContext): Change[] {
  const changes: Change[] = []
  let now = deck
  let after = input.after
  const make = (some: readonly Change[]) => {
    changes.push(...some)
    now = applyChanges(now, some)
    return some
  }
  for (const { title, caption, chart, states = [], lines = [], notes } of input.slides) {
    const added = chart
      ? make(addChartSlide(now, { after, title, chart, ...(caption ? { caption } : {}) }, context))
      : make(insertOutline(now, { after, slides: [{ title, lines: lines.map(text => ({ text, level: 1 })) }] }, context))
    after = putSlides(added)[0] ?? after
    if (!after || !now.slides[after]) continue
    const element = chart && elementsOf(now, after).find(({ kind }) => kind === 'chart')
    if (element) for (const spec of states) make(addState(now, { element: element.id, spec }, context))
    if (notes) make(setFields(now, { table: 'slides', id: after, fields: { notes } }))
  }
  return changes
}
