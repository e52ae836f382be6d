import {
  putRecord,
  setRecord,
  applyChanges,
  beatsOf,
  cuesOf,
  deckSchema,
  elementsOf,
  mend,
  slidesOf,
  type Change,
  type Deck,
} from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hexOf } from '../color'
import { shownElements, styleOf, themeSeen } from '../resolved'
import type { Easing } from '../values'
import { anyDeck, beat, countingContext, cue, freshDeck, textElement, timingContext } from '../testing'
import {
  boardToSlides,
  cameraOn,
  cameraSpeed,
  cameraWay,
  compileSlide,
  fastestOf,
  frameAt,
  goInBeat,
  lastMoment,
  largestSeen,
  makeBoard,
  overviewOf,
  removeView,
  slidesToBoard,
  unmakeBoard,
  viewAround,
  type Camera,
} from './index'

const size = { width: 1920, height: 1080 }
const place = fc.record({
  x: fc.integer({ min: -4000, max: 12_000 }),
  y: fc.integer({ min: -4000, max: 12_000 }),
  scale: fc.double({ min: 0.05, max: 8, noNaN: true }),
  angle: fc.integer({ min: -180, max: 180 }),
})
const near = (a: Camera, b: Camera) =>
  Math.abs(a.x - b.x) < 1e-3 && Math.abs(a.y - b.y) < 1e-3 && Math.abs(a.scale - b.scale) < 1e-6 && Math.abs(a.angle - b.angle) < 1e-6

describe('the way of a camera', () => {
  it('leads from one place exactly to the other, finite everywhere', () => {
    fc.assert(
      fc.property(place, place, fc.boolean(), (from, to, straight) => {
        const way = cameraWay(from, to, size, straight)
        expect(near(way.at(0), from)).toBe(true)
        expect(way.at(1)).toEqual(to)
        for (const share of [0.001, 0.3, 0.5, 0.77, 0.999])
          for (const value of Object.values(way.at(share))) expect(Number.isFinite(value)).toBe(true)
        const [start, end] = [way.at(1e-9), way.at(1 - 1e-9)]
        expect(Math.hypot(start.x - from.x, start.y - from.y) * from.scale).toBeLessThan(1)
        expect(Math.hypot(end.x - to.x, end.y - to.y) * to.scale).toBeLessThan(1)
      }),
    )
  })

  it('seems even to a viewer: equal shares pass equally much of pictures and of nearness', () => {
    fc.assert(
      fc.property(place, place, (from, to) => {
        const way = cameraWay({ ...from, angle: 0 }, { ...to, angle: 0 }, size)
        fc.pre(way.length > 0.01)
        const steps = 200
        const lengths = Array.from({ length: steps }, (_, index) => {
          const [a, b] = [way.at(index / steps), way.at((index + 1) / steps)]
          const w = size.width / Math.sqrt(a.scale * b.scale)
          return Math.hypot((Math.SQRT2 * Math.hypot(b.x - a.x, b.y - a.y)) / w, Math.log(b.scale / a.scale) / Math.SQRT2)
        })
        const mean = lengths.reduce((sum, one) => sum + one, 0) / steps
        expect(Math.max(...lengths)).toBeLessThan(mean * 1.03)
        expect(Math.min(...lengths)).toBeGreaterThan(mean * 0.97)
      }),
    )
  })

  it('goes away from what is far apart, and never farther than where it stands when that is near', () => {
    const at = (x: number): Camera => ({ x, y: 0, scale: 1, angle: 0 })
    expect(cameraWay(at(0), at(9600), size).at(0.5).scale).toBeLessThan(0.4)
    expect(cameraWay(at(0), at(9600), size, true).at(0.5).scale).toBeCloseTo(1, 9)
    expect(cameraWay(at(0), at(100), size).at(0.5).scale).toBeGreaterThan(0.95)
  })

  it('shows a box whole, however it lies', () => {
    expect(cameraOn({ x: 100, y: 0, width: 960, height: 100, angle: 12 }, size)).toEqual({ x: 580, y: 50, scale: 2, angle: 12 })
    expect(overviewOf({ width: 19_200, height: 1080 }, size).scale).toBeCloseTo(0.1, 9)
  })
})

