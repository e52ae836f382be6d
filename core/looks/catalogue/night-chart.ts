import { picturePlace, textPlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import type { Color } from '../../values'
import { framed, framing, ornament, readable, rule, running, sheetOf, sized, slot, whole, wordsOf, type Sheet } from '../kit'
import type { Look } from '../look'
import { comes } from '../motion'
import { dressesOf, prompts, saidOn, sayings } from '../pages'

const faint: Color = { role: 'accent1', alpha: 0.3 }
const fine: Color = { role: 'accent1', alpha: 0.75 }
const marker: Color = { role: 'accent2' }

const circle = (sheet: Sheet, placeholder: string, x: number, y: number, r: number, color: Color = faint, width = 2, dash?: number[]) =>
  ornament(
    placeholder,
    'Circle',
    'ellipse',
    { x: x - r, y: y - r, width: 2 * r, height: 2 * r },
    { fill: null, stroke: { color, width: width * sheet.unit, ...(dash ? { dash: dash.map(one => one * sheet.unit) } : {}) } },
  )
const star = (sheet: Sheet, placeholder: string, name: string, x: number, y: number, r: number, fill: Color = { role: 'ink' }) =>
  ornament(
    placeholder,
    name,
    'ellipse',
    { x: x - r * sheet.unit, y: y - r * sheet.unit, width: 2 * r * sheet.unit, height: 2 * r * sheet.unit },
    { fill },
  )

/** A window on the sky about a pole: circles, spokes between them and stars. Stars keep to a frame that leaves the words free. */
function sky(sheet: Sheet, pole: { x: number; y: number }, radii: readonly number[], stars: Frame, spokes = 24): Place[] {
  const outer = radii.at(-1) ?? 0
  const inner = radii.at(-2) ?? 0
  return [
    ornament('', 'Stars', 'stars', stars, { fill: { role: 'ink', alpha: 0.85 }, amounts: { seed: sheet.seed, count: 100 } }),
    ...radii.map((r, index) =>
      circle(sheet, '', pole.x, pole.y, r, index === radii.length - 1 ? fine : faint, 2, index % 2 ? [2, 10] : undefined),
    ),
    ...Array.from({ length: spokes }, (_, index) => {
      const angle = (index / spokes) * 360
      const length = (outer - inner) * (index % 6 ? 0.3 : 0.9)
      const r = outer - length / 2
      const [dx, dy] = [Math.cos((angle * Math.PI) / 180) * r, Math.sin((angle * Math.PI) / 180) * r]
      return ornament(
        '',
        'Tick',
        'rectangle',
        { x: pole.x + dx - length / 2, y: pole.y + dy - sheet.unit, width: length, height: 2 * sheet.unit },
        { fill: faint, angle },
      )
    }),
    star(sheet, '', 'Marker', pole.x + outer * Math.cos(-0.9), pole.y + outer * Math.sin(-0.9), 13, marker),
  ]
}

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright, unit } = sheet
  const pole = isUpright ? { x: 0.6 * sheet.width, y: 0.36 * sheet.height } : framed(sheet, 1420, 520, 0, 0)
  return [
    ...sky(
      sheet,
      pole,
      [120, 220, 330, 400, 430].map(r => r * unit),
      isUpright ? framed(sheet, 0, 0, 1920, 600) : framed(sheet, 940, 0, 980, 1080),
    ),
    textPlace('title', 'Title', 'title', isUpright ? framed(sheet, 114, 660, 1680, 240) : framed(sheet, 112, 300, 800, 480), {
      vertical: 'middle',
      prompt: prompts.title,
    }),
    textPlace('body', 'Who speaks, when', 'subtitle', isUpright ? framed(sheet, 120, 920, 1680, 100) : framed(sheet, 120, 830, 780, 130), {
      prompt: prompts.who,
    }),
  ]
}
function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  const pole = { x: 0.1 * sheet.width, y: 1.05 * sheet.height }
  return [
    ornament('', 'Stars', 'stars', framed(sheet, 0, 0, 1920, 520), {
      fill: { role: 'ink', alpha: 0.85 },
      amounts: { seed: sheet.seed, count: 100 },
    }),
    ...[520, 700, 860, 1000, 1100].map((r, index) =>
      circle(sheet, '', pole.x, pole.y, r * unit, index === 3 ? fine : faint, 2, index % 2 ? undefined : [2, 10]),
    ),
    running('Number of the chapter', 'chapter-number', 'numeral', framed(sheet, 112, 560, 460, 420), { vertical: 'bottom' }),
    textPlace('title', 'Title', 'chapter', framed(sheet, 690, 420, 1110, 420), {
      vertical: 'bottom',
      prompt: prompts.chapter,
    }),
    textPlace('body', 'Beneath it', 'subtitle', framed(sheet, 696, 870, 1104, 110), { prompt: prompts.comes }),
  ]
}

