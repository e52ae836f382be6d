import { counted } from './features'
import type { SenseReader } from './sense'

const how =
  /\b(?:how (?:to|we|you|it)|steps?|process|procedure|guide|instructions?|checklist|workflow|in (?:three|four|five|six) steps|from .+ to|so (?:geht|funktioniert|läuft)|wie (?:man|wir|sie)|schritte?|vorgehen|anleitung|ablauf|comment|étapes?|procédure|mode d.emploi|marche à suivre)\b/
const order =
  /^(?:(?:step|schritt|étape|phase) \d|first|then|next|after|finally|zuerst|dann|danach|schließlich|zum schluss|d.abord|ensuite|puis|enfin)\b/i

export const steps: SenseReader = {
  sense: 'steps',
  read: ({ count, title, top, imperative, asked }) => {
    if (count < 2 || asked > 0.5) return null
    const ordered = top.filter(line => order.test(line)).length / count
    if (ordered >= 0.5) return { score: 0.93, reason: `${counted(count, 'line')} with words of order. Those are steps.` }
    if (how.test(title))
      return {
        score: 0.72 + 0.2 * imperative,
        reason:
          imperative > 0.5
            ? `The title asks how, and ${counted(count, 'line', false)} tell what to do. Those are steps.`
            : 'The title asks how. The lines read as steps.',
      }
    if (imperative >= 0.6 && count >= 3)
      return { score: 0.68, reason: `${counted(count, 'line')} that each tell what to do. Those could be steps.` }
    return null
  },
}
