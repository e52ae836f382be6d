import { putRecord, setRecord, applyChanges, elementsOf, mend, readDeck, slidesOf, type Deck, type TextElement } from '../model'
import { describe, expect, it } from 'vitest'
import { readOutline } from '../formats/outline'
import { shownElements } from '../resolved'
import { countingContext, freshDeck, seasons } from '../testing'
import {
  chartOfTable,
  insertOutline,
  insertSlide,
  joinOutline,
  layOut,
  layoutsFor,
  namedTable,
  outlineOf,
  ownLayouts,
  propose,
  setLayout,
  setOutlineSlide,
  splitOutline,
  wantedTable,
} from './index'
import { looks } from '../looks'
import { addLayout, duplicateLayout } from '../themes'
import { familyNamed, families } from '../families'

const context = countingContext('o')
const slidesIn = (text: string) => {
  const read = readOutline(text)
  return read.ok ? read.value.slides : []
}
const pasted = (text: string): Deck => {
  const deck = freshDeck()
  return applyChanges(deck, insertOutline(deck, { after: slidesOf(deck)[0]!.id, slides: slidesIn(text) }, context))
}
const outlines = (deck: Deck) => slidesOf(deck).map(slide => outlineOf(deck, slide))

describe('the outline', () => {
  it('becomes slides and reads back the same', () => {
    const deck = pasted('Routes\n  Astrel\n  Quill\n    late boat\nPromise')
    expect(outlines(deck).slice(1)).toEqual([
      {
        title: 'Routes',
        lines: [
          { text: 'Astrel', level: 1 },
          { text: 'Quill', level: 1 },
          { text: 'late boat', level: 2 },
        ],
      },
      { title: 'Promise', lines: [] },
    ])
    expect(mend(deck).notes).toEqual([])
    expect(readDeck(JSON.parse(JSON.stringify(deck))).ok).toBe(true)
  })

  it('keeps a blank at the end of a line, lest the next word be typed onto the last', () => {
    const deck = pasted('Routes\n  Astrel')
    const slide = slidesOf(deck)[1]!
    const outline = { title: 'Routes and ', lines: [{ text: 'Astrel ', level: 1 }] }
    expect(outlineOf(applyChanges(deck, setOutlineSlide(deck, { slide: slide.id, outline }, context)), slide)).toEqual(outline)
  })

  it('writing a line leaves the look of the other lines alone', () => {
    const listed = pasted('Routes\n  Astrel\n  Quill')
    const slide = slidesOf(listed)[1]!
    const deck = applyChanges(listed, layOut(listed, { slide: slide.id, family: familyNamed('list')! }, context))
    const body = elementsOf(deck, slide.id).find(element => element.placeholder === 'body') as TextElement
    const bold = { ...body.text.content[1]!, content: [{ type: 'text' as const, text: 'Quill', marks: [{ type: 'bold' as const }] }] }
    const styled = applyChanges(deck, [setRecord('elements', body.id, { text: { type: 'doc', content: [body.text.content[0]!, bold] } })])
    const next = applyChanges(
      styled,
      setOutlineSlide(
        styled,
        {
          slide: slide.id,
          outline: {
            title: 'Routes',
            lines: [
              { text: 'Low Sands', level: 1 },
              { text: 'Quill', level: 1 },
            ],
          },
        },
        context,
      ),
    )
    expect((next.elements[body.id] as TextElement).text.content[1]).toEqual(bold)
  })

  it('a line becomes a slide with the lines under it, and a slide becomes a line again', () => {
    const deck = pasted('Routes\n  Astrel\n  Quill\n  Low Sands')
    const routes = slidesOf(deck)[1]!
    const split = applyChanges(deck, splitOutline(deck, { slide: routes.id, line: 1 }, context))
    expect(
      outlines(split)
        .slice(1)
        .map(slide => [slide.title, slide.lines.length]),
    ).toEqual([
      ['Routes', 1],
      ['Quill', 1],
    ])
    const joined = applyChanges(split, joinOutline(split, { slide: slidesOf(split)[2]!.id }, context))
    expect(outlines(joined)[1]).toEqual({
      title: 'Routes',
      lines: [
        { text: 'Astrel', level: 1 },
        { text: 'Quill', level: 1 },
        { text: 'Low Sands', level: 2 },
      ],
    })
  })

  it('a slide that holds more than words does not become a line', () => {
    const deck = pasted('One\nTwo')
    const two = slidesOf(deck)[2]!
    const drawn = applyChanges(deck, [
      putRecord('elements', { id: 'disc', owner: two.id, order: 'a9', kind: 'shape', name: 'Disc', shape: 'ellipse' }),
    ])
    expect(joinOutline(drawn, { slide: two.id }, context)).toEqual([])
  })
})

