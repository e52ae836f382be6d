import { lettersApart } from '../../values'
import { literal, numeral, ref, finite } from '../sql'
import type { Sight } from '../step'
import { functions, synonyms, type FormulaFunction, type FormulaType } from './functions'
import { tokensOf, type FormulaFault, type Token } from './tokens'

export { functions as formulaFunctions } from './functions'
export type { FormulaFault } from './tokens'

/** A formula as SQL, and what it gives. */
export interface ReadFormula {
  sql: string
  type: FormulaType
}
interface Read extends ReadFormula {
  at: readonly [number, number]
}
const called: Readonly<Record<FormulaType, string>> = { number: 'a number', text: 'words', date: 'a moment', 'yes-no': 'yes or no' }
const deepest = 60

class Faulty extends Error {
  constructor(readonly fault: FormulaFault) {
    super(fault.message)
  }
}
const fail = (message: string, at: readonly [number, number], instead?: string): never => {
  throw new Faulty({ message, at, ...(instead === undefined ? {} : { instead }) })
}

/** The name that somebody likely meant; undefined where none is near. */
function nearest(word: string, names: readonly string[]): string | undefined {
  const ranked = names
    .map(name => ({ name, edits: lettersApart(word.toLowerCase(), name.toLowerCase()) }))
    .sort((a, b) => a.edits - b.edits)
  const [best] = ranked
  return best && best.edits <= Math.max(1, Math.floor(word.length / 3)) ? best.name : undefined
}

const isPlainName = (name: string) =>
  /^[\p{L}_][\p{L}\p{N}_]*$/u.test(name) && !['and', 'or', 'not', 'yes', 'no'].includes(name.toLowerCase())
/** A column as a formula writes it. */
export const columnInFormula = (name: string) => (isPlainName(name) ? name : `[${name}]`)

const yesNo = (sql: string) => `(case ${sql} when true then 'yes' when false then 'no' end)`
const asText = ({ sql, type }: ReadFormula) => (type === 'number' ? `printf('%.15g', ${sql})` : type === 'yes-no' ? yesNo(sql) : sql)

class Reader {
  #next = 0
  #deep = 0
  constructor(
    readonly tokens: readonly Token[],
    readonly sight: Sight,
    readonly own: string,
  ) {}

  get token(): Token {
    return this.tokens[this.#next]!
  }
  #take(): Token {
    return this.tokens[this.#next++]!
  }
  /** Takes the next piece if it is one of these signs or words. */
  #if(...texts: string[]): Token | undefined {
    const { kind, text } = this.token
    return (kind === 'sign' || kind === 'name') && texts.includes(text.toLowerCase()) ? this.#take() : undefined
  }

  whole(): Read {
    const read = this.#or()
    if (this.token.kind !== 'end') fail(`“${this.token.text}” is more than the formula needs.`, this.token.at)
    return read
  }

