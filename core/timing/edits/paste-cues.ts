import {
  applyChanges,
  putRecord,
  beatsOf,
  cuesOf,
  cuesOfElement,
  type Change,
  type Cue,
  type Deck,
  type EditContext,
  type ElementKind,
} from '../../model'
import { dropCues, removeBeat } from '../../edits'
import { orderLast, type Id } from '../../values'
import { effectNamed } from '../effects'

/** Cues of one element as they are carried to others, with the place of their beats among their slide's. */
export interface CueClipping {
  kind: ElementKind
  cues: readonly Cue[]
  /** The place of each cue's beat, by beat: from 0 from the slide's first on, from −1 from its last back. */
  beats: Readonly<Record<Id, number>>
}

/** Takes cues up; those of the element of the first are taken. Null where there are none. */
export function clipCues(deck: Deck, cues: readonly Id[]): CueClipping | null {
  const found = cues.flatMap(id => deck.cues[id] ?? [])
  const element = found[0]?.element ? deck.elements[found[0].element] : undefined
  if (!element) return null
  const own = found.filter(cue => cue.element === element.id)
  return {
    kind: element.kind,
    cues: own,
    beats: Object.fromEntries(
      own.map(cue => [
        cue.beat,
        Math.max(
          0,
          beatsOf(deck, deck.beats[cue.beat]!.slide).findIndex(beat => beat.id === cue.beat),
        ),
      ]),
    ),
  }
}

/** The beat of a slide at a place: from 0 from its first on, from −1 from its last back; the nearest where there are fewer. */
function beatAtPlace(deck: Deck, slide: Id, place: number) {
  const beats = beatsOf(deck, slide)
  const index = place < 0 ? beats.length + place : place
  return beats[Math.min(beats.length - 1, Math.max(0, index))]
}

/** The ways of telling parts apart that a kind of element knows. */
const partsOf: Partial<Record<ElementKind, readonly string[]>> = {
  text: ['paragraph', 'line', 'word', 'letter'],
  chart: ['series', 'mark'],
  table: ['line', 'series', 'mark'],
  diagram: ['item'],
}

/** A cue as another kind of element can play it: with an effect that suits it, and parts that it has. */
function suited(cue: Cue, kind: ElementKind): Cue {
  const { kinds } = effectNamed(cue.effect, cue.what)
  const { parts, ...rest } = cue
  const known = parts && partsOf[kind]?.includes(parts.by)
  return { ...rest, ...(known ? { parts } : {}), ...(kinds && !kinds.includes(kind) ? { effect: 'fade', options: {} } : {}) }
}

/**
 * Puts cues on other elements, each into the beat of the same place on its slide (the last where there are fewer). What
 * follows a cue that is carried along follows its copy; all else starts with its beat. `replace` takes away what the
 * elements had of the same uses before, and the beats that are empty then.
 */
export function pasteCues(
  deck: Deck,
  input: { clipping: CueClipping; elements: readonly Id[]; how: 'add' | 'replace' },
  context: EditContext,
): Change[] {
  const { clipping } = input
  const last = new Map<Id, { order: string }>()
  const changes = input.elements.flatMap((id): Change[] => {
    const element = deck.elements[id]
    const beats = element ? beatsOf(deck, element.owner) : []
    if (!element || !beats.length) return []
    const whats = new Set(clipping.cues.map(cue => cue.what))
    const before =
      input.how === 'replace'
        ? cuesOfElement(deck, id)
            .filter(cue => whats.has(cue.what))
            .map(cue => cue.id)
        : []
    const ids = new Map(clipping.cues.map(cue => [cue.id, context.id()]))
    return [
      ...dropCues(deck, before),
      ...clipping.cues.map((cue): Change => {
        const beat = beatAtPlace(deck, element.owner, clipping.beats[cue.beat] ?? 0)!
        const { to } = cue.anchor
        const follows = cue.anchor.to === 'beat' ? undefined : clipping.cues.find(other => other.id === (cue.anchor as { cue: Id }).cue)
        // What goes out in the beat in which it came in goes once it is there.
        const entrance =
          cue.what === 'exit' && to === 'beat'
            ? cuesOfElement(deck, id).findLast(other => other.what === 'enter' && other.beat === beat.id && !before.includes(other.id))
            : undefined
        const order = orderLast(last.has(beat.id) ? [last.get(beat.id)!] : cuesOf(deck, beat.id))
        last.set(beat.id, { order })
        return putRecord('cues', {
          ...suited(cue, element.kind),
          id: ids.get(cue.id)!,
          beat: beat.id,
          element: id,
          order,
          anchor:
            follows && to !== 'beat' ? { to, cue: ids.get(follows.id)! } : entrance ? { to: 'end', cue: entrance.id } : { to: 'beat' },
        })
      }),
    ]
  })
  return input.how === 'replace' ? [...changes, ...dropEmptied(deck, changes, input.elements)] : changes
}

/** Removes the beats in which something happened before some changes, and nothing does after them; of a slide's beats one stays. */
function dropEmptied(deck: Deck, changes: readonly Change[], elements: readonly Id[]): Change[] {
  let next = applyChanges(deck, changes)
  const dropped: Change[] = []
  for (const slide of new Set(elements.flatMap(id => deck.elements[id]?.owner ?? [])))
    for (const { id } of beatsOf(deck, slide))
      if (cuesOf(deck, id).length && !cuesOf(next, id).length) {
        const gone = removeBeat(next, { beat: id })
        next = applyChanges(next, gone)
        dropped.push(...gone)
      }
  return dropped
}
