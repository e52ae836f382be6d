import {
  deckTheme,
  elementsOf,
  infoOf,
  plainText,
  type Backdrop,
  type Deck,
  type Element,
  type Layout,
  type Master,
  type Slide,
  type TextDoc,
  type TextElement,
  type TextStyle,
  type Theme,
} from '../model'
import { contrast, hexOf, hexOver, mixHex } from '../color'
import { arrangedPlaces } from './arrangement'
import { arrangeGroups } from './element-groups'
import { fieldText, fieldWords } from './fields'
import { memoByRecords, type Box, type Color, type Id } from '../values'
import { withConnectors } from './connectors'
import { runningOnto } from './running-on'
import { themeOfLayout, themeOn } from './seen-theme'

/** An element as it shows: its own values over its layout's over its master's. */
export type ShownElement = Element & {
  readonly box: Box
  /** From the layout or master: not to be moved on the slide. */ readonly pinned: boolean
}

const anywhere: Box = { x: 0, y: 0, width: 400, height: 200, angle: 0 }

/** An element with what it inherits from the one in its place on the layout or master. */
const shown = memoByRecords(
  (element: Element, under: Element | undefined, pinned: boolean) => [element, under, pinned],
  (element, under, pinned): ShownElement => {
    const inherited = under && under.kind === element.kind ? { ...under, ...element } : { ...element, box: element.box ?? under?.box }
    const counted = inherited.kind === 'text' && inherited.field === 'item-number' && under?.kind === 'text' ? { text: under.text } : {}
    return { ...inherited, ...counted, box: inherited.box ?? anywhere, pinned } as ShownElement
  },
)

/** Slides on which one element of a master says something else, side by side. */
const keptWords = 2000
const saying = memoByRecords(
  (element: ShownElement, words: string) => [element, words],
  (element, words) => ({ ...element, text: fieldText(words) }) as ShownElement,
  { keep: keptWords },
)

/** An element whose words follow from the deck, with the words that it has on a slide. */
function withField(deck: Deck, slide: Id, element: ShownElement): ShownElement {
  if (element.kind !== 'text' || !element.field || element.field === 'item-number') return element
  return saying(element, fieldWords(deck, slide, element.field, themeUnder(deck, slide)))
}

const isLogo = (element: Element) => element.kind === 'picture' && element.logo === true
type LogoForm = NonNullable<NonNullable<Theme['logo']>['onLight']>

/** A place for the logo that shows it in a form, `width` × `height` px, within its box at the side of the slide where it stands. */
const showing = memoByRecords(
  (element: ShownElement, form: LogoForm, width: number, height: number, right: boolean) => [element, form.media, width, height, right],
  (element, form, width, height, right) => {
    const { box } = element
    const place = { x: right ? box.x + box.width - width : box.x, y: box.y + (box.height - height) / 2 }
    return { ...element, media: form.media, natural: form.natural, box: { ...box, ...place, width, height } } as ShownElement
  },
  { keep: 2 },
)

/** A logo in the form that stands out more from a slide's ground, whole in its box; null where the theme has none. */
function withLogo(deck: Deck, slide: Slide, element: ShownElement): ShownElement | null {
  if (!isLogo(element)) return element
  const { theme } = ownersOf(deck, slide)
  const ground = groundHex(deck, slide)
  const dark = contrast(ground, '#ffffff') > contrast(ground, '#000000')
  const form = dark ? (theme.logo?.onDark ?? theme.logo?.onLight) : (theme.logo?.onLight ?? theme.logo?.onDark)
  if (!theme.logo || !form) return null
  const { box } = element
  const scale = Math.min(box.width / form.natural.width, box.height / form.natural.height)
  const height = Math.max(Math.min(theme.logo.least, box.height), form.natural.height * scale)
  const width = (height * form.natural.width) / form.natural.height
  return showing(element, form, width, height, box.x + box.width / 2 > infoOf(deck).size.width / 2)
}

/** A clip of an earlier slide that runs on over this one. */
const ranOn = memoByRecords(
  (clip: Element) => [clip],
  (clip): ShownElement => {
    const { parent: _, ...rest } = clip
    return { ...rest, box: clip.box ?? anywhere, pinned: true } as ShownElement
  },
)

