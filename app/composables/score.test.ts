import { describe, expect, it, vi } from 'vitest'
import { addBeat } from '#core/edits'
import { beatsOf, cuesOfElement, putRecord, setRecord, textOf } from '#core/model'
import { cue } from '#core/testing'
import { inPage, openDeck } from '../testing/open-deck'
import { told } from '../testing/nuxt'
import { useBeatMenu } from './beat-menu'
import { useMotionMenus } from './motion-menus'
import { thinnestBar, useScoreBars } from './score-bars'
import { useScoreColumns } from './score-columns'

/** The score of the first slide: three beats, and a text of three lines that comes in line by line in the first. */
function scored() {
  localStorage.clear()
  const opened = openDeck()
  const { store, where, ids } = opened
  const slide = ids[0]!
  store.edit('words', [setRecord('elements', 't0', { text: textOf(['First boat', 'Last boat', 'Night boat']) })])
  for (const start of ['advance', 'self'] as const)
    store.edit('beat', addBeat(store.current, { slide, after: beatsOf(store.current, slide).at(-1)!.id, start }, store.context))
  const beats = () => beatsOf(store.current, slide)
  store.edit('move', [
    putRecord('cues', cue({ id: 'c0', beat: beats()[0]!.id, element: 't0', duration: 0.5, parts: { by: 'paragraph', stagger: 0.4 } })),
    putRecord('cues', cue({ id: 'c1', beat: beats()[0]!.id, element: 't0', order: 'a1', what: 'emphasis', effect: 'pulse', delay: 0.1 })),
  ])
  where.goTo({ slide, beat: 0, seconds: 0 })
  const page = inPage(() => {
    const columns = useScoreColumns(() => 900)
    return { ...columns, ...useScoreBars(columns.columns) }
  })
  return { ...opened, slide, beats, page }
}

describe('the score’s columns', () => {
  it('stand one after the other, as wide as they last but never too thin to be read', () => {
    const { page } = scored()
    const columns = page.columns.value
    expect(columns.map(({ index }) => index)).toEqual([0, 1, 2])
    for (const [index, column] of columns.entries()) {
      expect(column.width).toBeGreaterThanOrEqual(150)
      expect(column.x).toBeCloseTo(columns.slice(0, index).reduce((sum, one) => sum + one.width, 0))
    }
    expect(page.total.value).toBeCloseTo(columns.reduce((sum, one) => sum + one.width, 0))
  })

  it('are all equally wide where that is wished', () => {
    const { page } = scored()
    page.evenly.value = true
    expect(new Set(page.columns.value.map(({ width }) => Math.round(width)))).toEqual(new Set([300]))
  })

  it('have the playhead where the moment is, and none of another slide', () => {
    const { page, where, slide, ids } = scored()
    expect(page.now.value).toBe(0)
    where.goTo({ slide, beat: 1, seconds: 1 })
    const column = page.columns.value[1]!
    expect(page.now.value).toBeCloseTo(column.x + Math.min(column.unit, column.width))
    where.moment = { slide: ids[1]!, beat: 0, seconds: 0 }
    expect(page.now.value).toBeNull()
  })
})

describe('the score’s bars', () => {
  it('lie in lanes where they would lie on each other, with the words beside those that are thin', () => {
    const { page } = scored()
    const bars = page.bars.value.get('t0')!
    expect(bars.map(({ item }) => item.cue.id)).toEqual(['c0', 'c1'])
    expect(new Set(bars.map(({ lane }) => lane)).size).toBe(2)
    expect(bars[0]!.label).toBe('Fade, line by line')
    for (const bar of bars) expect(bar.width).toBeGreaterThanOrEqual(16)
    expect(thinnestBar).toBeGreaterThan(16)
  })

  it('open into the turns of their parts, each further on by its stagger', () => {
    const { page } = scored()
    const closed = page.heightOf('t0')
    expect([page.opening('t0'), page.turnsOf('t0')]).toEqual([true, []])
    page.toggle('t0')
    const turns = page.turnsOf('t0')
    expect(turns.map(({ words }) => words)).toEqual(['First boat', 'Last boat', 'Night boat'])
    expect(turns[1]!.x - turns[0]!.x).toBeCloseTo(0.4 * page.columns.value[0]!.unit)
    expect(page.heightOf('t0')).toBeGreaterThan(closed)
    page.toggle('t0')
    expect(page.heightOf('t0')).toBe(closed)
  })

  it('of what a group holds fold away and come again, also where only what moves has a row', () => {
    const { page, store } = scored()
    store.edit('group', [
      putRecord('elements', { id: 'pair', owner: store.current.elements.t0!.owner, kind: 'group', name: 'Pair', order: 'a9' }),
      setRecord('elements', 't0', { parent: 'pair' }),
    ])
    const rows = () => page.rows.value.map(({ id }) => id).filter(id => id === 'pair' || id === 't0')
    expect([rows(), page.folds.value.get('pair'), page.depthOf(page.rows.value.find(({ id }) => id === 't0')!)]).toEqual([
      ['pair', 't0'],
      1,
      1,
    ])
    page.fold('pair')
    expect(rows()).toEqual(['pair'])
    page.onlyMoving.value = true
    expect(rows()).toEqual(['pair'])
    page.fold('pair')
    expect(rows()).toEqual(['pair', 't0'])
  })

  it('take another stagger', () => {
    const { page, store } = scored()
    store.edit('stagger', page.staggered('c0', 1.2))
    expect(store.current.cues.c0!.parts!.stagger).toBe(1.2)
    expect(page.staggered('c1', 1)).toEqual([])
  })
})

