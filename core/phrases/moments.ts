import { anyOf, tongues } from './tongues'

/** The names that languages have for twelve months or seven days, in small letters without points, each with its place from 0. */
function namesOf(part: 'month' | 'weekday', length: 'long' | 'short'): Map<string, number> {
  const found = new Map<string, number>()
  for (const tongue of tongues) {
    const alone = new Intl.DateTimeFormat(tongue, { [part]: length, timeZone: 'UTC' })
    // Beside a day, months stand in another case in some languages.
    const beside = new Intl.DateTimeFormat(tongue, { day: 'numeric', [part]: length, timeZone: 'UTC' })
    for (let index = 0; index < (part === 'month' ? 12 : 7); index++) {
      // 2024 began on a Monday.
      const date = new Date(part === 'month' ? Date.UTC(2024, index, 1) : Date.UTC(2024, 0, 1 + index))
      for (const format of [alone, beside]) {
        const name = format.formatToParts(date).find(({ type }) => type === part)?.value
        if (name && !/\d/.test(name)) found.set(name.toLocaleLowerCase(tongue).replace(/\.$/, ''), index)
      }
    }
  }
  return found
}

const months = namesOf('month', 'long')
const shortMonths = new Map([...namesOf('month', 'short'), ['sept', 8], ['märz', 2], ['okt', 9], ['dez', 11]] as [string, number][])
/** Days as they are said too: without their ending, or after a small word in another case. */
const saidDays = 'segunda terça quarta quinta sexta|poniedziałku wtorku środy czwartku piątku soboty niedzieli'
  .split('|')
  .flatMap(names => names.split(' ').map((name, index) => [name, index] as const))
const days = new Map([...namesOf('weekday', 'long'), ...saidDays])
const shortDays = new Map([...namesOf('weekday', 'short')].filter(([name]) => name.length > 1))
/** Names that are common words too: moments only beside a number. */
const alsoWords = new Set(['may', 'march', 'mars', 'set', 'out', 'maj', 'mai'])
const seasons = new Map(
  [
    ['spring', 'frühling', 'frühjahr', 'printemps', 'primavera', 'lente', 'voorjaar', 'forår', 'vår', 'wiosna', 'wiosną'],
    ['summer', 'sommer', 'été', 'verano', 'estate', 'verão', 'zomer', 'sommar', 'lato', 'latem'],
    [
      'autumn',
      'fall',
      'herbst',
      'automne',
      'otoño',
      'autunno',
      'outono',
      'herfst',
      'najaar',
      'efterår',
      'høst',
      'höst',
      'jesień',
      'jesienią',
    ],
    ['winter', 'hiver', 'invierno', 'inverno', 'vinter', 'zima', 'zimą'],
  ].flatMap((names, index) => names.map(name => [name, index] as const)),
)
/** Things that are counted through a year or a plan: each name with what it is. */
const countedThings = new Map(
  Object.entries({
    quarter: 'q quarter quartal trimestre trim trimester kwartaal kvartal kwartał t',
    week: 'week wk kw woche semaine semana settimana uge uke vecka tydzień tyg',
    day: 'day tag jour día giorno dia dag dzień',
    month: 'month monat mois mes mese mês maand måned månad miesiąc',
    year: 'year jahr année an año anno ano jaar år rok',
    phase: 'phase fase etapa étape etappe etap season saison stage faza',
  }).flatMap(([kind, names]) => names.split(' ').map(name => [name, kind] as const)),
)
/** Words for every day, all workdays, all holidays, divided by bars. */
export const everyDay = [
  'daily|weekdays?|weekends?|holidays?|täglich|werktags?|feiertags?|tous les jours|jours fériés|festivos|diario|festivi',
  'diariamente|dagelijks',
].join('|')
const prepositions = anyOf(
  [
    'on by since from until till in at before after during the ab seit bis von vom im am zum vor nach um dès depuis en le la',
    'les à au du avant après jusqu’au desde hasta el a antes después de da dal dalla dall’ fino al il lo nel nell’ entro dopo',
    'alle até em no na partir vanaf sinds tot op voor fra siden til den i fram sedan på före efter från od do w we dnia po',
    'przed o kl. godz. ore klokken',
  ].flatMap(line => line.split(' ')),
)

