import { putRecord, setRecord, applyChanges, beatsOf, slidesOf, type Change, type Deck, type FilmElement, type Sound } from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { beat, countingContext, cue, freshDeck, textElement, timingContext } from '../testing'
import {
  advance,
  answersOf,
  clipAfter,
  compileSlide,
  filmParts,
  frameAt,
  frameCount,
  frameIn,
  gainAt,
  holdFor,
  heardAt,
  isStillAfter,
  lastMoment,
  momentAt,
  putClip,
  repeatedFrames,
  rundown,
  setBeatTimes,
  soundPlan,
  spanOfClip,
  type TimingContext,
} from './index'

const media = 'f'.repeat(64)
/** A deck of three slides that hold 4 s each, without transitions. */
const three = (() => {
  const base = freshDeck()
  const first = slidesOf(base)[0]!.id
  const hold = { kind: 'seconds' as const, seconds: 4 }
  return applyChanges(base, [
    ...beatsOf(base, first).map((one): Change => setRecord('beats', one.id, { hold })),
    ...['s2', 's3'].flatMap((id, index): Change[] => [
      putRecord('slides', { id, order: `b0${index + 1}`, layout: base.slides[first]!.layout, notes: '' }),
      putRecord('beats', beat({ id: `${id}b`, slide: id, order: 'a1', hold })),
    ]),
  ])
})()
const first = slidesOf(three)[0]!.id
/** Files that last so many seconds. */
const lasting = (seconds: number): TimingContext => ({ ...timingContext, mediaLength: () => seconds })
const withClip = (fields: Partial<FilmElement> = {}) => {
  let count = 0
  return applyChanges(
    three,
    putClip(
      three,
      {
        clip: {
          id: 'clip',
          owner: first,
          kind: 'film',
          name: 'Clip',
          media,
          box: { x: 0, y: 0, width: 640, height: 360, angle: 0 },
          ...fields,
        },
      },
      { id: () => `c${++count}` },
    ),
  )
}
const withSound = (fields: Partial<Sound>): Deck =>
  applyChanges(three, [
    putRecord('sounds', {
      id: 'sound',
      order: 'a1',
      name: 'Sound',
      media,
      use: 'bed',
      fromSlide: first,
      untilSlide: 's3',
      delay: 0,
      volume: 0.8,
      fadeIn: 0,
      fadeOut: 0,
      loop: false,
      ...fields,
    }),
  ])
const seconds = fc.double({ min: 0, max: 30, noNaN: true })

describe('a clip', () => {
  it('plays from where it is trimmed, at its speed, and stands at its last picture', () => {
    const score = compileSlide(withClip({ from: 2, until: 5, speed: 2 }), first, lasting(8))
    const at = (time: number) => frameAt(score, { beat: 0, seconds: time }).elements.get('clip')?.media
    expect(at(0)).toEqual({ at: 2, running: true })
    expect(at(1)).toEqual({ at: 4, running: true })
    expect(at(3)).toEqual({ at: 5, running: false })
  })
  it('begins again as long as it loops, is held by a pause and goes on where it was', () => {
    const looped = compileSlide(withClip({ loop: true }), first, lasting(1.5))
    expect(frameAt(looped, { beat: 0, seconds: 3.5 }).elements.get('clip')!.media!.at).toBeCloseTo(0.5, 9)
    const held = applyChanges(withClip(), [
      putRecord(
        'cues',
        cue({
          id: 'p',
          beat: beatsOf(three, first)[0]!.id,
          element: 'clip',
          order: 'x1',
          what: 'media',
          effect: 'clip-pause',
          delay: 1,
          duration: 0,
        }),
      ),
      putRecord(
        'cues',
        cue({
          id: 'g',
          beat: beatsOf(three, first)[0]!.id,
          element: 'clip',
          order: 'x2',
          what: 'media',
          effect: 'clip-go-on',
          delay: 2.5,
          duration: 0,
        }),
      ),
    ])
    const score = compileSlide(held, first, lasting(9))
    const at = (time: number) => frameAt(score, { beat: 0, seconds: time }).elements.get('clip')!.media!
    expect(at(2)).toEqual({ at: 1, running: false })
    expect(at(3)).toEqual({ at: 1.5, running: true })
    expect(
      soundPlan(held, rundown(held, 'film', lasting(9)), lasting(9)).soundings.map(({ start, end, played }) => [start, end, played]),
    ).toEqual([
      [0, 1, 0],
      [2.5, 4, 1],
    ])
  })
  it('goes on without a jump where a speaker lingers', () => {
    const deck = applyChanges(withClip(), [putRecord('beats', beat({ id: 'later', slide: first, order: 'z1', start: 'advance' }))])
    const plan = rundown(deck, 'talk', lasting(60))
    const score = plan.slides[0]!.score
    const next = advance(plan, { slide: first, beat: 0, seconds: 17 })!
    expect(frameAt(score, next).elements.get('clip')!.media!.at).toBeCloseTo(17, 9)
  })
  it('whose ends were trimmed past each other still has a picture', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 400, noNaN: true }),
        seconds,
        seconds,
        fc.double({ min: 0.25, max: 4, noNaN: true }),
        (length, from, until, speed) => {
          const span = spanOfClip({ media, from, until, speed }, lasting(length))!
          expect(span.from).toBeGreaterThanOrEqual(0)
          expect(span.until).toBeGreaterThan(span.from)
          expect(span.until).toBeLessThanOrEqual(length + 1e-9)
          expect(span.seconds).toBeCloseTo((span.until - span.from) / speed, 9)
        },
      ),
    )
  })
  it('of unknown length makes nothing wait, and says nothing of itself yet', () => {
    const unknown: TimingContext = { ...timingContext, mediaLength: () => undefined }
    const score = compileSlide(withClip(), first, unknown)
    expect([score.length, score.clips]).toEqual([4, []])
  })
})

