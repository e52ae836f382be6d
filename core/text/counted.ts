const number = /\d[\d.,\u00a0\u202f'’ ]*\d|\d/g

/** What decimals a written number has: the digits after its last sign, unless they are a group of three. */
function decimalsOf(written: string): { sign: string; decimals: number } {
  const match = /([.,])(\d+)$/.exec(written)
  if (!match) return { sign: '', decimals: 0 }
  const alone = written.indexOf(match[1]!) === written.lastIndexOf(match[1]!)
  if (match[2]!.length === 3 && (!alone || written.length > 4)) return { sign: '', decimals: 0 }
  return { sign: match[1]!, decimals: match[2]!.length }
}

/**
 * A text whose numbers show a share (0 to 1) of their value, written with the same signs and as many decimals. At 1 it
 * is the text itself.
 */
export function countedText(text: string, share: number): string {
  if (share >= 1) return text
  return text.replace(number, written => {
    const { sign, decimals } = decimalsOf(written)
    const digits = written.replace(/\D/g, '')
    const value = Math.round(Number(digits) * Math.max(0, share))
    const plain = String(value).padStart(decimals + 1, '0')
    const whole = decimals ? plain.slice(0, -decimals) : plain
    const group = /[\u00a0\u202f'’ ]|[.,](?=\d{3})/.exec(sign ? written.slice(0, -decimals - 1) : written)?.[0] ?? ''
    const grouped = group ? whole.replace(/\B(?=(\d{3})+$)/g, group) : whole
    return decimals ? `${grouped}${sign}${plain.slice(-decimals)}` : grouped
  })
}
