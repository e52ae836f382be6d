import {
  familyNamed,
  headTitle,
  itemsPlace,
  picturePlace,
  textPlace,
  type Frame,
  type Item,
  type LayoutRoom,
  type Place,
} from '../../families'
import type { Color } from '../../values'
import { counted, framed, framing, ornament, readable, rule, running, sheetOf, sized, slot, whole, wordsOf, type Sheet } from '../kit'
import type { Look } from '../look'
import { carried } from '../motion'
import { pitched } from '../rows'
import { dressesOf, prompts, saidOn, sayings } from '../pages'

/** The left edge of content, px of a slide of 1920 × 1080: column 5 of twelve. */
const axis = 691
const hair: Color = { role: 'ink', alpha: 0.24 }
const soft: Color = { role: 'ink', alpha: 0.82 }
const line = (sheet: Sheet, placeholder: string, x: number, y: number, width: number): Place =>
  rule(placeholder, 'Hairline', { ...framed(sheet, x, y, width, 0), height: 2 * sheet.unit }, hair)

/** An arcade in one-point perspective that fills a band: arches one within the other, lighter with their depth. */
function arcade(sheet: Sheet, band: Frame, placeholder = ''): Place[] {
  const { unit, seed } = sheet
  const name = (part: string) => (placeholder ? `${placeholder}-${part}` : '')
  const depth = 6 + (Math.round(seed) % 4)
  const eye = { x: band.x + band.width * (0.42 + 0.16 * ((seed * 7) % 1)), y: band.y + band.height * 0.62 }
  const near: Frame = {
    x: band.x + band.width * 0.06,
    y: band.y + band.height * 0.06,
    width: band.width * 0.88,
    height: band.height * 0.94,
  }
  const arches = Array.from({ length: depth }, (_, k) => {
    const scale = 1 / (1 + 0.62 * k)
    const frame = {
      x: eye.x + (near.x - eye.x) * scale,
      y: eye.y + (near.y - eye.y) * scale,
      width: near.width * scale,
      height: k === 0 ? band.y + band.height - (eye.y + (near.y - eye.y) * scale) : near.height * scale,
    }
    const share = (k + 1) / depth
    const spring = Math.min(0.48, frame.width / 2 / frame.height)
    const lit = { ...frame, x: frame.x + frame.width * 0.03 }
    return [
      ornament(name(`jamb${k}`), `Jamb ${k + 1}`, 'arch', frame, {
        fill: { role: 'accent1', tint: tintOf(0.1 + 0.55 * share) },
        amounts: { spring },
      }),
      ornament(
        name(`arch${k}`),
        `Arch ${k + 1}`,
        'arch',
        { ...lit, width: frame.width * 0.94 },
        {
          fill:
            share > 0.72 ? { role: 'accent1', tint: tintOf(0.5 + 0.4 * share) } : { role: 'accent2', tint: tintOf(-0.34 + 0.9 * share) },
          amounts: { spring },
        },
      ),
    ]
  }).flat()
  const floor = { ...band, y: band.y + band.height * 0.93, height: band.height * 0.07 }
  return [
    ornament(name('ground'), 'Band', 'rectangle', band, { fill: { role: 'accent2', tint: -0.36 } }),
    ...arches,
    ornament(name('floor'), 'Floor', 'rectangle', floor, { fill: { role: 'accent2', tint: -0.2 } }),
    ornament(
      name('light'),
      'Patch of light',
      'slanted',
      { x: band.x + band.width * 0.2, y: floor.y - 26 * unit, width: band.width * 0.36, height: 44 * unit },
      { fill: { role: 'accent1', tint: 0.62 }, opacity: 0.8 },
    ),
  ]
}
const tintOf = (value: number) => Math.round(Math.max(-1, Math.min(1, value)) * 100) / 100

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright)
    return [
      ...arcade(sheet, framed(sheet, 0, 0, 1390, 590)),
      textPlace('title', 'Title', 'title', framed(sheet, 120, 630, 1680, 210), { vertical: 'bottom', prompt: prompts.title }),
      line(sheet, '', 120, 870, 1680),
      textPlace('body', 'Who speaks, when', 'subtitle', framed(sheet, 120, 890, 1680, 120), { prompt: prompts.who }),
    ]
  return [
    ...arcade(sheet, framed(sheet, 1119, 0, 538, 1080)),
    textPlace('title', 'Title', 'title', framed(sheet, 114, 150, 940, 560), { vertical: 'bottom', prompt: prompts.title }),
    line(sheet, '', 120, 820, 880),
    textPlace('body', 'Who speaks, when', 'subtitle', framed(sheet, 120, 850, 880, 140), { prompt: prompts.who }),
  ]
}

