// @vitest-environment jsdom
import fc from 'fast-check'
import { beforeEach, describe, expect, it } from 'vitest'
import { houseTheme } from '#core/layouts'
import { handDrawing } from '#core/drawing'
import { effects, restingPart, type ElementFrame, type PartFrame } from '#core/timing'
import { applyElementFrame, polygonCss, type ElementNodes } from './apply-frame'

const { palette } = houseTheme
let nodes: ElementNodes
beforeEach(() => {
  document.body.innerHTML =
    '<div class="stage-slide"><div class="stage-moving"><span class="stage-run" data-part="0">One</span><span ' +
    'class="stage-run" data-part="1">Two 20</span></div></div>'
  const moving = document.querySelector<HTMLElement>('.stage-moving')!
  const parts = [...moving.querySelectorAll<HTMLElement>('span')]
  nodes = { moving, parts: parts.map(node => [node]), runs: [{ node: parts[1]!, text: 'Two 20', part: 1 }], said: [], redraw: null }
})
const whole = (fields: Partial<PartFrame>, parts: readonly Partial<PartFrame>[] | null = null): ElementFrame => ({
  whole: { ...restingPart(), ...fields },
  parts: parts && parts.map(part => ({ ...restingPart(), ...part })),
  partsBy: null,
  chart: null,
  media: null,
})
const show = (frame: ElementFrame | undefined) => applyElementFrame(nodes, frame, palette)
const styleOf = (node: Element) => node.getAttribute('style') ?? ''

describe('a frame on an element', () => {
  it('moves, turns, grows, blurs and hides it, and at rest leaves nothing of that behind', () => {
    show(whole({ x: 12, y: -4, rotate: 30, scaleX: 2, scaleY: 0.5, opacity: 0.4, blur: 3, originX: 0, originY: 1 }))
    const { style } = nodes.moving
    expect(style.transform.replace(/ /g, '')).toBe('translate(12px,-4px)rotate(30deg)scale(2,0.5)')
    expect([style.opacity, style.filter, style.transformOrigin]).toEqual(['0.4', 'blur(3px)', '0% 100%'])
    show(whole({ visible: false }))
    expect(style.visibility).toBe('hidden')
    show(undefined)
    expect([style.transform, style.opacity, style.filter, style.visibility, style.clipPath]).toEqual(['', '', '', '', ''])
  })

  it('turns it in space from one distance, whatever its own size', () => {
    show(whole({ turnX: 20, turnY: -45 }))
    expect(nodes.moving.style.transform.replace(/ /g, '')).toBe('perspective(1600px)rotateX(20deg)rotateY(-45deg)')
  })

  it('shows what a cut or a mask leaves of it; a mask goes first', () => {
    show(whole({ cut: { top: 0, right: 0.25, bottom: 0, left: 0.1 } }))
    expect(nodes.moving.style.clipPath).toBe('inset(0% 25% 0% 10%)')
    show(
      whole({
        cut: { top: 0, right: 0.25, bottom: 0, left: 0.1 },
        mask: [
          [0, 0],
          [1, 0],
          [0.5, 1],
        ],
      }),
    )
    expect(nodes.moving.style.clipPath).toBe(
      polygonCss([
        [0, 0],
        [1, 0],
        [0.5, 1],
      ]),
    )
    expect(nodes.moving.style.clipPath).toContain('polygon(')
  })

  it('goes to each of its parts, and those that have none stand as composed', () => {
    show(whole({}, [{ opacity: 0.5 }, {}]))
    expect(nodes.parts[0]![0]!.style.opacity).toBe('0.5')
    expect(nodes.parts[1]![0]!.style.opacity).toBe('')
    show(undefined)
    expect(nodes.parts[0]![0]!.style.opacity).toBe('')
  })

  it('lets numbers count, in the whole and in the part, and ends on the words themselves', () => {
    show(whole({ counted: 0.5 }))
    expect(nodes.runs[0]!.node.textContent).toBe('Two 10')
    show(whole({ counted: 0.5 }, [{}, { counted: 0.5 }]))
    expect(nodes.runs[0]!.node.textContent).toBe('Two 5')
    show(undefined)
    expect(nodes.runs[0]!.node.textContent).toBe('Two 20')
  })
})

