import { mostWritten, type Amount, type TableElement } from '../model'

/**
 * A table whose cells are written by hand: as many cells in each row, the first row naming the columns, and numbers of tables of data in
 * some of them, by the row and column of their cell, from 0: `2,1`.
 */
export interface Written {
  cells: readonly (readonly string[])[]
  amounts: Readonly<Record<string, Amount>>
}

export const cellKey = (row: number, column: number) => `${row},${column}`
const placeOf = (key: string) => key.split(',').map(Number) as [number, number]

/** What is written in a table; one without anything has one empty cell. */
export function writtenOf({ cells = [['']], amounts = {} }: Pick<TableElement, 'cells' | 'amounts'>): Written {
  const width = Math.max(1, ...cells.map(row => row.length))
  return { cells: cells.map(row => Array.from({ length: width }, (_, at) => row[at] ?? '')), amounts }
}
/** The fields of a table that is written so. */
export const fieldsOfWritten = ({ cells, amounts }: Written): Pick<TableElement, 'cells'> & { amounts: TableElement['amounts'] } => ({
  cells: cells.map(row => [...row]),
  amounts: Object.keys(amounts).length ? amounts : undefined,
})

/** Amounts whose cells are elsewhere; those whose cells are gone go with them. */
function moved(amounts: Written['amounts'], to: (row: number, column: number) => readonly [number, number] | null): Written['amounts'] {
  return Object.fromEntries(
    Object.entries(amounts).flatMap(([key, amount]) => {
      const place = to(...placeOf(key))
      return place ? [[cellKey(...place), amount]] : []
    }),
  )
}
const without = (amounts: Written['amounts'], key: string) => Object.fromEntries(Object.entries(amounts).filter(([one]) => one !== key))

/** Writes words in a cell; with an amount they are a number of a table of data, else they are what they are. */
export const withCell = ({ cells, amounts }: Written, row: number, column: number, words: string, amount?: Amount): Written => ({
  cells: cells.map((line, y) => (y === row ? line.map((cell, x) => (x === column ? words : cell)) : line)),
  amounts: { ...without(amounts, cellKey(row, column)), ...(amount && { [cellKey(row, column)]: amount }) },
})
/** An empty row after one; the same where there is room for no more. */
export const withRowAfter = (written: Written, row: number): Written =>
  written.cells.length >= mostWritten.rows
    ? written
    : {
        cells: written.cells.toSpliced(
          row + 1,
          0,
          written.cells[0]!.map(() => ''),
        ),
        amounts: moved(written.amounts, (y, x) => [y > row ? y + 1 : y, x]),
      }
/** A column after one, called by its number; the same where there is room for no more. */
export const withColumnAfter = (written: Written, column: number): Written =>
  written.cells[0]!.length >= mostWritten.columns
    ? written
    : {
        cells: written.cells.map((line, row) => line.toSpliced(column + 1, 0, row ? '' : `Column ${line.length + 1}`)),
        amounts: moved(written.amounts, (y, x) => [y, x > column ? x + 1 : x]),
      }
/** Without a row; names and one row stay. */
export const withoutRow = (written: Written, row: number): Written =>
  written.cells.length < 3
    ? written
    : {
        cells: written.cells.toSpliced(row, 1),
        amounts: moved(written.amounts, (y, x) => (y === row ? null : [y > row ? y - 1 : y, x])),
      }
/** Without a column; one stays. */
export const withoutColumn = (written: Written, column: number): Written =>
  written.cells[0]!.length < 2
    ? written
    : {
        cells: written.cells.map(line => line.toSpliced(column, 1)),
        amounts: moved(written.amounts, (y, x) => (x === column ? null : [y, x > column ? x - 1 : x])),
      }
/** Whether a block of cells has room in the largest table from a place on, and each of its words in a cell. */
export const hasRoomFor = (row: number, column: number, block: readonly (readonly string[])[]): boolean =>
  row + block.length <= mostWritten.rows &&
  block.every(line => column + line.length <= mostWritten.columns && line.every(words => words.length <= mostWritten.letters))

/** A block of cells put over those from a place on; what has no room in the largest table is left out. */
export function withBlock(written: Written, row: number, column: number, block: readonly (readonly string[])[]): Written {
  const rows = Math.min(mostWritten.rows, Math.max(written.cells.length, row + block.length))
  const columns = Math.min(mostWritten.columns, Math.max(written.cells[0]!.length, column + Math.max(...block.map(line => line.length))))
  const put = (y: number, x: number) => block[y - row]?.[x - column]?.slice(0, mostWritten.letters)
  return {
    cells: Array.from({ length: rows }, (_, y) => Array.from({ length: columns }, (__, x) => put(y, x) ?? written.cells[y]?.[x] ?? '')),
    amounts: moved(written.amounts, (y, x) => (put(y, x) === undefined ? [y, x] : null)),
  }
}
