import { useEventListener } from '@vueuse/core'

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
const mostSteps = 200
/** Bytes of a request that goes on once its page is gone, as browsers have it. */
const mostKeepalive = 60_000
/** How long after the last change it is kept, ms. */
const keepsAfter = 700

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

/** Cells with a block of others written from a place on; the grid grows as far as it may. */
export function written({ header, rows }: TypedCells, { row, column }: CellPlace, block: readonly (readonly string[])[]): TypedCells {
  const names = [...header]
  const cells = rows.map(one => [...one])
  block.forEach((line, down) => {
    const at = row + down
    if (at >= mostRows) return
    line.forEach((words, across) => {
      const to = column + across
      if (to >= mostColumns) return
      const cell = words.replace(/\s*[\r\n]+\s*/g, ' ').slice(0, at < 0 ? 200 : mostLetters)
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
  const saving = ref(false)
  const past = shallowRef<readonly TypedCells[]>([])
  const future = shallowRef<readonly TypedCells[]>([])
  let waiting: ReturnType<typeof setTimeout> | undefined
  /** What is kept. */
  const kept = ref('')
  const isKept = computed(() => JSON.stringify(trimmed(cells.value)) === kept.value)

  async function load() {
    const id = own
    if (!id) return void (ready.value = true)
    const found = await asking(() => $fetch<TypedCells & { stamp: string }>(`/api/data/${id}/grid`))
    if (!found) return
    const { stamp: known, ...grid } = found
    stamp.value = known
    cells.value = grid
    kept.value = JSON.stringify(trimmed(grid))
    past.value = future.value = []
    fault.value = ''
    ready.value = true
  }

  function later() {
    clearTimeout(waiting)
    waiting = setTimeout(() => void save(), keepsAfter)
  }
  /** Keeps what stands there now; what is typed while it is being kept is kept after it. */
  async function save() {
    clearTimeout(waiting)
    const grid = trimmed(cells.value)
    if (saving.value || isKept.value) return
    if (!grid.rows.length) return void (fault.value = 'Not saved: there is no row yet.')
    saving.value = true
    const id = own
    try {
      if (id) {
        const answer = await $fetch<{ stamp: string; held: string | null }>(`/api/data/${id}/grid`, {
          method: 'PUT',
          body: { grid, stamp: stamp.value },
          // It goes on where the page is left meanwhile.
          keepalive: JSON.stringify(grid).length < mostKeepalive,
        })
        stamp.value = answer.stamp
        fault.value = answer.held ? `Saved, and held: ${answer.held} What was on air stays there.` : ''
      } else {
        const made = await $fetch<{ id: string; stamp: string }>('/api/data/typed', { method: 'POST', body: { name: on.name(), grid } })
        fault.value = ''
        own = made.id
        stamp.value = made.stamp
        on.made(made.id)
      }
      kept.value = JSON.stringify(grid)
      on.kept()
    } catch (error) {
      if (!(error instanceof Error) || !('statusCode' in error)) throw error
      fault.value = `Not saved: ${messageOf(error)}`
      // Somebody else’s table is shown as it is now.
      if (error.statusCode === 409) await load()
    } finally {
      saving.value = false
      if (!isKept.value && !fault.value) later()
    }
  }
  function change(next: TypedCells) {
    if (JSON.stringify(next) === JSON.stringify(cells.value)) return
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
    write: (place: CellPlace, block: readonly (readonly string[])[]) => change(written(cells.value, place, block)),
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
