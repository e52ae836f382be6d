import { cssColor } from '#core/color'
import type { Theme } from '#core/model'
import { countedText } from '#core/text'
import { restingPart, type ElementFrame, type Frame, type PartFrame, type Polygon, type Stroke, type WordsMoment } from '#core/timing'
import { applyDrawn } from './hand-drawing'
import type { Redraw } from './host'
import { tintFilter } from './tint-filter'

type Palette = Theme['palette']

/** The DOM nodes of one element, kept from when it was rendered. */
export interface ElementNodes {
  /** What moves as a whole. */
  moving: HTMLElement
  /** By part index, the nodes that make it up. */
  parts: (HTMLElement | SVGElement)[][]
  /** Runs that may hold numbers, with what they say at rest. */
  runs: { node: HTMLElement; text: string; part: number }[]
  /** Of a text that says something else later: its own words, then the others in turn. */
  said: HTMLElement[]
  /** Draws what draws itself, as a chart or a film; null where it is none. */
  redraw: Redraw | null
}

const rest = restingPart()
const applied = new WeakMap<Element, PartFrame>()

const round = (value: number) => Math.round(value * 1000) / 1000

/** How far from the slide what turns in space is seen, px of deck space. */
const eye = 1600

function transformOf(part: PartFrame): string {
  let css = ''
  if (part.x || part.y) css += `translate(${round(part.x)}px,${round(part.y)}px)`
  if (part.turnX || part.turnY) css += `perspective(${eye}px) rotateX(${round(part.turnX)}deg) rotateY(${round(part.turnY)}deg)`
  if (part.rotate) css += `rotate(${round(part.rotate)}deg)`
  if (part.scaleX !== 1 || part.scaleY !== 1) css += `scale(${round(part.scaleX)},${round(part.scaleY)})`
  return css
}

const percent = (share: number) => `${round(share * 100)}%`

/** The CSS of a polygon in shares of a box. */
export const polygonCss = (polygon: Polygon) => `polygon(${polygon.map(([x, y]) => `${percent(x)} ${percent(y)}`).join(',')})`

function applyPart(node: HTMLElement | SVGElement, part: PartFrame, palette: Palette) {
  const before = applied.get(node) ?? rest
  if (before === part) return
  const style = node.style
  if (!part.visible) {
    // All else stays written on the node, and so remembered, until it is seen again.
    if (before.visible) {
      style.visibility = 'hidden'
      applied.set(node, { ...before, visible: false })
    }
    return
  }
  applied.set(node, part)
  if (!before.visible) style.visibility = ''
  if (before.opacity !== part.opacity) style.opacity = part.opacity === 1 ? '' : String(round(part.opacity))
  if (before.cut !== part.cut || before.mask !== part.mask)
    style.clipPath = part.mask
      ? polygonCss(part.mask)
      : part.cut
        ? `inset(${percent(part.cut.top)} ${percent(part.cut.right)} ${percent(part.cut.bottom)} ${percent(part.cut.left)})`
        : ''
  if (before.blur !== part.blur || before.tint !== part.tint) {
    const tint = part.tint && tintFilter(node, cssColor(part.tint.color, palette), part.tint.amount)
    style.filter = [part.blur ? `blur(${round(part.blur)}px)` : '', tint ?? ''].filter(Boolean).join(' ')
  }
  if (node.classList.contains('chart-mark')) {
    applyMark(node, part)
    return
  }
  const transform = transformOf(part)
  if (style.transform !== transform) style.transform = transform
  if (before.originX !== part.originX || before.originY !== part.originY)
    style.transformOrigin = `${percent(part.originX)} ${percent(part.originY)}`
}

/** The marks of a part grow from where they stand; an amount rides on the end of its mark, and a name stands still. */
function applyMark(group: HTMLElement | SVGElement, part: PartFrame) {
  group.style.transform = `${part.x || part.y ? `translate(${round(part.x)}px,${round(part.y)}px)` : ''}${part.rotate ? `rotate(${round(part.rotate)}deg)` : ''}`
  const marks = group.querySelectorAll<SVGElement>(':scope > [data-reach-x]')
  // What grows upwards by itself is told so by the frame; what grows otherwise does by as much in its own way.
  const scaleOf = (mark: SVGElement): [number, number] => {
    const { grows } = mark.dataset
    if (!grows || part.scaleX !== 1 || part.scaleY === 1) return [part.scaleX, part.scaleY]
    return grows === 'x' ? [part.scaleY, 1] : [part.scaleY, part.scaleY]
  }
  for (const mark of marks) {
    const [x, y] = scaleOf(mark)
    mark.style.transform = x !== 1 || y !== 1 ? `scale(${round(x)},${round(y)})` : ''
  }
  const last = marks[marks.length - 1]
  const [across, up] = last ? scaleOf(last) : [1, 1]
  const x = last ? (across - 1) * Number(last.dataset.reachX) : 0
  const y = last ? (up - 1) * Number(last.dataset.reachY) : 0
  for (const label of group.querySelectorAll<SVGTextElement>('.chart-label[data-kind=value]')) {
    label.style.transform = x || y ? `translate(${round(x)}px,${round(y)}px)` : ''
    label.style.opacity = part.scaleY < 0.15 ? '0' : ''
  }
}

