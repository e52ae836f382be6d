import { themeUnder } from '../../deck'
import { boundsOf, overlap } from '../../place'
import type { Finding, Rule } from '../finding'

/** What comes into the clear space around the logo. */
export const logoClear: Rule = ({ deck, slide }) => {
  const { elements } = slide.score
  const logo = elements.find(element => element.kind === 'picture' && element.logo)
  const clear = themeUnder(deck, slide.slide).logo?.clear ?? 0
  if (!logo || !clear) return []
  const around = boundsOf(logo.box)
  const space = logo.box.height * clear
  const kept = { left: around.left - space, right: around.right + space, top: around.top - space, bottom: around.bottom + space }
  return elements.flatMap((element): Finding[] => {
    if (element === logo || element.pinned || element.kind === 'shape' || !overlap(boundsOf(element.box), kept)) return []
    if (element.kind === 'picture' && element.box.width > slide.score.size.width * 0.4) return []
    return [{ rule: 'logo-clear', slide: slide.slide, beat: null, element: element.id, message: `“${element.name}” comes into the clear space around the logo. Move it, or leave the logo off this layout.`, remedy: null }]
  })
}
