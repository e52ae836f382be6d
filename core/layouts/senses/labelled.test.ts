import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { propose } from '../propose'
import type { SlideWords } from './features'
import { readSenses } from './index'

interface Labelled {
  sense: string
  words: SlideWords
}

const labelled = (['en', 'de', 'fr'] as const).flatMap(language =>
  readFileSync(new URL(`labelled/${language}.txt`, import.meta.url), 'utf8')
    .split(/^= /m)
    .slice(1)
    .map((block): Labelled => {
      const [sense, title, ...lines] = block.trimEnd().split('\n')
      return {
        sense: sense!,
        words: {
          title: title!,
          lines: lines.map(line => ({ text: line.trim(), level: /^ */.exec(line)![0].length })),
          first: sense === 'opening',
          last: sense === 'next',
          language,
        },
      }
    }),
)

const missed = (hit: (one: Labelled) => boolean) => labelled.filter(one => !hit(one)).map(one => `${one.sense}: ${one.words.title}`)

describe('what lines are, on labelled outlines in three languages', () => {
  it('there are at least 150 of them, and some of every sense', () => {
    expect(labelled.length).toBeGreaterThanOrEqual(150)
    const counts = new Map<string, number>()
    for (const { sense } of labelled) counts.set(sense, (counts.get(sense) ?? 0) + 1)
    for (const [sense, count] of counts) expect(count, sense).toBeGreaterThanOrEqual(5)
    expect(counts.size).toBe(20)
  })

  it('the intended sense is among the first three readings of more than nine in ten', () => {
    const wrong = missed(({ sense, words }) =>
      readSenses(words)
        .slice(0, 3)
        .some(reading => reading.sense === sense),
    )
    expect(wrong.length / labelled.length, wrong.join('\n')).toBeLessThan(0.1)
  })

  it('a layout made for it is among the first three proposals of more than nine in ten', () => {
    const wrong = missed(({ sense, words }) =>
      propose(words)
        .slice(0, 3)
        .some(proposal => proposal.family.senses[0] === sense),
    )
    expect(wrong.length / labelled.length, wrong.join('\n')).toBeLessThan(0.1)
  })

  it('every reading gives its reason in one sentence', () => {
    for (const { words } of labelled) for (const { reason } of readSenses(words)) expect(reason).toMatch(/^[A-Z].*\.$/)
  })
})
