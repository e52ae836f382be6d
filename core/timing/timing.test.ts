import { beatsOf, putRecord, setRecord, applyChanges, cuesOf, plainText, slidesOf, type Deck, type Element } from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { poseNamed } from '../figures'
import { anyDeck, beat, cue, freshDeck, textElement, timingContext } from '../testing'
import {
  advance,
  compileSlide,
  effectNamed,
  elapse,
  figureGoesOn,
  frameAt,
  frameSeconds,
  goBack,
  isStillAfter,
  lastMoment,
  momentAt,
  repeatedFrames,
  rundown,
  secondsAt,
  stillFrame,
  type ElementFrame,
  type SlideMoment,
} from './index'

const purposes = ['talk', 'film', 'loop'] as const
const anyMoment = (deck: Deck, slide: string, beatShare: number, secondsShare: number): SlideMoment => {
  const score = compileSlide(deck, slide, timingContext)
  const index = Math.min(score.beats.length - 1, Math.floor(beatShare * score.beats.length))
  return { beat: index, seconds: secondsShare * (score.beats[index]!.length + 1) }
}
const share = fc.double({ min: 0, max: 1, noNaN: true })
const isShown = (frame: ElementFrame | undefined) =>
  !frame || (frame.whole.visible && (!frame.parts || frame.parts.some(part => part.visible)))

