import { describe, expect, it } from 'vitest'
import { labelled, missedBy, type Labelled } from './read'
import { readSenses } from '../../../core/layouts'

const [known, unseen] = [labelled('known'), labelled('unseen')]
const told = (missed: readonly Labelled[]) =>
  missed.map(({ sense, words }) => `${sense}: ${words.title} (${readSenses(words)[0]!.sense}, ${words.language})`).join('\n')

describe('what lines are, on labelled outlines in eleven languages', () => {
  it('there are at least 600 of them, half never tuned with, and some of every sense', () => {
    expect(known.length + unseen.length).toBeGreaterThanOrEqual(600)
    expect(unseen.length).toBeGreaterThanOrEqual(300)
    const counts = new Map<string, number>()
    for (const { sense } of [...known, ...unseen]) counts.set(sense, (counts.get(sense) ?? 0) + 1)
    for (const [sense, count] of counts) expect(count, sense).toBeGreaterThanOrEqual(5)
    expect(counts.size).toBe(27)
  })

  it.each([
    ['known', known, 0.04, 0.01],
    ['unseen', unseen, 0.08, 0.02],
  ] as const)(
    'the first proposal is acceptable for nearly all of the %s ones, one of the first three for all but a few',
    (_, set, one, three) => {
      const [first, within] = [missedBy(set, 1), missedBy(set, 3)]
      expect(first.length / set.length, told(first)).toBeLessThanOrEqual(one)
      expect(within.length / set.length, told(within)).toBeLessThanOrEqual(three)
    },
  )

  it('every reading gives its reason in one sentence', () => {
    for (const { words } of known) for (const { reason } of readSenses(words)) expect(reason).toMatch(/^[A-Z“].*\.$/)
  })
})
