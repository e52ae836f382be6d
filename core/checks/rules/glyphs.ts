import { infoOf, setRecord } from '../../model'
import { standInFor, toBring } from '../../fonts'
import { missingGlyphs } from '../../themes'
import type { Finding, Rule } from '../finding'

const some = (letters: readonly string[]) => `${letters.slice(0, 6).join(' ')}${letters.length > 6 ? ' and more' : ''}`

/** What to do where nothing at hand has some letters. */
const bringing = (font: ReturnType<typeof toBring>) =>
  font
    ? `Whoever runs this server brings ${font.family} by “npm run fonts -- ${font.name}”; a font of your own that has them is brought in Look.`
    : 'Write it otherwise, or bring a font that has it to Look.'

/** Letters that a font does not have: another one that ships stands in for them and is named, or nothing has them and they are boxes. */
export const glyphs: Rule = ({ deck, slide, context }) =>
  missingGlyphs(deck, slide.slide, id => context.table(id)).map(({ element, name, family, stoodIn, boxes, remedy }): Finding => {
    const standIns = [...new Set(stoodIn.map(letter => standInFor(letter.codePointAt(0)!)!))]
    const message = boxes.length
      ? `No font here has ${some(boxes)}, as “${name}” needs: boxes are drawn, or what the machine at hand happens to have. ` +
        bringing(toBring(boxes, infoOf(deck).language))
      : `${family} has no ${some(stoodIn)}, as “${name}” needs. ${standIns.join(' and ')} stand${standIns.length === 1 ? 's' : ''} in.`
    return {
      rule: 'glyphs',
      slide: slide.slide,
      beat: null,
      element,
      message,
      remedy: remedy ? { label: `Set it in ${remedy}`, changes: () => [setRecord('elements', element, { family: remedy })] } : null,
    }
  })
