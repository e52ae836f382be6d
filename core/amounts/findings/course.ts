import type { Finding } from './finding'

/** Dots of a braille sign (Unicode U+2800 to U+28FF) from the ground up: those of its left column, and of its right. */
const left = [0x40, 0x04, 0x02, 0x01]
const right = [0x80, 0x20, 0x10, 0x08]
const blank = 0x2800
/** At most so many amounts are told apart; of more, neighbours are one, by their mean. */
const most = 24

/** Amounts as at most `most`, those that lie together as their mean. */
function fewer(values: readonly number[]): number[] {
  if (values.length <= most) return [...values]
  return Array.from({ length: most }, (_, at) => {
    const own = values.slice(Math.floor((at * values.length) / most), Math.floor(((at + 1) * values.length) / most))
    return own.reduce((sum, value) => sum + value, 0) / own.length
  })
}

/** How amounts went, as small columns of dots in the words: one dot for the least, four for the most, two amounts a sign. */
export const course: Finding = {
  name: 'course',
  label: 'the course, in small columns, of',
  find({ through }) {
    if (through.length < 2) return null
    const values = fewer(through)
    const [low, high] = [Math.min(...values), Math.max(...values)]
    const height = (value: number | undefined) =>
      value === undefined ? 0 : high > low ? 1 + Math.round(((value - low) / (high - low)) * (left.length - 1)) : 2
    const dots = (column: readonly number[], value: number | undefined) => column.slice(0, height(value)).reduce((all, dot) => all | dot, 0)
    return Array.from({ length: Math.ceil(values.length / 2) }, (_, at) =>
      String.fromCodePoint(blank | dots(left, values[2 * at]) | dots(right, values[2 * at + 1])),
    ).join('')
  },
}
