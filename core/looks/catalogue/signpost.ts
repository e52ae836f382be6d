import { headTitle, itemsPlace, picturePlace, textPlace, type Frame, type Item, type LayoutRoom, type Place } from '../../families'
import type { Color, Role } from '../../values'
import { counted, framed, framing, ornament, over, rule, running, sheetOf, sized, slot, whole, wordsOf, type Sheet } from '../kit'
import type { Look } from '../look'
import { comes, stopsHard } from '../motion'
import { pitched } from '../rows'
import { dressesOf, prompts, sayings, stands } from '../pages'

/** One module: a sixteenth of the width, a ninth of the height; every field and rule lies on it. px of a slide of 1920 × 1080. */
const module = 120
const hair: Color = { role: 'ink', alpha: 0.22 }
const ink: Color = { role: 'ink' }
const roles: readonly Role[] = ['accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6']
const roleAt = (index: number): Role => roles[((index % roles.length) + roles.length) % roles.length]!

const field = (placeholder: string, name: string, frame: Frame, fill: Color) => ornament(placeholder, name, 'rectangle', frame, { fill })
/** A sign by its place in the deck’s turn of chance, in what is read on its field. */
const signIn = (sheet: Sheet, placeholder: string, frame: Frame, index: number, fill: Color) =>
  ornament(placeholder, 'Sign', 'sign', frame, { fill: over(sheet, fill), amounts: { seed: (sheet.seed + index * 3.7) % 100 } })
/** A sign on its field. */
function signOn(sheet: Sheet, placeholder: string, frame: Frame, index: number, role: Role = roleAt(index)): Place[] {
  const side = Math.min(frame.width, frame.height) * 0.56
  const at = { x: frame.x + (frame.width - side) / 2, y: frame.y + (frame.height - side) / 2, width: side, height: side }
  return [
    field(placeholder && `${placeholder}-field`, 'Field of a sign', frame, { role }),
    signIn(sheet, placeholder && `${placeholder}-sign`, at, index, { role }),
  ]
}

function titlePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { isUpright } = sheet
  const mosaic = isUpright
    ? [0, 1, 2, 3, 4, 5].map(i => framed(sheet, (i % 3) * 640, Math.floor(i / 3) * 240, 640, 240))
    : [0, 1, 2, 3, 4, 5].map(i => framed(sheet, 1200 + (i % 2) * 360, Math.floor(i / 2) * 360, 360, 360))
  const order = [0, 1, 3, 2, 4, 5]
  return [
    ...mosaic.flatMap((frame, index) => signOn(sheet, '', frame, order[index]!)),
    rule('', 'Foot rule', { ...framed(sheet, 0, 960, isUpright ? 1920 : 1200, 0), height: 3 * sheet.unit }, ink),
    textPlace('title', 'Title', 'title', isUpright ? framed(sheet, 54, 520, 1800, 400) : framed(sheet, 54, 150, 1100, 760), {
      vertical: 'bottom',
      prompt: prompts.title,
    }),
    textPlace('body', 'Who speaks, when', 'subtitle', isUpright ? framed(sheet, 60, 968, 1800, 104) : framed(sheet, 60, 968, 1100, 104), {
      vertical: 'middle',
      prompt: prompts.who,
    }),
  ]
}
function chapterPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const accent: Color = { role: 'accent1' }
  const right = sheet.isUpright ? framed(sheet, 0, 460, 1920, 620) : framed(sheet, 1080, 0, 840, 1080)
  const color = over(sheet, accent)
  const inner = { x: right.x + 54 * sheet.unit, width: right.width - 108 * sheet.unit }
  const sign = sheet.isUpright ? framed(sheet, 640, 60, 640, 340) : framed(sheet, 180, 180, 720, 720)
  return [
    field('', 'Field', right, accent),
    ornament('', 'Sign', 'sign', sign, { fill: ink, amounts: { seed: sheet.seed } }),
    running(
      'Number of the chapter',
      'chapter-number',
      'figure',
      { ...inner, y: right.y + right.height * 0.1, height: right.height * 0.16 },
      { color },
    ),
    textPlace(
      'title',
      'Title',
      'chapter',
      { ...inner, y: right.y + right.height * 0.28, height: right.height * 0.44 },
      { vertical: 'top', color, prompt: prompts.chapter },
    ),
    textPlace(
      'body',
      'Beneath it',
      'subtitle',
      { ...inner, y: right.y + right.height * 0.76, height: right.height * 0.18 },
      { vertical: 'bottom', color, prompt: prompts.comes },
    ),
  ]
}

