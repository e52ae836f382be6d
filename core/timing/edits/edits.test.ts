import {
  putRecord,
  setRecord,
  applyChanges,
  beatsOf,
  cuesOf,
  cuesOfElement,
  mend,
  slidesOf,
  type Change,
  type Deck,
  type Element,
} from '../../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addSlide, putTransition } from '../../edits'
import { anyDeck, beat, countingContext, cue, freshDeck, textElement, timingContext } from '../../testing'
import {
  clipCues,
  compileSlide,
  cueSentence,
  cuesApart,
  factorFor,
  followUsual,
  followUsualTransition,
  frameAt,
  lanesOf,
  laterWaits,
  mergeBeats,
  moveBeat,
  nearestMoment,
  partWords,
  alikeOn,
  pasteCues,
  reverseMotion,
  rundown,
  setUsual,
  setUsualTransition,
  slidesApart,
  splitBeat,
  startBeats,
  lastFor,
  moveToBeat,
  stretch,
  type Score,
} from '../index'

const after = (deck: Deck, changes: readonly Change[]) => applyChanges(deck, changes)
const scoreOf = (deck: Deck, slide = 's0') => compileSlide(deck, slide, timingContext)
const isWhole = (deck: Deck) => mend(deck).deck === deck
const share = fc.double({ min: 0, max: 1, noNaN: true })
/** Start and end of every cue, counted from the slide's opening, by cue. */
const times = (score: Score) =>
  new Map(
    score.beats.flatMap(item => item.cues.map(({ cue: own, start, end }) => [own.id, { start: item.at + start, end: item.at + end }])),
  )

/** Decks whose beats all go on by themselves and hold for seconds, so that everything has its time. */
const timed = anyDeck.map(deck =>
  after(
    deck,
    Object.values(deck.beats).map(one => setRecord('beats', one.id, { start: 'self', hold: { kind: 'seconds', seconds: 1.5 } })),
  ),
)

describe('stretching', () => {
  it('makes a slide, its cues and its transition longer in proportion, whatever stands on it', () => {
    fc.assert(
      fc.property(timed, fc.constantFrom(0.5, 2, 3), (deck, factor) => {
        const next = after(deck, stretch(deck, { slides: ['s0'] }, factor))
        const [before, now] = [scoreOf(deck), scoreOf(next)]
        // What is held so that it does not flash is not squeezed with the rest.
        if (
          before.beats.some(item => item.cues.some(({ cue: own, round }) => round !== own.duration)) ||
          now.beats.some(item => item.cues.some(({ cue: own, round }) => round !== own.duration))
        )
          return
        expect(now.length).toBeCloseTo(before.length * factor, 1)
        const [from, to] = [times(before), times(now)]
        for (const [id, { start }] of from) expect(to.get(id)!.start).toBeCloseTo(start * factor, 1)
        expect(next.slides.s0!.transition?.duration ?? 0).toBeCloseTo((deck.slides.s0!.transition?.duration ?? 0) * factor, 6)
      }),
      { numRuns: 60 },
    )
  })

  it('leaves other slides as they are, holds for reading alone, and nothing at all where nothing changes', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        const next = after(deck, stretch(deck, { slides: ['s0'] }, 2))
        for (const slide of slidesOf(deck)) if (slide.id !== 's0') expect(scoreOf(next, slide.id)).toBe(scoreOf(deck, slide.id))
        for (const one of Object.values(deck.beats)) if (one.hold.kind !== 'seconds') expect(next.beats[one.id]!.hold).toEqual(one.hold)
        expect(stretch(deck, { slides: ['s0'] }, 1)).toEqual([])
        expect(stretch(deck, { slides: ['s0'] }, 0)).toEqual([])
      }),
      { numRuns: 40 },
    )
  })

  it('of single cues changes how long they take and not when they come', () => {
    fc.assert(
      fc.property(timed, deck => {
        const ids = cuesOf(deck, 's0b0').map(one => one.id)
        const next = after(deck, stretch(deck, { cues: ids }, 2))
        for (const id of ids) {
          expect(next.cues[id]!.duration).toBeCloseTo(deck.cues[id]!.duration * 2, 2)
          expect(next.cues[id]!.delay).toBe(deck.cues[id]!.delay)
        }
      }),
      { numRuns: 30 },
    )
  })
})

