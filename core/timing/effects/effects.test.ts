import { putRecord, applyChanges, slidesOf } from '../../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Color, Options } from '../../values'
import { handDrawing } from '../../drawing'
import { measurePath } from '../../shapes'
import { beat, cue, freshDeck, textElement, timingContext } from '../../testing'
import {
  colorOption,
  colorValue,
  compileSlide,
  effects,
  effectsFor,
  frameAt,
  isAtRest,
  restingCamera,
  restingPart,
  type Effect,
  type OptionField,
  type PartFrame,
} from '../index'
import { fallen } from './drop'

const drawing = handDrawing([
  { d: 'M0 0H200V80', color: '#12615c', width: 3 },
  { d: 'M20 120L300 140', color: '#12615c', width: 3 },
])
const room = {
  drawing,
  box: { x: 300, y: 200, width: 500, height: 160, angle: 0 },
  size: { width: 1920, height: 1080 },
  lines: [
    { x: 10, y: 20, width: 400, height: 60 },
    { x: 10, y: 80, width: 260, height: 60 },
  ],
}
const after = (effect: Effect, progress: number, options: Options = {}): PartFrame => {
  const part = restingPart()
  effect.apply(part, progress, options, room)
  return part
}
const used = (what: Effect['whats'][number]) =>
  effects.filter(effect => effect.whats.includes(what)).map(effect => [effect.name, effect] as const)
const share = fc.double({ min: 0, max: 1, noNaN: true })

/** Any value that an option may have, or one that it may not. */
const anyValue = (option: OptionField): fc.Arbitrary<string | number | boolean | null> =>
  fc.oneof(
    option.kind === 'number'
      ? fc.double({ min: option.min, max: option.max, noNaN: true })
      : option.kind === 'choice'
        ? fc.constantFrom(...option.values.map(known => known.value))
        : option.kind === 'element'
          ? fc.constantFrom('', 'beside')
          : option.kind === 'words'
            ? fc.constantFrom('', 'Quay\nBoat')
            : option.kind === 'boolean'
              ? fc.boolean()
              : option.kind === 'color'
                ? fc.constantFrom('accent1', '#12615c', 'ink')
                : fc.constantFrom('M0 0L300 120', 'M0 0C100 -50 200 50 300 0Z', 'M10 20a40 40 0 0 1 80 0'),
    fc.constantFrom<string | number | boolean | null>('no such value', -1e9, null),
  )
const anyOptions = (effect: Pick<Effect, 'options'>): fc.Arbitrary<Options> =>
  fc.record(Object.fromEntries(effect.options.map(option => [option.name, anyValue(option)])), {
    requiredKeys: [],
  }) as fc.Arbitrary<Options>

const within = (value: number) => Math.min(1, Math.max(0, value))
/** What a mask leaves to be seen of a box, as a share of it. */
const area = (mask: NonNullable<PartFrame['mask']>) => shoelace(mask.map(([x, y]) => [within(x), within(y)] as const))
const shoelace = (polygon: NonNullable<PartFrame['mask']>) =>
  Math.abs(
    polygon.reduce(
      (sum, [x, y], index) => sum + x * polygon[(index + 1) % polygon.length]![1] - polygon[(index + 1) % polygon.length]![0] * y,
      0,
    ) / 2,
  )

/** Whether nothing of a part is to be seen: faint, shrunk, edge on, cut away, or off the slide. */
function isUnseen(part: PartFrame): boolean {
  const { box, size } = room
  const off =
    box.x + part.x >= size.width || box.x + box.width + part.x <= 0 || box.y + part.y >= size.height || box.y + box.height + part.y <= 0
  const cut = part.cut && (part.cut.left + part.cut.right >= 1 || part.cut.top + part.cut.bottom >= 1)
  return (
    part.opacity === 0 ||
    part.scaleX === 0 ||
    part.scaleY === 0 ||
    Math.abs(part.turnX) === 90 ||
    Math.abs(part.turnY) === 90 ||
    off ||
    !!cut ||
    (part.mask !== null && area(part.mask) < 1e-6) ||
    part.typed === 0 ||
    part.counted === 0 ||
    (part.drawn !== null && part.drawn.lines === 0 && part.drawn.filled === 0)
  )
}

