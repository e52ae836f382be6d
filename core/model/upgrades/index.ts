import { exchanged } from '../../values'

/** The format version that this code writes. A file of a higher version is refused, a lower one is upgraded. */
export const formatVersion = 3

type Raw = Record<string, unknown>

const infoOfRaw = (deck: Raw) => ((deck.info as Raw | undefined)?.info as Raw | undefined) ?? {}
/** The same with another version number. */
const as = (format: number, deck: Raw): Raw => ({ ...deck, info: { info: { ...infoOfRaw(deck), format } } })

/** What is set apart in a chart or a diagram was called “lit” up to version 2. */
const highlighted = (value: Raw): Raw | undefined => {
  if (!('lit' in value)) return
  const { lit, litColor, labels, ...rest } = value
  return {
    ...rest,
    highlighted: lit,
    ...(litColor !== undefined ? { highlightColor: litColor } : {}),
    ...(labels !== undefined ? { labels: labels === 'lit' ? 'highlighted' : labels } : {}),
  }
}

/**
 * What an object within records of version n becomes in version n + 1; undefined where it stays. For whole decks, and for what was copied
 * from one.
 */
const within: Readonly<Record<number, (value: Raw) => Raw | undefined>> = { 2: highlighted }

/** `upgrades[n]` makes a deck of version n one of version n + 1. Pure; works on plain JSON before the schema is checked. */
export const upgrades: Readonly<Record<number, (deck: Raw) => Raw>> = {
  // Version 1 kept no audience and no states.
  1: deck => ({
    ...as(2, { ...deck, info: { info: { audience: 'public', ...infoOfRaw(deck) } } }),
    states: deck.states ?? {},
    sounds: deck.sounds ?? {},
  }),
  2: deck => as(3, exchanged(deck, within[2]!) as Raw),
}

/** The format version of a deck as plain JSON; NaN where it says none. */
export const formatOf = (deck: Raw) => Number(infoOfRaw(deck).format)

/** A deck of any known version, 1 or later, as plain JSON of the present one; the very same where it is of that. */
export function upgraded(deck: Raw): Raw {
  let next = deck
  while (formatOf(next) < formatVersion) next = upgrades[formatOf(next)]!(next)
  return next
}

/** What was copied from a deck of a version, as it is copied from one of the present; the very same where nothing differs. */
export function upgradedPart(part: unknown, format: number): unknown {
  let next = part
  for (let version = format; version < formatVersion; version++) if (within[version]) next = exchanged(next, within[version]!)
  return next
}