describe('a cue that is put into another beat', () => {
  it('belongs to it from the moment at which it was put there; all others keep their time', () => {
    fc.assert(
      fc.property(timed, fc.nat(), fc.nat(), fc.double({ min: 0, max: 3, noNaN: true }), (deck, which, to, at) => {
        const before = scoreOf(deck)
        const cues = before.beats.flatMap(item => item.cues)
        fc.pre(cues.length > 0 && before.beats.length > 1)
        const own = cues[which % cues.length]!.cue
        const beat = before.beats[to % before.beats.length]!.beat.id
        fc.pre(own.beat !== beat)
        const next = after(deck, moveToBeat(deck, before, { beat, starts: new Map([[own.id, at]]) }))
        expect(isWhole(next)).toBe(true)
        const now = scoreOf(next).beats.flatMap(item =>
          item.cues.map(one => [one.cue.id, { beat: item.beat.id, start: one.start }] as const),
        )
        const found = new Map(now)
        expect(found.get(own.id)!.beat).toBe(beat)
        expect(found.get(own.id)!.start).toBeCloseTo(at, 1)
        for (const item of before.beats)
          for (const one of item.cues) if (one.cue.id !== own.id) expect(found.get(one.cue.id)!.start).toBeCloseTo(one.start, 1)
      }),
      { numRuns: 60 },
    )
  })
})

describe('letting a slide last so long', () => {
  it('is done to the second, also where it holds for reading: the holds give way', () => {
    fc.assert(
      fc.property(anyDeck, fc.double({ min: 0.5, max: 40, noNaN: true }), (made, wanted) => {
        const deck = after(
          made,
          beatsOf(made, 's0').map(one => setRecord('beats', one.id, { hold: { kind: 'reading' } })),
        )
        const before = scoreOf(deck)
        // What is held so that it does not flash, and motion that is as long as it has to be, takes its time.
        fc.pre(before.beats.every(item => item.cues.every(({ cue: own, round }) => round === own.duration && own.what !== 'media')))
        const changes = lastFor(
          deck,
          { beats: before.beats.map(item => item.beat.id) },
          { beats: before.beats, length: before.length, wanted },
        )
        fc.pre(changes !== null)
        const now = scoreOf(after(deck, changes!))
        fc.pre(now.beats.every(item => item.cues.every(({ cue: own, round }) => round === own.duration)))
        expect(now.length).toBeCloseTo(wanted, 0)
      }),
      { numRuns: 60 },
    )
  })

  it('lets a slide on which nothing happens and that holds for no time run as long as is wanted', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const deck = after(
      base,
      beatsOf(base, slide).map(one => setRecord('beats', one.id, { hold: { kind: 'seconds', seconds: 0 } })),
    )
    const before = scoreOf(deck, slide)
    const changes = lastFor(deck, { slides: [slide] }, { beats: before.beats, length: before.length, wanted: 4 })
    expect(scoreOf(after(deck, changes!), slide).length).toBeCloseTo(4, 2)
  })

  it('lets a slide of nothing but words run ten seconds, and twenty, where reading took another time', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const deck = after(base, [
      putRecord('elements', textElement('a', slide, ['So many words that reading them takes some seconds of its own'])),
    ])
    const before = scoreOf(deck, slide)
    for (const wanted of [0.8, 10, 20]) {
      const changes = lastFor(deck, { slides: [slide] }, { beats: before.beats, length: before.length, wanted })
      expect(scoreOf(after(deck, changes!), slide).length).toBeCloseTo(wanted, 2)
    }
  })
})

