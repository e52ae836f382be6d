import { Awareness } from 'y-protocols/awareness'
import * as Y from 'yjs'
import { connectDocument } from './connection'
import { unsentOf } from './unsent'

/** How long, ms, a deck may take to be sent. */
const mostWait = 25_000

/** Whether a page of this browser has a deck open: it then sends by itself. */
export const isOpen = (deck: string) => useDeck().id === deck

/** Opens a deck behind the scenes until all that this browser has of it is on disk; false where that could not be. */
export function sendUnsent(person: string, deck: string): Promise<boolean> {
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
        notifyProblem(message)
        end(false)
      },
      noted: () => {},
      bounded: () => {},
    })
  })
}