/** The numbers of a frame by name, for comparing one with the next. */
function numbersOf(part: PartFrame): Record<string, number> {
  // What a part turns about shows only once it has turned.
  const { cut, mask, tint, strokes, drawn, strides, visible: _, originX: __, originY: ___, ...plain } = part
  return {
    ...plain,
    ...Object.fromEntries(Object.entries(cut ?? { top: 0, right: 0, bottom: 0, left: 0 }).map(([side, value]) => [`cut ${side}`, value])),
    tint: tint?.amount ?? 0,
    stroke: (strokes?.[0]?.drawn ?? 0) * (strokes?.[0]?.opacity ?? 0),
    come: (drawn?.come ?? drawing.length) / drawing.length,
    filled: drawn?.filled ?? 1,
    strides: strides?.count ?? 0,
    seen: mask ? Math.min(1, area(mask)) : 1,
  }
}

/** The share of its whole way that the quickest of a frame's numbers goes in one of so many steps. */
function greatestStep(at: (progress: number) => Record<string, number>, steps: number): number {
  const samples = Array.from({ length: steps + 1 }, (_, index) => at(index / steps))
  return Math.max(
    ...Object.keys(samples[0]!).map(name => {
      const values = samples.map(sample => sample[name]!)
      const whole = Math.max(...values) - Math.min(...values)
      return whole < 1e-9 ? 0 : Math.max(...values.slice(1).map((value, index) => Math.abs(value - values[index]!))) / whole
    }),
  )
}

it('there are enough of every use, each with a name of its own', () => {
  expect(used('enter').length).toBeGreaterThanOrEqual(18)
  expect(used('emphasis').length).toBeGreaterThanOrEqual(12)
  expect(used('move').length).toBeGreaterThanOrEqual(6)
  expect(new Set(effects.map(effect => effect.name)).size).toBe(effects.length)
  for (const what of ['enter', 'emphasis', 'move', 'exit'] as const)
    expect(new Set(effectsFor(what, 'text').map(effect => effect.label)).size).toBe(effectsFor(what, 'text').length)
})

describe.each(used('enter'))('coming by %s', (_, effect) => {
  it('ends exactly at rest and begins unseen, however it is set', () => {
    fc.assert(
      fc.property(anyOptions(effect), options => {
        expect(isAtRest({ ...after(effect, 1, options), originX: 0.5, originY: 0.5 })).toBe(true)
        // What turns by less than a right angle is faint at first.
        expect(isUnseen(after(effect, 0, options))).toBe(true)
      }),
    )
  })
})

describe.each(used('emphasis'))('drawing the eye by %s', (_, effect) => {
  it('begins at rest, and ends there unless it stays', () => {
    fc.assert(
      fc.property(anyOptions(effect), options => {
        const [start, end] = [0, 1].map(progress => {
          const [part, others, camera] = [after(effect, progress, options), restingPart(), restingCamera(room.size)]
          effect.applyToOthers?.(others, progress, options)
          effect.applyToCamera?.(camera, progress, options, room)
          return (
            isAtRest({ ...part, originX: 0.5, originY: 0.5, opacity: Math.abs(part.opacity - 1) < 1e-9 ? 1 : part.opacity }) &&
            isAtRest(others) &&
            Math.abs(camera.scale - 1) < 1e-9
          )
        })
        expect(start).toBe(true)
        if (!effect.stays?.(options)) expect(end).toBe(true)
      }),
    )
  })
})