describe('a clip against its slide', () => {
  const deck = withClip()
  const context = lasting(11)
  const plan = rundown(deck, 'film', context)
  const [fit] = plan.slides[0]!.score.clips
  const answers = answersOf(deck, plan, plan.slides[0]!, fit!)
  const after = (kind: string) => applyChanges(deck, answers.find(answer => answer.kind === kind)!.changes)

  it('is known to be too long by so much, with four answers', () => {
    expect(fit).toMatchObject({ element: 'clip', start: 0, seconds: 11, beyond: 7 })
    expect(answers.map(answer => answer.kind)).toEqual(['hold', 'trim', 'run-on', 'loop'])
  })
  it('holds the slide exactly as long, now and when it is trimmed later', () => {
    const held = after('hold')
    expect(rundown(held, 'film', context).slides[0]!.length).toBeCloseTo(answers[0]!.seconds, 9)
    const trimmed = applyChanges(held, [setRecord('elements', 'clip', { until: 6 })])
    expect(rundown(trimmed, 'film', context).slides[0]!.length).toBeCloseTo(6, 9)
  })
  it('is trimmed to what there is time for', () => {
    expect(compileSlide(after('trim'), first, context).clips[0]!.beyond).toBeCloseTo(0, 9)
  })
  it('runs on over as many slides as it needs, and is gone when it is over', () => {
    const on = after('run-on')
    const running = rundown(on, 'film', context)
    expect(on.elements.clip).toMatchObject({ over: 2 })
    const seen = (time: number) => {
      const moment = momentAt(running, time)!
      return frameIn(
        running.slides.find(slide => slide.slide === moment.slide)!,
        moment,
      ).elements.get('clip')
    }
    expect(seen(6)!.media!.at).toBeCloseTo(6, 9)
    expect(seen(10.5)!.media!.at).toBeCloseTo(10.5, 9)
    expect(seen(11.5)!.whole.visible).toBe(false)
    expect(soundPlan(on, running, context).soundings.map(({ start, end }) => [start, end])).toEqual([[0, 11]])
  })
  it('begins again without end when it loops, and is no trouble then', () => {
    expect(compileSlide(after('loop'), first, context).clips).toEqual([])
  })
})

describe('the sound plan', () => {
  it('lets music step back under a voice by as much as chosen, and return', () => {
    const deck = applyChanges(withSound({ duck: 0.25, loop: true }), [
      putRecord('sounds', {
        ...withSound({}).sounds.sound!,
        id: 'voice',
        use: 'narration',
        fromSlide: 's2',
        untilSlide: 's2',
        delay: 1,
        volume: 1,
      }),
    ])
    const context = lasting(2)
    const plan = soundPlan(deck, rundown(deck, 'film', context), context)
    expect(plan.voices).toEqual([{ start: 5, end: 7 }])
    const bed = plan.soundings.find(one => one.id === 'sound')!
    expect(gainAt(plan, bed, 2)).toBeCloseTo(0.8, 9)
    expect(gainAt(plan, bed, 6)).toBeCloseTo(0.2, 9)
    expect(gainAt(plan, bed, 11)).toBeCloseTo(0.8, 9)
  })
  it('never is louder than asked, never jumps but where something begins or ends, and is silent outside', () => {
    fc.assert(
      fc.property(
        seconds,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (time, volume, fadeIn, fadeOut) => {
          const deck = withSound({ volume, fadeIn, fadeOut, loop: true })
          const plan = soundPlan(deck, rundown(deck, 'film', timingContext), timingContext)
          const bed = plan.soundings[0]!
          const gain = gainAt(plan, bed, time)
          expect(gain).toBeGreaterThanOrEqual(0)
          expect(gain).toBeLessThanOrEqual(volume + 1e-9)
          if (time < bed.start || time >= bed.end) expect(gain).toBe(0)
          else if (time + 0.001 < bed.end)
            expect(Math.abs(gainAt(plan, bed, time + 0.001) - gain)).toBeLessThanOrEqual(
              0.001 * (1 / Math.max(0.001, Math.min(fadeIn || Infinity, fadeOut || Infinity, 0.4))) + 1e-9,
            )
          expect(heardAt(plan, time).every(one => one.played >= 0)).toBe(true)
        },
      ),
    )
  })
  it('begins where its first slide that is played does, when slides before are left out', () => {
    const deck = applyChanges(withSound({}), [setRecord('slides', first, { skipped: true })])
    const plan = soundPlan(deck, rundown(deck, 'film', timingContext), timingContext)
    expect(plan.soundings.map(({ start, end, slide }) => [start, end, slide])).toEqual([[0, 8, 's2']])
  })
})

