import { mix, mixPoints, throughPoints, type AreaMark, type MarkShape } from './mark'

const around = ({ top, bottom }: AreaMark) => `${throughPoints([...top, ...[...bottom].reverse()])}Z`
const middle = ({ top }: AreaMark) => {
  const [first, last] = [top[0], top.at(-1)]
  return first && last ? { x: (first.x + last.x) / 2, y: (first.y + last.y) / 2 } : { x: 0, y: 0 }
}

export const areaShape: MarkShape<AreaMark> = {
  beneath: true,
  node: mark => ({ tag: 'path', attributes: { d: around(mark) }, paint: 'fill' }),
  origin: mark => ({ box: 'view-box', at: `${middle(mark).x}px ${mark.foot}px` }),
  reach: () => ({ x: 0, y: 0 }),
  anchor: middle,
  collapsed: mark => ({ ...mark, top: mark.bottom }),
  between: (a, b, progress) => ({
    ...b,
    top: mixPoints(a.top, b.top, progress),
    bottom: mixPoints(a.bottom, b.bottom, progress),
    foot: mix(a.foot, b.foot, progress),
  }),
  outline: around,
}
