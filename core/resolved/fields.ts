import { infoOf, slidesOf, textOf, type Deck, type Field, type TextDoc, type Theme } from '../model'
import { memoByRecords, type Id } from '../values'

/** Each slide's number among those that are played (a skipped one has that of the slide before it), and its chapter with its number. */
const numbersOf = memoByRecords(
  (deck: Deck) => [deck.slides, deck.layouts],
  deck => {
    const made = new Map<Id, { number: number; chapter: string; opened: number }>()
    let number = 0
    let chapter = ''
    /** Chapters that have opened so far: by a slide that says so, or one that is laid out as their first. */
    let opened = 0
    for (const slide of slidesOf(deck)) {
      if (!slide.skipped) number++
      if ((slide.chapter && slide.chapter !== chapter) || deck.layouts[slide.layout]?.family === 'chapter') opened++
      chapter = slide.chapter ?? chapter
      made.set(slide.id, { number, chapter, opened })
    }
    return made
  },
)

/** What a field says on a slide. `item-number` is said by the arrangement of the slide's items, not here. */
export function fieldWords(deck: Deck, slide: Id, field: Field, theme: Theme): string {
  const info = infoOf(deck)
  if (!deck.slides[slide] && (field === 'slide-number' || field.startsWith('chapter'))) return field === 'chapter' ? 'Chapter' : '1'
  if (field === 'slide-number') return String(numbersOf(deck).get(slide)?.number ?? '')
  if (field === 'chapter-number') return String(numbersOf(deck).get(slide)?.opened || '')
  if (field === 'chapter') return numbersOf(deck).get(slide)?.chapter ?? ''
  if (field === 'deck-title') return info.title
  if (field === 'footer') return theme.footer ?? ''
  if (field === 'date' && info.date)
    return new Intl.DateTimeFormat(info.language, { dateStyle: 'long', timeZone: 'UTC' }).format(new Date(`${info.date}T00:00:00Z`))
  return ''
}

const texts = new Map<string, TextDoc>()

/** The text of a field's words; the same object for the same words, so that its layout is kept. */
export function fieldText(words: string): TextDoc {
  let text = texts.get(words)
  if (!text) {
    if (texts.size > 5000) texts.clear()
    texts.set(words, (text = textOf([words])))
  }
  return text
}
