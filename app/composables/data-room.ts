import type { Step } from '#core/steps'
import type { Column, ColumnChoice, ReadingChoices, ReadingReport, VersionChange } from '#core/data'

/** A table in the list of the team's. */
export interface SourceEntry {
  id: string
  name: string
  fileName: string
  versions: number
  held: number
  open: number
  cameAt: string
  /** The file of the watched folder that it follows, and whether that could not be read. */
  file: string | null
  fault: boolean
  /** The address of a service that it follows. */
  address: string | null
  /** The table that it is made of by steps. */
  madeOf: string | null
}
export interface SourceVersion {
  number: number
  fileName: string
  held: string | null
  createdAt: string
}
/** The folder whose files are tables (its path for editors only), and what is wrong with files in it. */
export interface WatchedFolder {
  folder: string | null
  faults: { file: string; fault: string }[]
  /** Where the addresses begin that tables may follow. */
  services: string[]
}
/** A table with one of its versions as it was read; the cells come some rows at a time. */
export interface SourceDetail {
  id: string
  name: string
  choices: ReadingChoices
  onAir: number | null
  file: string | null
  /** The address of a service that it follows, and why that, or its file, could not be read. */
  address: string | null
  fileFault: string | null
  /** The table that it is made of, and by which steps; null of one that is read from files. */
  madeOf: string | null
  steps: Step[] | null
  /** Whether it is typed here, cell by cell. */
  typed: boolean
  versions: SourceVersion[]
  shown: { number: number; reading: ReadingReport; rows: number; columns: Omit<Column, 'values'>[]; change: VersionChange | null }
}

/** A row as it is shown: which of the table's it is, from 0, and its cells column by column. */
export interface ShownRow {
  number: number
  cells: (string | number | null)[]
}
/** The column, by its place, whose values order the rows that are shown. */
export interface RowOrder {
  column: number
  way: 'up' | 'down'
}
interface RowsAnswer {
  columns: (string | number | null)[][]
  rows?: number[]
}

const pageSize = 200

