import {
  infoOf,
  deckTheme,
  dropRecord,
  putRecord,
  setRecord,
  applyChanges,
  beatsOf,
  cuesOf,
  cuesOfElement,
  elementsOf,
  inlineText,
  paragraphTexts,
  textOf,
  type Change,
  type Deck,
  type ChartElement,
  type DiagramElement,
  type EditContext,
  type Element,
  type FieldsOf,
  type Joint,
  type Paragraph,
  type Slide,
  type TextDoc,
  type TextElement,
} from '../model'
import { chartOfLines } from '../charts'
import { dropElements, fillPlaceholder } from '../edits'
import { familyIn } from '../looks'
import { arrangingOf, groundHex, itemElements, itemPlace, shownElements, themeUnder, type ItemElements } from '../resolved'
import { orderAt, orderLast, type Box, type Id } from '../values'
import { isFraming, type Item, type LayoutFamily, type Place } from '../families'
import { itemsOfLines, linesOfItem, paragraphOf, wordsOfItem, type ItemContent, type RichLine } from './content'
import { pairs } from './pairing'

/** The family of a slide's layout; undefined where its name is not in the catalogue. */
export const familyOf = (deck: Deck, slide: Slide): LayoutFamily | undefined =>
  familyIn(themeUnder(deck, slide.id), deck.layouts[slide.layout]?.family ?? '')

/** What holds lines: a text, or a diagram or chart that was made of one. */
type LinesElement = TextElement | DiagramElement | (ChartElement & { text: TextDoc })
const holdsLines = (element: Element): element is LinesElement =>
  element.kind === 'text' || element.kind === 'diagram' || (element.kind === 'chart' && element.text !== undefined)

/** What holds the words of a place. */
export const textFilling = (deck: Deck, slide: Id, placeholder: string): LinesElement | undefined =>
  elementsOf(deck, slide)
    .filter(holdsLines)
    .find(element => element.placeholder === placeholder)

/** Lines that stand in the style of a list carry bullets; under a title, a chart, on a picture they are set in another one, plain. */
function isList(deck: Deck, slide: Id): boolean {
  const place = elementsOf(deck, deck.slides[slide]?.layout ?? '').find(candidate => candidate.placeholder === 'body')
  return place?.kind !== 'text' || (place.style ?? 'body') === 'body'
}

/** A slide whose lines carried bullets and stand plain now that its layout is another one, or the other way round, has them so. */
export function bulletsAfter(before: Deck, now: Deck, slide: Id): Change[] {
  const body = textFilling(now, slide, 'body')
  const by = Number(isList(now, slide)) - Number(isList(before, slide))
  if (!body || !by) return []
  const content = body.text.content.map(({ attrs, ...paragraph }) => {
    const level = Math.max(0, Math.min(9, (attrs?.level ?? 0) + by))
    return { ...paragraph, attrs: { ...attrs, level } }
  })
  return [setRecord('elements', body.id, { text: { ...body.text, content } })]
}

/** The lines of a slide with their look: those of its one text, then those of its items. */
export function richLines(deck: Deck, slide: Id): RichLine[] {
  const body = textFilling(deck, slide, 'body')
  const plain = !isList(deck, slide)
  const levelOf = (paragraph: Paragraph) =>
    plain ? Math.min(9, (paragraph.attrs?.level ?? 0) + 1) : Math.max(1, paragraph.attrs?.level ?? 1)
  const lines = (body?.text.content ?? []).map((paragraph): RichLine => ({
    content: paragraph.content ?? [],
    level: levelOf(paragraph),
    attrs: paragraph.attrs,
  }))
  const written = lines.length === 1 && !lines[0]!.content.length ? [] : lines
  return [...written, ...itemElements(elementsOf(deck, slide)).flatMap(item => linesOfItem(item, 1))]
}

const sameText = (a: TextDoc | undefined, b: TextDoc) => JSON.stringify(a) === JSON.stringify(b)
const sameJson = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

const asChart = (deck: Deck, text: TextDoc) => ({ kind: 'chart' as const, chart: chartOfLines(text, infoOf(deck).language) })

