import { contrast, hexOf, type Palette } from '../color'
import { memoByRecords, type Color, type Role } from '../values'
import type { LayoutRoom } from './family'

const tints = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9]
const accents: readonly Role[] = ['accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6']

/** The accent of the thing at an index, going round. */
export const accentAt = (index: number): Role => accents[index % accents.length]!

/** A role moved no further from itself than it takes to stand out from `from` by `ratio` to 1. */
const apart = (room: LayoutRoom, role: Role, from: string, ratio: number): Color =>
  remembered(room.theme.palette, `${role} ${from} ${ratio}`, role, from, ratio)

const remembered = memoByRecords(
  (palette: Palette, words: string, _role: Role, _from: string, _ratio: number) => [palette, words],
  (palette, _words, role, from, ratio): Color => standingOut(palette, role, from, ratio),
  { keep: 400 },
)

function standingOut(palette: Palette, role: Role, from: string, ratio: number): Color {
  for (const tint of tints) {
    for (const signed of tint ? [-tint, tint] : [0]) {
      const color: Color = signed ? { role, tint: signed } : { role }
      if (contrast(hexOf(color, palette), from) >= ratio) return color
    }
  }
  return { role: 'ink' }
}

/** A role that words are read on in the colour of the ground. */
export const filled = (room: LayoutRoom, role: Role): Color => apart(room, role, room.theme.palette.ground, 4.6)

/** A role that words are read in on the slide's ground. */
export const inked = (room: LayoutRoom, role: Role): Color => apart(room, role, room.ground ?? room.theme.palette.ground, 4.6)

/** A breath of a role behind words. */
export const wash = (role: Role): Color => ({ role, alpha: 0.09 })

/** Lines and rules. */
export const faint: Color = { role: 'ink', alpha: 0.22 }
