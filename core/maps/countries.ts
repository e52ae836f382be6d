import { countryCodes as codes } from './country-codes'
import { plainName } from './plain-name'

/** Languages that the names of countries are known in. */
const languages = ['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'sv', 'da', 'pl']

/** Other names that people write, by code. */
const others: Readonly<Record<string, string>> = {
  AE: 'uae,emirates',
  BO: 'bolivia plurinational state of',
  BN: 'brunei darussalam',
  CD: 'dr congo,drc,democratic republic of the congo,congo democratic republic,congo kinshasa,dem rep congo',
  CF: 'central african rep',
  CG: 'republic of the congo,congo brazzaville,congo republic,congo',
  CI: 'ivory coast,cote divoire',
  CV: 'cape verde,cabo verde',
  CZ: 'czech republic,czech rep,tschechische republik,republique tcheque',
  FK: 'falkland is,malvinas',
  FM: 'micronesia',
  GB: 'uk,great britain,britain,united kingdom of great britain and northern ireland,grossbritannien,england and wales',
  HK: 'hong kong',
  IR: 'iran islamic republic of',
  KP: 'north korea,dprk,korea north,korea democratic peoples republic of',
  KR: 'south korea,korea,korea south,republic of korea,korea republic of',
  LA: 'lao,laos,lao pdr,lao peoples democratic republic',
  LY: 'libya,libyan arab jamahiriya',
  MD: 'moldova,republic of moldova',
  MK: 'macedonia,fyrom',
  MM: 'burma',
  MO: 'macao,macau',
  NL: 'holland',
  PS: 'palestine,state of palestine,palestinian territory,west bank',
  RU: 'russia,russian federation',
  SY: 'syria,syrian arab republic',
  SZ: 'swaziland,eswatini',
  TL: 'east timor,timor leste',
  TR: 'turkey,turkiye',
  TW: 'taiwan,taiwan province of china,chinese taipei',
  TZ: 'tanzania,united republic of tanzania',
  US: 'usa,us,united states,united states of america,america,u s a,u s',
  VA: 'vatican,holy see,vatican city',
  VE: 'venezuela bolivarian republic of',
  VN: 'vietnam,viet nam',
  XK: 'kosovo',
}

let known: ReadonlyMap<string, string> | null = null

/** Every spelling that is known, as `plainName` leaves it, with the country's code of two letters. */
function spellings(): ReadonlyMap<string, string> {
  if (known) return known
  const made = new Map<string, string>()
  const add = (words: string, code: string) => {
    const plain = plainName(words)
    if (plain && !made.has(plain)) made.set(plain, code)
  }
  // What is written the same, a code before a name and a name before what is short for it.
  for (const [two, three] of codes) {
    add(two!, two!)
    add(three!, two!)
  }
  const all = [...codes.map(([two]) => two!), 'XK']
  const named = (style: 'long' | 'short') => {
    for (const language of languages) {
      const names = new Intl.DisplayNames(language, { type: 'region', fallback: 'none', style })
      for (const code of all) add(names.of(code) ?? '', code)
    }
  }
  named('long')
  for (const [code, words] of Object.entries(others)) for (const word of words.split(',')) add(word, code)
  named('short')
  known = made
  return made
}

/** The code (ISO 3166-1, two letters) of a country by its name in one of ten languages, or by its code; undefined where none is known. */
export const countryOf = (name: string): string | undefined => spellings().get(plainName(name))

/** The codes of a country by its number (“004”), two and three letters; undefined of a number that no country has. */
export function countryNumbered(number: string): { two: string; three: string } | undefined {
  const found = codes.find(([, , own]) => own === number)
  return found && { two: found[0]!, three: found[1]! }
}
