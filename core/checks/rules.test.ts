import {
  infoOf,
  deckTheme,
  dropRecord,
  putRecord,
  setRecord,
  applyChanges,
  beatsOf,
  cuesOf,
  slidesOf,
  textOf,
  type Change,
  type Deck,
  type Element,
} from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newChart } from '../charts'
import type { DataTable } from '../data'
import { packSpans } from '../fonts'
import { addSlide, setFields } from '../edits'
import { anyDeck, beat, countingContext, cue, freshDeck, narration, seasons, textElement, timingContext } from '../testing'
import { setUsual } from '../timing'
import { checkDeck, type Finding } from './index'

const put = (record: Element): Change => putRecord('elements', record)
const first = (deck: Deck) => slidesOf(deck)[0]!.id
const titled = (deck: Deck) =>
  Object.values(deck.elements).find(element => element.owner === first(deck) && element.placeholder === 'title')!
const found = (deck: Deck, rule: string) => checkDeck(deck, timingContext).filter(finding => finding.rule === rule)
const mended = (deck: Deck, finding: Finding) => applyChanges(deck, finding.remedy!.changes(deck, countingContext('r')))
const picture = (fields: object): Element =>
  ({
    id: 'p',
    owner: 'x',
    kind: 'picture',
    name: 'Quay at dawn',
    order: 'a1',
    box: { x: 100, y: 100, width: 600, height: 400, angle: 0 },
    ...fields,
  }) as Element

/** Slides of one layout, each with one text of the same name. */
function slidesWithText(fields: readonly object[]): Deck {
  const context = countingContext('s')
  let deck = freshDeck()
  for (const [index, own] of fields.entries()) {
    deck = applyChanges(deck, addSlide(deck, { after: slidesOf(deck).at(-1)!.id, layout: 'layout-list' }, context))
    const slide = slidesOf(deck).at(-1)!.id
    deck = applyChanges(deck, [
      put({
        ...textElement(`t${index}`, slide, ['Boats leave on the hour']),
        name: 'Remark',
        box: { x: 1200, y: 800, width: 600, height: 120, angle: 0 },
        ...own,
      } as Element),
    ])
  }
  return deck
}

describe('what a slide lacks', () => {
  it('is said of a picture without a file, a chart without a table, and a chart whose table is gone', () => {
    const base = freshDeck()
    const slide = first(base)
    const deck = applyChanges(base, [
      put(picture({ owner: slide })),
      put({
        id: 'c',
        owner: slide,
        kind: 'chart',
        name: 'Crossings',
        order: 'a2',
        chart: {
          kind: 'bar',
          table: 'burnt',
          across: null,
          height: null,
          aggregate: 'sum',
          order: 'data',
          highlighted: [],
          color: { role: 'accent1' },
          highlightColor: { role: 'accent2' },
          format: { decimals: 0, scale: 'none', prefix: '', suffix: '' },
          labels: 'all',
          total: false,
        },
      } as unknown as Element),
    ])
    expect(found(deck, 'empty').map(finding => [finding.element, finding.remedy])).toEqual([
      ['p', null],
      ['c', null],
    ])
    const [ofPicture, ofChart] = found(deck, 'empty').map(finding => finding.message)
    expect(ofPicture).toBe('“Quay at dawn” has no picture. Drop one on it, or take another layout.')
    expect(ofChart).toBe('“Crossings” reads a table that is gone. Drop its file on it again.')
  })

  it('is said of a chart whose table leaves open how it is read', () => {
    const base = freshDeck()
    const chart = { id: 'c', owner: first(base), kind: 'chart', name: 'Crossings', order: 'a2', chart: newChart(seasons.id) }
    const deck = applyChanges(base, [put({ ...chart, box: { x: 100, y: 300, width: 900, height: 500, angle: 0 } } as Element)])
    const [season, ...others] = seasons.columns
    const open = { ...seasons, columns: [{ ...season!, open: 'No day is above 12.' }, ...others] }
    const said = (table: DataTable) =>
      checkDeck(deck, { ...timingContext, table: () => table }).filter(({ rule, element }) => rule === 'empty' && element === 'c')
    expect(said(open)[0]!.message).toBe(
      '“Crossings” is not drawn: “season” can be read in two ways. No day is above 12. Say which under Data, or drop its file on the chart again.',
    )
    expect(said(seasons)).toEqual([])
  })

  it('is said of a title without words, and no longer once it has some', () => {
    const base = freshDeck()
    const bare = applyChanges(base, [setRecord('elements', titled(base).id, { text: textOf(['']) })])
    expect(found(bare, 'empty')).toHaveLength(1)
    const named = applyChanges(bare, [setRecord('elements', titled(base).id, { text: textOf(['Spring']) })])
    expect(found(named, 'empty')).toEqual([])
  })
})

