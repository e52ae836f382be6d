/** A family that does not ship, and that whoever runs the server brings by one command: its letters are too many to ship. */
export interface BroughtFamily {
  /** What it is asked for by: `npm run fonts -- japanese`. */
  name: string
  family: string
  /** Its package in the npm registry, under `@fontsource`, and the part of it that holds all of its letters. */
  folder: string
  part: string
  /** Languages (BCP 47, their first parts) that are written in it. */
  languages: readonly string[]
  /** Letters that no other of these is meant for. */
  own?: RegExp
}

/** In the order in which they are thought of where the language does not say: Han alone is Chinese. */
export const broughtFamilies: readonly BroughtFamily[] = [
  {
    name: 'japanese',
    family: 'Noto Sans JP',
    folder: 'noto-sans-jp',
    part: 'japanese',
    languages: ['ja'],
    own: /[\p{Script=Hiragana}\p{Script=Katakana}]/u,
  },
  { name: 'korean', family: 'Noto Sans KR', folder: 'noto-sans-kr', part: 'korean', languages: ['ko'], own: /\p{Script=Hangul}/u },
  {
    name: 'traditional-chinese',
    family: 'Noto Sans TC',
    folder: 'noto-sans-tc',
    part: 'chinese-traditional',
    languages: ['zh-Hant', 'zh-TW', 'zh-HK', 'zh-MO', 'yue'],
  },
  { name: 'chinese', family: 'Noto Sans SC', folder: 'noto-sans-sc', part: 'chinese-simplified', languages: ['zh'] },
]

const east = /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}]/u

/**
 * The family to bring for letters that no font at hand has: by what they are, else by the deck's language (BCP 47). Null where none of
 * these would have them.
 */
export function toBring(letters: readonly string[], language = ''): BroughtFamily | null {
  const words = letters.join('')
  if (!east.test(words)) return null
  const speaks = (languages: readonly string[]) => languages.some(one => language === one || language.startsWith(`${one}-`))
  return (
    broughtFamilies.find(({ own }) => own?.test(words)) ??
    broughtFamilies.find(({ languages }) => speaks(languages)) ??
    broughtFamilies.at(-1)!
  )
}