/** The placeholders that a slide's layout and master keep, and those that its items are given, by name; the layout's come first. */
export function placeholdersOf(deck: Deck, slide: Slide): ReadonlyMap<string, Element> {
  const places = new Map<string, Element>()
  const layout = deck.layouts[slide.layout]
  for (const owner of [layout?.master, layout?.id]) {
    if (!owner) continue
    for (const element of elementsOf(deck, owner)) if (element.placeholder) places.set(element.placeholder, element)
  }
  for (const [name, place] of arrangedPlaces(deck, slide, groundHex(deck, slide))) places.set(name, place)
  return places
}

const standIn = memoByRecords(
  (owner: Layout | Master, layout: Id) => [owner, layout],
  ({ id }, layout): Slide => ({ id, order: 'a0', layout, notes: '' }),
)

/** A slide, or for a layout or master an empty slide of it, so that it can be shown and edited like one. */
export function slideOrStandIn(deck: Deck, id: Id): Slide | undefined {
  if (deck.slides[id]) return deck.slides[id]
  const owner = deck.layouts[id] ?? deck.masters[id]
  return owner && standIn(owner, deck.layouts[id] ? id : '')
}

const seen = (elements: readonly ShownElement[], keepHidden: boolean) =>
  withConnectors(keepHidden ? elements : elements.filter(element => !element.hidden))

/** What stands on a layout or master: its master's parts pinned, then its own with its placeholders, to be edited. */
function partsOf(deck: Deck, owner: Id, keepHidden: boolean): readonly ShownElement[] {
  const master = deck.layouts[owner]?.master
  const slide = slideOrStandIn(deck, owner)!
  const dress = (element: ShownElement) => withLogo(deck, slide, withField(deck, owner, element))
  const under = master
    ? arrangeGroups(
        elementsOf(deck, master),
        elementsOf(deck, master)
          .filter(element => !element.placeholder && !deck.layouts[owner]!.without?.includes(element.id))
          .map(element => dress(shown(element, undefined, true)))
          .filter(element => element !== null),
      )
    : []
  const own = elementsOf(deck, owner)
  const made = [
    ...under,
    ...arrangeGroups(
      own,
      own.map(element => dress(shown(element, undefined, false))).filter(element => element !== null),
    ),
  ]
  return seen(made, keepHidden)
}

/**
 * Everything a slide shows, back to front: its master's pinned parts, its layout's, then its own. Hidden parts are left out. A layout or
 * master shows its parts as they are edited.
 */
export function shownElements(deck: Deck, slideId: Id, keepHidden = false): readonly ShownElement[] {
  const slide = deck.slides[slideId]
  if (!slide) return deck.layouts[slideId] || deck.masters[slideId] ? partsOf(deck, slideId, keepHidden) : []
  const layout = deck.layouts[slide.layout]
  const places = placeholdersOf(deck, slide)
  const made: ShownElement[] = []
  for (const owner of [layout?.master, layout?.id]) {
    if (!owner) continue
    const ownLogo = owner === layout?.master && elementsOf(deck, layout.id).some(isLogo)
    const pinned: ShownElement[] = []
    for (const element of elementsOf(deck, owner)) {
      if (element.placeholder || (owner === layout?.master && layout.without?.includes(element.id)) || (ownLogo && isLogo(element)))
        continue
      const one = withLogo(deck, slide, withField(deck, slideId, shown(element, undefined, true)))
      if (one) pinned.push(one)
    }
    made.push(...arrangeGroups(elementsOf(deck, owner), pinned))
  }
  for (const clip of runningOnto(deck, slide.id)) made.push(ranOn(clip))
  const own = elementsOf(deck, slide.id)
  made.push(
    ...arrangeGroups(
      own,
      own.map(element =>
        withField(deck, slideId, shown(element, element.placeholder ? places.get(element.placeholder) : undefined, false)),
      ),
    ),
  )
  return seen(made, keepHidden)
}