describe('beats by hand', () => {
  it('begin at the taps, each that was there and new ones beyond, and end with the voice', () => {
    let count = 0
    const deck = applyChanges(
      three,
      setBeatTimes(
        three,
        compileSlide(three, first, timingContext),
        { slide: first, times: [1.5, 3.2, 3.25, 7], until: 9 },
        { id: () => `n${++count}` },
      ),
    )
    const [slide] = rundown(deck, 'film', timingContext).slides
    expect(slide!.beats.map(one => one.start)).toEqual([0, 1.5, 3.2, 7])
    expect(slide!.length).toBeCloseTo(9, 9)
    expect(slide!.beats.every(one => !one.openEnded)).toBe(true)
  })
  const told = (deck: Deck, times: readonly number[], voice: Sound) =>
    applyChanges(
      deck,
      setBeatTimes(deck, compileSlide(deck, first, lasting(30)), { slide: first, times, until: 9, voice }, countingContext('n')),
    )
  const movingFor = (duration: number): Change[] => [
    putRecord('elements', { ...textElement('words', first, ['Two boats']), order: 'x1' }),
    putRecord('cues', cue({ id: 'in', beat: beatsOf(three, first)[0]!.id, element: 'words', duration })),
  ]
  it('stay with the voice when entrances are added, and move with it when it begins later or is cut at its start', () => {
    const deck = withSound({ use: 'narration', untilSlide: first })
    const set = told(deck, [2.5, 4], deck.sounds.sound!)
    const starts = (of: Deck) => rundown(of, 'film', lasting(30)).slides[0]!.beats.map(one => one.start)
    expect(starts(set)).toEqual([0, 2.5, 4])
    expect(starts(applyChanges(set, movingFor(1.7)))).toEqual([0, 2.5, 4])
    expect(starts(applyChanges(set, [setRecord('sounds', 'sound', { delay: 1 })]))).toEqual([0, 3.5, 5])
    expect(starts(applyChanges(set, [setRecord('sounds', 'sound', { from: 1 })]))).toEqual([0, 1.5, 3])
    // What moves longer than the voice leaves time for is not cut: the beat after it waits.
    expect(starts(applyChanges(set, movingFor(3)))).toEqual([0, 3, 4])
    // Where the voice is gone they hold as long as they did.
    expect(starts(applyChanges(set, [{ do: 'drop', table: 'sounds', id: 'sound' }]))).toEqual([0, 2.5, 4])
  })
  it('that stay with a voice are held for another moment of it where another hold is asked for', () => {
    const deck = withSound({ use: 'narration', untilSlide: first })
    const set = told(deck, [2.5, 4], deck.sounds.sound!)
    const [entry] = compileSlide(set, first, lasting(30)).beats
    expect(holdFor(entry!, 3)).toEqual({ kind: 'voice', sound: 'sound', at: 3, seconds: 3 })
    expect(holdFor({ beat: beat({ id: 'b', slide: first, hold: { kind: 'reading' } }), hold: 2 }, 3)).toEqual({
      kind: 'seconds',
      seconds: 3,
    })
  })
  it('squeeze what moves for longer than there is time', () => {
    const deck = applyChanges(three, [
      putRecord('elements', {
        id: 'box',
        owner: first,
        kind: 'shape',
        name: 'Box',
        order: 'x1',
        shape: 'rectangle',
        box: { x: 0, y: 0, width: 10, height: 10, angle: 0 },
      }),
      putRecord('cues', cue({ id: 'slow', beat: beatsOf(three, first)[0]!.id, element: 'box', duration: 3, delay: 1 })),
    ])
    const made = applyChanges(
      deck,
      setBeatTimes(deck, compileSlide(deck, first, timingContext), { slide: first, times: [2] }, { id: () => 'n1' }),
    )
    expect(rundown(made, 'film', timingContext).slides[0]!.beats[1]!.start).toBeCloseTo(2, 2)
    expect(made.cues.slow!.duration).toBeCloseTo(1.5, 2)
  })
})

