/** What a list of choices offers: a value, and how it is called. */
export interface Choice<T> {
  value: T
  label: string | number
  disabled?: boolean
}

/** Choices that are called as a record says, in its order. */
export const choicesOf = <T extends string>(words: Readonly<Record<T, string>>): Choice<T>[] =>
  (Object.entries(words) as [T, string][]).map(([value, label]) => ({ value, label }))

/** How letters are set, whatever was typed. */
export const letterCases: readonly Choice<'none' | 'upper' | 'lower'>[] = [
  { value: 'none', label: 'as written' },
  { value: 'upper', label: 'all capitals' },
  { value: 'lower', label: 'all small' },
]

/** Choices that are called as they are. */
export const asTheyAre = <T extends string | number>(values: readonly T[]): Choice<T>[] => values.map(value => ({ value, label: value }))
