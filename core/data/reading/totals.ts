import type { Column } from '../table'
import { isTotalLabel } from './languages'
import { takeApart } from './written-number'

/** A row that adds up others: it stands apart as a check, and is never drawn. */
export interface TotalRow {
  /** Its number in the file, from 1. */
  row: number
  label: string
  /** What it says of each column of amounts, and what the rows above it come to. */
  sums: readonly { column: string; written: number; sum: number; agrees: boolean }[]
}

/** An amount as a total row has it: its value, and half of its last place, which it may have been rounded by. */
export interface WrittenAmount {
  value: number
  room: number
}

/** Whether an amount is the sum, but for what it was rounded by. */
const agrees = ({ value, room }: WrittenAmount, sum: number) => Math.abs(value - sum) <= room * (1 + 1e-9) + Math.abs(sum) * 1e-12

/** An amount of a column whose cells are not at hand, rounded as finely as any of its values is. */
function amongst(value: number, values: Column['values']): WrittenAmount {
  const decimals = values.reduce<number>((most, one) => Math.max(most, /\.(\d+)$/.exec(String(one))?.[1]?.length ?? 0), 0)
  return { value, room: 0.5 * 10 ** -decimals }
}

/** How finely a cell is written: half of its last place. `times`: what the header multiplies by. */
export function roomOf(cell: string, sign: '.' | ',' | 'each', times: number): number {
  const written = takeApart(cell)
  if (!written) return 0.5
  const { figures } = written
  const at = sign === 'each' ? Math.max(figures.lastIndexOf('.'), figures.lastIndexOf(',')) : figures.lastIndexOf(sign)
  const decimals = at < 0 ? 0 : figures.length - at - 1
  return 0.5 * 10 ** -decimals * (written.times === 1 ? times : written.times)
}

/** Columns whose amounts can be added. */
export const addable = (column: Column) => column.type === 'number' && column.kind !== 'percent' && column.kind !== 'code' && !column.open

/** The rows that may be totals by their first words; `labels` are the cells of columns of words. */
export function labelledTotals(count: number, labels: readonly ((row: number) => string)[]): number[] {
  const known = new Map<string, boolean>()
  const found: number[] = []
  for (let row = 0; row < count; row++) {
    let label = ''
    for (let column = 0; column < labels.length && label === ''; column++) label = labels[column]!(row)
    // Figures first: no word can follow that makes a total of them.
    const code = label.charCodeAt(0)
    if (label === '' || (code >= 48 && code <= 57)) continue
    let isTotal = known.get(label)
    if (isTotal === undefined) {
      isTotal = isTotalLabel(label.trim())
      if (known.size < 5000) known.set(label, isTotal)
    }
    if (isTotal) found.push(row)
  }
  return found
}

/**
 * What total rows say against what the rows come to: a total in the midst adds up the rows since the one before; the last adds up all,
 * or those since the one before. `values`: of all rows, totals among them.
 */
export function checkTotals(
  totals: readonly number[],
  columns: readonly { name: string; values: Column['values']; written: ReadonlyMap<number, WrittenAmount> }[],
  facts: (row: number) => { row: number; label: string },
): TotalRow[] {
  const isTotal = new Set(totals)
  let since = 0
  return totals.map((at, index) => {
    const sums = columns.flatMap(({ name, values, written }) => {
      const amount = written.get(at)
      if (!amount) return []
      const add = (from: number, to: number) => {
        let sum = 0
        let count = 0
        for (let row = from; row < to; row++)
          if (!isTotal.has(row) && typeof values[row] === 'number') {
            sum += values[row] as number
            count++
          }
        return { sum, count }
      }
      // A total above its rows adds up those below.
      const choices =
        at === 0 ? [add(1, values.length)] : [add(since, at), ...(index === totals.length - 1 ? [add(0, values.length)] : [add(0, at)])]
      const fitting = choices.find(({ sum, count }) => count > 0 && agrees(amount, sum))
      const { sum } = fitting ?? choices.at(-1)!
      return [{ column: name, written: amount.value, sum: Number(sum.toPrecision(15)), agrees: fitting !== undefined }]
    })
    since = at + 1
    return { ...facts(at), sums }
  })
}

const sumOf = (values: Column['values']) => values.reduce<number>((sum, value) => (typeof value === 'number' ? sum + value : sum), 0)

/** Whether a last row without a label adds up all above it, in each column of amounts. */
export function isUnnamedTotal(values: readonly Column['values'][]): boolean {
  const columns = values.filter(column => typeof column.at(-1) === 'number')
  return (
    columns.length > 0 &&
    columns.every(column => {
      const above = column.slice(0, -1).filter(value => typeof value === 'number')
      return above.length > 2 && above.some(value => value !== 0) && agrees(amongst(column.at(-1) as number, column), sumOf(above))
    })
  )
}

/** Columns that add up the others of their row: by their name, and by what stands in them. */
export function totalColumns(columns: readonly Column[]): Column[] {
  const amounts = columns.filter(addable)
  return amounts.filter(column => {
    const others = amounts.filter(other => other !== column && other.kind === column.kind && !isTotalLabel(other.name))
    if (!isTotalLabel(column.name) || others.length < 2) return false
    const rows = column.values.flatMap((value, row) => (typeof value === 'number' ? [{ value, row }] : []))
    const fitting = rows.filter(({ value, row }) =>
      agrees(
        amongst(value, column.values),
        others.reduce((sum, { values }) => sum + Number(values[row] ?? 0), 0),
      ),
    )
    return rows.length > 0 && fitting.length / rows.length >= 0.5
  })
}
