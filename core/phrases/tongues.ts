/** Languages that outlines are read in, BCP 47. */
export const tongues = ['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'da', 'nb', 'sv', 'pl'] as const

/** Words as alternatives of a regular expression, the longest first, so that none hides a longer one. */
export const anyOf = (words: Iterable<string>) =>
  [...new Set(words)]
    .sort((a, b) => b.length - a.length)
    .map(word => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replaceAll(' ', '\\s'))
    .join('|')
