import type { Column, DataTable } from '../data'
import { plainText, type Deck, type FontFaceFile, type TextDoc } from '../model'
import { styleOf, themeUnder, type ShownElement } from '../resolved'
import { memoByRecords, type Id } from '../values'
import { tableContent } from '../tables'
import { familiesNeeded } from './fonts'

type TableOf = (id: Id) => DataTable | undefined

const each = (words: string) => [...new Set(words)].filter(letter => letter > ' ').join('')
const lettersOfText = memoByRecords(
  (text: TextDoc) => [text],
  text => each(plainText(text)),
)
const lettersOfColumns = memoByRecords(
  (columns: readonly Column[]) => [columns],
  columns => {
    const letters = new Set<string>()
    for (const column of columns) {
      for (const letter of column.name) letters.add(letter)
      if (column.type === 'text') for (const value of column.values) for (const letter of String(value ?? '')) letters.add(letter)
    }
    return each([...letters].join(''))
  },
)

/**
 * The letters that an element is written in, each once: its own words, or those of the table that it shows. Empty of what has none, and
 * while its table is not here.
 */
export function lettersOf(element: ShownElement, tableOf: TableOf): string {
  if (element.kind === 'text' || element.kind === 'diagram') return lettersOfText(element.text)
  if (element.kind === 'table') return lettersOfColumns(tableContent(element, tableOf) ?? [])
  if (element.kind === 'chart' && element.text) return lettersOfText(element.text)
  const table = element.kind === 'chart' && element.chart?.table ? tableOf(element.chart.table) : undefined
  return table ? lettersOfColumns(table.columns) : ''
}

/** The family that an element's words are set in, by its own choice, its style or the theme. */
export function familyOf(deck: Deck, element: ShownElement): string {
  const { fonts, textStyles } = themeUnder(deck, element.owner)
  if (element.kind === 'chart') return fonts.body
  const style = element.kind === 'text' ? styleOf(deck, element) : textStyles.body
  return style?.family ?? fonts[style?.font ?? 'body']
}

/** What a deck asks of the fonts at hand: families by name, faces of the team's own, and the letters that are drawn, each once. */
export function fontNeeds(deck: Deck, tables: readonly DataTable[] = []): { families: string[]; faces: FontFaceFile[]; letters: string } {
  const letters = new Set('Aaß0')
  const add = (more: string) => {
    for (const letter of more) letters.add(letter)
  }
  for (const element of Object.values(deck.elements)) {
    if ((element.kind === 'text' || element.kind === 'diagram' || element.kind === 'chart') && element.text)
      add(lettersOfText(element.text))
    if (element.kind === 'table' && !element.table) add(lettersOfColumns(tableContent(element, () => undefined) ?? []))
  }
  for (const table of tables) add(lettersOfColumns(table.columns))
  const faces = [deck.theme.theme, ...Object.values(deck.masters).map(master => master.theme)].flatMap(theme => theme?.faces ?? [])
  return { families: familiesNeeded(deck), faces, letters: [...letters].slice(0, 2000).join('') }
}
