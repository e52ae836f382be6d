/** A piece of a formula, with the letters from and to which it stands. */
export interface Token {
  kind: 'number' | 'text' | 'name' | 'column' | 'sign' | 'end'
  text: string
  at: readonly [number, number]
}
/** What is wrong with a formula, from and to which letter, and what would be right in their place. */
export interface FormulaFault {
  message: string
  at: readonly [number, number]
  instead?: string
}

const shapes: readonly [Token['kind'], RegExp][] = [
  ['number', /\d+(?:\.\d+)?(?:[eE][+-]?\d+)?/y],
  ['text', /"(?:[^"]|"")*"/y],
  ['column', /\[[^\]]+\]/y],
  ['name', /[\p{L}_][\p{L}\p{N}_]*/uy],
  ['sign', /<=|>=|<>|!=|[-+*/^&=<>(),;%]/y],
]
const most = 1000

/** Parts a formula; what is no part of one is a fault. */
export function tokensOf(formula: string): Token[] | FormulaFault {
  const tokens: Token[] = []
  let at = 0
  while (at < formula.length) {
    if (/\s/.test(formula[at]!)) {
      at++
      continue
    }
    let found: Token | undefined
    for (const [kind, shape] of shapes) {
      shape.lastIndex = at
      const [text] = shape.exec(formula) ?? []
      if (text === undefined) continue
      found = { kind, text, at: [at, at + text.length] }
      break
    }
    if (!found) {
      const letter = formula[at]!
      if (letter === '"') return { message: 'A quotation mark is open: words stand between two of them.', at: [at, formula.length] }
      if (letter === '[') return { message: 'A bracket is open: a column’s name stands between [ and ].', at: [at, formula.length] }
      const instead = { '×': '*', '·': '*', '÷': '/', '−': '-', '–': '-', '≥': '>=', '≤': '<=', '≠': '<>' }[letter]
      return { message: `“${letter}” means nothing here.`, at: [at, at + 1], ...(instead ? { instead } : {}) }
    }
    tokens.push(found)
    if (tokens.length > most) return { message: `A formula has ${most} parts at most. Split it into two columns.`, at: found.at }
    at = found.at[1]
  }
  tokens.push({ kind: 'end', text: '', at: [formula.length, formula.length] })
  return tokens
}