/** Fields of elements that are tried out before they are kept: a place under the hand, a remedy that is looked at. */
export type Tries = Readonly<Record<Id, Partial<Element>>>

/** What a slide shows with some fields tried out: other elements keep their identity, lines that hold on to what moves follow. */
export function previewElements(deck: Deck, slide: Id, tries?: Tries): readonly ShownElement[] {
  const elements = shownElements(deck, slide)
  if (!tries || !Object.keys(tries).length) return elements
  return withConnectors(elements.map(element => (tries[element.id] ? ({ ...element, ...tries[element.id] } as ShownElement) : element)))
}

/** One element as it shows. */
export function shownElement(deck: Deck, id: Id): ShownElement | undefined {
  const element = deck.elements[id]
  if (!element) return undefined
  if (element.kind === 'group' || (element.kind === 'shape' && (element.from || element.to)))
    return shownElements(deck, element.owner, true).find(one => one.id === id)
  const slide = deck.slides[element.owner]
  return shown(element, slide && element.placeholder ? placeholdersOf(deck, slide).get(element.placeholder) : undefined, false)
}

/** The theme that a slide, layout or master stands in: its master's own or the deck's, as its layout's look composes it. */
export function themeUnder(deck: Deck, owner: Id): Theme {
  const layout = deck.layouts[deck.slides[owner]?.layout ?? owner]
  return layout ? themeOfLayout(deck, layout) : (deck.masters[owner]?.theme ?? deckTheme(deck))
}

const ownersOf = (deck: Deck, slide: Slide) => {
  const layout = deck.layouts[slide.layout]
  return { layout, master: deck.masters[layout?.master ?? slide.id], theme: themeUnder(deck, layout?.id ?? slide.id) }
}

/** The colour of a slide's ground: its own, or its layout's, master's or theme's. */
export function groundOf(deck: Deck, slide: Slide): Color {
  const { layout, master, theme } = ownersOf(deck, slide)
  return slide.ground ?? layout?.ground ?? master?.ground ?? theme.ground
}

/**
 * How a slide's ground looks beyond its plain colour, part by part from the nearest that says something. Whoever chooses a
 * plain colour chooses no fill with it.
 */
export function backdropOf(deck: Deck, slide: Slide): Backdrop {
  const { layout, master, theme } = ownersOf(deck, slide)
  const owners = [slide, layout, master, theme]
  const filling = owners.find(owner => owner && (owner.backdrop?.fill !== undefined || owner.ground))
  const nearest = <K extends keyof Backdrop>(part: K) => owners.find(owner => owner?.backdrop?.[part] !== undefined)?.backdrop?.[part]
  return {
    fill: filling?.backdrop?.fill ?? null,
    texture: nearest('texture') ?? null,
    vignette: nearest('vignette') ?? null,
    border: nearest('border') ?? null,
  }
}

const solidity = (color: Color) => color.alpha ?? 1

/**
 * The plain colour that words on a slide's ground are read against, #rrggbb: of a gradient its middle colour, of a veiled picture the
 * veil's.
 */
export function groundHex(deck: Deck, slide: Slide): string {
  const { theme } = ownersOf(deck, slide)
  const plainHex = hexOf(groundOf(deck, slide), theme.palette)
  const { fill } = backdropOf(deck, slide)
  if (!fill) return plainHex
  if (fill.kind === 'picture') return fill.veil && solidity(fill.veil) > 0.4 ? hexOver(fill.veil, plainHex, theme.palette) : plainHex
  const colors = fill.kind === 'corners' ? fill.colors : fill.stops.map(stop => stop.color)
  return mixHex(colors.map(color => hexOver(color, plainHex, theme.palette)))
}

/** The theme as it is seen on a slide: on a deep ground, ink and ground change places. */
export const themeOf = (deck: Deck, slide: Slide): Theme => themeOn(ownersOf(deck, slide).theme, groundHex(deck, slide))

/** The theme as it is seen on a slide, layout or master: what its roles look like there. */
export function themeSeen(deck: Deck, owner: Id): Theme {
  const slide = slideOrStandIn(deck, owner)
  return slide ? themeOf(deck, slide) : themeUnder(deck, owner)
}

