import { drawingOfElement, newChart, tableOfChart, withCells, type LineCell } from '#core/charts'
import type { DataTable } from '#core/data'
import { setFields } from '#core/edits'
import { infoOf, type ChartElement, type ChartSpec } from '#core/model'
import type { ShownElement } from '#core/resolved'

/**
 * A chart that is worked on: as composed, or in the state of it that is chosen where it is told in some. What is set goes where it is
 * worked on.
 */
export function useChartInHand(element: () => ChartElement & ShownElement) {
  const store = useDeck()
  const states = useStates()
  const host = useStageHost()
  const tables = useTables()
  /** The states of a chart that is told in some are worked on one by one. */
  const isTold = computed(() => states.chart?.id === element().id)
  const spec = computed<ChartSpec>(() => (isTold.value && states.current ? states.current.spec : (element().chart ?? newChart(null))))
  const table = computed<DataTable | undefined>(() => tableOfChart(store.current, element(), tables.table, spec.value))
  const drawing = computed(() =>
    drawingOfElement(store.current, element(), isTold.value ? states.chosen : null, host.host.table, host.host.measurer),
  )
  /** Sets fields; what is undefined is taken away. */
  function set(fields: { [K in keyof ChartSpec]?: ChartSpec[K] | undefined }, what = 'change') {
    const chart = Object.fromEntries(Object.entries({ ...spec.value, ...fields }).filter(([, value]) => value !== undefined)) as ChartSpec
    const label = `${what} ${element().name}`
    if (isTold.value) states.set(label, chart)
    else store.edit(label, setFields(store.current, { table: 'elements', id: element().id, fields: { chart } }))
  }
  /** The lines that it draws, where it draws its own. */
  const lines = computed(() => (spec.value.table ? undefined : element().text))
  const sources = useTeamTables()
  /** Whether its amounts are written here, so that they can be changed here. */
  const isWritten = computed(() => !!lines.value || (sources.value?.some(({ id, typed }) => typed && id === spec.value.table) ?? false))
  const { write: writeTyped } = useTableCells()
  /** Writes into its rows, which are lines of the slide, or those of a table that is typed. `said`: what was done, once it is. */
  async function write(cells: readonly LineCell[], said: string) {
    if (!table.value) return
    if (!lines.value) return void (await writeTyped(table.value, cells, said))
    const text = withCells(lines.value, cells, infoOf(store.current).language)
    store.edit(`change the lines of ${element().name}`, setFields(store.current, { table: 'elements', id: element().id, fields: { text } }))
  }
  return { spec, table, drawing, isTold, set, lines, isWritten, write }
}