describe('splitting a beat', () => {
  it('keeps the time of every cue and shows the same at every moment after, where nothing runs across the cut', () => {
    fc.assert(
      fc.property(timed, share, share, (deck, cut, probe) => {
        const before = scoreOf(deck)
        const [entry] = before.beats
        const at = Math.round(cut * entry!.length * 100) / 100
        const crossing = entry!.cues.some(item => item.start < at - 1e-6 && (item.end > at || item.cue.repeat === 'forever'))
        fc.pre(!crossing)
        const next = after(deck, splitBeat(deck, before, { beat: entry!.beat.id, at, start: 'self' }, countingContext('n')))
        const now = scoreOf(next)
        expect(isWhole(next)).toBe(true)
        expect(now.beats).toHaveLength(before.beats.length + 1)
        const [from, to] = [times(before), times(now)]
        for (const [id, { start, end }] of from) {
          expect(to.get(id)!.start).toBeCloseTo(start, 2)
          expect(to.get(id)!.end).toBeCloseTo(end, 2)
        }
        const later = at + probe * (entry!.length - at)
        // Within a hundredth of a cue's edge the rounding of its wait decides what is seen.
        fc.pre(entry!.cues.every(item => Math.abs(item.start - later) > 0.02 && Math.abs(item.end - later) > 0.02))
        const seen = (score: Score, beatIndex: number, seconds: number) =>
          [...frameAt(score, { beat: beatIndex, seconds }).elements]
            .map(([id, frame]) => `${id} ${frame.whole.visible} ${frame.parts?.map(part => part.visible).join('')}`)
            .sort()
        expect(seen(now, 1, later - at)).toEqual(seen(before, 0, later))
      }),
      { numRuns: 60 },
    )
  })

  it('changes no length, whatever the beat holds for and however the second starts', () => {
    fc.assert(
      fc.property(
        anyDeck,
        fc.constantFrom('reading' as const, 'seconds' as const),
        fc.constantFrom('self' as const, 'advance' as const),
        share,
        (made, kind, start, share) => {
          const hold = kind === 'seconds' ? { kind, seconds: 1.5 } : { kind }
          const deck = after(
            made,
            beatsOf(made, 's0').map(one => setRecord('beats', one.id, { hold })),
          )
          const before = scoreOf(deck)
          const entry = before.beats[0]!
          // Where nothing moves across the cut: what does would come to its end before the second begins.
          let at = share * entry.length
          for (const item of [...entry.cues].sort((a, b) => a.start - b.start)) if (item.start < at && item.end > at) at = item.end
          fc.pre(at > 0.01 && at < entry.length - 0.01)
          const now = scoreOf(after(deck, splitBeat(deck, before, { beat: entry.beat.id, at, start }, countingContext('n'))))
          expect(now.beats[0]!.length + now.beats[1]!.length).toBeCloseTo(entry.length, 1)
        },
      ),
      { numRuns: 80 },
    )
  })

  it('waits for the speaker where it is asked to', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const [only] = beatsOf(base, slide)
    const deck = after(base, [
      putRecord('elements', textElement('a', slide, ['A'])),
      putRecord('cues', cue({ id: 'one', beat: only!.id, element: 'a' })),
      putRecord(
        'cues',
        cue({ id: 'two', beat: only!.id, element: 'a', what: 'exit', order: 'a1', anchor: { to: 'end', cue: 'one' }, delay: 2 }),
      ),
    ])
    const next = after(deck, splitBeat(deck, scoreOf(deck, slide), { beat: only!.id, at: 2.5, start: 'advance' }, countingContext('n')))
    expect(beatsOf(next, slide).map(one => [one.id, one.start])).toEqual([
      [only!.id, only!.start],
      ['n-1', 'advance'],
    ])
    expect(next.cues.two).toMatchObject({ beat: 'n-1', anchor: { to: 'beat' }, delay: 0.5 })
  })
})

describe('joining beats', () => {
  it('keeps the time of every cue where the second goes on by itself, and gives back what was split', () => {
    fc.assert(
      fc.property(timed, deck => {
        const before = scoreOf(deck)
        fc.pre(before.beats.length > 1)
        const next = after(deck, mergeBeats(deck, before, { beat: before.beats[0]!.beat.id }))
        const now = scoreOf(next)
        expect(isWhole(next)).toBe(true)
        expect(now.beats).toHaveLength(before.beats.length - 1)
        expect([...times(now).keys()].sort()).toEqual([...times(before).keys()].sort())
        const [from, to] = [times(before), times(now)]
        for (const { cue: own } of [...before.beats[0]!.cues, ...before.beats[1]!.cues])
          expect(to.get(own.id)!.start).toBeCloseTo(from.get(own.id)!.start, 2)
      }),
      { numRuns: 60 },
    )
  })
})