/** Makes a text a chart of its lines, or such a chart a text; cues by line become cues by mark, and the other way round. */
function turnLines(deck: Deck, element: Exclude<LinesElement, DiagramElement>, text: TextDoc): Change[] {
  const { id, owner, name, order, placeholder, hidden, locked, alt, opacity } = element
  const kept = Object.fromEntries(
    Object.entries({ id, owner, name, order, placeholder, hidden, locked, alt, opacity }).filter(([, value]) => value !== undefined),
  )
  const made = element.kind === 'text' ? asChart(deck, text) : { kind: 'text' as const }
  const by = element.kind === 'text' ? 'mark' : 'paragraph'
  return [
    putRecord('elements', { ...kept, ...made, text } as Element),
    ...cuesOfElement(deck, id).flatMap((cue): Change[] => (cue.parts ? [setRecord('cues', cue.id, { parts: { ...cue.parts, by } })] : [])),
  ]
}

/** Writes a slide's text of lines. `bullets`: lines carry them; without, a line keeps the level it had. */
function writeBody(deck: Deck, slide: Slide, lines: readonly RichLine[], bullets: boolean, context: EditContext): Change[] {
  const element = textFilling(deck, slide.id, 'body')
  const content = lines.map(({ content, level, attrs }) => paragraphOf(content, bullets ? level : level - 1, attrs))
  const text: TextDoc = content.length ? { type: 'doc', content } : textOf([])
  const place = elementsOf(deck, slide.layout).find(candidate => candidate.placeholder === 'body')
  if (element && element.kind !== 'diagram' && (element.kind === 'chart') !== (place?.kind === 'chart'))
    return turnLines(deck, element, text)
  if (element) return sameText(element.text, text) ? [] : [setRecord('elements', element.id, { text })]
  if (!lines.some(line => line.content.length)) return []
  // A chart that waits for lines.
  const empty = elementsOf(deck, slide.id).find(one => one.kind === 'chart' && one.placeholder === 'body')
  if (empty) return [setRecord('elements', empty.id, { ...asChart(deck, text), text })]
  const size = infoOf(deck).size
  const margin = deckTheme(deck).margin
  const record: Element = {
    id: context.id(),
    owner: slide.id,
    ...(place?.kind === 'chart' ? asChart(deck, text) : { kind: 'text' }),
    name: place?.name ?? 'Lines',
    placeholder: 'body',
    order: orderLast(elementsOf(deck, slide.id)),
    text,
    ...(place
      ? {}
      : {
          box: {
            x: margin,
            y: Math.round(size.height * 0.24),
            width: size.width - 2 * margin,
            height: Math.round(size.height * 0.64),
            angle: 0,
          },
          style: 'body',
        }),
  }
  return [putRecord('elements', record)]
}

interface Wanted {
  content: ItemContent
  old: ItemElements | null
  under: Wanted[]
}

/** Each item with the one that it was before. */
function matched(items: readonly ItemContent[], old: readonly ItemElements[]): Wanted[] {
  const words = old.map(node =>
    linesOfItem(node, 1)
      .map(line => inlineText(line.content))
      .join('\n'),
  )
  const own = items.map(item => itemWords(item))
  const from = pairs(words, own)
  return items.map((content, index) => {
    const before = from[index] === null ? null : old[from[index]!]!
    return { content, old: before, under: matched(content.under, before?.under ?? []) }
  })
}

function itemWords(item: ItemContent): string {
  const lines =
    item.joint && item.text && !item.joint.words.startsWith('\n')
      ? [
          item.joint.last
            ? inlineText(item.text[0]!.content) + item.joint.words + inlineText(item.lead)
            : inlineText(item.lead) + item.joint.words + inlineText(item.text[0]!.content),
          ...item.text.slice(1).map(paragraph => inlineText(paragraph.content)),
        ]
      : wordsOfItem(item).split('\n')
  return [...lines, ...item.under.map(itemWords)].join('\n')
}

const plainItem = (item: ItemContent): Item => ({
  ...(item.lead ? { lead: inlineText(item.lead) } : {}),
  ...(item.text ? { text: item.text.map(paragraph => inlineText(paragraph.content)).join('\n') } : {}),
  under: item.under.map(plainItem),
})