function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return [
    ...arcade(sheet, framed(sheet, 0, 648, 1657, 432)),
    running('Number of the chapter', 'chapter-number', 'numeral', framed(sheet, 114, 110, 520, 430), { vertical: 'bottom' }),
    textPlace('title', 'Title', 'chapter', framed(sheet, axis - 4, 90, 1109, 440), {
      vertical: 'bottom',
      prompt: prompts.chapter,
    }),
    textPlace('body', 'Beneath it', 'subtitle', framed(sheet, axis, 545, 1109, 80), { prompt: prompts.comes }),
  ]
}

/** The title at the left of the axis, content from the axis on. */
function besideAxis(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright) return [headTitle(room), itemsPlace(framed(sheet, 120, 300, 1680, 680))]
  return [
    textPlace('title', 'Title', 'heading', framed(sheet, 118, 132, 510, 620), { vertical: 'top', prompt: 'What this slide says' }),
    itemsPlace(framed(sheet, axis, 150, 1109, 800)),
  ]
}

/** Rows that hang from their hairlines, with a last one at the foot; numbered where they are a list. */
function hangingRows(most: number, numbered: boolean) {
  return (items: readonly Item[], area: Frame, room: LayoutRoom): Place[] => {
    const sheet = sheetOf(room)
    const { unit } = sheet
    const words = () => ({ textColor: soft })
    return pitched(sheet, items, area, { most, indent: numbered ? 110 : 0, split: 0.49, hang: 30, words }, (path, row, index) => {
      const line = { ...row, height: 2 * unit }
      const number = {
        x: row.x,
        y: row.y + Math.min(30 * unit, row.height * 0.16),
        width: 100 * unit,
        height: Math.min(row.height * 0.8, 70 * unit),
      }
      return [
        rule(slot(path, 'rule'), `Hairline ${path}`, line, hair),
        ...(index === items.length - 1 ? [rule(framing('foot'), 'Hairline at the foot', { ...line, y: row.y + row.height }, hair)] : []),
        ...(numbered ? [counted(path, 'figure', number, { size: Math.round(44 * unit), color: readable(sheet, 'accent1') })] : []),
      ]
    })
  }
}

/** A stair that rises to the right: a number above each tread, words below it. */
function stair(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright, height } = sheet
  if (isUpright || items.length > 7) return hangingRows(196, true)(items, area, room)
  const count = items.length
  const left = framed(sheet, 120, 0, 1680, 0)
  const wide = left.width / count
  const [first, rise, foot] = [0.6 * height, 0.4 * height, 0.887 * height]
  return items.flatMap((item, index) => {
    const path = index + 1
    const x = left.x + index * wide
    const y = first - (count > 1 ? (rise * index) / (count - 1) : 0) + 0.02 * height
    const color: Color = index === count - 1 ? readable(sheet, 'accent1') : { role: 'ink' }
    const inner = { x: x + 28 * unit, width: wide - 44 * unit }
    return [
      rule(slot(path, 'tread'), `Tread ${path}`, { x, y, width: wide, height: 2 * unit }, hair),
      rule(slot(path, 'riser'), `Riser ${path}`, { x, y, width: 2 * unit, height: foot - y }, hair),
      counted(
        path,
        'figure',
        { ...inner, y: y - 96 * unit, height: 84 * unit },
        { vertical: 'bottom', color, size: Math.round(64 * unit) },
      ),
      ...wordsOf(
        path,
        item,
        `Step ${path}`,
        { ...inner, y: y + 22 * unit, height: 76 * unit },
        { ...inner, y: y + 104 * unit, height: 170 * unit },
        { color, textColor: soft },
      ),
    ]
  })
}

/** The first figure large at the left with its sentence, the others between hairlines at the right. */
function leadFigure(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  const [first, ...others] = items
  const wide = others.length ? 0.56 * area.width : area.width
  const accent = readable(sheet, 'accent1')
  const lead = first
    ? wordsOf(
        1,
        first,
        'Figure 1',
        { ...area, width: wide, height: area.height * 0.62 },
        { ...area, y: area.y + area.height * 0.68, width: wide * 0.82, height: area.height * 0.26 },
        { style: 'number', color: accent, textColor: { role: 'ink' }, vertical: 'bottom' },
      )
    : []
  const top = lead.map(place =>
    place.kind === 'text' && place.placeholder.endsWith('-text')
      ? { ...place, vertical: 'top' as const }
      : place.kind === 'text'
        ? { ...place, match: 'lead-figure' }
        : place,
  )
  const x = area.x + wide + 60 * unit
  const width = area.width - wide - 60 * unit
  const pitch = Math.min(264 * unit, area.height / Math.max(1, others.length))
  const rows = others.flatMap((item, index) => {
    const path = index + 2
    const y = area.y + index * pitch
    return [
      rule(slot(path, 'rule'), `Hairline ${path}`, { x, y, width, height: 2 * unit }, hair),
      ...wordsOf(
        path,
        item,
        `Figure ${path}`,
        { x, y: y + 14 * unit, width, height: pitch * 0.54 },
        { x, y: y + pitch * 0.62, width, height: pitch * 0.34 },
        { style: 'figure', textStyle: 'body' },
      ),
    ]
  })
  return [...top, ...rows]
}

function chartPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright) return familyNamed('chart')!.places(room)
  return [
    textPlace('title', 'Title', 'heading', framed(sheet, 118, 132, 510, 520), { vertical: 'top', prompt: 'What this slide says' }),
    {
      kind: 'chart',
      placeholder: 'chart',
      name: 'Chart',
      box: { ...framed(sheet, axis, 140, 1109, 800), angle: 0 },
      prompt: 'Drop a CSV file here',
    },
    textPlace('body', 'Caption', 'small', framed(sheet, 120, 760, 470, 180), {
      vertical: 'bottom',
      prompt: 'What the figures are, and from where',
    }),
  ]
}

const quotePages = saidOn(
  sheet => arcade(sheet, sheet.isUpright ? framed(sheet, 0, 0, 1390, 300) : framed(sheet, 0, 0, 253, 1080)),
  ({ isUpright }) =>
    isUpright
      ? { words: [120, 360, 1680, 408], supports: [120, 828, 1680, 132], whose: [120, 310, 1680, 44], items: [120, 370, 1680, 590] }
      : { words: [500, 200, 1240, 476], supports: [500, 746, 1240, 154], whose: [500, 104, 1240, 54], items: [500, 200, 1240, 700] },
)
/** A short line between the words and whose they are. */
const shortLine = ({ unit }: Sheet, path: number, words: Frame): Place[] => [
  rule(
    slot(path, 'rule'),
    `Hairline ${path}`,
    { x: words.x + 4, y: words.y + words.height * 1.04, width: 120 * unit, height: 2 * unit },
    hair,
  ),
]

function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const dark: Color = sheet.isDeep ? { role: 'ground' } : { role: 'ink' }
  const light: Color = sheet.isDeep ? { role: 'ink' } : { role: 'ground' }
  return [
    picturePlace('picture', 'Picture', whole(sheet)),
    ornament(framing('shade'), 'Shade', 'rectangle', framed(sheet, 0, 330, 1920, 750), {
      fill: {
        kind: 'linear',
        angle: 180,
        stops: [
          { color: { ...dark, alpha: 0 }, at: 0 },
          { color: { ...dark, alpha: 0.8 }, at: 0.4 },
          { color: { ...dark, alpha: 0.88 }, at: 1 },
        ],
      },
    }),
    textPlace('title', 'Title', 'chapter', framed(sheet, 114, 640, 1160, 320), {
      vertical: 'bottom',
      color: light,
      prompt: prompts.picture,
    }),
    textPlace('body', 'Words', 'subtitle', framed(sheet, 1320, 760, 480, 192), {
      vertical: 'bottom',
      color: light,
      prompt: prompts.words,
    }),
  ]
}

/** A hairline across with events at equal places, the labels in turn below and above it. */
function events(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright, width } = sheet
  if (isUpright) return hangingRows(196, false)(items, area, room)
  const y = 0.62 * sheet.height
  const step = area.width / items.length
  return [
    rule(framing('line'), 'Line of time', { x: 0, y, width, height: 2 * unit }, { role: 'ink', alpha: 0.5 }),
    ...items.flatMap((item, index) => {
      const path = index + 1
      const x = area.x + index * step
      const above = index % 2 === 1
      const color: Color = index === items.length - 1 ? readable(sheet, 'accent1') : { role: 'ink' }
      const top = above ? y - 270 * unit : y
      const inner = { x: x + 22 * unit, width: step * (items.length > 3 ? 1.5 : 1) - 50 * unit }
      return [
        rule(slot(path, 'stem'), `Stem ${path}`, { x, y: top, width: 2 * unit, height: (above ? 270 : 210) * unit }, hair),
        ...wordsOf(
          path,
          item,
          `Event ${path}`,
          { ...inner, y: top + (above ? 0 : 26) * unit, height: 92 * unit },
          { ...inner, y: top + (above ? 98 : 122) * unit, height: 130 * unit },
          { style: 'figure', color, textColor: soft },
        ),
      ]
    }),
  ]
}

