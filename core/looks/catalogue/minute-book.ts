import { familyNamed, headTitle, picturePlace, textPlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import type { Color } from '../../values'
import { counted, framed, ornament, readable, rule, running, sheetOf, sized, slot, wordsOf, type Sheet } from '../kit'
import type { Look } from '../look'
import { comes, cutAway } from '../motion'
import { pitched } from '../rows'
import { dressesOf, prompts, stands } from '../pages'

const hair: Color = { role: 'ink', alpha: 0.2 }
const second: Color = { role: 'ink', alpha: 0.74 }
const ink: Color = { role: 'ink' }
const bar = (sheet: Sheet, placeholder: string, frame: Frame, thick: number, fill: Color = ink) =>
  rule(placeholder, 'Rule', { ...frame, height: thick * sheet.unit }, fill)

/** The heads of the main and the side column, with the rules that carry the order. */
function heads(sheet: Sheet): Place[] {
  return [
    running('Running title', 'deck-title', 'small', framed(sheet, 120, 36, 1180, 44), { vertical: 'middle' }),
    bar(sheet, '', framed(sheet, 120, 89, sheet.isUpright ? 1680 : 1180, 0), 7),
    ...(sheet.isUpright ? [] : [bar(sheet, '', framed(sheet, 1420, 91, 380, 0), 2)]),
  ]
}

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { seed, isUpright } = sheet
  const band = ornament('', 'Engraved band', 'band', isUpright ? framed(sheet, 120, 560, 1680, 200) : framed(sheet, 120, 740, 1180, 236), {
    fill: null,
    stroke: { color: { role: 'accent1', alpha: 0.7 }, width: 1.6 * sheet.unit },
    amounts: { seed, threads: 39 },
  })
  return [
    ...heads(sheet),
    band,
    textPlace('title', 'Title', 'title', isUpright ? framed(sheet, 116, 120, 1680, 420) : framed(sheet, 114, 126, 1190, 560), {
      vertical: 'top',
      prompt: prompts.title,
    }),
    textPlace('body', 'Who speaks, when', 'subtitle', isUpright ? framed(sheet, 120, 800, 1680, 200) : framed(sheet, 1420, 124, 380, 820), {
      prompt: prompts.who,
    }),
  ]
}
function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return [
    ...heads(sheet),
    running('Number of the chapter', 'chapter-number', 'numeral', framed(sheet, 112, 330, 330, 420), { vertical: 'middle' }),
    textPlace('title', 'Title', 'chapter', sheet.isUpright ? framed(sheet, 460, 330, 1340, 420) : framed(sheet, 480, 330, 820, 420), {
      vertical: 'middle',
      prompt: prompts.chapter,
    }),
    bar(sheet, '', framed(sheet, 120, 290, sheet.isUpright ? 1680 : 1180, 0), 3),
    bar(sheet, '', framed(sheet, 120, 790, sheet.isUpright ? 1680 : 1180, 0), 2, hair),
    textPlace('body', 'Beneath it', 'subtitle', sheet.isUpright ? framed(sheet, 120, 820, 1680, 160) : framed(sheet, 1420, 330, 380, 420), {
      prompt: prompts.comes,
    }),
  ]
}

/** Columns under rules: a light numeral, the name, the text. */
function ruledColumns(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  if (isUpright || items.length > 4) return ruledRows(items, area, room)
  const gap = 60 * unit
  const wide = (area.width - gap * (items.length - 1)) / items.length
  return items.flatMap((item, index) => {
    const path = index + 1
    const x = area.x + index * (wide + gap)
    return [
      bar(sheet, slot(path, 'rule'), { x, y: area.y, width: wide, height: 0 }, 3),
      counted(
        path,
        'figure',
        { x, y: area.y + 18 * unit, width: wide, height: 150 * unit },
        { color: readable(sheet, 'accent1'), size: Math.round(140 * unit) },
      ),
      ...wordsOf(
        path,
        item,
        `Point ${path}`,
        { x, y: area.y + 190 * unit, width: wide, height: 130 * unit },
        { x, y: area.y + 332 * unit, width: wide, height: area.height - 332 * unit },
        { textColor: ink, vertical: 'top' },
      ),
    ]
  })
}
/** Rows with a serif numeral, the name, and what is said of it at the right. */
function ruledRows(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  return pitched(sheet, items, area, { most: 190, indent: 110, split: 0.38, words: () => ({ textColor: second }) }, (path, row, index) => [
    bar(sheet, slot(path, 'rule'), row, index ? 2 : 3, index ? hair : ink),
    counted(
      path,
      'figure',
      { ...row, width: 95 * unit },
      { color: readable(sheet, 'accent1'), size: Math.round(Math.min(58 * unit, row.height * 0.5)) },
    ),
  ])
}

