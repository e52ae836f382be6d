import { counted } from './features'
import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const faq = wordsOf(
  'questions?|faq|q ?& ?a|asked|answers|fragen|antworten|fragt|gefragt|réponses|demandez?|demande|preguntas?|preguntan|domande',
  'chiedono|perguntas?|perguntam|vragen|vraagt|frågor|spørgsmål|spørsmål|pytania',
)

export const questions: SenseReader = {
  sense: 'questions',
  read: ({ count, asked, title }) => {
    if (!count) return null
    if (asked >= 0.4 && count >= 2)
      return { score: 0.94, reason: `${counted(Math.round(asked * count), 'question')} among the lines. Those are questions and answers.` }
    if (asked > 0 && faq.test(title)) return { score: 0.9, reason: 'A question under a title about questions.' }
    return null
  },
}
