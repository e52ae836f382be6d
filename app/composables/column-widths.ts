import { useLocalStorage } from '@vueuse/core'

/** A column is at least and at most so wide, px; where nobody has pulled it, it is as wide as its words, about so much. */
const limits = { least: 72, most: 900, usual: 118 }
/** Pulled by a key it becomes so much wider, px. */
const byKey = 16

/** How wide columns were pulled, px, by the table and the column; kept in this browser. */
export function useColumnWidths(table: () => string) {
  const all = useLocalStorage<Record<string, Record<string, number>>>('column-widths', {})
  const widthOf = (column: string): number | undefined => all.value[table()]?.[column]
  function setWidth(column: string, width: number | undefined) {
    const { [column]: _, ...others } = all.value[table()] ?? {}
    const here = width === undefined ? others : { ...others, [column]: Math.round(Math.min(limits.most, Math.max(limits.least, width))) }
    const { [table()]: __, ...rest } = all.value
    all.value = Object.keys(here).length ? { ...rest, [table()]: here } : rest
  }
  /** The edge of a column is pulled: from a press on, or by the arrows. Escape while it is pulled puts it back. */
  function pull(column: string, event: PointerEvent) {
    if (event.button !== 0) return
    event.preventDefault()
    const cell = (event.currentTarget as HTMLElement).closest('th')
    const [before, from, begun] = [widthOf(column), cell?.getBoundingClientRect().width ?? limits.least, event.clientX]
    followPointer(
      event,
      ({ clientX }) => setWidth(column, from + clientX - begun),
      given => given || setWidth(column, before),
    )
  }
  function pullByKey(column: string, event: KeyboardEvent) {
    const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
    if (!way) return
    event.preventDefault()
    event.stopPropagation()
    const cell = (event.currentTarget as HTMLElement).closest('th')
    setWidth(column, (widthOf(column) ?? cell?.getBoundingClientRect().width ?? limits.least) + way * byKey)
  }
  return { limits, widthOf, setWidth, pull, pullByKey }
}
