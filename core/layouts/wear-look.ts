import { hexOf, paletteOn } from '../color'
import { alongLines, layoutParts, lookNamed, lookOf, pageOf, standingParts, stylesOf, type Look } from '../looks'
import {
  applyChanges,
  deckTheme,
  dropRecord,
  elementsOf,
  infoOf,
  layoutsOf,
  mastersOf,
  putRecord,
  setRecord,
  slidesOf,
  type Change,
  type Deck,
  type EditContext,
  type Element,
  type Theme,
} from '../model'
import { boundsOf, overlap } from '../place'
import type { Id } from '../values'
import { familyNamed } from '../families'
import { houseTheme } from './house-theme'
import { isStandingPart, layoutPlaces, masterRule, standingOf } from './layout-record'
import { setLayout } from './set-layout'
import { bulletsAfter } from './write-lines'

/** Gives an owner parts in place of its own: what fills a place of the same name stays the same record. */
export function replaceParts(deck: Deck, owner: Id, parts: readonly Element[]): Change[] {
  const own = elementsOf(deck, owner)
  const kept = new Set<Id>()
  const changes = parts.map((part): Change => {
    const same = part.placeholder ? own.find(element => element.placeholder === part.placeholder) : undefined
    const id = same?.id ?? part.id
    kept.add(id)
    return putRecord('elements', { ...part, id, owner } as Element)
  })
  return [...own.filter(element => !kept.has(element.id)).map((element): Change => dropRecord('elements', element.id)), ...changes]
}

/** The words that a look or a team has stand on every slide and that follow from the deck, by what they say. */
const fieldOf = (part: Element) => (part.kind === 'text' ? part.field : undefined)

/**
 * A master's parts: what the theme's look, or the house, has stand on every slide, and whatever else a team has put there. Where both say
 * the same, the look's own stands; where the look's would lie on something of the team's, the team's does.
 */
function masterParts(deck: Deck, master: Id): Change[] {
  const theme = deckTheme(deck)
  const page = pageOf(deck)
  const look = lookOf(theme)
  const teams = elementsOf(deck, master).filter(part => !isStandingPart(part.id, master))
  const lies = (part: Element, other: Element) => !!part.box && !!other.box && overlap(boundsOf(part.box), boundsOf(other.box))
  const parts = look
    ? layoutParts(standingParts(look, theme, page), master).filter(
        part => !fieldOf(part) || !teams.some(other => fieldOf(other) !== fieldOf(part) && lies(part, other)),
      )
    : [masterRule(theme, page, master)]
  const told = new Set(parts.flatMap(part => fieldOf(part) ?? []))
  return replaceParts(deck, master, [...parts, ...teams.filter(part => !told.has(fieldOf(part)!))])
}

/** The parts of masters, and of the layouts that families have placed, as the look has them that the deck's theme wears. */
export function standLayouts(deck: Deck): Change[] {
  const changes = mastersOf(deck).flatMap(master => (master.theme ? [] : masterParts(deck, master.id)))
  const mastered = applyChanges(deck, changes)
  for (const layout of layoutsOf(deck)) {
    const family = familyNamed(layout.family)
    if (!family || deck.masters[layout.master]?.theme) continue
    const { ground, without } = standingOf(mastered, family, layout)
    changes.push(setRecord('layouts', layout.id, { ground, without, backdrop: undefined }))
    const own = elementsOf(deck, layout.id).filter(part => !part.placeholder && !isStandingPart(part.id, layout.id))
    changes.push(...replaceParts(deck, layout.id, [...layoutParts(layoutPlaces(deck, family, layout), layout.id), ...own]))
  }
  return changes
}