/** Rows of equal height from the head to the foot of the slide: a field with a number or a sign, the name, the text. */
function timetable(numbers: boolean) {
  return (items: readonly Item[], area: Frame, room: LayoutRoom): Place[] => {
    const sheet = sheetOf(room)
    const { width, height, unit } = sheet
    const all = { x: 0, y: area.y, width, height: height - area.y }
    const pitch = all.height / items.length
    const cell = Math.min(2 * module * (width / 1920), pitch * 1.4)
    const look = { most: Infinity, indent: cell / unit, pad: 60, split: 0.46, words: () => ({ textColor: ink }) }
    return pitched(sheet, items, all, look, (path, row, index) => {
      const fill: Color = { role: roleAt(index) }
      const at = { ...row, width: cell }
      const side = pitch * 0.5
      return [
        rule(slot(path, 'rule'), `Rule ${path}`, { ...row, height: 2 * unit }, index ? hair : ink),
        field(slot(path, 'field'), `Field ${path}`, at, fill),
        numbers
          ? counted(path, 'figure', at, { align: 'center', color: over(sheet, fill), size: Math.round(Math.min(150 * unit, pitch * 0.62)) })
          : signIn(sheet, slot(path, 'sign'), { x: (cell - side) / 2, y: row.y + side / 2, width: side, height: side }, index, fill),
      ]
    })
  }
}
/** A route that rises by a step a stop; the last stop in the second accent. */
function route(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { width, height, unit, isUpright } = sheet
  if (isUpright || items.length > 7) return timetable(true)(items, area, room)
  const count = items.length
  const wide = width / count
  const rise = count > 1 ? Math.min(92 * unit, (0.3 * height) / (count - 1)) : 0
  const y = (index: number) => 0.66 * height - index * rise
  const r = 40 * unit
  const line: [number, number][] = items.flatMap((_, index): [number, number][] => [
    [index ? index * wide + 60 * unit : 0, y(index)],
    [index === count - 1 ? width : (index + 1) * wide - 60 * unit, y(index)],
  ])
  const top = y(count - 1)
  const box = { x: 0, y: top, width, height: Math.max(1, y(0) - top) }
  return [
    ornament(framing('route'), 'Route', 'line', box, {
      line: { way: 'straight', points: line.map(([px, py]): [number, number] => [px / width, (py - top) / box.height]) },
      stroke: { color: { role: 'accent1' }, width: 44 * unit },
    }),
    ...items.flatMap((item, index) => {
      const path = index + 1
      const x = index * wide + 60 * unit
      const last = index === count - 1
      const at = y(index)
      return [
        ornament(
          slot(path, 'stop'),
          `Stop ${path}`,
          'ellipse',
          { x, y: at - r, width: 2 * r, height: 2 * r },
          { fill: last ? { role: 'accent2' } : { role: 'ground' }, stroke: { color: ink, width: 12 * unit } },
        ),
        counted(
          path,
          'figure',
          { x, y: at - 170 * unit, width: wide - 80 * unit, height: 110 * unit },
          { vertical: 'bottom', size: Math.round(92 * unit) },
        ),
        ...wordsOf(
          path,
          item,
          `Step ${path}`,
          { x, y: at + 62 * unit, width: wide - 90 * unit, height: 72 * unit },
          { x, y: at + 140 * unit, width: wide - 90 * unit, height: Math.min(190 * unit, height - at - 150 * unit) },
          { textColor: ink },
        ),
      ]
    }),
  ]
}
/** The first figure in a large field, the others in rows at its right, each with a sign in its corner. */
function board(items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const { width, height, unit, isUpright } = sheet
  const [first, ...others] = items
  if (!first) return []
  const fill: Color = { role: 'accent1' }
  const wide = others.length ? (isUpright ? width : (9 * width) / 16) : width
  const high = isUpright && others.length ? (height - area.y) * 0.4 : height - area.y
  const lead = { x: 0, y: area.y, width: wide, height: high }
  const color = over(sheet, fill)
  const pad = 54 * unit
  const rows = isUpright
    ? { x: 0, y: area.y + high, width, height: height - area.y - high }
    : { x: wide, y: area.y, width: width - wide, height: height - area.y }
  const pitch = rows.height / Math.max(1, others.length)
  return [
    field(slot(1, 'field'), 'Field 1', lead, fill),
    ...wordsOf(
      1,
      first,
      'Figure 1',
      { x: lead.x + pad, y: lead.y + high * 0.1, width: wide - 2 * pad, height: high * 0.6 },
      { x: lead.x + pad, y: lead.y + high * 0.72, width: wide - 2 * pad, height: high * 0.2 },
      { style: 'number', textStyle: 'lead', color, vertical: 'middle' },
    ).map(place => (place.kind === 'text' ? { ...place, match: `first-${place.match}` } : place)),
    ...others.flatMap((item, index) => {
      const path = index + 2
      const y = rows.y + index * pitch
      const side = Math.min(160 * unit, pitch * 0.5)
      const inner = { x: rows.x + pad, width: rows.width - pad - side - 30 * unit }
      return [
        rule(slot(path, 'rule'), `Rule ${path}`, { x: rows.x, y, width: rows.width, height: 3 * unit }, index ? hair : ink),
        ...signOn(sheet, slot(path, 'mark'), { x: rows.x + rows.width - side, y, width: side, height: side }, path),
        ...wordsOf(
          path,
          item,
          `Figure ${path}`,
          { ...inner, y: y + pitch * 0.1, height: pitch * 0.5 },
          { ...inner, y: y + pitch * 0.64, height: pitch * 0.3 },
          { style: 'figure', textColor: ink, vertical: 'middle' },
        ),
      ]
    }),
  ]
}
function chartPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  if (sheet.isUpright)
    return [
      headTitle(room),
      {
        kind: 'chart',
        placeholder: 'chart',
        name: 'Chart',
        box: { ...framed(sheet, 60, 300, 1800, 620), angle: 0 },
        prompt: 'Drop a CSV file here',
      },
      textPlace('body', 'Caption', 'small', framed(sheet, 60, 940, 1800, 90), { prompt: 'What the figures are, and from where' }),
    ]
  return [
    textPlace('title', 'Title', 'heading', framed(sheet, 54, 170, 510, 560), { vertical: 'top', prompt: 'What this slide says' }),
    textPlace('body', 'Caption', 'small', framed(sheet, 60, 800, 500, 220), {
      vertical: 'bottom',
      prompt: 'What the figures are, and from where',
    }),
    {
      kind: 'chart',
      placeholder: 'chart',
      name: 'Chart',
      box: { ...framed(sheet, 620, 160, 1250, 870), angle: 0 },
      prompt: 'Drop a CSV file here',
    },
  ]
}
function statementPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const color = over(sheet, { role: 'accent2' })
  const sign = sheet.isUpright ? framed(sheet, 960, 680, 960, 400) : framed(sheet, 1270, 430, 650, 650)
  return [
    ornament('', 'Sign', 'sign', sign, { fill: { role: 'accent2', tint: sheet.isDeep ? 0.16 : -0.16 }, amounts: { seed: sheet.seed } }),
    textPlace('title', 'Statement', 'statement', framed(sheet, 54, 90, 1500, 700), {
      vertical: 'top',
      color,
      prompt: prompts.statement,
    }),
    textPlace('body', 'Beneath it', 'subtitle', framed(sheet, 60, 900, 1150, 130), {
      vertical: 'bottom',
      color,
      prompt: prompts.supports,
    }),
  ]
}
function picturePlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const fill: Color = { role: 'accent2' }
  const color = over(sheet, fill)
  return [
    picturePlace('picture', 'Picture', whole(sheet)),
    field(framing('panel'), 'Panel', framed(sheet, 0, 600, 960, 480), fill),
    ...signOn(sheet, framing('mark'), framed(sheet, 960, 840, 240, 240), 2, 'accent1'),
    textPlace('title', 'Title', 'chapter', framed(sheet, 54, 630, 850, 290), {
      vertical: 'middle',
      color,
      prompt: prompts.picture,
    }),
    textPlace('body', 'Words', 'subtitle', framed(sheet, 60, 930, 850, 120), { vertical: 'top', color, prompt: prompts.words }),
  ]
}
function closingPlaces(room: LayoutRoom): Place[] {
  const sheet = sheetOf(room)
  const mark = sheet.isUpright ? framed(sheet, 0, 0, 1920, 400) : framed(sheet, 1200, 0, 720, 1080)
  const left = sheet.isUpright ? 1800 : 1080
  const top = sheet.isUpright ? 430 : 150
  return [
    ...signOn(sheet, '', mark, 0, 'accent1'),
    textPlace('title', 'Title', 'chapter', framed(sheet, 54, top, left, 400), { vertical: 'bottom', prompt: prompts.closing }),
    rule('', 'Rule', { ...framed(sheet, 0, top + 440, sheet.isUpright ? 1920 : 1200, 0), height: 3 * sheet.unit }, ink),
    textPlace('body', 'How to reach us', 'lead', framed(sheet, 60, top + 470, left, sheet.isUpright ? 150 : 360), {
      prompt: prompts.reach,
    }),
  ]
}

