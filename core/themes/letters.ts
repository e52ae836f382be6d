import { plainText, type Deck, type FontFaceFile, type TextDoc } from '../deck'
import { familiesNeeded } from './fonts'

const known = new WeakMap<TextDoc, string>()

/** The letters of a text, each once. */
function lettersIn(text: TextDoc): string {
  const before = known.get(text)
  if (before !== undefined) return before
  const letters = [...new Set(plainText(text))].filter(letter => letter > ' ').join('')
  known.set(text, letters)
  return letters
}

/** What a deck asks of the fonts at hand: families by name, faces of the team's own, and the letters that are drawn, each once. */
export function fontNeeds(deck: Deck): { families: string[], faces: FontFaceFile[], letters: string } {
  const letters = new Set('Aaß0')
  for (const element of Object.values(deck.elements)) if (element.kind === 'text' || element.kind === 'diagram') for (const letter of lettersIn(element.text)) letters.add(letter)
  const faces = [deck.theme.theme, ...Object.values(deck.masters).map(master => master.theme)].flatMap(theme => theme?.faces ?? [])
  return { families: familiesNeeded(deck), faces, letters: [...letters].slice(0, 2000).join('') }
}
