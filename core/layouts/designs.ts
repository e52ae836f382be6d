import { dressed, lookNamed, looks, type Look } from '../looks'
import { applyChanges, deckTheme, infoOf, setRecord, slidesOf, type Change, type Deck, type EditContext, type Slide } from '../model'
import { plainLetters, type Id } from '../values'
import { familyNamed, type LayoutFamily } from '../families'
import { houseTheme } from './house-theme'
import { isOnlyWords, outlineOf, wordsAt } from './outline'
import { picturesWanted, putPictures, type FoundPicture } from './item-pictures'
import { propose, surroundingsIn } from './propose'
import { itemCount, roomFor, type Ruler } from './room'
import { layOutAs } from './set-layout'
import { putLook, type LookWish } from './wear-look'
import { richLines } from './write-lines'

/** A look, and why it suits a deck's words: one or two sentences. */
export interface LookChoice {
  look: Look
  reason: string
}

const wordsIn = (text: string) => plainLetters(text).match(/[\p{L}\p{N}]+/gu) ?? []
const known = new Map(looks.map(look => [look.name, new Set(look.suits.words.split(' '))]))

/** The different words of a deck that a look's subject knows, as they are written there, in order. */
function subjectWords(written: readonly string[], look: Look): string[] {
  const found = new Map<string, string>()
  for (const text of written)
    for (const word of text.match(/[\p{L}\p{N}\p{M}]+/gu) ?? []) {
      const plain = plainLetters(word)
      if (known.get(look.name)!.has(plain) && !found.has(plain)) found.set(plain, word)
    }
  return [...found.values()]
}

function reasonFor(look: Look, found: readonly string[], length: number): string {
  const [one, two] = found.map(word => `“${word}”`)
  const more = found.length - 2
  const said =
    more > 0
      ? `${one}, ${two} and ${more} more ${more === 1 ? 'word' : 'words'} are about ${look.suits.about}.`
      : two
        ? `${one} and ${two} are about ${look.suits.about}.`
        : one
          ? `${one} is about ${look.suits.about}.`
          : length && length <= look.suits.line[1] && length >= look.suits.line[0]
            ? `${length === 1 ? 'One word' : `${length} words`} a line, which it sets well.`
            : ''
  return `${said} ${look.explains}`.trim()
}

/** All looks, the one that suits a deck's words best first: by its subject, the length of its lines, and what it is shown as. */
export function rankLooks(deck: Deck): LookChoice[] {
  const outlines = slidesOf(deck).map(slide => outlineOf(deck, slide))
  const lines = outlines.flatMap(outline => outline.lines.map(line => line.text))
  const written = outlines.flatMap(outline => [outline.title, ...outline.lines.map(line => line.text)])
  const length = lines.length ? Math.round(lines.reduce((sum, line) => sum + wordsIn(line).length, 0) / lines.length) : 0
  const { purpose } = infoOf(deck)
  return looks
    .map((look, index) => {
      const { line, purposes } = look.suits
      const found = subjectWords(written, look)
      const off = length < line[0] ? line[0] - length : length > line[1] ? length - line[1] : 0
      const score = Math.min(6, found.length) * 0.15 - off * 0.06 + (purposes?.includes(purpose) ? 0.2 : 0) - index * 0.001
      return { look, score, reason: reasonFor(look, found, length) }
    })
    .sort((a, b) => b.score - a.score)
    .map(({ look, reason }) => ({ look, reason }))
}

/**
 * Three looks to show beside each other: of those left the one that suits best, the best that composes in another way, and the calmest.
 * `round` 0 is the first three; each further one takes three of those that the rounds before did not show, and begins anew at the end.
 */
