import { readCsv, type TableReading } from '../data'

/** A table as somebody left it, and what it should be read as. */
export interface WrittenTable {
  title: string
  text: string
  /** A line for each column: name, what it is, and its values. */
  columns: string[]
  /** What has to be said of the whole table, in one of the notes. */
  notes: string[]
}

/**
 * Tables in one text: each begins with `# title`, then its lines; `=> ` before each column that is expected, `!! ` before words that
 * have to be said. `\t` is a tab.
 */
export function writtenTables(text: string): WrittenTable[] {
  return text
    .split(/^# /m)
    .slice(1)
    .map(part => {
      const [title, ...lines] = part.replace(/\n+$/, '').split('\n')
      const begins = (mark: string) => lines.filter(line => line.startsWith(mark)).map(line => line.slice(mark.length))
      const own = lines.filter(line => !/^(?:=>|!!) /.test(line))
      return { title: title!, text: own.join('\n').replaceAll('\\t', '\t').trimEnd(), columns: begins('=> '), notes: begins('!! ') }
    })
}

/** A reading in short: each column with what it is and its values, as expected lines have it. */
export function sketchOf({ table }: TableReading): string[] {
  return table.columns.map(column => {
    const kind = [column.kind, column.grain, column.unit, column.open && 'open'].filter(Boolean).join(' ')
    return `${column.name} | ${kind} | ${column.values.map(value => (value === null ? '∅' : String(value))).join(', ')}`
  })
}

/** The same table with what it was read as: its columns, and which of the expected words are said. */
export function asRead(table: WrittenTable): WrittenTable {
  const read = readWritten(table.text)
  const said = read.notes.map(({ words }) => words).join('\n')
  return { ...table, columns: sketchOf(read), notes: table.notes.filter(words => said.includes(words)) }
}

/** Reads a table as a file of data is. */
export function readWritten(text: string): TableReading {
  const read = readCsv(new TextEncoder().encode(text), 'table.csv', 't')
  if (!read.ok) throw new Error(read.message)
  return read.value
}
