import { counted } from './features'
import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const who = wordsOf(
  'who we are|who is who|who to ask|our team|the team|team|crew|people|staff|contacts?|speakers?|the board|meet|wer wir sind',
  'unser team|mannschaft|menschen|leute|ansprechpartner|vorstand|wer ist wer|wer dahinter steht|équipe|qui sommes.*|équipage',
  'intervenants|qui est qui|ceux qui .*|quiénes somos|equipo|chi siamo|squadra|quem somos|equipa|equipe|wie we zijn|ons team',
  'vilka vi är|laget|hvem vi er|kim jesteśmy|zespół',
)
const roles = wordsOf(
  '(?:head |first )?(?:manager|officer|captain|director|head|lead|chief|engineer|master|assistant|desk|pilot|mate|steward|secretary|chair)',
  'treasurer|coordinator|designer|editor|gardener|aid|\\p{L}*leiter(?:in)?|kapitän(?:in)?|chef(?:in)?|ingenieur(?:in)?|lotse',
  'lotsin|sprecher(?:in)?|vorsitz\\p{L}*|kasse|büro|gärtner(?:in)?|capitaine|directrice|directeur|responsable|ingénieure?|cheffe?',
  'pilote|présidente?|trésori\\p{L}+|secrétaire|jardini\\p{L}+|directora?|capitán|jardiner[oa]|secretari[oa]|diret\\p{L}+',
  'capitano|giardinier[ea]|segretari[oa]|capitão|jardineir[oa]|secretári[oa]|tuinman|secretaris|havenmeester|kapitein',
  'trädgårdsmästare|sekreter\\p{L}*|leder|kapten|dyrektor\\p{L}*',
)
const properName = /^\p{Lu}[\p{L}.'’-]+(?: (?:de|da|von|van|der|den|di|la|le))*(?: \p{Lu}[\p{L}.'’-]+){1,3}(?:$|[,:–—-]| [–—-])/u
/** A name of two words or more, and what is said of it in small letters. */
const describedName = /^\p{Lu}[\p{L}’'-]+ (?:\p{L}{2,3} )?\p{Lu}[\p{L}’'-]+(?:, | [–—-] |: )\p{Ll}/u

export const people: SenseReader = {
  sense: 'people',
  read: ({ count, named, title, top, under, words }) => {
    if (!count) return null
    const names = top.filter(line => properName.test(line)).length / count
    const withRoles = top.filter((line, index) => roles.test(line) || under[index]!.some(sub => roles.test(sub))).length / count
    if (names >= 0.7 && withRoles >= 0.5) return { score: 0.95, reason: `${counted(count, 'name')} with what each does. Those are people.` }
    const described = top.filter(line => describedName.test(line)).length / count
    if (names >= 0.7 && described >= 0.7 && count >= 2)
      return { score: 0.86, reason: `${counted(count, 'name')}, each with a word about it. Those could be people.` }
    if (names >= 0.7 && who.test(title)) return { score: 0.93, reason: `${counted(count, 'name')} under a title about people.` }
    if (who.test(title) && named >= 0.5) return { score: 0.82, reason: 'The title speaks of people, and the lines open with names.' }
    if (properName.test(words.title) && count >= 2 && count <= 6 && withRoles > 0)
      return { score: 0.72, reason: 'The title is a name. The lines could tell of that person.' }
    return names >= 0.8 && named >= 0.6
      ? { score: 0.7, reason: `${counted(count, 'line')} that open like names. Those could be people.` }
      : null
  },
}
