import {
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
import { buildSlide, insertOutline, layOut, newDeck, type Build } from '../core/layouts'
import { familyNamed } from '../core/layouts/catalogue'
import { captionsFor } from '../core/sound'
import { effectNamed, namedEasings, putSound, transitionNamed } from '../core/timing'

/** Builds a demo deck with the very edits that the interface makes. */
export function workbench(wish: { title: string; purpose: Purpose; prefix: string; outline: string }) {
  let count = 0
  const context: EditContext = { id: () => `${wish.prefix}-${++count}` }
  let deck: Deck = newDeck(wish, context)
  const edit = (changes: readonly Change[]) => {
    deck = applyChanges(deck, changes)
  }
  edit(
    slidesOf(deck).flatMap(slide => [
      dropRecord('slides', slide.id),
      ...elementsOf(deck, slide.id).map(element => dropRecord('elements', element.id)),
      ...beatsOf(deck, slide.id).map(beat => dropRecord('beats', beat.id)),
    ]),
  )
  const read = readOutline(wish.outline)
  if (!read.ok) throw new Error(read.message)
  edit(insertOutline(deck, { after: null, slides: read.value.slides }, context))

  const slide = (index: number) => slidesOf(deck)[index]!
  const part = (index: number, placeholder: string) =>
    elementsOf(deck, slide(index).id).find(element => element.placeholder === placeholder)!
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
  return {
    deck: () => deck,
    edit,
    context,
    slide,
    part,
    layout: (index: number, family: string) => edit(layOut(deck, { slide: slide(index).id, family: familyNamed(family)! }, context)),
    notes: (index: number, notes: string) => edit(setFields(deck, { table: 'slides', id: slide(index).id, fields: { notes } })),
    transition(index: number, effect: string, more: Partial<Transition> = {}) {
      edit(
        setFields(deck, {
          table: 'slides',
          id: slide(index).id,
          fields: { transition: { effect, duration: transitionNamed(effect).duration, easing: namedEasings['ease both ways'], ...more } },
        }),
      )
    },
    chart: (index: number, table: string, fields: Partial<ChartSpec>) =>
      edit(setFields(deck, { table: 'elements', id: part(index, 'chart').id, fields: { chart: { ...newChart(table), ...fields } } })),
    picture: (index: number, media: { hash: string; width: number; height: number }, alt: string) =>
      edit(
        setFields(deck, {
          table: 'elements',
          id: part(index, 'picture').id,
          fields: { media: media.hash, natural: { width: media.width, height: media.height }, alt },
        }),
      ),
    /** A cue in a beat of a slide; beats are made as they are needed. */
    cue(index: number, beat: number, placeholder: string, what: Cue['what'], effect: string, more: Partial<Cue> = {}) {
      edit(
        addCue(
          deck,
          { cue: { ...cueOf(part(index, placeholder), what, effect, more), beat: beatsOf(deck, slide(index).id)[beat]!.id } },
          context,
        ),
      )
    },
    /** The harbour's logo, footer and slide number, once for all slides. */
    brand(logo: Logo) {
      const { width, height } = infoOf(deck).size
      const { margin } = deckTheme(deck)
      const foot = { y: height - margin * 0.8, height: margin * 0.5, angle: 0 }
      const orders = ordersAt(elementsOf(deck, 'master'), Infinity, 3)
      const part = (id: string, element: ElementWithout<'id' | 'owner' | 'order'>): Change =>
        putRecord('elements', { id: `${wish.prefix}-${id}`, owner: 'master', order: orders.shift()!, ...element })
      edit([
        setRecord('theme', 'theme', { name: 'Velmoor Harbour', logo, footer: 'Velmoor Harbour office' }),
        part('logo', {
          kind: 'picture',
          name: 'Logo',
          logo: true,
          alt: 'Velmoor Harbour',
          box: { ...foot, x: width - margin - 200, width: 200, y: height - margin * 0.86, height: margin * 0.58 },
        }),
        part('footer', {
          kind: 'text',
          name: 'Footer',
          field: 'footer',
          style: 'small',
          vertical: 'middle',
          text: textOf([]),
          box: { ...foot, x: margin + 130, width: 560 },
        }),
        part('number', {
          kind: 'text',
          name: 'Slide number',
          field: 'slide-number',
          style: 'small',
          align: 'right',
          vertical: 'middle',
          text: textOf([]),
          box: { ...foot, x: width - margin - 320, width: 90 },
        }),
      ])
    },
    /** Music under all slides, softer while somebody speaks. */
    bed(media: string, name: string) {
      const slides = slidesOf(deck)
      edit(putSound(deck, { use: 'bed', media, name, fromSlide: slides[0]!.id, untilSlide: slides.at(-1)!.id }, context))
    },
    /** A slide’s voice that says its notes, with captions by its pauses. */
    voice(index: number, { hash, peaks }: { hash: string; peaks: Uint8Array }) {
      edit(
        putSound(
          deck,
          { use: 'narration', media: hash, name: 'Voice', fromSlide: slide(index).id, untilSlide: slide(index).id, delay: 0.6 },
          context,
        ),
      )
      const sound = Object.values(deck.sounds).find(one => one.use === 'narration' && one.fromSlide === slide(index).id)!
      edit(setFields(deck, { table: 'sounds', id: sound.id, fields: { captions: captionsFor(slide(index).notes, peaks) } }))
    },
    /** How the lines or items of a slide come in. */
    build: (index: number, how: Build) => edit(buildSlide(deck, { slide: slide(index).id, how }, context)),
    hold(index: number, beat: number, seconds: number) {
      edit(
        setFields(deck, { table: 'beats', id: beatsOf(deck, slide(index).id)[beat]!.id, fields: { hold: { kind: 'seconds', seconds } } }),
      )
    },
  }
}