describe('a tint', () => {
  it('is laid over by one filter of the element’s own, changed and not made anew, and taken away at rest', () => {
    for (const amount of [0.2, 0.5, 0.9]) show(whole({ tint: { color: { hex: '#aa3300' }, amount } }))
    const floods = document.querySelectorAll('feFlood')
    expect(floods).toHaveLength(1)
    expect(floods[0]!.getAttribute('flood-opacity')).toBe('0.9')
    expect(nodes.moving.style.filter).toContain(`#${document.querySelector('filter')!.id}`)
    show(whole({ tint: { color: { hex: '#aa3300' }, amount: 0.9 }, blur: 2 }))
    expect(nodes.moving.style.filter).toMatch(/^blur\(2px\) url/)
    show(undefined)
    expect(nodes.moving.style.filter).toBe('')
  })
})

describe('strokes', () => {
  const stroke = (fields: object) => ({
    path: 'M0 0L10 0',
    color: { role: 'accent1' as const },
    width: 4,
    drawn: 0.5,
    opacity: 1,
    beneath: false,
    ...fields,
  })

  it('are drawn over the element or beneath it, as far as they have come, and are gone at rest', () => {
    show(whole({ strokes: [stroke({}), stroke({ beneath: true, width: 40 })] }))
    const [first, last] = [nodes.moving.firstElementChild!, nodes.moving.lastElementChild!]
    expect([first.getAttribute('class'), last.getAttribute('class')]).toEqual(['stage-strokes-beneath', 'stage-strokes'])
    const path = last.querySelector('path')!
    expect(path.getAttribute('d')).toBe('M0 0L10 0')
    expect(path.style.strokeDasharray).toBe('0.5 2')
    show(whole({ strokes: [stroke({ drawn: 1 })] }))
    expect(path.style.strokeDasharray).toBe('1 2')
    expect(first.querySelector('path')).toBeNull()
    show(undefined)
    expect(nodes.moving.querySelectorAll('path')).toHaveLength(0)
  })

  it('of what is not seen leave nothing behind', () => {
    show(whole({ visible: false, strokes: [stroke({ drawn: 1 })] }))
    show(undefined)
    expect(nodes.moving.querySelectorAll('path')).toHaveLength(0)
  })

  it('that have not begun show nothing, not even their round end', () => {
    show(whole({ strokes: [stroke({ drawn: 0 })] }))
    expect(nodes.moving.querySelector('path')!.style.visibility).toBe('hidden')
  })
})

describe('whatever is shown before', () => {
  it('a frame looks the same: seeking is playing, on the nodes as well', () => {
    const room = {
      box: { x: 100, y: 100, width: 400, height: 100, angle: 0 },
      size: { width: 1920, height: 1080 },
      lines: [{ x: 0, y: 0, width: 300, height: 60 }],
    }
    const at = (index: number, progress: number): ElementFrame => {
      const part = restingPart()
      effects[index % effects.length]!.apply(part, progress, {}, room)
      part.visible = index % 7 !== 0
      return { whole: part, parts: null, partsBy: null, chart: null, media: null }
    }
    const share = fc.double({ min: 0, max: 1, noNaN: true })
    // To turn about the middle is the same written out or not.
    const written = (css: string) =>
      css
        .split(';')
        .map(line => line.trim())
        .filter(line => line && !line.startsWith('transform-origin: 50% 50%'))
        .sort()
    const look = () => nodes.moving.outerHTML.replace(/stage-tint-\d+/g, 'stage-tint')
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(), share), { minLength: 1, maxLength: 5 }), fc.nat(), share, (before, effect, progress) => {
        show(undefined)
        show(at(effect, progress))
        const alone = look()
        const plain = styleOf(nodes.moving)
        show(undefined)
        for (const [other, moment] of before) show(at(other, moment))
        show(at(effect, progress))
        if (!at(effect, progress).whole.visible) {
          expect(nodes.moving.style.visibility).toBe('hidden')
          return
        }
        expect(written(styleOf(nodes.moving))).toEqual(written(plain))
        expect(look().match(/<path/g)?.length ?? 0).toBe(alone.match(/<path/g)?.length ?? 0)
      }),
      { numRuns: 200 },
    )
  })
})

