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
  /** How many times as wide as the room for it the score is. */
  const zoom = useLocalStorage('score-zoom', 1)
  const most = 24
  const zoomTo = (next: number) => (zoom.value = Math.min(most, Math.max(1, Math.round(next * 100) / 100)))
  const space = computed(() => Math.max(300, room()))
  /** px: a beat that lasts a moment can still be pressed. */
  const least = computed(() => Math.min(150, space.value / score.value.beats.length) * Math.min(zoom.value, 2))
  /** px a second: the whole slide is in sight, unless one looks nearer. */
  const unit = computed(() => {
    const free = score.value.beats.map(item => item.moves + item.hold)
    const length = Math.max(1, where.keptScore!.length)
    // What short beats take more than their share of, long ones have less of.
    const even = Math.min(90, space.value / length)
    const short = free.filter(seconds => seconds * even < least.value)
    const long = length - short.reduce((sum, seconds) => sum + seconds, 0)
    const left = space.value - (short.length * least.value) / Math.min(zoom.value, 2)
    return Math.max(4, Math.min(even, long > 0.1 ? Math.max(1, left) / long : even)) * zoom.value
  })
  const columns = computed<ScoreColumn[]>(() => {
    let x = 0
    return score.value.beats.map(item => {
      const { hold } = item
      const wide = evenly.value
        ? Math.max(least.value, (space.value * zoom.value) / score.value.beats.length)
        : Math.max(least.value, (item.moves + hold) * unit.value)
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
  return { evenly, zoom, zoomTo, columns, total, now, scrub }
}
