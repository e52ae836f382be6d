import { setFields } from '../edits'
import { applyChanges, slidesOf, type Change, type Deck, type EditContext, type Slide } from '../model'
import type { Id } from '../values'
import { outlineOf, setOutlineSlide, titleOf, type OutlineLine } from './outline'

/** The lines of an agenda: the chapters that follow it, or the names of the slides; skipped ones, title slides and agendas are left out. */
export function agendaLines(deck: Deck, slide: Id, from: NonNullable<Slide['agenda']>): OutlineLine[] {
  const slides = slidesOf(deck)
  if (from === 'chapters') return slides.flatMap(other => (other.chapter && !other.skipped ? [{ text: other.chapter, level: 1 }] : []))
  const at = slides.findIndex(other => other.id === slide)
  return slides.slice(at + 1).flatMap(other => {
    const text = titleOf(deck, other.id)
    return text && !other.skipped && !other.agenda ? [{ text, level: 1 }] : []
  })
}

/** What an agenda is made from unless chosen: the chapters where there are two or more. */
export const agendaSource = (deck: Deck): NonNullable<Slide['agenda']> =>
  slidesOf(deck).filter(slide => slide.chapter).length > 1 ? 'chapters' : 'slides'

/** Brings every agenda of a deck up to date; nothing where all are. */
export function settleAgendas(deck: Deck, context: EditContext): Change[] {
  const changes: Change[] = []
  let now = deck
  for (const slide of slidesOf(deck)) {
    if (!slide.agenda) continue
    const lines = agendaLines(deck, slide.id, slide.agenda)
    const own = outlineOf(now, slide)
    const made = setOutlineSlide(now, { slide: slide.id, outline: { title: own.title, lines } }, context)
    if (made.length) {
      changes.push(...made)
      now = applyChanges(now, made)
    }
  }
  return changes
}

/** Lets a slide's items be the deck's chapters or slides; null leaves the words as they are, to be written by hand. */
export function setAgenda(deck: Deck, input: { slide: Id; from: Slide['agenda'] | null }, context: EditContext): Change[] {
  const set = setFields(deck, { table: 'slides', id: input.slide, fields: { agenda: input.from ?? undefined } })
  return [...set, ...settleAgendas(applyChanges(deck, set), context)]
}
