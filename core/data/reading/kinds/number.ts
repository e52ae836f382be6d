import { isCodeWord } from '../languages'
import type { ColumnSample } from '../sample'
import { mostOf, type KindOfColumn } from './kind'
import { decimalLabel, decimalOf, decimalQuestion, numberReader, onlyOne, signsToOffer, toldDecimal, writtenWords } from './numbers'

const shareOf = (sample: ColumnSample) => (sample.cells.length ? sample.numbers.numbers / sample.cells.length : 0)

/** A plain number, with its unit where all cells have the same one. */
export const number: KindOfColumn = {
  name: 'number',
  readings(sample, hints) {
    const { numbers, header } = sample
    if (!numbers.numbers) return []
    const unit = onlyOne(numbers.units) ?? header.unit
    const differ = numbers.units.size > 1 || numbers.currencies.size > 1
    const isCode = numbers.noughts > 0 || (isCodeWord(sample.name) && numbers.integers === sample.cells.length)
    const fits = !differ && !isCode && numbers.percents === 0 && shareOf(sample) >= mostOf
    const { isOpen } = decimalOf(sample, hints)
    return signsToOffer(sample, hints).map((sign, index) => {
      const choice = { kind: 'number' as const, decimal: sign }
      const said = writtenWords(sample, sign)
      const scale = header.times === 1 ? [] : [`in ${header.times === 1e3 ? 'thousands' : header.times === 1e6 ? 'millions' : 'billions'}`]
      return {
        choice,
        type: 'number',
        marks: 'numbers',
        ...(unit && !differ ? { unit } : {}),
        read: numberReader(sign, header.times, () => true),
        label: `Plain number${decimalLabel(sign, sample)}${unit || numbers.currencies.size ? ', unit left out' : ''}`,
        words: [`A *number*${unit && !differ ? ` in ${unit}` : ''}`, ...scale, ...said].join(', '),
        likely: index === 0 && fits ? 0.6 : 0,
        ...toldDecimal(sample),
        ...(isOpen ? { open: decimalQuestion(sample, choice) } : {}),
      }
    })
  },
}
