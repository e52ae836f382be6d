import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { memoByRecords, memoByText } from './memo'

describe('what is remembered by records', () => {
  const counted = <A extends readonly unknown[]>(keys: (...args: A) => readonly [object, ...unknown[]], keep?: number) => {
    let times = 0
    const ask = memoByRecords(keys, (...args: A) => ({ args, time: ++times }), keep === undefined ? {} : { keep })
    return { ask, times: () => times }
  }

  it('is computed once for the same keys, and answered with the very same object', () => {
    const { ask, times } = counted((record: object, words: string, size: number) => [record, words, size])
    const record = {}
    expect(ask(record, 'quay', 4)).toBe(ask(record, 'quay', 4))
    expect(times()).toBe(1)
  })

  it('is computed anew for another record, other words or another size, each', () => {
    const { ask, times } = counted((record: object, words: string, size: number) => [record, words, size])
    const record = {}
    ask(record, 'quay', 4)
    ask({}, 'quay', 4)
    ask(record, 'ramp', 4)
    ask(record, 'ramp', 5)
    expect(times()).toBe(4)
  })

  it('keeps as many answers side by side as it is told to, and no more', () => {
    const { ask, times } = counted((record: object, words: string) => [record, words], 3)
    const record = {}
    for (const words of ['a', 'b', 'c', 'a', 'b', 'c']) ask(record, words)
    expect(times()).toBe(3)
    ask(record, 'd')
    ask(record, 'a')
    expect(times()).toBe(5)
  })

  it('never answers what other keys were computed to, in whatever order it is asked', () => {
    const records = [{}, {}, {}]
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(2), fc.constantFrom('a', 'b'), fc.nat(2))), fc.integer({ min: 1, max: 3 }), (asked, keep) => {
        const ask = memoByRecords(
          (record: object, words: string, size: number) => [record, words, size],
          (record, words, size) => [record, words, size],
          { keep },
        )
        for (const [index, words, size] of asked) expect(ask(records[index]!, words, size)).toEqual([records[index], words, size])
      }),
    )
  })
})

describe('what is remembered by words', () => {
  it('is computed once for the same words, and anew once so many others were asked for', () => {
    let times = 0
    const length = memoByText(
      (words: string, more: number) => `${words} ${more}`,
      (words, more) => (times++, words.length + more),
      2,
    )
    expect([length('abc', 1), length('abc', 1), length('abc', 2), times]).toEqual([4, 4, 5, 2])
    length('other', 1)
    expect([length('abc', 1), times]).toEqual([4, 4])
  })
})
