import { anyOf } from './tongues'

/** An amount as a line has it. */
export interface ReadAmount {
  value: number
  /** Its unit in one form: “%” for percent in all languages, “” for a mere count. */
  unit: string
  /** Where it stands in the text. */
  from: number
  until: number
}

const million =
  'million millions millionen mio mio. millón millones milioni milione milhão ' +
  'milhões miljoen miljoner millioner milion miliony milionów mln mln. m'
const billion = 'billion billions milliarde milliarden milliards mrd mrd. miliardi miliard miljard miljarder milliarder mld mld. bn'
const thousand = 'thousand tausend tsd tsd. mille mil mila duizend tusen tusind tysiąc tysiące tysięcy tys tys. k'
const multipliers = new Map(
  (
    [
      [thousand, 1e3],
      [million, 1e6],
      [billion, 1e9],
    ] as const
  ).flatMap(([words, by]) => words.split(' ').map(word => [word, by] as const)),
)
/** Units by the form that they are compared in. */
const units = new Map(
  Object.entries({
    '%': '% percent prozent procent prosent procenta pct',
    '‰': '‰',
    '€': '€ eur euro euros',
    $: '$ usd dollar dollars',
    '£': '£ gbp pound pounds',
    '¥': '¥',
    kr: 'kr kronor kroner',
    zł: 'zł pln',
    km: 'km kilometres kilometers kilometer kilomètres kilómetros chilometri quilômetros',
    m: 'metres meters mètres metros metri',
    cm: 'cm',
    mm: 'mm',
    kg: 'kg',
    t: 't tonnes tonnen tons tonn ton',
    h: 'h hours hour stunden stunde heures heure horas hora ore uur timer timmar godzin',
    min: 'min minutes minute minuten minutos minuti minutter minuter minut',
    s: 's seconds second sekunden secondes segundos',
    day: 'days day tage tag jours jour días giorni dias dagen dage dager dagar dni',
    year: 'years year jahre jahr années ans años anni anos jaar år lat',
    '°C': '°c °',
    kW: 'kw',
    kWh: 'kwh',
    MWh: 'mwh',
    GB: 'gb',
    MB: 'mb',
    x: 'x × times mal fois veces volte vezes keer gange ganger gånger',
  }).flatMap(([form, words]) => words.split(' ').map(word => [word, form] as const)),
)
const percentWords = 'per cent|pour cent|por ciento|por cento|per cento'
/** Parts of a whole in words, in hundredths. */
const fractions = new Map(
  Object.entries({
    50: 'half|a half|one half|die hälfte|ein halb|la moitié|la mitad|la metà|metà|metade|a metade|de helft|halvdelen|hälften|połowa',
    33.333: 'a third|one third|ein drittel|un tiers|un tercio|un terzo|um terço|een derde|en tredjedel|jedna trzecia',
    66.667: 'two thirds|zwei drittel|deux tiers|dos tercios|due terzi|dois terços|twee derde|to tredjedele|två tredjedelar|dwie trzecie',
    25: 'a quarter|one quarter|ein viertel|un quart|un cuarto|un quarto|um quarto|een kwart|en fjerdedel|jedna czwarta',
    75: 'three quarters|drei viertel|trois quarts|tres cuartos|tre quarti|três quartos|drie kwart|tre fjerdedele|trzy czwarte',
    20: 'a fifth|one fifth|ein fünftel|un cinquième|un quinto|um quinto|een vijfde|en femtedel|jedna piąta',
    10: 'a tenth|one tenth|ein zehntel|un dixième|un décimo|un decimo|um décimo|een tiende|en tiondel|jedna dziesiąta',
  }).flatMap(([share, words]) => words.split('|').map(word => [word, Number(share)] as const)),
)

const symbols = '[€$£¥]'
const digits = "\\d{1,3}(?:[.,'’\\u00a0\\u202f ]\\d{3})+(?:[.,]\\d+)?|\\d+(?:[.,]\\d+)?"
const space = '[ \\u00a0\\u202f]?'
const unit = `(?:${percentWords}|${anyOf(units.keys())})(?![\\p{L}\\d])`
const multiplier = `(?:${anyOf(multipliers.keys())})(?![\\p{L}\\d])`
const written = new RegExp(
  `(?<![\\p{L}\\d.,])(?<sign>[+−-]|minus |plus )?(?<before>${symbols}${space})?(?<digits>${digits})(?!\\d)` +
    `(?:${space}(?<times>${multiplier}))?(?:${space}(?:de |d’|di |of )?(?<unit>${unit}))?`,
  'iu',
)
const before = `(?:[+−-]|minus |plus |[~<>≈±] ?)?(?:${symbols}${space})?`
const behind = `(?:${space}${multiplier})?(?:${space}(?:de |d’|di |of )?${unit})?(?: ?${symbols})?`
/** An amount as it is written in figures, or a part of a whole in words. */
export const amountPattern =
  `(?:${before}(?:${digits})(?!\\d)${behind}(?: ?(?:of|in|out of|von|sur|de|di|av|van|z) \\d+)?` + `|(?:${anyOf(fractions.keys())}))`
