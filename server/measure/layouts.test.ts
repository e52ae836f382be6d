import { describe, expect, it } from 'vitest'
import { families, type LayoutFamily } from '../../core/families'
import { fontPairs } from '../../core/fonts'
import { insertSlide, newDeck, putLook, setLanguage, type LookWish } from '../../core/layouts'
import { looks } from '../../core/looks'
import { applyChanges, deckTheme, putRecord, slidesOf } from '../../core/model'
import { boundsOf, inside, overlap } from '../../core/place'
import { shownElements } from '../../core/resolved'
import { countingContext } from '../../core/testing'
import { layoutOfElement } from '../../core/text'
import { serverMeasurer } from './measurer'

/** Words that are longer than those a layout was drawn for, and a language that runs the other way. */
const words = {
  short: ['Second berth: opens in May', 'Night boat', 'Shore power: for all six', 'A covered hall: at every gate'],
  long: [
    'Verkehrsinfrastruktur: Aufmerksamkeitsbereiche und Haltestellenkonzepte',
    'Haltestellenkonzepte: alle Anlegestellen bis Jahresende',
    'Fahrgastinformation: Instandhaltungskosten der Anzeigetafeln',
    'Instandhaltungskosten: zwölfhundertfünfundsiebzig',
  ],
  leftward: ['الرصيف الثاني: يفتح في مايو', 'قارب الليل: كل يوم جمعة', 'كهرباء من البر: للقوارب الستة', 'قاعة مغطاة: عند كل بوابة'],
} as const
const dated = ['2026 48 %', '2027 61 %', '2028 72 %', '2029 81 %']
const titles = {
  short: 'What changes',
  long: 'Verkehrsinfrastrukturen und Haltestellenkonzepte',
  leftward: 'ما الذي يتغير على الرصيف',
} as const
const pairs = ['Large and round', 'Station sign', 'Newspaper', 'Many scripts'].map(name => fontPairs.find(({ label }) => label === name)!)
const grounds = ['light', 'deep'] as const

type Saying = keyof typeof words
interface Case {
  family: LayoutFamily
  look: string | null
  saying: Saying
  pair: (typeof pairs)[number]
  ground: LookWish['ground']
  count: number
}
function standing({ family, look, saying, pair, ground, count }: Case) {
  const context = countingContext()
  const base = newDeck({ title: titles[saying], purpose: 'talk', language: saying === 'long' ? 'de' : 'en' }, context)
  const own = family.trueTo && saying !== 'long' ? dated : words[saying]
  const lines = Array.from({ length: count }, (_, index) => ({ text: own[index % own.length]!, level: 1 }))
  const { deck: made, slide } = insertSlide(
    base,
    { after: slidesOf(base)[0]!.id, family, outline: { title: titles[saying], lines } },
    context,
  )
  const worn = look ? applyChanges(made, putLook(made, { look, ground, seed: 7 }, context)) : made
  const { label: _, ...fonts } = pair
  const set = applyChanges(worn, [putRecord('theme', { ...deckTheme(worn), fonts })])
  return { deck: saying === 'leftward' ? applyChanges(set, setLanguage(set, 'ar')) : set, slide }
}
/** What is wrong with a slide, in words: a text beyond the slide, on another, or with a word that is broken. */
function wrong(given: Case): string[] {
  const { deck, slide } = standing(given)
  const page = { left: 0, top: 0, right: 1920, bottom: 1080 }
  const texts = shownElements(deck, slide).flatMap(element =>
    element.kind === 'text' && !element.pinned && element.text.content.some(({ content }) => content?.length) ? [element] : [],
  )
  return texts.flatMap((element, index) => {
    const box = boundsOf(element.box)
    const { broken } = layoutOfElement(deck, element, serverMeasurer())
    const smaller = { left: box.left + 1, right: box.right - 1, top: box.top + 1, bottom: box.bottom - 1 }
    const on = texts.slice(index + 1).filter(other => overlap(smaller, boundsOf(other.box)))
    return [
      ...(inside(box, page, 1) ? [] : [`${element.name} stands beyond the slide`]),
      ...(broken ? [`${element.name} breaks “${JSON.stringify(broken)}”`] : []),
      ...on.map(other => `${element.name} stands on ${other.name}`),
    ]
  })
}

/** By night all of them, 70 families in thirteen looks, four pairs of fonts, three ways of words; by day some, others for each family. */
const whole = !!process.env.HAILBANK_WHOLE
const worn = [null, ...looks.map(({ name }) => name)]
function casesOf(family: LayoutFamily, turn: number): Case[] {
  const [least, most] = family.best
  const counts = [...new Set([1, Math.max(1, least), Math.min(7, Math.max(1, most))])]
  const all = worn.flatMap((look, l) =>
    (Object.keys(words) as Saying[]).flatMap((saying, s) =>
      pairs.flatMap((pair, p) =>
        counts.map((count, c): Case => ({ family, look, saying, pair, ground: grounds[(l + s + p + c) % 2]!, count })),
      ),
    ),
  )
  return whole ? all : all.filter((_, index) => (index + turn * 5) % 19 === 0)
}

describe('layouts in the very fonts that they are drawn in', () => {
  it.each(families.map((family, turn) => [family.name, family, turn] as const))(
    '%s: nothing beyond the slide, nothing on another, no word broken, in any look, pair of fonts and direction, with words of any length',
    (_, family, turn) => {
      for (const given of casesOf(family, turn)) {
        const where = `${given.look ?? 'house'}, ${given.pair.label}, ${given.saying}, ${given.count}`
        expect([where, wrong(given)]).toEqual([where, []])
      }
    },
  )
})
