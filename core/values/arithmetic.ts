/** Deeper brackets than this are none of a person's. */
const deepest = 30
const signs: Readonly<Record<string, string>> = { '×': '*', '·': '*', x: '*', '÷': '/', ':': '/', '−': '-', '–': '-' }

/** The tokens of a sum: numbers, signs and brackets; null where something else is in it. */
function tokensOf(text: string): string[] | null {
  const tokens = text.match(/\d+(?:[.,]\d+)?|[.,]\d+|[-+*/()×·x÷:−–]|\S/g) ?? []
  const known = tokens.map(token => signs[token] ?? token.replace(',', '.'))
  return known.every(token => /^(?:\d*\.?\d+|[-+*/()])$/.test(token)) ? known : null
}

/**
 * What a sum comes to, as it is written in a field for numbers: "100+50", "1/3", "2 × (3,5 − 1)". Decimals by point or comma, no
 * thousands. Null where it is none, is not finished, or divides by nothing.
 *
 * @example
 * readSum('100+50') // 150
 * readSum('1/0') // null
 */
export function readSum(text: string): number | null {
  const tokens = tokensOf(text)
  if (!tokens?.length) return null
  let at = 0
  const taken = (...wanted: string[]) => (wanted.includes(tokens[at] ?? '') ? tokens[at++] : undefined)
  const value = (depth: number): number => {
    if (depth > deepest) return NaN
    if (taken('-')) return -value(depth + 1)
    if (taken('+')) return value(depth + 1)
    if (taken('(')) {
      const within = sum(depth + 1)
      return taken(')') ? within : NaN
    }
    const token = tokens[at++]
    return token === undefined || /^[-+*/()]$/.test(token) ? NaN : Number(token)
  }
  const product = (depth: number): number => {
    let made = value(depth)
    for (let sign = taken('*', '/'); sign; sign = taken('*', '/')) made = sign === '*' ? made * value(depth) : made / value(depth)
    return made
  }
  const sum = (depth: number): number => {
    let made = product(depth)
    for (let sign = taken('+', '-'); sign; sign = taken('+', '-')) made += sign === '+' ? product(depth) : -product(depth)
    return made
  }
  const made = sum(0)
  return at === tokens.length && Number.isFinite(made) ? made : null
}
