import { filled, wash } from './colors'
import { framing, shapePlace, slot, titleAndItems, type Frame, type Item, type LayoutFamily, type LayoutRoom, type Place } from './family'
import { around, inset, rows, splitAcross } from './geometry'
import { cell } from './parts'

const arrow = (room: LayoutRoom, name: string, x: number, y: number): Place =>
  shapePlace(framing(name), 'Arrow', 'triangle', around(x, y, 56, 48), { fill: filled(room, 'accent2'), angle: 90 })

/** What led to what, a line each. */
const pairs = (items: readonly Item[], area: Frame, room: LayoutRoom): Place[] =>
  rows(area, items.length, 24, area.height * 0.34).flatMap((frame, index) => {
    const item = items[index]!
    const path = index + 1
    const [from, to] = splitAcross(frame, (frame.width - 110) / 2, 110)
    const { lead, text, under } = item
    return [
      shapePlace(slot(path, 'from'), `Cause ${path}`, 'rounded', from, { fill: wash('ink'), radius: 16 }),
      arrow(room, `arrow-${path}`, frame.x + frame.width / 2, frame.y + frame.height / 2),
      shapePlace(slot(path, 'to'), `Effect ${path}`, 'rounded', to, { fill: wash('accent1'), radius: 16 }),
      ...(lead === undefined ? [] : cell(room, path, { lead, under: [] }, inset(from, 32, 16), `Cause ${path}`)),
      ...(text === undefined ? [] : cell(room, path, { text, under }, inset(to, 32, 16), `Effect ${path}`, { textScale: 1 })),
    ]
  })

/** Causes and their effect: a row each where a line has both, else all but the last beside what came of them. */
export const cause: LayoutFamily = {
  name: 'cause',
  label: 'Cause and effect',
  senses: ['cause', 'steps'],
  finds: 'cause effect why because consequence reason result leads to',
  content: 'items',
  split: 'effect',
  best: [2, 5],
  entrance: { effect: 'rise', options: { from: 'left', way: 60 } },
  places: titleAndItems,
  arrange: (items, area, room) => {
    if (items.length < 2 || items.filter(item => item.text !== undefined).length * 2 >= items.length) return pairs(items, area, room)
    const last = items.length - 1
    const [from, to] = splitAcross(area, area.width * 0.52, 120)
    const effect = { ...to, y: to.y + to.height * 0.16, height: to.height * 0.68 }
    return [
      arrow(room, 'arrow', to.x - 60, area.y + area.height / 2),
      ...rows(from, last, 20).flatMap((frame, index) => [
        shapePlace(slot(index + 1, 'from'), `Cause ${index + 1}`, 'rounded', frame, { fill: wash('ink'), radius: 16 }),
        ...cell(room, index + 1, items[index]!, inset(frame, 32, 16), `Cause ${index + 1}`),
      ]),
      shapePlace(slot(last + 1, 'to'), 'Effect', 'rounded', effect, { fill: wash('accent1'), radius: 20 }),
      ...cell(room, last + 1, items[last]!, inset(effect, 40, 32), 'Effect'),
    ]
  },
}
