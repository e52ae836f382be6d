import { describe, expect, it } from 'vitest'
import { nextTick } from 'vue'
import { beatsOf, slidesOf } from '#core/model'
import { told } from '../testing/nuxt'
import { openDeck } from '../testing/open-deck'

const box = (x: number, y: number) => ({ x, y, width: 1920, height: 1080, angle: 0 })

/** The first slide made a board, with a view of what it showed and another beside it. */
function boarded() {
  const opened = openDeck()
  const board = useBoard()
  board.make()
  board.add(box(1920, 0))
  return { ...opened, board, names: () => board.views.map(view => view.name) }
}

describe('a board', () => {
  it('is made of a slide, has views in their order, and is a slide again', () => {
    const { board, store, ids, names } = boarded()
    expect(store.current.slides[ids[0]!]!.board).toBeDefined()
    expect(names()).toEqual(['Start', 'View 2'])
    expect(board.view).toBe(board.views[1]!.id)
    board.move(board.views[1]!.id, -1)
    expect(names()).toEqual(['View 2', 'Start'])
    board.move(board.views[0]!.id, -1)
    expect(names()).toEqual(['View 2', 'Start'])
    board.change(board.views[0]!.id, 'name a view', { name: 'The quay' })
    expect(board.nameOf(board.views[0]!.id)).toBe('The quay')
    expect([board.nameOf('all'), board.nameOf('gone')]).toEqual(['all of the board', 'all of the board'])
    board.unmake()
    expect(store.current.slides[ids[0]!]!.board).toBeUndefined()
  })

  it('has a camera that goes to views; a view that goes takes the ways to it along, and says so', () => {
    const { board, store, selected, ids } = boarded()
    const beat = beatsOf(store.current, ids[0]!)[0]!.id
    const [first, second] = board.views.map(view => view.id)
    board.goTo(second!, beat)
    expect(store.current.cues[selected.cueId!]).toMatchObject({ what: 'camera', options: { view: second } })
    board.remove(second!)
    expect(Object.values(store.current.cues)).toEqual([])
    expect(told.at(-1)!.title).toContain('went with it')
    board.remove(first!)
    expect(board.views).toEqual([])
    board.part()
    expect(told.at(-1)!.title).toContain('no views yet')
  })

  it('gathers slides, and its views become slides again', () => {
    const { store, where, ids } = openDeck()
    const board = useBoard()
    board.gather(ids)
    expect(slidesOf(store.current)).toHaveLength(1)
    expect(board.views).toHaveLength(3)
    expect(where.slideId).toBe(slidesOf(store.current)[0]!.id)
    board.gather([where.slideId!])
    expect(told.at(-1)!.title).toContain('A board is among them')
    board.part()
    expect(slidesOf(store.current)).toHaveLength(3)
  })

  it('forgets the view that is worked on with the slide', async () => {
    const { board, where, ids } = boarded()
    expect(board.view).not.toBeNull()
    where.goToSlide(ids[1]!)
    await nextTick()
    expect(board.view).toBeNull()
    expect(board.views).toEqual([])
  })
})