describe('a table that words name', () => {
  it('is drawn by the column that they name', () => {
    expect(namedTable('crossings.csv by month')).toEqual({ name: 'crossings.csv', by: 'month' })
    expect(namedTable('Ein Blick in fares 2031.xlsx, nach Strecke')).toMatchObject({ by: 'Strecke' })
    expect(namedTable('no table here')).toBeNull()
    const deck = pasted('August carries the year\n  seasons.csv by season')
    const slide = slidesOf(deck)[1]!
    expect(deck.layouts[slide.layout]!.family).toBe('chart')
    const wanted = wantedTable(deck, slide.id)!
    expect(wanted.table.by).toBe('season')
    expect(chartOfTable(seasons, wanted.table)).toMatchObject({ table: 'seasons', across: 'season' })
  })
})

describe('proposing layouts', () => {
  const first = (title: string, lines: string[] = [], opens = false) =>
    propose({ title, lines: lines.map(text => ({ text, level: 1 })), first: opens })[0]!.family.name

  it('ranks what suits first, and leaves none out', () => {
    expect(first('Spring briefing', ['Harbour office'], true)).toBe('title')
    expect(first('Crossings', ['crossings.csv by month'])).toBe('chart')
    expect(first('How the quay grew', ['2022 second berth', '2025 night boat', '2028 shore power'])).toBe('timeline-row')
    expect(first('Nobody waits in the rain.')).toBe('statement')
    expect(first('Route 7')).toBe('statement')
    expect(first('1.4 million', ['passengers last season'])).toBe('statement')
    expect(first('“A quiet quay is a safe quay.”', ['Liv Sorne'])).toBe('quote-title')
    expect(propose({ title: 'x', lines: [], first: false })).toHaveLength(families.length)
  })

  it('sets no third slide in a run as the two before it where another layout suits, and a title alone as it was', () => {
    const led = ['Safety: two ramps', 'Speed: eight minutes', 'Space: a hall'].map(text => ({ text, level: 1 }))
    const words = { title: 'What changes', lines: led, first: false }
    const usual = propose(words)[0]!.family.name
    const third = propose(words, { before: ['chart', usual, usual] })[0]!.family.name
    expect(third).not.toBe(usual)
    // One with icons among those without; one that is not the third in a run is none the worse for it.
    expect(propose(words, { before: [usual, 'chart', usual] })[0]!.family.name).toBe('icons-row')
    expect(propose(words, { before: [usual, 'icons-row', usual] })[0]!.family.name).toBe(usual)
    const alone = { title: 'Nobody waits in the rain.', lines: [], first: false }
    expect(propose(alone, { before: ['statement', 'statement'] })[0]!.family.name).toBe('statement')
    const outline = Array.from({ length: 6 }, (_, index) => ({ title: `Part ${index}`, lines: led }))
    const deck = freshDeck()
    const made = applyChanges(deck, insertOutline(deck, { after: slidesOf(deck).at(-1)!.id, slides: outline }, countingContext('run')))
    const families = slidesOf(made)
      .slice(-6)
      .map(slide => made.layouts[slide.layout]!.family)
    families
      .slice(2)
      .forEach((family, index) => expect([families[index], families[index + 1], family]).not.toEqual([family, family, family]))
  })

  it('puts the layouts first that the deck’s look composes itself', () => {
    const words = {
      title: 'What changes',
      lines: ['Safety: two ramps', 'Speed: eight minutes', 'Space: a hall'].map(text => ({ text, level: 1 })),
      first: false,
    }
    for (const { name, dresses } of looks) expect(Object.keys(dresses)).toContain(propose(words, { look: name })[0]!.family.name)
  })

  it('gives every proposal a reason in a sentence', () => {
    for (const proposal of propose({ title: 'A', lines: [{ text: '5 boats', level: 1 }], first: false }))
      expect(proposal.reason).toMatch(/^[A-Z0-9].*\.$/)
  })
})

