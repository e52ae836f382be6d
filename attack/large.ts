import { putRecord, setRecord, applyChanges, slidesOf, textOf, type Change } from '../core/model'
import { packDeck } from '../core/formats/deck-file'
import { applyToDocument } from '../core/live'
import { addSlide } from '../core/edits'
import { newDeck } from '../core/layouts'
import { cookieOf, editDeck } from '../tests/support/live'
import { address, pause, whileAsked, type Attack } from './attack'

/** A deck file of so many slides with so many texts on each. */
function deckFile(slides: number, texts: number): Uint8Array {
  let count = 0
  const context = { id: () => `l${count++}` }
  let deck = newDeck({ title: 'Large', purpose: 'talk' }, context)
  for (let index = 1; index < slides; index++)
    deck = applyChanges(deck, addSlide(deck, { after: slidesOf(deck).at(-1)!.id, layout: 'layout-list' }, context))
  const changes = slidesOf(deck).flatMap(slide =>
    Array.from({ length: texts }, (_, index): Change =>
      putRecord('elements', {
        id: context.id(),
        owner: slide.id,
        kind: 'text',
        name: `Text ${index}`,
        order: `b0${index % 10}${index}5`,
        text: textOf([`Boats leave at ${index}`]),
        box: { x: index * 10, y: 400, width: 300, height: 60, angle: 0 },
      }),
    ),
  )
  return packDeck({ deck: applyChanges(deck, changes), tables: [], media: [] })
}

export const largeDecks: Attack = {
  name: 'large',
  about: 'decks as large as they come are brought, opened and written in; how long others wait meanwhile',
  async run(times) {
    const failures: string[] = []
    const cookie = await cookieOf()
    const file = deckFile(times(300), 30)
    let id = ''
    const brought = await whileAsked(async () => {
      const answer = await fetch(address('/api/decks/file'), {
        method: 'POST',
        headers: { cookie, 'content-type': 'application/octet-stream', connection: 'close' },
        body: file as BodyInit,
      })
      if (answer.ok) id = ((await answer.json()) as { id: string }).id
      else failures.push(`bringing it answered ${answer.status}`)
    })
    const opened = await whileAsked(async () => {
      const editor = await editDeck(id)
      await pause(500)
      if ((await editor.change(document => applyToDocument(document, [setRecord('info', 'info', { title: 'Larger' })]))) !== true)
        failures.push('a change of it was not kept')
      editor.leave()
    })
    return {
      tried: 2,
      failures,
      figures: `others waited at most ${brought.slowest} ms while it was brought, ${opened.slowest} ms while it was opened and written in`,
    }
  },
}
