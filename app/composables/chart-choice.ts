import {
  chosenColumns,
  columnsFor,
  factsOf,
  leftOutOf,
  offersFor,
  proposedChart,
  questionOf,
  swapped,
  withRule,
  type ChartPurpose,
  type Fact,
} from '#core/charts'
import type { DataTable } from '#core/data'
import { houseTheme } from '#core/layouts'
import type { ChartSpec } from '#core/model'

/** The columns that the sentence has places for. */
const sentence = ['across', 'height', 'series'] as const

/** Chooses how a table is drawn: its columns, what is to be shown, the kind, and the facts that it shows. */
export function useChartChoice(table: () => DataTable | undefined) {
  const host = useStageHost()
  const maps = useMaps()
  const spec = shallowRef<ChartSpec | null>(null)
  const show = ref<ChartPurpose | null>(null)
  const chosen = ref<string | null>(null)
  const taken = shallowRef<Fact | null>(null)
  watch(
    table,
    (now, last) => {
      if (now === last && spec.value) return
      // The same table read anew keeps what was chosen of it.
      if (!now || now.id !== last?.id || !spec.value) spec.value = now ? proposedChart(now) : null
      if (now?.id !== last?.id) show.value = chosen.value = taken.value = null
    },
    { immediate: true },
  )
  /** Why nothing can be drawn yet; empty where it can. */
  const question = computed(() => (table() && spec.value ? (questionOf(spec.value, table()!) ?? '') : ''))
  const made = computed(() =>
    table() && spec.value && !question.value
      ? offersFor(spec.value, table()!, show.value, navigator.language, maps.own.value)
      : { offers: [], lacking: [] },
  )
  const lit = (one: ChartSpec): ChartSpec => {
    if (!taken.value) return one
    const { rule: _, ...rest } = one
    return { ...rest, highlighted: [...taken.value.about] }
  }
  const offers = computed(() => made.value.offers.map(offer => ({ ...offer, spec: lit(offer.spec) })))
  const current = computed(() => offers.value.find(({ kind }) => kind.name === chosen.value) ?? offers.value[0] ?? null)
  const facts = computed(() => {
    if (!table() || !spec.value || question.value) return []
    const room = { language: navigator.language, fonts: houseTheme.fonts, measurer: host.host.measurer }
    return factsOf(spec.value, table()!, room)
  })
  const columns = computed(() => (table() && spec.value ? chosenColumns(spec.value, table()!) : null))

  /** Other columns choose anew what is highlighted. */
  function draw(fields: Partial<ChartSpec>) {
    if (!spec.value || !table()) return
    spec.value = withRule({ ...spec.value, ...fields }, table()!)
    taken.value = null
  }
  /** All categories again. */
  function showAll() {
    const { largest: _, ...rest } = spec.value!
    spec.value = rest
  }
  const choicesFor = (role: 'across' | 'height' | 'series') =>
    table() && columns.value
      ? columnsFor(role, table()!, columns.value).map(({ name }) => ({ value: name as string | null, label: name }))
      : []
  /** Columns that are not drawn; one press brings them in. */
  const leftOut = computed(() => (table() && current.value ? leftOutOf(sentence, spec.value!, table()!) : []))
  function bringIn(name: string) {
    const column = table()?.columns.find(one => one.name === name)
    if (!column || !spec.value) return
    if (column.type === 'number') draw({ series: null, beside: [...(spec.value.beside ?? []), name] })
    else draw({ series: name, beside: [] })
  }
  const swap = () => table() && spec.value && draw(swapped(spec.value, table()!))
  const take = (fact: Fact) => {
    taken.value = taken.value?.words === fact.words ? null : fact
  }
  const headline = computed(() => {
    if (taken.value) return taken.value.words.replace(/\.$/, '')
    const { height, across } = columns.value ?? {}
    return across ? `${height?.name ?? 'Rows'} by ${across.name}` : ''
  })
  return {
    spec,
    show,
    chosen,
    taken,
    question,
    offers,
    lacking: computed(() => made.value.lacking),
    current,
    facts,
    columns,
    choicesFor,
    leftOut,
    headline,
    draw,
    showAll,
    bringIn,
    swap,
    take,
  }
}
