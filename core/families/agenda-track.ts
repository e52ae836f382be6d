import { faint } from './colors'
import { framing, shapePlace, titleAndItems, type LayoutFamily } from './family'
import { columns } from './geometry'
import { cell, numberDisc } from './parts'

/** What comes, as numbered stations along a line. */
export const agendaTrack: LayoutFamily = {
  name: 'agenda-track',
  label: 'Agenda across',
  senses: ['agenda', 'steps'],
  finds: 'agenda contents overview topics chapters journey stations',
  content: 'items',
  split: 'lead',
  best: [3, 6],
  entrance: { effect: 'fade' },
  places: titleAndItems,
  arrange: (items, area, room) => {
    const frames = columns(area, items.length, 32, area.width * 0.4)
    const disc = Math.min(110, (frames[0]?.width ?? 110) * 0.7)
    const y = area.y + area.height * 0.2
    const middle = (frame: { x: number; width: number }) => frame.x + frame.width / 2
    const line =
      frames.length > 1
        ? [
            shapePlace(
              framing('line'),
              'Line',
              'rectangle',
              { x: middle(frames[0]!), y: y - 4, width: middle(frames.at(-1)!) - middle(frames[0]!), height: 8 },
              { fill: faint },
            ),
          ]
        : []
    return [
      ...line,
      ...frames.flatMap((frame, index) => [
        ...numberDisc(room, index + 1, middle(frame), y, disc),
        ...cell(
          room,
          index + 1,
          items[index]!,
          { ...frame, y: y + disc / 2 + 32, height: area.y + area.height - y - disc / 2 - 32 },
          `Topic ${index + 1}`,
          { align: 'center', share: 0.3, vertical: 'top' },
        ),
      ]),
    ]
  },
}
