import { picturePlace, textPlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import type { Color, Role } from '../../values'
import { counted, framed, framing, ornament, over, readable, running, sheetOf, sized, slot, whole, wordsOf, type Sheet } from '../kit'
import type { Look } from '../look'
import { comes } from '../motion'
import { pitched } from '../rows'
import { dressesOf, prompts, saidOn } from '../pages'

const roles: readonly Role[] = ['accent2', 'accent3', 'accent4', 'accent5', 'accent6', 'accent1']
const paperAt = (index: number): Color => ({ role: roles[index % roles.length]!, tint: 0.34 })
/** How far a paper stands off what lies beneath it; the light comes from the top. */
const shadow = ({ unit, isDeep }: Sheet, depth: 1 | 2 | 3) => ({
  color: { hex: '#0b1418', alpha: (isDeep ? 0.46 : 0.2) + 0.03 * depth },
  x: 6 * depth * unit,
  y: 8 * depth * unit,
  blur: 12 * depth * unit,
})
const paper = (
  sheet: Sheet,
  placeholder: string,
  name: string,
  shape: 'pebble' | 'sheet',
  frame: Frame,
  fill: Color,
  depth: 1 | 2 | 3,
  seed: number,
  angle = 0,
) =>
  ornament(placeholder, name, shape, frame, {
    fill,
    shadow: shadow(sheet, depth),
    amounts: { seed: (sheet.seed + seed) % 100, ...(shape === 'sheet' ? { off: 0.022 } : {}) },
    angle,
  })

/** Three hills at the foot, one behind the other. */
function hills(sheet: Sheet, top: number, seed = 0): Place[] {
  const fills: Color[] = [{ role: 'accent5', tint: 0.2 }, { role: 'accent4' }, { role: 'accent4', tint: -0.36 }]
  return fills.map((fill, index) =>
    ornament('', `Hill ${index + 1}`, 'strata', whole(sheet), {
      fill,
      shadow: shadow(sheet, 2),
      amounts: {
        seed: (sheet.seed + seed + index * 11) % 100,
        layer: 0,
        top: top + index * 0.085,
        gap: 0.1,
        growth: 1,
        swell: 0.055,
        wave: 0.62,
        tilt: index % 2 ? 0.05 : -0.05,
      },
    }),
  )
}
const sun = (sheet: Sheet, frame: Frame): Place[] => [
  ornament('', 'Rays', 'star', frame, { fill: { role: 'accent2' }, shadow: shadow(sheet, 2), amounts: { count: 15, depth: 0.8 } }),
  paper(
    sheet,
    '',
    'Sun',
    'pebble',
    { x: frame.x + frame.width * 0.17, y: frame.y + frame.height * 0.17, width: frame.width * 0.66, height: frame.height * 0.66 },
    sheet.isDeep ? { role: 'accent2', tint: 0.4 } : { role: 'accent1' },
    2,
    3,
  ),
]

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright } = sheet
  return [
    ...sun(
      sheet,
      isUpright
        ? { x: 0.28 * sheet.width, y: 0.46 * sheet.height, width: 0.5 * sheet.width, height: 0.5 * sheet.width }
        : framed(sheet, 1180, 150, 620, 620),
    ),
    ...hills(sheet, isUpright ? 0.76 : 0.68),
    textPlace('body', 'Who speaks, when', 'subtitle', isUpright ? framed(sheet, 120, 70, 1680, 80) : framed(sheet, 120, 100, 1000, 110), {
      prompt: prompts.who,
    }),
    textPlace('title', 'Title', 'title', isUpright ? framed(sheet, 114, 160, 1680, 300) : framed(sheet, 112, 236, 1040, 460), {
      vertical: 'top',
      prompt: prompts.title,
    }),
  ]
}
/** Holes cut one within the other, the brightest innermost. */
function holes(sheet: Sheet, tones: readonly Color[]): Place[] {
  return tones.map((fill, index) => {
    const share = 1.24 - index * 0.2
    const [w, h] = [sheet.width * share, sheet.height * (share + 0.08)]
    return paper(
      sheet,
      '',
      `Hole ${index + 1}`,
      'pebble',
      { x: (sheet.width - w) / 2, y: (sheet.height - h) / 2, width: w, height: h },
      fill,
      3,
      20 + index * 7,
    )
  })
}
function chapterPlaces(tones: readonly Color[], closing: boolean) {
  return (room: LayoutRoom): Place[] => {
    const sheet = sheetOf(room)
    const color = over(sheet, tones.at(-1)!)
    return [
      ...holes(sheet, tones),
      textPlace('title', 'Title', 'chapter', framed(sheet, 480, closing ? 300 : 340, 960, 300), {
        vertical: 'middle',
        align: 'center',
        color,
        prompt: closing ? prompts.closing : prompts.chapter,
      }),
      textPlace(
        'body',
        closing ? 'How to reach us' : 'Beneath it',
        'subtitle',
        framed(sheet, 560, closing ? 620 : 660, 800, closing ? 170 : 110),
        { align: 'center', color, prompt: closing ? prompts.reach : prompts.comes },
      ),
    ]
  }
}
const openTones: readonly Color[] = [
  { role: 'accent3', tint: -0.2 },
  { role: 'accent3', tint: 0.1 },
  { role: 'accent3', tint: 0.4 },
  { role: 'accent2', tint: 0.5 },
]
const endTones: readonly Color[] = [
  { role: 'accent4', tint: -0.3 },
  { role: 'accent4' },
  { role: 'accent5', tint: 0.2 },
  { role: 'accent2', tint: 0.55 },
]