describe('the frames of a film', () => {
  it('are exact in number, and repeat only what has not moved', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(24, 25, 30, 50, 60),
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0.05, max: 2, noNaN: true }),
        (rate, delay, duration) => {
          const deck = applyChanges(three, [
            putRecord('elements', {
              id: 'box',
              owner: first,
              kind: 'shape',
              name: 'Box',
              order: 'x1',
              shape: 'rectangle',
              box: { x: 0, y: 0, width: 10, height: 10, angle: 0 },
            }),
            putRecord('cues', cue({ id: 'in', beat: beatsOf(three, first)[0]!.id, element: 'box', delay, duration })),
          ])
          const plan = rundown(deck, 'film', timingContext)
          const repeats = repeatedFrames(plan, rate)
          expect(repeats).toHaveLength(frameCount(plan.length, rate))
          expect(repeats.length / rate).toBeCloseTo(plan.length, 1)
          repeats.forEach((same, frame) => {
            if (!same) return
            const [a, b] = [momentAt(plan, (frame - 1) / rate)!, momentAt(plan, frame / rate)!]
            const slide = plan.slides.find(one => one.slide === b.slide)!
            expect(frameIn(slide, b)).toEqual(frameIn(slide, a))
          })
        },
      ),
      { numRuns: 40 },
    )
  })
  it('go into parts without a gap, of long holds whole seconds', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { minLength: 1, maxLength: 400 }), fc.integer({ min: 1, max: 12 }), (drawn, rate) => {
        const repeats = drawn.map((one, index) => index > 0 && one)
        const parts = filmParts(repeats, rate)
        expect(parts[0]!.from).toBe(0)
        expect(parts.at(-1)!.until).toBe(repeats.length)
        parts.forEach((part, index) => {
          if (index > 0) expect(part.from).toBe(parts[index - 1]!.until)
          if (part.kind !== 'held') return
          expect(part.until - part.from).toBe(part.times * rate)
          expect(repeats.slice(part.from, part.until).every(Boolean)).toBe(true)
        })
      }),
    )
  })
  it('of a clip are all drawn while it runs, and none once it stands', () => {
    const deck = withClip()
    const repeats = repeatedFrames(rundown(deck, 'film', lasting(2)), 10)
    expect(repeats.slice(1, 20).some(Boolean)).toBe(false)
    expect(repeats.slice(22, 40).every(Boolean)).toBe(true)
    const score = compileSlide(deck, first, lasting(2))
    expect(isStillAfter(score, lastMoment(score))).toBe(true)
  })
})

describe('a film that goes round without a seam', () => {
  const span = { from: 2, until: 12, speed: 2, seconds: 5, blend: 1 }

  it('lets its end go over into its beginning, each as far along as the other', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 60, noNaN: true }), played => {
        const now = clipAfter(span, played, true)
        expect(now.at).toBeGreaterThanOrEqual(2)
        expect(now.at).toBeLessThanOrEqual(10 + 1e-9)
        if (!now.tail) return
        expect(now.tail.opacity).toBeGreaterThan(0)
        expect(now.tail.at - now.at).toBeCloseTo(8, 6)
        expect(played).toBeGreaterThanOrEqual(4)
      }),
    )
    // Just before and just after the seam the same picture is seen.
    expect(clipAfter(span, 4 - 1e-6, true).at).toBeCloseTo(10, 3)
    expect(clipAfter(span, 4 + 1e-6, true).tail).toMatchObject({ opacity: expect.closeTo(1, 4), at: expect.closeTo(10, 3) })
    expect(clipAfter(span, 5 - 1e-6, true).tail!.opacity).toBeCloseTo(0, 4)
  })

  it('blends over half of itself at most, and not at all where it plays once', () => {
    const context = { mediaLength: () => 8 }
    expect(spanOfClip({ media: 'a', loop: true, blend: 60 }, context)!.blend).toBe(4)
    expect(spanOfClip({ media: 'a', blend: 1 }, context)!.blend).toBeUndefined()
    expect(clipAfter({ from: 0, until: 8, speed: 1, seconds: 8 }, 9, true).tail).toBeUndefined()
  })
})
