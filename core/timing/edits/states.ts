import {
  dropRecord,
  putRecord,
  setRecord,
  beatsOf,
  cuesOf,
  cuesOfElement,
  statesOf,
  type ChartSpec,
  type Change,
  type Cue,
  type Deck,
  type EditContext,
  type State,
} from '../../model'
import { specInState, stateFields } from '../../charts'
import { addBeat, dropCues } from '../../edits'
import { orderAt, orderLast, type Id } from '../../values'
import { namedEasings } from '../easing'
import { showState, stateIn } from '../effects'

/** A state of a chart with the cue that leads to it, and the number of that cue's beat on its slide; null where no cue does. */
export interface ToldState {
  state: State
  cue: Cue | null
  beat: number | null
}

/** The cues of a chart that lead to its states, in the order in which they come. */
function stateCues(deck: Deck, element: Id): { cue: Cue; beat: number }[] {
  const owner = deck.elements[element]?.owner
  if (owner === undefined) return []
  const own = new Set(cuesOfElement(deck, element).filter(cue => cue.what === 'data'))
  return beatsOf(deck, owner).flatMap((beat, index) =>
    cuesOf(deck, beat.id)
      .filter(cue => own.has(cue))
      .map(cue => ({ cue, beat: index })),
  )
}

/** The states of a chart in their order, each with the first cue that leads to it. */
export function statesTold(deck: Deck, element: Id): ToldState[] {
  const cues = stateCues(deck, element)
  return statesOf(deck, element).map(state => {
    const first = cues.find(({ cue }) => stateIn(cue.options) === state.id)
    return { state, cue: first?.cue ?? null, beat: first?.beat ?? null }
  })
}

/** After which beat a new state comes: that of the last state, else that in which the chart comes, else the first. */
function beatBefore(deck: Deck, element: Id, owner: Id): Id | null {
  const last = stateCues(deck, element).at(-1)?.cue ?? cuesOfElement(deck, element).find(cue => cue.what === 'enter')
  return last?.beat ?? beatsOf(deck, owner)[0]?.id ?? null
}

/** Whether a chart goes from one specification to another by running through time, which goes evenly. */
const runsTo = (from: ChartSpec, to: ChartSpec) =>
  from.kind === to.kind &&
  from.moment?.column !== undefined &&
  from.moment.column === to.moment?.column &&
  (from.moment.at !== to.moment.at || from.moment.key !== to.moment.key)

/**
 * Keeps a specification as a new state of a chart, told after all others: in a beat of its own, with a cue that leads to it. Its
 * id is the first one asked for. Nothing where the chart has no specification.
 */
export function addState(deck: Deck, input: { element: Id; spec: ChartSpec; name?: string }, context: EditContext): Change[] {
  const chart = deck.elements[input.element]
  if (chart?.kind !== 'chart' || !chart.chart) return []
  const last = statesOf(deck, chart.id).at(-1)?.id ?? null
  const id = context.id()
  const state: State = {
    id,
    element: chart.id,
    order: orderLast(statesOf(deck, chart.id)),
    name: (input.name ?? '').slice(0, 120),
    ...stateFields(chart.chart, input.spec),
  }
  const kept = putRecord('states', state)
  if (!deck.slides[chart.owner]) return [kept]
  const beat = context.id()
  const before = beatBefore(deck, chart.id, chart.owner)
  const cue: Cue = {
    id: context.id(),
    beat,
    element: chart.id,
    order: orderAt([], 0),
    what: 'data',
    effect: showState.name,
    options: { state: id },
    anchor: { to: 'beat' },
    delay: 0,
    duration: showState.duration,
    easing: runsTo(specInState(deck, chart.chart, last), input.spec) ? namedEasings.linear : namedEasings['ease both ways'],
    repeat: 1,
  }
  const added = addBeat(deck, { slide: chart.owner, after: before, start: 'advance' }, { ...context, id: () => beat })
  return [kept, ...added, putRecord('cues', cue)]
}

/** Makes a state show a specification. */
export function setState(deck: Deck, input: { state: Id; spec: ChartSpec }): Change[] {
  const state = deck.states[input.state]
  const chart = state && deck.elements[state.element]
  if (chart?.kind !== 'chart' || !chart.chart) return []
  const { chart: fields, without } = stateFields(chart.chart, input.spec)
  return [setRecord('states', input.state, { chart: fields, without })]
}

/** Drops a state with the cues that lead to it, and beats in which nothing else happens. */
export function removeState(deck: Deck, input: { state: Id }): Change[] {
  const state = deck.states[input.state]
  if (!state) return []
  const cues = stateCues(deck, state.element).filter(({ cue }) => stateIn(cue.options) === state.id)
  const gone = new Set(cues.map(({ cue }) => cue.id))
  const beats = [...new Set(cues.map(({ cue }) => cue.beat))].filter(beat => cuesOf(deck, beat).every(cue => gone.has(cue.id)))
  const owner = deck.elements[state.element]?.owner ?? ''
  // A slide keeps at least one beat, and its first is its opening.
  const first = beatsOf(deck, owner)[0]?.id
  return [
    ...dropCues(deck, [...gone]),
    ...beats.filter(beat => beat !== first).map(beat => dropRecord('beats', beat)),
    dropRecord('states', state.id),
  ]
}

/** Lets a state be told one place earlier (−1) or later (1): it takes the place of the one there, in the order and in the cues. */
export function moveState(deck: Deck, input: { state: Id; by: -1 | 1 }): Change[] {
  const state = deck.states[input.state]
  if (!state) return []
  const all = statesOf(deck, state.element)
  const other = all[all.findIndex(({ id }) => id === state.id) + input.by]
  if (!other) return []
  const swapped = new Map([
    [state.id, other.id],
    [other.id, state.id],
  ])
  return [
    setRecord('states', state.id, { order: other.order }),
    setRecord('states', other.id, { order: state.order }),
    ...stateCues(deck, state.element).flatMap(({ cue }) => {
      const to = swapped.get(stateIn(cue.options) ?? '')
      return to ? [setRecord('cues', cue.id, { options: { ...cue.options, state: to } })] : []
    }),
  ]
}