describe('layouts of a deck’s own', () => {
  it('are those that somebody made or duplicated, and can be given to any slide with its words', () => {
    const deck = freshDeck()
    expect(ownLayouts(deck)).toEqual([])
    const master = Object.keys(deck.masters)[0]!
    const added = applyChanges(deck, addLayout(deck, { master, name: 'Ours' }, countingContext('own')))
    const doubled = applyChanges(added, duplicateLayout(added, { layout: 'layout-title' }, countingContext('twice')))
    expect(
      ownLayouts(doubled)
        .map(({ name }) => name)
        .sort(),
    ).toEqual(['Ours', 'Title 2'])
    const slide = slidesOf(doubled)[0]!
    const given = applyChanges(doubled, setLayout(doubled, { slide: slide.id, layout: 'own-1' }, countingContext('set')))
    expect([given.slides[slide.id]!.layout, outlineOf(given, given.slides[slide.id]!)]).toEqual(['own-1', outlineOf(doubled, slide)])
  })
})

describe('layouts that are looked for by what a slide is for', () => {
  it.each([
    ['statistics', 'number'],
    ['team', 'people'],
    ['growth', 'growth'],
    ['Öffnungszeiten', 'hours'],
    ['Vergleich', 'comparison'],
    ['étapes', 'steps'],
    ['organigrama', 'hierarchy'],
    ['classifica', 'ranking'],
    ['tijdlijn', 'events'],
    ['frågor', 'questions'],
    ['przyczyna i skutek', 'cause'],
    ['citação', 'saying'],
  ])('“%s” finds those for %s first', (asked, sense) => {
    expect(
      layoutsFor(asked)
        .slice(0, 3)
        .map(family => family.senses[0]),
    ).toContain(sense)
  })
  it('finds none by words that no layout goes by', () => expect(layoutsFor('zzzz')).toEqual([]))
})

describe('a picture that has no place in a new layout', () => {
  const context = countingContext('wait')
  const withPicture = () => {
    const deck = freshDeck()
    const outline = { title: 'The quay', lines: [{ text: 'Early', level: 1 }] }
    const put = insertSlide(deck, { after: slidesOf(deck)[0]!.id, family: familyNamed('picture')!, outline }, context)
    const place = elementsOf(put.deck, put.slide).find(({ kind }) => kind === 'picture')!
    const shown = applyChanges(put.deck, [setRecord('elements', place.id, { media: 'a'.repeat(64), natural: { width: 800, height: 600 } })])
    return { deck: shown, slide: put.slide, picture: place.id }
  }
  const laid = (deck: Deck, slide: string, family: string) =>
    applyChanges(deck, layOut(deck, { slide, family: familyNamed(family)! }, context))

  it('waits unseen instead of lying over the words, and takes the next place that there is', () => {
    const { deck, slide, picture } = withPicture()
    const list = laid(deck, slide, 'list')
    expect(list.elements[picture]).toMatchObject({ hidden: true, waits: true, media: 'a'.repeat(64) })
    expect(shownElements(list, slide).map(({ id }) => id)).not.toContain(picture)
    const still = laid(list, slide, 'cards-row')
    expect(still.elements[picture]).toMatchObject({ hidden: true, waits: true })
    const again = laid(still, slide, 'picture-band')
    expect(again.elements[picture]).toMatchObject({ placeholder: 'picture', media: 'a'.repeat(64) })
    expect([again.elements[picture]!.hidden, again.elements[picture]!.waits, again.elements[picture]!.box]).toEqual([
      undefined,
      undefined,
      undefined,
    ])
    expect(elementsOf(again, slide).filter(({ kind }) => kind === 'picture')).toHaveLength(1)
  })
  it('that somebody has hidden by hand stays hidden', () => {
    const { deck, slide, picture } = withPicture()
    const free = applyChanges(deck, [
      setRecord('elements', picture, { placeholder: undefined, hidden: true, box: { x: 0, y: 0, width: 9, height: 9, angle: 0 } }),
    ])
    expect(laid(free, slide, 'picture-band').elements[picture]).toMatchObject({ hidden: true })
  })
})
