import { boundsOfWords } from '../../contrast'
import { themeUnder, type ShownElement } from '../../resolved'
import { boundsOf, overlap, type Bounds } from '../../place'
import type { CheckRoom, Finding, Rule } from '../finding'

/** What is seen of an element: of a text without a panel its words, of others their box. */
function seenOf({ deck, slide, context }: CheckRoom, element: ShownElement): Bounds | null {
  if (element.kind !== 'text' || element.panel?.fill) return boundsOf(element.box)
  return boundsOfWords(deck, deck.slides[slide.slide]!, element, context.measurer)
}

/** What comes into the clear space around the logo. */
export const logoClear: Rule = room => {
  const { deck, slide } = room
  const { elements } = slide.score
  const logo = elements.find(element => element.kind === 'picture' && element.logo)
  const clear = themeUnder(deck, slide.slide).logo?.clear ?? 0
  if (!logo || !clear) return []
  const around = boundsOf(logo.box)
  const space = logo.box.height * clear
  const kept = { left: around.left - space, right: around.right + space, top: around.top - space, bottom: around.bottom + space }
  return elements.flatMap((element): Finding[] => {
    if (
      element === logo ||
      element.hidden ||
      element.pinned ||
      element.kind === 'shape' ||
      element.kind === 'group' ||
      element.kind === 'sound'
    )
      return []
    if (element.kind === 'picture' && element.box.width > slide.score.size.width * 0.4) return []
    const seen = seenOf(room, element)
    if (!seen || !overlap(seen, kept)) return []
    return [
      {
        rule: 'logo-clear',
        slide: slide.slide,
        beat: null,
        element: element.id,
        message: `“${element.name}” comes into the clear space around the logo. Move it, or leave the logo off this layout.`,
        remedy: null,
      },
    ]
  })
}
