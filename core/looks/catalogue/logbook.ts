import { picturePlace, textPlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import type { Color } from '../../values'
import { chance, counted, framed, framing, ornament, readable, running, sheetOf, sized, slot, wordsOf, type Sheet } from '../kit'
import type { Look } from '../look'
import { comes } from '../motion'
import { dressesOf, free, prompts, saidOn, sayings } from '../pages'
import { pitched } from '../rows'

const soft: Color = { role: 'ink', alpha: 0.4 }
const pencil: Color = { role: 'ink', alpha: 0.85 }
const red: Color = { role: 'accent2' }

/** A stroke of the pen: level or upright, bowed a little, never ruled. */
function stroke(
  sheet: Sheet,
  placeholder: string,
  from: { x: number; y: number },
  to: { x: number; y: number },
  color: Color,
  width: number,
): Place {
  const [left, right] = [Math.min(from.x, to.x), Math.max(from.x, to.x)]
  const [top, bottom] = [Math.min(from.y, to.y), Math.max(from.y, to.y)]
  const box = { x: left, y: top, width: Math.max(8, right - left), height: Math.max(8, bottom - top) }
  const at = ({ x, y }: { x: number; y: number }, bow: number): [number, number] => [
    (x - box.x) / box.width,
    (y - box.y + bow) / box.height,
  ]
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
  return ornament(placeholder, 'Stroke of the pen', 'line', box, {
    line: { way: 'curve', points: [at(from, 0), at(middle, 5 * sheet.unit), at(to, 0)] },
    stroke: { color, width: width * sheet.unit },
    rough: 0.16,
  })
}
const ring = (sheet: Sheet, placeholder: string, x: number, y: number, r: number, color: Color, width = 4) =>
  ornament(
    placeholder,
    'Ring',
    'ellipse',
    { x: x - r, y: y - r, width: 2 * r, height: 2 * r },
    { fill: null, stroke: { color, width: width * sheet.unit }, rough: 0.3 },
  )

/** Grass that rises from the foot: blades by chance, all of one seed, as strokes that lean. */
function grass(sheet: Sheet, left: number, right: number, high: number, count: number, falls = false): Place[] {
  const { unit, height } = sheet
  return Array.from({ length: count }, (_, index) => {
    const share = index / Math.max(1, count - 1)
    const x = left + (right - left) * share + (chance(sheet, index, 1) - 0.5) * 20 * unit
    const tall = high * (0.45 + 0.55 * chance(sheet, index, 2)) * (falls ? 1 - share * 0.9 : 0.4 + 0.6 * share)
    const lean = (chance(sheet, index, 3) - 0.4) * tall * 0.5
    const box = { x: Math.min(x, x + lean), y: height - tall, width: Math.max(6, Math.abs(lean)), height: tall }
    const px = (value: number) => (value - box.x) / box.width
    return ornament('', `Blade ${index + 1}`, 'line', box, {
      line: {
        way: 'curve',
        points: [
          [px(x), 1],
          [px(x + lean * 0.15), 0.5],
          [px(x + lean), 0],
        ],
      },
      stroke: {
        color: { role: 'accent1', alpha: 0.55 + 0.4 * chance(sheet, index, 4) },
        width: (2.2 + 2.4 * chance(sheet, index, 5)) * unit,
      },
    })
  })
}
/** A bird far off: two bowed strokes. */
function bird(sheet: Sheet, x: number, y: number, size: number): Place {
  return ornament(
    '',
    'Bird',
    'line',
    { x, y, width: size, height: size * 0.3 },
    {
      line: {
        way: 'curve',
        points: [
          [0, 0.2],
          [0.26, 0.02],
          [0.5, 1],
          [0.74, 0],
          [1, 0.3],
        ],
      },
      stroke: { color: pencil, width: Math.max(2.6, size / 26) * sheet.unit },
    },
  )
}
const horizon = (sheet: Sheet, y: number, until = 1) =>
  stroke(sheet, '', { x: 0, y }, { x: sheet.width * until, y: y - 6 * sheet.unit }, soft, 3)

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { width, height, unit, isUpright } = sheet
  return [
    horizon(sheet, 0.82 * height),
    ...grass(sheet, 0.62 * width, 1.0 * width, 0.52 * height, isUpright ? 26 : 46),
    bird(sheet, 0.7 * width, 0.16 * height, 190 * unit),
    bird(sheet, 0.86 * width, 0.3 * height, 80 * unit),
    bird(sheet, 0.62 * width, 0.34 * height, 60 * unit),
    textPlace('title', 'Title', 'title', isUpright ? framed(sheet, 114, 150, 1680, 360) : framed(sheet, 114, 190, 1060, 480), {
      vertical: 'top',
      prompt: prompts.title,
    }),
    textPlace('body', 'Who speaks, when', 'subtitle', isUpright ? framed(sheet, 120, 540, 1100, 110) : framed(sheet, 120, 910, 1000, 120), {
      vertical: 'bottom',
      prompt: prompts.who,
    }),
  ]
}
function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  return [
    horizon(sheet, 0.86 * sheet.height),
    ...grass(sheet, 0.01 * sheet.width, 0.5 * sheet.width, 0.86 * sheet.height, 44, true),
    running('Number of the chapter', 'chapter-number', 'figure', framed(sheet, 960, 250, 400, 120), {
      color: readable(sheet, 'accent2'),
      vertical: 'bottom',
    }),
    textPlace('title', 'Title', 'chapter', framed(sheet, 954, 380, 846, 380), { vertical: 'top', prompt: prompts.chapter }),
    textPlace('body', 'Beneath it', 'subtitle', framed(sheet, 960, 780, 840, 120), { prompt: prompts.comes }),
  ]
}

