import { describe, expect, it } from 'vitest'
import { elementsOf, putRecord, setRecord, type Element } from '#core/model'
import type { Box } from '#core/values'
import { textElement } from '#core/testing'
import { openDeck } from '../testing/open-deck'

const box = (x: number, y: number, width = 100, height = 50): Box => ({ x, y, width, height, angle: 0 })

/** Three texts in a row on the first slide, all selected: at 100, 400 and 450, the middle one lower. */
function arranged(boxes: readonly Box[] = [box(100, 100), box(400, 160, 100, 80), box(450, 300)]) {
  const opened = openDeck()
  const { store, selected, ids } = opened
  store.edit(
    'add',
    boxes.map((at, index) => putRecord('elements', { ...textElement(`p${index}`, ids[0]!, ['Part']), order: `a${index + 5}`, box: at })),
  )
  selected.select(...boxes.map((_, index) => `p${index}`))
  const places = () => boxes.map((_, index) => store.current.elements[`p${index}`]!.box!)
  return { ...opened, arranging: useArranging(), places, stage: useStage() }
}
const order = (elements: Readonly<Record<string, Element>>) =>
  Object.values(elements)
    .filter(({ id }) => id.startsWith('p'))
    .sort((a, b) => (a.order < b.order ? -1 : 1))
    .map(({ id }) => id)

describe('parts that are arranged', () => {
  it('are lined up with each other, with the slide or with its margins, in one step of undo', () => {
    const { arranging, places, store } = arranged()
    const before = places()
    arranging.align('left', 'each other')
    expect(places().map(({ x }) => x)).toEqual([100, 100, 100])
    expect(store.undoLabel).toBe('line up 3 elements')
    store.undo()
    expect(places()).toEqual(before)
    arranging.align('right', 'slide')
    expect(places().map(({ x, width }) => x + width)).toEqual([1920, 1920, 1920])
    arranging.align('top', 'margins')
    expect(places().map(({ y }) => y)).toEqual([110, 110, 110])
  })

  it('are lined up with the slide where there is only one', () => {
    const { arranging, places } = arranged([box(100, 100)])
    arranging.align('left', 'each other')
    expect(places()[0]!.x).toBe(0)
  })

  it('are spaced evenly, and the gap is known only where it is the same', () => {
    const { arranging, places } = arranged()
    expect(arranging.gap('across')).toBeNull()
    arranging.distribute('across', 30)
    expect(places().map(({ x }) => x)).toEqual([100, 230, 360])
    expect(arranging.gap('across')).toBeCloseTo(30)
  })

  it('become as wide and high as the first', () => {
    const { arranging, places } = arranged()
    arranging.sameSize('height')
    expect(new Set(places().map(({ height }) => height)).size).toBe(1)
  })

  it('are made larger together, with all that stands between them', () => {
    const { arranging, places } = arranged()
    arranging.setBox({ x: 0, y: 0, width: 900, height: 500 })
    expect(places().map(({ x, width }) => [x, width].map(Math.round))).toEqual([
      [0, 200],
      [600, 200],
      [700, 200],
    ])
  })

  it('are turned about their common middle', () => {
    const { arranging, places } = arranged([box(0, 0, 100, 100), box(100, 0, 100, 100)])
    arranging.turn(180)
    expect(places().map(({ x, angle }) => [Math.round(x), Math.abs(angle)])).toEqual([
      [100, 180],
      [0, 180],
    ])
  })

  it('are moved by the keys without what is locked', () => {
    const { arranging, places, store } = arranged()
    store.edit('lock', [setRecord('elements', 'p1', { locked: true })])
    arranging.nudge({ x: 8, y: -8 })
    expect(places().map(({ x, y }) => [x, y])).toEqual([
      [108, 92],
      [400, 160],
      [458, 292],
    ])
  })

  it('are held together and let go again, with the group and then its parts selected', () => {
    const { arranging, selected, store } = arranged()
    arranging.group()
    const [group] = selected.elements
    expect(store.current.elements[group!]!.kind).toBe('group')
    expect(store.current.elements.p0!.parent).toBe(group)
    arranging.ungroup()
    expect(store.current.elements[group!]).toBeUndefined()
    expect([...selected.elements].sort()).toEqual(['p0', 'p1', 'p2'])
  })

  it('come forward by one or all the way, and stop at the ends', () => {
    const { arranging, selected, store, ids } = arranged()
    selected.select('p0')
    const among = () => elementsOf(store.current, ids[0]!).map(({ id }) => id)
    const [own, all] = [among().indexOf('p0'), among().length]
    arranging.stack('forward')
    expect(among().indexOf('p0')).toBe(own + 1)
    expect(store.undoLabel).toBe('bring forward p0')
    arranging.stack('front')
    expect(among().indexOf('p0')).toBe(all - 1)
    const at = store.deck
    arranging.stack('forward')
    expect(store.deck).toBe(at)
    arranging.stack('behind')
    expect(among().indexOf('p0')).toBe(0)
  })

  it('are doubled beside themselves; doubled again, by as much as the copy was moved', () => {
    const { arranging, selected, store } = arranged([box(100, 100)])
    arranging.duplicate()
    const first = store.current.elements[selected.elements[0]!]!
    expect(first.box).toMatchObject({ x: 140, y: 140 })
    arranging.nudge({ x: 160, y: -40 })
    arranging.duplicate()
    expect(store.current.elements[selected.elements[0]!]!.box).toMatchObject({ x: 500, y: 100 })
  })

  it('are taken away with nothing left selected', () => {
    const { arranging, selected, store } = arranged()
    arranging.remove()
    expect([selected.elements, order(store.current.elements)]).toEqual([[], []])
    store.undo()
    expect(order(store.current.elements)).toHaveLength(3)
  })

  it('take on the look of another', () => {
    const { arranging, selected, store } = arranged()
    store.edit('dress', [setRecord('elements', 'p0', { color: { role: 'accent2' }, align: 'right' })])
    selected.select('p0')
    arranging.pickLook()
    selected.select('p1', 'p2')
    arranging.putLook()
    for (const id of ['p1', 'p2']) expect(store.current.elements[id]).toMatchObject({ color: { role: 'accent2' }, align: 'right' })
  })
})
