import { headTitle, itemsPlace, settled, textPlace, type Frame, type LayoutFamily, type LayoutRoom, type Place } from '../families'
import type { Color } from '../values'
import { framed, sheetOf, wordsOf, type Sheet } from './kit'
import type { Dress } from './look'

/** A title over an area for items, where the look has them. */
export const stands = (room: LayoutRoom): Place[] => [headTitle(room), itemsPlace(room.frames!.body)]

type At = readonly [x: number, y: number, width: number, height: number]
type Told = Parameters<typeof textPlace>[4]
/** A text at a place in px of a slide of 1920 × 1080: the deck's title, a statement, the words beneath. */
export const said = (sheet: Sheet, placeholder: 'title' | 'body', style: string, at: At, prompt: string, more: Told = {}) =>
  textPlace(placeholder, placeholder === 'title' ? 'Title' : 'Words', style, framed(sheet, ...at), { prompt, ...more })
export const prompts = {
  title: 'What the deck is called',
  who: 'Who speaks, when, to whom',
  chapter: 'What this chapter is about',
  comes: 'What comes in it',
  statement: 'One thing to remember',
  supports: 'What supports it',
  picture: 'What the picture shows',
  words: 'What to say of it',
  closing: 'Thanks, or what to do now',
  reach: 'Telephone, mail, where to find us',
  whose: 'Whose words they are',
} as const

type Arrange = NonNullable<LayoutFamily['arrange']>
interface SayingsLook {
  style?: string
  textStyle?: string
  vertical?: 'top' | 'middle'
  /** What whose words they are is written in. */
  color?: (room: LayoutRoom) => Color
  /** What stands between the words and whose they are. */
  between?: (sheet: Sheet, path: number, words: Frame) => Place[]
}
/** Sayings one under the other: the words, and whose they are. */
export const sayings =
  ({ style = 'quote', textStyle = 'body', vertical = 'middle', color, between }: SayingsLook = {}): Arrange =>
  (items, area, room) => {
    const pitch = area.height / items.length
    return items.flatMap((item, index) => {
      const path = index + 1
      const words = { ...area, y: area.y + index * pitch, height: pitch * 0.74 }
      const who = { ...words, y: words.y + pitch * 0.8, height: pitch * 0.18 }
      const look = { style, textStyle, vertical, ...(color ? { textColor: color(room) } : {}) }
      return [...(between?.(sheetOf(room), path, words) ?? []), ...wordsOf(path, item, `Saying ${path}`, words, who, look)]
    })
  }

/** Where a statement and sayings stand, px of a slide of 1920 × 1080: the words, what supports them, whose sayings they are. */
interface SaidPlaces {
  words: At
  supports: At
  whose: At
  items: At
}
/** Pages of a statement and of sayings on the same ornaments. */
export function saidOn(drawn: (sheet: Sheet) => Place[], at: SaidPlaces | ((sheet: Sheet) => SaidPlaces), color?: (sheet: Sheet) => Color) {
  const page = (place: (sheet: Sheet, at: SaidPlaces, more: Told) => Place[]) => (room: LayoutRoom) => {
    const sheet = sheetOf(room)
    return [...drawn(sheet), ...place(sheet, typeof at === 'function' ? at(sheet) : at, color ? { color: color(sheet) } : {})]
  }
  return {
    statement: page((sheet, { words, supports }, more) => [
      said(sheet, 'title', 'quote', words, prompts.statement, { vertical: 'middle', ...more }),
      said(sheet, 'body', 'subtitle', supports, prompts.supports),
    ]),
    sayings: page((sheet, { whose, items }) => [said(sheet, 'title', 'small', whose, prompts.whose), itemsPlace(framed(sheet, ...items))]),
  }
}

/** A page: what stands on its layout, alone where nothing more is said. */
type Page = ((room: LayoutRoom) => Place[]) | Dress
/** How items stand, beneath the title where nothing more is said. */
type Arranged = Arrange | Dress

/** What a look composes; each stands for the families that show the same. */
export interface Compositions {
  title: Page
  chapter: Page
  points: Arranged
  /** Points side by side, where they stand otherwise than points do. */
  cards?: Arranged
  numbered?: Arranged
  list: Arranged
  /** More points than a list is best with. */
  longList?: Arranged
  steps: Arranged
  figures: Arranged
  events: Arranged
  chart?: Page
  statement: Page
  sayings: Dress
  picture: Page
  closing: Page
}

/** An arrangement that stands free in its area, settled there as a block. */
export const free =
  (arrange: Arrange): Arrange =>
  (items, area, room) =>
    settled(arrange(items, area, room), items, area, room)

const pageOf = (page: Page): Dress => (typeof page === 'function' ? { bare: true, places: page } : page)

/** The compositions of a look by the families that they dress. Items come in by `entrance`. */
export function dressesOf(entrance: string, look: Compositions): Record<string, Dress> {
  const items = (arranged: Arranged, best?: readonly [number, number]): Dress => ({
    places: stands,
    entrance: { effect: entrance },
    ...(best ? { best } : {}),
    ...(typeof arranged === 'function' ? { arrange: arranged } : arranged),
  })
  const { points, cards = points, numbered, list, longList, steps, figures, events, chart } = look
  return {
    title: pageOf(look.title),
    chapter: pageOf(look.chapter),
    'lead-rows': items(points, [2, 4]),
    // Where points are set one way only, those that would stand on cards elsewhere are no cards here.
    'cards-row': { ...items(cards), ...(look.cards ? {} : { label: 'Points' }) },
    ...(numbered ? { numbered: items(numbered) } : {}),
    list: { ...items(list, [3, 7]), content: 'items', split: 'none' },
    ...(longList ? { 'list-columns': items(longList, [5, 10]) } : {}),
    'steps-row': items(steps, [3, 6]),
    'numbers-row': items(figures, [2, 4]),
    'number-single': items(figures, [1, 1]),
    'timeline-row': items(events, [3, 6]),
    ...(chart ? { chart: typeof chart === 'function' ? { places: chart } : chart } : {}),
    statement: pageOf(look.statement),
    quote: { ...look.sayings },
    'picture-full': pageOf(look.picture),
    contact: pageOf(look.closing),
  }
}
