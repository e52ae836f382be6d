import { counted } from './features'
import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const against = wordsOf(
  'against (?:all|the) \\p{L}+|than (?:all|every|any)(?: the)? \\p{L}+|the rest|all (?:the )?others|alone|only one',
  'stands? out|stands? apart',
  'outliers?|exception|gegen (?:den rest|alle)|als alle anderen|alle anderen|sticht heraus|ausreißer|ausnahme|allein',
  'que (?:tous les|toutes les) autres|contre (?:tous|le reste)|le reste|se détache|seule?|que (?:todos|todas|el resto)|frente al resto',
  'el resto|destaca|sol[oa]|di tutt[ie] (?:gli altri|le altre)|il resto|spicca|do que (?:todos|todas)|o resto|os outros|destaca-se',
  'sozinh[oa]|dan alle andere|de rest|springt eruit|alleen|än alla andra|resten|sticker ut|ensam|end alle andre|skiller sig ud',
  'enn alle andre|skiller seg ut|alene|niż wszyst\\p{L}+|reszt\\p{L}+|wyróżnia się|sam\\p{L}?',
)

export const standout: SenseReader = {
  sense: 'standout',
  read: ({ count, comparable, dated, title, outlier, placed }) => {
    if (count < 3 || !comparable || dated > 0.5 || placed || !outlier) return null
    const { name, times } = outlier
    const isNamed = name.length > 2 && title.includes(name)
    const apart = times >= 1.5 ? ' that stands far from all others' : ''
    if (isNamed && against.test(title))
      return { score: 0.97, reason: `The title sets “${name}” against the rest, and it has an amount${apart}.` }
    if (isNamed && times >= 1.5) return { score: 0.96, reason: `The title names “${name}”, which has an amount${apart}.` }
    if (against.test(title) && times >= 1.5)
      return { score: 0.9, reason: `The title sets one against the rest, and “${name}” has an amount${apart}.` }
    return times >= 2 ? { score: 0.62, reason: `${counted(count, 'amount')} in one unit; “${name}” has one${apart}.` } : null
  },
}
