import { picturePlace, textPlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import { strataEdge } from '../../shapes'
import type { Color } from '../../values'
import { counted, framed, framing, ornament, over, readable, running, sheetOf, sized, slot, whole, wordsOf, type Sheet } from '../kit'
import type { Look } from '../look'
import { carried } from '../motion'
import { dressesOf, prompts, saidOn, sayings } from '../pages'

/** Layers of water that are cut from one field of noise; lengths in px of a slide of 1920 × 1080. */
interface Layers {
  count: number
  /** Height of the first edge in the middle of the slide. */
  top: number
  gap: number
  growth?: number
  swell: number
  wave: number
  tilt?: number
  standing?: boolean
}
const amountsOf = ({ seed }: Sheet, { top, gap, growth = 1, swell, wave, tilt = 0, standing = false }: Layers, layer: number) => {
  const [along, across] = standing ? [1080, 1920] : [1920, 1080]
  return { seed, layer, top: top / across, gap: gap / across, growth, swell: swell / across, wave: wave / along, tilt: tilt / across }
}
/** The tone of water at a depth, 0 at the crest to 1 in the deepest. */
function tone({ isDeep }: Sheet, depth: number): Color {
  if (isDeep) return { role: 'accent1', tint: Math.round((0.06 - 0.78 * depth) * 100) / 100 }
  const tint = depth < 0.55 ? 0.82 * (1 - depth / 0.55) : -0.44 * ((depth - 0.55) / 0.45)
  return { role: 'accent1', tint: Math.round(tint * 100) / 100 }
}

/** One layer as a part of the slide or of the layout. */
const layerOf = (sheet: Sheet, layers: Layers, layer: number, placeholder: string, fill: Color, opacity?: number): Place =>
  ornament(placeholder, `Layer ${layer + 1}`, layers.standing ? 'strata-standing' : 'strata', whole(sheet), {
    fill,
    amounts: amountsOf(sheet, layers, layer),
    ...(opacity === undefined ? {} : { opacity }),
  })

/** All layers of a slide that belong to its layout, the accent among them. */
function strata(sheet: Sheet, layers: Layers, { accent = 3, from = 0, until = layers.count - 1 } = {}): Place[] {
  return Array.from({ length: until - from + 1 }, (_, index) => {
    const layer = from + index
    const fill: Color = layer === accent ? { role: 'accent2' } : tone(sheet, layer / (layers.count - 1))
    return layerOf(sheet, layers, layer, '', fill)
  })
}

/** Layers sunk until the first edge is 24 px below a frame, wherever that stands across. */
function clearOf(sheet: Sheet, layers: Layers, frame: Frame): Layers {
  const edge = strataEdge(amountsOf(sheet, layers, 0))
  const [from, until] = [frame.x / sheet.width, (frame.x + frame.width) / sheet.width].map(x => x * (edge.length - 1)) as [number, number]
  const highest = Math.min(...edge.slice(Math.max(0, Math.floor(from)), Math.ceil(until) + 1)) * 1080
  const foot = ((frame.y + frame.height) / sheet.height) * 1080 + 24
  return highest >= foot ? layers : { ...layers, top: layers.top + foot - highest }
}
/** Height of an edge at a place across, px of the slide. */
function edgeAt(sheet: Sheet, layers: Layers, x: number): number {
  const edge = strataEdge(amountsOf(sheet, layers, 0))
  const at = Math.min(edge.length - 1.001, Math.max(0, (x / sheet.width) * (edge.length - 1)))
  const [low, share] = [Math.floor(at), at - Math.floor(at)]
  return (edge[low]! * (1 - share) + edge[low + 1]! * share) * sheet.height
}

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright } = sheet
  const title = isUpright ? framed(sheet, 120, 110, 1680, 380) : framed(sheet, 112, 150, 1130, 520)
  const layers = clearOf(sheet, { count: 13, top: 678, gap: 27, growth: 1.06, swell: 112, wave: 980, tilt: -500 }, title)
  const deep = over(sheet, tone(sheet, 1))
  return [
    ...strata(sheet, layers),
    textPlace('title', 'Title', 'title', title, { vertical: 'top', prompt: prompts.title }),
    textPlace('body', 'Who speaks, when', 'subtitle', isUpright ? framed(sheet, 120, 940, 1680, 90) : framed(sheet, 1120, 900, 680, 120), {
      vertical: 'bottom',
      align: 'right',
      color: deep,
      prompt: prompts.who,
    }),
  ]
}