export function threeLooks(deck: Deck, round = 0): LookChoice[] {
  let left = rankLooks(deck)
  let three: LookChoice[] = []
  const rounds = Math.ceil(left.length / 3)
  for (let at = 0; at <= round % rounds; at++) {
    const [best] = left
    if (!best) break
    const other = left.find(({ look }) => look.suits.manner !== best.look.suits.manner) ?? left[1]
    const rest = left.filter(choice => choice !== best && choice !== other)
    // Of those that suit about as well, the calmest.
    const calmest = [...rest.slice(0, 5)].sort((a, b) => b.look.suits.calm - a.look.suits.calm)[0]
    three = [best, other, calmest].filter(choice => choice !== undefined)
    left = left.filter(choice => !three.includes(choice))
  }
  return three
}

/** How one slide stands in a deck that is proposed. */
export interface SlideDesign {
  slide: Id
  /** The layout's name; where it was kept, the one that the slide has. */
  label: string
  /** null where the slide keeps its layout. */
  family: LayoutFamily | null
  /** Why it keeps its layout: it was chosen by hand, or it holds more than words. */
  keeps?: 'chosen' | 'content'
  /** Why this layout, of these words. */
  reason: string
  /** Items or lines that the layout has room for, and that there are; null where nothing is counted. */
  room: number | null
  count: number
}

/** A whole deck as one look would have it. */
export interface Design {
  look: Look
  slides: readonly SlideDesign[]
  /** What makes the deck that; `deck` is how it is then. */
  changes: readonly Change[]
  deck: Deck
}

/** Why a slide's layout stays whatever is proposed; undefined where it is one that words are put into. */
export function keepsLayout(deck: Deck, slide: Slide): SlideDesign['keeps'] {
  if (slide.layoutChosen) return 'chosen'
  const isPlain = !slide.board && !slide.rows && familyNamed(deck.layouts[slide.layout]?.family ?? '') !== undefined
  return isPlain && isOnlyWords(deck, slide.id) ? undefined : 'content'
}

/** Proposals that come close to the likeliest, and how many of them are looked at for room. */
const near = 0.8
const looked = 5

/** The likeliest layout that has room for a slide's lines; where none has, the likeliest. */
function familyFor(
  deck: Deck,
  at: { slide: Slide; index: number; count: number; before: readonly string[]; pictured: boolean },
  ruler: Ruler,
): Omit<SlideDesign, 'slide' | 'label'> & { family: LayoutFamily } {
  const ranked = propose(wordsAt(deck, outlineOf(deck, at.slide), at.index, at.count), {
    ...surroundingsIn(deck, at.before),
    look: deckTheme(ruler.deck).look?.name,
    pictured: at.pictured,
  })
  const likeliest = ranked[0]!
  const lines = richLines(deck, at.slide.id)
  const judged = ranked
    .slice(0, looked)
    .filter(proposal => proposal.score >= likeliest.score * near)
    .map(({ family, reason }) => ({ family, reason, count: itemCount(family, lines) }))
  for (const { family, reason, count } of judged) {
    const room = count ? roomFor(family, lines, ruler) : null
    if (room === null || room >= count) return { family, reason, room, count }
  }
  const { family, reason, count } = judged[0]!
  return { family, reason, count, room: roomFor(family, lines, ruler) }
}

/** A look put on for proposals: a team's own colours and fonts stay, the house's and those of looks give way. */
export function wishFor(deck: Deck, look: string, seed: number): LookWish {
  const { palette, fonts } = deckTheme(deck)
  const plain = [houseTheme, ...looks.flatMap(({ light, deep, fonts }) => [light, deep].map(palette => ({ palette, fonts })))]
  return {
    look,
    seed,
    ground: lookNamed(look)?.suits.ground ?? 'light',
    ownColors: !plain.some(theme => JSON.stringify(theme.palette) === JSON.stringify(palette)),
    ownFonts: !plain.some(theme => JSON.stringify(theme.fonts) === JSON.stringify(fonts)),
  }
}

/**
 * Designs a whole deck in a look, slide by slide: it hands over what there is after each, those that come later still in the layouts they
 * have, and ends with the whole. Layouts that were chosen
 * by hand, and slides that hold more than words, keep theirs; of all others each gets the likeliest layout that has room for its lines and
 * is not the third of its kind in a run. `pictures` are those that the team has of what slides say, best first: plain words stand beside
 * one where the slides before have none, as a proposal.
 */
