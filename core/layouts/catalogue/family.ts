import type { Box, Color, Element, TextElement, Theme } from '../../deck'
import { layoutText, roughMeasurer, textRoom } from '../../text'

/** A place that a layout keeps, as the element its slides inherit from. */
export type Place = Element extends infer E ? (E extends Element ? Omit<E, 'id' | 'owner' | 'order'> & { box: Box, placeholder: string } : never) : never

export interface LayoutRoom {
  theme: Theme
  size: { width: number, height: number }
}

/** A family of layouts: where it keeps its places, and how many items stand in them at the least readable size. */
export interface LayoutFamily {
  name: string
  label: string
  places(room: LayoutRoom): Place[]
  items(room: LayoutRoom): number
  /** The ground of its slides where it is not the master's. */
  ground?: Color
}

/** A text place. */
export const textPlace = (placeholder: string, name: string, style: string, box: Omit<Box, 'angle'>, more: Partial<Pick<TextElement, 'vertical' | 'color' | 'align' | 'prompt'>> = {}): Place => ({
  kind: 'text', placeholder, name, style, box: { ...box, angle: 0 }, text: { type: 'doc', content: [{ type: 'paragraph' }] }, ...more,
})

/** How many one-line items a text place holds at its style's least size. */
export function linesIn(place: Place, theme: Theme): number {
  const style = theme.textStyles[(place as { style?: string }).style ?? 'body']!
  const least = { ...style, size: style.leastSize }
  const one = layoutText({ type: 'doc', content: [{ type: 'paragraph', attrs: { level: 1 }, content: [{ type: 'text', text: 'x' }] }] }, least, theme.fonts, 1e6, roughMeasurer).height
  const { height } = textRoom({ ...place, pinned: false } as never)
  const spacing = least.paragraphSpacing * least.size
  return Math.max(1, Math.floor((height + spacing) / (one + spacing)))
}

/** The usual place of a title at the head of a slide. */
export const headTitle = ({ theme, size }: LayoutRoom) =>
  textPlace('title', 'Title', 'heading', { x: theme.margin, y: theme.margin * 0.8, width: size.width - 2 * theme.margin, height: 130 }, { vertical: 'middle', prompt: 'What this slide says' })

/** What is left below a head title. */
export const below = ({ theme, size }: LayoutRoom) => {
  const y = theme.margin * 0.8 + 130 + 40
  return { x: theme.margin, y, width: size.width - 2 * theme.margin, height: size.height - y - theme.margin }
}
