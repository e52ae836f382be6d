import { columnNamed, firstCategory, keyOf, type DataTable } from '../data'
import { infoOf, writtenIn, type Amount, type Deck, type Element, type Inline, type TableElement, type TextDoc } from '../model'
import { memoByRecords } from '../values'
import { amountIn } from './amount'
import { rowKey, shownRow, tablesOfRows, withRows } from './rows'

const amountOf = (node: Inline): Amount | undefined => {
  const mark = node.marks?.find(one => one.type === 'amount')
  return mark?.type === 'amount' ? mark.attrs.of : undefined
}

/** Every amount that a text has. */
export const amountsIn = (text: TextDoc): Amount[] =>
  text.content.flatMap(paragraph => (paragraph.content ?? []).flatMap(node => amountOf(node) ?? []))

/** The amounts of an element; the same list as long as the element is the same. */
export const amountsOf: (element: Element) => readonly Amount[] = memoByRecords(
  (element: Element) => [element],
  element => {
    if (element.kind === 'table') return element.table || !element.cells ? [] : Object.values(element.amounts ?? {})
    const text = writtenIn(element)
    return text ? amountsIn(text) : []
  },
)

type TableOf = (id: string) => DataTable | undefined
/** The row of a table that a slide is there for. */
type RowOf = (slide: string) => { table: string; row: number } | null | undefined

/** What an amount comes to, in words; undefined where its table is not at hand or says nothing. */
const wordsNow = (amount: Amount, tableOf: TableOf, language: string, of: ReturnType<RowOf>): string | undefined => {
  const table = tableOf(amount.table)
  return (table && amountIn(amount, table, language, of?.table === amount.table ? of.row : null)?.words) || undefined
}

/** A text with what its amounts are now; the same object where none of them has other words. */
export function textNow(text: TextDoc, tableOf: TableOf, language: string, of: { table: string; row: number } | null = null): TextDoc {
  let changed = false
  const content = text.content.map(paragraph => {
    if (!paragraph.content?.some(amountOf)) return paragraph
    const inline = paragraph.content.map(node => {
      const amount = amountOf(node)
      if (!amount || node.type !== 'text') return node
      const words = wordsNow(amount, tableOf, language, of)
      if (!words || words === node.text) return node
      changed = true
      return { ...node, text: words }
    })
    return { ...paragraph, content: inline }
  })
  return changed ? { ...text, content } : text
}

/** A chart of the table whose row a slide is there for, with what that row is called highlighted. */
function chartOf(element: Extract<Element, { kind: 'chart' }>, table: DataTable, row: number): Element {
  const { chart } = element
  if (chart?.ofRow === undefined || chart.table !== table.id) return element
  const ofRow = keyOf((columnNamed(table, chart.across) ?? firstCategory(table)).values[row])
  return ofRow === chart.ofRow ? element : { ...element, chart: { ...chart, ofRow } }
}

/** A written table whose cells have what their amounts are now; the same object where none has other words. */
function tableNow(element: TableElement, tableOf: TableOf, language: string, of: ReturnType<RowOf>): TableElement {
  let changed = false
  const cells = element.cells?.map((line, row) =>
    line.map((cell, column) => {
      const amount = element.amounts?.[`${row},${column}`]
      const words = (amount && wordsNow(amount, tableOf, language, of)) ?? cell
      changed ||= words !== cell
      return words
    }),
  )
  return changed && cells ? { ...element, cells } : element
}

/** A picture as a row has it. */
function pictureOf(element: Extract<Element, { kind: 'picture' }>, key: string): Element {
  const own = element.ofRows && Object.hasOwn(element.ofRows, key) ? element.ofRows[key] : undefined
  if (!own) return element
  // Its place in the frame is that of another picture.
  const { natural: _, view: __, focus: ___, ...rest } = element
  return { ...rest, ...own }
}

/** A chart whose own lines have what their amounts are now. */
function withLines(element: Element, tableOf: TableOf, language: string, of: ReturnType<RowOf>): Element {
  const text = writtenIn(element)
  const now = text && textNow(text, tableOf, language, of ?? null)
  return now && now !== text ? ({ ...element, text: now } as Element) : element
}

const elementNow = memoByRecords(
  (element: Element, language: string, tableOf: TableOf, row: ReturnType<RowOf>) => [
    element,
    language,
    row?.table,
    row?.row,
    row && tableOf(row.table),
    ...amountsOf(element).map(({ table }) => tableOf(table)),
  ],
  (element, language, tableOf, row): Element => {
    const table = row && tableOf(row.table)
    if (element.kind === 'chart') return withLines(table && row ? chartOf(element, table, row.row) : element, tableOf, language, row)
    if (element.kind === 'picture') return table && row ? pictureOf(element, rowKey(table, row.row)) : element
    if (element.kind === 'table') return tableNow(element, tableOf, language, row)
    const text = writtenIn(element)!
    const now = textNow(text, tableOf, language, row)
    return now === text ? element : ({ ...element, text: now } as Element)
  },
  { keep: 2 },
)

/** Whether an element is another one for each row of its slide. */
const hasRow = (element: Element) =>
  (element.kind === 'picture' && element.ofRows !== undefined) || (element.kind === 'chart' && element.chart?.ofRow !== undefined)

const elementsWithAmounts = memoByRecords(
  (elements: Deck['elements']) => [elements],
  elements => Object.values(elements).filter(element => amountsOf(element).length > 0 || hasRow(element)),
)

/** The ids of the tables that the texts of a deck have numbers of, and whose rows its slides are there for. */
export const tablesTold = (deck: Deck): string[] => [
  ...new Set([
    ...elementsWithAmounts(deck.elements).flatMap(element => amountsOf(element).map(({ table }) => table)),
    ...tablesOfRows(deck),
  ]),
]

/**
 * A deck whose numbers in texts are what their tables say now; where a table is not at hand, or says nothing, the words stay that were
 * written. The same object where nothing is another. A slide that is there for rows shows the first of them.
 */
export function withAmounts(deck: Deck, tableOf: TableOf, rowOf: RowOf = owner => shownRow(deck, owner, tableOf)): Deck {
  const { language } = infoOf(deck)
  const changed = elementsWithAmounts(deck.elements).flatMap(element => {
    const now = elementNow(element, language, tableOf, rowOf(element.owner))
    return now === element ? [] : [[element.id, now] as const]
  })
  return changed.length ? { ...deck, elements: { ...deck.elements, ...Object.fromEntries(changed) } } : deck
}

/** A deck as it is played: a slide for each row of those that ask for it, and numbers as their tables have them now. */
export function asPlayed(deck: Deck, tableOf: TableOf): Deck {
  const { deck: made, rows } = withRows(deck, tableOf)
  return withAmounts(made, tableOf, slide => rows.get(slide) ?? null)
}