describe('how long it is to be', () => {
  it('is met by one factor, unless what is fixed already lasts as long', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0.1, max: 60, noNaN: true }),
        (wanted, fixed, own) => {
          const factor = factorFor(wanted, fixed + own, fixed)
          if (factor === null) expect(wanted).toBeLessThanOrEqual(fixed + 0.0051)
          else expect(fixed + own * factor).toBeCloseTo(wanted, 6)
        },
      ),
    )
  })

  it('and where a bar snaps is the nearest moment within reach', () => {
    expect([nearestMoment(1.04, [0, 1, 2], 0.1), nearestMoment(1.5, [0, 1, 2], 0.1), nearestMoment(1.5, [1.45, 1.52], 0.1)]).toEqual([
      1,
      null,
      1.52,
    ])
  })
})

describe('bars of a score', () => {
  it('lie in the fewest lanes in which none lies on another', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 1, max: 30 })), { maxLength: 25 }), pairs => {
        const bars = pairs.map(([from, length]) => ({ from, to: from + length })).sort((a, b) => a.from - b.from)
        const lanes = lanesOf(bars)
        bars.forEach((a, i) =>
          bars.slice(i + 1).forEach((b, j) => {
            if (lanes[i] === lanes[i + 1 + j]) expect(b.from).toBeGreaterThanOrEqual(a.to)
          }),
        )
        // As many as lie over one moment, and no more.
        const most = Math.max(0, ...bars.map(({ from }) => bars.filter(other => other.from <= from && other.to > from).length))
        expect(new Set(lanes).size).toBe(most)
      }),
    )
  })
})

describe('a transition put on more slides', () => {
  /** Slides of so many, each third of which opens a chapter. */
  const chapters = (count: number) => {
    let deck = freshDeck()
    for (let index = 1; index < count; index++)
      deck = after(deck, addSlide(deck, { after: slidesOf(deck).at(-1)!.id, layout: 'layout-list' }, countingContext(`s${index}`)))
    return after(
      deck,
      slidesOf(deck).flatMap((slide, index) =>
        index % 3 === 0 ? [setRecord('slides', slide.id, { chapter: `Chapter ${index / 3}` })] : [],
      ),
    )
  }
  const transition = { effect: 'iris', duration: 1, easing: { kind: 'linear' as const } }

  it('is on those of its chapter, or on all, and never on the first, which follows none', () => {
    const deck = chapters(8)
    const ids = slidesOf(deck).map(slide => slide.id)
    const set = after(deck, [setRecord('slides', ids[4]!, { transition })])
    const reached = (reach: 'chapter' | 'all') =>
      slidesOf(after(set, putTransition(set, { like: ids[4]!, reach }))).flatMap((slide, index) => (slide.transition ? [index] : []))
    expect(reached('chapter')).toEqual([3, 4, 5])
    expect(reached('all')).toEqual([1, 2, 3, 4, 5, 6, 7])
  })

  it('changes nothing that comes so already, and takes a transition away as well', () => {
    const deck = chapters(4)
    const ids = slidesOf(deck).map(slide => slide.id)
    expect(putTransition(deck, { like: ids[1]!, reach: 'all' })).toEqual([])
    const set = after(deck, [setRecord('slides', ids[2]!, { transition })])
    expect(putTransition(set, { like: ids[1]!, reach: 'all' }).map(change => change.do === 'set' && change.id)).toEqual([ids[2]])
    expect(putTransition(set, { like: 'gone', reach: 'all' })).toEqual([])
  })
})

