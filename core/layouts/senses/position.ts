import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const axes = wordsOf(
  'matrix|quadrants?|axes|two axes|against|map of|portfolio|quadranten|achsen|matrice|quadrants|ejes|assi|eixos|kwadranten|axlar',
  'akser|osie',
)
const small = new Set(['and', 'but', 'the', 'und', 'aber', 'et', 'mais', 'not', 'nicht', 'y', 'e', 'en', 'och', 'og', 'i', 'but', 'pas'])

/** The share of words in the leads that other leads have too: along two axes, each line is two of few words. */
function shared(leads: readonly string[]): number {
  const words = leads.map(lead => (lead.toLocaleLowerCase().match(/\p{L}+/gu) ?? []).filter(word => !small.has(word)))
  const all = words.flat()
  const twice = all.filter(word => words.filter(own => own.includes(word)).length >= 2)
  return all.length >= leads.length * 1.5 ? twice.length / all.length : 0
}

export const position: SenseReader = {
  sense: 'position',
  read: ({ count, top, led, title, dated, figured }) => {
    if (count < 4 || count > 5 || dated > 0.2 || figured > 0.3) return null
    const leads = top.slice(0, 4).map(line => (led >= 0.7 ? line.split(/\s*[:–—]\s/)[0]! : line))
    const alike = shared(leads)
    const several = new Set(leads.map(lead => lead.toLocaleLowerCase())).size === 4
    if (!several || alike < 0.6) return null
    if (led >= 0.7 || axes.test(title))
      return { score: 0.95, reason: 'Four lines that say more or less of the same two things. That is a position on two axes.' }
    return { score: 0.74, reason: 'Four lines made of few words in other orders. They could stand on two axes.' }
  },
}