describe('a slide’s score', () => {
  it('seeking to a moment equals playing to it', () => {
    fc.assert(
      fc.property(anyDeck, share, share, (deck, beatShare, secondsShare) => {
        const moment = anyMoment(deck, 's0', beatShare, secondsShare)
        const played = compileSlide(structuredClone(deck), 's0', timingContext)
        for (const before of played.beats) {
          if (before.index > moment.beat) break
          for (let t = 0; t <= before.length && (before.index < moment.beat || t < moment.seconds); t += 0.35)
            frameAt(played, { beat: before.index, seconds: t })
        }
        expect(frameAt(played, moment)).toEqual(frameAt(compileSlide(deck, 's0', timingContext), moment))
      }),
      { numRuns: 60 },
    )
  })

  it('shows no element before its entrance and none after its exit', () => {
    fc.assert(
      fc.property(anyDeck, share, share, (deck, beatShare, secondsShare) => {
        const score = compileSlide(deck, 's0', timingContext)
        const moment = anyMoment(deck, 's0', beatShare, secondsShare)
        const frame = frameAt(score, moment)
        for (const [id, track] of score.tracks) {
          const presence = track.presence.filter(({ span }) => !span || span.count)
          const whole = presence.filter(({ span }) => !span)
          if (presence.length !== whole.length) continue
          const begun = whole.filter(item => item.beat < moment.beat || (item.beat === moment.beat && item.start <= moment.seconds))
          const last = begun.at(-1)
          if (!last && whole[0]?.cue.what === 'enter') expect(isShown(frame.elements.get(id))).toBe(false)
          const over = last && last.cue.repeat !== 'forever' && (last.beat < moment.beat || moment.seconds >= last.end)
          if (last && over) expect(isShown(frame.elements.get(id))).toBe(last.cue.what === 'enter')
        }
      }),
    )
  })

  it('an edit to one cue changes no other element’s frame', () => {
    fc.assert(
      fc.property(anyDeck, share, share, (deck, beatShare, secondsShare) => {
        const cues = Object.values(deck.cues).filter(
          candidate =>
            candidate.beat.startsWith('s0') &&
            !Object.values(deck.cues).some(other => other.anchor.to !== 'beat' && other.anchor.cue === candidate.id),
        )
        // What makes all others step back is about them too.
        const edited = cues.find(candidate => !effectNamed(candidate.effect, candidate.what).applyToOthers)
        if (!edited) return
        const next = applyChanges(deck, [
          setRecord('cues', edited.id, { duration: edited.duration + 0.7, delay: edited.delay + 0.2, effect: 'fade' }),
        ])
        const moment = anyMoment(deck, 's0', beatShare, secondsShare)
        // Media-less cues without end count planned time across beats, which a longer beat before them rightly shifts.
        const endless = Object.values(deck.cues).some(candidate => candidate.repeat === 'forever')
        const [before, after] = [deck, next].map(version => frameAt(compileSlide(version, 's0', timingContext), moment).elements)
        for (const id of ['s0e0', 's0e1', 's0e2'])
          if (id !== edited.element && !(endless && moment.beat > 0)) expect(after!.get(id)).toEqual(before!.get(id))
      }),
    )
  })

  it('counts what goes on until the slide ends with its first round, and shows it from frame to frame of a film', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const [first] = beatsOf(base, slide)
    const deck = applyChanges(base, [
      putRecord('elements', textElement('word', slide, ['Now'])),
      setRecord('beats', first!.id, { hold: { kind: 'seconds', seconds: 0 } }),
      putRecord(
        'cues',
        cue({ id: 'c', beat: first!.id, element: 'word', what: 'emphasis', effect: 'pulse', delay: 0.5, duration: 2, repeat: 'forever' }),
      ),
    ])
    const plan = rundown(deck, 'film', timingContext)
    expect(plan.slides[0]!.beats[0]!.length).toBe(2.5)
    const repeated = repeatedFrames(plan, 10)
    expect(repeated).toHaveLength(25)
    expect(repeated.slice(6).every(same => !same)).toBe(true)
  })

  it('brings paragraphs one by one over beats, and lines added later with the last', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const ranges = [
      { from: 0, to: 0 },
      { from: 1, to: null },
    ]
    const deck = applyChanges(base, [
      putRecord('elements', textElement('list', slide, ['one', 'two', 'three'])),
      ...ranges.map((range, index) => putRecord('beats', beat({ id: `b${index}`, slide, order: `b0${index}` }))),
      ...ranges.map((range, index) =>
        putRecord('cues', cue({ id: `c${index}`, beat: `b${index}`, element: 'list', parts: { by: 'paragraph', stagger: 0.2, range } })),
      ),
    ])
    const shown = (at: SlideMoment) => {
      const frame = frameAt(compileSlide(deck, slide, timingContext), at).elements.get('list')
      return frame?.whole.visible === false ? [false, false, false] : (frame?.parts?.map(part => part.visible) ?? [true, true, true])
    }
    expect(shown({ beat: 0, seconds: 5 })).toEqual([false, false, false])
    expect(shown({ beat: 1, seconds: 0.5 })).toEqual([true, false, false])
    expect(shown({ beat: 2, seconds: 0.1 })).toEqual([true, true, false])
    expect(shown({ beat: 2, seconds: 2 })).toEqual([true, true, true])
  })

  it('types letter after letter and counts nothing twice', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const first = Object.values(base.beats)[0]!.id
    const deck = applyChanges(base, [
      putRecord('elements', textElement('words', slide, ['Quay'])),
      putRecord('cues', cue({ id: 'c', beat: first, element: 'words', effect: 'type', duration: 4 })),
    ])
    const score = compileSlide(deck, slide, timingContext)
    const letters = [0, 1.1, 2.1, 3.1, 4].map(
      seconds =>
        frameAt(score, { beat: 0, seconds })
          .elements.get('words')
          ?.parts?.filter(part => part.visible).length ?? 4,
    )
    expect(letters).toEqual([0, 1, 2, 3, 4])
  })

  it('says which cues wait for each other in a circle, and still plays', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const first = Object.values(base.beats)[0]!.id
    const deck = applyChanges(base, [
      putRecord('elements', textElement('sun', slide, ['Sun'])),
      putRecord('elements', textElement('moon', slide, ['Moon'])),
      putRecord('cues', cue({ id: 'a', beat: first, element: 'sun', anchor: { to: 'end', cue: 'b' } })),
      putRecord('cues', cue({ id: 'b', beat: first, element: 'moon', order: 'a1', anchor: { to: 'start', cue: 'a' } })),
    ])
    const score = compileSlide(deck, slide, timingContext)
    expect(score.problems).toHaveLength(1)
    expect(score.problems[0]!.message).toMatch(/“sun”.*“moon”|“moon”.*“sun”/)
    expect(score.problems[0]!.message).toContain('circle')
    expect(frameAt(score, { beat: 0, seconds: 9 }).elements.size).toBe(0)
  })

  it('is kept while nothing it is made from changes, and made anew when something does', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const score = compileSlide(base, slide, timingContext)
    const elsewhere = applyChanges(base, [putRecord('slides', { id: 'other', order: 'b00', layout: 'layout-list', notes: '' })])
    expect(compileSlide(elsewhere, slide, timingContext)).toBe(score)
    const here = applyChanges(base, [setRecord('beats', score.beats[0]!.beat.id, { hold: { kind: 'seconds', seconds: 9 } })])
    expect(compileSlide(here, slide, timingContext).beats[0]!.hold).toBe(9)
  })

  it('knows when nothing moves any more', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        const score = compileSlide(deck, 's0', timingContext)
        const end = lastMoment(score)
        if (isStillAfter(score, end)) expect(frameAt(score, { ...end, seconds: end.seconds + 3 })).toEqual(frameAt(score, end))
      }),
    )
  })
})

