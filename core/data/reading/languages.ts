import { withoutAccents } from '../../values'

/** The languages in which tables are read: European ones that write dates and words in Latin letters (BCP 47). */
const languages = ['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'sv', 'da', 'nb', 'pl', 'fi', 'cs'] as const

/** Words as they are compared: small letters, without full stops and blanks at their ends. */
export const plainWord = (word: string) => word.normalize('NFC').toLowerCase().replace(/\.+$/, '').trim()

/** Names as a map to their number; a name that stands for two of them in two languages stands for none. */
function numbered(count: number, namesOf: (language: string, index: number) => string[]): Map<string, number> {
  const found = new Map<string, number | null>()
  const put = (name: string, index: number) => {
    if (!/\p{L}{2}/u.test(name)) return
    const known = found.get(name)
    found.set(name, known === undefined || known === index ? index : null)
  }
  for (const language of languages)
    for (let index = 0; index < count; index++)
      for (const name of namesOf(language, index)) {
        put(plainWord(name), index)
        put(withoutAccents(plainWord(name)), index)
      }
  return new Map([...found].flatMap(([name, index]) => (index === null ? [] : [[name, index]])))
}

const inUtc = { timeZone: 'UTC' } as const
/** What `Intl` calls a month or a weekday in a language, alone and beside a day, long and short. */
function calendarNames(language: string, date: Date, part: 'month' | 'weekday'): string[] {
  return (['long', 'short'] as const).flatMap(length => [
    new Intl.DateTimeFormat(language, { ...inUtc, [part]: length }).format(date),
    ...new Intl.DateTimeFormat(language, { ...inUtc, [part]: length, day: 'numeric', ...(part === 'weekday' ? { month: 'long' } : {}) })
      .formatToParts(date)
      .flatMap(({ type, value }) => (type === part ? [value] : [])),
  ])
}

let monthMap: Map<string, number> | undefined
/** The month that a word names, from 1 to 12; undefined where it names none, or different ones in two languages. */
export function monthNamed(word: string): number | undefined {
  monthMap ??= numbered(12, (language, index) => [
    ...calendarNames(language, new Date(Date.UTC(2024, index, 15)), 'month'),
    ...(index === 8 ? ['sept'] : []),
  ])
  const index = monthMap.get(plainWord(word))
  return index === undefined ? undefined : index + 1
}

let weekdayMap: Map<string, number> | undefined
/** Whether a word names a day of the week. */
export function isWeekday(word: string): boolean {
  weekdayMap ??= numbered(7, (language, index) => calendarNames(language, new Date(Date.UTC(2024, 0, 1 + index)), 'weekday'))
  return weekdayMap.has(plainWord(word))
}

/** Words parted by commas, over as many lines as they need. */
const wordsOf = (words: string) =>
  new Set(
    words
      .trim()
      .split(/\s*,\s*/)
      .filter(Boolean),
  )
const listed = (words: string) => {
  const all = wordsOf(words)
  return (word: string) => all.has(plainWord(word)) || all.has(withoutAccents(plainWord(word)))
}
const wordsIn = (name: string) => name.split(/[^\p{L}\p{N}.]+|\.(?=\p{L})/u).filter(Boolean)
/** Whether one of a name’s words is in a list. */
const named = (words: string) => {
  const isListed = listed(words)
  return (name: string) => wordsIn(name).some(isListed)
}

export const isYearWord = named(
  `year, years, fy, jahr, jahre, année, an, années, exercice, año, años, anno, anni, ano, anos, jaar, år, rok, roku, lata, vuosi, roky`,
)
const clockWords = `
  departure, departs, arrival, arrives, clock, uhrzeit, abfahrt, ankunft, départ, arrivée, salida, llegada, partenza, arrivo, partida, chegada,
  vertrek, aankomst, avgång, ankomst, afgang, avgang, klokken, godzina, odjazd, przyjazd, lähtö, odjezd`
/** Whether a column can only be of times of day: then points part hours and minutes too. */
export const isClockWord = named(clockWords)
export const isTimeOfDayWord = named(`${clockWords}, time, zeit, heure, hora, ora, tijd, tid, aika, čas`)
export const isDurationWord = named(`
  duration, lasts, length, crossing, delay, wait, dauer, fahrzeit, verspätung, durée, retard, trajet, duración, retraso, durata, ritardo,
  duração, atraso, duur, vertraging, varaktighet, försening, varighed, forsinkelse, varighet, opóźnienie, kesto, doba, trvání`)
export const isDateWord = named(`
  date, day, datum, tag, jour, fecha, día, data, giorno, dia, dag, dato, dzień, päivä, pvm, den, first, last, from, to, until, von, bis, since`)
const isPlaceListed = named(`
  place, city, town, village, parish, ward, borough, municipality, country, nation, region, district, state, county, province, port,
  harbour, harbor, stop, station, pier, quay,
  island, location, ort, stadt, land, bezirk, kreis, hafen, haltestelle, bahnhof, insel, gemeinde, ville, pays, commune, région,
  département, gare, arrêt, île, ciudad, país, provincia, región, puerto, parada, isla, città, paese, regione, porto, fermata, isola,
  cidade, região, paragem, ilha, plaats, stad, gemeente, haven, halte, eiland, kommun, ort, hamn, hållplats, kommune, havn, miasto, kraj,
  powiat, gmina, przystanek, kaupunki, kunta, maa, satama, město, obec, stát`)
/** Danish and Norwegian for a town, which in English stands before a name. */
export const isPlaceWord = (name: string) => isPlaceListed(name) || plainWord(name) === 'by'
/** Halves of a pair of degrees, by name. */
export const isLatitudeWord = named(`lat, latitude, breite, breitengrad, latitud, latitudine, breedtegraad, latitud, breddegrad`)
export const isLongitudeWord = named(`
  lon, lng, long, longitude, länge, längengrad, longitud, longitudine, lengtegraad, längdgrad, længdegrad, lengdegrad`)
const isCodeAnywhere = named(`
  zip, plz, postcode, postal, phone, tel, telephone, telefon, mobile, fax, isbn, iban, sku, telefoon, téléphone, teléfono, telefono,
  telefone, puhelin`)
const isCodeAtEnd = listed(`
  id, ids, code, codes, no, nr, num, key, kennung, kürzel, nummer, numéro, número, código, codice, codigo, kod, kode, koodi, kód`)
/** Whether a column is of codes by its name: “stop id”, “phone (desk)”; “No. of passengers” counts them. */
export const isCodeWord = (name: string) => isCodeAnywhere(name) || isCodeAtEnd(wordsIn(name).at(-1) ?? '')

/** Labels that say by themselves that a row adds up others, whether it does or not. */
const isTotalWord = listed(`
  total, totals, grand total, grand totals, overall total, sum, sum total, in total, subtotal, sub-total, sub total, gesamt, gesamtsumme,
  summe, insgesamt, zwischensumme, total général, sous-total, totaux, suma, total general, totale, totale generale, somma, subtotale,
  total geral, soma, totaal, eindtotaal, subtotaal, totalt, summa, delsumma, i alt, sum i alt, subtotal i alt, sammenlagt, razem, ogółem,
  łącznie, suma całkowita, yhteensä, summa yhteensä, välisumma, celkem, součet, mezisoučet`)
const isAllWord = listed(`all, overall, zusammen, ensemble, som`)
const totals = `gesamt|insgesamt|zwischensumme|summe|totaux|totale|totaal|totalt|razem|ogółem|łącznie|suma|summa|yhteensä|celkem|součet`
const totalStart = new RegExp(`^(?:(?:grand |overall |sub-?)?totals?\\b|(?:${totals})(?!\\p{L}))`, 'iu')
const totalEnd = new RegExp(`(?<!\\p{L})(?:totals?|${totals})[:.]?$`, 'iu')
/** Whether a label is nothing but the word for a total. */
export const isPlainTotal = (label: string) => isTotalWord(label.trim().replace(/:$/, ''))
/** Whether a label can be that of a row or column that adds up others: “Total 2031”, “North, total”, “All”. What it adds up has to tell. */
export const isTotalLabel = (label: string) =>
  isPlainTotal(label) || isAllWord(label.trim()) || totalStart.test(label.trim()) || totalEnd.test(label.trim())

const sources = `
  sources?|notes?|quellen?|anmerkung(?:en)?|hinweis|stand|remarques?|fuentes?|notas?|fonte|fonti|bron(?:nen)?|opmerking|källa|källor|kilder?|
  anm|bemærk|źródło|uwaga|lähde|huom|zdroj|pozn|updated|as of`.replace(/\n\s*/g, '')
const sourceStart = new RegExp(`^(?:(?:${sources})(?!\\p{L})|\\*+|\\d\\))`, 'iu')
/** Whether a line tells where a table comes from, or notes something on it. */
export const isSourceLine = (line: string) => sourceStart.test(line.trim())

const pairs: readonly (readonly [string, string])[] = [
  ['yes, y, true', 'no, n, false'],
  ['ja, j', 'nein, n'],
  ['oui, o, vrai', 'non, n, faux'],
  ['sí, si, s, verdadero', 'no, n, falso'],
  ['sì, si, vero', 'no, falso'],
  ['sim, s, verdadeiro', 'não, nao, n, falso'],
  ['ja, j, waar', 'nee, n, onwaar'],
  ['ja, j, sant', 'nej, n, falskt'],
  ['ja, sann', 'nei, usann'],
  ['tak, t, prawda', 'nie, n, fałsz'],
  ['kyllä, k, tosi', 'ei, e, epätosi'],
  ['ano, a, pravda', 'ne, n, nepravda'],
  ['✓, ✔, ☑', '✗, ✘, ☐, ✕'],
]
const answers = pairs.map(([yes, no]) => ({ yes: wordsOf(yes), no: wordsOf(no) }))
/** How a column says yes and no, by all of its words; undefined where they are no such pair of any language. */
export function yesNoOf(cells: ReadonlySet<string>): ((cell: string) => 'yes' | 'no' | undefined) | undefined {
  const words = [...cells].map(plainWord)
  const pair = answers.find(({ yes, no }) => words.every(word => yes.has(word) || no.has(word)) && words.some(word => yes.has(word)))
  return pair && (cell => (pair.yes.has(plainWord(cell)) ? 'yes' : pair.no.has(plainWord(cell)) ? 'no' : undefined))
}

/** What stands in cells of numbers and days that nobody filled. */
const missingMarks = wordsOf(`
  -, –, —, −, --, ---, ., .., ..., …, n/a, na, n.a, #n/a, nan, null, nil, none, nd, n.d, n/d, k.a, k. a, s.o, s/o, n.c, b.d, i/t, ej, ?, *,
  :, x, /, missing, unknown, not available, no data, keine angabe, unbekannt, non disponible, inconnu, sin datos, non disponibile,
  sem dados, onbekend, saknas, uppgift saknas, ukendt, ukjent, brak, brak danych, ei tietoa, neuvedeno, (blank), (leer), (empty), #value!,
  #ref!, #div/0!, #null!, #num!, #name?`)
const missingInText = wordsOf(`
  -, –, —, --, .., ..., …, n/a, #n/a, null, (blank), (leer), (empty), #value!, #ref!, #div/0!, #null!, #name?`)
/** No mark for nothing begins with a figure. */
const mayBeNumber = (cell: string) => {
  const code = cell.charCodeAt(0)
  return code >= 48 && code <= 57
}
export const isBlank = (cell: string) => {
  const code = cell.charCodeAt(0)
  // Most cells begin with what is seen; NaN is the code of none.
  return !(code > 32 && code < 127) && cell.trim() === ''
}
/** Whether a cell among numbers, days or answers stands for one that is missing. */
export const isMissing = (cell: string) =>
  !mayBeNumber(cell) &&
  (isBlank(cell) || (cell.length < 24 && (missingMarks.has(plainWord(cell)) || missingMarks.has(cell.trim().toLowerCase()))))
/** The same among words, where fewer marks can stand for nothing. */
export const isMissingText = (cell: string) => isBlank(cell) || (cell.length < 12 && missingInText.has(cell.trim().toLowerCase()))
