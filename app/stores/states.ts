import { hasRows, passageOfStates, passageWord, specInState, stateWords, tableOfChart, type Passage } from '#core/charts'
import { setFields } from '#core/edits'
import { infoOf, statesOf, type ChartElement, type ChartSpec } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { addState, easingOf, moveState, removeState, restingPart, setState, statesTold, type Frame } from '#core/timing'
import type { Id } from '#core/values'

/** A state of the chart in hand, in the order in which it is told; the first, without an id, is the chart as composed. */
export interface ChartState {
  id: Id | null
  name: string
  spec: ChartSpec
  /** The number of its beat on the slide, from 1; null where nothing leads to it. */
  beat: number | null
  /** The way to it from the one before, and its seconds as they are played; null of the first. */
  passage: Passage | null
  word: string
  seconds: number
}

/** The states of the chart that is selected: which of them is worked on, and what is done with them. */
export const useStates = defineStore('states', () => {
  const store = useDeck()
  const where = useWhere()
  const stage = useStage()
  const host = useStageHost()
  const tables = useTables()
  /** Charts whose states are looked at though they have one only. */
  const opened = ref<Id | null>(null)
  const chosen = ref<Id | null>(null)
  /** Where the way to the chosen state is being shown, seconds; null where it is at rest. */
  const playing = ref<number | null>(null)
  let request = 0

  const chart = computed<(ChartElement & ShownElement) | null>(() => {
    const single = stage.single
    return single?.kind === 'chart' && hasRows(single) && where.stageId && store.current.slides[where.stageId] ? single : null
  })
  const table = computed(() => (chart.value ? tableOfChart(store.current, chart.value, tables.table) : undefined))
  const isOpen = computed(() => !!chart.value && (opened.value === chart.value.id || statesOf(store.current, chart.value.id).length > 0))

  /** Seconds of a cue as it is played. */
  const secondsOf = (cue: Id | undefined, passage: Passage | null) =>
    where.score?.beats.flatMap(beat => beat.cues).find(one => one.cue.id === cue)?.round ?? passage?.seconds ?? 0
  const list = computed<ChartState[]>(() => {
    const element = chart.value
    if (!element) return []
    const deck = store.current
    const language = infoOf(deck).language
    const named = (before: ChartSpec | null, spec: ChartSpec) => stateWords(before, spec, table.value, language)
    const first = element.chart!
    const made: ChartState[] = [{ id: null, name: named(null, first), spec: first, beat: 1, passage: null, word: '', seconds: 0 }]
    for (const { state, cue, beat } of statesTold(deck, element.id)) {
      const before = made.at(-1)!
      const spec = specInState(deck, first, state.id)
      const passage = passageOfStates(deck, element, { from: before.id, to: state.id }, host.host.table, host.host.measurer)
      made.push({
        id: state.id,
        name: state.name || named(before.spec, spec),
        spec,
        beat: beat === null ? null : beat + 1,
        passage,
        word: passage ? passageWord(passage) : '',
        seconds: secondsOf(cue?.id, passage),
      })
    }
    return made
  })
  const at = computed(() =>
    Math.max(
      0,
      list.value.findIndex(({ id }) => id === chosen.value),
    ),
  )
  const current = computed(() => list.value[at.value] ?? null)
  const cueOf = (id: Id | null) =>
    chart.value && id ? (statesTold(store.current, chart.value.id).find(({ state }) => state.id === id)?.cue ?? null) : null

  function stop() {
    cancelAnimationFrame(request)
    playing.value = null
    stage.passing = null
  }
  function choose(id: Id | null) {
    stop()
    chosen.value = id
  }
  /** Makes the chosen state show something else. */
  function set(label: string, spec: ChartSpec) {
    const element = chart.value
    if (!element) return
    const changes = chosen.value
      ? setState(store.current, { state: chosen.value, spec })
      : setFields(store.current, { table: 'elements', id: element.id, fields: { chart: spec } })
    store.edit(label, changes)
  }
  /** Keeps a specification, or what is shown now, as a state after all others. */
  function keep(spec: ChartSpec | null = null) {
    const element = chart.value
    const shown = spec ?? current.value?.spec
    if (!element || !shown) return
    const changes = addState(store.current, { element: element.id, spec: shown }, store.context)
    store.edit(`keep a state of ${element.name}`, changes)
    opened.value = element.id
    choose(statesOf(store.current, element.id).at(-1)?.id ?? null)
  }
  function remove(id: Id) {
    const index = list.value.findIndex(one => one.id === id)
    store.edit(`remove ${list.value[index]?.name ?? 'a state'}`, removeState(store.current, { state: id }))
    choose(list.value[Math.max(0, index - 1)]?.id ?? null)
  }
  const move = (id: Id, by: -1 | 1) => store.edit('move a state', moveState(store.current, { state: id, by }))
  const rename = (id: Id, name: string) =>
    store.edit('name a state', setFields(store.current, { table: 'states', id, fields: { name: name.slice(0, 120) } }))
  const step = (by: -1 | 1) => choose(list.value[Math.min(list.value.length - 1, Math.max(0, at.value + by))]?.id ?? null)

  /** Shows the way to the chosen state on the stage, as long as it is played; of the first all ways, one after the other. */
  function play() {
    const element = chart.value
    if (!element) return
    const ways = at.value ? [at.value] : list.value.slice(1).map((_, index) => index + 1)
    if (!ways.length) return
    stop()
    const begun = performance.now()
    const tick = () => {
      let passed = (performance.now() - begun) / 1000
      for (const index of ways) {
        const { id, seconds } = list.value[index] ?? { id: null, seconds: 0 }
        if (passed < seconds) {
          const cue = cueOf(id)
          stage.passing = frameOf(element.id, {
            from: list.value[index - 1]!.id,
            to: id,
            progress: passed / seconds,
            ease: cue ? easingOf(cue.easing) : undefined,
          })
          playing.value = passed
          request = requestAnimationFrame(tick)
          return
        }
        // Between two ways each state is looked at for a moment.
        passed -= seconds + (index === ways.at(-1) ? 0 : pause)
        if (passed < 0) {
          stage.passing = frameOf(element.id, { from: null, to: id, progress: 1 })
          request = requestAnimationFrame(tick)
          return
        }
      }
      stop()
    }
    tick()
  }

  watch(
    () => chart.value?.id,
    () => choose(null),
  )
  watch(list, states => {
    if (!states.some(({ id }) => id === chosen.value)) choose(null)
  })
  watch(
    [chart, chosen, playing],
    () => {
      stage.chartState = chart.value && chosen.value && playing.value === null ? { element: chart.value.id, state: chosen.value } : null
    },
    { immediate: true },
  )

  return {
    chart,
    table,
    isOpen,
    opened,
    chosen,
    at,
    list,
    current,
    playing,
    cueOf,
    choose,
    set,
    keep,
    remove,
    move,
    rename,
    step,
    play,
    stop,
  }
})

/** Seconds that a state stands between two ways that are shown one after the other. */
const pause = 0.7

/** A frame in which one chart is on its way, and all else at rest. */
const frameOf = (element: Id, chart: NonNullable<NonNullable<ReturnType<Frame['elements']['get']>>['chart']>): Frame => ({
  elements: new Map([[element, { whole: restingPart(), parts: null, partsBy: null, chart, media: null }]]),
  camera: null,
})
