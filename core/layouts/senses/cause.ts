import { followsFrom, partLine } from '../../phrases'
import { opensWith, wordsOf } from './patterns'
import type { SenseReader } from './sense'

const why = wordsOf(
  'why|causes?|reasons? and|consequences?|effects?|led to|leads to|because|warum|ursachen?|folgen?|wirkungen?|pourquoi',
  'conséquences?|effets?|por qué|causas?|consecuencias?|efectos?|perché|cause|conseguenze|porquê|por que|consequências?|waarom',
  'oorzaken?|gevolgen?|varför|orsaker?|följder|hvorfor|årsager?|følger|dlaczego|przyczyny|skutki',
)
const effect = opensWith(followsFrom)
const arrow = /^(?:→|⇒|->|=>)/u

export const cause: SenseReader = {
  sense: 'cause',
  read: ({ count, top, title }) => {
    if (count < 2) return null
    const pairs = top.filter(line => partLine(line, 'effect')).length / count
    const ends = arrow.test(top.at(-1)!) || effect.test(top.at(-1)!)
    if (pairs >= 0.6) return { score: 0.94, reason: 'Each line says what led to what. That is cause and effect.' }
    if (ends) return { score: 0.95, reason: 'The last line says what came of the others. That is cause and effect.' }
    return why.test(title) && pairs > 0
      ? { score: 0.8, reason: 'The title asks why, and a line says what followed. That could be cause and effect.' }
      : null
  },
}