/** The plain items of a slide's lines in a family, for arranging them. */
export const plainItems = (lines: readonly RichLine[], family: LayoutFamily): Item[] => itemsOfLines(lines, family).map(plainItem)

/** Whether an element holds something that no line says: a picture that somebody wants there, a film, a chart's table. */
export const holdsMedia = (element: Element) =>
  element.kind === 'chart'
    ? !!element.chart?.table
    : 'media' in element && element.media !== undefined && !(element.kind === 'picture' && element.proposed)

/** Hands out orders from back to front: one that is asked for stays where it still is in order, and others come between. */
function stacking(taken: string[]) {
  taken.sort()
  let behind: string | null = null
  return (order?: string): string => {
    if (order !== undefined && (behind === null || order > behind)) return (behind = order)
    const above = taken.find(other => behind === null || other > behind)
    const made = orderAt(behind === null ? [] : [{ order: behind }, ...(above ? [{ order: above }] : [])], behind === null ? 0 : 1)
    taken.push(made)
    taken.sort()
    return (behind = made)
  }
}

/** A place of the arrangement with what is to stand in it: the item's words, and the element that it had there before. */
interface Filling {
  place: Place
  words: TextDoc | null
  joint: Joint | undefined
  found: Element | undefined
}

function fillingOf(place: Place, wanted: readonly Wanted[], own: readonly Element[]): Filling {
  const item = itemPlace(place.placeholder)
  const node = item ? nodeAt(wanted, item.path) : null
  return {
    place,
    words: item && node && place.kind === 'text' && !place.field ? wordsFor(item.slot, node.content) : null,
    joint: item?.slot === 'lead' ? node?.content.joint : undefined,
    found: item ? node?.old?.slots.get(item.slot) : own.find(element => element.placeholder === place.placeholder),
  }
}

const withoutNumbers = (name: string) => name.replace(/[\d-]+/g, '#')

/** What is changed of an element that goes on filling a place, so that it is that of its item. */
function fieldsFilled({ place, words, joint }: Filling, found: Element, order: string): FieldsOf<'elements'> {
  const moves = found.placeholder !== place.placeholder
  return {
    ...(order === found.order ? {} : { order }),
    ...(moves ? { placeholder: place.placeholder } : {}),
    ...(moves && withoutNumbers(found.name) === withoutNumbers(place.name) ? { name: place.name } : {}),
    ...(found.kind === 'shape' && place.kind === 'shape' && found.shape !== place.shape ? { shape: place.shape } : {}),
    ...(found.kind === 'text' && words && !sameText(found.text, words) ? { text: words } : {}),
    ...(found.kind === 'text' && words && !sameJson(found.joint, joint) ? { joint } : {}),
  }
}

/** An element for a place that has none yet. */
function newIn({ place, words, joint }: Filling, slide: Slide, id: Id, order: string): Element {
  const made = fillPlaceholder({ ...place, id: 'place', owner: slide.layout, order: 'a0' } as Element, slide.id, id)
  return { ...made, order, ...(words ? { text: words } : {}), ...(joint ? { joint } : {}) } as Element
}

/**
 * Writes a slide's items: each has an element for every place that the family gives it. What an item was before stays the
 * same record with its name, look and cues, wherever in the row it comes to stand. `keepMedia`: pictures that lose their
 * place wait on the slide for another one.
 */
function writeItems(
  deck: Deck,
  slide: Slide,
  family: LayoutFamily,
  lines: readonly RichLine[],
  keepMedia: boolean,
  context: EditContext,
): Change[] {
  const own = elementsOf(deck, slide.id)
  const wanted = matched(itemsOfLines(lines, family), itemElements(own))
  const { area, room } = arrangingOf(deck, slide.layout, groundHex(deck, slide))
  const items = wanted.map(({ content }) => plainItem(content))
  const places = items.length && family.arrange ? family.arrange(items, area, room) : []
  // Parts stand in the order of the arrangement, back to front; what is already in order keeps its place.
  const stacked = stacking(own.map(element => element.order))
  const used = new Set<Id>()
  const changes = places.flatMap((place): Change[] => {
    const filling = fillingOf(place, wanted, own)
    const { found } = filling
    if (found?.kind !== place.kind) return [putRecord('elements', newIn(filling, slide, context.id(), stacked()))]
    used.add(found.id)
    const fields = fieldsFilled(filling, found, stacked(found.order))
    return Object.keys(fields).length ? [setRecord('elements', found.id, fields)] : []
  })
  const kept = new Set(elementsOf(deck, slide.layout).map(element => element.placeholder))
  const gone = own.filter(
    ({ id, placeholder }) => (itemPlace(placeholder) || isFraming(placeholder)) && !used.has(id) && !kept.has(placeholder),
  )
  const cues = gone.flatMap(element => cuesOfElement(deck, element.id).map(cue => cue.id))
  return [...changes, ...leave(deck, slide.id, gone, keepMedia), ...(keepMedia ? [] : dropEmptied(deck, slide.id, cues))]
}