describe('what lies outside', () => {
  it('is brought back onto the slide from any side, whole where it fits', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -9000, max: 9000 }),
        fc.integer({ min: -9000, max: 9000 }),
        fc.integer({ min: 20, max: 900 }),
        (x, y, size) => {
          const base = freshDeck()
          const deck = applyChanges(base, [
            put({ ...textElement('far', first(base), ['Far']), box: { x, y, width: size, height: size, angle: 0 } } as Element),
          ])
          const [finding] = found(deck, 'outside').filter(one => one.message.includes('nobody sees it'))
          const seen = x < 1920 && x + size > 0 && y < 1080 && y + size > 0
          expect(finding === undefined).toBe(seen)
          if (!finding) return
          const { box } = mended(deck, finding).elements.far!
          expect(box!.x).toBeGreaterThanOrEqual(0)
          expect(box!.y).toBeGreaterThanOrEqual(0)
          expect(box!.x + size).toBeLessThanOrEqual(1920)
          expect(box!.y + size).toBeLessThanOrEqual(1080)
        },
      ),
      { numRuns: 40 },
    )
  })

  it('are words that its edge cuts off as well; a box that only reaches over it with room to spare is none', () => {
    const base = freshDeck()
    const at = (x: number, angle = 0) =>
      applyChanges(base, [
        put({
          ...textElement('edge', first(base), ['Boats']),
          name: 'Boats',
          box: { x, y: 500, width: 900, height: 100, angle },
        } as Element),
      ])
    const [finding] = found(at(-60), 'outside')
    expect(finding!.message).toBe('The edge of the slide cuts off words of “Boats”.')
    expect(found(mended(at(-60), finding!), 'outside')).toEqual([])
    expect(found(mended(at(1900, 30), found(at(1900, 30), 'outside')[0]!), 'outside')).toEqual([])
    // Five letters at the left of a box that is 900 wide.
    expect(found(at(1200), 'outside')).toEqual([])
  })

  it('is left alone where a motion brings it in', () => {
    const base = freshDeck()
    const slide = first(base)
    const deck = applyChanges(base, [
      put({ ...textElement('ferry', slide, ['Ferry']), box: { x: -900, y: 500, width: 400, height: 100, angle: 0 } } as Element),
      putRecord(
        'cues',
        cue({
          id: 'sails',
          beat: beatsOf(base, slide)[0]!.id,
          element: 'ferry',
          what: 'move',
          effect: 'move-line',
          options: { x: 1200, y: 0 },
        }),
      ),
    ])
    expect(found(deck, 'outside')).toEqual([])
  })
})

describe('the clear space around the logo', () => {
  const withLogo = (...changes: Change[]) => {
    const base = freshDeck()
    const theme = deckTheme(base)
    return applyChanges(base, [
      setRecord('theme', 'theme', { logo: { ...theme.logo, clear: 0.5, least: 20 } }),
      ...Object.values(base.elements)
        .filter(element => element.owner === first(base))
        .map((element): Change => dropRecord('elements', element.id)),
      put(picture({ id: 'mark', name: 'Logo', owner: first(base), logo: true, box: { x: 1600, y: 60, width: 200, height: 80, angle: 0 } })),
      ...changes,
    ])
  }
  it('is entered by words that stand there, not by a wide box whose words stand half a slide away', () => {
    const base = freshDeck()
    const text = (box: object, more: object = {}) =>
      put({ ...textElement('title', first(base), ['Boats']), name: 'Title', box: { angle: 0, ...box }, ...more } as Element)
    const far = text({ x: 100, y: 60, width: 1700, height: 100 })
    const near = text({ x: 1560, y: 120, width: 300, height: 100 })
    expect(found(withLogo(far), 'logo-clear')).toEqual([])
    expect(found(withLogo(near), 'logo-clear').map(finding => finding.element)).toEqual(['title'])
    const panelled = text({ x: 100, y: 60, width: 1700, height: 100 }, { panel: { padding: 0, radius: 0, fill: { role: 'accent1' } } })
    expect(found(withLogo(panelled), 'logo-clear')).toHaveLength(1)
  })
})

