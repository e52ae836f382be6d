import { counted } from './features'
import type { SenseReader } from './sense'

const round =
  /\b(?:cycle|circle|loop|round|rhythm|year in|every (?:day|week|month|year)|again and again|recurring|kreislauf|zyklus|kreis|rhythmus|jahreslauf|immer wieder|cycle|boucle|ronde)\b/
const back =
  /\b(?:and (?:again|so on)|start(?:s)? (?:again|over)|back to (?:the )?(?:start|first|beginning)|repeat|begin again|von vorn|wieder von|zurück zum anfang|und von neuem|on recommence|recommencer|retour au début|et ainsi de suite)\b/

export const cycle: SenseReader = {
  sense: 'cycle',
  read: ({ count, title, top, dated }) => {
    if (count < 3) return null
    const last = top.at(-1)!.toLocaleLowerCase()
    const first = top[0]!.toLocaleLowerCase().split(/[\s:,]/)[0]!
    if (back.test(last))
      return { score: 0.95, reason: `The last of ${counted(count, 'line', false)} leads back to the first. That is a ring of steps.` }
    if (round.test(title) && dated < 0.5)
      return { score: 0.86, reason: 'The title speaks of something that returns. That is a ring of steps.' }
    const seasons = [
      'spring',
      'summer',
      'autumn',
      'winter',
      'frühling',
      'frühjahr',
      'sommer',
      'herbst',
      'printemps',
      'été',
      'automne',
      'hiver',
    ]
    if (count === 4 && top.every(line => seasons.some(season => line.toLocaleLowerCase().startsWith(season))))
      return { score: 0.93, reason: 'Four seasons. They return to the first.' }
    return first.length > 4 && last.startsWith(first)
      ? { score: 0.7, reason: 'The last line names the first again. That could be a ring of steps.' }
      : null
  },
}
