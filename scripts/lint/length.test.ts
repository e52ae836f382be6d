import { Linter } from 'eslint'
import { expect, it } from 'vitest'
import { lengthRule, most } from './length.mjs'

const statements = (count: number) => Array.from({ length: count }, (_, at) => `  take(${at})`).join('\n')
const faults = (code: string) =>
  new Linter()
    .verify(code, [{ plugins: { house: { rules: { length: lengthRule as never } } }, rules: { 'house/length': 'error' } }])
    .map(({ message, line }) => ({ line, lines: Number(/has (\d+) lines/.exec(message)?.[1]) }))

it('a function has its most lines and not one more; blank ones and comments do not count', () => {
  expect(faults(`function step() {\n${statements(most - 2)}\n}`)).toEqual([])
  expect(faults(`function step() {\n${statements(most - 1)}\n}`)).toEqual([{ line: 1, lines: most + 1 }])
  expect(faults(`function step() {\n// why\n\n/* and\nhow */\n${statements(most - 2)}\n}`)).toEqual([])
  expect(faults(`const step = () => {\n${statements(most)}\n}`)).toHaveLength(1)
  expect(faults(`class Steps {\n  go() {\n${statements(most)}\n  }\n}`)).toHaveLength(1)
})

it('what stands within a function counts for it too, but not of a composable or a store', () => {
  const within = (head: string, end: string, inner: number) =>
    `${head}\n  const a = () => {\n${statements(inner)}\n  }\n  const b = () => {\n${statements(inner)}\n  }\n${end}`
  expect(faults(within('function step() {', '}', 40))).toEqual([{ line: 1, lines: 86 }])
  expect(faults(within('function useSteps() {', '}', 40))).toEqual([])
  expect(faults(within("defineStore('steps', () => {", '})', 40))).toEqual([])
  // The functions in it are held to it themselves, and so are its own lines.
  expect(faults(within('function useSteps() {', '}', most))).toMatchObject([{ line: 2 }, { line: most + 4 }])
  expect(faults(`function useSteps() {\n${statements(most)}\n}`)).toHaveLength(1)
})
