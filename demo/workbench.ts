import {
  type Amount,
  type Inline,
  type SlideRows,
  infoOf,
  deckTheme,
  dropRecord,
  putRecord,
  setRecord,
  applyChanges,
  beatsOf,
  elementsOf,
  slidesOf,
  textOf,
  type Change,
  type ChartSpec,
  type Cue,
  type Deck,
  type EditContext,
  type Element,
  type ElementWithout,
  type Logo,
  type Purpose,
  type Transition,
} from '../core/model'
import { newChart } from '../core/charts'
import { addCue, setFields } from '../core/edits'
import { ordersAt } from '../core/values'
import { readOutline } from '../core/formats/outline'
import { buildSlide, insertOutline, layOut, newDeck, putLook, type Build, type LookWish } from '../core/layouts'
import { familyNamed } from '../core/families'
import { captionsFor } from '../core/sound'
import { addState, effectNamed, namedEasings, putSound, transitionNamed } from '../core/timing'

type Placed = ElementWithout<'id' | 'owner' | 'order'>

/** A cue as it usually is, for an element. */
const cueOf = (element: Element, what: Cue['what'], effect: string, more: Partial<Cue>): Omit<Cue, 'id' | 'order' | 'beat'> => ({
  element: element.id,
  what,
  effect,
  options: {},
  anchor: { to: 'beat' },
  delay: 0,
  duration: effectNamed(effect, what).duration,
  easing: namedEasings['ease out'],
  repeat: 1,
  ...more,
})

/** The harbour's logo, footer and slide number, as they stand on each slide. */
function brandParts(deck: Deck): [name: string, element: Placed][] {
  const { width, height } = infoOf(deck).size
  const { margin } = deckTheme(deck)
  const foot = { y: height - margin * 0.8, height: margin * 0.5, angle: 0 }
  const words = { kind: 'text', style: 'small', vertical: 'middle', text: textOf([]) } as const
  const logo = { ...foot, x: width - margin - 200, width: 200, y: height - margin * 0.86, height: margin * 0.58 }
  return [
    ['logo', { kind: 'picture', name: 'Logo', logo: true, alt: 'Velmoor Harbour', box: logo }],
    ['footer', { ...words, name: 'Footer', field: 'footer', box: { ...foot, x: margin + 130, width: 560 } }],
    [
      'number',
      { ...words, name: 'Slide number', field: 'slide-number', align: 'right', box: { ...foot, x: width - margin - 320, width: 90 } },
    ],
  ]
}

/** Builds a demo deck with the very edits that the interface makes. */
export class Workbench {
  #count = 0
  #deck: Deck
  readonly context: EditContext

