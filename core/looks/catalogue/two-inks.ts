import { picturePlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import type { Color } from '../../values'
import { counted, framed, framing, ornament, over, readable, running, sheetOf, sized, slot, whole, type Sheet } from '../kit'
import type { Look } from '../look'
import { comes } from '../motion'
import { dressesOf, prompts, said, saidOn, sayings } from '../pages'
import { pitched, sideBySide } from '../rows'

const first: Color = { role: 'accent1' }
const second: Color = { role: 'accent2' }

/** A screen of dots that swells toward one side, printed in one ink. `turn` in degrees. */
const dots = (sheet: Sheet, placeholder: string, frame: Frame, fill: Color, turn: number, step = 0.034) =>
  ornament(placeholder, 'Printed dots', 'halftone', frame, { fill, amounts: { seed: sheet.seed, step, turn, swell: 0.22 } })
const block = (placeholder: string, frame: Frame, fill: Color, opacity = 1) =>
  ornament(placeholder, 'Ink', 'rectangle', frame, { fill, opacity })

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright } = sheet
  return [
    block('', isUpright ? framed(sheet, 0, 0, 1920, 430) : framed(sheet, 1080, 0, 840, 1080), first),
    dots(sheet, '', isUpright ? framed(sheet, 0, 60, 1920, 420) : framed(sheet, 900, 0, 1020, 1080), second, isUpright ? 90 : 0, 0.05),
    said(sheet, 'title', 'title', isUpright ? [72, 540, 1776, 330] : [72, 330, 900, 560], prompts.title, { vertical: 'bottom' }),
    said(sheet, 'body', 'subtitle', isUpright ? [80, 900, 1760, 120] : [80, 920, 800, 110], prompts.who),
  ]
}
function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const ink = over(sheet, first)
  return [
    dots(sheet, '', framed(sheet, 0, 0, 1920, 620), { role: 'accent2', alpha: 0.9 }, 90, 0.06),
    running('Number of the chapter', 'chapter-number', 'numeral', framed(sheet, 1340, 560, 500, 460), {
      align: 'right',
      vertical: 'bottom',
      color: ink,
    }),
    said(sheet, 'title', 'chapter', [72, 660, 1240, 280], prompts.chapter, { vertical: 'bottom', color: ink }),
    said(sheet, 'body', 'subtitle', [80, 946, 1240, 104], prompts.comes, { color: ink }),
  ]
}
/** Sheets in the two inks in turn, each under a strip of dots. */
function prints(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright || items.length > 4) return lines(items, area, room)
  const inkOf = (index: number) => (index % 2 ? second : first)
  return sideBySide(
    sheet,
    items,
    { x: 0, y: area.y, width: sheet.width, height: sheet.height - area.y },
    { gap: 0, pad: 80, top: 190, lead: 150, words: index => ({ color: over(sheet, inkOf(index)) }) },
    (path, column, index) => [
      block(slot(path, 'ink'), column, inkOf(index)),
      dots(sheet, slot(path, 'dots'), { ...column, height: 150 * sheet.unit }, index % 2 ? first : second, 90, 0.16),
    ],
  )
}
/** Lines, each begun by a square of one ink that the other overprints. */
function lines(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return pitched(sheet, items, area, { most: 190, indent: 150 }, (path, row, index) => {
    const side = Math.min(84 * sheet.unit, row.height * 0.6)
    const at = { x: row.x, y: row.y + (row.height - side) / 2, width: side, height: side }
    return [
      block(slot(path, 'ink'), at, index % 2 ? second : first),
      ornament(
        slot(path, 'over'),
        `Overprint ${path}`,
        'ellipse',
        { ...at, x: at.x + side * 0.42 },
        { fill: index % 2 ? first : second, opacity: 0.78 },
      ),
    ]
  })
}
/** Discs of ink in a row that overlap, each with its number; what each step is stands below. */
function discs(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright || items.length > 6) return lines(items, area, room)
  const step = area.width / items.length
  const side = Math.min(step * 1.08, 300 * sheet.unit)
  return sideBySide(sheet, items, area, { gap: 24, top: 340, lead: 84 }, (path, column, index) => {
    const fill = index % 2 ? second : first
    const at = { x: column.x - 12 * sheet.unit, y: area.y + (300 * sheet.unit - side) / 2, width: side, height: side }
    return [
      ornament(slot(path, 'disc'), `Disc ${path}`, 'ellipse', at, { fill, opacity: 0.9 }),
      counted(path, 'figure', at, {
        align: 'center',
        vertical: 'middle',
        color: over(sheet, fill),
        size: Math.round(side * 0.44),
        match: 'count',
      }),
    ]
  })
}
/** Figures on a ground of dots, the first in the second ink. */
function figures(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright || items.length > 4)
    return pitched(
      sheet,
      items,
      area,
      {
        most: 260,
        split: 0.5,
        words: index => ({ style: 'figure', color: index ? { role: 'ink' } : readable(sheet, 'accent2'), textColor: { role: 'ink' } }),
      },
      () => [],
    )
  const foot = { x: 0, y: sheet.height * 0.74, width: sheet.width, height: sheet.height * 0.26 }
  return [
    dots(sheet, framing('dots'), foot, { role: 'accent1', alpha: 0.9 }, 90, 0.1),
    ...sideBySide(
      sheet,
      items,
      { ...area, height: 0.72 * sheet.height - area.y },
      {
        gap: 56,
        top: 30,
        lead: 250,
        words: index => ({
          style: 'number',
          vertical: 'bottom',
          color: index ? { role: 'ink' } : readable(sheet, 'accent2'),
          textColor: { role: 'ink' },
        }),
      },
      () => [],
    ).map(place => (place.kind === 'text' && place.placeholder.endsWith('-text') ? { ...place, vertical: 'top' as const } : place)),
  ]
}
const accent = (room: LayoutRoom) => readable(sheetOf(room), 'accent1')
const saidPages = saidOn(sheet => [dots(sheet, '', framed(sheet, 1180, 0, 740, 1080), second, 0, 0.05)], {
  words: [72, 150, 1180, 600],
  supports: [80, 800, 1060, 190],
  whose: [80, 80, 1100, 56],
  items: [72, 210, 1180, 740],
})
function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const ink = over(sheet, first)
  return [
    picturePlace('picture', 'Picture', whole(sheet)),
    block(framing('ink'), framed(sheet, 0, 760, 1920, 320), first),
    dots(sheet, framing('dots'), framed(sheet, 0, 640, 1920, 130), first, 90, 0.12),
    said(sheet, 'title', 'chapter', [72, 800, 1160, 230], prompts.picture, { vertical: 'middle', color: ink }),
    said(sheet, 'body', 'subtitle', [1290, 800, 550, 230], prompts.words, { vertical: 'middle', color: ink }),
  ]
}
function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const ink = over(sheet, second)
  return [
    dots(sheet, '', framed(sheet, 1090, 0, 830, 1080), { role: 'accent1', alpha: 0.9 }, 0, 0.06),
    said(sheet, 'title', 'chapter', [72, 120, 980, 460], prompts.closing, { vertical: 'top', color: ink }),
    said(sheet, 'body', 'subtitle', [80, 740, 780, 270], prompts.reach, { vertical: 'bottom', color: ink }),
  ]
}

