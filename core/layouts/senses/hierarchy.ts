import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const organised = wordsOf(
  'organi[sz]ation|structure|who (?:reports|belongs|leads)|departments?|divisions?|hierarchy|chart of|tree|made of|species',
  'gliederung|organigramm|aufbau|struktur|abteilungen|wer (?:wem |leitet|gehört).*|organigramme|hiérarchie|services|qui dépend.*',
  'organigrama|estructura|quién depende.*|organigramma|struttura|estrutura|organogram|opbouw|organisation|organisasjon|struktura',
)

export const hierarchy: SenseReader = {
  sense: 'hierarchy',
  read: ({ depth, title, count, length, under }) => {
    if (depth < 2) return null
    const named = organised.test(title)
    if (count === 1 && depth >= 2)
      return { score: named ? 0.96 : 0.84, reason: 'One line at the top, the others indented under it. That is who belongs under whom.' }
    if (depth >= 3) return { score: named ? 0.95 : 0.84, reason: 'Indents in three levels. That is who belongs under whom.' }
    if (named) return { score: 0.9, reason: 'Indented lines, and a title that speaks of an order. That is who belongs under whom.' }
    return { score: under.some(lines => !lines.length) && length <= 4 ? 0.55 : 0.42, reason: 'Some lines are indented under others.' }
  },
}
