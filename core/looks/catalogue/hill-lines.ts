import { picturePlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import type { Color } from '../../values'
import { framed, framing, ornament, over, readable, rule, running, sheetOf, sized, slot, whole, type Sheet } from '../kit'
import type { Look } from '../look'
import { comes } from '../motion'
import { dressesOf, free, prompts, said, saidOn, sayings } from '../pages'
import { pitched, sideBySide } from '../rows'

const hair: Color = { role: 'accent1', alpha: 0.4 }

/** A hill as its lines of equal height, the outermost first; the top of it filled where `top` is given. */
function hill(sheet: Sheet, name: (part: number) => string, frame: Frame, count: number, line: Color, top?: Color): Place[] {
  return Array.from({ length: count }, (_, index) => {
    const level = 1 - (index / count) * 0.92
    const isTop = index === count - 1
    return ornament(name(index), `Height ${index + 1}`, 'contour', frame, {
      fill: isTop && top ? top : null,
      stroke: { color: line, width: (index % 4 === 0 ? 4 : 2) * sheet.unit },
      amounts: { seed: sheet.seed, level },
    })
  })
}
const none = () => ''

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright } = sheet
  return [
    ...hill(
      sheet,
      none,
      isUpright ? framed(sheet, 300, -260, 2100, 820) : framed(sheet, 860, -160, 1320, 1400),
      15,
      { role: 'accent1', alpha: 0.8 },
      { role: 'accent2' },
    ),
    said(sheet, 'title', 'title', isUpright ? [112, 580, 1690, 300] : [112, 170, 860, 560], prompts.title, { vertical: 'middle' }),
    said(sheet, 'body', 'subtitle', isUpright ? [120, 900, 1680, 120] : [120, 880, 780, 120], prompts.who, { vertical: 'bottom' }),
  ]
}
function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return [
    ...hill(sheet, none, framed(sheet, -520, -200, 1500, 1500), 14, { role: 'ink', alpha: 0.34 }),
    running('Number of the chapter', 'chapter-number', 'numeral', framed(sheet, 120, 330, 560, 420), {
      align: 'center',
      vertical: 'middle',
    }),
    said(sheet, 'title', 'chapter', [860, 280, 960, 400], prompts.chapter, { vertical: 'bottom' }),
    said(sheet, 'body', 'subtitle', [868, 720, 940, 140], prompts.comes),
  ]
}
/** Columns that stand at heights, each under the top of its own small hill. */
function tops(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  if (sheet.isUpright || items.length > 4) return heights(items, area, room)
  return sideBySide(sheet, items, area, { gap: 64, top: 230, lead: 130 }, (path, column, index) => [
    ...hill(
      sheet,
      part => slot(path, `line${part}`),
      { x: column.x, y: column.y, width: Math.min(column.width, 320 * unit), height: 190 * unit },
      5,
      readable(sheet, 'accent1'),
      { role: index ? 'accent1' : 'accent2' },
    ),
    rule(slot(path, 'rule'), `Rule ${path}`, { x: column.x, y: column.y + 212 * unit, width: column.width, height: 2 * unit }, hair),
  ])
}
/** Rows between lines of height, each begun by a mark of its own. */
function heights(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  return pitched(sheet, items, area, { most: 190, indent: 130 }, (path, row, index) => [
    rule(slot(path, 'rule'), `Rule ${path}`, { x: row.x, y: row.y, width: row.width, height: 2 * unit }, hair),
    ornament(
      slot(path, 'mark'),
      `Mark ${path}`,
      'triangle',
      { x: row.x + 10 * unit, y: row.y + row.height / 2 - 24 * unit, width: 54 * unit, height: 48 * unit },
      { fill: index ? { role: 'accent1' } : { role: 'accent2' } },
    ),
  ])
}
/** A path that climbs from camp to camp, each a step up; the last is the top. */
function climb(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  if (sheet.isUpright || items.length > 6) return heights(items, area, room)
  const count = items.length
  const step = area.width / count
  const rise = count > 1 ? (210 * unit) / (count - 1) : 0
  const at = (index: number) => ({ x: area.x + index * step + 30 * unit, y: area.y + 250 * unit - index * rise })
  const box = { x: at(0).x, y: area.y, width: Math.max(1, at(count - 1).x - at(0).x), height: 260 * unit }
  return [
    ...(count > 1
      ? [
          ornament(framing('path'), 'Path', 'line', box, {
            line: {
              way: 'curve',
              points: items.map((_, index): [number, number] => [(at(index).x - box.x) / box.width, (at(index).y - box.y) / box.height]),
            },
            stroke: { color: { role: 'accent1' }, width: 6 * unit, dash: [4 * unit, 14 * unit] },
          }),
        ]
      : []),
    ...sideBySide(sheet, items, area, { gap: 34, top: 310, lead: 84 }, (path, column, index) => {
      const { x, y } = at(index)
      const last = index === count - 1
      return [
        rule(slot(path, 'pole'), `Pole ${path}`, { x: x - unit, y, width: 2 * unit, height: area.y + 296 * unit - y }, hair),
        ornament(
          slot(path, 'camp'),
          `Camp ${path}`,
          'triangle',
          { x: x - 30 * unit, y: y - 46 * unit, width: 60 * unit, height: 52 * unit },
          { fill: last ? { role: 'accent2' } : { role: 'accent1' } },
        ),
      ]
    }),
  ]
}
function figures(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const words = (index: number) => ({
    style: 'number',
    color: index ? ({ role: 'ink' } as const) : readable(sheet, 'accent2'),
    textColor: { role: 'ink' } as const,
  })
  if (sheet.isUpright || items.length > 4)
    return pitched(sheet, items, area, { most: 230, split: 0.5, words: index => ({ ...words(index), style: 'figure' }) }, (path, row) => [
      rule(slot(path, 'rule'), `Rule ${path}`, { x: row.x, y: row.y, width: row.width, height: 2 * sheet.unit }, hair),
    ])
  // They stand in the middle of what is left beneath the title.
  const low = { ...area, y: area.y + 70 * sheet.unit, height: area.height - 70 * sheet.unit }
  return sideBySide(
    sheet,
    items,
    low,
    { gap: 56, top: 90, lead: 260, words: index => ({ ...words(index), vertical: 'middle' }) },
    (path, column) => [
      rule(
        slot(path, 'rule'),
        `Rule ${path}`,
        { x: column.x, y: column.y + 60 * sheet.unit, width: column.width, height: 4 * sheet.unit },
        { role: 'accent1' },
      ),
    ],
  ).map(place => (place.kind === 'text' && place.placeholder.endsWith('-text') ? { ...place, vertical: 'top' as const } : place))
}
const accent = (room: LayoutRoom) => readable(sheetOf(room), 'accent1')
const saidPages = saidOn(sheet => hill(sheet, none, framed(sheet, 1120, 420, 1300, 1100), 12, { role: 'accent1', alpha: 0.6 }), {
  words: [114, 170, 1300, 560],
  supports: [120, 780, 1000, 190],
  whose: [120, 92, 1100, 56],
  items: [114, 220, 1240, 720],
})
function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const field: Color = { role: 'accent3' }
  const ink = over(sheet, field)
  return [
    picturePlace('picture', 'Picture', whole(sheet)),
    ...hill(sheet, part => framing(`line${part}`), framed(sheet, 980, -180, 1300, 900), 7, { hex: '#ffffff', alpha: 0.5 }),
    ornament(framing('field'), 'Field', 'rectangle', framed(sheet, 0, 770, 1920, 310), { fill: field }),
    said(sheet, 'title', 'chapter', [114, 800, 1140, 240], prompts.picture, { vertical: 'middle', color: ink }),
    said(sheet, 'body', 'subtitle', [1310, 800, 490, 240], prompts.words, { vertical: 'middle', color: ink }),
  ]
}
function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return [
    ...hill(sheet, none, framed(sheet, 900, 160, 1500, 1500), 14, { role: 'ink', alpha: 0.34 }),
    said(sheet, 'title', 'chapter', [114, 180, 1040, 420], prompts.closing, { vertical: 'middle' }),
    said(sheet, 'body', 'subtitle', [120, 680, 760, 280], prompts.reach),
  ]
}