/** A board of two by two with three views, and words in the third. */
function board(cues: readonly Partial<Parameters<typeof cue>[0]>[], opens?: string) {
  const base = freshDeck()
  const slide = slidesOf(base)[0]!.id
  const views = [
    [0, 0],
    [1920, 0],
    [1920, 1080],
  ].map(([x, y], index) => ({ id: `v${index}`, name: `Quay ${index}`, box: { x: x!, y: y!, ...size, angle: 0 } }))
  const deck = applyChanges(base, [
    setRecord('slides', slide, { board: { width: 3840, height: 2160 }, views, ...(opens ? { opens } : {}) }),
    putRecord('elements', {
      ...textElement('words', slide, ['Low Sands and Port Harrow']),
      box: { x: 2400, y: 1300, width: 800, height: 300, angle: 0 },
    } as never),
    putRecord('beats', beat({ id: 'b0', slide, order: 'z0' })),
    putRecord('beats', beat({ id: 'b1', slide, order: 'z1', hold: { kind: 'reading' } })),
    ...cues.map((own, index): Change =>
      putRecord(
        'cues',
        cue({ id: `c${index}`, beat: 'b0', element: null, what: 'camera', effect: 'go-to-view', order: `a${index}`, ...own }),
      ),
    ),
  ])
  const score = compileSlide(deck, slide, timingContext)
  const at = (id: string) => score.beats.findIndex(one => one.beat.id === id)
  return { deck, slide, score, first: at('b0'), camera: (id: string, seconds: number) => frameAt(score, { beat: at(id), seconds }).camera }
}
const go = (view: string, more: object = {}) => ({ options: { view }, ...more })

