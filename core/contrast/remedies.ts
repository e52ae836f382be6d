import { calmestPlace, readableOn, shadeFor, type Raster, type RasterPlace } from '../color'
import type { Element, PictureElement, Slide } from '../model'
import { backdropOf, themeOf, type ShownElement } from '../resolved'
import type { Id, Role } from '../values'
import { boundsOf, boxOf, overlap } from '../place'
import { beneath } from './beneath'
import { contrastOf, type Contrast, type ContrastInput } from './measure'
import { painter } from './paint'
import { wordsOf } from './words'

/** Something that would make words readable, measured again with it done. */
export interface ContrastRemedy {
  name: 'color' | 'opacity' | 'panel' | 'tint' | 'shade' | 'overlay' | 'calm'
  label: string
  says: string
  /** The fields that it gives elements, and the slide. */
  fields: Readonly<Record<Id, Partial<Element>>>
  slide: Partial<Slide> | null
  /** How the words stand out then. */
  after: Contrast
}

const percent = (share: number) => `${Math.round(share * 100)} %`
/** Strengths that are tried, from a first one on, as far as it takes. */
const strengths = (from: number) => Array.from({ length: 20 }, (_, index) => (index + 1) / 20).filter(strength => strength >= from)
const enough = (contrast: Contrast) => contrast.ratio >= contrast.needed

/** An input in which a remedy is done, so that it is measured as it will be seen. */
function withDone(input: ContrastInput, fields: Readonly<Record<Id, Partial<Element>>>, slide: Partial<Slide> | null): ContrastInput {
  const give = <E extends ShownElement>(element: E) => (fields[element.id] ? ({ ...element, ...fields[element.id] } as E) : element)
  const next = slide ? { ...input.slide, ...slide } : input.slide
  // Styles are read from the deck's own record of an element; the one that is tried stands in its place.
  const records = Object.fromEntries(
    Object.entries(fields).flatMap(([id, own]) => (input.deck.elements[id] ? [[id, { ...input.deck.elements[id], ...own }]] : [])),
  )
  const deck = {
    ...input.deck,
    elements: { ...input.deck.elements, ...records },
    slides: slide ? { ...input.deck.slides, [next.id]: next } : input.deck.slides,
  } as ContrastInput['deck']
  return { ...input, deck, slide: next, element: give(input.element), elements: input.elements.map(give) }
}

/** What the remedies of a text are looked for with. */
interface Search {
  input: ContrastInput
  now: Contrast
  /** The picture that it stands on, topmost; undefined where it stands on none. */
  picture: (PictureElement & ShownElement) | undefined
}

type Done = Pick<ContrastRemedy, 'says' | 'fields'> & { slide?: Partial<Slide> | null }
/** One way of making words readable; null where it does not apply, or would not be enough at its strongest. */
type Way = (search: Search) => ContrastRemedy | null

/** A remedy, where the words can be read once it is done. */
function offered(
  { input }: Search,
  name: ContrastRemedy['name'],
  label: string,
  { says, fields, slide = null }: Done,
): ContrastRemedy | null {
  const after = contrastOf(withDone(input, fields, slide))
  return after && enough(after) ? { name, label, says, fields, slide, after } : null
}

/** A remedy at the first strength, from the least on, with which the words can be read; in ink or in the colour of the ground. */
function strengthened(
  search: Search,
  name: ContrastRemedy['name'],
  label: string,
  from: number,
  make: (strength: number, role: Role) => Done,
): ContrastRemedy | null {
  for (const strength of strengths(from)) {
    for (const role of ['ink', 'ground'] as const) {
      const made = offered(search, name, label, make(strength, role))
      if (made) return made
    }
  }
  return null
}

const isFaded = (element: ShownElement) => (element.opacity ?? 1) < 1

const opaque: Way = search => {
  const { element } = search.input
  if (!isFaded(element)) return null
  const fields = { [element.id]: { opacity: 1 } }
  return offered(search, 'opacity', 'Make it fully opaque', { says: 'its words as strong as their colour', fields })
}

const recolored: Way = search => {
  const { element, deck, slide } = search.input
  if (element.paint && 'kind' in element.paint) return null
  const role = readableOn(search.now.ground, themeOf(deck, slide).palette)
  const fields = { [element.id]: { color: { role }, ...(isFaded(element) ? { opacity: 1 } : {}) } as Partial<Element> }
  return offered(search, 'color', `Colour it as ${role}`, { says: 'its own colour goes', fields })
}

/** A panel keeps the words where and as large as they are: the box grows by what the panel stands out. */
const panelled: Way = search => {
  const { element } = search.input
  const { box, panel } = element
  const padding = panel?.padding ?? 20
  const grown = { ...box, x: box.x - padding, y: box.y - padding, width: box.width + 2 * padding, height: box.height + 2 * padding }
  const look = { padding, radius: panel?.radius ?? 10, ...(panel?.border ? { border: panel.border } : {}) }
  return strengthened(search, 'panel', 'A panel behind it', 0.3, (strength, role) => ({
    says: `${role}, ${percent(strength)} solid`,
    fields: { [element.id]: { box: panel ? box : grown, panel: { ...look, fill: { role, alpha: strength } } } as Partial<Element> },
  }))
}

const treated = (picture: PictureElement, treatment: PictureElement['treatment']): ContrastRemedy['fields'] => ({
  [picture.id]: { treatment: { ...picture.treatment, ...treatment } } as Partial<Element>,
})

