import { deckTheme } from '../../model'
import { colorsInUse, nearestRole, replaceColor } from '../../themes'
import type { WholeRule } from './rule'

/** Just noticed is about 0.02 in OKLab; up to here a colour was meant to be the role. */
const near = 0.05

/** Colours that nearly are a role's and are not. */
export const nearColor: WholeRule = deck =>
  colorsInUse(deck)
    .filter(use => use.role === null)
    .flatMap(use => {
      const { role, distance } = nearestRole(use.hex, deck)
      if (distance > near) return []
      const value = deckTheme(deck).palette[role]
      // What a slide says itself; what its layout gives it is put right in Look.
      const own = use.places.filter(
        place =>
          place.slide !== null &&
          (place.element === null
            ? JSON.stringify(deck.slides[place.slide]).toLowerCase().includes(use.hex)
            : deck.elements[place.element]?.owner === place.slide),
      )
      return own.map(place => ({
        rule: 'near-color',
        slide: place.slide!,
        beat: null,
        element: place.element,
        together: use.hex,
        message:
          `“${place.name}” uses ${use.hex}, ${distance < 0.001 ? 'the value of' : 'which is nearly'} ${role} (${value}). It does ` +
          'not follow when the palette changes.',
        remedy: {
          label: `Use ${role}`,
          changes: deck =>
            replaceColor(deck, { from: { hex: use.hex }, to: { role } }).filter(
              change => change.do === 'set' && change.id === (place.element ?? place.slide),
            ),
        },
      }))
    })
