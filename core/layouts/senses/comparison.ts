import { counted } from './features'
import type { SenseReader } from './sense'

const versus =
  /\b(?:vs\.?|versus|compared?|comparison|or|before and after|now and then|old and new|pros and cons|for and against|differences?|alternatives?|options?|oder|im vergleich|vergleich|gegen|vorher und nachher|vor- und nachteile|alt und neu|unterschiede?|ou|contre|comparaison|avant et après|avantages et inconvénients|différences?)\b/
const sides =
  /^(?:before|after|now|then|today|tomorrow|old|new|pros?|cons?|for|against|advantages|drawbacks|option [a-c1-3]|variant [a-c1-3]|with|without|vorher|nachher|heute|morgen|früher|alt|neu|vorteile|nachteile|dafür|dagegen|variante [a-c1-3]|mit|ohne|avant|après|hier|demain|aujourd.hui|pour|contre|avantages|inconvénients|variante [a-c1-3])\b/i

export const comparison: SenseReader = {
  sense: 'comparison',
  read: ({ count, under, depth, title, top, dated }) => {
    if (count < 2 || count > 4 || dated > 0.6) return null
    const sided = top.filter(line => sides.test(line)).length
    const sizes = under.map(lines => lines.length)
    const even = sizes.every(size => size > 0) && Math.max(...sizes) - Math.min(...sizes) <= 1
    const same =
      even &&
      depth === 2 &&
      under[0]!.every((line, index) => {
        const head = line.split(/[:–—]/)[0]
        return under.every(lines => lines[index]?.split(/[:–—]/)[0] === head)
      }) &&
      under[0]!.some(line => /[:–—]/.test(line))
    if (same) return { score: 0.95, reason: `${counted(count, 'thing')} over the same points. That is a comparison.` }
    if (sided >= 2) return { score: 0.92, reason: 'Its lines stand against each other. That is a comparison.' }
    if (versus.test(title) && count <= 3)
      return {
        score: even ? 0.9 : 0.78,
        reason: `The title sets ${counted(count, 'thing', false)} beside each other. That is a comparison.`,
      }
    return even && depth === 2 && count <= 3
      ? { score: 0.6, reason: `${counted(count, 'thing')} with about as much under each. They could be compared.` }
      : null
  },
}
