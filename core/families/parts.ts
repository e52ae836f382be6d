import type { TextElement } from '../model'
import type { Color } from '../values'
import { filled } from './colors'
import { shapePlace, slot, textPlace, type Frame, type Item, type LayoutRoom, type Place } from './family'
import { around, splitDown } from './geometry'

export interface CellLook {
  /** Text styles of what leads and of what follows. */
  lead?: string
  text?: string
  /** The share of the text style's size that what follows is set in. */
  textScale?: number
  leadColor?: Color
  align?: TextElement['align']
  vertical?: TextElement['vertical']
  /** The share of the frame's height that the lead takes where text follows. */
  share?: number
  /** What follows stands above what leads. */
  turned?: boolean
}

/** Own size of a text that is set in a share of its style. */
export const scaled = ({ theme }: LayoutRoom, style: string, factor: number) => {
  const known = theme.textStyles[style] ?? theme.textStyles.body
  return known && factor !== 1 ? { size: Math.max(known.leastSize, Math.round(known.size * factor)) } : {}
}

/** What leads and what follows of one item in a frame, one above the other; either takes it all where the other is missing. */
export function cell(room: LayoutRoom, path: number | string, item: Item, frame: Frame, name: string, look: CellLook = {}): Place[] {
  const { lead = 'lead', text = 'body', textScale = 0.8, leadColor, align, vertical, share = 0.34, turned = false } = look
  const both = item.lead !== undefined && item.text !== undefined
  const [first, second] = splitDown(frame, frame.height * (turned ? 1 - share : share), 12)
  const [leadFrame, textFrame] = turned ? [second, first] : [first, second]
  const places: Place[] = []
  if (item.lead !== undefined) {
    const placed = both ? (turned ? 'top' : 'bottom') : (vertical ?? 'middle')
    places.push(
      textPlace(slot(path, 'lead'), name, lead, both ? leadFrame : frame, {
        match: `${lead}-lead`,
        vertical: placed,
        ...(leadColor ? { color: leadColor } : {}),
        ...(align ? { align } : {}),
      }),
    )
  }
  if (item.text !== undefined) {
    const placed = both ? (turned ? 'bottom' : 'top') : (vertical ?? 'middle')
    places.push(
      textPlace(slot(path, 'text'), `${name}, words`, text, both ? textFrame : frame, {
        match: `${text}-text`,
        vertical: placed,
        ...scaled(room, text, textScale),
        ...(align ? { align } : {}),
      }),
    )
  }
  return places
}

/** A disc with the item's number in it. */
export function numberDisc(
  room: LayoutRoom,
  path: number | string,
  x: number,
  y: number,
  size: number,
  role: 'accent1' | 'accent2' | 'accent3' = 'accent3',
): Place[] {
  const frame = around(x, y, size)
  return [
    shapePlace(slot(path, 'disc'), `Disc ${path}`, 'ellipse', frame, { fill: filled(room, role) }),
    textPlace(slot(path, 'count'), `Number ${path}`, 'lead', around(x, y, size * 0.96, size * 0.62), {
      field: 'item-number',
      color: { role: 'ground' },
      align: 'center',
      vertical: 'middle',
      match: 'count',
      size: Math.max(22, Math.round(size * 0.46)),
    }),
  ]
}

/** The greatest height of a row, px, where `usual` is enough for a line or two: items with more beneath them get more. */
export const rowHeight = (items: readonly Item[], usual: number) =>
  usual * Math.max(1, ...items.map(item => (item.text ?? '').split('\n').length * 0.9))
