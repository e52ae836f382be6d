/** The format version that this code writes. A file of a higher version is refused, a lower one is upgraded. */
export const formatVersion = 2

type Raw = Record<string, unknown>

/** `upgrades[n]` makes a deck of version n one of version n + 1. Pure; works on plain JSON before the schema is checked. */
export const upgrades: Readonly<Record<number, (deck: Raw) => Raw>> = {
  // Version 1 kept no audience and no states.
  1: deck => {
    const info = (deck.info as Raw | undefined)?.info as Raw | undefined
    return { ...deck, info: { info: { audience: 'public', ...info, format: 2 } }, states: deck.states ?? {}, sounds: deck.sounds ?? {} }
  },
}
