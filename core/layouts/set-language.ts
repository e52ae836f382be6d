import { mirroredFields, pageOf } from '../looks'
import { elementsOf, layoutsOf, mastersOf, setRecord, type Change, type Deck } from '../model'
import { runsLeftward } from '../values'

/**
 * Writes a deck in another language (BCP 47 tag). Where that runs the other way, its masters and layouts are turned as in a mirror: what
 * was put somewhere on them by hand too. What stands on slides alone stays where it is.
 */
export function setLanguage(deck: Deck, language: string): Change[] {
  const change = setRecord('info', 'info', { language })
  const [page, runsLeft] = [pageOf(deck), runsLeftward(language)]
  if (!!page.runsLeft === runsLeft) return [change]
  const owners = [...mastersOf(deck), ...layoutsOf(deck)]
  return [
    change,
    ...owners.flatMap(({ id }) => elementsOf(deck, id).map(part => setRecord('elements', part.id, mirroredFields(part, page, runsLeft)))),
  ]
}
