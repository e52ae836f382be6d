import type { ChartWay } from '../charts'
import type { Parts } from '../model'
import type { ShownElement } from '../resolved'
import type { Id } from '../values'
import { clipAfter, type ClipMoment } from './clips'
import { playsOf } from './plays'
import { isCameraAtRest, restingCamera, type Camera } from './camera'
import { cameraIn } from './camera-plan'
import { stateIn, type EffectRoom } from './effects'
import { figureAt, gestureAt, type FigureMoment } from './figure-moment'
import { hiddenPart, isAtRest, restingPart, type PartFrame } from './part-frame'
import type { Score, ScoreCue, Track } from './score'

/** A moment of a slide: seconds into a beat (index), below 0 before the first beat opens. */
export interface SlideMoment {
  beat: number
  seconds: number
  /** Seconds that earlier beats of the slide really stood, by index; absent is as planned. */
  stood?: readonly number[]
}

export interface ElementFrame {
  whole: PartFrame
  /** Null where all parts are at rest. */
  parts: readonly PartFrame[] | null
  partsBy: Parts['by'] | null
  /** A chart on its way from one state to another; null is as composed. */
  chart: ChartWay | null
  /**
   * Of a text that says something else: from which of its words to which (−1 its own, else an index of `said` of its track), and how far.
   */
  words?: WordsMoment | null
  /** Of a shape that is carried on from another: its outline on the way, SVG path data in its box. */
  outline?: string
  /** How a figure stands; null as composed. */
  figure?: FigureMoment | null
  /** Where a clip or sound is that has begun; null before. */
  media: ClipMoment | null
}

/** Where a text is between its words: `way` tells whether the new ones fade, or come from below (1) or above (−1). */
export interface WordsMoment {
  from: number
  to: number
  progress: number
  way: 0 | 1 | -1
}

/** What differs from rest at a moment; an element that is missing stands as composed. */
export interface Frame {
  elements: ReadonlyMap<Id, ElementFrame>
  /** What is seen of the slide; null is all of it. */
  camera: Camera | null
  /** How loud the voice that is heard is, 0 to 1, so many seconds before; absent while nobody speaks. */
  voice?: (secondsBefore: number) => number
  /** How much of the slide's ground is seen, 0 to 1; absent is all. */
  ground?: number
}

/** Sums of delays and staggers differ from their whole by rounding; what is nearer than this, seconds, is there. */
const slack = 1e-9

/** Seconds since a cue began; negative before, Infinity once its beat is over and it has an end. */
function elapsed(score: Score, cue: ScoreCue, moment: SlideMoment): number {
  if (cue.beat === moment.beat) return moment.seconds - cue.start
  if (cue.beat > moment.beat) return Number.NEGATIVE_INFINITY
  if (cue.cue.repeat !== 'forever' && cue.cue.what !== 'media') return Number.POSITIVE_INFINITY
  let since = moment.seconds - cue.start
  for (let beat = cue.beat; beat < moment.beat; beat++) since += moment.stood?.[beat] ?? score.beats[beat]!.length
  return since
}

/** Whether a cue that runs to and fro runs back in a round, counted from 0. */
const runsBack = (cue: ScoreCue, round: number) =>
  cue.cue.back === true && (cue.cue.what === 'emphasis' || cue.cue.what === 'move') && round % 2 === 1

/** A cue's progress after some seconds, 0 to 1, before easing. */
function progressOf(cue: ScoreCue, seconds: number): number {
  const {
    round,
    cue: { repeat },
  } = cue
  if (round === 0) return 1
  if (repeat !== 'forever' && seconds >= round * repeat - slack) return runsBack(cue, repeat - 1) ? 0 : 1
  const share = (seconds % round) / round
  return runsBack(cue, Math.floor(seconds / round)) ? 1 - share : share
}

/** Seconds since a cue began to move one finest part; negative while it waits its turn. */
const elapsedOfPart = (cue: ScoreCue, part: number, seconds: number) => seconds - cue.span!.place[part]! * cue.span!.stagger

const touches = (cue: ScoreCue, part: number) => cue.span !== null && cue.span.place[part]! >= 0

const isOver = (cue: ScoreCue, seconds: number) => cue.cue.repeat !== 'forever' && seconds >= cue.end - cue.start - slack

const roomOf = (track: Track, score: Score): EffectRoom => ({
  box: track.element.box,
  size: score.size,
  extent: score.board?.extent,
  lines: track.lines,
  drawing: track.drawing,
})

