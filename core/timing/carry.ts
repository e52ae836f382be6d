import { isPlain } from '../color'
import { shapePath } from '../drawing'
import { outlineBetween } from '../shapes'
import { plainText, type Deck } from '../model'
import { styleOf, type ShownElement } from '../resolved'
import { memoByRecords, type Color, type Id } from '../values'
import { layoutOfElement, type Measurer } from '../text'
import type { ElementFrame, Frame } from './frame'
import { hiddenPart, restingPart, type PartFrame } from './part-frame'
import type { Score } from './score'

/** A slide at a moment. */
export interface SlideAt {
  score: Score
  frame: Frame
}

/** An element that both slides show: where it was, where it is, and whether it shows the same. */
export interface Carried {
  from: ShownElement
  to: ShownElement
  same: boolean
  /**
   * What is drawn once on the way all the same: a thing in another colour (that of the one before) or of another outline, or a chart of
   * other data.
   */
  as: { color: Color | null } | 'data' | null
}

const gone = 0.45
const arriving = 0.55
const clamp = (value: number) => Math.min(1, Math.max(0, value))

/** What an element shows, as one word that tells it from others of its kind; null where only its name can. */
function contentOf(element: ShownElement): string | null {
  if (element.kind === 'text') return plainText(element.text).trim().toLowerCase() || null
  if (element.kind === 'picture') return element.media ?? null
  if (element.kind === 'icon') return element.icon?.name ?? null
  return null
}

const isSeen = ({ frame }: SlideAt, element: ShownElement) => frame.elements.get(element.id)?.whole.visible !== false
const standing = (slide: SlideAt) =>
  slide.score.elements.filter(element => !element.pinned && element.parent === undefined && isSeen(slide, element))

/**
 * Finds what two slides share: first by what is shown, then by kind and name; each element once, in stacking order. Kept while both show
 * the same elements.
 */
export const shared = memoByRecords(
  (from: SlideAt, to: SlideAt) => [
    to.score,
    from.score,
    [...standing(from), { id: '' }, ...standing(to)].map(element => element.id).join(),
  ],
  (from, to): Carried[] => paired(standing(from), standing(to)),
)

function paired(sources: readonly ShownElement[], targets: readonly ShownElement[]): Carried[] {
  const made: Carried[] = []
  const left = new Set(sources)
  const wanted = new Set(targets)
  const pair = (keyOf: (element: ShownElement) => string | null) => {
    for (const target of [...wanted]) {
      const key = keyOf(target)
      const source = key === null ? undefined : [...left].find(element => element.kind === target.kind && keyOf(element) === key)
      if (!source) continue
      left.delete(source)
      wanted.delete(target)
      const content = contentOf(target)
      const same = content !== null && content === contentOf(source) && looksAlike(source, target)
      made.push({ from: source, to: target, same, as: same ? null : carriedAs(source, target) })
    }
  }
  pair(contentOf)
  pair(element => element.name)
  return made
}

type Shape = ShownElement & { kind: 'shape' }
/** How a shape lives on in another: with its colour where that changes; null where the one cannot go over into the other. */
function shapeAs(from: Shape, to: Shape): Carried['as'] {
  const both = (from.shape === 'line') === (to.shape === 'line') && !from.rough && !to.rough
  if (!both || !from.fill || !to.fill || !isPlain(from.fill) || !isPlain(to.fill)) return null
  const recolored = JSON.stringify(from.fill) !== JSON.stringify(to.fill)
  // A line around it keeps its own colour; a tint would lie over that too.
  return recolored && to.stroke ? null : { color: recolored ? from.fill : null }
}

/** How the one of the slide before lives on in the next, where they are one thing in two colours, or one chart of two sets of data. */
function carriedAs(from: ShownElement, to: ShownElement): Carried['as'] {
  // The same words are one thing however each slide sets them.
  if (from.kind === 'text' && to.kind === 'text')
    return contentOf(from) !== null && contentOf(from) === contentOf(to) ? { color: null } : null
  if (from.kind === 'chart' && to.kind === 'chart') return from.chart && to.chart ? 'data' : null
  if (
    from.kind !== to.kind ||
    (contentOf(from) !== contentOf(to) && from.kind !== 'shape') ||
    !looksAlike(from, to, ['color', 'fill', 'shape', 'amounts', 'radius', 'sector'])
  )
    return null
  if (from.kind === 'shape' && to.kind === 'shape') return shapeAs(from, to)
  if (from.kind === 'icon') return from.color ? { color: from.color } : null
  return null
}

const wherever: readonly string[] = ['id', 'owner', 'order', 'box', 'name', 'placeholder']

/** Whether two elements differ in nothing but where and how large they are, and some fields, so that one can stand for both on the way. */
function looksAlike(a: ShownElement, b: ShownElement, whatever: readonly string[] = []): boolean {
  const look = (element: ShownElement) =>
    JSON.stringify(Object.entries(element).filter(([field]) => !wherever.includes(field) && !whatever.includes(field)))
  return look(a) === look(b)
}

/** The point of an element that its words hang on, as shares of its box. */
function anchorOf(deck: Deck, element: ShownElement): [number, number] {
  if (element.kind !== 'text') return [0.5, 0.5]
  const align = element.align ?? styleOf(deck, element).align
  return [align === 'left' ? 0 : align === 'right' ? 1 : 0.5, element.vertical === 'middle' ? 0.5 : element.vertical === 'bottom' ? 1 : 0]
}

const sizeOf = (deck: Deck, element: ShownElement, measurer: Measurer) =>
  element.kind === 'text' ? styleOf(deck, element).size * layoutOfElement(deck, element, measurer).scale : null
