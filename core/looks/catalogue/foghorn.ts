import { picturePlace, textPlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import type { Color } from '../../values'
import { framed, framing, ornament, over, readable, running, sheetOf, sized, slot, whole, wordsOf } from '../kit'
import type { Look } from '../look'
import { comes, cutAway } from '../motion'
import { pitched } from '../rows'
import { dressesOf, prompts, sayings, stands } from '../pages'

/** The accent as a ground for a whole slide. */
const field: Color = { role: 'accent1' }
const ink: Color = { role: 'ink' }

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return [
    textPlace('body', 'Who speaks, when', 'subtitle', framed(sheet, 72, 60, 1776, 110), {
      align: 'right',
      prompt: prompts.who,
    }),
    textPlace('title', 'Title', 'title', framed(sheet, 64, 180, 1790, 850), { vertical: 'bottom', prompt: prompts.title }),
  ]
}
function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const ink = over(sheet, field)
  return [
    running('Number of the chapter', 'chapter-number', 'numeral', framed(sheet, 900, -230, 1020, 1560), {
      align: 'center',
      vertical: 'middle',
      color: ink,
    }),
    textPlace('title', 'Title', 'chapter', framed(sheet, 68, 430, 940, 480), {
      vertical: 'bottom',
      color: ink,
      prompt: prompts.chapter,
    }),
    textPlace('body', 'Beneath it', 'subtitle', framed(sheet, 72, 930, 900, 90), { color: ink, prompt: prompts.comes }),
  ]
}

/** Key words or lines, as high as the slide allows, what is said of each beside it; the first in accent. */
const bigWords =
  (split: number) =>
  (items: readonly Item[], area: Frame, room: LayoutRoom): Place[] => {
    const sheet = sheetOf(room)
    const words = (index: number) => ({
      style: 'word',
      color: index ? ink : readable(sheet, 'accent1'),
      textColor: ink,
    })
    return pitched(sheet, items, area, { most: Infinity, gap: 18, split, words }, () => [])
  }
const keyWords = bigWords(0.52)
const lines = bigWords(0.6)
/** Numerals on one line that grow from step to step; the last in accent. */
function growing(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  if (isUpright) return keyWords(items, area, room)
  const count = items.length
  const [least, most] = [150 * unit, Math.min(520 * unit, area.height * 0.66)]
  const base = area.y + area.height * 0.72
  const heights = items.map((_, index) => (count > 1 ? least * (most / least) ** (index / (count - 1)) : most))
  const gap = 40 * unit
  const shares = heights.map(height => Math.max(260 * unit, height * 0.62))
  const room2 = area.width - gap * (count - 1)
  const scale = room2 / shares.reduce((sum, one) => sum + one, 0)
  let x = area.x
  return items.flatMap((item, index) => {
    const path = index + 1
    const width = shares[index]! * scale
    const at = x
    x += width + gap
    const color: Color = index === count - 1 ? readable(sheet, 'accent1') : ink
    return [
      textPlace(
        slot(path, 'count'),
        `Number ${path}`,
        'numeral',
        { x: at, y: base - heights[index]! * 1.05, width, height: heights[index]! * 1.05 },
        {
          field: 'item-number',
          vertical: 'bottom',
          color,
          size: Math.round(heights[index]!),
          align: 'left',
        },
      ),
      ...wordsOf(
        path,
        item,
        `Step ${path}`,
        { x: at, y: base + 14 * unit, width, height: 66 * unit },
        { x: at, y: base + 84 * unit, width, height: area.y + area.height - base - 84 * unit },
        { textColor: ink },
      ),
    ]
  })
}
/** Figures in two columns, or one that fills the width; the first in accent. */
function figures(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const across = items.length === 1 || sheet.isUpright ? 1 : 2
  const down = Math.ceil(items.length / across)
  const [wide, high] = [area.width / across, area.height / down]
  return items.flatMap((item, index) => {
    const frame = {
      x: area.x + (index % across) * wide,
      y: area.y + Math.floor(index / across) * high,
      width: wide - 40 * sheet.unit,
      height: high,
    }
    return wordsOf(
      index + 1,
      item,
      `Figure ${index + 1}`,
      { ...frame, height: high * 0.74 },
      { ...frame, y: frame.y + high * 0.76, height: high * 0.2 },
      {
        style: 'number',
        color: index ? ink : readable(sheet, 'accent1'),
        textColor: ink,
        vertical: 'bottom',
      },
    ).map(place => (place.placeholder.endsWith('-text') && place.kind === 'text' ? { ...place, vertical: 'top' as const } : place))
  })
}
/** Years one a row, their events beside them. */
function years(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const pitch = area.height / items.length
  const step = sheet.isUpright ? 0 : (area.width * 0.42) / Math.max(1, items.length - 1)
  const wide = area.width * 0.27
  return items.flatMap((item, index) => {
    const x = area.x + index * step
    const frame = { x, y: area.y + index * pitch, width: wide, height: pitch * 0.94 }
    return wordsOf(
      index + 1,
      item,
      `Event ${index + 1}`,
      frame,
      { ...frame, x: x + wide + 30 * sheet.unit, width: Math.min(area.x + area.width - x - wide - 30 * sheet.unit, area.width * 0.5) },
      {
        style: 'word',
        color: index === items.length - 1 ? readable(sheet, 'accent1') : { role: 'ink' },
        textColor: ink,
        textStyle: 'lead',
        vertical: 'middle',
      },
    )
  })
}
function statementPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return [
    textPlace('title', 'Statement', 'statement', framed(sheet, 64, 60, 1790, 800), { vertical: 'top', prompt: prompts.statement }),
    textPlace('body', 'Beneath it', 'subtitle', framed(sheet, 1176, 900, 672, 120), { vertical: 'bottom', prompt: prompts.supports }),
  ]
}
const accent = (room: LayoutRoom) => readable(sheetOf(room), 'accent1')
function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const dark: Color = sheet.isDeep ? { role: 'ground' } : ink
  const light: Color = sheet.isDeep ? { role: 'ink' } : { role: 'ground' }
  return [
    picturePlace('picture', 'Picture', whole(sheet)),
    ornament(framing('shade'), 'Shade', 'rectangle', whole(sheet), { fill: { ...dark, alpha: 0.58 } }),
    textPlace('title', 'Title', 'statement', framed(sheet, 64, 470, 1260, 550), {
      vertical: 'bottom',
      color: light,
      prompt: prompts.picture,
    }),
    textPlace('body', 'Words', 'subtitle', framed(sheet, 1360, 780, 488, 230), {
      vertical: 'bottom',
      color: light,
      prompt: prompts.words,
    }),
  ]
}
function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const ink = over(sheet, field)
  return [
    textPlace('body', 'How to reach us', 'subtitle', framed(sheet, 72, 64, 1400, 250), {
      color: ink,
      prompt: prompts.reach,
    }),
    textPlace('title', 'Title', 'title', framed(sheet, 64, 330, 1790, 700), {
      vertical: 'bottom',
      color: ink,
      prompt: prompts.closing,
    }),
  ]
}