/** A bar of equal segments over the whole width, the last in accent; what each is stands on a pole below. */
function segments(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  if (isUpright || items.length > 7) return ruledRows(items, area, room)
  const wide = area.width / items.length
  const top = area.y + 20 * unit
  return items.flatMap((item, index) => {
    const path = index + 1
    const isLast = index === items.length - 1
    const x = area.x + index * wide
    const fill: Color = isLast ? { role: 'accent1' } : { role: 'ink', alpha: index % 2 ? 0.22 : 0.12 }
    const color: Color = isLast ? { role: 'ground' } : ink
    return [
      ornament(slot(path, 'segment'), `Segment ${path}`, 'rectangle', { x, y: top, width: wide - 2 * unit, height: 230 * unit }, { fill }),
      rule(slot(path, 'pole'), `Pole ${path}`, { x, y: top, width: 2 * unit, height: 480 * unit }, ink),
      counted(
        path,
        'figure',
        { x: x + 22 * unit, y: top + 66 * unit, width: wide - 40 * unit, height: 156 * unit },
        { vertical: 'bottom', color, size: Math.round(130 * unit) },
      ),
      ...wordsOf(
        path,
        item,
        `Step ${path}`,
        { x: x + 22 * unit, y: top + 250 * unit, width: wide - 44 * unit, height: 78 * unit },
        { x: x + 22 * unit, y: top + 334 * unit, width: wide - 44 * unit, height: 210 * unit },
        { color: isLast ? readable(sheet, 'accent1') : ink, textColor: second },
      ),
    ]
  })
}
/** Cells under rules, a figure and what it counts; the first in accent. */
function cells(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  const across = items.length === 1 || isUpright ? 1 : items.length === 3 ? 3 : 2
  const down = Math.ceil(items.length / across)
  const gap = 60 * unit
  const [wide, high] = [(area.width - gap * (across - 1)) / across, area.height / down]
  return items.flatMap((item, index) => {
    const path = index + 1
    const frame = { x: area.x + (index % across) * (wide + gap), y: area.y + Math.floor(index / across) * high, width: wide }
    return [
      bar(sheet, slot(path, 'rule'), { ...frame, height: 0 }, 3),
      ...wordsOf(
        path,
        item,
        `Figure ${path}`,
        { ...frame, y: frame.y + 22 * unit, height: high * 0.56 },
        { ...frame, y: frame.y + high * 0.66, height: high * 0.28 },
        { style: 'number', textStyle: 'lead', color: index ? ink : readable(sheet, 'accent1'), textColor: ink },
      ),
    ]
  })
}
function chartPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright) return familyNamed('chart')!.places(room)
  return [
    headTitle(room, framed(sheet, 0, 0, 1190, 0).width),
    {
      kind: 'chart',
      placeholder: 'chart',
      name: 'Chart',
      box: { ...framed(sheet, 120, 320, 1180, 630), angle: 0 },
      prompt: 'Drop a CSV file here',
    },
    bar(sheet, '', framed(sheet, 1420, 320, 380, 0), 3),
    textPlace('body', 'Caption', 'subtitle', framed(sheet, 1420, 344, 380, 600), { prompt: 'What the figures are, and from where' }),
  ]
}
function resolution(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright } = sheet
  return [
    textPlace('title', 'Statement', 'quote', isUpright ? framed(sheet, 116, 130, 1680, 560) : framed(sheet, 114, 140, 1190, 800), {
      vertical: 'middle',
      prompt: prompts.statement,
    }),
    bar(sheet, '', isUpright ? framed(sheet, 120, 730, 1680, 0) : framed(sheet, 1420, 320, 380, 0), 2, hair),
    textPlace('body', 'Beneath it', 'subtitle', isUpright ? framed(sheet, 120, 750, 1680, 200) : framed(sheet, 1420, 344, 380, 600), {
      prompt: prompts.supports,
    }),
  ]
}
/** Sayings with whose they are in the side column. */
function besideWords(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const pitch = area.height / items.length
  return items.flatMap((item, index) => {
    const path = index + 1
    const frame = { ...area, y: area.y + index * pitch, height: pitch - 20 * sheet.unit }
    const [words, who] = sheet.isUpright
      ? [
          { ...frame, height: frame.height * 0.74 },
          { ...frame, y: frame.y + frame.height * 0.8, height: frame.height * 0.2 },
        ]
      : [
          { ...frame, width: frame.width * 0.7 },
          {
            ...frame,
            x: frame.x + frame.width * 0.774,
            y: frame.y + 24 * sheet.unit,
            width: frame.width * 0.226,
            height: frame.height - 24 * sheet.unit,
          },
        ]
    return [
      bar(sheet, slot(path, 'rule'), { x: who.x, y: who.y - 24 * sheet.unit, width: who.width, height: 0 }, 2, hair),
      ...wordsOf(path, item, `Saying ${path}`, words, who, { style: 'quote', textStyle: 'subtitle' }),
    ]
  })
}
function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright)
    return [
      picturePlace('picture', 'Picture', framed(sheet, 120, 96, 1680, 560)),
      textPlace('title', 'Title', 'heading', framed(sheet, 116, 690, 1680, 150), { prompt: prompts.picture }),
      textPlace('body', 'Words', 'subtitle', framed(sheet, 120, 850, 1680, 110), { prompt: prompts.words }),
    ]
  return [
    picturePlace('picture', 'Picture', framed(sheet, 120, 96, 1180, 880)),
    ornament('frame-notch', 'Notch', 'rectangle', framed(sheet, 120, 716, 880, 264), { fill: { role: 'ground' } }),
    textPlace('title', 'Title', 'heading', framed(sheet, 118, 740, 850, 220), { vertical: 'middle', prompt: prompts.picture }),
    textPlace('body', 'Words', 'subtitle', framed(sheet, 1420, 130, 380, 820), { prompt: prompts.words }),
  ]
}
/** Flags on poles that fall from left to right, so that no two meet at any spacing. */
function flags(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  if (isUpright || items.length > 6) return ruledRows(items, area, room)
  const base = area.y + area.height
  const step = Math.min(170 * unit, area.height / (items.length + 0.4))
  const wide = area.width / (items.length + 0.7)
  return [
    bar(sheet, 'frame-base', { x: area.x, y: base, width: area.width, height: 0 }, 3),
    ...items.flatMap((item, index) => {
      const path = index + 1
      const [x, y] = [area.x + index * wide, area.y + index * step]
      const color: Color = index === items.length - 1 ? readable(sheet, 'accent1') : ink
      const words = { x: x + 24 * unit, width: Math.min(area.width - index * wide - 24 * unit, 760 * unit) }
      return [
        rule(slot(path, 'pole'), `Pole ${path}`, { x, y, width: 2 * unit, height: base - y }, color),
        ...wordsOf(
          path,
          item,
          `Event ${path}`,
          { ...words, y: y - 4 * unit, height: step * 0.56 },
          { ...words, y: y + step * 0.54, height: step * 0.4 },
          { style: 'figure', textColor: second, color },
        ),
      ]
    }),
  ]
}
function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright } = sheet
  return [
    textPlace('title', 'Title', 'chapter', isUpright ? framed(sheet, 116, 150, 1680, 420) : framed(sheet, 114, 150, 1190, 780), {
      vertical: 'middle',
      prompt: prompts.closing,
    }),
    textPlace('body', 'How to reach us', 'subtitle', isUpright ? framed(sheet, 120, 620, 1680, 300) : framed(sheet, 1420, 130, 380, 780), {
      vertical: isUpright ? 'top' : 'middle',
      prompt: prompts.reach,
    }),
  ]
}