describe('letters and sizes', () => {
  it('that a font lacks are named, with a family that has them', () => {
    const base = freshDeck()
    const deck = applyChanges(base, [put({ ...textElement('greek', first(base), ['Καλημέρα']), family: 'Bricolage Grotesque' } as Element)])
    const [finding] = found(deck, 'glyphs')
    expect(finding!.message).toMatch(/^Bricolage Grotesque has no Κ α λ η μ έ.*Noto Sans stands in\.$/)
    expect(found(mended(deck, finding!), 'glyphs')).toEqual([])
  })

  it('that no font here has are told as the boxes that they will be, in texts, diagrams, tables and charts alike', () => {
    const base = freshDeck()
    const slide = first(base)
    const deck = applyChanges(base, [
      put({ ...textElement('welcome', slide, ['Welcome 渡し場']) } as Element),
      put({
        id: 'rows',
        owner: slide,
        kind: 'table',
        name: 'Rows',
        order: 'a2',
        box: { x: 0, y: 0, width: 900, height: 300, angle: 0 },
        columns: [],
        cells: [
          ['Place', 'Boats'],
          ['부두', '4'],
        ],
      } as unknown as Element),
    ])
    const findings = found(deck, 'glyphs')
    expect(findings.map(finding => finding.element)).toEqual(['welcome', 'rows'])
    expect(findings[0]!.message).toMatch(/^No font here has 渡 し 場, as “.*” needs: boxes are drawn/)
    expect(findings.map(({ message }) => /npm run fonts -- ([a-z]+)”/.exec(message)?.[1])).toEqual(['japanese', 'korean'])
    expect(findings[0]!.remedy).toBeNull()

    // A font that the team has is taken in a press, and the deck carries it from then on.
    const faces = [
      { family: 'Harbour JP', media: 'b'.repeat(64), weight: 400, held: packSpans([...'渡し場'].map(one => one.codePointAt(0)!)) },
    ]
    const [ours, theirs] = checkDeck(deck, { ...timingContext, faces }).filter(({ rule }) => rule === 'glyphs')
    expect(ours!.message).toMatch(/Harbour JP, which your team has, has them/)
    expect(theirs!.message).toMatch(/npm run fonts -- korean/)
    const set = mended(deck, ours!)
    expect(set.elements.welcome).toMatchObject({ family: 'Harbour JP' })
    expect(set.theme.theme!.faces).toEqual(faces)
  })

  it('a style’s own size comes back where a text was set nearly in it, and a size that is meant stays', () => {
    const body = deckTheme(freshDeck()).textStyles.body!.size
    const deck = slidesWithText([{ size: Math.round(body * 1.06) }, { size: 85 }])
    const findings = found(deck, 'near-size')
    expect(findings.map(finding => finding.element)).toEqual(['t0'])
    expect(findings[0]!.remedy!.label).toBe(`Set it in ${body} px`)
    expect(found(mended(deck, findings[0]!), 'near-size')).toEqual([])
  })

  it('a family that hardly any text is set in stands out; one that many are set in does not', () => {
    expect(found(slidesWithText([{ family: 'Caveat' }, {}, {}]), 'odd-font').map(finding => finding.element)).toEqual(['t0'])
    expect(found(slidesWithText([{ family: 'Caveat' }, { family: 'Caveat' }, { family: 'Caveat' }]), 'odd-font')).toEqual([])
  })
})