describe.each(used('move'))('moving by %s', (_, effect) => {
  it('begins where the part is', () => {
    fc.assert(
      fc.property(anyOptions(effect), options => {
        const part = after(effect, 0, options)
        for (const [name, value] of Object.entries(numbersOf(restingPart()))) expect(numbersOf(part)[name], name).toBeCloseTo(value, 6)
      }),
    )
  })
})

describe.each(effects.map(effect => [effect.name, effect] as const))('%s', (_, effect) => {
  it('never jumps: no number goes more than a twelfth of its way in a 400th of the time', () => {
    // A path with corners turns at once where it has them; all else is even.
    expect(greatestStep(progress => numbersOf(after(effect, progress)), 400)).toBeLessThan(1 / 12)
  })

  it('has a finite frame whatever it is set to and however far its pace runs over', () => {
    fc.assert(
      fc.property(anyOptions(effect), fc.double({ min: -0.6, max: 1.8, noNaN: true }), (options, progress) => {
        for (const value of Object.values(numbersOf(after(effect, progress, options)))) expect(Number.isFinite(value)).toBe(true)
        for (const stroke of after(effect, progress, options).strokes ?? []) expect(stroke.path).not.toMatch(/NaN|undefined/)
      }),
    )
  })
})

describe('a colour as an option', () => {
  it('is read back as it was chosen, tint and transparency with it; what is none is the first accent', () => {
    const tinting = effects.find(effect => effect.name === 'tint')!
    for (const color of [
      { role: 'accent4' },
      { hex: '#12615c' },
      { role: 'ink', tint: 0.3 },
      { role: 'accent2', tint: -0.6, alpha: 0.5 },
      { hex: '#ffffff', alpha: 0.2 },
    ] as Color[]) {
      expect(colorOption(tinting, { color: colorValue(color) }, 'color')).toEqual(color)
    }
    for (const wrong of ['mauve', '#12', '{"role":"mauve"}', '{', ''])
      expect(colorOption(tinting, { color: wrong }, 'color')).toEqual({ role: 'accent1' })
  })
})

describe('falling', () => {
  it('starts at its height, touches the ground once more than it bounces, and lies still', () => {
    for (const bounces of [0, 1, 2, 4]) {
      expect(fallen(0, bounces)).toBe(1)
      expect(fallen(1, bounces)).toBe(0)
      const heights = Array.from({ length: 4001 }, (_, index) => fallen(index / 4000, bounces))
      expect(Math.min(...heights)).toBeGreaterThanOrEqual(-1e-9)
      const touches = heights.filter(
        (height, index) => index > 0 && index < 4000 && height <= heights[index - 1]! && height < heights[index + 1]!,
      ).length
      expect(touches).toBe(bounces)
    }
  })
})

describe('a path', () => {
  it('is gone along evenly: equal shares are equal lengths', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('M0 0L300 400', 'M0 0C150 -200 350 200 500 0', 'M0 0Q200 300 400 0T800 0', 'M0 0a200 200 0 0 1 400 0'),
        share,
        (data, at) => {
          const path = measurePath(data)
          const step = 0.01
          const [from, to] = [path.at(at * (1 - step)), path.at(at * (1 - step) + step)]
          // A chord is at most its arc, and hardly less over so short a way.
          const chord = Math.hypot(to.x - from.x, to.y - from.y)
          expect(chord).toBeLessThanOrEqual(path.length * step * 1.001)
          expect(chord).toBeGreaterThan(path.length * step * 0.9)
        },
      ),
    )
  })

  it('is as long as geometry says, and one that cannot be read stands still', () => {
    expect(measurePath('M0 0L300 400').length).toBeCloseTo(500, 6)
    expect(measurePath('M0 0a100 100 0 0 1 200 0').length).toBeCloseTo(Math.PI * 100, 0)
    expect(measurePath('M0 0h100v100H0z').length).toBeCloseTo(400, 6)
    expect(measurePath('no path').at(0.7)).toEqual({ x: 0, y: 0, angle: 0 })
  })
})

