import { isCurrency } from '../written-number'
import { mostOf, type KindOfColumn } from './kind'
import { decimalLabel, decimalOf, decimalQuestion, numberReader, onlyOne, signsToOffer, toldDecimal, writtenWords } from './numbers'

const names: Readonly<Record<string, string>> = {
  '€': 'euros',
  EUR: 'euros',
  euro: 'euros',
  $: 'dollars',
  USD: 'US dollars',
  US$: 'US dollars',
  '£': 'pounds',
  GBP: 'pounds',
  '¥': 'yen',
  CHF: 'Swiss francs',
  kr: 'crowns',
  'kr.': 'crowns',
  zł: 'zlotys',
  Kč: 'Czech crowns',
  '₹': 'rupees',
}

/** Money of one currency, which stands in the cells or in the header. */
export const money: KindOfColumn = {
  name: 'money',
  readings(sample, hints) {
    const { numbers, header, cells } = sample
    const unit = onlyOne(numbers.currencies) ?? (isCurrency(header.unit) && numbers.currencies.size === 0 ? header.unit : undefined)
    if (!numbers.numbers || !unit) return []
    const among = [...numbers.currencies.values()].reduce((sum, count) => sum + count, 0)
    const fits = numbers.units.size === 0 && numbers.percents === 0 && numbers.numbers / cells.length >= mostOf
    const isSaid = isCurrency(header.unit) || among / numbers.numbers >= 0.5
    const { isOpen } = decimalOf(sample, hints)
    return signsToOffer(sample, hints).map((sign, index) => {
      const choice = { kind: 'money' as const, decimal: sign }
      return {
        choice,
        type: 'number',
        marks: 'numbers',
        unit,
        read: numberReader(sign, header.times, written => !written.percent && !written.unit),
        label: `Money${decimalLabel(sign, sample)}`,
        words: [`*Money* in ${names[unit] ?? unit}`, ...writtenWords(sample, sign)].join(', '),
        likely: index === 0 && fits && isSaid ? 0.8 : 0,
        ...toldDecimal(sample),
        ...(isOpen ? { open: decimalQuestion(sample, choice) } : {}),
      }
    })
  },
}
