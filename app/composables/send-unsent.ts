import { useEventListener, useIntervalFn } from '@vueuse/core'
import { unsentDecks } from '../live/unsent'

const looksEvery = 30_000
const week = 7 * 24 * 3600 * 1000
let sending = false

/**
 * Sends what was written in decks that are not open any more: while the server could not be reached, in a page that was closed since.
 * What could not be sent for a week is told. The live document is loaded only where there is something to send.
 */
export function useSendUnsent() {
  const { user } = useUserSession()
  const told = new Set<string>()

  async function sendAll() {
    const person = user.value?.id
    if (!person || sending) return
    sending = true
    try {
      const waiting = await unsentDecks(person)
      if (!waiting.length) return
      const { isOpen, sendUnsent } = await import('../live/send-unsent')
      for (const { deck, title, since } of waiting) {
        if (isOpen(deck)) continue
        if (await sendUnsent(person, deck)) notify(`What you wrote in “${title}” while the server was away is saved.`)
        else if (Date.now() - since.getTime() > week && !told.has(deck)) {
          told.add(deck)
          tellOfUnsent(deck, title, since)
        }
      }
    } finally {
      sending = false
    }
  }

  function tellOfUnsent(deck: string, title: string, since: Date) {
    const day = since.toLocaleDateString(undefined, { day: 'numeric', month: 'long' })
    useToast().add({
      title: `What you wrote in “${title}” on ${day} could not be sent for a week. It is still kept in this browser.`,
      color: 'warning',
      duration: 0,
      actions: [{ label: 'Open the deck', onClick: () => void navigateTo(`/decks/${deck}`) }],
    })
  }

  void sendAll()
  useIntervalFn(() => void sendAll(), looksEvery)
  useEventListener('online', () => void sendAll())
  watch(user, () => void sendAll())
}
