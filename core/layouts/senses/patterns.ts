/** A pattern of whole words or phrases, of many languages, divided by bars: neither begins nor ends within a word. */
export const wordsOf = (...phrases: readonly string[]) => new RegExp(`(?<![\\p{L}\\p{N}])(?:${phrases.join('|')})(?![\\p{L}\\p{N}])`, 'iu')
/** The same at the start of a text. */
export const opensWith = (...phrases: readonly string[]) => new RegExp(`^(?:${phrases.join('|')})(?![\\p{L}\\p{N}])`, 'iu')
