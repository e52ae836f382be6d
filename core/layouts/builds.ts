import {
  putRecord,
  applyChanges,
  beatsOf,
  cuesOf,
  cuesOfElement,
  elementsOf,
  type Beat,
  type Change,
  type Cue,
  type Deck,
  type EditContext,
  type Element,
} from '../model'
import { dropCues } from '../edits'
import { alongLines, pageOf } from '../looks'
import { itemPlace } from '../resolved'
import { orderLast, ordersAt, type Id } from '../values'
import { effectNamed, namedEasings } from '../timing'
import { dropEmptied, familyOf, textFilling } from './write-lines'

/** How what stands on a slide comes in: at once with the slide, one after the other as it opens, or each in a beat of its own. */
export type Build = 'none' | 'opening' | 'advance' | 'self'

/** How one item comes in. */
interface Entry {
  beat: Id
  cue: Pick<Cue, 'effect' | 'options' | 'duration' | 'easing' | 'delay'>
}

const entranceOf = (deck: Deck, element: Id) => cuesOfElement(deck, element).filter(cue => cue.what === 'enter')

/** The elements of each item at the top, in order, with what is under it. */
function groupsOf(deck: Deck, slide: Id): Element[][] {
  const groups = new Map<number, Element[]>()
  for (const element of elementsOf(deck, slide)) {
    const place = itemPlace(element.placeholder)
    if (!place) continue
    const known = groups.get(place.path[0]!)
    if (known) known.push(element)
    else groups.set(place.path[0]!, [element])
  }
  return [...groups].sort(([a], [b]) => a - b).map(([, elements]) => elements)
}

const pick = ({ effect, options, duration, easing, delay }: Cue): Entry['cue'] => ({ effect, options, duration, easing, delay })

/** How each line or item of a slide comes in; null where it stands there as the slide opens. */
export function entriesOf(deck: Deck, slide: Id): (Entry | null)[] {
  const groups = groupsOf(deck, slide)
  if (groups.length) {
    return groups.map(elements => {
      const cues = elements.flatMap(element => entranceOf(deck, element.id))
      const first = cues.find(cue => cue.anchor.to === 'beat') ?? cues[0]
      return first ? { beat: first.beat, cue: pick(first) } : null
    })
  }
  const body = textFilling(deck, slide, 'body')
  if (!body) return []
  const cues = entranceOf(deck, body.id)
  return body.text.content.map((_, index) => {
    const cue = cues.find(({ parts }) => !parts?.range || (index >= parts.range.from && index <= (parts.range.to ?? Infinity)))
    return cue ? { beat: cue.beat, cue: pick(cue) } : null
  })
}

/** The build that a slide has now. */
export function buildOf(deck: Deck, slide: Id): Build {
  const entries = entriesOf(deck, slide).filter(entry => entry !== null)
  if (!entries.length) return 'none'
  const beats = beatsOf(deck, slide)
  const later = entries.find(entry => entry.beat !== beats[0]?.id)
  if (!later) return 'opening'
  return deck.beats[later.beat]?.start === 'advance' ? 'advance' : 'self'
}

const between = 0.18

/** What a part of an item comes in with: words and pictures as the layout has it, drawing by fading. */
function partCue(deck: Deck, slide: Id, element: Element, cue: Entry['cue']): Pick<Cue, 'effect' | 'options'> {
  const slot = itemPlace(element.placeholder)?.slot
  const { countsNumbers, forAllParts } = effectNamed(cue.effect, 'enter')
  if ((countsNumbers && slot !== 'lead') || (element.kind === 'shape' && !forAllParts)) return { effect: 'fade', options: {} }
  return { effect: cue.effect, options: cue.options }
}

/** The entrance that a slide's layout gives its items. */
function usual(deck: Deck, slide: Id): Entry['cue'] {
  const record = deck.slides[slide]
  const entrance = record && familyOf(deck, record)?.entrance
  return {
    effect: entrance?.effect ?? 'rise',
    options: alongLines(pageOf(deck), entrance?.options ?? (entrance ? {} : { from: 'left', way: 40 })),
    duration: 0.5,
    easing: namedEasings['ease out'],
    delay: 0,
  }
}

