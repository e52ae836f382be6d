import {
  infoOf,
  deckTheme,
  putRecord,
  setRecord,
  applyChanges,
  elementsOf,
  inlineOf,
  inlineText,
  slidesOf,
  textOf,
  viewsOf,
  type Change,
  type Deck,
  type EditContext,
  type Slide,
} from '../model'
import { addSlide, removeSlides, setFields } from '../edits'
import { memoByRecords, orderLast, ordersAt, type Id } from '../values'
import { buildOf, extendBuild } from './builds'
import type { LayoutFamily } from '../families'
import type { RichLine } from './content'
import { withLayout } from './layout-record'
import { pairs } from './pairing'
import { propose, surroundingsIn } from './propose'
import type { SlideWords } from './senses'
import { richLines, textFilling, titleWords, writeLines } from './write-lines'

export interface OutlineLine {
  text: string
  /** 1 stands on the slide, 2 under a line, and so on. */
  level: number
  /** It carries a number, as it did where it was pasted from. */
  numbered?: boolean
}

/** A slide as the outline shows it. */
export interface OutlineSlide {
  title: string
  lines: readonly OutlineLine[]
  /** What the speaker says; absent leaves a slide's notes alone. */
  notes?: string
  /** The chapter that opens with this slide; absent leaves it alone. */
  chapter?: string
}

/** What a slide is called: its title’s words on one line; a board without any by its first view. */
export const titleOf = (deck: Deck, slide: Id) => titleWords(deck, slide).trim() || (viewsOf(deck.slides[slide])[0]?.name ?? '')

const isNumbered = ({ attrs }: RichLine) => typeof attrs?.bullet === 'object' && attrs.bullet?.number !== undefined
const plainLine = (line: RichLine): OutlineLine => ({
  text: inlineText(line.content).replaceAll('\n', ' '),
  level: line.level,
  ...(isNumbered(line) ? { numbered: true } : {}),
})
/** A number and a point before a line, in place of the list's symbol. */
const asNumber = { bullet: { number: { system: 'decimal', after: '.' } } } as const

/** A slide's words, as title and lines; kept until one of its elements changes. */
export const outlineOf = memoByRecords(
  (deck: Deck, slide: Slide) => [elementsOf(deck, slide.id), slide.layout],
  (deck, slide): OutlineSlide => ({ title: titleWords(deck, slide.id), lines: richLines(deck, slide.id).map(plainLine) }),
)

/** A slide's words as layouts are proposed for them, where it is one of `count` slides. */
export const wordsAt = (deck: Deck, outline: OutlineSlide, index: number, count: number): SlideWords => ({
  ...outline,
  first: index === 0,
  last: index > 0 && index === count - 1,
  language: infoOf(deck).language,
})

/** Lines with the look of the ones they were; a line whose words stay keeps its marks, one that changed its paragraph's look. */
function restyled(old: readonly RichLine[], lines: readonly OutlineLine[]): RichLine[] {
  const from = pairs(
    old.map(line => plainLine(line).text),
    lines.map(line => line.text),
  )
  return lines.map((line, index): RichLine => {
    const before = from[index] === null ? undefined : old[from[index]!]
    const same = before && plainLine(before).text === line.text
    const attrs = before?.attrs ?? (line.numbered ? asNumber : undefined)
    return { content: same ? before.content : inlineOf(line.text), level: line.level, ...(attrs ? { attrs } : {}) }
  })
}

/** Gives a slide the words of an outline; places that it lacks are made. */
export function setOutlineSlide(deck: Deck, input: { slide: Id; outline: OutlineSlide }, context: EditContext): Change[] {
  const slide = deck.slides[input.slide]
  if (!slide) return []
  const { title, lines, notes, chapter } = input.outline
  const changes: Change[] = []
  const element = textFilling(deck, slide.id, 'title')
  if (element) {
    if (titleWords(deck, slide.id) !== title) changes.push(setRecord('elements', element.id, { text: textOf([title]) }))
  } else if (title) {
    const place = elementsOf(deck, slide.layout).find(candidate => candidate.placeholder === 'title')
    const { margin } = deckTheme(deck)
    const size = infoOf(deck).size
    changes.push(
      putRecord('elements', {
        id: context.id(),
        owner: slide.id,
        kind: 'text',
        name: place?.name ?? 'Title',
        placeholder: 'title',
        order: orderLast(elementsOf(deck, slide.id)),
        text: textOf([title]),
        ...(place
          ? {}
          : {
              box: {
                x: margin,
                y: Math.round(margin * 0.8),
                width: size.width - 2 * margin,
                height: Math.round(size.height * 0.12),
                angle: 0,
              },
              style: 'heading',
            }),
      }),
    )
  }
  const own = outlineOf(deck, slide).lines
  const same =
    own.length === lines.length && own.every((line, index) => line.text === lines[index]!.text && line.level === lines[index]!.level)
  if (!same) {
    changes.push(...writeLines(applyChanges(deck, changes), slide, restyled(richLines(deck, slide.id), lines), context))
    const how = buildOf(deck, slide.id)
    if (how !== 'none') changes.push(...extendBuild(applyChanges(deck, changes), { slide: slide.id, how }, context))
  }
  const fields: Partial<Slide> = {}
  if (notes !== undefined && notes !== slide.notes) fields.notes = notes.slice(0, 200_000)
  if (chapter !== undefined && chapter !== (slide.chapter ?? '')) fields.chapter = chapter ? chapter.slice(0, 200) : undefined
  return Object.keys(fields).length ? [...changes, ...setFields(deck, { table: 'slides', id: slide.id, fields })] : changes
}