describe('the rundown', () => {
  it('is as long as the sum of its parts, for every purpose', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        for (const purpose of purposes) {
          const plan = rundown(deck, purpose, timingContext)
          const sum = plan.slides.reduce(
            (all, slide) => all + slide.transition + slide.beats.reduce((of, item) => of + item.moves + item.hold, 0),
            0,
          )
          expect(plan.length).toBeCloseTo(sum, 6)
          plan.slides.forEach((slide, index) =>
            expect(slide.start).toBeCloseTo(index ? plan.slides[index - 1]!.start + plan.slides[index - 1]!.length : 0, 6),
          )
        }
      }),
    )
  })

  it('agrees for talk, film and loop on what happens inside every beat', () => {
    fc.assert(
      fc.property(anyDeck, share, share, (deck, beatShare, secondsShare) => {
        const scores = purposes.map(purpose => rundown(deck, purpose, timingContext).slides.find(slide => slide.slide === 's0')!.score)
        const moment = anyMoment(deck, 's0', beatShare, secondsShare)
        const frames = scores.map(score => frameAt(score, moment))
        expect(frames[1]).toEqual(frames[0])
        expect(frames[2]).toEqual(frames[0])
      }),
    )
  })

  it('maps seconds to a moment and back', () => {
    fc.assert(
      fc.property(anyDeck, share, (deck, at) => {
        const plan = rundown(deck, 'film', timingContext)
        const seconds = at * plan.length * 0.999
        const moment = momentAt(plan, seconds)!
        expect(secondsAt(plan, moment)).toBeCloseTo(seconds, 6)
      }),
    )
  })

  it('finds for every beat a frame that shows that very beat, whatever lengths round to', () => {
    fc.assert(
      fc.property(anyDeck, fc.constantFrom(24, 25, 30, 50, 60), (deck, rate) => {
        const plan = rundown(deck, 'film', timingContext)
        for (const slide of plan.slides) {
          for (const each of slide.beats) {
            // A beat that lasts less than a frame may have none of its own, as may the last instant of the film.
            if (each.length < 2 / rate || each.length - each.moves < 2 / rate) continue
            const moment = momentAt(plan, frameSeconds(stillFrame(plan, slide, each, rate), rate))!
            expect([moment.slide, moment.beat]).toEqual([slide.slide, each.index])
            expect(moment.seconds).toBeGreaterThan(each.moves - 1e-6)
          }
        }
      }),
    )
  })

  it('goes round in a loop, and a film stops at its end', () => {
    fc.assert(
      fc.property(anyDeck, share, (deck, at) => {
        const loop = rundown(deck, 'loop', timingContext)
        if (loop.length < 0.01) return
        const once = at * loop.length
        const again = secondsAt(loop, momentAt(loop, once + 3 * loop.length)!)!
        const apart = Math.abs(again - once)
        expect(Math.min(apart, loop.length - apart)).toBeLessThan(1e-6)
        const film = rundown(deck, 'film', timingContext)
        expect(secondsAt(film, momentAt(film, film.length + 60)!)).toBeCloseTo(film.length, 6)
      }),
    )
  })
})

describe('advancing in a talk', () => {
  it('visits every beat of every slide once, from the first to the last, and back', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        const plan = rundown(deck, 'talk', timingContext)
        const all = plan.slides.flatMap(slide => slide.beats.map(item => `${slide.slide} ${item.index}`))
        const there: string[] = []
        let last = null
        for (let at = momentAt(plan, 0); at; at = advance(plan, at)) {
          there.push(`${at.slide} ${at.beat}`)
          last = at
        }
        expect(there).toEqual(all)
        const back: string[] = []
        for (let at: ReturnType<typeof goBack> = last; at; at = goBack(plan, at)) back.push(`${at.slide} ${at.beat}`)
        expect(back).toEqual([...all].reverse())
      }),
    )
  })

  it('pressed early, finishes the cues of the beat it leaves', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        const score = compileSlide(deck, 's0', timingContext)
        if (score.beats.length < 2) return
        const frame = frameAt(score, { beat: 1, seconds: 0 })
        for (const { cue: early, span } of score.beats[0]!.cues) {
          const others = Object.values(deck.cues).filter(item => item.element === early.element && item.id !== early.id)
          if (others.length || early.repeat === 'forever' || span) continue
          if (early.what === 'enter') expect(frame.elements.get(early.element!)).toBeUndefined()
          if (early.what === 'exit') expect(isShown(frame.elements.get(early.element!))).toBe(false)
        }
      }),
    )
  })

  it('waits before an advance and goes on by itself where the beat says so', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const deck = applyChanges(base, [
      putRecord('beats', beat({ id: 'b1', slide, order: 'b00', start: 'self' })),
      putRecord('beats', beat({ id: 'b2', slide, order: 'b01', start: 'advance' })),
    ])
    const plan = rundown(deck, 'talk', timingContext)
    expect(plan.slides[0]!.beats.map(item => item.openEnded)).toEqual([false, true, true])
    expect(elapse(plan, { slide, beat: 0, seconds: 0 }, 500).beat).toBe(1)
    expect(rundown(deck, 'film', timingContext).slides[0]!.beats.some(item => item.openEnded)).toBe(false)
  })
})