/** A slide is a printed timetable: full-width rules, flat fields of colour, signs made of parts. */
export const signpost: Look = {
  name: 'signpost',
  label: 'Signpost',
  explains: 'Fields, rules and signs as on a board: for timetables, control rooms and halls.',
  suits: {
    manner: 'fields',
    calm: 0.4,
    line: [1, 8],
    purposes: ['loop'],
    about: 'times and ways',
    words: [
      'timetable platform platforms gate gates exit entrance floor hall room rooms line lines route routes departure',
      'departures arrival bus train closed open opening fahrplan gleis ausgang eingang halle raum linie abfahrt ankunft zug',
      'geschlossen horaire quai sortie entree salle ligne depart arrivee ferme horario anden salida entrada sala linea',
      'llegada tren cerrado',
    ].join(' '),
  },
  transitions: { within: comes('push', 0.42, { to: 'left' }, stopsHard), chapter: comes('push', 0.42, { to: 'up' }, stopsHard) },
  fonts: { display: 'Work Sans', body: 'Work Sans', mono: 'Work Sans' },
  light: {
    ground: '#f7f5ef',
    ink: '#15201f',
    accent1: '#0e5a4f',
    accent2: '#ffc93c',
    accent3: '#f2583a',
    accent4: '#6a3f94',
    accent5: '#a8d5ea',
    accent6: '#1f6fb5',
    link: '#0e5a8a',
  },
  deep: {
    ground: '#10191a',
    ink: '#f7f5ef',
    accent1: '#2f8f7d',
    accent2: '#ffd257',
    accent3: '#ff7657',
    accent4: '#a37fd0',
    accent5: '#a8d5ea',
    accent6: '#5aa3e0',
    link: '#8fc7f0',
  },
  margin: 60,
  styles: {
    title: sized('Title', 'display', [190, 76, 216], 700, { lineHeight: 0.98, letterSpacing: -0.035 }),
    chapter: sized('Chapter', 'display', [130, 64, 160], 700, { lineHeight: 1.02, letterSpacing: -0.03 }),
    statement: sized('Statement', 'display', [150, 70, 200], 700, { lineHeight: 1.02, letterSpacing: -0.03 }),
    subtitle: sized('Subtitle', 'body', [36, 30, 44], 500, { paragraphSpacing: 0.15 }),
    heading: sized('Heading', 'display', [88, 56, 104], 700, { lineHeight: 1.03, letterSpacing: -0.025 }),
    lead: sized('Lead words', 'display', [54, 34, 66], 600, { lineHeight: 1.08, letterSpacing: -0.012 }),
    body: sized('Body', 'body', [38, 30, 46], 400, { lineHeight: 1.3 }),
    small: sized('Small', 'body', [30, 26, 32], 500),
    number: sized('Number', 'display', [340, 110, 420], 700, { lineHeight: 0.98, letterSpacing: -0.05, units: 0.4 }),
    figure: sized('Figure', 'display', [120, 52, 160], 700, { lineHeight: 1, letterSpacing: -0.04, units: 0.4 }),
    quote: sized('Quote', 'display', [110, 56, 140], 600, { lineHeight: 1.06, letterSpacing: -0.02 }),
  },
  frames: ({ size }) => ({ head: framed(size, 54, 160, 1800, 130), body: framed(size, 60, 330, 1800, 690) }),
  master: room => {
    const sheet = sheetOf(room)
    return [
      ...signOn(sheet, '', framed(sheet, 0, 0, 120, 120), 0),
      running('Running title', 'deck-title', 'small', framed(sheet, 180, 30, 1200, 60), { vertical: 'middle' }),
      running('Number', 'slide-number', 'small', framed(sheet, 1660, 30, 200, 60), { align: 'right', vertical: 'middle' }),
      rule('', 'Head rule', { ...framed(sheet, 0, 118, 1920, 0), height: 3 * sheet.unit }, ink),
    ]
  },
  dresses: dressesOf('wipe', {
    title: titlePlaces,
    chapter: chapterPlaces,
    points: { arrange: timetable(true), best: [2, 5] },
    cards: timetable(false),
    numbered: timetable(true),
    list: { arrange: timetable(false), best: [3, 8] },
    steps: { places: room => [headTitle(room, 0.58 * room.size.width), itemsPlace(room.frames!.body)], arrange: route },
    figures: { arrange: board, best: [2, 5] },
    events: timetable(false),
    chart: chartPlaces,
    statement: { bare: true, ground: { role: 'accent2' }, places: statementPlaces },
    sayings: { places: stands, arrange: sayings({ style: 'statement', textStyle: 'lead' }) },
    picture: picturePlaces,
    closing: closingPlaces,
  }),
}