describe('what nearly matches across slides', () => {
  const box = { x: 1200, y: 800, width: 600, height: 120, angle: 0 }

  it('is put where the others stand', () => {
    const deck = slidesWithText([{ box }, { box }, { box: { ...box, x: 1208, y: 797 } }])
    const [finding, ...more] = found(deck, 'near-place')
    expect(more).toEqual([])
    expect(finding!.message).toBe('“Remark” stands 8 px right and 3 px up of where it stands on 2 other slides.')
    expect(found(mended(deck, finding!), 'near-place')).toEqual([])
  })

  it('is left alone where it stands clearly elsewhere, or where nothing is usual', () => {
    expect(found(slidesWithText([{ box }, { box }, { box: { ...box, x: 400 } }]), 'near-place')).toEqual([])
    expect(found(slidesWithText([{ box }, { box: { ...box, x: 1204 } }]), 'near-place')).toEqual([])
  })

  it('is a colour that nearly is a role, which then follows the palette', () => {
    const value = deckTheme(freshDeck()).palette.accent1
    const deck = slidesWithText([{ color: { hex: value } }, { color: { hex: '#ff00ff' } }])
    const findings = found(deck, 'near-color')
    expect(findings.map(finding => finding.element)).toEqual(['t0'])
    expect(mended(deck, findings[0]!).elements.t0).toMatchObject({ color: { role: 'accent1' } })
  })
})

describe('timing', () => {
  it('of cues that wait for each other is untied by letting one start with its beat', () => {
    const base = freshDeck()
    const slide = first(base)
    const at = beatsOf(base, slide)[0]!.id
    const deck = applyChanges(base, [
      put(textElement('sun', slide, ['Sun'])),
      put({ ...textElement('moon', slide, ['Moon']), box: { x: 100, y: 800, width: 600, height: 100, angle: 0 } } as Element),
      putRecord('cues', cue({ id: 'a', beat: at, element: 'sun', anchor: { to: 'end', cue: 'b' } })),
      putRecord('cues', cue({ id: 'b', beat: at, element: 'moon', order: 'a1', anchor: { to: 'start', cue: 'a' } })),
    ])
    const [finding] = found(deck, 'circles')
    const next = mended(deck, finding!)
    expect(found(next, 'circles')).toEqual([])
    expect(cuesOf(next, at).filter(one => one.anchor.to === 'beat')).toHaveLength(1)
  })

  it('of a film’s beats is long enough once every remedy is taken, whatever the deck', () => {
    fc.assert(
      fc.property(anyDeck, drawn => {
        const deck = { ...drawn, info: { info: { ...infoOf(drawn), purpose: 'film' as const } } }
        const next = found(deck, 'hold').reduce<Deck>(
          (at, finding) => applyChanges(at, finding.remedy!.changes(at, countingContext('r'))),
          deck,
        )
        expect(found(next, 'hold')).toEqual([])
      }),
      { numRuns: 40 },
    )
  })

  it('of what moves longer than a voice leaves time for is found, and squeezed into it', () => {
    const base = freshDeck('film')
    const slide = first(base)
    const heard = { ...timingContext, mediaLength: () => 30 }
    const withHold = (seconds: number) =>
      applyChanges(base, [
        putRecord('sounds', narration(slide)),
        put(textElement('words', slide, ['Quay'])),
        setRecord('beats', beatsOf(base, slide)[0]!.id, { hold: { kind: 'voice', sound: 'voice', at: seconds, seconds: 1 } }),
        putRecord('beats', beat({ id: 'next', slide, order: 'z', start: 'self' })),
        putRecord('cues', cue({ id: 'slow', beat: beatsOf(base, slide)[0]!.id, element: 'words', duration: 4 })),
      ])
    const late = (deck: Deck) => checkDeck(deck, heard).filter(finding => finding.rule === 'voice-late')
    const [finding, ...others] = late(withHold(1))
    expect(others).toEqual([])
    expect(finding!.message).toBe('What moves in beat 1 ends 2.0 s after “Voice” has come to where beat 2 begins.')
    expect(late(mended(withHold(1), finding!))).toEqual([])
    expect(late(withHold(3))).toEqual([])
  })

  it('of a beat held for as long as reading takes is never found too short', () => {
    const base = freshDeck('film')
    const slide = first(base)
    const deck = applyChanges(base, [
      put(textElement('words', slide, ['So many words that nobody reads them in a blink of the eye'])),
      ...setFields(base, { table: 'beats', id: beatsOf(base, slide)[0]!.id, fields: { hold: { kind: 'reading' } } }),
      putRecord('beats', beat({ id: 'next', slide, order: 'b00', hold: { kind: 'reading' } })),
    ])
    expect(found(deck, 'hold')).toEqual([])
  })
})

