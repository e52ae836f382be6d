import { Awareness } from 'y-protocols/awareness'
import * as Y from 'yjs'
import { connectDocument } from '../live/connection'
import { unsentDecks, unsentOf } from '../live/unsent'

const looksEvery = 30_000
const week = 7 * 24 * 3600 * 1000
const mostWait = 25_000

/**
 * Sends what was written in decks that are not open any more: while the server could not be reached, in a page that was closed since.
 * What could not be sent for a week is told.
 */
export default defineNuxtPlugin(() => {
  const { user } = useUserSession()
  const told = new Set<string>()
  let sending = false

  async function sendAll() {
    const person = user.value?.id
    if (!person || sending) return
    sending = true
    try {
      for (const { deck, title, since } of await unsentDecks(person)) {
        if (useDeck().id === deck) continue
        if (await send(person, deck)) tell(`What you wrote in “${title}” while the server was away is saved.`)
        else if (Date.now() - since.getTime() > week && !told.has(deck)) {
          told.add(deck)
          useToast().add({
            title: `What you wrote in “${title}” on ${since.toLocaleDateString(undefined, { day: 'numeric', month: 'long' })} could not be sent for a week. It is still kept in this browser.`,
            color: 'warning',
            duration: 0,
            actions: [{ label: 'Open the deck', onClick: () => void navigateTo(`/decks/${deck}`) }],
          })
        }
      }
    } finally {
      sending = false
    }
  }

  /** Opens a deck behind the scenes until all that this browser has of it is on disk; false where that could not be. */
  function send(person: string, deck: string): Promise<boolean> {
    const document = new Y.Doc()
    const awareness = new Awareness(document)
    awareness.setLocalState(null)
    const unsent = unsentOf(person, deck)
    return new Promise(resolve => {
      const end = (sent: boolean) => {
        clearTimeout(timer)
        connection.stop()
        document.destroy()
        resolve(sent)
      }
      const timer = setTimeout(end, mostWait, false)
      const connection = connectDocument(deck, document, awareness, unsent, {
        changed: status => {
          if (status.closed) end(false)
          else if (status.keptAt && status.kept) end(true)
        },
        refused: message => {
          warn(message)
          end(false)
        },
        noted: () => {},
        bounded: () => {},
      })
    })
  }

  void sendAll()
  setInterval(() => void sendAll(), looksEvery)
  addEventListener('online', () => void sendAll())
  watch(user, () => void sendAll())
})
