import { counted } from './features'
import { opensWith, wordsOf } from './patterns'
import type { SenseReader } from './sense'

const how = wordsOf(
  'how (?:to|we|you|it|an?|the)|steps?|process|procedure|guide|instructions?|checklist|workflow|in (?:three|four|five|six) steps',
  'from .+ to|when|in case of|so (?:geht|funktioniert|läuft)|wie (?:man|wir|sie|eine?)|schritte?|vorgehen|anleitung|ablauf',
  'vom .+ zum|wenn|comment|étapes?|procédure|mode d.emploi|marche à suivre|en cas de|quand|cómo|pasos|en caso de|come|passi',
  'in caso di|como|passos|em caso de|zo|hoe|stappen|bij|hur|så|steg|vid|hvordan|sådan|slik|trin|jak|kroki',
)
const order = opensWith(
  '(?:step|schritt|étape|phase|paso|passo|stap|steg|trin|krok) \\d+|first|then|next|after(?: that)?|finally|zuerst|dann|danach',
  'schließlich|zum schluss|d.abord|ensuite|puis|enfin|primero|luego|después|por último|prima|poi|infine|primeiro|depois|por fim',
  'eerst|dan|daarna|ten slotte|först|sedan|sist|først|derefter|til sidst|deretter|najpierw|potem|następnie|na koniec',
)

export const steps: SenseReader = {
  sense: 'steps',
  read: ({ count, title, top, imperative, asked, numbered }) => {
    if (count < 2 || asked > 0.5) return null
    const ordered = top.filter(line => order.test(line)).length / count
    if (ordered >= 0.5) return { score: 0.93, reason: `${counted(count, 'line')} with words of order. Those are steps.` }
    if (ordered > 0 && imperative >= 0.5) return { score: 0.8, reason: 'Lines that tell what to do, in words of order. Those are steps.' }
    if (numbered === 1) return { score: 0.86, reason: `${counted(count, 'line')} that were numbered. Those are steps.` }
    if (how.test(title) && imperative >= 0.5)
      return {
        score: 0.74 + 0.2 * imperative,
        reason: `The title asks how, and ${counted(Math.round(imperative * count), 'line', false)} tell what to do. Those are steps.`,
      }
    if (how.test(title) && imperative > 0.2) return { score: 0.64, reason: 'The title asks how, and some lines tell what to do.' }
    if (imperative >= 0.6 && count >= 3)
      return { score: 0.7 + 0.05 * imperative, reason: `${counted(count, 'line')} that each tell what to do. Those could be steps.` }
    return null
  },
}
