import { useLocalStorage } from '@vueuse/core'
import type { Beat } from '#core/model'

/** One beat as it is laid out. Lengths in px, times in seconds. */
export interface ScoreColumn {
  /** px a second in it. */ unit: number
  index: number
  beat: Beat
  x: number
  width: number
  start: 'open' | 'advance' | 'self'
  moves: number
  hold: number
}

/** Beats as columns across the score, to true time or all equally wide, and the playhead over them. `room`: px that the columns have. */
export function useScoreColumns(room: () => number) {
  const where = useWhere()
  const score = computed(() => where.score!)
  const evenly = useLocalStorage('score-evenly', false)
  const least = 150
  /** px a second: the whole slide in sight where beats stay wide enough to be read. */
  const unit = computed(() => {
    return Math.max(8, Math.min(90, Math.max(300, room()) / Math.max(1, where.keptScore!.length)))
  })
  const columns = computed<ScoreColumn[]>(() => {
    let x = 0
    return score.value.beats.map(item => {
      const { hold } = item
      const wide = evenly.value ? Math.max(least, room() / score.value.beats.length) : Math.max(least, (item.moves + hold) * unit.value)
      const made = {
        unit: evenly.value ? wide / Math.max(0.5, item.moves + hold) : unit.value,
        index: item.index,
        beat: item.beat,
        x,
        width: wide,
        start: item.start,
        moves: item.moves,
        hold,
      }
      x += wide
      return made
    })
  })
  const total = computed(() => (columns.value.at(-1)?.x ?? 0) + (columns.value.at(-1)?.width ?? 0))

  const now = computed(() => {
    const moment = where.moment
    if (!moment || moment.slide !== where.slideId) return null
    const column = columns.value[moment.beat]
    return column && moment.seconds >= 0 ? column.x + Math.min(moment.seconds * column.unit, column.width) : 0
  })
  function scrub(event: PointerEvent) {
    where.stop()
    const box = (event.currentTarget as HTMLElement).closest('.columns')!.getBoundingClientRect()
    const at = (clientX: number) => {
      const x = Math.max(0, clientX - box.left)
      const column = columns.value.findLast(candidate => candidate.x <= x) ?? columns.value[0]
      if (!column) return
      const seconds = Math.min(column.moves + column.hold, (x - column.x) / column.unit)
      where.goTo({ slide: where.slideId!, beat: column.index, seconds })
    }
    at(event.clientX)
    followPointer(event, next => at(next.clientX))
  }
  return { evenly, columns, total, now, scrub }
}
