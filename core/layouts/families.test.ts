import { infoOf, applyChanges, onlySlides, slidesOf, type Deck, type Theme } from '../model'
import { describe, expect, it } from 'vitest'
import { checkSlide } from '../checks'
import { schemes } from '../color'
import { itemPlace, shownElements, styleOf, type ShownElement } from '../resolved'
import { boundsOf, inside, overlap } from '../place'
import { countingContext, freshDeck, timingContext } from '../testing'
import { layoutOfElement, leastReadable, roughMeasurer } from '../text'
import { rundown } from '../timing'
import { families, type LayoutFamily } from '../families'
import { houseTheme, insertSlide, layOut, outlineOf, roomFor, roomLeft, setOutlineSlide, type OutlineLine } from './index'
import { richLines } from './write-lines'

const samples: Readonly<Record<string, readonly OutlineLine[]>> = {
  'plain lines': ['Second berth', 'Night boat begins', 'Shore power for all', 'A covered hall'].map(text => ({ text, level: 1 })),
  'lines that lead': ['Safety: two ramps instead of one', 'Speed: eight minutes', 'Space: a hall for the queue'].map(text => ({
    text,
    level: 1,
  })),
  dates: ['2022 second berth opens', '2025 night boat', '2028: shore power'].map(text => ({ text, level: 1 })),
  amounts: ['42 % commuters', '35 % visitors', '23 % schools'].map(text => ({ text, level: 1 })),
  'indented lines': [
    ['Quill', 1],
    ['Quiet', 2],
    ['Every two hours', 2],
    ['Astrel', 1],
    ['Busy', 2],
    ['Every hour', 2],
  ].map(([text, level]) => ({ text, level }) as OutlineLine),
}
const context = countingContext('f')

const themed = (theme: Theme): Deck => ({ ...freshDeck(), theme: { theme } })
function placed(family: LayoutFamily, lines: readonly OutlineLine[], theme: Theme = houseTheme) {
  const deck = themed(theme)
  return insertSlide(deck, { after: slidesOf(deck)[0]!.id, family, outline: { title: 'What changes on the quay', lines } }, context)
}
const repeated = (lines: readonly OutlineLine[], items: number) => {
  const groups: OutlineLine[][] = []
  for (const line of lines)
    if (line.level === 1) groups.push([line])
    else groups.at(-1)!.push(line)
  return Array.from({ length: items }, (_, index) => groups[index % groups.length]!).flat()
}
/** A theme that asks for more: larger words, wider margins, a dark ground. */
const bold: Theme = {
  ...houseTheme,
  palette: schemes.find(scheme => scheme.ground === 'dark')!.palette,
  margin: 150,
  textStyles: Object.fromEntries(
    Object.entries(houseTheme.textStyles).map(([name, style]) => [
      name,
      {
        ...style,
        size: Math.round(style.size * 1.15),
        leastSize: Math.round(style.leastSize * 0.9),
        letterSpacing: style.letterSpacing + 0.02,
      },
    ]),
  ),
}
/** With HAILBANK_WHOLE, as a night's run does, all of each layout; otherwise the fullest, and some counts and schemes, others for each. */
const whole = !!process.env.HAILBANK_WHOLE
const counts = [1, 2, 3, 5, 7]
const sampled = <T>(list: readonly T[], turn: number, each: number) =>
  whole ? list : list.filter((_, index) => index % each === turn % each)
const cases = Object.entries(samples).flatMap(
  ([name, lines]) =>
    [
      [name, 'the house’s theme', lines, houseTheme],
      [name, 'a bold one', lines, bold],
    ] as const,
)

let turn = 0

/** Words of the same item may stand on one another's ground; words of two items never. */
const words = (elements: readonly ShownElement[]) => elements.filter(element => element.kind === 'text' && !element.pinned)

