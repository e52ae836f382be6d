import { contrast, hexOf, isPlain } from '../color'
import { dropRecord, putRecord, textOf, type Change, type Deck, type ShapeElement, type TextElement } from '../model'
import { shownElement, themeSeen } from '../resolved'
import type { Color, Id, Paint } from '../values'

/** Whether a shape can hold words: a line and a slice of a ring cannot. */
export const canHoldWords = (element: Pick<ShapeElement, 'shape'>) => element.shape !== 'line' && element.shape !== 'sector'

/** The role in which words stand out more on a paint: of a gradient or a picture, on its first colour or the slide's ground. */
function colorOn(deck: Deck, owner: Id, fill: Paint | null | undefined): Color {
  const { palette } = themeSeen(deck, owner)
  const plain = !fill ? null : isPlain(fill) ? fill : fill.kind === 'picture' ? null : fill.stops[0]!.color
  const under = plain ? hexOf(plain, palette) : palette.ground
  return { role: contrast(palette.ink, under) >= contrast(palette.ground, under) ? 'ink' : 'ground' }
}

/**
 * Lets a shape hold words: it becomes a text whose panel has its outline, fill and line, under the same id, so that its motion and what is
 * tied to it stay. Nothing where there is no such shape, or none that can hold words.
 */
export function wordsInShape(deck: Deck, input: { shape: Id }): Change[] {
  const [record, shown] = [deck.elements[input.shape], shownElement(deck, input.shape)]
  if (record?.kind !== 'shape' || shown?.kind !== 'shape' || !canHoldWords(record)) return []
  const {
    kind: _,
    shape,
    amounts,
    sector: __,
    radius,
    line: ___,
    from: ____,
    to: _____,
    ends: ______,
    rough,
    fill,
    stroke,
    ...rest
  } = record
  const text: TextElement = {
    ...rest,
    kind: 'text',
    box: shown.box,
    style: 'body',
    text: textOf(['']),
    align: 'center',
    vertical: 'middle',
    fit: 'shrink',
    color: colorOn(deck, record.owner, fill),
    panel: {
      fill: fill ?? null,
      padding: 12,
      radius: radius ?? 32,
      border: stroke ?? null,
      shape,
      ...(amounts ? { amounts } : {}),
      ...(rough ? { rough } : {}),
    },
  }
  return [dropRecord('elements', record.id), putRecord('elements', text)]
}