/** The same for what moves an element as a whole: its box is what is seen of it. */
function wholeRoom(track: Track, score: Score): EffectRoom {
  const { seen, element } = track
  const { x, y, angle } = element.box
  return { ...roomOf(track, score), box: { x: x + seen.x, y: y + seen.y, width: seen.width, height: seen.height, angle } }
}

/** Lets cuts, masks and pivots, which are shares of what is seen of an element, be shares of its box. */
function intoBox(part: PartFrame, { seen, element: { box } }: Track): PartFrame {
  if (!seen.x && !seen.y && seen.width === box.width && seen.height === box.height) return part
  const across = (share: number) => (seen.x + share * seen.width) / box.width
  const down = (share: number) => (seen.y + share * seen.height) / box.height
  part.originX = across(part.originX)
  part.originY = down(part.originY)
  if (part.mask) part.mask = part.mask.map(([x, y]) => [across(x), down(y)] as const)
  // An edge that takes nothing away stays where the box ends.
  if (part.cut) {
    const { top, right, bottom, left } = part.cut
    part.cut = {
      top: top && down(top),
      right: right && 1 - across(1 - right),
      bottom: bottom && 1 - down(1 - bottom),
      left: left && across(left),
    }
  }
  return part
}

/** Plays a presence cue on a frame; false where it leaves nothing to be seen. */
function applyPresence(frame: PartFrame, cue: ScoreCue, seconds: number, room: EffectRoom): boolean {
  const share = progressOf(cue, seconds)
  const eased = share >= 1 ? 1 : cue.ease(share)
  if (cue.cue.what === 'exit' && share >= 1) return false
  const presence = cue.cue.what === 'enter' ? eased : 1 - eased
  if (presence !== 1) cue.effect.apply(frame, presence, cue.cue.options, room)
  return true
}

/** Eased progress of a cue that draws the eye or moves; null where it leaves no trace. */
function tracedBy(cue: ScoreCue, seconds: number): number | null {
  if (cue.cue.what !== 'emphasis' && cue.cue.what !== 'move') return null
  const share = progressOf(cue, seconds)
  if (cue.cue.what === 'emphasis' && (share <= 0 || (share >= 1 && !cue.effect.stays?.(cue.cue.options)))) return null
  return share >= 1 ? 1 : cue.ease(share)
}

function applyOther(frame: PartFrame, cue: ScoreCue, seconds: number, room: EffectRoom) {
  const progress = tracedBy(cue, seconds)
  if (progress !== null) cue.effect.apply(frame, progress, cue.cue.options, room)
}

function wholeOf(track: Track, score: Score, moment: SlideMoment): PartFrame {
  let last: ScoreCue | null = null
  let seconds = 0
  for (const cue of track.presence) {
    const since = elapsed(score, cue, moment)
    if (since >= 0) {
      last = cue
      seconds = since
    }
  }
  if (!last) {
    if (track.hiddenBefore) return hiddenPart()
  } else if (
    last.span &&
    last.cue.what === 'exit' &&
    last.span.count &&
    isOver(last, seconds) &&
    last.span.place.every(place => place >= 0)
  ) {
    return hiddenPart()
  }
  const frame = restingPart()
  const room = wholeRoom(track, score)
  if (last && !last.span && !applyPresence(frame, last, seconds, room)) return hiddenPart()
  for (const cue of track.cues) {
    if (cue.span || cue.cue.what === 'enter' || cue.cue.what === 'exit') continue
    const since = elapsed(score, cue, moment)
    if (since >= 0) applyOther(frame, cue, since, room)
  }
  return intoBox(frame, track)
}

function partOf(track: Track, part: number, score: Score, moment: SlideMoment, sinces: readonly number[]): PartFrame {
  let last: ScoreCue | null = null
  let seconds = 0
  let first: ScoreCue | null = null
  track.cues.forEach((cue, index) => {
    if (cue.cue.what !== 'enter' && cue.cue.what !== 'exit') return
    if (cue.span && !touches(cue, part)) return
    first ??= cue
    const since = cue.span ? elapsedOfPart(cue, part, sinces[index]!) : sinces[index]!
    if (since >= 0) {
      last = cue
      seconds = since
    }
  })
  if (!last && first && (first as ScoreCue).cue.what === 'enter' && (first as ScoreCue).span) return hiddenPart()
  const frame = restingPart()
  const room = roomOf(track, score)
  const now = last as ScoreCue | null
  if (now?.span) {
    if (!applyPresence(frame, now, seconds, room)) return hiddenPart()
    if (frame.typed < 1) {
      const size = now.span.sizes[now.span.place[part]!]!
      frame.visible = now.span.rank[part]! < Math.floor(frame.typed * size + 1e-9)
      frame.typed = 1
    }
  }
  track.cues.forEach((cue, index) => {
    if (!touches(cue, part) || cue.cue.what === 'enter' || cue.cue.what === 'exit') return
    const since = elapsedOfPart(cue, part, sinces[index]!)
    if (since >= 0) applyOther(frame, cue, since, room)
  })
  return frame
}

