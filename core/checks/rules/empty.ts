import { chartKindNamed, hasRows, leftOutWords, questionOf, tableOfChart, unreadLines } from '../../charts'
import { infoOf, isEmptyText, type Deck } from '../../model'
import { closesTo, closeUp } from '../../layouts'
import type { Id } from '../../values'
import type { Finding, Remedy, Rule } from '../finding'

/** Lays a slide out without the picture that nobody has. */
function closing(deck: Deck, slide: Id): Remedy | null {
  if (!closesTo(deck, slide)) return null
  return { label: 'Close its place up', byEye: true, changes: (now, context) => closeUp(now, { slide }, context) }
}

/** Charts and pictures that show nothing, and slides without a title. */
export const empty: Rule = ({ deck, slide, context }) =>
  slide.score.elements.flatMap((element): Finding[] => {
    const finding = (message: string, remedy: Remedy | null = null): Finding[] => [
      { rule: 'empty', slide: slide.slide, beat: null, element: element.id, message, remedy },
    ]
    if (element.kind === 'chart' && element.text && !hasRows(element))
      return finding(`“${element.name}” has no lines to draw. Write what each is about, and its amount.`)
    if (element.kind === 'chart' && !hasRows(element))
      return finding(`“${element.name}” has no table to draw. Drop a CSV file on it, or take another layout.`)
    if (element.kind === 'chart') {
      const table = tableOfChart(deck, element, context.table)
      if (!table) return finding(`“${element.name}” reads a table that is gone. Drop its file on it again.`)
      const { kind, map } = element.chart!
      if (chartKindNamed(kind).isMap && map && !context.table(map))
        return finding(`“${element.name}” is drawn on a map that is gone. Choose another one under Map.`)
      const question = questionOf(element.chart!, table)
      if (question) return finding(`“${element.name}” is not drawn: ${question}`)
      const left = element.text && !element.chart!.table ? leftOutWords(unreadLines(element.text, infoOf(deck).language)) : ''
      if (left) return finding(`“${element.name}” leaves out ${left}`)
    }
    if (element.kind === 'picture' && !element.media && !element.instead)
      return finding(`“${element.name}” has no picture. Drop one on it, or take another layout.`, closing(deck, slide.slide))
    if (element.kind === 'text' && element.placeholder === 'title' && isEmptyText(element.text))
      return finding('The slide has no title. Screen readers and the rundown name it by its title.')
    return []
  })