const svgSpace = 'http://www.w3.org/2000/svg'

/** Draws the strokes that lie over an element, or beneath it, in a drawing of their own. */
function applyStrokes(moving: HTMLElement, strokes: readonly Stroke[], beneath: boolean, palette: Palette) {
  const wanted = strokes.filter(stroke => stroke.beneath === beneath)
  const name = beneath ? 'stage-strokes-beneath' : 'stage-strokes'
  let drawing = moving.querySelector<SVGSVGElement>(`:scope > .${name}`)
  if (!drawing) {
    if (!wanted.length) return
    drawing = document.createElementNS(svgSpace, 'svg')
    drawing.setAttribute('class', name)
    drawing.setAttribute('aria-hidden', 'true')
    if (beneath) moving.prepend(drawing)
    else moving.append(drawing)
  }
  while (drawing.childElementCount > wanted.length) drawing.lastElementChild!.remove()
  wanted.forEach((stroke, index) => {
    let path = drawing.children[index] as SVGPathElement | undefined
    if (!path) {
      path = document.createElementNS(svgSpace, 'path')
      path.setAttribute('pathLength', '1')
      drawing.append(path)
    }
    path.setAttribute('d', stroke.path)
    path.style.stroke = cssColor(stroke.color, palette)
    path.style.strokeWidth = String(stroke.width)
    // A gap longer than the stroke, so that its round end does not show before it begins.
    path.style.strokeDasharray = `${round(stroke.drawn)} 2`
    path.style.visibility = stroke.drawn > 0 ? '' : 'hidden'
    path.style.opacity = String(round(stroke.opacity))
  })
}

/** How far words move as others take their place, as a share of their box's height. */
const wordWay = 0.35

/** Shows which words a text says, and those that go while others come. */
function applyWords(said: readonly HTMLElement[], words: WordsMoment | null) {
  const [from, to, progress] = words ? [words.from + 1, words.to + 1, words.progress] : [0, 0, 1]
  said.forEach((node, index) => {
    const share = index === to ? progress : index === from ? 1 - progress : 0
    // Words that come from a side pass each other; those that fade take turns, so that they never lie on each other at their darkest.
    const opacity = words?.way ? share : Math.max(0, 2 * share - 1)
    node.style.opacity = String(round(Math.min(1, Math.max(0, opacity))))
    const shift = words?.way && progress < 1 ? words.way * wordWay * (index === to ? 1 - progress : -progress) * 100 : 0
    node.style.transform = shift && share > 0 ? `translateY(${round(shift)}%)` : ''
  })
}

/** Strokes over and beneath an element, and its own drawing, where they have changed since they were last applied. */
function applyDrawing(moving: HTMLElement, { strokes, drawn }: PartFrame, before: PartFrame, palette: Palette) {
  if (strokes !== before.strokes) for (const beneath of [true, false]) applyStrokes(moving, strokes ?? [], beneath, palette)
  if (drawn !== before.drawn) applyDrawn(moving, drawn ?? null, palette)
}

/** Numbers in words, as far as they have been counted. */
function applyCounts(runs: ElementNodes['runs'], frame: ElementFrame | undefined) {
  for (const { part, text, node } of runs) {
    const share = (frame?.whole.counted ?? 1) * (frame?.parts?.[part]?.counted ?? 1)
    const now = countedText(text, share)
    if (node.textContent !== now) node.textContent = now
  }
}

/** Applies what differs from rest to an element's nodes; undefined brings it to rest. Only what changed is written. */
export function applyElementFrame(nodes: ElementNodes, frame: ElementFrame | undefined, palette: Palette, voice?: Frame['voice']) {
  const before = applied.get(nodes.moving) ?? rest
  const whole = frame?.whole ?? rest
  applyPart(nodes.moving, whole, palette)
  nodes.redraw?.(frame && whole.visible ? frame : null, voice)
  // Of what is not seen nothing is drawn, just as nothing else of it is written.
  if (!whole.visible) return
  applyDrawing(nodes.moving, whole, before, palette)
  nodes.parts.forEach((list, index) => {
    const part = frame?.parts?.[index] ?? rest
    for (const node of list) applyPart(node, part, palette)
  })
  if (nodes.said.length > 1) applyWords(nodes.said, frame?.words ?? null)
  applyCounts(nodes.runs, frame)
}
