import { describe, expect, it, vi } from 'vitest'
import { reactive } from 'vue'
import { inPage } from '../testing/open-deck'
import { useListed } from './listed'

const part = (items: number[], total: number) => ({ items, total })

describe('a long list', () => {
  it('is fetched some at a time, until all of it is here', async () => {
    const all = [1, 2, 3, 4, 5]
    const fetch = vi.fn((from: number) => Promise.resolve(part(all.slice(from, from + 2), all.length)))
    const list = inPage(() => useListed(reactive({ find: '' }), fetch))
    await list.load()
    expect([list.items.value, list.total.value, list.canLoadMore()]).toEqual([[1, 2], 5, true])
    await list.more()
    await list.more()
    expect([list.items.value, list.canLoadMore()]).toEqual([all, false])
  })

  it('is read again as far as one had come, also where it has become shorter', async () => {
    let all = [1, 2, 3, 4, 5]
    const list = inPage(() => useListed(reactive({ find: '' }), from => Promise.resolve(part(all.slice(from, from + 2), all.length))))
    await list.load()
    await list.more()
    await list.again()
    expect(list.items.value).toEqual([1, 2, 3, 4])
    all = [1, 5]
    await list.again()
    expect([list.items.value, list.total.value]).toEqual([[1, 5], 2])
  })

  it('shows what was wished last, whichever answer comes last', async () => {
    const answers: ((items: number[]) => void)[] = []
    const fetch = () => new Promise<{ items: number[]; total: number }>(resolve => answers.push(items => resolve(part(items, 1))))
    const list = inPage(() => useListed(reactive({ find: '' }), fetch))
    const both = [list.load(), list.load()]
    answers[1]!([2])
    answers[0]!([1])
    await Promise.all(both)
    expect(list.items.value).toEqual([2])
  })

  it('is fetched anew, from its beginning, when something else is wished', async () => {
    vi.useFakeTimers()
    const filter = reactive({ find: 'a' })
    const fetch = vi.fn((from: number) => Promise.resolve(part([from], 1)))
    inPage(() => useListed(filter, fetch))
    filter.find = 'b'
    await vi.advanceTimersByTimeAsync(400)
    expect(fetch.mock.calls).toEqual([[0]])
    vi.useRealTimers()
  })
})
