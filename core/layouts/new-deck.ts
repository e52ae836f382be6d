import {
  putRecord,
  setRecord,
  applyChanges,
  formatVersion,
  layoutsOf,
  textOf,
  type Deck,
  type EditContext,
  type Info,
  type Purpose,
  type Theme,
} from '../model'
import { addSlide } from '../edits'
import { pageOf } from '../looks'
import { orderLast } from '../values'
import { familyNamed } from '../families'
import { houseTheme } from './house-theme'
import { layoutIdOf, layoutRecords, masterRule } from './layout-record'

/** The layouts that a new deck begins with; others come in when a slide takes them. */
const opening = ['title', 'list', 'chart', 'picture', 'statement']

/** A new deck: a theme, a master with a rule at its foot, a few layouts, and one title slide. */
export function newDeck(
  input: { title: string; purpose: Purpose; language?: string; audience?: Info['audience']; size?: Info['size']; theme?: Theme },
  context: EditContext,
): Deck {
  const size = input.size ?? { width: 1920, height: 1080 }
  const theme = input.theme ?? houseTheme
  const empty: Deck = {
    info: {
      info: {
        id: 'info',
        format: formatVersion,
        title: input.title,
        purpose: input.purpose,
        language: input.language ?? 'en',
        audience: input.audience ?? 'public',
        size,
      },
    },
    theme: { theme },
    masters: { master: { id: 'master', order: 'a0', name: 'Master' } },
    layouts: {},
    slides: {},
    beats: {},
    cues: {},
    sounds: {},
    states: {},
    variants: {},
    elements: {},
  }
  const rule = masterRule(theme, pageOf(empty), 'master')
  const ruled = applyChanges(empty, [putRecord('elements', rule)])
  const furnished = opening.reduce(
    (deck, name) => applyChanges(deck, layoutRecords(deck, familyNamed(name)!, { master: 'master', order: orderLast(layoutsOf(deck)) })),
    ruled,
  )
  const opened = applyChanges(furnished, addSlide(furnished, { after: null, layout: layoutIdOf('title') }, context))
  const title = Object.values(opened.elements).find(element => element.placeholder === 'title' && opened.slides[element.owner])!
  return applyChanges(opened, [setRecord('elements', title.id, { text: textOf([input.title]) })])
}
