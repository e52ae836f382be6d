import type { DataTable } from '../data'
import type { Deck, FontFaceFile } from '../model'
import { shownElements, themeUnder } from '../resolved'
import type { Id } from '../values'
import { familyWith, heldBy, missingLetters } from '../fonts'
import { familyOf, lettersOf } from './letters'

/** Letters that a family in use does not have, in one element. */
export interface MissingGlyphs {
  element: Id
  name: string
  family: string
  /** Letters that another shipped family draws instead. */
  stoodIn: string[]
  /** Letters that nothing at hand has: boxes, or what the machine at hand happens to have. */
  boxes: string[]
  /** A shipped family that has all that is missing, where the element can be set in one; null where there is none. */
  remedy: string | null
  /** A family among the faces that were handed in which has what no shipped one has; null where there is none. */
  ofTeam: string | null
}

/**
 * What a slide's words ask of their fonts in vain: of texts, diagrams, tables and charts. `faces`: those that the team has, used here or
 * not.
 */
export function missingGlyphs(
  deck: Deck,
  slide: Id,
  tableOf: (id: Id) => DataTable | undefined,
  faces: readonly FontFaceFile[] = [],
): MissingGlyphs[] {
  const theme = themeUnder(deck, slide)
  const held = new Map<string, string>()
  for (const face of theme.faces ?? []) if (face.held !== undefined && !held.has(face.family)) held.set(face.family, face.held)
  return shownElements(deck, slide).flatMap((element): MissingGlyphs[] => {
    const letters = lettersOf(element, tableOf)
    if (!letters) return []
    const family = familyOf(deck, element)
    const { stoodIn, boxes } = missingLetters(letters, family, held.get(family))
    if (!stoodIn.length && !boxes.length) return []
    const remedy = element.kind === 'text' ? (familyWith([...stoodIn, ...boxes], family)?.family ?? null) : null
    const ofTeam = boxes.length ? (faces.find(face => face.held !== undefined && heldBy(face.held, boxes))?.family ?? null) : null
    return [{ element: element.id, name: element.name, family, stoodIn, boxes, remedy, ofTeam }]
  })
}