/** A slide with words that some cues move, in one beat, and another text beside them. */
function played(cues: readonly Partial<Parameters<typeof cue>[0]>[]) {
  const base = freshDeck()
  const slide = slidesOf(base)[0]!.id
  const deck = applyChanges(base, [
    putRecord('elements', textElement('words', slide, ['Quay'])),
    putRecord('elements', textElement('beside', slide, ['Boats'])),
    putRecord('beats', beat({ id: 'b', slide, order: 'z0' })),
    putRecord('beats', beat({ id: 'later', slide, order: 'z1' })),
    ...cues.map((own, index) => putRecord('cues', cue({ id: `c${index}`, beat: 'b', element: 'words', order: `a${index}`, ...own }))),
  ])
  const score = compileSlide(deck, slide, timingContext)
  const at = score.beats.findIndex(entry => entry.beat.id === 'b')
  return { score, frame: (seconds: number, later = 0) => frameAt(score, { beat: at + later, seconds }), end: score.beats[at]!.moves }
}
const emphasis = { what: 'emphasis' as const, duration: 2 }

describe('an emphasis in its beat', () => {
  it('that stays is seen until the slide ends; one that does not is gone', () => {
    for (const stays of [true, false]) {
      const { frame } = played([{ ...emphasis, effect: 'underline', options: { stays } }])
      expect(frame(1).elements.get('words')!.whole.strokes).toHaveLength(1)
      expect(frame(3).elements.get('words')?.whole.strokes?.[0]?.drawn).toBe(stays ? 1 : undefined)
      expect(frame(0, 1).elements.get('words')?.whole.strokes?.[0]?.drawn).toBe(stays ? 1 : undefined)
    }
  })

  it('marks the lines of words, not the box they stand in', () => {
    const { frame, score } = played([{ ...emphasis, effect: 'marker' }])
    const lines = score.tracks.get('words')!.lines
    expect(lines).toHaveLength(1)
    expect(lines[0]!.width).toBeLessThan(score.tracks.get('words')!.element.box.width / 2)
    const xs = [
      ...frame(1)
        .elements.get('words')!
        .whole.strokes![0]!.path.matchAll(/(-?[\d.]+) -?[\d.]+/g),
    ].map(match => Number(match[1]))
    expect(Math.max(...xs)).toBeLessThan(lines[0]!.x + lines[0]!.width + 20)
  })

  it('opens and turns about the words, not the box they stand in', () => {
    const about = (effect: string, options: Record<string, string>, share: number) => {
      const { frame, score } = played([{ ...emphasis, what: 'enter', effect, options, duration: 2 }])
      const { seen, element } = score.tracks.get('words')!
      return { part: frame(2 * share).elements.get('words')!.whole, seen, box: element.box }
    }
    const { part: cut, seen, box } = about('wipe', { from: 'left' }, 0.5)
    expect(seen.width).toBeLessThan(box.width / 2)
    const edge = (1 - cut.cut!.right) * box.width
    expect(edge).toBeGreaterThan(seen.x)
    expect(edge).toBeLessThan(seen.x + seen.width)
    expect(cut.cut).toMatchObject({ top: 0, bottom: 0, left: 0 })
    const xs = about('aperture', {}, 0.3).part.mask!.map(([x]) => x * box.width)
    expect((Math.min(...xs) + Math.max(...xs)) / 2).toBeCloseTo(seen.x + seen.width / 2, 3)
    const { part: grown } = about('grow', { from: 'middle' }, 0.4)
    expect(grown.originX * box.width).toBeCloseTo(seen.x + seen.width / 2, 6)
  })

  it('dims all others and not itself, and gives their light back', () => {
    const { frame } = played([{ ...emphasis, effect: 'dim-rest' }])
    expect(frame(1).elements.get('beside')!.whole.opacity).toBeCloseTo(0.25, 6)
    expect(frame(1).elements.get('words')).toBeUndefined()
    expect(frame(2.01).elements.size).toBe(0)
  })

  it('goes closer to what it is about without showing what lies beyond the slide', () => {
    const { frame, score } = played([{ ...emphasis, effect: 'zoom-to', easing: { kind: 'linear' } }])
    expect(frame(0).camera).toBeNull()
    const camera = frame(1).camera!
    expect(camera.scale).toBeGreaterThan(1)
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 1.98, noNaN: true }), seconds => {
        const { camera: now } = frame(seconds)
        if (!now) return
        const { width, height } = score.size
        expect(now.x - width / 2 / now.scale).toBeGreaterThanOrEqual(-0.5)
        expect(now.x + width / 2 / now.scale).toBeLessThanOrEqual(width + 0.5)
        expect(now.y - height / 2 / now.scale).toBeGreaterThanOrEqual(-0.5)
        expect(now.y + height / 2 / now.scale).toBeLessThanOrEqual(height + 0.5)
      }),
    )
    expect(frame(2.01).camera).toBeNull()
  })

  it('never flashes more than three times in a second, however short it is asked to be', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...effectsFor('emphasis', 'text').map(effect => effect.name)),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 1, max: 6 }),
        fc.double({ min: 0.01, max: 0.5, noNaN: true }),
        (effect, times, repeat, duration) => {
          const { frame, end } = played([{ what: 'emphasis', effect, options: { times }, repeat, duration, easing: { kind: 'linear' } }])
          const step = 1 / 240
          const light = Array.from({ length: Math.ceil(end / step) + 1 }, (_, index) => {
            const whole = frame(index * step).elements.get('words')?.whole
            return (whole?.opacity ?? 1) - (whole?.tint?.amount ?? 0) * 0.5
          })
          const dips = light.flatMap((value, index) =>
            index > 0 && value < light[index - 1]! && value <= (light[index + 1] ?? 2) && light[index + 1] !== value ? [index * step] : [],
          )
          for (const [index, at] of dips.entries())
            expect(dips.slice(index).filter(other => other < at + 0.999).length).toBeLessThanOrEqual(3)
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('an effect that is not known here, or is not for what it is used for', () => {
  it('leaves what stands there at rest at every moment: nothing flashes, leaps or vanishes', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('emphasis' as const, 'move' as const),
        fc.oneof(fc.constantFrom('of-a-later-version', ''), fc.constantFrom(...effects.map(effect => effect.name))),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (what, effect, at) => {
          fc.pre(!effects.some(known => known.name === effect && known.whats.includes(what)))
          const { frame } = played([{ what, effect, duration: 1 }])
          const whole = frame(at).elements.get('words')?.whole
          expect(!whole || isAtRest(whole)).toBe(true)
        },
      ),
    )
  })

  it('fades what comes and goes, so that it is there when it should be', () => {
    for (const effect of ['of-a-later-version', 'pulse']) {
      const { frame } = played([{ what: 'enter', effect, duration: 1, easing: { kind: 'linear' } }])
      expect(frame(0.5).elements.get('words')!.whole.opacity).toBeCloseTo(0.5, 6)
      expect(frame(1.01).elements.get('words')?.whole.visible ?? true).toBe(true)
    }
  })
})

describe('to and fro', () => {
  it('comes back to where it was after an even number of times, and is there after an odd one', () => {
    for (const repeat of [1, 2, 3, 4]) {
      const { frame } = played([{ what: 'move', effect: 'move-line', options: { x: 100, y: 0 }, duration: 1, repeat, back: true }])
      expect(frame(0.5).elements.get('words')!.whole.x).toBeCloseTo(50, 6)
      if (repeat > 1) expect(frame(1.25).elements.get('words')!.whole.x).toBeCloseTo(75, 6)
      expect(frame(repeat + 1).elements.get('words')?.whole.x ?? 0).toBeCloseTo(repeat % 2 ? 100 : 0, 6)
    }
  })
})
