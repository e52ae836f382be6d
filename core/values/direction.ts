/** Scripts that run from right to left, by their names in ISO 15924. */
const leftward = new Set(
  [
    'Adlm Arab Aran Avst Chrs Cprt Elym Hatr Hebr Hung Lydi Mand Mani Mend Merc Mero',
    'Narb Nbat Nkoo Orkh Palm Phli Phlp Phnx Prti Rohg Samr Sarb Sogd Sogo Syrc Thaa Yezi',
  ].flatMap(line => line.split(' ')),
)

/**
 * Whether a language (BCP 47 tag) is written from right to left: by the script that its tag names, else by the one that it is most likely
 * written in (CLDR’s likely subtags, which Intl has). A tag that cannot be read is taken to run to the right.
 */
export function runsLeftward(language: string): boolean {
  try {
    return leftward.has(new Intl.Locale(language).maximize().script ?? '')
  } catch (error) {
    if (error instanceof RangeError) return false
    throw error
  }
}