describe.each(families.map(family => [family.name, family] as const))('layout %s', (_, family) => {
  it.each(cases)(
    'sets %s in %s, from one item to as many as it has room for, apart, inside, readable and in contrast',
    (_, __, lines, theme) => {
      const once = placed(family, lines, theme)
      const room = roomFor(family, richLines(once.deck, once.slide), { deck: once.deck, measurer: roughMeasurer })
      expect(room).toBeGreaterThan(0)
      for (const count of new Set([...sampled(counts, turn++, counts.length), room].filter(count => count <= room))) {
        const own =
          family.content === 'lines' ? Array.from({ length: count }, (_, index) => lines[index % lines.length]!) : repeated(lines, count)
        const { deck, slide } = placed(family, own, theme)
        expect(outlineOf(deck, deck.slides[slide]!).lines).toEqual(own)
        const shown = shownElements(deck, slide)
        for (const element of shown) {
          const bounds = boundsOf(element.box)
          expect(inside(bounds, { left: 0, top: 0, right: 1920, bottom: 1080 }, 1), `${element.name} of ${count} inside`).toBe(true)
          if (element.kind !== 'text' || element.field) continue
          const layout = layoutOfElement(deck, element, roughMeasurer)
          expect(layout.fits, `${element.name} of ${count} fits`).toBe(true)
          if (layout.counts.letter)
            expect(styleOf(deck, element).size * layout.scale, `${element.name} of ${count}`).toBeGreaterThanOrEqual(
              leastReadable(infoOf(deck)) - 0.1,
            )
        }
        const texts = words(shown)
        texts.forEach((a, index) => {
          for (const b of texts.slice(index + 1)) {
            const [boundsA, boundsB] = [boundsOf(a.box), boundsOf(b.box)]
            const smaller = {
              ...boundsA,
              left: boundsA.left + 0.6,
              right: boundsA.right - 0.6,
              top: boundsA.top + 0.6,
              bottom: boundsA.bottom - 0.6,
            }
            expect(overlap(smaller, boundsB), `${a.name} and ${b.name} of ${count}`).toBe(false)
          }
        })
        const plan = rundown(deck, 'talk', timingContext).slides.find(entry => entry.slide === slide)!
        expect(
          checkSlide(deck, plan, timingContext)
            .filter(finding => finding.rule === 'contrast' && !finding.unmeasured)
            .map(finding => finding.message),
        ).toEqual([])
      }
    },
  )

  it('takes the lines of any other layout and gives them back', () => {
    for (const lines of Object.values(samples)) {
      const start = placed(
        families.find(other => other.name === 'list')!,
        lines,
      )
      const there = applyChanges(start.deck, layOut(start.deck, { slide: start.slide, family }, context))
      expect(outlineOf(there, there.slides[start.slide]!).lines).toEqual(lines)
      const back = applyChanges(
        there,
        layOut(there, { slide: start.slide, family: families.find(other => other.name === 'cards-row')! }, context),
      )
      expect(outlineOf(back, back.slides[start.slide]!).lines).toEqual(lines)
    }
  })
})

it.each(families.map(family => [family.name, family] as const))(
  'layout %s keeps its words in contrast in every scheme that ships',
  (_, family) => {
    const { deck, slide } = placed(family, samples['lines that lead']!)
    const alone = onlySlides(deck, [slide])
    for (const scheme of sampled(schemes, turn++, 4)) {
      const seen = { ...alone, theme: { theme: { ...houseTheme, palette: scheme.palette } } }
      expect(
        checkSlide(seen, rundown(seen, 'talk', timingContext).slides[0]!, timingContext)
          .filter(finding => finding.rule === 'contrast' && !finding.unmeasured)
          .map(finding => `${scheme.name}: ${finding.message}`),
      ).toEqual([])
    }
  },
)

describe('items', () => {
  const { deck, slide } = placed(
    families.find(family => family.name === 'cards-row')!,
    samples['lines that lead']!,
  )
  const leadOf = (of: Deck, path: number) =>
    shownElements(of, slide).find(element => {
      const place = itemPlace(element.placeholder)
      return place?.slot === 'lead' && place.path[0] === path
    })!

  it('stay the same records when lines come before them', () => {
    const second = leadOf(deck, 2)
    const outline = outlineOf(deck, deck.slides[slide]!)
    const next = applyChanges(
      deck,
      setOutlineSlide(
        deck,
        { slide, outline: { ...outline, lines: [{ text: 'Silence: at night', level: 1 }, ...outline.lines] } },
        context,
      ),
    )
    expect(leadOf(next, 3).id).toBe(second.id)
    expect(outlineOf(next, next.slides[slide]!).lines[0]!.text).toBe('Silence: at night')
  })

  it('are counted for the room that is left', () => {
    const left = roomLeft(deck, slide, timingContext)
    expect(left.items).toBe(3)
    expect(left.room).toBeGreaterThanOrEqual(3)
    expect(left.overflowing).toEqual([])
  })
})
