export type DecimalSign = '.' | ','

const withSign: Readonly<Record<DecimalSign, RegExp>> = {
  '.': /^[+\-−]?(\d{1,3}([,'’\u00a0\u202f ]\d{3})+|\d+)?(\.\d+)?([eE][+-]?\d+)?\s*%?$/,
  ',': /^[+\-−]?(\d{1,3}([.'’\u00a0\u202f ]\d{3})+|\d+)?(,\d+)?([eE][+-]?\d+)?\s*%?$/,
}

/** Reads one number written with a decimal sign and perhaps thousands marks; null where it is none. A trailing % divides by 100. */
export function readNumber(text: string, sign: DecimalSign): number | null {
  const trimmed = text.trim()
  if (!/\d/.test(trimmed) || !withSign[sign].test(trimmed)) return null
  const percent = trimmed.endsWith('%')
  const plain = trimmed
    .replace(/[%\s'’\u00a0\u202f]/g, '')
    .replace('−', '-')
    .replaceAll(sign === ',' ? '.' : ',', '')
    .replace(',', '.')
  const value = Number(plain)
  return Number.isFinite(value) ? (percent ? value / 100 : value) : null
}

/**
 * Which decimal sign a column's cells are written with: the one that reads all of them. Where both do (whole numbers, or
 * only groups of three), the cells are taken by `preferred`.
 */
export function decimalSign(cells: readonly string[], preferred: DecimalSign): DecimalSign | null {
  const reads = (sign: DecimalSign) => cells.every(cell => readNumber(cell, sign) !== null)
  const other: DecimalSign = preferred === '.' ? ',' : '.'
  return reads(preferred) ? preferred : reads(other) ? other : null
}
