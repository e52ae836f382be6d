import { counted } from './features'
import type { SenseReader } from './sense'

const who =
  /\b(?:who we are|who is who|our team|the team|team|crew|people|staff|contacts?|speakers?|board|meet|wer wir sind|unser team|mannschaft|menschen|leute|ansprechpartner|vorstand|wer ist wer|équipe|qui sommes|l.équipe|équipage|intervenants|qui est qui)\b/
const roles =
  /\b(?:manager|officer|captain|director|head|lead|chief|engineer|master|assistant|desk|pilot|mate|steward|secretary|chair|treasurer|coordinator|designer|editor|leiter(?:in)?|kapitän(?:in)?|chef(?:in)?|ingenieur(?:in)?|lotse|lotsin|sprecher(?:in)?|vorsitz\w*|kasse|büro|capitaine|directrice|directeur|responsable|ingénieure?|cheffe?|pilote|présidente?|trésori\w+|secrétaire)\b/i
const properName = /^\p{Lu}[\p{L}.'’-]+(?: (?:de|da|von|van|der|den|di|la|le))*(?: \p{Lu}[\p{L}.'’-]+){1,3}(?:$|[,:–—-]| [–—-])/u

export const people: SenseReader = {
  sense: 'people',
  read: ({ count, named, title, top, under, words }) => {
    if (!count) return null
    const names = top.filter(line => properName.test(line)).length / count
    const withRoles = top.filter((line, index) => roles.test(line) || under[index]!.some(sub => roles.test(sub))).length / count
    if (names >= 0.7 && withRoles >= 0.5) return { score: 0.95, reason: `${counted(count, 'name')} with what each does. Those are people.` }
    if (names >= 0.7 && who.test(title)) return { score: 0.93, reason: `${counted(count, 'name')} under a title about people.` }
    if (who.test(title) && named >= 0.5) return { score: 0.82, reason: 'The title speaks of people, and the lines open with names.' }
    if (properName.test(words.title) && count >= 2 && count <= 6 && withRoles > 0)
      return { score: 0.72, reason: 'The title is a name. The lines could tell of that person.' }
    return names >= 0.8 && named >= 0.6
      ? { score: 0.7, reason: `${counted(count, 'line')} that open like names. Those could be people.` }
      : null
  },
}