/** Sheets of paper hung side by side, a little turned, each with a cutting on top; more of them lie in rows. */
function sheetsHung(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  if (isUpright || items.length > 4) return strips(items, area, room)
  const gap = 44 * unit
  const wide = Math.min(560 * unit, (area.width - gap * (items.length - 1)) / items.length)
  const left = area.x + (area.width - wide * items.length - gap * (items.length - 1)) / 2
  return items.flatMap((item, index) => {
    const path = index + 1
    const fill = paperAt(index)
    const color = over(sheet, fill)
    const frame = {
      x: left + index * (wide + gap),
      y: area.y + [10, 34, 0, 24][index % 4]! * unit,
      width: wide,
      height: area.height - 40 * unit,
    }
    const pad = 48 * unit
    const cutting = 120 * unit
    return [
      paper(sheet, slot(path, 'sheet'), `Sheet ${path}`, 'sheet', frame, fill, 2, 31 + index * 5, [-1.4, 1.1, -0.9, 1.3][index % 4]!),
      paper(
        sheet,
        slot(path, 'cutting'),
        `Cutting ${path}`,
        'pebble',
        { x: frame.x + pad, y: frame.y + pad, width: cutting * 1.1, height: cutting },
        { role: roles[(index + 2) % roles.length]! },
        1,
        41 + index * 9,
      ),
      ...wordsOf(
        path,
        item,
        `Point ${path}`,
        { x: frame.x + pad, y: frame.y + pad + cutting + 24 * unit, width: wide - 2 * pad, height: 130 * unit },
        {
          x: frame.x + pad,
          y: frame.y + pad + cutting + 164 * unit,
          width: wide - 2 * pad,
          height: frame.height - cutting - 2 * pad - 174 * unit,
        },
        { color },
      ),
    ]
  })
}
/** Strips of paper one under the other, in turn a little longer and shorter. */
function strips(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  const colorOf = (index: number) => over(sheet, paperAt(index))
  const words = (index: number) => ({ color: colorOf(index) })
  return pitched(sheet, items, area, { most: 210, gap: 14, indent: 130, split: 0.4, words }, (path, row, index) => {
    const strip = { ...row, x: row.x - 20 * unit, width: row.width + (index % 2 ? 20 : -40) * unit }
    const number = { ...row, x: row.x + 16 * unit, width: 100 * unit }
    return [
      paper(sheet, slot(path, 'strip'), `Strip ${path}`, 'sheet', strip, paperAt(index), 1, 51 + index * 5, index % 2 ? 0.5 : -0.5),
      counted(path, 'figure', number, { color: colorOf(index), size: Math.round(Math.min(72 * unit, row.height * 0.5)) }),
    ]
  })
}
/** A ribbon that winds from edge to edge with numbered pebbles on it; all words stand below. */
function ribbon(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { width, unit, isUpright } = sheet
  if (isUpright || items.length > 6) return strips(items, area, room)
  const count = items.length
  const step = area.width / count
  const [crest, valley] = [area.y + 90 * unit, area.y + 240 * unit]
  const at = (index: number) => ({ x: area.x + (index + 0.5) * step, y: index % 2 ? crest : valley })
  const points = [{ x: 0, y: crest }, ...items.map((_, index) => at(index)), { x: width, y: count % 2 ? crest : valley }]
  const side = Math.min(200 * unit, step * 0.62)
  return [
    ornament(
      framing('ribbon'),
      'Ribbon',
      'line',
      { x: 0, y: crest, width, height: valley - crest },
      {
        line: { way: 'curve', points: points.map(({ x, y }): [number, number] => [x / width, (y - crest) / (valley - crest)]) },
        stroke: { color: { role: 'accent3' }, width: 96 * unit },
        shadow: shadow(sheet, 1),
      },
    ),
    ...items.flatMap((item, index) => onRibbon(sheet, item, index, { ...at(index), side, step, top: area.y, isLast: index === count - 1 })),
  ]
}
/** A numbered pebble on the ribbon, and its words below. */
function onRibbon(
  sheet: Sheet,
  item: Item,
  index: number,
  { x, y, side, step, top, isLast }: { x: number; y: number; side: number; step: number; top: number; isLast: boolean },
): Place[] {
  const { unit } = sheet
  const path = index + 1
  const fill: Color = isLast ? { role: 'accent1' } : { role: 'accent2' }
  const words = { x: x - step / 2 + 14 * unit, width: step - 28 * unit }
  const pebble = { x: x - side / 2, y: y - side / 2, width: side, height: side }
  return [
    paper(sheet, slot(path, 'pebble'), `Pebble ${path}`, 'pebble', pebble, fill, 2, 61 + index * 7),
    counted(path, 'figure', pebble, {
      align: 'center',
      color: over(sheet, fill),
      size: Math.round(side * 0.5),
    }),
    ...wordsOf(
      path,
      item,
      `Step ${path}`,
      { ...words, y: top + 380 * unit, height: 76 * unit },
      { ...words, y: top + 464 * unit, height: 170 * unit },
      { align: 'center' },
    ),
  ]
}
/** Squares side by side that overlap a little, the first the largest, higher and lower in turn. */
function heap(sheet: Sheet, area: Frame, count: number): Frame[] {
  const shares = Array.from({ length: count }, (_, index) => (index ? 0.78 : 1))
  const sum = shares.reduce((all, one) => all + one, 0)
  const overlap = 0.94
  const side = Math.min(area.height * 1.02, (area.width * 1.04) / sum)
  let x = area.x + (area.width - sum * side * overlap - side * (1 - overlap)) / 2
  return shares.map((share, index) => {
    const own = side * share
    const frame = { x, y: area.y + (area.height - own) / 2 + (index ? (index % 2 ? 40 : -34) * sheet.unit : 0), width: own, height: own }
    x += own * overlap
    return frame
  })
}
/** Pebbles that overlap, the first the largest. */
function pebbles(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (items.length > 5 || sheet.isUpright) return strips(items, area, room)
  const frames = heap(sheet, area, items.length)
  return items.flatMap((item, index) => {
    const path = index + 1
    const frame = frames[index]!
    const { y, width: own } = frame
    const fill: Color = index ? paperAt(index - 1) : { role: 'accent1', tint: sheet.isDeep ? 0 : -0.12 }
    const inner = { x: frame.x + own * 0.14, width: own * 0.72 }
    const lead = { ...inner, y: y + own * 0.2, height: own * 0.34 }
    const text = { ...inner, y: y + own * 0.55, height: own * 0.27 }
    const words = wordsOf(path, item, `Figure ${path}`, lead, text, {
      style: index ? 'figure' : 'number',
      align: 'center',
      vertical: 'middle',
      color: over(sheet, fill),
    })
    return [
      paper(sheet, slot(path, 'pebble'), `Pebble ${path}`, 'pebble', frame, fill, items.length > 1 && !index ? 3 : 2, 71 + index * 13),
      ...words.map(place =>
        place.kind === 'text' && !index && place.placeholder.endsWith('-lead') ? { ...place, match: 'first' } : place,
      ),
    ]
  })
}
/** What a speech is cut from. */
const speech: Color = { role: 'accent2', tint: 0.42 }
const saidPages = saidOn(
  sheet => [
    paper(sheet, '', 'Speech paper', 'sheet', framed(sheet, 160, 120, 1600, 680), speech, 3, 81, -0.6),
    paper(sheet, '', 'Tail', 'pebble', framed(sheet, 300, 830, 120, 90), speech, 2, 83),
    paper(sheet, '', 'End of the tail', 'pebble', framed(sheet, 240, 940, 60, 46), speech, 1, 85),
  ],
  {
    words: [290, 220, 1340, 470],
    supports: [470, 850, 1200, 130],
    whose: [120, 44, 1200, 56],
    items: [270, 190, 1380, 770],
  },
  sheet => over(sheet, speech),
)
/** Sayings on the paper; whose one alone is stands beside its tail. */
function onSpeech(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const pitch = (area.height * 0.7) / items.length
  const color = over(sheet, speech)
  return items.flatMap((item, index) =>
    wordsOf(
      index + 1,
      item,
      `Saying ${index + 1}`,
      { ...area, y: area.y + index * pitch, height: pitch * (items.length > 1 ? 0.7 : 1) },
      items.length > 1
        ? { ...area, y: area.y + (index + 0.74) * pitch, height: pitch * 0.24 }
        : { x: area.x + area.width * 0.15, y: area.y + area.height * 0.87, width: area.width * 0.8, height: area.height * 0.13 },
      {
        style: 'quote',
        vertical: 'middle',
        color,
        textColor: items.length > 1 ? color : { role: 'ink' },
      },
    ),
  )
}
function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const label: Color = { role: 'accent1', tint: sheet.isDeep ? 0.1 : -0.05 }
  const color = over(sheet, label)
  return [
    {
      ...picturePlace('picture', 'Picture', framed(sheet, 120, 60, 1680, 860)),
      frame: { shape: 'pebble', amounts: { seed: sheet.seed } },
    } as Place,
    paper(sheet, framing('label'), 'Label', 'sheet', framed(sheet, 180, 700, 1130, 290), label, 3, 91, -0.8),
    textPlace('title', 'Title', 'heading', framed(sheet, 240, 730, 1010, 130), {
      vertical: 'middle',
      color,
      prompt: prompts.picture,
    }),
    textPlace('body', 'Words', 'subtitle', framed(sheet, 240, 864, 1010, 100), { color, prompt: prompts.words }),
  ]
}
/** Pennants on a line that sags. */
function pennants(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { width, unit, isUpright } = sheet
  if (isUpright || items.length > 6) return strips(items, area, room)
  const step = area.width / items.length
  const sag = (x: number) => area.y + 150 * unit * (1 - (2 * (x / width) - 1) ** 2)
  const line = Array.from({ length: 13 }, (_, index) => (index / 12) * width)
  return [
    ornament(
      framing('line'),
      'Line',
      'line',
      { x: 0, y: area.y, width, height: 150 * unit },
      {
        line: { way: 'curve', points: line.map((x): [number, number] => [x / width, (sag(x) - area.y) / (150 * unit)]) },
        stroke: { color: { role: 'ink', alpha: 0.6 }, width: 5 * unit },
      },
    ),
    ...items.flatMap((item, index) => {
      const path = index + 1
      const x = area.x + index * step + 18 * unit
      const wide = step - 36 * unit
      const fill = paperAt(index)
      const color = over(sheet, fill)
      const y = sag(x + wide / 2)
      return [
        paper(
          sheet,
          slot(path, 'pennant'),
          `Pennant ${path}`,
          'sheet',
          { x, y, width: wide, height: 380 * unit },
          fill,
          1,
          95 + index * 3,
          index % 2 ? 1 : -1,
        ),
        ...wordsOf(
          path,
          item,
          `Event ${path}`,
          { x: x + 30 * unit, y: y + 40 * unit, width: wide - 60 * unit, height: 110 * unit },
          { x: x + 30 * unit, y: y + 160 * unit, width: wide - 60 * unit, height: 190 * unit },
          { style: 'figure', color },
        ),
      ]
    }),
  ]
}