/** The team's tables: which is looked at, how it was read, and what somebody decides of that. */
export function useDataRoom() {
  const route = useRoute()
  const router = useRouter()
  const tables = useTables()
  const list = ref<SourceEntry[]>([])
  const folder = shallowRef<WatchedFolder | null>(null)
  const detail = shallowRef<SourceDetail | null>(null)
  const busy = ref('')
  /** Pages of rows, as they are shown. */
  const pages = shallowReactive(new Map<number, RowsAnswer>())
  /** The order that rows are looked at in; the table stays as it is. */
  const order = shallowRef<RowOrder | null>(null)
  const asked = new Set<number>()
  /** What was decided here, for taking it back: how it was called, and the choices before. */
  const done = ref<{ label: string; choices: ReadingChoices }[]>([])

  const id = computed(() => (typeof route.query.table === 'string' ? route.query.table : (list.value[0]?.id ?? null)))
  const version = computed(() => Number(route.query.version) || null)

  /** Why what was asked for is not here, where it is not that there is none. */
  const lacking = ref('')
  /** Asks for something; what fails is said where it would stand, and a table that is gone is null. */
  async function ask<T>(request: () => Promise<T>): Promise<T | null | undefined> {
    try {
      const answer = await request()
      lacking.value = ''
      return answer
    } catch (error) {
      if ((error as { statusCode?: number }).statusCode === 404) return null
      lacking.value = messageOf(error)
      return undefined
    }
  }

  async function load() {
    const found = await ask(() => Promise.all([$fetch<SourceEntry[]>('/api/data'), $fetch<WatchedFolder>('/api/tables/watched')]))
    if (found) [list.value, folder.value] = found
  }
  /** Looks whether tables have come, or have got another version; what is looked at is brought anew where it has. */
  async function follow() {
    if (busy.value || document.hidden) return
    const one = () => JSON.stringify(list.value.find(entry => entry.id === id.value))
    const before = one()
    await load()
    if (one() !== before) await look()
  }
  /** Brings the table that is looked at; what came of it before stays until it is here. */
  async function look() {
    const wanted = id.value
    if (!wanted) return void (detail.value = null)
    const query = version.value ? { version: version.value } : {}
    const found = await ask(() => $fetch<SourceDetail>(`/api/data/${wanted}`, { query }))
    // Another one may have been asked for meanwhile.
    if (id.value !== wanted) return
    // Where this one cannot be had, what is here of it stays; another one is not shown in its stead.
    if (found === undefined && detail.value?.id === wanted) return
    forgetRows()
    if (found?.id !== detail.value?.id || found?.shown.columns.length !== detail.value?.shown.columns.length) order.value = null
    detail.value = found ?? null
  }
  function forgetRows() {
    pages.clear()
    asked.clear()
  }
  watch(order, forgetRows)
  watch([id, version], ([now], [before]) => {
    if (now !== before) done.value = []
    void look()
  })

  let going: Promise<unknown> = Promise.resolve()
  /** Goes to another table, version or view; one after the other, so that none goes back to where one was before. */
  const goTo = (change: { table?: string | undefined; version?: string | undefined; view?: string | undefined }) =>
    (going = going.then(() => router.replace({ query: { ...router.currentRoute.value.query, ...change } })))
  const open = (table: string, number?: number) => goTo({ table, version: number === undefined ? undefined : String(number) })

  /** The row that is shown in a place; undefined while it is on its way. */
  function rowAt(place: number): ShownRow | undefined {
    const [page, at] = [Math.floor(place / pageSize), place % pageSize]
    const here = pages.get(page)
    if (here) return { number: here.rows?.[at] ?? place, cells: here.columns.map(values => values[at] ?? null) }
    void bring(page)
    return undefined
  }
  async function bring(page: number) {
    const of = detail.value
    if (!of || asked.has(page)) return
    asked.add(page)
    const by = order.value
    const query = {
      version: of.shown.number,
      from: page * pageSize,
      count: pageSize,
      ...(by && { by: by.column, way: by.way }),
    }
    const found = await asking(() => $fetch<RowsAnswer>(`/api/data/${of.id}/rows`, { query }))
    if (detail.value !== of || order.value !== by) return
    if (found) pages.set(page, found)
    else asked.delete(page)
  }

  async function change(body: { name?: string; choices?: ReadingChoices; onAir?: number }, words: string): Promise<boolean> {
    const of = detail.value
    if (!of) return false
    busy.value = words
    const made = await asking(() => $fetch(`/api/data/${of.id}`, { method: 'PATCH', body }))
    busy.value = ''
    if (!made) return false
    tables.forget(of.id)
    await Promise.all([load(), look()])
    return true
  }
  /** Decides something of how the table is read; it holds for the versions that follow. */
  async function decide(label: string, choices: ReadingChoices) {
    const before = detail.value?.choices
    if (before && (await change({ choices: { ...before, ...choices } }, 'Reading it anew'))) done.value.push({ label, choices: before })
  }
  const decideColumn = (name: string, label: string, choice: ColumnChoice | undefined) => {
    const { [name]: _, ...others } = detail.value?.choices.columns ?? {}
    return decide(label, { columns: choice ? { ...others, [name]: choice } : others })
  }
  async function undo() {
    const last = done.value.at(-1)
    if (last && (await change({ choices: last.choices }, 'Reading it anew'))) done.value.pop()
  }
  const rename = (name: string) => change({ name }, 'Renaming it')
  const putOnAir = (number: number) => change({ onAir: number }, `Putting version ${number} on air`)

  async function take(files: readonly File[]) {
    let last: string | undefined
    for (const file of files) {
      busy.value = `Reading ${file.name}`
      last = (await sendTable<{ id: string }>(file, '/api/data'))?.id ?? last
    }
    busy.value = ''
    if (!last) return
    await load()
    await open(last)
  }
  /** A file becomes the next version of the table that is looked at. */
  async function takeVersion(file: File) {
    const of = detail.value
    if (!of) return
    busy.value = `Reading ${file.name}`
    const made = await sendTable<{ number: number; held: string | null }>(file, `/api/data/${of.id}/versions`)
    busy.value = ''
    if (!made) return
    tables.forget(of.id)
    if (made.held) notifyProblem(`Version ${made.number} is held: ${made.held} Version ${of.onAir} stays on air.`)
    else notify(`Version ${made.number} is on air.`)
    await load()
    if (version.value) await open(of.id)
    else await look()
  }
  /** Makes a table of this one by steps, or one with steps of its own on the same table, and goes to it. */
  async function makeBySteps(ending: string, steps: readonly Step[]) {
    const of = detail.value
    if (!of) return
    const taken = new Set(list.value.map(({ name }) => name))
    const called = `${of.name.slice(0, 180)}, ${ending}`
    let name = called
    for (let count = 2; taken.has(name); count++) name = `${called} ${count}`
    busy.value = 'Making a table by steps'
    const made = await asking(() => $fetch<{ id: string }>(`/api/data/${of.id}/steps`, { method: 'POST', body: { name, steps } }))
    busy.value = ''
    if (!made) return
    await load()
    await goTo({ table: made.id, version: undefined, view: 'steps' })
  }
  /** The table that is looked at was changed here, by its steps or cell by cell: what draws it gets its rows anew. */
  async function changedHere() {
    if (detail.value) tables.forget(detail.value.id)
    await Promise.all([load(), look()])
  }
  async function remove() {
    const of = detail.value
    if (!of || !(await asking(() => $fetch(`/api/data/${of.id}`, { method: 'DELETE' })))) return
    tables.forget(of.id)
    await load()
    detail.value = null
    await goTo({ table: list.value[0]?.id, version: undefined })
  }

  return {
    follow,
    folder,
    list,
    detail,
    id,
    busy,
    lacking,
    done,
    load,
    look,
    goTo,
    open,
    rowAt,
    order,
    decide,
    decideColumn,
    undo,
    rename,
    putOnAir,
    take,
    takeVersion,
    makeBySteps,
    changedHere,
    remove,
  }
}

/** What a version changes against the one on air, in a few words. */
export function changeWords({ rows, sums, added }: VersionChange): string {
  const shown = (value: number) => numberWords(value, Number.isInteger(value) ? 0 : 2)
  const parts = [
    rows.before === rows.after ? `${shown(rows.after)} rows as before` : `${shown(rows.after)} rows for ${shown(rows.before)}`,
    ...sums.slice(0, 2).map(({ column, before, after }) => `“${column}” comes to ${shown(after)} for ${shown(before)}`),
    ...(sums.length > 2 ? [sums.length === 3 ? 'one sum more' : `${sums.length - 2} sums more`] : []),
    ...(added.length ? [`new: ${listWords(added.slice(0, 3).map(name => `“${name}”`))}`] : []),
  ]
  return parts.join('; ')
}

/** A sentence told into its parts: those between asterisks can be changed. */
export const partsOf = (words: string) => words.split('*').flatMap((text, index) => (text ? [{ text, changeable: index % 2 === 1 }] : []))