function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const layers: Layers = { count: 11, top: 330, gap: 44, growth: 1.07, swell: 74, wave: 1000, tilt: 90 }
  const water = (from: number, until: number) =>
    Array.from({ length: until - from + 1 }, (_, index) => {
      const layer = from + index
      const fill: Color = layer === 2 ? { role: 'accent2' } : { role: 'accent1', tint: Math.round((-0.1 - 0.04 * layer) * 100) / 100 }
      return layerOf(sheet, layers, layer, '', fill)
    })
  return [
    ...water(0, 1),
    running('Number of the chapter', 'chapter-number', 'numeral', framed(sheet, 1180, 60, 640, 620), {
      align: 'right',
      vertical: 'bottom',
    }),
    ...water(2, 10),
    textPlace('title', 'Title', 'chapter', framed(sheet, 112, 650, 1300, 290), {
      vertical: 'bottom',
      prompt: prompts.chapter,
    }),
    textPlace('body', 'Beneath it', 'subtitle', framed(sheet, 120, 956, 1300, 80), { prompt: prompts.comes }),
  ]
}

/** Rows over the whole width, one tone deeper each. */
function rowsOfWater(least: number, most: number) {
  return (items: readonly Item[], area: Frame, room: LayoutRoom): Place[] => {
    const sheet = sheetOf(room)
    const { width, height } = sheet
    const count = items.length
    const top = area.y + 0.02 * height
    const pitch = (height - top) / count
    const swell = Math.min(24, (pitch / height) * 1080 * 0.09)
    const layers: Layers = { count, top: (top / height) * 1080, gap: (pitch / height) * 1080, swell, wave: 940, tilt: -swell }
    return items.flatMap((item, index) => {
      const depth = count === 1 ? 0.4 : least + ((most - least) * index) / (count - 1)
      const fill = tone(sheet, depth)
      const color = over(sheet, fill)
      const y = top + index * pitch
      const inner = { y: y + (swell * height) / 1080, height: pitch - (1.6 * swell * height) / 1080 }
      const lead = sheet.isUpright
        ? { x: area.x, width: area.width, y: inner.y, height: inner.height * 0.42 }
        : { x: area.x, width: 0.335 * width, ...inner }
      const text = sheet.isUpright
        ? { x: area.x, width: area.width, y: inner.y + inner.height * 0.44, height: inner.height * 0.56 }
        : { x: area.x + 0.365 * width, width: area.width - 0.365 * width, ...inner }
      return [
        layerOf(sheet, layers, index, slot(index + 1, 'layer'), fill),
        ...wordsOf(index + 1, item, `Row ${index + 1}`, lead, text, { color, vertical: 'middle' }),
      ]
    })
  }
}

/** What stands at the places of a crest: its layers, and where each item begins across. */
function crest(sheet: Sheet, area: Frame, count: number, layers: Layers, side: number) {
  const step = area.width / count
  return {
    water: Array.from({ length: 4 }, (_, layer) =>
      layerOf(sheet, layers, layer, framing(`layer${layer + 1}`), tone(sheet, layer === 0 ? 0.16 : 0.4 + layer * 0.2)),
    ),
    cells: Array.from({ length: count }, (_, index) => {
      const x = area.x + index * step
      return { x, y: edgeAt(sheet, layers, x + side / 2), width: step - 36 * sheet.unit, isLast: index === count - 1 }
    }),
    color: over(sheet, tone(sheet, 0.16)),
  }
}
const markOn = (sheet: Sheet, path: number, { x, y, isLast }: { x: number; y: number; isLast: boolean }, side: number) => {
  const fill: Color = isLast ? readable(sheet, 'accent2') : { role: 'accent1' }
  return {
    fill,
    place: ornament(slot(path, 'disc'), `Disc ${path}`, 'ellipse', { x, y: y - side / 2, width: side, height: side }, { fill }),
  }
}

/** Numbered discs on a rising crest, each with its words in the water below. */
function stepsOnCrest(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { height, unit } = sheet
  const side = 92 * unit
  const layers: Layers = { count: 5, top: 600, gap: 300, growth: 0.42, swell: 14, wave: 850, tilt: -400 }
  const { water, cells, color } = crest(sheet, area, items.length, layers, side)
  return [
    ...water,
    ...items.flatMap((item, index) => {
      const [path, at] = [index + 1, cells[index]!]
      const { fill, place } = markOn(sheet, path, at, side)
      const top = at.y + side / 2 + 18 * unit
      const count = { x: at.x, y: at.y - side / 3, width: side, height: (side * 2) / 3 }
      return [
        place,
        counted(path, 'lead', count, {
          align: 'center',
          size: Math.round(40 * unit),
          color: over(sheet, fill),
        }),
        ...wordsOf(
          path,
          item,
          `Step ${path}`,
          { x: at.x, y: top, width: at.width, height: 64 * unit },
          { x: at.x, y: top + 70 * unit, width: at.width, height: Math.min(150 * unit, height - top - 72 * unit) },
          { color },
        ),
      ]
    }),
  ]
}