describe('an element that a hand draws', () => {
  const drawing = handDrawing([
    { d: 'M0 0H100', color: '#112233', width: 2 },
    { d: 'M0 50H100', color: '#112233', width: 2, covers: '#ffffff' },
    { d: 'M0 90H100', color: '#112233', width: 2 },
  ])
  const drawn = (come: number, more: object = {}) =>
    whole({
      drawn: { drawing, come, lines: 1, thick: 1, color: null, filled: 0, sweeps: false, nib: { name: 'pencil', x: 10, y: 20 }, ...more },
    })
  const lines = () => [...nodes.moving.querySelectorAll<SVGPathElement>('.stage-drawing-lines path')]
  const seen = () =>
    lines().map(path =>
      path.style.visibility === 'hidden' ? 0 : path.style.strokeDasharray ? Number(path.style.strokeDasharray.split(' ')[0]) : 1,
    )

  it('shows strokes as far as the hand has come, whatever it was sought from, over content that is not there yet', () => {
    show(drawn(50))
    expect(seen()).toEqual([0.5, 0, 0])
    expect(styleOf(nodes.parts[0]![0]!)).toContain('opacity: 0')
    expect(nodes.moving.querySelectorAll('.stage-nib path').length).toBeGreaterThan(0)
    show(drawn(drawing.length))
    expect(seen()).toEqual([1, 1, 1])
    expect(lines()[1]!.style.fill).not.toBe('')
    show(drawn(drawing.ends[1]!))
    expect(seen()).toEqual([1, 1, 0])
    show(drawn(0))
    expect(seen()).toEqual([0, 0, 0])
    expect(lines()[1]!.style.fill).toBe('')
  })

  it('lets the colour come after, softly or swept on, and leaves nothing behind', () => {
    show(drawn(drawing.length, { filled: 0.5, nib: null }))
    expect(nodes.parts[0]![0]!.style.opacity).toBe('0.5')
    expect((nodes.moving.querySelector('.stage-nib') as HTMLElement).style.visibility).toBe('hidden')
    show(drawn(drawing.length, { filled: 0.5, sweeps: true, nib: null }))
    expect(nodes.parts[0]![0]!.style.clipPath).toContain('polygon(')
    show(undefined)
    expect(nodes.moving.querySelector('.stage-drawing')).toBeNull()
    expect([nodes.parts[0]![0]!.style.opacity, nodes.parts[0]![0]!.style.clipPath]).toEqual(['', ''])
  })

  it('draws in one colour and in another thickness where that is asked for', () => {
    show(drawn(10, { color: { hex: '#aa0000' }, thick: 3 }))
    expect(lines()[0]!.style.strokeWidth).toBe('6')
    expect(lines()[0]!.style.stroke).not.toBe('#112233')
  })
})

describe('a text that says something else', () => {
  it('shows one of its words at rest, and passes from one to the other', () => {
    nodes.said = Array.from({ length: 3 }, () => nodes.moving.appendChild(document.createElement('div')))
    const opacities = () => nodes.said.map(node => Number(node.style.opacity))
    show(undefined)
    expect(opacities()).toEqual([1, 0, 0])
    show({ ...whole({}), words: { from: -1, to: 0, progress: 0.5, way: 0 } })
    expect(opacities()).toEqual([0, 0, 0])
    show({ ...whole({}), words: { from: 0, to: 1, progress: 0.25, way: 1 } })
    expect(opacities()).toEqual([0, 0.75, 0.25])
    expect(nodes.said[2]!.style.transform).toContain('translateY(26.25%)')
    show({ ...whole({}), words: { from: 0, to: 1, progress: 1, way: 1 } })
    expect(opacities()).toEqual([0, 0, 1])
    expect(nodes.said[2]!.style.transform).toBe('')
  })
})
