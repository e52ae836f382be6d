import type { Change } from '../changes'
import type { Box, Deck, Id } from '../records'

const round = (value: number) => Math.round(value * 100) / 100

/** Gives elements their boxes, px of deck space to a hundredth. */
export function placeElements(deck: Deck, wish: { boxes: Readonly<Record<Id, Box>> }): Change[] {
  return Object.entries(wish.boxes)
    .filter(([id]) => deck.elements[id] && !deck.elements[id].locked)
    .map(([id, box]) => ({
      do: 'set',
      table: 'elements',
      id,
      fields: { box: { x: round(box.x), y: round(box.y), width: Math.max(1, round(box.width)), height: Math.max(1, round(box.height)), angle: round(box.angle) } },
    }))
}
