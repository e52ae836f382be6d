import { apartBy, hexOf } from '../color'
import { roleNames, type AnyRecord, type Change, type Color, type Deck, type Id, type Role } from '../deck'
import { eachLookRecord, eachObject, exchangeEverywhere, whereIs, type LookTable } from './walk'

/** A place where a colour stands. */
export interface ColorPlace {
  table: LookTable
  id: Id
  /** What it is on: the element's name, or what kind of thing. */
  name: string
  /** “slide 3”, “layout Chapter”. */
  where: string
  slide: Id | null
  /** How often it stands in this record. */
  count: number
}

/** A colour in use and all places where it stands. */
export interface ColorUse {
  /** Null where it is a value of its own and no role. */
  role: Role | null
  /** #rrggbb, small letters. */
  hex: string
  places: ColorPlace[]
  count: number
}

const isRole = (value: Record<string, unknown>): value is { role: Role, alpha?: number, tint?: number } => typeof value.role === 'string' && (roleNames as readonly string[]).includes(value.role)
const isHex = (value: Record<string, unknown>): value is { hex: string, alpha?: number } => typeof value.hex === 'string' && /^#[0-9a-f]{6}$/i.test(value.hex)

/** The palette and names are not places where a colour is used. */
const notPlaces = ['palette', 'name', 'id']

function colorsIn(record: AnyRecord, found: (key: string) => void) {
  for (const [field, value] of Object.entries(record)) {
    if (notPlaces.includes(field)) continue
    eachObject(value, inner => {
      if (isHex(inner)) found(inner.hex.toLowerCase())
      else if (isRole(inner)) found(inner.role)
    })
  }
}

/** Every colour that a deck uses, those that are no roles first, then by how often; each with all places where it stands. */
export function colorsInUse(deck: Deck): ColorUse[] {
  const uses = new Map<string, ColorUse>()
  const palette = deck.theme.theme!.palette
  eachLookRecord(deck, (table, record) => {
    const counts = new Map<string, number>()
    colorsIn(record, key => counts.set(key, (counts.get(key) ?? 0) + 1))
    for (const [key, count] of counts) {
      const role = key.startsWith('#') ? null : (key as Role)
      let use = uses.get(key)
      if (!use) uses.set(key, (use = { role, hex: role ? palette[role] : key, places: [], count: 0 }))
      const { words, slide } = whereIs(deck, table, record)
      const name = 'name' in record && table !== 'theme' ? String(record.name) : table === 'theme' ? 'Text styles and ground' : table === 'slides' ? 'Ground' : table
      use.places.push({ table, id: record.id, name, where: words, slide, count })
      use.count += count
    }
  })
  return [...uses.values()].sort((a, b) => Number(a.role !== null) - Number(b.role !== null) || b.count - a.count)
}

type From = { hex: string } | { role: Role }
const matches = (from: From) => (value: Record<string, unknown>) => ('hex' in from ? isHex(value) && value.hex.toLowerCase() === from.hex.toLowerCase() : isRole(value) && value.role === from.role)

/**
 * Replaces a colour in all places. Its transparency stays; a tint stays where one role takes another's place, and goes
 * where a value does.
 */
export function replaceColor(deck: Deck, wish: { from: From, to: Color }): Change[] {
  const match = matches(wish.from)
  return exchangeEverywhere(deck, value => {
    if (!match(value)) return undefined
    const alpha = value.alpha === undefined ? {} : { alpha: value.alpha }
    const tint = value.tint !== undefined && 'role' in wish.to ? { tint: value.tint } : {}
    return { ...wish.to, ...tint, ...alpha }
  }, notPlaces)
}

/** The role whose colour is nearest to a value (#rrggbb), and how far it is away (OKLab). */
export function nearestRole(hex: string, deck: Deck): { role: Role, distance: number } {
  const palette = deck.theme.theme!.palette
  return roleNames.map(role => ({ role, distance: apartBy(hex, hexOf({ role }, palette)) })).sort((a, b) => a.distance - b.distance)[0]!
}

/** Makes a value (#rrggbb) the colour of a role and lets all places of it name the role. */
export function turnIntoRole(deck: Deck, wish: { hex: string, role: Role }): Change[] {
  const theme = deck.theme.theme!
  return [
    ...replaceColor(deck, { from: { hex: wish.hex }, to: { role: wish.role } }),
    { do: 'set', table: 'theme', id: 'theme', fields: { palette: { ...theme.palette, [wish.role]: wish.hex.toLowerCase() } } },
  ]
}
