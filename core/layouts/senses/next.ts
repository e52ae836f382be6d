import { counted } from './features'
import { opensWith } from './patterns'
import type { SenseReader } from './sense'

const onward = opensWith(
  '(?:our |the )?next steps?|what.?s next|what (?:is|comes|happens) (?:next|now)|what now|to do|action items?|actions|your turn',
  'how to reach.*|reach us|contact(?: us)?|get in touch|thank you.*|thanks.*|join us|write to us|nächste schritte',
  'wie es (?:jetzt )?weitergeht|so geht es weiter|was jetzt|zu tun|aufgaben|kontakt|so erreichen.*|vielen dank.*|danke.*',
  'mitmachen|prochaines étapes|et maintenant|la suite|à faire|nous joindre|merci.*|participez|rejoignez.*|próximos pasos',
  'qué sigue|cómo encontrarnos|contacto|gracias.*|prossimi passi|contatti|grazie.*|come raggiungerci|próximos passos|contato',
  'obrigad[oa].*|volgende stappen|bedankt.*|nästa steg|tack.*|næste skridt|tak|neste steg|takk|następne kroki|dziękujemy.*|dalej',
)
const reach = /(?:[\w.+-]+@[\w-]+\.\w+|\bwww\.|https?:|\b\d[\d\s/-]{6,}\d\b|\btel\b)/i

export const next: SenseReader = {
  sense: 'next',
  read: ({ title, top, under, words, count, imperative }) => {
    const reached = reach.test([title, ...top.filter(line => !/\d{3}\s\d{3}/.test(line)), ...under.flat()].join('\n'))
    if (onward.test(title))
      return {
        score: reached || words.last ? 0.96 : 0.9,
        reason: reached ? 'It says how to reach you. That closes a deck.' : 'Its title looks ahead. That is what is next.',
      }
    if (reached && words.last) return { score: 0.88, reason: 'The last slide, with an address. That closes a deck.' }
    if (reached && count <= 3) return { score: 0.7, reason: 'It holds an address. It could say how to reach you.' }
    return words.last && count >= 2 && imperative >= 0.5
      ? { score: 0.66, reason: `The last slide, and ${counted(count, 'line', false)} that say what to do.` }
      : null
  },
}
