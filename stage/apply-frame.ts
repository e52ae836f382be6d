import { countedText } from '#core/text'
import { restingPart, type ElementFrame, type PartFrame } from '#core/timing'

/** The DOM nodes of one element, kept from when it was rendered. */
export interface ElementNodes {
  /** What moves as a whole. */
  moving: HTMLElement
  /** By part index, the nodes that make it up. */
  parts: (HTMLElement | SVGElement)[][]
  /** Runs that may hold numbers, with what they say at rest. */
  runs: { node: HTMLElement, text: string, part: number }[]
  /** Draws a chart on its way between states; null where it is none. */
  redraw: ((chart: ElementFrame['chart']) => void) | null
}

const rest = restingPart()
const applied = new WeakMap<Element, PartFrame>()

const round = (value: number) => Math.round(value * 1000) / 1000

function transformOf(part: PartFrame): string {
  let css = ''
  if (part.x || part.y) css += `translate(${round(part.x)}px,${round(part.y)}px)`
  if (part.rotate) css += `rotate(${round(part.rotate)}deg)`
  if (part.scaleX !== 1 || part.scaleY !== 1) css += `scale(${round(part.scaleX)},${round(part.scaleY)})`
  return css
}

const percent = (share: number) => `${round(share * 100)}%`

function applyPart(node: HTMLElement | SVGElement, part: PartFrame) {
  const before = applied.get(node) ?? rest
  if (before === part) return
  applied.set(node, part)
  const style = node.style
  if (before.visible !== part.visible) style.visibility = part.visible ? '' : 'hidden'
  if (!part.visible) return
  if (before.opacity !== part.opacity) style.opacity = part.opacity === 1 ? '' : String(round(part.opacity))
  if (before.cut !== part.cut) style.clipPath = part.cut ? `inset(${percent(part.cut.top)} ${percent(part.cut.right)} ${percent(part.cut.bottom)} ${percent(part.cut.left)})` : ''
  if (before.blur !== part.blur) style.filter = part.blur ? `blur(${round(part.blur)}px)` : ''
  if (node.classList.contains('chart-mark')) {
    applyMark(node, part)
    return
  }
  const transform = transformOf(part)
  if (style.transform !== transform) style.transform = transform
  if (before.originX !== part.originX || before.originY !== part.originY) style.transformOrigin = `${percent(part.originX)} ${percent(part.originY)}`
}

/** A mark of a chart grows from its baseline; its amount rides on its end and its name stands still. */
function applyMark(group: HTMLElement | SVGElement, part: PartFrame) {
  group.style.transform = part.x || part.y ? `translate(${round(part.x)}px,${round(part.y)}px)` : ''
  const bar = group.querySelector<SVGRectElement>('.chart-bar')
  if (!bar) return
  bar.style.transform = part.scaleX !== 1 || part.scaleY !== 1 ? `scale(${round(part.scaleX)},${round(part.scaleY)})` : ''
  const shift = (1 - part.scaleY) * Number(bar.getAttribute('height')) * (bar.style.transformOrigin.endsWith('100%') || bar.style.transformOrigin.endsWith('100% 0px') ? 1 : -1)
  for (const label of group.querySelectorAll<SVGTextElement>('.chart-label[data-kind=value]')) {
    label.style.transform = shift ? `translate(0,${round(shift)}px)` : ''
    label.style.opacity = part.scaleY < 0.15 ? '0' : ''
  }
}

/** Applies what differs from rest to an element's nodes; undefined brings it to rest. Only what changed is written. */
export function applyElementFrame(nodes: ElementNodes, frame: ElementFrame | undefined) {
  applyPart(nodes.moving, frame?.whole ?? rest)
  if (frame && !frame.whole.visible) return
  nodes.redraw?.(frame?.chart ?? null)
  nodes.parts.forEach((list, index) => {
    const part = frame?.parts?.[index] ?? rest
    for (const node of list) applyPart(node, part)
  })
  for (const run of nodes.runs) {
    const share = (frame?.whole.counted ?? 1) * (frame?.parts?.[run.part]?.counted ?? 1)
    const text = countedText(run.text, share)
    if (run.node.textContent !== text) run.node.textContent = text
  }
}
