import {
  deckTheme,
  setRecord,
  applyChanges,
  elementsOf,
  isEmptyText,
  slidesOf,
  type Change,
  type Deck,
  type Element,
  type Slide,
} from '../model'
import { apartBy, hexOf } from '../color'
import { backdropOf, groundOf, shownElements, styleOf, themeUnder, type ShownElement } from '../resolved'
import { eachObject, exchanged, memoByRecords, roleNames, type Color, type Id, type Role } from '../values'
import { readItems } from '../diagrams'
import { bulletOfParagraph } from '../text'
import { eachLookRecord, exchangeEverywhere, whereIs } from './walk'

/** A thing on which a colour is seen: an element of a slide, its ground; or a record that no slide shows. */
export interface ColorPlace {
  /** Null is the slide's ground, or a record that is no element. */
  element: Id | null
  /** What it is on: the element's name, or what kind of thing. */
  name: string
  /** “slide 3”, “layout Chapter”. */
  where: string
  /** Null where no slide shows it. */
  slide: Id | null
}

/** A colour in use and all places where it is seen. */
export interface ColorUse {
  /** Null where it is a value of its own and no role. */
  role: Role | null
  /** #rrggbb, small letters. */
  hex: string
  places: ColorPlace[]
  /** How many things on slides are seen in it. */
  count: number
}

const isRole = (value: Record<string, unknown>): value is { role: Role; alpha?: number; tint?: number } =>
  typeof value.role === 'string' && (roleNames as readonly string[]).includes(value.role)
const isHex = (value: Record<string, unknown>): value is { hex: string; alpha?: number } =>
  typeof value.hex === 'string' && /^#[0-9a-f]{6}$/i.test(value.hex)

/** The palette and names are not places where a colour is used. */
const notPlaces = ['palette', 'name', 'id']

const keyOf = (value: Record<string, unknown>): string | null =>
  isHex(value) ? value.hex.toLowerCase() : isRole(value) ? value.role : null

/** The colours that stand in some fields, each once. */
function keysIn(fields: object, except: readonly string[] = notPlaces): Set<string> {
  const keys = new Set<string>()
  for (const [field, value] of Object.entries(fields)) {
    if (except.includes(field)) continue
    eachObject(value, inner => {
      const key = keyOf(inner)
      if (key) keys.add(key)
    })
  }
  return keys
}

const accents: readonly Role[] = ['accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6']

/** What an element is coloured by where it says nothing itself, as the fields that would say so: what it is drawn in by default. */
function unsaid(deck: Deck, element: ShownElement): Partial<Element> {
  if (element.kind === 'text') {
    if (isEmptyText(element.text) || element.color !== undefined || (element.paint && 'kind' in element.paint)) return {}
    return { color: styleOf(deck, element).color } as Partial<Element>
  }
  if (element.kind === 'table') return element.color ? {} : ({ color: { role: 'accent1' } } as Partial<Element>)
  if (element.kind === 'icon') return element.color ? {} : ({ color: { role: 'ink' } } as Partial<Element>)
  return {}
}

/** The roles that a diagram is drawn in: one, or those of its items in turn. */
function rolesOfDiagram(element: ShownElement & { kind: 'diagram' }): Role[] {
  const { role, each } = element.options ?? {}
  if (each) return [...new Set(readItems(element.text).map((_, index) => accents[index % accents.length]!))]
  return [accents.includes(role as Role) ? (role as Role) : 'accent1']
}

/** What an element's own fields say, kept with it: a deck's colours are asked for at every edit. */
const keysSaid = memoByRecords(
  (element: ShownElement) => [element],
  (element): ReadonlySet<string> => {
    const { chart, ...rest } = element as ShownElement & {
      chart?: { highlightColor?: Color; highlighted: readonly string[]; color?: Color }
    }
    // A diagram's options are read by `rolesOfDiagram`; a chart's highlighted colour is seen where something is highlighted.
    const drawn = chart
      ? { ...rest, chart: { color: chart.color, ...(chart.highlighted.length ? { highlightColor: chart.highlightColor } : {}) } }
      : rest
    return keysIn(drawn, element.kind === 'diagram' ? [...notPlaces, 'options'] : notPlaces)
  },
)

/**
 * The colours that an element is seen in, each once: its own, those that its layout or style gives it, those that it is drawn in by
 * default.
 */
function keysOfElement(deck: Deck, element: ShownElement): Set<string> {
  const keys = new Set(keysSaid(element))
  for (const key of keysIn(unsaid(deck, element))) keys.add(key)
  if (element.kind === 'diagram') for (const role of rolesOfDiagram(element)) keys.add(role)
  if (element.kind === 'text') {
    const style = styleOf(deck, element)
    for (const paragraph of element.text.content) for (const key of keysIn(bulletOfParagraph(style, paragraph) ?? {})) keys.add(key)
  }
  if (element.kind === 'text' || element.kind === 'diagram') {
    const marked = themeUnder(deck, element.owner).accents
    eachObject(element.text, value => {
      if (value.type === 'accent') for (const key of keysIn(marked?.[(value.attrs as { name: string }).name] ?? {})) keys.add(key)
      if (value.type === 'link') keys.add('link')
    })
  }
  return keys
}

const groundKeys = (deck: Deck, slide: Slide) => {
  const { fill, ...others } = backdropOf(deck, slide)
  // A fill that covers all leaves nothing of the colour beneath it to be seen.
  return fill ? keysIn({ fill, ...others }) : keysIn({ ground: groundOf(deck, slide), ...others })
}