/** Two inks and a screen of dots, as from a press in a cellar. */
export const twoInks: Look = {
  name: 'two-inks',
  label: 'Two inks',
  explains: 'Two inks and a screen of dots, as from a small press: for programmes, festivals and appeals.',
  suits: {
    manner: 'pattern',
    calm: 0.3,
    line: [1, 10],
    about: 'programmes and appeals',
    words: [
      'programme program festival appeal poster market fair campaign print join weekend stage programm fest markt messe',
      'aufruf plakat kampagne wochenende marche foire appel affiche campagne programa mercado feria cartel campana',
    ].join(' '),
  },
  transitions: { within: comes('slats', 0.6, { count: 12, way: 'across' }), chapter: comes('slats', 0.6, { count: 12, way: 'down' }) },
  fonts: { display: 'Bricolage Grotesque', body: 'Work Sans', mono: 'Work Sans' },
  light: {
    ground: '#f6f1e7',
    ink: '#1d2140',
    accent1: '#28388f',
    accent2: '#ff6f61',
    accent3: '#1d2140',
    accent4: '#8a4fa0',
    accent5: '#2f8f83',
    accent6: '#c98a2b',
    link: '#28388f',
  },
  deep: {
    ground: '#151833',
    ink: '#f6f1e7',
    accent1: '#4a5fd0',
    accent2: '#ff8374',
    accent3: '#a9b6ff',
    accent4: '#c69ad8',
    accent5: '#7cc9bd',
    accent6: '#e6bb6b',
    link: '#a9b6ff',
  },
  margin: 80,
  styles: {
    title: sized('Title', 'display', [160, 76, 200], 800, { lineHeight: 0.98, letterSpacing: -0.025 }),
    chapter: sized('Chapter', 'display', [140, 70, 170], 800, { lineHeight: 1, letterSpacing: -0.02 }),
    numeral: sized('Numeral', 'display', [440, 220, 440], 800, { lineHeight: 0.95 }),
    subtitle: sized('Subtitle', 'body', [36, 30, 44], 500, { paragraphSpacing: 0.15 }),
    heading: sized('Heading', 'display', [88, 54, 104], 800, { lineHeight: 1.02, letterSpacing: -0.02 }),
    lead: sized('Lead words', 'display', [54, 34, 66], 700, { lineHeight: 1.06 }),
    body: sized('Body', 'body', [37, 30, 46], 400, { lineHeight: 1.34 }),
    small: sized('Small', 'body', [28, 25, 30], 500),
    number: sized('Number', 'display', [210, 90, 260], 800, { lineHeight: 0.96, letterSpacing: -0.04, units: 0.4 }),
    figure: sized('Figure', 'display', [110, 50, 150], 800, { lineHeight: 1, units: 0.45 }),
    quote: sized('Quote', 'display', [110, 58, 150], 800, { lineHeight: 1.04, letterSpacing: -0.02 }),
  },
  frames: ({ size }) => ({ head: framed(size, 76, 84, 1680, 140), body: framed(size, 80, 290, 1760, 700) }),
  master: room => [running('Number', 'slide-number', 'small', framed(sheetOf(room), 1720, 40, 120, 44), { align: 'right' })],
  dresses: dressesOf('wipe', {
    title: titlePlaces,
    chapter: { bare: true, ground: first, places: chapterPlaces },
    points: prints,
    numbered: lines,
    list: lines,
    steps: { arrange: discs, best: [3, 5] },
    figures,
    events: lines,
    statement: saidPages.statement,
    sayings: { bare: true, places: saidPages.sayings, arrange: sayings({ color: accent }) },
    picture: picturePlaces,
    closing: { bare: true, ground: second, places: closingPlaces },
  }),
}
