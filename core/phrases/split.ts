import type { Joint } from '../model'
import { memoByText } from '../values'
import { amountPattern } from './amounts'
import { everyDay, momentPattern } from './moments'

/** How a line is parted into what leads and what follows. */
export type Split = 'none' | 'lead' | 'date' | 'number' | 'person' | 'question' | 'saying' | 'hours' | 'effect'

/** A line parted in two: `lead` and `rest` are its ends, `joint` what stands between them and which comes first. */
export interface Parted {
  lead: string
  rest: string
  joint: Joint
}

const opensWithMoment = new RegExp(`^(${momentPattern})(?![\\p{L}\\p{N}])(\\s*[:–—]\\s*|\\s+-\\s+|,\\s+|\\s+)(?=\\S)`, 'iu')
const endsWithMoment = new RegExp(`^(.{2,}?[\\p{L})])(\\s*[:–—]\\s+|\\s+-\\s+|,\\s+)(${momentPattern})$`, 'iu')

const opensWithFigure = new RegExp(`^(${amountPattern})(?![\\p{L}\\p{N}])(\\s*[:–—]\\s*|\\s+-\\s+|\\s+)(?=\\S)`, 'iu')
const endsWithFigure = new RegExp(`^(.*?\\S)(\\s*[:–—=]\\s+|\\s+-\\s+|,?\\s+)(${amountPattern})$`, 'iu')

/** A name, and how many of what: “Line 4: 1,240 riders”. */
const namesThenCounts = new RegExp(`^(.{1,60}?\\S)(\\s*[:–—]\\s+|\\s+-\\s+|\\t+)(${amountPattern} \\p{L}[\\p{L}-]*(?: \\p{L}+)?)$`, 'iu')

const separator = /^(.{1,60}?\S)(\s*[:–—]\s+|\s+[–—-]\s+|\t+)(?=\S)/u
const person = /^((?:\p{Lu}[\p{L}.'’-]*\s?|(?:de|da|von|van|der|den|di|la|le|al|bin|ben)\s){1,5}?)(,\s+|\s+[–—-]\s+|:\s+)(?=\S)/u
/** Days, and from the first figure on when: “Monday to Friday 9:00–17:00”. */
const until = '\\d{1,2}[^\\p{L}]*\\d|\\d{1,2} ?(?:am|pm|h|uhr|bis|to|–|-)'
const hoursLine = new RegExp(
  `^(\\p{L}[^\\d]{0,60}?[\\p{L}.])(\\s*:\\s*|,?\\s+)(?=(?:(?:from|von|de|dalle|das|van|fra|från|od)\\s)?(?:${until}))`,
  'iu',
)
const closedLine = new RegExp(`^(${momentPattern}|${everyDay})(\\s*[:–—]\\s*|,?\\s+)(?=\\p{L}+(?:\\s\\p{L}+)?$)`, 'iu')
/** Words that say that something follows from what was said. */
export const followsFrom = [
  'so|therefore|hence|thus|as a result|deshalb|daher|darum|folglich|donc|alors|por eso|por lo tanto|quindi|perciò|por isso',
  'dus|daarom|derfor|därför|więc|dlatego',
].join('|')
const effectLine = new RegExp(`^([^→⇒].{1,200}?[^\\s,→⇒])(\\s*(?:→|⇒|->|=>)\\s*|,\\s+(?:${followsFrom})\\s+)(?=\\S)`, 'iu')
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
    if (match) return apart(text, match)
    const ending = endsWithMoment.exec(text)
    return ending && { lead: ending[3]!, rest: ending[1]!, joint: { words: ending[2]!, last: true } }
  },
  number: text => {
    const opening = opensWithFigure.exec(text)
    if (opening) return apart(text, opening)
    const counting = namesThenCounts.exec(text)
    if (counting) return { lead: counting[3]!, rest: counting[1]!, joint: { words: counting[2]!, last: true } }
    const ending = endsWithFigure.exec(text)
    // A number after a mere blank may be a name's: “berth 2”. One with a unit, or a large one, is an amount.
    if (ending && !/[:–—=-]/.test(ending[2]!) && !/[%€$£°]|\p{L}|\d{3}/u.test(ending[3]!)) return null
    return ending && { lead: ending[3]!, rest: ending[1]!, joint: { words: ending[2]!, last: true } }
  },
  person: text => {
    const match = person.exec(text)
    return match && apart(text, match)
  },
  hours: text => {
    const match = hoursLine.exec(text) ?? closedLine.exec(text)
    return match && apart(text, match)
  },
  effect: text => {
    const match = effectLine.exec(text)
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
export const partLine = memoByText(
  (text: string, split: Split) => `${split} ${text}`,
  (text, split): Parted | null => {
    if (text.length > 2000) return null
    const parted = parters[split](text)
    return parted && parted.joint.words.length <= 20 && parted.lead && parted.rest ? parted : null
  },
  4000,
)

/** Whether two lines of one level belong together as one item: a question and its answer, a saying and who said it. */
export function linesBelong(first: string, second: string, split: Split): boolean {
  if (split === 'question') return /[?？؟]$/.test(first.trim()) && !/[?？؟]$/.test(second.trim())
  return split === 'saying' && /^\s*[–—-]\s*\S/.test(second) && second.length < 120
}
