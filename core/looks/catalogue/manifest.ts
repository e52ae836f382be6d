import { picturePlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import type { Color } from '../../values'
import { chance, counted, framed, framing, ornament, over, readable, rule, running, sheetOf, sized, slot, type Sheet } from '../kit'
import type { Look } from '../look'
import { comes, stopsHard } from '../motion'
import { dressesOf, prompts, said, saidOn, sayings } from '../pages'
import { pitched, sideBySide } from '../rows'

const ink: Color = { role: 'ink' }
const frameLine = ({ unit }: Sheet) => ({ color: ink, width: 3 * unit })

/** Containers that are stacked at the foot of a frame: as many as fit, a few of them missing, by chance. */
function stack(sheet: Sheet, frame: Frame, across: number, down: number): Place[] {
  const [wide, high] = [frame.width / across, frame.height / down]
  const tall = Array.from({ length: across }, (_, column) => Math.max(1, Math.round(down * (0.3 + 0.7 * chance(sheet, column, 1)))))
  return tall.flatMap((count, column) =>
    Array.from({ length: count }, (_, row) => {
      const index = column * down + row
      const tone = Math.floor(chance(sheet, index, 2) * 4)
      const fill: Color =
        tone === 0
          ? { role: 'accent1' }
          : tone === 1
            ? { role: 'accent2' }
            : tone === 2
              ? { role: 'ink', alpha: 0.14 }
              : { role: 'accent3' }
      const at = {
        x: frame.x + column * wide,
        y: frame.y + frame.height - (row + 1) * high,
        width: wide - 5 * sheet.unit,
        height: high - 5 * sheet.unit,
      }
      return [
        ornament('', 'Container', 'rectangle', at, { fill }),
        ...[0.25, 0.5, 0.75].map(share =>
          ornament(
            '',
            'Rib',
            'rectangle',
            { x: at.x + at.width * share, y: at.y + at.height * 0.12, width: 3 * sheet.unit, height: at.height * 0.76 },
            { fill: { role: 'ground', alpha: 0.5 } },
          ),
        ),
      ]
    }).flat(),
  )
}
function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright } = sheet
  return [
    ...stack(sheet, isUpright ? framed(sheet, 0, 640, 1920, 440) : framed(sheet, 700, 420, 1220, 660), isUpright ? 5 : 6, 6),
    said(sheet, 'title', 'title', isUpright ? [90, 110, 1740, 330] : [72, 90, 1180, 400], prompts.title, { vertical: 'top' }),
    said(sheet, 'body', 'subtitle', isUpright ? [96, 460, 1700, 120] : [76, 880, 580, 140], prompts.who, { vertical: 'bottom' }),
  ]
}
function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const color = over(sheet, { role: 'accent1' })
  return [
    running('Number of the chapter', 'chapter-number', 'numeral', framed(sheet, 72, 60, 900, 560), { color }),
    rule('', 'Rule', { ...framed(sheet, 76, 660, 1768, 0), height: 6 * sheet.unit }, color),
    said(sheet, 'title', 'chapter', [72, 690, 1240, 330], prompts.chapter, { vertical: 'top', color }),
    said(sheet, 'body', 'subtitle', [1340, 710, 504, 300], prompts.comes, { color }),
  ]
}
/** Boxes in a row whose lines they share, each with its number as it would be stencilled. */
function crates(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  if (sheet.isUpright || items.length > 4) return entries(items, area, room)
  return sideBySide(
    sheet,
    items,
    area,
    { gap: 0, pad: 36, top: 210, lead: 130, words: index => (index ? {} : { color: over(sheet, { role: 'accent1' }) }) },
    (path, column, index) => [
      ornament(slot(path, 'crate'), `Crate ${path}`, 'rectangle', column, {
        fill: index ? null : { role: 'accent1' },
        stroke: frameLine(sheet),
      }),
      counted(
        path,
        'figure',
        { x: column.x + 36 * unit, y: column.y + 24 * unit, width: column.width - 72 * unit, height: 160 * unit },
        { match: 'count', size: Math.round(130 * unit), ...(index ? {} : { color: over(sheet, { role: 'accent1' }) }) },
      ),
    ],
  )
}
/** Entries of a list between rules, numbered at the left. */
function entries(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  return pitched(sheet, items, area, { most: 170, indent: 150 }, (path, row, index) => [
    rule(slot(path, 'rule'), `Rule ${path}`, { x: row.x, y: row.y, width: row.width, height: (index ? 2 : 6) * unit }, ink),
    counted(
      path,
      'figure',
      { x: row.x, y: row.y + 6 * unit, width: 130 * unit, height: row.height - 10 * unit },
      { vertical: 'middle', match: 'count', size: Math.round(Math.min(76 * unit, row.height * 0.5)), color: readable(sheet, 'accent1') },
    ),
  ])
}
/** Boxes that pile up from left to right, one higher each: the last is full. */
function pile(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  if (sheet.isUpright || items.length > 6) return entries(items, area, room)
  const most = items.length
  const floor = area.y + 330 * unit
  const high = Math.min(64 * unit, (300 * unit) / most)
  return sideBySide(sheet, items, area, { gap: 24, top: 360, lead: 84 }, (path, column, index) => {
    const last = index === most - 1
    return Array.from({ length: index + 1 }, (_, box) =>
      ornament(
        slot(path, `box${box + 1}`),
        `Box ${box + 1} of ${path}`,
        'rectangle',
        { x: column.x, y: floor - (box + 1) * high, width: column.width, height: high - 5 * unit },
        {
          fill: last ? { role: 'accent1' } : box === index ? { role: 'accent2' } : { role: 'ink', alpha: 0.16 },
        },
      ),
    )
  })
}
function figures(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  if (sheet.isUpright || items.length > 4)
    return pitched(sheet, items, area, { most: 230, split: 0.5, words: () => ({ style: 'figure', textColor: ink }) }, (path, row) => [
      rule(slot(path, 'rule'), `Rule ${path}`, { x: row.x, y: row.y, width: row.width, height: 2 * unit }, ink),
    ])
  const colorOf = (index: number) => over(sheet, index ? { role: 'ground' } : { role: 'accent1' })
  return sideBySide(
    sheet,
    items,
    area,
    { gap: 0, pad: 36, top: 120, lead: 260, words: index => ({ style: 'number', vertical: 'middle', color: colorOf(index) }) },
    (path, column, index) => [
      ornament(slot(path, 'crate'), `Crate ${path}`, 'rectangle', column, {
        fill: index ? null : { role: 'accent1' },
        stroke: frameLine(sheet),
      }),
    ],
  ).map(place => (place.kind === 'text' && place.placeholder.endsWith('-text') ? { ...place, vertical: 'top' as const } : place))
}
const accent = (room: LayoutRoom) => readable(sheetOf(room), 'accent1')
const saidPages = saidOn(sheet => [rule('', 'Rule', { ...framed(sheet, 76, 150, 1768, 0), height: 6 * sheet.unit }, ink)], {
  words: [72, 190, 1560, 590],
  supports: [76, 820, 1400, 180],
  whose: [76, 84, 1100, 56],
  items: [72, 200, 1772, 760],
})
function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return [
    picturePlace('picture', 'Picture', framed(sheet, 0, 0, 1920, 760)),
    rule(framing('rule'), 'Rule', { ...framed(sheet, 0, 760, 1920, 0), height: 6 * sheet.unit }, { role: 'accent1' }),
    said(sheet, 'title', 'heading', [72, 800, 1140, 220], prompts.picture, { vertical: 'middle' }),
    said(sheet, 'body', 'subtitle', [1290, 800, 554, 220], prompts.words, { vertical: 'middle' }),
  ]
}
function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return [
    ...stack(sheet, framed(sheet, 0, 700, 1920, 380), 8, 4),
    said(sheet, 'title', 'chapter', [72, 80, 1100, 420], prompts.closing, { vertical: 'top' }),
    said(sheet, 'body', 'subtitle', [1230, 96, 614, 420], prompts.reach),
  ]
}