/** Events on a level crest: when above it, what in the water below. */
function eventsOnCrest(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  const side = 34 * unit
  const layers: Layers = { count: 5, top: 590, gap: 330, growth: 0.42, swell: 14, wave: 850, tilt: -60 }
  const { water, cells, color } = crest(sheet, area, items.length, layers, side)
  return [
    ...water,
    ...items.flatMap((item, index) => {
      const [path, at] = [index + 1, cells[index]!]
      const { x, y, width, isLast } = at
      const text = { x, y: y + 46 * unit, width, height: 230 * unit }
      return [
        markOn(sheet, path, at, side).place,
        ...(item.lead === undefined
          ? []
          : [
              textPlace(
                slot(path, 'lead'),
                `When ${path}`,
                'figure',
                { x, y: y - 210 * unit, width, height: 170 * unit },
                {
                  vertical: 'bottom',
                  match: 'lead',
                  ...(isLast ? { color: readable(sheet, 'accent2') } : {}),
                },
              ),
            ]),
        ...wordsOf(path, { ...(item.text === undefined ? {} : { text: item.text }), under: [] }, `Event ${path}`, text, text, { color }),
      ]
    }),
  ]
}

/** Figures that stand on the waterline, their sentences below it in the water. */
function figuresOnWater(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { height, unit } = sheet
  const count = items.length
  const line = 0.594 * height
  const layers: Layers = { count: 5, top: 640, gap: 200, growth: 0.62, swell: 12, wave: 860 }
  const depths = [0.62, 0.74, 0.86, 1]
  const gap = 104 * unit
  const step = (area.width + gap) / count
  const water = depths.map((depth, layer) => layerOf(sheet, layers, layer, framing(`water${layer + 1}`), tone(sheet, depth)))
  const color = over(sheet, tone(sheet, depths[0]!))
  const hot = count === 1 ? 0 : 1
  const numbers = items.flatMap((item, index) => {
    const frame = { x: area.x + index * step, y: area.y, width: step - gap, height: line + 12 * unit - area.y }
    if (item.lead === undefined) return []
    return [
      textPlace(slot(index + 1, 'lead'), `Figure ${index + 1}`, 'number', frame, {
        vertical: 'bottom',
        match: 'lead',
        color: index === hot ? readable(sheet, 'accent2') : { role: 'ink' },
      }),
    ]
  })
  const words = items.flatMap((item, index) =>
    item.text === undefined
      ? []
      : [
          textPlace(
            slot(index + 1, 'text'),
            `Figure ${index + 1}, words`,
            'body',
            { x: area.x + index * step, y: line + 70 * unit, width: step - gap, height: 210 * unit },
            { match: 'text', color },
          ),
        ],
  )
  return [...numbers, ...water, ...words]
}

const accent = (room: LayoutRoom) => readable(sheetOf(room), 'accent1')
const shorePages = saidOn(
  sheet =>
    sheet.isUpright
      ? strata(sheet, { count: 8, top: 800, gap: 38, swell: 50, wave: 900, tilt: -120 }, { accent: 2 })
      : strata(sheet, { count: 10, top: 1255, gap: 74, swell: 96, wave: 760, tilt: -150, standing: true }, { accent: 2 }),
  ({ isUpright }) =>
    isUpright
      ? { words: [120, 120, 1680, 400], supports: [120, 540, 1680, 120], whose: [120, 80, 1680, 44], items: [120, 140, 1680, 520] }
      : { words: [112, 190, 1010, 480], supports: [120, 720, 940, 230], whose: [120, 96, 980, 60], items: [112, 200, 1010, 740] },
)

function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const layers: Layers = { count: 3, top: 705, gap: 62, growth: 1.1, swell: 30, wave: 900 }
  const depths = [0.7, 0.82, 0.95]
  const color = over(sheet, tone(sheet, 0.95))
  return [
    picturePlace('picture', 'Picture', whole(sheet)),
    ...depths.map((depth, layer) =>
      layerOf(sheet, layers, layer, framing(`water${layer + 1}`), tone(sheet, depth), [0.6, 0.78, 0.96][layer]),
    ),
    textPlace('title', 'Title', 'chapter', framed(sheet, 112, 868, 1060, 160), {
      vertical: 'middle',
      color,
      prompt: prompts.picture,
    }),
    textPlace('body', 'Words', 'subtitle', framed(sheet, 1220, 868, 580, 160), { vertical: 'middle', color, prompt: prompts.words }),
  ]
}

function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const title = framed(sheet, 760, 110, 1040, 330)
  const layers = clearOf(sheet, { count: 12, top: 540, gap: 36, growth: 1.08, swell: 110, wave: 980, tilt: 300 }, title)
  const color = over(sheet, tone(sheet, 1))
  return [
    ...strata(sheet, layers),
    textPlace('title', 'Title', 'chapter', title, { vertical: 'top', align: 'right', prompt: prompts.closing }),
    textPlace('body', 'How to reach us', 'subtitle', framed(sheet, 120, 800, 900, 220), {
      vertical: 'bottom',
      color,
      prompt: prompts.reach,
    }),
  ]
}

