import { answersOf, fits } from '../../timing'
import type { Finding, Rule } from '../finding'
import { secondsWords } from '../../values'

/** A clip or a voice that its slide breaks off. Where a speaker decides how long the slide stands, nothing is. */
export const clipFit: Rule = ({ deck, slide }) => {
  if (slide.beats.at(-1)?.openEnded) return []
  return slide.score.clips
    .filter(fit => fit.beyond > 0 && !fits(fit))
    .map((fit): Finding => {
      const [first, ...others] = answersOf(
        deck,
        { purpose: 'film', slides: [slide], length: slide.length, openEnded: false },
        slide,
        fit,
      ).map(({ label, result, changes }) => ({ label: `${label}: ${result}`, changes: () => changes }))
      return {
        rule: 'clip-fit',
        slide: slide.slide,
        beat: fit.beat,
        element: fit.element,
        message: `“${fit.name}” plays ${secondsWords(fit.seconds)}; the slide is over ${secondsWords(fit.beyond)} before its end.`,
        remedy: first ?? null,
        ...(others.length ? { others } : {}),
      }
    })
}