describe('the order of beats', () => {
  it('is changed by one place at a time, within the slide', () => {
    fc.assert(
      fc.property(anyDeck, fc.nat(), fc.constantFrom(1 as const, -1 as const), (deck, pick, by) => {
        const beats = beatsOf(deck, 's0').map(one => one.id)
        const at = pick % beats.length
        const next = beatsOf(after(deck, moveBeat(deck, { beat: beats[at]!, by })), 's0').map(one => one.id)
        const to = at + by
        const wanted = [...beats]
        if (to >= 0 && to < beats.length) [wanted[at], wanted[to]] = [wanted[to]!, wanted[at]!]
        expect(next).toEqual(wanted)
      }),
      { numRuns: 40 },
    )
  })

  it('and their starts: all by themselves makes a film of known length, on advance gives it back to the speaker', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        const slides = slidesOf(deck).map(slide => slide.id)
        const film = after(deck, startBeats(deck, { slides, start: 'self' }))
        for (const slide of rundown(film, 'talk', timingContext).slides)
          expect(slide.beats.filter(item => item.openEnded).length).toBeLessThanOrEqual(1)
        const talk = after(film, startBeats(film, { slides, start: 'advance' }))
        for (const slide of rundown(talk, 'talk', timingContext).slides) expect(slide.beats.every(item => item.openEnded)).toBe(true)
        expect(startBeats(talk, { slides, start: 'advance' })).toEqual([])
      }),
      { numRuns: 30 },
    )
  })
})

describe('carrying cues to other elements', () => {
  const made = () => {
    const base = freshDeck()
    const first = slidesOf(base)[0]!.id
    let deck = after(base, addSlide(base, { after: first, layout: 'layout-list' }, countingContext('s')))
    const second = slidesOf(deck)[1]!.id
    const chart = { id: 'chart', owner: second, kind: 'chart', name: 'Chart', order: 'a9', chart: { table: 'seasons' } }
    deck = after(deck, [
      putRecord('elements', textElement('from', first, ['One', 'Two'])),
      putRecord('elements', textElement('to', second, ['Three', 'Four'])),
      putRecord('elements', chart as never),
      putRecord('beats', beat({ id: 'later', slide: first, order: 'z0' })),
      putRecord(
        'cues',
        cue({ id: 'in', beat: beatsOf(deck, first)[0]!.id, element: 'from', effect: 'type', parts: { by: 'word', stagger: 0.2 } }),
      ),
      putRecord(
        'cues',
        cue({
          id: 'eye',
          beat: beatsOf(deck, first)[0]!.id,
          element: 'from',
          what: 'emphasis',
          effect: 'pulse',
          order: 'a1',
          anchor: { to: 'end', cue: 'in' },
        }),
      ),
      putRecord('cues', cue({ id: 'out', beat: 'later', element: 'from', what: 'exit' })),
      putRecord('cues', cue({ id: 'old', beat: beatsOf(deck, second)[0]!.id, element: 'to', effect: 'wipe' })),
    ])
    return { deck, second }
  }

  it('keeps what follows what, and puts later beats into the last where there are fewer', () => {
    const { deck, second } = made()
    const next = after(
      deck,
      pasteCues(deck, { clipping: clipCues(deck, ['in', 'eye', 'out'])!, elements: ['to'], how: 'replace' }, countingContext('n')),
    )
    const cues = cuesOfElement(next, 'to')
    expect(cues.map(one => [one.what, one.effect, one.beat])).toEqual([
      ['enter', 'type', beatsOf(deck, second)[0]!.id],
      ['emphasis', 'pulse', beatsOf(deck, second)[0]!.id],
      ['exit', 'fade', beatsOf(deck, second)[0]!.id],
    ])
    expect(cues[1]!.anchor).toEqual({ to: 'end', cue: cues[0]!.id })
    expect(next.cues.old).toBeUndefined()
    expect(isWhole(next)).toBe(true)
  })

  it('adds to what is there where it is asked to, as often as wanted, and leaves the source alone', () => {
    const { deck } = made()
    const context = countingContext('n')
    const clipping = clipCues(deck, ['in'])!
    const once = after(deck, pasteCues(deck, { clipping, elements: ['to'], how: 'add' }, context))
    const twice = after(once, pasteCues(once, { clipping, elements: ['to'], how: 'add' }, context))
    expect(cuesOfElement(twice, 'to')).toHaveLength(3)
    expect(cuesOfElement(twice, 'from')).toEqual(cuesOfElement(deck, 'from'))
  })

  it('gives other kinds what they can play', () => {
    const { deck } = made()
    const next = after(
      deck,
      pasteCues(deck, { clipping: clipCues(deck, ['in', 'eye'])!, elements: ['chart'], how: 'add' }, countingContext('n')),
    )
    expect(cuesOfElement(next, 'chart').map(one => [one.effect, one.parts])).toEqual([
      ['fade', undefined],
      ['pulse', undefined],
    ])
    expect(clipCues(deck, ['gone'])).toBeNull()
  })
})