/** Slides whose items are written as the layouts have them by now; `before` is the deck before these were placed. */
export function standSlides(before: Deck, deck: Deck, context: EditContext): Change[] {
  const changes: Change[] = []
  let now = deck
  for (const slide of slidesOf(deck)) {
    if (!familyNamed(deck.layouts[slide.layout]?.family ?? '') || slide.board) continue
    const relevelled = bulletsAfter(before, now, slide.id)
    const levelled = applyChanges(now, relevelled)
    const moved = setLayout(levelled, { slide: slide.id, layout: slide.layout }, context)
    changes.push(...relevelled, ...moved)
    now = applyChanges(levelled, moved)
  }
  return changes
}

/** What is put on with a look beside its compositions, and what of the deck's own stays. */
export interface LookWish {
  /** A name of core/looks; null is the house's own layouts. */
  look: string | null
  /** What its ornaments are reckoned from; 0 to 9999. */
  seed: number
  ground: 'light' | 'deep'
  /** The deck's own colours and fonts stay in place of the look's. */
  ownColors?: boolean
  ownFonts?: boolean
  /** How slides come stays as it is; absent, they come as the look has it. */
  ownTransitions?: boolean
}

/** A deck's colours on a light or a deep ground: ink and ground change places where it is the other one. */
function ownPalette(theme: Theme, ground: LookWish['ground']): Theme['palette'] {
  const { palette } = theme
  const isDeep = paletteOn(palette, '#101418').ground === palette.ground
  if (isDeep === (ground === 'deep')) return palette
  const turned = paletteOn(palette, ground === 'deep' ? hexOf({ role: 'ink' }, palette) : '#ffffff')
  return turned === palette ? { ...palette, ground: palette.ink, ink: palette.ground } : turned
}

/** The theme of a deck once a look is put on it. */
export function themeWith(deck: Deck, wish: LookWish): Theme {
  const theme = deckTheme(deck)
  const look: Look | undefined = lookNamed(wish.look ?? undefined)
  const { backdrop: _, look: __, ...kept } = theme
  const size = infoOf(deck).size
  const fonts = wish.ownFonts ? theme.fonts : (look ?? houseTheme).fonts
  const palette = wish.ownColors ? ownPalette(theme, wish.ground) : look ? look[wish.ground] : houseTheme.palette
  if (!look) return { ...kept, palette, fonts, textStyles: { ...theme.textStyles, ...houseTheme.textStyles }, margin: houseTheme.margin }
  return {
    ...kept,
    name: look.label,
    palette,
    fonts,
    textStyles: { ...theme.textStyles, ...stylesOf(look, size) },
    ground: { role: 'ground' },
    margin: look.margin * (Math.min(size.width, size.height) / 1080),
    look: { name: look.name, seed: wish.seed },
  }
}

/** Slides come as a look has them come, but the first, which follows none. */
export const comeAs = (deck: Deck, look: Look): Change[] =>
  slidesOf(deck)
    .slice(1)
    .map(slide => {
      const opens = slide.chapter !== undefined || deck.layouts[slide.layout]?.family === 'chapter'
      const transition = look.transitions[opens ? 'chapter' : 'within']
      return setRecord('slides', slide.id, { transition: { ...transition, options: alongLines(pageOf(deck), transition.options ?? {}) } })
    })

/**
 * Puts a look on a deck: colours, fonts and sizes of words, what stands on every slide, how slides come, and each layout as the look
 * composes it. Slides keep their words, layouts and beats; what was put somewhere by hand stays there.
 */
export function putLook(deck: Deck, wish: LookWish, context: EditContext): Change[] {
  const changes: Change[] = [putRecord('theme', themeWith(deck, wish))]
  // Slides that another look had composed are composed by this one, as all others.
  for (const layout of layoutsOf(deck))
    if (layout.look !== undefined)
      changes.push(setRecord('layouts', layout.id, { look: undefined, name: familyNamed(layout.family)?.label ?? layout.name }))
  changes.push(...standLayouts(applyChanges(deck, changes)))
  changes.push(...standSlides(deck, applyChanges(deck, changes), context))
  const look = lookNamed(wish.look ?? undefined)
  return look && !wish.ownTransitions ? [...changes, ...comeAs(deck, look)] : changes
}