/** One word or number fills the slide, everything else is small; one accent, no boxes, no rules. */
export const foghorn: Look = {
  name: 'foghorn',
  label: 'Foghorn',
  explains: 'One word or number fills the slide: for campaigns, openings and talks that want to be remembered.',
  suits: {
    manner: 'loud',
    calm: 0.1,
    line: [1, 6],
    about: 'calls and openings',
    words: [
      'now launch campaign stop go call loud opening today never always jetzt start stopp heute nie immer maintenant aujourd',
      'jamais toujours ahora alto hoy nunca siempre',
    ].join(' '),
  },
  transitions: { within: cutAway, chapter: comes('zoom', 0.5, { way: 'in' }) },
  fonts: { display: 'Big Shoulders Display', body: 'Public Sans', mono: 'Public Sans' },
  light: {
    ground: '#f3f2ec',
    ink: '#161616',
    accent1: '#f04c2c',
    accent2: '#d9d4cb',
    accent3: '#2d2d2d',
    accent4: '#8d8a83',
    accent5: '#5c5a55',
    accent6: '#b9482f',
    link: '#b8331a',
  },
  deep: {
    ground: '#121212',
    ink: '#f3f2ec',
    accent1: '#ff5a36',
    accent2: '#3a3a38',
    accent3: '#d9d4cb',
    accent4: '#a5a29b',
    accent5: '#77746e',
    accent6: '#ff9a7d',
    link: '#ff9277',
  },
  margin: 72,
  styles: {
    title: sized('Title', 'display', [300, 96, 760], 800, { lineHeight: 0.9, letterSpacing: -0.01, case: 'upper' }),
    chapter: sized('Chapter', 'display', [170, 80, 190], 800, { lineHeight: 0.96 }),
    numeral: sized('Numeral', 'display', [1000, 200, 1000], 800, { lineHeight: 1 }),
    statement: sized('Statement', 'display', [220, 90, 420], 800, { lineHeight: 0.94, case: 'upper' }),
    subtitle: sized('Subtitle', 'body', [34, 28, 42], 500, { paragraphSpacing: 0.1 }),
    heading: sized('Heading', 'body', [44, 36, 48], 700, { lineHeight: 1.15 }),
    word: sized('Key word', 'display', [200, 64, 300], 800, { lineHeight: 0.96 }),
    lead: sized('Lead words', 'body', [44, 32, 48], 700, { lineHeight: 1.14 }),
    body: sized('Body', 'body', [38, 28, 42], 400, { lineHeight: 1.36 }),
    small: sized('Small', 'body', [28, 24, 28], 500, { color: { role: 'ink', alpha: 0.8 } }),
    number: sized('Number', 'display', [300, 110, 620], 800, { lineHeight: 0.9, units: 0.46 }),
    quote: sized('Quote', 'display', [130, 70, 220], 800, { lineHeight: 1 }),
  },
  frames: ({ size }) => ({ head: framed(size, 72, 60, 1500, 70), body: framed(size, 72, 168, 1776, 850) }),
  master: room => [running('Number', 'slide-number', 'small', framed(sheetOf(room), 1700, 60, 148, 50), { align: 'right' })],
  dresses: dressesOf('wipe', {
    title: titlePlaces,
    chapter: { bare: true, ground: field, places: chapterPlaces },
    points: keyWords,
    list: { arrange: lines, best: [3, 8] },
    steps: growing,
    figures: { arrange: figures, best: [2, 6] },
    events: years,
    statement: statementPlaces,
    sayings: { places: stands, arrange: sayings({ color: accent }) },
    picture: picturePlaces,
    closing: { bare: true, ground: field, places: closingPlaces },
  }),
}
