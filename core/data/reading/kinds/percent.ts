import { mostOf, type KindOfColumn } from './kind'
import { decimalLabel, decimalOf, decimalQuestion, numberReader, signsToOffer, toldDecimal, writtenWords } from './numbers'

const saysPercent = /(?:^|[\s([])(?:%|percent|percentage|prozent|pct|pourcent|por ciento|percento|procent|prosent)(?:$|[\s)\]])/i

/** A share in hundredths: 96 % is kept as 0.96. */
export const percent: KindOfColumn = {
  name: 'percent',
  readings(sample, hints) {
    const { numbers, header, cells } = sample
    const isInHeader = header.unit === '%' || saysPercent.test(sample.name)
    if (!numbers.numbers || (!numbers.percents && !isInHeader)) return []
    const fits = numbers.numbers / cells.length >= mostOf && (isInHeader || numbers.percents / numbers.numbers >= 0.5)
    const { isOpen } = decimalOf(sample, hints)
    return signsToOffer(sample, hints).map((sign, index) => {
      const choice = { kind: 'percent' as const, decimal: sign }
      const read = numberReader(sign, 1, written => !written.unit && !written.currency && written.times === 1)
      return {
        choice,
        type: 'number',
        marks: 'numbers',
        unit: '%',
        read: cell => {
          const value = read(cell)
          return value === undefined ? undefined : Number((value / 100).toPrecision(15))
        },
        label: `Percentage${decimalLabel(sign, sample)}`,
        words: ['A *percentage*', ...writtenWords(sample, sign)].join(', '),
        likely: index === 0 && fits && numbers.units.size === 0 ? 0.85 : 0,
        ...toldDecimal(sample),
        ...(isOpen ? { open: decimalQuestion(sample, choice) } : {}),
      }
    })
  },
}
