import { amountIn, type ReadAmount } from './amounts'
import { partLine } from './split'

/** A stretch of a line, in letters (UTF-16) from its beginning. */
export interface Stretch {
  from: number
  until: number
}

/** A line as a row of a table: what it is about, and its amount; null where it says none. */
export interface LineRow {
  name: Stretch
  amount: ReadAmount | null
  /** The words behind its amount. */
  behind: string
  /** A bare number amid words, as in “Line 5 is full”: an amount only where the other lines have theirs so too. */
  isAmid?: true
}

const wordsAt = (words: string, { from, until }: Stretch) => words.slice(from, until)

/** A stretch without the blanks and marks that stand between a name and an amount. */
function bare(words: string, from: number, until: number): Stretch {
  const text = words.slice(from, until)
  const start = /^[\s:–—=,;(-]*/u.exec(text)![0].length
  const end = start === text.length ? 0 : /[\s:–—=,;(-]*$/u.exec(text)![0].length
  return { from: from + start, until: until - end }
}

function rowWith(words: string, name: Stretch, rest: Stretch, language: string): LineRow | null {
  const amount = amountIn(wordsAt(words, rest), language)
  if (!amount) return null
  const [from, until] = [amount.from + rest.from, amount.until + rest.from]
  return { name, amount: { ...amount, from, until }, behind: words.slice(until, rest.until).trim() }
}

/**
 * Reads a line as a row: “2022 48 %”, “48 % North”, “North: 48 %”; a number in a name is none of it (“Line 4: 120 riders”). `language` (BCP
 * 47) says how numbers are written there; without, that is taken from how they look.
 */
export function rowOfLine(words: string, language = ''): LineRow {
  const whole = amountIn(words, language)
  // An amount alone: its unit is no name.
  if (whole && !words.slice(0, whole.from).trim() && !words.slice(whole.until).trim())
    return { name: { from: 0, until: 0 }, amount: whole, behind: '' }
  for (const split of ['date', 'number', 'lead'] as const) {
    const parted = partLine(words, split)
    if (!parted) continue
    const { lead, rest, joint } = parted
    const behind = lead.length + joint.words.length
    const ends = joint.last
      ? { lead: { from: rest.length + joint.words.length, until: words.length }, rest: { from: 0, until: rest.length } }
      : { lead: { from: 0, until: lead.length }, rest: { from: behind, until: words.length } }
    const row = split === 'number' ? rowWith(words, ends.rest, ends.lead, language) : rowWith(words, ends.lead, ends.rest, language)
    if (row) return row
  }
  if (!whole) return { name: bare(words, 0, words.length), amount: null, behind: '' }
  const before = bare(words, 0, whole.from)
  const behind = words.slice(whole.until).trim()
  return before.until > before.from
    ? { name: before, amount: whole, behind, ...(behind && !whole.unit ? { isAmid: true } : {}) }
    : { name: bare(words, whole.until, words.length), amount: whole, behind: '' }
}

/** Lines that stand together as rows: where others have their amounts at an end, a bare number amid the words of one is none. */
export function rowsOfLines(lines: readonly string[], language = ''): LineRow[] {
  const rows = lines.map(line => rowOfLine(line, language))
  const areAtEnds = rows.some(({ amount, isAmid }) => amount && !isAmid)
  return rows.map((row, index) =>
    areAtEnds && row.isAmid ? { name: bare(lines[index]!, 0, lines[index]!.length), amount: null, behind: '' } : row,
  )
}

/**
 * The values of amounts that can be compared with each other: every text has one, all in the same unit, none below nothing. Null where they
 * cannot.
 */
export function amountsToScale(texts: readonly (string | undefined)[], language = ''): number[] | null {
  if (texts.some(text => text === undefined)) return null
  const read = rowsOfLines(texts as string[], language).map(({ amount }) => amount)
  const unitOf = read[0]?.unit
  const values: number[] = []
  for (const amount of read) {
    if (!amount || amount.unit !== unitOf || amount.value < 0) return null
    values.push(amount.value)
  }
  return values.some(value => value > 0) ? values : null
}

/**
 * Which of amounts, none below nothing, stands farthest from all others, as the greatest or the least; the first of several.
 */
export function farthest(values: readonly number[]): number {
  return values.reduce((best, _, index) => (timesApart(values, index) > timesApart(values, best) ? index : best), 0)
}

/** How many times the nearest of the others an amount is, or that is it; 1 where it lies among them or there is none. */
export function timesApart(values: readonly number[], index: number): number {
  const others = values.filter((_, at) => at !== index)
  const own = values[index]
  if (!others.length || own === undefined) return 1
  const [least, most] = [Math.min(...others), Math.max(...others)]
  if (own > most) return most > 0 ? own / most : Infinity
  return own < least ? (own > 0 ? least / own : Infinity) : 1
}