/** A main column says it, a side column says what to make of it; rules carry the order. */
export const minuteBook: Look = {
  name: 'minute-book',
  label: 'Minute book',
  explains: 'Rules, a side column and sober figures: for boards, councils and trustees.',
  suits: {
    manner: 'set',
    calm: 0.85,
    line: [4, 24],
    about: 'meetings and money',
    words: [
      'board budget council minutes report accounts audit motion vote trustees annual finance finances cost costs revenue',
      'committee quarter vorstand haushalt rat protokoll bericht konten prufung antrag stimme jahresbericht kosten ausschuss',
      'conseil rapport comptes comite couts recettes trimestre junta presupuesto consejo informe cuentas auditoria voto',
      'costes ingresos',
    ].join(' '),
  },
  transitions: { within: cutAway, chapter: comes('crossfade', 0.3) },
  fonts: { display: 'Source Serif 4', body: 'Source Sans 3', mono: 'Source Sans 3' },
  light: {
    ground: '#fcfaf5',
    ink: '#171b2a',
    accent1: '#8f2a26',
    accent2: '#9aa3b2',
    accent3: '#3c5470',
    accent4: '#6e6a3a',
    accent5: '#7a5a72',
    accent6: '#b07f3a',
    link: '#3a5a8a',
  },
  deep: {
    ground: '#14161c',
    ink: '#f3efe6',
    accent1: '#f0908a',
    accent2: '#77839a',
    accent3: '#a9c2e0',
    accent4: '#cfc98a',
    accent5: '#d0abc6',
    accent6: '#e6b872',
    link: '#a3c0f0',
  },
  margin: 120,
  styles: {
    title: sized('Title', 'display', [150, 78, 176], 500, { lineHeight: 1.04, letterSpacing: -0.02 }),
    chapter: sized('Chapter', 'display', [140, 74, 160], 500, { lineHeight: 1.04, letterSpacing: -0.02 }),
    numeral: sized('Numeral', 'display', [340, 200, 340], 300, { lineHeight: 1, letterSpacing: -0.03, color: { role: 'accent1' } }),
    subtitle: sized('Subtitle', 'body', [34, 28, 40], 400, { lineHeight: 1.35, paragraphSpacing: 0.6 }),
    heading: sized('Heading', 'display', [84, 52, 92], 500, { lineHeight: 1.08, letterSpacing: -0.015 }),
    lead: sized('Lead words', 'display', [50, 34, 60], 500, { lineHeight: 1.1 }),
    body: sized('Body', 'body', [38, 29, 46], 400, { lineHeight: 1.36 }),
    small: sized('Small', 'body', [28, 24, 28], 600),
    number: sized('Number', 'display', [180, 80, 240], 400, { lineHeight: 0.98, letterSpacing: -0.03, units: 0.3 }),
    figure: sized('Figure', 'display', [76, 44, 100], 300, { lineHeight: 1, letterSpacing: -0.02, units: 0.4 }),
    quote: sized('Quote', 'display', [110, 58, 132], 500, { lineHeight: 1.1, letterSpacing: -0.015 }),
  },
  frames: ({ size }) => ({ head: framed(size, 118, 128, 1680, 130), body: framed(size, 120, 300, 1680, 640) }),
  master: room => {
    const sheet = sheetOf(room)
    return [
      ...heads(sheet),
      bar(sheet, '', framed(sheet, 120, 976, 1680, 0), 2, hair),
      running('Number', 'slide-number', 'small', framed(sheet, 1600, 990, 200, 44), { align: 'right', vertical: 'middle' }),
      running('Chapter', 'chapter', 'small', framed(sheet, 1420, 36, 380, 44), { vertical: 'middle' }),
    ]
  },
  dresses: dressesOf('fade', {
    title: titlePlaces,
    chapter: chapterPlaces,
    points: ruledColumns,
    numbered: ruledRows,
    list: ruledRows,
    steps: segments,
    figures: cells,
    events: flags,
    chart: chartPlaces,
    statement: { places: resolution },
    sayings: { places: stands, arrange: besideWords },
    picture: { places: picturePlaces },
    closing: { places: closingPlaces },
  }),
}
