import { headTitle, itemsPlace, textPlace, type Frame, type Item, type LayoutRoom, type Place } from '../layouts/catalogue'
import type { Color } from '../values'
import { framed, wordsOf, type Sheet } from './kit'

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

/** Sayings one under the other: the words, and whose they are. */
export const sayings =
  (textColor: (room: LayoutRoom) => Color, style = 'quote') =>
  (items: readonly Item[], area: Frame, room: LayoutRoom): Place[] => {
    const pitch = area.height / items.length
    return items.flatMap((item, index) => {
      const frame = { ...area, y: area.y + index * pitch, height: pitch }
      const who = { ...frame, y: frame.y + pitch * 0.8, height: pitch * 0.18 }
      return wordsOf(index + 1, item, `Saying ${index + 1}`, { ...frame, height: pitch * 0.74 }, who, {
        style,
        vertical: 'middle',
        textColor: textColor(room),
      })
    })
  }
