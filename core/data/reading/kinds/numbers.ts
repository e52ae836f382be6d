import type { DecimalSign } from '../../numbers'
import type { ColumnChoice } from '../choices'
import type { ColumnSample } from '../sample'
import { signsOf, takeApart, valueWith } from '../written-number'
import type { Reading, TableHints } from './kind'

type Decimal = NonNullable<ColumnChoice['decimal']>

/** The sign before decimals as a column’s cells tell it, and whether they do. */
export function decimalOf({ numbers }: ColumnSample, hints: TableHints): { sign: Decimal; isOpen: boolean } {
  const { only, open } = numbers
  if (only['.'] && only[',']) return { sign: 'each', isOpen: false }
  if (only['.'] || only[',']) return { sign: only['.'] ? '.' : ',', isOpen: false }
  // “1.234” beside “1,234”: one of them has decimals, and nothing tells which. “1.234” alone can be either where nothing else is known;
  // “1,234” is then one of thousands, since nobody writes amounts with three decimals behind a comma in a table of whole ones.
  const isOpen = open['.'] !== undefined && (open[','] !== undefined || hints.decimal === null)
  return { sign: hints.decimal ?? '.', isOpen }
}

const signWord: Readonly<Record<DecimalSign, string>> = { '.': 'point', ',': 'comma' }
const groupWord: Readonly<Record<string, string>> = { ' ': 'blank', "'": 'apostrophe', '’': 'apostrophe', _: 'underscore' }

/** What is said of how numbers are written, after what they are: “comma is the decimal, brackets negative”. */
export function writtenWords({ numbers }: ColumnSample, sign: Decimal): string[] {
  const { open, only, groups, brackets } = numbers
  const said: string[] = []
  if (sign === 'each') said.push('*point and comma* are both decimals')
  else {
    const isDecimal = only[sign] > 0 || open[sign] !== undefined
    const other = sign === '.' ? ',' : '.'
    if (isDecimal) said.push(`*${signWord[sign]}* is the decimal`)
    else if (open[other] !== undefined) said.push(`*${signWord[other]}* groups thousands`)
    else if (groups) said.push(`${groupWord[groups]} groups thousands`)
  }
  if (brackets) said.push('brackets negative')
  return said
}

/** How a cell is read as a number by a sign; `times` is what the header multiplies by. */
export function numberReader(sign: Decimal, times: number, takes: (written: NonNullable<ReturnType<typeof takeApart>>) => boolean) {
  const plain = times !== 1 || sign === 'each' ? /^$/ : sign === ',' ? /^-?\d{1,15}(?:,\d{1,10})?$/ : /^-?\d{1,15}(?:\.\d{1,10})?$/
  return (cell: string): number | undefined => {
    // Most cells are plain; they need none of what follows.
    if (plain.test(cell) && cell) return Number(cell.replace(',', '.')) + 0
    const written = takeApart(cell)
    if (!written || !takes(written)) return undefined
    const one = sign === 'each' ? (signsOf(written.figures)['.'] ? '.' : ',') : sign
    const value = valueWith(written.figures, one)
    if (value === null) return undefined
    const whole = value * written.times * (written.times === 1 ? times : 1)
    return written.negative ? (whole === 0 ? 0 : -whole) : whole
  }
}

/** The sign that a column’s cells leave no doubt of. */
export const toldDecimal = ({ numbers: { only } }: ColumnSample): { told?: { decimal: DecimalSign } } =>
  only['.'] > 0 !== only[','] > 0 ? { told: { decimal: only['.'] > 0 ? '.' : ',' } } : {}

/** A short form of the number that a cell would be, for an answer: 1,234.5. */
const shown = (value: number | null) =>
  value === null ? 'nothing' : new Intl.NumberFormat('en', { maximumFractionDigits: 10 }).format(value)

/** The question of which sign is the decimal, where the cells leave it open. */
export function decimalQuestion({ numbers }: ColumnSample, choice: ColumnChoice): Reading['open'] {
  const cell = numbers.open['.']!
  const figures = takeApart(cell)!.figures
  return {
    question: numbers.open[','] === undefined ? `Decimals, or thousands?` : `“${cell}” and “${numbers.open[',']}” stand in one column.`,
    answers: (['.', ','] as const).map(decimal => ({
      label: `“${cell}” is ${shown(valueWith(figures, decimal))}`,
      choice: { ...choice, decimal },
    })),
  }
}

/** Both decimal signs, the likelier first; the other only where it would make a difference. */
export function signsToOffer(sample: ColumnSample, hints: TableHints): Decimal[] {
  const { sign } = decimalOf(sample, hints)
  if (sign === 'each') return ['each', '.', ',']
  return sample.numbers.hasDecimals ? [sign, sign === '.' ? ',' : '.'] : [sign]
}
export const decimalLabel = (sign: Decimal, sample: ColumnSample) =>
  sign === 'each' ? ', point and comma are decimals' : sample.numbers.hasDecimals ? `, ${signWord[sign]} is the decimal` : ''

/** The one that stands in more cells than all others together; undefined where there is none. */
export function onlyOne(counts: ReadonlyMap<string, number>): string | undefined {
  return counts.size === 1 ? [...counts.keys()][0] : undefined
}
