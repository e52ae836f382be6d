/**
 * Art directions: how layouts are composed, beyond their colours and fonts.
 *
 * @example
 * import { looks, lookNamed } from 'core/looks'
 *
 * lookNamed('soundings')?.label // → 'Soundings'
 * looks.length > 1 // → true
 */
import { familyNamed, settled, type LayoutFamily, type LayoutRoom, type Page, type Place } from '../families'
import type { Layout, TextStyle, Theme } from '../model'
import { memoByRecords } from '../values'
import { breakwater } from './catalogue/breakwater'
import { foghorn } from './catalogue/foghorn'
import { hillLines } from './catalogue/hill-lines'
import { lightwell } from './catalogue/lightwell'
import { logbook } from './catalogue/logbook'
import { manifest } from './catalogue/manifest'
import { minuteBook } from './catalogue/minute-book'
import { nightChart } from './catalogue/night-chart'
import { scissors } from './catalogue/scissors'
import { signpost } from './catalogue/signpost'
import { soundings } from './catalogue/soundings'
import { twoInks } from './catalogue/two-inks'
import { directed, placedOn } from './direction'
import type { Dress, Look } from './look'

export { alongLines, mirroredFields, pageOf } from './direction'
export { layoutParts } from './parts'
export type { Dress, Look, Suits } from './look'

/** The catalogue: adding a look is adding a file and a line. */
export const looks: readonly Look[] = [
  soundings,
  signpost,
  lightwell,
  minuteBook,
  scissors,
  nightChart,
  logbook,
  twoInks,
  breakwater,
  hillLines,
  manifest,
  foghorn,
]

const byName = new Map(looks.map(look => [look.name, look]))
/** The look of a name; undefined where there is none such, and layouts stand as their families have them. */
export const lookNamed = (name: string | undefined): Look | undefined => (name === undefined ? undefined : byName.get(name))
/** The look that a theme wears. */
export const lookOf = (theme: Theme): Look | undefined => lookNamed(theme.look?.name)

/** A composition that is at its best with so many items holds twice as many; more stand in a grid. */
const heldOver = 2

/** Arranges items as a look does as long as it can hold them, else in the grid that a family without a look would take. */
function holding(family: LayoutFamily, dress: Dress): Pick<LayoutFamily, 'arrange'> {
  const { arrange } = dress
  const grid = family.split === 'number' ? 'numbers-grid' : family.content === 'items' ? 'cards-grid' : 'list-columns'
  const plain = familyNamed(grid)!.arrange!
  const most = heldOver * (dress.best ?? family.best)[1]
  return arrange ? { arrange: (items, area, room) => (items.length > most ? plain : arrange)(items, area, room) } : {}
}

/** A family as a look has it; its slides stand on the ground of all, unless the look says otherwise. */
const worn = memoByRecords(
  (family: LayoutFamily, look: Look) => [family, look],
  ({ ground: _, ...family }, look): LayoutFamily => {
    const dress = look.dresses[family.name]
    return dress ? { ...family, ...dress, ...holding(family, dress) } : alone(family)
  },
  { keep: 400 },
)
/** A family as it stands where no look composes it: what it arranges is settled in its area. */
const alone = memoByRecords(
  (family: LayoutFamily) => [family],
  (family): LayoutFamily => {
    const { arrange } = family
    return arrange ? { ...family, arrange: (items, area, room) => settled(arrange(items, area, room), items, area, room) } : family
  },
)
/** A theme as a layout has it that another look composes: in its own colours, fonts and sizes, arranged as that look would. */
const composed = memoByRecords(
  (theme: Theme, look: string) => [theme, look],
  (theme, look): Theme => ({ ...theme, look: { name: look, seed: theme.look?.seed ?? 0 } }),
  { keep: 40 },
)
/** The theme that a layout is composed in: another look's than the theme wears where the layout says so. */
export const themeComposing = (theme: Theme, layout: Pick<Layout, 'look'> | undefined): Theme =>
  layout?.look === undefined || layout.look === theme.look?.name ? theme : composed(theme, layout.look)
/** A family as a theme's look has it: the family itself where the theme wears none. */
export const dressed = (family: LayoutFamily, theme: Theme): LayoutFamily => {
  const look = lookOf(theme)
  return directed(look ? worn(family, look) : alone(family))
}
/** Whether a look composes a family itself. */
export const isDressed = (family: LayoutFamily, theme: Theme) => lookOf(theme)?.dresses[family.name] !== undefined
/** The family of a name as a theme's look has it. */
export const familyIn = (theme: Theme, name: string): LayoutFamily | undefined => {
  const family = familyNamed(name)
  return family && dressed(family, theme)
}

const framesOf = memoByRecords(
  (look: Look, theme: Theme, width: number, height: number) => [look, theme, width, height],
  (look, theme, width, height) => look.frames({ theme, size: { width, height } }),
  { keep: 20 },
)
/** The room that families place a slide's words in. `ground` is the slide's, #rrggbb; absent, the theme's plain one. */
export function roomIn(theme: Theme, size: Page, ground?: string): LayoutRoom {
  const look = lookOf(theme)
  return {
    theme,
    size,
    ...(ground === undefined ? {} : { ground }),
    ...(look ? { frames: framesOf(look, theme, size.width, size.height) } : {}),
  }
}

/** What a look has stand on every slide of a page. */
export const standingParts = (look: Look, theme: Theme, page: Page): Place[] => placedOn(page, look.master(roomIn(theme, page)))

/** The styles of a look in a deck of a size. */
export function stylesOf(look: Look, size: LayoutRoom['size']): Record<string, TextStyle> {
  const unit = Math.min(size.width, size.height) / 1080
  const scaled = (px: number) => Math.max(4, Math.min(1000, Math.round(px * unit)))
  return Object.fromEntries(
    Object.entries(look.styles).map(([name, style]) => [
      name,
      {
        color: { role: 'ink' },
        align: 'left',
        bullet: { symbol: '•', color: { role: 'accent2' } },
        paragraphSpacing: 0.4,
        ...style,
        size: scaled(style.size),
        leastSize: scaled(style.leastSize),
        ...(style.mostSize === undefined ? {} : { mostSize: scaled(style.mostSize) }),
      } satisfies TextStyle,
    ]),
  )
}