/** Whether a cue, so many seconds after it began, leaves every part as composed. */
function partsRest(cue: ScoreCue, since: number): boolean {
  if (!cue.span) return true
  if (cue.cue.what === 'enter') return isOver(cue, since)
  return since < 0 || (cue.cue.what === 'emphasis' && isOver(cue, since) && !cue.effect.stays?.(cue.cue.options))
}

/** What else steps back for an element that draws the eye: all that neither holds it nor stands in it, each group as one. */
function othersOf(score: Score, id: Id): ShownElement[] {
  const byId = new Map(score.elements.map(element => [element.id, element]))
  const above = (element: ShownElement): Id[] => {
    const parent = element.parent === undefined ? undefined : byId.get(element.parent)
    return parent ? [parent.id, ...above(parent)] : []
  }
  const kept = new Set([id, ...above(byId.get(id)!)])
  return score.elements.filter(element => {
    const holders = above(element)
    return !kept.has(element.id) && !holders.includes(id) && holders.every(holder => kept.has(holder))
  })
}

/** Lets a figure hold something up: it comes into its hands, small enough for them, and returns. */
function holdUp(elements: Map<Id, ElementFrame>, score: Score, track: Track, since: (cue: ScoreCue) => number) {
  for (const cue of track.cues) {
    const under = gestureAt(cue, since(cue))
    const thing = under?.holds ? score.elements.find(element => element.id === under.holds && element !== track.element) : undefined
    if (!under || !thing || !track.hands) continue
    const frame = elements.get(thing.id) ?? { whole: restingPart(), parts: null, partsBy: null, chart: null, media: null }
    if (!frame.whole.visible) continue
    // It rises into the hands in the first fifth and comes back in the last, as the arms do.
    const near = Math.min(1, Math.max(0, Math.min(under.share / 0.2, (1 - under.share) / 0.2)))
    const share = near * near * (3 - 2 * near)
    const small = Math.min(1, (track.element.box.width * 0.9) / Math.max(1, thing.box.width))
    const { whole } = frame
    const scale = 1 + (small - 1) * share
    whole.x += (track.hands.x - thing.box.x - thing.box.width / 2) * share
    whole.y += (track.hands.y - (thing.box.height * small) / 2 - thing.box.y - thing.box.height / 2) * share
    whole.scaleX *= scale
    whole.scaleY *= scale
    elements.set(thing.id, frame)
  }
}

/** What cues do beyond their own element: to all others, and to what is seen of the slide. */
function applyBeyond(elements: Map<Id, ElementFrame>, score: Score, moment: SlideMoment): Camera | null {
  let camera: Camera | null = score.board ? { ...cameraIn(score.board.camera, cue => elapsed(score, cue, moment)) } : null
  for (const id of score.beyond) {
    const track = score.tracks.get(id)!
    if (track.hands) holdUp(elements, score, track, cue => elapsed(score, cue, moment))
    for (const cue of track.cues) {
      const { applyToOthers, applyToCamera } = cue.effect
      if (!applyToOthers && !applyToCamera) continue
      const since = elapsed(score, cue, moment)
      const progress = since >= 0 ? tracedBy(cue, since) : null
      if (progress === null) continue
      if (applyToCamera) applyToCamera((camera ??= restingCamera(score.size)), progress, cue.cue.options, roomOf(track, score))
      if (!applyToOthers) continue
      for (const other of othersOf(score, id)) {
        const frame = elements.get(other.id) ?? { whole: restingPart(), parts: null, partsBy: null, chart: null, media: null }
        if (!frame.whole.visible) continue
        applyToOthers(frame.whole, progress, cue.cue.options)
        if (!isAtRest(frame.whole)) elements.set(other.id, frame)
      }
    }
  }
  return camera && !isCameraAtRest(camera, score.size) ? camera : null
}