/**
 * Every colour that a deck's slides are seen in, those that are no roles first, then by how often; each with all places where it is seen.
 * Colours that only layouts and masters hold which no slide shows come with a count of 0.
 */
export function colorsInUse(deck: Deck): ColorUse[] {
  const uses = new Map<string, ColorUse>()
  const palette = deckTheme(deck).palette
  const useOf = (key: string): ColorUse => {
    let use = uses.get(key)
    const role = key.startsWith('#') ? null : (key as Role)
    if (!use) uses.set(key, (use = { role, hex: role ? palette[role] : key, places: [], count: 0 }))
    return use
  }
  slidesOf(deck).forEach((slide, index) => {
    const where = `slide ${index + 1}`
    const seen = (keys: Iterable<string>, place: { element: Id | null; name: string }) => {
      for (const key of keys) {
        const use = useOf(key)
        use.places.push({ ...place, where, slide: slide.id })
        use.count++
      }
    }
    seen(groundKeys(deck, slide), { element: null, name: 'Background' })
    for (const element of shownElements(deck, slide.id, true))
      seen(keysOfElement(deck, element), { element: element.id, name: element.name })
  })
  eachLookRecord(deck, (table, record) => {
    if (table !== 'layouts' && table !== 'masters' && table !== 'elements') return
    const { words, slide } = whereIs(deck, table, record)
    if (slide) return
    for (const key of keysIn(record))
      if (!uses.get(key)?.count)
        useOf(key).places.push({
          element: table === 'elements' ? record.id : null,
          name: 'name' in record ? String(record.name) : '',
          where: words,
          slide: null,
        })
  })
  return [...uses.values()].sort((a, b) => Number(a.role !== null) - Number(b.role !== null) || b.count - a.count)
}

type From = { hex: string } | { role: Role }
const matches = (from: From) => (value: Record<string, unknown>) =>
  'hex' in from ? isHex(value) && value.hex.toLowerCase() === from.hex.toLowerCase() : isRole(value) && value.role === from.role

/**
 * Replaces a colour wherever it is seen: where it is written, and on each element that its layout, its style or its kind gives it,
 * which then says so itself. Its transparency stays; a tint stays where one role takes another's place, and goes where a value does.
 * A diagram is drawn in accents alone: where `to` is none, its own stay.
 */
export function replaceColor(deck: Deck, input: { from: From; to: Color }): Change[] {
  const match = matches(input.from)
  const exchange = (value: Record<string, unknown>) => {
    if (!match(value)) return undefined
    const alpha = value.alpha === undefined ? {} : { alpha: value.alpha }
    const tint = value.tint !== undefined && 'role' in input.to ? { tint: value.tint } : {}
    return { ...input.to, ...tint, ...alpha }
  }
  const written = exchangeEverywhere(deck, exchange, notPlaces)
  const next = applyChanges(deck, written)
  const given = slidesOf(next).flatMap(slide => {
    const own = new Map(elementsOf(next, slide.id).map(element => [element.id, element]))
    return shownElements(next, slide.id, true).flatMap((element): Change[] => {
      const record = own.get(element.id)
      const fields = record ? fieldsGiven(next, element, record, input, exchange) : {}
      return Object.keys(fields).length ? [setRecord('elements', element.id, fields)] : []
    })
  })
  return [...written, ...given]
}

/** The fields that an element must say itself for a colour that it was only given to be exchanged. */
function fieldsGiven(
  deck: Deck,
  element: ShownElement,
  record: Element,
  input: { from: From; to: Color },
  exchange: (value: Record<string, unknown>) => unknown,
): Record<string, unknown> {
  const fields: Record<string, unknown> = {}
  for (const [field, value] of Object.entries({ ...element, ...unsaid(deck, element) })) {
    if (field in record || notPlaces.includes(field) || field === 'text' || field === 'options') continue
    const made = exchanged(value, exchange)
    if (made !== value) fields[field] = made
  }
  if (
    element.kind === 'diagram' &&
    !element.options?.each &&
    'role' in input.from &&
    'role' in input.to &&
    accents.includes(input.to.role) &&
    rolesOfDiagram(element).includes(input.from.role)
  )
    fields.options = { ...element.options, role: input.to.role }
  return fields
}

/** How many of the places where a colour is seen cannot take another: diagrams that are drawn in accents alone, or in each in turn. */
export const placesThatStay = (deck: Deck, input: { from: From; to: Color }): number => {
  const key = 'hex' in input.from ? input.from.hex.toLowerCase() : input.from.role
  return colorsInUse(applyChanges(deck, replaceColor(deck, input))).find(use => (use.role ?? use.hex) === key)?.count ?? 0
}

/** The role whose colour is nearest to a value (#rrggbb), and how far it is away (OKLab). */
export function nearestRole(hex: string, deck: Deck): { role: Role; distance: number } {
  const palette = deckTheme(deck).palette
  return roleNames.map(role => ({ role, distance: apartBy(hex, hexOf({ role }, palette)) })).sort((a, b) => a.distance - b.distance)[0]!
}

/** Makes a value (#rrggbb) the colour of a role and lets all places of it name the role. */
export function turnIntoRole(deck: Deck, input: { hex: string; role: Role }): Change[] {
  const theme = deckTheme(deck)
  return [
    ...replaceColor(deck, { from: { hex: input.hex }, to: { role: input.role } }),
    setRecord('theme', 'theme', { palette: { ...theme.palette, [input.role]: input.hex.toLowerCase() } }),
  ]
}
