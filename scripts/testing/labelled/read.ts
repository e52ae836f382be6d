import { readdirSync, readFileSync } from 'node:fs'
import type { Sense } from '../../../core/families'
import { propose, type SlideWords } from '../../../core/layouts'

export interface Labelled {
  sense: Sense
  words: SlideWords
}

/** Senses that a designer would take too where lines have another one. */
const close: Partial<Record<Sense, readonly Sense[]>> = {
  points: ['list'],
  list: ['points'],
  growth: ['figures'],
  figures: ['growth'],
  ranking: ['number', 'shares'],
  funnel: ['ranking'],
  position: ['points'],
  hierarchy: ['comparison'],
  // A number that is the title stands large in a statement.
  number: ['statement'],
}

/**
 * Outlines with what their lines are, by language. Readers of senses were made with those in `known`; nothing was ever changed for those in
 * `unseen`.
 */
export function labelled(part: 'known' | 'unseen'): Labelled[] {
  const folder = new URL(`${part}/`, import.meta.url)
  return readdirSync(folder).flatMap(file =>
    readFileSync(new URL(file, folder), 'utf8')
      .split(/^= /m)
      .slice(1)
      .map((block): Labelled => {
        const [sense, title, ...lines] = block.trimEnd().split('\n')
        return {
          sense: sense as Sense,
          words: {
            title: title!,
            lines: lines.map(line => ({ text: line.trim(), level: /^ */.exec(line)![0].length })),
            first: sense === 'opening',
            last: sense === 'next',
            language: file.replace('.txt', ''),
          },
        }
      }),
  )
}

/** Those of which none of the first so many proposals is acceptable. */
export function missedBy(outlines: readonly Labelled[], proposals: number): Labelled[] {
  return outlines.filter(({ sense, words }) => {
    const fine = new Set<Sense | undefined>([sense, ...(close[sense] ?? [])])
    return !propose(words)
      .slice(0, proposals)
      .some(({ family }) => fine.has(family.senses[0]))
  })
}
