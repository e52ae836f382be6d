import type { Change } from '#core/model'

/**
 * Follows a pressed pointer with changes that are tried out as it moves, so that whatever shows the deck shows them at once; they
 * become one edit when it lets go, and nothing when it gives up. `at` says what a place of the pointer means, null for nothing yet.
 * `end` is told whether there was an edit.
 */
export function tryWhileDragged(
  event: PointerEvent,
  label: string | ((changes: readonly Change[]) => string),
  at: (move: PointerEvent) => readonly Change[] | null,
  end: (made: boolean, given: boolean) => void = () => {},
) {
  const store = useDeck()
  followPointer(
    event,
    move => {
      store.tried = at(move)
    },
    given => {
      const changes = store.tried ?? []
      store.tried = null
      const made = given && changes.length > 0
      if (made) store.edit(typeof label === 'string' ? label : label(changes), changes)
      end(made, given)
    },
  )
}