describe('motion turned the other way round', () => {
  it('lets what began last begin first, and is itself again when turned twice', () => {
    fc.assert(
      fc.property(anyDeck, fc.nat(), (deck, pick) => {
        const moved = Object.values(deck.elements).filter(element => cuesOfElement(deck, element.id).length)
        fc.pre(moved.length > 0)
        const own = cuesOfElement(deck, moved[pick % moved.length]!.id).map(one => one.id)
        const once = reverseMotion(clipCues(deck, own)!)
        const again = reverseMotion(reverseMotion(once))
        expect(again.beats).toEqual(once.beats)
        expect(again.cues.map(one => [one.id, one.what])).toEqual(once.cues.map(one => [one.id, one.what]))
        // One of each beat begins at once, whatever it waited for before.
        const soonest = new Map<string, number>()
        for (const one of again.cues) soonest.set(one.beat, Math.min(soonest.get(one.beat) ?? Infinity, one.delay))
        expect([...soonest.values()].every(delay => delay === 0)).toBe(true)
      }),
    )
  })

  it('goes to titles where it is a title’s, whatever their layouts set them in, and to texts of its style where it is another’s', () => {
    const base = freshDeck()
    const [slide] = slidesOf(base)
    const text = (id: string, more: object) => putRecord('elements', { ...textElement(id, slide!.id, [id]), ...more } as Element)
    const deck = after(base, [
      text('title', { placeholder: 'title', style: 'display' }),
      text('other title', { placeholder: 'title', style: 'title' }),
      text('line', { style: 'title' }),
      text('note', { style: 'small' }),
      text('second note', { style: 'small' }),
    ])
    const alike = (like: string, by: 'style' | 'kind' | 'any') =>
      alikeOn(deck, { like, slides: [slide!.id], by }).filter(id => ['title', 'other title', 'line', 'note', 'second note'].includes(id))
    expect(alike('title', 'style')).toEqual(['other title'])
    expect(alike('note', 'style')).toEqual(['second note'])
    expect(alike('note', 'kind')).toHaveLength(4)
    expect(alikeOn(deck, { like: 'gone', slides: [slide!.id], by: 'any' })).toEqual([])
  })

  it('makes an exit of an entrance, from the last beat back, with parts from the other end', () => {
    const beat = 'b'
    const clipping = {
      kind: 'text' as const,
      cues: [
        cue({ id: 'in', beat, element: 'line', what: 'enter', duration: 1, parts: { by: 'word', stagger: 0.1 } }),
        cue({ id: 'eye', beat, element: 'line', what: 'emphasis', duration: 2, anchor: { to: 'end', cue: 'in' }, delay: 0.5 }),
      ],
      beats: { [beat]: 0 },
    }
    const turned = reverseMotion(clipping)
    expect(turned.beats).toEqual({ [beat]: -1 })
    expect(turned.cues.map(one => [one.what, one.delay, one.anchor.to, one.parts?.backwards])).toEqual([
      ['exit', 2.5, 'beat', true],
      ['emphasis', 0, 'beat', undefined],
    ])
  })
})