export function* designing(
  deck: Deck,
  wish: LookWish & { look: string },
  context: EditContext,
  measurer: Ruler['measurer'],
  pictures: ReadonlyMap<Id, readonly FoundPicture[]> = new Map(),
): Generator<Design, Design> {
  const look = lookNamed(wish.look)
  if (!look) throw new Error(`There is no look “${wish.look}”.`)
  const changes = putLook(deck, wish, context)
  let now = applyChanges(deck, changes)
  const ruler = { deck: now, measurer }
  const slides = slidesOf(deck)
  const designs: SlideDesign[] = []
  const before: string[] = []
  for (const [index, slide] of slides.entries()) {
    const keeps = keepsLayout(deck, slide)
    const own = deck.layouts[slide.layout]
    if (keeps) {
      designs.push({ slide: slide.id, label: own?.name ?? '', family: null, keeps, reason: '', room: null, count: 0 })
      before.push(own?.family ?? '')
    } else {
      const found = pictures.get(slide.id) ?? []
      const { family, ...design } = familyFor(deck, { slide, index, count: slides.length, before, pictured: !!found.length }, ruler)
      designs.push({ slide: slide.id, label: dressed(family, deckTheme(now)).label, family, ...design })
      before.push(family.name)
      if (family.name !== own?.family) {
        const laid = layOutAs(now, { slide: slide.id, family }, context)
        changes.push(...laid)
        now = applyChanges(now, laid)
      }
      if (family.pictured && found.length) {
        const places = picturesWanted(now, slide.id)
        const put = putPictures(
          now,
          places,
          places.map(() => found),
        )
        changes.push(...put)
        now = applyChanges(now, put)
      }
    }
    yield { look, slides: [...designs], changes: [...changes], deck: now }
  }
  return { look, slides: designs, changes, deck: now }
}

/** What was taken for each slide, of several designs of one deck: the look whose design it is. */
export type Taken = ReadonlyMap<Id, string>

/** The look that most slides were taken in; of several, the one of the earliest slide. */
export function mainLook(deck: Deck, taken: Taken): string | undefined {
  const counts = new Map<string, number>()
  for (const { id } of slidesOf(deck)) {
    const look = taken.get(id)
    if (look !== undefined) counts.set(look, (counts.get(look) ?? 0) + 1)
  }
  return [...counts].reduce<[string, number] | undefined>((most, one) => (!most || one[1] > most[1] ? one : most), undefined)?.[0]
}

/**
 * What makes a deck one of several designs, or slides from several: theme, fonts, footer and how slides come are those of the look that
 * most slides were taken in; a slide from another keeps how that composes it.
 */
export function takeDesigns(deck: Deck, input: { designs: readonly Design[]; taken: Taken }, context: EditContext): Change[] {
  const { designs, taken } = input
  const main = designs.find(({ look }) => look.name === mainLook(deck, taken))
  if (!main) return []
  const changes = [...main.changes]
  let now = main.deck
  for (const slide of slidesOf(deck)) {
    const look = taken.get(slide.id)
    if (look === undefined || look === main.look.name) continue
    const design = designs.find(other => other.look.name === look)?.slides.find(other => other.slide === slide.id)
    const family = design?.family
    if (!family) continue
    const laid = layOutAs(now, { slide: slide.id, family, look }, context)
    changes.push(...laid)
    now = applyChanges(now, laid)
  }
  return changes
}

/** Marks that a slide's layout was chosen by hand, or lets it be proposed again. */
export const chooseLayout = (deck: Deck, input: { slide: Id; chosen: boolean }): Change[] =>
  (deck.slides[input.slide]?.layoutChosen ?? false) === input.chosen
    ? []
    : [setRecord('slides', input.slide, { layoutChosen: input.chosen || undefined })]
