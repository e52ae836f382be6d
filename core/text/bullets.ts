import type { Bullet, Paragraph, TextStyle } from '../model'
import type { TextSetting } from '../resolved'
import { numberSign } from './numbering'

/** The usual distance from a bullet to its words, multiple of the text's size. */
export const usualDistance = 1.1

/** The bullet of a list level, from 1: the style's, and over it what the text says for its level. */
export function bulletOf(style: TextSetting, level: number): Bullet {
  const base = styleBullet(style, level)
  const own = style.bullets?.[level - 1]
  return own ? { ...base, ...own } : base
}

const styleBullet = (style: TextStyle, level: number): Bullet =>
  (level > 1 ? (style.deeperBullets?.[level - 2] ?? style.deeperBullets?.at(-1)) : undefined) ?? style.bullet

/** The bullet of one line, over that of its level; null for a line in no list. */
export function bulletOfParagraph(style: TextSetting, paragraph: Paragraph): Bullet | null {
  const level = paragraph.attrs?.level ?? 0
  if (level < 1) return null
  const base = bulletOf(style, level)
  const own = paragraph.attrs?.bullet
  return own === null || own === undefined
    ? base
    : typeof own === 'string'
      ? { ...base, symbol: own, number: null, icon: null, picture: null }
      : { ...base, ...own }
}

/** Where the words of a list level begin, multiple of the text's size: each level stands in by the distances of those above it. */
export function indentOf(style: TextSetting, level: number, own?: Bullet | null): number {
  let indent = 0
  for (let at = 1; at <= level; at++) indent += (at === level ? own : undefined)?.distance ?? bulletOf(style, at).distance ?? usualDistance
  return indent
}

/** Counts numbered lines as they go by: deeper ones begin anew under each line above them, and all do after a line in no list. */
export function lineCounter() {
  const counts: number[] = []
  return (paragraph: Paragraph, bullet: Bullet | null): number | null => {
    const level = paragraph.attrs?.level ?? 0
    const empty = !paragraph.content?.length
    if (level < 1) {
      if (!empty) counts.length = 0
      return null
    }
    counts.length = Math.min(counts.length, level)
    const start = paragraph.attrs?.start
    if (bullet?.number || start != null) counts[level - 1] = start ?? (counts[level - 1] ?? 0) + 1
    return bullet?.number ? (counts[level - 1] ?? null) : null
  }
}

/** What stands before a line: the words of its bullet; empty where an icon or picture does. */
export const bulletWords = (bullet: Bullet, number: number | null) =>
  bullet.number && number !== null
    ? numberSign(number, bullet.number.system) + (bullet.number.after ?? '.')
    : bullet.icon || bullet.picture
      ? ''
      : bullet.symbol
