import { z } from 'zod'
import { dataTableSchema, takeApart, type DataTable } from '../../core/data'
import { refuse } from '../access'
import { versionsOf, type SourceRow } from '../database/sources'
import { aired, readFile } from './sources'
import { bytesFrom, fileNameOf, gridOf, writeTyped, type Grid } from './typed'

/** What cells of the rows of a table are to hold: a number as a chart draws it, words, or nothing; `version` is that of the rows. */
export const cellsSchema = z.object({
  version: z.string().max(64),
  cells: z
    .array(
      z.object({
        row: z.number().int().min(0).max(100_000),
        column: z.string().min(1).max(200),
        value: z.union([z.number(), z.string().trim().min(1).max(2000), z.null()]),
      }),
    )
    .min(1)
    .max(2000),
})
type Wish = z.infer<typeof cellsSchema>['cells'][number]

const isBlank = (row: readonly string[]) => row.every(cell => !cell.trim())

/** Which sign stands before the decimals of a column, as far as it tells; else of the others. */
function signIn(rows: Grid['rows'], across: number): '.' | ',' {
  const tells = (cells: readonly string[], sign: RegExp) => cells.some(cell => sign.test(cell))
  const [comma, point] = [/\d,\d{1,2}(?!\d)/, /\d\.\d{1,2}(?!\d)/]
  for (const cells of [rows.map(row => row[across]!), rows.flat()]) {
    if (tells(cells, point)) return '.'
    if (tells(cells, comma)) return ','
  }
  return '.'
}

/** The forms that a number may be written in: as the cell has it now (its currency, its unit), with either sign before decimals. */
function formsOf(value: number, written: string, was: number | null, sign: '.' | ','): string[] {
  const parts = takeApart(written)
  const figures = parts ? written.indexOf(parts.figures) : -1
  const plain = (amount: number) => {
    const text = String(Number(Math.abs(amount).toPrecision(12)))
    if (/e/.test(text)) return []
    const other = sign === ',' ? '.' : ','
    return [text.replace('.', sign), text.replace('.', other)]
  }
  const bare = plain(value).map(text => (value < 0 ? `-${text}` : text))
  if (!parts || figures < 0 || parts.negative !== value < 0) return bare
  // Shares are written as hundredths, thousands as such: as many times as the cell does.
  const now = Number(parts.figures.replace(/[^\d.]/g, ''))
  const times = [1, ...(was && now ? [Math.abs(now / was)] : []), ...(parts.percent ? [100] : []), 1 / parts.times]
  const around = (text: string) => written.slice(0, figures) + text + written.slice(figures + parts.figures.length)
  return [...new Set([...times.flatMap(many => plain(value * many).map(around)), ...bare])]
}

async function tableFrom(grid: Grid, source: SourceRow): Promise<DataTable | null> {
  const read = await readFile(bytesFrom(grid), fileNameOf(source.name), source.choices)
  return read.ok ? dataTableSchema.parse(JSON.parse(read.value.text)) : null
}

/** Whether two tables are the same but for some cells, which hold what they are to. */
function isSo(before: DataTable, after: DataTable | null, wishes: readonly Wish[]): boolean {
  if (!after || after.columns.length !== before.columns.length) return false
  const wished = new Map(wishes.map(({ row, column, value }) => [`${row} ${column}`, value]))
  return before.columns.every((column, at) => {
    const { name, type, values } = after.columns[at]!
    if (name !== column.name || type !== column.type || values.length !== column.values.length) return false
    return values.every((value, row) => {
      const wish = wished.get(`${row} ${name}`)
      if (wish === undefined) return value === column.values[row]
      return typeof wish === 'number' && typeof value === 'number'
        ? Math.abs(value - wish) <= 1e-9 * Math.max(1, Math.abs(wish))
        : value === wish
    })
  })
}

/**
 * Writes cells of a typed table as its rows show them, in the form that stands there now. What would change anything beside them, or be
 * read as something else, is refused: then it is to be typed in the grid.
 */
export async function writeCells(
  source: SourceRow,
  version: string,
  wishes: readonly Wish[],
  person: string,
): Promise<{ held: string | null }> {
  const grid = await gridOf(source)
  const onAir = aired(source, await versionsOf(source.id))?.tableId
  if (onAir !== version || grid.stamp !== version) return refuse(409, hasChanged)
  const before = await tableFrom(grid, source)
  const count = before?.columns[0]!.values.length
  // Rows that are blank may be none of the table’s.
  const places = [...grid.rows.keys()].filter(at => count === grid.rows.length || !isBlank(grid.rows[at]!))
  // A column that has no name, or one that another has too, is known by its place.
  const named = (name: string) => grid.header.findIndex(head => head.trim() === name)
  const at = new Map(before?.columns.map(({ name }, place) => [name, named(name) < 0 ? place : named(name)]))
  if (!before || count !== places.length) return refuse(409, notHere)
  if (wishes.some(({ row, column }) => row >= places.length || !at.has(column))) return refuse(400, notHere)
  const written = (forms: readonly string[]): Grid => ({
    ...grid,
    rows: grid.rows.map((row, index) =>
      row.map((cell, across) => {
        const wish = wishes.findIndex(({ row: own, column }) => places[own] === index && at.get(column) === across)
        return wish < 0 ? cell : forms[wish]!
      }),
    ),
  })
  const choices = wishes.map(({ row, column, value }): readonly string[] => {
    if (typeof value !== 'number') return [value ?? '']
    const was = before.columns.find(({ name }) => name === column)?.values[row]
    const across = at.get(column)!
    return formsOf(value, grid.rows[places[row]!]![across]!, typeof was === 'number' ? was : null, signIn(grid.rows, across))
  })
  // One number is tried in each of its forms; of several cells, the same form in all of them.
  for (let form = 0; form < Math.max(...choices.map(({ length }) => length)); form++) {
    const next = written(choices.map(forms => forms[form] ?? forms.at(-1)!))
    if (!isSo(before, await tableFrom(next, source), wishes)) continue
    const { held } = await writeTyped(source, next, version, person)
    return { held }
  }
  return refuse(400, notHere)
}

const hasChanged = 'This table has changed meanwhile. It is shown as it is now in a moment; change it once more then.'
const notHere = 'This cannot be written here without changing how the table is read. Type it in the grid under Data.'