const tinted: Way = search => {
  const { picture } = search
  if (!picture) return null
  return strengthened(search, 'tint', 'An overlay on the picture', 0.15, (strength, role) => ({
    says: `${role}, ${percent(strength)} strong`,
    fields: treated(picture, { tint: { color: { role }, strength } }),
  }))
}

const shaded: Way = search => {
  const { picture, input } = search
  if (!picture) return null
  const shade = shadeFor(wordsBounds(input), picture.box)
  return strengthened(search, 'shade', `An overlay from the ${shade.side}`, 0.3, (strength, role) => ({
    says: `${role}, over ${percent(shade.share)} of it`,
    fields: treated(picture, { shade: { ...shade, color: { role, alpha: strength } } }),
  }))
}

const overlaid: Way = search => {
  const { deck, slide } = search.input
  const { fill } = backdropOf(deck, slide)
  if (search.picture || fill?.kind !== 'picture' || !deck.slides[slide.id]) return null
  return strengthened(search, 'overlay', 'An overlay on the background', 0.15, (strength, role) => ({
    says: `${role}, ${percent(strength)} strong`,
    fields: {},
    slide: { backdrop: { ...slide.backdrop, fill: { ...fill, veil: { role, alpha: strength } } } },
  }))
}

/** Nearer than this, px of deck space, another place is none. */
const sameSpot = 12

const calmed: Way = search => {
  const { input, now, picture } = search
  const { element, deck, slide, size } = input
  if (!now.onPicture || element.locked) return null
  const lines = wordsBounds(input)
  const around = picture ? boxOf(boundsOf(picture.box)) : { x: 0, y: 0, ...size, angle: 0 }
  const place = calmPlace(input, lines, around, themeOf(deck, slide).margin)
  if (!place || Math.hypot(place.x - lines.x, place.y - lines.y) <= sameSpot) return null
  const { box } = element
  const moved = { ...box, x: Math.round(box.x + place.x - lines.x), y: Math.round(box.y + place.y - lines.y) }
  return offered(search, 'calm', 'The calmest place', { says: 'where the picture is quiet', fields: { [element.id]: { box: moved } } })
}

/** In the order in which they are offered: the least change first. */
const ways: readonly Way[] = [opaque, recolored, panelled, tinted, shaded, overlaid, calmed]

function pictureBeneath({ elements, element }: ContrastInput): Search['picture'] {
  const under = elements.slice(
    0,
    elements.findIndex(other => other.id === element.id),
  )
  return under.findLast(
    (other): other is PictureElement & ShownElement =>
      other.kind === 'picture' && !!other.media && !other.logo && overlap(boundsOf(other.box), boundsOf(element.box)),
  )
}

/**
 * What would make the words of a text readable, the least change first. Each is measured again as it will be seen, and goes as far as it
 * takes; one that would not be enough at its strongest is left out.
 */
export function contrastRemedies(input: ContrastInput): ContrastRemedy[] {
  const now = contrastOf(input)
  if (!now || enough(now)) return []
  const search: Search = { input, now, picture: pictureBeneath(input) }
  return ways.flatMap(way => way(search) ?? [])
}

/** The rectangle around all words of a text, px of deck space. */
function wordsBounds({ deck, slide, element, measurer }: ContrastInput): RasterPlace {
  const places = wordsOf(deck, slide, element, measurer).map(({ place }) => place)
  const [left, top] = [Math.min(...places.map(place => place.x)), Math.min(...places.map(place => place.y))]
  return {
    x: element.box.x + left,
    y: element.box.y + top,
    width: Math.max(...places.map(place => place.x + place.width)) - left,
    height: Math.max(...places.map(place => place.y + place.height)) - top,
  }
}

/** Pixels of the picture in which a calm place is sought, by px of deck space. */
const grain = 0.1

function calmPlace(input: ContrastInput, lines: RasterPlace, around: RasterPlace, margin: number): RasterPlace | null {
  const { deck, slide, element, elements, size, pixels } = input
  // Everything but the text itself and what lies above it.
  const { layers } = beneath(deck, slide, elements, { ...element, box: { x: 0, y: 0, ...size, angle: 0 } }, size)
  const seen = painter(layers, (media, film) => pixels(media, film)?.[0] ?? null)
  const [width, height] = [Math.round(size.width * grain), Math.round(size.height * grain)]
  const raster: Raster = { width, height, data: new Uint8ClampedArray(width * height * 4) }
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const color = seen((x + 0.5) / grain, (y + 0.5) / grain)
      raster.data.set([color.r * 255, color.g * 255, color.b * 255, 255], (y * width + x) * 4)
    }
  }
  const shrunk = (place: RasterPlace): RasterPlace => ({
    x: place.x * grain,
    y: place.y * grain,
    width: place.width * grain,
    height: place.height * grain,
  })
  const inset = Math.min(margin, around.width / 8)
  const color = wordsOf(deck, slide, element, input.measurer)[0]!.color
  const hex = `#${[color.r, color.g, color.b]
    .map(value =>
      Math.round(value * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
  const taken = elements
    .filter(other => other.id !== element.id && other.kind === 'text' && !other.pinned)
    .map(other => shrunk(boxOf(boundsOf(other.box))))
  const found = calmestPlace(
    raster,
    shrunk(lines),
    hex,
    shrunk({ x: around.x + inset, y: around.y + inset, width: around.width - 2 * inset, height: around.height - 2 * inset }),
    taken,
  )
  return found && { x: found.x / grain, y: found.y / grain, width: found.width / grain, height: found.height / grain }
}
