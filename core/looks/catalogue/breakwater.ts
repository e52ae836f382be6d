import { picturePlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import type { Color, Role } from '../../values'
import { chance, counted, framed, framing, ornament, over, readable, running, sheetOf, sized, slot, type Sheet } from '../kit'
import type { Look } from '../look'
import { comes } from '../motion'
import { dressesOf, prompts, said, saidOn, sayings } from '../pages'
import { pitched, sideBySide } from '../rows'

const roles: readonly Role[] = ['accent1', 'accent2', 'accent3', 'accent4']
const inkOf = (index: number): Color => ({ role: roles[index % roles.length]! })
const cellShapes = ['quarter', 'half', 'ellipse', 'quarter', 'half', 'rectangle'] as const

/** A cell of the wall: a ground in one colour and a bow in another, turned by chance. */
function cellOf(sheet: Sheet, placeholder: string, frame: Frame, index: number): Place[] {
  const shape = cellShapes[Math.floor(chance(sheet, index, 1) * cellShapes.length)]!
  const [ground, bow] = [Math.floor(chance(sheet, index, 2) * 4), Math.floor(chance(sheet, index, 3) * 3)]
  const name = (part: string) => placeholder && `${placeholder}-${part}`
  const side = shape === 'rectangle' ? 0.5 : 1
  const inner = {
    x: frame.x + (frame.width * (1 - side)) / 2,
    y: frame.y + (frame.height * (1 - side)) / 2,
    width: frame.width * side,
    height: frame.height * side,
  }
  return [
    ornament(name('ground'), 'Cell', 'rectangle', frame, { fill: inkOf(ground) }),
    ornament(name('bow'), 'Bow', shape, inner, {
      fill: inkOf((ground + 1 + bow) % 4),
      angle: shape === 'rectangle' ? 0 : Math.floor(chance(sheet, index, 4) * 4) * 90,
    }),
  ]
}
/** A wall of square cells. */
const wall = (sheet: Sheet, left: number, top: number, side: number, across: number, down: number, from = 0) =>
  Array.from({ length: across * down }, (_, index) => {
    const unit = sheet.unit * side
    const at = framed(sheet, left, top, 0, 0)
    return cellOf(
      sheet,
      '',
      { x: at.x + (index % across) * unit, y: at.y + Math.floor(index / across) * unit, width: unit, height: unit },
      from + index,
    )
  }).flat()

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright } = sheet
  return [
    ...(isUpright ? wall(sheet, 0, 0, sheet.width / sheet.unit / 4, 4, 2) : wall(sheet, 1110, 0, 270, 3, 4)),
    said(sheet, 'title', 'title', isUpright ? [90, 560, 1740, 320] : [92, 150, 950, 620], prompts.title, { vertical: 'bottom' }),
    said(sheet, 'body', 'subtitle', isUpright ? [96, 900, 1730, 120] : [96, 830, 920, 140], prompts.who),
  ]
}
function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const ink = over(sheet, inkOf(0))
  const { unit, width, height } = sheet
  const r = 0.92 * Math.min(width, height)
  return [
    ornament('', 'Bow', 'quarter', { x: width - r, y: height - r, width: r, height: r }, { fill: inkOf(1), angle: 180 }),
    ornament(
      '',
      'Inner bow',
      'quarter',
      { x: width - r * 0.62, y: height - r * 0.62, width: r * 0.62, height: r * 0.62 },
      { fill: inkOf(2), angle: 180 },
    ),
    ornament(
      '',
      'Core',
      'quarter',
      { x: width - r * 0.28, y: height - r * 0.28, width: r * 0.28, height: r * 0.28 },
      { fill: inkOf(3), angle: 180 },
    ),
    running(
      'Number of the chapter',
      'chapter-number',
      'figure',
      { x: 96 * unit, y: 96 * unit, width: 0.3 * width, height: 200 * unit },
      { color: ink },
    ),
    said(sheet, 'title', 'chapter', [92, 330, 900, 430], prompts.chapter, { vertical: 'bottom', color: ink }),
    said(sheet, 'body', 'subtitle', [96, 800, 800, 140], prompts.comes, { color: ink }),
  ]
}
/** Panels under half circles, each in a colour of its own. */
function bows(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  if (sheet.isUpright || items.length > 4) return bands(items, area, room)
  return sideBySide(
    sheet,
    items,
    { ...area, height: sheet.height - area.y },
    { gap: 28, pad: 40, top: 250, lead: 140, most: 620, words: index => ({ color: over(sheet, inkOf(index)) }) },
    (path, column, index) => [
      ornament(
        slot(path, 'panel'),
        `Panel ${path}`,
        'rectangle',
        { ...column, y: column.y + 180 * unit, height: column.height - 180 * unit },
        { fill: inkOf(index) },
      ),
      ornament(slot(path, 'bow'), `Bow ${path}`, 'half', { ...column, height: 181 * unit }, { fill: inkOf(index) }),
    ],
  )
}
/** Bands with a bow at their head. */
function bands(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return pitched(sheet, items, area, { most: 190, indent: 170, gap: 16, pad: 24 }, (path, row, index) => [
    ornament(slot(path, 'band'), `Band ${path}`, 'rectangle', row, { fill: { role: 'ink', alpha: 0.06 } }),
    ornament(slot(path, 'head'), `Head ${path}`, 'rectangle', { ...row, width: row.height }, { fill: inkOf(index) }),
    ornament(
      slot(path, 'bow'),
      `Bow ${path}`,
      'quarter',
      { ...row, width: row.height },
      { fill: inkOf(index + 1), angle: (index % 4) * 90 },
    ),
  ])
}
/** Half circles that follow each other like waves, a step in each. */
function waves(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright || items.length > 6) return bands(items, area, room)
  const { unit, width } = sheet
  const wide = width / items.length
  const high = Math.min(wide / 2, 240 * unit)
  const base = area.y + 250 * unit
  return sideBySide(sheet, items, { ...area, x: 0, width }, { gap: 0, pad: 44, top: 290, lead: 84 }, (path, column, index) => {
    const fill = inkOf(index)
    const at = { x: index * wide, y: base - high, width: wide, height: high }
    return [
      ornament(slot(path, 'wave'), `Wave ${path}`, 'half', at, { fill }),
      counted(
        path,
        'figure',
        { ...at, y: at.y + high * 0.28, height: high * 0.7 },
        { align: 'center', vertical: 'middle', color: over(sheet, fill), match: 'count', size: Math.round(high * 0.5) },
      ),
    ]
  })
}
/** Figures in discs that stand on one line, the first the largest. */
function discs(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright || items.length > 4) return bands(items, area, room)
  const { unit } = sheet
  const step = area.width / items.length
  const side = Math.min(step - 24 * unit, 420 * unit)
  return sideBySide(
    sheet,
    items,
    area,
    {
      gap: 24,
      pad: 36,
      top: 90,
      lead: 240,
      most: 420,
      words: index => ({
        style: 'number',
        align: 'center',
        vertical: 'middle',
        color: over(sheet, inkOf(index)),
        textColor: { role: 'ink' },
      }),
    },
    (path, column, index) => [
      ornament(
        slot(path, 'disc'),
        `Disc ${path}`,
        'ellipse',
        { x: column.x + (column.width - side) / 2, y: column.y, width: side, height: side },
        { fill: inkOf(index) },
      ),
    ],
  ).map(place =>
    place.kind === 'text' && place.placeholder.endsWith('-text')
      ? {
          ...place,
          vertical: 'top' as const,
          box: { ...place.box, y: area.y + side + 20 * unit, height: Math.max(40, area.height - side - 20 * unit) },
        }
      : place,
  )
}
const accent = (room: LayoutRoom) => readable(sheetOf(room), 'accent1')
const saidPages = saidOn(sheet => wall(sheet, 1650, 0, 270, 1, 4, 30), {
  words: [92, 160, 1450, 590],
  supports: [96, 800, 1200, 190],
  whose: [96, 84, 1100, 56],
  items: [92, 210, 1440, 740],
})
function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright } = sheet
  const ink = over(sheet, inkOf(0))
  return [
    picturePlace('picture', 'Picture', isUpright ? framed(sheet, 0, 0, 1920, 700) : framed(sheet, 0, 0, 1280, 1080)),
    ornament(framing('panel'), 'Panel', 'rectangle', isUpright ? framed(sheet, 0, 700, 1920, 380) : framed(sheet, 1280, 0, 640, 1080), {
      fill: inkOf(0),
    }),
    ornament(framing('bow'), 'Bow', 'quarter', isUpright ? framed(sheet, 1600, 700, 320, 180) : framed(sheet, 1600, 0, 320, 320), {
      fill: inkOf(1),
      angle: 90,
    }),
    said(sheet, 'title', 'heading', isUpright ? [90, 730, 1450, 170] : [1340, 380, 520, 380], prompts.picture, {
      vertical: 'bottom',
      color: ink,
    }),
    said(sheet, 'body', 'subtitle', isUpright ? [96, 920, 1700, 120] : [1344, 790, 510, 220], prompts.words, { color: ink }),
  ]
}
function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return [
    ...wall(sheet, 0, 810, 270, Math.ceil(sheet.width / sheet.unit / 270), 1, 50),
    said(sheet, 'title', 'chapter', [92, 110, 1000, 520], prompts.closing, { vertical: 'middle' }),
    said(sheet, 'body', 'subtitle', [1180, 110, 660, 520], prompts.reach, { vertical: 'middle' }),
  ]
}

