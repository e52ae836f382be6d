import { memoByText } from '../../values'
import {
  amountIn,
  amountsToScale,
  everyDay,
  farthest,
  momentOf,
  momentsToScale,
  partLine,
  rowOfLine,
  timesApart,
  type Parted,
  type ReadAmount,
} from '../../phrases'
import { opensWith, wordsOf } from './patterns'

/** What a slide's words are, as an outline has them. */
export interface SlideWords {
  title: string
  lines: readonly { text: string; level: number; /** Written after a number. */ numbered?: boolean }[]
  /** Whether it opens the deck. */
  first: boolean
  /** Whether it ends the deck. */
  last?: boolean
  /** BCP 47; only names what to expect, all languages are read. */
  language?: string
}

/** What can be seen of a slide's lines without knowing what they mean. Shares are fractions of the lines at the top, 0 to 1. */
export interface Features {
  words: SlideWords
  /** Title in small letters. */
  title: string
  /** Lines at the top, and all words. */
  top: readonly string[]
  all: string
  count: number
  /** Lines beneath each line at the top. */
  under: readonly (readonly string[])[]
  /** Levels of indents, 1 where none is indented. */
  depth: number
  /** Words a line at the top, on average. */
  length: number
  dated: number
  clocked: number
  /** Whether the moments at the lines' starts rise. */
  rising: boolean
  figured: number
  /** The amount of each line at the top, what its date is aside. */
  amounts: readonly (ReadAmount | null)[]
  /** Whether all amounts are read, in one unit, and beside names, so that they can be set against each other; and whether none rises. */
  comparable: boolean
  falling: boolean
  /** What is called the line whose amount stands farthest from all others, in small letters, and how many times the nearest it is. */
  outlier: { name: string; times: number } | null
  /** Lines that are a moment and an amount in one unit; 0 where moments do not follow each other. */
  grown: number
  /** Lines with days and hours; with places taken; that were numbered where they were written. */
  opened: number
  placed: number
  numbered: number
  percented: number
  /** Sum of the lines' percentages, 0 where there are none. */
  percents: number
  led: number
  named: number
  asked: number
  said: number
  imperative: number
}

const letters = (text: string) => text.toLocaleLowerCase()
const share = (lines: readonly string[], test: (line: string) => boolean) => (lines.length ? lines.filter(test).length / lines.length : 0)

