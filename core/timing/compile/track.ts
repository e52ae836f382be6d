import type { TextElement } from '../../model'
import type { ShownElement } from '../../resolved'
import { layoutOfElement, linePlaces } from '../../text'
import { spanOfClip } from '../clips'
import type { Place } from '../effects'
import { handsOf } from '../figure-moment'
import { saidBy } from '../said'
import type { ScoreCue, Track } from '../score'
import { isPresence, type Work } from './work'

/** The lines of a text where it has words, else the whole of the box. */
function linesOf(work: Work, element: ShownElement): readonly Place[] {
  const whole = [{ x: 0, y: 0, width: element.box.width, height: element.box.height }]
  if (element.kind !== 'text') return whole
  const lines = linePlaces(element, layoutOfElement(work.deck, element, work.context.measurer))
  return lines.length ? lines : whole
}

/** Letters reach over the line that they are set on by so much of its height. */
const overhang = 0.15

/** What of an element's box is seen: of plain words where they stand, of all else the whole box. */
function seenOf(element: ShownElement, lines: readonly Place[], said: Track['said']): Place {
  const { width, height, angle } = element.box
  const whole = { x: 0, y: 0, width, height }
  const [first] = lines
  if (element.kind !== 'text' || !first || said.length || element.panel || element.along || angle) return whole
  const pad = first.height * overhang
  // What marks the items of a list stands before its lines.
  const isList = element.text.content.some(paragraph => paragraph.attrs?.level)
  const left = isList ? 0 : Math.min(...lines.map(line => line.x)) - pad
  const [top, right, bottom] = [
    Math.min(...lines.map(line => line.y)),
    Math.max(...lines.map(line => line.x + line.width)) + pad,
    Math.max(...lines.map(line => line.y + line.height)),
  ]
  return { x: left, y: top - pad, width: right - left, height: bottom - top + 2 * pad }
}

/** Whether it is unseen until its first presence cue begins: it comes in, with all that there is of it. */
function isHiddenBefore(presence: readonly ScoreCue[], partCount: number): boolean {
  const [first] = presence
  if (first?.cue.what !== 'enter') return false
  if (!first.span) return true
  const spans = presence.flatMap(({ cue, span }) => (cue.what === 'enter' && span ? [span] : []))
  return Array.from({ length: partCount }, (_, part) => spans.some(span => (span.place[part] ?? -1) >= 0)).every(Boolean)
}

/** The moment from which it stands as composed until the slide ends; null where it never does for good. */
function restOf(cues: readonly ScoreCue[]): Track['rests'] {
  const comesAndStays = cues.every(
    ({ cue, effect }) => cue.repeat !== 'forever' && (cue.what === 'enter' || (cue.what === 'emphasis' && !effect.stays?.(cue.options))),
  )
  if (!comesAndStays) return null
  const beat = Math.max(...cues.map(cue => cue.beat))
  return { beat, seconds: Math.max(...cues.filter(cue => cue.beat === beat).map(cue => cue.end)) }
}

const isText = (element: ShownElement): element is TextElement & ShownElement => element.kind === 'text'

/** All that happens to one element, by its cues in the order in which they begin; at least one. */
export function trackOf(work: Work, element: ShownElement, cues: readonly ScoreCue[]): Track {
  const presence = cues.filter(({ cue, span }) => isPresence(cue) && (!span || span.count > 0))
  const partCount = cues.find(({ span }) => span)?.span?.place.length ?? 0
  const soonest = cues.reduce((best, cue) => (cue.beat < best.beat || (cue.beat === best.beat && cue.start < best.start) ? cue : best))
  const holdsUp = element.kind === 'figure' && cues.some(({ effect }) => effect.figure?.holds)
  const lines = linesOf(work, element)
  const said = isText(element) ? cues.flatMap(({ cue, effect }) => (effect.says ? [saidBy(cue, element)] : [])) : []
  return {
    element,
    lines,
    seen: seenOf(element, lines, said),
    cues,
    presence,
    partsBy: work.fine.get(element.id) ?? null,
    partCount,
    clip: element.kind === 'film' || element.kind === 'sound' ? spanOfClip(element, work.context) : null,
    looping: (element.kind === 'film' || element.kind === 'sound') && element.loop === true,
    said,
    drawing: work.drawings.get(element.id) ?? null,
    hands: holdsUp ? handsOf(work.deck, element) : null,
    hiddenBefore: isHiddenBefore(presence, partCount),
    begins: { beat: soonest.beat, seconds: soonest.start },
    rests: restOf(cues),
  }
}