const shortest = (degrees: number) => ((((degrees + 180) % 360) + 360) % 360) - 180

/** Lets `element` stand where it would between another's place and its own: `share` 0 the other's, 1 its own. */
function placed(part: PartFrame, deck: Deck, element: ShownElement, other: ShownElement, share: number, measurer: Measurer): PartFrame {
  const away = 1 - share
  const [originX, originY] = anchorOf(deck, element)
  const [otherX, otherY] = anchorOf(deck, other)
  const [a, b] = [other.box, element.box]
  const [ownSize, otherSize] = [sizeOf(deck, element, measurer), sizeOf(deck, other, measurer)]
  const ratio = (mine: number, its: number) => (mine > 0 ? 1 + (its / mine - 1) * away : 1)
  const text = ownSize !== null && otherSize !== null ? ratio(ownSize, otherSize) : null
  return {
    ...part,
    originX,
    originY,
    x: part.x + (a.x + a.width * otherX - b.x - b.width * originX) * away,
    y: part.y + (a.y + a.height * otherY - b.y - b.height * originY) * away,
    scaleX: part.scaleX * (text ?? ratio(b.width, a.width)),
    scaleY: part.scaleY * (text ?? ratio(b.height, a.height)),
    rotate: part.rotate + shortest(a.angle - b.angle) * away,
  }
}

/** The colour that one thing has at first, where it has another in the end; null where it has not. */
function colorBefore(deck: Deck, { from, to, as }: Carried): Color | null {
  if (!as || as === 'data') return null
  if (from.kind !== 'text' || to.kind !== 'text') return as.color
  const [before, after] = [styleOf(deck, from).color, styleOf(deck, to).color]
  return JSON.stringify(before) === JSON.stringify(after) ? null : before
}

/** What fills its box hides what lies beneath it; all else is seen through, so that two would be seen at once. */
const fills = (element: ShownElement) => element.kind === 'picture' || element.kind === 'film' || element.kind === 'shape'

/** How much is seen of the two of a pair that show different things: what fills its box appears over the other, words make way first. */
const crossing = ({ from, to }: Carried, progress: number) =>
  fills(from) && fills(to) ? { from: 1, to: progress } : { from: clamp(1 - progress * 2), to: clamp(progress * 2 - 1) }

/**
 * The frames of both slides on the way from one to the next, at `progress` 0 to 1: the next lies over the one before, its
 * ground appearing. What both share travels; what shows the same, and words that are the same, are drawn once, by the next; what shows
 * something else gives way to it; all else of the one before
 * fades first, and all else of the next comes last.
 */
export function carriedFrames(deck: Deck, from: SlideAt, to: SlideAt, progress: number, measurer: Measurer): { from: Frame; to: Frame } {
  const pairs = shared(from, to)
  const ofFrom = new Map(pairs.map(pair => [pair.from.id, pair]))
  const ofTo = new Map(pairs.map(pair => [pair.to.id, pair]))
  const made = (slide: SlideAt, change: (part: PartFrame, element: ShownElement) => PartFrame) => {
    const elements = new Map<Id, ElementFrame>(slide.frame.elements)
    for (const element of slide.score.elements) {
      if (element.parent !== undefined || !isSeen(slide, element)) continue
      const frame = elements.get(element.id) ?? { whole: restingPart(), parts: null, partsBy: null, chart: null, media: null }
      elements.set(element.id, { ...frame, whole: change(frame.whole, element) })
    }
    return elements
  }
  const carried = {
    from: {
      ...from.frame,
      elements: made(from, (part, element) => {
        const pair = ofFrom.get(element.id)
        if (pair?.same || pair?.as) return hiddenPart()
        if (pair) {
          const there = placed(part, deck, element, pair.to, 1 - progress, measurer)
          return { ...there, opacity: part.opacity * crossing(pair, progress).from }
        }
        return element.pinned ? part : { ...part, opacity: part.opacity * clamp(1 - progress / gone) }
      }),
    },
    to: {
      ...to.frame,
      ground: progress,
      elements: made(to, (part, element) => {
        const pair = ofTo.get(element.id)
        if (pair) {
          const there = {
            ...placed(part, deck, element, pair.from, progress, measurer),
            opacity: part.opacity * (pair.same || pair.as ? 1 : crossing(pair, progress).to),
          }
          const color = progress < 1 ? colorBefore(deck, pair) : null
          return color ? { ...there, tint: { color, amount: 1 - progress } } : there
        }
        return { ...part, opacity: part.opacity * (element.pinned ? progress : clamp((progress - arriving) / (1 - arriving))) }
      }),
    },
  }
  // Shapes go over from outline to outline, charts from data to data.
  for (const pair of pairs) {
    const id = pair.to.id
    const frame = carried.to.elements.get(id)!
    carried.to.elements.set(id, { ...frame, ...becoming(pair, from, frame, progress) })
  }
  return carried
}

/** What a thing is drawn as on its way into the other: a shape of an outline between both, a chart between its data. */
function becoming({ from: source, to: target, as }: Carried, from: SlideAt, frame: ElementFrame, progress: number): Partial<ElementFrame> {
  if (as && as !== 'data' && source.kind === 'shape' && target.kind === 'shape' && target.shape !== 'line' && progress < 1)
    return { outline: outlineBetween(shapePath({ ...source, box: target.box }).fill, shapePath(target).fill, progress) }
  if (as !== 'data' || source.kind !== 'chart') return {}
  const state = from.frame.elements.get(source.id)?.chart?.to ?? null
  return { chart: { from: state, to: frame.chart?.to ?? null, progress, ease: share => share, of: source } }
}
