import { afterAll, describe, expect, it } from 'vitest'
import type { Step } from '../../core/steps'
import { endThreads } from '../apart'
import { dropSource, sourceById, versionsOf } from '../database/sources'
import { tableById } from '../database/tables'
import { addPerson } from '../database/people'
import { endSteps, runSteps, stepsFrom } from '../steps'
import { beginningOf, changeSteps, makeBySteps } from './made'
import { addVersion, makeSource } from './sources'

afterAll(async () => {
  await endThreads()
  await endSteps()
})
const bytes = (text: string) => new TextEncoder().encode(text)
const person = async () =>
  (await addPerson({ name: 'Ines', email: `ines-${Math.random()}@velmoor.example`, role: 'editor', passwordHash: null }))!.id
const first = 'route;month;riders\nAstrel;2031-01;10\nAstrel;2031-02;20\nQuill;2031-01;5'
const byRoute: Step[] = [{ kind: 'group', by: ['route'], measure: 'sum', of: ['riders'] }]
const cells = async (id: string) => (await tableById(id))!.columns.map(({ values }) => values)
const source = async (id: string) => (await sourceById(id))!

describe('a table that is made by steps', () => {
  it('is what they make of another one, which stays as it is', async () => {
    const who = await person()
    const { id } = await makeSource(bytes(first), 'riders.csv', who)
    const made = await makeBySteps(await source(id), 'By route', byRoute, who)
    expect(await cells(made.id)).toEqual([
      ['Astrel', 'Quill'],
      [30, 5],
    ])
    expect((await cells(id))[2]).toEqual([10, 20, 5])
    expect(await source(made.id)).toMatchObject({ madeOf: id, steps: byRoute, onAir: 1 })
  })

  it('is made anew when another version of that comes, and so is what is made of it', async () => {
    const who = await person()
    const { id } = await makeSource(bytes(first), 'riders.csv', who)
    const made = await makeBySteps(await source(id), 'By route', byRoute, who)
    const most = await makeBySteps(
      await source(made.id),
      'The most',
      [{ kind: 'top', count: 1, way: 'greatest', column: 'riders', rest: 'drop', name: 'x' }],
      who,
    )
    await addVersion(await source(id), bytes(`${first}\nQuill;2031-02;90`), 'riders.csv', who)
    expect(await cells(made.id)).toEqual([
      ['Astrel', 'Quill'],
      [30, 95],
    ])
    expect(await cells(most.id)).toEqual([['Quill'], [95]])
    expect((await versionsOf(made.id)).map(({ number, held }) => [number, held])).toEqual([
      [1, null],
      [2, null],
    ])
  })

  it('keeps its last answer, and says why, where a step cannot be done with the version that came', async () => {
    const who = await person()
    const { id } = await makeSource(bytes(first), 'riders.csv', who)
    const steps: Step[] = [{ kind: 'spread', names: 'month', amount: 'riders' }]
    const made = await makeBySteps(await source(id), 'Across', steps, who)
    // A month that is gone would break what draws it: the version is held.
    await addVersion(await source(id), bytes('route;month;riders\nAstrel;2031-02;20'), 'riders.csv', who)
    expect((await versionsOf(made.id)).at(-1)!.held).toContain('gone')
    expect(await source(made.id)).toMatchObject({ onAir: 1 })
    expect((await cells(made.id))[1]).toEqual([10, 5])
  })

  it('gets other steps; those that cannot be done are kept, and change nothing until they are mended', async () => {
    const who = await person()
    const { id } = await makeSource(bytes(first), 'riders.csv', who)
    const made = await makeBySteps(await source(id), 'By route', byRoute, who)
    const wrong: Step[] = [...byRoute, { kind: 'formula', name: 'x', formula: 'totl(riders)', shows: 'number' }]
    const answer = await changeSteps(await source(made.id), { steps: wrong, before: byRoute, at: 0 }, who)
    expect(answer.runs.map(({ fault }) => fault?.message ?? null)).toEqual([null, '“totl” is not a function.'])
    expect(answer.look!.after).toEqual([
      ['Astrel', 'Quill'],
      [30, 5],
    ])
    expect((await source(made.id)).steps).toEqual(wrong)
    expect(await cells(made.id)).toHaveLength(2)
    const right: Step[] = [...byRoute, { kind: 'formula', name: 'x', formula: 'riders / total(riders)', shows: 'percent' }]
    const rowsBefore = (await versionsOf(made.id))[0]!.tableId
    await changeSteps(await source(made.id), { steps: right, before: wrong }, who)
    // What it made before is nobody's any more.
    expect(await tableById(rowsBefore)).toBeUndefined()
    expect((await cells(made.id))[2]).toEqual([30 / 35, 5 / 35])
    expect(await versionsOf(made.id)).toHaveLength(1)
  })

  it('stays as it is where its table is gone, and says so', async () => {
    const who = await person()
    const { id } = await makeSource(bytes(first), 'riders.csv', who)
    const made = await makeBySteps(await source(id), 'By route', byRoute, who)
    await dropSource(id)
    expect((await cells(made.id))[0]).toEqual(['Astrel', 'Quill'])
    await expect(beginningOf(await source(made.id))).rejects.toThrow('is gone')
  })

  it('joins no table that hangs on itself, and is made anew with one that it joins', async () => {
    const who = await person()
    const { id } = await makeSource(bytes(first), 'riders.csv', who)
    const shores = await makeSource(bytes('route;shore\nAstrel;east\nQuill;west'), 'shores.csv', who)
    const join: Step[] = [{ kind: 'join', table: shores.id, by: 'route', to: 'route', add: ['shore'] }]
    const made = await makeBySteps(await source(id), 'With shores', join, who)
    const next = await makeBySteps(await source(made.id), 'Next', byRoute, who)
    const offered = (await beginningOf(await source(made.id))).others.map(other => other.id)
    expect(offered).toContain(shores.id)
    expect(offered).not.toContain(next.id)
    expect(offered).not.toContain(made.id)
    await addVersion(await source(shores.id), bytes('route;shore\nAstrel;north\nQuill;west'), 'shores.csv', who)
    expect((await cells(made.id))[3]).toEqual(['north', 'north', 'west'])
  })

  it('is changed by one of two who change the same steps at once; the other is told', async () => {
    const who = await person()
    const { id } = await makeSource(bytes(first), 'riders.csv', who)
    const made = await makeBySteps(await source(id), 'By route', byRoute, who)
    const before = await source(made.id)
    const order = (way: 'up' | 'down'): Step[] => [...byRoute, { kind: 'order', column: 'riders', way }]
    const change = (way: 'up' | 'down') => changeSteps(before, { steps: order(way), before: byRoute }, who)
    const [one, other] = await Promise.allSettled([change('up'), change('down')])
    expect([one.status, other.status].sort()).toEqual(['fulfilled', 'rejected'])
    const kept = one.status === 'fulfilled' ? 'up' : 'down'
    expect((await source(made.id)).steps).toEqual(order(kept))
    expect((await cells(made.id))[0]).toEqual(kept === 'up' ? ['Quill', 'Astrel'] : ['Astrel', 'Quill'])
    await expect(change('up')).rejects.toThrow('Somebody else')
  })

  it('of a million rows is answered from what was kept: a step more does nothing twice', async () => {
    const who = await person()
    const lines = Array.from({ length: 1_000_000 }, (_, row) => `r${row % 100};${row % 12};${row % 7}`)
    const { id } = await makeSource(bytes(`route;month;riders\n${lines.join('\n')}`), 'million.csv', who)
    const from = (await stepsFrom(id))!
    expect((await runSteps(from, byRoute, {})).runs[0]!.seconds).toBeGreaterThan(0)
    const { runs } = await runSteps(from, [...byRoute, { kind: 'order', column: 'riders', way: 'down' }], {})
    expect(runs.map(({ rows }) => rows)).toEqual([100, 100])
    expect([runs[0]!.seconds, runs[1]!.seconds > 0]).toEqual([0, true])
  })
})
