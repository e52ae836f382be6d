const narrow = '\u202f'
/** Quotation marks by language, opening and closing, as CLDR has them (`quotationStart`, `quotationEnd`); French with narrow blanks. */
const marks: Readonly<Record<string, readonly [open: string, close: string]>> = {
  bg: ['„', '“'],
  cs: ['„', '“'],
  de: ['„', '“'],
  'de-ch': ['«', '»'],
  el: ['«', '»'],
  es: ['«', '»'],
  et: ['„', '“'],
  fa: ['«', '»'],
  fi: ['”', '”'],
  fr: [`«${narrow}`, `${narrow}»`],
  'fr-ch': ['«', '»'],
  he: ['”', '”'],
  hr: ['„', '”'],
  hu: ['„', '”'],
  it: ['«', '»'],
  ja: ['「', '」'],
  lt: ['„', '“'],
  nb: ['«', '»'],
  nn: ['«', '»'],
  no: ['«', '»'],
  pl: ['„', '”'],
  ro: ['„', '”'],
  ru: ['«', '»'],
  sk: ['„', '“'],
  sl: ['„', '“'],
  sv: ['”', '”'],
  uk: ['«', '»'],
}
const usual = ['“', '”'] as const

/** The quotation marks of a language (BCP 47). */
export const quotationMarks = (language: string): readonly [open: string, close: string] => {
  const tag = language.toLowerCase()
  return marks[tag] ?? marks[tag.split('-')[0]!] ?? usual
}

/** A straight mark may open where a word begins after it, and close where one has ended before it. */
const opens = /(?<![\p{L}\p{N}])"(?=[\p{L}\p{N}¿¡(…])/u
const pairs = /(?<![\p{L}\p{N}"])"(?=[\p{L}\p{N}¿¡(…])([^"]*[^\s"])"(?![\p{L}\p{N}"])/gu
/** Between letters, and before the figures of a year that is cut short. */
const apostrophes = /(?<=\p{L})'(?=\p{L})|(?<=^|\s)'(?=\d\ds?\b)/gu

/**
 * Words with the quotation marks of their language in place of straight ones that stand in pairs, and apostrophes in place of straight ones
 * within words. What stands alone stays: inches and minutes are written with the same marks.
 */
export function withQuotationMarks(text: string, language: string): string {
  const [open, close] = quotationMarks(language)
  const paired = opens.test(text) ? text.replace(pairs, (_, words: string) => `${open}${words}${close}`) : text
  return paired.replace(apostrophes, '’')
}

/** Whether a quotation that was opened in some words is not closed by their end. */
function isUnclosed(words: string, open: string, close: string): boolean {
  if (open === close) return words.split(open).length % 2 === 0
  return words.lastIndexOf(open) > words.lastIndexOf(close)
}

/**
 * What a straight mark becomes that is typed behind `before`: an opening one where a word begins, a closing one where a quotation is open,
 * an apostrophe within a word. It stays behind figures (inches, minutes), and where nothing is open.
 */
export function typedMark(mark: '"' | "'", before: string, language: string): string {
  if (mark === "'") return /\p{L}$/u.test(before) ? '’' : mark
  const [open, close] = quotationMarks(language)
  if (/(?:^|[\s([{–—/-])$/u.test(before)) return open
  return isUnclosed(before, open.trim(), close.trim()) ? close : mark
}