describe('what is usual in a deck', () => {
  it('is followed by all that differs, which then differs no more; when things come stays as it was', () => {
    fc.assert(
      fc.property(anyDeck, fc.nat(), (deck, pick) => {
        const own = Object.values(deck.cues).filter(one => one.what === 'enter' || one.what === 'exit')
        fc.pre(own.length > 0)
        const like = own[pick % own.length]!
        const what = like.what as 'enter' | 'exit'
        const set = after(deck, setUsual(deck, { like: like.id }))
        expect(cuesApart(set, what, 'text').map(one => one.id)).not.toContain(like.id)
        expect(after(set, followUsual(set, { what, kind: 'text', cues: [] }))).toEqual(set)
        const next = after(set, followUsual(set, { what, kind: 'text' }))
        expect(cuesApart(next, what, 'text')).toEqual([])
        for (const one of own) expect(next.cues[one.id]).toMatchObject({ anchor: one.anchor, delay: one.delay, repeat: one.repeat })
        for (const one of own.filter(other => other.what !== what)) expect(next.cues[one.id]).toEqual(one)
      }),
      { numRuns: 40 },
    )
  })

  it('says nothing where nothing was said to be usual, and knows a cut from another way to come', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        expect([...cuesApart(deck, 'enter', 'text'), ...slidesApart(deck)]).toEqual([])
        const set = after(deck, setUsualTransition(deck, { like: 's0' }))
        const next = after(set, followUsualTransition(set))
        expect(slidesApart(next)).toEqual([])
        expect(
          slidesOf(next)
            .slice(1)
            .map(slide => slide.transition?.effect ?? 'cut'),
        ).toEqual(
          slidesOf(next)
            .slice(1)
            .map(() => deck.slides.s0!.transition?.effect ?? 'cut'),
        )
      }),
      { numRuns: 40 },
    )
  })
})

describe('what comes later', () => {
  const base = freshDeck()
  const slide = slidesOf(base)[0]!.id
  const deck = applyChanges(base, [
    putRecord('elements', textElement('words', slide, ['Quay', 'Boats and buoys'])),
    putRecord('beats', beat({ id: 'b', slide, order: 'z0' })),
    putRecord(
      'cues',
      cue({
        id: 'first',
        beat: 'b',
        element: 'words',
        effect: 'rise',
        duration: 1,
        order: 'a0',
        parts: { by: 'paragraph', stagger: 0.5 },
      }),
    ),
    putRecord(
      'cues',
      cue({ id: 'second', beat: 'b', element: 'words', what: 'emphasis', effect: 'pulse', delay: 2, order: 'a1', repeat: 3 }),
    ),
    putRecord(
      'cues',
      cue({
        id: 'third',
        beat: 'b',
        element: 'words',
        what: 'emphasis',
        effect: 'tint',
        order: 'a2',
        anchor: { to: 'end', cue: 'second' },
      }),
    ),
  ])
  const score = compileSlide(deck, slide, timingContext)
  const entry = score.beats.find(one => one.beat.id === 'b')!

  it('keeps its distance when something before it moves; what follows a cue follows it by itself', () => {
    expect([...laterWaits(entry, new Set(['first']), 0, 0.75)]).toEqual([['second', 2.75]])
    expect([...laterWaits(entry, new Set(['first']), 0, -5)]).toEqual([['second', 0]])
    expect(laterWaits(entry, new Set(['first', 'second']), 0, 1).size).toBe(0)
    expect(laterWaits(entry, new Set(['first']), 2.5, 1).size).toBe(0)
  })

  it('is told in sentences that say how each starts and how long it takes', () => {
    const say = (id: string) =>
      cueSentence(
        deck,
        entry.cues.find(one => one.cue.id === id)!,
        other => `the ${other.effect} of words`,
      )
    expect(say('first')).toBe('Entrance by “rise”, with the beat, line by line every 0.5 s, for 1 s.')
    expect(say('second')).toBe('Emphasis by “pulse”, with the beat, after 2 s, for 1 s, 3 times.')
    expect(say('third')).toBe('Emphasis by “tint”, once the pulse of words is over, for 1 s.')
  })

  it('tells what each part says that takes its turn', () => {
    const track = score.tracks.get('words')!
    expect(partWords(deck, track, entry.cues.find(one => one.cue.id === 'first')!.span!, timingContext)).toEqual([
      'Quay',
      'Boats and buoys',
    ])
  })
})
