import { below, headTitle, linesIn, textPlace, type LayoutFamily, type LayoutRoom, type Place } from './family'

const places = (room: LayoutRoom): Place[] => {
  const area = below(room)
  const { size, theme } = room
  const half = size.width * 0.44
  const head = headTitle(room)
  const wide = size.width - half - theme.margin - 64
  return [
    { ...head, box: { ...head.box, width: wide } } as Place,
    textPlace('body', 'List', 'body', { ...area, width: wide }, { prompt: 'What stands on it, a line each' }),
    { kind: 'picture', placeholder: 'picture', name: 'Picture', box: { x: size.width - half, y: 0, width: half, height: size.height, angle: 0 }, prompt: 'Drop a picture here' },
  ]
}

/** Points beside a picture that fills the other side. */
export const picture: LayoutFamily = { name: 'picture', label: 'Picture beside a list', places, items: room => linesIn(places(room)[1]!, room.theme) }