describe('what is done to beats', () => {
  function menued() {
    const made = scored()
    const menu = inPage(() =>
      useBeatMenu(
        () => made.page.columns.value,
        () => made.where.moment!.beat,
      ),
    )
    const choose = (beat: number, label: string) => {
      const item = menu
        .beatMenu(made.page.columns.value[beat]!)
        .flat()
        .find(one => one.label === label) as { onSelect: () => void; disabled?: boolean }
      if (!item.disabled) item.onSelect()
      return item
    }
    return { ...made, menu, choose }
  }

  it('starts it by itself or on advance, and holds it for reading, a clip, or fixed', () => {
    const { choose, beats } = menued()
    choose(1, 'Start by itself')
    expect(beats()[1]!.start).toBe('self')
    choose(1, 'Hold as long as reading takes')
    expect(beats()[1]!.hold).toEqual({ kind: 'reading' })
    choose(1, 'Hold until its clip or voice ends')
    expect(beats()[1]!.hold).toEqual({ kind: 'media' })
    expect(choose(0, 'Earlier by one').disabled).toBe(true)
  })

  it('names it, and lets it go round, alone or with those up to it', async () => {
    const { choose, beats, menu, where } = menued()
    choose(0, 'Name it')
    await vi.waitFor(() => expect(menu.naming.value).toBe(beats()[0]!.id))
    menu.name(beats()[0]!, 'Fares')
    expect(beats()[0]!.name).toBe('Fares')
    expect(choose(0, 'Rename it')).toBeDefined()
    menu.name(beats()[0]!, '')
    expect(beats()[0]!.name).toBeUndefined()
    choose(1, 'Loop it')
    expect(where.loop).toEqual({ from: 1, to: 1 })
    choose(2, 'Loop beats 2 to 3')
    expect(where.loop).toEqual({ from: 1, to: 2 })
    choose(0, 'Loop nothing')
    expect(where.loop).toBeNull()
  })

  it('moves, joins and takes it away, its cues kept', () => {
    const { choose, beats, store } = menued()
    const [first, second] = beats().map(({ id }) => id)
    choose(0, 'Later by one')
    expect(
      beats()
        .map(({ id }) => id)
        .slice(0, 2),
    ).toEqual([second, first])
    store.undo()
    choose(0, 'Join it with the next')
    expect(beats()).toHaveLength(2)
    choose(0, 'Remove the beat, keep its cues')
    expect([beats().length, cuesOfElement(store.current, 't0').length]).toEqual([1, 2])
  })

  it('parts it at the playhead, and begins a new one after it', () => {
    const { choose, menu, beats, where, slide } = menued()
    expect(choose(0, 'Split it at the playhead').disabled).toBe(true)
    where.goTo({ slide, beat: 0, seconds: 0.3 })
    choose(0, 'Split it at the playhead')
    expect([beats().length, where.moment!.beat]).toEqual([4, 1])
    where.goTo({ slide, beat: 3, seconds: 99 })
    menu.newBeat()
    expect([beats().length, where.moment!.beat]).toEqual([5, 4])
  })
})

describe('what can be brought to a part', () => {
  it('is in its menu, and becomes a cue in the beat at the playhead, chosen at once', () => {
    const { store, selected, beats } = scored()
    const { menu } = inPage(() => useMotionMenus(() => beats()[1]!))
    const element = () => useStage().elements.find(one => one.id === 't0')!
    const items = () =>
      menu(element()).flat() as { label: string; onSelect?: () => void; children?: { label: string; onSelect: () => void }[][] }[]
    expect(items().map(({ label }) => label)).toEqual(
      expect.arrayContaining(['Line by line, on advance', 'Line by line, in this beat', 'Entrance', 'Exit', 'Copy its motion']),
    )
    items()
      .find(({ label }) => label === 'Exit')!
      .children!.flat()
      .find(({ label }) => label === 'Fade')!
      .onSelect()
    expect(store.current.cues[selected.cueId!]).toMatchObject({ what: 'exit', effect: 'fade', beat: beats()[1]!.id, element: 't0' })
    const before = beats().length
    items().find(({ label }) => label === 'Line by line, on advance')!.onSelect!()
    expect(beats().length).toBeGreaterThan(before)
    expect(told).toEqual([])
  })
})