describe('removing a cue that others follow', () => {
  it('leaves them starting where it started', async () => {
    const { removeCues } = await import('../edits')
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const first = Object.values(base.beats)[0]!.id
    const deck = applyChanges(base, [
      putRecord('elements', textElement('a', slide, ['A'])),
      putRecord('cues', cue({ id: 'one', beat: first, element: 'a' })),
      putRecord('cues', cue({ id: 'two', beat: first, element: 'a', order: 'a1', anchor: { to: 'end', cue: 'one' } })),
    ])
    const next = applyChanges(deck, removeCues(deck, { cues: ['one'] }))
    expect(cuesOf(next, first).map(item => [item.id, item.anchor])).toEqual([['two', { to: 'beat' }]])
  })
})

describe('a figure that acts', () => {
  const staged = (cues: readonly Partial<Parameters<typeof cue>[0]>[]) => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const deck = applyChanges(base, [
      putRecord('elements', {
        id: 'ines',
        owner: slide,
        name: 'Ines',
        order: 'a0',
        kind: 'figure',
        pose: 'stand',
        box: { x: 800, y: 300, width: 400, height: 700, angle: 0 },
      }),
      putRecord('elements', {
        ...textElement('board', slide, ['Berth 2']),
        box: { x: 100, y: 100, width: 300, height: 120, angle: 0 },
      } as Element),
      putRecord('beats', beat({ id: 'b', slide, order: 'z0' })),
      putRecord('beats', beat({ id: 'later', slide, order: 'z1' })),
      ...cues.map((own, index) =>
        putRecord('cues', cue({ id: `c${index}`, beat: 'b', element: 'ines', what: 'pose', order: `a${index}`, ...own })),
      ),
    ])
    const score = compileSlide(deck, slide, timingContext)
    const at = score.beats.findIndex(one => one.beat.id === 'b')
    return (seconds: number, later = 0) => frameAt(score, { beat: at + later, seconds }).elements
  }

  it('makes a gesture once, some times, or until the slide ends, and stands again as before', () => {
    const once = staged([{ effect: 'gesture', options: { gesture: 'wave' }, duration: 2 }])
    expect(once(0)!.get('ines')?.figure?.pose.arms).toEqual(poseNamed('stand').arms)
    expect(once(1).get('ines')!.figure!.pose.arms.front[0]).toBeGreaterThan(90)
    expect(once(2).get('ines')).toBeUndefined()
    const thrice = staged([{ effect: 'gesture', options: { gesture: 'nod' }, duration: 1, repeat: 3 }])
    for (const seconds of [0.25, 1.25, 2.25]) expect(thrice(seconds).get('ines')!.figure!.pose.nod).toBeCloseTo(15, 1)
    expect(thrice(3.2).get('ines')).toBeUndefined()
    expect(
      staged([{ effect: 'gesture', options: { gesture: 'nod' }, duration: 1, repeat: 'forever' }])(0.25, 1).get('ines')?.figure,
    ).toBeDefined()
  })

  it('keeps a pose that it takes, and gestures from there', () => {
    const frames = staged([
      { effect: 'take-pose', options: { pose: 'think' }, duration: 0.5 },
      { effect: 'gesture', options: { gesture: 'nod' }, duration: 1, delay: 2 },
    ])
    expect(frames(0.5).get('ines')!.figure!.pose.name).toBe('think')
    expect(frames(0, 1).get('ines')!.figure!.pose.name).toBe('think')
    expect(frames(2.25).get('ines')!.figure!.pose.nod).toBeCloseTo(6 + 15, 1)
  })

  it('walks in from beyond the side and stands still where it arrives', () => {
    const frames = staged([{ what: 'enter', effect: 'walk-in', options: { from: 'left' }, duration: 3 }])
    expect(frames(0).get('ines')!.whole.x).toBeCloseTo(-1200, 6)
    expect(frames(1.5).get('ines')!.figure!.pose.legs).not.toEqual(poseNamed('stand').legs)
    expect(frames(3).get('ines')).toBeUndefined()
    expect(frames(1.5).get('ines')!.figure!.faces).toBe('right')
    // The legs come to rest as it does.
    const last = frames(2.999).get('ines')!.figure!.pose.legs
    expect(Math.abs(last.front[0] - poseNamed('stand').legs.front[0])).toBeLessThan(1)
  })

  it('goes on where it stood on the next slide, unless it has gone out', () => {
    const base = freshDeck()
    const first = slidesOf(base)[0]!
    const deck = applyChanges(base, [
      putRecord('slides', { ...first, id: 'second', order: 'z' }),
      putRecord('elements', {
        id: 'ines',
        owner: first.id,
        name: 'Ines',
        order: 'a0',
        kind: 'figure',
        pose: 'stand',
        facing: 'left',
        box: { x: 800, y: 300, width: 400, height: 700, angle: 0 },
      }),
      putRecord('beats', beat({ id: 'b', slide: first.id, order: 'z0' })),
      putRecord('cues', cue({ id: 'pose', beat: 'b', element: 'ines', what: 'pose', effect: 'take-pose', options: { pose: 'think' } })),
      putRecord(
        'cues',
        cue({
          id: 'move',
          beat: 'b',
          element: 'ines',
          what: 'move',
          effect: 'move-line',
          options: { x: -200, y: 40 },
          order: 'a1',
        }),
      ),
    ])
    const goOn = (on: Deck) => figureGoesOn(on, { figure: 'ines' }, { ...timingContext, id: () => 'fresh' })
    expect(goOn(deck)).toMatchObject([
      {
        table: 'elements',
        record: { id: 'fresh', owner: 'second', pose: 'think', facing: 'left', box: { x: 600, y: 340, width: 400, height: 700 } },
      },
    ])
    const leaving = applyChanges(deck, [
      putRecord('cues', cue({ id: 'out', beat: 'b', element: 'ines', what: 'exit', effect: 'fade', order: 'a2' })),
    ])
    expect(goOn(leaving)).toEqual([])
    expect(goOn(applyChanges(deck, [setRecord('slides', 'second', { skipped: true })]))).toEqual([])
  })

  it('holds something up in its hands, and gives it back to its place', () => {
    const frames = staged([{ effect: 'gesture', options: { gesture: 'hold-up', holds: 'board' }, duration: 4 }])
    const { x, y } = frames(2).get('board')!.whole
    expect(250 + x).toBeCloseTo(1000, 0)
    // Over its head.
    expect(160 + y).toBeLessThan(600)
    expect(frames(0).get('board')?.whole.x ?? 0).toBe(0)
    expect(frames(4).get('board')).toBeUndefined()
  })
})

