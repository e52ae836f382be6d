import { infoOf, deckTheme, inlineOf, type Deck, type Paragraph, type TextDoc, type TextStyle, type Theme } from '../model'
import { dressed, pageOf } from '../looks'
import { arrangingOf, styleNamed } from '../resolved'
import { hexOf } from '../color'
import { layoutText, leastReadable, type Measurer } from '../text'
import type { Item, LayoutFamily, Place } from '../families'
import { layoutOfFamily, standingPlaces } from './layout-record'
import { itemsOfLines, type ItemContent, type RichLine } from './content'

/** What a layout is measured on: the deck's theme and size, and who reads from where. */
export interface Ruler {
  deck: Deck
  measurer: Measurer
}

/** A line as long as lines usually are, for slides that say nothing yet. */
const usual: RichLine = { content: inlineOf('A line of about five words'), level: 1 }

const heights = new WeakMap<Measurer, Map<string, { height: number; widest: number }>>()

/** Height and widest word of a text at a size, remembered. */
function measured(doc: TextDoc, words: string, style: TextStyle, fonts: Theme['fonts'], width: number, scale: number, measurer: Measurer) {
  let known = heights.get(measurer)
  if (!known) heights.set(measurer, (known = new Map()))
  const levels = doc.content.map(paragraph => paragraph.attrs?.level ?? 0).join('')
  const key = `${width}|${style.size * scale}|${fonts[style.font]}${style.weight}|${style.lineHeight}|${style.letterSpacing}|${style.paragraphSpacing}|${levels}|${words}`
  let found = known.get(key)
  if (!found) {
    if (known.size > 40_000) known.clear()
    const font = { family: fonts[style.font], size: style.size * scale, weight: style.weight, italic: false }
    const widest = words.split(/[\s-]+/).reduce((most, word) => Math.max(most, word.length < 40 ? measurer.width(word, font) : 0), 0)
    known.set(key, (found = { height: layoutText(doc, style, fonts, width, measurer, scale).height, widest }))
  }
  return found
}

/** Whether a text fits a place at the least size it may come to. */
export function fitsPlace(place: Place & { kind: 'text' }, doc: TextDoc, words: string, ruler: Ruler): boolean {
  const theme = deckTheme(ruler.deck)
  const named = styleNamed(theme, place.style ?? 'body')
  const style = place.size === undefined ? named : { ...named, size: place.size }
  const least = Math.min(style.size, Math.max(Math.min(style.leastSize, style.size), leastReadable(infoOf(ruler.deck))))
  const { height, widest } = measured(doc, words, style, theme.fonts, place.box.width, least / style.size, ruler.measurer)
  return height <= place.box.height + 0.5 && widest <= place.box.width + 0.5
}

const docOf = (content: ItemContent, slot: string): TextDoc | null => {
  if (slot === 'lead' && content.lead)
    return { type: 'doc', content: [{ type: 'paragraph', ...(content.lead.length ? { content: content.lead } : {}) }] }
  return slot === 'text' && content.text ? { type: 'doc', content: content.text } : null
}
const wordsOf = (paragraphs: readonly Paragraph[]) =>
  paragraphs.map(paragraph => (paragraph.content ?? []).map(node => (node.type === 'text' ? node.text : ' ')).join('')).join('\n')

const plain = (item: ItemContent): Item => ({
  ...(item.lead ? { lead: wordsOf([{ type: 'paragraph', content: item.lead }]) } : {}),
  ...(item.text ? { text: wordsOf(item.text) } : {}),
  under: item.under.map(plain),
})

function contentAt(items: readonly ItemContent[], path: string): ItemContent | undefined {
  let level = items
  let found: ItemContent | undefined
  for (const at of path.split('-')) {
    found = level[Number(at) - 1]
    level = found?.under ?? []
  }
  return found
}

const slotPattern = /^item([\d-]+)-(lead|text)$/

/** Whether items in a family all fit at the least size that can be read. */
export function itemsFit(family: LayoutFamily, items: readonly ItemContent[], ground: string, ruler: Ruler): boolean {
  const { area, room } = arrangingFor(family, ground, ruler.deck)
  for (const place of family.arrange!(items.map(plain), area, room)) {
    if (place.kind !== 'text') continue
    const match = slotPattern.exec(place.placeholder)
    const content = match && contentAt(items, match[1]!)
    const doc = content && docOf(content, match[2]!)
    if (doc && !fitsPlace(place, doc, wordsOf(doc.content), ruler)) return false
  }
  return true
}

function arrangingFor(family: LayoutFamily, ground: string, deck: Deck) {
  const own = layoutOfFamily(deck, family.name)
  if (own) return { ...arrangingOf(deck, own.id, ground), family }
  const { room } = arrangingOf(deck, undefined, ground)
  return {
    family,
    room,
    area: standingPlaces(deckTheme(deck), family, pageOf(deck)).find(place => place.placeholder === 'items')!.box,
  }
}

/** The colour beneath a family's slides (#rrggbb): its own ground's or the deck's. */
export const groundOfFamily = (family: LayoutFamily, deck: Deck) =>
  hexOf(dressed(family, deckTheme(deck)).ground ?? deckTheme(deck).ground, deckTheme(deck).palette)

const mostLooked = 200
/** What a row of a chart takes in height for its name to be read beside it, as a multiple of the least size. */
const rowOfChart = 1.6

/**
 * How many items like a slide's own a layout has room for at the smallest size that can be read: every count from one to
 * that fits. The slide's lines are taken again from the first where more are looked for than it has; 0 where not even one
 * fits.
 */
export function roomFor(undressed: LayoutFamily, lines: readonly RichLine[], ruler: Ruler): number {
  const family = dressed(undressed, deckTheme(ruler.deck))
  const given = lines.some(line => line.content.length) ? lines.filter(line => line.content.length) : [usual]
  const ground = groundOfFamily(family, ruler.deck)
  let count = 0
  if (family.content === 'lines') {
    const place = standingPlaces(deckTheme(ruler.deck), family, pageOf(ruler.deck)).find(other => other.placeholder === 'body')
    if (place?.kind === 'chart') return Math.floor(place.box.height / (rowOfChart * leastReadable(infoOf(ruler.deck))))
    if (place?.kind !== 'text') return 0
    const taken: Paragraph[] = []
    while (count < mostLooked) {
      const line = given[count % given.length]!
      taken.push({ type: 'paragraph', attrs: { level: line.level }, content: line.content })
      if (!fitsPlace(place, { type: 'doc', content: taken }, wordsOf(taken), ruler)) break
      count++
    }
    return count
  }
  const own = itemsOfLines(given, family)
  const taken: ItemContent[] = []
  while (count < mostLooked) {
    taken.push(own[count % own.length]!)
    if (!itemsFit(family, taken, ground, ruler)) break
    count++
  }
  return count
}

/** How many items a slide's lines are in a family. */
export const itemCount = (family: LayoutFamily, lines: readonly RichLine[]) =>
  family.content === 'lines'
    ? lines.filter(line => line.content.length).length
    : itemsOfLines(
        lines.filter(line => line.content.length),
        family,
      ).length
