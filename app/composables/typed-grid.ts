import { useEventListener } from '@vueuse/core'
import { expected } from '#core/values'

/** The names of columns and the rows below them, cell by cell as they are written. */
export interface TypedCells {
  header: readonly string[]
  rows: readonly (readonly string[])[]
}
/** A cell; the row −1 is that of the names. */
export interface CellPlace {
  row: number
  column: number
}

const mostRows = 2000
const mostColumns = 100
const mostLetters = 2000
const mostName = 200
const mostSteps = 200
/** Bytes of a request that goes on once its page is gone, as browsers have it. */
const mostKeepalive = 60_000
/** How long after the last change it is kept, and after how long it is tried again where the server does not answer, ms. */
const keepsAfter = 700
const triesAfter = 5000

const isBlank = (cell: string | undefined) => !cell?.trim()

/** Cells without what is blank at the end of rows and columns. */
export function trimmed({ header, rows }: TypedCells): TypedCells {
  const last = rows.findLastIndex(row => row.some(cell => !isBlank(cell)))
  const kept = rows.slice(0, last + 1)
  const width = Math.max(
    header.findLastIndex(name => !isBlank(name)) + 1,
    ...kept.map(row => row.findLastIndex(cell => !isBlank(cell)) + 1),
    1,
  )
  const wide = (cells: readonly string[]) => Array.from({ length: width }, (_, at) => cells[at] ?? '')
  return { header: wide(header), rows: kept.map(wide) }
}

/** Why a block of cells cannot be written at a place: the grid holds no more, or a cell is too long. Empty where it can. */
export function beyond({ row, column }: CellPlace, block: readonly (readonly string[])[]): string {
  const wide = block.reduce((most, line) => Math.max(most, line.length), 0)
  if (row + block.length > mostRows)
    return `A table that is typed holds ${numberWords(mostRows)} rows; this would be ${numberWords(row + block.length)}. Upload it as a file.`
  if (column + wide > mostColumns)
    return `A table that is typed holds ${mostColumns} columns; this would be ${numberWords(column + wide)}. Upload it as a file.`
  const isLong = block.some((line, down) => line.some(cell => cell.length > (row + down < 0 ? mostName : mostLetters)))
  return isLong
    ? `A name may have ${mostName} letters and a cell ${numberWords(mostLetters)}; one of these has more. Nothing was written.`
    : ''
}

/** Cells with a block of others written from a place on; the grid grows with it. Throws of one that is beyond what it holds. */
export function written({ header, rows }: TypedCells, place: CellPlace, block: readonly (readonly string[])[]): TypedCells {
  if (beyond(place, block)) throw new RangeError('a typed table does not hold that')
  const names = [...header]
  const cells = rows.map(one => [...one])
  block.forEach((line, down) => {
    const at = place.row + down
    line.forEach((words, across) => {
      const to = place.column + across
      const cell = words.replace(/\s*[\r\n]+\s*/g, ' ')
      while (names.length <= to) names.push('')
      if (at < 0) names[to] = cell
      else {
        while (cells.length <= at) cells.push([])
        while (cells[at]!.length <= to) cells[at]!.push('')
        cells[at]![to] = cell
      }
    })
  })
  return { header: names, rows: cells.map(one => names.map((_, at) => one[at] ?? '')) }
}

/**
 * A table that is typed here, cell by cell: what stands in it, taking back, and keeping it a moment after the last change. `id` is null
 * until it is first kept.
 */