function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const left = sheet.isUpright ? 120 : 406
  return [
    ...arcade(sheet, framed(sheet, left, 0, 1920 - left, 400)),
    textPlace('title', 'Title', 'chapter', framed(sheet, left - 6, 440, 1800 - left, 280), {
      vertical: 'middle',
      prompt: prompts.closing,
    }),
    line(sheet, '', left, 770, 1800 - left),
    textPlace('body', 'How to reach us', 'subtitle', framed(sheet, left, 800, 1800 - left, 190), {
      prompt: prompts.reach,
    }),
  ]
}

/** Large light serif, much white, hairlines, a drawn arcade as a band. */
export const lightwell: Look = {
  name: 'lightwell',
  label: 'Lightwell',
  explains: 'Large light letters, much white and hairlines: for libraries, museums, reviews of a year.',
  suits: {
    manner: 'set',
    calm: 0.95,
    line: [3, 18],
    about: 'books, art and history',
    words: [
      'library libraries museum art book books exhibition history architecture archive archives collection culture reading',
      'bibliothek kunst buch bucher ausstellung geschichte architektur archiv sammlung kultur bibliotheque musee livre livres',
      'exposition histoire biblioteca museo arte libro libros exposicion historia arquitectura archivo coleccion cultura',
    ].join(' '),
  },
  transitions: { within: carried(1), chapter: carried(1) },
  fonts: { display: 'Spectral', body: 'Hanken Grotesk', mono: 'Hanken Grotesk' },
  light: {
    ground: '#faf7f1',
    ink: '#1c1e2c',
    accent1: '#a4512c',
    accent2: '#5a6480',
    accent3: '#3f5c58',
    accent4: '#8a6d3b',
    accent5: '#7a5a72',
    accent6: '#b58b4c',
    link: '#3b5a8c',
  },
  deep: {
    ground: '#141a30',
    ink: '#f5f0e6',
    accent1: '#eaa977',
    accent2: '#66759e',
    accent3: '#9cc0b4',
    accent4: '#d8c08a',
    accent5: '#c4a2bd',
    accent6: '#e0b878',
    link: '#9fb8e8',
  },
  margin: 120,
  styles: {
    title: sized('Title', 'display', [190, 84, 230], 300, { lineHeight: 0.98, letterSpacing: -0.03 }),
    chapter: sized('Chapter', 'display', [140, 72, 170], 300, { lineHeight: 1.02, letterSpacing: -0.025 }),
    numeral: sized('Numeral', 'display', [400, 200, 400], 300, { lineHeight: 0.95, letterSpacing: -0.045, color: { role: 'accent1' } }),
    subtitle: sized('Subtitle', 'body', [34, 28, 40], 400, { paragraphSpacing: 0.2 }),
    heading: sized('Heading', 'display', [88, 52, 104], 300, { lineHeight: 1.04, letterSpacing: -0.018 }),
    lead: sized('Lead words', 'display', [58, 36, 72], 300, { lineHeight: 1.08, letterSpacing: -0.008 }),
    body: sized('Body', 'body', [34, 27, 44], 400, { lineHeight: 1.38 }),
    small: sized('Small', 'body', [26, 22, 28], 400, { color: { role: 'ink', alpha: 0.78 } }),
    number: sized('Number', 'display', [400, 120, 430], 300, { lineHeight: 0.92, letterSpacing: -0.045, units: 0.36 }),
    figure: sized('Figure', 'display', [116, 52, 140], 300, { lineHeight: 0.98, letterSpacing: -0.03, units: 0.45 }),
    quote: sized('Quote', 'display', [96, 52, 124], 300, { italic: true, lineHeight: 1.16 }),
  },
  frames: ({ size }) => ({ head: framed(size, 118, 120, 1400, 150), body: framed(size, 120, 318, 1680, 640) }),
  master: room => {
    const sheet = sheetOf(room)
    return [
      running('Running title', 'deck-title', 'small', framed(sheet, 120, 1000, 900, 40), { vertical: 'middle' }),
      running('Number', 'slide-number', 'small', framed(sheet, 1700, 1000, 100, 40), { align: 'right', vertical: 'middle' }),
    ]
  },
  dresses: dressesOf('fade', {
    title: titlePlaces,
    chapter: chapterPlaces,
    points: { places: besideAxis, arrange: hangingRows(264, false), best: [2, 5] },
    numbered: { places: besideAxis, arrange: hangingRows(264, true) },
    list: { places: besideAxis, arrange: hangingRows(150, true), best: [4, 8] },
    steps: { places: room => [headTitle(room, 0.5 * room.size.width), itemsPlace(room.frames!.body)], arrange: stair, best: [3, 7] },
    figures: leadFigure,
    events,
    chart: chartPlaces,
    statement: quotePages.statement,
    sayings: { bare: true, places: quotePages.sayings, arrange: sayings({ between: shortLine }) },
    picture: picturePlaces,
    closing: closingPlaces,
  }),
}