describe('a text that says something else', () => {
  it('keeps its words until then, goes over, and stays with the last; its new words are read in their beat', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const says = (id: string, words: string, more: object = {}) =>
      putRecord(
        'cues',
        cue({ id, beat: 'b', element: 'words', what: 'move', effect: 'change-text', options: { words }, duration: 1, ...more }),
      )
    const deck = applyChanges(base, [
      putRecord('elements', textElement('words', slide, ['Boats at six'])),
      putRecord('beats', beat({ id: 'b', slide, order: 'z0', hold: { kind: 'reading' } })),
      says('c0', 'Boats at seven', { order: 'a0' }),
      says('c1', 'No boats\ntoday', { order: 'a1', delay: 3, options: { words: 'No boats\ntoday', how: 'up' } }),
    ])
    const score = compileSlide(deck, slide, timingContext)
    const entry = score.beats.find(one => one.beat.id === 'b')!
    const words = (seconds: number) => frameAt(score, { beat: entry.index, seconds }).elements.get('words')?.words
    expect(frameAt(score, { beat: entry.index, seconds: -1 }).elements.get('words')).toBeUndefined()
    expect(words(0.5)).toMatchObject({ from: -1, to: 0, way: 0 })
    expect(words(2)).toMatchObject({ from: -1, to: 0, progress: 1 })
    expect(words(3.5)).toMatchObject({ from: 0, to: 1, way: 1 })
    expect(words(9)).toMatchObject({ to: 1, progress: 1 })
    expect(score.tracks.get('words')!.said.map(one => plainText(one.text))).toEqual(['Boats at seven', 'No boats\ntoday'])
    expect(entry.reading.words).toBe(6)
  })
})
