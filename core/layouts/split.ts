import type { Joint } from '../model'
import type { Split } from './catalogue'

/** A line parted in two: `lead` and `rest` are its ends, `joint` what stands between them and which comes first. */
export interface Parted {
  lead: string
  rest: string
  joint: Joint
}

const months =
  'jan(?:uary|uar)?|feb(?:ruary|ruar)?|mar(?:ch)?|märz?|apr(?:il)?|may|mai|june?|juni|july?|juli|aug(?:ust)?|sep(?:t(?:ember)?)?|o[ck]t(?:ober)?|nov(?:ember)?|de[cz](?:ember)?|janvier|février|mars|avril|juin|juillet|août|septembre|octobre|novembre|décembre'
const days =
  '(?:mon|tues?|wednes|thurs?|fri|satur|sun)day|mon|tue|wed|thu|fri|sat|sun|(?:mon|diens|donners|frei|sams|sonn)tag|mittwoch|lundi|mardi|mercredi|jeudi|vendredi|samedi|dimanche'
const seasons = '(?:early |late |mid-?)?(?:spring|summer|autumn|winter)|frühjahr|frühling|sommer|herbst|printemps|été|automne|hiver'
const clock = '\\d{1,2}[:.h]\\d{2}(?: ?(?:am|pm|uhr|h))?|\\d{1,2} ?(?:am|pm|uhr|h)(?![\\p{L}])'
const year = '(?:1[5-9]|20|21)\\d{2}'
const day = `\\d{1,2}(?:st|nd|rd|th|er|\\.)?`
const named = `(?:${day} )?(?:${months})\\.?(?: ${day}(?!\\d))?,?(?: ${year})?`
const numeric = `\\d{4}-\\d{2}-\\d{2}|\\d{1,2}[./]\\d{1,2}[./](?:\\d{4}|\\d{2})?`
const counted =
  '(?:q[1-4]|week|day|month|year|phase|season|kw|woche|tag|monat|jahr|quartal|semaine|jour|mois|année|étape|trimestre) ' +
  `?\\d{0,2}(?: ${year})?|[1-4]\\. quartal(?: ${year})?|q[1-4](?: ${year})?`
const moment =
  `(?:${numeric}|${clock}|${named}|(?:${days})(?:,? (?:${clock}|${named}|${numeric}))?|(?:${seasons})(?: ` +
  `${year})?|${counted}|${year}s?)`
const opensWithMoment = new RegExp(
  `^((?:(?:from|since|until|by|in|ab|seit|bis|von|im|dès|depuis|en|le) )?${moment}(?: ?(?:[–—-]|to|bis|à|until) ` +
    `?${moment})?)(?![\\p{L}\\p{N}])(\\s*[:–—]\\s*|\\s+-\\s+|,\\s+|\\s+)(?=\\S)`,
  'iu',
)

const unit =
  '%|‰|°C|°|k|M|m|bn|km|kg|cm|mm|t|h|min|s|GB|MB|kWh|MWh|kn|x|×|million|millions|millionen|mio\\.?|thousand|tausend|mille|euros?|dollars?|pounds?'
const figure =
  `(?:[€$£¥+−±~<>≈-] ?)?\\d[\\d.,'’\\u00a0\\u202f]*(?:(?: |\\u00a0)\\d{3}(?!\\d))*(?: ?[€$£¥])?(?: ?(?:${unit})(?![\\p{L}]))?(?: ` +
  `?(?:of|in|out of|von|sur) \\d+)?`
const opensWithFigure = new RegExp(`^(${figure})(?![\\p{L}\\p{N}])(\\s*[:–—]\\s*|\\s+-\\s+|\\s+)(?=\\S)`, 'u')
const endsWithFigure = new RegExp(`^(.*?\\S)(\\s*[:–—=]\\s+|\\s+-\\s+|,?\\s+)(${figure})$`, 'u')

const separator = /^(.{1,60}?\S)(\s*[:–—]\s+|\s+[–—-]\s+|\t+)(?=\S)/u
const person = /^((?:\p{Lu}[\p{L}.'’-]*\s?|(?:de|da|von|van|der|den|di|la|le|al|bin|ben)\s){1,5}?)(,\s+|\s+[–—-]\s+|:\s+)(?=\S)/u
const question = /^(.{2,200}?[?？؟])(\s+[–—-]\s+|\s+)(?=\S)/u
const quoted = '[“”„"«»‹›‘’\']'
const sayingFirst = new RegExp(`^(${quoted}.{3,}${quoted})(\\s*[–—-]\\s*|,\\s+|\\s+)(?=\\p{L})`, 'u')
const sayingLast = new RegExp(`^(.{2,60}?\\S)(\\s*:\\s+)(${quoted}.{3,}${quoted}[.!]?)$`, 'u')

const apart = (text: string, match: RegExpExecArray): Parted => ({
  lead: match[1]!,
  rest: text.slice(match[0].length),
  joint: { words: match[2]! },
})

function leadOf(text: string): Parted | null {
  const match = separator.exec(text)
  if (!match || match[1]!.split(/\s+/).length > 7) return null
  return apart(text, match)
}

const parters: Readonly<Record<Split, (text: string) => Parted | null>> = {
  none: () => null,
  lead: leadOf,
  date: text => {
    const match = opensWithMoment.exec(text)
    return match && apart(text, match)
  },
  number: text => {
    const opening = opensWithFigure.exec(text)
    if (opening) return apart(text, opening)
    const ending = endsWithFigure.exec(text)
    // A number after a mere blank may be a name's: “berth 2”. One with a unit, or a large one, is an amount.
    if (ending && !/[:–—=-]/.test(ending[2]!) && !/[%€$£°]|\p{L}|\d{3}/u.test(ending[3]!)) return null
    return ending && { lead: ending[3]!, rest: ending[1]!, joint: { words: ending[2]!, last: true } }
  },
  person: text => {
    const match = person.exec(text)
    return match && apart(text, match)
  },
  question: text => {
    const match = question.exec(text)
    return match && apart(text, match)
  },
  saying: text => {
    const match = sayingFirst.exec(text)
    if (match) return apart(text, match)
    const last = sayingLast.exec(text)
    return last && { lead: last[3]!, rest: last[1]!, joint: { words: last[2]!, last: true } }
  },
}

/**
 * Parts a line in what leads and what follows, in one of the ways of the catalogue; null where it is one piece. Putting the parts together
 * again gives the line.
 */
export function partLine(text: string, split: Split): Parted | null {
  if (text.length > 2000) return null
  const parted = parters[split](text)
  return parted && parted.joint.words.length <= 20 && parted.lead && parted.rest ? parted : null
}

/** Whether two lines of one level belong together as one item: a question and its answer, a saying and who said it. */
export function linesBelong(first: string, second: string, split: Split): boolean {
  if (split === 'question') return /[?？؟]$/.test(first.trim()) && !/[?？؟]$/.test(second.trim())
  return split === 'saying' && /^\s*[–—-]\s*\S/.test(second) && second.length < 120
}
