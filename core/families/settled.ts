import { isFraming, type Frame, type Item, type LayoutRoom, type Place } from './family'
import { needed, slack, wordsAt } from './reckoning'

/** The least share of an area's height that cards take, and of it that blocks of words end above the area's middle: the optical centre. */
const [leastCard, above] = [0.44, 0.4]
/** What is left below is no gap up to this share of the area's height. */
const calm = 0.05

type TextPlace = Extract<Place, { kind: 'text' }>
const bottomOf = ({ box }: Place) => box.y + box.height
const isText = (place: Place): place is TextPlace => place.kind === 'text'
const inBox = (place: Place, { box }: Place) =>
  place.box.x >= box.x - 1 &&
  place.box.x + place.box.width <= box.x + box.width + 1 &&
  place.box.y >= box.y - 1 &&
  bottomOf(place) <= bottomOf({ box } as Place) + 1

/** Where the words of a text end that stand at the top of its box, by a rough reckoning; its box's end elsewhere. */
function endOf(place: Place, items: readonly Item[], room: LayoutRoom): number {
  if (!isText(place) || (place.vertical && place.vertical !== 'top')) return bottomOf(place)
  const words = wordsAt(items, place.placeholder)
  if (words === undefined) return bottomOf(place)
  const style = room.theme.textStyles[place.style ?? 'body'] ?? room.theme.textStyles.body
  if (!style) return bottomOf(place)
  // As large as they may grow: a smaller size of their own gives way to the style's where there is room.
  const size = place.size === undefined ? (style.mostSize ?? style.size) : Math.max(place.size, style.size)
  return Math.min(bottomOf(place), place.box.y + needed(words, place.box.width, { ...style, size }) / slack)
}

const withHeight = (place: Place, height: number): Place => ({ ...place, box: { ...place.box, height } })
const moved = (place: Place, by: number): Place => ({ ...place, box: { ...place.box, y: place.box.y + by } })

/**
 * Cards that stand beside each other, of one height, hug what they hold: they end where the longest of their words does, with as much
 * room below as at their sides, and stay equal. What lies in them below other things than words keeps them as they are.
 */
function hugging(places: readonly Place[], items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const cards = places.filter(({ placeholder }) => /^item\d+-card$/.test(placeholder))
  const [first] = cards
  const isRow = !!first && cards.every(({ box }) => Math.abs(box.y - first.box.y) < 1 && Math.abs(box.height - first.box.height) < 1)
  if (!isRow || first.box.height < area.height * leastCard) return [...places]
  const held = cards.map(card => places.filter(place => place !== card && inBox(place, card)))
  const low = held.flat().filter(place => bottomOf(place) > first.box.y + first.box.height * leastCard)
  if (!low.length || !low.every(place => isText(place) && (place.vertical ?? 'top') === 'top')) return [...places]
  const padding = bottomOf(first) - Math.max(...low.map(bottomOf))
  const end = Math.max(first.box.y + area.height * leastCard, ...low.map(place => endOf(place, items, room) + padding))
  const less = bottomOf(first) - end
  if (less <= area.height * calm) return [...places]
  const [shorter, lower] = [new Set<Place>(cards), new Set<Place>(low)]
  const middle = first.box.y + first.box.height / 2
  return places.map(place => {
    if (shorter.has(place) || lower.has(place)) return withHeight(place, place.box.height - less)
    // What stands between the cards, at the middle of their height, goes on standing there.
    const isBetween = isFraming(place.placeholder) && Math.abs(place.box.y + place.box.height / 2 - middle) < 2
    return isBetween ? moved(place, -less / 2) : place
  })
}

/**
 * Places of items as a block that is placed and not hung: cards hug what they hold, and what is left of the area's height is parted so
 * that the block stands on its optical centre, a little above the middle. Words are reckoned roughly, without a font.
 */
export function settled(places: readonly Place[], items: readonly Item[], area: Frame, room: LayoutRoom): Place[] {
  const hugged = hugging(places, items, area, room)
  const left = area.y + area.height - Math.max(...hugged.map(place => endOf(place, items, room)))
  if (left <= area.height * calm) return hugged
  const floor = area.y + area.height
  return hugged.map(place => {
    const lower = moved(place, left * above)
    // Words that end well before their box does need no more of it.
    return bottomOf(place) <= floor + 1 && bottomOf(lower) > floor ? withHeight(lower, floor - lower.box.y) : lower
  })
}
