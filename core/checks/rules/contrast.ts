import { contrastOf, contrastRemedies, type ContrastRemedy, type ContrastInput } from '../../contrast'
import { setFields } from '../../edits'
import { isEmptyText, type Change, type Deck } from '../../model'
import type { Finding, Remedy, Rule } from '../finding'

const changesOf =
  (remedy: ContrastRemedy, slide: string) =>
  (deck: Deck): Change[] => [
    ...Object.entries(remedy.fields).flatMap(([id, fields]) => setFields(deck, { table: 'elements', id, fields })),
    ...(remedy.slide && deck.slides[slide] ? setFields(deck, { table: 'slides', id: slide, fields: remedy.slide }) : []),
  ]

/**
 * Text that is too faint on what is seen beneath it, measured on the pixels: plain grounds and gradients, panels and markings,
 * pictures and films, through opacity. Where pixels are still on their way nothing is said yet.
 */
export const contrastRule: Rule = ({ deck, slide, context }) => {
  const record = deck.slides[slide.slide]!
  const { elements, size } = slide.score
  return elements.flatMap((element): Finding[] => {
    if (element.kind !== 'text' || element.hidden) return []
    const input: ContrastInput = {
      deck,
      slide: record,
      elements,
      element,
      size,
      measurer: context.measurer,
      pixels: context.pixels ?? (() => null),
    }
    const found = contrastOf(input)
    const unmeasured = (why: string): Finding => ({
      rule: 'contrast',
      slide: slide.slide,
      beat: null,
      element: element.id,
      unmeasured: true,
      remedy: null,
      message: `Look yourself whether “${element.name}” can be read: ${why}.`,
    })
    if (found === null && element.paint && 'kind' in element.paint && !isEmptyText(element.text))
      return [unmeasured('its letters are filled with more than one colour')]
    if (!found) return []
    if (found.ratio >= found.needed)
      return found.unseen.length
        ? [unmeasured(`it lies over ${[...new Set(found.unseen)].slice(0, 3).join(' and ')}, and was measured on what is beneath`)]
        : []
    const remedies = contrastRemedies(input).map((remedy): Remedy => ({
      label: remedy.says ? `${remedy.label} (${remedy.says})` : remedy.label,
      changes: changesOf(remedy, slide.slide),
    }))
    const where = found.onPicture ? 'the picture beneath it' : 'its background'
    const of = found.words.length > 0 && found.words.length <= 40 ? `“${found.words}” in “${element.name}”` : `“${element.name}”`
    return [
      {
        rule: 'contrast',
        slide: slide.slide,
        beat: null,
        element: element.id,
        // Cut, never rounded up: what is said to fall short must not read as if it did not.
        message:
          `${of} stands out from ${where} by ${(Math.floor(found.ratio * 10) / 10).toFixed(1)} to ` +
          `1${found.below < 0.995 && !found.isPlain ? `, on ${Math.max(1, Math.round(found.below * 100))} % of it too little` : ''}. ` +
          `It needs ${found.needed} to 1 to be read.`,
        remedy: remedies[0] ?? null,
        ...(remedies.length > 1 ? { others: remedies.slice(1) } : {}),
      },
    ]
  })
}