const year = '(?:1[0-9]|20|21)\\d{2}'
const ordinal = '(?:st|nd|rd|th|er|re|º|ª|°|e|ste|de|\\.)?'
const month = `(?:${anyOf([...months.keys(), ...shortMonths.keys()])})\\.?`
const wholeMonth = `(?:${anyOf([...months.keys()].filter(name => !alsoWords.has(name)))})`
const of = "(?:\\s(?:of|de|del|di|d[’'])\\s?|[\\s,-]\\s?)"
const clock = '(?:\\d{1,2}[:.h]\\d{2}(?:\\s?(?:am|pm|uhr|h|uur))?|\\d{1,2}\\s?(?:am|pm|uhr|h|heures?|uur|horas))(?![\\p{L}\\d])'
const dayNumber = `\\d{1,2}${ordinal}`
const named =
  `(?:(?:${dayNumber}\\s?[–—-]\\s?)?${dayNumber}${of}${month}(?:${of}${year})?|${month}\\s(?:the\\s)?${dayNumber}(?!\\d)(?:,?\\s${year})?` +
  `|${month}${of}${year}|${wholeMonth}(?![\\p{L}’']))`
const numeric = `(?:\\d{4}-\\d{2}-\\d{2}|\\d{4}-\\d{2}(?!\\d)|\\d{1,2}[./]\\d{1,2}[./](?:\\d{4}|\\d{2})?)`
const weekday =
  `(?:(?:${anyOf(days.keys())})s?|(?:${anyOf(shortDays.keys())})(?=\\.|,|\\s?[–—-]|\\s\\d|:|$)\\.?)` +
  `(?:\\s?[–—-]\\s?(?:${anyOf([...days.keys(), ...shortDays.keys()])})\\.?)?`
const seasonal = `(?:(?:early|late|mid)[ -])?(?:${anyOf(seasons.keys())})(?:\\sof)?(?:\\s${year})?`
const quarters = 'quarter|quartal|trimestre|kwartaal|kvartal|kwartał'
const counting =
  `(?:(?:${anyOf(countedThings.keys())})\\.?\\s?\\d{1,2}|[1-4](?:st|nd|rd|th|er|e|º|o|\\.)\\s(?:${quarters}))` +
  `(?:,?\\s(?:of\\s|de\\s)?${year})?`
const century =
  `(?:\\d{1,2}(?:st|nd|rd|th|\\.|e)\\s(?:century|jahrhundert|eeuw|århundrede|århundre|århundradet)` +
  `|[ivx]{1,5}e?\\s(?:siècle|secolo|século|wiek)|(?:siglo|século)\\s[ivx]{1,5}|\\d{2}00-talet)`
const decade = `${year}(?:s|er|’s|'s|-talet)`
const dayAndMore = `${weekday}(?:,?\\s(?:${clock}|${named}|${numeric}))?`
const one = `(?:${[numeric, clock, named, century, dayAndMore, seasonal, counting, decade, year].join('|')})`
const between = `\\s?(?:[–—-]|to|bis|à|au|a|al|até|tot|til|till|do|and|und|et|y|e)\\s?`
/** A moment or a span of time as it is written, with the small word before it. */
export const momentPattern = `(?:(?:${prepositions})\\s){0,2}${one}(?:${between}(?:(?:${prepositions})\\s)?${one})?`

/** A moment that can be ordered and measured against others of its kind. */
export interface ReadMoment {
  kind: 'date' | 'day' | 'clock' | 'weekday' | 'season' | 'quarter' | 'week' | 'phase'
  /** Days since the year 0, minutes since midnight, or a place in its order. */
  value: number
}

const dayOf = (yearOf: number, monthOf = 0, date = 1) => Date.UTC(yearOf, monthOf, date) / 86_400_000
const startsWith = new RegExp(`^(?:(?:${prepositions})\\s){0,2}(?=\\S)`, 'iu')
const [opensWithClock, opensWithCentury, opensWithCounted, opensWithDay] = [clock, century, counting, weekday].map(
  pattern => new RegExp(`^(?:${pattern})`, 'iu'),
) as [RegExp, RegExp, RegExp, RegExp]
const opensWithMoment = new RegExp(`^${one}(?![\\p{L}\\p{N}])`, 'iu')
const yearsIn = new RegExp(`(?<!\\d)(${year})(?!\\d)`)
const monthIn = new RegExp(`(?<![\\p{L}])(${month})(?![\\p{L}])`, 'iu')
const romans: Readonly<Record<string, number>> = { i: 1, v: 5, x: 10 }
const roman = (text: string) =>
  [...text].reduce((sum, letter, index) => {
    const [value, next] = [romans[letter]!, romans[text[index + 1] ?? ''] ?? 0]
    return sum + (value < next ? -value : value)
  }, 0)