/** Words that open a line when it tells what to do; the others of a language by what follows them or how they end. */
const verbs = new Set(
  [
    'add advise agree allow answer apply approach arrange ask assess assign attach bake balance begin bend bind blow board boil',
    'book bottle break bring brush build buy call cancel carry change check choose claim clean click climb close collect colour',
    'combine come compare compost confirm connect consider consult cook copy count cover create cross cut decide dial dig discuss',
    'divide do dodge draft draw dress drill drive drop dry email empty enter estimate explain explore express feed ferment file',
    'fill find finish fit fix fold follow form gather get give glue go grow hand hang harvest heat help hire hold identify improve',
    'inform insert install invest invite iron join keep know label launch lay lead learn leave let lift limit link list listen load',
    'lock look loosen lower mail make manage mark match measure meet mend mind mix mount move name note offer open order pack paint',
    'park paste pay peel pick pin place plan plant play post pour practise praise prepare press prevent print prove provide publish',
    'pull push put raise reach read rearrange reduce reflect refresh register remove repair repeat replace reply report rest return',
    'review ride ring rinse roll rotate roughen rub run save say scan screw search secure select send separate serve set share',
    'sharpen shift show shut sign slow smooth soak sort sound sow speak split spread stack stand start stay step stick stir stop',
    'store strengthen study submit supply support switch take talk tear tell test thank thin tie tighten touch trace train transfer',
    'trim trust try turn unload unlock unpack unscrew update upload use visit vote wait walk warm warn wash watch water wear weigh',
    'welcome win wipe withdraw wrap write',
  ]
    .join(' ')
    .split(' '),
)
const infinitives: Readonly<Record<string, RegExp>> = {
  de: /\s\p{Ll}+(?:en|eln|ern)[.!]?$|^\p{Lu}\p{Ll}+(?:en|eln|ern)$/u,
  fr: /^\p{Lu}\p{Ll}*(?:er|ir|re|dre|oir)(?=\s|$)|^S[’']\p{Ll}+(?:er|ir|re)\s/u,
  es: /^\p{Lu}\p{Ll}*(?:ar|er|ir|arse|erse|irse|arla|arlo|erla|erlo)(?=\s|$)/u,
  it: /^\p{Lu}\p{Ll}*(?:are|ere|ire|arsi|ersi|irsi|arla|arlo)(?=\s|$)/u,
  pt: /^\p{Lu}\p{Ll}*(?:ar|er|ir|or)(?:-se|-l[ao])?(?=\s|$)/u,
  nl: /^\p{Lu}\p{Ll}+ (?:je|een|de|het|hem|haar|op|naar|aan|uit|terug)\s|^\p{Lu}\p{Ll}+en(?=\s(?:in|op)|$)/u,
  sv: /^\p{Lu}\p{Ll}+ (?:en|ett|dig|den|det|på|till|upp|in|ut|tillbaka)\s/u,
  da: /^\p{Lu}\p{Ll}+ (?:en|et|dig|den|det|på|op|til|ind|under)\s/u,
  nb: /^\p{Lu}\p{Ll}+ (?:en|et|deg|den|det|på|opp|til|inn|under)\s/u,
  pl: /^\p{Lu}\p{Ll}*(?:ij|aj|ej|uj|dź|rz|ść|oś|eś|ń|sz|up)\s/u,
}
/** Whether a line tells what to do: by a verb that opens it in English, by the form of one in other languages. */
function tellsWhatToDo(line: string, language: string): boolean {
  const said = line.replace(/^[^:]{1,20}:\s/, '')
  const first = /^\p{L}+/u.exec(said)?.[0] ?? ''
  const tongue = language.split('-')[0]!
  if (tongue === 'en' || tongue === '') return verbs.has(first.toLocaleLowerCase()) && said.length > first.length
  return infinitives[tongue]?.test(said) ?? false
}

const ordinals = wordsOf(
  '\\d{1,2}(?:st|nd|rd|th|er|ère|e|º|ª|\\.)',
  '(?:no\\.?|nr\\.?|n°|place|platz|rang|rank|puesto|posto|lugar|plats|plads|miejsce) ?\\d{1,2}',
)
const placeAtStart = new RegExp(`^(?:${ordinals.source})`, 'iu')
const dayAtStart = opensWith(everyDay)
const shutWords = wordsOf(
  'closed|geschlossen|fermée?|cerrado|chiuso|fechado|gesloten|stängt|lukket|stengt|nieczynne|zamknięte|round the clock|all day',
)

/** Whether a line says on which days and from when to when something is open. */
function saysHours(line: string): boolean {
  const parted = partLine(line, 'hours')
  if (!parted) return false
  const moment = momentOf(parted.lead)
  const isDay = moment?.kind === 'weekday' || dayAtStart.test(parted.lead)
  return isDay && (shutWords.test(parted.rest) || /\d/.test(parted.rest))
}

/** The share of lines that are a moment and an amount alone; 0 where these cannot be compared, or moments do not follow each other. */
function grownIn(top: readonly string[], dates: readonly (Parted | null)[], values: readonly number[] | null): number {
  if (!values || momentsToScale(dates.map(parted => parted?.lead)) === null) return 0
  return (
    top.filter((_, index) => {
      const rest = dates[index]?.rest
      const amount = rest === undefined ? null : amountIn(rest)
      return amount && amount.from < 2 && rest!.length - amount.until < 2
    }).length / top.length
  )
}

/** The line whose amount stands farthest from all others. */
function outlierIn(top: readonly string[], amounts: readonly (ReadAmount | null)[], values: readonly number[]): Features['outlier'] {
  const at = farthest(values)
  const { from, until } = amounts[at] ?? { from: 0, until: 0 }
  const [before, behind] = [top[at]!.slice(0, from), top[at]!.slice(until)].map(words => words.replace(/^[^\p{L}\d]+|[^\p{L}\d]+$/gu, ''))
  return { name: letters(before || behind || ''), times: timesApart(values, at) }
}

/** Reads what can be seen of a slide's words. Lines without words are passed over. */
function readFeatures(words: SlideWords): Features {
  const filled = words.lines.filter(line => line.text.trim() !== '')
  const least = filled.reduce((low, line) => Math.min(low, line.level), 9)
  const top: string[] = []
  const under: string[][] = []
  let depth = filled.length ? 1 : 0
  for (const line of filled) {
    if (line.level <= least || !top.length) {
      top.push(line.text.trim())
      under.push([])
    } else {
      under.at(-1)!.push(line.text.trim())
      depth = Math.max(depth, line.level - least + 1)
    }
  }
  const { language = '' } = words
  const dates = top.map(line => partLine(line, 'date'))
  const amounts = top.map((line, index) => rowOfLine(dates[index]?.rest ?? line, language).amount)
  const values = amountsToScale(
    top.map((line, index) => dates[index]?.rest ?? line),
    language,
  )
  const percents = amounts.reduce((sum, amount) => sum + (amount?.unit === '%' ? amount.value : 0), 0)
  const percented = share(top, line => amounts[top.indexOf(line)]?.unit === '%')
  // A count before its noun says how many of what there are, and those are of different things.
  const beside = amounts.every((amount, index) => amount && (amount.from > 1 || amount.unit !== '' || dates[index]))
  const named = percented < 1 || amounts.every(amount => amount!.from > 1) || percents <= 101
  const wordsIn = top.reduce((sum, line) => sum + line.split(/\s+/).length, 0)
  return {
    words,
    title: letters(words.title.trim()),
    top,
    under,
    depth,
    all: letters([words.title, ...filled.map(line => line.text)].join('\n')),
    count: top.length,
    length: top.length ? wordsIn / top.length : 0,
    dated: share(top, line => dates[top.indexOf(line)] !== null || momentOf(line)?.kind === 'date'),
    clocked: share(top, line => momentOf(dates[top.indexOf(line)]?.lead ?? line)?.kind === 'clock'),
    rising: momentsToScale(top.map((line, index) => dates[index]?.lead ?? line)) !== null && top.length > 1,
    amounts,
    comparable: values !== null && beside && named && top.length > 1,
    falling: values !== null && values.every((value, index) => index === 0 || value <= values[index - 1]!) && values[0]! > values.at(-1)!,
    outlier: values && outlierIn(top, amounts, values),
    grown: grownIn(top, dates, values),
    opened: share(top, saysHours),
    placed: share(top, line => placeAtStart.test(line) && !momentOf(line)),
    numbered: filled.length ? filled.filter(line => line.numbered && line.level <= least).length / top.length : 0,
    figured: share(top, line => partLine(line, 'number') !== null || /^\D{0,2}\d[\d.,\s]*\D{0,3}$/.test(line)),
    percented,
    percents,
    led: share(top, line => partLine(line, 'lead') !== null),
    named: share(top, line => partLine(line, 'person') !== null),
    asked: share(top, line => /[?？؟](?:\s|$)/.test(line)),
    said: share(top, line => partLine(line, 'saying') !== null || /^[“”„"«‘].{4,}[“”"»’]\.?$/.test(line)),
    imperative: share(top, line => tellsWhatToDo(line, language)),
  }
}

/** What can be seen of a slide’s words; kept, as the same words are asked for again by every look. */
export const featuresOf = memoByText((words: SlideWords) => JSON.stringify(words), readFeatures, 500)

const counts = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']
/** A count with its thing in words: “four lines”, “Four lines” at a sentence's start. */
export function counted(count: number, thing: string, opening = true): string {
  const number = counts[count] ?? String(count)
  const words = `${number} ${thing}${count === 1 ? '' : 's'}`
  return opening ? words[0]!.toUpperCase() + words.slice(1) : words
}