/** Stars joined by a line like a constellation, each with its words below or beside it. */
function constellation(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  if (isUpright || items.length > 4) return meridian(items, area, room)
  const step = area.width / items.length
  const offsets = [70, 0, 110, 30]
  const at = items.map((_, index) => ({ x: area.x + index * step + 16 * unit, y: area.y + 40 * unit + offsets[index % 4]! * unit }))
  const box = { x: at[0]!.x, y: area.y, width: Math.max(1, at.at(-1)!.x - at[0]!.x), height: 200 * unit }
  return [
    ...(items.length > 1
      ? [
          ornament(framing('line'), 'Line', 'line', box, {
            line: { way: 'straight', points: at.map(({ x, y }): [number, number] => [(x - box.x) / box.width, (y - box.y) / box.height]) },
            stroke: { color: fine, width: 2.5 * unit },
          }),
        ]
      : []),
    ...items.flatMap((item, index) => {
      const path = index + 1
      const { x, y } = at[index]!
      const words = { x: x - 16 * unit, width: step - 56 * unit }
      return [
        circle(sheet, slot(path, 'ring'), x, y, 26 * unit, index ? fine : marker, 2),
        star(sheet, slot(path, 'star'), `Star ${path}`, x, y, index ? 9 : 12, index ? { role: 'ink' } : marker),
        ...wordsOf(
          path,
          item,
          `Point ${path}`,
          { ...words, y: area.y + 230 * unit, height: 150 * unit },
          { ...words, y: area.y + 392 * unit, height: area.height - 400 * unit },
          { textColor: { role: 'ink', alpha: 0.86 } },
        ),
      ]
    }),
  ]
}
/** A line down the slide with stars on it: what leads before it, what follows after it. */
function meridian(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  const pitch = area.height / items.length
  const both = items.some(item => item.text !== undefined)
  const x = isUpright || !both ? area.x + 16 * unit : area.x + area.width * 0.4
  return [
    rule(framing('meridian'), 'Meridian', { x: x - unit, y: area.y, width: 2 * unit, height: area.height }, fine),
    ...items.flatMap((item, index) => {
      const path = index + 1
      const y = area.y + (index + 0.5) * pitch
      const inner = { y: y - pitch * 0.46, height: pitch * 0.92 }
      const right = { x: x + 56 * unit, width: area.x + area.width - x - 56 * unit, ...inner }
      const [lead, text] =
        isUpright || !both
          ? [
              { ...right, height: both ? inner.height * 0.48 : inner.height },
              { ...right, y: inner.y + inner.height * 0.5, height: inner.height * 0.5 },
            ]
          : [{ x: area.x, width: x - area.x - 56 * unit, ...inner }, right]
      const words = wordsOf(path, item, `Line ${path}`, lead, text, { vertical: 'middle', textColor: { role: 'ink', alpha: 0.86 } })
      return [
        star(sheet, slot(path, 'star'), `Star ${path}`, x, y, index ? 9 : 12, index ? { role: 'ink' } : marker),
        ...words.map(place =>
          place.kind === 'text' && both && !isUpright && item.text !== undefined && place.placeholder.endsWith('-lead')
            ? { ...place, align: 'right' as const }
            : place,
        ),
      ]
    }),
  ]
}
/** Bodies on a wide arc across the slide, each with its words below. */
function onArc(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { width, unit, isUpright } = sheet
  if (isUpright || items.length > 6) return meridian(items, area, room)
  const r = 1.02 * width
  const pole = { x: width / 2, y: area.y + 130 * unit + r }
  const step = area.width / items.length
  const height = (x: number) => pole.y - Math.sqrt(r * r - (x - pole.x) ** 2)
  const points = Array.from({ length: 25 }, (_, index): [number, number] => {
    const x = (index / 24) * width
    return [index / 24, (height(x) - area.y) / (430 * unit)]
  })
  return [
    ornament(
      framing('arc'),
      'Arc',
      'line',
      { x: 0, y: area.y, width, height: 430 * unit },
      { line: { way: 'curve', points }, stroke: { color: fine, width: 2.5 * unit } },
    ),
    ...items.flatMap((item, index) => {
      const path = index + 1
      const x = area.x + (index + 0.5) * step
      const y = height(x)
      const last = index === items.length - 1
      const words = { x: x - step / 2 + 16 * unit, width: step - 32 * unit }
      return [
        circle(sheet, slot(path, 'ring'), x, y, 30 * unit, last ? marker : fine, 2),
        star(sheet, slot(path, 'star'), `Star ${path}`, x, y, last ? 13 : 9, last ? marker : { role: 'ink' }),
        ...wordsOf(
          path,
          item,
          `Step ${path}`,
          { ...words, y: y + 56 * unit, height: 90 * unit },
          { ...words, y: y + 154 * unit, height: 220 * unit },
          { align: 'center', color: last ? readable(sheet, 'accent2') : { role: 'ink' }, textColor: { role: 'ink', alpha: 0.86 } },
        ),
      ]
    }),
  ]
}
/** The first figure in a dial, the others along its side. */
function dial(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit, isUpright } = sheet
  const [first, ...others] = items
  if (!first) return []
  const side = Math.min(area.height, isUpright ? area.width : area.width * 0.46)
  const cx = others.length && !isUpright ? area.x + side / 2 : area.x + area.width / 2
  const high = isUpright && others.length ? area.height * 0.5 : area.height
  const cy = area.y + high / 2
  const r = Math.min(side, high) / 2 - 8 * unit
  const inner = { x: cx - r * 0.74, width: r * 1.48 }
  const rest = isUpright
    ? { x: area.x, y: area.y + high + 20 * unit, width: area.width, height: area.height - high - 20 * unit }
    : { x: area.x + side + 110 * unit, y: area.y, width: area.width - side - 110 * unit, height: area.height }
  const pitch = rest.height / Math.max(1, others.length)
  return [
    circle(sheet, framing('dial'), cx, cy, r, fine, 2.5),
    circle(sheet, framing('inner'), cx, cy, r * 0.92, faint, 2, [2, 10]),
    star(sheet, framing('mark'), 'Marker', cx + r * Math.cos(-0.8), cy + r * Math.sin(-0.8), 14, marker),
    ...wordsOf(
      1,
      first,
      'Figure 1',
      { ...inner, y: cy - r * 0.5, height: r * 0.68 },
      { ...inner, y: cy + r * 0.22, height: r * 0.36 },
      { style: 'number', align: 'center', vertical: 'middle', color: { role: 'ink' } },
    ).map(place => (place.kind === 'text' ? { ...place, match: `first-${place.match}` } : place)),
    ...others.flatMap((item, index) => {
      const path = index + 2
      const y = rest.y + index * pitch
      return [
        rule(slot(path, 'rule'), `Horizon ${path}`, { x: rest.x, y, width: rest.width, height: 2 * unit }, faint),
        ...wordsOf(
          path,
          item,
          `Figure ${path}`,
          { ...rest, y: y + pitch * 0.1, height: pitch * 0.5 },
          { ...rest, y: y + pitch * 0.62, height: pitch * 0.32 },
          { style: 'figure', vertical: 'middle', textColor: { role: 'ink', alpha: 0.86 } },
        ),
      ]
    }),
  ]
}
const saidPages = saidOn(
  sheet =>
    [380, 560, 720, 860].map((r, index) =>
      circle(
        sheet,
        '',
        1.02 * sheet.width,
        -0.05 * sheet.height,
        r * sheet.unit,
        index === 2 ? fine : faint,
        2,
        index % 2 ? undefined : [2, 10],
      ),
    ),
  {
    words: [114, 260, 1330, 470],
    supports: [120, 780, 1200, 180],
    whose: [120, 90, 1000, 60],
    items: [114, 220, 1300, 740],
  },
)
function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  const ground: Color = { role: 'ground' }
  return [
    picturePlace('picture', 'Picture', whole(sheet)),
    ornament(framing('shade'), 'Shade', 'rectangle', framed(sheet, 0, 380, 1920, 700), {
      fill: {
        kind: 'linear',
        angle: 180,
        stops: [
          { color: { ...ground, alpha: 0 }, at: 0 },
          { color: { ...ground, alpha: 0.86 }, at: 0.6 },
          { color: { ...ground, alpha: 0.95 }, at: 1 },
        ],
      },
    }),
    circle(sheet, framing('circle1'), 0.62 * sheet.width, 0.34 * sheet.height, 180 * unit, fine, 2),
    circle(sheet, framing('circle2'), 0.62 * sheet.width, 0.34 * sheet.height, 260 * unit, faint, 2, [2, 10]),
    textPlace('title', 'Title', 'chapter', framed(sheet, 114, 680, 1180, 290), { vertical: 'bottom', prompt: prompts.picture }),
    textPlace('body', 'Words', 'subtitle', framed(sheet, 1330, 800, 470, 166), { vertical: 'bottom', prompt: prompts.words }),
  ]
}
function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { unit } = sheet
  const pole = { x: 0.86 * sheet.width, y: 1.02 * sheet.height }
  return [
    ...sky(
      sheet,
      pole,
      [260, 420, 560, 620].map(r => r * unit),
      framed(sheet, 1000, 0, 920, 620),
      48,
    ),
    textPlace('title', 'Title', 'chapter', framed(sheet, 114, 200, 1100, 440), { vertical: 'middle', prompt: prompts.closing }),
    textPlace('body', 'How to reach us', 'subtitle', framed(sheet, 120, 700, 800, 250), { prompt: prompts.reach }),
  ]
}

