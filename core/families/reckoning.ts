import type { TextStyle } from '../model'
import type { Item } from './family'

/** A letter's width, in multiples of the size: rough, and erring towards wide, since no font is at hand. */
export const letterWidth = 0.54

/** The share of a box's height that is taken to be room: the reckoning is rough. */
export const slack = 0.86

/** The words of an item that a place is for; undefined where it is for no words. */
export function wordsAt(items: readonly Item[], placeholder: string): string | undefined {
  const match = /^item([\d-]+)-(lead|text)$/.exec(placeholder)
  if (!match) return undefined
  let level = items
  let found: Item | undefined
  for (const at of match[1]!.split('-')) {
    found = level[Number(at) - 1]
    level = found?.under ?? []
  }
  return found?.[match[2] as 'lead' | 'text']
}

/** How high words stand in a width, px, by the rough reckoning. */
export function needed(words: string, width: number, { size, lineHeight, paragraphSpacing }: TextStyle): number {
  const paragraphs = words.split('\n')
  const room = Math.max(1, width - 1.1 * size)
  const lines = paragraphs.reduce((sum, paragraph) => sum + Math.max(1, Math.ceil((paragraph.length * letterWidth * size) / room)), 0)
  return (lines * lineHeight + (paragraphs.length - 1) * paragraphSpacing) * size
}
