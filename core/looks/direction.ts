import type { Frame, LayoutFamily, LayoutRoom, Page, Place } from '../families'
import { infoOf, type Deck, type Element } from '../model'
import { memoByRecords, runsLeftward } from '../values'

/** The page that a deck's slides are composed on: its size, and whether its language is written from right to left. */
export const pageOf = (deck: Deck): Page => {
  const { size, language } = infoOf(deck)
  return runsLeftward(language) ? { ...size, runsLeft: true } : size
}

/** Shapes that look the same from both sides. */
const even = new Set(['rectangle', 'rounded', 'ellipse', 'triangle'])

const across = ({ x, width, ...rest }: Frame, page: Page) => ({ ...rest, x: page.width - x - width, width })

type Part = Pick<Element, 'kind' | 'flip'> & { box?: Element['box'] } & Pick<Partial<Extract<Element, { kind: 'shape' }>>, 'shape'> &
  Pick<Partial<Extract<Element, { kind: 'text' }>>, 'align' | 'direction'>
const otherSide = { left: 'right', right: 'left', center: 'center' } as const

/**
 * What a part of a layout has otherwise where its page is seen in a mirror: it stands at the other side, leans the other way, its shapes
 * face the other way, and its words, `runsLeft` or not, run from the side that lines begin at. Pictures and icons stay as they are.
 */
export function mirroredFields(part: Part, page: Page, runsLeft: boolean) {
  const { box, flip, align, direction } = part
  const turns = part.kind === 'shape' && !even.has(part.shape ?? '')
  const turned = { across: !flip?.across, down: !!flip?.down }
  return {
    ...(box ? { box: { ...across(box, page), angle: box.angle ? -box.angle : 0 } } : {}),
    ...(turns ? { flip: turned.across || turned.down ? turned : undefined } : {}),
    // Words that somebody has run to the right whatever they are go on doing so.
    ...(part.kind === 'text' && direction !== 'ltr' ? { direction: runsLeft ? ('rtl' as const) : undefined } : {}),
    ...(align ? { align: otherSide[align] } : {}),
  }
}

/** Options of a motion that goes along with the lines of a page: `from` and `to` are the other side where they run to the left. */
export function alongLines<T>(page: Page, options: Readonly<Record<string, T>>): Record<string, T> {
  if (!page.runsLeft) return options
  const turned = ([name, value]: [string, T]) => {
    const side = name === 'from' || name === 'to' ? value : undefined
    return [name, side === 'left' ? 'right' : side === 'right' ? 'left' : value]
  }
  return Object.fromEntries(Object.entries(options).map(turned)) as Record<string, T>
}

/** Places as they stand on a page: composed from left to right, they are turned where it runs to the left. */
export const placedOn = (page: Page, places: Place[]): Place[] =>
  page.runsLeft ? places.map(place => ({ ...place, ...mirroredFields(place, page, true) }) as Place) : places

/** A family that places on pages of both directions what it composes from left to right. */
export const directed = memoByRecords(
  (family: LayoutFamily) => [family],
  (family): LayoutFamily => {
    const { arrange } = family
    const places = (room: LayoutRoom) => placedOn(room.size, family.places(room))
    if (!arrange) return { ...family, places }
    return {
      ...family,
      places,
      arrange: (items, area, room) => placedOn(room.size, arrange(items, room.size.runsLeft ? across(area, room.size) : area, room)),
    }
  },
)
