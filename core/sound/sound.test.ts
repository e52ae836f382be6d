import { putRecord, setRecord, applyChanges, slidesOf, type Deck } from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { freshDeck, narration, timingContext } from '../testing'
import { putNarration, rundown, soundPlan } from '../timing'
import {
  captionAt,
  captionsFor,
  captionTrack,
  laySentences,
  peakRate,
  sentencesOf,
  spokenIn,
  startsFromVoice,
  voiceAt,
  waveform,
} from './index'

/** Peaks of a voice: stretches of speech over a room that is never quite silent. */
function voice(stretches: readonly (readonly [number, number])[], seconds: number): Uint8Array {
  const peaks = new Uint8Array(Math.round(seconds * peakRate)).map((_, index) => 2 + (index % 3))
  for (const [from, until] of stretches)
    for (let at = Math.round(from * peakRate); at < Math.round(until * peakRate); at++) peaks[at] = 90 + ((at * 37) % 60)
  return peaks
}

describe('what is spoken', () => {
  it('is told from the room, pauses between words do not part it', () => {
    const peaks = voice(
      [
        [0.4, 1.2],
        [1.3, 2],
        [3, 4.5],
      ],
      5,
    )
    expect(spokenIn(peaks)).toEqual([
      { from: 0.4, until: 2 },
      { from: 3, until: 4.5 },
    ])
  })
  it('is nothing in silence, and all of it where nobody pauses', () => {
    expect(spokenIn(new Uint8Array(300))).toEqual([])
    expect(spokenIn(new Uint8Array(0))).toEqual([])
    expect(spokenIn(voice([[0, 3]], 3.5))).toEqual([{ from: 0, until: 3 }])
  })
})

describe('a script over a voice', () => {
  const script = 'Good morning. The first ferry leaves at six, and the night boat at eleven. Mind the gap!'
  it('is laid by its pauses, longer sentences over longer stretches', () => {
    const peaks = voice(
      [
        [0.3, 1.1],
        [1.8, 3.2],
        [3.6, 5.4],
        [6.2, 7],
      ],
      7.5,
    )
    expect(captionsFor(script, peaks)).toEqual([
      { from: 0.3, until: 1.1, text: 'Good morning.' },
      { from: 1.8, until: 5.4, text: 'The first ferry leaves at six, and the night boat at eleven.' },
      { from: 6.2, until: 7, text: 'Mind the gap!' },
    ])
    expect(startsFromVoice(script, peaks)).toEqual([1.8, 6.2])
  })
  it('knows sentences by the language, and lines as sentences of their own', () => {
    expect(sentencesOf('Dr. Holm came.\nOne more line', 'en')).toContain('One more line')
    expect(sentencesOf('— — —')).toEqual([])
  })
  it('lies in order within what is spoken, whatever both are', () => {
    const stretches = fc
      .array(fc.tuple(fc.double({ min: 0.05, max: 4, noNaN: true }), fc.double({ min: 0.3, max: 2, noNaN: true })), {
        minLength: 1,
        maxLength: 14,
      })
      .map(pairs => {
        let at = 0
        return pairs.map(([length, pause]) => {
          const made = { from: at, until: at + length }
          at += length + pause
          return made
        })
      })
    fc.assert(
      fc.property(fc.array(fc.string({ minLength: 1, maxLength: 30 }), { minLength: 1, maxLength: 12 }), stretches, (sentences, spoken) => {
        const laid = laySentences(sentences, spoken)
        expect(laid).toHaveLength(sentences.length)
        laid.forEach((stretch, index) => {
          expect(stretch.until).toBeGreaterThanOrEqual(stretch.from)
          if (index > 0) expect(stretch.from).toBeGreaterThanOrEqual(laid[index - 1]!.until - 1e-6)
        })
        expect(laid[0]!.from).toBe(spoken[0]!.from)
        expect(laid.at(-1)!.until).toBeCloseTo(spoken.at(-1)!.until, 6)
      }),
    )
  })
})

describe('captions along a deck’s time', () => {
  it('go with their voice, and are cut with it', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    let deck: Deck = applyChanges(base, putNarration(base, { slide, media: 'a'.repeat(64), name: 'Voice' }, { id: () => 'voice' }))
    deck = applyChanges(deck, [
      setRecord('sounds', 'voice', {
        delay: 1,
        from: 2,
        until: 6,
        captions: [
          { from: 0, until: 1, text: 'cut away' },
          { from: 1.5, until: 3, text: 'first' },
          { from: 4, until: 5, text: 'second' },
        ],
      }),
    ])
    const plan = rundown(deck, 'film', timingContext)
    const track = captionTrack(deck, soundPlan(deck, plan, timingContext))
    expect(track.map(caption => caption.text)).toEqual(['first', 'second'])
    expect(track[0]).toMatchObject({ from: 1, until: 2 })
    expect(captionAt(track, 3.5)).toBe('second')
    expect(captionAt(track, 2.5)).toBe('')
  })
})

it('a drawing of a recording shows the highest of each part', () => {
  const peaks = voice([[1, 2]], 3)
  const drawn = waveform(peaks, 0, 3, 3)
  expect(drawn[1]).toBeGreaterThan(drawn[0]! * 10)
  expect(waveform(peaks, 0, 3, 50)).toHaveLength(50)
})

describe('the voice that moves faces', () => {
  const media = 'e'.repeat(64)
  const deck = (() => {
    const base = freshDeck('film')
    const slide = slidesOf(base)[0]!.id
    return applyChanges(base, [
      putRecord('sounds', narration(slide, { media })),
      ...Object.values(base.beats).map(beat => setRecord('beats', beat.id, { hold: { kind: 'seconds' as const, seconds: 10 } })),
    ])
  })()
  const plan = rundown(deck, 'film', timingContext)
  const sounds = soundPlan(deck, plan, timingContext)
  /** Silent for a second, loud for one, and so on; eight seconds. */
  const peaks = Uint8Array.from({ length: 800 }, (_, index) => (Math.floor(index / 100) % 2 ? 200 : 0))
  const at = (seconds: number) =>
    voiceAt(plan, sounds, hash => (hash === media ? peaks : null), { slide: plan.slides[0]!.slide, beat: 0, seconds })

  it('is as loud at a moment as its file is there, against its own loudest', () => {
    expect(at(0.5)).toBeNull()
    expect(at(1.5)!(0)).toBe(0)
    expect(at(2.5)!(0)).toBe(1)
    // A second before, and before it began.
    expect(at(2.5)!(1)).toBe(0)
    expect(at(2.5)!(5)).toBe(0)
    expect(at(9.5)).toBeNull()
  })

  it('is none where its file is not at hand yet', () => {
    expect(voiceAt(plan, sounds, () => null, { slide: plan.slides[0]!.slide, beat: 0, seconds: 2.5 })).toBeNull()
  })
})
