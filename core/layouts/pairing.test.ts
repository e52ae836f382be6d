import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { inlineText, joinInline, sliceInline, type Inline } from '../model'
import { pairs } from './pairing'

describe('content with its looks', () => {
  const content: fc.Arbitrary<Inline[]> = fc.array(
    fc.record({ type: fc.constant('text' as const), text: fc.string({ minLength: 1, maxLength: 6 }) }, {}),
    { maxLength: 5 },
  )
  it('cut anywhere and put together again says the same', () => {
    fc.assert(
      fc.property(content, fc.nat(30), (inline, at) => {
        expect(inlineText(joinInline(sliceInline(inline, 0, at), sliceInline(inline, at)))).toBe(inlineText(inline))
      }),
    )
  })
})

describe('knowing lines again', () => {
  it('what says the same is the same, whatever came before it', () => {
    expect(pairs(['a', 'b', 'c'], ['x', 'a', 'b', 'c'])).toEqual([null, 0, 1, 2])
    expect(pairs(['a', 'b', 'c'], ['a', 'bb', 'c'])).toEqual([0, 1, 2])
    expect(pairs(['a', 'b', 'c'], ['a', 'c'])).toEqual([0, 2])
    expect(pairs(['a', 'b'], ['b', 'a'])[0]).toBe(1)
  })

  it('no line is two others, and order is kept', () => {
    const lines = fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { maxLength: 9 })
    fc.assert(
      fc.property(lines, lines, (before, after) => {
        const known = pairs(before, after).filter(index => index !== null)
        expect(known).toEqual([...new Set(known)].sort((a, b) => a - b))
        expect(known.every(index => index < before.length)).toBe(true)
      }),
    )
  })
})
