/** The languages in which tables are read: European ones that write dates and words in Latin letters (BCP 47). */
const languages = ['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'sv', 'da', 'nb', 'pl', 'fi', 'cs'] as const

/** Words as they are compared: small letters, without full stops and blanks at their ends. */
export const plainWord = (word: string) => word.normalize('NFC').toLowerCase().replace(/\.+$/, '').trim()
const withoutAccents = (word: string) => word.normalize('NFD').replace(/\p{M}/gu, '')

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

const wordsOf = (words: string) => new Set(words.split(/\s*,\s*/))
const listed = (words: string) => {
  const all = wordsOf(words)
  return (word: string) => all.has(plainWord(word)) || all.has(withoutAccents(plainWord(word)))
}
/** Whether one of a name’s words is in a list. */
const named = (words: string) => {
  const isListed = listed(words)
  return (name: string) => name.split(/[^\p{L}\p{N}.]+|\.(?=\p{L})/u).some(word => word !== '' && isListed(word))
}

export const isYearWord = named(
  'year, years, fy, jahr, jahre, année, an, années, exercice, año, años, anno, anni, ano, anos, jaar, år, rok, roku, lata, vuosi, roky',
)
export const isTimeOfDayWord = named(
  'time, departure, departs, arrival, arrives, clock, uhrzeit, abfahrt, ankunft, zeit, heure, départ, arrivée, hora, salida, llegada, ora, partenza, ' +
    'arrivo, partida, chegada, tijd, vertrek, aankomst, tid, avgång, ankomst, afgang, avgang, godzina, odjazd, przyjazd, aika, lähtö, čas, odjezd',
)
export const isDurationWord = named(
  'duration, lasts, length, crossing, delay, wait, dauer, fahrzeit, verspätung, durée, retard, trajet, duración, retraso, durata, ritardo, duração, atraso, ' +
    'duur, vertraging, varaktighet, försening, varighed, forsinkelse, varighet, czas trwania, opóźnienie, kesto, doba, trvání',
)
export const isDateWord = named(
  'date, day, datum, tag, jour, fecha, día, data, giorno, dia, dag, dato, dzień, päivä, pvm, den, first, last, from, to, until, von, bis, since',
)
export const isPlaceWord = named(
  'place, city, town, village, country, nation, region, district, state, county, province, port, harbour, harbor, stop, station, pier, quay, island, location, ' +
    'ort, stadt, land, bezirk, kreis, hafen, haltestelle, bahnhof, insel, gemeinde, ville, pays, commune, région, département, gare, arrêt, île, ciudad, ' +
    'país, provincia, región, puerto, parada, isla, città, paese, regione, porto, fermata, isola, cidade, região, paragem, ilha, plaats, stad, gemeente, ' +
    'haven, halte, eiland, kommun, ort, hamn, hållplats, by, kommune, havn, miasto, kraj, powiat, gmina, przystanek, kaupunki, kunta, maa, satama, město, obec, kraj, stát',
)
export const isCodeWord = named(
  'id, ids, code, codes, no, nr, num, key, zip, plz, postcode, postal, phone, tel, telephone, telefon, mobile, fax, isbn, iban, sku, kennung, kürzel, ' +
    'nummer, numéro, número, código, codice, codigo, kod, kode, koodi, kód, telefoon, téléphone, teléfono, telefono, telefone, puhelin',
)
export const isTotalWord = listed(
  'total, totals, grand total, grand totals, overall total, overall, sum, sum total, in total, subtotal, sub-total, sub total, all, gesamt, gesamtsumme, ' +
    'summe, insgesamt, zusammen, zwischensumme, total général, ensemble, sous-total, totaux, suma, total general, totale, totale generale, somma, subtotale, ' +
    'total geral, soma, totaal, eindtotaal, som, subtotaal, totalt, summa, delsumma, i alt, sum i alt, subtotal i alt, sammenlagt, razem, ogółem, łącznie, ' +
    'suma całkowita, yhteensä, summa yhteensä, välisumma, celkem, součet, mezisoučet',
)
const totalStart =
  /^(?:grand |overall |sub-?)?totals?\b|^(?:gesamt|insgesamt|zwischensumme|summe|totaux|totale|totaal|totalt|razem|ogółem|łącznie|suma|summa|yhteensä|celkem|součet)(?![\p{L}])/iu
const totalEnd = /\b(?:totals?|gesamt|insgesamt|totale|totaal|totalt|razem|ogółem|yhteensä|celkem)[:.]?$/iu
/** Whether a label says that a row or column adds up others: “Total”, “Total 2031”, “North, total”. */
export const isTotalLabel = (label: string) =>
  isTotalWord(label.replace(/:$/, '')) || totalStart.test(label.trim()) || totalEnd.test(label.trim())

const sourceStart =
  /^(?:sources?|notes?|quellen?|anmerkung(?:en)?|hinweis|stand|remarques?|fuentes?|notas?|fonte|fonti|bron(?:nen)?|opmerking|källa|källor|kilder?|anm|bemærk|źródło|uwaga|lähde|huom|zdroj|pozn|updated|as of|\*+|\d\))(?![\p{L}])/iu
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
const missingMarks = wordsOf(
  '-, –, —, −, --, ---, ., .., ..., …, n/a, na, n.a, #n/a, nan, null, nil, none, nd, n.d, n/d, k.a, k. a, s.o, s/o, n.c, b.d, i/t, ej, ?, *, :, x, /, missing, ' +
    'unknown, not available, no data, keine angabe, unbekannt, non disponible, inconnu, sin datos, non disponibile, sem dados, onbekend, saknas, uppgift saknas, ' +
    'ukendt, ukjent, brak, brak danych, ei tietoa, neuvedeno, (blank), (leer), (empty), #value!, #ref!, #div/0!, #null!, #num!, #name?, 不明',
)
const missingInText = wordsOf('-, –, —, --, .., ..., …, n/a, #n/a, null, (blank), (leer), (empty), #value!, #ref!, #div/0!, #null!, #name?')
/** No mark for nothing begins with a figure. */
const mayBeNumber = (cell: string) => {
  const code = cell.charCodeAt(0)
  return code >= 48 && code <= 57
}
export const isBlank = (cell: string) => cell === '' || cell.trim() === ''
/** Whether a cell among numbers, days or answers stands for one that is missing. */
export const isMissing = (cell: string) =>
  !mayBeNumber(cell) &&
  (isBlank(cell) || (cell.length < 24 && (missingMarks.has(plainWord(cell)) || missingMarks.has(cell.trim().toLowerCase()))))
/** The same among words, where fewer marks can stand for nothing. */
export const isMissingText = (cell: string) => isBlank(cell) || (cell.length < 12 && missingInText.has(cell.trim().toLowerCase()))
