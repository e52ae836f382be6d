import {
  addSlide, applyChanges, elementsOf, inlineText, orderLast, paragraphTexts, removeSlides, slidesOf, textOf,
  type Change, type Deck, type EditContext, type Element, type Id, type Paragraph, type Slide, type TextDoc, type TextElement,
} from '../deck'
import { layoutIdOf } from './new-deck'
import { propose } from './propose'

export interface OutlineLine {
  text: string
  /** 1 stands on the slide, 2 under a line, and so on. */
  level: number
}

/** A slide as the outline shows it. */
export interface OutlineSlide {
  title: string
  lines: readonly OutlineLine[]
}

const fills = (deck: Deck, slide: Id, placeholder: string) =>
  elementsOf(deck, slide).find((element): element is TextElement => element.kind === 'text' && element.placeholder === placeholder)

const titleWords = (deck: Deck, slide: Id) => {
  const title = fills(deck, slide, 'title')
  return title ? paragraphTexts(title.text).join(' ').replaceAll('\n', ' ') : ''
}

/** What a slide is called: its title's words on one line. */
export const titleOf = (deck: Deck, slide: Id) => titleWords(deck, slide).trim()

/** A slide's words, as title and lines. */
export function outlineOf(deck: Deck, slide: Slide): OutlineSlide {
  const body = fills(deck, slide.id, 'body')
  const paragraphs = body?.text.content ?? []
  const lines = paragraphs.map(paragraph => ({ text: inlineText(paragraph.content).replaceAll('\n', ' '), level: Math.max(1, paragraph.attrs?.level ?? 1) }))
  return { title: titleWords(deck, slide.id), lines: lines.length === 1 && lines[0]!.text === '' ? [] : lines }
}

/** Whether the lines of a slide carry bullets: on a list they do, under a title they do not. */
const carriesBullets = (deck: Deck, slide: Slide) => ['list', 'picture'].includes(deck.layouts[slide.layout]?.family ?? '')

/** A text whose lines are the ones given; a line whose words stay keeps its look. */
function retext(old: TextDoc | undefined, lines: readonly OutlineLine[], bullets: boolean): TextDoc {
  const before = (old?.content ?? []).map(paragraph => ({ paragraph, text: inlineText(paragraph.content) }))
  const used = new Set<number>()
  const content = lines.map((line, index): Paragraph => {
    const same = before.findIndex((entry, at) => !used.has(at) && entry.text.replaceAll('\n', ' ') === line.text)
    const source = same >= 0 ? before[same]!.paragraph : undefined
    if (same >= 0) used.add(same)
    const beside = source ?? before[index]?.paragraph
    const kept = beside?.attrs ?? {}
    const level = bullets ? line.level : (kept.level ?? 0)
    const attrs = { ...kept, level }
    return { type: 'paragraph', attrs, ...(source?.content ? { content: source.content } : line.text ? { content: [{ type: 'text', text: line.text }] } : {}) }
  })
  return content.length ? { type: 'doc', content } : textOf([])
}

const sameText = (a: TextDoc | undefined, b: TextDoc) => JSON.stringify(a) === JSON.stringify(b)

/** Gives a slide the words of an outline; places that it lacks are made. */
export function setOutlineSlide(deck: Deck, wish: { slide: Id, outline: OutlineSlide }, context: EditContext): Change[] {
  const slide = deck.slides[wish.slide]
  if (!slide) return []
  const changes: Change[] = []
  const write = (placeholder: string, lines: readonly OutlineLine[], bullets: boolean) => {
    const element = fills(deck, slide.id, placeholder)
    if (element) {
      const text = retext(element.text, lines, bullets)
      if (!sameText(element.text, text)) changes.push({ do: 'set', table: 'elements', id: element.id, fields: { text } })
    } else if (lines.some(line => line.text)) {
      const place = elementsOf(deck, slide.layout).find(candidate => candidate.placeholder === placeholder)
      const record: Element = {
        id: context.id(), owner: slide.id, kind: 'text', name: place?.name ?? (placeholder === 'title' ? 'Title' : 'Lines'), placeholder,
        order: orderLast(elementsOf(deck, slide.id)), text: retext(undefined, lines, bullets),
        ...(place ? {} : { box: { x: 110, y: placeholder === 'title' ? 88 : 260, width: 1700, height: placeholder === 'title' ? 130 : 700, angle: 0 }, style: placeholder === 'title' ? 'heading' : 'body' }),
      }
      changes.push({ do: 'put', table: 'elements', record })
    }
  }
  write('title', [{ text: wish.outline.title, level: 0 }], false)
  write('body', wish.outline.lines, carriesBullets(deck, slide))
  return changes
}

/** Puts slides with these words after a slide (first where null), each in the layout that suits its words best. */
export function insertOutline(deck: Deck, wish: { after: Id | null, slides: readonly OutlineSlide[] }, context: EditContext): Change[] {
  const changes: Change[] = []
  let now = deck
  let after = wish.after
  for (const outline of wish.slides) {
    const first = after === null
    const family = propose({ ...outline, first }).find(proposal => now.layouts[layoutIdOf(proposal.family.name)])?.family.name
    const layout = family ? layoutIdOf(family) : Object.keys(now.layouts)[0]!
    const added = addSlide(now, { after, layout }, context)
    now = applyChanges(now, added)
    const put = added[0]!
    after = put.do === 'put' ? put.record.id : after
    const written = setOutlineSlide(now, { slide: after!, outline }, context)
    now = applyChanges(now, written)
    changes.push(...added, ...written)
  }
  return changes
}

/** Makes a line of a slide the title of a slide of its own, which takes the lines that follow. */
export function splitOutline(deck: Deck, wish: { slide: Id, line: number }, context: EditContext): Change[] {
  const slide = deck.slides[wish.slide]
  if (!slide) return []
  const { title, lines } = outlineOf(deck, slide)
  const line = lines[wish.line]
  if (!line) return []
  const kept = setOutlineSlide(deck, { slide: slide.id, outline: { title, lines: lines.slice(0, wish.line) } }, context)
  const inserted = insertOutline(applyChanges(deck, kept), { after: slide.id, slides: [{ title: line.text, lines: lines.slice(wish.line + 1) }] }, context)
  return [...kept, ...inserted]
}

/** Whether a slide holds nothing but words of its outline, so that it can become a line. */
export const isOnlyWords = (deck: Deck, slide: Id) =>
  elementsOf(deck, slide).every(element =>
    (element.kind === 'text' && (element.placeholder === 'title' || element.placeholder === 'body')) ||
    (element.kind === 'chart' && !element.chart?.table) || (element.kind === 'picture' && !element.media))

/** Makes a slide a line of the slide before it, followed by its own lines one level deeper. Nothing where it is the first or holds more than words. */
export function joinOutline(deck: Deck, wish: { slide: Id }, context: EditContext): Change[] {
  const slides = slidesOf(deck)
  const index = slides.findIndex(slide => slide.id === wish.slide)
  const before = slides[index - 1]
  if (!before || !isOnlyWords(deck, wish.slide)) return []
  const own = outlineOf(deck, slides[index]!)
  const above = outlineOf(deck, before)
  const lines = [...above.lines, { text: own.title, level: 1 }, ...own.lines.map(line => ({ ...line, level: Math.min(9, line.level + 1) }))]
  return [...setOutlineSlide(deck, { slide: before.id, outline: { title: above.title, lines } }, context), ...removeSlides(deck, { slides: [wish.slide] })]
}