/** Columns under a drawn rule, each opened by its first letter in a ring. */
function columnsDrawn(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  if (isUpright || items.length > 4) return linesDrawn(items, area, room)
  const step = area.width / items.length
  const r = 66 * unit
  return items.flatMap((item, index) => {
    const path = index + 1
    const x = area.x + index * step
    const wide = step - 60 * unit
    const cy = area.y + r + 8 * unit
    return [
      ring(sheet, slot(path, 'ring'), x + r, cy, r, index ? pencil : red, index ? 4 : 6),
      counted(
        path,
        'figure',
        { x, y: cy - r, width: 2 * r, height: 2 * r },
        {
          align: 'center',
          size: Math.round(76 * unit),
          color: index ? { role: 'ink' } : readable(sheet, 'accent2'),
        },
      ),
      ...wordsOf(
        path,
        item,
        `Point ${path}`,
        { x, y: area.y + 170 * unit, width: wide, height: 130 * unit },
        { x, y: area.y + 336 * unit, width: wide, height: area.height - 340 * unit },
        {},
      ),
      stroke(
        sheet,
        slot(path, 'rule'),
        { x, y: area.y + 316 * unit },
        { x: x + 130 * unit, y: area.y + 312 * unit },
        { role: 'accent1' },
        5,
      ),
    ]
  })
}
/** Lines with a dash of the pen each. */
const linesDrawn = (items: readonly Item[], area: Frame, room: LayoutRoom): Place[] => {
  const sheet = sheetOf(room)
  const { unit } = sheet
  return pitched(sheet, items, area, { most: 150, indent: 84, split: 0.42 }, (path, row, index) => {
    const y = row.y + row.height / 2
    return [
      stroke(sheet, slot(path, 'dash'), { x: row.x, y }, { x: row.x + 52 * unit, y: y - 4 * unit }, index ? pencil : red, index ? 5 : 7),
    ]
  })
}
/** A dashed trail through rings, low and high in turn. */
function trail(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  if (isUpright || items.length > 6) return linesDrawn(items, area, room)
  const count = items.length
  const step = area.width / count
  const r = 56 * unit
  const at = (index: number) => ({ x: area.x + (index + 0.5) * step, y: area.y + (index % 2 ? 90 : 210) * unit })
  const points = [{ x: 0, y: area.y + 150 * unit }, ...items.map((_, index) => at(index)), { x: sheet.width, y: area.y + 120 * unit }]
  const box = { x: 0, y: area.y, width: sheet.width, height: 300 * unit }
  return [
    ornament(framing('trail'), 'Trail', 'line', box, {
      line: { way: 'curve', points: points.map(({ x, y }): [number, number] => [x / box.width, (y - box.y) / box.height]) },
      stroke: { color: soft, width: 4 * unit, dash: [14 * unit, 14 * unit] },
    }),
    ...items.flatMap((item, index) => {
      const path = index + 1
      const { x, y } = at(index)
      const last = index === count - 1
      const words = { x: x - step / 2 + 14 * unit, width: step - 28 * unit }
      return [
        ornament(
          slot(path, 'disc'),
          `Ground of ${path}`,
          'ellipse',
          { x: x - r, y: y - r, width: 2 * r, height: 2 * r },
          { fill: { role: 'ground' } },
        ),
        ring(sheet, slot(path, 'ring'), x, y, r, last ? red : pencil, last ? 6 : 4),
        counted(
          path,
          'figure',
          { x: x - r, y: y - r, width: 2 * r, height: 2 * r },
          {
            align: 'center',
            size: Math.round(62 * unit),
            color: last ? readable(sheet, 'accent2') : { role: 'ink' },
          },
        ),
        ...wordsOf(
          path,
          item,
          `Step ${path}`,
          { ...words, y: area.y + 330 * unit, height: 80 * unit },
          { ...words, y: area.y + 418 * unit, height: 200 * unit },
          { align: 'center' },
        ),
      ]
    }),
  ]
}
/** The strokes of the pen between fields. */
function parting(sheet: Sheet, area: Frame, across: number, down: number): Place[] {
  const { unit } = sheet
  const [x, y] = [area.x + area.width / across - 30 * unit, area.y + area.height / down]
  return [
    ...(across > 1 ? [stroke(sheet, framing('down'), { x, y: area.y }, { x: x + 6 * unit, y: area.y + area.height }, soft, 4)] : []),
    ...(down > 1 ? [stroke(sheet, framing('across'), { x: area.x, y }, { x: area.x + area.width, y: y - 6 * unit }, soft, 4)] : []),
  ]
}
/** Fields parted by drawn strokes, the first figure underlined. */
function fields(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  const across = items.length === 1 || sheet.isUpright ? 1 : items.length === 3 ? 3 : 2
  const down = Math.ceil(items.length / across)
  const [wide, high] = [area.width / across, area.height / down]
  return [
    ...parting(sheet, area, across, down),
    ...items.flatMap((item, index) => {
      const path = index + 1
      const frame = {
        x: area.x + (index % across) * wide + 20 * unit,
        y: area.y + Math.floor(index / across) * high,
        width: wide - 80 * unit,
      }
      const lead = { ...frame, y: frame.y + high * 0.08, height: high * 0.56 }
      const text = { ...frame, y: frame.y + high * 0.68, height: high * 0.26 }
      const color = index ? ({ role: 'ink' } as const) : readable(sheet, 'accent2')
      const under = { x: frame.x, y: frame.y + high * 0.655 }
      return [
        ...wordsOf(path, item, `Figure ${path}`, lead, text, { style: 'number', vertical: 'middle', color, textColor: { role: 'ink' } }),
        ...(index ? [] : [stroke(sheet, slot(path, 'line'), under, { x: frame.x + wide * 0.5, y: under.y - 8 * unit }, red, 6)]),
      ]
    }),
  ]
}
const accent = (room: LayoutRoom) => readable(sheetOf(room), 'accent1')
const saidPages = saidOn(
  sheet => [
    stroke(
      sheet,
      '',
      { x: 0.1 * sheet.width, y: 0.2 * sheet.height },
      { x: 0.1 * sheet.width + 2, y: 0.8 * sheet.height },
      { role: 'accent1' },
      7,
    ),
    ...grass(sheet, 0.86 * sheet.width, 0.99 * sheet.width, 0.3 * sheet.height, 14),
  ],
  {
    words: [250, 190, 1400, 476],
    supports: [250, 708, 1400, 182],
    whose: [246, 96, 1200, 56],
    items: [250, 190, 1400, 700],
  },
)
function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const at = framed(sheet, 64, 62, 1792, 760)
  return [
    { ...picturePlace('picture', 'Picture', at), frame: { shape: 'sheet', amounts: { seed: sheet.seed, off: 0.008 } } } as Place,
    textPlace('title', 'Title', 'heading', framed(sheet, 114, 850, 1120, 170), { vertical: 'middle', prompt: prompts.picture }),
    textPlace('body', 'Words', 'subtitle', framed(sheet, 1290, 850, 520, 170), { vertical: 'middle', prompt: prompts.words }),
  ]
}
/** A drawn arrow with events on it, their words in turn below and above. */
function arrow(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  if (isUpright || items.length > 6) return linesDrawn(items, area, room)
  const y = area.y + area.height * 0.46
  const step = area.width / items.length
  return [
    stroke(sheet, framing('line'), { x: area.x - 20 * unit, y }, { x: area.x + area.width + 20 * unit, y: y - 6 * unit }, pencil, 5),
    ...items.flatMap((item, index) => {
      const path = index + 1
      const x = area.x + (index + 0.5) * step
      const last = index === items.length - 1
      const above = index % 2 === 1
      const words = { x: x - step / 2 + 12 * unit, width: step - 24 * unit }
      const top = above ? y - 270 * unit : y + 50 * unit
      return [
        ring(sheet, slot(path, 'ring'), x, y - 3 * unit, 20 * unit, last ? red : pencil, last ? 6 : 4),
        ...wordsOf(
          path,
          item,
          `Event ${path}`,
          { ...words, y: top, height: 92 * unit },
          { ...words, y: top + 98 * unit, height: 120 * unit },
          { style: 'figure', align: 'center', color: last ? readable(sheet, 'accent2') : { role: 'ink' }, textColor: { role: 'ink' } },
        ),
      ]
    }),
  ]
}
function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { width, height, unit } = sheet
  return [
    horizon(sheet, 0.62 * height),
    stroke(sheet, '', { x: 0.2 * width, y: 0.67 * height }, { x: 0.7 * width, y: 0.665 * height }, soft, 2.6),
    ...grass(sheet, 0.01 * width, 0.16 * width, 0.3 * height, 16, true),
    ...grass(sheet, 0.82 * width, 0.99 * width, 0.34 * height, 18),
    bird(sheet, 0.74 * width, 0.2 * height, 120 * unit),
    textPlace('title', 'Title', 'chapter', framed(sheet, 114, 130, 1120, 420), { vertical: 'middle', prompt: prompts.closing }),
    textPlace('body', 'How to reach us', 'subtitle', framed(sheet, 380, 760, 1100, 230), { prompt: prompts.reach }),
  ]
}

