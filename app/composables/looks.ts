import { contrast } from '#core/color'
import { deckTheme, type Deck } from '#core/model'

/** The house’s own layouts, as a look to go back to. */
export const plainLook = {
  name: '',
  label: 'House plain',
  explains: 'Layouts without an art direction: quiet, and ready to be made your own.',
}

/** Whether a deck’s plain ground is darker than its words. */
export function isDeepLook(deck: Deck): boolean {
  const { ground, ink } = deckTheme(deck).palette
  return contrast(ground, '#000000') < contrast(ink, '#000000')
}
