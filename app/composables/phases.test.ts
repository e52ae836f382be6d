import { describe, expect, it, vi } from 'vitest'
import { route } from '../testing/nuxt'
import { inPage } from '../testing/open-deck'
import { phases, usePhases } from './phases'

const loaded: string[] = []
const phase = (name: string) => () => {
  loaded.push(name)
  return { default: { name } }
}
vi.mock('~/components/phases/OutlinePhase.vue', () => phase('outline')())
vi.mock('~/components/phases/ComposePhase.vue', () => phase('compose')())
vi.mock('~/components/phases/TimePhase.vue', () => phase('time')())
vi.mock('~/components/phases/CheckPhase.vue', () => phase('check')())
vi.mock('~/components/phases/DeliverPhase.vue', () => phase('deliver')())

describe('the phases of a deck', () => {
  it('are the one that the address names, the first where it names none, and the one before until it is here', async () => {
    const { phase: at, shown, go } = inPage(() => usePhases())
    expect([at.value, shown.value]).toEqual(['outline', null])
    await vi.waitFor(() => expect(shown.value?.name).toBe('outline'))
    go('time')
    expect([at.value, shown.value?.name]).toEqual(['time', 'outline'])
    await vi.waitFor(() => expect(shown.value?.name).toBe('time'))
    route.query = { phase: 'nothing that is known' }
    expect(at.value).toBe('outline')
  })

  it('are brought here all, for when the server is away', async () => {
    const { bringAll } = inPage(() => usePhases())
    const brought = await bringAll()
    expect(new Set(loaded)).toEqual(new Set(phases.map(({ name }) => name)))
    // What opens within them too.
    expect(brought.length).toBeGreaterThan(phases.length)
    expect(brought.every(Boolean)).toBe(true)
  })
})