/** Large cut paper that overlaps and casts soft shadows. */
export const scissors: Look = {
  name: 'scissors',
  label: 'Scissors',
  explains: 'Cut paper that overlaps and casts shadows: warm, for schools, clubs and neighbourhoods.',
  suits: {
    manner: 'drawn',
    calm: 0.5,
    line: [1, 9],
    about: 'school, play and neighbours',
    words: [
      'school schools children kids class pupils teacher playground club summer garden neighbours neighbors volunteers family',
      'families picnic schule kinder klasse schuler lehrer spielplatz verein sommer garten nachbarn familie ecole enfants',
      'classe eleves jardin voisins benevoles famille ete escuela ninos clase alumnos vecinos voluntarios familia verano',
    ].join(' '),
  },
  transitions: { within: comes('push', 0.7, { to: 'left' }), chapter: comes('iris', 0.8, { shape: 'circle' }) },
  fonts: { display: 'Fraunces', body: 'Figtree', mono: 'Figtree' },
  light: {
    ground: '#fbf3e4',
    ink: '#22303a',
    accent1: '#e4572e',
    accent2: '#f3b33d',
    accent3: '#3a7ca5',
    accent4: '#3f7d58',
    accent5: '#9cb96a',
    accent6: '#a65a86',
    link: '#2a6a94',
  },
  deep: {
    ground: '#17243a',
    ink: '#fbf1df',
    accent1: '#f0704a',
    accent2: '#f6c25e',
    accent3: '#5a9bc4',
    accent4: '#3f7d68',
    accent5: '#5f8f78',
    accent6: '#c07aa4',
    link: '#9fd0f0',
  },
  margin: 120,
  styles: {
    title: sized('Title', 'display', [150, 72, 210], 600, { lineHeight: 1, letterSpacing: -0.025 }),
    chapter: sized('Chapter', 'display', [110, 60, 140], 600, { lineHeight: 1.04, letterSpacing: -0.02 }),
    subtitle: sized('Subtitle', 'body', [38, 30, 44], 600, { paragraphSpacing: 0.1 }),
    heading: sized('Heading', 'display', [88, 54, 106], 600, { lineHeight: 1.04, letterSpacing: -0.02 }),
    lead: sized('Lead words', 'display', [52, 34, 64], 600, { lineHeight: 1.08 }),
    body: sized('Body', 'body', [36, 29, 44], 400, { lineHeight: 1.34 }),
    small: sized('Small', 'body', [30, 26, 32], 500),
    number: sized('Number', 'display', [220, 90, 260], 600, { lineHeight: 0.96, letterSpacing: -0.03, units: 0.5 }),
    figure: sized('Figure', 'display', [100, 46, 130], 600, { lineHeight: 1, letterSpacing: -0.02, units: 0.5 }),
    quote: sized('Quote', 'display', [100, 54, 130], 600, { lineHeight: 1.1, letterSpacing: -0.015 }),
  },
  frames: ({ size }) => ({ head: framed(size, 116, 104, 1680, 150), body: framed(size, 120, 290, 1680, 690) }),
  master: room => [
    running('Number', 'slide-number', 'small', framed(sheetOf(room), 1700, 1012, 100, 44), {
      align: 'right',
      color: readable(sheetOf(room), 'ink'),
    }),
  ],
  dresses: dressesOf('rise', {
    title: titlePlaces,
    chapter: { bare: true, ground: { role: 'accent3', tint: -0.42 }, places: chapterPlaces(openTones, false) },
    points: sheetsHung,
    numbered: strips,
    list: strips,
    steps: { arrange: ribbon, best: [3, 5] },
    figures: pebbles,
    events: { arrange: pennants, best: [3, 5] },
    statement: saidPages.statement,
    sayings: { bare: true, places: saidPages.sayings, arrange: onSpeech },
    picture: picturePlaces,
    closing: { bare: true, ground: { role: 'accent4', tint: -0.5 }, places: chapterPlaces(endTones, true) },
  }),
}
