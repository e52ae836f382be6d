import { useLocalStorage } from '@vueuse/core'
import { setFields } from '#core/edits'
import { listedByGroup, type ShownElement } from '#core/resolved'
import { lanesOf, partName, partWords, type ScoreCue } from '#core/timing'
import type { ScoreColumn } from './score-columns'

/** The row of a board’s camera, beside those of elements. */
export const cameraRow = 'camera'
/** Bars under this many px have their words beside them. */
export const thinnestBar = 60

/** One part of an element in its turn within a cue. Lengths in px, but `stagger` in seconds and `step` px a second. */
export interface ScoreTurn {
  cue: string
  tone: string
  index: number
  words: string
  x: number
  width: number
  top: number
  step: number
  stagger: number
}

/** The rows of the score: what moves as one, its cues as bars in lanes, and in an open row the turns of its parts. */
export function useScoreBars(columns: Ref<readonly ScoreColumn[]>) {
  const store = useDeck()
  const where = useWhere()
  const stage = useStageHost()
  const board = useBoard()
  const score = computed(() => where.score!)
  /** Whether rows stand by what happens first, or by what lies in front. */
  const byTime = useLocalStorage('score-by-time', false)
  /** Whether what never moves has no row. */
  const onlyMoving = useLocalStorage('score-only-moving', false)
  const byId = computed(() => new Map(score.value.elements.map(element => [element.id, element])))
  /** The groups that an element stands in, the innermost first. */
  function above(element: ShownElement): string[] {
    const parent = element.parent === undefined ? undefined : byId.value.get(element.parent)
    return parent ? [parent.id, ...above(parent)] : []
  }
  /** Groups whose rows are folded away, and how many rows each has in it. */
  const folded = ref(new Set<string>())
  const fold = (group: string) => {
    folded.value = new Set(folded.value.has(group) ? [...folded.value].filter(one => one !== group) : [...folded.value, group])
  }
  const folds = computed(() => {
    const counts = new Map<string, number>()
    for (const element of score.value.elements) for (const group of above(element)) counts.set(group, (counts.get(group) ?? 0) + 1)
    return counts
  })
  const depthOf = (element: ShownElement) => above(element).length
  /** Whether an element moves, or something in it does: then it has a row also where only what moves is shown. */
  const movers = computed(
    () => new Set(score.value.elements.flatMap(element => (cuesOfRow(element.id).length ? [element.id, ...above(element)] : []))),
  )
  const firstOf = (element: string) => Math.min(Infinity, ...cuesOfRow(element).map(item => score.value.beats[item.beat]!.at + item.start))
  const rows = computed(() => {
    const shown = listedByGroup(
      score.value.elements.filter(element => !element.pinned && (!onlyMoving.value || movers.value.has(element.id))),
      folded.value,
    ).map(({ element }) => element)
    return byTime.value
      ? shown
          .map(element => ({ element, first: firstOf(element.id) }))
          .sort((a, b) => (a.first === b.first ? 0 : a.first - b.first))
          .map(({ element }) => element)
      : shown
  })
  const still = computed(() => score.value.elements.filter(element => !element.pinned && !movers.value.has(element.id)).length)
  const opened = ref(new Set<string>())

  /** How wide the words beside a bar that is too narrow for them are, px, about. */
  const besideBar = (label: string) => label.length * 6.4 + 14
  /** What moves as one: the cues of an element, or of a board’s camera. */
  const cuesOfRow = (row: string) =>
    row === cameraRow ? (score.value.board?.camera.legs ?? []).map(leg => leg.cue) : (score.value.tracks.get(row)?.cues ?? [])
  /** The bars of one row, each in the first lane where it lies on no other. */
  function barsOf(row: string) {
    const made = cuesOfRow(row).map(item => {
      const { start } = item
      const length = item.end - start
      const column = columns.value[item.beat]!
      const label = labelOf(item)
      const plays =
        item.cue.what === 'media' && item.effect.clip !== 'pause'
          ? Math.min(playing(item), Math.max(0, column.moves + column.hold - start))
          : length
      const [x, wide] = [column.x + start * column.unit, Math.max(16, plays * column.unit)]
      return { item, x, width: wide, label }
    })
    const lanes = lanesOf(
      made.map(({ x, width, label }) => ({ from: x + 1, to: x + width + (width < thinnestBar ? besideBar(label) : 0) })),
    )
    return made.map((bar, index) => ({ ...bar, lane: lanes[index]! }))
  }
  /** How long a clip plays that a cue lets play, seconds; a loop until its slide ends. */
  const playing = (item: ScoreCue) => {
    const track = score.value.tracks.get(item.cue.element!)
    return track?.looping ? Infinity : (track?.clip?.seconds ?? 0)
  }
  const bars = computed(
    () => new Map([...(score.value.board ? [cameraRow] : []), ...rows.value.map(element => element.id)].map(row => [row, barsOf(row)])),
  )
  /** How high the bars of a row are, and under them the turns of its parts, where it is open. */
  const barsHeight = (row: string) => 36 + 28 * Math.max(0, ...bars.value.get(row)!.map(bar => bar.lane))
  const heightOf = (row: string) => barsHeight(row) + turnsOf(row).length * turnHeight
  const turnHeight = 20
  const toggle = (row: string) => {
    opened.value = new Set(opened.value.has(row) ? [...opened.value].filter(one => one !== row) : [...opened.value, row])
  }
  const opening = (row: string) => bars.value.get(row)!.some(({ item }) => item.cue.parts && (item.span?.count ?? 0) > 1)
  /** Each part that takes its turn in a cue of an open row, one under the other. */
  function turnsOf(row: string): ScoreTurn[] {
    const track = opened.value.has(row) ? score.value.tracks.get(row) : undefined
    if (!track) return []
    let top = barsHeight(row) - 2
    return bars.value.get(row)!.flatMap(({ item, x }) => {
      const { span } = item
      if (!item.cue.parts || !span || span.count < 2) return []
      const { unit: px } = columns.value[item.beat]!
      const words = partWords(store.current, track, span, stage.host)
      return words.map((text, index): ScoreTurn => {
        const made = {
          cue: item.cue.id,
          tone: item.cue.what,
          index,
          words: text || `${index + 1}`,
          x: x + index * span.stagger * px,
          step: px,
          width: Math.max(8, item.round * px),
          top,
          stagger: span.stagger,
        }
        top += turnHeight
        return made
      })
    })
  }
  const staggered = (id: string, stagger: number) => {
    const cue = store.current.cues[id]
    return cue?.parts ? setFields(store.current, { table: 'cues', id, fields: { parts: { ...cue.parts, stagger } } }) : []
  }
  const labelOf = (item: ScoreCue) =>
    item.effect.called?.(item.cue.options, board.nameOf(item.cue.options.view)) ?? item.effect.label + partsSaid(item)
  function partsSaid({ cue, span }: ScoreCue) {
    if (!cue.parts) return ''
    const { from, to } = cue.parts.range ?? { from: 0, to: null }
    const word = partName(store.deck?.elements[cue.element ?? ''], cue.parts.by)
    if (!cue.parts.range) return `, ${word} by ${word}`
    return to === from || span?.count === 1 ? `, ${word} ${from + 1}` : `, from ${word} ${from + 1}`
  }
  return { rows, folds, folded, fold, depthOf, still, byTime, onlyMoving, bars, heightOf, turnsOf, opening, opened, toggle, staggered }
}
