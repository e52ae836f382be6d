import { removeSlides, setFields } from '../../edits'
import { applyChanges, beatsOf, elementsOf, slidesOf, type Change, type Deck, type EditContext, type Purpose } from '../../model'
import type { Id } from '../../values'
import { namedEasings, transitionNamed } from '../../timing'
import { schemeNamed } from '../../color'
import { settleAgendas } from '../agenda'
import { buildSlide } from '../builds'
import { familyNamed } from '../../families'
import { houseTheme } from '../house-theme'
import { newDeck } from '../new-deck'
import { itemCount, roomFor, type Ruler } from '../room'
import { insertSlide, outlineOf, setOutlineSlide, type OutlineSlide } from '../outline'
import { propose } from '../propose'
import { layOut } from '../set-layout'
import { richLines } from '../write-lines'
import { briefing } from './briefing'
import { howTo } from './how-to'
import { incident } from './incident'
import { noticeLoop } from './notice-loop'
import { plan } from './plan'
import { portrait } from './portrait'
import { seasonReview } from './season-review'
import { starterLines, type Starter } from './starter'
import { volunteers } from './volunteers'
import { welcome } from './welcome'
import { yearInNumbers } from './year-in-numbers'

export type { Starter, StarterSlide } from './starter'

/** The catalogue: adding a starter is adding a file and a line. */
export const starters: readonly Starter[] = [
  briefing,
  seasonReview,
  noticeLoop,
  volunteers,
  howTo,
  welcome,
  yearInNumbers,
  portrait,
  plan,
  incident,
]

export const starterNamed = (name: string) => starters.find(starter => starter.name === name)

/** Puts a starter's slides after a slide (first where null), with their beats. */
export function insertStarter(deck: Deck, input: { starter: Starter; after: Id | null }, context: EditContext): Change[] {
  const changes: Change[] = []
  let now = deck
  const add = (more: readonly Change[]) => {
    changes.push(...more)
    now = applyChanges(now, more)
  }
  let after = input.after
  for (const plan of input.starter.slides) {
    const outline: OutlineSlide = {
      title: plan.title,
      lines: starterLines(plan.lines),
      ...(plan.notes ? { notes: plan.notes } : {}),
      ...(plan.chapter ? { chapter: plan.chapter } : {}),
    }
    const inserted = insertSlide(now, { after, family: familyNamed(plan.family)!, outline }, context)
    changes.push(...inserted.changes)
    now = inserted.deck
    after = inserted.slide
    add(
      setFields(now, {
        table: 'slides',
        id: after,
        fields: {
          transition: plan.transition
            ? { effect: plan.transition, duration: transitionNamed(plan.transition).duration, easing: namedEasings['ease both ways'] }
            : undefined,
          ...(plan.agenda ? { agenda: plan.agenda } : {}),
        },
      }),
    )
    if (plan.build) add(buildSlide(now, { slide: after, how: plan.build }, context))
    const last = beatsOf(now, after).at(-1)
    if (plan.hold && last) add(setFields(now, { table: 'beats', id: last.id, fields: { hold: { kind: 'seconds', seconds: plan.hold } } }))
  }
  add(settleAgendas(now, context))
  return changes
}

/** A new deck with a starter's slides, purpose and colours. */
export function deckOfStarter(
  starter: Starter,
  input: Omit<Parameters<typeof newDeck>[0], 'theme' | 'purpose'> & { purpose?: Purpose },
  context: EditContext,
): Deck {
  const palette = schemeNamed(starter.scheme)?.palette ?? houseTheme.palette
  const base = newDeck({ ...input, purpose: input.purpose ?? starter.purpose, theme: { ...houseTheme, palette } }, context)
  const empty = applyChanges(base, removeSlides(base, { slides: slidesOf(base).map(slide => slide.id) }))
  return applyChanges(empty, insertStarter(empty, { starter, after: null }, context))
}

/**
 * Puts the slides of an outline in a starter's clothes in place of all slides of a deck: each takes the layout and the beats
 * of the starter's slide at its place, so long as the words fit there, else the layout that suits them best with the same
 * beats; agendas stay where the starter has them.
 */
export function fillStarter(
  deck: Deck,
  input: { starter: Starter; outline: readonly OutlineSlide[] },
  context: EditContext,
  ruler: Pick<Ruler, 'measurer'>,
): Change[] {
  const old = slidesOf(deck).map(slide => slide.id)
  const put = insertStarter(deck, { starter: input.starter, after: old.at(-1) ?? null }, context)
  const changes: Change[] = [...put]
  let now = applyChanges(deck, put)
  const add = (more: readonly Change[]) => {
    changes.push(...more)
    now = applyChanges(now, more)
  }
  const places = slidesOf(now).filter(slide => !old.includes(slide.id))
  const words = input.outline.filter(slide => slide.title.trim() || slide.lines.length)
  let used = 0
  let last: Id | null = places.at(-1)?.id ?? null
  const kept = new Set<Id>()
  for (const place of places) {
    if (
      place.agenda &&
      used > 0 &&
      used < words.length &&
      !input.outline.some(slide => slide.lines.length === 0 && propose({ ...slide, first: false })[0]!.family.senses[0] === 'agenda')
    ) {
      kept.add(place.id)
      continue
    }
    const own = words[used]
    if (!own) break
    used++
    kept.add(place.id)
    last = place.id
    const chapter = own.chapter ?? ''
    if (place.agenda) add(setFields(now, { table: 'slides', id: place.id, fields: { agenda: undefined } }))
    add(setOutlineSlide(now, { slide: place.id, outline: { ...own, notes: own.notes ?? '', chapter } }, context))
    const family = familyNamed(now.layouts[now.slides[place.id]!.layout]!.family)
    const lines = richLines(now, place.id)
    const items = family ? itemCount(family, lines) : 0
    const suits =
      family && (items === 0 ? family.content === 'lines' : roomFor(family, lines, { deck: now, measurer: ruler.measurer }) >= items)
    if (!suits)
      add(layOut(now, { slide: place.id, family: propose({ ...own, first: used === 1, last: used === words.length })[0]!.family }, context))
  }
  for (const own of words.slice(used)) {
    const inserted = insertSlide(now, { after: last, family: propose({ ...own, first: false })[0]!.family, outline: own }, context)
    changes.push(...inserted.changes)
    now = inserted.deck
    last = inserted.slide
    kept.add(last)
    const how = input.starter.slides.find(slide => slide.build && slide.build !== 'opening')?.build ?? 'none'
    add(buildSlide(now, { slide: last, how }, context))
  }
  add(removeSlides(now, { slides: [...old, ...places.filter(place => !kept.has(place.id)).map(place => place.id)] }))
  add(settleAgendas(now, context))
  return changes
}

/** The words of a deck's slides, as a starter takes them. */
export const outlineOfDeck = (deck: Deck): OutlineSlide[] =>
  slidesOf(deck)
    .filter(slide => !slide.agenda && elementsOf(deck, slide.id).length > 0)
    .map(slide => ({ ...outlineOf(deck, slide), notes: slide.notes, ...(slide.chapter ? { chapter: slide.chapter } : {}) }))
