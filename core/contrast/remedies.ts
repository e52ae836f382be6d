import { calmestPlace, readableOn, shadeFor, type Raster, type RasterPlace } from '../color'
import type { Element, PictureElement, Slide } from '../model'
import { backdropOf, themeOf, type ShownElement } from '../resolved'
import type { Id, Role } from '../values'
import { boundsOf, boxOf, overlap } from '../place'
import { beneath } from './beneath'
import { contrastOf, type Contrast, type ContrastWish } from './measure'
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

/** A wish in which a remedy is done, so that it is measured as it will be seen. */
function withDone(wish: ContrastWish, fields: Readonly<Record<Id, Partial<Element>>>, slide: Partial<Slide> | null): ContrastWish {
  const give = <E extends ShownElement>(element: E) => (fields[element.id] ? ({ ...element, ...fields[element.id] } as E) : element)
  const next = slide ? { ...wish.slide, ...slide } : wish.slide
  // Styles are read from the deck's own record of an element; the one that is tried stands in its place.
  const records = Object.fromEntries(
    Object.entries(fields).flatMap(([id, own]) => (wish.deck.elements[id] ? [[id, { ...wish.deck.elements[id], ...own }]] : [])),
  )
  const deck = {
    ...wish.deck,
    elements: { ...wish.deck.elements, ...records },
    slides: slide ? { ...wish.deck.slides, [next.id]: next } : wish.deck.slides,
  } as ContrastWish['deck']
  return { ...wish, deck, slide: next, element: give(wish.element), elements: wish.elements.map(give) }
}

/**
 * What would make the words of a text readable, the least change first. Each is measured again as it will be seen, and goes as far as it
 * takes; one that would not be enough at its strongest is left out.
 */
export function contrastRemedies(wish: ContrastWish): ContrastRemedy[] {
  const { element, deck, slide, size } = wish
  const { palette, margin } = themeOf(deck, slide)
  const now = contrastOf(wish)
  if (!now || enough(now)) return []
  const made: ContrastRemedy[] = []
  const tried = (fields: ContrastRemedy['fields'], slideFields: Partial<Slide> | null = null) =>
    contrastOf(withDone(wish, fields, slideFields)) ?? null
  const offer = (
    name: ContrastRemedy['name'],
    label: string,
    says: string,
    fields: ContrastRemedy['fields'],
    slideFields: Partial<Slide> | null = null,
  ) => {
    const after = tried(fields, slideFields)
    if (after && enough(after)) made.push({ name, label, says, fields, slide: slideFields, after })
    return after !== null && enough(after)
  }
  /** The first strength, from the least on, with which the words can be read. */
  const strengthen = (
    name: ContrastRemedy['name'],
    label: string,
    from: number,
    make: (strength: number, role: Role) => { fields: ContrastRemedy['fields']; slide?: Partial<Slide> | null; says: string } | null,
  ) => {
    for (const strength of strengths(from)) {
      for (const role of ['ink', 'ground'] as const) {
        const one = make(strength, role)
        if (one && offer(name, label, one.says, one.fields, one.slide ?? null)) return
      }
    }
  }
  const role = readableOn(now.ground, palette)
  if ((element.opacity ?? 1) < 1)
    offer('opacity', 'Make it fully opaque', 'its words as strong as their colour', { [element.id]: { opacity: 1 } })
  if (!element.paint || !('kind' in element.paint))
    offer('color', `Colour it as ${role}`, 'its own colour goes', {
      [element.id]: { color: { role }, ...((element.opacity ?? 1) < 1 ? { opacity: 1 } : {}) } as Partial<Element>,
    })
  // A panel keeps the words where and as large as they are: the box grows by what the panel stands out.
  const padding = element.panel?.padding ?? 20
  const grown = element.panel
    ? element.box
    : {
        ...element.box,
        x: element.box.x - padding,
        y: element.box.y - padding,
        width: element.box.width + 2 * padding,
        height: element.box.height + 2 * padding,
      }
  strengthen('panel', 'A panel behind it', 0.3, (strength, fill) => ({
    says: `${fill}, ${percent(strength)} solid`,
    fields: {
      [element.id]: {
        box: grown,
        panel: {
          padding,
          radius: element.panel?.radius ?? 10,
          ...(element.panel?.border ? { border: element.panel.border } : {}),
          fill: { role: fill, alpha: strength },
        },
      } as Partial<Element>,
    },
  }))
  const under = wish.elements
    .slice(
      0,
      wish.elements.findIndex(other => other.id === element.id),
    )
    .filter(other => overlap(boundsOf(other.box), boundsOf(element.box)))
  const picture = under.findLast(
    (other): other is PictureElement & ShownElement => other.kind === 'picture' && !!other.media && !other.logo,
  )
  const lines = wordsBounds(wish)
  if (picture) {
    strengthen('tint', 'An overlay on the picture', 0.15, (strength, color) => ({
      says: `${color}, ${percent(strength)} strong`,
      fields: { [picture.id]: { treatment: { ...picture.treatment, tint: { color: { role: color }, strength } } } as Partial<Element> },
    }))
    const shade = shadeFor(lines, picture.box)
    strengthen('shade', `A shade from the ${shade.side}`, 0.3, (strength, color) => ({
      says: `${color}, over ${percent(shade.share)} of it`,
      fields: {
        [picture.id]: {
          treatment: { ...picture.treatment, shade: { ...shade, color: { role: color, alpha: strength } } },
        } as Partial<Element>,
      },
    }))
  }
  const backdrop = backdropOf(deck, slide)
  const { fill } = backdrop
  if (!picture && fill?.kind === 'picture' && deck.slides[slide.id]) {
    strengthen('overlay', 'An overlay on the background', 0.15, (strength, color) => ({
      says: `${color}, ${percent(strength)} strong`,
      fields: {},
      slide: { backdrop: { ...slide.backdrop, fill: { ...fill, veil: { role: color, alpha: strength } } } },
    }))
  }
  if (now.onPicture && !element.locked) {
    const around = picture ? boxOf(boundsOf(picture.box)) : { x: 0, y: 0, ...size, angle: 0 }
    const place = calmPlace(wish, lines, around, margin)
    if (place) {
      const by = { x: place.x - lines.x, y: place.y - lines.y }
      if (Math.hypot(by.x, by.y) > 12)
        offer('calm', 'The calmest place', 'where the picture is quiet', {
          [element.id]: { box: { ...element.box, x: Math.round(element.box.x + by.x), y: Math.round(element.box.y + by.y) } },
        })
    }
  }
  return made
}

/** The rectangle around all words of a text, px of deck space. */
function wordsBounds({ deck, slide, element, measurer }: ContrastWish): RasterPlace {
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

function calmPlace(wish: ContrastWish, lines: RasterPlace, around: RasterPlace, margin: number): RasterPlace | null {
  const { deck, slide, element, elements, size, pixels } = wish
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
  const color = wordsOf(deck, slide, element, wish.measurer)[0]!.color
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