function chartOf(track: Track, score: Score, moment: SlideMoment): ElementFrame['chart'] {
  let from: Id | null = null
  let to: Id | null = null
  let progress = 1
  let ease: ChartWay['ease']
  let any = false
  for (const cue of track.cues) {
    if (cue.cue.what !== 'data') continue
    const since = elapsed(score, cue, moment)
    if (since < 0) continue
    any = true
    from = to
    to = stateIn(cue.cue.options)
    progress = progressOf(cue, since)
    ease = cue.ease
  }
  return any ? { from, to, progress: Math.min(1, progress), ease } : null
}

function wordsOf(track: Track, score: Score, moment: SlideMoment): WordsMoment | null {
  if (!track.said.length) return null
  let words: WordsMoment | null = null
  let index = 0
  for (const cue of track.cues) {
    const { says } = cue.effect
    if (!says) continue
    const since = elapsed(score, cue, moment)
    if (since >= 0) {
      const share = progressOf(cue, since)
      words = { from: index - 1, to: index, progress: share >= 1 ? 1 : cue.ease(share), way: says.from(cue.cue.options) }
    }
    index++
  }
  return words
}

function mediaOf(track: Track, score: Score, moment: SlideMoment): ClipMoment | null {
  if (!track.clip) return null
  const last = playsOf(
    track.cues.filter(cue => cue.cue.what === 'media' && elapsed(score, cue, moment) >= 0),
    cue => -elapsed(score, cue, moment),
  ).at(-1)
  if (!last) return null
  if (!last.running) return { ...clipAfter(track.clip, last.played, track.looping), running: false }
  return clipAfter(track.clip, last.played - last.start, track.looping)
}

/** Whether a moment has come to a place in the beats. */
const isPast = (place: { beat: number; seconds: number }, moment: SlideMoment) =>
  moment.beat > place.beat || (moment.beat === place.beat && moment.seconds >= place.seconds)
/** What has not come yet; nothing is ever written into it. */
const unseen: ElementFrame = { whole: Object.freeze(hiddenPart()), parts: null, partsBy: null, chart: null, media: null }

/**
 * What differs from rest on a slide at a moment. Pure: any moment in any order, seeking equals playing. In beats that
 * are over, every cue with an end has ended, whenever the speaker went on.
 */
export function frameAt(score: Score, moment: SlideMoment): Frame {
  const elements = new Map<Id, ElementFrame>()
  for (const [id, track] of score.tracks) {
    if (track.rests && isPast(track.rests, moment)) continue
    if (track.hiddenBefore && !isPast(track.begins, moment)) {
      elements.set(id, unseen)
      continue
    }
    const whole = wholeOf(track, score, moment)
    let parts: PartFrame[] | null = null
    if (whole.visible && track.partCount) {
      const sinces = track.cues.map(cue => elapsed(score, cue, moment))
      if (!track.cues.every((cue, index) => partsRest(cue, sinces[index]!))) {
        parts = Array.from({ length: track.partCount }, (_, part) => partOf(track, part, score, moment, sinces))
        if (parts.every(isAtRest)) parts = null
      }
    }
    const chart = chartOf(track, score, moment)
    const media = mediaOf(track, score, moment)
    const figure =
      track.element.kind === 'figure' ? figureAt(track.element, track.cues, whole.strides, cue => elapsed(score, cue, moment)) : null
    if (figure?.lift) whole.y -= figure.lift * track.element.box.height
    const words = wordsOf(track, score, moment)
    if (isAtRest(whole) && !parts && !chart && media === null && !figure && !words) continue
    elements.set(id, { whole, parts, partsBy: track.partsBy, chart, media, ...(figure ? { figure } : {}), ...(words ? { words } : {}) })
  }
  return { elements, camera: applyBeyond(elements, score, moment) }
}

/** The last moment of a slide: its last beat, all cues with an end done. What a thumbnail and a printed page show. */
export const lastMoment = (score: Score): SlideMoment => {
  const last = score.beats.at(-1)
  return last ? { beat: last.index, seconds: last.length } : { beat: 0, seconds: 0 }
}

/** Whether nothing moves by itself from a moment to the end of its beat. */
export function isStillAfter(score: Score, moment: SlideMoment): boolean {
  if (moment.seconds < (score.beats[moment.beat]?.moves ?? 0)) return false
  if (score.beats.slice(0, moment.beat + 1).some(beat => beat.cues.some(({ cue }) => cue.repeat === 'forever'))) return false
  if (score.beats[moment.beat]?.cues.some(({ cue, start }) => cue.what === 'media' && start > moment.seconds)) return false
  // A clip of unknown length may go on for ever.
  return [...score.tracks.values()].every(
    track => !track.cues.some(({ cue }) => cue.what === 'media') || (track.clip !== null && !mediaOf(track, score, moment)?.running),
  )
}