/** Lines of equal height, as on a walker's map. */
export const hillLines: Look = {
  name: 'hill-lines',
  label: 'Hill lines',
  explains: 'Lines of equal height as on a walker’s map: for plans, ways and outdoor work.',
  suits: {
    manner: 'drawn',
    calm: 0.7,
    line: [2, 14],
    about: 'land and ways',
    words: [
      'hill hills mountain mountains path paths trail map land plan planning construction site road roads cycle walk berg',
      'berge weg wege karte planung bau strasse strassen wandern colline montagne chemin carte terrain chantier route routes',
      'colina montana camino mapa tierra obra carretera',
    ].join(' '),
  },
  transitions: { within: comes('crossfade', 0.6), chapter: comes('zoom', 0.8, { way: 'in' }) },
  fonts: { display: 'IBM Plex Sans', body: 'IBM Plex Sans', mono: 'IBM Plex Mono' },
  light: {
    ground: '#f4f5ec',
    ink: '#1d2a24',
    accent1: '#5f7f52',
    accent2: '#d9542b',
    accent3: '#27433a',
    accent4: '#9a7b3a',
    accent5: '#4f7f96',
    accent6: '#8a5a70',
    link: '#2f6a7a',
  },
  deep: {
    ground: '#16231f',
    ink: '#eef2e4',
    accent1: '#9dc08a',
    accent2: '#ff8a5c',
    accent3: '#0f1a17',
    accent4: '#d8bd7a',
    accent5: '#93c3d8',
    accent6: '#cfa4b8',
    link: '#93d0dc',
  },
  margin: 120,
  styles: {
    title: sized('Title', 'display', [150, 72, 186], 600, { lineHeight: 1, letterSpacing: -0.03 }),
    chapter: sized('Chapter', 'display', [124, 64, 150], 600, { lineHeight: 1.02, letterSpacing: -0.025 }),
    numeral: sized('Numeral', 'display', [380, 200, 380], 600, { lineHeight: 1, letterSpacing: -0.04 }),
    subtitle: sized('Subtitle', 'body', [36, 30, 44], 400, { paragraphSpacing: 0.15 }),
    heading: sized('Heading', 'display', [82, 52, 98], 600, { lineHeight: 1.04, letterSpacing: -0.02 }),
    lead: sized('Lead words', 'display', [52, 34, 64], 600, { lineHeight: 1.08 }),
    body: sized('Body', 'body', [37, 30, 46], 400, { lineHeight: 1.34 }),
    small: sized('Small', 'body', [28, 25, 30], 500),
    number: sized('Number', 'display', [200, 90, 250], 600, { lineHeight: 0.98, letterSpacing: -0.04, units: 0.4 }),
    figure: sized('Figure', 'display', [100, 48, 130], 600, { lineHeight: 1, units: 0.45 }),
    quote: sized('Quote', 'display', [100, 54, 132], 500, { lineHeight: 1.1, letterSpacing: -0.02 }),
  },
  frames: ({ size }) => ({ head: framed(size, 116, 96, 1600, 140), body: framed(size, 120, 300, 1680, 670) }),
  master: room => {
    const sheet = sheetOf(room)
    return [
      running('Running title', 'deck-title', 'small', framed(sheet, 120, 1004, 1000, 44), { vertical: 'middle' }),
      running('Number', 'slide-number', 'small', framed(sheet, 1680, 1004, 120, 44), { align: 'right', vertical: 'middle' }),
    ]
  },
  dresses: dressesOf('rise', {
    title: titlePlaces,
    chapter: { bare: true, ground: { role: 'accent3' }, places: chapterPlaces },
    points: free(tops),
    numbered: heights,
    list: heights,
    steps: climb,
    figures,
    events: climb,
    statement: saidPages.statement,
    sayings: { bare: true, places: saidPages.sayings, arrange: sayings({ color: accent }) },
    picture: picturePlaces,
    closing: { bare: true, ground: { role: 'accent3' }, places: closingPlaces },
  }),
}