  constructor(readonly input: { title: string; purpose: Purpose; prefix: string; outline: string }) {
    this.context = { id: () => `${input.prefix}-${++this.#count}` }
    this.#deck = newDeck(input, this.context)
    this.edit(
      slidesOf(this.#deck).flatMap(slide => [
        dropRecord('slides', slide.id),
        ...elementsOf(this.#deck, slide.id).map(element => dropRecord('elements', element.id)),
        ...beatsOf(this.#deck, slide.id).map(beat => dropRecord('beats', beat.id)),
      ]),
    )
    const read = readOutline(input.outline)
    if (!read.ok) throw new Error(read.message)
    this.edit(insertOutline(this.#deck, { after: null, slides: read.value.slides }, this.context))
  }

  deck(): Deck {
    return this.#deck
  }

  edit(changes: readonly Change[]) {
    this.#deck = applyChanges(this.#deck, changes)
  }

  slide(index: number) {
    return slidesOf(this.#deck)[index]!
  }

  part(index: number, placeholder: string) {
    return elementsOf(this.#deck, this.slide(index).id).find(element => element.placeholder === placeholder)!
  }

  layout(index: number, family: string) {
    this.edit(layOut(this.#deck, { slide: this.slide(index).id, family: familyNamed(family)! }, this.context))
  }

  notes(index: number, notes: string) {
    this.#set('slides', this.slide(index).id, { notes })
  }

  transition(index: number, effect: string, more: Partial<Transition> = {}) {
    const transition = { effect, duration: transitionNamed(effect).duration, easing: namedEasings['ease both ways'], ...more }
    this.#set('slides', this.slide(index).id, { transition })
  }

  chart(index: number, table: string, fields: Partial<ChartSpec>) {
    this.#set('elements', this.part(index, 'chart').id, { chart: { ...newChart(table), ...fields } })
  }

  /** Another state of the chart of a slide, told after all others. */
  state(index: number, table: string, fields: Partial<ChartSpec>) {
    this.edit(addState(this.#deck, { element: this.part(index, 'chart').id, spec: { ...newChart(table), ...fields } }, this.context))
  }

  /** Words of an element in the order given; a record in the place of words is the number of a table. */
  words(index: number, placeholder: string, words: readonly (string | Amount)[]) {
    const content = words.map((one): Inline =>
      typeof one === 'string' ? { type: 'text', text: one } : { type: 'text', text: '–', marks: [{ type: 'amount', attrs: { of: one } }] },
    )
    this.#set('elements', this.part(index, placeholder).id, { text: { type: 'doc', content: [{ type: 'paragraph', content }] } })
  }

  /** A slide is there once for each of some rows of a table. */
  rows(index: number, rows: SlideRows) {
    this.#set('slides', this.slide(index).id, { rows })
  }

  picture(index: number, media: { hash: string; width: number; height: number }, alt: string) {
    const natural = { width: media.width, height: media.height }
    this.#set('elements', this.part(index, 'picture').id, { media: media.hash, natural, alt })
  }

  /** A cue in a beat of a slide. */
  cue(index: number, beat: number, placeholder: string, what: Cue['what'], effect: string, more: Partial<Cue> = {}) {
    const at = beatsOf(this.#deck, this.slide(index).id)[beat]!.id
    this.edit(addCue(this.#deck, { cue: { ...cueOf(this.part(index, placeholder), what, effect, more), beat: at } }, this.context))
  }

  /** The harbour's logo, footer and slide number, once for all slides. */
  brand(logo: Logo) {
    const parts = brandParts(this.#deck)
    const orders = ordersAt(elementsOf(this.#deck, 'master'), Infinity, parts.length)
    this.edit([
      setRecord('theme', 'theme', { name: 'Velmoor Harbour', logo, footer: 'Velmoor Harbour office' }),
      ...parts.map(([name, element], index) =>
        putRecord('elements', { id: `${this.input.prefix}-${name}`, owner: 'master', order: orders[index]!, ...element }),
      ),
    ])
  }

  /** An art direction for all that is there by now; how slides come is its own. */
  look(look: string, wish: Partial<LookWish> = {}) {
    const { name } = deckTheme(this.#deck)
    this.edit(putLook(this.#deck, { look, seed: 4711, ground: 'light', ...wish }, this.context))
    this.edit([setRecord('theme', 'theme', { name })])
    // The house's rule, which the footer stood beside, is gone.
    const footer = this.#deck.elements[`${this.input.prefix}-footer`]
    if (footer?.box) this.#set('elements', footer.id, { box: { ...footer.box, x: deckTheme(this.#deck).margin } })
  }

  /** Sets the harbour's logo and footer higher by so many px: clear of what a look draws along the foot. */
  lift(px: number) {
    for (const part of elementsOf(this.#deck, 'master'))
      if (part.id.startsWith(`${this.input.prefix}-`) && part.box)
        this.#set('elements', part.id, { box: { ...part.box, y: part.box.y - px } })
  }

  /** Music under all slides, softer while somebody speaks. */
  bed(media: string, name: string) {
    const slides = slidesOf(this.#deck)
    this.edit(putSound(this.#deck, { use: 'bed', media, name, fromSlide: slides[0]!.id, untilSlide: slides.at(-1)!.id }, this.context))
  }

  /** A slide’s voice that says its notes, with captions by its pauses. */
  voice(index: number, { hash, peaks }: { hash: string; peaks: Uint8Array }) {
    const slide = this.slide(index)
    const input = { use: 'narration', media: hash, name: 'Voice', fromSlide: slide.id, untilSlide: slide.id, delay: 0.6 } as const
    this.edit(putSound(this.#deck, input, this.context))
    const sound = Object.values(this.#deck.sounds).find(one => one.use === 'narration' && one.fromSlide === slide.id)!
    this.#set('sounds', sound.id, { captions: captionsFor(slide.notes, peaks) })
  }

  /** How the lines or items of a slide come in. */
  build(index: number, how: Build) {
    this.edit(buildSlide(this.#deck, { slide: this.slide(index).id, how }, this.context))
  }

  hold(index: number, beat: number, seconds: number) {
    this.#set('beats', beatsOf(this.#deck, this.slide(index).id)[beat]!.id, { hold: { kind: 'seconds', seconds } })
  }

  #set<Table extends keyof Deck>(table: Table, id: string, fields: Parameters<typeof setFields<Table>>[1]['fields']) {
    this.edit(setFields(this.#deck, { table, id, fields }))
  }
}

export const workbench = (input: ConstructorParameters<typeof Workbench>[0]) => new Workbench(input)