/** What covers a slide's plain ground, and who says so; null where nothing does. */
export function fillOfGround(
  deck: Deck,
  slide: Slide,
): { fill: NonNullable<Backdrop['fill']>; from: 'slide' | 'layout' | 'master' | 'theme' } | null {
  const { layout, master, theme } = ownersOf(deck, slide)
  const from = (['slide', 'layout', 'master', 'theme'] as const).find((_, index) => {
    const owner = [slide, layout, master, theme][index]
    return owner && (owner.backdrop?.fill !== undefined || owner.ground)
  })
  const { fill } = backdropOf(deck, slide)
  return fill && from ? { fill, from } : null
}

const plain: TextStyle = {
  name: 'Body',
  font: 'body',
  size: 40,
  leastSize: 24,
  weight: 400,
  lineHeight: 1.3,
  letterSpacing: 0,
  paragraphSpacing: 0.3,
  color: { role: 'ink' },
  align: 'left',
  bullet: { symbol: '•', color: { role: 'accent1' } },
}

const leadOf = memoByRecords(
  (body: TextStyle) => [body],
  (body): TextStyle => ({ ...body, name: 'Lead words', weight: 700, lineHeight: 1.15 }),
)

/** A text style of a theme by name; a theme without one for lead words sets them as its body, bold. */
export function styleNamed(theme: Theme, name: string): TextStyle {
  const body = theme.textStyles.body ?? plain
  const found = theme.textStyles[name]
  return found ?? (name === 'lead' ? leadOf(body) : body)
}

/** What of a text element departs from its style, by name; nothing where it follows it altogether. */
export function departures(element: TextElement): Partial<TextStyle> {
  const { size, color, align, weight, family, lineHeight, letterSpacing } = element
  const own = { size, color, align, weight, family, lineHeight, letterSpacing, case: element.case }
  return Object.fromEntries(Object.entries(own).filter(([, value]) => value !== undefined)) as Partial<TextStyle>
}

/** All that decides how a text is set: its style, with what the text says for itself and how the theme marks words that matter. */
export interface TextSetting extends TextStyle {
  bullets?: TextElement['bullets']
  direction?: TextElement['direction']
  accents?: Theme['accents']
}

const withoutGrowth = memoByRecords(
  (style: TextStyle) => [style],
  ({ mostSize: _, ...style }): TextStyle => style,
  { keep: 100 },
)

/** Scripts whose letters are joined to each other within a word. */
const joined = /[\p{Script=Arabic}\p{Script=Syriac}\p{Script=Nko}\p{Script=Mandaic}\p{Script=Mongolian}\p{Script=Adlam}]/u
const isJoined = memoByRecords(
  (text: TextDoc) => [text],
  text => joined.test(plainText(text)),
)
/** Letters that are joined are not set apart, nor closer: that would tear or crush what joins them. */
const withoutSpacing = memoByRecords(
  (style: TextSetting) => [style],
  (style): TextSetting => ({ ...style, letterSpacing: 0 }),
)

/** The style a text element is set in, with the element's own departures from it. Words grow in the places of layouts alone. */
export function styleOf(deck: Deck, element: TextElement): TextSetting {
  const style = settingOf(deck, element)
  return style.letterSpacing && isJoined(element.text) ? withoutSpacing(style) : style
}

function settingOf(deck: Deck, element: TextElement): TextSetting {
  const theme = themeUnder(deck, element.owner)
  const named = styleNamed(theme, element.style ?? 'body')
  const style = named.mostSize === undefined || element.placeholder ? named : withoutGrowth(named)
  const own = departures(element)
  const { bullets, direction } = element
  if (!Object.keys(own).length && !bullets && !direction && !theme.accents) return style
  return {
    ...style,
    ...own,
    // A size of its own is the size that it has.
    ...(own.size === undefined ? {} : { mostSize: undefined }),
    ...(element.case === 'none' ? { case: undefined } : {}),
    ...(bullets ? { bullets } : {}),
    ...(direction ? { direction } : {}),
    ...(theme.accents ? { accents: theme.accents } : {}),
  }
}
