import { counted } from './features'
import { opensWith, wordsOf } from './patterns'
import type { SenseReader } from './sense'

const versus = wordsOf(
  'vs|versus|compared?|comparison|before and after|now and then|old and new|pros and cons|for and against|differences?',
  'alternatives?|im vergleich|vergleich|gegenüber|vorher und nachher|vor und nach|vor- und nachteile|alt und neu|unterschiede?',
  'contre|comparaison|avant et après|avantages et inconvénients|différences?|comparación|antes y después',
  'ventajas e inconvenientes|diferencias?|confronto|prima e dopo|vantaggi e svantaggi|comparação|antes e depois',
  'vantagens e desvantagens|vergelijking|voor en na|voor- en nadelen|jämförelse|före och efter|sammenligning|før og efter',
  'før og etter|porównanie|przed i po|zalety i wady',
)
const sides = opensWith(
  'before|after|now|then|today|tomorrow|old|new|pros?|cons?|for|against|advantages|drawbacks|option [a-c1-3]|variant [a-c1-3]',
  'with|without|vorher|nachher|heute|morgen|früher|alt|neu|vorteile|nachteile|dafür|dagegen|variante [a-c1-3]|mit|ohne|avant',
  'après|hier|demain|aujourd.hui|pour|contre|avantages|inconvénients|antes|después|ahora|ventajas|inconvenientes|a favor',
  'en contra|prima|dopo|oggi|vantaggi|svantaggi|depois|agora|vantagens|desvantagens|voor|na|nu|voordelen|nadelen|met|zonder|före',
  'efter|fördelar|nackdelar|før|etter|fordele|ulemper|fordeler|przed|po|zalety|wady',
)

/** Whether what stands at the top is named in the title: “Bus or tram” over “Bus” and “Tram”. */
const namedIn = (title: string, top: readonly string[]) =>
  top.every(line => {
    const name = line.toLocaleLowerCase().split(/\s*[:–—]\s*|\s+/)[0]!
    return name.length > 2 && title.includes(name.slice(0, Math.max(3, name.length - 2)))
  })

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
    if (count <= 3 && even && namedIn(title, top))
      return {
        score: 0.91,
        reason: `The title names ${counted(count, 'thing', false)}, each with something under it. That is a comparison.`,
      }
    if (versus.test(title) && count <= 3 && (even || sided))
      return { score: 0.88, reason: `The title sets ${counted(count, 'thing', false)} beside each other. That is a comparison.` }
    return even && depth === 2 && count <= 3
      ? { score: 0.6, reason: `${counted(count, 'thing')} with about as much under each. They could be compared.` }
      : null
  },
}
