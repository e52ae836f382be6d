import { counted } from './features'
import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const round = wordsOf(
  'cycle|circle|loop|round|rhythm|every (?:day|week|month|year)|again and again|recurring|kreislauf|zyklus|kreis|rhythmus',
  'jahreslauf|immer wieder|boucle|ronde|ciclo|círculo|cerchio|kringloop|kretslopp|kredsløb|obieg|cykl',
)
const back = wordsOf(
  'and (?:begin )?again|and so on|starts? (?:again|over)|back to (?:the )?(?:start|first|beginning)|repeat|begin again|von vorn',
  'wieder von|zurück zum anfang|und von neuem|on recommence|recommencer|retour au début|et ainsi de suite|vuelta a empezar',
  'volver a empezar|y otra vez|si ricomincia|ricominciare|da capo|recomeçar|outra vez|weer opnieuw|opnieuw beginnen|om igen',
  'från början|forfra|på nytt|od nowa',
)
const seasons: readonly RegExp[] = [
  wordsOf('spring|frühling|frühjahr|printemps|primavera|lente|voorjaar|forår|vår|våren|wiosna|wiosną'),
  wordsOf('summer|sommer|été|verano|estate|verão|zomer|sommar|sommaren|lato|latem'),
  wordsOf('autumn|herbst|automne|otoño|autunno|outono|herfst|efterår|høst|höst|hösten|jesień|jesienią'),
  wordsOf('winter|hiver|invierno|inverno|vinter|vintern|zima|zimą'),
]

export const cycle: SenseReader = {
  sense: 'cycle',
  read: ({ count, title, top, dated }) => {
    if (count < 3) return null
    const last = top.at(-1)!.toLocaleLowerCase()
    const first = top[0]!.toLocaleLowerCase().split(/[\s:,]/)[0]!
    if (back.test(last))
      return { score: 0.95, reason: `The last of ${counted(count, 'line', false)} leads back to the first. That is a ring of steps.` }
    if (count === 4 && seasons.every(season => top.some(line => season.test(line))))
      return { score: 0.97, reason: 'Four seasons. They return to the first.' }
    if (round.test(title) && dated < 0.5)
      return { score: 0.86, reason: 'The title speaks of something that returns. That is a ring of steps.' }
    const ending = last.split(/[\s:,.]+/).slice(-1)[0]!
    return first.length > 3 && (last.startsWith(first) || ending === first)
      ? { score: 0.7, reason: 'The last line names the first again. That could be a ring of steps.' }
      : null
  },
}