export function useTypedGrid(on: { id: () => string | null; name: () => string; made: (id: string) => void; kept: () => void }) {
  const cells = shallowRef<TypedCells>({ header: ['', ''], rows: [] })
  /** The table that it is by now; null until it is first kept. */
  let own = on.id()
  const stamp = ref('')
  const ready = ref(false)
  /** Why it is not kept as it stands; empty where it is. */
  const fault = ref('')
  /** Why what is kept does not go on air; empty where it does. */
  const held = ref('')
  const saving = ref(false)
  const past = shallowRef<readonly TypedCells[]>([])
  const future = shallowRef<readonly TypedCells[]>([])
  let waiting: ReturnType<typeof setTimeout> | undefined
  /** What is kept. */
  const kept = ref('')
  const isKept = computed(() => JSON.stringify(trimmed(cells.value)) === kept.value)

  const ask = (id: string) => $fetch<TypedCells & { stamp: string }>(`/api/data/${id}/grid`)
  function take({ stamp: known, header, rows }: TypedCells & { stamp: string }) {
    stamp.value = known
    cells.value = { header, rows }
    kept.value = JSON.stringify(trimmed(cells.value))
  }
  async function load() {
    const found = own ? await asking(() => ask(own!)) : null
    if (own && !found) return
    if (found) take(found)
    ready.value = true
  }
  /** Brings what somebody else has typed meanwhile, where nothing of one's own waits. */
  async function follow() {
    if (!own || !ready.value || saving.value || !isKept.value) return
    const found = await ask(own).catch(expected('FetchError'))
    if (!found || found.stamp === stamp.value || saving.value || !isKept.value) return
    take(found)
    past.value = future.value = []
  }

  function later(wait = keepsAfter) {
    clearTimeout(waiting)
    waiting = setTimeout(() => void save(), wait)
  }
  /** Keeps a grid; answers with its stamp. */
  async function put(grid: TypedCells): Promise<void> {
    if (!own) {
      const made = await $fetch<{ id: string; stamp: string }>('/api/data/typed', { method: 'POST', body: { name: on.name(), grid } })
      own = made.id
      stamp.value = made.stamp
      held.value = ''
      return on.made(made.id)
    }
    const answer = await $fetch<{ stamp: string; held: string | null }>(`/api/data/${own}/grid`, {
      method: 'PUT',
      body: { grid, stamp: stamp.value },
      // It goes on where the page is left meanwhile.
      keepalive: JSON.stringify(grid).length < mostKeepalive,
    })
    stamp.value = answer.stamp
    held.value = answer.held ?? ''
  }
  /** Keeps what stands there now; what is typed while it is being kept is kept after it. */
  async function save() {
    clearTimeout(waiting)
    const grid = trimmed(cells.value)
    if (saving.value || isKept.value) return
    if (!grid.rows.length) return void (fault.value = 'Not saved: there is no row yet.')
    saving.value = true
    try {
      await put(grid)
      fault.value = ''
      kept.value = JSON.stringify(grid)
      on.kept()
    } catch (error) {
      if (!(error instanceof Error) || !('statusCode' in error)) throw error
      fault.value = `Not saved: ${messageOf(error)}`
      if (error.statusCode === 409) await yieldTo()
      // While the server is away it is tried again by itself.
      else if (error.statusCode === undefined || Number(error.statusCode) >= 500) later(triesAfter)
    } finally {
      saving.value = false
      if (!isKept.value && !fault.value) later()
    }
  }
  /** Somebody else's table is shown as it is now; what was typed here comes back by taking back. */
  async function yieldTo() {
    const mine = cells.value
    await load()
    past.value = [...past.value, mine].slice(-mostSteps)
    future.value = []
  }
  function change(next: TypedCells) {
    if (JSON.stringify(next) === JSON.stringify(cells.value)) return
    const over = beyond({ row: -1, column: 0 }, [next.header, ...next.rows])
    if (over) return notifyProblem(over)
    past.value = [...past.value, cells.value].slice(-mostSteps)
    future.value = []
    cells.value = next
    later()
  }
  function back() {
    const last = past.value.at(-1)
    if (!last) return
    future.value = [...future.value, cells.value]
    past.value = past.value.slice(0, -1)
    cells.value = last
    later()
  }
  function again() {
    const next = future.value.at(-1)
    if (!next) return
    past.value = [...past.value, cells.value]
    future.value = future.value.slice(0, -1)
    cells.value = next
    later()
  }
  const without = (list: readonly string[], at: number) => list.filter((_, index) => index !== at)
  // What was typed last is kept, wherever one goes.
  onBeforeUnmount(() => void save())
  useEventListener('pagehide', () => void save())
  return {
    cells,
    ready,
    fault,
    saving,
    isKept,
    past,
    future,
    load,
    save,
    held,
    follow,
    write(place: CellPlace, block: readonly (readonly string[])[]) {
      const over = beyond(place, block)
      if (over) notifyProblem(over)
      else change(written(cells.value, place, block))
    },
    insertRow: (at: number) =>
      change({ ...cells.value, rows: [...cells.value.rows.slice(0, at), cells.value.header.map(() => ''), ...cells.value.rows.slice(at)] }),
    removeRow: (at: number) => change({ ...cells.value, rows: cells.value.rows.filter((_, row) => row !== at) }),
    removeColumn: (at: number) => change({ header: without(cells.value.header, at), rows: cells.value.rows.map(row => without(row, at)) }),
    insertColumn: (at: number) => {
      const put = (list: readonly string[]) => [...list.slice(0, at), '', ...list.slice(at)]
      change({ header: put(cells.value.header), rows: cells.value.rows.map(put) })
    },
    back,
    again,
  }
}
