export type DecimalSign = '.' | ','

const withSign: Readonly<Record<DecimalSign, RegExp>> = {
  '.': /^[+\-−]?(\d{1,3}([,'’\u00a0\u202f ]\d{3})+|\d+)?(\.\d+)?([eE][+-]?\d+)?\s*%?$/,
  ',': /^[+\-−]?(\d{1,3}([.'’\u00a0\u202f ]\d{3})+|\d+)?(,\d+)?([eE][+-]?\d+)?\s*%?$/,
}

const plainComma = /^-?\d{1,15},\d{1,10}$/
const plainNumber = /^-?\d{1,15}(\.\d{1,10})?$/

/** Reads one number written with a decimal sign and perhaps thousands marks; null where it is none. A trailing % divides by 100. */
export function readNumber(text: string, sign: DecimalSign): number | null {
  // Most cells are plain; they need none of what follows.
  if (plainNumber.test(text)) return text.includes('.') && sign === ',' ? readWritten(text, sign) : Number(text)
  if (sign === ',' && plainComma.test(text)) return Number(text.replace(',', '.'))
  return readWritten(text, sign)
}

function readWritten(text: string, sign: DecimalSign): number | null {
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
