import { infoOf, setRecord, type Change, type Deck, type FontFaceFile } from '../../model'
import { standInFor, toBring } from '../../fonts'
import { missingGlyphs, type MissingGlyphs } from '../../themes'
import type { Finding, Remedy, Rule } from '../finding'

const some = (letters: readonly string[]) => `${letters.slice(0, 6).join(' ')}${letters.length > 6 ? ' and more' : ''}`

/** What is wrong, and what to do where nothing at hand has some letters. */
function messageOf({ name, family, stoodIn, boxes, ofTeam }: MissingGlyphs, language: string): string {
  if (!boxes.length) {
    const standIns = [...new Set(stoodIn.map(letter => standInFor(letter.codePointAt(0)!)!))]
    return `${family} has no ${some(stoodIn)}, as “${name}” needs. ${standIns.join(' and ')} stand${standIns.length === 1 ? 's' : ''} in.`
  }
  const bring = toBring(boxes, language)
  const todo = ofTeam
    ? `${ofTeam}, which your team has, has them: take it here, or under Look, Fonts.`
    : bring
      ? `Whoever runs this server brings ${bring.family} by “npm run fonts -- ${bring.name}”; ` +
        'a font of your own that has them is brought in Look.'
      : 'Write it otherwise, or bring a font that has it to Look.'
  return `No font here has ${some(boxes)}, as “${name}” needs: boxes are drawn, or what the machine at hand happens to have. ${todo}`
}

/** Sets a text in a family of the team, which the deck carries from then on. */
function inTeamFont(deck: Deck, element: string, family: string, faces: readonly FontFaceFile[]): Change[] {
  const carried = deck.theme.theme?.faces ?? []
  const more = faces.filter(face => face.family === family && !carried.some(({ media }) => media === face.media))
  return [
    setRecord('elements', element, { family }),
    ...(more.length ? [setRecord('theme', 'theme', { faces: [...carried, ...more] })] : []),
  ]
}

/** Letters that a font does not have: another one that ships stands in for them and is named, or nothing has them and they are boxes. */
export const glyphs: Rule = ({ deck, slide, context }) =>
  missingGlyphs(deck, slide.slide, id => context.table(id), context.faces).map((missing): Finding => {
    const { element, remedy, ofTeam } = missing
    const isText = deck.elements[element]?.kind === 'text'
    const taken: Remedy | null =
      ofTeam && isText
        ? { label: `Set it in ${ofTeam}`, changes: now => inTeamFont(now, element, ofTeam, context.faces ?? []) }
        : remedy
          ? { label: `Set it in ${remedy}`, changes: () => [setRecord('elements', element, { family: remedy })] }
          : null
    return {
      rule: 'glyphs',
      slide: slide.slide,
      beat: null,
      element,
      message: messageOf(missing, infoOf(deck).language),
      remedy: taken,
      ...(ofTeam && isText ? { together: ofTeam } : {}),
    }
  })