it('every finding names a slide of the deck, and what is one press away changes something', () => {
  fc.assert(
    fc.property(anyDeck, deck => {
      for (const finding of checkDeck(deck, timingContext)) {
        expect(deck.slides[finding.slide]).toBeDefined()
        expect(finding.message).toMatch(/[.…]$/)
        if (finding.remedy) expect(finding.remedy.changes(deck, countingContext('r')).length).toBeGreaterThan(0)
      }
    }),
    { numRuns: 30 },
  )
})

describe('motion that is over too soon', () => {
  const typed = (fields: object) => {
    const base = freshDeck()
    const slide = first(base)
    return applyChanges(base, [
      put(textElement('words', slide, ['So many words that nobody reads them in a blink of the eye'])),
      putRecord('cues', cue({ id: 'c', beat: beatsOf(base, slide)[0]!.id, element: 'words', effect: 'type', duration: 1, ...fields })),
    ])
  }
  it('to be read, to be counted, to be drawn or to be seen at all is named with what it needs', () => {
    expect(found(typed({}), 'too-quick')[0]!.message).toMatch(
      /^The motion of “words” in beat 1 takes 1\.00 s\. It needs [3-6]\.\d s to be read as it is typed\.$/,
    )
    expect(found(typed({ effect: 'count-up', duration: 0.2 }), 'too-quick')[0]!.message).toContain('0.6 s to be seen counting')
    expect(found(typed({ what: 'emphasis', effect: 'ring', duration: 0.3 }), 'too-quick')[0]!.message).toContain(
      '0.8 s to be seen being drawn',
    )
    expect(found(typed({ effect: 'fade', duration: 0.05 }), 'too-quick')[0]!.message).toContain('to be seen as motion')
  })

  it('is long enough after one press, and what comes at once is meant to', () => {
    const deck = typed({})
    expect(found(mended(deck, found(deck, 'too-quick')[0]!), 'too-quick')).toEqual([])
    expect(found(typed({ effect: 'fade', duration: 0 }), 'too-quick')).toEqual([])
  })

  it('needs more for slower readers', () => {
    const needs = (audience: 'children' | 'colleagues') => {
      const deck = typed({})
      return found(applyChanges(deck, [setRecord('info', 'info', { audience })]), 'too-quick')[0]!.remedy!.label
    }
    expect(Number(/[\d.]+/.exec(needs('children'))![0])).toBeGreaterThan(Number(/[\d.]+/.exec(needs('colleagues'))![0]))
  })
})

describe('motion that is not the deck’s usual one', () => {
  it('is named with what is usual, and one press lets it follow', () => {
    const base = slidesWithText([{}, {}])
    const at = (index: number) => beatsOf(base, slidesOf(base)[index]!.id)[0]!.id
    const deck = applyChanges(base, [
      putRecord('cues', cue({ id: 'one', beat: at(1), element: 't0', effect: 'rise' })),
      putRecord('cues', cue({ id: 'two', beat: at(2), element: 't1', effect: 'wipe' })),
    ])
    expect(found(deck, 'odd-motion')).toEqual([])
    const usual = applyChanges(deck, setUsual(deck, { like: 'one' }))
    const [finding, ...more] = found(usual, 'odd-motion')
    expect(more).toEqual([])
    expect(finding!.message).toBe('“Remark” enters by wipe. A text of this deck usually enters by rise.')
    expect(found(mended(usual, finding!), 'odd-motion')).toEqual([])
  })
})