/** Puts a slide with these words after another (first where null) in a family's layout. The slide's id is the first one asked for. */
export function insertSlide(
  deck: Deck,
  input: { after: Id | null; family: LayoutFamily; outline: OutlineSlide },
  context: EditContext,
): { slide: Id; changes: Change[]; deck: Deck } {
  const { layout, changes, deck: furnished } = withLayout(deck, input.family)
  const added = addSlide(furnished, { after: input.after, layout }, context)
  const put = added[0]
  const slide = put?.do === 'put' ? put.record.id : ''
  const standing = applyChanges(furnished, added)
  const written = setOutlineSlide(standing, { slide, outline: input.outline }, context)
  return { slide, changes: [...changes, ...added, ...written], deck: applyChanges(standing, written) }
}

/**
 * Puts slides with these words after a slide (first where null), each in the layout that suits its words best. Each is made
 * on a deck of its own with nothing but theme, master and layouts, so that the thousandth costs what the first does.
 */
export function insertOutline(deck: Deck, input: { after: Id | null; slides: readonly OutlineSlide[] }, context: EditContext): Change[] {
  const siblings = slidesOf(deck)
  const at = input.after === null ? 0 : siblings.findIndex(slide => slide.id === input.after) + 1
  const orders = ordersAt(siblings, at, input.slides.length)
  const transition = siblings[Math.max(0, at - 1)]?.transition
  const chapters = input.slides.filter(slide => slide.chapter).length > 1
  const changes: Change[] = []
  const shared = Object.fromEntries(Object.entries(deck.elements).filter(([, element]) => !deck.slides[element.owner]))
  let bare: Deck = { ...deck, slides: {}, elements: shared, beats: {}, cues: {}, states: {}, sounds: {} }
  const before = siblings.slice(0, at).map(slide => deck.layouts[slide.layout]?.family ?? '')
  input.slides.forEach((outline, index) => {
    const words = {
      ...outline,
      first: at === 0 && index === 0,
      last: index > 0 && index === input.slides.length - 1,
      language: infoOf(deck).language,
    }
    const { family } = propose(words, surroundingsIn(deck, before))[0]!
    before.push(family.name)
    const inserted = insertSlide(bare, { after: null, family, outline }, context)
    const agenda = family.senses[0] === 'agenda' && !outline.lines.length ? (chapters ? 'chapters' : 'slides') : null
    for (const change of inserted.changes) {
      if (change.do !== 'put' || change.table !== 'slides') changes.push(change)
      else
        changes.push({
          ...change,
          record: { ...change.record, order: orders[index]!, ...(transition ? { transition } : {}), ...(agenda ? { agenda } : {}) },
        })
    }
    if (!bare.layouts[withLayout(inserted.deck, family).layout])
      bare = {
        ...bare,
        layouts: inserted.deck.layouts,
        elements: Object.fromEntries(Object.entries(inserted.deck.elements).filter(([, element]) => element.owner !== inserted.slide)),
      }
  })
  return changes
}

/** Makes a line of a slide the title of a slide of its own, which takes the lines that follow. */
export function splitOutline(deck: Deck, input: { slide: Id; line: number }, context: EditContext): Change[] {
  const slide = deck.slides[input.slide]
  if (!slide) return []
  const { title, lines } = outlineOf(deck, slide)
  const line = lines[input.line]
  if (!line) return []
  const kept = setOutlineSlide(deck, { slide: slide.id, outline: { title, lines: lines.slice(0, input.line) } }, context)
  const inserted = insertOutline(
    applyChanges(deck, kept),
    { after: slide.id, slides: [{ title: line.text, lines: lines.slice(input.line + 1) }] },
    context,
  )
  return [...kept, ...inserted]
}

/** Whether a slide holds nothing but words of its outline, so that it can become a line. */
export const isOnlyWords = (deck: Deck, slide: Id) =>
  elementsOf(deck, slide).every(
    element =>
      element.placeholder !== undefined &&
      element.kind !== 'film' &&
      element.kind !== 'sound' &&
      element.kind !== 'live' &&
      !(element.kind === 'chart' && element.chart?.table) &&
      !(element.kind === 'picture' && element.media && !element.proposed),
  )

/**
 * Makes a slide a line of the slide before it, followed by its own lines one level deeper. Nothing where it is the first or holds more than
 * words.
 */
export function joinOutline(deck: Deck, input: { slide: Id }, context: EditContext): Change[] {
  const slides = slidesOf(deck)
  const index = slides.findIndex(slide => slide.id === input.slide)
  const before = slides[index - 1]
  if (!before || !isOnlyWords(deck, input.slide)) return []
  const own = outlineOf(deck, slides[index]!)
  const above = outlineOf(deck, before)
  const lines = [...above.lines, { text: own.title, level: 1 }, ...own.lines.map(line => ({ ...line, level: Math.min(9, line.level + 1) }))]
  return [
    ...setOutlineSlide(deck, { slide: before.id, outline: { title: above.title, lines } }, context),
    ...removeSlides(deck, { slides: [input.slide] }),
  ]
}