/** Field notes: paper, slab letters, and drawings by a pen whose hand follows from a seed. */
export const logbook: Look = {
  name: 'logbook',
  label: 'Logbook',
  explains: 'Field notes with a pen: for nature, research, walks and workshops.',
  suits: {
    manner: 'drawn',
    calm: 0.85,
    line: [2, 16],
    about: 'nature and research',
    words: [
      'nature bird birds forest tree trees plant plants species research field walk garden animal animals insects meadow',
      'workshop natur vogel wald baum baume pflanzen arten forschung wiese tiere oiseau oiseaux foret arbre arbres plantes',
      'especes recherche animaux naturaleza pajaro pajaros bosque arbol arboles plantas especies investigacion animales',
    ].join(' '),
  },
  transitions: { within: comes('push', 0.5, { to: 'left' }), chapter: comes('swing-open', 0.7, { to: 'left' }) },
  fonts: { display: 'Zilla Slab', body: 'Zilla Slab', mono: 'Zilla Slab' },
  light: {
    ground: '#f6efdf',
    ink: '#2b2a28',
    accent1: '#54703a',
    accent2: '#b53a22',
    accent3: '#4f7f96',
    accent4: '#8a6a3c',
    accent5: '#a68a2c',
    accent6: '#7a5470',
    link: '#3a6a86',
  },
  deep: {
    ground: '#1d2629',
    ink: '#f3ecdb',
    accent1: '#9dbf7a',
    accent2: '#ff8266',
    accent3: '#93c3d8',
    accent4: '#d0ae7a',
    accent5: '#e0c76a',
    accent6: '#c8a0bc',
    link: '#a3d0ea',
  },
  margin: 120,
  styles: {
    title: sized('Title', 'display', [164, 78, 196], 600, { lineHeight: 0.98, letterSpacing: -0.015 }),
    chapter: sized('Chapter', 'display', [140, 70, 168], 600, { lineHeight: 1 }),
    subtitle: sized('Subtitle', 'body', [38, 30, 46], 400, { paragraphSpacing: 0.15 }),
    heading: sized('Heading', 'display', [84, 54, 100], 600, { lineHeight: 1.04 }),
    lead: sized('Lead words', 'display', [54, 34, 66], 600, { lineHeight: 1.08 }),
    body: sized('Body', 'body', [37, 30, 46], 400, { lineHeight: 1.32 }),
    small: sized('Small', 'body', [29, 25, 30], 500),
    number: sized('Number', 'display', [200, 84, 260], 500, { lineHeight: 0.98, units: 0.4 }),
    figure: sized('Figure', 'display', [80, 44, 110], 500, { lineHeight: 1, units: 0.5 }),
    quote: sized('Quote', 'display', [96, 52, 124], 400, { italic: true, lineHeight: 1.14 }),
  },
  frames: ({ size }) => ({ head: framed(size, 296, 92, 1500, 150), body: framed(size, 300, 300, 1500, 670) }),
  master: room => {
    const sheet = sheetOf(room)
    const x = (222 / 1920) * sheet.width
    return [
      stroke(sheet, '', { x, y: 0 }, { x: x + 3, y: sheet.height }, { role: 'accent2', alpha: 0.55 }, 2.6),
      stroke(
        sheet,
        '',
        { x: x + 10 * sheet.unit, y: 0 },
        { x: x + 8 * sheet.unit, y: sheet.height },
        { role: 'accent2', alpha: 0.55 },
        2.6,
      ),
      running('Number', 'slide-number', 'small', framed(sheet, 40, 112, 150, 60), { align: 'right' }),
    ]
  },
  dresses: dressesOf('fade', {
    title: titlePlaces,
    chapter: chapterPlaces,
    points: free(columnsDrawn),
    numbered: linesDrawn,
    list: linesDrawn,
    steps: { arrange: trail, best: [3, 5] },
    figures: fields,
    events: { arrange: arrow, best: [3, 5] },
    statement: saidPages.statement,
    sayings: { bare: true, places: saidPages.sayings, arrange: sayings({ color: accent }) },
    picture: picturePlaces,
    closing: closingPlaces,
  }),
}
