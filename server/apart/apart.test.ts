import { afterAll, describe, expect, it } from 'vitest'
import { inkKey } from '../../core/drawing'
import { freshDeck } from '../../core/testing'
import { packDeck } from '../../core/formats/deck-file'
import { checkPicture } from '../media/check'
import { apart, endThreads, TooHeavy } from './index'

afterAll(endThreads)

/** The longest that this process could not answer anybody while some work went on, ms. */
async function longestSilence(work: () => Promise<unknown>): Promise<number> {
  let longest = 0
  let last = performance.now()
  const ticking = setInterval(() => {
    longest = Math.max(longest, performance.now() - last)
    last = performance.now()
  }, 5)
  await work()
  clearInterval(ticking)
  return longest
}
const svg = (inner: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10">${inner}</svg>`

describe('what a person gave, read apart', () => {
  it('comes back as if it had been read here', async () => {
    expect(await apart('svg', svg('<script>alert(1)</script><rect width="4" height="4"/>'), { what: 'x' })).toContain('<rect')
    const deck = freshDeck()
    const read = await apart('deckFile', packDeck({ deck, tables: [], media: [] }), { what: 'x' })
    expect(read.ok && read.value.deck).toEqual(deck)
    expect(await apart('deckFile', new Uint8Array([1, 2, 3]), { what: 'x' })).toMatchObject({ ok: false })
    const font = { family: 'Lora', weight: 400, italic: false }
    const book = JSON.parse(await apart('outlines', { words: [{ font, text: 'Quay' }], faces: [] }, { what: 'x' }))
    expect(book[inkKey(font)]!.Quay!.glyphs).toHaveLength(4)
  })

  it('is ended when it takes too long, said in a sentence, and whatever comes after it is read', async () => {
    const many = svg('<path d="M0 0h1v1z" filter="url(#a)"/>'.repeat(45_000))
    await expect(apart('svg', many, { seconds: 0.3, what: 'This drawing' })).rejects.toThrow(TooHeavy)
    await expect(apart('svg', many, { seconds: 0.3, what: 'This drawing' })).rejects.toThrow('This drawing is too intricate')
    expect(await apart('svg', svg('<rect width="4" height="4"/>'), { what: 'x' })).toContain('<rect')
  })

  it('has its time from when it begins: that a thread has to start first, or others are before it, is not its fault', async () => {
    const small = svg('<rect width="4" height="4"/>')
    const fromNothing = async (seconds: number) => {
      await endThreads()
      const began = performance.now()
      const read = await Promise.all(Array.from({ length: 4 }, () => apart('svg', small, { seconds, what: 'This drawing' })))
      return { read, took: (performance.now() - began) / 1000 }
    }
    const { took } = await fromNothing(60)
    // By far the most of it is a thread that reads its program.
    expect((await fromNothing(took / 2)).read).toEqual(Array(4).fill(expect.stringContaining('<rect')))
  })

  it('lets everybody else be answered meanwhile', async () => {
    const heavy = svg('<path d="M0 0h1v1z"/>'.repeat(45_000))
    const alone = performance.now()
    const silence = await longestSilence(() => apart('svg', heavy, { seconds: 30, what: 'x' }).catch(() => {}))
    const took = performance.now() - alone
    // A ratio within this one run: reading it here would have been one silence as long as the whole.
    expect(silence).toBeLessThan(took / 2)
  })

  it('is not read at all where its form says that it is too deep', async () => {
    const deep = svg('<g>'.repeat(10_000) + '</g>'.repeat(10_000))
    expect(await checkPicture(Buffer.from(deep), 'deep.svg')).toMatchObject({
      ok: false,
      message: expect.stringContaining('nests 10,001 levels deep'),
    })
  })
})
