import { drawingOfElement, newChart } from '#core/charts'
import type { DataTable } from '#core/data'
import { setFields } from '#core/edits'
import type { ChartElement, ChartSpec } from '#core/model'
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
  const table = computed<DataTable | undefined>(() => (spec.value.table ? tables.table(spec.value.table) : undefined))
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
  return { spec, table, drawing, isTold, set }
}