function masterParts(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const edge: Layers = { count: 3, top: 1030, gap: 17, swell: 9, wave: 900 }
  return [
    ...[0.3, 0.6, 0.9].map((depth, layer) => layerOf(sheet, edge, layer, '', tone(sheet, depth))),
    running('Running title', 'deck-title', 'small', framed(sheet, 1000, 62, 736, 44), { align: 'right', vertical: 'middle' }),
    running('Number', 'slide-number', 'small', framed(sheet, 1744, 62, 56, 44), { align: 'right', vertical: 'middle' }),
  ]
}

/** Layers of water or earth carry title, chapter, statement and closing, become the rows of points and the ground under figures. */
export const soundings: Look = {
  name: 'soundings',
  label: 'Soundings',
  explains: 'Layers of water carry the words: for reports from the water, the land and the weather.',
  suits: {
    manner: 'drawn',
    calm: 0.6,
    line: [2, 14],
    about: 'water',
    words: [
      'water sea ocean river lake stream boat boats ship ships ferry ferries harbour harbor quay tide tides coast shore port',
      'sail sails crew crews weather rain flood fish wasser meer fluss hafen boot boote schiff schiffe fahre kuste wetter',
      'regen flut eau mer fleuve riviere bateau bateaux navire cote meteo pluie maree agua mar rio puerto barco barcos costa',
      'lluvia marea',
    ].join(' '),
  },
  transitions: { within: carried(1.1), chapter: carried(1.1) },
  fonts: { display: 'Figtree', body: 'Figtree', mono: 'Figtree' },
  light: {
    ground: '#eff3f0',
    ink: '#0b2a35',
    accent1: '#14666e',
    accent2: '#c2401f',
    accent3: '#0e4a58',
    accent4: '#7a8f3c',
    accent5: '#c88a2b',
    accent6: '#6b4f86',
    link: '#0f6a86',
  },
  deep: {
    ground: '#07222c',
    ink: '#eaf3f0',
    accent1: '#2c7f86',
    accent2: '#f0764f',
    accent3: '#8fc7c4',
    accent4: '#b9c96f',
    accent5: '#e7b45a',
    accent6: '#b79ad0',
    link: '#7fc3dc',
  },
  margin: 120,
  styles: {
    title: sized('Title', 'display', [178, 76, 210], 800, { lineHeight: 0.95, letterSpacing: -0.035 }),
    chapter: sized('Chapter', 'display', [150, 64, 168], 800, { lineHeight: 1, letterSpacing: -0.03 }),
    numeral: sized('Numeral', 'display', [620, 300, 620], 800, { lineHeight: 0.94, letterSpacing: -0.05 }),
    subtitle: sized('Subtitle', 'body', [40, 29, 48], 500, { paragraphSpacing: 0.15 }),
    heading: sized('Heading', 'display', [92, 50, 100], 800, { lineHeight: 1.02, letterSpacing: -0.025 }),
    lead: sized('Lead words', 'body', [54, 32, 66], 700, { lineHeight: 1.1, letterSpacing: -0.01 }),
    body: sized('Body', 'body', [38, 29, 50], 400, { lineHeight: 1.34 }),
    small: sized('Small', 'body', [27, 22, 27], 500, { color: { role: 'ink', alpha: 0.8 } }),
    number: sized('Number', 'display', [230, 90, 280], 800, { lineHeight: 0.95, letterSpacing: -0.045, units: 0.36 }),
    figure: sized('Figure', 'display', [84, 44, 110], 800, { lineHeight: 1, letterSpacing: -0.03 }),
    quote: sized('Quote', 'display', [92, 46, 128], 800, { lineHeight: 1.08, letterSpacing: -0.025 }),
  },
  frames: ({ size }) => ({
    head: framed(size, 116, 130, 1400, 150),
    body: framed(size, 120, 312, 1680, 640),
  }),
  master: masterParts,
  dresses: dressesOf('rise', {
    title: titlePlaces,
    chapter: { bare: true, ground: { role: 'accent1', tint: -0.06 }, places: chapterPlaces },
    points: rowsOfWater(0.12, 0.72),
    numbered: rowsOfWater(0.12, 0.72),
    list: { arrange: rowsOfWater(0.08, 0.6), best: [4, 8] },
    longList: rowsOfWater(0.08, 0.6),
    steps: stepsOnCrest,
    figures: { arrange: figuresOnWater, best: [2, 5] },
    events: eventsOnCrest,
    statement: shorePages.statement,
    sayings: { bare: true, places: shorePages.sayings, arrange: sayings({ vertical: 'top', color: accent }) },
    picture: picturePlaces,
    closing: closingPlaces,
  }),
}