/** Drops the beats after the first that hold no cue but those that go. */
export function dropEmptied(deck: Deck, slide: Id, cues: readonly Id[]): Change[] {
  const gone = new Set(cues)
  const left = new Set(cues.map(id => deck.cues[id]?.beat))
  return beatsOf(deck, slide)
    .slice(1)
    .filter(beat => left.has(beat.id) && cuesOf(deck, beat.id).every(cue => gone.has(cue.id)))
    .map((beat): Change => dropRecord('beats', beat.id))
}

/** What is changed of an element that holds a picture or figures and has no place: it waits, unseen, with the box that it had. */
export const waiting = (box: Box | undefined): FieldsOf<'elements'> => ({ placeholder: undefined, box, hidden: true, waits: true })

/** What waits on a slide, unseen, for a layout that has a place for it. */
export const waitingOn = (deck: Deck, slide: Id): Element[] => elementsOf(deck, slide).filter(({ waits, hidden }) => waits && hidden)

/** Takes parts away that have no place any more; with `keepMedia` those that hold a picture or figures wait for one. */
function leave(deck: Deck, slide: Id, gone: readonly Element[], keepMedia: boolean): Change[] {
  const staying = keepMedia ? gone.filter(holdsMedia) : []
  const shown = staying.length ? shownElements(deck, slide, true) : []
  return [
    ...staying.map((element): Change => setRecord('elements', element.id, waiting(shown.find(other => other.id === element.id)?.box))),
    ...dropElements(
      deck,
      gone.filter(element => !staying.includes(element)).map(element => element.id),
    ),
  ]
}

function nodeAt(nodes: readonly Wanted[], path: readonly number[]): Wanted | null {
  let level = nodes
  let node: Wanted | null = null
  for (const at of path) {
    node = level[at - 1] ?? null
    level = node?.under ?? []
  }
  return node
}

const wordsFor = (slot: string, content: ItemContent): TextDoc | null => {
  if (slot === 'lead' && content.lead)
    return { type: 'doc', content: [{ type: 'paragraph', ...(content.lead.length ? { content: content.lead } : {}) }] }
  if (slot === 'text' && content.text) return { type: 'doc', content: content.text }
  return null
}

/** Gives a slide its lines in the way of its layout: in one text, or each as an item. Words of the other way are taken away. */
export function writeLines(deck: Deck, slide: Slide, lines: readonly RichLine[], context: EditContext, keepMedia = false): Change[] {
  const family = familyOf(deck, slide)
  if (!family || family.content === 'lines') {
    const own = elementsOf(deck, slide.id)
    const kept = new Set(elementsOf(deck, slide.layout).map(element => element.placeholder))
    const left = own.filter(element => (itemPlace(element.placeholder) || isFraming(element.placeholder)) && !kept.has(element.placeholder))
    return [...writeBody(deck, slide, lines, isList(deck, slide.id), context), ...leave(deck, slide.id, left, keepMedia)]
  }
  const body = textFilling(deck, slide.id, 'body')
  const changes = body ? dropElements(deck, [body.id]) : []
  const now = body ? applyChanges(deck, changes) : deck
  return [...changes, ...writeItems(now, slide, family, lines, keepMedia, context)]
}

/** A slide's title on one line, as it is written, blanks at its ends and all. */
export const titleWords = (deck: Deck, slide: Id) => {
  const title = textFilling(deck, slide, 'title')
  return title ? paragraphTexts(title.text).join(' ').replaceAll('\n', ' ') : ''
}