/** Gives the items of a slide that stand there without an entrance theirs: from `entries` by index, else like the one before. */
function enterItems(deck: Deck, slide: Id, entries: readonly (Entry | null)[], how: Build, context: EditContext): Change[] {
  const changes: Change[] = []
  let beats = [...beatsOf(deck, slide)]
  let now = deck
  let last: Entry | null = null
  const put = (change: Change) => {
    changes.push(change)
    now = applyChanges(now, [change])
  }
  const beatAfter = (beat: Id | undefined): Id => {
    const at = beats.findIndex(other => other.id === beat) + 1
    const ready = beats[at]
    if (ready && !cuesOf(now, ready.id).some(cue => cue.what === 'enter' && itemPlace(now.elements[cue.element ?? '']?.placeholder)))
      return ready.id
    const record: Beat = {
      id: context.id(),
      slide,
      order: ordersAt(beats, at, 1)[0]!,
      start: how === 'advance' ? 'advance' : 'self',
      hold: { kind: 'reading' },
    }
    put(putRecord('beats', record))
    beats = [...beatsOf(now, slide)]
    return record.id
  }
  groupsOf(deck, slide).forEach((elements, index) => {
    const leading = elements.flatMap(element => entranceOf(now, element.id)).find(cue => cue.anchor.to === 'beat')
    const own: Entry | null = leading ? { beat: leading.beat, cue: pick(leading) } : (entries[index] ?? null)
    const base = last?.cue ?? usual(deck, slide)
    const entry: Entry =
      own ??
      (how === 'opening'
        ? { beat: beats[0]!.id, cue: { ...base, delay: last ? last.cue.delay + between : 0 } }
        : { beat: beatAfter(last?.beat ?? beats[0]?.id), cue: { ...base, delay: 0 } })
    let leader = leading?.id ?? null
    for (const element of elements) {
      if (entranceOf(now, element.id).length) continue
      const id = context.id()
      put(
        putRecord('cues', {
          id,
          beat: entry.beat,
          element: element.id,
          order: orderLast(cuesOf(now, entry.beat)),
          what: 'enter',
          ...entry.cue,
          ...partCue(now, slide, element, entry.cue),
          anchor: leader ? { to: 'start', cue: leader } : { to: 'beat' },
          delay: leader ? 0 : entry.cue.delay,
          repeat: 1,
        }),
      )
      leader ??= id
    }
    last = entry
  })
  return changes
}

/** The parts of what holds lines that a line is one of. */
const partsOfLines = { text: 'paragraph', diagram: 'item', chart: 'mark' } as const

/** Gives the lines of a slide's one text their entrances, paragraph by paragraph. */
function enterLines(deck: Deck, slide: Id, entries: readonly (Entry | null)[], how: Build, context: EditContext): Change[] {
  const body = textFilling(deck, slide, 'body')
  if (!body) return []
  const count = body.text.content.length
  const beats = beatsOf(deck, slide)
  const cue = entries.find(entry => entry !== null)?.cue ?? usual(deck, slide)
  const by = partsOfLines[body.kind]
  if (how === 'opening') {
    return [
      putRecord('cues', {
        id: context.id(),
        beat: beats[0]!.id,
        element: body.id,
        order: orderLast(cuesOf(deck, beats[0]!.id)),
        what: 'enter',
        ...cue,
        delay: 0,
        anchor: { to: 'beat' },
        repeat: 1,
        parts: { by, stagger: between },
      }),
    ]
  }
  const ready = [...new Set(entries.flatMap(entry => (entry ? [entry.beat] : [])))].filter(id => deck.beats[id])
  const missing = Math.max(0, count - ready.length)
  const last = beats.findIndex(beat => beat.id === ready.at(-1))
  const orders = ordersAt(beats, last < 0 ? 1 : last + 1, missing)
  const fresh = orders.map((order): Beat => ({
    id: context.id(),
    slide,
    order,
    start: how === 'advance' ? 'advance' : 'self',
    hold: { kind: 'reading' },
  }))
  const ids = [...ready, ...fresh.map(beat => beat.id)].slice(0, count)
  return [
    ...fresh.map((record): Change => putRecord('beats', record)),
    ...ids.map((beat, index): Change =>
      putRecord('cues', {
        id: context.id(),
        beat,
        element: body.id,
        order: orderLast(cuesOf(deck, beat)),
        what: 'enter',
        ...cue,
        delay: 0,
        anchor: { to: 'beat' },
        repeat: 1,
        parts: { by, stagger: 0.2, range: { from: index, to: index === ids.length - 1 ? null : index } },
      }),
    ),
  ]
}

/** Lets what has no entrance yet come in as the rest does; nothing where nothing comes in. */
export function extendBuild(
  deck: Deck,
  input: { slide: Id; how: Build; entries?: readonly (Entry | null)[] },
  context: EditContext,
): Change[] {
  if (input.how === 'none' || !beatsOf(deck, input.slide).length) return []
  if (groupsOf(deck, input.slide).length) return enterItems(deck, input.slide, input.entries ?? [], input.how, context)
  const body = textFilling(deck, input.slide, 'body')
  return body && !entranceOf(deck, body.id).length ? enterLines(deck, input.slide, input.entries ?? [], input.how, context) : []
}

/** Lets the lines or items of a slide come in another way; beats that only their entrances stood in go. */
export function buildSlide(deck: Deck, input: { slide: Id; how: Build }, context: EditContext): Change[] {
  const parts = [...groupsOf(deck, input.slide).flat(), ...[textFilling(deck, input.slide, 'body')].filter(body => body !== undefined)]
  const cues = parts.flatMap(element => entranceOf(deck, element.id))
  const gone = cues.map(cue => cue.id)
  const cleared = [...dropCues(deck, gone), ...dropEmptied(deck, input.slide, gone)]
  return [...cleared, ...extendBuild(applyChanges(deck, cleared), input, context)]
}