/** Containers, stencilled numbers and ruled entries. */
export const manifest: Look = {
  name: 'manifest',
  label: 'Manifest',
  explains: 'Stacked containers, stencilled numbers and ruled entries: for works, logistics and operations.',
  suits: {
    manner: 'fields',
    calm: 0.4,
    line: [1, 12],
    about: 'works and goods',
    words: [
      'works cargo freight logistics container containers production warehouse operations shift shifts machine machines',
      'delivery goods load crane repair maintenance safety fracht logistik produktion lager betrieb schicht maschine',
      'lieferung waren kran reparatur sicherheit fret logistique entrepot equipe livraison marchandises grue securite carga',
      'logistica produccion almacen turno maquina entrega mercancias grua seguridad',
    ].join(' '),
  },
  transitions: { within: comes('push', 0.45, { to: 'up' }, stopsHard), chapter: comes('cover', 0.45, { to: 'up' }, stopsHard) },
  fonts: { display: 'Oswald', body: 'Public Sans', mono: 'IBM Plex Mono' },
  light: {
    ground: '#f2f1ed',
    ink: '#191c1f',
    accent1: '#d8481f',
    accent2: '#2d6f8e',
    accent3: '#8a9299',
    accent4: '#c9a227',
    accent5: '#5c7a4a',
    accent6: '#7a4a68',
    link: '#1f6a9a',
  },
  deep: {
    ground: '#15181b',
    ink: '#f2f1ed',
    accent1: '#ff6a3c',
    accent2: '#5ba4c8',
    accent3: '#6d757c',
    accent4: '#e6c24e',
    accent5: '#93b87c',
    accent6: '#c58cb0',
    link: '#86c6ec',
  },
  margin: 76,
  styles: {
    title: sized('Title', 'display', [170, 80, 210], 600, { lineHeight: 1.02, letterSpacing: -0.02 }),
    chapter: sized('Chapter', 'display', [130, 68, 156], 600, { lineHeight: 1.06, letterSpacing: -0.015 }),
    numeral: sized('Numeral', 'display', [500, 240, 500], 600, { lineHeight: 1.02, letterSpacing: -0.03 }),
    subtitle: sized('Subtitle', 'body', [36, 30, 44], 500, { paragraphSpacing: 0.15 }),
    heading: sized('Heading', 'display', [84, 54, 100], 600, { lineHeight: 1.08 }),
    lead: sized('Lead words', 'display', [54, 34, 66], 500, { lineHeight: 1.12 }),
    body: sized('Body', 'body', [37, 30, 46], 400, { lineHeight: 1.34 }),
    small: sized('Small', 'body', [28, 25, 30], 500),
    number: sized('Number', 'display', [200, 84, 250], 600, { lineHeight: 1.02, units: 0.42 }),
    figure: sized('Figure', 'display', [110, 50, 150], 500, { lineHeight: 1.04, units: 0.45 }),
    quote: sized('Quote', 'display', [116, 60, 150], 500, { lineHeight: 1.1 }),
  },
  frames: ({ size }) => ({ head: framed(size, 72, 76, 1600, 140), body: framed(size, 76, 280, 1768, 700) }),
  master: room => {
    const sheet = sheetOf(room)
    return [
      running('Running title', 'deck-title', 'small', framed(sheet, 76, 1012, 1000, 44), { vertical: 'middle' }),
      running('Number', 'slide-number', 'small', framed(sheet, 1724, 1012, 120, 44), { align: 'right', vertical: 'middle' }),
    ]
  },
  dresses: dressesOf('rise', {
    title: titlePlaces,
    chapter: { bare: true, ground: { role: 'accent1' }, places: chapterPlaces },
    points: crates,
    numbered: entries,
    list: entries,
    steps: pile,
    figures,
    events: entries,
    statement: saidPages.statement,
    sayings: { bare: true, places: saidPages.sayings, arrange: sayings({ color: accent }) },
    picture: picturePlaces,
    closing: closingPlaces,
  }),
}
