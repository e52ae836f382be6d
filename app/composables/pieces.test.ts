import { describe, expect, it, vi } from 'vitest'
import type { Piece } from '#core/edits'
import { setRecord, textOf, type GroupElement } from '#core/model'
import { told } from '../testing/nuxt'
import { openDeck } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { usePieces } from './pieces'

/** A deck whose first text was saved as a block of the team's; the server keeps what is sent, one version further each time. */
async function withBlock() {
  const opened = openDeck()
  const library = new Map<string, Piece>()
  answers.set('/api/pieces', ({ method, body, query }) => {
    if (method !== 'POST') {
      const ids = (query as { ids: string }).ids.split(',')
      return { pieces: ids.flatMap(id => library.get(id) ?? []) }
    }
    const { name, tags, content, replaces } = body as Piece & { replaces?: string }
    const id = replaces ?? `block${library.size}`
    const kept: Piece = structuredClone({ id, name, tags, content, version: (library.get(id)?.version ?? 0) + 1 })
    library.set(id, kept)
    return kept
  })
  opened.selected.select('t0')
  const pieces = usePieces()
  const block = (await pieces.keep('Fare', ['prices']))!
  const groups = () => Object.values(opened.store.current.elements).filter((one): one is GroupElement => one.kind === 'group')
  const wordsIn = (group: GroupElement) =>
    Object.values(opened.store.current.elements).flatMap(one =>
      one.parent === group.id && one.kind === 'text' ? [JSON.stringify(one.text)] : [],
    )
  return { ...opened, pieces, block, library, groups, wordsIn }
}

describe('blocks that the team saves', () => {
  it('hold what is selected, and are said to be in the library', async () => {
    const { block, library } = await withBlock()
    expect([block.name, block.version, library.size]).toEqual(['Fare', 1, 1])
    expect(block.content.elements).toHaveLength(1)
    expect(told.map(({ title }) => title)).toEqual(['“Fare” is in the library'])
  })

  it('are put on the slide in hand, free or bound, and what was put is selected', async () => {
    const { pieces, block, groups, selected, where, store, ids } = await withBlock()
    where.goToSlide(ids[1]!)
    pieces.put(block, false)
    expect(groups()).toEqual([])
    expect(store.current.elements[selected.elements[0]!]!.owner).toBe(ids[1])
    pieces.put(block, true)
    const [group] = groups()
    expect([group!.piece, selected.elements]).toEqual([{ id: block.id, version: 1 }, [group!.id]])
    store.undo()
    expect(groups()).toEqual([])
  })

  it('are followed by what is bound to them, in one step, and by nothing that is free', async () => {
    const { pieces, block, library, groups, wordsIn, store, where, ids } = await withBlock()
    where.goToSlide(ids[1]!)
    pieces.put(block, true)
    const [group] = groups()
    const next = structuredClone(library.get(block.id)!)
    Object.assign(next.content.elements[0]!, { text: textOf(['Ten crowns']) })
    library.set(block.id, { ...next, version: 2 })
    await pieces.follow()
    expect(groups()[0]!.piece!.version).toBe(2)
    expect(wordsIn(groups()[0]!).join()).toContain('Ten crowns')
    expect(told.at(-1)!.title).toContain('“Fare” was changed in the library; this deck follows.')
    store.undo()
    expect(store.current.elements[group!.id]).toMatchObject({ piece: { version: 1 } })
    pieces.letGo(groups()[0]!)
    await pieces.follow()
    expect(wordsIn(groups()[0]!).join()).not.toContain('Ten crowns')
  })

  it('become what was changed in one that is bound, everywhere', async () => {
    const { pieces, block, groups, library, wordsIn, store, where, selected, ids } = await withBlock()
    where.goToSlide(ids[1]!)
    pieces.put(block, true)
    where.goToSlide(ids[2]!)
    pieces.put(block, true)
    const [, second] = groups()
    const inside = Object.values(store.current.elements).find(one => one.parent === second!.id)!
    store.edit('write', [setRecord('elements', inside.id, { text: textOf(['Eleven crowns']) })])
    selected.select(second!.id)
    await pieces.keepChanges(second!)
    expect(library.get(block.id)!.version).toBe(2)
    await vi.waitFor(() => expect(groups().map(group => group.piece!.version)).toEqual([2, 2]))
    for (const group of groups()) expect(wordsIn(group).join()).toContain('Eleven crowns')
  })

  it('that another version kept are not put, and that is said', async () => {
    const { pieces, block, store } = await withBlock()
    const before = store.current
    pieces.put({ ...block, content: { elements: 'none' } as never }, false)
    expect([store.current === before, told.at(-1)!.title]).toEqual([true, '“Fare” was kept by another version and cannot be read.'])
  })
})