const inWords = new RegExp(`(?<![\\p{L}])(${anyOf(fractions.keys())})(?![\\p{L}])`, 'iu')

/** Digits as a number: by the language’s decimal mark where it is known, else three digits after one mark are thousands. */
function valueOf(text: string, language: string): number {
  const bare = text.replace(/['’\u00a0\u202f ]/g, '')
  const last = Math.max(bare.lastIndexOf('.'), bare.lastIndexOf(','))
  if (last < 0) return Number(bare)
  const mark = bare[last]!
  const both = bare.includes('.') && bare.includes(',')
  const tail = bare.length - last - 1
  const decimal = language ? decimalMark(language) : null
  const isGroups = both ? false : bare.indexOf(mark) !== last || (tail === 3 && (decimal === null || mark !== decimal) && !/^0/.test(bare))
  return Number(isGroups ? bare.replace(/[.,]/g, '') : `${bare.slice(0, last).replace(/[.,]/g, '')}.${bare.slice(last + 1)}`)
}

const marks = new Map<string, string>()
function decimalMark(language: string): string {
  let mark = marks.get(language)
  if (mark === undefined) {
    mark = new Intl.NumberFormat(language).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value ?? '.'
    marks.set(language, mark)
  }
  return mark
}

/**
 * The first amount in a text, with its sign, multiplier and unit: “1.2 million”, “40 k”, “−30 %”, “€ 12”, “a third”. `language` (BCP 47)
 * says how numbers are written there; without, that is taken from how they look. Null where there is none.
 */
export function amountIn(text: string, language = ''): ReadAmount | null {
  const match = written.exec(text)
  const word = inWords.exec(text)
  if (word && (!match || word.index < match.index))
    return { value: fractions.get(word[1]!.toLocaleLowerCase())!, unit: '%', from: word.index, until: word.index + word[0].length }
  if (!match?.groups) return null
  const { sign = '', before, digits: figures, times, unit: after } = match.groups
  const by = times === undefined ? 1 : multipliers.get(times.toLocaleLowerCase())!
  // “5 m” are metres, “€ 5 m” and “1.2 m riders” millions.
  const named = after === undefined ? (before?.trim() ?? '') : (units.get(after.toLocaleLowerCase()) ?? '%')
  const value = valueOf(figures!, language) * by * (/^(?:[−-]|minus)/i.test(sign) ? -1 : 1)
  return Number.isFinite(value) ? { value, unit: named, from: match.index, until: match.index + match[0].length } : null
}

/**
 * The words of an amount with another value, written as they are: in the same unit and multiplier, by the language's marks. Words that
 * hold no amount become the number alone.
 */
export function withAmount(words: string, value: number, language = ''): string {
  const write = (number: number, grouped: boolean) =>
    new Intl.NumberFormat(language || 'en', { maximumFractionDigits: 6, useGrouping: grouped }).format(number).replace('-', '−')
  const read = amountIn(words, language)
  if (!read) return write(value, true)
  const { from, until } = read
  const match = written.exec(words)
  const groups = match?.index === from ? match.groups : undefined
  // “A third” is written in hundredths from then on.
  if (!groups) return `${words.slice(0, from)}${write(value, false)} %${words.slice(until)}`
  const { sign = '', digits: figures = '', times } = groups
  const by = times === undefined ? 1 : multipliers.get(times.toLocaleLowerCase())!
  const own = words.slice(from + sign.length, until)
  const next = write(Math.abs(value) / by, /\d[.,'’\u00a0\u202f ]\d{3}(?!\d)/.test(figures) || Math.abs(value) / by >= 10_000)
  const kept = /^(?:plus |\+)/i.test(sign) && value >= 0 ? sign : ''
  return `${words.slice(0, from)}${value < 0 ? '−' : kept}${own.replace(figures, () => next)}${words.slice(until)}`
}