/** Deep grounds and fine lines: star charts, dials and horizons. */
export const nightChart: Look = {
  name: 'night-chart',
  label: 'Night chart',
  explains: 'Fine lines on deep ground, stars and dials: for evenings of film and music, for talks after dark.',
  suits: {
    manner: 'drawn',
    calm: 0.75,
    line: [1, 12],
    ground: 'deep',
    about: 'the evening and the stage',
    words: [
      'night evening concert film films music star stars sky theatre theater cinema lecture nacht abend konzert musik stern',
      'sterne himmel kino nuit soir musique etoile etoiles ciel noche tarde concierto musica estrella estrellas cielo teatro',
      'cine',
    ].join(' '),
  },
  transitions: { within: comes('crossfade', 1.2), chapter: comes('crossfade', 1.2) },
  fonts: { display: 'Spectral', body: 'Spectral', mono: 'Spectral' },
  light: {
    ground: '#f4f1e8',
    ink: '#14202e',
    accent1: '#33587a',
    accent2: '#a8451f',
    accent3: '#5c6f4a',
    accent4: '#7a5a86',
    accent5: '#8a7434',
    accent6: '#3f7a78',
    link: '#2a5a8a',
  },
  deep: {
    ground: '#0a1220',
    ink: '#f2ede0',
    accent1: '#7fb2d6',
    accent2: '#ffb454',
    accent3: '#a7cfa0',
    accent4: '#c9a9e0',
    accent5: '#e0d08a',
    accent6: '#86d0c8',
    link: '#a3c8f0',
  },
  margin: 120,
  styles: {
    title: sized('Title', 'display', [160, 80, 190], 300, { lineHeight: 1, letterSpacing: -0.025 }),
    chapter: sized('Chapter', 'display', [140, 76, 180], 300, { lineHeight: 1.02, letterSpacing: -0.025 }),
    numeral: sized('Numeral', 'display', [380, 200, 380], 300, { lineHeight: 1, letterSpacing: -0.03, color: { role: 'accent2' } }),
    subtitle: sized('Subtitle', 'body', [40, 34, 48], 400, { italic: true, paragraphSpacing: 0.15 }),
    heading: sized('Heading', 'display', [96, 58, 116], 300, { lineHeight: 1.04, letterSpacing: -0.02 }),
    lead: sized('Lead words', 'display', [60, 38, 72], 400, { lineHeight: 1.1 }),
    body: sized('Body', 'body', [40, 32, 48], 400, { lineHeight: 1.36 }),
    small: sized('Small', 'body', [32, 28, 34], 400, { italic: true }),
    number: sized('Number', 'display', [220, 90, 280], 300, { lineHeight: 0.98, letterSpacing: -0.03, units: 0.4 }),
    figure: sized('Figure', 'display', [110, 54, 140], 300, { lineHeight: 1, letterSpacing: -0.02, units: 0.45 }),
    quote: sized('Quote', 'display', [104, 56, 132], 300, { lineHeight: 1.12, letterSpacing: -0.01 }),
  },
  frames: ({ size }) => ({ head: framed(size, 114, 96, 1500, 150), body: framed(size, 120, 300, 1680, 660) }),
  master: room => [running('Number', 'slide-number', 'small', framed(sheetOf(room), 1680, 1000, 120, 50), { align: 'right' })],
  dresses: dressesOf('fade', {
    title: titlePlaces,
    chapter: chapterPlaces,
    points: constellation,
    numbered: meridian,
    list: { arrange: meridian, best: [3, 8] },
    steps: { arrange: onArc, best: [3, 5] },
    figures: dial,
    events: { arrange: onArc, best: [3, 5] },
    statement: saidPages.statement,
    sayings: {
      bare: true,
      places: saidPages.sayings,
      arrange: sayings({ textStyle: 'subtitle', color: room => readable(sheetOf(room), 'accent2') }),
    },
    picture: picturePlaces,
    closing: closingPlaces,
  }),
}