describe('a board', () => {
  it('opens on all of it or on a view, goes where its cues say, and stays there', () => {
    const { score, camera, first } = board([go('v2')])
    expect(camera('b0', 0)).toMatchObject({ x: 1920, y: 1080, scale: 0.5 })
    expect(camera('b0', score.beats[first]!.moves)).toMatchObject({ x: 2880, y: 1620, scale: 1 })
    // Nobody asked for the whole of it at the end.
    expect(frameAt(score, lastMoment(score)).camera).toMatchObject({ x: 2880, y: 1620, scale: 1 })
    expect(board([], 'v1').camera('b0', 0)).toMatchObject({ x: 2880, y: 540, scale: 1 })
    expect(board([], 'gone').camera('b0', 0)).toMatchObject({ scale: 0.5 })
    // A view at the place of the picture is at rest.
    expect(board([], 'v0').camera('b0', 0)).toBeNull()
  })

  it('returns to all of it where that is asked for', () => {
    const { score } = board([go('v2'), go('all', { beat: 'b1' })])
    expect(frameAt(score, lastMoment(score)).camera).toMatchObject({ scale: 0.5 })
  })

  it('begins a way where another is under way, without a leap', () => {
    const { score, camera } = board([go('v1'), go('v2', { delay: 0.5 })])
    const [before, after] = [camera('b0', 0.5 - 1e-6)!, camera('b0', 0.5 + 1e-6)!]
    expect(Math.hypot(before.x - after.x, before.y - after.y)).toBeLessThan(0.1)
    expect(Math.abs(before.scale - after.scale)).toBeLessThan(1e-4)
    expect(score.problems).toEqual([])
  })

  it('never rushes, whatever length and pace are chosen', () => {
    const easing = fc.constantFrom<Easing>(
      { kind: 'linear' },
      { kind: 'cubic-bezier', x1: 0.9, y1: 0, x2: 0.1, y2: 1 },
      { kind: 'steps', count: 3, jump: 'end' },
      { kind: 'spring', stiffness: 300, damping: 6, mass: 1 },
    )
    fc.assert(
      fc.property(
        easing,
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.integer({ min: 10, max: 240 }),
        fc.constantFrom('fixed', 'way'),
        fc.constantFrom('arc', 'straight'),
        (pace, duration, speed, takes, way) => {
          const { score } = board([go('v1', { easing: pace, duration, options: { view: 'v2', speed, takes, way } })])
          const leg = score.board!.camera.legs[0]!
          expect(fastestOf(leg.way, leg.cue.cue, leg.cue.round)).toBeLessThanOrEqual(cameraSpeed.most + 1e-6)
          if (takes === 'fixed') expect(leg.cue.round).toBeGreaterThanOrEqual(duration)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('lets words be read when the camera first comes to them, and knows how large they are seen', () => {
    const { score, first } = board([go('v2', { beat: 'b1' })])
    expect(score.beats[first]!.reading.words).toBe(0)
    expect(score.beats[first + 1]!.reading.words).toBe(5)
    expect(largestSeen(score.board!.camera, { x: 2400, y: 1300, width: 800, height: 300, angle: 0 }, size)).toBe(1)
    expect(largestSeen(board([]).score.board!.camera, { x: 2400, y: 1300, width: 800, height: 300, angle: 0 }, size)).toBe(0.5)
    expect(largestSeen(board([], 'v0').score.board!.camera, { x: 2400, y: 1300, width: 800, height: 300, angle: 0 }, size)).toBe(0)
  })

  it('holds things in a view of the shape of the picture, within its edges', () => {
    const { deck, slide } = board([])
    const view = viewAround(deck, slide, [{ x: 3600, y: 2000, width: 200, height: 100, angle: 0 }])
    expect(view.width / view.height).toBeCloseTo(16 / 9, 1)
    expect(view.x + view.width).toBeLessThanOrEqual(3840)
    expect(view.x).toBeLessThanOrEqual(3600)
  })
})

const context = { ...countingContext('made'), ...timingContext }
const sound = (deck: Deck) => deckSchema.safeParse(deck).success && mend(deck).notes.length === 0
const moving = (deck: Deck) => Object.values(deck.cues).filter(one => one.what !== 'camera').length

describe('slides and boards', () => {
  it('turns any run of slides into one board and its views into slides again, with nothing lost', () => {
    fc.assert(
      fc.property(anyDeck, raw => {
        const { deck } = mend(raw)
        const slides = slidesOf(deck).map(slide => slide.id)
        fc.pre(slides.length >= 2)
        const made = applyChanges(deck, slidesToBoard(deck, { slides }, context))
        expect(sound(made)).toBe(true)
        const [one] = slidesOf(made)
        expect(slidesOf(made)).toHaveLength(1)
        expect(one!.views).toHaveLength(slides.length)
        expect(elementsOf(made, one!.id).filter(element => !element.name.startsWith('Background of '))).toHaveLength(
          slides.reduce((sum, slide) => sum + elementsOf(deck, slide).length, 0),
        )
        expect(beatsOf(made, one!.id)).toHaveLength(slides.reduce((sum, slide) => sum + beatsOf(deck, slide).length, 0))
        expect(Object.values(made.cues).filter(other => other.what === 'camera')).toHaveLength(slides.length - 1)
        // Each stands in its view as it stood on its slide.
        const parted = applyChanges(made, boardToSlides(made, { slide: one!.id }, context))
        expect(sound(parted)).toBe(true)
        expect(slidesOf(parted)).toHaveLength(slides.length)
        expect(moving(parted)).toBe(moving(made))
        expect(Object.values(parted.elements).length).toBe(Object.values(made.elements).length)
        expect(Object.values(parted.cues).some(other => other.what === 'camera')).toBe(false)
      }),
      { numRuns: 25 },
    )
  })

  it('keeps where and when things are on their slides', () => {
    const base = freshDeck()
    const first = slidesOf(base)[0]!
    const deck = applyChanges(base, [
      putRecord('slides', { ...first, id: 'second', order: 'z', notes: 'Mind the tide.' }),
      putRecord('elements', textElement('words', 'second', ['Quay'])),
      putRecord('beats', beat({ id: 'b', slide: 'second' })),
      putRecord('cues', cue({ id: 'c', beat: 'b', element: 'words' })),
    ])
    const made = applyChanges(deck, slidesToBoard(deck, { slides: [first.id, 'second'] }, context))
    const [one] = slidesOf(made)
    const words = elementsOf(made, one!.id).find(element => element.name === 'words')!
    const view = one!.views![1]!.box
    expect({ x: words.box!.x - view.x, y: words.box!.y - view.y, width: words.box!.width }).toEqual({ x: 100, y: 100, width: 1200 })
    // It comes once the camera is there, in the beat that was its slide's first.
    const entering = Object.values(made.cues).find(other => other.element === words.id)!
    expect(made.cues[(entering.anchor as { cue: string }).cue]!.what).toBe('camera')
    expect(one!.notes).toBe('Mind the tide.')
    const back = applyChanges(made, boardToSlides(made, { slide: one!.id }, context))
    const there = Object.values(back.elements).find(element => element.name === 'words')!
    expect(there.box).toMatchObject({ x: 100, y: 100, width: 1200, height: 600 })
    expect(cuesOf(back, beatsOf(back, there.owner)[0]!.id)).toHaveLength(1)
  })

  it('takes the camera’s ways along with a view or the board that they need, and links with the slides that they lead to', () => {
    const { deck, slide } = board([go('v1'), go('v2', { id: 'second', beat: 'b1' })], 'v1')
    const less = applyChanges(deck, removeView(deck, { slide, view: 'v1' }))
    expect(less.slides[slide]).toMatchObject({ views: [{ id: 'v0' }, { id: 'v2' }] })
    expect(less.slides[slide]!.opens).toBeUndefined()
    expect(Object.values(less.cues).map(one => one.options.view)).toEqual(['v2'])
    const plain = applyChanges(deck, unmakeBoard(deck, { slide }))
    expect(plain.slides[slide]!.board).toBeUndefined()
    expect(Object.values(plain.cues)).toEqual([])
    expect(plain.elements.words!.box).toEqual(deck.elements.words!.box)

    const linked = applyChanges(freshDeck(), [])
    const first = slidesOf(linked)[0]!
    const talk = applyChanges(linked, [
      putRecord('slides', { ...first, id: 'other', order: 'y' }),
      putRecord('slides', { ...first, id: 'third', order: 'z' }),
      ...['other', 'third'].map((id): Change => putRecord('beats', beat({ id: `b-${id}`, slide: id }))),
      putRecord('elements', {
        ...textElement('link', 'third', []),
        text: {
          type: 'doc',
          content: [
            { type: 'paragraph', content: [{ type: 'text', text: 'there', marks: [{ type: 'link', attrs: { href: '#other' } }] }] },
          ],
        },
      } as never),
    ])
    const made = applyChanges(talk, slidesToBoard(talk, { slides: [first.id, 'other'] }, context))
    expect(JSON.stringify(made.elements.link)).toContain(`#${slidesOf(made)[0]!.id}`)
  })

  it('goes on from view to view within a beat, one after the other', () => {
    const { deck, slide } = board([go('v1')])
    const more = applyChanges(deck, goInBeat(deck, { beat: 'b0', view: 'v2' }, { id: () => 'next' }))
    expect(more.cues.next!.anchor).toEqual({ to: 'end', cue: 'c0' })
    const legs = compileSlide(more, slide, timingContext).board!.camera.legs
    expect(legs[1]!.cue.start).toBeCloseTo(legs[0]!.cue.end, 6)
  })

  it('leaves the ground of the first slide behind its view, and not behind the whole board', () => {
    const base = freshDeck()
    const first = slidesOf(base)[0]!
    const deck = applyChanges(base, [
      setRecord('slides', first.id, {
        backdrop: {
          fill: {
            kind: 'linear',
            angle: 0,
            stops: [
              { color: { hex: '#000000' }, at: 0 },
              { color: { hex: '#222222' }, at: 1 },
            ],
          },
        },
      }),
      putRecord('slides', { ...first, id: 'second', order: 'z' }),
      putRecord('beats', beat({ id: 'b', slide: 'second' })),
    ])
    const made = applyChanges(deck, slidesToBoard(deck, { slides: [first.id, 'second'] }, context))
    expect(slidesOf(made)[0]!.backdrop).toBeUndefined()
    expect(Object.values(made.elements).filter(element => element.name.startsWith('Background of '))).toHaveLength(1)
  })

  it('keeps what a slide is set on, and the colours in which its words were seen there', () => {
    const base = freshDeck()
    const first = slidesOf(base)[0]!
    const picture = {
      kind: 'picture' as const,
      media: 'a'.repeat(64),
      natural: { width: 1600, height: 900 },
      veil: { hex: '#0a1c20', alpha: 0.6 },
    }
    const deck = applyChanges(base, [
      putRecord('slides', { ...first, id: 'deep', order: 'y', ground: { hex: '#08201f' } }),
      putRecord('beats', beat({ id: 'b', slide: 'deep' })),
      putRecord('elements', textElement('words', 'deep', ['Night boat'])),
      putRecord('slides', { ...first, id: 'photo', order: 'z', backdrop: { fill: picture } }),
      putRecord('beats', beat({ id: 'c', slide: 'photo' })),
    ])
    const seen = (of: Deck, owner: string, name: string) => {
      const found = shownElements(of, owner).find(element => element.name === name)!
      return found.kind === 'text' ? hexOf(styleOf(of, found).color, themeSeen(of, owner).palette) : null
    }
    const made = applyChanges(deck, slidesToBoard(deck, { slides: [first.id, 'deep', 'photo'] }, context))
    const [board] = slidesOf(made)
    expect(seen(made, board!.id, 'words')).toBe(seen(deck, 'deep', 'words'))
    const { veil, ...paint } = picture
    const grounds = elementsOf(made, board!.id).filter(element => / of /.test(element.name) && element.kind === 'shape')
    expect(grounds.map(element => element.kind === 'shape' && element.fill)).toEqual([{ hex: '#08201f' }, paint, veil])
  })

  it('does nothing with one slide, a board among them, or a board without views', () => {
    const deck = freshDeck()
    const [slide] = slidesOf(deck)
    expect(slidesToBoard(deck, { slides: [slide!.id] }, context)).toEqual([])
    const made = applyChanges(deck, makeBoard(deck, { slide: slide!.id, across: 3, down: 2 }, context))
    expect(slidesOf(made)[0]).toMatchObject({ board: { width: 5760, height: 2160 }, views: [{ name: 'Start' }] })
    const bare = applyChanges(made, [setRecord('slides', slide!.id, { views: [] })])
    expect(boardToSlides(bare, { slide: slide!.id }, context)).toEqual([])
  })
})
