import { plainText, type Deck, type FontFaceFile } from '../deck'
import { familiesNeeded } from './fonts'

/** What a deck asks of the fonts at hand: families by name, faces of the team's own, and the letters that are drawn, each once. */
export function fontNeeds(deck: Deck): { families: string[], faces: FontFaceFile[], letters: string } {
  const letters = new Set('Aaß0')
  for (const element of Object.values(deck.elements)) if (element.kind === 'text' || element.kind === 'diagram') for (const letter of plainText(element.text)) if (letter > ' ') letters.add(letter)
  const faces = [deck.theme.theme, ...Object.values(deck.masters).map(master => master.theme)].flatMap(theme => theme?.faces ?? [])
  return { families: familiesNeeded(deck), faces, letters: [...letters].slice(0, 2000).join('') }
}