  /** A chain of operations of the same rank, from left to right. */
  #chain(inner: () => Read, signs: readonly string[], make: (a: Read, sign: string, b: Read) => ReadFormula): Read {
    let a = inner()
    for (let sign = this.#if(...signs); sign; sign = this.#if(...signs)) {
      const b = inner()
      a = { ...make(a, sign.text.toLowerCase(), b), at: [a.at[0], b.at[1]] }
    }
    return a
  }
  #must(read: Read, type: FormulaType): string {
    if (read.type !== type) fail(`Here ${called[type]} is needed, and this is ${called[read.type]}.`, read.at)
    return read.sql
  }

  #or = (): Read =>
    this.#chain(this.#and, ['or'], (a, _, b) => ({ sql: `(${this.#must(a, 'yes-no')} or ${this.#must(b, 'yes-no')})`, type: 'yes-no' }))
  #and = (): Read =>
    this.#chain(this.#not, ['and'], (a, _, b) => ({ sql: `(${this.#must(a, 'yes-no')} and ${this.#must(b, 'yes-no')})`, type: 'yes-no' }))
  #not = (): Read => {
    const not = this.#if('not')
    if (!not) return this.#compared()
    const read = this.#nested(this.#not)
    return { sql: `(not ${this.#must(read, 'yes-no')})`, type: 'yes-no', at: [not.at[0], read.at[1]] }
  }
  #compared = (): Read =>
    this.#chain(this.#sum, ['=', '<>', '!=', '<', '<=', '>', '>='], (a, sign, b) => {
      const ordered = (type: FormulaType) => (type === 'date' ? 'text' : type)
      if (ordered(a.type) !== ordered(b.type)) fail(`${called[a.type]} and ${called[b.type]} cannot be compared.`, [a.at[0], b.at[1]])
      return { sql: `(${a.sql} ${sign === '!=' ? '<>' : sign} ${b.sql})`, type: 'yes-no' }
    })
  #sum = (): Read =>
    this.#chain(this.#product, ['+', '-', '&'], (a, sign, b) =>
      sign === '&'
        ? { sql: `(coalesce(${asText(a)}, '') || coalesce(${asText(b)}, ''))`, type: 'text' }
        : { sql: `(${this.#must(a, 'number')} ${sign} ${this.#must(b, 'number')})`, type: 'number' },
    )
  #product = (): Read =>
    this.#chain(this.#signed, ['*', '/'], (a, sign, b) => {
      const [left, right] = [this.#must(a, 'number'), this.#must(b, 'number')]
      return { sql: sign === '*' ? `(${left} * ${right})` : `(${left} / nullif(${right}, 0))`, type: 'number' }
    })
  #signed = (): Read => {
    const minus = this.#if('-')
    if (!minus) return this.#power()
    const read = this.#nested(this.#signed)
    return { sql: `(- ${this.#must(read, 'number')})`, type: 'number', at: [minus.at[0], read.at[1]] }
  }
  #power = (): Read => {
    const base = this.#single()
    if (!this.#if('^')) return base
    const by = this.#nested(this.#signed)
    const [left, right] = [this.#must(base, 'number'), this.#must(by, 'number')]
    return { sql: `pow(${left}, ${right})`, type: 'number', at: [base.at[0], by.at[1]] }
  }

  #nested(inner: () => Read): Read {
    if (++this.#deep > deepest) fail(`The formula is nested more than ${deepest} deep. Split it into two columns.`, this.token.at)
    const read = inner()
    this.#deep--
    return read
  }

  #single = (): Read => {
    const token = this.#take()
    const { kind, text, at } = token
    if (kind === 'number') {
      const hundredth = this.#if('%')
      if (!Number.isFinite(Number(text))) fail(`${text} is beyond all numbers.`, at)
      return { sql: numeral(Number(text) / (hundredth ? 100 : 1)), type: 'number', at }
    }
    if (kind === 'text') return { sql: literal(text.slice(1, -1).replaceAll('""', '"')), type: 'text', at }
    if (kind === 'column') return this.#column(text.slice(1, -1), at)
    if (kind === 'name') return this.token.text === '(' && this.token.kind === 'sign' ? this.#call(token) : this.#named(token)
    if (kind === 'sign' && text === '(') {
      const read = this.#nested(this.#or)
      if (!this.#if(')')) fail('A bracket is open.', [at[0], this.token.at[1]])
      return read
    }
    return fail(kind === 'end' ? 'Something is missing at the end.' : `Something is missing before “${text}”.`, at)
  }
  #named({ text, at }: Token): Read {
    if (['yes', 'no'].includes(text.toLowerCase()) && !this.sight.columns.some(({ name }) => name === text))
      return { sql: text.toLowerCase() === 'yes' ? 'true' : 'false', type: 'yes-no', at }
    return this.#column(text, at)
  }
  #column(name: string, at: readonly [number, number]): Read {
    const { columns } = this.sight
    const column = columns.find(one => one.name === name) ?? columns.find(one => one.name.toLowerCase() === name.toLowerCase())
    if (!column && name === this.own) fail(`“${name}” is what this step makes: it cannot be used in itself.`, at)
    if (!column) {
      if (functions[name.toLowerCase()]) fail(`After ${name} a bracket follows, as in ${name}(…).`, at)
      const near = nearest(
        name,
        columns.map(one => one.name),
      )
      return fail(`There is no column “${name}” here.`, at, near === undefined ? undefined : columnInFormula(near))
    }
    if (column.open) fail(`“${column.name}” leaves a question open: answer it where the table is read.`, at)
    return { sql: ref(this.sight, column.name), type: column.type, at }
  }

  #function({ text, at }: Token): FormulaFunction {
    const name = text.toLowerCase()
    const found = functions[name] ?? functions[synonyms[name] ?? '']
    return found ?? fail(`“${text}” is not a function.`, at, nearest(name, Object.keys(functions)))
  }
  #call(name: Token): Read {
    const made = this.#function(name)
    this.#take()
    const args: Read[] = []
    if (!this.#if(')')) {
      do args.push(this.#nested(this.#or))
      while (this.#if(',', ';'))
      if (!this.#if(')')) fail(`The bracket after ${name.text} is open.`, [name.at[0], this.token.at[1]])
    }
    const at = [name.at[0], this.tokens[this.#next - 1]!.at[1]] as const
    const { takes, least = takes.length, repeats, gives } = made
    const wanted = `${least === takes.length ? least : `${least} to ${takes.length}`}${repeats ? ' or more' : ''}`
    if (args.length < least || (args.length > takes.length && !repeats))
      fail(`${name.text} takes ${wanted}, and here ${args.length === 1 ? 'is one' : `are ${args.length}`}.`, at)
    args.forEach((arg, index) => {
      const type = takes[Math.min(index, takes.length - 1)]!
      if (type !== 'any' && !(type === 'text' && arg.type === 'date')) this.#must(arg, type)
    })
    const last = args.at(-1)
    // Both ways of a choice give the same.
    if (gives === 'same' && args.length > 1 && args.at(-2)!.type !== last!.type)
      fail(`${name.text} gives either ${called[args.at(-2)!.type]} or ${called[last!.type]}: both have to be the same.`, at)
    return { sql: made.sql(...args.map(({ sql }) => sql)), type: gives === 'same' ? last!.type : gives, at }
  }
}

/**
 * Reads a formula of columns: numbers, "words", names of columns (in [brackets] where they are no single word), + − * / ^ &, comparisons,
 * and, or, not, and functions. Nothing of it is executed: it becomes SQL of functions that are listed. `own` is the column that it makes.
 * What is divided by nothing, or no number, is missing.
 */
export function readFormula(formula: string, sight: Sight, own: string): ReadFormula | FormulaFault {
  if (!formula.trim()) return { message: 'Write a formula, as boardings / total(boardings).', at: [0, formula.length] }
  const tokens = tokensOf(formula)
  if (!Array.isArray(tokens)) return tokens
  try {
    const { sql, type } = new Reader(tokens, sight, own).whole()
    if (type === 'number') return { sql: finite(`(${sql})`), type }
    return { sql: type === 'yes-no' ? yesNo(sql) : sql, type }
  } catch (error) {
    if (error instanceof Faulty) return error.fault
    throw error
  }
}
