import { contrast, hexOf } from '../color'
import type { PictureElement } from '../model'
import { initialsOf } from '../values'
import { accentAt, filled } from './colors'
import type { LayoutRoom } from './family'

/** What stands in a portrait's place while it has no picture: the initials of a name on an accent, the same for the same index. */
export function initialsIn(room: LayoutRoom, name: string | undefined, index = 0): Pick<PictureElement, 'instead'> {
  const words = initialsOf(name ?? '')
  if (!words) return {}
  const fill = filled(room, accentAt(index + 1))
  const { palette } = room.theme
  const hex = hexOf(fill, palette)
  const role = contrast(palette.ground, hex) >= contrast(palette.ink, hex) ? ('ground' as const) : ('ink' as const)
  return { instead: { words, fill, color: { role } } }
}
