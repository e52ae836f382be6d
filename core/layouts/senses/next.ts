import { counted } from './features'
import type { SenseReader } from './sense'

const onward =
  /\b(?:next steps?|what.?s next|what (?:is|comes|happens) next|next|to do|action items?|actions|your turn|how to reach|reach us|contact|get in touch|thank you|thanks|join us|write to us|nächste schritte|wie es weitergeht|so geht es weiter|was jetzt|zu tun|aufgaben|kontakt|erreichen|vielen dank|danke|mitmachen|prochaines étapes|et maintenant|la suite|à faire|contact|nous joindre|merci|participez|rejoignez)\b/
const reach = /(?:[\w.+-]+@[\w-]+\.\w+|\bwww\.|https?:|\b\d[\d\s/-]{6,}\d\b|\btel\b)/i

export const next: SenseReader = {
  sense: 'next',
  read: ({ title, all, words, count, imperative }) => {
    const reached = reach.test(all)
    if (onward.test(title))
      return {
        score: reached || words.last ? 0.95 : 0.9,
        reason: reached ? 'It says how to reach you. That closes a deck.' : 'Its title looks ahead. That is what is next.',
      }
    if (reached && words.last) return { score: 0.88, reason: 'The last slide, with an address. That closes a deck.' }
    if (reached) return { score: 0.7, reason: 'It holds an address. It could say how to reach you.' }
    return words.last && count >= 2 && imperative >= 0.5
      ? { score: 0.66, reason: `The last slide, and ${counted(count, 'line', false)} that say what to do.` }
      : null
  },
}