/** A date written in figures alone: day before month, unless that cannot be. */
function numericDate(words: string): ReadMoment | null {
  const iso = /^(\d{4})-(\d{2})(?:-(\d{2}))?/.exec(words)
  if (iso) return { kind: 'date', value: dayOf(Number(iso[1]), Number(iso[2]) - 1, Number(iso[3] ?? 1)) }
  const written = /^(\d{1,2})[./](\d{1,2})[./](\d{2,4})?/.exec(words)
  if (!written) return null
  const [first, second] = [Number(written[1]), Number(written[2])]
  const [date, monthOf] = second > 12 ? [second, first] : [first, second]
  if (written[3] === undefined) return { kind: 'day', value: dayOf(2024, monthOf - 1, date) }
  const short = Number(written[3])
  return { kind: 'date', value: dayOf(written[3].length === 2 ? 2000 + short : short, monthOf - 1, date) }
}

function clockIn(words: string): ReadMoment | null {
  const match = opensWithClock.exec(words)
  if (!match) return null
  const [, hours, minutes] = /^(\d{1,2})(?:[:.h](\d{2}))?/.exec(match[0])!
  const isLate = /pm$/i.test(match[0]) && Number(hours) < 12
  return { kind: 'clock', value: (Number(hours) + (isLate ? 12 : 0)) * 60 + Number(minutes ?? 0) }
}

function centuryIn(words: string): ReadMoment | null {
  if (!opensWithCentury.test(words)) return null
  const hundreds = /^(\d{2})00/.exec(words)
  if (hundreds) return { kind: 'date', value: dayOf(Number(hundreds[1]) * 100 + 50) }
  const figure = /\d{1,2}/.exec(words)
  const number = figure ? Number(figure[0]) : roman(/(?<![\p{L}])([ivx]{1,5})(?=e?(?![\p{L}]))/u.exec(words)?.[1] ?? '')
  return { kind: 'date', value: dayOf((number - 1) * 100 + 50) }
}

function countedIn(words: string, yearOf: number | null): ReadMoment | null {
  const match = opensWithCounted.exec(words)
  if (!match) return null
  const name = /\p{L}{2,}|(?<!\p{L})[qt](?=\s?\d)/u.exec(match[0].replace(/^[1-4](?:st|nd|rd|th|er|e|º|o|\.)\s/, ''))?.[0] ?? ''
  const thing = countedThings.get(name)
  const place = Number(/\d{1,2}/.exec(match[0])![0])
  if (thing === 'quarter' || thing === 'week') {
    const [long, most] = thing === 'quarter' ? [91.3, 4] : [7, 53]
    if (place < 1 || place > most) return null
    return yearOf === null ? { kind: thing, value: place } : { kind: 'date', value: dayOf(yearOf) + (place - 1) * long }
  }
  return { kind: 'phase', value: place }
}

function monthOf(words: string, yearOf: number | null): ReadMoment | null {
  const match = monthIn.exec(words)
  if (!match) return null
  const name = match[1]!.replace(/\.$/, '')
  const place = months.get(name) ?? shortMonths.get(name)!
  const rest = words.replace(yearsIn, ' ')
  const date = Number(/\d{1,2}/.exec(rest)?.[0] ?? 1)
  return yearOf === null ? { kind: 'day', value: dayOf(2024, place, date) } : { kind: 'date', value: dayOf(yearOf, place, date) }
}

/** Reads the moment that a text is, or the first of a span; null where it is none. */
export function momentOf(text: string): ReadMoment | null {
  const words = opensWithMoment.exec(text.trim().toLocaleLowerCase().replace(startsWith, ''))?.[0]
  if (words === undefined) return null
  const yearIn = yearsIn.exec(words)
  const yearOf = yearIn ? Number(yearIn[1]) : null
  const found = numericDate(words) ?? clockIn(words) ?? centuryIn(words) ?? countedIn(words, yearOf) ?? monthOf(words, yearOf)
  if (found) return found
  const first = /^\p{L}+/u.exec(words)?.[0] ?? ''
  const season = seasons.get(first) ?? seasons.get(/\p{L}+/u.exec(words.slice(first.length))?.[0] ?? '')
  if (season !== undefined)
    return yearOf === null ? { kind: 'season', value: season } : { kind: 'date', value: dayOf(yearOf) + season * 91.3 }
  if (yearOf !== null) return { kind: 'date', value: dayOf(yearOf) }
  if (!opensWithDay.test(words)) return null
  const day = days.get(first) ?? days.get(first.replace(/s$/, '')) ?? shortDays.get(first)
  return day === undefined ? null : { kind: 'weekday', value: day }
}

/** The values of moments that can stand on one line to scale: all of one kind, each after the one before; null where they cannot. */
export function momentsToScale(texts: readonly (string | undefined)[]): number[] | null {
  const read = texts.map(text => (text === undefined ? null : momentOf(text)))
  const kind = read[0]?.kind
  const values: number[] = []
  for (const moment of read) {
    if (!moment || moment.kind !== kind || (values.length && moment.value <= values.at(-1)!)) return null
    values.push(moment.value)
  }
  return values.length ? values : null
}