/** Quarter and half circles in flat colours, set like the stones of a wall. */
export const breakwater: Look = {
  name: 'breakwater',
  label: 'Breakwater',
  explains: 'Quarter and half circles in flat colours: for programmes, training and bright beginnings.',
  suits: {
    manner: 'pattern',
    calm: 0.4,
    line: [1, 10],
    about: 'learning and beginnings',
    words: [
      'training course courses learn learning lesson lessons welcome start skills team teams new onboarding kurs kurse lernen',
      'schulung willkommen anfang neu formation cours apprendre bienvenue debut equipe nouveau curso cursos aprender',
      'formacion bienvenida inicio equipo nuevo',
    ].join(' '),
  },
  transitions: { within: comes('wipe', 0.5, { to: 'left' }), chapter: comes('iris', 0.7, { shape: 'circle' }) },
  fonts: { display: 'Space Grotesk', body: 'Figtree', mono: 'Figtree' },
  light: {
    ground: '#fbf6ec',
    ink: '#1b2440',
    accent1: '#1f3f8f',
    accent2: '#f0a830',
    accent3: '#e4573f',
    accent4: '#2f9c8f',
    accent5: '#8f6bb8',
    accent6: '#6a7a2f',
    link: '#1f3f8f',
  },
  deep: {
    ground: '#131a2e',
    ink: '#fbf6ec',
    accent1: '#4f74d8',
    accent2: '#f4b750',
    accent3: '#f0745c',
    accent4: '#48b8a8',
    accent5: '#b799dc',
    accent6: '#a8ba5c',
    link: '#9ab4f4',
  },
  margin: 96,
  styles: {
    title: sized('Title', 'display', [150, 72, 186], 700, { lineHeight: 1, letterSpacing: -0.035 }),
    chapter: sized('Chapter', 'display', [130, 66, 156], 700, { lineHeight: 1.02, letterSpacing: -0.03 }),
    subtitle: sized('Subtitle', 'body', [36, 30, 44], 500, { paragraphSpacing: 0.15 }),
    heading: sized('Heading', 'display', [84, 52, 100], 700, { lineHeight: 1.04, letterSpacing: -0.025 }),
    lead: sized('Lead words', 'display', [52, 34, 64], 700, { lineHeight: 1.08, letterSpacing: -0.01 }),
    body: sized('Body', 'body', [37, 30, 46], 400, { lineHeight: 1.34 }),
    small: sized('Small', 'body', [28, 25, 30], 500),
    number: sized('Number', 'display', [150, 70, 200], 700, { lineHeight: 1, letterSpacing: -0.04, units: 0.42 }),
    figure: sized('Figure', 'display', [120, 50, 160], 700, { lineHeight: 1, units: 0.45 }),
    quote: sized('Quote', 'display', [104, 56, 140], 700, { lineHeight: 1.06, letterSpacing: -0.025 }),
  },
  frames: ({ size }) => ({ head: framed(size, 92, 90, 1600, 140), body: framed(size, 96, 290, 1728, 690) }),
  master: room => [running('Number', 'slide-number', 'small', framed(sheetOf(room), 1720, 44, 120, 44), { align: 'right' })],
  dresses: dressesOf('grow', {
    title: titlePlaces,
    chapter: { bare: true, ground: { role: 'accent1' }, places: chapterPlaces },
    points: bows,
    numbered: bands,
    list: { arrange: bands, best: [3, 6] },
    steps: waves,
    figures: discs,
    events: bands,
    statement: saidPages.statement,
    sayings: { bare: true, places: saidPages.sayings, arrange: sayings({ color: accent }) },
    picture: picturePlaces,
    closing: closingPlaces,
  }),
}
