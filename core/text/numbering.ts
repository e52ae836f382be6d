import type { Numbering } from '../model'

const romans: readonly (readonly [number, string])[] = [
  [1000, 'm'],
  [900, 'cm'],
  [500, 'd'],
  [400, 'cd'],
  [100, 'c'],
  [90, 'xc'],
  [50, 'l'],
  [40, 'xl'],
  [10, 'x'],
  [9, 'ix'],
  [5, 'v'],
  [4, 'iv'],
  [1, 'i'],
]

function roman(value: number): string {
  let left = value
  let made = ''
  for (const [worth, sign] of romans)
    while (left >= worth) {
      made += sign
      left -= worth
    }
  return made
}

/** a to z, then aa: bijective, as the columns of a sheet are named. */
function letters(value: number, alphabet: readonly string[]): string {
  let made = ''
  for (let left = value; left > 0; left = Math.floor((left - 1) / alphabet.length)) made = alphabet[(left - 1) % alphabet.length]! + made
  return made
}

const latin = [...'abcdefghijklmnopqrstuvwxyz']
const greek = [...'αβγδεζηθικλμνξοπρστυφχψω']

/** A number, 0 or more, as a list's sign in one of several systems; what a system cannot say is said in digits. */
export function numberSign(value: number, system: Numbering): string {
  const plain = String(value)
  if (value < 1) return system === 'circled' && value === 0 ? '⓪' : plain
  if (system === 'padded') return plain.padStart(2, '0')
  if (system === 'lower-letter') return letters(value, latin)
  if (system === 'upper-letter') return letters(value, latin).toUpperCase()
  if (system === 'greek') return letters(value, greek)
  if (system === 'lower-roman') return value < 5000 ? roman(value) : plain
  if (system === 'upper-roman') return value < 5000 ? roman(value).toUpperCase() : plain
  if (system === 'circled')
    return value <= 20
      ? String.fromCodePoint(0x2460 + value - 1)
      : value <= 35
        ? String.fromCodePoint(0x3251 + value - 21)
        : value <= 50
          ? String.fromCodePoint(0x32b1 + value - 36)
          : plain
  return plain
}
