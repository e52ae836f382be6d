import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { addVariant, groupElements } from '#core/edits'
import { dropRecord, putRecord, setRecord } from '#core/model'
import { textElement } from '#core/testing'
import { openDeck } from '../testing/open-deck'

/** The stage at work on the first slide, with two more texts, in an area of 1,000 × 600 px. */
function working() {
  const opened = openDeck()
  const stage = useStage()
  const at = opened.ids[0]!
  opened.store.edit('add', [
    putRecord('elements', {
      ...textElement('left', at, ['Left']),
      order: 'a1',
      box: { x: 100, y: 100, width: 200, height: 100, angle: 0 },
    }),
    putRecord('elements', {
      ...textElement('right', at, ['Right']),
      order: 'a2',
      box: { x: 500, y: 300, width: 200, height: 100, angle: 0 },
    }),
  ])
  stage.area = { width: 1000 + 48, height: 600 + 48 }
  return { ...opened, stage, at }
}
const near = (point: { x: number; y: number }) => ({ x: Math.round(point.x), y: Math.round(point.y) })

describe('the stage at work', () => {
  it('shows the slide as large as its area allows, and is enlarged about a place that stays', () => {
    const { stage } = working()
    expect(stage.scale).toBeCloseTo(1000 / 1920)
    const board = document.createElement('div')
    // As the browser would lay it out: the slide's middle at the area's middle, moved by the pan.
    board.getBoundingClientRect = () => {
      const [width, height] = [1920 * stage.scale, 1080 * stage.scale]
      return new DOMRect(524 + stage.pan.x - width / 2, 324 + stage.pan.y - height / 2, width, height)
    }
    stage.board = board
    const hand = { clientX: 200, clientY: 450 }
    const before = near(stage.point(hand))
    for (const zoom of [2, 3.4, 0.5]) {
      stage.zoomTo(zoom, hand)
      expect(stage.zoom).toBeCloseTo(zoom)
      expect(near(stage.point(hand))).toEqual(before)
    }
    stage.zoomTo(1.01)
    expect([stage.zoom, stage.pan]).toEqual([1, { x: 0, y: 0 }])
  })

  it('is never enlarged beyond eight times the deck’s own size, nor below a quarter of fitting', () => {
    const { stage } = working()
    stage.zoomTo(1000)
    expect(stage.scale).toBeCloseTo(8)
    stage.zoomTo(0.001)
    expect(stage.zoom).toBe(0.25)
  })

  it('brings a box to fill most of the area, with its middle in the middle', () => {
    const { stage } = working()
    const box = { x: 500, y: 300, width: 200, height: 100, angle: 0 }
    stage.zoomOn(box)
    expect(200 * stage.scale).toBeLessThanOrEqual(stage.area.width)
    expect(200 * stage.scale).toBeGreaterThan(stage.area.width * 0.7)
    expect(stage.pan.x).toBeCloseTo((960 - 600) * stage.scale)
    expect(stage.pan.y).toBeCloseTo((540 - 350) * stage.scale)
  })

  it('moves what is selected and neither locked nor held by a form', () => {
    const { stage, store, selected } = working()
    selected.select('left', 'right')
    expect(stage.movable).toEqual(['left', 'right'])
    store.edit('lock', [setRecord('elements', 'left', { locked: true })])
    expect(stage.movable).toEqual(['right'])
    expect(stage.single).toBeNull()
    store.edit('hand out', [setRecord('info', 'info', { form: true })])
    expect(stage.movable).toEqual([])
  })

  it('outlines a group by what stands in it, as it is tried out', () => {
    const { stage, store, selected, at } = working()
    store.edit('group', groupElements(store.current, { elements: ['left', 'right'] }, store.context))
    const group = stage.elements.find(element => element.kind === 'group' && element.owner === at)!
    selected.select(group.id)
    expect(stage.outlineOf(group)).toMatchObject({ x: 100, y: 100, width: 600, height: 300 })
    stage.tries = { right: { box: { x: 900, y: 300, width: 200, height: 100, angle: 0 } } }
    expect(stage.outlineOf(group)).toMatchObject({ x: 100, width: 1000 })
    stage.forgetTried()
    expect(stage.outlineOf(group)).toMatchObject({ x: 100, width: 600 })
  })

  it('leaves what it did on a slide with the slide', async () => {
    const { stage, where, ids } = working()
    Object.assign(stage, { tool: 'curve', editing: 'left', opened: 'left', tries: { left: {} } })
    where.goToSlide(ids[1]!)
    await nextTick()
    expect([stage.tool, stage.editing, stage.opened, stage.tries]).toEqual([null, null, null, {}])
  })

  it('is not inside of what others took away: the keys are the slide’s again', async () => {
    const { stage, others } = working()
    stage.editing = 'left'
    others([dropRecord('elements', 'left')])
    await nextTick()
    expect(stage.editing).toBeNull()
  })

  it('forgets a variant and an opened group that others took away', async () => {
    const { stage, store, others } = working()
    store.edit('add a variant', addVariant(store.current, { name: 'For pupils' }, store.context))
    const [variant] = Object.keys(store.current.variants)
    stage.variant = variant!
    stage.opened = 'left'
    await nextTick()
    others([dropRecord('variants', variant!), dropRecord('elements', 'left')])
    await nextTick()
    expect([stage.variant, stage.opened]).toEqual([null, null])
  })
})
